package mixing

import (
	"math"

	"keeler/core/chem"
)

// Addition is how much more of an ingredient goes in.
type Addition struct {
	Part int
	Mass chem.Grams
}

// Mend works out the least of each ingredient that must still go in so that all
// stands in the wanted proportion and there is at least as much as was wanted.
// ok is false where no addition does it: nothing can be taken out again.
//
// Source: the balance of masses. With what is in and the additions x of unit
// mixtures A, A·x = k·wanted − in for the smallest k, 1 or more, that needs no x
// below nothing; pieces are counted up to whole ones.
func (w Work) Mend(taken []Taken) (out []Addition, ok bool) {
	wanted, in := w.Measure.axes(w.Aim), w.Measure.axes(w.Mix(taken))
	n := len(wanted)
	parts := w.mending(n)
	if n == 0 || len(parts) != n {
		return nil, false
	}
	var units [3][3]float64
	for j, p := range parts {
		for i, a := range w.Measure.axes(w.Parts[p].Gram) {
			units[i][j] = a
		}
	}
	per, solved := solve(units, wanted) // of each ingredient in one batch as wanted
	have, also := solve(units, in)
	if !solved || !also {
		return nil, false
	}
	k := 1.0
	for j := range parts {
		if per[j] > tiny {
			k = math.Max(k, have[j]/per[j])
		} else if have[j] > tiny {
			return nil, false
		}
	}
	for j, p := range parts {
		if each := float64(w.Parts[p].Each); each > 0 && per[j] > tiny {
			whole := math.Ceil((k*per[j]-have[j])/each - 1e-6)
			k = (whole*each + have[j]) / per[j]
		}
	}
	for j, p := range parts {
		if x := k*per[j] - have[j]; x > tiny {
			out = append(out, Addition{p, chem.Grams(x)})
		}
	}
	return out, true
}

// Surplus is dry powder over its target that can still come off with a spoon.
type Surplus struct {
	Act  string     `json:"act"`
	Mass chem.Grams `json:"grams" doc:"To be taken off."`
}

// Surplus finds what undoes the last weighing instead of adding to everything: too
// much of a powder, as long as nothing was done after it that wets it.
func (s State) Surplus(w Work) (out Surplus, ok bool) {
	for i := len(s.Stations) - 1; i >= 0; i-- {
		st := s.Stations[i]
		if st.Part < 0 || len(st.Added) == 0 {
			if st.Answer != "" || st.Temp != nil {
				return out, false
			}
			continue
		}
		over := st.in() - st.Target
		return Surplus{st.ID, over}, w.Parts[st.Part].Dry && over > st.Band
	}
	return out, false
}

// tiny is what arithmetic leaves of nothing, in g.
const tiny = 1e-6

// mending is the ingredients to mend with, as many as there are axes: the acid as
// it is at hand, and what dilutes it. Liquor carried over is a mixture already and
// is no means of mending.
func (w Work) mending(n int) []int {
	var out []int
	for i, p := range w.Parts {
		if !p.mixed() && len(out) < n {
			out = append(out, i)
		}
	}
	return out
}

// mixed is liquor from an earlier pot.
func (p Part) mixed() bool { return p.Gram.OAD > 0 && p.Gram.Glycerol > 0 }

// solve is Gauss's elimination with pivots for up to three unknowns.
func solve(a [3][3]float64, b []float64) (x [3]float64, ok bool) {
	n := len(b)
	copy(x[:], b)
	for c := range n {
		p := c
		for r := c + 1; r < n; r++ {
			if math.Abs(a[r][c]) > math.Abs(a[p][c]) {
				p = r
			}
		}
		if math.Abs(a[p][c]) < 1e-12 {
			return x, false
		}
		a[c], a[p], x[c], x[p] = a[p], a[c], x[p], x[c]
		for r := range n {
			if r == c {
				continue
			}
			f := a[r][c] / a[c][c]
			for k := c; k < n; k++ {
				a[r][k] -= f * a[c][k]
			}
			x[r] -= f * x[c]
		}
	}
	for c := range n {
		x[c] /= a[c][c]
	}
	return x, true
}
