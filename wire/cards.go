package wire

import (
	"strings"

	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
)

// LabelCard is what a keeper copied from the label of the product in hand.
type LabelCard struct {
	ID      string      `json:"id" format:"uuid" doc:"Made by the client."`
	Name    string      `json:"name" maxLength:"80"`
	Method  string      `json:"method" enum:"dribble,strip,pad"`
	Version int         `json:"version,omitempty" doc:"When one is changed: the version that was seen, from 1."`
	Content CardContent `json:"content"`
	Notes   []Note      `json:"notes,omitempty" readOnly:"true" doc:"What a plan by it says of one hive of five seams."`
}

// CardContent is the label itself.
type CardContent struct {
	Contents    string  `json:"contents,omitempty" maxLength:"500" doc:"What is in it, as printed."`
	Preparation string  `json:"preparation,omitempty" maxLength:"500" doc:"Shake, warm, look for sediment…"`
	MinC        float64 `json:"min_c" doc:"Outside temperature, −20 to 40 °C."`
	MaxC        float64 `json:"max_c" doc:"Above min_c, to 40 °C."`
	Broodless   bool    `json:"broodless,omitempty" doc:"Only without sealed brood."`
	Supers      string  `json:"supers" enum:"off,label,allowed" doc:"Supers for harvest: off, not said, or allowed."`
	OutOfHoney  bool    `json:"out_of_honey,omitempty" doc:"Only for colonies that make no honey for people."`
	DaysInLow   int     `json:"days_in_low,omitempty" doc:"Days in the hive at least, 0 to 120."`
	DaysInHigh  int     `json:"days_in_high,omitempty" doc:"Days in the hive at most, days_in_low to 120."`
	Repeats     int     `json:"repeats,omitempty" doc:"Further times, 0 to 20."`
	DaysApart   int     `json:"days_apart,omitempty" doc:"Days between, 0 to 60."`
	Swap        bool    `json:"swap,omitempty" doc:"The next pads go in while the last are still there."`
	Withdrawal  int     `json:"withdrawal_days,omitempty" doc:"Days until honey may be taken, 0 to 365."`

	Dribble *Card        `json:"dribble,omitempty" doc:"For a solution: the table from bees to mL."`
	Rule    *Rule        `json:"rule,omitempty" doc:"For a solution: mL per seam and cap."`
	Strip   *StripNumber `json:"strip,omitempty" doc:"For strips: how many to how many frames of bees, a box or a colony."`
	Pad     *PadCard     `json:"pad,omitempty" doc:"For ready pads."`
	Amount  *PadAmount   `json:"amount,omitempty" doc:"For acid: mL per comb, box or colony."`
}

// LabelCards are all of an operation, and blank ones to begin with.
type LabelCards struct {
	Cards []LabelCard `json:"cards"`
	Blank []LabelCard `json:"blank" doc:"Generic templates: nothing of any product."`
}

// CardPrefix stands before the id of a card where a protocol could be named.
const CardPrefix = "card:"

// CoreConditions are what a card asks, as core judges by them; a fault.List when
// they cannot be.
func (c LabelCard) CoreConditions() (fit.Conditions, error) {
	base, _ := fit.Protocol(map[string]string{"dribble": "winter", "strip": "strips", "pad": "formic"}[c.Method])
	k := c.Content
	out := base
	out.ID, out.Method = CardPrefix+c.ID, method.Name(c.Method)
	out.Broodless, out.Supers, out.OutOfHoney = k.Broodless, fit.Supers(k.Supers), k.OutOfHoney
	out.MinC, out.MaxC, out.BestLowC, out.BestHighC = k.MinC, k.MaxC, k.MinC, k.MaxC
	out.DaysInLow, out.DaysInHigh = k.DaysInLow, k.DaysInHigh
	out.Label, out.Withdrawal, out.Swap = true, k.Withdrawal, k.Swap
	out.Visits, out.ApartLow, out.ApartHigh = 1+k.Repeats, k.DaysApart, k.DaysApart
	switch {
	case k.Pad != nil && k.Pad.Visits > 1:
		out.Visits, out.ApartLow, out.ApartHigh = k.Pad.Visits, k.Pad.DaysApart, k.Pad.DaysApart
	case k.Amount != nil && k.Amount.Visits > 1:
		out.Visits = k.Amount.Visits
	case k.Dribble != nil && k.Dribble.Repeats > k.Repeats:
		out.Visits = 1 + k.Dribble.Repeats
	}
	out.HarmC = 0 // the label's range is its own
	if out.Method == method.Pad {
		out.HarmC = k.MaxC
	}
	return out, out.Check()
}

