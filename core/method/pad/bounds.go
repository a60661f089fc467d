package pad

import (
	"math"

	"keeler/core/chem"
)

// Pure formic acid that a brood box gets over a course, and over 28 days of any: warned above
// the first, refused above the second.
const (
	CourseHigh chem.Grams = 150
	CourseMost chem.Grams = 500
)

// bounds of pure formic acid in a brood box (docs/sources.md, Bounds): warned above, refused above.
type bounds struct{ warn, most chem.Grams }

var (
	shortVisit  = bounds{25, 100}
	shortCourse = bounds{CourseHigh, CourseMost}
	slowFilling = bounds{250, 500}
)

// Visits of a short course: above the first it is warned, above the second refused.
const (
	manyVisits = 6
	mostVisits = 15
)

// The largest figures of a rule and a card that are read at all.
const (
	maxML   = 500.0 // mL
	maxPads = 10
	maxName = 80 // characters
)

// visit bounds what a box gets at once.
func (r Rule) visit() bounds {
	if r.slow() {
		return slowFilling
	}
	return shortVisit
}

// BoxPure is the pure acid in each box of the colony at a visit.
func (a Amount) BoxPure() chem.Grams { return a.Pure / chem.Grams(max(a.Boxes, 1)) }

// perBox is the pure acid in the fullest box at a visit; 0 when nobody gets any.
func (r Request) perBox(rule Rule) chem.Grams {
	most := chem.Grams(0)
	for _, a := range r.amounts(rule) {
		most = max(most, a.BoxPure())
	}
	return most
}

// mostML is how much a rule of the keeper's own may give for its comb, box or colony, mL:
// as much as leaves every box within its bound. Where nobody is named it is one comb.
func (r Request) mostML(rule Rule, working chem.Share) float64 {
	const probe = 1000 // mL, so that rounding does not matter
	rule.ML, rule.Cap, rule.Nuc = probe, 0, 0
	box := r.perBox(rule)
	if box == 0 {
		box = chem.Grams(probe * potency(rule.At))
	}
	return math.Min(maxML, probe*float64(rule.visit().most/box))
}

// mostVisitsOf is how many visits leave every box within the bound of a course.
func (r Request) mostVisitsOf(rule Rule) float64 {
	box := r.perBox(rule)
	if rule.slow() || box == 0 {
		return mostVisits
	}
	return math.Max(1, math.Min(mostVisits, math.Floor(float64(shortCourse.most/box)+1e-9)))
}

// mostPads is how many pads of a card may lie on one box.
func (c Card) mostPads() float64 {
	return math.Min(maxPads, math.Floor(float64(slowFilling.most/c.Pure)+1e-9))
}
