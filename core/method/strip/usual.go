package strip

import "keeler/core/chem"

// What a plan goes by where the keeper says nothing; the number is DefaultNumber.
const (
	// UsualUptake is what a fibre strip takes up, g.
	UsualUptake chem.Grams = 20
	// UsualHeadroom is left above the liquor in the pot, of its volume.
	UsualHeadroom chem.Share = 0.30
	// UsualStays is offered for a tray: what must still stand in it to cover the strips, mL.
	UsualStays chem.Millilitres = 120
)

// Usual is what one's own recipe begins as: the default protocol's, its glycerol told both
// by volume and by weight, as bought at its strongest.
func Usual() Recipe {
	p, _ := Find(DefaultProtocol)
	r := p.Recipe
	r.Glycerol = r.Weight(chem.MaxGlycerol)
	return r
}
