package store

import (
	"encoding/json"
	"errors"
	"fmt"
	"sync"
	"testing"
	"time"
)

func date(month time.Month, day int) time.Time {
	return time.Date(2026, month, day, 0, 0, 0, 0, time.UTC)
}

// line makes a yard with so many colonies, c0 and on.
func line(t *testing.T, o Operation, yard string, n int) {
	t.Helper()
	colonies := make([]Colony, n)
	for i := range colonies {
		colonies[i] = Colony{ID: id(fmt.Sprint(yard, "-c", i)), YardID: id(yard), Name: fmt.Sprint("C", i), Position: i, StartedOn: date(4, 1), CreatedAt: noon,
			Boxes: []ColonyBox{{Kind: "deep", Slots: "cccc"}, {Kind: "medium", Slots: "ccce"}}}
	}
	err := o.Import(t.Context(), []Yard{{ID: id(yard), Name: "Yard " + yard, Latitude: 57, CreatedAt: noon}}, colonies)
	if err != nil {
		t.Fatal(err)
	}
}

// An import is whole or nothing, boxes and yards too.
func TestImportWhole(t *testing.T) {
	o := operation(t, open(t))
	line(t, o, "a", 3)
	err := o.Import(t.Context(), []Yard{{ID: id("b"), Name: "Yard b", CreatedAt: noon}}, []Colony{
		{ID: id("b-1"), YardID: id("b"), Name: "One", StartedOn: date(4, 1), CreatedAt: noon},
		{ID: id("b-2"), YardID: id("b"), Name: "One", StartedOn: date(4, 1), CreatedAt: noon},
	})
	if !errors.Is(err, ErrTaken) {
		t.Errorf("a name twice in a yard: %v", err)
	}
	yards, err := o.Yards(t.Context())
	if err != nil || len(yards) != 1 {
		t.Errorf("half an import shows: %+v %v", yards, err)
	}
	colonies, err := o.ColoniesIn(t.Context(), id("a"))
	if err != nil || len(colonies) != 3 || len(colonies[2].Boxes) != 2 || colonies[2].Boxes[1].Slots != "ccce" {
		t.Errorf("got %+v %v", colonies, err)
	}
}

// Of many who change one row from the same version, one does.
func TestChangeAtOnce(t *testing.T) {
	o := operation(t, open(t))
	line(t, o, "a", 1)
	var all sync.WaitGroup
	var mu sync.Mutex
	done := 0
	for i := range 6 {
		all.Go(func() {
			err := o.ChangeColony(t.Context(), Colony{ID: id("a-c0"), Name: fmt.Sprint("N", i), Version: 1, Boxes: []ColonyBox{{Kind: "deep", Slots: "cc"}}})
			mu.Lock()
			defer mu.Unlock()
			if err == nil {
				done++
			} else if !errors.Is(err, ErrStale) {
				t.Error(err)
			}
		})
	}
	all.Wait()
	c, err := o.Colony(t.Context(), id("a-c0"))
	if done != 1 || err != nil || c.Version != 2 || len(c.Boxes) != 1 {
		t.Errorf("%d did, %+v %v", done, c, err)
	}
	if err := o.ChangeYard(t.Context(), Yard{ID: id("nowhere"), Version: 1}); !errors.Is(err, ErrNotFound) {
		t.Errorf("a yard that is none: %v", err)
	}
}

// A name is free again once its colony has ended, and its rows stay.
func TestEndFreesTheName(t *testing.T) {
	o := operation(t, open(t))
	line(t, o, "a", 1)
	again := []Colony{{ID: id("new"), YardID: id("a"), Name: "C0", StartedOn: date(5, 1), CreatedAt: noon}}
	if err := o.Import(t.Context(), nil, again); !errors.Is(err, ErrTaken) {
		t.Fatalf("two living of one name: %v", err)
	}
	event := Event{UserID: someone, ID: id("e"), ColonyID: id("a-c0"), Kind: "ended", HappenedOn: date(5, 1), CreatedAt: noon}
	if err := o.End(t.Context(), id("a-c0"), 1, date(5, 1), "Dead", event); err != nil {
		t.Fatal(err)
	}
	if err := o.Import(t.Context(), nil, again); err != nil {
		t.Errorf("the name is not free: %v", err)
	}
	if c, err := o.Colony(t.Context(), id("a-c0")); err != nil || c.EndReason != "Dead" || len(c.Boxes) != 2 {
		t.Errorf("got %+v %v", c, err)
	}
	if living, err := o.ColoniesIn(t.Context(), id("a")); err != nil || len(living) != 1 || living[0].ID != id("new") {
		t.Errorf("got %+v %v", living, err)
	}
	if events, err := o.Events(t.Context(), Among{Colonies: []string{id("a-c0")}}); err != nil || len(events) != 1 {
		t.Errorf("got %+v %v", events, err)
	}
}

