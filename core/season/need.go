package season

import (
	"keeler/core/calendar"
	"keeler/core/mites"
)

// Need is whether a colony needs a treatment.
type Need string

const (
	NeedTreat Need = "treat"      // over the line
	NeedYard  Need = "with_yard"  // another one of its yard is: mites drift
	NeedWatch Need = "watch"      // about at the line
	NeedNone  Need = "none"       // under the line
	NeedCount Need = "count"      // nobody can tell: count, or count more
	NeedStale Need = "count_anew" // the count is too old to hold
)

// countFresh is how many days a count holds: mites about double in a brooding
// month, so after six weeks it says little. It is Keeler's choice.
const countFresh = 42

// Counted is how a colony's last count stands.
type Counted struct {
	Standing mites.Standing
	On       calendar.Day
}

// Needs tells what each colony of one yard needs on a day; over is how many of
// the yard stand over the line by a count that still holds.
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
	case c.Standing == mites.Uncounted || c.Standing == mites.NoLine || c.Standing == "":
		return NeedCount
	case on-c.On > countFresh:
		return NeedStale
	case c.Standing == mites.Over:
		return NeedTreat
	case c.Standing == mites.Near:
		return NeedWatch
	case c.Standing == mites.Under:
		return NeedNone
	}
	return NeedCount
}
