package fit

import (
	"math"

	"keeler/core/calendar"
	"keeler/core/mites"
	"keeler/core/treatment"
)

// Need is whether a colony needs a treatment.
type Need string

const (
	NeedTreat   Need = "treat"       // over the threshold
	NeedYard    Need = "with_yard"   // another one of its yard is: mites drift
	NeedWatch   Need = "watch"       // about at the threshold
	NeedNone    Need = "none"        // under the threshold
	NeedCount   Need = "count"       // nobody can tell: count, or count more
	NeedRecount Need = "count_again" // mites may have grown over the threshold since, or were treated
)

// Counted is how a colony's last count stands, and what bears on how it ages.
type Counted struct {
	Standing    mites.Standing
	On          calendar.Day
	Board       calendar.Day // of a board: the day from which it lay; 0: a wash
	Value, High float64      // of its rate and interval
	Threshold   float64      // that it is held against
	Colony      *Colony      // nil: nothing is known of its brood
	Latitude    float64
}

// Needs tells what each colony of one yard needs on a day; over is how many of
// the yard stand over the threshold by a count that still holds.
func Needs(counts []Counted, on calendar.Day) (needs []Need, over int) {
	needs = make([]Need, len(counts))
	for i, c := range counts {
		needs[i] = c.need(on)
		if needs[i] == NeedTreat {
			over++
		}
	}
	if over == 0 {
		return needs, 0
	}
	for i, n := range needs {
		if n != NeedTreat {
			needs[i] = NeedYard
		}
	}
	return needs, over
}

func (c Counted) need(on calendar.Day) Need {
	switch {
	case c.Standing == mites.Uncounted || c.Standing == mites.NoThreshold || c.Standing == "":
		return NeedCount
	case c.treatedSince(on):
		return NeedRecount
	case c.Standing == mites.Over:
		return NeedTreat
	case c.Standing == mites.Near && c.grown(c.Value, on) >= c.Threshold, c.Standing == mites.Under && c.grown(c.High, on) >= c.Threshold:
		return NeedRecount
	case c.Standing == mites.Near:
		return NeedWatch
	case c.Standing == mites.Under:
		return NeedNone
	}
	return NeedCount
}

// grown is what a rate may have become: mites double in about 30 days with brood, and
// without it they do not grow.
func (c Counted) grown(rate float64, on calendar.Day) float64 {
	days := int(on - c.On)
	if c.Colony != nil {
		days = c.Colony.broodDays(c.On, on, c.Latitude)
	}
	return rate * math.Exp2(float64(days)/broodDouble)
}

// treatedSince reports whether something was given after the count, or was killing mites
// while its board lay: then it says nothing of today's mites.
func (c Counted) treatedSince(on calendar.Day) bool {
	if c.Colony == nil {
		return false
	}
	for _, t := range c.Colony.Treatments {
		falling := c.Board != 0 && t.Given <= c.On && (t.In(c.On) || c.Board <= t.Out+treatment.StillFalls)
		if t.Given > c.On && t.Given <= on || falling {
			return true
		}
	}
	return false
}
