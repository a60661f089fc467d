package outlook

import (
	"math"

	"keeler/core/calendar"
)

// Point is the mites on 100 nest bees on a day.
type Point struct {
	Day calendar.Day
	Band
}

// Crossing is when a colony comes to be over the threshold: in one of ten cases by From, in nine by To, each 0
// where it is not by the last day that was asked for, and with a chance by then.
type Crossing struct {
	From, To calendar.Day
	Chance   float64
}

// Ahead lives on to a day under what is given, and tells the mites every few days. The filter is used up: what is counted
// later belongs to another.
func (f *Filter) Ahead(to calendar.Day, given []Dose, every int, threshold func(calendar.Day) float64) (points []Point, c Crossing) {
	over := make([]bool, len(f.all))
	for day := f.Day; ; day = f.Day {
		limit := threshold(day)
		for i := range f.all {
			if k := &f.all[i]; !over[i] && 100*nestBees*k.OnBees >= limit*max(k.Bees(), 1) {
				over[i] = true
				c.Chance += f.weights[i]
			}
		}
		if c.From == 0 && c.Chance >= below {
			c.From = day
		}
		if c.To == 0 && c.Chance >= 1-below {
			c.To = day
		}
		if int(to-day)%every == 0 {
			points = append(points, Point{day, f.Rate()})
		}
		if day >= to {
			c.Chance = math.Min(c.Chance, 1)
			return points, c
		}
		f.Step(given, false)
	}
}
