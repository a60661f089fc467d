package dribble

import (
	"errors"
	"math"
	"slices"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/note"
)

func colony(name string, boxes ...[]hive.Seam) hive.Colony {
	c := hive.Colony{Name: name}
	for _, seams := range boxes {
		c.Boxes = append(c.Boxes, hive.Box{Kind: hive.Deep, Slots: hive.Combs(len(seams) - 1), Seams: seams})
	}
	return c
}

func amounts(b BoxDose) []float64 {
	var out []float64
	for _, g := range b.Gaps {
		out = append(out, float64(g.Given))
	}
	return out
}

var (
	fine    = Applicator{Device: Syringe, Size: 60, Unit: 0.25} // shows the rule's own quarters
	sixty   = Applicator{Device: Syringe, Size: 60}
	bulb    = Applicator{Device: Bulb}
	gun     = Applicator{Device: Gun}
	sprayer = Applicator{Device: Sprayer, Unit: 3}
	twenty  = Applicator{Device: Syringe, Size: 20}
)

// 5 mL a full seam, so 1.25 mL a quarter; over 10 seams 50 mL are shared out.
func TestDose(t *testing.T) {
	six := []hive.Seam{0, 0, 3, 4, 4, 4, 4, 3, 2, 0, 0}                                           // 24 quarters: 30 mL
	double := [][]hive.Seam{{0, 0, 2, 4, 4, 4, 4, 3, 1, 0, 0}, {0, 1, 3, 4, 4, 4, 4, 4, 4, 3, 0}} // 22 + 31 = 53 quarters
	for _, c := range []struct {
		name        string
		colony      hive.Colony
		rule        Rule
		with        Applicator
		asked, want float64
		boxes       []float64
		gaps        []float64 // of the lowest box
		draws       []Draw
	}{
		{"six seams to the quarter", colony("R1", six), Rule{}, fine, 30, 30, []float64{30},
			[]float64{0, 0, 3.75, 5, 5, 5, 5, 3.75, 2.5, 0, 0}, []Draw{{30, 0}}},
		// In whole mL the parts 3.75, 3.75, 2.5 round down to 3, 3, 2: the two
		// left go to the two largest remainders.
		{"on a 60 mL syringe", colony("R1", six), Rule{}, sixty, 30, 30, []float64{30},
			[]float64{0, 0, 4, 5, 5, 5, 5, 4, 2, 0, 0}, []Draw{{30, 0}}},
		// 53 quarters ask 66.25 mL; 50 are given: 50·22/53 = 20.75 below, 29.25 above.
		// Below, 21 over 22 quarters: 0.95, 1.91, 2.86 and 3.82 round down to 15 in
		// all; six go to the largest remainders, the fulls nearest the middle last.
		{"the cap shared over two boxes", colony("S4", double...), Rule{}, sixty, 66.25, 50, []float64{21, 29},
			[]float64{0, 0, 2, 3, 4, 4, 4, 3, 1, 0, 0}, []Draw{{50, 0}}},
		{"three fillings of a small syringe", colony("S4", double...), Rule{}, twenty, 66.25, 50, []float64{21, 29},
			nil, []Draw{{20, 0}, {20, 0}, {10, 0}}},
		// 3¼ seams are 16.25 mL: 6½ half squeezes of 2.5 mL, a tie, so 6 of them: 3
		// squeezes. By quarters 0.46, 1.38, 1.85, 1.38, 0.92: 3 rounded down, 3 to the
		// 0.92, 0.85 and 0.46.
		{"half squeezes", colony("R8", []hive.Seam{0, 1, 3, 4, 3, 2, 0}), Rule{}, bulb, 16.25, 15, []float64{15},
			[]float64{0, 2.5, 2.5, 5, 2.5, 2.5, 0}, []Draw{{15, 3}}},
		{"whole shots", colony("R8", []hive.Seam{0, 1, 3, 4, 3, 2, 0}), Rule{}, gun, 16.25, 15, []float64{15},
			[]float64{0, 0, 5, 5, 5, 0, 0}, []Draw{{15, 3}}},
		// 30 mL at 3 mL a second: 10 s.
		{"seconds of spray", colony("R1", six), Rule{}, sprayer, 30, 30, []float64{30}, nil, []Draw{{30, 10}}},
		{"flat 50 on four seams", colony("R4", []hive.Seam{0, 4, 4, 4, 4}), Rule{Flat: 50}, sixty, 50, 50,
			[]float64{50}, []float64{0, 13, 13, 12, 12}, []Draw{{50, 0}}},
		{"nobody home", colony("R9", []hive.Seam{0, 0, 0}), Rule{}, sixty, 0, 0, []float64{0}, []float64{0, 0, 0}, nil},
	} {
		got, err := Dose([]hive.Colony{c.colony}, c.rule, nil, c.with, 35)
		if err != nil {
			t.Fatalf("%s: %v", c.name, err)
		}
		d := got[0]
		if float64(d.Asked) != c.asked || float64(d.Given) != c.want {
			t.Errorf("%s: asked %v, given %v; want %v, %v", c.name, d.Asked, d.Given, c.asked, c.want)
		}
		for i, b := range d.Boxes {
			if float64(b.Given) != c.boxes[i] {
				t.Errorf("%s: box %d gets %v, want %v", c.name, i, b.Given, c.boxes[i])
			}
		}
		if c.gaps != nil && !slices.Equal(amounts(d.Boxes[0]), c.gaps) {
			t.Errorf("%s: gaps %v, want %v", c.name, amounts(d.Boxes[0]), c.gaps)
		}
		if !slices.Equal(d.Draws, c.draws) {
			t.Errorf("%s: draws %v, want %v", c.name, d.Draws, c.draws)
		}
	}
}

