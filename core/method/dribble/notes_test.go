package dribble

import (
	"math"
	"slices"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/mixing"
	"keeler/core/note"
)

// quiet is a plan that nothing is said against: 500 mL of the label litre for
// one colony of six seams, on a balance that reads 0.1 g.
func quiet() Request {
	return Request{
		Hold:       Hold{Kind: Crystals, Share: 1},
		Aim:        Aim{By: ByProtocol, Protocol: "label-litre"},
		Size:       Size{By: SizeVolume, Volume: 500},
		Colonies:   []hive.Colony{colony("R1", []hive.Seam{0, 4, 4, 4, 4, 4, 4, 0})},
		Applicator: &Applicator{Device: Syringe, Size: 60, Dead: new(chem.Millilitres)},
	}.Settled()
}

func free(gPerL float64) Aim {
	return Aim{By: ByValue, Value: gPerL, Form: chem.PerLitre, Basis: chem.Dihydrate}
}

// Each case changes one thing in the quiet plan, and must bring its one note.
func TestNotes(t *testing.T) {
	thirteen := []hive.Seam{4, 4, 4, 4, 4, 4, 4, 4, 4, 4, 4, 4, 4}
	for _, c := range []struct {
		name    string
		change  func(*Request)
		code    note.Code
		warn    bool
		figures []float64 // to half a unit of their last place here
		who     []string
	}{
		{"weaker than every protocol", func(r *Request) { r.Aim = free(25) }, NoteWeak, true, []float64{25, 30.14}, nil},
		{"stronger than every protocol", func(r *Request) { r.Aim = free(60) }, NoteStrong, true, []float64{60, 59.49}, nil},
		// 60 g/L: 35.5 g OAA per litre in water of 1 : 1 syrup, saturated near 13 °C.
		{"crystals in fridge and yard", func(r *Request) { r.Aim = free(59); r.Fridge, r.Yard = new(chem.Celsius(8)), new(chem.Celsius(10)) }, NoteCrystals, true, []float64{12.5, 1, 1}, nil},
		{"crystals in the yard alone", func(r *Request) { r.Aim = free(59); r.Fridge = new(chem.Celsius(20)) }, NoteCrystals, true, []float64{12.5, 0, 1}, nil},
		{"a sweet syrup", func(r *Request) { r.SugarRatio, r.Fridge, r.Yard = 1.6, new(chem.Celsius(10)), new(chem.Celsius(10)) }, NoteRatio, true, []float64{1.6}, nil},
		// 500/998.68 of 35 g is 17.52 g, read as 18: half a gram on it is 2.8 %.
		{"a coarse balance", func(r *Request) { r.Balance.Division = 1 }, NoteBalance, true, []float64{1, 0.0278}, nil},
		{"a raised cap", func(r *Request) { r.Rule.Cap = new(chem.Millilitres(60)) }, NoteBigCap, true, []float64{60, 50}, nil},
		// 13 seams ask 65 mL.
		{"the cap bites", func(r *Request) { r.Colonies[0] = colony("S4", thirteen) }, NoteCap, false, []float64{65, 50}, []string{"S4"}},
		// A flat 50 mL on two seams: 25 mL, 876 mg in each.
		{"a flat dose on few seams", func(r *Request) {
			r.Rule.Flat = 50
			r.Colonies[0] = colony("R4", []hive.Seam{0, 4, 4, 0})
		}, NoteSeamHigh, true, []float64{876, 330}, []string{"R4"}},
		// 20 seams share 50 mL: 2.5 mL, 87.6 mg in each.
		{"too little for very many seams", func(r *Request) {
			r.Colonies[0] = colony("S9", thirteen, thirteen[:7])
		}, NoteSeamLow, true, []float64{87.6, 110}, []string{"S9"}},
		// A quarter seam asks 1.25 mL, half of a half squeeze: a tie, so nothing.
		{"steps too coarse", func(r *Request) {
			r.Applicator = &Applicator{Device: Bulb}
			r.Colonies[0] = colony("K1", []hive.Seam{0, 1, 0})
		}, NoteSteps, true, []float64{2.5, 1}, []string{"K1"}},
		// Shots of 3.2 mL: two of them are 6.4 in a full seam, 28 % more than 5.
		{"a full seam more than a fifth off", func(r *Request) { r.Applicator = &Applicator{Device: Gun, Unit: 3.2} },
			NoteSteps, true, []float64{3.2, 0.28}, []string{"R1"}},
		// 12 mL by the label are 4 half squeezes and 2 mL short.
		{"a label's dose that the bulb cannot give", func(r *Request) {
			r.Applicator = &Applicator{Device: Bulb}
			r.Hold = Hold{Kind: ReadyToUse, Card: &Card{Actives: []Active{{Oxalic, 35, chem.Dihydrate}}, Rows: []CardRow{{0, 12}}}}
		}, NoteUnder, true, []float64{2, 10, 0}, []string{"R1"}},
		// 35 g of pure powder made up to half a litre are 70 g/L: by its own label.
		{"a packet made up as its label says", func(r *Request) {
			r.Hold = Hold{Kind: Packet, Grams: 35, Share: 1, MadeUpTo: 500}
			r.Aim, r.Fridge, r.Yard = Aim{By: ByPacket}, new(chem.Celsius(20)), new(chem.Celsius(20))
		}, NoteLabel, false, []float64{70, 59.49}, nil},
		{"an acid that is not counted", func(r *Request) {
			r.Hold = Hold{Kind: ReadyToUse, Card: &Card{Actives: []Active{{Oxalic, 35, chem.Dihydrate}, {OtherAcid, 5, ""}}, Rows: []CardRow{{0, 30}}}}
		}, NoteOther, true, nil, nil},
		{"nobody home", func(r *Request) { r.Colonies = append(r.Colonies, colony("R9", []hive.Seam{0, 0})) }, NoteNoBees, false, nil, []string{"R9"}},
		{"runs short", func(r *Request) { r.Size.Volume = 29; r.Balance.Division = 0.01 }, NoteShort, true, []float64{30, 29}, nil},
		// 17.52 g wanted, 10 held.
		{"holding too little", func(r *Request) { r.Hold.Grams = 10 }, NoteHolding, true, []float64{7.52}, nil},
		// 17.52 g wanted: 4 tablets of 4 g make 32 g/L, 8.7 % less.
		{"tablets far from the mark", func(r *Request) { r.Hold = Hold{Kind: Tablets, Grams: 4, Share: 1} }, NoteTablets, true, []float64{32, 35.05}, nil},
		// 17.52 g wanted: 18 tablets of 1 g make 36 g/L, 2.7 % more.
		{"tablets near the mark", func(r *Request) { r.Hold = Hold{Kind: Tablets, Grams: 1, Share: 1} }, NoteTablets, false, []float64{36, 35.05}, nil},
		{"a colony beyond the card", func(r *Request) {
			r.Hold = Hold{Kind: ReadyToUse, Card: &Card{Actives: []Active{{Oxalic, 35, chem.Dihydrate}}, Rows: []CardRow{{9000, 30}}}}
		}, NoteBeyond, true, []float64{13200, 30}, []string{"R1"}},
		{"a card without oxalic acid", func(r *Request) {
			r.Hold = Hold{Kind: ReadyToUse, Card: &Card{Actives: []Active{{Formic, 35, ""}}, Rows: []CardRow{{0, 30}}}}
		}, NoteNoOxalic, false, nil, nil},
	} {
		r := quiet()
		c.change(&r)
		p, err := New(r)
		if err != nil {
			t.Errorf("%s: %v", c.name, err)
			continue
		}
		i := slices.IndexFunc(p.Notes, func(n note.Note) bool { return n.Code == c.code })
		if i < 0 {
			t.Errorf("%s: no %s among %v", c.name, c.code, p.Notes)
			continue
		}
		n := p.Notes[i]
		if n.Warn != c.warn || !slices.Equal(n.Colonies, c.who) {
			t.Errorf("%s: got %+v", c.name, n)
		}
		for k, want := range c.figures {
			if got := n.Figures[k]; got < want*0.995-1e-9 || got > want*1.005+1e-9 {
				t.Errorf("%s: figure %d is %v, want %v", c.name, k, got, want)
			}
		}
		// Only what was changed is spoken of.
		if len(p.Notes) > 1 && c.code != NoteCrystals && c.code != NoteStrong && c.code != NoteNoBees && c.code != NoteSeamLow && c.code != NoteBigCap {
			t.Errorf("%s: more than one note: %+v", c.name, p.Notes)
		}
	}
}

