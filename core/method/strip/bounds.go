package strip

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
)

// bounds of OAD in a brood box and in a colony: warned above, refused above
// (docs/sources.md, Bounds). They hold whatever liquor the pieces took up.
type bounds struct{ warnBox, mostBox, warnColony, mostColony chem.Grams }

var (
	stripBounds  = bounds{36, 120, 72, 300}
	spongeBounds = bounds{80, 250, 160, 750}
)

func (c Carrier) bounds() bounds {
	if c == Sponge {
		return spongeBounds
	}
	return stripBounds
}

// refuse names the figure that puts more acid into a box or colony than can be meant.
func (r Request) refuse(colonies []ColonyStrips, piece chem.Grams) error {
	b := r.Layout.Carrier.bounds()
	var l fault.List
	if each := float64(b.mostColony / piece); r.Size.By == SizeCount && r.Size.Each > each {
		l.AddRange("size.each", fault.TooStrong, 0.25, each, "a colony")
	}
	for i, c := range colonies {
		if c.OAD <= b.mostColony && c.fullest() <= b.mostBox {
			continue
		}
		// So many can all hang in one box, and in every box.
		most := math.Min(math.Floor(float64(b.mostBox/piece)), math.Floor(float64(b.mostColony/piece)/float64(len(c.Boxes))))
		switch {
		case c.ByHand:
			l.AddRange(fault.Index("colonies", i)+".placed", fault.TooStrong, 0, most, "a box")
		case r.Number.By == PerBees:
			l.AddRange("number.most_per_box", fault.TooStrong, 1, most, "a box")
		default:
			l.AddRange("number.each", fault.TooStrong, 1, most, "pieces")
		}
		break // the others go by the same figure
	}
	return l.Err()
}
