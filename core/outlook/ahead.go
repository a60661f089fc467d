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

// manyCapped is which share of the mites must be under caps when syrup is dribbled, to be warned of.
const manyCapped = 0.1

// UnderCaps is the share of the mites that are under caps about a day, by rising points, and whether a dribble then misses so
// many that it must be said.
func UnderCaps(points []Point, on calendar.Day) (share float64, many bool) {
	for _, p := range points {
		if p.Day >= on {
			return p.Capped, p.Capped >= manyCapped
		}
	}
	return 0, false
}

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

// ahead lives on with a copy of the colonies, which it tells on some days: rising ones, from this day to the last one of a
// horizon.
func (f *Filter) ahead(given []Dose, h Horizon, days []calendar.Day, tell func(*Filter)) Crossing {
	on := f.copy()
	over := make([]float64, h.To-f.Day+1) // by the days until a colony is over the threshold, what those weigh
	first := make([]bool, len(on.all))
	limits, doses := make([]float64, len(over)), make([][]Dose, len(over))
	for i := range limits {
		limits[i], doses[i] = h.Threshold(f.Day+calendar.Day(i)), working(given, f.Day+calendar.Day(i))
	}
	look := func(i int, c *Colony) {
		if at := c.Day - f.Day; !first[i] && c.Day >= h.Since && c.Rate() >= limits[at] {
			first[i] = true
			over[at] += f.weights[i]
		}
	}
	for i := range on.all {
		look(i, &on.all[i])
	}
	for _, day := range days {
		for i := range on.all { // colony by colony: many days at once go faster so
			for c := &on.all[i]; c.Day < day; {
				c.Step(doses[c.Day+1-f.Day], false)
				look(i, c)
			}
		}
		on.Day = day
		tell(on)
	}
	return crossing(over, f.Day)
}

// crossing adds up when colonies come to be over the threshold, by the days from one on.
func crossing(over []float64, from calendar.Day) (c Crossing) {
	for i, w := range over {
		c.Chance = min(c.Chance+w, 1)
		day := from + calendar.Day(i)
		if i == 0 {
			c.Now = c.Chance
		}
		if c.From == 0 && c.Chance >= below {
			c.From = day
		}
		if c.To == 0 && c.Chance >= 1-below {
			c.To = day
		}
	}
	return c
}
