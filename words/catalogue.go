package words

import (
	_ "embed"
	"encoding/json"

	"keeler/core/fault"
	"keeler/core/followup"
	"keeler/core/method"
	"keeler/core/mites"
	"keeler/core/note"
	"keeler/core/treatment"
)

// english is the catalogue: every sentence by its code. Another language is another such
// file, and its own way with numbers and days (words.go, faults.go, reasons.go).
//
//go:embed en.json
var english []byte

var said = read()

type catalogue struct {
	// Notes have the figures as {0}, as percent {0 percent}, whole degrees {0 degrees} or
	// seams {0 seams}, the unit of what is held as {unit}, and the colonies as {who}.
	Notes map[method.Name]map[note.Code]string
	// Reasons have the figures as {0}, as days {0 days} or seams {0 seams}, their days as
	// {on}, {from} and {to}, how long ago it was as {age}, and a name as {words}.
	Reasons map[string]struct{ Why, Change, Brief string }
	// Faults have the range as {low} and {high}, its unit as {unit}, and a multiple as {times}.
	Faults map[fault.Reason]string
	// AtField answers what is missing where that is more than a figure, by the field or,
	// for a basis and an override, by how it ends.
	AtField map[string]string `json:"at_field"`
	Flags   map[treatment.Flag]string
	// Logged is what somebody did, about who comes in and who may what.
	Logged map[string]string
	// Outcomes are why a colony got something else than was meant, or nothing.
	Outcomes, Extras map[string]string
	// Acts are the steps at the bench: what to do, and how. One that mends has its
	// ingredient as {what}.
	Acts        map[string]struct{ Title, Hint string }
	Ingredients map[string]string
	// Rules are the kinds of rule that a job is worked under.
	Rules map[string]string
	// Products are what was given where nobody named it.
	Products map[string]string
	// LeftOver has the name of the pot as {what}.
	LeftOver string `json:"left_over"`
	// Followups are what to come back for, by kind and variant: which of how many is {n} and
	// {total}, what is done and with what {give} and {things}.
	Followups map[string]struct{ Title, Why string }
	// Calls are what else there is to see to, with the name of a batch or lot as {name}.
	Calls map[string]struct{ Title, Why string }
	// Reminders are the titles of what is sent to a browser in the morning, by what there is,
	// with how many as {n}.
	Reminders map[string]string
	// GivenThings are what each way gives, as {give} and {things} of a follow-up.
	GivenThings map[followup.Way]struct{ Give, Things string } `json:"given_things"`
	// Ahead is what a forecast of mites comes to and rests on, which counts would tell most, and what plans come to.
	Ahead map[string]string
	// Practice is what is said in a season of practice, and of hives that are not real.
	Practice map[string]string
	// Meets tells which mites a method could meet, {met} of 100, by the sealed brood.
	Meets map[string]string
	// Paces are how fast formic acid goes, with the cm² of wick that would do as {0}.
	Paces map[string]string
	// Results are outcomes, how they were come by, and what would tell.
	Results map[string]string
	// Uses are what a count is good for.
	Uses map[mites.Use]string
	// WhyNot has the figures as {0} and the day as {on}.
	WhyNot map[string]string `json:"why_not"`
	// Held is why honey is not taken: of {product}, {until} a day.
	Held map[string]string
	// Record are the lines of the medicine record: what was done by {method} with {product}, how
	// many pieces {came} out or are {missing}, and what was amended.
	Record map[string]string
	// Causes are why Keeler wrote something into a ledger by itself.
	Causes map[string]string
}

func read() (c catalogue) {
	if err := json.Unmarshal(english, &c); err != nil {
		panic(err) // it ships with the program
	}
	return c
}
