package demo

import (
	"context"
	"testing"
	"time"

	"keeler/app"
	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/sim/weather"
	"keeler/store"
	"keeler/store/mariadbd"
	"keeler/wire"
)

// empty is a store of its own with nothing in it.
func empty(t *testing.T) *store.Store {
	t.Helper()
	db, err := mariadbd.Hasty(context.Background())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(db.Stop)
	s, err := store.Open(db.DSN())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = s.Close() })
	if err := s.Migrate(t.Context()); err != nil {
		t.Fatal(err)
	}
	return s
}

// A second start of the demo finds its data and adds nothing.
func TestSeedAgain(t *testing.T) {
	s := empty(t)
	for range 2 {
		if err := Seed(t.Context(), s, nil); err != nil {
			t.Fatal(err)
		}
	}
	a := app.New(s, app.Settings{Work: app.Pinned(Now), Wall: time.Now, Welcome: Welcome()})
	who, err := a.EnterDemo(t.Context(), app.DemoLogin)
	if err != nil {
		t.Fatal(err)
	}
	d := a.Desk(who)
	list, err := d.Batches(t.Context())
	const rests = 2 // what the two spring pots left over
	if err != nil || len(list.Batches) != len(told.Past)+rests {
		t.Fatalf("got %d batches, want %d: %v", len(list.Batches), len(told.Past)+rests, err)
	}
	for _, b := range list.Batches {
		whole, err := d.Batch(t.Context(), b.ID)
		if err != nil || whole.MadeOn >= Now.Format("2006-01-02") || whole.OnHand.ToReconcile {
			t.Errorf("%s is of %s: %v", b.Name, whole.MadeOn, err)
		}
	}
	start, err := a.Start(t.Context(), &who)
	if err != nil || !start.Demo || start.Now != "2026-12-04T08:30" || start.Me.Login != "Demo keeper" || start.Me.Operation != "Marrow Quay" {
		t.Errorf("got %+v %v", start, err)
	}
	yards, err := d.Yards(t.Context())
	if err != nil || len(yards.Yards) != 3 || yards.Yards[0].Colonies+yards.Yards[1].Colonies+yards.Yards[2].Colonies != 25 {
		t.Errorf("got %+v %v", yards, err)
	}
	jobs, err := d.Jobs(t.Context(), false, false)
	if err != nil || len(jobs.Jobs) != 1+len(told.Jobs) || len(jobs.Jobs[0].Colonies) != 6 {
		t.Errorf("got %+v %v", jobs, err)
	}
}

// Ropewalk has 46½ seams in its eight boxes: 24, 22, 28, 16, 37, 20, 26 and 13
// quarters; in whole mL, a tie down, 30, 27, 35, 20, 46, 25, 32
// and 16.
func TestRopewalk(t *testing.T) {
	plan, err := wire.PlanDribble(*Welcome().Draft.Dribble)
	if err != nil {
		t.Fatal(err)
	}
	if len(plan.Doses) != 8 || plan.Given != 231 || plan.Volume != 265 || len(plan.Notes) != 0 {
		t.Errorf("given %v, made %v, notes %v", plan.Given, plan.Volume, plan.Notes)
	}
	// One strip to 2½ of 6, 5½, 7, 4, 9¼, 5, 6½ and 3¼ seams: 2, 2, 3, 2, 4, 2, 3 and 1.
	pot, err := wire.PlanStrip(*Welcome().Draft.Strip)
	if err != nil || pot.Strips != 19 || len(pot.Notes) != 0 {
		t.Errorf("%d strips, %v %v", pot.Strips, pot.Notes, err)
	}
	// Seven hives of ten combs and one of six: 7 × 20 + 12.
	acid, err := wire.PlanPad(*Welcome().Draft.Pad)
	if err != nil || acid.Visit != 152 {
		t.Errorf("%v mL of acid: %v", acid.Visit, err)
	}
}

// clear is the demo's weather, straight from its maker.
type clear struct{}

