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
		if err := Seed(t.Context(), s); err != nil {
			t.Fatal(err)
		}
	}
	a := app.New(s, app.Pinned(Now), time.Now, Welcome())
	list, err := a.Batches(t.Context(), store.FirstOperation)
	if err != nil || len(list.Batches) != len(past()) {
		t.Fatalf("got %d batches, want %d: %v", len(list.Batches), len(past()), err)
	}
	for _, b := range list.Batches {
		whole, err := a.Batch(t.Context(), store.FirstOperation, b.ID)
		if err != nil || whole.MadeOn >= Now.Format("2006-01-02") {
			t.Errorf("%s is of %s: %v", b.Name, whole.MadeOn, err)
		}
	}
	if start := a.Start(); !start.Demo || start.Now != "2026-12-04T08:30" || start.Keeper != "Demo keeper" {
		t.Errorf("got %+v", start)
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
