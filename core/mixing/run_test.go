package mixing

import (
	"math"
	"math/rand/v2"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
)

// litre is the medium protocol's litre: 45 g OAD, 600 g water, 600 g sugar.
func litre(share chem.Grams) Work {
	w := Work{
		Measure: PerLitre, Headroom: 0.1, Aim: chem.Mixture{OAD: 45, Water: 600, Sugar: 600},
		Parts: []Part{
			{Name: "acid", Steps: []Step{"acid"}, Gram: chem.Mixture{OAD: share, Sugar: 1 - share}, Dry: true},
			{Name: "water", Steps: []Step{"hot_water", "rest_water"}, Gram: chem.Mixture{Water: 1}},
			{Name: "sugar", Steps: []Step{"sugar"}, Gram: chem.Mixture{Sugar: 1}},
		},
	}
	acid := 45 / share
	w.Lines = []Line{{Step: "sugar", Mass: 600 - (acid - 45)}, {Step: "hot_water", Mass: 200}, {Step: "acid", Mass: acid}, {Step: "rest_water", Mass: 400}}
	w.Follow([]Act{
		{ID: "sugar", Kind: WeighIt, Line: "sugar"}, {ID: "gear", Kind: Do, Check: true},
		{ID: "hot_water", Kind: WeighIt, Line: "hot_water", Jug: true}, {ID: "heat", Kind: Heat, Low: 60, High: 70},
		{ID: "acid", Kind: WeighIt, Line: "acid"}, {ID: "never", Kind: WeighIt, Line: "nothing"},
		{ID: "rest_water", Kind: WeighIt, Line: "rest_water"}, {ID: "clear", Kind: Do, Check: true, Join: true},
	})
	return w
}

func took(act string, grams, off chem.Grams) Event {
	return Event{Kind: Added, Act: act, Grams: grams, Off: off}
}

// 45 g in 1004.6 mL are 44.8 g/L (600 + 600 g at 1.2296 g/mL are 975.93 mL, and
// 45 × 0.65 are 29.25). A gram of acid more or less moves that by 44.8/45 less
// what the volume grows, 44.8 × 0.65/1004.6: 0.966 g/L a gram, so ± 0.5 g is 0.48.
// A gram of water moves it by 44.8 × (about 0.95 mL a gram)/1004.6 = 0.042. What no balance
// shows: half a per cent of impurity is 0.225 g of acid for as much water, 0.23; one per cent of
// the water, 6 g, 0.25; the temperature half a per cent, 0.22. Limits are by √3 wider than a
// standard deviation, and 1.96 of those hold 95 %. A balance that errs in nothing leaves ± 0.46.
func TestAsMade(t *testing.T) {
	w := litre(1)
	m := w.Made([]Taken{{0, 45, 0.5}, {1, 600, 1}, {2, 600, 0}})
	if !near(m.Strength.Value, 44.77, 0.03) || !near(m.Strength.Off, 1.1316*math.Sqrt(0.48*0.48+0.042*0.042+0.23*0.23+0.25*0.25+0.22*0.22), 0.02) || m.Strength.Stand != Within {
		t.Errorf("as wanted: %+v", m.Strength)
	}
	if exact := w.Made([]Taken{{0, 45, 0}, {1, 600, 0}, {2, 600, 0}}); !near(exact.Strength.Off, 0.46, 0.02) {
		t.Errorf("by a balance that errs in nothing: %+v", exact.Strength)
	}
	if !near(float64(m.Volume), 1005, 1) || m.Ratio == nil || !near(m.Ratio.Value, 1, 1e-9) || !m.Right() {
		t.Errorf("as wanted: %+v", m)
	}
	if !near(float64(w.Room(m)), 1105.7, 1) {
		t.Errorf("room %v", w.Room(m))
	}
	for _, c := range []struct {
		acid, water, sugar chem.Grams
		strength, ratio    Stand
	}{
		{48, 600, 600, Above, Within}, // 6.4 % strong
		{42.5, 600, 600, Below, Within},
		{45, 600, 640, Within, Above}, // 6.7 % sweet; 2.5 % weak
		{45, 640, 600, Within, Below},
	} {
		m := w.Made([]Taken{{0, c.acid, 0}, {1, c.water, 0}, {2, c.sugar, 0}})
		if m.Strength.Stand != c.strength || m.Ratio.Stand != c.ratio || m.Right() {
			t.Errorf("%+v: %+v %+v", c, m.Strength, m.Ratio)
		}
	}
	if none := w.Made(nil); none.Strength.Value != 0 || none.Volume != 0 {
		t.Errorf("of nothing: %+v", none)
	}
}

