package stock

import (
	"cmp"
	"slices"

	"keeler/core/calendar"
)

// Need is so much of an ingredient, in the unit of its lots, that is used on a day.
type Need struct {
	Ingredient string
	Amount     float64
	On         calendar.Day
}

// Lot is what is there of what was bought at one time: its last good day, or 0, and the price for a kilogram, a litre or a
// piece, or 0 where it is not said.
type Lot struct {
	Ingredient string
	Left       float64
	UseBy      calendar.Day
	Price      float64
	Unit       string
}

// Want is what is needed of an ingredient in all, what of it is there and still good on its day, and what it costs.
type Want struct {
	Ingredient    string
	Amount, There float64
	Cost          float64 // at the newest price; 0: none is known
}

// Buy is what has to be bought of it.
func (w Want) Buy() float64 { return max(w.Amount-w.There, 0) }

// Wants lists what is needed, in the order in which it is first needed, against lots of which the newest come first. Each need
// takes of the lots that are still good on its day, those that end soonest first.
func Wants(needs []Need, lots []Lot) []Want {
	needs = slices.Clone(needs)
	slices.SortStableFunc(needs, func(a, b Need) int { return cmp.Compare(a.On, b.On) })
	left := slices.Clone(lots)
	slices.SortStableFunc(left, func(a, b Lot) int { return cmp.Compare(ends(a), ends(b)) })
	var out []Want
	for _, n := range needs {
		at := slices.IndexFunc(out, func(w Want) bool { return w.Ingredient == n.Ingredient })
		if at < 0 {
			at, out = len(out), append(out, Want{Ingredient: n.Ingredient})
		}
		w := &out[at]
		w.Amount += n.Amount
		if priced := slices.IndexFunc(lots, func(l Lot) bool { return l.Ingredient == n.Ingredient && l.Price > 0 }); priced >= 0 {
			w.Cost += Cost(n.Amount, lots[priced].Price, lots[priced].Unit)
		}
		for i := range left {
			if l := &left[i]; l.Ingredient == n.Ingredient && ends(*l) >= n.On {
				taken := min(max(l.Left, 0), n.Amount)
				l.Left, n.Amount, w.There = l.Left-taken, n.Amount-taken, w.There+taken
			}
		}
	}
	return out
}

// never is a day after all others.
const never calendar.Day = 1 << 30

func ends(l Lot) calendar.Day { return cmp.Or(l.UseBy, never) }
