// Package batch tells what is in the vessel of a batch, from its composition.
package batch

import (
	"keeler/core/chem"
	"keeler/core/method"
	"keeler/core/mixing"
)

// Batch is one that was planned or made. Of a bought product only the acids are known.
type Batch struct {
	Method   method.Name
	Holds    chem.Mixture
	Volume   chem.Millilitres // at 20 °C; 0 for what is counted
	Pieces   int              // strips or ready pads
	Unit     string           // of its ledger
	Leftover bool             // liquor that a pot left over
}

// Kind is what is in the vessel.
type Kind string

const (
	Syrup   Kind = "syrup"
	Liquor  Kind = "liquor"
	Strips  Kind = "strips"
	Formic  Kind = "formic"
	Product Kind = "product"
)

// product reports whether only the acid of something bought is known.
func (b Batch) product() bool { return b.Holds.Water+b.Holds.Glycerol+b.Holds.Sugar == 0 }

// makes is what each method makes, and what its mixtures are measured in.
var makes = map[method.Name]struct {
	kind    Kind
	measure mixing.Measure
}{
	method.Dribble: {Syrup, mixing.PerLitre}, method.Strip: {Strips, mixing.PercentOAD}, method.Pad: {Formic, mixing.PercentFormic},
}

// Kind tells what is in the vessel.
func (b Batch) Kind() Kind {
	switch {
	case b.Leftover:
		return Liquor
	case b.product():
		return Product
	}
	return makes[b.Method].kind
}

// Measure is what the strength is told in; a product's in nothing.
func (b Batch) Measure() mixing.Measure {
	if b.product() {
		return mixing.Unmeasured
	}
	return makes[b.Method].measure
}

// Strength is how strong it is: g OAD per litre of a syrup or a product to be poured, or
// acid by weight, %. known is false where only the acid is known and not how much it is in.
func (b Batch) Strength() (value float64, perLitre, known bool) {
	acid := b.Holds.OAD + b.Holds.Formic
	perLitre = makes[b.Method].measure == mixing.PerLitre
	switch {
	case perLitre && b.product():
		return 1000 * float64(b.Holds.OAD) / float64(b.Volume), true, true
	case perLitre:
		return mixing.PerLitre.Strength(b.Holds), true, true
	case b.product():
		return 0, false, false
	}
	return 100 * float64(b.Holds.Share(acid)), false, true
}

// Amount is how much of it there was, in its unit.
func (b Batch) Amount() float64 {
	switch b.Unit {
	case method.Pieces:
		return float64(b.Pieces)
	case method.Grams:
		return float64(b.Holds.Mass())
	}
	return float64(b.Volume)
}

// Is tells what it is without uncertainty, as planned; known is false for a product.
func (b Batch) Is() (made mixing.Made, known bool) {
	k := b.Measure()
	if k == mixing.Unmeasured {
		return made, false
	}
	whole := mixing.Work{Measure: k, Aim: b.Holds, Parts: []mixing.Part{{Gram: b.Holds.Take(1)}}}
	return whole.Made([]mixing.Taken{{Mass: b.Holds.Mass()}}), true
}

// Bicarbonate takes up the acid in an amount of it.
func (b Batch) Bicarbonate(amount float64) chem.Grams {
	if b.Amount() <= 0 {
		return 0
	}
	return mixing.DiscardOf(b.Holds.Times(chem.Grams(amount / b.Amount()))).Bicarbonate
}
