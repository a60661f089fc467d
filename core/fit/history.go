package fit

import (
	"cmp"
	"slices"

	"keeler/core/calendar"
)

// Inspection is one look into a hive. What was not looked at is nil or empty. Order tells which of
// several on one day came first.
type Inspection struct {
	On           calendar.Day
	Order        int64
	Quarters     *int
	Brood        Brood
	Eggs, Larvae *bool
	Stores       Stores
	Supers       *int
	Queen        Queen
}

// Kinds of what happened to the bees, besides the Changes.
const (
	QueenCaged    = "queen_caged"
	QueenRemoved  = "queen_removed"
	CellGiven     = "cell_given" // a queen cell, in place of a queen
	QueenReleased = "queen_released"
	LayingAgain   = "laying_again"
)

// Event is something that happened to the bees as a whole: a Change or a part of a
// brood break. Other is what was known of the colony that they were united with.
type Event struct {
	Kind  string
	On    calendar.Day
	Order int64
	Other Colony
}

// eggAge is how old an egg can be, in days.
const eggAge = 3

// Remember is what is known of a colony after all that was seen and that happened, in
// the order of days: the newest stays, and what was seen before the bees changed no
// longer counts.
func (c Colony) Remember(seen []Inspection, happened []Event) Colony {
	type moment struct {
		on    calendar.Day
		order int64
		do    func(Colony) Colony
	}
	all := make([]moment, 0, len(seen)+len(happened))
	for _, h := range happened {
		all = append(all, moment{h.On, h.Order, func(c Colony) Colony { return c.happen(h) }})
	}
	for _, s := range seen {
		all = append(all, moment{s.On, s.Order, func(c Colony) Colony { return c.inspect(s) }})
	}
	slices.SortStableFunc(all, func(a, b moment) int {
		return cmp.Or(cmp.Compare(a.on, b.on), cmp.Compare(a.order, b.order))
	})
	for _, m := range all {
		c = m.do(c)
	}
	return c
}

func (c Colony) inspect(s Inspection) Colony {
	if s.Quarters != nil {
		c.Quarters = At(*s.Quarters, s.On)
	}
	if s.Brood != "" {
		c.Brood = At(s.Brood, s.On)
		if s.Brood != BroodNone {
			c.Sealed = s.On
		}
	}
	if s.Eggs != nil {
		c.Eggs = At(*s.Eggs, s.On)
	}
	if s.Larvae != nil {
		c.Larvae = At(*s.Larvae, s.On)
	}
	if s.Stores != "" {
		c.Stores = At(s.Stores, s.On)
	}
	if s.Supers != nil {
		c.Supers = At(*s.Supers, s.On)
	}
	if s.Queen != "" && s.On >= c.Queen.On {
		c.Queen = At(s.Queen, s.On)
	}
	if s.Brood != "" || s.Quarters != nil {
		c.Changed = Observed[Change]{}
	}
	// Eggs in a break: laying began again, at most so long ago as an egg is old.
	if b := &c.Break; b.Stopped > 0 && b.Resumed == 0 && s.Eggs != nil && *s.Eggs && s.On > b.Stopped+eggAge {
		b.Resumed = s.On - eggAge
	}
	return c
}

func (c Colony) happen(h Event) Colony {
	switch h.Kind {
	case string(United):
		return c.Unite(h.Other, h.On)
	case string(Divided), string(Swarmed), string(Restacked), string(Requeened):
		return c.Forget(Change(h.Kind), h.On)
	case QueenCaged, QueenRemoved:
		c.Break = Break{Stopped: h.On}
	case CellGiven:
		if c.Break.Stopped == 0 || c.Break.Resumed > 0 {
			c.Break = Break{Stopped: h.On}
		}
	case QueenReleased, LayingAgain:
		if c.Break.Stopped > 0 {
			c.Break.Resumed = h.On
		}
	}
	return c
}

// SealedAbout is the newest day between two on which sealed brood was seen; 0 for none.
func SealedAbout(seen []Inspection, from, to calendar.Day) (on calendar.Day) {
	for _, i := range seen {
		if i.Brood != "" && i.Brood != BroodNone && i.On >= from && i.On <= to {
			on = max(on, i.On)
		}
	}
	return on
}

// BroodAround is within how many days of a treatment sealed brood that was seen was there.
const BroodAround = 14

// BroodBefore is the sealed brood of a colony when it was treated, by the newest look in the
// fortnight before; where nobody looked, what the time of the year and the protocol let one
// think.
func BroodBefore(seen []Inspection, on calendar.Day, broodless bool, latitude float64) (brood Brood, unseen bool) {
	newest := calendar.Day(0)
	for _, i := range seen {
		if i.Brood != "" && i.On <= on && i.On >= on-BroodAround && i.On >= newest {
			brood, newest = i.Brood, i.On
		}
	}
	switch {
	case newest != 0:
		return brood, false
	case broodless || on.Cold(latitude):
		return BroodNone, true
	}
	return BroodMuch, true
}