func (clear) Forecast(_ context.Context, yard string, latitude float64, from calendar.Day) (fit.Forecast, error) {
	y, m, d := from.Date()
	var out fit.Forecast
	for i, h := range weather.Forecast(yard, latitude, time.Date(y, time.Month(m), d, 0, 0, 0, 0, time.UTC), WeatherSeed) {
		out = append(out, fit.Hour{Day: from + calendar.Day(i/24), Hour: i % 24, TempC: h.TempC, WindMS: h.WindMS, GustMS: h.GustMS, Rain: h.RainMM})
	}
	return out, nil
}

// The scenario shows what a keeper meets on a December morning: most fit for a
// dribble, one is light, one has brood, some must be looked into first; one yard has
// two hives over the line; the job that is ready holds the six that fit, and they are
// told to be in it.
func TestDecember(t *testing.T) {
	s := empty(t)
	if err := Seed(t.Context(), s, clear{}); err != nil {
		t.Fatal(err)
	}
	a := app.New(s, app.Settings{Work: app.Pinned(Now), Wall: time.Now, Welcome: Welcome(), Weather: clear{}})
	who, err := a.EnterDemo(t.Context(), app.DemoLogin)
	if err != nil {
		t.Fatal(err)
	}
	got, err := a.Desk(who).Decide(t.Context(), app.Question{People: 3})
	if err != nil {
		t.Fatal(err)
	}
	verdicts, needs, over := map[string]string{}, map[string]string{}, map[string]int{}
	for _, y := range got.Yards {
		over[y.Name] = y.Over
		for _, c := range y.Colonies {
			verdicts[c.Name], needs[c.Name] = c.Cells[0].Verdict, c.Need
			for i, method := range []string{"dribble", "strip", "pad"} {
				if i > 0 && c.Cells[i].Verdict != "does_not_fit" {
					t.Errorf("%s, %s in December: %s", c.Name, method, c.Cells[i].Verdict)
				}
			}
		}
	}
	for name, want := range map[string]string{
		"R1": "with_care", "R3": "with_care", "R4": "does_not_fit", "R6": "does_not_fit", "R8": "with_care", // in the job
		"S1": "fits", "S7": "look_first", "K1": "fits", "K2": "look_first", "K4": "look_first", "K6": "with_care",
	} {
		if verdicts[name] != want {
			t.Errorf("%s: %s, want %s", name, verdicts[name], want)
		}
	}
	for name, want := range map[string]string{"R3": "treat", "R7": "with_yard", "S1": "none", "S2": "count", "K1": "none", "K5": "count_again"} {
		if needs[name] != want {
			t.Errorf("%s needs %s, want %s", name, needs[name], want)
		}
	}
	if over["Ropewalk"] != 2 || over["Saltmarsh Hut"] != 0 || over["Kiln Lane"] != 0 {
		t.Errorf("over the line: %v", over)
	}
	jobs, err := a.Desk(who).Jobs(t.Context(), false, false)
	if err != nil {
		t.Fatal(err)
	}
	for _, c := range jobs.Jobs[0].Colonies {
		if c.Verdict != "fits" || c.Override != "" {
			t.Errorf("the job holds %+v", c)
		}
	}
	// R1, R2, R3, R5, R7 and R8 hold 37½ seams.
	recipe, err := a.Desk(who).JobRecipe(t.Context(), jobs.Jobs[0].ID, "2026-12-04")
	if err != nil || len(recipe.Recipe.Dribble.Colonies) != 6 {
		t.Fatalf("got %+v %v", recipe, err)
	}
	plan, err := wire.PlanDribble(*recipe.Recipe.Dribble)
	if err != nil {
		t.Fatal(err)
	}
	seams := 0.0
	for _, d := range plan.Doses {
		seams += d.Seams
	}
	if seams != 37.5 {
		t.Errorf("the bench has %v seams, want 37½", seams)
	}
}