// Check names what is wrong with a card.
func (c LabelCard) Check() error {
	var l fault.List
	if strings.TrimSpace(c.Name) == "" {
		l.Add("name", fault.Missing)
	}
	_, err := c.CoreConditions()
	if of, ok := err.(fault.List); ok {
		for _, f := range of {
			f.Field = "content." + f.Field
			l = append(l, f)
		}
	}
	l.Within("content.repeats", float64(c.Content.Repeats), 0, 20, "times")
	l.Within("content.days_apart", float64(c.Content.DaysApart), 0, 60, "days")
	l.Within("content.withdrawal_days", float64(c.Content.Withdrawal), 0, 365, "days")
	c.checkDose(&l)
	return l.Err()
}

// doses are where each part of a card's dose lies in a recipe that is made of it.
var doses = []struct{ recipe, card string }{
	{"dribble.hold.card.", "content.dribble."}, {"dribble.rule.", "content.rule."}, {"strip.number.", "content.strip."},
	{"pad.hold.card.", "content.pad."}, {"pad.amount.", "content.amount."},
}

// work works a recipe out of the card for one hive, as it would be on the bench.
func (c LabelCard) work() (Worked, error) {
	seams := []float64{0, 1, 1, 1, 1, 1, 0}
	one := []Colony{{Name: "1", Boxes: []Box{{Kind: "deep", Frames: 6, Seams: seams}}}}
	return RecipeOf(c.Method, one, &c).Work()
}

// Said is what a plan by the card warns about.
func (c LabelCard) Said() []Note {
	w, err := c.work()
	if err != nil {
		return nil
	}
	var out []Note
	for _, n := range w.Notes {
		if n.Level == "warn" && n.Code != "finer_balance" && n.Code != "crystals" {
			out = append(out, n)
		}
	}
	return out
}

// checkDose tells what is wrong with the dose at its place on the card.
func (c LabelCard) checkDose(l *fault.List) {
	_, err := c.work()
	of, _ := err.(fault.List)
	for _, f := range of {
		for _, d := range doses {
			if rest, here := strings.CutPrefix(f.Field, d.recipe); here {
				f.Field = d.card + rest
				*l = append(*l, f)
			}
		}
	}
}

// BlankCards are generic templates, one for each kind of product.
func BlankCards() []LabelCard {
	return []LabelCard{
		{Name: "Ready solution", Method: "dribble", Content: CardContent{MinC: 0, MaxC: 10, Broodless: true, Supers: "off", Rule: &Rule{}}},
		{Name: "Strips", Method: "strip", Content: CardContent{MinC: 10, MaxC: 35, Supers: "label", DaysInLow: 42, DaysInHigh: 56, Strip: &StripNumber{By: "bees"}}},
		{Name: "Ready pads", Method: "pad", Content: CardContent{MinC: 10, MaxC: 29, Supers: "off", DaysInLow: 10, DaysInHigh: 14, Pad: &PadCard{Per: "colony", Each: 2, From: "above", Visits: 1}}},
		{Name: "Formic acid", Method: "pad", Content: CardContent{MinC: 10, MaxC: 29, Supers: "off", Repeats: 3, DaysApart: 5, Amount: &PadAmount{Per: "comb", ML: 2, From: "above", Visits: 4}}},
	}
}
