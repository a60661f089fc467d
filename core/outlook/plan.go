package outlook

import (
	"cmp"
	"slices"

	"keeler/core/calendar"
)

// Horizon is how far plans are looked at, and by what.
type Horizon struct {
	To        calendar.Day
	Every     int          // days between the points that are told
	Since     calendar.Day // the first day on which being over the threshold counts; 0: from now on
	Winter    calendar.Day // the day on which mites go into winter, at most To
	Given     []Dose       // already; plans come on top of it
	Threshold func(calendar.Day) float64
}

// Comes is what a plan comes to.
type Comes struct {
	Points []Point
	Crossing
	Winter Band // mites of the colony that go into winter
}

// WhatIf tells what plans come to, in their order. All of them are tried on the same possible colonies, so that what sets
// two apart is the plans alone.
func (f *Filter) WhatIf(plans [][]Dose, h Horizon) []Comes {
	out := make([]Comes, len(plans))
	for i, plan := range plans {
		out[i] = f.comes(plan, h)
	}
	return out
}

func (f *Filter) comes(plan []Dose, h Horizon) (out Comes) {
	var days []calendar.Day
	for day := f.Day; day <= h.To; day++ {
		if day == h.Winter || int(h.To-day)%h.Every == 0 {
			days = append(days, day)
		}
	}
	out.Crossing = f.ahead(slices.Concat(h.Given, plan), h, days, func(on *Filter) {
		if on.Day == h.Winter {
			out.Winter = on.Mites()
		}
		if int(h.To-on.Day)%h.Every == 0 {
			out.Points = append(out.Points, on.Point())
		}
	})
	return out
}

// Choice is something that could be done: its doses, and how many visits they take. Of those of one time nobody does
// two.
type Choice struct {
	Doses  []Dose
	Visits int
	Time   string
}

// mostChoices is how many choices a plan is put together from: nobody treats more often in a year.
const mostChoices = 3

// Fewest finds the plan with the fewest visits of those that keep the chance of crossing the threshold under a level; of
// those that take as many, the one that leaves the fewest mites for winter. It gives their places among the choices, none
// where nothing needs doing; found is false where none of them keeps it.
func (f *Filter) Fewest(choices []Choice, level float64, h Horizon) (plan []int, comes Comes, found bool) {
	var best set
	for _, s := range byVisits(choices) {
		if found && s.visits > best.visits {
			break
		}
		if c := f.comes(s.doses(choices), h); c.Chance < level && (!found || c.Winter.Middle < comes.Winter.Middle) {
			best, comes, found = s, c, true
		}
	}
	return best.of, comes, found
}

// set is some of the choices.
type set struct {
	of     []int
	visits int
}

func (s set) doses(choices []Choice) (out []Dose) {
	for _, i := range s.of {
		out = append(out, choices[i].Doses...)
	}
	return out
}

// byVisits are all sets of choices, nothing among them, those with the fewest visits first.
func byVisits(choices []Choice) []set {
	sets := []set{{}}
	for i, c := range choices {
		for _, s := range slices.Clone(sets) {
			if len(s.of) < mostChoices && !slices.ContainsFunc(s.of, func(j int) bool { return c.Time != "" && choices[j].Time == c.Time }) {
				sets = append(sets, set{append(slices.Clone(s.of), i), s.visits + c.Visits})
			}
		}
	}
	slices.SortStableFunc(sets, func(a, b set) int { return cmp.Compare(a.visits, b.visits) })
	return sets
}
