package batch

import "keeler/core/chem"

// Acids names the acids in it.
func (b Batch) Acids() []string {
	out := []string{}
	if b.Holds.OAD > 0 {
		out = append(out, "oxalic_acid_dihydrate")
	}
	if b.Holds.Formic > 0 {
		out = append(out, "formic_acid")
	}
	return out
}

// burns is the share of OAD from which a mixture is marked as burning: the liquor of
// strips is a third acid, every syrup a twentieth and less.
const burns chem.Share = 0.1

// Hazards names the marks on its vessel: all that holds these acids is poison, and formic
// acid, and liquor of a third acid, burn what they touch.
func (b Batch) Hazards() []string {
	out := []string{"poison"}
	if b.Holds.Formic > 0 || b.Holds.Share(b.Holds.OAD) >= burns {
		out = append(out, "corrosive")
	}
	return out
}
