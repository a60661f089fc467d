package outlook

import "keeler/core/calendar"

// Point is the mites on 100 nest bees on a day, and, in the middle of all colonies, bees, sealed cells and which share
// of the mites is in them.
type Point struct {
	Day calendar.Day
	Band
	Bees, Sealed, Capped float64
}

// Brood is how much of it there is.
func (p Point) Brood() Brood { return broodOf(p.Sealed) }

// Point is the day as it stands.
func (f *Filter) Point() Point {
	capped := f.band(func(c *Colony) float64 { return c.under / max(c.Mites(), leastMean) })
	return Point{f.Day, f.Rate(), f.Bees().Middle, f.band((*Colony).Sealed).Middle, capped.Middle}
}

// Crossing is when a colony comes to be over the threshold: in one of ten cases by From, in nine by To, each 0
// where it is not by the last day that was asked for, and with a chance by then; Now is the chance that it is already.
type Crossing struct {
	From, To    calendar.Day
	Now, Chance float64
}

// ahead lives on with a copy of the colonies, and tells each day from this one on until the last one of a horizon.
func (f *Filter) ahead(given []Dose, tell func(*Filter, Crossing), h Horizon) {
	on := f.copy()
	over := make([]bool, len(on.all))
	var c Crossing
	for {
		limit := h.Threshold(on.Day)
		for i := range on.all {
			if k := &on.all[i]; !over[i] && on.Day >= h.Since && 100*nestBees*k.OnBees >= limit*max(k.Bees(), 1) {
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
		tell(on, c)
		if on.Day >= h.To {
			return
		}
		on.Step(given, false)
	}
}
