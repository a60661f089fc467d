// Package treatment is what bees were given: the record of it, what such records amount
// to in a hive, and how long what is left in a jar lasts.
package treatment

import (
	"cmp"
	"slices"

	"keeler/core/calendar"
	"keeler/core/chem"
	"keeler/core/method"
)

// Treatment is what an application amounts to in a colony. Out is the day it was taken
// out, the same day for what does not stay, 0 while it is in the hive.
type Treatment struct {
	ID, Job string // of the application
	Method  method.Name
	Product string
	Amount  float64 // mL, g or pieces
	Meant   float64 // in the same unit; 0 where nobody said
	Given   calendar.Day
	Out     calendar.Day
	Carried bool // given before a split or union, to the same bees
	Extra   bool // it replaces or tops up a part of what is in: no visit of its own
	// DaysLow and DaysHigh are how long it is to stay by what it was given under; 0
	// where that is not known, see UsualDays.
	DaysLow, DaysHigh int
	// Withdrawal is for how many days after it honey is not taken, by its label; 0: none.
	Withdrawal int
	Card       string // the id of the label card that it was given under
	// Doubted: its batch turned out to be another than it was thought to be.
	Doubted bool
	// Taken is how many of its pieces came out, or were told missing, while others are in still.
	Taken float64
	// OAD and Formic are the acids in it; 0 where nobody knows.
	OAD, Formic chem.Milligrams

	arrived  calendar.Day // in this hive
	inPieces bool
	place    int // among the applications of its colony, in the order in which they happened
}

// StillFalls is for how many days after a treatment what it killed still falls.
const StillFalls = 14

// UsualDays is how long what stays is in the hive where its own rule is not known.
var UsualDays = map[method.Name]struct{ Low, High int }{method.Strip: {42, 56}, method.Pad: {10, 14}}

// In reports whether it is in the hive on a day.
func (t Treatment) In(on calendar.Day) bool { return t.Given <= on && (t.Out == 0 || t.Out > on) }

// pieces is how many pieces it was: of a liquid one sheet, sponge or bottle.
func (t Treatment) pieces() float64 {
	if t.inPieces {
		return t.Amount
	}
	return 1
}

// Ended is the day on which its work was over by a day: when it came out, and of what does
// not stay its own. over is false while it is in.
func (t Treatment) Ended(by calendar.Day) (ended calendar.Day, over bool) {
	return t.Out, t.Out != 0 && t.Out <= by
}

// days is how long it is to stay; 0 for what does not.
func (t Treatment) days() (low, high int) {
	if t.DaysHigh > 0 {
		return t.DaysLow, t.DaysHigh
	}
	usual := UsualDays[t.Method]
	return usual.Low, usual.High
}

// Due is from when, and by when at the latest, what stays in the hive comes out; stays
// is false for what does not.
func (t Treatment) Due() (from, by calendar.Day, stays bool) {
	low, high := t.days()
	return t.Given + calendar.Day(low), t.Given + calendar.Day(high), high > 0
}

// Overdue is by how many days it is past its last, while it is in the hive; 0 or less
// where it is not.
func (t Treatment) Overdue(on calendar.Day) int {
	if _, by, stays := t.Due(); stays && t.In(on) {
		return int(on - by)
	}
	return 0
}

// Application is one dose or removal as the bees had it. One that was amended is none.
type Application struct {
	ID, Job           string
	Kind              Kind
	Method            method.Name
	Product           string
	Amount, Meant     float64
	On                calendar.Day
	Ends              string // of Out: the application that comes out; "" for all of the method
	Pieces            int    // of Out: that came out or were told missing; 0: nobody counted, all came out
	InPieces          bool   // Amount is pieces: each is accounted for when it comes out
	DaysLow, DaysHigh int
	Extra             bool // of Given: it replaces or tops up a part of what is in
	Swaps             bool // of Given: it takes the place of all of its method that was in
	Withdrawal        int
	Card              string
	Doubted           bool // its batch turned out to be another than it was thought to be
	OAD, Formic       chem.Milligrams
}

