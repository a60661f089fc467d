package strip

import (
	"errors"
	"math"
	"math/rand/v2"
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
		t.Errorf("%s: got %.4f, want %.4f ± %g", what, got, want, tolerance)
	}
}

// forty is 40 strips of 20 g by the trade's pot, in glycerol of 99.5 %.
func forty() Request {
	return Request{
		Aim: Aim{Protocol: "two-to-three"}, Glycerol: 0.995, Heat: 70,
		Layout: Layout{Carrier: Fibre}, Number: new(DefaultNumber), Uptake: 20,
		Size: Size{By: SizeStrips, Strips: 40}, Headroom: new(chem.Share(0.3)), Balance: mixing.Balance{Division: 1},
	}
}

func plan(t *testing.T, change func(*Request)) Plan {
	t.Helper()
	r := forty()
	if change != nil {
		change(&r)
	}
	p, err := New(r)
	if err != nil {
		t.Fatal(err)
	}
	return p
}

// 750 mL of 99.5 % are 945 g; the acid's share is 500/1445 = 0.34602. Of 800 g
// that is 276.82 g, and 523.18 g of glycerol are 415.22 mL; liquor 415.22 + 0.65 ×
// 276.82 = 595.15 mL, a third more is 773.7.
func TestPotForStrips(t *testing.T) {
	p := plan(t, func(r *Request) {
		r.Jig = Jig{Slots: 3, Most: 8}
		r.Prices = Prices{AcidKg: 12, GlycerolL: 5, Strip: 0.1}
	})
	near(t, "acid", float64(p.Acid), 276.82, 0.01)
	near(t, "glycerol", float64(p.Glycerol), 523.18, 0.01)
	near(t, "poured", float64(p.Pour), 415.22, 0.01)
	near(t, "liquor", float64(p.Volume), 595.15, 0.02)
	near(t, "a strip", float64(p.PieceOAD), 6.920, 0.001)
	near(t, "left", float64(p.Leftover), 0, 1e-6)
	near(t, "pot", float64(p.Vessel), 1000, 0)
	// 124.3 × 276.82 / (2.6 × 523.18 + 1.3 × 276.82): the trade's 20 °C.
	near(t, "dip", float64(p.Dip), 20.0, 0.05)
	// 40 in two soaks of three slots: four slots of 7 and two of 6.
	if p.Bundles != (Bundles{Soaks: 2, Fuller: 4, More: 7, Slots: 2, Less: 6}) {
		t.Errorf("bundles: %+v", p.Bundles)
	}
	// 3.322 + 2.076 + 4.
	near(t, "cost", p.Cost.Total, 9.398, 0.001)
	near(t, "cost of a strip", p.PieceCost, 0.2349, 0.0001)
	if len(p.Notes) > 0 || len(p.Lines) != 2 || p.Lines[1].Gear == nil || p.Lines[0].Gear != nil {
		t.Errorf("notes %v, lines %+v", p.Notes, p.Lines)
	}
}

// The table of protocols: its strength with strong and with weak glycerol, and where
// a liquor stands among them.
func TestProtocols(t *testing.T) {
	for _, c := range []struct {
		id           string
		strong, weak float64 // % acid with glycerol of 99.5 and of 86 %
		volume       float64 // mL with 99.5 %
	}{
		{"two-to-three", 34.602, 35.149, 1075}, // 500/1445; 500/1422.5; 750 + 325
		{"one-to-one", 50, 50, 721.83},         // 500/1.26 + 325
	} {
		s, ok := Find(c.id)
		if !ok {
			t.Fatalf("no %s", c.id)
		}
		near(t, c.id, 100*float64(Strength(s.Recipe.Made(0.995))), c.strong, 0.001)
		near(t, c.id+" in weak glycerol", 100*float64(Strength(s.Recipe.Made(0.86))), c.weak, 0.001)
		near(t, c.id+" volume", float64(chem.LiquorVolume(s.Recipe.Made(0.995))), c.volume, 0.01)
	}
	for percent, want := range map[chem.Share][2]string{
		0.30: {"", "two-to-three"}, 0.346: {"two-to-three", "one-to-one"}, 0.45: {"two-to-three", "one-to-one"},
		0.498: {"one-to-one", ""}, 0.6: {"one-to-one", ""},
	} {
		if below, above := Standing(percent, 0.995); [2]string{below, above} != want {
			t.Errorf("%v stands between %q and %q", percent, below, above)
		}
	}
}

