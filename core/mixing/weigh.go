// Package mixing is the work at the balance: what to read on it, how exactly,
// in how many loads, and with what gear on.
//
// Source: docs/sources.md, Weighing and mixing.
package mixing

import (
	"cmp"
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
)

// UsualDivision is what a kitchen balance reads where the keeper says nothing, g.
const UsualDivision chem.Grams = 0.1

// Balance is what the keeper weighs with.
type Balance struct {
	Division chem.Grams `json:"balance_g,omitempty" doc:"What it reads, 0.001 to 10 g; of a recipe 0.1 when left out."`
	Capacity chem.Grams `json:"balance_capacity_g,omitempty" doc:"What it carries, g, at least 100 divisions; left out when it is not known."`
	Least    chem.Grams `json:"balance_least_g,omitempty" doc:"The smallest load it feels sensibly, g; left out when not said."`
}

// MaxCapacity is what the strongest balance carries, g.
const MaxCapacity = 100000

// MaxLoads is how many loads of one ingredient are still counted without slips.
const MaxLoads = 50

// Settled is the keeper's balance, or else the usual one.
func (b Balance) Settled() Balance {
	b.Division = cmp.Or(b.Division, UsualDivision)
	return b
}

// Check appends what cannot be a balance: a division outside 0.001 to 10 g, a
// capacity below a hundred divisions, a least load above a tenth of the capacity.
func (b Balance) Check(l *fault.List) {
	l.Within("balance_g", float64(b.Division), 0.001, 10, "g")
	if b.Capacity != 0 {
		l.Within("balance_capacity_g", float64(b.Capacity), max(20, 100*float64(b.Division)), MaxCapacity, "g")
	}
	most := 1000 * float64(b.Division)
	if b.Capacity > 0 {
		most = float64(b.Capacity) / 10
	}
	l.Within("balance_least_g", float64(b.Least), 0, most, "g")
}

// Target is a mass as it is read on the balance.
type Target struct {
	Show  chem.Grams `json:"show_g,omitempty" doc:"The mass as read on the balance, all loads together, g."`
	Band  chem.Grams `json:"band_g,omitempty" doc:"Allowed either way, g: 1 % of the mass, but never finer than one division."`
	Loads int        `json:"loads,omitempty" doc:"Loads that the balance carries, tared and counted; 1 when it carries all at once."`
	Each  chem.Grams `json:"load_g,omitempty" doc:"One load, g."`
	Last  chem.Grams `json:"last_g,omitempty" doc:"The last load, g, which makes up the rest of show_g."`
	Off   chem.Share `json:"off_percent,omitempty" doc:"How far the mass may be off although it reads true, %."`
}

// Weigh is a mass on this balance alone, without a cup, as Scales.Weigh does it.
// Where it takes too many loads only their number is told, see Readable.
func (b Balance) Weigh(mass chem.Grams, acid bool) Target {
	w, ok := b.weighing(mass, mass, 0, acid)
	t := Target{Show: w.Total, Band: w.Band, Loads: 1, Each: w.Total, Last: w.Total, Off: w.Share}
	if ok {
		t.Loads, t.Each, t.Last = len(w.Loads), w.Loads[0].Target, w.Loads[len(w.Loads)-1].Target
	} else if w.Total > 0 {
		t.Loads = w.count
	}
	return t
}

// round takes the nearest division; of two as near, the lower: acid is never
// rounded up where it need not be.
func (b Balance) round(mass chem.Grams) chem.Grams {
	return chem.Grams(math.Ceil(float64(mass/b.Division)-0.5-1e-9)) * b.Division
}

// bulk is the balance for what need not be finer than whole grams, once a part
// is heavy enough for that to be within 1 %.
func (b Balance) bulk(mass chem.Grams) Balance {
	if mass >= 100 {
		b.Division = max(b.Division, 1)
	}
	return b
}

// Readable refuses a balance on which one of the lines, by its step, would read
// as nothing, or would take more loads than anyone counts without a slip.
func (b Balance) Readable(lines []Line, steps ...Step) error {
	var l fault.List
	for _, line := range lines {
		for _, step := range steps {
			if line.Step == step && line.Show <= 0 {
				l.AddRange("balance_g", fault.TooHigh, 0.001, float64(line.Mass), "g")
			}
		}
		if line.Loads > MaxLoads {
			l.AddRange("balance_capacity_g", fault.TooLow, float64(line.Mass/MaxLoads), MaxCapacity, "g")
		}
	}
	return l.Err()
}
