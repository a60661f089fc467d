package mites

import (
	"math"
	"testing"
)

// atLeast is the chance of n or more by a Poisson distribution, summed term by term.
func atLeast(n int, mean float64) float64 {
	below, term := 0.0, math.Exp(-mean)
	for k := range n {
		below += term
		term *= mean / float64(k+1)
	}
	return 1 - below
}

// Garwood's interval by its definition: at its lower end the count or more has a
// chance of 2.5 %, at its upper end the count or fewer has.
func TestPoissonByDefinition(t *testing.T) {
	for n := range 200 {
		low, high := poisson(float64(n))
		if n == 0 && low != 0 {
			t.Errorf("none: from %v", low)
		}
		if n > 0 && math.Abs(atLeast(n, low)-tail) > 1e-6 {
			t.Errorf("%d: from %v, where the chance is %v", n, low, atLeast(n, low))
		}
		if math.Abs(1-atLeast(n+1, high)-tail) > 1e-6 {
			t.Errorf("%d: to %v, where the chance is %v", n, high, 1-atLeast(n+1, high))
		}
	}
}

// Wilson's interval by its definition: its ends are the shares from which the
// sample's lies exactly z standard errors away.
func TestWilsonByDefinition(t *testing.T) {
	for _, bees := range []int{20, 100, 300, 5000} {
		for _, hits := range []int{1, 2, 5, bees / 10, bees / 2, bees - 1} {
			share := float64(hits) / float64(bees)
			low, high := wilson(float64(hits), float64(bees))
			for _, end := range []float64{low, high} {
				away := math.Abs(share-end) / math.Sqrt(end*(1-end)/float64(bees))
				if math.Abs(away-z) > 1e-9 {
					t.Errorf("%d of %d: an end at %v is %v errors away", hits, bees, end, away)
				}
			}
		}
	}
}

// More of the same tells more: the interval narrows, and never jumps over the rate.
func TestCountingMoreNarrows(t *testing.T) {
	for _, kind := range []Kind{Board, Wash} {
		last := math.Inf(1)
		for times := 1; times <= 16; times *= 2 {
			r := Count{Kind: kind, Mites: 3 * times, Days: float64(2 * times), Bees: 100 * times}.Rate()
			if width := r.High - r.Low; width >= last {
				t.Errorf("%s, %d times: %v is no narrower than %v", kind, times, width, last)
			} else {
				last = width
			}
			if r.Low >= r.Value || r.High <= r.Value {
				t.Errorf("%s, %d times: %+v", kind, times, r)
			}
		}
	}
}
