package outlook

import "math"

// Band is what is likely: in eight cases of ten between low and high, as often above the middle as below it.
type Band struct{ Low, Middle, High float64 }

// The band goes from this share of the colonies to what is left of it above.
const below = 0.1

// Mites are those that the colony has.
func (f *Filter) Mites() Band { return f.band((*Colony).Mites) }

// Rate is the mites on 100 bees, as a wash of nest bees finds them.
func (f *Filter) Rate() Band {
	return f.band((*Colony).Rate)
}

// Rate is the same of a colony that is known.
func (c *Colony) Rate() float64 { return 100 * nestBees * c.OnBees / max(c.Bees(), 1) }

// Bees are how many there are.
func (f *Filter) Bees() Band { return f.band((*Colony).Bees) }

// Figures are sorted into drawers, 128 to a doubling, from 2^-drawersFrom on: within a hundredth, and many times
// faster than by comparing them.
const (
	fine        = 7
	drawersFrom = 10
	drawers     = (drawersFrom + 24) << fine
)

func (f *Filter) band(of func(*Colony) float64) (b Band) {
	if f.drawer == nil {
		f.drawer = make([]float64, drawers)
	}
	const mantissa, bias = 52, 1023
	first, last := drawers, 0
	for i := range f.all {
		at := int(math.Float64bits(max(of(&f.all[i]), 0))>>(mantissa-fine)) - (bias-drawersFrom)<<fine
		at = min(max(at, 0), drawers-1)
		f.drawer[at] += f.weights[i]
		first, last = min(first, at), max(last, at)
	}
	sum, stops := 0.0, []float64{below, 0.5, 1 - below}
	for i := first; i <= last; i++ {
		sum += f.drawer[i]
		f.drawer[i] = 0
		for ; len(stops) > 0 && sum >= stops[0]; stops = stops[1:] {
			v := math.Float64frombits((uint64(i) + (bias-drawersFrom)<<fine) << (mantissa - fine))
			switch len(stops) {
			case 3:
				b.Low = v
			case 2:
				b.Middle = v
			case 1:
				b.High = v
			}
		}
	}
	return f.off.widen(b)
}
