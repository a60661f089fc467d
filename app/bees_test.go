package app

import (
	"slices"
	"testing"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/wire"
)

// reasonsOf are what the matrix says of a colony by a method.
func reasonsOf(t *testing.T, d Desk, colony string, method int) []string {
	t.Helper()
	m, err := d.Decide(t.Context(), Question{})
	if err != nil {
		t.Fatal(err)
	}
	for _, y := range m.Yards {
		for _, c := range y.Colonies {
			if c.ID == colony {
				return codes(m, c.Cells[method])
			}
		}
	}
	return nil
}

// After a change of the bees what was seen before no longer counts, on the matrix and on
// the bench; after an inspection it does again. A move, and a feeder in a box, keep it.
func TestBeesChanged(t *testing.T) {
	for _, c := range []struct {
		what   string
		change func(d Desk, id, yard string) error
		code   string
	}{
		{"swarmed", func(d Desk, id, _ string) error {
			_, err := d.Happened(t.Context(), id, wire.HappenColony{Kind: "swarmed"})
			return err
		}, "changed_swarmed"},
		{"split", func(d Desk, id, _ string) error {
			_, err := d.Split(t.Context(), id, wire.Split{Child: wire.SaveColony{Name: "Child", Boxes: stack(t, "deep 5")}})
			return err
		}, "changed_split"},
		{"a box given", func(d Desk, id, _ string) error { return d.boxes(t, id, "deep 4 + deep 4", "") }, "changed_boxes"},
		{"another queen", func(d Desk, id, _ string) error { return d.boxes(t, id, "deep 4", "young") }, "changed_queen"},
		{"a feeder put in", func(d Desk, id, _ string) error { return d.boxes(t, id, "deep cccf", "") }, ""},
		{"moved", func(d Desk, id, to string) error {
			_, err := d.Move(t.Context(), id, wire.Move{YardID: to, Version: 1})
			return err
		}, ""},
	} {
		d, _, hives := ready(t, 5)
		to := yard(t, d, "Elsewhere")
		if _, err := d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{{ID: uuid.NewString(), ColonyID: hives[0], On: "2026-12-03", Queen: "laying"}}}); err != nil {
			t.Fatal(err)
		}
		if err := c.change(d, hives[0], to); err != nil {
			t.Fatalf("%s: %v", c.what, err)
		}
		got := reasonsOf(t, d, hives[0], 0)
		if c.code == "" && (slices.Contains(got, "brood_unseen") || !slices.Contains(got, "broodless")) || c.code != "" && (!slices.Contains(got, c.code) || !slices.Contains(got, "brood_unseen")) {
			t.Errorf("%s: %v, want %q", c.what, got, c.code)
		}
		whole, err := d.Colony(t.Context(), hives[0])
		if err != nil || (whole.Seen.Board != nil) != (c.code == "") || (whole.Changed != "") != (c.code != "") {
			t.Errorf("%s: seams %v, changed %q, %v", c.what, whole.Seen.Board, whole.Changed, err)
		}
	}
}

func (d Desk) boxes(t *testing.T, id, hive, queen string) error {
	t.Helper()
	c, err := d.Colony(t.Context(), id)
	if err != nil {
		return err
	}
	if queen != "" { // known to be laying before
		if _, err = d.ChangeColony(t.Context(), id, wire.SaveColony{Name: c.Name, Boxes: c.Boxes, Queen: "laying", Version: c.Version}); err != nil {
			return err
		}
		c.Version++
	}
	_, err = d.ChangeColony(t.Context(), id, wire.SaveColony{Name: c.Name, Boxes: stack(t, hive), Queen: queen, Version: c.Version})
	return err
}

// United with one that has brood, a broodless colony has brood until somebody looks.
func TestUnitedTakesTheWorse(t *testing.T) {
	d, _, hives := ready(t, 5)
	_, err := d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{{ID: uuid.NewString(), ColonyID: hives[1], Brood: "much"}}})
	if err != nil {
		t.Fatal(err)
	}
	if _, err := d.End(t.Context(), hives[1], wire.End{Into: hives[0], Version: 1}); err != nil {
		t.Fatal(err)
	}
	if got := reasonsOf(t, d, hives[0], 0); !slices.Contains(got, "brood_present") || !slices.Contains(got, "changed_joined") || !slices.Contains(got, "stores_light") {
		t.Errorf("got %v", got)
	}
	no := false
	_, err = d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{{
		ID: uuid.NewString(), ColonyID: hives[0], Board: [][]float64{{0, 1, 1, 1, 0}}, Brood: "none", Eggs: &no, Larvae: &no, Stores: "enough",
	}}})
	if err != nil {
		t.Fatal(err)
	}
	if got := reasonsOf(t, d, hives[0], 0); slices.Contains(got, "changed_joined") || !slices.Contains(got, "broodless") {
		t.Errorf("looked at: %v", got)
	}
}

