package chem

import (
	"math"
	"testing"
)

func near(t *testing.T, what string, got, want, tolerance float64) {
	t.Helper()
	if !(math.Abs(got-want) <= tolerance) {
		t.Errorf("%s: got %.5f, want %.5f ± %g", what, got, want, tolerance)
	}
}

// Worked by hand from the density table: 1200 g at 50 % is 1200/1.2296 =
// 975.93 mL; each gram of OAD adds 0.65 mL; OAA is 0.7142 of OAD.
func TestSyrupVolumeAndStrength(t *testing.T) {
	for _, c := range []struct {
		name                string
		syrup               Syrup
		volume, gPerL, wvOA float64
	}{
		{"plain", Syrup{0, 600, 600}, 975.93, 0, 0},
		{"mild", Syrup{30, 600, 600}, 995.43, 30.138, 2.152},        // 975.93+19.5; 30/0.99543
		{"label litre", Syrup{35, 600, 600}, 998.68, 35.046, 2.503}, // 975.93+22.75
		{"medium", Syrup{45, 600, 600}, 1005.18, 44.768, 3.197},     // 975.93+29.25
		// 311.85 of 619.85 g is 50.31 %: density 1.2296+0.031056·0.0558... = 1.23133;
		// 619.85/1.23133 = 503.40; + 0.65·31.15 = 523.64
		{"half-litre packet", Syrup{31.15, 308, 311.85}, 523.64, 59.487, 4.2486},
	} {
		near(t, c.name+" volume", float64(c.syrup.Volume()), c.volume, 0.02)
		near(t, c.name+" g/L", float64(c.syrup.Strength()), c.gPerL, 0.005)
		m := Medium{Sugar: c.syrup.SugarShare()}
		near(t, c.name+" % w/v OAA", m.FromPerLitre(c.syrup.Strength(), PercentVolume, Anhydrous), c.wvOA, 0.001)
	}
	if (Syrup{}).Strength() != 0 || (Syrup{}).Density() != 0 || (Syrup{}).SugarShare() != 0 {
		t.Error("an empty mixture must have no strength, density or sugar share")
	}
}

func TestFormsOfMedium(t *testing.T) {
	// 45 g OAD, 600 g water, 600 g sugar in 1005.18 mL, doses of 5 and 50 mL:
	// 44.768 g/L; 45/1245 = 3.6145 % w/w OAD, × 0.7142 = 2.5815 % w/w OAA;
	// 5 mL hold 223.84 mg, 50 mL 2.2384 g.
	m := Medium{Sugar: 0.5, FullSeam: 5, Cap: 50}
	s := Syrup{45, 600, 600}.Strength()
	for _, c := range []struct {
		form  Form
		basis Basis
		want  float64
	}{
		{PerLitre, Dihydrate, 44.768}, {PerLitre, Anhydrous, 31.973},
		{PercentVolume, Dihydrate, 4.4768}, {PercentVolume, Anhydrous, 3.1973},
		{PercentWeight, Dihydrate, 3.6145}, {PercentWeight, Anhydrous, 2.5815},
		{PerSeam, Dihydrate, 223.84}, {PerSeam, Anhydrous, 159.87},
		{PerColonyAtCap, Dihydrate, 2.2384}, {PerColonyAtCap, Anhydrous, 1.5987},
	} {
		got := m.FromPerLitre(s, c.form, c.basis)
		near(t, string(c.form)+" "+string(c.basis), got, c.want, c.want*2e-4)
		near(t, string(c.form)+" back", float64(m.ToPerLitre(got, c.form, c.basis)), float64(s), 1e-9)
	}
}

func TestSolubility(t *testing.T) {
	// The strong packet syrup: 31.15 g OAD is 22.25 g OAA in 308 + 8.90 g water,
	// 7.02 g per 100 g: saturated at 10 + 10·(7.02−6.1)/3.4 = 12.7 °C.
	// The medium: 32.14 g in 612.86 g, 5.244: 10·(5.244−3.5)/2.6 = 6.7 °C.
	for _, c := range []struct {
		oad, water Grams
		want       float64
	}{{31.15, 308, 12.7}, {45, 600, 6.7}, {35, 600, 2.3}, {1, 600, 0}, {2000, 600, 80}} {
		near(t, "saturation", float64(Saturation(c.oad, c.water)), c.want, 0.05)
	}
	if !Dissolves(45, 200, 60) {
		t.Error("45 g dissolve in 200 g at 60 °C: 15.1 g OAA per 100 g, and 44.3 would")
	}
	if Dissolves(45, 200, 20) {
		t.Error("45 g do not dissolve in 200 g at 20 °C: only 9.5 g per 100 g would")
	}
	// At 20 °C 100 g water holds m with 0.7142 m = 0.095 (100 + 0.2858 m): 13.83 g.
	// In 1 : 1 syrup that is 200/1.2296 + 0.65·13.83 = 171.64 mL: 80.55 g/L.
	near(t, "strongest", float64(MaxStrength(0.5, 20)), 80.55, 0.05)
}

func TestBicarbonate(t *testing.T) {
	// 2·84.01/126.07 = 1.3328 g and 2·24.05/126.07 = 0.3815 L a gram.
	salt, gas := Bicarbonate(34)
	near(t, "salt", float64(salt), 45.31, 0.02)
	near(t, "gas", float64(gas), 12.97, 0.02)
}

// Making a syrup and reading it back must agree, scaling must scale every mass,
// and every form of a strength must lead back to it.
func FuzzSyrupThereAndBack(f *testing.F) {
	f.Add(1000.0, 35.0, 0.5, 2.0)
	f.Add(262.0, 59.5, 0.503, 0.1)
	f.Fuzz(func(t *testing.T, v, s, sugar, k float64) {
		if !(v >= 1 && v <= 1e6 && s >= 0.1 && s <= 150 && sugar >= 0 && sugar <= 0.7 && k >= 0.001 && k <= 1000) {
			t.Skip()
		}
		made := MakeSyrup(Millilitres(v), GramsPerLitre(s), Share(sugar))
		near(t, "volume", float64(made.Volume())/v, 1, 1e-9)
		near(t, "strength", float64(made.Strength())/s, 1, 1e-9)
		big, scaled := MakeSyrup(Millilitres(v*k), GramsPerLitre(s), Share(sugar)), made.Scale(k)
		near(t, "acid × k", float64(big.OAD/scaled.OAD), 1, 1e-9)
		near(t, "mass × k", float64(big.Mass()/scaled.Mass()), 1, 1e-9)
		m := Medium{Sugar: Share(sugar), FullSeam: 5, Cap: 50}
		for _, form := range []Form{PerLitre, PercentVolume, PercentWeight, PerSeam, PerColonyAtCap} {
			for _, basis := range []Basis{Dihydrate, Anhydrous} {
				back := m.ToPerLitre(m.FromPerLitre(GramsPerLitre(s), form, basis), form, basis)
				near(t, string(form), float64(back)/s, 1, 1e-9)
			}
		}
	})
}
