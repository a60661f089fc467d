package batch_test

import (
	"math"
	"slices"
	"testing"

	. "keeler/core/batch"
	"keeler/core/chem"
	"keeler/core/method"
)

// A litre of the label's syrup is 35.05 g OAD in 600.8 g of water and sugar each; the
// liquor of a pot 346 g OAD in 654 g; working acid 60 %; a product 44 g OAD in a litre.
func TestWhatABatchIs(t *testing.T) {
	for _, c := range []struct {
		what     string
		is       Batch
		kind     Kind
		strength float64
		perLitre bool
		known    bool
		amount   float64
		acids    []string
		hazards  []string
	}{
		{"syrup", Batch{Method: method.Dribble, Holds: chem.Mixture{OAD: 35.05, Water: 600.8, Sugar: 600.8}, Volume: 1000, Unit: method.Millilitres},
			Syrup, 35.05, true, true, 1000, []string{"oxalic_acid_dihydrate"}, []string{"poison"}},
		{"strips", Batch{Method: method.Strip, Holds: chem.Mixture{OAD: 346, Glycerol: 654}, Volume: 778, Pieces: 50, Unit: method.Pieces},
			Strips, 34.6, false, true, 50, []string{"oxalic_acid_dihydrate"}, []string{"poison", "corrosive"}},
		{"what a pot left", Batch{Method: method.Strip, Holds: chem.Mixture{OAD: 34.6, Glycerol: 65.4}, Unit: method.Grams, Leftover: true},
			Liquor, 34.6, false, true, 100, []string{"oxalic_acid_dihydrate"}, []string{"poison", "corrosive"}},
		{"working acid", Batch{Method: method.Pad, Holds: chem.Mixture{Formic: 60, Water: 40}, Volume: 87.5, Unit: method.Millilitres},
			Formic, 60, false, true, 87.5, []string{"formic_acid"}, []string{"poison", "corrosive"}},
		{"a product to pour, of two acids", Batch{Method: method.Dribble, Holds: chem.Mixture{OAD: 44, Formic: 5}, Volume: 1000, Unit: method.Millilitres},
			Product, 44, true, true, 1000, []string{"oxalic_acid_dihydrate", "formic_acid"}, []string{"poison", "corrosive"}},
		{"ready pads", Batch{Method: method.Pad, Holds: chem.Mixture{Formic: 136}, Pieces: 2, Unit: method.Pieces},
			Product, 0, false, false, 2, []string{"formic_acid"}, []string{"poison", "corrosive"}},
	} {
		strength, perLitre, known := c.is.Strength()
		if c.is.Kind() != c.kind || math.Abs(strength-c.strength) > 0.05 || perLitre != c.perLitre || known != c.known {
			t.Errorf("%s: %s, %v %v %v", c.what, c.is.Kind(), strength, perLitre, known)
		}
		if math.Abs(c.is.Amount()-c.amount) > 1e-9 || !slices.Equal(c.is.Acids(), c.acids) || !slices.Equal(c.is.Hazards(), c.hazards) {
			t.Errorf("%s: %v, %v, %v", c.what, c.is.Amount(), c.is.Acids(), c.is.Hazards())
		}
		if made, is := c.is.Is(); is != (c.kind != Product) || is && math.Abs(made.Strength.Value-c.strength) > 0.05 {
			t.Errorf("%s is %+v %v", c.what, made.Strength, is)
		}
	}
	// 1.333 g of bicarbonate take up a gram of OAD: for a third of the litre, 11.68 g of it, 15.57 g.
	syrup := Batch{Method: method.Dribble, Holds: chem.Mixture{OAD: 35.05, Water: 600.8, Sugar: 600.8}, Volume: 1000, Unit: method.Millilitres}
	if got := syrup.Bicarbonate(333.3); math.Abs(float64(got)-15.57) > 0.05 {
		t.Errorf("%v g of bicarbonate", got)
	}
}
