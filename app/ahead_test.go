package app

import (
	"errors"
	"strings"
	"testing"

	"github.com/google/uuid"

	"keeler/store"
	"keeler/wire"
)

// The mites of a hive that nobody counted are a guess, and it is said so; counted ones have a band that the counts
// narrowed, and what is ahead of them is told with what it rests on. A treatment puts it off.
func TestMiteYear(t *testing.T) {
	d := own(t, Settings{})
	y := yard(t, d, "A")
	tell := func(id string) wire.MiteYear {
		t.Helper()
		out, err := d.MiteYear(t.Context(), id)
		if err != nil {
			t.Fatal(err)
		}
		return out
	}
	hive := func(name string, washes map[string]int) string { return counted(t, d, y, name, washes) }
	width := func(m wire.MiteYear) float64 {
		for _, p := range m.Points {
			if p.Day == m.Today {
				return p.High / p.Low
			}
		}
		t.Fatal("today is not among the points")
		return 0
	}
	uncounted := tell(hive("A1", nil))
	if !strings.Contains(uncounted.Words, "Nobody has counted") || !strings.Contains(uncounted.Rests, "no count and 0 inspections") {
		t.Errorf("%q %q", uncounted.Words, uncounted.Rests)
	}
	few := hive("A2", map[string]int{"2026-07-10": 1, "2026-09-10": 2, "2026-11-20": 2})
	many := tell(hive("A3", map[string]int{"2026-07-10": 12, "2026-09-10": 30, "2026-11-20": 45}))
	some := tell(few)
	if width(some) > width(uncounted)/2 || !strings.HasPrefix(some.Rests, "Forecast from 3 counts and 0 inspections. The last count was 14 days ago. It ") {
		t.Errorf("three counts leave %.1f of %.1f open: %q", width(some), width(uncounted), some.Rests)
	}
	if !strings.HasPrefix(many.Words, "The last count is over the threshold: act on that.") || many.From != many.Today {
		t.Errorf("15 per 100: %q from %q", many.Words, many.From)
	}
	if !strings.Contains(some.Words, "f nothing is done") || strings.Contains(some.Words, "almost certain") {
		t.Errorf("under one per 100: %q", some.Words)
	}
	if one := tell(hive("A5", map[string]int{"2026-11-20": 6})); !strings.Contains(one.Rests, "1 count and 0 inspections") || !strings.Contains(one.Rests, "It made the band about ") {
		t.Errorf("a first count: %q", one.Rests)
	}
	// Once something was given it tells of before.
	treated := hive("A4", map[string]int{"2026-11-30": 60})
	given := wire.OtherTreatment{Method: "vapour", Product: "Vaporised", GivenOn: "2026-12-01", Amount: 2, Unit: "g", Rule: "permit",
		Colonies: []wire.OtherColony{{ID: uuid.NewString(), ColonyID: treated}}}
	if words := tell(treated).Words; !strings.HasPrefix(words, "The last count is over") {
		t.Errorf("counted over: %q", words)
	}
	if _, err := d.RecordOther(t.Context(), given); err != nil {
		t.Fatal(err)
	}
	if words := tell(treated).Words; strings.HasPrefix(words, "The last count") {
		t.Errorf("counted over before it was treated: %q", words)
	}
	first, last := some.Points[0].Day, some.Points[len(some.Points)-1].Day
	if first < "2026-07-09" || first > "2026-07-15" || last != "2027-06-22" { // 200 days after 4 December
		t.Errorf("it goes from %s to %s", first, last)
	}
	some = tell(few) // with the neighbours that came since
	if again := tell(few); again.Points[len(again.Points)-1] != some.Points[len(some.Points)-1] {
		t.Error("asked again it says otherwise")
	}
	given = wire.OtherTreatment{Method: "vapour", Product: "Vaporised", GivenOn: "2026-12-04", Amount: 2, Unit: "g", Rule: "permit"}
	given.Colonies = append(given.Colonies, wire.OtherColony{ID: uuid.NewString(), ColonyID: few})
	if _, err := d.RecordOther(t.Context(), given); err != nil {
		t.Fatal(err)
	}
	if treated := tell(few); treated.Chance > some.Chance || treated.Points[len(treated.Points)-1].Middle > some.Points[len(some.Points)-1].Middle/1.3 {
		t.Errorf("vapour in December leaves a chance of %.2f, of %.2f", treated.Chance, some.Chance)
	}
	if _, err := d.MiteYear(t.Context(), uuid.NewString()); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("of a colony that is none: %v", err)
	}
}

// Eight seams in a medium box are 12,000 bees, not the 17,600 of a deep one: the model is told what they are.
func TestBeesByTheirBoxes(t *testing.T) {
	for kind, want := range map[string]float64{"deep": 2200, "medium": 1500} {
		m := miteYear{row: store.Colony{Boxes: []store.ColonyBox{{Kind: kind}}}}
		if got := m.inASeam(); got != want {
			t.Errorf("%g bees in a seam of a %s box, want %g", got, kind, want)
		}
	}
}
