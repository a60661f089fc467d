package pad

import (
	"errors"
	"math"
	"slices"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/mixing"
	"keeler/core/note"
)

func near(t *testing.T, what string, got, want, tolerance float64) {
	t.Helper()
	if !(math.Abs(got-want) <= tolerance) {
		t.Errorf("%s: got %.5f, want %.5f ± %g", what, got, want, tolerance)
	}
}

// 1000 g of 60 % from 85 %: 600/0.85 = 705.88 g, 590.50 mL; 294.12 g water, 294.71
// mL; together 875.27 mL at 1.1425: 9.93 mL vanish.
func TestDilute(t *testing.T) {
	d := Dilute(0.85, 0.60, GivenWorking, 1000)
	near(t, "stock", float64(d.Stock), 705.88, 0.01)
	near(t, "stock volume", float64(d.StockML), 590.50, 0.01)
	near(t, "water", float64(d.WaterML), 294.71, 0.01)
	near(t, "working volume", float64(d.WorkingML), 875.27, 0.01)
	near(t, "shrinkage", float64(d.Shrinkage), 9.93, 0.01)
	near(t, "from stock", float64(Dilute(0.85, 0.60, GivenStock, 705.882).Working), 1000, 0.01)
	near(t, "from water", float64(Dilute(0.85, 0.60, GivenWater, 294.118).Working), 1000, 0.01)
	same := Dilute(0.6, 0.6, GivenStock, 100)
	near(t, "as it is", float64(same.Water), 0, 1e-9)
}

// There and back over the whole table: what is let down from any strength to any
// lower one is found again by its density and its masses, to 0.01 %.
func TestDiluteThereAndBack(t *testing.T) {
	for stock := 1; stock <= 100; stock++ {
		for working := 1; working <= stock; working++ {
			s, w := chem.Share(stock)/100, chem.Share(working)/100
			d := Dilute(s, w, GivenWorking, 1000)
			near(t, "by mass", 100*float64(d.Stock)*float64(s)/float64(d.Stock+d.Water), float64(working), 0.01)
			density := chem.GramsPerMillilitre(float64(d.Working) / float64(d.WorkingML))
			near(t, "by density", 100*float64(chem.FormicStrength(density, 20)), float64(working), 0.01)
			near(t, "and up", float64(Dilute(s, w, GivenStock, d.Stock).Working), 1000, 1e-6)
			if stock > working {
				near(t, "and up by water", float64(Dilute(s, w, GivenWater, d.Water).Working), 1000, 1e-6)
			}
		}
	}
}

// 1.1834 at 30 °C is 1.1954 at 20: 85 %. One line and one degree are 0.0022 g/mL,
// which at 0.00182 a per cent are 1.21 %.
func TestAssay(t *testing.T) {
	s, off, err := Assay(Reading{Density: 1.1834, Temp: new(chem.Celsius(30))})
	if err != nil {
		t.Fatal(err)
	}
	near(t, "strength", 100*float64(s), 85, 1e-6)
	near(t, "either way", 100*float64(off), 1.209, 0.002)
	// Without its temperature the same reading would have been called 78.5 %.
	wrong, _, _ := Assay(Reading{Density: 1.1834, Temp: new(chem.Celsius(20))})
	near(t, "uncorrected", 100*float64(wrong), 78.52, 0.01)
	for _, c := range []struct {
		name   string
		r      Reading
		field  string
		reason fault.Reason
	}{
		{"no temperature", Reading{Density: 1.19}, "reading.temp_c", fault.NoTemp},
		{"below water", Reading{Density: 0.9, Temp: new(chem.Celsius(20))}, "reading.g_per_ml", fault.TooLow},
		{"above pure acid", Reading{Density: 1.23, Temp: new(chem.Celsius(20))}, "reading.g_per_ml", fault.TooHigh},
		{"boiling", Reading{Density: 1.19, Temp: new(chem.Celsius(60))}, "reading.temp_c", fault.TooHigh},
	} {
		_, _, err := Assay(c.r)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != c.field || l[0].Reason != c.reason {
			t.Errorf("%s: got %v", c.name, err)
		}
	}
}

