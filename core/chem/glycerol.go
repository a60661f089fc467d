package chem

// The glycerol that is sold: the rest of it is water.
const (
	MinGlycerol Share = 0.86
	MaxGlycerol Share = 0.995
)

// glycerolDensity is the density in g/mL at 20 °C of glycerol by its mass-%.
var glycerolDensity = []point{{86, 1.23}, {99.5, 1.26}}

// GlycerolDensity is the density at 20 °C of glycerol of a strength between
// 0.86 and 0.995 by mass; the ends hold beyond.
func GlycerolDensity(strength Share) GramsPerMillilitre {
	return GramsPerMillilitre(interpolate(glycerolDensity, float64(strength)*100))
}

// LiquorVolume is the room at 20 °C of acid dissolved in glycerol and its water.
// The acid counts with 0.65 mL a gram as it does in syrup: an estimate, since
// nobody measured it in glycerol, good to about 3 %.
func LiquorVolume(m Mixture) Millilitres {
	solvent := m.Glycerol + m.Water
	if solvent <= 0 {
		return 0
	}
	return Millilitres(float64(solvent)/float64(GlycerolDensity(Share(m.Glycerol/solvent))) + OxalicVolume*float64(m.OAD))
}

// Heat that stirring the acid in takes out of a pot. The heats a degree are
// those of glycerol near 70 °C and of the dry acid; acidHeat is set so that the
// trade's pot of 500 g acid in 945 g glycerol cools by the 20 °C that is told of it.
const (
	glycerolHeat = 2.6   // J/g °C
	crystalHeat  = 1.3   // J/g °C
	acidHeat     = 124.3 // J/g: warming from the room and dissolving together
)

// Dip estimates by how many °C a warm pot cools when the acid goes in.
func Dip(acid, pot Grams) Celsius {
	if acid <= 0 {
		return 0
	}
	return Celsius(acidHeat * float64(acid) / (glycerolHeat*float64(pot) + crystalHeat*float64(acid)))
}
