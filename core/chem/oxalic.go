package chem

// Basis says as what an amount of oxalic acid is counted.
type Basis string

const (
	Dihydrate Basis = "dihydrate" // OAD, what is sold and weighed
	Anhydrous Basis = "anhydrous" // OAA, the same acid without its crystal water
)

// Crystals names what is weighed in, where the acid is on this basis.
func (b Basis) Crystals() string {
	if b == Anhydrous {
		return "oxalic_acid_anhydrous"
	}
	return "oxalic_acid_dihydrate"
}

const (
	// AnhydrousShare is the mass of OAA in 1 g of OAD: the molar masses
	// 90.03 and 126.07 g/mol, to the trade's four figures.
	AnhydrousShare = 0.7142

	molarDihydrate   = 126.07 // g/mol
	molarBicarbonate = 84.01  // g/mol, NaHCO3
	molarGas         = 24.05  // L/mol, an ideal gas at 20 °C and 1013 hPa
)

// ToDihydrate gives the amount counted as dihydrate of an amount counted on basis b.
func ToDihydrate(amount float64, b Basis) float64 {
	if b == Anhydrous {
		return amount / AnhydrousShare
	}
	return amount
}

// FromDihydrate is the inverse of ToDihydrate.
func FromDihydrate(amount float64, b Basis) float64 {
	if b == Anhydrous {
		return amount * AnhydrousShare
	}
	return amount
}

// Bicarbonate gives the sodium bicarbonate that neutralises m of OAD and the
// carbon dioxide that this sets free, at 20 °C. Two moles of bicarbonate take
// up one of oxalic acid and give two of gas: 1.33 g and 0.38 L for each gram.
func Bicarbonate(m Grams) (Grams, Litres) {
	moles := float64(m) / molarDihydrate
	return Grams(2 * moles * molarBicarbonate), Litres(2 * moles * molarGas)
}