func colony(name string, nuc bool, frames ...int) hive.Colony {
	c := hive.Colony{Name: name, Nuc: nuc}
	for _, n := range frames {
		c.Boxes = append(c.Boxes, hive.Box{Kind: hive.Deep, Slots: hive.Combs(n)})
	}
	return c
}

// quiet lets 85 % down to 60 % for one visit to a ten-comb colony, 2 mL a comb.
func quiet() Request {
	return Request{
		Hold: Hold{Kind: Acid, Label: 0.85}, Working: 0.60, Aim: Aim{Protocol: "sponge-above"},
		Size: Size{By: SizeVisit, Reserve: new(chem.Share)}, Colonies: []hive.Colony{colony("K1", false, 10)},
		Bottle: 1000, Balance: mixing.Balance{Division: 0.1},
	}
}

func plan(t *testing.T, change func(*Request)) Plan {
	t.Helper()
	r := quiet()
	if change != nil {
		change(&r)
	}
	p, err := New(r)
	if err != nil {
		t.Fatal(err)
	}
	return p
}

// potencies: 60 % holds 0.6855 g a mL, 65 % 0.75036, 85 % 1.01609.
func TestAmounts(t *testing.T) {
	own := func(r Rule) func(*Request) {
		return func(q *Request) { q.Aim = Aim{Rule: r} }
	}
	for _, c := range []struct {
		name     string
		change   func(*Request)
		colony   hive.Colony
		ml, pure float64
	}{
		{"2 mL a comb from above", nil, colony("A", false, 10), 20, 13.71},
		{"3 mL a comb from below", func(r *Request) { r.Aim.Protocol = "sponge-below" }, colony("A", false, 10), 30, 20.565},
		{"two boxes of eleven", nil, colony("A", false, 11, 11), 44, 30.162},
		{"a nuc by its combs", nil, colony("A", true, 5), 10, 6.855},
		{"the floor sheet", func(r *Request) { r.Aim.Protocol = "floor-sheet" }, colony("A", false, 11, 11), 30, 20.565},
		{"a nuc's half of it", func(r *Request) { r.Aim.Protocol = "floor-sheet" }, colony("A", true, 5), 15, 10.283},
		// 17.5 g a day for 14 days: 245 g, at 1.1425 214.4 mL; 22.5 for two: 275.7.
		{"a wick on one box", func(r *Request) { r.Aim.Protocol = "bottle-wick" }, colony("A", false, 10), 214, 146.697},
		{"a wick on two", func(r *Request) { r.Aim.Protocol = "bottle-wick" }, colony("A", false, 10, 10), 276, 189.198},
		// 20 mL of 60 % hold as much as 18.27 mL of 65 %.
		{"the same acid in 65 %", func(r *Request) { r.Working = 0.65 }, colony("A", false, 10), 18, 13.506},
		{"own, a box", own(Rule{Per: PerBox, ML: 25, At: 0.6, From: Below}), colony("A", false, 10, 10), 50, 34.275},
		{"own, capped", own(Rule{Per: PerComb, ML: 3, At: 0.6, From: Below, Cap: 50}), colony("A", false, 11, 11), 50, 34.275},
		// 10 mL of 60 % hold 6.855 g: 6.746 mL of 85 %, and a nuc's dose is never rounded up.
		{"own, nucs flat, in 85 %", func(r *Request) {
			r.Aim, r.Working = Aim{Rule: Rule{Per: PerColony, ML: 30, At: 0.6, From: Below, Nuc: 10}}, 0.85
		}, colony("A", true, 6), 6.5, 6.605},
		{"own, capped, in 85 %", func(r *Request) {
			r.Aim, r.Working = Aim{Rule: Rule{Per: PerComb, ML: 2, At: 0.6, From: Above, Cap: 10}}, 0.85
		}, colony("A", false, 10), 6.5, 6.605},
		// 30 mL of 60 % are 27.41 of 65 %: one dose for all, never rounded up.
		{"own, one dose, in 65 %", func(r *Request) {
			r.Aim, r.Working = Aim{Rule: Rule{Per: PerColony, ML: 30, At: 0.6, From: Below}}, 0.65
		}, colony("A", false, 10), 27, 20.260},
		// 2.25 mL a comb on six are 13.5: a tie, down. A label's 2.4 on six are 14.4.
		{"own, a tie", own(Rule{Per: PerComb, ML: 2.25, At: 0.6, From: Above}), colony("A", false, 6), 13, 8.912},
		{"a label's, never up", own(Rule{Per: PerComb, ML: 2.45, At: 0.6, From: Above, Label: true}), colony("A", false, 6), 14, 9.597},
		{"own, nucs flat", own(Rule{Per: PerColony, ML: 30, At: 0.6, From: Below, Nuc: 12}), colony("A", true, 6), 12, 8.226},
	} {
		p := plan(t, func(r *Request) {
			if c.change != nil {
				c.change(r)
			}
			r.Colonies = []hive.Colony{c.colony}
		})
		near(t, c.name+": mL", float64(p.Amounts[0].ML), c.ml, 1e-9)
		near(t, c.name+": pure", float64(p.Amounts[0].Pure), c.pure, 0.001)
	}
}

