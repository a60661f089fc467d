package dribble

import (
	"keeler/core/chem"
	"keeler/core/fault"
)

// Device is the kind of applicator.
type Device string

const (
	Syringe Device = "syringe" // read in graduations
	Bulb    Device = "bulb"    // whole and half squeezes
	Gun     Device = "gun"     // whole shots of a set volume
	Sprayer Device = "sprayer" // half seconds of a pump sprayer's jet
)

// Applicator is what brings the syrup onto the bees.
type Applicator struct {
	Device Device           `json:"device" enum:"syringe,bulb,gun,sprayer" doc:"A syringe is read in graduations, a bulb gives whole and half squeezes, a gun whole shots, a sprayer half seconds."`
	Size   chem.Millilitres `json:"size_ml,omitempty" doc:"A syringe's size, 1 to 100 mL."`
	// Unit is what one graduation, squeeze, shot or second gives; 0 takes the
	// usual one (see Graduation) for a syringe, 5 mL for a bulb or gun. A
	// sprayer has no usual one: it is always calibrated.
	Unit chem.Millilitres  `json:"unit_ml,omitempty" doc:"mL of one graduation (0.1 to 5), squeeze (0.5 to 10) or shot (0.5 to 5; 5 when left out), or second of spraying (0.2 to 10, required)."`
	Dead *chem.Millilitres `json:"dead_ml,omitempty" doc:"Stays in the applicator and the jar, 0 to 500 mL; 10 when left out."`
}

// Stays is what stays in the applicator and the jar, as said, or as usual.
func (a Applicator) Stays() chem.Millilitres { return chem.Or(a.Dead, UsualDead) }

// Graduation is the usual finest mark of a syringe of that size.
func Graduation(size chem.Millilitres) chem.Millilitres {
	switch {
	case size <= 5:
		return 0.2
	case size <= 10:
		return 0.5
	}
	return 1
}

func (a Applicator) unit() chem.Millilitres {
	switch {
	case a.Unit > 0:
		return a.Unit
	case a.Device == Syringe:
		return Graduation(a.Size)
	}
	return 5
}

// step is the smallest amount the applicator can be told to give.
func (a Applicator) step() chem.Millilitres {
	if a.Device == Bulb || a.Device == Sprayer {
		return a.unit() / 2
	}
	return a.unit()
}

func (a Applicator) check(path string, l *fault.List) {
	switch a.Device {
	case Syringe:
		if !l.Within(path+".size_ml", float64(a.Size), 1, 100, "mL") {
			return
		}
		if a.Unit != 0 {
			l.Within(path+".unit_ml", float64(a.Unit), 0.1, min(float64(a.Size), float64(largestStep)), "mL")
		}
	case Bulb, Gun:
		if a.Unit != 0 {
			l.Within(path+".unit_ml", float64(a.Unit), 0.5, float64(largestStep*a.unit()/a.step()), "mL")
		}
	case Sprayer:
		l.Within(path+".unit_ml", float64(a.Unit), 0.2, float64(2*largestStep), "mL a second")
	default:
		l.Add(path+".device", fault.Unknown)
	}
	l.Within(path+".dead_ml", float64(a.Stays()), 0, 500, "mL")
}

// Draw is one handling of the applicator for a colony.
type Draw struct {
	Volume chem.Millilitres `json:"ml" doc:"mL."`
	Count  float64          `json:"count,omitempty" doc:"Squeezes, shots or seconds; left out for a syringe, which is read in mL."`
}

// draws splits a dose of n steps into what the hand does: fillings of a
// syringe, or one count of squeezes, shots or seconds. They add up to n steps.
func (a Applicator) draws(n int) []Draw {
	step := float64(a.step())
	if n == 0 {
		return []Draw{}
	}
	if a.Device != Syringe {
		v := float64(n) * step
		return []Draw{{Volume: chem.Millilitres(v), Count: v / float64(a.unit())}}
	}
	full := max(1, int(float64(a.Size)/step+1e-9))
	var out []Draw
	for ; n > 0; n -= full {
		out = append(out, Draw{Volume: chem.Millilitres(float64(min(n, full)) * step)})
	}
	return out
}

// Calibrated is the density of the liquid that an applicator is calibrated with:
// water, or 1 : 1 syrup of strength s, whose acid counts.
func Calibrated(water bool, s chem.GramsPerLitre) chem.GramsPerMillilitre {
	if water {
		return chem.SugarDensity(0)
	}
	return chem.MakeSyrup(1000, s, 0.5).Density()
}

// Calibrate gives the mL of one shot (or one second of spraying) from the
// weight of several, and the density of the liquid: 10 shots of 5 mL weigh
// 50 g in water and 62 g in the label litre. Faults name shots (1 to 100), grams
// (0.1 to 2000) and a result outside 0.1 to 20 mL.
func Calibrate(shots int, weighed chem.Grams, density chem.GramsPerMillilitre) (chem.Millilitres, error) {
	var l fault.List
	l.Within("shots", float64(shots), 1, 100, "shots")
	l.Within("grams", float64(weighed), 0.1, 2000, "g")
	if len(l) > 0 {
		return 0, l
	}
	each := float64(weighed) / float64(shots) / float64(density)
	l.Within("grams", float64(weighed), 0.1*float64(shots)*float64(density), 20*float64(shots)*float64(density), "g")
	return chem.Millilitres(each), l.Err()
}
