package treatment

import (
	"keeler/core/calendar"
	"keeler/core/chem"
	"keeler/core/method"
)

// Acids are the acids that a dose brings to the bees.
type Acids struct{ Oxalic, Formic bool }

// AcidsOf tells them by the method, and by what the dose is known to hold, in mg: a product
// may hold two. Of another product, of which nothing is known, it is none.
func AcidsOf(m method.Name, oad, formic chem.Milligrams) Acids {
	return Acids{
		Oxalic: oad > 0 || m == method.Dribble || m == method.Strip || m == method.Vapour,
		Formic: formic > 0 || m == method.Pad,
	}
}

// Acids are those that it brought.
func (t Treatment) Acids() Acids { return AcidsOf(t.Method, t.OAD, t.Formic) }

// Share reports whether both bring one acid.
func (a Acids) Share(b Acids) bool { return a.Oxalic && b.Oxalic || a.Formic && b.Formic }

// Dose is what of a line tells whether it is one of two on one day.
type Dose struct {
	ID     string
	Colony string
	On     calendar.Day
	Acids  Acids
}

// OnOneDay finds those of some doses that brought a colony an acid which another dose brought
// it on the same calendar day, by their ids. What replaces a part of what is in a hive is no
// dose here, and is left out by the caller.
func OnOneDay(doses []Dose) map[string]bool {
	type dayAcid struct {
		colony string
		on     calendar.Day
		formic bool
	}
	first := map[dayAcid]string{}
	twice := map[string]bool{}
	for _, d := range doses {
		for _, acid := range []struct{ brought, formic bool }{{d.Acids.Oxalic, false}, {d.Acids.Formic, true}} {
			key := dayAcid{d.Colony, d.On, acid.formic}
			earlier, there := first[key]
			switch {
			case !acid.brought:
			case there:
				twice[d.ID], twice[earlier] = true, true
			default:
				first[key] = d.ID
			}
		}
	}
	return twice
}

// DoubleDoses finds those treatments of a colony that brought it an acid which another brought it
// on the same day, by their ids. What its bees brought along was given to other bees.
func DoubleDoses(all []Treatment) map[string]bool {
	var doses []Dose
	for _, t := range all {
		if !t.Carried && !t.Extra {
			doses = append(doses, Dose{ID: t.ID, On: t.Given, Acids: t.Acids()})
		}
	}
	return OnOneDay(doses)
}

// Doubled is the newest day on which a colony got one acid twice; 0: none.
func Doubled(all []Treatment) (day calendar.Day) {
	doubled := DoubleDoses(all)
	for _, t := range all {
		if doubled[t.ID] {
			day = max(day, t.Given)
		}
	}
	return day
}

// Doubted is the newest day on which a colony was given from a batch that was found wrong; 0: none.
func Doubted(all []Treatment) (day calendar.Day) {
	for _, t := range all {
		if t.Doubted {
			day = max(day, t.Given)
		}
	}
	return day
}

// GivenOn finds the dose by which a colony's bees got one of some acids on a day; what only
// replaced a part of what was in is none.
func (a Acids) GivenOn(all []Treatment, on calendar.Day) (t Treatment, given bool) {
	for _, t := range all {
		if t.Given == on && !t.Extra && t.Acids().Share(a) {
			return t, true
		}
	}
	return Treatment{}, false
}

// FormicAddsUp is over how many days the formic acid of a brood box is added up.
const FormicAddsUp = 28

// FormicAdded is the pure formic acid that each of so many brood boxes got in the 28 days up to
// a day, in g.
//
// Source: docs/sources.md, After one another, and docs/sources.md, Bounds.
func FormicAdded(all []Treatment, boxes int, on calendar.Day) chem.Grams {
	sum := chem.Milligrams(0)
	for _, t := range all {
		if t.Given <= on && on-t.Given < FormicAddsUp {
			sum += t.Formic
		}
	}
	return chem.Grams(sum / 1000 / chem.Milligrams(max(boxes, 1)))
}
