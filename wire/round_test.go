package wire

import (
	"keeler/core/chem"
	"keeler/core/method/dribble"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
	"keeler/core/treatment"
	"reflect"
	"testing"
)

// What was told of a line comes back as it was; what cannot be read leaves the rest.
func TestDetailOfALine(t *testing.T) {
	a := Application{ApplicationDetail: ApplicationDetail{
		Boxes: []float64{12, 18}, Seams: [][]float64{{0, 1, 0.5}, {0, 0, 0}}, Extras: []string{"hefted"}, Came: 3, Missing: 1, Chewed: 2, Note: " quiet hive ", Close: true,
	}}
	raw, err := a.Kept()
	if err != nil {
		t.Fatal(err)
	}
	got := ApplicationOf(raw, Application{ID: "x", Amount: 30})
	a.ID, a.Amount, a.Note = "x", 30, "quiet hive"
	if !reflect.DeepEqual(got, a) {
		t.Errorf("got %+v, want %+v", got, a)
	}
	if got = ApplicationOf([]byte(`{"boxes":"many"}`), Application{ID: "x"}); got.ID != "x" || got.Boxes != nil {
		t.Errorf("got %+v", got)
	}
}

// A typed count is drawn from the middle outwards: in four combs, gap 2 first, then 1, 3. A box
// that nobody named is empty.
func TestDrawnHive(t *testing.T) {
	deep := HiveBox{Kind: "deep", Slots: []string{"comb", "comb", "comb", "comb"}}
	for typed, want := range map[string][][]float64{
		"2½": {{0, 1, 1, 0.5, 0}, {0, 0, 0, 0, 0}}, "1+¼": {{0, 0, 1, 0, 0}, {0, 0, 0.25, 0, 0}}, " 5+0 ": {{1, 1, 1, 1, 1}, {0, 0, 0, 0, 0}},
	} {
		got, err := DrawHive(CountedHive{Typed: typed, Boxes: []HiveBox{deep, deep}})
		if err != nil || !reflect.DeepEqual(got.Board, want) {
			t.Errorf("%q: %v %v", typed, got.Board, err)
		}
	}
	for _, typed := range []string{"", "6 7", "1+1+1", "6", "six", "-1", "1.3"} {
		if got, err := DrawHive(CountedHive{Typed: typed, Boxes: []HiveBox{deep, deep}}); err == nil {
			t.Errorf("%q is taken for %v", typed, got.Board)
		}
	}
}

// A recipe without its colonies leaves the one it came from as it is, and says what a
// colony gets at most, how many it is for, and what is worn to give it.
func TestRecipesInTheYard(t *testing.T) {
	hive := Colony{Name: "A", Boxes: []Box{{Kind: "deep", Frames: 2}}}
	for _, c := range []struct {
		name     string
		recipe   Recipe
		capML    float64
		colonies int
		gear     string
	}{
		{"dribble", Recipe{Dribble: &DribbleRequest{Colonies: []Colony{hive}}}, 50, 1, "nitrile_gloves"},
		{"lower cap", Recipe{Dribble: &DribbleRequest{Request: dribble.Request{Rule: Rule{Cap: new(chem.Millilitres(40))}, Mean: &Mean{Colonies: 8, Seams: 52}}}}, 40, 8, "nitrile_gloves"},
		{"by a label", Recipe{Dribble: &DribbleRequest{Request: dribble.Request{Hold: Hold{Kind: "ready_to_use", Card: &Card{}}, Size: Size{Colonies: 3}}}}, 0, 3, "nitrile_gloves"},
		{"strips", Recipe{Strip: &StripRequest{Colonies: []StripColony{{Colony: hive}}}}, 0, 1, "nitrile_gloves"},
		{"strips by count", Recipe{Strip: &StripRequest{Request: strip.Request{Size: StripSize{Colonies: 9}}}}, 0, 9, "nitrile_gloves"},
		{"pads", Recipe{Pad: &PadRequest{Colonies: []Colony{hive}}}, 0, 1, "butyl_gloves"},
		{"pads by a mean", Recipe{Pad: &PadRequest{Request: pad.Request{Mean: &PadMean{Colonies: 7}}}}, 0, 7, "butyl_gloves"},
	} {
		got := c.recipe.Giving()
		if got.CapML != c.capML || got.Gear[0] != c.gear {
			t.Errorf("%s: %+v", c.name, got)
		}
		if of, err := c.recipe.Core(); err != nil || of.Colonies() != c.colonies {
			t.Errorf("%s: for %d %v", c.name, of.Colonies(), err)
		}
		bare := c.recipe.Bare()
		if d := bare.Dribble; d != nil && (d.Colonies != nil || c.name == "dribble" && len(c.recipe.Dribble.Colonies) != 1) {
			t.Errorf("%s: %+v", c.name, d)
		}
		if s := bare.Strip; s != nil && s.Colonies != nil {
			t.Errorf("%s: %+v", c.name, s)
		}
		if p := bare.Pad; p != nil && p.Colonies != nil {
			t.Errorf("%s: %+v", c.name, p)
		}
	}
	if got, err := Lasts(LastsRequest{Left: 100, Expected: []float64{30, 28, 35, 20, 46}}); err != nil || got != (treatment.Lasting{Colonies: 3, Short: 59}) {
		t.Errorf("%+v %v", got, err)
	}
	for _, unit := range [][2]string{{"tablets", "pieces"}, {"carrier", "pieces"}, {"ready_pads", "pieces"}, {"product", "ml"}, {"acid", "g"}, {"formic", "g"}} {
		if got := LotUnit(unit[0]); got != unit[1] {
			t.Errorf("%s in %s", unit[0], got)
		}
	}
}
