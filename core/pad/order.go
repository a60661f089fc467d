package pad

import (
	"keeler/core/bench"
	"keeler/core/chem"
)

// The steps of formic acid, in the order of the work: acid goes into water.
const (
	StepWater bench.Step = "cold_water" // from the fridge, into the bottle first
	StepStock bench.Step = "stock"      // cold, slowly into the water; or alone, poured out
	StepPads  bench.Step = "pads"       // ready pads, counted
)

// fridge is how cold stock and water are when they meet, °C.
const fridge chem.Celsius = 4

func (r Request) lines(d Dilution) []bench.Line {
	var out []bench.Line
	if d.Water > 1e-7 {
		water := bench.Weighed(StepWater, d.Water, r.Balance)
		water.Temp = fridge
		out = append(out, water)
	}
	stock := bench.WeighedAcid(StepStock, d.Stock, r.Balance)
	stock.Volume, stock.Temp, stock.Gear = d.StockML, fridge, bench.FormicGear
	return append(out, stock)
}