func TestQuietPlanIsQuiet(t *testing.T) {
	p, err := New(quiet())
	if err != nil || len(p.Notes) != 0 {
		t.Errorf("got %v %v", p.Notes, err)
	}
}

// A mean obeys the rule as hives that were looked at do. Of 8 colonies at 50 mL flat 32 seams get 400 mL, with
// a tenth and 10 mL that stay in the syringe and the jar 450; that is 50 mL on 4 seams, 12.5 mL of 35 g/L
// each, 438 mg. The mean is said to hide the cap where it lies within two seams of it.
func TestMean(t *testing.T) {
	label := &Card{Actives: []Active{{Acid: Oxalic, Strength: 35, Basis: chem.Dihydrate}}, Rows: []CardRow{{UpTo: 9000, Volume: 20}, {Volume: 40}}}
	for _, c := range []struct {
		name     string
		seams    float64
		colonies int
		change   func(*Request)
		given    chem.Millilitres
		made     chem.Millilitres
		note     note.Code
	}{
		{"6.5 seams", 52, 8, func(*Request) {}, 260, 286, ""},
		{"9 seams, near the cap", 72, 8, func(*Request) {}, 360, 396, NoteMean},
		{"15 seams: no more than 8 × 50", 120, 8, func(*Request) {}, 400, 440, ""},
		{"flat on 4 seams", 32, 8, func(r *Request) { r.Rule.Flat = 50; r.Applicator.Dead = new(chem.Millilitres(10)) }, 400, 450, NoteSeamHigh},
		{"flat on 9 seams", 72, 8, func(r *Request) { r.Rule.Flat = 50 }, 400, 440, ""},
		// 4 seams are 8,800 bees, the first row; 5 are 11,000, the second.
		{"a label's first row", 32, 8, func(r *Request) { r.Hold = Hold{Kind: ReadyToUse, Card: label} }, 160, 176, ""},
		{"its second", 40, 8, func(r *Request) { r.Hold = Hold{Kind: ReadyToUse, Card: label} }, 320, 352, ""},
	} {
		r := quiet()
		r.Colonies, r.Mean = nil, &Mean{Seams: c.seams, Colonies: c.colonies}
		r.Size = Size{By: SizeSeams, Reserve: new(chem.Share(0.1))}
		c.change(&r)
		p, err := New(r)
		if err != nil {
			t.Errorf("%s: %v", c.name, err)
			continue
		}
		if p.Given != c.given || p.Volume != c.made {
			t.Errorf("%s: %v mL given, %v made, want %v and %v", c.name, p.Given, p.Volume, c.given, c.made)
		}
		codes := []note.Code{}
		for _, n := range p.Notes {
			codes = append(codes, n.Code)
		}
		if c.note == "" && len(codes) > 0 || c.note != "" && !slices.Contains(codes, c.note) {
			t.Errorf("%s: it says %v, want %q", c.name, codes, c.note)
		}
	}
}