func TestSizes(t *testing.T) {
	for _, c := range []struct {
		name                   string
		change                 func(*Request)
		acid, glycerol, liquor float64
		strips                 int
	}{
		// 500 g acid: the whole recipe, 1445 g, 72 strips, 5 g left.
		{"acid in hand", func(r *Request) { r.Size = Size{By: SizeAcid, Acid: 500} }, 500, 945, 1445, 72},
		{"glycerol in hand", func(r *Request) { r.Size = Size{By: SizeGlycerol, Glycerol: 1500} }, 1000, 1890, 2890, 144},
		{"half the recipe", func(r *Request) { r.Size = Size{By: SizeTimes, Times: 0.5} }, 250, 472.5, 722.5, 36},
		{"a pot of 1075 mL", func(r *Request) { r.Size = Size{By: SizeVolume, Volume: 1075} }, 500, 945, 1445, 72},
		// 120 mL of 1445/1075 g/mL must stay: 161.3 g; (1445 − 161.3)/20 = 64.2.
		{"liquor that stays", func(r *Request) { r.Size, r.Stays = Size{By: SizeAcid, Acid: 500}, 120 }, 500, 945, 1445, 64},
		{"ten strips and what stays", func(r *Request) { r.Size.Strips, r.Stays = 10, 120 }, 125.02, 236.28, 361.30, 10},
		// 86 %: 750 mL weigh 922.5 g; 500/1422.5 = 0.35149 of 800 g.
		{"weak glycerol", func(r *Request) { r.Glycerol = 0.86 }, 281.20, 518.80, 800, 40},
		{"one to one", func(r *Request) { r.Aim.Protocol = "one-to-one" }, 400, 400, 800, 40},
		{"own, by weight", func(r *Request) { r.Aim = Aim{Recipe: Recipe{OAD: 30, Glycerol: 50}} }, 300, 500, 800, 40},
		{"12 colonies with 3 each", func(r *Request) { r.Size = Size{By: SizeCount, Colonies: 12, Each: 3} }, 249.13, 470.87, 720, 36},
		// 200 g of 40 % bring 80 g acid.
		{"carried, stronger", func(r *Request) { r.Carried = Carried{200, 0.40, 0.01} }, 196.82, 403.18, 800, 40},
		// All of 200 g of 34.602 % and 500 g new: (500 + 69.204)/0.34602.
		{"carried, and all the acid", func(r *Request) {
			r.Size, r.Carried = Size{By: SizeAcid, Acid: 500}, Carried{200, 500.0 / 1445, 0.003}
		}, 500, 945, 1645, 82},
	} {
		p := plan(t, c.change)
		near(t, c.name+": acid", float64(p.Acid), c.acid, 0.01)
		near(t, c.name+": glycerol", float64(p.Glycerol), c.glycerol, 0.01)
		near(t, c.name+": liquor", float64(p.Liquor.Mass()), c.liquor, 0.02)
		if p.Strips != c.strips {
			t.Errorf("%s: %d strips, want %d", c.name, p.Strips, c.strips)
		}
	}
}

// A colony of six seams gets two strips, of 6.92 g acid each.
func TestColonies(t *testing.T) {
	p := plan(t, func(r *Request) {
		r.Size = Size{By: SizeColonies}
		r.Colonies = []hive.Colony{
			{Name: "K1", Boxes: []hive.Box{cluster(10, 2, 7)}},
			{Name: "K2", Boxes: []hive.Box{cluster(10, 2, 7), cluster(10, 3, 6)}},
		}
		r.Placed = [][][]int{nil, {{3}, {4, 6}}}
	})
	if p.Strips != 5 || p.Served != 2 {
		t.Errorf("%d strips for %d", p.Strips, p.Served)
	}
	near(t, "K1", float64(p.Colonies[0].OAD), 13.841, 0.001)
	near(t, "K2, upper box", float64(p.Colonies[1].Boxes[1].OAD), 13.841, 0.001)
	near(t, "liquor", float64(p.Liquor.Mass()), 100, 1e-9)
}

