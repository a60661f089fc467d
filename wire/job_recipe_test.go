package wire

import (
	"errors"
	"math"
	"slices"
	"testing"

	"keeler/core/card"
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
)

func seamed(name string, seams ...float64) Colony {
	return Colony{Name: name, Boxes: []Box{{Kind: "deep", Frames: len(seams) - 1, Seams: seams}}}
}

// Every method's recipe of a job can be worked as it is: six full seams are 30 mL of
// syrup and, at one to 2½, 2 strips; ten combs are 20 mL of acid.
func TestRecipeOfJob(t *testing.T) {
	colonies := []Colony{seamed("A", 0, 0, 1, 1, 1, 1, 1, 1, 0, 0, 0)}
	worked := map[string]RecipeAnswer{}
	for _, method := range []string{"dribble", "strip", "pad"} {
		w, err := RecipeOf(method, "", colonies, nil).Work()
		if err != nil {
			t.Fatalf("%s: %v", method, err)
		}
		worked[method] = w.Answer
	}
	if d := worked["dribble"].Dribble; d.Given != 30 || d.Strength.GPerL < 35 || d.Strength.GPerL > 35.1 {
		t.Errorf("syrup: %v mL of %v g/L", d.Given, d.Strength.GPerL)
	}
	if s := worked["strip"].Strip; s.Strips != 2 {
		t.Errorf("%d strips", s.Strips)
	}
	if p := worked["pad"].Pad; p.Visit != 20 {
		t.Errorf("%v mL of acid", p.Visit)
	}
	// A job under bottle and wick begins with one filling: 17.5 g a day from one box for 14 days are 245 g, of which
	// 60 % is acid, but for the mL that it is rounded to.
	w, err := RecipeOf("pad", fit.FormicBottle, colonies, nil).Work()
	if err != nil {
		t.Fatal(err)
	}
	if c := w.Answer.Pad.Course; c.Visits != 1 || math.Abs(float64(c.Pure)-147) > 0.5 {
		t.Errorf("bottle and wick: %d visits, %v g", c.Visits, c.Pure)
	}
}

// A card doses by what it says: 20 mL up to 15,000 bees of its table; 2 strips a
// box; 2 pads a hive; 3 mL a comb.
func TestRecipeOfCard(t *testing.T) {
	colonies := []Colony{seamed("A", 0, 0, 1, 1, 1, 1, 1, 1, 0, 0, 0)}
	winter := card.Begin(method.Dribble)
	card := func(method string, k CardContent) RecipeAnswer {
		t.Helper()
		w, err := RecipeOf(method, "", colonies, &LabelCard{Name: "Bought", Method: method, Content: k}).Work()
		if err != nil {
			t.Fatalf("%s: %v", method, err)
		}
		return w.Answer
	}
	table := card("dribble", CardContent{Dribble: &Card{Rows: []CardRow{{UpTo: 15_000, Volume: 20}, {Volume: 40}}}})
	if got := table.Dribble.Given; got != 20 { // 6 × 2,200 bees are 13,200
		t.Errorf("by the table: %v mL", got)
	}
	// Before it has a name it can be tried on a hive: 6 seams of 4 mL, and at most 20.
	tried, err := LabelCard{Method: "dribble", Content: CardContent{Content: winter, Rule: &Rule{FullSeam: new(chem.Millilitres(4)), Cap: new(chem.Millilitres(20))}}}.Try(colonies[0])
	if err != nil || tried.Answer.Dribble.Given != 20 || tried.Recipe.Dribble.Colonies[0].Name != "A" {
		t.Errorf("tried: %+v %v", tried, err)
	}
	var l fault.List
	_, err = LabelCard{Method: "dribble", Content: CardContent{Content: winter, Rule: &Rule{FullSeam: new(chem.Millilitres(400))}}}.Try(colonies[0])
	if !errors.As(err, &l) || l[0].Field != "content.rule.full_seam_ml" {
		t.Errorf("400 mL a seam: %v", err)
	}
	each := 2
	if got := card("strip", CardContent{Strip: &strip.Number{By: "box", Each: each}}).Strip.Strips; got != 2 {
		t.Errorf("%d strips", got)
	}
	if got := card("pad", CardContent{Pad: &PadCard{Pure: 68, Per: "colony", Each: 2, From: "above", Visits: 1}}).Pad.VisitPads; got != 2 {
		t.Errorf("%d pads", got)
	}
	if got := card("pad", CardContent{Amount: &pad.Aim{Rule: pad.Rule{Per: "comb", ML: 3, From: "below"}}}).Pad.Visit; got != 30 {
		t.Errorf("%v mL", got)
	}
}

