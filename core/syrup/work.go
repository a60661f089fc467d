package syrup

import (
	"slices"

	"keeler/core/bench"
	"keeler/core/chem"
	"keeler/core/fault"
)

// Orders of work. The two for powder are two schools.
const (
	AcidFirst  = "acid-first"  // acid into a third of the water, then sugar, then the rest
	SyrupFirst = "syrup-first" // syrup made first, the acid dissolved apart and added
	ByTablets  = "tablets"
	ByThinning = "thinning"
	AsBought   = "as-bought"
)

// warmest is the upper end of what a syrup is given at, °C; see giveAt.
const warmest chem.Celsius = 25

// The acts that several orders share.
var (
	tryWater  = bench.Act{ID: "water_test", Kind: bench.Test}
	sugarAct  = bench.Act{ID: "sugar", Kind: bench.WeighIt, Line: StepSugar, Clean: true}
	gearAct   = bench.Act{ID: "gear", Kind: bench.Do, Gear: bench.CrystalGear, Check: true}
	hotAct    = bench.Act{ID: "hot_water", Kind: bench.WeighIt, Line: StepHotWater, Jug: true}
	heatAct   = bench.Act{ID: "heat_water", Kind: bench.Heat, Low: 60, High: 70}
	acidAct   = bench.Act{ID: "acid", Kind: bench.WeighIt, Line: StepAcid}
	acidClear = bench.Act{ID: "acid_clear", Kind: bench.Do, Check: true}
	allClear  = bench.Act{ID: "all_clear", Kind: bench.Do, Check: true, Join: true}
	coolAct   = bench.Act{ID: "cool", Kind: bench.Wait, Seconds: 3600, Low: giveAt, High: warmest}
	bottleAct = bench.Act{ID: "bottle", Kind: bench.Do, Check: true}
	stirSyrup = bench.Act{ID: "stir_syrup", Kind: bench.Do, Check: true}
)

// Orders is the table of orders of work, each for what is held. What needs clean
// hands comes before the gear, the gear before the acid.
var Orders = []struct {
	bench.Order
	For []HoldKind
}{
	{bench.Order{ID: AcidFirst, Acts: []bench.Act{
		tryWater, sugarAct, gearAct, hotAct, heatAct, acidAct, acidClear,
		{ID: "add_sugar", Kind: bench.Do},
		{ID: "rest_water", Kind: bench.WeighIt, Line: StepRestWater},
		allClear, coolAct, bottleAct,
	}}, []HoldKind{Crystals, Packet}},
	{bench.Order{ID: SyrupFirst, Acts: []bench.Act{
		tryWater, sugarAct,
		{ID: "rest_water", Kind: bench.WeighIt, Line: StepRestWater, Clean: true},
		stirSyrup, gearAct, hotAct, heatAct, acidAct, acidClear,
		{ID: "join", Kind: bench.Do},
		allClear, coolAct, bottleAct,
	}}, []HoldKind{Crystals, Packet}},
	{bench.Order{ID: ByTablets, Acts: []bench.Act{
		tryWater, sugarAct,
		{ID: "all_water", Kind: bench.WeighIt, Line: StepAllWater, Clean: true, Jug: true},
		stirSyrup, gearAct,
		{ID: "tablets", Kind: bench.CountIt, Line: StepTablets},
		allClear, coolAct, bottleAct,
	}}, []HoldKind{Tablets}},
	{bench.Order{ID: ByThinning, Acts: []bench.Act{
		sugarAct,
		{ID: "water", Kind: bench.WeighIt, Line: StepWater, Clean: true},
		stirSyrup,
		{ID: "gear", Kind: bench.Do, Gear: bench.LiquidGear, Check: true},
		{ID: "stock", Kind: bench.WeighIt, Line: StepStock},
		allClear, bottleAct,
	}}, []HoldKind{ReadyMix}},
	{bench.Order{ID: AsBought, Acts: []bench.Act{
		{ID: "gear", Kind: bench.Do, Gear: bench.LiquidGear, Check: true},
		{ID: "warm_bottle", Kind: bench.Heat, Low: giveAt, High: warmest},
		{ID: "shake", Kind: bench.Do},
	}}, []HoldKind{ReadyToUse}},
}

// Keepings are the rules of keeping a syrup. Warmth turns sugar and acid into
// HMF, which harms bees.
var Keepings = []bench.Keeping{{Store: "room", Days: 1}, {Store: "fridge", Days: 7}}

// headroom of the jug: hot syrup stands 2 % higher, and it must be stirred.
const headroom chem.Share = 0.1

// Work is the plan as it is made, in an order; "" takes the first that fits what
// is held. Its fault names an order that does not.
func Work(r Request, p Plan, order string) (bench.Work, error) {
	w := bench.Work{Lines: p.Lines, Parts: parts(r), Headroom: headroom}
	if r.Hold.Kind != ReadyToUse {
		w.Measure, w.Aim = bench.PerLitre, p.Made.Mixture()
	}
	for _, o := range Orders {
		if !slices.Contains(o.For, r.Hold.Kind) || order != "" && o.ID != order {
			continue
		}
		w.Follow(o.Acts)
		if r.Hold.Kind == ReadyToUse {
			w.Acts[0].Gear = handling(r.Hold.Card)
		}
		return w, nil
	}
	return w, fault.List{{Field: "order", Reason: fault.Unknown}}
}

// parts are the ingredients; a filler counts as sugar.
func parts(r Request) []bench.Part {
	acid := bench.Part{Name: "acid", Steps: []bench.Step{StepAcid}, Gram: r.Hold.gram(), Dry: true}
	switch r.Hold.Kind {
	case Tablets:
		acid.Name, acid.Steps, acid.Each = "tablets", []bench.Step{StepTablets}, r.Hold.Grams
	case ReadyMix:
		acid.Name, acid.Steps, acid.Dry = "stock", []bench.Step{StepStock}, false
		from := r.Hold.Stock.composition()
		acid.Gram = from.Scale(1 / float64(from.Mass())).Mixture()
	case ReadyToUse:
		return nil
	}
	return []bench.Part{
		acid,
		{Name: "water", Steps: []bench.Step{StepHotWater, StepRestWater, StepAllWater, StepWater}, Gram: chem.Mixture{Water: 1}},
		{Name: "sugar", Steps: []bench.Step{StepSugar}, Gram: chem.Mixture{Sugar: 1}, Dry: true},
	}
}
