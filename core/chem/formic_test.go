package chem

import "testing"

// Each row of the table of the trade leads to its strength and back, straight
// between rows, and the correction is 0.0012 g/mL for each °C.
func TestFormicDensityThereAndBack(t *testing.T) {
	for percent := 0.0; percent <= 100; percent += 0.25 {
		for _, at := range []Celsius{5, 20, 31} {
			d := FormicDensity(Share(percent/100)) - GramsPerMillilitre(FormicExpansion*float64(at-20))
			near(t, "strength", 100*float64(FormicStrength(d, at)), percent, 1e-9)
		}
	}
	near(t, "85 %", float64(FormicDensity(0.85)), 1.1954, 1e-9)
	near(t, "62.5 %, half way", float64(FormicDensity(0.625)), 1.14845, 1e-9)
	low, high := FormicDensities(30)
	near(t, "water at 30 °C", float64(low), 0.986, 1e-9)
	near(t, "pure at 30 °C", float64(high), 1.2093, 1e-9)
}

// 84.01/46.03 = 1.825 g and 24.05/46.03 = 0.5225 L a gram; 1 L of 60 % holds
// 685.5 g, which takes 1,251 g: the trade's "1.25 kg".
func TestFormicBicarbonate(t *testing.T) {
	salt, gas := FormicBicarbonate(FormicMass(1000, 0.6) * 0.6)
	near(t, "salt", float64(salt), 1251.1, 0.2)
	near(t, "gas", float64(gas), 358.2, 0.2)
}

// 500 g in 750 mL of 99.5 %: 945 g and 750 + 325 mL. 86 %: 750 mL weigh 922.5 g.
// The trade's pot cools by 20 °C; the same acid in twice the glycerol by
// 62150/(4914 + 650) = 11.2.
func TestLiquor(t *testing.T) {
	m := Mixture{OAD: 500, Glycerol: 945 * 0.995, Water: 945 * 0.005}
	near(t, "mass", float64(m.Mass()), 1445, 1e-9)
	near(t, "volume", float64(LiquorVolume(m)), 1075, 1e-6)
	near(t, "86 %", 750*float64(GlycerolDensity(0.86)), 922.5, 1e-9)
	near(t, "dip", float64(Dip(500, 945)), 20, 0.05)
	near(t, "dip in twice as much", float64(Dip(500, 1890)), 11.17, 0.05)
	part := m.Take(289)
	near(t, "a fifth of the acid", float64(part.OAD), 100, 1e-9)
	near(t, "and the whole again", float64(part.Plus(m.Take(1156)).Mass()), 1445, 1e-9)
	if (Mixture{}).Take(5).Mass() != 0 || (Mixture{}).Share(5) != 0 || LiquorVolume(Mixture{}) != 0 {
		t.Error("nothing holds nothing")
	}
}
