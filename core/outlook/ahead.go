package outlook

import (
	"slices"

	"keeler/core/calendar"
)

// Point is the mites on 100 nest bees on a day.
type Point struct {
	Day calendar.Day
	Band
}

// Crossing is when a colony comes to be over the threshold: in one of ten cases by From, in nine by To, each 0
// where it is not by the last day that was asked for, and with a chance by then; Now is the chance that it is already.
type Crossing struct {
	From, To    calendar.Day
	Now, Chance float64
}

// ahead lives on with a copy of the colonies, and tells each day from this one on until a last one.
func (f *Filter) ahead(to calendar.Day, given []Dose, tell func(*Filter, Crossing), threshold func(calendar.Day) float64) {
	on := *f
	on.all = slices.Clone(f.all)
	over := make([]bool, len(on.all))
	var c Crossing
	for {
		limit := threshold(on.Day)
		for i := range on.all {
			if k := &on.all[i]; !over[i] && 100*nestBees*k.OnBees >= limit*max(k.Bees(), 1) {
				over[i] = true
				c.Chance = min(c.Chance+on.weights[i], 1)
			}
		}
		if on.Day == f.Day {
			c.Now = c.Chance
		}
		if c.From == 0 && c.Chance >= below {
			c.From = on.Day
		}
		if c.To == 0 && c.Chance >= 1-below {
			c.To = on.Day
		}
		tell(&on, c)
		if on.Day >= to {
			return
		}
		on.Step(given, false)
	}
}
