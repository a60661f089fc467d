package pad

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
)

// Reading is a density read off a hydrometer, or weighed, and how sure it is.
type Reading struct {
	Density chem.GramsPerMillilitre  `json:"g_per_ml" doc:"Density as read, g/mL; within the table from water to pure acid at that temperature."`
	Temp    *chem.Celsius            `json:"temp_c,omitempty" doc:"Temperature of the acid when read, 0 to 40 °C. Required: 10 °C are worth 6 % near 85 %."`
	Off     *chem.GramsPerMillilitre `json:"off_g_per_ml,omitempty" doc:"How far off the reading can be, 0 to 0.05 g/mL; 0.001 when left out."`
	TempOff *chem.Celsius            `json:"temp_off_c,omitempty" doc:"How far off the temperature can be, 0 to 10 °C; 1 when left out."`
}

func (r Reading) off() chem.GramsPerMillilitre { return chem.Or(r.Off, UsualOff) }

func (r Reading) tempOff() chem.Celsius { return chem.Or(r.TempOff, UsualTempOff) }

func (r Reading) check(path string, l *fault.List) {
	if r.Temp == nil {
		l.AddRange(path+".temp_c", fault.NoTemp, 0, 40, "°C")
		return
	}
	if !l.Within(path+".temp_c", float64(*r.Temp), 0, 40, "°C") {
		return
	}
	low, high := chem.FormicDensities(*r.Temp)
	l.Within(path+".g_per_ml", float64(r.Density), float64(low), float64(high), "g/mL")
	l.Within(path+".off_g_per_ml", float64(r.off()), 0, 0.05, "g/mL")
	l.Within(path+".temp_off_c", float64(r.tempOff()), 0, 10, "Celsius degrees")
}

// Strength is what the reading says of the acid, by mass, and how far off it can
// be either way: the density's own uncertainty and the temperature's together.
// Near 85 % one per cent is only 0.0018 g/mL.
func (r Reading) Strength() (strength, off chem.Share) {
	strength = chem.FormicStrength(r.Density, *r.Temp)
	wide := r.off() + chem.GramsPerMillilitre(chem.FormicExpansion*float64(r.tempOff()))
	low := chem.FormicStrength(r.Density-wide, *r.Temp)
	high := chem.FormicStrength(r.Density+wide, *r.Temp)
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
