package app

import (
	"runtime"
	"strings"
	"testing"

	"github.com/google/uuid"

	"keeler/wire"
)

// Of a yard each hive is told in short, and one of three is named to count: the one of which is least known. What was made of
// a hive is kept until something changes, and Decide, which waits for none of it, tells of it as soon as it is there.
func TestYardAhead(t *testing.T) {
	d := own(t, Settings{})
	y := yard(t, d, "A")
	known := counted(t, d, y, "A1", map[string]int{"2026-09-10": 0, "2026-10-10": 0, "2026-11-28": 0})
	counted(t, d, y, "A2", map[string]int{"2026-09-12": 0, "2026-10-12": 0, "2026-11-28": 1})
	open := counted(t, d, y, "A3", map[string]int{"2026-07-10": 1})
	ahead := func() wire.YardAhead {
		t.Helper()
		out, err := d.YardAhead(t.Context(), y)
		if err != nil || len(out.Hives) != 3 {
			t.Fatalf("%+v: %v", out, err)
		}
		return out
	}
	first := ahead()
	if len(first.Count) != 1 || first.Count[0] != "A3" || !strings.Contains(first.Words, "count A3 first") {
		t.Errorf("%q, %q", first.Count, first.Words)
	}
	for i, h := range first.Hives {
		if h.Words == "" || len(h.Points) < 20 || h.Counts != []int{3, 3, 1}[i] {
			t.Errorf("%+v", h)
		}
	}
	kept, _ := d.app.foresight.get(known)
	if again := ahead(); again.Hives[0].Words != first.Hives[0].Words {
		t.Errorf("%+v", again)
	}
	if now, _ := d.app.foresight.get(known); &now.points[0] != &kept.points[0] {
		t.Error("what did not change is made anew")
	}
	helps := func() (out []string) {
		t.Helper()
		decide, err := d.Decide(t.Context(), Question{})
		if err != nil {
			t.Fatal(err)
		}
		for _, c := range decide.Yards[0].Colonies {
			if c.Helps {
				out = append(out, c.Name)
			}
		}
		return out
	}
	made := func() {
		for free := false; !free; runtime.Gosched() {
			var done func()
			if done, free = d.app.foresight.begin(d.who.Operation); free {
				done()
			}
		}
	}
	if got := helps(); len(got) != 1 || got[0] != "A3" {
		t.Errorf("Decide names %q", got)
	}
	made()
	count := wire.MiteCount{ID: uuid.NewString(), ColonyID: open, Kind: "wash", Mites: 3, Bees: 300, On: "2026-12-03"}
	if _, err := d.Count(t.Context(), wire.MiteCounts{Counts: []wire.MiteCount{count}}); err != nil {
		t.Fatal(err)
	}
	// What is known of A3 is of before the count: it is not told of until it is made anew, in the background.
	if got := helps(); len(got) != 1 || got[0] == "A3" {
		t.Errorf("Decide names %q", got)
	}
	made()
	if f, _ := d.app.foresight.get(open); f.last.String() != "2026-12-03" {
		t.Errorf("A3 is known by the count of %s", f.last)
	}
}