func TestCost(t *testing.T) {
	// 17.52 g at 40 a kg is 0.7009; 300.4 g sugar at 2 a kg 0.6008.
	r := quiet()
	r.Prices = Prices{Hold: 40, Sugar: 2}
	p, err := New(r)
	if err != nil || p.Cost.Total < 1.3015 || p.Cost.Total > 1.3019 || p.Cost.PerColony != p.Cost.Total {
		t.Errorf("crystals: got %+v %v", p.Cost, err)
	}
	// 500 mL of a half-litre packet at 6 each: 500/523.64 of one, and no sugar priced.
	r.Hold = Hold{Kind: Packet, Grams: 35, Share: 0.89}
	r.Aim.Protocol = "half-litre-packet"
	r.Prices = Prices{Hold: 6}
	p, err = New(r)
	if err != nil || p.Cost.Total < 5.72 || p.Cost.Total > 5.74 {
		t.Errorf("packet: got %+v %v, want 5.73", p.Cost, err)
	}
	r.Prices = Prices{}
	if p, _ = New(r); p.Cost != nil {
		t.Error("no price, no cost")
	}
}

// A 35 g packet of pure acid, made into a litre of the label litre, needs 35.05 g: no
// thousandth of a packet is missing. Half of what is needed is.
func TestAPacketIsEnoughForItsLitre(t *testing.T) {
	r := quiet()
	r.Hold = Hold{Kind: Packet, Grams: 35, Share: 1, Count: 1}
	r.Size.Volume = 1000
	p, err := New(r)
	if err != nil || *p.Use.Left != 0 || len(p.Notes) > 0 {
		t.Errorf("left %v, notes %v, %v", *p.Use.Left, p.Notes, err)
	}
	r.Size.Volume = 2000
	if p, _ = New(r); !warned(p.Notes, NoteHolding) {
		t.Error("one packet does not make two litres")
	}
}

