package hive

import "testing"

// By the trade's rule: 2,200 bees in a full seam of a deep box, 1,500 of a medium and 1,200 of a shallow one; of a stack the
// mean, (2,200 + 1,500) ÷ 2 = 1,850.
func TestInASeam(t *testing.T) {
	for _, c := range []struct {
		boxes []Kind
		want  float64
	}{{nil, 2200}, {[]Kind{Deep}, 2200}, {[]Kind{Medium}, 1500}, {[]Kind{Deep, Medium}, 1850}, {[]Kind{Deep, Deep, Shallow}, 5600.0 / 3}} {
		if got := InASeam(c.boxes); got != c.want {
			t.Errorf("%v: %g, want %g", c.boxes, got, c.want)
		}
	}
}
