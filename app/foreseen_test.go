package app

import (
	"maps"
	"runtime"
	"strings"
	"testing"

	"github.com/google/uuid"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/mites"
	"keeler/core/outlook"
	"keeler/store"
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
	kept, _ := d.app.foresight.of.Get(d.hiveKey(known))
	if again := ahead(); again.Hives[0].Words != first.Hives[0].Words {
		t.Errorf("%+v", again)
	}
	if now, _ := d.app.foresight.of.Get(d.hiveKey(known)); &now.points[0] != &kept.points[0] {
		t.Error("what did not change is made anew")
	}
	made := func() {
		for free := false; !free; runtime.Gosched() {
			var done func()
			if done, free = d.app.foresight.begin(d.who.Operation); free {
				done()
			}
		}
	}
	// told is what Decide says of a hive's count, by its name, and that it says itself where forecasts are still to come.
	told := func(foreseeing bool) map[string]string {
		t.Helper()
		decide, err := d.Decide(t.Context(), Question{})
		if err != nil || decide.Foreseeing != foreseeing {
			t.Fatalf("still to come: %v, %v", decide.Foreseeing, err)
		}
		out := map[string]string{}
		for _, c := range decide.Yards[0].Colonies {
			for _, i := range c.Cells[0].Reasons {
				if r := decide.Reasons[i]; strings.HasPrefix(r.Code, "count_") {
					out[c.Name] = r.Code + " " + r.Verdict
				}
			}
			if c.Helps != (out[c.Name] != "") {
				t.Errorf("%s: %q, and %v in its need", c.Name, out[c.Name], c.Helps)
			}
		}
		made()
		return out
	}
	// Counted once, in July, A3 may be over the threshold or not: a count goes first.
	if got := told(false); !maps.Equal(got, map[string]string{"A3": "count_first with_care"}) {
		t.Errorf("Decide tells %q", got)
	}
	// What is known of A3 is of before the count: nothing is told of it until it is made anew, in the background.
	count := wire.MiteCount{ID: uuid.NewString(), ColonyID: open, Kind: "wash", Mites: 3, Bees: 300, On: "2026-12-03"}
	if _, err := d.Count(t.Context(), wire.MiteCounts{Counts: []wire.MiteCount{count}}); err != nil {
		t.Fatal(err)
	}
	if got := told(true); len(got) != 0 {
		t.Errorf("Decide tells %q", got)
	}
	// A fresh count says how it stands: one more would only tell more.
	for name, what := range told(false) {
		if what != "count_helps fits" {
			t.Errorf("%s: %s", name, what)
		}
	}
	// And so after a dose.
	if _, err := d.Treat(t.Context(), open, wire.Treatment{ID: uuid.NewString(), Method: "dribble", GivenOn: "2026-12-03"}); err != nil {
		t.Fatal(err)
	}
	told(true)
	told(false)
	f, _ := d.app.foresight.of.Get(d.hiveKey(open))
	// An older count that is voided changes nothing of the newest, and still makes the forecast anew.
	counts, err := d.op.CountsOf(t.Context(), open)
	if err != nil {
		t.Fatal(err)
	}
	if err := d.VoidCount(t.Context(), counts[0].ID, wire.Void{Reason: "another hive's"}); err != nil {
		t.Fatal(err)
	}
	if told(true); f.grounds == (grounds{}) {
		t.Errorf("A3 was known by %+v", f.grounds)
	}
	told(false)
	if now, _ := d.app.foresight.of.Get(d.hiveKey(open)); now.grounds == f.grounds {
		t.Errorf("A3 is known by %+v still", now.grounds)
	}
}

// Two operations hold one colony id, as they do once an archive is taken into another: neither is told the
// other's forecast.
func TestForecastIsOfItsOperation(t *testing.T) {
	one, other := own(t, Settings{}), own(t, Settings{})
	other.app = one.app
	id := counted(t, one, yard(t, one, "A"), "A1", map[string]int{"2026-11-28": 40})
	there, err := one.Colony(t.Context(), id)
	if err != nil {
		t.Fatal(err)
	}
	twin := yard(t, other, "A")
	if _, err := other.AddColonies(t.Context(), wire.SaveColonies{YardID: twin, Colonies: []wire.SaveColony{{ID: id, YardID: twin, Name: "A1", Boxes: there.Boxes}}}); err != nil {
		t.Fatal(err)
	}
	mine, err := one.YardAhead(t.Context(), there.YardID)
	if err != nil {
		t.Fatal(err)
	}
	k := situation{row: store.Colony{ID: id}}
	if other.foretell(&k); k.bees.Ahead.Lead != "" {
		t.Errorf("told of another operation's hive: %+v", k.bees.Ahead)
	}
	theirs, err := other.YardAhead(t.Context(), twin)
	if err != nil || theirs.Hives[0].Words == mine.Hives[0].Words || theirs.Hives[0].Counts != 0 {
		t.Errorf("%+v, and the other %+v: %v", mine.Hives, theirs.Hives, err)
	}
}

// Whatever a forecast goes by, another value of it is another forecast.
func TestForecastIsMadeAnew(t *testing.T) {
	from := func(change func(*miteYear)) uint64 {
		quarters := 20
		m := miteYear{
			row: store.Colony{ID: "a", Boxes: []store.ColonyBox{{Kind: "deep"}}}, yard: store.Yard{Latitude: 50}, today: 1000, begins: 700, thresholds: mites.Trade,
			looks: []fit.Inspection{{On: 900, Quarters: &quarters, Brood: fit.BroodMuch}}, counts: []mites.Count{{Kind: mites.Wash, Mites: 3, Bees: 300, On: 900}},
			given: []outlook.Dose{{Way: outlook.Strips, From: 800, To: 840, Strength: 1}},
		}
		change(&m)
		return m.key()
	}
	as := from(func(*miteYear) {})
	if again := from(func(*miteYear) {}); again != as {
		t.Error("nothing changed, and it is made anew")
	}
	for what, change := range map[string]func(*miteYear){
		"a nuc":                func(m *miteYear) { m.row.Nuc = true },
		"other boxes":          func(m *miteYear) { m.row.Boxes[0].Kind = "medium" },
		"elsewhere":            func(m *miteYear) { m.yard.Latitude = 51 },
		"tomorrow":             func(m *miteYear) { m.today++ },
		"known for longer":     func(m *miteYear) { m.begins-- },
		"a threshold":          func(m *miteYear) { m.thresholds[calendar.EarlySummer].Wash = 2.5 },
		"a board's threshold":  func(m *miteYear) { m.thresholds[calendar.Winter].Board = 2 },
		"more seams":           func(m *miteYear) { *m.looks[0].Quarters = 24 },
		"no brood":             func(m *miteYear) { m.looks[0].Brood = fit.BroodNone },
		"another count":        func(m *miteYear) { m.counts[0].Mites = 4 },
		"half the dose":        func(m *miteYear) { m.given[0].Strength = 0.5 },
		"a brood break":        func(m *miteYear) { m.bees.Break = fit.Break{Stopped: 950} },
		"mites from next door": func(m *miteYear) { m.neighbours = []outlook.Drift{{}} },
	} {
		if from(change) == as {
			t.Errorf("%s: the forecast stays as it was", what)
		}
	}
}