func TestSeamMilligrams(t *testing.T) {
	// A flat 50 mL of 59.2 g/L on four seams: 50·59.2/4 = 740 mg in each.
	four := colony("R4", []hive.Seam{0, 4, 4, 4, 4})
	got, _ := Dose([]hive.Colony{four}, Rule{Flat: 50}, nil, sixty, 59.2)
	if math.Abs(float64(got[0].SeamMilli)-740) > 1e-9 {
		t.Errorf("got %v mg a seam, want 740", got[0].SeamMilli)
	}
	// 53 quarters share 50 mL of 35 g/L: 1750 mg over 13¼ seams is 132.1 mg.
	big := colony("S4", []hive.Seam{4, 4, 4, 4, 4, 4, 4}, []hive.Seam{4, 4, 4, 4, 4, 4, 1})
	got, _ = Dose([]hive.Colony{big}, Rule{}, nil, sixty, 35)
	if math.Abs(float64(got[0].SeamMilli)-132.075) > 0.001 {
		t.Errorf("got %v mg a seam, want 132.08", got[0].SeamMilli)
	}
}

func TestNucs(t *testing.T) {
	nuc := colony("K1", []hive.Seam{0, 4, 4, 4, 0, 0})
	nuc.Nuc = true
	for _, c := range []struct {
		rule Rule
		want float64
	}{
		{Rule{Flat: 50}, 15}, // nucs by seam even where the full-size get a flat dose
		{Rule{NucFlat: 12}, 12},
		{Rule{Flat: 50, NucFlat: 25}, 25},
	} {
		got, err := Dose([]hive.Colony{nuc}, c.rule, nil, sixty, 35)
		if err != nil || float64(got[0].Given) != c.want {
			t.Errorf("%+v: got %v, %v; want %v", c.rule, got, err, c.want)
		}
	}
}

func TestLabelCard(t *testing.T) {
	card := &Card{Rows: []CardRow{{7000, 20}, {15000, 40}, {0, 54}}}
	colonies := []hive.Colony{
		colony("A", []hive.Seam{4, 4, 4, 0}),                                // 6,600 bees
		colony("B", []hive.Seam{4, 4, 4, 1, 0}),                             // 7,150 bees
		colony("C", []hive.Seam{4, 4, 4, 4, 4, 4, 4, 0}, []hive.Seam{4, 0}), // 17,600 bees
	}
	got, err := Dose(colonies, Rule{}, card, sixty, 0)
	if err != nil {
		t.Fatal(err)
	}
	for i, want := range []float64{20, 40, 54} { // the label overrides the protocol's cap of 50
		if float64(got[i].Given) != want {
			t.Errorf("%s: got %v mL, want %v", got[i].Name, got[i].Given, want)
		}
	}
	closed := &Card{Rows: []CardRow{{7000, 20}}}
	if row, beyond := closed.row(9000); row != 0 || !beyond {
		t.Error("a colony beyond the table takes the last row and says so")
	}
	falling := &Card{Rows: []CardRow{{7000, 20}, {5000, 40}}}
	_, err = Dose(colonies, Rule{}, falling, sixty, 0)
	expectFault(t, err, "hold.card.rows[1].up_to_bees", fault.NotRising)
}

