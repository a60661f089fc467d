package syrup

import (
	"slices"

	"keeler/core/bench"
	"keeler/core/chem"
)

// The steps of the dribble, in the order of the work.
const (
	StepSugar      bench.Step = "sugar"       // set aside with clean hands, before the gear
	StepHotWater   bench.Step = "hot_water"   // part of the water, into the jug
	StepAcid       bench.Step = "acid"        // powder into the hot water, stirred till clear
	StepRestWater  bench.Step = "rest_water"  // after the sugar; stirred till clear, cooled
	StepAllWater   bench.Step = "all_water"   // warm, with the sugar stirred in: plain syrup
	StepTablets    bench.Step = "tablets"     // counted into the syrup
	StepStock      bench.Step = "stock"       // a bought solution, poured into the syrup
	StepWater      bench.Step = "water"       // to thin
	StepWarmBottle bench.Step = "warm_bottle" // a ready-to-use product, warmed and shaken by its label
)

// formicGear is for a product that holds some formic acid; its label may ask for more.
var formicGear = []bench.Gear{bench.ButylGloves, bench.Goggles}

// Water temperatures of the schools, °C.
const (
	hotWater  chem.Celsius = 65 // 60 to 70
	warmWater chem.Celsius = 40
	giveAt    chem.Celsius = 20 // 20 to 25
)

// GiveGear is what is worn in the yard: by the product's own acids, where it is one.
func GiveGear(card *Card) []bench.Gear {
	return append(slices.Clone(handling(card)), bench.WaterBottle)
}

// handling is the gear for what is liquid; nitrile is none against formic acid.
func handling(card *Card) []bench.Gear {
	if card != nil {
		for _, a := range card.Actives {
			if a.Acid == Formic {
				return formicGear
			}
		}
	}
	return bench.LiquidGear
}

// firstWater is the part of the water that is heated for the acid. Whatever stays
// dissolved in all the water at 20 °C dissolves in a third of it at 60 °C.
const firstWater = 1.0 / 3

// powderLines is the order for crystals, a packet or tablets. A packet's or
// tablet's filler stands for as much of the sugar.
func powderLines(h Hold, use Use, made chem.Syrup, b bench.Balance) []bench.Line {
	powder := h.gram()
	sugarMass, waterMass := made.Sugar-use.Amount*powder.Sugar, made.Water-use.Amount*powder.Water
	sugar := bench.Weighed(StepSugar, sugarMass, b)
	if h.Kind == Tablets {
		water := bench.Weighed(StepAllWater, waterMass, b)
		water.Temp = warmWater
		return []bench.Line{sugar, water, {Step: StepTablets, Mass: use.Amount, Count: int(use.Count), Gear: bench.CrystalGear, Acid: true}}
	}
	first := bench.Weighed(StepHotWater, waterMass*firstWater, b)
	first.Temp, first.Gear = hotWater, bench.CrystalGear
	acid := bench.WeighedAcid(StepAcid, use.Amount, b)
	rest := bench.Weighed(StepRestWater, waterMass-first.Mass, b)
	return []bench.Line{sugar, first, acid, rest}
}

func thinLines(t Thinning, b bench.Balance) []bench.Line {
	var lines []bench.Line
	if t.Sugar > 0 {
		lines = append(lines, bench.Weighed(StepSugar, t.Sugar, b))
	}
	if t.Water > 0 {
		water := bench.Weighed(StepWater, t.Water, b)
		water.Temp = warmWater
		lines = append(lines, water)
	}
	stock := bench.WeighedAcid(StepStock, t.Stock, b)
	stock.Volume, stock.Gear = t.StockVolume, bench.LiquidGear
	return append(lines, stock)
}

func readyLines(v chem.Millilitres, card *Card) []bench.Line {
	return []bench.Line{{Step: StepWarmBottle, Volume: v, Temp: giveAt, Gear: handling(card)}}
}
