package followup

import (
	"slices"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/mites"
	"keeler/core/treatment"
)

// Around is what a job gave one colony, and when counts tell of it.
type Around struct {
	Doses []treatment.Treatment
	Times mites.Times
	// Second is a second, sure treatment soon after, which tells how many were left.
	Second mites.Times
	Sure   bool
}

const (
	// soonAfter is within how many days a second treatment tells what the first one left.
	soonAfter = 28
	// openCells is for how many days after sealed brood was seen some of it is still sealed.
	openCells = 21
)

// Job finds the doses of a job among all that a colony was given, and between which days
// counts tell whether they worked: not while, nor after, anything else was at work. ok is
// false where it was given nothing.
func Job(all []treatment.Treatment, job string, seen []fit.Inspection, under Terms, latitude float64, today calendar.Day) (a Around, ok bool) {
	c := course{Terms: under}
	for _, t := range all {
		if t.Job == job && !t.Carried {
			c.add(t)
		}
	}
	if len(c.doses) == 0 {
		return Around{}, false
	}
	a = Around{Doses: c.doses, Times: c.counting(latitude, today)}
	for _, t := range all {
		switch {
		case t.Job == job && !t.Carried:
		case t.Given < a.Times.First:
			until := t.Out
			if t.Out == 0 || t.Out > a.Times.First {
				until = a.Times.First // it was in still
			}
			a.Times.Since = max(a.Times.Since, until)
		case t.Given > a.Times.Last && (a.Times.Next == 0 || t.Given < a.Times.Next):
			a.Times.Next = t.Given
			sealed := fit.SealedAbout(seen, t.Given-openCells, t.Given) != 0
			if a.Sure = t.Method.Oxalic() && !sealed && t.Given-a.Times.Last <= soonAfter; a.Sure {
				a.Second = mites.Times{First: t.Given, Last: t.Given, From: t.Given + soonAfter}
			}
		}
	}
	return a, true
}

// counting is the days of a course, and between which days a count tells whether it worked.
func (c course) counting(latitude float64, today calendar.Day) mites.Times {
	ends := c.ends(today)
	out := mites.Times{First: c.begun(), Last: c.last(), From: ends + calendar.Day(after.low), Until: ends + calendar.Day(after.by+after.still)}
	if c.Way == Dribbled {
		count := rules[Dribbled][slices.IndexFunc(rules[Dribbled], func(r rule) bool { return r.kind == Count })]
		out.From, out.Until = ends+treatment.StillFalls, springBegins(ends, latitude)+calendar.Day(count.by+count.still)
	}
	return out
}
