// Package pad is formic acid: let down to its working strength, given by comb,
// box or colony, on sheets, sponges, wicks or ready pads, over a course of visits.
package pad

import "keeler/core/chem"

// The strengths that the protocols work with, by mass.
const (
	WeakestWorking   chem.Share = 0.60
	StrongestWorking chem.Share = 0.65
)

// StrongestBought is the strongest acid that the trade sells to keepers; they
// buy the strengths worked with, too.
const StrongestBought chem.Share = 0.85

// Per is what an amount goes by.
type Per string

const (
	PerComb   Per = "comb"
	PerBox    Per = "box"
	PerColony Per = "colony"
	PerDay    Per = "day" // g evaporated a day, by the number of boxes
)

// From is the side that the vapour comes from.
type From string

const (
	Above From = "above"
	Below From = "below"
)

// Rule is how much a colony gets and how often.
type Rule struct {
	Per    Per              `json:"per,omitempty" doc:"Own: comb, box or colony."`
	ML     chem.Millilitres `json:"ml,omitempty" doc:"Own: mL for it, from 0.1; as much as brings no box over 100 g of pure acid at a visit."`
	At     chem.Share       `json:"at_percent,omitempty" doc:"Own: the strength that ml, nuc_ml and cap_ml are meant in, 5 to 100 %; the working strength when left out."`
	Day    [2]chem.Grams    `json:"-"` // g a day for one box, and for more
	Days   int              `json:"-"` // that a filling lasts; only by day
	From   From             `json:"from,omitempty" doc:"Own: above or below."`
	Nuc    chem.Millilitres `json:"nuc_ml,omitempty" doc:"Own: mL for every nuc; 0 for its part by combs."`
	Cap    chem.Millilitres `json:"cap_ml,omitempty" doc:"Own: mL for any colony at a visit at most, 0 to 1000; 0 for no cap."`
	Visits int              `json:"visits,omitempty" doc:"1 to 15, and as many as bring no box over 500 g of pure acid; the protocol's when left out, 1 for one's own."`
	Apart  int              `json:"days_apart,omitempty" doc:"0 to 30; the protocol's when left out."`
	Label  bool             `json:"by_label,omitempty" doc:"Own: these are a label's figures: never rounded up, and not warned about."`
}

// slow tells a filling that lasts from what is gone in a day or two.
func (r Rule) slow() bool { return r.Per == PerDay || r.Per == "" }

// Protocol is one established way, and within what it is kept.
type Protocol struct {
	ID                    string
	Rule                  Rule
	LeastVisits           int
	LeastApart, MostApart int
}

// Protocols is the table of established ways. Adding one is one entry here, its
// words in the interface and a row in its test. By day it is the middle of what
// is aimed at: 15 to 20 g for one box, 20 to 25 g for two. Source: docs/sources.md,
// Formic acid.
var Protocols = []Protocol{
	{"floor-sheet", Rule{Per: PerColony, ML: 30, At: 0.60, From: Below, Visits: 4, Apart: 7}, 4, 4, 7},
	{"sponge-above", Rule{Per: PerComb, ML: 2, At: 0.60, From: Above, Visits: 4, Apart: 5}, 3, 4, 7},
	{"sponge-below", Rule{Per: PerComb, ML: 3, At: 0.60, From: Below, Visits: 4, Apart: 5}, 3, 4, 7},
	{BottleWick, Rule{Per: PerDay, Day: [2]chem.Grams{17.5, 22.5}, Days: 14, From: Above, Visits: 1}, 1, 0, 0},
}

// BottleWick is the protocol of one filling that lasts.
const BottleWick = "bottle-wick"

// DefaultProtocol is the protocol a new plan starts from.
const DefaultProtocol = "sponge-above"

// fullCombs is the number of combs of the colony that an amount by the colony or
// box is meant for; a nuc gets its part of it.
const fullCombs = 10

// Find looks a protocol up by its ID.
func Find(id string) (Protocol, bool) {
	for _, s := range Protocols {
		if s.ID == id {
			return s, true
		}
	}
	return Protocol{}, false
}
