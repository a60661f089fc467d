package mites

import (
	"math"

	"keeler/core/calendar"
	"keeler/core/fault"
)

// Threshold is where a keeper acts in one season: mites per 100 bees of a wash, mites
// a day on a board. 0 means that there is no agreed threshold.
type Threshold struct {
	Wash  float64 `json:"wash" doc:"Mites per 100 bees, 0 to 50."`
	Board float64 `json:"board" doc:"Mites a day, 0 to 500."`
}

// Thresholds are the thresholds of a keeper by season.
type Thresholds [calendar.Seasons]Threshold

// Trade is the trade's rule: 3 per 100 bees, 2 in spring; on the board 1 a day in
// midwinter. In the other seasons there is no agreed threshold for the board, and none is
// made up here: see BoardOver. Source: docs/sources.md, Brood and mites.
var Trade = Thresholds{
	calendar.Winter:      {Wash: 3, Board: 1},
	calendar.Spring:      {Wash: 2},
	calendar.EarlySummer: {Wash: 3},
	calendar.LateSummer:  {Wash: 3},
	calendar.Autumn:      {Wash: 3},
}

// Where no threshold is set for a board, so many a day are over it in any season, and so
// many in spring are near: a wash tells.
const (
	BoardOver       = 10
	BoardNearSpring = 5
)

// Of is the threshold for a kind of count, 0 when there is none.
func (l Threshold) Of(k Kind) float64 {
	if k == Board {
		return l.Board
	}
	return l.Wash
}

// On is the threshold of a day at a latitude. Where no season can be assumed it is the
// strictest that is kept for a wash, and none for a board.
func (l Thresholds) On(on calendar.Day, latitude float64) Threshold {
	if calendar.Seasonal(latitude) {
		return l[on.Season(latitude)]
	}
	strict := Threshold{}
	for _, threshold := range l {
		if threshold.Wash > 0 && (strict.Wash == 0 || threshold.Wash < strict.Wash) {
			strict.Wash = threshold.Wash
		}
	}
	return strict
}

// Check names a threshold that cannot be: washes 0 to 50 per 100, boards 0 to 500 a day.
func (l Thresholds) Check() error {
	var faults fault.List
	for i, threshold := range l {
		before := len(faults)
		faults.Within("wash", threshold.Wash, 0, 50, "per 100 bees")
		faults.Within("board", threshold.Board, 0, 500, "a day")
		faults.Beneath(before, "thresholds", i)
	}
	return faults.Err()
}

// Standing is how a count stands to the threshold.
type Standing string

const (
	Over        Standing = "over"         // at or over the threshold: it is acted on
	Near        Standing = "near"         // under it, and the threshold lies within a narrow interval
	Under       Standing = "under"        // the whole interval lies below the threshold
	CannotTell  Standing = "cannot_tell"  // under it, and the threshold lies within a wide interval: count more
	NoThreshold Standing = "no_threshold" // there is no threshold for such a count in this season
	Uncounted   Standing = "uncounted"    // there is no count
)

// A count under the threshold tells where a colony stands once its upper end is at most
// wide times its lower: from about eight mites on. Fewer are chance as much as mites.
const wide = 5

// Stood is how a count stands to a threshold.
type Stood struct {
	Stands    Standing `json:"stands" enum:"over,near,under,cannot_tell,no_threshold"`
	Threshold float64  `json:"threshold,omitempty" doc:"What it is held against; left out where there is no threshold."`
	Straddles bool     `json:"straddles,omitempty" doc:"The threshold lies within the interval: a second count would tell more."`
	Enough    float64  `json:"enough,omitempty" doc:"Days that a board must lie, or bees that a sample must hold, to tell at the rate counted; with cannot_tell."`
}

// Stand holds a count against the threshold of its season.
func (l Thresholds) Stand(c Count, latitude float64) Stood {
	threshold, r := l.On(c.On, latitude).Of(c.Kind), c.Rate()
	if threshold > 0 {
		s := Stood{Stands: r.stand(threshold), Threshold: threshold, Straddles: r.Low < threshold && r.High >= threshold}
		if s.Stands == CannotTell {
			s.Enough = c.enough(threshold)
		}
		return s
	}
	switch spring := calendar.Seasonal(latitude) && c.On.Season(latitude) == calendar.Spring; {
	case c.Kind != Board:
	case r.Value >= BoardOver:
		return Stood{Stands: Over, Threshold: BoardOver, Straddles: r.Low < BoardOver}
	case spring && r.Value >= BoardNearSpring:
		return Stood{Stands: Near, Threshold: BoardOver, Straddles: r.High >= BoardOver}
	}
	return Stood{Stands: NoThreshold}
}

// stand holds a rate against a threshold over 0. At or over it a count is acted on; the
// interval tells how sure that is.
func (r Rate) stand(threshold float64) Standing {
	switch {
	case r.Value >= threshold:
		return Over
	case r.High < threshold:
		return Under
	case r.High <= wide*r.Low:
		return Near
	}
	return CannotTell
}

// enough looks for the smallest count of the same rate that tells, in tens of bees or
// half days.
func (c Count) enough(threshold float64) float64 {
	rate := c.Rate().Value
	if c.Kind == Board {
		for days := math.Ceil(2*c.Days+1e-9) / 2; days <= MaxDays; days += 0.5 {
			low, high := poisson(rate * days)
			if (Rate{rate, low / days, high / days}).stand(threshold) != CannotTell {
				return days
			}
		}
		return 0
	}
	for bees := math.Ceil(float64(c.Bees)/10+1e-9) * 10; bees <= MaxBees; bees += 10 {
		low, high := wilson(rate/100*bees, bees)
		if (Rate{rate, 100 * low, 100 * high}).stand(threshold) != CannotTell {
			return bees
		}
	}
	return 0
}
