package dribble

import (
	"keeler/core/chem"
	"keeler/core/fault"
)

// Rule is how much of a syrup a colony gets.
type Rule struct {
	FullSeam *chem.Millilitres `json:"full_seam_ml,omitempty" doc:"mL for a full seam, part seams pro rata, 1 to 10; 5 when left out."`
	Cap      *chem.Millilitres `json:"cap_ml,omitempty" doc:"mL at most for a colony whatever its boxes, 5 to 100; 50 when left out."`
	Flat     chem.Millilitres  `json:"flat_ml,omitempty" doc:"mL for every full-size colony whatever its seams, up to the cap; 0 for by seam."`
	NucFlat  chem.Millilitres  `json:"nuc_flat_ml,omitempty" doc:"mL for every nuc, up to the cap; 0 for by seam."`
	// Source: docs/sources.md, Dribble.
	FromAbove bool `json:"from_above,omitempty" doc:"The boxes of a cluster across the joint are not parted: the topmost box with bees is dosed by its own seams, those below are not reached."`
	Label     bool `json:"by_label,omitempty" doc:"These are a label's figures: its doses are never rounded up, and they are refused beyond sense but not warned about."`
}

// Seam is what a full seam gets, Most what a colony gets at most.
func (r Rule) Seam() chem.Millilitres { return chem.Or(r.FullSeam, UsualSeam) }
func (r Rule) Most() chem.Millilitres { return chem.Or(r.Cap, UsualCap) }

func (r Rule) check(path string, l *fault.List) {
	l.Within(path+".full_seam_ml", float64(r.Seam()), 1, 10, "mL")
	l.Within(path+".cap_ml", float64(r.Most()), 5, 100, "mL")
	l.Within(path+".flat_ml", float64(r.Flat), 0, float64(r.Most()), "mL")
	l.Within(path+".nuc_flat_ml", float64(r.NucFlat), 0, float64(r.Most()), "mL")
}
