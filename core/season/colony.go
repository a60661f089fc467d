// Package season judges which method fits a colony on a day, and when the
// weather lets it be given. It takes what was seen, and when; it knows no clock.
package season

import "keeler/core/calendar"

// Method is a way of giving acid.
type Method string

const (
	Dribble Method = "dribble"
	Strip   Method = "strip"
	Pad     Method = "pad"
)

// Methods are all of them, as they stand in a matrix.
var Methods = [3]Method{Dribble, Strip, Pad}

// Brood is the sealed brood that was seen.
type Brood string

const (
	BroodNone   Brood = "none"
	BroodLittle Brood = "little" // up to one side of a comb
	BroodMuch   Brood = "much"
)

// Stores is how a hive hefted.
type Stores string

const (
	Light  Stores = "light"
	Enough Stores = "enough"
	Heavy  Stores = "heavy"
)

// Queen is what is known of the queen.
type Queen string

const (
	Laying    Queen = "laying"
	Young     Queen = "young" // a cell, a virgin, or mated within the month
	Queenless Queen = "queenless"
	Unseen    Queen = "unseen"
)

// Look is something seen on a day. The zero value was never seen.
type Look[T any] struct {
	What T
	On   calendar.Day
	Seen bool
}

// At is what was seen on a day.
func At[T any](what T, on calendar.Day) Look[T] { return Look[T]{what, on, true} }

// Treatment is something given to the bees. Out is the day it was taken out, the
// same day for what does not stay, 0 while it is in the hive.
type Treatment struct {
	Method  Method // any other word for what is recorded only
	Given   calendar.Day
	Out     calendar.Day
	Carried bool // given before a split or union, to the same bees
}

// In reports whether it is in the hive on a day.
func (t Treatment) In(on calendar.Day) bool { return t.Given <= on && (t.Out == 0 || t.Out > on) }

// Colony is what is known of one colony.
type Colony struct {
	Name       string
	Nuc        bool
	ForHoney   bool // it makes honey for people
	Boxes      int
	Quarters   Look[int] // seams of bees, in quarters
	Brood      Look[Brood]
	Stores     Look[Stores]
	Supers     Look[int] // supers for harvest on the hive
	Queen      Look[Queen]
	Treatments []Treatment
}
