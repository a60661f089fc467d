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
	"keeler/core/mixing"
)

// recipes are one of each kind that goes through the bench.
func recipes() map[string]Recipe {
	dribble := func(hold Hold, aim Aim) Recipe {
		return Recipe{Dribble: &DribbleRequest{Request: dribble.Request{Hold: hold, Aim: aim, Size: Size{By: "volume", Volume: 500}}}}
	}
	label := Aim{By: "protocol", Protocol: "label-litre"}
	return map[string]Recipe{
		"crystals":        dribble(Hold{Kind: "crystals"}, label),
		"packet":          dribble(Hold{Kind: "packet", Grams: 35, Share: 0.89, Count: 1}, label),
		"tablets":         dribble(Hold{Kind: "tablets", Grams: 1, Share: 1}, label),
		"ready mix":       dribble(Hold{Kind: "ready_mix", Stock: Stock{Value: 6, Form: "percent_wv", Basis: "dihydrate"}}, Aim{By: "value", Value: 4.5, Form: "percent_wv", Basis: "dihydrate"}),
		"strips":          {Strip: &StripRequest{Request: strip.Request{Aim: strip.Aim{Protocol: "two-to-three"}, Uptake: 20, Stays: 60, Size: StripSize{By: "strips", Strips: 12}}}},
		"anhydrous syrup": dribble(Hold{Kind: "crystals", Basis: "anhydrous"}, label),
		"anhydrous strips": {Strip: &StripRequest{Request: strip.Request{Aim: strip.Aim{Protocol: "two-to-three"}, Basis: "anhydrous", Uptake: 20, Stays: 60,
			Size: StripSize{By: "strips", Strips: 12}}}},
		"sponges": {Strip: &StripRequest{Request: strip.Request{Aim: strip.Aim{Protocol: "one-to-one"}, Layout: strip.Layout{Carrier: "sponge"}, Uptake: 60, Size: StripSize{By: "strips", Strips: 6}}}},
		"carried": {Strip: &StripRequest{Request: strip.Request{Aim: strip.Aim{Protocol: "two-to-three"}, Uptake: 20, Stays: 60, Size: StripSize{By: "strips", Strips: 12},
			Carried: StripCarried{Mass: 80, OAD: 0.346, Water: 0.0033}}}},
		"formic": {Pad: &PadRequest{Request: pad.Request{Hold: PadHold{Kind: "acid", Label: 0.85}, Working: 0.6, Aim: pad.Aim{Protocol: "sponge-above"},
			Size: PadSize{By: "visit"}, Mean: &PadMean{Colonies: 5, Combs: 10}}}},
	}
}

// mixed weighs everything as it is wanted.
func mixed(t *testing.T, m Mixing, scales mixing.Scales) mixing.State {
	t.Helper()
	var events []mixing.Event
	for range 200 {
		s := m.Fold(events, scales)
		next := -1
		for i, st := range s.Stations {
			if next < 0 && !st.Done && (st.Kind == mixing.WeighIt || st.Kind == mixing.CountIt) {
				next = i
			}
		}
		if next < 0 {
			return s
		}
		st := s.Stations[next]
		e := mixing.Event{Kind: mixing.Added, Act: st.ID, Load: len(st.Added)}
		if st.Kind == mixing.CountIt {
			e.Count = st.Line.Count
			e.Grams = m.Parts[st.Part].Each * chem.Grams(st.Line.Count)
		} else {
			e.Grams, e.Off = st.Rest.Loads[0].Target, scales.Balances[st.Rest.Balance].Off()
		}
		var l fault.List
		if s.Check(e, &l); len(l) > 0 {
			t.Fatalf("%+v: %v", e, l)
		}
		events = append(events, e)
	}
	t.Fatal("it never ends")
	return mixing.State{}
}

// Whatever is mixed: weighed as it is wanted it comes out within its band, with an
// uncertainty that is known, a fitting vessel, and nothing to mend; what comes off
// the stock is what was weighed.
func TestMixedAsWanted(t *testing.T) {
	balances := ScalesOf([]BenchBalance{{Balance: mixing.Balance{Division: 0.1, Capacity: 400}}, {Balance: mixing.Balance{Division: 1, Capacity: 3000}}}, 20)
	lots := map[string][]string{
		"crystals": {"acid", "sugar"}, "packet": {"acid", "sugar"}, "tablets": {"tablets", "sugar"}, "ready mix": {"ready_mix", "sugar"},
		"strips": {"acid", "glycerol", "carrier"}, "anhydrous syrup": {"acid", "sugar"}, "anhydrous strips": {"acid", "glycerol", "carrier"}, "sponges": {"acid", "glycerol", "carrier"}, "carried": {"acid", "glycerol", "carrier"}, "formic": {"formic"},
	}
	for name, recipe := range recipes() {
		m, err := recipe.Mixing("")
		if err != nil {
			t.Errorf("%s: %v", name, err)
			continue
		}
		if err := m.CheckBench(BeginBench{Balances: []BenchBalance{{Balance: mixing.Balance{Division: 0.1, Capacity: 400}}, {Balance: mixing.Balance{Division: 1, Capacity: 3000}}}, CupG: 20}); err != nil {
			t.Errorf("%s: %v", name, err)
		}
		s := mixed(t, m, balances)
		out := m.BenchState(s, balances, 1e6)
		if !out.Complete || out.Mending != nil || out.SoFar == nil || out.SoFar.Strength.Stand != "within" || out.SoFar.Strength.Off <= 0 ||
			out.RoomML <= out.SoFar.VolumeML || out.Discard.Bicarbonate <= 0 || len(out.Keepings) == 0 {
			t.Errorf("%s: %+v", name, out)
		}
		var got []string
		planned := m.Work.Needs()
		for i, o := range s.FromStock(m.Work, 12) {
			if n := planned[i]; n.Lot != o.Lot || n.Lot != "carrier" && math.Abs(n.Amount/o.Amount-1) > 0.02 { // as far as the balance reads
				t.Errorf("%s: planned %+v, taken %+v", name, n, o)
			}
			if o.Amount <= 0 {
				t.Errorf("%s: nothing of %s", name, o.Lot)
			}
			got = append(got, o.Lot)
		}
		if len(got) != len(lots[name]) {
			t.Errorf("%s comes from %v, want %v", name, got, lots[name])
		}
		mass := 0.0
		for _, c := range out.SoFar.Composition {
			mass += c.Grams
		}
		if math.Abs(mass-out.SoFar.MassG) > 1e-4 {
			t.Errorf("%s: parts of %v g in %v g", name, mass, out.SoFar.MassG)
		}
	}
}

