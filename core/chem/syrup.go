package chem

// sugarDensity is the density in g/mL at 20 °C of sugar syrup by mass-% sucrose.
var sugarDensity = []point{
	{0, 0.9982}, {10, 1.0381}, {20, 1.0810}, {30, 1.1270}, {40, 1.1764}, {50, 1.2296},
	{55, 1.2575}, {60, 1.2865}, {65, 1.3163}, {70, 1.3472},
}

// OxalicVolume is the room that 1 g of OAD takes up in syrup, in mL.
const OxalicVolume = 0.65

// SugarDensity is the density at 20 °C of sugar in water, without acid.
// sugar is the sugar's share of water and sugar by mass, 0 to 0.70; the ends
// hold beyond. Between the rows of the table the error stays under 0.1 %.
func SugarDensity(sugar Share) GramsPerMillilitre {
	return GramsPerMillilitre(interpolate(sugarDensity, float64(sugar)*100))
}

// Syrup is a mixture by its masses: the truth from which every strength comes.
// A packet's filler is counted as sugar.
type Syrup struct{ OAD, Water, Sugar Grams }

// Mass is the sum of the parts.
func (s Syrup) Mass() Grams { return s.OAD + s.Water + s.Sugar }

// SugarShare is the sugar's share of water and sugar by mass, 0 to 1.
func (s Syrup) SugarShare() Share {
	if s.Water+s.Sugar <= 0 {
		return 0
	}
	return Share(s.Sugar / (s.Water + s.Sugar))
}

// Volume is the room at 20 °C: the sugar water by its density and 0.65 mL for
// each gram of OAD. 600 g water, 600 g sugar and 45 g OAD make 1005 mL.
func (s Syrup) Volume() Millilitres {
	solvent := float64(s.Water+s.Sugar) / float64(SugarDensity(s.SugarShare()))
	return Millilitres(solvent + OxalicVolume*float64(s.OAD))
}

// Strength is the OAD per litre; 0 for an empty mixture.
func (s Syrup) Strength() GramsPerLitre {
	v := s.Volume()
	if v <= 0 {
		return 0
	}
	return GramsPerLitre(float64(s.OAD) / float64(v) * 1000)
}

// Density is mass over volume; 0 for an empty mixture.
func (s Syrup) Density() GramsPerMillilitre {
	v := s.Volume()
	if v <= 0 {
		return 0
	}
	return GramsPerMillilitre(float64(s.Mass()) / float64(v))
}

// Scale multiplies every mass by k.
func (s Syrup) Scale(k float64) Syrup {
	return Syrup{Grams(float64(s.OAD) * k), Grams(float64(s.Water) * k), Grams(float64(s.Sugar) * k)}
}

// MakeSyrup gives the masses for a wanted volume, strength and sugar share of
// water and sugar: the inverse of Volume, Strength and SugarShare.
func MakeSyrup(v Millilitres, s GramsPerLitre, sugar Share) Syrup {
	oad := s.In(v)
	solvent := (float64(v) - OxalicVolume*float64(oad)) * float64(SugarDensity(sugar))
	return Syrup{
		OAD:   oad,
		Water: Grams(solvent * (1 - float64(sugar))),
		Sugar: Grams(solvent * float64(sugar)),
	}
}