// Eight colonies of ten combs, four visits, a twentieth over: 672 mL of 60 %, 767.76 g,
// of which 541.95 g are stock: 453.36 mL, two bottles of 250.
func TestCourse(t *testing.T) {
	p := plan(t, func(r *Request) {
		r.Colonies, r.Mean = nil, &Mean{Colonies: 8, Combs: 10, Boxes: 1}
		r.Size.Reserve, r.Bottle = new(chem.Share(0.05)), 250
		r.Sheet = Sheet{Takes: 12, Width: 10, Length: 15}
		r.Prices.Stock = 20
	})
	near(t, "a visit", float64(p.Visit), 160, 1e-9)
	near(t, "the course", float64(p.Course.Working), 672, 1e-6)
	near(t, "stock", float64(p.Course.Stock), 453.36, 0.01)
	near(t, "spare", float64(p.Course.Spare), 46.64, 0.01)
	near(t, "pure", float64(p.Course.Pure), 438.72, 0.01) // 32 × 13.71
	if p.Course.Bottles != 2 || p.Course.Days != 15 || p.Visits != 1 {
		t.Errorf("%+v, %d visits", p.Course, p.Visits)
	}
	// 20 mL on sheets that take 12: two, or 250 cm².
	if p.Amounts[0].Pads != 2 || math.Abs(p.Amounts[0].AreaCM2-250) > 1e-6 || p.Course.Pads != 64 {
		t.Errorf("%+v, %d sheets", p.Amounts[0], p.Course.Pads)
	}
	near(t, "left", float64(p.Leftover), 8, 1e-6)
	near(t, "bicarbonate for it", float64(p.Neutralise.Leftover), 10.01, 0.01) // 5.484 g pure × 1.8251
	// 168 mL × 1.1425 × 0.6/0.85 / 1.1954 = 113.34 mL of stock at 20 a litre.
	near(t, "cost", p.Cost.Total, 2.2668, 0.001)
	if p.Lines[0].Step != StepWater || p.Lines[0].Gear != nil || len(p.Lines[1].Gear) == 0 {
		t.Errorf("water first, then the gear, then acid: %+v", p.Lines)
	}
}

