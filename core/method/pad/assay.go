package pad

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
)

// Reading is a density read off a hydrometer, or weighed, and how sure it is.
type Reading struct {
	Density chem.GramsPerMillilitre
	Temp    chem.Celsius
	NoTemp  bool                    // the temperature was not said
	Off     chem.GramsPerMillilitre // either way
	TempOff chem.Celsius            // either way
}

func (r Reading) check(path string, l *fault.List) {
	if r.NoTemp {
		l.AddRange(path+".temp_c", fault.NoTemp, 0, 40, "°C")
		return
	}
	if !l.Within(path+".temp_c", float64(r.Temp), 0, 40, "°C") {
		return
	}
	low, high := chem.FormicDensities(r.Temp)
	l.Within(path+".g_per_ml", float64(r.Density), float64(low), float64(high), "g/mL")
	l.Within(path+".off_g_per_ml", float64(r.Off), 0, 0.05, "g/mL")
	l.Within(path+".temp_off_c", float64(r.TempOff), 0, 10, "°C")
}

// Strength is what the reading says of the acid, by mass, and how far off it can
// be either way: the density's own uncertainty and the temperature's together.
// Near 85 % one per cent is only 0.0018 g/mL.
func (r Reading) Strength() (strength, off chem.Share) {
	strength = chem.FormicStrength(r.Density, r.Temp)
	wide := r.Off + chem.GramsPerMillilitre(chem.FormicExpansion*float64(r.TempOff))
	low := chem.FormicStrength(r.Density-wide, r.Temp)
	high := chem.FormicStrength(r.Density+wide, r.Temp)
	return strength, chem.Share(math.Max(float64(high-strength), float64(strength-low)))
}

// Assay reads a strength alone.
func Assay(r Reading) (strength, off chem.Share, err error) {
	var l fault.List
	r.check("reading", &l)
	if len(l) > 0 {
		return 0, 0, l
	}
	strength, off = r.Strength()
	return strength, off, nil
}
