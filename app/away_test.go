package app

import (
	"errors"
	"testing"

	"github.com/google/uuid"

	"keeler/core/card"
	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

// A database that is away is never told as something that is not there, or as a figure
// that cannot be.
func TestDatabaseAway(t *testing.T) {
	gone, err := store.Open(server.DSN())
	if err != nil {
		t.Fatal(err)
	}
	if err := gone.Close(); err != nil {
		t.Fatal(err)
	}
	d := New(gone, Settings{Work: Pinned(work), Wall: Pinned(wall)}).Desk(owner)
	id, ctx := uuid.NewString(), t.Context()
	for what, do := range map[string]func() error{
		"plan a job": func() error {
			_, err := d.PlanJob(ctx, wire.JobPlan{YardID: id, Method: "dribble", People: 1})
			return err
		},
		"decide on a card": func() error {
			_, err := d.Decide(ctx, Question{Under: [3]string{card.Prefix + id}})
			return err
		},
		"save a pot's batch": func() error {
			save := litre(id)
			save.Parent = &id
			_, _, err := d.SaveBatch(ctx, save)
			return err
		},
		"move":     func() error { _, err := d.Move(ctx, id, wire.Move{YardID: id}); return err },
		"inspect":  func() error { _, err := d.Inspect(ctx, wire.Inspections{}); return err },
		"apply":    func() error { _, err := d.Apply(ctx, id, "", wire.Applications{}); return err },
		"register": func() error { _, err := d.Register(ctx, RegisterQuery{}); return err },
		"sign in": func() error {
			_, err := d.app.SignIn(ctx, wire.SignIn{Login: "Owner", Password: "a long enough one"}, "here")
			return err
		},
	} {
		var l fault.List
		if err := do(); err == nil || errors.As(err, &l) || errors.Is(err, store.ErrNotFound) || errors.Is(err, ErrRefused) {
			t.Errorf("%s: %v", what, err)
		}
	}
}