// Whatever the protocol and the strengths: a visit is the sum of its colonies, the
// course so many visits, what is made holds the acid that is given and the rest,
// and the same pure acid is given at every working strength, to the whole mL.
func TestWhatIsGivenAddsUp(t *testing.T) {
	hives := []hive.Colony{colony("A", false, 10), colony("B", false, 11, 11), colony("N", true, 5), colony("H", false, 10, 6)}
	for _, protocol := range Protocols {
		atSixty := 0.0
		for _, working := range []chem.Share{0.60, 0.62, 0.65, 0.80} {
			p := plan(t, func(r *Request) {
				r.Aim.Protocol, r.Working, r.Colonies = protocol.ID, working, hives
				r.Size = Size{By: SizeCourse, Reserve: new(chem.Share(0.1))}
			})
			sum, pure := 0.0, 0.0
			for _, a := range p.Amounts {
				sum += float64(a.ML)
				pure += float64(a.Pure)
			}
			visits := float64(p.Course.Visits)
			near(t, protocol.ID+" visit", float64(p.Visit), sum, 1e-9)
			near(t, protocol.ID+" course", float64(p.Course.Working), 1.1*visits*sum, 1e-6)
			near(t, protocol.ID+" made", float64(p.Dilution.WorkingML), 1.1*visits*sum, 1e-6)
			near(t, protocol.ID+" left", float64(p.Leftover), 0.1*visits*sum, 1e-6)
			near(t, protocol.ID+" acid in it", float64(p.Made.Formic), 1.1*visits*pure, 1e-6)
			near(t, protocol.ID+" stock", float64(p.Course.Stock), float64(p.Dilution.StockML), 1e-6)
			if bought := float64(p.Course.Bottles) * 1000; bought < float64(p.Course.Stock) || bought-float64(p.Course.Stock) >= 1000 {
				t.Errorf("%s: %v mL of stock in %d bottles", protocol.ID, p.Course.Stock, p.Course.Bottles)
			}
			if atSixty == 0 {
				atSixty = pure
			}
			if protocol.Rule.Per != PerDay { // up to a mL a colony, of up to 0.96 g
				near(t, protocol.ID+" pure acid", pure, atSixty, 4*0.96)
			}
		}
	}
}

// A hive in which no comb hangs gets nothing, by every protocol and card.
func TestHiveWithoutCombs(t *testing.T) {
	empty := hive.Colony{Name: "E", Boxes: []hive.Box{{Kind: hive.Deep, Slots: []hive.Slot{hive.Feeder, hive.Dummy}}}}
	for _, protocol := range Protocols {
		p := plan(t, func(r *Request) {
			r.Aim.Protocol, r.Colonies = protocol.ID, []hive.Colony{colony("A", false, 10), empty}
		})
		if a := p.Amounts[1]; a.ML != 0 || a.Pure != 0 {
			t.Errorf("%s: %+v", protocol.ID, a)
		}
	}
	p := plan(t, func(r *Request) {
		r.Hold = Hold{Kind: ReadyPads, Card: &Card{Pure: 68, Per: PerColony, Each: 2, From: Above, Visits: 1}}
		r.Colonies = []hive.Colony{colony("A", false, 10), empty}
	})
	if p.VisitPads != 2 {
		t.Errorf("%d pads, want 2", p.VisitPads)
	}
}

func TestReadyPads(t *testing.T) {
	p := plan(t, func(r *Request) {
		r.Hold = Hold{Kind: ReadyPads, Card: &Card{Pure: 68, Per: PerColony, Each: 2, From: Above, Visits: 1}, Count: 5}
		r.Colonies = []hive.Colony{colony("A", false, 10), colony("B", false, 10, 10), colony("N", true, 5), colony("C", false, 10)}
		r.Prices.Stock = 6
	})
	near(t, "pure", float64(p.VisitPure), 408, 1e-9)
	near(t, "cost of one", p.Cost.PerColony, 12, 1e-9)
	near(t, "bicarbonate for them", float64(p.Neutralise.Whole), 744.6, 0.1) // 408 g pure × 1.8251
	if p.VisitPads != 6 || len(p.Notes) != 2 || p.Notes[0].Code != NoteHolding || p.Notes[1].Code != NoteNoNuc {
		t.Errorf("%d pads, %v", p.VisitPads, p.Notes)
	}
}

