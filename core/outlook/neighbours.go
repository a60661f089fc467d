package outlook

import "math"

// Drift is what is known of the mites that come into a colony late in the year: their logarithm, as of a normal
// distribution.
type Drift struct{ Mean, Spread float64 }

const (
	trickle = 0.1 // mites a day that are no less than others
	beside  = 0.7 // by which the logarithms of hives of one yard differ: who stands at the end of a line gets more
)

func inflow(c *Colony) float64 { return math.Log(max(c.Params[InflowLate], 0) + trickle) }

// Drift is what is left open of it.
func (f *Filter) Drift() Drift {
	var k kernel
	for i, w := range f.weights {
		k.add(w, inflow(&f.all[i]))
	}
	return Drift{k.mean, math.Sqrt(max(k.squares, 0) / k.sum)}
}

// Neighbours weighs the colonies of a filter that was just begun by what is known of the hives that stand beside this
// one: the same comes into all of them, more or less. Of each counts what its own counts told, beyond what was known before.
func (f *Filter) Neighbours(known []Drift) {
	before := f.Drift()
	if before.Spread == 0 {
		return
	}
	precision := 1 / (before.Spread * before.Spread)
	for _, n := range known {
		if n.Spread <= 0 {
			continue
		}
		its := 1 / (n.Spread * n.Spread)
		gained := its - precision
		if gained <= 0 {
			continue // it was not counted, or its counts told nothing of it
		}
		mean, spread := (n.Mean*its-before.Mean*precision)/gained, 1/gained+beside*beside
		f.weigh(func(c *Colony) float64 {
			off := inflow(c) - mean
			return -off * off / (2 * spread)
		})
	}
}
