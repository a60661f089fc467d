package outlook

import "keeler/core/calendar"

// Unborne is from how many mites in autumn on a colony seldom sees spring. Source: docs/sources.md, Year of a colony.
const Unborne = 2500

// diesAfter is how many days into winter a colony is dead that took more mites along than it bears.
const diesAfter = 60

// IntoWinter is the first day after another, or it, on which mites are said to go into winter: 1 November, in the south
// 1 May.
func IntoWinter(from calendar.Day, latitude float64) calendar.Day {
	month := 11
	if latitude < 0 {
		month = 5
	}
	year, _, _ := from.Date()
	if day := calendar.Of(year, month, 1); day >= from {
		return day
	}
	return calendar.Of(year+1, month, 1)
}

// autumn reports whether winter bees are raised: what mites there are then a colony takes into winter.
func autumn(on calendar.Day, latitude float64) bool {
	s := on.Season(latitude)
	return s == calendar.LateSummer || s == calendar.Autumn
}

// Live brings a colony to the end of a day, and calls back on each; idle says on which no queen lays. most are its mites, at
// the most, while the bees of the last winter were raised: one that bore too many is dead from midwinter on.
func (c *Colony) Live(to calendar.Day, latitude float64, given []Dose, idle func(calendar.Day) bool, each func()) (most float64, dead bool) {
	dies, raised := calendar.Day(0), false
	for c.Day < to {
		c.Step(working(given, c.Day+1), idle(c.Day+1))
		raises := autumn(c.Day, latitude)
		switch {
		case raises && !raised:
			most = c.Mites()
		case raises:
			most = max(most, c.Mites())
		case raised && most >= Unborne:
			dies = c.Day + diesAfter
		}
		if raised = raises; dies != 0 && c.Day >= dies {
			return most, true
		}
		each()
	}
	return most, false
}