func TestCalibrate(t *testing.T) {
	// Ten shots of 5 mL: 50 g of water at 0.9982 is 5.009 mL each; 62 g of the label
	// litre, 1235 g in 998.68 mL, so 1.23663 g/mL, is 5.0136 mL each.
	water, _ := Calibrate(10, 50, Calibrated(true, 0))
	syrup, _ := Calibrate(10, 62, Calibrated(false, Protocols[1].Recipe.Strength()))
	if math.Abs(float64(water)-5.009) > 0.001 || math.Abs(float64(syrup)-5.0136) > 0.0005 {
		t.Errorf("got %v, %v", water, syrup)
	}
	_, err := Calibrate(0, 50, 1)
	expectFault(t, err, "shots", fault.TooLow)
	_, err = Calibrate(10, 900, 1)
	expectFault(t, err, "grams", fault.TooHigh)
}

func expectFault(t *testing.T, err error, field string, reason fault.Reason) {
	t.Helper()
	var l fault.List
	if !errors.As(err, &l) {
		t.Errorf("want %s at %s, got %v", reason, field, err)
		return
	}
	for _, f := range l {
		if f.Field == field && f.Reason == reason {
			return
		}
	}
	t.Errorf("want %s at %s, got %v", reason, field, l)
}

func warned(notes []note.Note, code note.Code) bool {
	return slices.ContainsFunc(notes, func(n note.Note) bool { return n.Code == code && n.Warn })
}

// A label's table is never exceeded, whatever the applicator.
func FuzzLabel(f *testing.F) {
	f.Add([]byte{0, 3, 4, 4, 4, 2}, uint8(1), 12.0, 2.5)
	f.Fuzz(func(t *testing.T, raw []byte, device uint8, dose, unit float64) {
		if len(raw) < 2 || len(raw) > hive.MaxFrames+1 {
			t.Skip()
		}
		seams := make([]hive.Seam, len(raw))
		for i, q := range raw {
			seams[i] = hive.Seam(q % 5)
		}
		a := Applicator{Device: []Device{Syringe, Bulb, Gun, Sprayer}[device%4], Size: 20, Unit: chem.Millilitres(unit)}
		card := &Card{Rows: []CardRow{{0, chem.Millilitres(dose)}}}
		bySeam := Rule{Label: true}
		for _, c := range []*Card{card, nil} {
			got, err := Dose([]hive.Colony{colony("F", seams)}, bySeam, c, a, 20)
			if err != nil {
				continue
			}
			if got[0].Given > got[0].Dose+1e-6 {
				t.Errorf("%v mL given where the label says %v", got[0].Given, got[0].Dose)
			}
		}
	})
}

