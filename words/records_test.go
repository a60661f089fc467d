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

// The medicine record tells amounts to the last place that was written, and acids to the mg.
func TestRecordedFigures(t *testing.T) {
	for got, want := range map[string]string{
		Amount(102.5, "ml"):                "102.5 mL",
		Amount(0.25, "ml"):                 "0.25 mL",
		Amount(3, "pieces"):                "3 pieces",
		Amount(0, "ml"):                    "",
		Acids(1050.4, 0):                   "1050 mg oxalic acid dihydrate",
		Acids(0, 13707):                    "13.7 g formic acid",
		Acids(210, 9999):                   "210 mg oxalic acid dihydrate, 9999 mg formic acid",
		WithdrawalAfter(1):                 "1 day after it comes out",
		Recorded("out", "strip", "", 2, 1): "Strips taken out: 2, 1 missing",
	} {
		if got != want {
			t.Errorf("%q, want %q", got, want)
		}
	}
}
