package wire

import (
	"errors"
	"math"
	"testing"

	"keeler/core/batch"
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/method/dribble"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
)

var (
	syrupLitre = &DribbleRequest{Request: dribble.Request{
		Hold: Hold{Kind: "crystals"}, Aim: Aim{By: "protocol", Protocol: "label-litre"}, Size: Size{By: "volume", Volume: 1000},
	}}
	fortyStrips = &StripRequest{Request: strip.Request{Aim: strip.Aim{Protocol: "two-to-three"}, Size: StripSize{By: "strips", Strips: 40}}}
	litreOf60   = &PadRequest{Request: pad.Request{
		Hold: PadHold{Kind: "acid", Label: 0.85}, Aim: pad.Aim{Protocol: "sponge-above"}, Size: PadSize{By: "working", Working: 1000},
	}}
	sixteenPads = &PadRequest{Request: pad.Request{
		Hold: PadHold{Kind: "ready_pads", Card: &PadCard{Pure: 68, Per: "colony", Each: 2, From: "above", Visits: 1}},
		Mean: &PadMean{Colonies: 8, Combs: 10},
	}}
	product = &DribbleRequest{Request: dribble.Request{
		Hold: Hold{Kind: "ready_to_use", Card: &Card{
			Actives: []Active{{Acid: "oxalic", Strength: 44, Basis: "dihydrate"}}, Rows: []CardRow{{Volume: 50}},
		}},
		Size: Size{By: "volume", Volume: 200},
	}}
)

// The composition of each kind of batch, and the strength that it makes. Syrup:
// 1000/998.68 of 35, 600 and 600 g, 35.046 g/L. Pot: 34.602 % of 800 g. Acid: 60 % of
// 1142.5 g. A product's 44 g/L in 200 mL are 8.8 g; of pads only the acid is known.
func TestCompositionAndStrength(t *testing.T) {
	for _, c := range []struct {
		name   string
		recipe Recipe
		method method.Name
		want   map[string]float64
		value  float64
		unit   string
		pieces int
	}{
		{"syrup", Recipe{Dribble: syrupLitre}, method.Dribble, map[string]float64{"oxalic_acid_dihydrate": 35.046, "water": 600.79, "sugar": 600.79}, 35.046, "g_per_l", 0},
		{"a product", Recipe{Dribble: product}, method.Dribble, map[string]float64{"oxalic_acid_dihydrate": 8.8}, 44, "g_per_l", 0},
		{"a pot", Recipe{Strip: fortyStrips}, method.Strip, map[string]float64{"oxalic_acid_dihydrate": 276.82, "glycerol": 520.57, "water": 2.616}, 34.602, "percent_ww", 40},
		{"acid", Recipe{Pad: litreOf60}, method.Pad, map[string]float64{"formic_acid": 685.5, "water": 457}, 60, "percent_ww", 0},
		{"pads", Recipe{Pad: sixteenPads}, method.Pad, map[string]float64{"formic_acid": 1088}, 0, "", 16},
	} {
		w, err := c.recipe.Work()
		if err != nil {
			t.Errorf("%s: %v", c.name, err)
			continue
		}
		composition := Components(w.Holds())
		if w.Method() != c.method || w.Pieces() != c.pieces || len(composition) != len(c.want) || len(w.Lines()) == 0 {
			t.Errorf("%s: got %+v", c.name, w)
		}
		for _, part := range composition {
			if want := c.want[part.Name]; math.Abs(part.Grams-want) > 0.01 {
				t.Errorf("%s: %v g %s, want %v", c.name, part.Grams, part.Name, want)
			}
		}
		s := StrengthOf(batch.Batch{Method: w.Method(), Holds: w.Holds(), Volume: w.Volume()})
		switch {
		case c.unit == "":
			if s != nil {
				t.Errorf("%s: a strength of what nobody knows: %+v", c.name, s)
			}
		case s == nil || s.Unit != c.unit || math.Abs(s.Value-c.value) > 0.001:
			t.Errorf("%s: strength %+v, want %v %s", c.name, s, c.value, c.unit)
		}
		if back := Components(Mixture(composition)); len(back) != len(composition) || back[0] != composition[0] {
			t.Errorf("%s: there and back %v", c.name, back)
		}
	}
}