// Whatever the seams, rule and applicator: gaps add up to boxes, boxes and
// draws to the colony, and nothing goes over the cap or into an empty gap.
func FuzzDose(f *testing.F) {
	f.Add([]byte{0, 3, 4, 4, 4, 2}, []byte{4, 4, 4, 4, 4, 4, 4, 4}, uint8(0), 5.0, 50.0, 0.0, 0.0)
	f.Add([]byte{1}, []byte{}, uint8(3), 5.0, 50.0, 50.0, 1.7)
	f.Add([]byte{4, 4, 4, 4, 4, 4}, []byte{4, 4, 4, 4, 4, 4, 4, 4}, uint8(1), 5.0, 49.0, 0.0, 4.4)
	f.Fuzz(func(t *testing.T, low, high []byte, device uint8, perSeam, limit, flat, unit float64) {
		c := hive.Colony{Name: "F"}
		for _, raw := range [][]byte{low, high} {
			if len(raw) < 2 || len(raw) > hive.MaxFrames+1 {
				continue
			}
			seams := make([]hive.Seam, len(raw))
			for i, q := range raw {
				seams[i] = hive.Seam(q % 5)
			}
			c.Boxes = append(c.Boxes, hive.Box{Kind: hive.Deep, Slots: hive.Combs(len(raw) - 1), Seams: seams})
		}
		a := Applicator{Device: []Device{Syringe, Bulb, Gun, Sprayer}[device%4], Size: 20, Unit: chem.Millilitres(unit)}
		r := Rule{FullSeam: new(chem.Millilitres(perSeam)), Cap: new(chem.Millilitres(limit)), Flat: chem.Millilitres(flat)}
		got, err := Dose([]hive.Colony{c}, r, nil, a, 35)
		if err != nil {
			var l fault.List
			if !errors.As(err, &l) || l[0].Field == "" {
				t.Fatalf("an error without a field: %v", err)
			}
			return
		}
		d := got[0]
		same := func(what string, sum chem.Millilitres, whole chem.Millilitres) {
			if math.Abs(float64(sum-whole)) > 1e-5 {
				t.Errorf("%s add up to %v, shown %v", what, sum, whole)
			}
		}
		boxes, drawn := chem.Millilitres(0), chem.Millilitres(0)
		for _, b := range d.Boxes {
			boxes += b.Given
			gaps := chem.Millilitres(0)
			for _, g := range b.Gaps {
				gaps += g.Given
				if g.Given > 0 && g.Seam == 0 {
					t.Errorf("%v into a gap without bees", g.Given)
				}
			}
			same("gaps", gaps, b.Given)
		}
		for _, w := range d.Draws {
			drawn += w.Volume
		}
		same("boxes", boxes, d.Given)
		same("draws", drawn, d.Given)
		mg, notes := 0.0, DoseNotes(got, r, a, 35)
		for _, b := range d.Boxes {
			for _, g := range b.Gaps {
				mg += float64(g.OAD)
				if r.Flat == 0 && g.Given > r.Seam()+1e-6 && !warned(notes, NoteSteps) {
					t.Errorf("%v mL into a gap, over a full seam's %v, without a warning", g.Given, r.Seam())
				}
				if g.OAD > SeamHigh && !warned(notes, NoteSeamHigh) {
					t.Errorf("%v mg into a gap without a warning", g.OAD)
				}
			}
		}
		if math.Abs(mg-35*float64(d.Given)) > 1e-3 {
			t.Errorf("gaps show %v mg, given are %v", mg, 35*float64(d.Given))
		}
		if d.Given > MostColony || d.Strongest() > seamMost*(1+1e-9) {
			t.Errorf("%v mL, %v mg in a seam pass", d.Given, d.Strongest())
		}
		if r.Flat > 0 && d.Given > r.Flat+1e-6 {
			t.Errorf("%v mL given for a flat %v", d.Given, r.Flat)
		}
		if d.Given > r.Most()+1e-6 {
			t.Errorf("%v mL given over a cap of %v", d.Given, r.Most())
		}
	})
}

// 22 quarters below and 31 above ask 66.25 mL; 50 are given, 20.75 and 29.25 of them
// with the boxes parted. From above the 31 of the topmost alone are dosed, 38.75 mL,
// and 5½ seams below are not reached. A box without bees on top does not count, and a
// single box is the same either way.
func TestFromAbove(t *testing.T) {
	low, high := []hive.Seam{0, 0, 2, 4, 4, 4, 4, 3, 1, 0, 0}, []hive.Seam{0, 1, 3, 4, 4, 4, 4, 4, 4, 3, 0}
	none := make([]hive.Seam, 11)
	above := Rule{}
	above.FromAbove = true
	for _, c := range []struct {
		colony  hive.Colony
		rule    Rule
		boxes   []float64
		reached int
	}{
		{colony("D", low, high), Rule{}, []float64{20.75, 29.25}, 53},
		{colony("D", low, high), above, []float64{0, 38.75}, 31},
		{colony("D", low, high, none), above, []float64{0, 38.75, 0}, 31},
		{colony("S", low), above, []float64{27.5}, 22},
		{colony("E", none, none), above, []float64{0, 0}, 0},
	} {
		doses, err := Dose([]hive.Colony{c.colony}, c.rule, nil, fine, 35)
		if err != nil {
			t.Fatal(err)
		}
		if doses[0].Reached != c.reached {
			t.Errorf("%s: %d quarters are reached, want %d", c.colony.Name, doses[0].Reached, c.reached)
		}
		for i, want := range c.boxes {
			b := doses[0].Boxes[i]
			sum := 0.0
			for _, g := range amounts(b) {
				sum += g
			}
			if math.Abs(float64(b.Given)-want) > 1e-9 || math.Abs(sum-want) > 1e-9 {
				t.Errorf("%s %v: box %d gets %v in gaps of %v, want %v", c.colony.Name, c.rule.FromAbove, i, b.Given, sum, want)
			}
		}
	}
}

