package dribble

import (
	"slices"

	"keeler/core/chem"
	"keeler/core/mixing"
)

// The steps of the dribble, in the order of the work.
const (
	StepSugar      mixing.Step = "sugar"       // set aside with clean hands, before the gear
	StepHotWater   mixing.Step = "hot_water"   // part of the water, into the jug
	StepAcid       mixing.Step = "acid"        // powder into the hot water, stirred till clear
	StepRestWater  mixing.Step = "rest_water"  // after the sugar; stirred till clear, cooled
	StepAllWater   mixing.Step = "all_water"   // warm, with the sugar stirred in: plain syrup
	StepTablets    mixing.Step = "tablets"     // counted into the syrup
	StepStock      mixing.Step = "stock"       // a bought solution, poured into the syrup
	StepWater      mixing.Step = "water"       // to thin
	StepWarmBottle mixing.Step = "warm_bottle" // a ready-to-use product, warmed and shaken by its label
)

// formicGear is for a product that holds some formic acid; its label may ask for more.
var formicGear = []mixing.Gear{mixing.ButylGloves, mixing.Goggles}

// Water temperatures of the protocols, °C.
const (
	hotWater  chem.Celsius = 65 // 60 to 70
	warmWater chem.Celsius = 40
	giveAt    chem.Celsius = 20 // 20 to 25
)

// GiveGear is what is worn in the yard: by the product's own acids, where it is one.
func GiveGear(card *Card) []mixing.Gear {
	return append(slices.Clone(handling(card)), mixing.WaterBottle)
}

// fuming is the formic acid of a product, g per litre (10 %), from which it asks for the mask.
const fuming = 100

// handling is the gear for what is liquid; nitrile is none against formic acid.
func handling(card *Card) []mixing.Gear {
	if card == nil || !card.HoldsFormic() {
		return mixing.LiquidGear
	}
	formic := 0.0
	for _, a := range card.Actives {
		if a.Acid == Formic {
			formic += a.Strength
		}
	}
	if formic >= fuming {
		return append(slices.Clone(formicGear), mixing.GasMask)
	}
	return formicGear
}

// firstWater is the part of the water that is heated for the acid. Whatever stays
// dissolved in all the water at 20 °C dissolves in a third of it at 60 °C.
const firstWater = 1.0 / 3

// powderLines is the order for crystals, a packet or tablets. A packet's or
// tablet's filler stands for as much of the sugar.
func powderLines(h Hold, use Use, made chem.Syrup, b mixing.Balance) []mixing.Line {
	powder := h.gram()
	sugarMass, waterMass := made.Sugar-use.Amount*powder.Sugar, made.Water-use.Amount*powder.Water
	sugar := mixing.Weighed(StepSugar, "sugar", sugarMass, b)
	if h.Kind == Tablets {
		water := mixing.Weighed(StepAllWater, "water", waterMass, b)
		water.Temp = warmWater
		return []mixing.Line{sugar, water, {Step: StepTablets, Ingredient: "tablets", Mass: use.Amount, Count: int(use.Count), Gear: mixing.CrystalGear, Acid: true}}
	}
	first := mixing.Weighed(StepHotWater, "water", waterMass*firstWater, b)
	first.Temp, first.Gear = hotWater, mixing.CrystalGear
	ingredient := h.Basis.Crystals()
	if h.Kind == Packet {
		ingredient = "packet_powder"
	}
	acid := mixing.WeighedAcid(StepAcid, ingredient, use.Amount, b)
	rest := mixing.Weighed(StepRestWater, "water", waterMass-first.Mass, b)
	return []mixing.Line{sugar, first, acid, rest}
}

func thinLines(t Thinning, b mixing.Balance) []mixing.Line {
	var lines []mixing.Line
	if t.Sugar > 0 {
		lines = append(lines, mixing.Weighed(StepSugar, "sugar", t.Sugar, b))
	}
	if t.Water > 0 {
		water := mixing.Weighed(StepWater, "water", t.Water, b)
		water.Temp = warmWater
		lines = append(lines, water)
	}
	stock := mixing.WeighedAcid(StepStock, "ready_mix", t.Stock, b)
	stock.Volume, stock.Gear = t.StockVolume, mixing.LiquidGear
	return append(lines, stock)
}

func readyLines(v chem.Millilitres, card *Card) []mixing.Line {
	return []mixing.Line{{Step: StepWarmBottle, Ingredient: "ready_to_use", Volume: v, Temp: giveAt, Gear: handling(card)}}
}
