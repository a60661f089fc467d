package outlook

import (
	"math"
	"math/rand/v2"

	"keeler/core/mites"
)

// draw draws a count of a mean whose scatter is that of mites which sit together: a Poisson count around a gamma of
// a size.
func draw(r *rand.Rand, mean, size float64) int {
	return mites.Poisson(r, mean*gamma(r, size)/size)
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
