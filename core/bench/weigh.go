// Package bench is the work at the balance: what to read on it, how exactly,
// in how many loads, and with what gear on.
package bench

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
)

// Balance is what the keeper weighs with.
type Balance struct {
	Division chem.Grams // its readability, over 0
	Capacity chem.Grams // 0 when it was not said
	Least    chem.Grams // the smallest load it feels sensibly; 0 when it was not said
}

// MaxLoads is how many loads of one ingredient are still counted without slips.
const MaxLoads = 50

// Check appends what cannot be a balance: a division outside 0.001 to 10 g, a
// capacity below a hundred divisions, a least load above a tenth of the capacity.
func (b Balance) Check(l *fault.List) {
	l.Within("balance_g", float64(b.Division), 0.001, 10, "g")
	if b.Capacity != 0 {
		l.Within("balance_capacity_g", float64(b.Capacity), max(20, 100*float64(b.Division)), 100000, "g")
	}
	most := 1000 * float64(b.Division)
	if b.Capacity > 0 {
		most = float64(b.Capacity) / 10
	}
	l.Within("balance_least_g", float64(b.Least), 0, most, "g")
}

// Target is a mass as it is read on the balance.
type Target struct {
	Show  chem.Grams // rounded to the balance's division
	Band  chem.Grams // allowed either way: 1 % of the mass, but never finer than one division
	Loads int        // equal loads, tared and counted; 1 when the balance carries it at once
	Each  chem.Grams // one load, rounded to the division
}

// Weigh rounds a mass to the balance's division and splits it into equal loads
// that the balance carries. Source of the band: 1 % on each part keeps the
// strength within about 1.5 %, well inside the step between neighbouring schools.
func (b Balance) Weigh(mass chem.Grams) Target {
	t := Target{Show: b.round(mass), Band: max(b.round(0.01*mass), b.Division), Loads: 1}
	if b.Capacity > 0 && t.Show > b.Capacity {
		t.Loads = int(math.Ceil(float64(t.Show/b.Capacity) - 1e-9))
	}
	t.Each = b.round(t.Show / chem.Grams(t.Loads))
	if t.Each > b.Capacity && t.Loads > 1 { // rounded up past what it carries
		t.Loads++
		t.Each = b.round(t.Show / chem.Grams(t.Loads))
	}
	return t
}

func (b Balance) round(mass chem.Grams) chem.Grams {
	return chem.Grams(math.Round(float64(mass/b.Division))) * b.Division
}

// Bulk is the balance for what need not be finer than whole grams, once a part
// is heavy enough for that to be within 1 %.
func (b Balance) Bulk(mass chem.Grams) Balance {
	if mass >= 100 {
		b.Division = max(b.Division, 1)
	}
	return b
}

// Coarse reports how uncertain the readability makes the mass, and whether that is
// more than a careful keeper accepts: ± 1.25 %, so that a mass of forty divisions is fine.
func (b Balance) Coarse(mass chem.Grams) (chem.Share, bool) {
	if mass <= 0 {
		return 0, false
	}
	part := chem.Share(b.Off() / mass)
	return part, part > 0.0125
}

// Readable refuses a balance on which one of the lines, by its step, would read
// as nothing, or would take more loads than anyone counts without a slip.
func (b Balance) Readable(lines []Line, steps ...Step) error {
	var l fault.List
	for _, line := range lines {
		for _, step := range steps {
			if line.Step == step && line.Read.Show <= 0 {
				l.AddRange("balance_g", fault.TooHigh, 0.001, float64(line.Mass), "g")
			}
		}
		if line.Read.Loads > MaxLoads {
			l.AddRange("balance_capacity_g", fault.TooLow, float64(line.Mass/MaxLoads), 100000, "g")
		}
	}
	return l.Err()
}