// 60 g of acid where 45 were wanted are 4/3 of the batch: 200 g of water and of
// sugar more. A packet of 89 % brings its filler as sugar.
func TestMendByHand(t *testing.T) {
	w := litre(1)
	add, ok := w.Mend([]Taken{{0, 60, 0}, {1, 600, 0}, {2, 600, 0}})
	if !ok || len(add) != 2 || !near(float64(add[0].Mass), 200, 1e-6) || !near(float64(add[1].Mass), 200, 1e-6) {
		t.Errorf("too much acid: %v %v", add, ok)
	}
	add, ok = w.Mend([]Taken{{0, 40, 0}, {1, 600, 0}, {2, 600, 0}})
	if !ok || len(add) != 1 || add[0].Part != 0 || !near(float64(add[0].Mass), 5, 1e-6) {
		t.Errorf("too little acid: %v %v", add, ok)
	}
	bought := Work{Measure: PerLitre, Aim: chem.Mixture{OAD: 6, Water: 70, Sugar: 24}, Parts: []Part{
		{Name: "stock", Gram: chem.Mixture{OAD: 0.06, Water: 0.7, Sugar: 0.24}}, // used as it is
		{Name: "water", Gram: chem.Mixture{Water: 1}}, {Name: "sugar", Gram: chem.Mixture{Sugar: 1}},
	}}
	if add, ok = bought.Mend([]Taken{{0, 100, 0}, {1, 10, 0}}); ok {
		t.Errorf("water in a stock used as it is cannot be mended with the same stock: %v", add)
	}
}

// Whatever went wrong, after mending all weights together give what was wanted,
// and nothing is added that need not be.
func TestMendedIsAsWanted(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 3))
	works := []Work{litre(1), litre(0.89), {
		Measure: PercentOAD, Aim: chem.Mixture{OAD: 500, Glycerol: 940, Water: 5},
		Parts: []Part{{Name: "acid", Gram: chem.Mixture{OAD: 1}}, {Name: "glycerol", Gram: chem.Mixture{Glycerol: 0.995, Water: 0.005}},
			{Name: "carried", Gram: chem.Mixture{OAD: 0.3, Glycerol: 0.69, Water: 0.01}}},
	}, {
		Measure: PercentFormic, Aim: chem.Mixture{Formic: 600, Water: 400},
		Parts: []Part{{Name: "stock", Gram: chem.Mixture{Formic: 0.85, Water: 0.15}}, {Name: "water", Gram: chem.Mixture{Water: 1}}},
	}, {
		Measure: PerLitre, Aim: chem.Mixture{OAD: 45, Water: 600, Sugar: 600},
		Parts: []Part{{Name: "tablets", Gram: chem.Mixture{OAD: 0.9, Sugar: 0.1}, Each: 1},
			{Name: "water", Gram: chem.Mixture{Water: 1}}, {Name: "sugar", Gram: chem.Mixture{Sugar: 1}}},
	}}
	for n := range 4000 {
		w := works[n%len(works)]
		taken := make([]Taken, len(w.Parts))
		for i := range taken {
			taken[i] = Taken{Part: i, Mass: chem.Grams(900 * r.Float64() * r.Float64())}
		}
		before := w.Made(taken)
		add, ok := w.Mend(taken)
		if !ok {
			t.Fatalf("%d: %v cannot be mended", n, taken)
		}
		for _, a := range add {
			if a.Mass <= 0 {
				t.Fatalf("%d: takes out: %v", n, add)
			}
			if each := float64(w.Parts[a.Part].Each); each > 0 && !near(math.Mod(float64(a.Mass)/each+0.5, 1), 0.5, 1e-6) {
				t.Fatalf("%d: %v is no whole number of pieces", n, a.Mass)
			}
			taken = append(taken, Taken{Part: a.Part, Mass: a.Mass})
		}
		after := w.Made(taken)
		wanted := w.Measure.Strength(w.Aim)
		if !near(after.Strength.Value, wanted, 1e-6*wanted) || !after.Right() {
			t.Fatalf("%d: %v and then %v make %v, want %v", n, before.Mixture, add, after.Strength.Value, wanted)
		}
		mass := float64(after.Mixture.Mass())
		if mass < float64(before.Mixture.Mass()) || mass < float64(w.Aim.Mass())*(1-1e-6) {
			t.Fatalf("%d: less than before, or than wanted: %v g", n, mass)
		}
		if again, ok := w.Mend(taken); !ok || len(again) > 0 {
			t.Fatalf("%d: mended twice: %v", n, again)
		}
	}
}

