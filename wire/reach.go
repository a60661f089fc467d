package wire

import (
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/reach"
)

// ReachRequest asks which mites a set of visits could meet.
type ReachRequest struct {
	Brood  string `json:"brood" enum:"none,little,much" doc:"Sealed, on the first day."`
	Drones bool   `json:"drones,omitempty" doc:"Drone brood was seen, too."`
	Way    string `json:"way" enum:"dribble,vapour,sheet,filling,strips" doc:"How each visit gives: a dribble; vapour, which meets mites on the same days and kills a little less of them; a sheet or sponge of formic acid; a filling of it for a fortnight; strips for eight weeks."`
	Days   []int  `json:"days" maxItems:"15" doc:"Of the visits, from the first day, 0 to 300; at most four may be at work on one day."`
}

// ReachAnswer tells it.
type ReachAnswer struct {
	reach.Reach
	Visits []Meets `json:"visits" doc:"When each is at work."`
}

// Reach tells which mites could be met.
func Reach(r ReachRequest) (ReachAnswer, error) {
	var l fault.List
	way := reach.Way(r.Way)
	if _, known := way.On(0); !known {
		l.Add("way", fault.Unknown)
	}
	visits := make([]reach.Visit, len(r.Days))
	out := ReachAnswer{Visits: make([]Meets, len(r.Days))}
	for i, day := range r.Days {
		const most = 300
		l.Within(fault.Index("days", i), float64(day), 0, most, "days")
		visits[i], _ = way.On(day)
		out.Visits[i] = Meets(visits[i])
	}
	if err := l.Err(); err != nil {
		return out, err
	}
	var err error
	out.Reach, err = reach.Of(fit.Brood(r.Brood), r.Drones, visits)
	return out, err
}
