package words

import "testing"

func TestRule(t *testing.T) {
	for _, c := range [][3]string{
		{"label", "", "By the product's label"}, {"permit", "no. 7", "Prescription or permit: no. 7"},
		{"own", "own hives", "Own mixture, where allowed: own hives"}, {"", "as taught", "as taught"},
	} {
		if got := Rule(c[0], c[1]); got != c[2] {
			t.Errorf("got %q, want %q", got, c[2])
		}
	}
}

// A mixture by a product's label is not called one's own.
func TestProduct(t *testing.T) {
	for _, c := range [][3]string{
		{"label", "A syrup", "A syrup"}, {"label", "", "as the product's label says"}, {"permit", "no. 7", "own mixture"}, {"own", "", "own mixture"},
	} {
		if got := Product(c[0], c[1]); got != c[2] {
			t.Errorf("got %q, want %q", got, c[2])
		}
	}
}
