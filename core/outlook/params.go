package outlook

import (
	"math"
	"math/rand/v2"
)

// Param is one of the figures in which colonies differ.
type Param int

// The figures; shares and factors have no unit.
const (
	Eggs        Param = iota // a day at the peak
	Shift                    // days by which the year is moved
	Raised                   // share of eggs that become bees
	SummerLife               // factor on the life of a summer bee
	WinterLife               // and of a winter bee
	Entry                    // factor on how fast mites enter cells
	Drones                   // most share of cells that are drones'
	FromWorker               // mites out for one in
	FromDrone                //
	Death                    // factor on the death of mites on bees
	Inflow                   // mites a day from outside, most of the year
	InflowLate               // and from August to October
	Fall                     // factor on the natural fall
	Washed                   // factor on what a wash finds
	ByDribble                // killed of the mites on bees
	ByStrips                 // a day, at the beginning
	ByFormic                 // a day, on bees
	ByFormicCap              // a day, under caps
	ByVapour                 //
	params
)

// Params are the figures of one possible colony.
type Params [params]float64

// span is a figure's middle, and the ends of the range that it is drawn from.
type span struct{ low, middle, high float64 }

// spans are those of docs/sources.md, Year of a colony.
var spans = [params]span{
	Eggs: {1000, 1500, 2000}, Shift: {-14, 0, 14}, Raised: {0.75, 0.85, 0.92}, SummerLife: {0.8, 1, 1.2}, WinterLife: {0.8, 1, 1.2},
	Entry: {0.75, 1, 1.25}, Drones: {0, 0.03, 0.06}, FromWorker: {1.2, 1.3, 1.45}, FromDrone: {2, 2.3, 2.6}, Death: {0.5, 1, 1.5},
	Inflow: {0, 0.3, 2}, InflowLate: {0, 2, 15}, Fall: {1 / 1.6, 1, 1.6}, Washed: {0.75, 1, 1.25},
	ByDribble: {0.85, 0.92, 0.97}, ByStrips: {0.10, 0.20, 0.28}, ByFormic: {0.09, 0.16, 0.25}, ByFormicCap: {0.07, 0.12, 0.20}, ByVapour: {0.80, 0.90, 0.96},
}

// Draw takes every figure from its range, below its middle as often as above it.
func Draw(r *rand.Rand) (p Params) {
	for i, s := range spans {
		p[i] = s.at(r.Float64())
	}
	return p
}

// at is a figure so far along its range, 0 to 1, with the middle at one half.
func (s span) at(from float64) float64 {
	if from < 0.5 {
		return s.low + (s.middle-s.low)*2*from
	}
	if skewed := s.high > 3*s.middle && s.middle > 0; skewed { // more is seldom much more
		return s.middle * math.Pow(s.high/s.middle, 2*from-1)
	}
	return s.middle + (s.high-s.middle)*(2*from-1)
}