// A recipe is of exactly one method, and its faults are found beneath it.
func TestRecipeOfOneMethod(t *testing.T) {
	bad := *fortyStrips
	bad.Size.Strips = 0
	for _, c := range []struct {
		name   string
		recipe Recipe
		field  string
		reason fault.Reason
	}{
		{"none", Recipe{}, "recipe", fault.Missing},
		{"two", Recipe{Dribble: syrupLitre, Pad: litreOf60}, "recipe", fault.NotFitting},
		{"one that cannot be", Recipe{Strip: &bad}, "recipe.strip.size.strips", fault.TooLow},
	} {
		_, err := c.recipe.Work()
		var l fault.List
		if !errors.As(Beneath("recipe.", err), &l) || l[0].Field != c.field || l[0].Reason != c.reason {
			t.Errorf("%s: got %v", c.name, err)
		}
	}
}

// 34.602 % may be written as 34.6; 34.4 is another liquor.
func TestCheckParent(t *testing.T) {
	parent := chem.Mixture{OAD: 500, Glycerol: 940, Water: 5}
	for percent, ok := range map[float64]bool{34.6: true, 34.69: true, 34.4: false, 50: false} {
		r := *fortyStrips
		r.Carried = StripCarried{Mass: 100, OAD: chem.Share(percent / 100)}
		if err := (Recipe{Strip: &r}).CheckParent(parent); (err == nil) != ok {
			t.Errorf("%v %%: %v", percent, err)
		}
	}
	for name, r := range map[string]Recipe{"nothing is carried": {Strip: fortyStrips}, "no pot": {Pad: litreOf60}} {
		if r.CheckParent(parent) == nil {
			t.Errorf("%s, and still it has a parent", name)
		}
	}
}

// The narrow calculations agree with the plan they are a part of.
func TestNarrowStripsAndPads(t *testing.T) {
	hives := []StripColony{{Colony: Colony{Name: "A", Boxes: []Box{{Kind: "deep", Frames: 10, Seams: []float64{0, 0, 1, 1, 1, 1, 1, 1, 0, 0, 0}}}}}}
	placed, err := PlaceStrips(StripPlacementRequest{Colonies: hives})
	if err != nil || placed.Colonies[0].Strips != 2 || placed.Colonies[0].Frames != 6 ||
		placed.Colonies[0].OAD != 0 || placed.Colonies[0].Boxes[0].OAD != 0 { // no pot, no acid
		t.Errorf("placement: %+v %v", placed, err)
	}
	d, err := DilutePad(PadDilutionRequest{
		Hold: PadHold{Kind: "acid", Label: 0.85}, Working: 0.60, Size: PadSize{By: "stock", Stock: 674.646},
	})
	if err != nil || math.Abs(float64(d.Dilution.WorkingML)-1000) > 0.01 || len(d.Lines) != 2 {
		t.Errorf("dilution: %+v %v", d, err)
	}
	temperature, sure, just := chem.Celsius(20), chem.GramsPerMillilitre(0), chem.Celsius(0)
	a, err := AssayPad(PadAssayRequest{PadReading{Density: 1.1425, Temp: &temperature, Off: &sure, TempOff: &just}})
	if err != nil || a.Percent != 60 || a.OffPercent != 0 {
		t.Errorf("assay: %+v %v", a, err)
	}
	if s := StripProtocols(); len(s) != 2 || math.Abs(s[0].Liquor.OADPercent-34.602) > 0.001 || s[1].Liquor.OADPercent != 50 || s[1].UptakeG != 0 {
		t.Errorf("protocols for strips: %+v", s)
	}
	for _, s := range PadProtocols() { // each is a plan that can be done, from 60 % as it is
		plan, err := PlanPad(PadRequest{Request: pad.Request{
			Hold: PadHold{Kind: "acid", Label: 0.60}, Aim: pad.Aim{Protocol: s.ID}, Size: PadSize{By: "visit"}, Mean: &PadMean{Colonies: 1, Combs: 10},
		}})
		if err != nil || plan.Course.Visits != s.Visits || string(plan.From) != s.From || plan.Dilution.Water != 0 {
			t.Errorf("%s: %+v %v", s.ID, plan.Course, err)
		}
	}
}
