package outlook

import (
	"math"
	"math/rand/v2"
)

// Band is what is likely: in eight cases of ten between low and high, as often above the middle as below it.
type Band struct{ Low, Middle, High float64 }

// The band goes from this share of the colonies to what is left of it above.
const below = 0.1

// Mites are those that the colony has.
func (f *Filter) Mites() Band { return f.band((*Colony).Mites) }

// Rate is the mites on 100 bees, as a wash of nest bees finds them.
func (f *Filter) Rate() Band {
	return f.band(func(c *Colony) float64 { return 100 * nestBees * c.OnBees / max(c.Bees(), 1) })
}

// Bees are how many there are.
func (f *Filter) Bees() Band { return f.band((*Colony).Bees) }

// Over is the chance that the mites on 100 bees are at a threshold or over it.
func (f *Filter) Over(threshold float64) (chance float64) {
	for i := range f.all {
		if c := &f.all[i]; 100*nestBees*c.OnBees >= threshold*max(c.Bees(), 1) {
			chance += f.weights[i]
		}
	}
	return chance
}

// Figures are sorted into drawers, 128 to a doubling, from 2^-drawersFrom on: within a hundredth, and many times
// faster than by comparing them.
const (
	fine        = 7
	drawersFrom = 10
	drawers     = (drawersFrom + 24) << fine
)

func (f *Filter) band(of func(*Colony) float64) (b Band) {
	var drawer [drawers]float64
	const mantissa, bias = 52, 1023
	for i := range f.all {
		at := int(math.Float64bits(max(of(&f.all[i]), 0))>>(mantissa-fine)) - (bias-drawersFrom)<<fine
		drawer[min(max(at, 0), drawers-1)] += f.weights[i]
	}
	sum, stops := 0.0, []float64{below, 0.5, 1 - below}
	for i, w := range drawer {
		for sum += w; len(stops) > 0 && sum >= stops[0]; stops = stops[1:] {
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

// surprise is how far counts lay from what was to be expected.
type surprise struct {
	squares float64
	counts  int
}

// add adds a count, by its rank among those to be expected.
func (s *surprise) add(rank float64) {
	z := deviate(rank)
	s.squares += z * z
	s.counts++
}

// deviate is how many standard deviations off a rank is, of a normal distribution; at most three.
func deviate(rank float64) float64 {
	const edge = 1e-3
	return math.Sqrt2 * math.Erfinv(2*min(max(rank, edge), 1-edge)-1)
}

// Misfit reports whether the counts and the model do not go together: the counts are so far off in fewer than one case of
// ten, if the model holds.
func (f *Filter) Misfit() bool { return f.off.much() }

// much holds the sum of squares against the chi-square distribution, by Wilson and Hilferty's cubes.
func (s surprise) much() bool {
	if s.counts == 0 {
		return false
	}
	const oneInTen = 1.282
	n := float64(s.counts)
	cube := 1 - 2/(9*n) + oneInTen*math.Sqrt(2/(9*n))
	return s.squares > n*cube*cube*cube
}

// widen draws a band as much wider as counts were further off than they should be.
func (s surprise) widen(b Band) Band {
	if !s.much() || b.Low <= 0 {
		return b
	}
	by := math.Sqrt(s.squares / float64(s.counts))
	return Band{Low: b.Middle * math.Pow(b.Low/b.Middle, by), Middle: b.Middle, High: b.Middle * math.Pow(b.High/b.Middle, by)}
}

// draw draws a count of a mean whose scatter is that of mites which sit together: a Poisson count around a gamma of
// a size.
func draw(r *rand.Rand, mean, size float64) int {
	return poisson(r, mean*gamma(r, size)/size)
}

// gamma draws from a gamma distribution of a shape of one or more (Marsaglia and Tsang).
func gamma(r *rand.Rand, shape float64) float64 {
	d := shape - 1.0/3
	for {
		x := r.NormFloat64()
		v := 1 + x/math.Sqrt(9*d)
		if v <= 0 {
			continue
		}
		v = v * v * v
		if math.Log(r.Float64()) < x*x/2+d-d*v+d*math.Log(v) {
			return d * v
		}
	}
}

// poisson draws a count of a mean; of a large one as the normal distribution has it.
func poisson(r *rand.Rand, mean float64) int {
	const large = 60
	if mean > large {
		return max(0, int(math.Round(mean+math.Sqrt(mean)*r.NormFloat64())))
	}
	limit, product, n := math.Exp(-mean), r.Float64(), 0
	for ; product > limit; n++ {
		product *= r.Float64()
	}
	return n
}