// An overpour of the acid half-way: 60 g for 45. The rest of the water grows from
// 400 to 600 g, and the sugar, which is in, gets an act of its own for 200 g. The
// work goes on where it stood; noticed at the end, it goes back to the water.
func TestOverpourInTheMiddle(t *testing.T) {
	w := litre(1)
	events := []Event{took("sugar", 600, 0.5), took("hot_water", 200, 0.5), {Kind: Measured, Act: "heat", Temp: 65}, took("acid", 60, 0.05)}
	s := w.Fold(events, pair)
	if s.Comes.Strength.Stand != Above || s.Complete {
		t.Fatalf("60 g of acid: %+v", s.Comes.Strength)
	}
	m := s.Mending(w)
	if !m.Possible || len(m.Add) != 2 || m.Made.Strength.Stand != Within {
		t.Fatalf("mending: %+v", m)
	}
	s = w.Fold(append(events, Event{Kind: Corrected, Add: m.Add}), pair)
	byID := map[string]Station{}
	for _, st := range s.Stations {
		byID[st.ID] = st
	}
	if !near(float64(byID["rest_water"].Target), 600, 1e-6) || !near(float64(byID["more_sugar_1"].Target), 200, 1e-6) {
		t.Errorf("mended: %+v", s.Stations)
	}
	for from, want := range map[string]string{"acid": "acid", "clear": "rest_water"} {
		s := w.Fold(append(events, Event{Kind: Opened, Act: from}, Event{Kind: Corrected, Add: m.Add}), pair)
		if s.Stations[s.At].ID != want || s.Comes.Strength.Stand != Within {
			t.Errorf("from %q it goes on at %q to %+v", from, s.Stations[s.At].ID, s.Comes.Strength)
		}
	}
}

// 700 g of hot water for 200: all the water of 7/6 of the batch is in, so the rest
// of it is not wanted any more, and acid and sugar grow.
func TestNothingMoreOfIt(t *testing.T) {
	w := litre(1)
	events := []Event{took("sugar", 600, 0), took("hot_water", 700, 0)}
	m := w.Fold(events, pair).Mending(w)
	s := w.Fold(append(events, Event{Kind: Corrected, Add: m.Add}, took("acid", 52.5, 0), took("more_sugar_1", 100, 0), Event{Kind: Finished}), pair)
	if !s.Complete || !near(s.SoFar.Strength.Value, 44.77, 0.03) || s.Ended != Finished {
		t.Errorf("mended: %+v", s)
	}
	var l fault.List
	s.Ended = ""
	if s.Check(Event{Kind: Finished}, &l); len(l) > 0 {
		t.Errorf("water that is not wanted need not be weighed: %v", l)
	}
}