// Move is bees that came from another colony. Alone: without what was in the hive, as a
// split does, whose strips hang on in the old one.
type Move struct {
	From  string
	On    calendar.Day
	Alone bool
}

// Book is the applications of colonies, in the order in which they happened, and where
// their bees came from.
type Book struct {
	Applications map[string][]Application
	Moves        map[string][]Move
}

// deepest is how many unions of unions are followed back.
const deepest = 8

// Of tells what a colony's bees were treated with, the oldest first. Bees bring along
// what they were given up to the day on which they came, that day included: nobody knows
// any more which of the two was first.
func (b Book) Of(colony string) []Treatment {
	return b.until(colony, calendar.Day(1<<30), 0)
}

func (b Book) until(colony string, last calendar.Day, depth int) []Treatment {
	var out []Treatment
	own := map[string]bool{}
	for i, a := range b.Applications[colony] {
		if a.On > last || a.Kind != Given && a.Kind != Other {
			continue
		}
		t := Treatment{
			ID: a.ID, Job: a.Job, Method: a.Method, Product: a.Product, Amount: a.Amount, Meant: a.Meant, Given: a.On, DaysLow: a.DaysLow, DaysHigh: a.DaysHigh, Extra: a.Extra,
			Withdrawal: a.Withdrawal, inPieces: a.InPieces, Card: a.Card, Doubted: a.Doubted, OAD: a.OAD, Formic: a.Formic, arrived: a.On, place: i,
		}
		if !t.Method.Stays() {
			t.Out = t.Given
		}
		own[t.ID] = true
		out = append(out, t)
	}
	for _, m := range b.Moves[colony] {
		if m.On > last || depth == deepest {
			continue
		}
		for _, t := range b.until(m.From, m.On, depth+1) {
			if own[t.ID] {
				continue
			}
			if m.Alone && t.Out == 0 {
				t.Out = m.On
			}
			t.Carried, t.arrived, t.place = true, m.On, -1
			own[t.ID] = true
			out = append(out, t)
		}
	}
	for i, a := range b.Applications[colony] {
		if (a.Kind == Out || a.Kind == Given && a.Swaps) && a.On <= last {
			takeOut(out, a, i)
		}
	}
	slices.SortStableFunc(out, func(a, b Treatment) int { return cmp.Compare(a.Given, b.Given) })
	return out
}

// takeOut ends what an application takes out of what was in the hive on its day; what was
// put in after it on the same day stays. One that swaps takes nothing of its own day's: a
// second dose is one. Pieces that are neither out nor told missing are in still, the newest of them.
func takeOut(all []Treatment, a Application, place int) {
	left := float64(a.Pieces)
	for i, t := range all {
		after := t.Given == a.On && (a.Swaps || t.place > place)
		if !t.In(a.On) || t.arrived > a.On || after || t.Method != a.Method || a.Ends != "" && a.Ends != t.ID {
			continue
		}
		if in := t.pieces() - t.Taken; a.Kind == Out && a.Pieces > 0 {
			part := min(left, in)
			left -= part
			if part < in {
				all[i].Taken += part // the rest is in until it is found or told missing
				continue
			}
		}
		all[i].Out = a.On
	}
}

// InHive is all of one method that is in a hive.
type InHive struct {
	Amount   float64
	Doses    int          // how many it is made up of: of a liquid each is one sheet, sponge or bottle
	Since    calendar.Day // the oldest of it
	From, By calendar.Day // when the newest of it comes out; what was replaced comes out with the rest
}

// Standing adds up what of a method is in on a day; false when nothing is.
func Standing(all []Treatment, m method.Name, on calendar.Day) (in InHive, there bool) {
	for _, t := range all {
		if t.Method != m || !t.In(on) {
			continue
		}
		if !there {
			in.Since = t.Given
		}
		there = true
		in.Amount += t.Amount - t.Taken
		in.Doses++
		if !t.Extra || in.Doses == 1 {
			in.From, in.By, _ = t.Due()
		}
	}
	return in, there
}
