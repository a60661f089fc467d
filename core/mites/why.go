package mites

import (
	"keeler/core/calendar"
	"keeler/core/method"
)

// Dose is what one colony was given, as far as it tells why it may not have worked.
type Dose struct {
	On            calendar.Day
	Method        method.Name
	Amount, Asked float64 // in one unit
	Acid, Meant   float64 // mg in that much, and as was meant; 0: not known
	PastDay       bool    // from a batch past its day
	Boxes         []float64
	Seams         []float64 // of bees, by box
	Days, Least   int       // in the hive, and at least by its rule; 0: still in, or it does not stay
	Missing       int       // pieces that were not found when it came out
	// Air is °C outside when it was given, High the highest of the day; nil: nobody knew. It
	// is given between Cold and Warm; alike: nobody said.
	Air, High  *float64
	Cold, Warm float64
}

// Circumstances are what the records show around a treatment of one colony.
type Circumstances struct {
	Doses     []Dose
	Broodless bool         // it meets no mite under a cap
	Sealed    calendar.Day // when sealed brood was seen about that time; 0: it was not
	// Untreated are the colonies of its yard that were given nothing about that time.
	Untreated int
}

// Why is a reason why a treatment may not have worked, with its datum. Code names it:
// brood_seen; dose_short (percent of what was asked); weak (percent of the acid that was
// meant); past_day; too_cold, too_warm (°C outside, and the bound); box_left (which box, from 1); out_early (days in, days at least);
// missing (pieces); untreated (colonies).
type Why struct {
	Code    string
	On      calendar.Day
	Figures []float64
}

// short is what share of a dose or its acid counts as the whole: less is told.
const short = 0.9

// WhyNot lists what the records show that may be why, and nothing else.
func WhyNot(c Circumstances) []Why {
	var out []Why
	say := func(code string, on calendar.Day, figures ...float64) { out = append(out, Why{code, on, figures}) }
	if c.Broodless && c.Sealed != 0 {
		say("brood_seen", c.Sealed)
	}
	for _, d := range c.Doses {
		if d.Asked > 0 && d.Amount < short*d.Asked {
			say("dose_short", d.On, 100*d.Amount/d.Asked)
		}
		if d.Acid > 0 && d.Meant > 0 && d.Acid < short*d.Meant {
			say("weak", d.On, 100*d.Acid/d.Meant)
		}
		if d.Air != nil && d.Cold < d.Warm && *d.Air < d.Cold {
			say("too_cold", d.On, *d.Air, d.Cold)
		}
		if d.High != nil && d.Cold < d.Warm && *d.High > d.Warm {
			say("too_warm", d.On, *d.High, d.Warm)
		}
		if d.PastDay {
			say("past_day", d.On)
		}
		for i, seams := range d.Seams {
			if d.Method == method.Dribble && seams > 0 && i < len(d.Boxes) && d.Boxes[i] == 0 {
				say("box_left", d.On, float64(i+1))
			}
		}
		if d.Days > 0 && d.Days < d.Least {
			say("out_early", d.On, float64(d.Days), float64(d.Least))
		}
		if d.Missing > 0 {
			say("missing", d.On, float64(d.Missing))
		}
	}
	if c.Untreated > 0 {
		say("untreated", 0, float64(c.Untreated))
	}
	return out
}
