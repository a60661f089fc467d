package pad

import (
	"keeler/core/chem"
	"keeler/core/mixing"
)

// Orders of work: the acid goes into the water, cold and outdoors; ready pads are
// only counted.
var (
	Diluting = mixing.Order{ID: "dilution", Acts: []mixing.Act{
		{ID: "cold_water", Kind: mixing.WeighIt, Line: StepWater, Clean: true},
		{ID: "gear", Kind: mixing.Do, Gear: mixing.FormicGear, Check: true},
		{ID: "outdoors", Kind: mixing.Do, Check: true},
		{ID: "stock", Kind: mixing.WeighIt, Line: StepStock},
		{ID: "close", Kind: mixing.Do, Check: true, Join: true},
	}}
	Counting = mixing.Order{ID: "ready_pads", Acts: []mixing.Act{
		{ID: "gear", Kind: mixing.Do, Gear: mixing.FormicGear, Check: true},
		{ID: "pads", Kind: mixing.Do, Line: StepPads},
	}}
)

// Keepings: no protocol gives days for working acid; it keeps as its stock does.
var Keepings = []mixing.Keeping{{Store: "closed"}}

// headroom of the bottle, so that it is never filled to the brim.
const headroom chem.Share = 0.05

// Work is the plan as it is made.
func Work(r Request, p Plan) mixing.Work {
	w := mixing.Work{Lines: p.Lines, Headroom: headroom}
	if r.Hold.Kind == ReadyPads {
		w.Bought = &mixing.Use{Lot: "ready_pads", Amount: float64(p.VisitPads)}
		w.Follow(Counting.Acts)
		return w
	}
	w.Measure, w.Aim, w.Dose = mixing.PercentFormic, p.Made, mixing.Dose{Name: "ten_ml", Volume: 10}
	w.Parts = []mixing.Part{
		{
			Name: "stock", Lot: "formic", Steps: []mixing.Step{StepStock}, Off: p.StockOff / p.Stock,
			Gram: chem.Mixture{Formic: chem.Grams(p.Stock), Water: chem.Grams(1 - p.Stock)},
		},
		{Name: "water", Steps: []mixing.Step{StepWater}, Gram: chem.Mixture{Water: 1}},
	}
	w.Follow(Diluting.Acts)
	return w
}
