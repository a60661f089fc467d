package mixing

import "keeler/core/chem"

// Neutralise is the bicarbonate for what is left over and for the whole batch,
// and the carbon dioxide that each gives.
type Neutralise struct {
	Leftover, Whole       chem.Grams
	LeftoverGas, WholeGas chem.Litres
}

// Cost is in the currency of the prices; Known when a price was given.
type Cost struct {
	Total, PerColony float64
	Known            bool
}

// Bicarbonate neutralises all acids of a mixture, and tells the gas that this gives.
func Bicarbonate(m chem.Mixture) (chem.Grams, chem.Litres) {
	oxalic, gas := chem.Bicarbonate(m.OAD)
	formic, more := chem.FormicBicarbonate(m.Formic)
	return oxalic + formic, gas + more
}
