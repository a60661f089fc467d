// Package reach tells which of the mites in a colony a set of visits could meet: those on
// bees and those that come out of their cells in time. It counts meetings, not deaths, and
// no offspring: a mite that is never met cannot be killed, whatever the dose.
package reach

import (
	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/treatment"
)

// Visit is when one treatment meets mites on bees: every day from From to To, in days from
// the start. Caps is the chance, 0 to 1, that it reaches a mite that sat under a cap for
// all of it.
type Visit struct {
	From, To int
	Caps     float64
}

// How each method meets mites. Source: docs/sources.md, Reach.
const (
	nextDay    = 1   // what is gone in a day works on the day after, too
	stripBegin = 3   // from this day strips are spread over the bees
	capsFormic = 0.5 // formic acid goes through cappings; it is counted half
)

// Meets is when a treatment meets mites, in days from a start; false where it is not known
// how it works. What stays works until it came out, or is to come out at the latest. short
// tells formic acid that is gone in a day or two from a filling that lasts.
func Meets(t treatment.Treatment, short bool, start calendar.Day) (v Visit, known bool) {
	v.From = int(t.Given - start)
	v.To = v.From + nextDay
	_, by, stays := t.Due()
	last := int(by - start)
	if t.Out != 0 {
		last = int(t.Out-start) - 1
	}
	switch {
	case t.Method.Oxalic():
	case t.Method == method.Strip && stays:
		v.From, v.To = v.From+stripBegin, last
	case t.Method == method.Pad:
		v.Caps = capsFormic
		if !short {
			v.To = last
		}
	default:
		return v, false
	}
	return v, v.To >= v.From
}

// Way is how a visit gives, where nothing more is known of it.
type Way string

const (
	Dribble Way = "dribble"
	Vapour  Way = "vapour"
	Sheet   Way = "sheet"   // of formic acid, or a sponge: gone in a day or two
	Filling Way = "filling" // of formic acid, for a fortnight
	Strips  Way = "strips"  // for eight weeks
)

// On is when a visit of that way meets mites, given on a day; false for no known way.
func (w Way) On(day int) (Visit, bool) {
	usual := treatment.UsualDays
	v, known := map[Way]Visit{
		Dribble: {To: nextDay}, Vapour: {To: nextDay}, Sheet: {To: nextDay, Caps: capsFormic}, Filling: {To: usual[method.Pad].High, Caps: capsFormic},
		Strips: {From: stripBegin, To: usual[method.Strip].High - 1},
	}[w]
	return Visit{v.From + day, v.To + day, v.Caps}, known
}

// Planned is when doses under a protocol or card meet mites, the first one at the start and
// the others as soon after one another as it says.
func Planned(c fit.Conditions) []Visit {
	v := Visit{To: nextDay}
	switch {
	case c.Method == method.Strip:
		v.From, v.To = stripBegin, c.DaysInHigh-1
	case c.Method == method.Pad:
		v.Caps = capsFormic
		if !c.Short() {
			v.To = max(v.To, c.DaysInHigh)
		}
	}
	out := []Visit{v}
	for n := 1; n < min(c.Visits, MaxVisits); n++ {
		apart := n * c.ApartLow
		out = append(out, Visit{v.From + apart, v.To + apart, v.Caps})
	}
	return out
}

// Of the mites of a colony so many in a hundred sit on bees, by its sealed brood: the
// middle, and the range. The rest are under caps.
var onBees = map[fit.Brood][3]float64{
	fit.BroodNone: {1, 1, 1}, fit.BroodLittle: {0.50, 0.40, 0.65}, fit.BroodMuch: {0.30, 0.20, 0.45},
}

// BroodHolds is for how many days the brood that was seen is taken to be there: as long as a
// worker takes.
const BroodHolds = 21

// How long a mite that came out rides on bees before the next cell, in days: the middle,
// and the range. It is one day at least; from then on each day is as likely as the next to
// be the last.
var rides = [3]float64{6, 4, 11}

const (
	workerDays = 12 // under the cap
	droneDays  = 14
	// droneEntry is the part of the mites that enter drone cells where there are any, by
	// their rates of entry where 3 in 100 cells are drones'.
	droneEntry = 0.25
)

// Bounds of what can be asked: visits, and days from the start.
const (
	MaxVisits = 15
	MaxDays   = 400
)

// Cohort is the mites that come out on one day.
type Cohort struct {
	Out   int     `json:"out" doc:"Days from the start until they come out."`
	Share float64 `json:"share" doc:"Of all mites, 0 to 1."`
	Met   float64 `json:"met" doc:"Of these, met at least once, 0 to 1."`
}

// Reach is which mites were met.
type Reach struct {
	Once   float64  `json:"once" doc:"Of all mites, met at least once, 0 to 1."`
	Low    float64  `json:"low" doc:"The same where fewer sit on bees, or they ride for a shorter or longer time."`
	High   float64  `json:"high"`
	Twice  float64  `json:"twice" doc:"Met by two visits or more, 0 to 1."`
	OnBees Cohort   `json:"on_bees" doc:"Those that were on bees at the start."`
	Worker []Cohort `json:"worker,omitempty" doc:"Those under the caps of worker cells, by the day they come out; none without brood."`
	Drone  []Cohort `json:"drone,omitempty" doc:"And of drone cells, where drone brood was seen."`
}

// Of tells which of the mites that were there on the day of the start visits meet, by the
// sealed brood seen then. A fault.List names visits that cannot be.
//
// Source: docs/sources.md, Reach.
func Of(brood fit.Brood, drones bool, visits []Visit) (Reach, error) {
	var l fault.List
	shares, known := onBees[brood]
	if !known {
		l.Add("brood", fault.Unknown)
	}
	if len(visits) > MaxVisits {
		l.AddRange("visits", fault.TooMany, 0, MaxVisits, "visits")
	}
	for i, v := range visits {
		field := fault.Index("visits", i)
		if l.Within(field, float64(v.From), 0, MaxDays, "days") && l.Within(field, float64(v.To), 0, MaxDays, "days") && v.To < v.From {
			l.Add(field, fault.NotRising)
		}
		l.Within(field, v.Caps, 0, 1, "")
	}
	slots, fits := slotted(visits)
	if !fits {
		l.AddRange("visits", fault.TooMany, 0, mostAtOnce, "at once")
	}
	if err := l.Err(); err != nil {
		return Reach{}, err
	}
	colony := colony{brood: brood != fit.BroodNone, drones: drones && brood != fit.BroodNone}
	out := colony.reach(shares[0], rides[0], slots)
	out.Low, out.High = out.Once, out.Once
	for _, share := range shares[1:] {
		for _, ride := range rides[1:] {
			once := colony.reach(share, ride, slots).Once
			out.Low, out.High = min(out.Low, once), max(out.High, once)
		}
	}
	return out, nil
}
