package app

import (
	"maps"
	"slices"

	"keeler/core/fault"
	"keeler/core/followup"
	"keeler/core/method"
	"keeler/store"

	"github.com/samber/lo"
)

// What a round goes out for.
const (
	give    = "give"
	takeOut = "out"
	move    = "move"
	weigh   = "weigh"
	check   = "check"
	boards  = "board"
)

// goesFor takes what a visit goes out for: where it is not said a dose on the job's own
// days, and on others that what was put in comes out.
func (v *visit) goesFor(act string) error {
	stays := method.Name(v.job.Method).Stays()
	if act == "" {
		act = give
		if !v.planned && stays {
			act = takeOut
		}
	}
	v.act = act
	switch act {
	case check, boards:
	case give:
		if !v.planned && v.chosen.on(v.day, 0).Visits < 2 {
			return fault.List{{Field: "day", Reason: fault.Unknown}}
		}
	case takeOut, move, weigh:
		if !stays {
			return fault.List{{Field: "act", Reason: fault.NotFitting}}
		}
	default:
		return fault.List{{Field: "act", Reason: fault.Unknown}}
	}
	if act != give || !v.planned { // all of the job, whatever day each was planned for
		for _, c := range v.job.Colonies {
			v.colonies[c.ColonyID] = c
		}
	}
	return nil
}

// onlyDue leaves those colonies whose course asks for another dose, or had it on this day.
func (d Desk) onlyDue(r *reading, v *visit) {
	those := d.remembering(lo.Keys(v.colonies))
	rows := by(r, d.op.ColoniesAmong, those.Colonies)
	colonies, _ := d.comebacks(r, rows, those)
	due := map[string]bool{}
	for _, k := range colonies {
		due[k.row.ID] = slices.ContainsFunc(k.all, func(f followup.Followup) bool {
			return f.Job == v.job.ID && f.Kind == followup.Visit && f.N > 1 && (f.Open() || f.On == v.day || f.On == v.on)
		})
	}
	maps.DeleteFunc(v.colonies, func(id string, _ store.JobColony) bool { return !due[id] })
	if len(v.colonies) == 0 && r.err == nil {
		r.err = fault.List{{Field: "day", Reason: fault.Unknown}}
	}
}
