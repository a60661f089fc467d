package pad

import (
	"keeler/core/bench"
	"keeler/core/chem"
)

// Orders of work: the acid goes into the water, cold and outdoors; ready pads are
// only counted.
var (
	Diluting = bench.Order{ID: "dilution", Acts: []bench.Act{
		{ID: "cold_water", Kind: bench.WeighIt, Line: StepWater, Clean: true},
		{ID: "gear", Kind: bench.Do, Gear: bench.FormicGear, Check: true},
		{ID: "outdoors", Kind: bench.Do, Check: true},
		{ID: "stock", Kind: bench.WeighIt, Line: StepStock},
		{ID: "close", Kind: bench.Do, Check: true, Join: true},
	}}
	Counting = bench.Order{ID: "ready_pads", Acts: []bench.Act{
		{ID: "gear", Kind: bench.Do, Gear: bench.FormicGear, Check: true},
		{ID: "pads", Kind: bench.Do, Line: StepPads},
	}}
)

// Keepings: no school gives days for working acid; it keeps as its stock does.
var Keepings = []bench.Keeping{{Store: "closed"}}

// headroom of the bottle, so that it is never filled to the brim.
const headroom chem.Share = 0.05

// Work is the plan as it is made.
func Work(r Request, p Plan) bench.Work {
	w := bench.Work{Lines: p.Lines, Headroom: headroom}
	if r.Hold.Kind == ReadyPads {
		w.Follow(Counting.Acts)
		return w
	}
	w.Measure, w.Aim = bench.PercentFormic, p.Made
	w.Parts = []bench.Part{
		{
			Name: "stock", Steps: []bench.Step{StepStock}, Off: p.StockOff / p.Stock,
			Gram: chem.Mixture{Formic: chem.Grams(p.Stock), Water: chem.Grams(1 - p.Stock)},
		},
		{Name: "water", Steps: []bench.Step{StepWater}, Gram: chem.Mixture{Water: 1}},
	}
	w.Follow(Diluting.Acts)
	return w
}
