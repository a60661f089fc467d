package pad

import (
	"keeler/core/chem"
	"keeler/core/mixing"
)

// The steps of formic acid, in the order of the work: acid goes into water.
const (
	StepWater mixing.Step = "cold_water" // from the fridge, into the bottle first
	StepStock mixing.Step = "stock"      // cold, slowly into the water; or alone, poured out
	StepPads  mixing.Step = "pads"       // ready pads, counted
)

// fridge is how cold stock and water are when they meet, °C.
const fridge chem.Celsius = 4

func (r Request) lines(d Dilution) []mixing.Line {
	var out []mixing.Line
	if d.Water > 1e-7 {
		water := mixing.Weighed(StepWater, "water", d.Water, r.Balance)
		water.Temp = fridge
		out = append(out, water)
	}
	stock := mixing.WeighedAcid(StepStock, "formic_acid", d.Stock, r.Balance)
	stock.Volume, stock.Temp, stock.Gear = d.StockML, fridge, mixing.FormicGear
	return append(out, stock)
}
