package dribble

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
)

// Bounds of a dribble (docs/sources.md, Bounds). Outside the usual span of OAD in a full seam
// a dose is unlikely to work or hard on bees; beyond the last figures it is refused.
const (
	SeamLow  chem.Milligrams = 110
	SeamHigh chem.Milligrams = 330
	seamMost chem.Milligrams = 1500
	// MostColony is the largest dose of any colony.
	MostColony chem.Millilitres = 250
)

// coarse is by how much a full seam may come out otherwise before it is warned about.
const coarse = 0.2

// largestStep is the coarsest graduation, squeeze or shot: a full seam's dose.
const largestStep chem.Millilitres = 5

// Strongest is the most OAD that any gap of the colony gets, by the gap itself or by
// the bees in a full seam, whichever is more.
func (d ColonyDose) Strongest() chem.Milligrams {
	most := d.SeamMilli
	for _, b := range d.Boxes {
		for _, g := range b.Gaps {
			most = max(most, g.OAD)
		}
	}
	return most
}

// refuse appends a fault for a dose beyond all sense, at the figure that it goes by.
func (d ColonyDose) refuse(c hive.Colony, r Rule, card *Card, l *fault.List) {
	if d.Given <= MostColony+1e-6 && d.Strongest() <= seamMost*(1+1e-9) {
		return
	}
	most := float64(MostColony)
	if s := d.Strongest(); s > 0 {
		most = min(most, float64(d.Given)*float64(seamMost/s))
	}
	field, least := "rule.full_seam_ml", 1.0
	switch {
	case card != nil && len(card.Rows) > 0:
		row, _ := card.row(r.reached(c).Bees())
		field = fault.Index("hold.card.rows", row) + ".dose_ml"
	case c.Nuc && r.NucFlat > 0:
		field, least = "rule.nuc_flat_ml", 0
	case !c.Nuc && r.Flat > 0:
		field, least = "rule.flat_ml", 0
	default:
		most = math.Min(most*float64(hive.Full)/float64(d.Reached), float64(r.Seam()))
	}
	l.AddRange(field, fault.TooStrong, least, most, "mL")
}
