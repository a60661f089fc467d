package mixing

import "keeler/core/chem"

// Neutralise is the bicarbonate for what is left over and for the whole batch,
// and the carbon dioxide that each gives.
type Neutralise struct {
	Leftover    chem.Grams  `json:"leftover_g" doc:"g sodium bicarbonate for what is left over."`
	LeftoverGas chem.Litres `json:"leftover_gas_l" doc:"L carbon dioxide from it."`
	Whole       chem.Grams  `json:"whole_g" doc:"g sodium bicarbonate for the whole batch."`
	WholeGas    chem.Litres `json:"whole_gas_l" doc:"L carbon dioxide from it."`
}

// Cost is in the currency of the prices.
type Cost struct {
	Total     float64 `json:"total"`
	PerColony float64 `json:"per_colony"`
}

// Bicarbonate neutralises all acids of a mixture, and tells the gas that this gives.
func Bicarbonate(m chem.Mixture) (chem.Grams, chem.Litres) {
	oxalic, gas := chem.Bicarbonate(m.OAD)
	formic, more := chem.FormicBicarbonate(m.Formic)
	return oxalic + formic, gas + more
}