// A queen caged on 5 November: workers are out on the 26th, drones on the 29th; released
// on 1 December, new caps are expected from the 10th. The window is told.
func TestBroodBreakIsTold(t *testing.T) {
	d, _, hives := ready(t, 5)
	happened := func(kind, on string) wire.ColonyWhole {
		t.Helper()
		c, err := d.Happened(t.Context(), hives[0], wire.HappenColony{Kind: kind, On: on})
		if err != nil {
			t.Fatal(err)
		}
		return c
	}
	c := happened("queen_caged", "2026-11-05")
	if b := c.Break; b == nil || b.StoppedOn != "2026-11-05" || b.From != "2026-11-29" || b.To != "" {
		t.Errorf("caged: %+v", c.Break)
	}
	c = happened("queen_released", "2026-12-01")
	if b := c.Break; b == nil || b.ResumedOn != "2026-12-01" || b.To != "2026-12-09" || c.Events[0].Kind != "queen_released" {
		t.Errorf("released: %+v", c.Break)
	}
	if got := reasonsOf(t, d, hives[0], 0); !slices.Contains(got, "break_window") {
		t.Errorf("looked inside it on 3 December: %v", got)
	}
	_, err := d.Happened(t.Context(), hives[0], wire.HappenColony{Kind: "flew off"})
	refused(t, err, "kind", fault.Unknown)
	_, err = d.Happened(t.Context(), hives[0], wire.HappenColony{Kind: "swarmed", On: "2026-12-05"})
	refused(t, err, "on", fault.Future)
}

// The deepest cluster can be set for a yard; near the equator no season is assumed.
func TestYardsOwnSeason(t *testing.T) {
	d, id, hives := ready(t, 5)
	y, err := d.Yard(t.Context(), id)
	if err != nil || y.DeepFrom != "12-01" || y.DeepTo != "01-10" {
		t.Fatalf("by the latitude: %+v %v", y.Yard, err)
	}
	latitude := 57.5
	save := wire.SaveYard{Name: y.Name, Latitude: &latitude, DeepFrom: "12-20", DeepTo: "01-05", Version: 1}
	if y, err = d.ChangeYard(t.Context(), id, save); err != nil || y.DeepFrom != "12-20" {
		t.Fatalf("%+v %v", y.Yard, err)
	}
	if got := reasonsOf(t, d, hives[0], 0); !slices.Contains(got, "brood_soon") { // open brood was not looked for
		t.Errorf("on 4 December it is not deep here: %v", got)
	}
	save.DeepTo, save.Version = "soon", 2
	_, err = d.ChangeYard(t.Context(), id, save)
	refused(t, err, "deep_from", fault.NoSpan)
	latitude, save.DeepFrom, save.DeepTo = 12, "", ""
	if _, err = d.ChangeYard(t.Context(), id, save); err != nil {
		t.Fatal(err)
	}
	if got := reasonsOf(t, d, hives[0], 0); !slices.Contains(got, "no_season") {
		t.Errorf("at 12°: %v", got)
	}
	if m, err := d.Decide(t.Context(), Question{}); err != nil || m.Yards[0].Season != "none" {
		t.Errorf("%+v %v", m.Yards, err)
	}
}

// A wash of 5 in 300 cannot tell, and more bees would; 9 of 300 is over, and a second
// count would tell more.
func TestCountsAreActedOn(t *testing.T) {
	d, id, hives := ready(t, 5)
	told := func(mites int, on string) wire.Standing {
		t.Helper()
		book, err := d.Count(t.Context(), wire.MiteCounts{Counts: []wire.MiteCount{{ID: uuid.NewString(), ColonyID: hives[0], Kind: "wash", Mites: mites, Bees: 300, On: on}}})
		if err != nil {
			t.Fatal(err)
		}
		return *book.Counts[0].Standing
	}
	if s := told(5, "2026-12-03"); s.Stands != "cannot_tell" || s.Enough != 330 {
		t.Errorf("5 of 300: %+v", s)
	}
	if s := told(9, "2026-12-04"); s.Stands != "over" || !s.Straddles {
		t.Errorf("9 of 300: %+v", s)
	}
	y, err := d.Yard(t.Context(), id)
	if err != nil || y.Over != 1 || y.Stands[0].Need != "treat" || y.Stands[1].Need != "with_yard" {
		t.Errorf("%+v %v", y, err)
	}
}
