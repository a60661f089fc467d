package dribble

import (
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
)

func within(t *testing.T, what string, got, want, tolerance float64) {
	t.Helper()
	if !(got >= want-tolerance && got <= want+tolerance) {
		t.Errorf("%s: got %v, want %v ± %v", what, got, want, tolerance)
	}
}

func TestThin(t *testing.T) {
	// By volume: 0.75 L of a 60 g/L solution without sugar for 1 L of 45 g/L.
	// In it 0.75·(1000 − 0.65·60)·0.9982 = 719.45 g water. The litre: 1000 − 29.25
	// = 970.75 mL of sugar water at 31.23 % and 1.1331 g/mL, 1099.9 g; with the acid
	// 1144.9 g, 30 % of it sugar: 343.5, water 756.5. To add: 37.0 and 343.5.
	got, err := Thin(Stock{60, chem.PerLitre, chem.Dihydrate, 0}, 1000, 45, 0.30)
	if err != nil {
		t.Fatal(err)
	}
	within(t, "stock", float64(got.StockVolume), 750, 0.01)
	within(t, "stock by weight", float64(got.Stock), 719.45+45, 0.05)
	within(t, "water", float64(got.Water), 37.0, 0.3)
	within(t, "sugar", float64(got.Sugar), 343.5, 0.2)

	// By weight and as anhydrous: 3.2 % w/w OAA is 4.4805 % w/w OAD. With 50 %
	// sugar that is 4.4805, 50 and 45.5195 g in 95.5195/1.2431 + 2.9123 = 79.75 mL:
	// sugar 52.345 % of the sugar water, density 1.2296 + 0.469·0.0279 = 1.24268.
	stock := Stock{3.2, chem.PercentWeight, chem.Anhydrous, 0.50}
	within(t, "stock strength", float64(stock.composition().Strength()), 4.4805/79.779*1000, 0.05)

	// To its own strength and sugar: all stock, nothing added.
	same, err := Thin(stock, 500, stock.composition().Strength(), 0.50)
	if err != nil {
		t.Fatal(err)
	}
	within(t, "all stock", float64(same.StockVolume), 500, 0.01)
	within(t, "nothing added", float64(same.Water+same.Sugar), 0, 0.01)
}

func TestThinRefuses(t *testing.T) {
	good := Stock{60, chem.PerLitre, chem.Dihydrate, 0.3}
	for _, c := range []struct {
		name   string
		stock  Stock
		v, to  float64
		sugar  float64
		field  string
		reason fault.Reason
	}{
		{"upward", good, 500, 61, 0.3, "strength.value", fault.Upward},
		{"too weak to be a syrup", good, 500, 1, 0.3, "strength.value", fault.TooLow},
		{"less sugar than the stock brings", good, 500, 55, 0.1, "sugar_percent_ww", fault.SugarRange},
		{"more sugar than there is room for", good, 500, 59, 0.6, "sugar_percent_ww", fault.SugarRange},
		{"no volume", good, 0, 40, 0.3, "size.volume_ml", fault.TooLow},
		{"a stock that cannot stay clear", Stock{300, chem.PerLitre, chem.Dihydrate, 0}, 500, 40, 0.3, "hold.stock.value", fault.TooHigh},
		{"a stock in seams", Stock{60, chem.PerSeam, chem.Dihydrate, 0}, 500, 40, 0.3, "hold.stock.form", fault.Unknown},
		{"a stock of no basis", Stock{60, chem.PerLitre, "", 0}, 500, 40, 0.3, "hold.stock.basis", fault.Missing},
	} {
		_, err := Thin(c.stock, chem.Millilitres(c.v), chem.GramsPerLitre(c.to), chem.Share(c.sugar))
		t.Run(c.name, func(t *testing.T) { expectFault(t, err, c.field, c.reason) })
	}
}

// A ready-mix of 7 % by weight let down to 3.0 % at 30 % sugar has 3.0 % by weight: 3 g in 100 g, whatever
// sugar the usual syrup has; and so a strength that is asked for as anhydrous.
func TestThinToAShareOfTheWeight(t *testing.T) {
	for _, c := range []struct {
		value float64
		basis chem.Basis
		sugar chem.Share
		want  float64 // % w/w OAD
	}{{3, chem.Dihydrate, 0.30, 3}, {3, chem.Dihydrate, 0.55, 3}, {2.5, chem.Anhydrous, 0.30, 2.5 * 126.07 / 90.03}} {
		r := Request{
			Hold: Hold{Kind: ReadyMix, Stock: Stock{Value: 7, Form: chem.PercentWeight, Basis: chem.Dihydrate}},
			Aim:  Aim{By: ByValue, Value: c.value, Form: chem.PercentWeight, Basis: c.basis},
			Size: Size{By: SizeVolume, Volume: 1000}, ThinSugar: &c.sugar,
		}.Settled()
		p, err := New(r)
		if err != nil {
			t.Errorf("%+v: %v", c, err)
			continue
		}
		within(t, "% by weight", 100*float64(p.Made.OAD/p.Made.Mass()), c.want, 0.005)
		within(t, "% sugar", float64(p.Made.Sugar/p.Made.Mass()), float64(c.sugar), 0.0005)
	}
}
