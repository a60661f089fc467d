package bench

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
		got := Balance{Division: chem.Grams(c.division)}.Weigh(chem.Grams(c.mass))
		if math.Abs(float64(got.Show)-c.show) > 1e-9 || math.Abs(float64(got.Band)-c.band) > 1e-9 {
			t.Errorf("%g g at %g: got %v ± %v, want %g ± %g", c.mass, c.division, got.Show, got.Band, c.show, c.band)
		}
	}
	if part, coarse := (Balance{Division: 1}).Coarse(9); !coarse || math.Abs(float64(part)-0.5/9) > 1e-9 {
		t.Errorf("9 g on a 1 g balance must be called coarse, by 6 %%; got %v %v", part, coarse)
	}
	if _, coarse := (Balance{Division: 1}).Coarse(45); coarse {
		t.Error("45 g on a 1 g balance is 1.1 %, within what is accepted")
	}
}

// 3,150 g on a balance that carries 2,000 g are two loads of 1,575; 5,990 g in
// steps of 10 g three of 2,000 (1,996.7 rounded).
func TestLoads(t *testing.T) {
	for _, c := range []struct {
		mass, division, capacity, each float64
		loads                          int
	}{
		{3150, 1, 2000, 1575, 2}, {2000, 1, 2000, 2000, 1}, {2001, 1, 2000, 1001, 2}, {5990, 10, 2000, 2000, 3},
		{45, 0.1, 0, 45, 1}, // capacity not said
	} {
		b := Balance{Division: chem.Grams(c.division), Capacity: chem.Grams(c.capacity)}
		got := b.Weigh(chem.Grams(c.mass))
		if got.Loads != c.loads || math.Abs(float64(got.Each)-c.each) > 1e-9 {
			t.Errorf("%g g on %g/%g: %d × %v, want %d × %g", c.mass, c.division, c.capacity, got.Loads, got.Each, c.loads, c.each)
		}
	}
	for _, b := range []Balance{{0.1, 200, 0}, {1, 500, 0}, {5, 2000, 0}, {0.01, 50, 0}} {
		for mass := chem.Grams(0.5); mass < 9000; mass *= 1.037 {
			got := b.Weigh(mass)
			if off := math.Abs(float64(got.Each)*float64(got.Loads) - float64(got.Show)); off > float64(b.Division)*float64(got.Loads)/2+1e-9 {
				t.Fatalf("%v g on %+v: %d × %v is not %v", mass, b, got.Loads, got.Each, got.Show)
			}
			if got.Each > b.Capacity+1e-9 || got.Loads < 1 {
				t.Fatalf("%v g on %+v: %d × %v is more than it carries", mass, b, got.Loads, got.Each)
			}
		}
	}
	var l fault.List
	Balance{Division: 1, Capacity: 50}.Check(&l)
	if len(l) != 1 || l[0].Field != "balance_capacity_g" || l[0].Low != 100 {
		t.Errorf("a balance of 50 divisions: %v", l)
	}
	b := Balance{Division: 0.1, Capacity: 20}
	if err := b.Readable([]Line{Weighed("acid", 2000, b)}); err == nil {
		t.Error("a hundred loads must be refused")
	}
	if err := b.Readable([]Line{Weighed("acid", 0.04, b)}, "acid"); err == nil {
		t.Error("acid that reads 0.0 must be refused")
	}
}
