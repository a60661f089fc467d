// Package strip is the extended release: acid cooked into glycerol, soaked up by
// strips or sponges, and where in the nest those go.
package strip

import "keeler/core/chem"

// Recipe is acid to glycerol as bought: by weight, or with the glycerol by volume.
type Recipe struct {
	OAD      chem.Grams       `json:"oad_g,omitempty" doc:"Own: g OAD, 1 to 25000; 0.1 to 1.1 g for each gram of glycerol."`
	Glycerol chem.Grams       `json:"glycerol_g,omitempty" doc:"Own: g glycerol as bought to that much acid, 1 to 60000; or give glycerol_ml."`
	Volume   chem.Millilitres `json:"glycerol_ml,omitempty" doc:"Own: mL glycerol as bought to that much acid, 1 to 50000."`
}

// Weight is the recipe's glycerol in g, for glycerol of a strength.
func (r Recipe) Weight(glycerol chem.Share) chem.Grams {
	if r.Glycerol > 0 {
		return r.Glycerol
	}
	return chem.Grams(float64(r.Volume) * float64(chem.GlycerolDensity(glycerol)))
}

// Made is the liquor that the recipe makes with glycerol of a strength.
func (r Recipe) Made(glycerol chem.Share) chem.Mixture {
	w := r.Weight(glycerol)
	pure := chem.Grams(float64(w) * float64(glycerol))
	return chem.Mixture{OAD: r.OAD, Glycerol: pure, Water: w - pure}
}

// Protocol is one established recipe and what it is soaked into.
type Protocol struct {
	ID      string
	Recipe  Recipe
	Carrier Carrier
	Uptake  chem.Grams // of liquor by one piece, to start from; 0 when it must be weighed
}

// Protocols is the table of established recipes, weakest first. Adding one is one
// entry here, its words in the interface and a row in its test. A pot of the
// first does 60 to 70 strips, so that 20 g a strip leaves a little over. Source:
// docs/sources.md, Strips.
var Protocols = []Protocol{
	{"two-to-three", Recipe{OAD: 500, Volume: 750}, Fibre, UsualUptake},
	{"one-to-one", Recipe{OAD: 500, Glycerol: 500}, Sponge, 0},
}

// DefaultProtocol is the protocol a new plan starts from.
const DefaultProtocol = "two-to-three"

// MostUptake is what a fibre strip takes up at most in the trade's pot: more
// would leave nothing over.
const MostUptake chem.Grams = 22

// Find looks a protocol up by its ID.
func Find(id string) (Protocol, bool) {
	for _, s := range Protocols {
		if s.ID == id {
			return s, true
		}
	}
	return Protocol{}, false
}

// Strength is the share of OAD in the liquor by mass.
func Strength(liquor chem.Mixture) chem.Share { return liquor.Share(liquor.OAD) }

// Standing says where a liquor stands among the protocols, each made with the same
// glycerol; "" beyond either end. Within half a per cent it stands on a protocol.
func Standing(strength, glycerol chem.Share) (below, above string) {
	for _, s := range Protocols {
		if strength < Strength(s.Recipe.Made(glycerol))*0.995 {
			return below, s.ID
		}
		below = s.ID
	}
	return below, ""
}

// Span is the strength of the weakest and of the strongest protocol.
func Span(glycerol chem.Share) (weakest, strongest chem.Share) {
	return Strength(Protocols[0].Recipe.Made(glycerol)), Strength(Protocols[len(Protocols)-1].Recipe.Made(glycerol))
}