func TestNotes(t *testing.T) {
	for _, c := range []struct {
		name    string
		change  func(*Request)
		code    note.Code
		figures []float64
	}{
		{"weak", func(r *Request) { r.Working = 0.5 }, NoteWeak, []float64{50, 60}},
		{"strong", func(r *Request) { r.Working = 0.7 }, NoteStrong, []float64{70, 65}},
		{"fuming", func(r *Request) { r.Hold.Label = 0.98 }, NoteFuming, []float64{98, 85}},
		{"unsure", func(r *Request) {
			r.Hold.Reading = &Reading{Density: 1.1834, Temp: new(chem.Celsius(30))}
		}, NoteReading, []float64{85, 1.209}},
		{"by the spoon", nil, NoteSpoons, []float64{1, 14.8, 15, 20, 20}},
		{"two spoons", func(r *Request) { r.Aim.Protocol = "floor-sheet" }, NoteSpoons, []float64{2, 29.6, 30, 40, 30}},
		{"the same acid", func(r *Request) { r.Working = 0.65 }, NoteScaled, []float64{60, 65, 19.7, 18}},
		// 3.7 mL a comb on eleven are 41 mL of 60 %, 28.1 g; twelve of 2 mL seven times 115 g.
		{"much for a box", func(r *Request) {
			r.Aim, r.Colonies = Aim{Rule: Rule{Per: PerComb, ML: 3.7, At: 0.6, From: Below}}, []hive.Colony{colony("A", false, 11)}
		}, NoteBoxHigh, []float64{28.106, 25}},
		{"much for a course", func(r *Request) { r.Aim.Protocol, r.Aim.Visits = "floor-sheet", 8 }, NoteAllHigh, []float64{164.52, 150}},
		{"many visits", func(r *Request) { r.Aim.Visits = 7 }, NoteMany, []float64{7, 6}},
		{"too few visits", func(r *Request) { r.Aim.Visits = 2 }, NoteVisits, []float64{2, 3}},
		{"too far apart", func(r *Request) { r.Aim.Apart = 9 }, NoteApart, []float64{9, 4, 7}},
		{"not enough", func(r *Request) { r.Size = Size{By: SizeWorking, Working: 15} }, NoteShort, []float64{20, 15}},
		// 22.85 g of 60 % take 16.13 g of 85 %, 13.49 mL.
		{"not enough stock", func(r *Request) { r.Hold.Volume = 10 }, NoteHolding, []float64{3.49}},
		{"a nuc's part", func(r *Request) {
			r.Aim.Protocol, r.Colonies = "floor-sheet", []hive.Colony{colony("N", true, 5)}
		}, NoteNuc, nil},
		{"a coarse balance", func(r *Request) { r.Balance.Division = 1 }, NoteBalance, []float64{1, 0.031}},
	} {
		found := false
		for _, n := range plan(t, c.change).Notes {
			if n.Code != c.code {
				continue
			}
			found = true
			for i, want := range c.figures {
				near(t, c.name, n.Figures[i], want, 0.01)
			}
		}
		if !found {
			t.Errorf("%s: no %s", c.name, c.code)
		}
	}
}

// 6.746 mL asked of 85 % where 10 mL of 60 % are meant, for the nuc and for the cap.
func TestNucAndCapAreScaled(t *testing.T) {
	p := plan(t, func(r *Request) {
		r.Aim, r.Working = Aim{Rule: Rule{Per: PerColony, ML: 30, At: 0.6, From: Below, Nuc: 10, Cap: 10}}, 0.85
		r.Colonies = []hive.Colony{colony("N", true, 5), colony("A", false, 10)}
	})
	near(t, "nuc asks", float64(p.Amounts[0].Asked), 6.746, 0.001)
	if a := p.Amounts[1]; !a.Capped || a.ML != 6.5 {
		t.Errorf("capped: %+v", a)
	}
}

