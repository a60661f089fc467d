package wire

import "testing"

// By hand: 100 g of acid at 35 g/L are 2,857 mL, 57 hives at 50 mL; a strip takes 20 g of
// liquor, of which 0.65398 are glycerol, so that 1,000 g soak 76 whole strips.
func TestDoesOf(t *testing.T) {
	for _, c := range []struct {
		ingredient string
		left       float64
		want       *Does
	}{
		{"acid", 100, &Does{Hives: 57}}, {"acid", 0, nil}, {"acid", -20, nil},
		{"glycerol", 1000, &Does{Strips: 76}}, {"glycerol", 5, nil},
		{"carrier", 40, &Does{Strips: 40}}, {"product", 500, nil}, {"filter", 2, nil},
	} {
		got := DoesOf(c.ingredient, c.left)
		if (got == nil) != (c.want == nil) || got != nil && *got != *c.want {
			t.Errorf("%v of %s: %+v, want %+v", c.left, c.ingredient, got, c.want)
		}
	}
}