func TestRun(t *testing.T) {
	w := litre(1)
	s := w.Fold(nil, pair)
	if len(s.Stations) != 7 || s.Stations[s.At].ID != "sugar" || !near(s.Comes.Strength.Value, 44.77, 0.03) {
		t.Fatalf("at first: %+v", s)
	}
	if temp, ok := s.JugTemp(w); !ok || !near(float64(temp), 30.0, 3) {
		t.Errorf("45 g OAD in 200 g water go clear at %v", temp) // 32.1 g OAA in 212.9 g water: 15.1 g in 100, a little over 31 °C
	}
	// Two loads of sugar on a balance that carries 400 g, the first a gram short.
	small := Scales{Balances: []Balance{{1, 400, 0}}}
	s = w.Fold([]Event{took("sugar", 299, 0.5)}, small)
	if rest := s.Stations[0].Rest; len(rest.Loads) != 1 || rest.Loads[0].Target != 301 || s.Stations[0].Done {
		t.Errorf("after 299 of 600 g: %+v", rest)
	}
	// 1 % either way is enough; what was written wrongly is taken back.
	s = w.Fold([]Event{took("sugar", 595, 0.5)}, pair)
	if !s.Stations[0].Done || len(s.Stations[0].Rest.Loads) != 0 {
		t.Errorf("595 of 600 ± 6 g: %+v", s.Stations[0])
	}
	s = w.Fold([]Event{took("sugar", 59, 0.5), {Kind: Removed, Act: "sugar", Load: 0}, took("sugar", 600, 0.5)}, pair)
	if got := s.Stations[0].Added; len(got) != 1 || got[0].Mass != 600 {
		t.Errorf("taken back: %+v", got)
	}
	// Heat asks for its span; a check for a yes, and a no holds.
	s = w.Fold([]Event{{Kind: Measured, Act: "heat", Temp: 58}, {Kind: Answered, Act: "clear", Answer: No}}, pair)
	if s.Stations[3].Done || s.Stations[6].Done {
		t.Error("58 °C is not hot, and no is not clear")
	}
	s = w.Fold([]Event{{Kind: Measured, Act: "heat", Temp: 66}, {Kind: Answered, Act: "clear", Answer: Yes}, {Kind: Opened, Act: "clear"}}, pair)
	if !s.Stations[3].Done || !s.Stations[6].Done || s.At != 6 {
		t.Error("66 °C is hot, and yes is clear")
	}
}

func TestEventsRefused(t *testing.T) {
	w := litre(1)
	all := []Event{took("sugar", 600, 0), took("hot_water", 200, 0), took("acid", 45, 0), took("rest_water", 400, 0)}
	strong := []Event{all[0], all[1], took("acid", 48, 0), all[3]} // 6.4 % over
	for _, c := range []struct {
		field  string
		reason fault.Reason
		before []Event
		e      Event
	}{
		{"grams", fault.Doubtful, nil, took("acid", 90, 0)},    // twice the acid
		{"grams", fault.Doubtful, nil, took("sugar", 3000, 0)}, // five times the sugar
		{"grams", fault.Doubtful, all, took("acid", 45, 0)},    // the same again
		{"grams", fault.TooLow, nil, took("acid", -1, 0)},
		{"grams", fault.NotFinite, nil, took("acid", chem.Grams(math.NaN()), 0)},
		{"grams", fault.TooHigh, nil, took("acid", 1e9, 0)},
		{"off_g", fault.TooLow, nil, took("acid", 45, -1)},
		{"act", fault.Unknown, nil, took("spoon", 45, 0)},
		{"act", fault.NotFitting, nil, took("gear", 45, 0)},
		{"act", fault.NotFitting, nil, Event{Kind: Started, Act: "acid"}},
		{"kind", fault.Unknown, nil, Event{Kind: "shook", Act: "acid"}},
		{"load", fault.Unknown, nil, Event{Kind: Removed, Act: "acid"}},
		{"answer", fault.Unknown, nil, Event{Kind: Answered, Act: "clear", Answer: "perhaps"}},
		{"temp_c", fault.TooHigh, nil, Event{Kind: Measured, Act: "heat", Temp: 900}},
		{"acts[rest_water]", fault.Missing, all[:3], Event{Kind: Finished}},
		{"as_is", fault.OffRecipe, strong, Event{Kind: Finished}},
		{"kind", fault.Ended, []Event{{Kind: Discarded}}, took("acid", 45, 0)},
	} {
		var l fault.List
		w.Fold(c.before, pair).Check(c.e, &l)
		if len(l) != 1 || l[0].Field != c.field || l[0].Reason != c.reason {
			t.Errorf("%+v: %v, want %s %s", c.e, l, c.field, c.reason)
		}
	}
	sure := took("acid", 450, 0)
	sure.Sure = true
	for _, c := range []struct {
		before []Event
		e      Event
	}{{nil, sure}, {nil, took("acid", 60, 0.05)}, {nil, took("sugar", 1200, 0)}, {all, Event{Kind: Finished}}, {strong, Event{Kind: Finished, AsIs: true}}} {
		var l fault.List
		if w.Fold(c.before, pair).Check(c.e, &l); len(l) > 0 {
			t.Errorf("%+v: %v", c.e, l)
		}
	}
}