// Five litres a colony, and all else beyond sense, are refused at their field; what is
// named as possible passes.
func TestTooMuchAcidIsRefused(t *testing.T) {
	card := func(pure chem.Grams, each int) Hold {
		return Hold{Kind: ReadyPads, Card: &Card{Pure: pure, Per: PerBox, Each: each, From: Above, Visits: 1}}
	}
	for _, c := range []struct {
		field  string
		high   float64
		change func(*Request)
		within func(*Request, float64)
	}{
		// 100 g in a box are 145.88 mL of 60 %, or 14.588 on each of ten combs.
		{"amount.ml", 14.588, func(r *Request) { r.Aim = Aim{Rule: Rule{Per: PerComb, ML: 500, At: 0.6, From: Above}} },
			func(r *Request, v float64) { r.Aim.ML = chem.Millilitres(v) }},
		{"amount.ml", 145.88, func(r *Request) { r.Aim = Aim{Rule: Rule{Per: PerColony, ML: 5000, At: 0.6, From: Above}} },
			func(r *Request, v float64) { r.Aim.ML = chem.Millilitres(v) }},
		{"amount.nuc_ml", 145.88, func(r *Request) {
			r.Aim = Aim{Rule: Rule{Per: PerColony, ML: 20, At: 0.6, From: Above, Nuc: 400}}
		},
			func(r *Request, v float64) { r.Aim.Nuc = chem.Millilitres(v) }},
		// 100 mL are 68.55 g: seven times would be 480, eight 548.
		{"amount.visits", 7, func(r *Request) {
			r.Aim = Aim{Rule: Rule{Per: PerColony, ML: 100, At: 0.6, From: Above, Visits: 12}}
		},
			func(r *Request, v float64) { r.Aim.Visits = int(v) }},
		{"amount.visits", 15, func(r *Request) { r.Aim.Visits = 16 }, func(r *Request, v float64) { r.Aim.Visits = int(v) }},
		// Seven pads of 68 g are 476 g in a box, eight 544.
		{"hold.card.each", 7, func(r *Request) { r.Hold = card(68, 8) }, func(r *Request, v float64) { r.Hold = card(68, int(v)) }},
	} {
		r := quiet()
		c.change(&r)
		_, err := New(r)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != c.field || math.Abs(l[0].High/c.high-1) > 1e-3 {
			t.Errorf("%s: %v %+v, want up to %v", c.field, err, l, c.high)
			continue
		}
		c.within(&r, l[0].High)
		if _, err := New(r); err != nil {
			t.Errorf("%s: %v is named and refused: %v", c.field, l[0].High, err)
		}
	}
}

// A warning that always stands is none: every protocol at its own amount, on boxes of 8 to
// 12 combs, and a label's pads whatever they hold, are quiet.
func TestProtocolsAreQuietAtTheirOwnAmount(t *testing.T) {
	quietly := func(name string, p Plan) {
		for _, n := range p.Notes {
			if n.Warn {
				t.Errorf("%s: %+v", name, n)
			}
		}
	}
	for combs := 8; combs <= 12; combs++ {
		for _, protocol := range Protocols {
			quietly(protocol.ID, plan(t, func(r *Request) {
				r.Aim.Protocol, r.Colonies = protocol.ID, []hive.Colony{colony("A", false, combs)}
			}))
		}
		quietly("a label's pads", plan(t, func(r *Request) {
			r.Hold = Hold{Kind: ReadyPads, Card: &Card{Pure: 150, Per: PerColony, Each: 3, From: Above, Visits: 2}}
			r.Colonies = []hive.Colony{colony("A", false, combs)}
		}))
	}
}

// No box gets more than its bound, whatever the rule; what is shown in mL holds what
// is shown in g; a label's amount is not exceeded.
func FuzzAmounts(f *testing.F) {
	f.Add(uint8(0), 2.0, 60.0, 65.0, 10, 1, false, true, 10.0)
	f.Add(uint8(2), 30.0, 60.0, 85.0, 5, 2, true, false, 12.0)
	f.Fuzz(func(t *testing.T, per uint8, ml, at, working float64, combs, boxes int, nuc, label bool, flat float64) {
		if combs < 1 || combs > 20 || boxes < 1 || boxes > 6 {
			t.Skip()
		}
		rule := Rule{
			Per: []Per{PerComb, PerBox, PerColony}[per%3], ML: chem.Millilitres(ml), At: chem.Share(at / 100),
			From: Above, Nuc: chem.Millilitres(flat), Label: label,
		}
		r := quiet()
		r.Aim, r.Hold.Label, r.Working = Aim{Rule: rule}, 1, chem.Share(working/100)
		r.Size, r.Balance.Division = Size{By: SizeWorking, Working: 1000}, 0.001
		frames := make([]int, boxes)
		for i := range frames {
			frames[i] = combs
		}
		r.Colonies = []hive.Colony{colony("F", nuc, frames...)}
		p, err := New(r)
		if err != nil {
			return
		}
		a := p.Amounts[0]
		near(t, "pure", float64(a.Pure), float64(a.ML)*potency(r.Working), 1e-6)
		// A whole mL, rounded to, may go over the bound by half of itself.
		if float64(a.BoxPure()) > 100+potency(r.Working) {
			t.Errorf("%v g in a box", a.BoxPure())
		}
		if label && a.ML > a.Asked+1e-6 {
			t.Errorf("%v mL given where the label says %v", a.ML, a.Asked)
		}
		if over := a.BoxPure() > 25; over && !label && !slices.ContainsFunc(p.Notes, func(n note.Note) bool { return n.Code == NoteBoxHigh }) {
			t.Errorf("%v g in a box without a warning", a.BoxPure())
		}
	})
}

