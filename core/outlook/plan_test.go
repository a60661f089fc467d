package outlook

import (
	"slices"
	"testing"

	"keeler/core/calendar"
	"keeler/core/mites"
)

var ofSeason = Horizon{To: newYear + 400, Every: 20, Winter: newYear + 335, Threshold: func(calendar.Day) float64 { return 3 }}

// known is a colony of 50° with one wash in April: two mites of 300 bees.
func known(many int) *Filter {
	f := NewFilter(Begins{Latitude: 50, Day: newYear, Low: 5, High: 500}, many, 5)
	for range 100 {
		f.Step(nil, false)
	}
	f.Count(mites.Count{Kind: mites.Wash, Mites: 2, Bees: 300, On: f.Day})
	return f
}

// Strips in April, strips in August, a dribble in December.
var (
	april    = []Dose{{Strips, newYear + 105, newYear + 155, 1}}
	august   = []Dose{{Strips, newYear + 215, newYear + 271, 1}}
	december = []Dose{{Dribble, newYear + 340, newYear + 340, 1}}
)

// A plan with more in it is never worse; three treatments are held against two on the same colonies, and leave fewer mites;
// and to try plans changes nothing of what is known.
func TestWhatIf(t *testing.T) {
	f := known(200)
	before := f.Mites()
	plans := [][]Dose{nil, april, august, slices.Concat(august, december), slices.Concat(april, august, december)}
	told := f.WhatIf(plans, ofSeason)
	for _, pair := range [][2]int{{0, 1}, {0, 2}, {2, 3}, {3, 4}, {1, 4}} {
		less, more := told[pair[0]], told[pair[1]]
		if more.Chance > less.Chance || more.Winter.High > less.Winter.High*1.01 || more.Points[len(more.Points)-1].Middle > less.Points[len(less.Points)-1].Middle*1.01 {
			t.Errorf("plan %d leaves %.2f, %+v; plan %d, which has more in it, %.2f, %+v", pair[0], less.Chance, less.Winter, pair[1], more.Chance, more.Winter)
		}
	}
	if two, three := told[3].Winter, told[4].Winter; three.Middle > two.Middle*0.8 {
		t.Errorf("%+v go into winter after two treatments, %+v after three", two, three)
	}
	if f.Mites() != before || f.Day != newYear+100 {
		t.Error("what was tried happened")
	}
	if again := f.WhatIf(plans[2:3], ofSeason); again[0].Winter != told[2].Winter {
		t.Error("tried again it comes to something else")
	}
}

// The fewest visits that keep the chance under a level are found, or that none do; where nothing need be done, nothing is.
func TestFewest(t *testing.T) {
	f := known(100)
	choices := []Choice{{april, 2, ""}, {august, 2, ""}, {december, 1, ""}, {slices.Concat(april, august), 9, ""}}
	untreated := f.WhatIf([][]Dose{nil}, ofSeason)[0]
	if plan, _, found := f.Fewest(choices, min(untreated.Chance+0.01, 1.01), ofSeason); !found || len(plan) != 0 {
		t.Errorf("where nothing need be done: %v", plan)
	}
	const level = 0.8
	plan, comes, found := f.Fewest(choices, level, ofSeason)
	if !found || comes.Chance >= level {
		t.Fatalf("%v leaves %.2f", plan, comes.Chance)
	}
	if len(plan) == 0 || untreated.Chance < 0.9 {
		t.Fatalf("%v is enough, of a colony that crosses it with a chance of %.2f", plan, untreated.Chance)
	}
	visits := 0
	for _, i := range plan {
		visits += choices[i].Visits
	}
	for _, s := range byVisits(choices) { // nothing with fewer visits does
		if s.visits < visits {
			if c := f.WhatIf([][]Dose{s.doses(choices)}, ofSeason)[0]; c.Chance < level {
				t.Errorf("%v with %d visits leaves %.2f, and %v was found", s.of, s.visits, c.Chance, plan)
			}
		}
	}
	if plan, _, found := f.Fewest(choices, 0, ofSeason); found {
		t.Errorf("%v is said to leave no chance at all", plan)
	}
}

// Of four choices at most three go together: one, four, six and four sets; and of two of one time one alone: one, four, five
// and two.
func TestSets(t *testing.T) {
	sets := byVisits([]Choice{{nil, 3, ""}, {nil, 1, ""}, {nil, 2, ""}, {nil, 1, ""}})
	if timed := byVisits([]Choice{{nil, 3, "a"}, {nil, 1, "a"}, {nil, 2, "b"}, {nil, 1, ""}}); len(timed) != 12 {
		t.Errorf("%d sets of two that are of one time", len(timed))
	}
	if len(sets) != 15 || sets[0].visits != 0 || sets[1].visits != 1 || sets[14].visits != 6 {
		t.Errorf("%d sets: %+v", len(sets), sets)
	}
}
