package wire

import (
	"bytes"
	"encoding/json"
	"keeler/core/chem"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
	"keeler/core/mixing"
	"testing"
)

// No figure of a request is ignored: each, changed alone, changes the answer.
func TestEveryFigureMatters(t *testing.T) {
	double := Box{Kind: "deep", Frames: 10, Seams: []float64{0, 1, 1, 1, 1, 1, 1, 1, 1, 0, 0}}
	hive := Colony{Name: "K1", Boxes: []Box{double, double}}

	pot := func() *StripRequest {
		return &StripRequest{Request: strip.Request{
			Aim: strip.Aim{Recipe: strip.Recipe{OAD: 500, Volume: 750}}, Glycerol: 0.95, Heat: 68, Layout: strip.Layout{Carrier: "strip"},
			Number: &strip.Number{By: "bees", Frames: 2.5}, Uptake: 20, Stays: 100, Size: StripSize{By: "colonies"}, Carried: StripCarried{Mass: 50, OAD: 0.3, Water: 0.01},
			Jig: StripJig{Slots: 3, Most: 4}, Balance: mixing.Balance{Division: 0.1, Capacity: 200},
			Prices: StripPrices{AcidKg: 10, GlycerolL: 5, Strip: 0.1},
		}, Colonies: []StripColony{{Colony: hive}}}
	}
	for name, change := range map[string]func(*StripRequest){
		"recipe.oad_g":        func(r *StripRequest) { r.Aim.OAD = 400 },
		"recipe.glycerol_ml":  func(r *StripRequest) { r.Aim.Volume = 700 },
		"recipe.glycerol_g":   func(r *StripRequest) { r.Aim.Volume, r.Aim.Glycerol = 0, 800 },
		"recipe.protocol":     func(r *StripRequest) { r.Aim = strip.Aim{Protocol: "one-to-one"} },
		"glycerol_percent":    func(r *StripRequest) { r.Glycerol = 0.99 },
		"warm_to_c":           func(r *StripRequest) { r.Heat = 60 },
		"carrier":             func(r *StripRequest) { r.Carrier = "long" },
		"between_boxes":       func(r *StripRequest) { r.Carrier, r.Between = "sponge", true },
		"number.frames":       func(r *StripRequest) { r.Number.Frames = 5 },
		"number.most_per_box": func(r *StripRequest) { r.Number.Most = new(2) },
		"number.each":         func(r *StripRequest) { r.Number = &strip.Number{By: "colony", Each: 1} },
		"uptake_g":            func(r *StripRequest) { r.Uptake = 21 },
		"stays_ml":            func(r *StripRequest) { r.Stays = 90 },
		"size":                func(r *StripRequest) { r.Size = StripSize{By: "times", Times: 0.2} },
		"colonies.placed":     func(r *StripRequest) { r.Colonies[0].Placed = [][]int{{3}, {4}} },
		"colonies.boxes.brood": func(r *StripRequest) {
			r.Colonies[0].Boxes = []Box{{Kind: "deep", Frames: 10, Seams: double.Seams, Brood: []bool{false, false, true}}, double}
		},
		"colonies.boxes.seams":  func(r *StripRequest) { r.Colonies[0].Boxes = []Box{double} },
		"carried.grams":         func(r *StripRequest) { r.Carried.Mass = 60 },
		"carried.oad_percent":   func(r *StripRequest) { r.Carried.OAD = 0.31 },
		"carried.water_percent": func(r *StripRequest) { r.Carried.Water = 0.02 },
		"headroom_percent":      func(r *StripRequest) { r.Headroom = new(chem.Share(1.5)) },
		"jig.slots":             func(r *StripRequest) { r.Jig.Slots = 2 },
		"jig.most":              func(r *StripRequest) { r.Jig.Most = 1 },
		"balance_g":             func(r *StripRequest) { r.Division = 1 },
		"balance_capacity_g":    func(r *StripRequest) { r.Capacity = 100 },
		"prices.acid_kg":        func(r *StripRequest) { r.Prices.AcidKg = 11 },
		"prices.glycerol_l":     func(r *StripRequest) { r.Prices.GlycerolL = 6 },
		"prices.strip":          func(r *StripRequest) { r.Prices.Strip = 0.2 },
	} {
		matters(t, "strip "+name, PlanStrip, pot, change)
	}

	acid := func() *PadRequest {
		reserve := chem.Share(0.1)
		return &PadRequest{Colonies: []Colony{hive, {Name: "N", Nuc: true, Boxes: []Box{double}}}, Request: pad.Request{
			Hold: PadHold{Kind: "acid", Label: 0.85, Volume: 20}, Working: 0.6,
			Aim:   pad.Aim{Rule: pad.Rule{Per: "box", ML: 20, At: 0.62, From: "above", Nuc: 7, Cap: 100, Visits: 3, Apart: 5}},
			Size:  PadSize{By: "visit", Reserve: &reserve},
			Sheet: PadSheet{Takes: 10, Width: 10, Length: 20}, Bottle: 500, Balance: mixing.Balance{Division: 0.1, Capacity: 1000},
			Prices: PadPrices{Stock: 12},
		}}
	}
	reserve, warm, sure, surer := chem.Share(0.2), chem.Celsius(25), chem.GramsPerMillilitre(0.004), chem.Celsius(3)
	for name, change := range map[string]func(*PadRequest){
		"hold.percent":          func(r *PadRequest) { r.Hold.Label = 0.8 },
		"hold.reading":          func(r *PadRequest) { r.Hold.Reading = &PadReading{Density: 1.19, Temp: &warm} },
		"hold.reading.off":      func(r *PadRequest) { r.Hold.Reading = &PadReading{Density: 1.1894, Temp: &warm, Off: &sure} },
		"hold.reading.temp_off": func(r *PadRequest) { r.Hold.Reading = &PadReading{Density: 1.1894, Temp: &warm, TempOff: &surer} },
		"hold.volume_ml":        func(r *PadRequest) { r.Hold.Volume = 15 },
		"hold.kind": func(r *PadRequest) {
			r.Hold = PadHold{Kind: "ready_pads", Card: &PadCard{Pure: 68, Per: "box", Each: 1, From: "above", Visits: 2}}
		},
		"working_percent":      func(r *PadRequest) { r.Working = 0.61 },
		"amount.per":           func(r *PadRequest) { r.Aim.Per = "colony" },
		"amount.ml":            func(r *PadRequest) { r.Aim.ML = 25 },
		"amount.at_percent":    func(r *PadRequest) { r.Aim.At = 0.7 },
		"amount.from":          func(r *PadRequest) { r.Aim.From = "below" },
		"amount.nuc_ml":        func(r *PadRequest) { r.Aim.Nuc = 9 },
		"amount.cap_ml":        func(r *PadRequest) { r.Aim.Cap = 30 },
		"amount.visits":        func(r *PadRequest) { r.Aim.Visits = 4 },
		"amount.days_apart":    func(r *PadRequest) { r.Aim.Apart = 6 },
		"amount.wick_one_cm2":  func(r *PadRequest) { r.Aim.One = 70 },
		"amount.wick_more_cm2": func(r *PadRequest) { r.Aim.More = 90 },
		"amount.protocol":      func(r *PadRequest) { r.Aim = pad.Aim{Protocol: "floor-sheet"} },
		"size.by":              func(r *PadRequest) { r.Size.By = "course" },
		"size.reserve_percent": func(r *PadRequest) { r.Size.Reserve = &reserve },
		"colonies.nuc":         func(r *PadRequest) { r.Colonies[1].Nuc = false },
		"sheet.takes_ml":       func(r *PadRequest) { r.Sheet.Takes = 9 },
		"sheet.width_cm":       func(r *PadRequest) { r.Sheet.Width = 11 },
		"sheet.length_cm":      func(r *PadRequest) { r.Sheet.Length = 21 },
		"bottle_ml":            func(r *PadRequest) { r.Bottle = 100 },
		"balance_g":            func(r *PadRequest) { r.Division = 1 },
		"balance_capacity_g":   func(r *PadRequest) { r.Capacity = 20 },
		"prices.stock":         func(r *PadRequest) { r.Prices.Stock = 13 },
	} {
		matters(t, "pad "+name, PlanPad, acid, change)
	}
}

func matters[In, Out any](t *testing.T, name string, plan func(In) (Out, error), request func() *In, change func(*In)) {
	t.Helper()
	written := func(r *In) []byte {
		answer, err := plan(*r)
		if err != nil {
			t.Fatalf("%s: %v", name, err)
		}
		raw, err := json.Marshal(answer)
		if err != nil {
			t.Fatal(err)
		}
		return raw
	}
	changed := request()
	change(changed)
	if bytes.Equal(written(request()), written(changed)) {
		t.Errorf("%s is ignored", name)
	}
}
