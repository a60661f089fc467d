package app

import (
	"errors"
	"slices"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/card"
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/wire"
)

// ready is a desk with a yard of two hives: A1 fits for a dribble, A2 is light.
func ready(t *testing.T, weather sky) (Desk, string, []string) {
	t.Helper()
	d := own(t, Settings{Weather: weather, Work: Pinned(work), Wall: Pinned(wall)})
	y := yard(t, d, "A")
	ids := []string{colony(t, d, y, "A1").ID, colony(t, d, y, "A2").ID}
	none := 0
	for i, stores := range []string{"enough", "light"} {
		_, err := d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{{
			ID: uuid.NewString(), ColonyID: ids[i], On: "2026-12-03", Board: [][]float64{{0, 1, 1, 0.5, 0}}, Brood: "none", Stores: stores, Supers: &none,
		}}})
		if err != nil {
			t.Fatal(err)
		}
	}
	return d, y, ids
}

// A job of which something hangs in a hive is open, and is told at the hive that it still has to come to: also where
// that one stands in another yard, and it alone is asked for.
func TestOpenJobInAnotherYard(t *testing.T) {
	v := goOut(t, "strips")
	v.sends(wire.Application{ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 2})
	other, err := v.d.Colony(t.Context(), v.hives[1])
	if err != nil {
		t.Fatal(err)
	}
	far := yard(t, v.d, "Far")
	if _, err := v.d.Move(t.Context(), other.ID, wire.Move{YardID: far, Version: other.Version}); err != nil {
		t.Fatal(err)
	}
	for days, want := range map[int]bool{10: true, 40: true} { // by its last day, and by what hangs in the other
		m, err := later(v.d, time.Duration(days)*24*time.Hour).Decide(t.Context(), Question{Yard: far})
		if err != nil {
			t.Fatal(err)
		}
		if got := codes(m, m.Yards[0].Colonies[0].Cells[1]); slices.Contains(got, "in_job") != want {
			t.Errorf("after %d days: %v", days, got)
		}
	}
}

func codes(d wire.Decide, c wire.Cell) []string {
	var out []string
	for _, i := range c.Reasons {
		out = append(out, d.Reasons[i].Code)
	}
	return out
}

func TestDecide(t *testing.T) {
	d, _, _ := ready(t, 5)
	got, err := d.Decide(t.Context(), Question{People: 3})
	if err != nil {
		t.Fatal(err)
	}
	rows := got.Yards[0].Colonies
	if rows[0].Cells[0].Verdict != "fits" || rows[1].Cells[0].Verdict != "does_not_fit" || codes(got, rows[1].Cells[0])[0] != "stores_light" {
		t.Errorf("got %+v: %v", rows, codes(got, rows[1].Cells[0]))
	}
	if rows[0].Cells[1].Verdict != "does_not_fit" || rows[0].Need != "count" {
		t.Errorf("strips at 5 °C, nothing counted: %+v", rows[0])
	}
	light := got.Reasons[rows[1].Cells[0].Reasons[0]]
	if light.Datum != "seen the day before" {
		t.Errorf("the datum and its age: %+v", light)
	}
	// 8 to 16 h are 480 minutes: 960 hives at half a minute.
	today := got.Yards[0].Outlooks[0].Days[0]
	if len(got.Yards[0].Outlooks[0].Days) != 10 || today.Takes != 960 || today.Windows[0] != (fit.Window{Day: today.Windows[0].Day, From: 8, To: 16, MeanC: 5, Good: true}) {
		t.Errorf("got %+v", today)
	}
}

// Without a forecast nothing is made up.
func TestDecideWithoutForecast(t *testing.T) {
	d, _, ids := ready(t, 0)
	got, err := d.Decide(t.Context(), Question{})
	if err != nil {
		t.Fatal(err)
	}
	y := got.Yards[0]
	if y.Forecast || y.Colonies[0].Cells[0].Verdict != "look_first" || y.Outlooks[0].Days[0].Known {
		t.Errorf("got %+v", y)
	}
	shares, err := d.PlanJob(t.Context(), wire.JobPlan{YardID: y.ID, Method: "dribble", Colonies: ids, People: 1})
	if err != nil || len(shares.Days) != 0 || !slices.Equal(shares.Left, ids) {
		t.Errorf("got %+v %v", shares, err)
	}
}

func TestDecideRefused(t *testing.T) {
	d, _, _ := ready(t, 5)
	for field, q := range map[string]Question{
		"day": {Day: "2026-13-01"}, "people": {People: 13}, "strip": {Under: [3]string{1: "winter"}}, "pad": {Under: [3]string{2: "card:nothing"}},
	} {
		var l fault.List
		if _, err := d.Decide(t.Context(), q); !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("%+v: got %v", q, err)
		}
	}
}

