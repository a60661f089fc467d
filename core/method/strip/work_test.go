package strip

import (
	"math"
	"testing"

	"keeler/core/chem"
	"keeler/core/mixing"
)

// The trade's pot of 500 g to 945 g, 100 g of it carried over, worked in order:
// weighed to the gram it is as strong as planned.
func TestPotInOrder(t *testing.T) {
	r := forty()
	r.Carried = Carried{Mass: 100, OAD: 0.3, Water: 0.01}
	p, err := New(r)
	if err != nil {
		t.Fatal(err)
	}
	w := Work(r, p)
	geared, order := false, ""
	var taken []mixing.Taken
	for _, a := range w.Acts {
		order += a.ID + " "
		geared = geared || len(a.Gear) > 0
		for i, part := range w.Parts {
			if a.Line != part.Steps[0] {
				continue
			}
			if part.Gram.OAD > 0 && !geared {
				t.Errorf("%s before the gear", a.ID)
			}
			for _, l := range p.Lines {
				if l.Step == a.Line {
					taken = append(taken, mixing.Taken{Part: i, Mass: l.Mass})
				}
			}
		}
		if a.Kind == mixing.Heat && (a.Alarm != 77 || a.High > a.Alarm || a.Low > r.Heat || a.High < r.Heat) {
			t.Errorf("%s: %+v", a.ID, a)
		}
	}
	if order != "glycerol gear heat_pot carried acid heat_clear pour soak drain left seal " {
		t.Errorf("the order is %s", order)
	}
	if m := w.Made(taken); math.Abs(m.Strength.Value-100*float64(p.Strength)) > 1e-6 || m.Ratio != nil {
		t.Errorf("makes %+v, planned %v", m.Strength, p.Strength)
	}
	r.Layout.Carrier = Sponge
	if w = Work(r, p); w.Acts[7].ID != "turn" {
		t.Errorf("sponges are turned: %+v", w.Acts[7])
	}
}

// 1,445 g in and 205 g left by 62 strips: 20 g each. ± 1 g and ± 1 g are 1.414 g, at
// 95 % 1.600; one per cent of 1,445 g clings to the pot: together 14.54 g over 62.
func TestUptake(t *testing.T) {
	each, off := Uptake(1445, 1, 205, 1, 62)
	if math.Abs(float64(each)-20) > 1e-9 || math.Abs(float64(off)-0.23449) > 1e-4 {
		t.Errorf("each %v ± %v", each, off)
	}
	if each, off = Uptake(1445, 1, 205, 1, 0); each != 0 || off != 0 {
		t.Error("of no strips nothing can be said")
	}
	// Mean 20, deviations 1, 0, 1: variance 2/2. 1.96 of them and the 0.2 that all have in
	// common are 1.970, however many pots there were; of a single one its own ± stays.
	l := Learn([]Seen{{19, 0.2}, {20, 0.2}, {21, 0.2}})
	if l.Pots != 3 || math.Abs(float64(l.Each)-20) > 1e-9 || math.Abs(float64(l.Spread)-1) > 1e-9 || math.Abs(float64(l.Off)-1.9702) > 1e-4 {
		t.Errorf("learnt %+v", l)
	}
	if one := Learn([]Seen{{20, 0.23}}); one.Off != 0.23 || one.Spread != 0 {
		t.Errorf("of one pot: %+v", one)
	}
	for _, c := range []struct {
		l       Learnt
		each    chem.Grams
		strange bool
	}{
		{Learnt{}, 24.9, false}, {Learnt{}, 25.1, true}, {Learnt{}, 14.9, true}, {Learnt{}, -1, true}, // a quarter of the planned 20 g
		{l, 24.9, false}, {l, 25.1, true}, // a quarter of 20 g is more than three times 1 g
		{Learnt{Each: 10, Spread: 2, Pots: 4}, 15.9, false}, {Learnt{Each: 10, Spread: 2, Pots: 4}, 16.1, true},
	} {
		if got := c.l.Strange(c.each, UsualUptake); got != c.strange {
			t.Errorf("%v after %+v: strange %v", c.each, c.l, got)
		}
	}
}