func TestNotes(t *testing.T) {
	hives := func(b hive.Box) func(*Request) {
		return func(r *Request) {
			r.Colonies = []hive.Colony{{Name: "K1", Boxes: []hive.Box{b}}}
		}
	}
	for _, c := range []struct {
		name    string
		change  func(*Request)
		code    note.Code
		figures []float64
	}{
		{"weaker than every protocol", func(r *Request) { r.Aim = Aim{Recipe: Recipe{OAD: 300, Glycerol: 700}} }, NoteWeak, []float64{30, 34.602}},
		{"stronger than every protocol", func(r *Request) { r.Aim = Aim{Recipe: Recipe{OAD: 104, Glycerol: 100}} }, NoteStrong, []float64{50.98, 50}},
		{"a thirsty strip", func(r *Request) { r.Uptake = 25 }, NoteUptake, []float64{25, 22}},
		{"a hot pot", func(r *Request) { r.Heat = 75 }, NoteHot, []float64{75, 70}},
		{"carried of another strength", func(r *Request) { r.Carried = Carried{100, 0.4, 0} }, NoteCarried, []float64{40, 34.602}},
		{"a coarse balance", func(r *Request) { r.Size.Strips, r.Balance.Division = 2, 1 }, NoteBalance, []float64{1, 0.0361}}, // 13.84 g
		{"no room", func(r *Request) { hives(cluster(10, 4, 6))(r); r.Number = &Number{By: PerColony, Each: 5} }, NoteGaps, []float64{5, 2}},
		{"the rule's most", func(r *Request) { hives(cluster(12, 0, 12))(r) }, NoteMost, []float64{5, 4}}, // 13 seams ask 5.2
		{"bees at the wall", hives(cluster(10, 0, 0)), NoteNoGap, []float64{1, 0}},
		{"nobody looked", func(r *Request) { hives(cluster(10, 1, 0))(r); r.Number = &Number{By: PerBox, Each: 2} }, NoteUnlooked, nil},
		{"no bees", hives(cluster(10, 1, 0)), NoteNoBees, nil},
		{"by hand, close", func(r *Request) { hives(cluster(10, 3, 7))(r); r.Placed = [][][]int{{{4, 5}}} }, NoteClose, nil},
		{"by hand, outside", func(r *Request) { hives(cluster(10, 3, 7))(r); r.Placed = [][][]int{{{1}}} }, NoteOutside, nil},
		// 6 strips of 6.92 g are 41.5 g in one box, 11 in two boxes 76.1 g in the colony.
		{"much for a box", func(r *Request) {
			hives(cluster(12, 0, 12))(r)
			r.Number = &Number{By: PerColony, Each: 6}
		}, NoteBoxHigh, []float64{41.522, 36}},
		{"much for a box, by hand", func(r *Request) {
			hives(cluster(12, 0, 12))(r)
			r.Placed = [][][]int{{{1, 3, 5, 7, 9, 11}}}
		}, NoteBoxHigh, []float64{41.522, 36}},
		{"much for a colony, by count", func(r *Request) { r.Size = Size{By: SizeCount, Colonies: 2, Each: 11} }, NoteHiveHigh, []float64{76.12, 72}},
		// 86 %: 800 g take 523.2 g of it, of which 14 % are water.
		{"glycerol with water", func(r *Request) { r.Glycerol, r.Aim = 0.86, Aim{Recipe: Recipe{OAD: 500, Glycerol: 945}} }, NoteWater, []float64{14, 73.25}},
		{"fewer strips than the hives ask for", func(r *Request) {
			hives(cluster(10, 2, 7))(r)
			r.Size.Strips = 1
		}, NoteShort, []float64{2, 1}},
		// 7 g acid make 20.2 g liquor: one strip.
		{"the acid does not reach", func(r *Request) {
			hives(cluster(10, 2, 7))(r)
			r.Size = Size{By: SizeAcid, Acid: 7}
		}, NoteShort, []float64{2, 1}},
	} {
		p := plan(t, c.change)
		found := false
		for _, n := range p.Notes {
			if n.Code != c.code {
				continue
			}
			found = true
			for i, want := range c.figures {
				near(t, c.name, n.Figures[i], want, 0.005)
			}
		}
		if !found {
			t.Errorf("%s: no %s among %v", c.name, c.code, p.Notes)
		}
	}
}