func TestRefused(t *testing.T) {
	for _, c := range []struct {
		name   string
		change func(*Request)
		field  string
		reason fault.Reason
	}{
		{"upward", func(r *Request) { r.Hold.Label, r.Working = 0.6, 0.65 }, "working_percent", fault.Upward},
		{"above 100 %", func(r *Request) { r.Hold.Label = 1.2 }, "hold.percent", fault.TooHigh},
		{"no strength", func(r *Request) { r.Hold.Label = 0 }, "hold.percent", fault.Missing},
		{"a density alone", func(r *Request) { r.Hold.Reading = &Reading{Density: 1.19} }, "hold.reading.temp_c", fault.NoTemp},
		{"a density of syrup", func(r *Request) { r.Hold.Reading = &Reading{Density: 1.3, Temp: new(chem.Celsius(20))} }, "hold.reading.g_per_ml", fault.TooHigh},
		{"nobody", func(r *Request) { r.Colonies = nil }, "mean.colonies", fault.Missing},
		{"no card", func(r *Request) { r.Hold = Hold{Kind: ReadyPads} }, "hold.card", fault.Missing},
		{"water for nothing", func(r *Request) {
			r.Hold.Label, r.Size = 0.6, Size{By: SizeWater, Water: 100}
		}, "working_percent", fault.TooHigh},
		{"only nucs, and no word of them", func(r *Request) {
			r.Hold = Hold{Kind: ReadyPads, Card: &Card{Pure: 68, Per: PerColony, Each: 2, From: Above, Visits: 1}}
			r.Colonies = []hive.Colony{colony("N", true, 5)}
		}, "colonies", fault.Missing},
		{"acid that does not read", func(r *Request) {
			r.Size, r.Balance.Division = Size{By: SizeWorking, Working: 5}, 10
		}, "balance_g", fault.TooHigh},
	} {
		r := quiet()
		c.change(&r)
		_, err := New(r)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != c.field || l[0].Reason != c.reason {
			t.Errorf("%s: got %v", c.name, err)
		}
	}
}

// Never upward, and the acid in the bottle is the acid that went in.
func FuzzDilution(f *testing.F) {
	f.Add("working", 500.0, 85.0, 60.0)
	f.Add("stock", 500.0, 65.0, 60.0)
	f.Add("water", 100.0, 98.0, 5.0)
	f.Fuzz(func(t *testing.T, by string, amount, stock, working float64) {
		r := quiet()
		r.Hold.Label, r.Working = chem.Share(stock/100), chem.Share(working/100)
		v := chem.Millilitres(amount)
		r.Size = Size{By: SizeBy(by), Working: v, Stock: v, Water: chem.Grams(amount)}
		p, err := New(r)
		if err != nil {
			return
		}
		d := p.Dilution
		if working > stock || d.Water < -1e-9 || d.Stock <= 0 || d.Shrinkage < -1 {
			t.Errorf("%v %% from %v %%: %+v", working, stock, d)
		}
		near(t, "acid", float64(d.Stock)*stock/(float64(d.Working)*working), 1, 1e-9)
		near(t, "mass", float64((d.Stock+d.Water)/d.Working), 1, 1e-9)
	})
}

// The keeper's own wick: 80 cm² on one box, 120 on more; where one figure is said it holds
// for all. Nothing is said where nobody did.
func TestWick(t *testing.T) {
	for name, c := range map[string]struct {
		of         Wick
		one, three float64
	}{
		"both": {Wick{80, 120}, 80, 120}, "one for all": {Wick{One: 80}, 80, 80}, "only for more": {Wick{More: 120}, 0, 120}, "not said": {Wick{}, 0, 0},
	} {
		if one, three := c.of.Open(1), c.of.Open(3); one != c.one || three != c.three {
			t.Errorf("%s: %v and %v", name, one, three)
		}
	}
}
