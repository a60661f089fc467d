package wire

import (
	"keeler/core/chem"
	"keeler/core/method"
	"keeler/core/method/dribble"
	"keeler/core/mixing"
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

// ingredients names what each step handles; an acid line depends on what is held.
var ingredients = map[mixing.Step]string{
	dribble.StepSugar: "sugar", dribble.StepHotWater: "water", dribble.StepRestWater: "water",
	dribble.StepAllWater: "water", dribble.StepWater: "water", dribble.StepTablets: "tablets",
	dribble.StepStock: "ready_mix", dribble.StepWarmBottle: "ready_to_use",
	dribble.StepAcid: "oxalic_acid_dihydrate",
}

func lines(in []mixing.Line, held dribble.Hold) []Line {
	out := make([]Line, len(in))
	for i, l := range in {
		out[i] = line(l, ingredients[l.Step])
		switch {
		case l.Step != dribble.StepAcid:
		case held.Kind == dribble.Packet:
			out[i].Ingredient = "packet_powder"
		case held.Basis == chem.Anhydrous:
			out[i].Ingredient = "oxalic_acid_anhydrous"
		}
	}
	return out
}

func colonyDoses(in []dribble.ColonyDose, s chem.GramsPerLitre) []ColonyDose {
	out := make([]ColonyDose, len(in))
	for i, d := range in {
		out[i] = ColonyDose{
			Name: d.Name, Seams: float64(d.Quarters) / 4, Unreached: float64(d.Quarters-d.Reached) / 4, Bees: d.Bees,
			ShortML: round(d.Short), Mg: round(1000 * s.In(d.Given)),
			AskedML: round(d.Asked), DoseML: round(d.Dose), ML: round(d.Given), Capped: d.Capped,
			SeamML: round(d.PerSeam), MgPerSeam: round(d.SeamMilli),
			Boxes: make([]BoxDose, len(d.Boxes)), Draws: make([]Draw, len(d.Draws)),
		}
		for j, b := range d.Boxes {
			gaps := make([]Gap, len(b.Gaps))
			for k, g := range b.Gaps {
				gaps[k] = Gap{Open: g.Open, Seam: float64(g.Seam) / 4, ML: round(g.Given), Mg: round(g.OAD)}
			}
			out[i].Boxes[j] = BoxDose{ML: round(b.Given), Gaps: gaps}
		}
		for j, w := range d.Draws {
			out[i].Draws[j] = Draw{ML: round(w.Volume), Count: round(w.Count)}
		}
	}
	return out
}

func dribbleAnswer(p dribble.Plan, held dribble.Hold) DribbleAnswer {
	out := DribbleAnswer{
		VolumeML:   round(p.Volume),
		Strength:   strength(p.Strength, p.Medium),
		Use:        Use{Grams: round(p.Use.Amount), Count: round(p.Use.Count), VolumeML: round(p.Use.Volume)},
		Lines:      lines(p.Lines, held),
		GiveGear:   gear(p.GiveGear),
		Doses:      colonyDoses(p.Doses, p.Strength),
		GivenML:    round(p.Given),
		LeftoverML: round(p.Leftover),
		AtCap:      p.AtCap,
		FullSeams:  round(p.FullSeams),
		Neutralise: neutralise(p.Neutralise),
		Cost:       cost(p.Cost),
		Notes:      notes(method.Dribble, p.Notes),
	}
	if p.Use.Known {
		left := round(p.Use.Left)
		out.Use.Left = &left
	}
	if p.Made.Mass() == 0 {
		out.Strength.PercentWWOAD, out.Strength.PercentWWOAA = 0, 0
	} else {
		made := mixture(p.Made)
		out.Made = &made
		out.Clarity = &Clarity{
			SaturationC: round(p.Clarity.Saturation), Fridge: p.Clarity.Fridge, Yard: p.Clarity.Yard,
		}
	}
	return out
}