// Strips of 6.92 g: 17 are 117.6 g, 18 more than the 120 g that a box may get, whoever
// placed them and however strong the liquor; what is named as possible passes.
func TestTooMuchAcidIsRefused(t *testing.T) {
	r := forty()
	r.Colonies = []hive.Colony{{Name: "K1", Boxes: []hive.Box{cluster(20, 0, 20), cluster(20, 0, 20)}}}
	for field, change := range map[string]func(*Request, int){
		"number.each": func(r *Request, n int) {
			if n == 0 {
				n = 40
			}
			r.Number = &Number{By: PerColony, Each: n}
		},
		"colonies[0].placed": func(r *Request, n int) {
			if n == 0 {
				n = 20
			}
			gaps := make([]int, n)
			for i := range gaps {
				gaps[i] = i
			}
			r.Placed = [][][]int{{gaps}}
		},
		"number.most_per_box": func(r *Request, n int) { r.Number = &Number{By: PerBees, Frames: 0.5, Most: &n} },
		"size.each": func(r *Request, n int) {
			if n == 0 {
				n = 40
			}
			r.Size = Size{By: SizeCount, Colonies: 2, Each: float64(n)}
		},
	} {
		at := r
		at.Uptake = 40
		change(&at, 0)
		_, err := New(at)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != field || l[0].Reason != fault.TooStrong {
			t.Errorf("%s: %v", field, err)
			continue
		}
		change(&at, int(l[0].High))
		if _, err := New(at); err != nil {
			t.Errorf("%s: %v is named and refused: %v", field, l[0].High, err)
		}
	}
	r.Uptake = 400 // 138 g in one strip
	_, err := New(r)
	if l, ok := err.(fault.List); !ok || l[0].Field != "uptake_g" || math.Abs(l[0].High-346.8) > 0.1 {
		t.Errorf("a strip of 138 g: %v", err)
	}
	// The same where strips are laid that were made before.
	at := forty()
	at.Colonies, at.Number = r.Colonies, &Number{By: PerColony, Each: 40}
	if _, _, err := Lay(at, 13.8); err == nil {
		t.Error("40 strips of 13.8 g are laid")
	}
}

// A warning that always stands is none: every shipped number at a usual strip, on 2 to
// 10 seams in one box of 8 to 12 combs, and two sponges a box of 50 g liquor.
func TestUsualNumbersAreQuiet(t *testing.T) {
	for combs := 8; combs <= 12; combs++ {
		for seams := 2; seams <= 10 && seams < combs; seams++ {
			for _, sponge := range []bool{false, true} {
				r := forty()
				r.Balance.Division, r.Size = 0.1, Size{By: SizeColonies}
				box := hive.Box{Kind: hive.Deep, Slots: hive.Combs(combs)}
				box.Seams = box.Cluster(4 * seams)
				r.Colonies = []hive.Colony{{Name: "K1", Boxes: []hive.Box{box}}}
				if sponge {
					r.Aim, r.Layout, r.Number, r.Uptake = Aim{Protocol: "one-to-one"}, Layout{Carrier: Sponge}, &Number{By: PerBox, Each: SpongesPerBox}, 50
				}
				p, err := New(r)
				if err != nil {
					t.Fatal(err)
				}
				for _, n := range p.Notes {
					if n.Warn && !(sponge && n.Code == NoteGaps && seams == 2) {
						t.Errorf("%d seams in %d combs, sponges %v: %+v", seams, combs, sponge, n)
					}
				}
			}
		}
	}
}

// Acid is shown to the division of the balance, however much it is.
func TestAcidIsShownToTheDivision(t *testing.T) {
	p := plan(t, func(r *Request) { r.Balance = mixing.Balance{Division: 0.1, Capacity: 200} })
	acid := p.Lines[len(p.Lines)-1]
	near(t, "acid of 276.82 g", float64(acid.Show), 276.8, 1e-9)
	near(t, "in loads", float64(acid.Each*chem.Grams(acid.Loads-1)+acid.Last), 276.8, 1e-9)
}

