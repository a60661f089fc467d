package pad

import (
	"math"
	"slices"

	"keeler/core/chem"
)

// Device is what formic acid evaporates from.
type Device string

const (
	Bottle Device = "bottle" // a bottle: as fast to the end as at the beginning
	Soaked Device = "soaked" // a sheet, sponge or gel: it slows down as it empties
)

// Evaporating is one device in one hive. Source: docs/sources.md, Evaporation.
type Evaporating struct {
	Device Device
	Boxes  int        // of the hive, 1 and more
	Below  bool       // it lies on the floor, not above the brood
	Area   float64    // cm² of wick left open, against Usual; 0: as usual
	Usual  float64    // cm² that the band is meant for; 0: not said
	Full   chem.Grams // of acid and water in it
	Factor float64    // by how much it was found to be faster than that; 0: not learnt
}

// Weighing is what a device weighed some hours after it was hung, g without the device.
type Weighing struct {
	Hour int
	Left chem.Grams
}

// Band is what a day is aimed at, for one box and for more, g of acid and water.
var Band = [2]struct{ Low, High chem.Grams }{{15, 20}, {20, 25}}

// The rate stands in the middle of its band where it is so warm outside on the mean.
const (
	meanOutside = 18.0 // °C
	aboveBrood  = 5.0  // °C that it is warmer above the brood than outside
	onFloor     = 3.0
)

// vapour is the vapour pressure of pure formic acid, bar, by Antoine's equation; only its
// ratio to a known temperature is used. 0 to 40 °C; a frozen hive gives off what 0 °C does.
func vapour(celsius float64) float64 {
	kelvin := math.Max(0, math.Min(hottest+1, celsius)) + 273.15
	return math.Pow(10, 2.00121-515.0/(kelvin-139.408))
}

// pressures are vapour in steps of a quarter of a degree, for many hives by many hours.
var pressures = func() (out [4*hottest + 2]float64) {
	for i := range out {
		out[i] = vapour(float64(i) / 4)
	}
	return out
}()

// hottest, °C, beyond which no hive is warmer.
const hottest = 45

// pressure is vapour read off between two steps.
func pressure(celsius float64) float64 {
	at := 4 * math.Max(0, math.Min(hottest, celsius))
	i := int(at)
	return pressures[i] + (at-float64(i))*(pressures[i+1]-pressures[i])
}

// band is what is aimed at in a hive of so many boxes.
func (e Evaporating) band() (low, high chem.Grams) {
	b := Band[min(max(e.Boxes, 1), len(Band))-1]
	return b.Low, b.High
}

// Low and High are what is aimed at in its hive, g a day.
func (e Evaporating) Low() chem.Grams { low, _ := e.band(); return low }

// High is the upper end of it.
func (e Evaporating) High() chem.Grams { _, high := e.band(); return high }

// rate is g an hour at a temperature outside, from what is full.
func (e Evaporating) rate(outside float64) float64 {
	low, high := e.band()
	warmer := aboveBrood
	if e.Below {
		warmer = onFloor
	}
	out := float64(low+high) / 2 / 24 * pressure(outside+warmer) / pressure(meanOutside+aboveBrood)
	if e.Area > 0 && e.Usual > 0 {
		out *= e.Area / e.Usual
	}
	if e.Factor > 0 {
		out *= e.Factor
	}
	return out
}

// Loss is what a device does over hours of weather.
type Loss struct {
	Left  []chem.Grams // after each hour
	Empty int          // the hour in which it is nearly empty; -1: not within the hours known
	Day   chem.Grams   // lost over the last day known, or since it was hung where that is shorter
}

// nearlyEmpty is the share under which a device counts as empty: a sheet never quite is.
const nearlyEmpty = 0.03

// bridged fills what is missing of temperatures by the hour (NaN): by the same hour of the
// day before, on the first day by the hour before, and at the very beginning by the mean
// that the band is meant for.
func bridged(outside []float64) []float64 {
	out := slices.Clone(outside)
	last := meanOutside
	for i, t := range out {
		switch {
		case t == t:
		case i >= 24:
			out[i] = out[i-24]
		default:
			out[i] = last
		}
		last = out[i]
	}
	return out
}

// Known reports whether at least half of some hours of weather are: holes are bridged, but
// nothing goes by weather that nobody knows.
func Known(outside []float64) bool {
	known := 0
	for _, t := range outside {
		if t == t {
			known++
		}
	}
	return 2*known >= len(outside) && known > 0
}

// Run follows a device hour by hour; missing temperatures (NaN) are bridged.
func (e Evaporating) Run(outside []float64) Loss { return e.run(e.Full, outside) }

// run is Run for a device that so much is left in.
func (e Evaporating) run(begun chem.Grams, outside []float64) Loss {
	c := Loss{Left: make([]chem.Grams, len(outside)), Empty: -1}
	left := float64(begun)
	for i, t := range bridged(outside) {
		lost := e.rate(t)
		if e.Device == Soaked && e.Full > 0 {
			lost *= left / float64(e.Full)
		}
		left = math.Max(0, left-lost)
		c.Left[i] = chem.Grams(left)
		if c.Empty < 0 && left <= nearlyEmpty*float64(e.Full) {
			c.Empty = i
		}
	}
	if n := len(outside); n > 0 {
		before, hours := begun, n
		if n > 24 {
			before, hours = c.Left[n-25], 24
		}
		c.Day = (before - c.Left[n-1]) * chem.Grams(24/float64(hours))
	}
	return c
}

// expected is what a full device would lose over hours, g.
func (e Evaporating) expected(outside []float64) float64 {
	sum := 0.0
	for _, t := range bridged(outside) {
		sum += e.rate(t)
	}
	return sum
}
