// Package bench is the work at the balance: what to read on it, and how exactly.
package bench

import (
	"math"

	"keeler/core/chem"
)

// Target is a mass as it is read on the balance.
type Target struct {
	Show chem.Grams // rounded to the balance's division
	Band chem.Grams // allowed either way: 1 % of the mass, but never finer than one division
}

// Weigh rounds a mass to the balance's division (its readability, over 0).
// Source of the band: 1 % on each part keeps the strength within about 1.5 %,
// well inside the step between neighbouring schools.
func Weigh(mass, division chem.Grams) Target {
	show := chem.Grams(math.Round(float64(mass/division))) * division
	band := chem.Grams(math.Round(0.01*float64(mass/division))) * division
	return Target{Show: show, Band: max(band, division)}
}

// Coarse reports how uncertain one division makes the mass, and whether that is
// more than a careful keeper accepts (2.5 %).
func Coarse(mass, division chem.Grams) (chem.Share, bool) {
	if mass <= 0 {
		return 0, false
	}
	part := chem.Share(division / mass)
	return part, part > 0.025
}
