package mites

import "math"

// Outcome is whether a treatment worked.
type Outcome string

const (
	Surely      Outcome = "surely"      // it worked, and the lower end says so, too
	Worked      Outcome = "worked"      // by the best estimate
	DidNot      Outcome = "did_not"     // still over the threshold, or the upper end is too low
	NotKnown    Outcome = "cannot_tell" // the counts do not say
	GoodEnough          = 0.8           // share killed from which it worked
	leastToTell         = 6             // mites before, under which nothing is told
)

// Outcome weighs a share by how the colony stands now: where its count after is at or over
// the threshold it did not work, whatever the share. Where there is no agreed threshold for
// such a count the share alone decides, and now says that there is none.
func (k Killed) Outcome(now Standing) Outcome {
	switch {
	case now == Over:
		return DidNot
	case now == Uncounted || k.Measure == AfterAlone || k.Measure == "":
		return NotKnown
	case k.High < GoodEnough:
		return DidNot
	case k.Before < leastToTell || k.Share < GoodEnough:
		return NotKnown
	case k.Low >= GoodEnough:
		return Surely
	}
	return Worked
}

// Telling is what would tell where the counts do not: over how much to count, in days of a
// board or hundreds of bees. 0 for what is enough.
type Telling struct {
	Before float64 `json:"before,omitempty" doc:"Next time, before: days of a board, or bees of a wash."`
	After  float64 `json:"after,omitempty" doc:"Now, in all: days of a board, or bees of a wash."`
}

// WouldTell looks for the smallest sample that tells, at the rates that were counted.
func (p Pair) WouldTell(kind Kind) Telling {
	most, step, unit := MaxDays, 0.5, 1.0
	if kind == Wash {
		most, step, unit = MaxBees/100, 0.5, 100
	}
	if p.Before.Mites < leastToTell {
		if p.Before.Mites == 0 {
			return Telling{}
		}
		over := p.Before.Over * leastToTell / float64(p.Before.Mites)
		return Telling{Before: unit * min(float64(most), math.Ceil(over/step)*step)}
	}
	rate := float64(p.After.Mites) / p.After.Over
	for over := math.Ceil(p.After.Over/step+1e-9) * step; over <= float64(most); over += step {
		k, ok := Fewer([]Pair{{p.Before, Sample{int(math.Round(rate * over)), over}}}, nil)
		if ok && k.Outcome(NoThreshold) != NotKnown {
			return Telling{After: unit * over}
		}
	}
	return Telling{}
}
