// Package dribble is the dribble: how strong, how much of it, what to weigh, and
// what goes into each gap between the combs.
package dribble

import "keeler/core/chem"

// School is one established recipe for about a litre or half a litre of syrup.
// It is its masses; its strength is computed from them.
type School struct {
	ID     string
	Recipe chem.Syrup
}

// Schools is the table of established recipes, weakest first. Adding a school
// is one entry here, its words in the interface and a row in its test.
// The half-litre packet is 35 g of powder with 89 % OAD; its filler counts as sugar.
var Schools = []School{
	{"mild", chem.Syrup{OAD: 30, Water: 600, Sugar: 600}},
	{"label-litre", chem.Syrup{OAD: 35, Water: 600, Sugar: 600}},
	{"medium", chem.Syrup{OAD: 45, Water: 600, Sugar: 600}},
	{"half-litre-packet", chem.Syrup{OAD: 35 * 0.89, Water: 308, Sugar: 308 + 35*0.11}},
}

// DefaultSchool is the school a new plan starts from.
const DefaultSchool = "label-litre"

// Find looks a school up by its ID.
func Find(id string) (School, bool) {
	for _, s := range Schools {
		if s.ID == id {
			return s, true
		}
	}
	return School{}, false
}

// Place says where a strength stands among the schools.
type Place struct {
	Below, Above string // the nearest schools at or below, and above; "" beyond either end
}

// Ladder places a strength among the schools. A strength within half a per cent
// of a school stands on it.
func Ladder(s chem.GramsPerLitre) Place {
	var p Place
	for _, school := range Schools {
		rung := school.Recipe.Strength()
		if s >= rung*0.995 {
			p.Below = school.ID
		} else {
			p.Above = school.ID
			return p
		}
	}
	return p
}

// Span is the strength of the weakest and of the strongest school.
func Span() (weakest, strongest chem.GramsPerLitre) {
	return Schools[0].Recipe.Strength(), Schools[len(Schools)-1].Recipe.Strength()
}
