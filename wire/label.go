package wire

import "keeler/core/mixing"

// KindOf is what is in the vessel of a batch.
func KindOf(method string, leftover bool, held []Component) string {
	m := Mixture(held)
	switch {
	case leftover:
		return "liquor"
	case method == Strip:
		return "strips"
	case m.Water+m.Glycerol+m.Sugar == 0:
		return "product"
	case method == Pad:
		return "formic"
	}
	return "syrup"
}

// Amount is how much of a batch there was, in the unit of its account.
func Amount(unit string, volumeML float64, pieces int, held []Component) float64 {
	switch unit {
	case "pieces":
		return float64(pieces)
	case "g":
		return round(Mixture(held).Mass())
	}
	return round(volumeML)
}

// Acids names the acids in a batch.
func Acids(held []Component) []string {
	m, out := Mixture(held), []string{}
	if m.OAD > 0 {
		out = append(out, "oxalic_acid_dihydrate")
	}
	if m.Formic > 0 {
		out = append(out, "formic_acid")
	}
	return out
}

// Hazards names the marks on the vessel: all that holds these acids is poison, and
// formic acid, and liquor of a third acid, burn what they touch.
func Hazards(held []Component) []string {
	m, out := Mixture(held), []string{"poison"}
	if m.Formic > 0 || m.Share(m.OAD) >= burns {
		out = append(out, "corrosive")
	}
	return out
}

// burns is the share of OAD from which a mixture is marked as burning: the liquor of
// strips is a third acid, every syrup a twentieth and less.
const burns = 0.1

// MadeOf is what a run comes to, with its uncertainty; nil for a product.
func (m Mixing) MadeOf(s mixing.State) *BenchMade {
	if m.Measure == mixing.Unmeasured {
		return nil
	}
	return m.made(s.SoFar)
}
