package syrup

import (
	"slices"
	"testing"

	"keeler/core/bench"
	"keeler/core/chem"
	"keeler/core/hive"
	"keeler/core/note"
)

// quiet is a plan that nothing is said against: 500 mL of the label litre for
// one colony of six seams, on a balance that reads 0.1 g.
func quiet() Request {
	return Request{
		Hold:       Hold{Kind: Crystals, Share: 1},
		Aim:        Aim{By: BySchool, School: "label-litre"},
		Size:       Size{By: SizeVolume, Volume: 500},
		Colonies:   []hive.Colony{colony("R1", []hive.Seam{0, 4, 4, 4, 4, 4, 4, 0})},
		Rule:       DefaultRule,
		Applicator: Applicator{Device: Syringe, Size: 60},
		Balance:    bench.Balance{Division: 0.1},
		Fridge:     4,
		Yard:       4,
	}
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
		{"weaker than every school", func(r *Request) { r.Aim = free(25) }, NoteWeak, true, []float64{25, 30.14}, nil},
		{"stronger than every school", func(r *Request) { r.Aim = free(60) }, NoteStrong, true, []float64{60, 59.49}, nil},
		// 60 g/L: 35.5 g OAA per litre in water of 1 : 1 syrup, saturated near 13 °C.
		{"crystals in fridge and yard", func(r *Request) { r.Aim = free(59); r.Fridge, r.Yard = 8, 10 }, NoteCrystals, true, []float64{12.5, 1, 1}, nil},
		{"crystals in the yard alone", func(r *Request) { r.Aim = free(59); r.Fridge = 20 }, NoteCrystals, true, []float64{12.5, 0, 1}, nil},
		{"a sweet syrup", func(r *Request) { r.SugarRatio, r.Fridge, r.Yard = 1.6, 10, 10 }, NoteRatio, true, []float64{1.6}, nil},
		// 500/998.68 of 35 g is 17.52 g: one gram on it is 5.7 %.
		{"a coarse balance", func(r *Request) { r.Balance.Division = 1 }, NoteBalance, true, []float64{1, 0.0285}, nil},
		{"a raised cap", func(r *Request) { r.Rule.Cap = 60 }, NoteBigCap, true, []float64{60, 50}, nil},
		// 13 seams ask 65 mL.
		{"the cap bites", func(r *Request) { r.Colonies[0] = colony("S4", thirteen) }, NoteCap, false, []float64{65, 50}, []string{"S4"}},
		// A flat 50 mL on two seams: 25 mL, 876 mg in each.
		{"a flat dose on few seams", func(r *Request) {
			r.Rule.Flat = 50
			r.Colonies[0] = colony("R4", []hive.Seam{0, 4, 4, 0})
		}, NoteSeamHigh, true, []float64{876, 300}, []string{"R4"}},
		// 20 seams share 50 mL: 2.5 mL, 87.6 mg in each.
		{"too little for very many seams", func(r *Request) {
			r.Colonies[0] = colony("S9", thirteen, thirteen[:7])
		}, NoteSeamLow, true, []float64{87.6, 110}, []string{"S9"}},
		// A quarter seam asks 1.25 mL; half squeezes give 2.5: twice as much.
		{"steps too coarse", func(r *Request) {
			r.Applicator = Applicator{Device: Bulb}
			r.Colonies[0] = colony("K1", []hive.Seam{0, 1, 0})
		}, NoteSteps, true, []float64{2.5, 1}, []string{"K1"}},
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
			if got := n.Figures[k]; got < want*0.995 || got > want*1.005 {
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

// The mean hides that some colonies are capped, and says so.
func TestMean(t *testing.T) {
	r := quiet()
	r.Colonies, r.Mean = nil, &Mean{Seams: 52, Colonies: 8}
	r.Size = Size{By: SizeSeams, Reserve: 0.1}
	p, err := New(r)
	if err != nil {
		t.Fatal(err)
	}
	// 260 mL and a tenth, without dead volume.
	if p.Given != 260 || p.Volume != 286 || p.Notes[len(p.Notes)-1].Code != NoteMean {
		t.Errorf("given %v, made %v, notes %v", p.Given, p.Volume, p.Notes)
	}
	// 120 seams in 8 colonies would ask 600 mL; no more than 8 × 50 can be given.
	r.Mean.Seams = 120
	if p, _ = New(r); p.Given != 400 {
		t.Errorf("given %v, want the cap of all, 400", p.Given)
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
	r.Aim.School = "half-litre-packet"
	r.Prices = Prices{Hold: 6}
	p, err = New(r)
	if err != nil || p.Cost.Total < 5.72 || p.Cost.Total > 5.74 {
		t.Errorf("packet: got %+v %v, want 5.73", p.Cost, err)
	}
	r.Prices = Prices{}
	if p, _ = New(r); p.Cost.Known {
		t.Error("no price, no cost")
	}
}