func TestRefused(t *testing.T) {
	for _, c := range []struct {
		name   string
		change func(*Request)
		field  string
		reason fault.Reason
		high   float64
	}{
		{"glycerol below 86 %", func(r *Request) { r.Glycerol = 0.8 }, "glycerol_percent", fault.TooLow, 99.5},
		{"zero strips", func(r *Request) { r.Size.Strips = 0 }, "size.strips", fault.TooLow, MaxStrips},
		{"no uptake", func(r *Request) { r.Uptake = 0 }, "uptake_g", fault.Missing, 346.8},
		{"a pot on the boil", func(r *Request) { r.Heat = 90 }, "warm_to_c", fault.TooHigh, 77},
		{"nobody gets any", func(r *Request) { r.Size.By = SizeColonies }, "colonies", fault.Missing, 0},
		// 500 g to 250 g: at most 1.1 of 250.
		{"upside down", func(r *Request) { r.Aim = Aim{Recipe: Recipe{OAD: 500, Glycerol: 250}} }, "recipe.oad_g", fault.UpsideDown, 275},
		{"both ways", func(r *Request) { r.Aim = Aim{Recipe: Recipe{OAD: 50, Glycerol: 75, Volume: 75}} }, "recipe.glycerol_ml", fault.NotFitting, 0},
		{"more carried than the pot", func(r *Request) { r.Carried = Carried{900, 0.3460208, 0} }, "carried.grams", fault.Overfull, 800},
		// All the acid of the pot, 276.82 g, is in 553.6 g of 50 %.
		{"carried too strong", func(r *Request) { r.Carried = Carried{600, 0.5, 0} }, "carried.grams", fault.Overfull, 553.63},
		// 523.18 g that are not acid are in 654 g of 20 %.
		{"carried too weak", func(r *Request) { r.Carried = Carried{700, 0.2, 0} }, "carried.grams", fault.Overfull, 653.98},
		// 10 g acid lift x g of 30 % to 34.602 % in (10 + 0.3 x)/0.34602 g; no new
		// glycerol is left at x = 10 × 0.65398/0.04602.
		{"too little acid for what is carried", func(r *Request) {
			r.Size, r.Carried = Size{By: SizeAcid, Acid: 10}, Carried{300, 0.3, 0}
		}, "carried.grams", fault.Overfull, 142.1},
	} {
		r := forty()
		c.change(&r)
		_, err := New(r)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != c.field || l[0].Reason != c.reason {
			t.Errorf("%s: got %v", c.name, err)
			continue
		}
		near(t, c.name, l[0].High, c.high, 0.05)
		if c.reason == fault.Overfull { // what is said to be possible is possible
			r.Carried.Mass = chem.Grams(0.99 * l[0].High)
			if _, err := New(r); err != nil {
				t.Errorf("%s: %v g is offered and refused: %v", c.name, r.Carried.Mass, err)
			}
		}
	}
}

// However many strips, slots and strips a slot: every strip has its slot, no slot
// has more than it takes, and no two differ by more than one.
func TestBundlesHoldEveryStrip(t *testing.T) {
	for strips := 1; strips <= 130; strips++ {
		for slots := 1; slots <= 12; slots++ {
			for most := 0; most <= 9; most++ {
				b := Jig{Slots: slots, Most: most}.bundle(strips)
				held, used := b.Fuller*b.More+b.Slots*b.Less, b.Fuller+b.Slots
				switch {
				case held != strips:
					t.Fatalf("%d strips in %d slots of %d: %+v holds %d", strips, slots, most, b, held)
				case used > b.Soaks*slots || b.Soaks < 1:
					t.Fatalf("%d strips in %d slots of %d: %+v uses %d slots", strips, slots, most, b, used)
				case most > 0 && max(b.More, b.Less) > most:
					t.Fatalf("%d strips in %d slots of %d: %+v is too full", strips, slots, most, b)
				case b.Fuller > 0 && b.More != b.Less+1:
					t.Fatalf("%d strips in %d slots of %d: %+v is uneven", strips, slots, most, b)
				case most > 0 && (b.Soaks-1)*slots*most >= strips:
					t.Fatalf("%d strips in %d slots of %d: %+v soaks once too often", strips, slots, most, b)
				}
			}
		}
	}
	if (Jig{}).bundle(40) != (Bundles{}) || (Jig{Slots: 4}).bundle(0) != (Bundles{}) {
		t.Error("no jig or no strips, and still bundles")
	}
}

// The pot is the next that is sold, never one that the hot liquor would fill.
func TestVessel(t *testing.T) {
	for want, volume := range map[chem.Millilitres]chem.Millilitres{250: 1, 1000: 999.9, 1500: 1000.1, 250000: 249999, 300000: 300000} {
		if got := vessel(volume); got != want {
			t.Errorf("%v mL go into %v mL, want %v", volume, got, want)
		}
	}
}

