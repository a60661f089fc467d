package wire

import (
	"math"

	"keeler/core/chem"
	"keeler/core/syrup"
)

// round cleans a figure of binary dust, to six decimals: far finer than
// anything that is weighed or drawn up.
func round[T ~float64](v T) float64 { return math.Round(float64(v)*1e6) / 1e6 }

func strength(s chem.GramsPerLitre, m chem.Medium) Strength {
	in := func(f chem.Form, b chem.Basis) float64 { return round(m.FromPerLitre(s, f, b)) }
	place := syrup.Ladder(s)
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
var ingredients = map[syrup.Step]string{
	syrup.StepSugar: "sugar", syrup.StepHotWater: "water", syrup.StepRestWater: "water",
	syrup.StepAllWater: "water", syrup.StepWater: "water", syrup.StepTablets: "tablets",
	syrup.StepStock: "ready_mix", syrup.StepWarmBottle: "ready_to_use",
	syrup.StepAcid: "oxalic_acid_dihydrate",
}

func lines(in []syrup.Line, kind syrup.HoldKind) []Line {
	out := make([]Line, len(in))
	for i, l := range in {
		out[i] = Line{
			Step: string(l.Step), Ingredient: ingredients[l.Step],
			Grams: round(l.Mass), ShowG: round(l.Read.Show), BandG: round(l.Read.Band),
			VolumeML: round(l.Volume), Count: l.Count, WaterC: float64(l.Water),
		}
		if l.Step == syrup.StepAcid && kind == syrup.Packet {
			out[i].Ingredient = "packet_powder"
		}
		out[i].Gear = gear(l.Gear)
	}
	return out
}

func gear(in []syrup.Gear) []string {
	out := make([]string, len(in))
	for i, g := range in {
		out[i] = string(g)
	}
	return out
}

func colonyDoses(in []syrup.ColonyDose) []ColonyDose {
	out := make([]ColonyDose, len(in))
	for i, d := range in {
		out[i] = ColonyDose{
			Name: d.Name, Seams: float64(d.Quarters) / 4, Bees: d.Bees,
			AskedML: round(d.Asked), DoseML: round(d.Dose), ML: round(d.Given), Capped: d.Capped,
			SeamML: round(d.PerSeam), MgPerSeam: round(d.SeamMilli),
			Boxes: make([]BoxDose, len(d.Boxes)), Draws: make([]Draw, len(d.Draws)),
		}
		for j, b := range d.Boxes {
			gaps := make([]Gap, len(b.Gaps))
			for k, g := range b.Gaps {
				gaps[k] = Gap{Open: g.Open, Seam: float64(g.Seam) / 4, ML: round(g.Given)}
			}
			out[i].Boxes[j] = BoxDose{ML: round(b.Given), Gaps: gaps}
		}
		for j, w := range d.Draws {
			out[i].Draws[j] = Draw{ML: round(w.Volume), Count: round(w.Count)}
		}
	}
	return out
}

func planAnswer(p syrup.Plan, kind syrup.HoldKind) PlanAnswer {
	out := PlanAnswer{
		VolumeML:   round(p.Volume),
		Strength:   strength(p.Strength, p.Medium),
		Use:        Use{Grams: round(p.Use.Amount), Count: round(p.Use.Count), VolumeML: round(p.Use.Volume)},
		Lines:      lines(p.Lines, kind),
		GiveGear:   gear(p.GiveGear),
		Doses:      colonyDoses(p.Doses),
		GivenML:    round(p.Given),
		LeftoverML: round(p.Leftover),
		AtCap:      p.AtCap,
		FullSeams:  round(p.FullSeams),
		Neutralise: Neutralise{
			LeftoverG: round(p.Neutralise.Leftover), LeftoverGasL: round(p.Neutralise.LeftoverGas),
			WholeG: round(p.Neutralise.Whole), WholeGasL: round(p.Neutralise.WholeGas),
		},
		Notes: notes(p.Notes, kind),
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
	if p.Cost.Known {
		out.Cost = &Cost{Total: round(p.Cost.Total), PerColony: round(p.Cost.PerColony)}
	}
	return out
}
