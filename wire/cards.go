package wire

import (
	"strings"

	"keeler/core/card"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
)

// LabelCard is what a keeper copied from the label of the product in hand.
type LabelCard struct {
	ID      string      `json:"id" format:"uuid" doc:"Made by the client."`
	Name    string      `json:"name" maxLength:"80"`
	Method  string      `json:"method" enum:"dribble,strip,pad"`
	Version int         `json:"version,omitempty" doc:"When one is changed: the version that was seen, from 1."`
	Content CardContent `json:"content"`
	Notes   []Note      `json:"notes,omitempty" readOnly:"true" doc:"What a plan by it says of one hive of five seams."`
	Recipe  *Recipe     `json:"recipe,omitempty" readOnly:"true" doc:"What a plan by it begins with, without hives."`
}

// CardContent is the label itself: what it says of when, and one dose.
type CardContent struct {
	card.Content

	Dribble *Card         `json:"dribble,omitempty" doc:"For a solution: the table from bees to mL."`
	Rule    *Rule         `json:"rule,omitempty" doc:"For a solution: mL per seam and cap."`
	Strip   *strip.Number `json:"strip,omitempty" doc:"For strips: how many to how many frames of bees, a box or a colony."`
	Pad     *PadCard      `json:"pad,omitempty" doc:"For ready pads."`
	Amount  *pad.Aim      `json:"amount,omitempty" doc:"For acid: mL per comb, box or colony."`
}

// LabelCards are all of an operation, and blank ones to begin with.
type LabelCards struct {
	Cards []LabelCard `json:"cards"`
	Blank []LabelCard `json:"blank" doc:"Generic templates: nothing of any product."`
}

// TryCard is a card as it is being copied, and a hive to try it on.
type TryCard struct {
	LabelCard

	ColonyID string `json:"colony_id,omitempty" doc:"As it was last seen; without one a hive of six seams."`
}

// CardTried is what a card would give one hive.
type CardTried struct {
	Recipe Recipe       `json:"recipe" doc:"With the hive."`
	Answer RecipeAnswer `json:"answer"`
	Notes  []Note       `json:"notes" doc:"What a plan by it warns about."`
}

// CoreConditions are what a card asks, as core judges by them; a fault.List when
// they cannot be.
func (c LabelCard) CoreConditions() (fit.Conditions, error) {
	out, err := c.Content.Conditions(c.ID, method.Name(c.Method), c.Content.course())
	out.Formic = c.Content.Dribble != nil && c.Content.Dribble.HoldsFormic()
	return out, err
}

// course is what the dose says of visits.
func (k CardContent) course() card.Course {
	switch {
	case k.Pad != nil:
		return card.Course{Visits: k.Pad.Visits, Apart: k.Pad.Apart}
	case k.Amount != nil:
		return card.Course{Visits: k.Amount.Visits}
	case k.Dribble != nil:
		return card.Course{Visits: 1 + max(k.Dribble.Repeats, k.Repeats)}
	}
	return card.Course{}
}

// Check names what is wrong with a card.
func (c LabelCard) Check() error {
	var l fault.List
	l.Said("name", c.Name)
	c.checkContent(&l)
	return l.Err()
}

// Try works out what a card would give a colony. It needs no name yet.
func (c LabelCard) Try(colony Colony) (CardTried, error) {
	var l fault.List
	c.checkContent(&l)
	if err := l.Err(); err != nil {
		return CardTried{}, err
	}
	recipe := RecipeOf(c.Method, "", []Colony{colony}, &c)
	w, err := recipe.Work()
	return CardTried{Recipe: recipe, Answer: w.Answer, Notes: w.Answer.warnings()}, err
}

func (c LabelCard) checkContent(l *fault.List) {
	conditions, err := c.CoreConditions()
	of, _ := err.(fault.List)
	c.Content.Check(&of)
	if conditions.Visits > 1 && conditions.ApartLow == 0 { // never on one day
		of.Add("days_apart", fault.Missing)
	}
	for _, f := range of {
		f.Field = "content." + f.Field
		*l = append(*l, f)
	}
	c.checkDose(l)
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
	return RecipeOf(c.Method, "", one, &c).Work()
}

// Said is what a plan by the card warns about.
func (c LabelCard) Said() []Note {
	w, err := c.work()
	if err != nil {
		return nil
	}
	return w.Answer.warnings()
}

// warnings are the notes that warn of a dose; what concerns the bench is told there.
func (a RecipeAnswer) warnings() []Note {
	out := []Note{}
	_, notes := a.notes()
	for _, n := range *notes {
		if n.Warn && n.Code != "finer_balance" && n.Code != "crystals" {
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
	blank := func(name string, m method.Name, k CardContent) LabelCard {
		k.Content = card.Begin(m)
		return LabelCard{Name: name, Method: string(m), Content: k}
	}
	acid := blank("Formic acid", method.Pad, CardContent{Amount: &pad.Aim{Rule: pad.Rule{Per: pad.PerComb, ML: 2, From: pad.Above, Visits: 4}}})
	acid.Content.Repeats, acid.Content.DaysApart, acid.Content.DaysInLow, acid.Content.DaysInHigh = 3, 5, 0, 0
	return []LabelCard{
		blank("Ready solution", method.Dribble, CardContent{Rule: &Rule{}}),
		blank("Strips", method.Strip, CardContent{Strip: &strip.Number{By: "bees"}}),
		blank("Ready pads", method.Pad, CardContent{Pad: &PadCard{Per: "colony", Each: 2, From: "above", Visits: 1}}),
		acid,
	}
}
