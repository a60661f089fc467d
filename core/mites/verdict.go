package mites

import "math"

// Outcome is whether a treatment worked.
type Outcome string

const (
	Surely      Outcome = "surely"      // it worked, and the lower end says so, too
	Worked      Outcome = "worked"      // by the best estimate
	Points      Outcome = "points"      // it points that way: the interval reaches more mites than before
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
	case k.Low <= 0:
		return Points
	}
	return Worked
}

// Told reports whether the counts say whether it worked.
func (o Outcome) Told() bool { return o == Surely || o == Worked || o == DidNot }

// Telling is what would tell where the counts do not: over how much to count in each hive, in days of a
// board or bees of a wash. 0 for what is enough.
type Telling struct {
	Before float64 `json:"before,omitempty" doc:"Next time, before: days of a board, or bees of a wash."`
	After  float64 `json:"after,omitempty" doc:"Now, in all: days of a board, or bees of a wash."`
}

// WouldTell looks for the smallest count of each hive that tells, at the rates that were counted, against
// the controls and with the spread between hives as they are. The zero Telling: none would.
func WouldTell(kind Kind, treated, controls []Pair) Telling {
	most, step, unit := float64(MaxDays), 0.5, 1.0
	if kind == Wash {
		most, unit = MaxBees/100, 100
	}
	mites, before, after := 0, 0.0, 0.0
	for _, p := range treated {
		mites += p.Before.Mites
		before, after = max(before, p.Before.Over), max(after, p.After.Over)
	}
	if mites == 0 {
		return Telling{}
	}
	if mites < leastToTell {
		over := before * leastToTell / float64(mites)
		return Telling{Before: unit * min(most, math.Ceil(over/step)*step)}
	}
	for over := math.Ceil(after/step+1e-9) * step; over <= most; over += step {
		if k, ok := Fewer(countedOver(treated, over), countedOver(controls, over)); ok && k.Outcome(NoThreshold).Told() {
			return Telling{After: unit * over}
		}
	}
	return Telling{}
}

// countedOver is pairs as they would be counted after over so much, at their rates.
func countedOver(pairs []Pair, over float64) []Pair {
	var out []Pair
	for _, p := range pairs {
		if p.After.Over > 0 {
			rate := float64(p.After.Mites) / p.After.Over
			p.After = Sample{int(math.Round(rate * over)), over}
		}
		out = append(out, p)
	}
	return out
}
