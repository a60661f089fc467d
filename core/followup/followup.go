// Package followup tells what a keeper has to come back for: it follows from what was given,
// and from the protocol or card that it was given under. Nothing of it is stored, so that an
// amended dose or a missed visit moves all that comes after it.
package followup

import (
	"strconv"

	"keeler/core/calendar"
	"keeler/core/treatment"
)

// Kind is what is to be done.
type Kind string

const (
	CountBefore Kind = "count_before" // mites, so that what comes after can be held against it
	Visit       Kind = "visit"        // the next dose of a course; of a job that is planned, the first
	BoardIn     Kind = "board_in"     // a clean board under the mesh floor
	BoardRead   Kind = "board_read"
	Weigh       Kind = "weigh"    // a bottle or pad: how much evaporated
	Queen       Kind = "queen"    // eggs? the queen, dead brood and bees
	Hang        Kind = "hang"     // see that strips hang where they were put
	Move        Kind = "move"     // strips to the brood, scraped clean
	Reversed    Kind = "reversed" // boxes were changed: what is in moves along
	Out         Kind = "out"      // what is in comes out
	Count       Kind = "count"    // mites, to tell whether it worked
	Recount     Kind = "recount"  // again weeks later: mites come in
	Treat       Kind = "treat"    // what was left untreated to compare
)

// Kinds are all of them.
var Kinds = []Kind{CountBefore, Visit, BoardIn, BoardRead, Weigh, Queen, Hang, Move, Reversed, Out, Count, Recount, Treat}

// State is how one stands on a day.
type State string

const (
	Coming  State = "coming"  // its time has not come
	Due     State = "due"     // it can be done today, and should be
	Late    State = "late"    // it should have been done, and still can
	Done    State = "done"    // by what was recorded
	Skipped State = "skipped" // with a reason
	Missed  State = "missed"  // it was not done, and would tell nothing any more
)

// Open reports whether something that stands so is still to be done.
func (s State) Open() bool { return s == Coming || s == Due || s == Late }

// Followup is one thing to come back for.
type Followup struct {
	Kind  Kind
	N     int    // which of its kind in its course, from 1
	Job   string // that it belongs to; empty: of something recorded only
	Of    string // of what was recorded only: the method, and the day it was given
	Way   Way
	From  calendar.Day // its window
	By    calendar.Day
	Until calendar.Day // the last day on which it can be done at all; 0: as long as it takes
	State State
	On    calendar.Day // when it was done
	// Total is of a visit how many its course has. Again: so much time went by that the
	// course begins again.
	Total int
	Again bool
	// Reason is why it was skipped, in the keeper's words.
	Reason string
}

// Key names it as long as its job or dose stands, alike for all hives: what was skipped by a
// key stays skipped when other visits are amended.
func (f Followup) Key() string {
	of := f.Job
	if of == "" {
		of = f.Of
	}
	return string(f.Kind) + "." + strconv.Itoa(f.N) + "." + of
}

// Open reports whether it is still to be done.
func (f Followup) Open() bool { return f.State.Open() }

// stands tells how it stands on a day.
func (f *Followup) stands(today calendar.Day, skipped map[string]string) {
	reason, skip := "", false
	if len(skipped) > 0 {
		reason, skip = skipped[f.Key()]
	}
	switch {
	case f.On != 0:
		f.State = Done
	case skip:
		f.State, f.Reason = Skipped, reason
	case today < f.From:
		f.State = Coming
	case today <= f.By:
		f.State = Due
	case f.Until == 0 || today <= f.Until:
		f.State = Late
	default:
		f.State = Missed
	}
}

// acts are what does a follow-up.
var acts = map[Kind]treatment.Kind{
	BoardIn: treatment.Board, Hang: treatment.MovedAlong, Move: treatment.MovedAlong, Reversed: treatment.MovedAlong, Weigh: treatment.Weighed, Queen: treatment.Checked,
}

// Line is something recorded at a hive that is no dose.
type Line struct {
	Act treatment.Kind
	On  calendar.Day
}

// Plan is a job that has yet to come to a colony.
type Plan struct {
	Job   string
	On    calendar.Day
	Under Terms
}

// Colony is what is known of one, as far as what follows goes by it.
type Colony struct {
	Treatments []treatment.Treatment
	Lines      []Line
	Boards     []Span         // counts on a board: from when it lay until it was read
	Washes     []calendar.Day // counts of a sample
	Restacked  []calendar.Day // when its boxes were changed
	Plans      []Plan
	Latitude   float64
	// Sampled: it is one of the hives of its job that are counted where not all are.
	Sampled bool
}

// Span is two days.
type Span struct{ From, To calendar.Day }