// What is wrong on a card is told at its place on the card.
func TestCardFaults(t *testing.T) {
	good := func() LabelCard {
		return LabelCard{Name: "Bought", Method: "strip", Content: CardContent{Content: card.Content{MinC: 10, MaxC: 30, Supers: "off", DaysInLow: 42, DaysInHigh: 56}, Strip: &strip.Number{By: "box", Each: 2}}}
	}
	c := good()
	if err := c.Check(); err != nil {
		t.Fatal(err)
	}
	for field, spoil := range map[string]func(*LabelCard){
		"name":                            func(c *LabelCard) { c.Name = "  " },
		"content.min_c":                   func(c *LabelCard) { c.Content.MinC = -21 },
		"content.max_c":                   func(c *LabelCard) { c.Content.MaxC = 10 },
		"content.supers":                  func(c *LabelCard) { c.Content.Supers = "perhaps" },
		"content.days_in_high":            func(c *LabelCard) { c.Content.DaysInHigh = 41 },
		"content.days_in_low":             func(c *LabelCard) { c.Content.DaysInLow = -1 },
		"content.repeats":                 func(c *LabelCard) { c.Content.Repeats = 21 },
		"content.days_apart":              func(c *LabelCard) { c.Content.DaysApart = 61 },
		"content.withdrawal_days":         func(c *LabelCard) { c.Content.Withdrawal = new(366) },
		"content.strip.each":              func(c *LabelCard) { c.Content.Strip.Each = 41 },
		"content.rule.full_seam_ml":       func(c *LabelCard) { c.Method, c.Content.Rule = "dribble", &Rule{FullSeam: new(chem.Millilitres(11))} },
		"content.dribble.rows[0].dose_ml": func(c *LabelCard) { c.Method, c.Content.Dribble = "dribble", &Card{Rows: []CardRow{{Volume: 501}}} },
		"content.pad.formic_g": func(c *LabelCard) {
			c.Method, c.Content.Pad = "pad", &PadCard{Per: "colony", Each: 1, From: "above", Visits: 1}
		},
		"content.amount.ml": func(c *LabelCard) {
			c.Method, c.Content.Amount = "pad", &pad.Aim{Rule: pad.Rule{Per: "comb", ML: 501, From: "above"}}
		},
	} {
		c := good()
		spoil(&c)
		var l fault.List
		if err := c.Check(); !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("%s: got %v", field, err)
		}
	}
}

// A dribble that is repeated says after how many days, so that nobody repeats it on the same one.
func TestRepeatsAreDaysApart(t *testing.T) {
	dribble := func(apart int) LabelCard {
		return LabelCard{Name: "Bought", Method: "dribble", Content: CardContent{
			Content: card.Content{MinC: 0, MaxC: 10, Supers: "off", Repeats: 1, DaysApart: apart}, Rule: &Rule{FullSeam: new(chem.Millilitres(5))},
		}}
	}
	for apart, missing := range map[int]bool{0: true, 14: false} {
		var l fault.List
		_ = errors.As(dribble(apart).Check(), &l)
		at := slices.IndexFunc(l, func(f fault.Fault) bool { return f.Field == "content.days_apart" })
		if (at >= 0) != missing || missing && l[at].Reason != fault.Missing {
			t.Errorf("%d days apart: %v", apart, l)
		}
	}
}

// A hive and the bees seen in it, told at the box and gap that cannot be.
func TestCheckHiveAndBoard(t *testing.T) {
	hive, err := ParseHive("deep ccf + medium 2")
	if err != nil {
		t.Fatal(err)
	}
	if slots, err := CheckHive(hive); err != nil || slots[0] != "ccf" || slots[1] != "cc" {
		t.Errorf("got %v %v", slots, err)
	}
	if q, err := CheckBoard(hive, [][]float64{{0, 1, 0.5, 0}, {0.25, 1, 0}}); err != nil || q != 11 {
		t.Errorf("got %d quarters, %v", q, err)
	}
	for field, board := range map[string][][]float64{
		"board": {{0, 1, 0, 0}}, "board[0][3]": {{0, 1, 0, 0.5}, {0}}, // behind the feeder nobody sits
		"board[1][0]": {{0}, {1.5}}, "board[1]": {{0}, {0, 0, 0, 0}},
	} {
		var l fault.List
		if _, err := CheckBoard(hive, board); !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("%s: got %v", field, err)
		}
	}
	for field, boxes := range map[string][]HiveBox{
		"boxes": {}, "boxes[0].kind": {{Kind: "tower", Slots: []string{"comb"}}},
		"boxes[1].slots[0]": {{Kind: "deep", Slots: []string{"comb"}}, {Kind: "deep", Slots: []string{"cat"}}},
	} {
		var l fault.List
		if _, err := CheckHive(boxes); !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("%s: got %v", field, err)
		}
	}
}
