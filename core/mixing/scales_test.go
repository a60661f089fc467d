package mixing

import (
	"math"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
)

func near(a, b, within float64) bool { return math.Abs(a-b) <= within }

// A kitchen balance of 1 g that carries 2 kg, and a fine one of 0.1 g for 200 g.
var pair = Scales{Balances: []Balance{{1, 2000, 20}, {0.1, 200, 1}}, Cup: 100}

// Each row by hand. ± is half a division for each load, in quadrature: 9 g on 1 g
// is 0.5/9 = 5.6 %. Beside a cup of 100 g the kitchen balance carries 1,900 g and
// the fine one 100 g: 3,150 g are two loads of 1,575, 1,901 g two of 951 and 950,
// and 100.4 g of acid 50.2 twice on the fine one (± 0.07 %) rather than one load on
// the other (± 0.5 %) only if fewer loads do not do: both are certain, so one load.
func TestWhichBalance(t *testing.T) {
	kitchen := Scales{Balances: pair.Balances[:1]}
	for _, c := range []struct {
		what  string
		s     Scales
		mass  chem.Grams
		acid  bool
		on    int
		loads []chem.Grams
		share float64
		finer chem.Grams
		light bool
	}{
		{"9 g on 1 g", kitchen, 9, true, 0, []chem.Grams{9}, 0.0556, 0.1, true},
		{"9 g where a fine one is at hand", pair, 9.04, true, 1, []chem.Grams{9}, 0.00556, 0, false},
		{"45 g, which 1 g knows to 1.1 %", pair, 45, true, 1, []chem.Grams{45}, 0.00111, 0, false},
		{"600 g sugar", pair, 600.3, false, 0, []chem.Grams{600}, 0.000833, 0, false},
		{"two kilograms and more", pair, 3150, false, 0, []chem.Grams{1575, 1575}, 0.000224, 0, false},
		{"odd over two loads", pair, 1901, false, 0, []chem.Grams{951, 950}, 0.000372, 0, false},
		{"acid in one load where that is certain", pair, 100.4, true, 0, []chem.Grams{100}, 0.005, 0, false},
	} {
		w, ok := c.s.Weigh(c.mass, c.acid)
		if !ok || w.Balance != c.on || len(w.Loads) != len(c.loads) || !near(float64(w.Share), c.share, 5e-5) || w.Finer != c.finer || w.Light != c.light {
			t.Errorf("%s: got %+v", c.what, w)
			continue
		}
		for i, l := range w.Loads {
			if !near(float64(l.Target), float64(c.loads[i]), 1e-9) {
				t.Errorf("%s: load %d is %v, want %v", c.what, i, l.Target, c.loads[i])
			}
		}
	}
	if _, ok := kitchen.Weigh(200000, false); ok {
		t.Error("a hundred loads are no way to weigh")
	}
}

// Whatever is weighed, the loads add up to the total as it is read, none is more
// than the balance carries beside the cup, and none is nothing.
func TestLoadsAddUp(t *testing.T) {
	for _, cup := range []chem.Grams{0, 37, 160} {
		s := pair
		s.Cup = cup
		for mass := chem.Grams(0.3); mass < 30000; mass *= 1.0173 {
			w, ok := s.Weigh(mass, true)
			if !ok {
				t.Fatalf("%v g beside %v g cannot be weighed", mass, cup)
			}
			b, sum := s.Balances[w.Balance], chem.Grams(0)
			for _, l := range w.Loads {
				sum += l.Target
				if l.Target <= 0 || l.Target > b.Capacity-cup+1e-9 {
					t.Fatalf("%v g beside %v g: a load of %v on %+v", mass, cup, l.Target, b)
				}
			}
			if !near(float64(sum), float64(w.Total), 1e-6) || !near(float64(sum), float64(mass), float64(b.Division)/2+1e-9) {
				t.Fatalf("%v g beside %v g: loads add up to %v, total %v", mass, cup, sum, w.Total)
			}
		}
	}
}

func TestScalesRefused(t *testing.T) {
	for field, s := range map[string]Scales{
		"balances":                       {},
		"balances[0].balance_g":          {Balances: []Balance{{Division: 20}}},
		"balances[1].balance_capacity_g": {Balances: []Balance{{Division: 1}, {Division: 1, Capacity: 50}}},
		"balances[0].balance_least_g":    {Balances: []Balance{{Division: 1, Capacity: 2000, Least: 400}}},
		"cup_g":                          {Balances: []Balance{{Division: 1, Capacity: 2000}}, Cup: 2000},
	} {
		var l fault.List
		s.Check(&l)
		if len(l) != 1 || l[0].Field != field {
			t.Errorf("%s: got %v", field, l)
		}
	}
	var l fault.List
	if pair.Check(&l); len(l) > 0 {
		t.Errorf("a kitchen balance and a fine one: %v", l)
	}
}
