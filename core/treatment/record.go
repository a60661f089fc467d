package treatment

import (
	"slices"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/method/dribble"
	"keeler/core/method/pad"
)

// Kind says what a record is of.
type Kind string

const (
	Given   Kind = "given"
	Skipped Kind = "skipped"
	Out     Kind = "out"   // strips or pads taken out
	Other   Kind = "other" // given outside a job: recorded only

	// What is done at a hive besides.
	Board      Kind = "board"   // a clean board put under it
	MovedAlong Kind = "moved"   // strips or sponges moved to the brood, or seen to hang well
	Weighed    Kind = "weighed" // a bottle or pad: how much is left, g
	Checked    Kind = "checked" // looked for the queen and eggs
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

// BoardIn is a clean board put under the hive on the way.
const BoardIn = "board_in"

// Extras are what the same visit may include, ticked on the colony's line. Source:
// the trade's list of work around a treatment.
var Extras = []string{
	BoardIn, "hefted", "mouse_guard", "upper_entrance", "insulation", "wrapped", "weighted", "tipped", "woodpecker_guard", "fed",
}

// Record is what was done at one colony.
type Record struct {
	Kind Kind
	// Dribble: the amount is held against the largest dose of a dribble.
	Dribble bool
	Reason  string
	Amount  float64 // mL or pieces
	Unit    string
	Area    float64 // of Weighed: the wick left open, cm²
	Gaps    [][]int // that strips were put into, by boxes
	// Of Out.
	Came, Missing, Chewed int
}

// Most that one colony is given of anything, beyond which it is a slip: the largest
// dose of working acid is a bottle, a dribble's dribble.MostColony.
const (
	mostML     = 1000
	mostPieces = 100
	mostG      = 20_000 // of a bottle with its holder
)

// Check appends what cannot be.
func (r Record) Check(l *fault.List) {
	most, least := float64(mostML), 0.0
	switch {
	case r.Kind == Weighed && r.Unit != "ml": // read off it, it holds no more than was filled in
		most = mostG
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
	case Weighed:
		if r.Unit != "ml" { // a bottle can be empty
			least = 0.1
		}
		l.Within("area_cm2", r.Area, 0, pad.MostWick, "cm²")
	case Board, MovedAlong, Checked:
		most = 0
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
	for _, gap := range slices.Concat(r.Gaps...) {
		if !l.Within("gaps", float64(gap), 0, hive.MaxFrames, "") {
			break
		}
	}
	l.Within("amount", r.Amount, least, most, unit)
	if r.Unit == "pieces" && r.Amount != float64(int(r.Amount)) {
		l.AddRange("amount", fault.WholeOnly, 0, 0, "pieces")
	}
	if r.Reason != "" && r.Reason != TakenBack && !slices.Contains(Reasons, r.Reason) {
		l.Add("reason", fault.Unknown)
	}
}

// CheckExtras appends those that are not known.
func CheckExtras(extras []string, l *fault.List) {
	for i, e := range extras {
		if !slices.Contains(Extras, e) {
			l.Add(fault.Index("extras", i), fault.Unknown)
		}
	}
}

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
