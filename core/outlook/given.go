package outlook

import (
	"cmp"
	"slices"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/treatment"
)

var ways = map[method.Name]Way{method.Dribble: Dribble, method.Vapour: Vapour, method.Strip: Strips, method.Pad: Formic}

// leastStrength and mostStrength bound what is made of an amount: none works not at all, nor without an end.
const leastStrength, mostStrength = 0.05, 4

// Given is what a colony was given, by the amounts and days of the register. What is in on a day comes out when it is
// to, and what is given again takes the place of what is in. Of what replaces a part of what is in nothing more is
// expected, and nobody knows how other things work.
func Given(all []treatment.Treatment, today calendar.Day) []Dose {
	var out []Dose
	for _, t := range all {
		way, known := ways[t.Method]
		if !known || t.Extra {
			continue
		}
		dose := Dose{Way: way, From: t.Given, To: t.Out, Strength: 1}
		if _, due, stays := t.Due(); dose.To == 0 && stays {
			dose.To = max(due, today)
		}
		if t.Meant > 0 && t.Amount > 0 {
			dose.Strength = min(max(t.Amount/t.Meant, leastStrength), mostStrength)
		}
		out = append(out, dose)
	}
	slices.SortStableFunc(out, func(a, b Dose) int { return cmp.Or(cmp.Compare(a.Way, b.Way), cmp.Compare(a.From, b.From)) })
	for i := 1; i < len(out); i++ {
		if before := &out[i-1]; before.Way == out[i].Way && out[i].From > before.From {
			before.To = min(before.To, out[i].From)
		}
	}
	return out
}

// sheetDays is for how many days a sheet or sponge of formic acid works: it is gone in a day or two.
const sheetDays = 2

// stripsMoved is after how many days strips are moved to the brood and scraped clean.
const stripsMoved = 24

// Planned is a treatment as conditions have it, begun on a day: what it does, and on which days somebody comes for it.
func Planned(under fit.Conditions, on calendar.Day) (dose Dose, visits []calendar.Day) {
	dose = Dose{Way: ways[under.Method], From: on, To: on, Strength: 1}
	apart := calendar.Day(max(under.ApartLow+under.ApartHigh, 2) / 2)
	for i := range calendar.Day(max(under.Visits, 1)) {
		dose.To = on + i*apart
		visits = append(visits, dose.To)
	}
	switch {
	case under.Short():
		dose.To += sheetDays
	case under.Method.Stays():
		dose.To += calendar.Day(max(under.DaysInLow+under.DaysInHigh, 2) / 2)
		if moved := on + stripsMoved; under.Method == method.Strip && moved < dose.To {
			visits = append(visits, moved)
		}
		visits = append(visits, dose.To)
	}
	return dose, visits
}
