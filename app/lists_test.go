package app

import (
	"errors"
	"slices"
	"testing"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

var fourCombs = []wire.HiveBox{{Kind: "deep", Slots: []string{"comb", "comb", "comb", "comb"}}}

// Several hives come at once or not at all, in their order behind those that stand there; sent
// twice they come once.
func TestSeveralHivesAtOnce(t *testing.T) {
	d := own(t, Settings{})
	y := yard(t, d, "A")
	colony(t, d, y, "A1")
	hive := func(name string) wire.SaveColony {
		return wire.SaveColony{ID: uuid.NewString(), Name: name, Boxes: fourCombs}
	}
	in := wire.SaveColonies{YardID: y, Colonies: []wire.SaveColony{hive("A2"), hive("A3"), hive("A1")}}
	_, err := d.AddColonies(t.Context(), in)
	at(t, "a name that is taken", err, "colonies[2].name", fault.Taken)
	if got, err := d.Yard(t.Context(), y); err != nil || len(got.Stands) != 1 {
		t.Fatalf("a part of them came: %+v %v", got.Stands, err)
	}
	in.Colonies[2] = hive("A4")
	for range 2 {
		got, err := d.AddColonies(t.Context(), in)
		if err != nil {
			t.Fatal(err)
		}
		var names []string
		for _, s := range got.Stands {
			names = append(names, s.Name)
		}
		if !slices.Equal(names, []string{"A1", "A2", "A3", "A4"}) {
			t.Errorf("they stand as %v", names)
		}
	}
	in.Colonies = []wire.SaveColony{hive("A5"), {ID: uuid.NewString(), Name: " "}}
	_, err = d.AddColonies(t.Context(), in)
	at(t, "one without a name and boxes", err, "colonies[1].name", fault.Missing)
}

// A hive that ended is listed on demand, with why; not among those that stand.
func TestClosedHives(t *testing.T) {
	d := own(t, Settings{})
	y := yard(t, d, "A")
	c := colony(t, d, y, "A1")
	if _, err := d.End(t.Context(), c.ID, wire.End{Reason: "robbed out", Version: c.Version}); err != nil {
		t.Fatal(err)
	}
	got, err := d.Closed(t.Context(), y)
	if err != nil || len(got.Hives) != 1 || got.Hives[0].Name != "A1" || got.Hives[0].EndReason != "robbed out" || got.Hives[0].EndedOn == "" {
		t.Errorf("got %+v %v", got, err)
	}
	if _, err := d.Closed(t.Context(), uuid.NewString()); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("of nobody's yard: %v", err)
	}
}

// A job that is over is put away and taken out again; one that is open stays where it is seen.
func TestArchivedJobs(t *testing.T) {
	v := goOut(t, "winter")
	id := v.job
	list := func(archived bool) int {
		jobs, err := v.d.Jobs(t.Context(), archived, false)
		if err != nil {
			t.Fatal(err)
		}
		return len(jobs.Jobs)
	}
	_, err := v.d.ArchiveJob(t.Context(), id, wire.ArchiveJob{Archived: true})
	at(t, "an open job", err, "archived", fault.NotFitting)
	if _, err := v.d.EndJob(t.Context(), id, wire.EndJob{How: "cancelled"}); err != nil {
		t.Fatal(err)
	}
	for _, put := range []bool{true, true, false} {
		got, err := v.d.ArchiveJob(t.Context(), id, wire.ArchiveJob{Archived: put})
		if err != nil || got.Archived != put {
			t.Fatalf("got %+v %v", got, err)
		}
		if all, left := list(true), list(false); all != 1 || left != map[bool]int{true: 0, false: 1}[put] {
			t.Errorf("put away %v: %d of %d are listed", put, left, all)
		}
	}
}

// The register is searched by hive, product and rule; what stands for other letters in a
// database stands for itself.
func TestRegisterIsSearched(t *testing.T) {
	v := goOut(t, "winter")
	v.givesAll(outOn)
	for find, want := range map[string]int{"": 2, "a1": 1, "A": 0, "permit": 2, "100%": 0, "_": 0, "nobody": 0} {
		got, err := v.d.Register(t.Context(), RegisterQuery{Find: find})
		if err != nil || len(got.Lines) != want {
			t.Errorf("%q finds %d lines, want %d %v", find, len(got.Lines), want, err)
		}
	}
}