// 9.18 g OAD of 262 mL are 6.56 g anhydrous, and the 2.62 g of crystal water that it
// lacks go in with the water: 157.41 + 2.62 = 160.04 g.
func TestAnhydrousPowder(t *testing.T) {
	r := quiet()
	r.Hold, r.Size.Volume = Hold{Kind: Crystals, Share: 1, Basis: chem.Anhydrous}, 262
	p, err := New(r)
	if err != nil {
		t.Fatal(err)
	}
	near := func(what string, got chem.Grams, want float64) {
		t.Helper()
		if math.Abs(float64(got)-want) > 0.01 {
			t.Errorf("%s: %v g, want %v", what, got, want)
		}
	}
	near("acid", p.Use.Amount, 6.558)
	near("water", p.Lines[1].Mass+p.Lines[3].Mass, 160.04)
	near("sugar", p.Lines[0].Mass, 157.41)
	if math.Abs(float64(p.Made.Strength())-35.046) > 0.001 {
		t.Errorf("strength %v", p.Made.Strength())
	}
	w, err := Work(r, p, "")
	if err != nil {
		t.Fatal(err)
	}
	var taken []mixing.Taken
	for i, part := range w.Parts {
		for _, line := range p.Lines {
			if slices.Contains(part.Steps, line.Step) {
				taken = append(taken, mixing.Taken{Part: i, Mass: line.Mass})
			}
		}
	}
	if m := w.Made(taken); math.Abs(m.Strength.Value-35.046) > 0.001 || !m.Right() {
		t.Errorf("as weighed it is %+v", m.Strength)
	}
}

// Oxalic 40 g/L as dihydrate and formic 5 g/L in 100 mL: 4 g take 5.331 g of
// bicarbonate, 0.5 g another 0.9126.
func TestBothAcidsOfAProductCount(t *testing.T) {
	r := quiet()
	r.Hold = Hold{Kind: ReadyToUse, Card: &Card{Actives: []Active{{Oxalic, 40, chem.Dihydrate}, {Formic, 5, ""}}, Rows: []CardRow{{0, 30}}}}
	r.Size.Volume = 100
	p, err := New(r)
	if err != nil || p.Holds.OAD != 4 || p.Holds.Formic != 0.5 {
		t.Fatalf("holds %+v, %v", p.Holds, err)
	}
	if got := float64(p.Neutralise.Whole); math.Abs(got-6.244) > 0.001 {
		t.Errorf("bicarbonate %v g, want 6.244", got)
	}
	if !slices.Contains(p.GiveGear, mixing.ButylGloves) {
		t.Errorf("nitrile against formic acid: %v", p.GiveGear)
	}
}

