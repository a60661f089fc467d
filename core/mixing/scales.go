package mixing

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
)

// Scales are the balances at hand, and the cup that ingredients are weighed in.
type Scales struct {
	Balances []Balance
	Cup      chem.Grams // its tare: the balance carries it under every load
}

// Load is what lies on the tared balance at one time.
type Load struct {
	Target chem.Grams `json:"target_g"`
	Band   chem.Grams `json:"band_g"`
}

// Weighing is how a mass is weighed on the balance that fits it.
type Weighing struct {
	Balance int        `json:"balance" doc:"Which of the balances, from 0."`
	Loads   []Load     `json:"loads"`
	Total   chem.Grams `json:"total_g" doc:"Of all loads, as read."`
	Band    chem.Grams `json:"-"` // allowed either way on the total
	Off     chem.Grams `json:"off_g" doc:"It may be off by so much although it reads true."`
	Share   chem.Share `json:"off_percent" doc:"The same as a share of the total."`
	Finer   chem.Grams `json:"finer_g,omitempty" doc:"The readability that would know it to 1 %; left out where this one does."`
	Light   bool       `json:"light,omitempty" doc:"A load lies below what the balance feels sensibly."`
	count   int        // of loads, also where they are too many
}

// Certain is how well a mass should be known: ± 1 %, as the band is.
const Certain chem.Share = 0.01

// MaxCup is the heaviest vessel put on a kitchen balance, g.
const MaxCup = 20000

// Check appends what cannot be: no balance or more than 8, a balance that cannot
// be one, a cup that none of them carries.
func (s Scales) Check(l *fault.List) {
	l.Within("balances", float64(len(s.Balances)), 1, 8, "balances")
	for i, b := range s.Balances {
		before := len(*l)
		b.Check(l)
		l.Beneath(before, "balances", i)
	}
	if !l.Within("cup_g", float64(s.Cup), 0, MaxCup, "g") || len(*l) > 0 {
		return
	}
	most := chem.Grams(0)
	for _, b := range s.Balances {
		most = max(most, b.room(s.Cup))
	}
	if most <= 0 {
		l.AddRange("cup_g", fault.TooHigh, 0, float64(s.mostCapacity()), "g")
	}
}

// CheckWork appends that none of the balances weighs an ingredient of the work in loads
// that are still counted without slips.
func (s Scales) CheckWork(w Work, l *fault.List) {
	for _, line := range w.Lines {
		if line.Mass <= 0 || line.Count > 0 {
			continue
		}
		if _, ok := s.Weigh(line.Mass, line.Acid); !ok {
			l.AddRange("balances", fault.TooLow, float64(line.Mass)/MaxLoads, MaxCapacity, "g")
			return
		}
	}
}

func (s Scales) mostCapacity() chem.Grams {
	most := chem.Grams(0)
	for _, b := range s.Balances {
		most = max(most, b.Capacity)
	}
	return most
}

// strongest is the balance that carries most.
func (s Scales) strongest() (at int) {
	for i, b := range s.Balances {
		if b.room(0) > s.Balances[at].room(0) {
			at = i
		}
	}
	return at
}

// room is what the balance carries besides the cup.
func (b Balance) room(cup chem.Grams) chem.Grams {
	if b.Capacity == 0 {
		return chem.Grams(math.Inf(1))
	}
	return b.Capacity - cup
}

// Off is how far one tared load may be off although it reads true: half a
// division, which is where the reading changes.
func (b Balance) Off() chem.Grams { return b.Division / 2 }

// Weigh gives a mass (g, over 0) to the balance that fits it, acid to its full
// readability and what is bulk to whole grams at most: of those that know
// it well enough the one with the fewest loads, then the finest; where none does,
// the one that knows it best. ok is false when none carries it in MaxLoads.
//
// Source of the uncertainty: each load is read to half a division; loads are
// independent, so their errors add in quadrature.
func (s Scales) Weigh(mass chem.Grams, acid bool) (w Weighing, ok bool) {
	return s.WeighPart(mass, mass, acid)
}

// WeighPart is Weigh for a part of a whole (g) that goes into the same vessel:
// how well the part is known is told as a share of the whole, since that is what
// the strength goes by. A top-up of half a gram needs no finer balance than the
// acid that it tops up.
func (s Scales) WeighPart(mass, whole chem.Grams, acid bool) (w Weighing, ok bool) {
	for i, b := range s.Balances {
		next, can := b.weighing(mass, whole, s.Cup, acid)
		next.Balance = i
		if can && (!ok || next.before(w)) {
			w, ok = next, true
		}
	}
	return w, ok
}

// before reports whether a weighing is to be preferred.
func (w Weighing) before(o Weighing) bool {
	fine, other := w.Finer == 0 && !w.Light, o.Finer == 0 && !o.Light
	switch {
	case fine != other:
		return fine
	case fine && len(w.Loads) != len(o.Loads):
		return len(w.Loads) < len(o.Loads)
	case w.Light != o.Light:
		return !w.Light
	}
	return w.Off < o.Off
}

// weighing is the one rule by which docket and bench weigh.
func (b Balance) weighing(mass, whole, cup chem.Grams, acid bool) (Weighing, bool) {
	read := b
	if !acid {
		read = b.bulk(mass)
	}
	w := Weighing{Total: read.round(mass), Band: max(read.round(chem.Grams(Certain)*mass), read.Division)}
	room := b.room(cup)
	if !math.IsInf(float64(room), 1) {
		room = chem.Grams(math.Floor(float64(room/read.Division)+1e-9)) * read.Division
	}
	if room <= 0 || w.Total <= 0 {
		return w, false
	}
	w.count = max(1, int(math.Ceil(float64(w.Total/room)-1e-9)))
	if w.count > MaxLoads {
		return w, false
	}
	// The even share, rounded up, fits into the room, which is whole divisions.
	each := chem.Grams(math.Ceil(float64(w.Total/chem.Grams(w.count)/read.Division)-1e-9)) * read.Division
	for rest := w.Total; rest > read.Division/2; {
		load := min(each, rest)
		w.Loads = append(w.Loads, Load{load, max(read.round(chem.Grams(Certain)*load), read.Division)})
		rest -= load
	}
	w.Off = b.Off() * chem.Grams(math.Sqrt(float64(len(w.Loads))))
	w.Share = chem.Share(w.Off / max(whole, w.Total))
	if w.Share > Certain {
		w.Finer = finer(2 * chem.Grams(Certain) * max(whole, w.Total))
	}
	w.Light = b.Least > 0 && w.Loads[len(w.Loads)-1].Target < b.Least
	return w, true
}

// finer is the coarsest readability sold that is no coarser than that.
func finer(division chem.Grams) chem.Grams {
	sold := []chem.Grams{5, 2, 1, 0.5, 0.2, 0.1, 0.05, 0.02, 0.01}
	for _, d := range sold {
		if d <= division*(1+1e-9) {
			return d
		}
	}
	return 0.001
}