// Nine seams below and one above: 5 mL, 175 mg in the one gap that is reached, nine
// seams are named, and a flat 50 mL there is 1,752 mg of the label litre: refused, with
// 1500/35.046 = 42.8 mL as what could be.
func TestFromAboveOneSeamOverNine(t *testing.T) {
	nine := []hive.Seam{0, 4, 4, 4, 4, 4, 4, 4, 4, 4, 0}
	one := make([]hive.Seam, 11)
	one[5] = 4
	r := quiet()
	r.Colonies, r.Rule.FromAbove = []hive.Colony{colony("S4", nine, one)}, true
	p, err := New(r)
	if err != nil {
		t.Fatal(err)
	}
	d := p.Doses[0]
	gap := d.Boxes[1].Gaps[5]
	if d.Given != 5 || gap.Given != 5 || math.Abs(float64(gap.OAD)-175.23) > 0.01 || d.PerSeam != 5 || d.SeamMilli != gap.OAD {
		t.Errorf("got %v mL, %v mL and %v mg in the gap, %v mL a seam", d.Given, gap.Given, gap.OAD, d.PerSeam)
	}
	n := p.Notes[slices.IndexFunc(p.Notes, func(n note.Note) bool { return n.Code == NoteBelow })]
	if !n.Warn || n.Figures[0] != 9 || n.Colonies[0] != "S4" {
		t.Errorf("nine seams below are not named: %+v", n)
	}
	r.Rule.Flat = 50
	_, err = New(r)
	expectFault(t, err, "rule.flat_ml", fault.TooStrong)
	if l := err.(fault.List); math.Abs(l[0].High-42.80) > 0.01 {
		t.Errorf("what could be is %v mL", l[0].High)
	}
}

// A label's dose, a flat one and a nuc's are never rounded up; a label's seams add up
// to no more than its dose; a protocol's seams round to nearest, a tie down.
func TestWhichWayDosesRound(t *testing.T) {
	nuc := colony("K1", []hive.Seam{0, 4, 4, 4, 0})
	nuc.Nuc = true
	full := colony("R1", []hive.Seam{0, 4, 4, 4, 4, 0})
	half := colony("R2", []hive.Seam{0, 4, 4, 2, 0}) // 2½ seams: 12.5 mL
	card := &Card{Rows: []CardRow{{0, 12}}}
	label := Rule{Label: true}
	for _, c := range []struct {
		name   string
		colony hive.Colony
		rule   Rule
		card   *Card
		with   Applicator
		given  float64
		short  float64
	}{
		{"label 12 mL, half squeezes of 2.5", full, Rule{}, card, bulb, 10, 2},
		{"label 12 mL, whole mL", full, Rule{}, card, sixty, 12, 0},
		{"flat 24 mL, half squeezes", full, Rule{Flat: 24}, nil, bulb, 22.5, 1.5},
		{"nuc 12 mL, half squeezes", nuc, Rule{NucFlat: 12}, nil, bulb, 10, 2},
		{"label 12.5 mL by the seam, whole mL", half, label, nil, sixty, 12, 0.5},
		{"protocol 12.5 mL by the seam, a tie", half, Rule{}, nil, sixty, 12, 0},
		{"protocol 12.5 mL by the seam, shots of 3 mL", half, Rule{}, nil, Applicator{Device: Gun, Unit: 3}, 12, 0},
		{"label 12.5 mL by the seam, shots of 5 mL", half, label, nil, gun, 10, 2.5},
	} {
		got, err := Dose([]hive.Colony{c.colony}, c.rule, c.card, c.with, 35)
		if err != nil || float64(got[0].Given) != c.given || math.Abs(float64(got[0].Short)-c.short) > 1e-9 {
			t.Errorf("%s: %v mL, %v short, %v; want %v, %v", c.name, got[0].Given, got[0].Short, err, c.given, c.short)
		}
	}
	_, err := Dose([]hive.Colony{full}, Rule{}, nil, Applicator{Device: Syringe, Size: 60, Unit: 6}, 35)
	expectFault(t, err, "applicator.unit_ml", fault.TooHigh)
	_, err = Dose([]hive.Colony{full}, Rule{}, nil, Applicator{Device: Gun, Unit: 6}, 35)
	expectFault(t, err, "applicator.unit_ml", fault.TooHigh)
}
