package dribble

import (
	"math"
	"testing"

	"keeler/core/chem"
	"keeler/core/mixing"
)

func holdOf(kind HoldKind) Request {
	r := Request{
		Hold: Hold{Kind: kind, Share: 1}, Aim: Aim{By: ByProtocol, Protocol: "medium"},
		Size:       Size{By: SizeVolume, Volume: 1000},
		Applicator: &Applicator{Device: Syringe, Size: 60},
	}.Settled()
	switch kind {
	case Packet:
		r.Hold.Grams, r.Hold.Share = 35, 0.89
	case Tablets:
		r.Hold.Grams, r.Hold.Share = 1, 0.9
	case ReadyMix:
		r.Hold.Stock = Stock{Value: 60, Form: chem.PerLitre, Basis: chem.Dihydrate}
	case ReadyToUse:
		r.Hold.Card = &Card{Name: "bottle", Actives: []Active{{Acid: Formic, Strength: 5}}, Rows: []CardRow{{UpTo: 20000, Volume: 50}}}
	}
	return r
}

// In every order each line of the plan comes once; what wants clean hands comes
// before the gear, acid after it; and weighed to the gram it makes the plan.
func TestOrders(t *testing.T) {
	seen := map[string]bool{}
	for _, o := range Orders {
		for _, kind := range o.For {
			r := holdOf(kind)
			p, err := New(r)
			if err != nil {
				t.Fatalf("%s: %v", kind, err)
			}
			w, err := Work(r, p, o.ID)
			if err != nil {
				t.Fatalf("%s by %s: %v", kind, o.ID, err)
			}
			seen[o.ID] = true
			geared, joins, weighed, ids := false, 0, map[mixing.Step]int{}, map[string]int{}
			var taken []mixing.Taken
			for _, a := range w.Acts {
				ids[a.ID]++
				geared = geared || len(a.Gear) > 0
				if a.Clean && geared {
					t.Errorf("%s by %s: %s wants clean hands after the gear", kind, o.ID, a.ID)
				}
				if a.Join {
					joins++
				}
				if a.Line == "" {
					continue
				}
				weighed[a.Line]++
				for i, part := range w.Parts {
					for _, step := range part.Steps {
						if step != a.Line {
							continue
						}
						if part.Gram.OAD > 0 && !geared {
							t.Errorf("%s by %s: acid at %s before the gear", kind, o.ID, a.ID)
						}
						for _, l := range p.Lines {
							if l.Step == step {
								taken = append(taken, mixing.Taken{Part: i, Mass: l.Mass})
							}
						}
					}
				}
			}
			if kind == ReadyToUse {
				if w.Acts[0].Gear[0] != mixing.ButylGloves {
					t.Error("nitrile against formic acid")
				}
				continue
			}
			for _, l := range p.Lines {
				if weighed[l.Step] != 1 {
					t.Errorf("%s by %s: %s is weighed %d times", kind, o.ID, l.Step, weighed[l.Step])
				}
			}
			if joins != 1 || len(ids) != len(w.Acts) {
				t.Errorf("%s by %s: %d joins, acts %v", kind, o.ID, joins, ids)
			}
			made := w.Made(taken)
			if math.Abs(made.Strength.Value-float64(p.Strength)) > 1e-6 || math.Abs(float64(made.Volume-p.Volume)) > 1e-3 {
				t.Errorf("%s by %s: makes %v g/L and %v mL, planned %v and %v", kind, o.ID, made.Strength.Value, made.Volume, p.Strength, p.Volume)
			}
		}
	}
	if len(seen) != len(Orders) {
		t.Errorf("tried %v", seen)
	}
	r := holdOf(Crystals)
	p, _ := New(r)
	if _, err := Work(r, p, ByTablets); err == nil {
		t.Error("crystals by the order of tablets")
	}
	// A third of a litre's water at 65 °C takes the acid; at 20 °C it would not.
	w, _ := Work(r, p, "")
	if temp, ok := w.Fold(nil, mixing.Scales{Balances: []mixing.Balance{{Division: 0.1}}}).JugTemp(w); !ok || temp < 25 || temp > 40 {
		t.Errorf("the jug must be %v °C", temp)
	}
}