// Chains of twenty pots, each topped up with what the last one left: all acid and
// all glycerol that was bought is in the strips or in the last rest, to 0.1 g.
func TestChainOfPots(t *testing.T) {
	random := rand.New(rand.NewPCG(4, 12))
	for range 200 {
		r := forty()
		r.Glycerol = chem.Share(0.86 + 0.135*random.Float64())
		var acid, glycerol, inStrips, restOfStrips chem.Grams
		var last Plan
		for range 20 {
			r.Aim = Aim{Recipe: Recipe{OAD: chem.Grams(50 + 40*random.Float64()), Glycerol: 100}}
			r.Uptake = chem.Grams(5 + 30*random.Float64())
			r.Stays = chem.Millilitres(150 * random.Float64())
			r.Size = Size{By: SizeStrips, Strips: 30 + random.IntN(300)}
			p, err := New(r)
			var l fault.List
			if errors.As(err, &l) && l[0].Field == "carried.grams" { // a larger pot takes it
				r.Size = Size{By: SizeTimes, Times: 40}
				p, err = New(r)
			}
			if err != nil {
				t.Fatal(err)
			}
			acid, glycerol = acid+p.Acid, glycerol+p.Glycerol
			taken := chem.Grams(p.Strips) * r.Uptake
			inStrips += taken * chem.Grams(p.Strength)
			restOfStrips += taken * chem.Grams(1-p.Strength)
			r.Carried = Carried{p.Leftover, p.Strength, p.Liquor.Share(p.Liquor.Water)}
			last = p
		}
		left := last.Leftover * chem.Grams(last.Strength)
		near(t, "acid", float64(inStrips+left), float64(acid), 0.1)
		near(t, "glycerol and its water", float64(restOfStrips+last.Leftover-left), float64(glycerol), 0.1)
	}
}

// Whatever is asked, a plan that is given balances: what goes in is what it holds, with
// the crystal water of anhydrous acid beside it. No box gets over 120 g of acid and no
// colony over 300, and none over 36 or 72 unsaid.
func FuzzPot(f *testing.F) {
	f.Add("strips", 40.0, 20.0, 0.346, 200.0, 0.4, 120.0, 0.995, 4, false)
	f.Add("acid", 500.0, 6.0, 0.5, 0.0, 0.0, 0.0, 0.86, 40, true)
	f.Add("volume", 900.0, 30.0, 0.4, 700.0, 0.2, 50.0, 0.9, 11, false)
	f.Fuzz(func(t *testing.T, by string, amount, uptake, share, carried, ac, stays, glycerol float64, each int, anhydrous bool) {
		r := forty()
		r.Colonies = []hive.Colony{{Name: "K1", Boxes: []hive.Box{cluster(12, 0, 12), cluster(12, 0, 12)}}}
		r.Number = &Number{By: PerColony, Each: each}
		if anhydrous {
			r.Basis = chem.Anhydrous
		}
		r.Aim = Aim{Recipe: Recipe{OAD: chem.Grams(1000 * share), Glycerol: chem.Grams(1000 * (1 - share))}}
		r.Uptake, r.Stays, r.Glycerol = chem.Grams(uptake), chem.Millilitres(stays), chem.Share(glycerol)
		r.Carried = Carried{chem.Grams(carried), chem.Share(ac), 0.02}
		r.Size = Size{
			By: SizeBy(by), Strips: int(min(max(amount, -1), 1e6)), Acid: chem.Grams(amount),
			Glycerol: chem.Millilitres(amount), Times: amount, Volume: chem.Millilitres(amount),
		}
		p, err := New(r)
		if err != nil {
			return
		}
		all := float64(p.Acid + p.Glycerol + r.Carried.Mass)
		near(t, "what goes in", all/float64(p.Liquor.Mass()), 1, 1e-6)
		near(t, "strength", float64(p.Strength), share, 1e-4)
		if r.Size.By == SizeVolume {
			near(t, "volume", float64(p.Volume)/amount, 1, 1e-3)
		}
		if p.Acid < 0 || p.Glycerol < 0 || p.Strips < 0 || math.IsNaN(float64(p.Volume)) || p.Vessel < p.Volume {
			t.Errorf("got %+v", p)
		}
		weighed := chem.Grams(0)
		for _, l := range p.Lines {
			weighed += l.Mass
		}
		near(t, "weighed", float64(weighed)/float64(p.Liquor.Mass()), 1, 1e-6)
		said := func(code note.Code) bool {
			return slices.ContainsFunc(p.Notes, func(n note.Note) bool { return n.Code == code })
		}
		for _, c := range p.Colonies {
			box := c.fullest()
			if box > 120 || c.OAD > 300 || box > 36 && !said(NoteBoxHigh) || c.OAD > 72 && !said(NoteHiveHigh) {
				t.Errorf("%v g in a box, %v g in the colony, %v", box, c.OAD, p.Notes)
			}
		}
	})
}
