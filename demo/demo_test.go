package demo

import (
	"context"
	"testing"
	"time"

	"keeler/app"
	"keeler/store"
	"keeler/store/mariadbd"
	"keeler/wire"
)

// A second start of the demo finds its data and adds nothing.
func TestSeedAgain(t *testing.T) {
	db, err := mariadbd.Temporary(context.Background())
	if err != nil {
		t.Fatal(err)
	}
	defer db.Stop()
	s, err := store.Open(db.DSN())
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = s.Close() }()
	if err := s.Migrate(t.Context()); err != nil {
		t.Fatal(err)
	}
	for range 2 {
		if err := Seed(t.Context(), s, nil); err != nil {
			t.Fatal(err)
		}
	}
	a := app.New(s, app.Settings{Work: app.Pinned(Now), Wall: time.Now, Welcome: Welcome()})
	who, err := a.EnterDemo(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	d := a.Desk(who)
	list, err := d.Batches(t.Context())
	if err != nil || len(list.Batches) != len(past()) {
		t.Fatalf("got %d batches, want %d: %v", len(list.Batches), len(past()), err)
	}
	for _, b := range list.Batches {
		whole, err := d.Batch(t.Context(), b.ID)
		if err != nil || whole.MadeOn >= Now.Format("2006-01-02") {
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
	jobs, err := d.Jobs(t.Context())
	if err != nil || len(jobs.Jobs) != 1 || len(jobs.Jobs[0].Colonies) != 6 {
		t.Errorf("got %+v %v", jobs, err)
	}
}

// Ropewalk has 46½ seams in its eight boxes: 24, 22, 28, 16, 37, 20, 26 and 13
// quarters; in whole mL 30, 28, 35, 20, 46, 25, 33 and 16.
func TestRopewalk(t *testing.T) {
	plan, err := wire.PlanDribble(*Welcome().Draft.Dribble)
	if err != nil {
		t.Fatal(err)
	}
	if len(plan.Doses) != 8 || plan.GivenML != 233 || plan.VolumeML != 267 || len(plan.Notes) != 0 {
		t.Errorf("given %v, made %v, notes %v", plan.GivenML, plan.VolumeML, plan.Notes)
	}
	// One strip to 2½ of 6, 5½, 7, 4, 9¼, 5, 6½ and 3¼ seams: 2, 2, 3, 2, 4, 2, 3 and 1.
	pot, err := wire.PlanStrip(*Welcome().Draft.Strip)
	if err != nil || pot.Strips != 19 || len(pot.Notes) != 0 {
		t.Errorf("%d strips, %v %v", pot.Strips, pot.Notes, err)
	}
	// Seven hives of ten combs and one of six: 7 × 20 + 12.
	acid, err := wire.PlanPad(*Welcome().Draft.Pad)
	if err != nil || acid.VisitML != 152 {
		t.Errorf("%v mL of acid: %v", acid.VisitML, err)
	}
}