// What is bought ready is counted or warmed; nothing is mixed, and none is weighed.
func TestProductsAtTheBench(t *testing.T) {
	label := &Card{Name: "By its label", Actives: []Active{{Acid: "oxalic", Strength: 44, Basis: "dihydrate"}}, Rows: []CardRow{{Volume: 50}}}
	for name, recipe := range map[string]Recipe{
		"solution": {Dribble: &DribbleRequest{Request: dribble.Request{Hold: Hold{Kind: "ready_to_use", Card: label}, Size: Size{By: "volume", Volume: 300}}}},
		"pads": {Pad: &PadRequest{Request: pad.Request{Hold: PadHold{Kind: "ready_pads", Card: &PadCard{Name: "Pads", Pure: 68, Per: "colony", From: "above", Each: 2, Visits: 1}},
			Size: PadSize{By: "visit"}, Mean: &PadMean{Colonies: 5, Combs: 10}}}},
	} {
		m, err := recipe.Mixing("")
		if err != nil {
			t.Errorf("%s: %v", name, err)
			continue
		}
		out := m.BenchState(m.Fold(nil, ScalesOf(UsualBalances().Balances, 0)), ScalesOf(UsualBalances().Balances, 0), 0)
		if out.SoFar != nil || out.Mending != nil || !out.Complete || len(out.Acts) < 2 || len(out.Acts[0].Gear) == 0 {
			t.Errorf("%s: %+v", name, out)
		}
	}
	if _, err := (Recipe{}).Mixing(""); err == nil {
		t.Error("nothing can be mixed of nothing")
	}
	var l fault.List
	if _, err := recipes()["crystals"].Mixing("tablets"); !errors.As(err, &l) || l[0].Field != "order" {
		t.Errorf("tablets of crystals: %v", err)
	}
}

// By hand: 35.05 g in 1000 mL are 3.505 % w/v as dihydrate, and × 0.7142 anhydrous.
func TestIsInAllBases(t *testing.T) {
	syrup := batch.Batch{Method: method.Dribble, Holds: chem.Mixture{OAD: 35.05, Water: 600.8, Sugar: 600.8}}
	is := Is(syrup)
	if is == nil || math.Abs(is.PercentWV-3.505) > 0.005 || math.Abs(is.PercentWVA-2.503) > 0.005 || math.Abs(is.PercentWW-100*35.05/1236.65) > 1e-6 {
		t.Errorf("%+v", is)
	}
	if is := Is(batch.Batch{Method: method.Pad, Holds: chem.Mixture{Formic: 136}}); is != nil {
		t.Errorf("a product: %+v", is)
	}
}

// Whatever goes in, the state can be written: no figure is none, and mending twice
// is mending once.
func FuzzBench(f *testing.F) {
	f.Add(45.0, 600.0, 600.0, uint8(0))
	f.Add(0.001, 199999.0, 1.0, uint8(4))
	all := []string{"crystals", "packet", "tablets", "ready mix", "strips", "carried", "formic"}
	scales := ScalesOf(UsualBalances().Balances, 0)
	f.Fuzz(func(t *testing.T, a, b, c float64, which uint8) {
		m, err := recipes()[all[int(which)%len(all)]].Mixing("")
		if err != nil {
			t.Fatal(err)
		}
		var events []mixing.Event
		for i, grams := range []float64{a, b, c} {
			s := m.Fold(events, scales)
			st := s.Stations[0]
			for k := range s.Stations {
				if s.Stations[k].Kind == mixing.WeighIt && i <= 0 || s.Stations[k].Kind == mixing.WeighIt && len(s.Stations[k].Added) == 0 {
					st = s.Stations[k]
				}
			}
			e := mixing.Event{Kind: mixing.Added, Act: st.ID, Grams: chem.Grams(grams), Sure: true}
			var l fault.List
			if s.Check(e, &l); len(l) == 0 {
				events = append(events, e)
			}
		}
		s := m.Fold(events, scales)
		out := m.BenchState(s, scales, 1000)
		for _, made := range []*BenchMade{out.SoFar, out.Comes} {
			for _, v := range []float64{made.Strength.Value, made.Strength.Off, made.VolumeML, made.MassG} {
				if math.IsNaN(v) || math.IsInf(v, 0) || v < 0 {
					t.Fatalf("%+v from %+v", made, events)
				}
			}
		}
		if add := m.MendingOf(s); len(add) > 0 {
			s = m.Fold(append(events, mixing.Event{Kind: mixing.Corrected, Add: m.Additions(add)}), scales)
			if !s.Comes.Right() {
				t.Fatalf("mended with %v it is %+v", add, s.Comes)
			}
		}
	})
}
