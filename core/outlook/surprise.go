package outlook

import "math"

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
