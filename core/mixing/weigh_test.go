package mixing

import (
	"math"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
)

func TestWeigh(t *testing.T) {
	for _, c := range []struct{ mass, division, show, band float64 }{
		{9.183, 0.1, 9.2, 0.1},  // 1 % is 0.09: one division
		{45.02, 0.1, 45.0, 0.5}, // 1 % is 0.45, read as 0.5
		{157.4, 1, 157, 2},
		{9.183, 1, 9, 1},
		{0.237, 0.01, 0.24, 0.01},
	} {
		got := Balance{Division: chem.Grams(c.division)}.Weigh(chem.Grams(c.mass), c.mass < 100)
		if math.Abs(float64(got.Show)-c.show) > 1e-9 || math.Abs(float64(got.Band)-c.band) > 1e-9 {
			t.Errorf("%g g at %g: got %v ± %v, want %g ± %g", c.mass, c.division, got.Show, got.Band, c.show, c.band)
		}
	}
	// Of two divisions as near, the lower: 9.25 g at 0.5 is 9.0, 9.26 is 9.5.
	for mass, show := range map[chem.Grams]chem.Grams{9.25: 9, 9.26: 9.5} {
		if got := (Balance{Division: 0.5}).Weigh(mass, true); got.Show != show {
			t.Errorf("%v g at 0.5: %v, want %v", mass, got.Show, show)
		}
	}
	if off := (Balance{Division: 1}).Weigh(9, true).Off; math.Abs(float64(off)-0.5/9) > 1e-9 {
		t.Errorf("9 g on a 1 g balance are off by 5.6 %%, not %v", off)
	}
}

// 3,150 g on a balance that carries 2,000 g are two loads of 1,575; 5,990 g in
// steps of 10 g two of 2,000 and one of 1,990; 276.8 g of acid on one that carries
// 100 g three of 92.3, 92.3 and 92.2.
func TestLoads(t *testing.T) {
	for _, c := range []struct {
		mass, division, capacity, each, last float64
		loads                                int
	}{
		{3150, 1, 2000, 1575, 1575, 2}, {2000, 1, 2000, 2000, 2000, 1}, {2001, 1, 2000, 1001, 1000, 2},
		{5990, 10, 2000, 2000, 1990, 3}, {276.82, 0.1, 100, 92.3, 92.2, 3},
		{45, 0.1, 0, 45, 45, 1}, // capacity not said
	} {
		b := Balance{Division: chem.Grams(c.division), Capacity: chem.Grams(c.capacity)}
		got := b.Weigh(chem.Grams(c.mass), true)
		if got.Loads != c.loads || math.Abs(float64(got.Each)-c.each) > 1e-9 || math.Abs(float64(got.Last)-c.last) > 1e-9 {
			t.Errorf("%g g on %g/%g: %d × %v, last %v; want %d × %g, last %g", c.mass, c.division, c.capacity, got.Loads, got.Each, got.Last, c.loads, c.each, c.last)
		}
	}
	for _, b := range []Balance{{0.1, 200, 0}, {1, 500, 0}, {5, 2000, 0}, {0.01, 50, 0}} {
		for mass := chem.Grams(3); mass < 9000; mass *= 1.037 {
			for _, acid := range []bool{false, true} {
				got := b.Weigh(mass, acid)
				if got.Loads > MaxLoads {
					continue
				}
				if sum := got.Each*chem.Grams(got.Loads-1) + got.Last; math.Abs(float64(sum-got.Show)) > 1e-6 {
					t.Fatalf("%v g on %+v: %d × %v and %v is not %v", mass, b, got.Loads-1, got.Each, got.Last, got.Show)
				}
				if got.Each > b.Capacity+1e-9 || got.Loads < 1 {
					t.Fatalf("%v g on %+v: %d × %v is more than it carries", mass, b, got.Loads, got.Each)
				}
				// The bench weighs by the same rule.
				w, ok := Scales{Balances: []Balance{b}}.Weigh(mass, acid)
				if !ok || len(w.Loads) != got.Loads || w.Total != got.Show || w.Loads[0].Target != got.Each {
					t.Fatalf("%v g on %+v: docket %+v, bench %+v", mass, b, got, w)
				}
			}
		}
	}
	var l fault.List
	Balance{Division: 1, Capacity: 50}.Check(&l)
	if len(l) != 1 || l[0].Field != "balance_capacity_g" || l[0].Low != 100 {
		t.Errorf("a balance of 50 divisions: %v", l)
	}
	b := Balance{Division: 0.1, Capacity: 20}
	if err := b.Readable([]Line{WeighedAcid("acid", "acid", 2000, b)}); err == nil {
		t.Error("a hundred loads must be refused")
	}
	if err := b.Readable([]Line{WeighedAcid("acid", "acid", 0.04, b)}, "acid"); err == nil {
		t.Error("acid that reads 0.0 must be refused")
	}
}
