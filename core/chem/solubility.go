package chem

// oxalicSolubility is the OAA in g that dissolves in 100 g of water, by °C.
var oxalicSolubility = []point{
	{0, 3.5}, {10, 6.1}, {20, 9.5}, {30, 14.2}, {40, 21.5}, {50, 31.5}, {60, 44.3}, {70, 61}, {80, 84.5},
}

var clearAt = turned(oxalicSolubility)

// anhydrousPer100 is the OAA in 100 g of all the water there is: the crystal
// water of the dihydrate joins the water poured in. Sugar is not counted.
func anhydrousPer100(oad, water Grams) float64 {
	return 100 * AnhydrousShare * float64(oad) / (float64(water) + (1-AnhydrousShare)*float64(oad))
}

// Dissolves reports whether the acid dissolves in, or stays dissolved in, the
// water at a temperature between 0 and 80 °C (the table's ends hold beyond).
func Dissolves(oad, water Grams, t Celsius) bool {
	return anhydrousPer100(oad, water) <= interpolate(oxalicSolubility, float64(t))
}

// Saturation is the temperature at which the acid just stays dissolved in the
// water. It is 0 °C when the acid stays clear at freezing, and 80 °C when it
// takes 80 °C or more.
func Saturation(oad, water Grams) Celsius {
	have := anhydrousPer100(oad, water)
	return Celsius(interpolate(clearAt, have))
}

// MaxStrength is the strongest syrup, with the given sugar share of water and
// sugar, whose acid stays dissolved at t.
func MaxStrength(sugar Share, t Celsius) GramsPerLitre {
	s := interpolate(oxalicSolubility, float64(t)) / 100
	// Dissolved acid m in water w: 0.7142 m = s (w + 0.2858 m), here for w = 100 g.
	m := 100 * s / (AnhydrousShare - s*(1-AnhydrousShare))
	all := Syrup{OAD: Grams(m), Water: 100, Sugar: Grams(100 * float64(sugar) / (1 - float64(sugar)))}
	return all.Strength()
}