// The newest count of each that is not struck out, one a colony; the newest seams;
// what is sent twice counts once.
func TestNewest(t *testing.T) {
	o := operation(t, open(t))
	line(t, o, "a", 2)
	counts := []MiteCount{
		{UserID: someone, ID: id("1"), ColonyID: id("a-c0"), Kind: "wash", Mites: 1, Bees: 300, CountedOn: date(9, 1), CreatedAt: noon},
		{UserID: someone, ID: id("2"), ColonyID: id("a-c0"), Kind: "wash", Mites: 2, Bees: 300, CountedOn: date(11, 1), CreatedAt: noon},
		{UserID: someone, ID: id("3"), ColonyID: id("a-c0"), Kind: "wash", Mites: 3, Bees: 300, CountedOn: date(10, 1), CreatedAt: noon},
		{UserID: someone, ID: id("4"), ColonyID: id("a-c1"), Kind: "board", Mites: 4, Days: 7, CountedOn: date(10, 1), CreatedAt: noon},
	}
	for range 2 {
		if err := o.Count(t.Context(), counts); err != nil {
			t.Fatal(err)
		}
	}
	mites := func() map[string]int {
		rows, err := o.LastCounts(t.Context(), Among{All: true})
		if err != nil {
			t.Fatal(err)
		}
		out := map[string]int{}
		for _, r := range rows {
			out[r.ColonyID] = r.Mites
		}
		return out
	}
	if got := mites(); len(got) != 2 || got[id("a-c0")] != 2 || got[id("a-c1")] != 4 {
		t.Errorf("got %v", got)
	}
	for range 2 {
		if err := o.VoidCount(t.Context(), id("2"), "wrong hive", noon); err != nil {
			t.Fatal(err)
		}
	}
	if got := mites(); got[id("a-c0")] != 3 {
		t.Errorf("after the newest was struck out: %v", got)
	}
	if all, err := o.CountsOf(t.Context(), id("a-c0")); err != nil || len(all) != 3 || all[2].VoidReason != "wrong hive" {
		t.Errorf("got %+v %v", all, err)
	}
	looks := []Inspection{
		{UserID: someone, ID: id("1"), ColonyID: id("a-c0"), SeenOn: date(12, 1), Seams: json.RawMessage(`[[1]]`), CreatedAt: noon},
		{UserID: someone, ID: id("2"), ColonyID: id("a-c0"), SeenOn: date(11, 1), Seams: json.RawMessage(`[[0.5]]`), CreatedAt: noon},
		{UserID: someone, ID: id("3"), ColonyID: id("a-c0"), SeenOn: date(12, 2), Brood: "none", CreatedAt: noon},
	}
	for range 2 {
		if err := o.Inspect(t.Context(), looks); err != nil {
			t.Fatal(err)
		}
	}
	if seams, err := o.LastSeams(t.Context(), []string{id("a-c0"), id("a-c1")}); err != nil || len(seams) != 1 || string(seams[id("a-c0")]) != `[[1]]` {
		t.Errorf("got %s %v", seams, err)
	}
	if rows, err := o.Inspections(t.Context(), Among{Colonies: []string{id("a-c0")}, Since: date(11, 15)}); err != nil || len(rows) != 2 || rows[1].Brood != "none" {
		t.Errorf("got %+v %v", rows, err)
	}
	if err := o.Inspect(t.Context(), []Inspection{{ID: id("9"), ColonyID: id("none"), SeenOn: noon, CreatedAt: noon}}); !errors.Is(err, ErrNotFound) {
		t.Errorf("a colony that is none: %v", err)
	}
}

// A job and its colonies are kept whole, once.
func TestJobOnce(t *testing.T) {
	o := operation(t, open(t))
	line(t, o, "a", 2)
	job := func(colonies ...string) *Job {
		j := Job{UserID: someone, ID: id("j"), Name: "Round", Method: "dribble", RuleKind: "own", People: 1, CreatedAt: noon}
		for _, c := range colonies {
			j.Colonies = append(j.Colonies, JobColony{ColonyID: id(c), Day: date(12, 4), Verdict: "fits"})
		}
		return &j
	}
	if _, err := o.SaveJob(t.Context(), job("a-c0", "none")); !errors.Is(err, ErrNotFound) {
		t.Errorf("a colony that is none: %v", err)
	}
	if jobs, err := o.Jobs(t.Context(), JobList{Archived: true, Most: 9}); err != nil || len(jobs) != 0 {
		t.Errorf("half a job shows: %+v %v", jobs, err)
	}
	for i := range 2 {
		if created, err := o.SaveJob(t.Context(), job("a-c1", "a-c0")); err != nil || created != (i == 0) {
			t.Errorf("time %d: %v %v", i+1, created, err)
		}
	}
	if j, err := o.Job(t.Context(), id("j")); err != nil || len(j.Colonies) != 2 || j.Colonies[0].ColonyID != id("a-c1") {
		t.Errorf("got %+v %v", j, err)
	}
	names, err := o.Names(t.Context(), Among{All: true})
	if err != nil || names[id("a-c0")].Name != "C0" || names[id("a-c0")].Boxes != 2 {
		t.Errorf("got %+v %v", names, err)
	}
}
