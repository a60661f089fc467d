package syrup

import (
	"math"

	"keeler/core/bench"
	"keeler/core/chem"
)

// Step names one line of the docket, in the order of the work.
type Step string

const (
	StepSugar      Step = "sugar"       // set aside with clean hands, before the gear
	StepHotWater   Step = "hot_water"   // part of the water, into the jug
	StepAcid       Step = "acid"        // powder into the hot water, stirred till clear
	StepRestWater  Step = "rest_water"  // after the sugar; stirred till clear, cooled
	StepAllWater   Step = "all_water"   // warm, with the sugar stirred in: plain syrup
	StepTablets    Step = "tablets"     // counted into the syrup
	StepStock      Step = "stock"       // a bought solution, poured into the syrup
	StepWater      Step = "water"       // to thin
	StepWarmBottle Step = "warm_bottle" // a ready-to-use product, warmed and shaken by its label
)

// Gear is a piece of protection.
type Gear string

const (
	Gloves       Gear = "nitrile_gloves"
	ButylGloves  Gear = "butyl_gloves" // or neoprene: formic acid goes through nitrile fast
	Goggles      Gear = "goggles"
	ParticleMask Gear = "particle_mask" // P2 / N95 at least, P3 half mask better
	LongSleeves  Gear = "long_sleeves"
	WaterBottle  Gear = "water_bottle" // a squeeze bottle, for splashes in the yard
)

var (
	crystalGear = []Gear{Gloves, Goggles, ParticleMask, LongSleeves}
	liquidGear  = []Gear{Gloves, Goggles}
	formicGear  = []Gear{ButylGloves, Goggles}
)

// Water temperatures of the schools, °C.
const (
	hotWater  chem.Celsius = 65 // 60 to 70
	warmWater chem.Celsius = 40
	giveAt    chem.Celsius = 20 // 20 to 25
)

// handling is the gear for what is liquid; nitrile is none against formic acid.
func handling(card *Card) []Gear {
	if card != nil {
		for _, a := range card.Actives {
			if a.Acid == Formic {
				return formicGear
			}
		}
	}
	return liquidGear
}

// Line is one thing to weigh, count or pour.
type Line struct {
	Step   Step
	Mass   chem.Grams // exact; 0 for a product poured by volume
	Read   bench.Target
	Volume chem.Millilitres // beside the mass of a bought liquid
	Count  int              // tablets
	Water  chem.Celsius     // temperature of what is poured; 0 when it does not matter
	Gear   []Gear           // to be put on before this line
}

// firstWater is the part of the water that is heated for the acid. Whatever stays
// dissolved in all the water at 20 °C dissolves in a third of it at 60 °C.
const firstWater = 1.0 / 3

// bulkDivision is the division for sugar and water: whole grams once a part is
// heavy enough for that to be within 1 %.
func bulkDivision(mass, division chem.Grams) chem.Grams {
	if mass >= 100 {
		return max(division, 1)
	}
	return division
}

func weighed(step Step, mass, division chem.Grams) Line {
	return Line{Step: step, Mass: mass, Read: bench.Weigh(mass, division)}
}

// powderLines is the order for crystals, a packet or tablets. A packet's or
// tablet's filler stands for as much of the sugar.
func powderLines(h Hold, use Use, made chem.Syrup, division chem.Grams) []Line {
	sugarMass := max(made.Sugar-(use.Amount-made.OAD), 0)
	sugar := weighed(StepSugar, sugarMass, bulkDivision(sugarMass, division))
	waterDivision := bulkDivision(made.Water, division)
	if h.Kind == Tablets {
		water := weighed(StepAllWater, made.Water, waterDivision)
		water.Water = warmWater
		return []Line{sugar, water, {Step: StepTablets, Mass: use.Amount, Count: int(use.Count), Gear: crystalGear}}
	}
	all := bench.Weigh(made.Water, waterDivision)
	first := weighed(StepHotWater, made.Water*firstWater, waterDivision)
	first.Water, first.Gear = hotWater, crystalGear
	acid := weighed(StepAcid, use.Amount, division)
	rest := weighed(StepRestWater, made.Water-first.Mass, waterDivision)
	// The two parts shown add up to the water shown.
	rest.Read.Show = chem.Grams(math.Round(float64((all.Show-first.Read.Show)/waterDivision))) * waterDivision
	return []Line{sugar, first, acid, rest}
}

func thinLines(t Thinning, division chem.Grams) []Line {
	var lines []Line
	if t.Sugar > 0 {
		lines = append(lines, weighed(StepSugar, t.Sugar, bulkDivision(t.Sugar, division)))
	}
	if t.Water > 0 {
		water := weighed(StepWater, t.Water, bulkDivision(t.Water, division))
		water.Water = warmWater
		lines = append(lines, water)
	}
	stock := weighed(StepStock, t.Stock, bulkDivision(t.Stock, division))
	stock.Volume, stock.Gear = t.StockVolume, liquidGear
	return append(lines, stock)
}

func readyLines(v chem.Millilitres, card *Card) []Line {
	return []Line{{Step: StepWarmBottle, Volume: v, Water: giveAt, Gear: handling(card)}}
}
