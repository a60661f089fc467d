package dribble

import (
	"keeler/core/chem"
	"keeler/core/fault"
)

// Rule is how much of a syrup a colony gets.
type Rule struct {
	FullSeam chem.Millilitres // for a full seam; part seams pro rata
	Cap      chem.Millilitres // at most, whatever the number of boxes
	Flat     chem.Millilitres // over 0: every full-size colony gets this, whatever its seams
	NucFlat  chem.Millilitres // over 0: every nuc gets this; otherwise by seam
	// FromAbove: boxes are not parted, and the topmost one with bees is dosed by its
	// own seams; those below are not reached. Source: docs/sources.md, Dribble.
	FromAbove bool
	// Label: the figures are a label's. Its doses are never rounded up, and they are
	// refused beyond sense but not warned about.
	Label bool
}

// DefaultRule is 5 mL a full seam and at most 50 mL a colony. Source: docs/sources.md,
// Dribble.
var DefaultRule = Rule{FullSeam: 5, Cap: 50}

func (r Rule) check(path string, l *fault.List) {
	l.Within(path+".full_seam_ml", float64(r.FullSeam), 1, 10, "mL")
	l.Within(path+".cap_ml", float64(r.Cap), 5, 100, "mL")
	l.Within(path+".flat_ml", float64(r.Flat), 0, float64(r.Cap), "mL")
	l.Within(path+".nuc_flat_ml", float64(r.NucFlat), 0, float64(r.Cap), "mL")
}
