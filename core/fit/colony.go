// Package fit judges which method fits a colony on a day, and when the
// weather lets it be given. It takes what was seen, and when; it knows no clock.
package fit

import (
	"slices"

	"keeler/core/calendar"
	"keeler/core/method"
	"keeler/core/treatment"
)

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

// Observed is something seen on a day. The zero value was never seen.
type Observed[T any] struct {
	What T
	On   calendar.Day
	Seen bool
}

// At is what was seen on a day.
func At[T any](what T, on calendar.Day) Observed[T] { return Observed[T]{what, on, true} }

// Change is what happened to the bees as a whole, after which what was seen before no
// longer counts.
type Change string

const (
	United    Change = "joined" // the worse of the two holds until the next inspection
	Divided   Change = "split"
	Swarmed   Change = "swarmed"
	Restacked Change = "boxes" // one taken or given
	Requeened Change = "queen" // another queen, or none
)

// Break is a brood break by the keeper's hand: the day laying stopped, and the day it
// began again, 0 while it has not. The zero Break is none.
type Break struct{ Stopped, Resumed calendar.Day }

// OpenJob is a job that the colony is in and that is neither finished nor cancelled.
type OpenJob struct {
	Name   string
	Method method.Name
	Day    calendar.Day
}

// Colony is what is known of one colony.
type Colony struct {
	Name       string
	Nuc        bool
	ForHoney   bool // it makes honey for people
	Boxes      int
	Quarters   Observed[int] // seams of bees, in quarters
	Brood      Observed[Brood]
	Eggs       Observed[bool] // seen or not seen; counts with the inspection that saw the brood
	Larvae     Observed[bool] // open brood, likewise
	Sealed     calendar.Day   // when sealed brood was last seen; 0 for never
	Stores     Observed[Stores]
	Supers     Observed[int] // supers for harvest on the hive
	Queen      Observed[Queen]
	Changed    Observed[Change] // the newest that no inspection followed
	Break      Break
	Treatments []treatment.Treatment
	Jobs       []OpenJob
	Ahead      Ahead // what a forecast of its mites says
}

// Unite is what is known of a colony that another was united with on a day: of each
// datum the worse, until somebody looks. What was seen well in one alone says nothing of
// both.
func (c Colony) Unite(other Colony, on calendar.Day) Colony {
	c.Quarters = worse(c.Quarters, other.Quarters, nil, 0)
	c.Brood = worse(c.Brood, other.Brood, []Brood{BroodNone, BroodLittle, BroodMuch}, 1)
	c.Stores = worse(c.Stores, other.Stores, []Stores{Heavy, Enough, Light}, 2)
	c.Supers = worse(c.Supers, other.Supers, []int{0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12}, 1)
	c.Queen = worse(c.Queen, other.Queen, []Queen{Laying, Young, Unseen, Queenless}, 1)
	c.Eggs, c.Larvae = Observed[bool]{}, Observed[bool]{}
	c.Sealed = max(c.Sealed, other.Sealed)
	c.Changed = At(United, on)
	return c
}

// worse is the worse of two looks by an order from good to bad. Of one that was not seen
// nothing is known, so only what is bad (from a place in the order on) holds for both.
func worse[T comparable](a, b Observed[T], order []T, bad int) Observed[T] {
	out := a
	if !a.Seen || b.Seen && slices.Index(order, b.What) > slices.Index(order, a.What) {
		out = b
	}
	if order == nil || !(a.Seen && b.Seen) && slices.Index(order, out.What) < bad {
		return Observed[T]{}
	}
	return out
}

// Forget drops what was seen before a change that leaves nothing of it sure.
func (c Colony) Forget(change Change, on calendar.Day) Colony {
	c.Quarters, c.Supers = Observed[int]{}, Observed[int]{}
	c.Brood, c.Eggs, c.Larvae = Observed[Brood]{}, Observed[bool]{}, Observed[bool]{}
	c.Stores = Observed[Stores]{}
	if change == Divided || change == Swarmed {
		c.Queen = Observed[Queen]{}
	}
	c.Changed = At(change, on)
	return c
}