// The basis taken for a purity is asked about, and so is more filler than sugar: 35 g/L
// of a tenth acid would bring 315 g of filler where there are 585 g of sugar, of a
// twentieth 665.
func TestAsksInsteadOfComputingOn(t *testing.T) {
	r := quiet()
	r.Hold.Share = 0.714
	_, err := New(r)
	expectFault(t, err, "hold.oad_percent", fault.BasisShare)
	r.Hold.Sure = true
	if _, err = New(r); err != nil {
		t.Errorf("said to be so: %v", err)
	}
	r.Hold.Share = 0.05
	_, err = New(r)
	expectFault(t, err, "hold.oad_percent", fault.Filler)
	r.Hold.Share = chem.Share(err.(fault.List)[0].Low / 100 * 1.0001)
	if _, err = New(r); err != nil {
		t.Errorf("the range that is named is not accepted: %v", err)
	}
}

// A flat dose beyond sense is refused at its own field, a seam's at its own.
func TestDosesBeyondSenseAreRefused(t *testing.T) {
	r := quiet()
	r.Rule = Rule{Cap: new(chem.Millilitres(100)), Flat: 100}
	r.Colonies[0] = colony("R4", []hive.Seam{0, 4, 0}) // 3,505 mg in one seam
	_, err := New(r)
	expectFault(t, err, "rule.flat_ml", fault.TooStrong)
	r.Hold = Hold{Kind: ReadyToUse, Card: &Card{Actives: []Active{{Oxalic, 400, chem.Dihydrate}}, Rows: []CardRow{{0, 20}}}}
	_, err = New(r) // 8,000 mg
	expectFault(t, err, "hold.card.rows[0].dose_ml", fault.TooStrong)
	r.Hold.Card.Rows[0].Volume = 251
	_, err = New(r)
	expectFault(t, err, "hold.card.rows[0].dose_ml", fault.TooHigh)
}

// A warning that always stands is none: every protocol at its own dose, on 2 to 10 seams
// in one box of 8 to 12 combs, is quiet, on a balance that can weigh it and given as
// warm as it should be. The flat 50 mL warns below six seams of the label litre.
func TestProtocolsAreQuietAtTheirOwnDose(t *testing.T) {
	for _, protocol := range Protocols {
		for combs := 8; combs <= 12; combs++ {
			for quarters := 8; quarters <= 40; quarters++ {
				box := hive.Box{Kind: hive.Deep, Slots: hive.Combs(combs)}
				if box.Seams = box.Cluster(quarters); box.Quarters() < quarters {
					continue
				}
				r := quiet()
				r.Aim.Protocol, r.Size, r.Balance.Division, r.Fridge, r.Yard = protocol.ID, Size{By: SizeSeams, Reserve: new(chem.Share(0.1))}, 0.001, new(chem.Celsius(20)), new(chem.Celsius(20))
				r.Colonies = []hive.Colony{{Name: "Q", Boxes: []hive.Box{box}}}
				p, err := New(r)
				if err != nil || slices.ContainsFunc(p.Notes, func(n note.Note) bool { return n.Warn }) {
					t.Fatalf("%s, %d combs, %d quarters: %v %v", protocol.ID, combs, quarters, p.Notes, err)
				}
				r.Rule.Flat = 50
				if p, err = New(r); err != nil {
					t.Fatal(err)
				}
				if protocol.ID == "label-litre" && quarters%4 == 0 && warned(p.Notes, NoteSeamHigh) != (quarters < 24) {
					t.Errorf("a flat 50 mL on %d quarters: %v", quarters, p.Notes)
				}
			}
		}
	}
}