// A job takes what does not fit only with a reason, keeps it, and goes on to
// mixing with the seams as they were seen.
func TestJob(t *testing.T) {
	d, y, ids := ready(t, 5)
	job := wire.SaveJob{ID: uuid.NewString(), Name: "Midwinter", Method: "dribble", RuleKind: "permit", Rule: "permit held", People: 3,
		Colonies: []wire.JobColony{{ColonyID: ids[0], Day: "2026-12-04"}, {ColonyID: ids[1], Day: "2026-12-05"}}}
	_, err := d.SaveJob(t.Context(), job)
	at(t, "a light colony", err, "colonies[1].override", fault.Missing)
	job.Colonies[1].Override = "Fed this morning"
	for range 2 { // sent twice
		kept, err := d.SaveJob(t.Context(), job)
		if err != nil {
			t.Fatal(err)
		}
		if c := kept.Colonies[1]; c.Verdict != "does_not_fit" || c.Override != "Fed this morning" || c.Against != "stores_light" || len(kept.Days) != 2 || kept.Days[0].Minutes != 0.5 {
			t.Errorf("got %+v", kept)
		}
	}
	if jobs, err := d.Jobs(t.Context(), false, false); err != nil || len(jobs.Jobs) != 1 {
		t.Errorf("got %+v %v", jobs, err)
	}
	r, err := d.JobRecipe(t.Context(), job.ID, "2026-12-04")
	if err != nil || len(r.Recipe.Dribble.Colonies) != 1 || r.Rule != "Prescription or permit: permit held" {
		t.Fatalf("got %+v %v", r, err)
	}
	// 2½ seams at 5 mL are 12.5 mL: a tie, 12 by the marks of a 60 mL syringe.
	plan, err := wire.PlanDribble(*r.Recipe.Dribble)
	if err != nil || len(plan.Doses) != 1 || plan.Doses[0].Seams != 2.5 || plan.Given != 12 {
		t.Errorf("got %+v %v", plan, err)
	}
	_, err = d.JobRecipe(t.Context(), job.ID, "2026-12-24")
	at(t, "another day", err, "day", fault.Unknown)
	// The bees are dribbled: a second time in this winter is refused.
	if _, err := d.Treat(t.Context(), ids[0], wire.Treatment{ID: uuid.NewString(), Method: "dribble", GivenOn: "2026-12-04"}); err != nil {
		t.Fatal(err)
	}
	again := job
	again.ID, again.Colonies = uuid.NewString(), []wire.JobColony{{ColonyID: ids[0], Day: "2026-12-10"}}
	_, err = d.SaveJob(t.Context(), again)
	at(t, "a repeat", err, "colonies[0].override", fault.Missing)
	shares, err := d.PlanJob(t.Context(), wire.JobPlan{YardID: y, Method: "dribble", Under: "winter", Colonies: ids, People: 1})
	if err != nil || len(shares.Days) != 1 || shares.Days[0].Minutes != 3 {
		t.Errorf("two hives at 1½ minutes: %+v %v", shares, err)
	}
	job.ID, job.Rule = uuid.NewString(), " "
	_, err = d.SaveJob(t.Context(), job)
	at(t, "a permit without words", err, "rule", fault.Missing)
}

// A card stands where a protocol can: it is judged by, and it doses.
func TestCard(t *testing.T) {
	d, _, ids := ready(t, 5)
	ml, top := chem.Millilitres(3), chem.Millilitres(30)
	copied := wire.LabelCard{ID: uuid.NewString(), Name: "Bought syrup", Method: "dribble", Content: wire.CardContent{
		Content: card.Content{MinC: 6, MaxC: 12, Broodless: true, Supers: "off"}, Rule: &wire.Rule{FullSeam: &ml, Cap: &top},
	}}
	kept, err := d.AddCard(t.Context(), copied)
	if err != nil {
		t.Fatal(err)
	}
	under := "card:" + kept.ID
	got, err := d.Decide(t.Context(), Question{Under: [3]string{under}})
	if err != nil || codes(got, got.Yards[0].Colonies[0].Cells[0])[0] != "too_cold" || got.Conditions[0].Name != "Bought syrup" {
		t.Errorf("5 °C by a label from 6 °C: %v %v", got, err)
	}
	job, err := d.SaveJob(t.Context(), wire.SaveJob{ID: uuid.NewString(), Name: "J", Method: "dribble", Under: under, RuleKind: "label",
		Colonies: []wire.JobColony{{ColonyID: ids[0], Day: "2026-12-04", Override: "Warmer at noon"}}})
	if err != nil || job.Under != under {
		t.Fatalf("got %+v %v", job, err)
	}
	r, err := d.JobRecipe(t.Context(), job.ID, "")
	if err != nil || *r.Recipe.Dribble.Rule.FullSeam != 3 || *r.Recipe.Dribble.Rule.Cap != 30 {
		t.Errorf("the card does not dose: %+v %v", r.Recipe.Dribble.Rule, err)
	}
	wrong := chem.Millilitres(11)
	copied.Content.Rule.FullSeam = &wrong
	_, err = d.ChangeCard(t.Context(), kept.ID, copied)
	at(t, "11 mL a seam", err, "content.rule.full_seam_ml", fault.TooHigh)
	copied.Content.Rule.FullSeam, copied.Content.MaxC = &ml, 6
	_, err = d.ChangeCard(t.Context(), kept.ID, copied)
	at(t, "no range", err, "content.max_c", fault.TooLow)
}
