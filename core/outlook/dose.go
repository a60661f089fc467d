package outlook

import (
	"math"

	"keeler/core/calendar"
)

// Way is how a treatment works.
type Way int

// The ways.
const (
	Dribble Way = iota
	Vapour
	Strips
	Formic
)

// Dose is one treatment of a colony.
type Dose struct {
	Way      Way
	From, To calendar.Day // the day it is given, and of what stays the one on which it comes out
	Strength float64      // what was given as a share of what is meant, above 0: 1 is as meant
}

// Strips work from a day on, half as well by another, and no longer after a last one. Source:
// docs/sources.md, Year of a colony.
const (
	stripsWork, stripsHalf, stripsLast = 3, 42, 56
)

// kills is the share of mites on bees, and under caps, that a dose kills on a day: on none before the one after it was
// given, for what is counted on that day is counted before.
func (o Dose) kills(p *Params, on calendar.Day) (bees, caps float64) {
	n := float64(on - o.From - 1)
	switch o.Way {
	case Dribble:
		if n == 0 {
			bees = p[ByDribble]
		}
	case Vapour:
		if n == 0 {
			bees = p[ByVapour]
		}
	case Strips:
		if n >= stripsWork && n <= stripsLast && on <= o.To {
			bees = p[ByStrips] * (1 - 0.5*(n-stripsWork)/(stripsHalf-stripsWork))
		}
	case Formic:
		if n >= 0 && on <= o.To {
			bees, caps = p[ByFormic], p[ByFormicCap]
		}
	}
	return strengthened(bees, o.Strength), strengthened(caps, o.Strength)
}

// working are those doses that may do something on a day: of many, so that each of many colonies is not asked of all.
func working(given []Dose, on calendar.Day) (out []Dose) {
	for _, o := range given {
		if on > o.From && on <= max(o.To, o.From+1) {
			out = append(out, o)
		}
	}
	return out
}

// strengthened is a share killed by so much of a dose: each part of it works on what the others left.
func strengthened(share, strength float64) float64 {
	if share == 0 || strength == 1 {
		return share
	}
	return 1 - math.Pow(1-share, strength)
}

// take has a dose work for a day; what it kills falls by and by.
func (c *Colony) take(o Dose) {
	bees, caps := o.kills(&c.Params, c.Day)
	if bees+caps == 0 {
		return
	}
	killed := c.OnBees * bees
	c.OnBees -= killed
	if caps > 0 {
		before := c.under
		c.leave(1 - caps)
		killed += before - c.under
	}
	c.Killed += killed
	c.killed += killed
}
