package bench

import (
	"math"
	"testing"

	"keeler/core/chem"
)

func TestWeigh(t *testing.T) {
	for _, c := range []struct{ mass, division, show, band float64 }{
		{9.183, 0.1, 9.2, 0.1},  // 1 % is 0.09: one division
		{45.02, 0.1, 45.0, 0.5}, // 1 % is 0.45, read as 0.5
		{157.4, 1, 157, 2},
		{9.183, 1, 9, 1},
		{0.237, 0.01, 0.24, 0.01},
	} {
		got := Weigh(chem.Grams(c.mass), chem.Grams(c.division))
		if math.Abs(float64(got.Show)-c.show) > 1e-9 || math.Abs(float64(got.Band)-c.band) > 1e-9 {
			t.Errorf("%g g at %g: got %v ± %v, want %g ± %g", c.mass, c.division, got.Show, got.Band, c.show, c.band)
		}
	}
	if part, coarse := Coarse(9, 1); !coarse || math.Abs(float64(part)-1.0/9) > 1e-9 {
		t.Errorf("9 g on a 1 g balance must be called coarse, by 11 %%; got %v %v", part, coarse)
	}
	if _, coarse := Coarse(45, 1); coarse {
		t.Error("45 g on a 1 g balance is 2.2 %, within what is accepted")
	}
}
