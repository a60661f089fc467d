// Package chem holds the chemistry of the bench: quantities, strengths and
// their bases, densities, solubility and neutralising. SI-derived units inside;
// kitchen units exist only where people read and type.
//
// Its tables and molar masses are those of docs/sources.md, Substances.
package chem

type (
	// Grams is a mass in g.
	Grams float64
	// Milligrams is a mass in mg.
	Milligrams float64
	// Millilitres is a volume in mL at 20 °C unless said otherwise.
	Millilitres float64
	// Litres is a volume in L; used for gas.
	Litres float64
	// GramsPerLitre is a strength in g of oxalic acid dihydrate per litre of
	// finished liquid at 20 °C. Other forms are converted at the edge, see Form.
	GramsPerLitre float64
	// GramsPerMillilitre is a density in g/mL.
	GramsPerMillilitre float64
	// Celsius is a temperature in °C.
	Celsius float64
	// Share is a part of a whole, 0 to 1.
	Share float64
)

// In gives the mass of acid in a volume of this strength.
func (s GramsPerLitre) In(v Millilitres) Grams {
	return Grams(float64(s) * float64(v) / 1000)
}