// 2 g too much of the acid come off with a spoon, until water is on it.
func TestSurplusComesOffDry(t *testing.T) {
	w := litre(1)
	in := []Event{took("sugar", 600, 0), took("hot_water", 200, 0), took("acid", 47, 0)}
	got, ok := w.Fold(in, pair).Surplus(w)
	if !ok || got.Act != "acid" || !near(float64(got.Mass), 2, 1e-9) {
		t.Errorf("dry: %+v %v", got, ok)
	}
	for _, e := range []Event{took("rest_water", 400, 0), {Kind: Answered, Act: "clear", Answer: Yes}} {
		if got, ok := w.Fold(append(in[:3:3], e), pair).Surplus(w); ok {
			t.Errorf("wetted by %s: %+v", e.Act, got)
		}
	}
	if got, ok := w.Fold([]Event{took("sugar", 600, 0), took("hot_water", 240, 0)}, pair).Surplus(w); ok {
		t.Errorf("water is no powder: %+v", got)
	}
}

// How fine a balance must be goes by all the acid in the vessel: half a gram after 44.5
// is known to 0.05/45 on 0.1 g, and needs no finer one.
func TestATopUpNeedsNoFinerBalance(t *testing.T) {
	w, s := litre(1), Scales{Balances: pair.Balances[1:]}
	s.Balances[0].Least = 0
	st := w.Fold([]Event{took("acid", 44.5, 0.05)}, s)
	for _, at := range st.Stations {
		if at.ID == "acid" && (len(at.Rest.Loads) == 0 && !at.Done || at.Rest.Finer != 0) {
			t.Errorf("the rest: %+v", at.Rest)
		}
	}
	// 45.9 g of acid with the rest as wanted: mended with water and sugar, and with 0.9 g
	// of acid where those were too much.
	st = w.Fold([]Event{took("sugar", 612, 1), took("hot_water", 200, 1), took("acid", 45, 0.05), took("rest_water", 412, 1)}, s)
	m := st.Mending(w)
	got, ok := st.WeighAddition(w, Addition{0, 0.9})
	if !m.Possible || !ok || got.Finer != 0 || !near(float64(got.Share), 0.05/45.9, 1e-5) {
		t.Errorf("0.9 g more: %+v %v", got, ok)
	}
}

// 45 g OAD take 59.97 g bicarbonate, and a litre of 60 % formic acid, 685.5 g
// pure, 1,251 g; in 10 g portions 6 and 126.
func TestDiscard(t *testing.T) {
	d := DiscardOf(chem.Mixture{OAD: 45, Water: 600})
	if !near(float64(d.Bicarbonate), 59.97, 0.02) || d.Portions != 6 || !near(float64(d.Gas), 17.17, 0.05) || !near(float64(d.Bucket), 1.333, 0.001) {
		t.Errorf("syrup: %+v", d)
	}
	if d = DiscardOf(chem.Mixture{Formic: 685.5}); !near(float64(d.Bicarbonate), 1251, 1) || d.Portions != 126 {
		t.Errorf("formic: %+v", d)
	}
	if d = DiscardOf(chem.Mixture{Sugar: 5}); d != (Discard{}) {
		t.Errorf("sugar: %+v", d)
	}
}
