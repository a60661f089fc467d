package wire

import (
	"keeler/core/chem"
	"keeler/core/method/dribble"
)

func strength(s chem.GramsPerLitre, m chem.Medium) Strength {
	in := func(f chem.Form, b chem.Basis) float64 { return round(m.FromPerLitre(s, f, b)) }
	place := dribble.Ladder(s)
	return Strength{
		GPerL:         round(s),
		PercentWVOAD:  in(chem.PercentVolume, chem.Dihydrate),
		PercentWVOAA:  in(chem.PercentVolume, chem.Anhydrous),
		PercentWWOAD:  in(chem.PercentWeight, chem.Dihydrate),
		PercentWWOAA:  in(chem.PercentWeight, chem.Anhydrous),
		MgPerSeamOAD:  in(chem.PerSeam, chem.Dihydrate),
		MgPerSeamOAA:  in(chem.PerSeam, chem.Anhydrous),
		GPerColonyOAD: in(chem.PerColonyAtCap, chem.Dihydrate),
		GPerColonyOAA: in(chem.PerColonyAtCap, chem.Anhydrous),
		CapML:         round(m.Cap),
		Below:         place.Below,
		Above:         place.Above,
	}
}

func mixture(s chem.Syrup) Syrup {
	return Syrup{
		OADG: round(s.OAD), WaterG: round(s.Water), SugarG: round(s.Sugar),
		GPerML: round(s.Density()), VolumeML: round(s.Volume()),
	}
}

func colonyDoses(in []dribble.ColonyDose, s chem.GramsPerLitre) []ColonyDose {
	out := make([]ColonyDose, len(in))
	for i, d := range in {
		out[i] = ColonyDose{
			ColonyDose: d, Seams: float64(d.Quarters) / 4, Unreached: float64(d.Quarters-d.Reached) / 4,
			Mg: round(1000 * s.In(d.Given)),
		}
	}
	return out
}

func dribbleAnswer(p dribble.Plan) DribbleAnswer {
	out := DribbleAnswer{Plan: p, Strength: strength(p.Strength, p.Medium), Doses: colonyDoses(p.Doses, p.Strength)}
	if p.Made.Mass() == 0 {
		out.Strength.PercentWWOAD, out.Strength.PercentWWOAA = 0, 0
	} else {
		made := mixture(p.Made)
		out.Made = &made
	}
	return out
}
