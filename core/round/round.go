// Package round is the work in the yard, colony by colony: what was given, what is
// left in the jar and how far it goes, and what about a record should be looked at.
package round

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/dribble"
	"keeler/core/mixing"
	"keeler/core/stock"
)

// Kind says what a record is of.
type Kind string

const (
	Given   Kind = "given"
	Skipped Kind = "skipped"
	Out     Kind = "out"   // strips or pads taken out
	Other   Kind = "other" // given outside a job: recorded only
)

// Reasons are why a colony got something else than was meant, or nothing.
var Reasons = []string{
	"ran_out", "low_cluster", "aggressive", "queenless", "dead", "brood", "light", "weather", "spilled", "more_bees", "fewer_bees", "elsewhere", "not_given",
}

// Skipping are those of the reasons that mean that nothing was given.
var Skipping = []string{"dead", "brood", "light", "weather", "elsewhere", "not_given"}

// Dead is the reason of a colony that is no more.
const Dead = "dead"

// TakenBack is the reason of a record that was a slip: the colony is open again.
const TakenBack = "taken_back"

// Extras are what the same visit may include, ticked on the colony's line. Source:
// the trade's list of work around a treatment.
var Extras = []string{
	"hefted", "mouse_guard", "upper_entrance", "insulation", "wrapped", "weighted", "tipped", "woodpecker_guard", "fed",
}

// Record is what was done at one colony.
type Record struct {
	Kind Kind
	// Dribble: the amount is held against the largest dose of a dribble.
	Dribble bool
	Reason  string
	Amount  float64 // mL or pieces
	Unit    string
	// Of Out.
	Came, Missing, Chewed int
	Open                  float64 // seconds that the hive stood open
}

// Most that one colony is given of anything, beyond which it is a slip: the largest
// dose of working acid is a bottle, a dribble's dribble.MostColony.
const (
	mostML     = 1000
	mostPieces = 100
	mostOpen   = 4 * 3600
)

// Check appends what cannot be.
func (r Record) Check(l *fault.List) {
	most, least := float64(mostML), 0.0
	switch {
	case r.Unit == "pieces":
		most = mostPieces
	case r.Dribble:
		most = float64(dribble.MostColony)
	}
	unit := r.Unit
	if unit == "ml" {
		unit = "mL"
	}
	switch r.Kind {
	case Given:
		least = 0.1
	case Other:
	case Skipped:
		most = 0
		if r.Reason == "" {
			l.Add("reason", fault.Missing)
		}
	case Out:
		most = 0
		for field, n := range map[string]int{"came": r.Came, "missing": r.Missing, "chewed": r.Chewed} {
			l.Within(field, float64(n), 0, mostPieces, "pieces")
		}
	default:
		l.Add("kind", fault.Unknown)
		return
	}
	l.Within("amount", r.Amount, least, most, unit)
	if r.Unit == "pieces" && r.Amount != float64(int(r.Amount)) {
		l.AddRange("amount", fault.WholeOnly, 0, 0, "pieces")
	}
	if r.Reason != "" && r.Reason != TakenBack && !known(Reasons, r.Reason) {
		l.Add("reason", fault.Unknown)
	}
	l.Within("open_s", r.Open, 0, mostOpen, "s")
}

func known(all []string, one string) bool {
	for _, a := range all {
		if a == one {
			return true
		}
	}
	return false
}

// CheckExtras appends those that are not known.
func CheckExtras(extras []string, l *fault.List) {
	for i, e := range extras {
		if !known(Extras, e) {
			l.Add(fault.Index("extras", i), fault.Unknown)
		}
	}
}

// Reach is how far what is left in a jar goes.
type Reach struct {
	Colonies int     // that it still does, in their order
	Short    float64 // what is missing for all of them; 0 when it is enough
	Over     float64 // what stays when all have got theirs
}

// Reaches tells it for the amounts expected of the colonies to come, mL or pieces. A
// fault names what cannot be: an amount below nothing, or more than anyone has.
func Reaches(left float64, expected []float64) (Reach, error) {
	var r Reach
	var l fault.List
	l.Within("left", left, 0, stock.Most, "")
	for i, e := range expected {
		l.Within(fault.Index("expected", i), e, 0, stock.Most, "")
	}
	if len(l) > 0 {
		return r, l
	}
	for _, e := range expected {
		if e <= left+dust && r.Short == 0 {
			r.Colonies++
			left -= e
			continue
		}
		r.Short += e
	}
	if r.Short > 0 {
		r.Short = max(r.Short-max(left, 0), 0)
		return r, nil
	}
	r.Over = max(left, 0)
	return r, nil
}

const dust = 1e-6

// Actives are the acids in what a colony got: its part of a whole of known
// composition, in mg.
//
// Source: what is mixed is alike throughout, so the part holds its share.
func Actives(of chem.Mixture, whole, amount float64) (oad, formic chem.Milligrams) {
	if whole <= 0 {
		return 0, 0
	}
	part := amount / whole * 1000
	return chem.Milligrams(float64(of.OAD) * part), chem.Milligrams(float64(of.Formic) * part)
}

// Flag names what about a record should be looked at. None of them is a refusal:
// what was done was done.
type Flag string

const (
	NotInJob Flag = "not_in_job" // the colony is not in the job, or for another day
	Moved    Flag = "moved"      // it stands in another yard than where it was given
	Ended    Flag = "ended"      // it was recorded as ended before
	Clock    Flag = "clock"      // the phone's clock is more than 12 hours off
	NoBatch  Flag = "no_batch"   // nobody said what it was given from
	TooMuch  Flag = "too_much"   // more than the cap, or twice what was asked for
	Strong   Flag = "too_strong" // more acid than was meant, whatever its mL
	PastDay  Flag = "past_day"   // the batch was past its use-by day
	NotMade  Flag = "not_made"   // from a batch that was not finished at the bench
	Again    Flag = "again"      // the same acid was given not long before, in any job
)

// skewed is by how much a phone's clock may be off, s: no time zone is further.
const skewed = 12 * 3600

// Off reports whether a phone's clock is a day off: by its own reading of the time of
// a record and what the server makes of it, both in seconds.
func Off(byPhone, byServer float64) bool {
	return byPhone-byServer > skewed || byServer-byPhone > skewed
}

// Stronger reports whether a dose holds more acid than was meant, both in mg: by more
// than a batch may stray from its recipe.
func Stronger(given, meant float64) bool {
	return meant > 0 && given > meant*(1+mixing.Tolerance)+dust
}

// Much reports whether a dribble is over the cap, or any amount twice what was asked.
func Much(amount, asked, most float64) bool {
	return most > 0 && amount > most+dust || asked > 0 && amount > 2*asked+dust
}
