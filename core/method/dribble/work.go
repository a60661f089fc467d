package dribble

import (
	"slices"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/mixing"
)

// Orders of work. The two for powder are two protocols.
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
	tryWater  = mixing.Act{ID: "water_test", Kind: mixing.Test}
	sugarAct  = mixing.Act{ID: "sugar", Kind: mixing.WeighIt, Line: StepSugar, Clean: true}
	gearAct   = mixing.Act{ID: "gear", Kind: mixing.Do, Gear: mixing.CrystalGear, Check: true}
	hotAct    = mixing.Act{ID: "hot_water", Kind: mixing.WeighIt, Line: StepHotWater, Jug: true}
	heatAct   = mixing.Act{ID: "heat_water", Kind: mixing.Heat, Low: 60, High: 70}
	acidAct   = mixing.Act{ID: "acid", Kind: mixing.WeighIt, Line: StepAcid}
	acidClear = mixing.Act{ID: "acid_clear", Kind: mixing.Do, Check: true}
	allClear  = mixing.Act{ID: "all_clear", Kind: mixing.Do, Check: true, Join: true}
	coolAct   = mixing.Act{ID: "cool", Kind: mixing.Wait, Seconds: 3600, Low: giveAt, High: warmest}
	bottleAct = mixing.Act{ID: "bottle", Kind: mixing.Do, Check: true}
	stirSyrup = mixing.Act{ID: "stir_syrup", Kind: mixing.Do, Check: true}
)

// Orders is the table of orders of work, each for what is held. What needs clean hands comes
// before the gear, the gear before the acid: before the pinch of it that tries the water, too.
var Orders = []struct {
	mixing.Order
	For []HoldKind
}{
	{mixing.Order{ID: AcidFirst, Acts: []mixing.Act{
		sugarAct, gearAct, tryWater, hotAct, heatAct, acidAct, acidClear,
		{ID: "add_sugar", Kind: mixing.Do},
		{ID: "rest_water", Kind: mixing.WeighIt, Line: StepRestWater},
		allClear, coolAct, bottleAct,
	}}, []HoldKind{Crystals, Packet}},
	{mixing.Order{ID: SyrupFirst, Acts: []mixing.Act{
		sugarAct,
		{ID: "rest_water", Kind: mixing.WeighIt, Line: StepRestWater, Clean: true},
		stirSyrup, gearAct, tryWater, hotAct, heatAct, acidAct, acidClear,
		{ID: "join", Kind: mixing.Do},
		allClear, coolAct, bottleAct,
	}}, []HoldKind{Crystals, Packet}},
	{mixing.Order{ID: ByTablets, Acts: []mixing.Act{
		sugarAct,
		{ID: "all_water", Kind: mixing.WeighIt, Line: StepAllWater, Clean: true, Jug: true},
		stirSyrup, gearAct, tryWater,
		{ID: "tablets", Kind: mixing.CountIt, Line: StepTablets},
		allClear, coolAct, bottleAct,
	}}, []HoldKind{Tablets}},
	{mixing.Order{ID: ByThinning, Acts: []mixing.Act{
		sugarAct,
		{ID: "water", Kind: mixing.WeighIt, Line: StepWater, Clean: true},
		stirSyrup,
		{ID: "gear", Kind: mixing.Do, Gear: mixing.LiquidGear, Check: true},
		{ID: "stock", Kind: mixing.WeighIt, Line: StepStock},
		allClear, bottleAct,
	}}, []HoldKind{ReadyMix}},
	{mixing.Order{ID: AsBought, Acts: []mixing.Act{
		{ID: "gear", Kind: mixing.Do, Gear: mixing.LiquidGear, Check: true},
		{ID: "warm_bottle", Kind: mixing.Heat, Low: giveAt, High: warmest},
		{ID: "shake", Kind: mixing.Do},
	}}, []HoldKind{ReadyToUse}},
}

// Keepings are the rules of keeping a syrup. Warmth turns sugar and acid into
// HMF, which harms bees.
var Keepings = []mixing.Keeping{{Store: "room", Days: 1}, {Store: "fridge", Days: 7}}

// headroom of the jug: hot syrup stands 2 % higher, and it must be stirred.
const headroom chem.Share = 0.1

// Work is the plan as it is made, in an order; "" takes the first that fits what
// is held. Its fault names an order that does not.
func Work(r Request, p Plan, order string) (mixing.Work, error) {
	w := mixing.Work{Lines: p.Lines, Parts: parts(r), Headroom: headroom}
	if r.Hold.Kind == ReadyToUse {
		w.Bought = &mixing.Use{Lot: "product", Amount: float64(p.Volume)}
	} else {
		w.Measure, w.Aim, w.Dose = mixing.PerLitre, p.Made.Mixture(), mixing.Dose{Name: "full_seam", Volume: r.Rule.Seam()}
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
func parts(r Request) []mixing.Part {
	acid := mixing.Part{Name: "acid", Steps: []mixing.Step{StepAcid}, Gram: r.Hold.gram(), Dry: true, Lot: "acid"}
	switch r.Hold.Kind {
	case Tablets:
		acid.Name, acid.Lot, acid.Steps, acid.Each = "tablets", "tablets", []mixing.Step{StepTablets}, r.Hold.Grams
	case ReadyMix:
		acid.Name, acid.Lot, acid.Steps, acid.Dry = "stock", "ready_mix", []mixing.Step{StepStock}, false
		from := r.Hold.Stock.composition()
		acid.Gram = from.Scale(1 / float64(from.Mass())).Mixture()
	case ReadyToUse:
		return nil
	}
	return []mixing.Part{
		acid,
		{Name: "water", Steps: []mixing.Step{StepHotWater, StepRestWater, StepAllWater, StepWater}, Gram: chem.Mixture{Water: 1}},
		{Name: "sugar", Steps: []mixing.Step{StepSugar}, Gram: chem.Mixture{Sugar: 1}, Dry: true, Lot: "sugar"},
	}
}
