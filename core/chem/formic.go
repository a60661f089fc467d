package chem

// formicDensity is the density in g/mL at 20 °C of formic acid in water by mass-%.
var formicDensity = []point{
	{0, 0.998}, {10, 1.0247}, {20, 1.0489}, {30, 1.0730}, {40, 1.0964}, {50, 1.1208},
	{60, 1.1425}, {65, 1.1544}, {70, 1.1656}, {75, 1.1770}, {80, 1.1861}, {85, 1.1954},
	{90, 1.2045}, {95, 1.2141}, {100, 1.2213},
}

var formicByDensity = turned(formicDensity)

const (
	// FormicExpansion is by how much the density falls for each °C above 20.
	FormicExpansion = 0.0012 // g/mL
	molarFormic     = 46.03  // g/mol
)

// FormicDensity is the density at 20 °C of formic acid of a strength by mass, 0 to 1.
func FormicDensity(strength Share) GramsPerMillilitre {
	return GramsPerMillilitre(interpolate(formicDensity, float64(strength)*100))
}

// FormicVolume is the room at 20 °C of a mass of formic acid of a strength.
func FormicVolume(m Grams, strength Share) Millilitres {
	return Millilitres(float64(m) / float64(FormicDensity(strength)))
}

// FormicMass is the inverse of FormicVolume.
func FormicMass(v Millilitres, strength Share) Grams {
	return Grams(float64(v) * float64(FormicDensity(strength)))
}

// FormicDensities is the span of the table at t, between which a reading can be
// turned into a strength.
func FormicDensities(t Celsius) (low, high GramsPerMillilitre) {
	shift := FormicExpansion * float64(20-t)
	first, last := formicDensity[0], formicDensity[len(formicDensity)-1]
	return GramsPerMillilitre(first.y + shift), GramsPerMillilitre(last.y + shift)
}

// FormicStrength is the strength by mass of formic acid with a density read at
// t. The correction to 20 °C holds between 0 and 40 °C.
func FormicStrength(d GramsPerMillilitre, t Celsius) Share {
	at20 := float64(d) + FormicExpansion*float64(t-20)
	return Share(interpolate(formicByDensity, at20) / 100)
}

// FormicBicarbonate gives the sodium bicarbonate that neutralises a mass of pure
// formic acid and the carbon dioxide that this sets free, at 20 °C: one mole to
// one, 1.83 g and 0.52 L for each gram.
func FormicBicarbonate(pure Grams) (Grams, Litres) {
	moles := float64(pure) / molarFormic
	return Grams(moles * molarBicarbonate), Litres(moles * molarGas)
}
