// Package demo is the made-up scenario that ships with Keeler: a harbour town
// with three yards, in midwinter. No one and nothing in it is real.
package demo

import (
	"context"
	"errors"
	"time"

	"keeler/app"
	"keeler/store"
)

const (
	keeper = "Demo keeper"
	town   = "Marrow Quay"
	yard   = "Ropewalk"
)

// Now is where the demo's clock stands.
var Now = time.Date(2026, time.December, 4, 8, 30, 0, 0, time.UTC)

// Welcome is how the demo's page begins.
func Welcome() app.Welcome {
	return app.Welcome{Demo: true, Keeper: keeper, Place: yard, Draft: drafts()}
}

// Seed fills an empty demo store with what happened before; it may run again.
func Seed(ctx context.Context, s *store.Store) error {
	if err := s.For(store.FirstOperation).NameOperation(ctx, town); err != nil {
		return err
	}
	for _, p := range past() {
		a := app.New(s, app.Pinned(p.at), app.Pinned(p.at), app.Welcome{})
		_, created, err := a.SaveBatch(ctx, store.FirstOperation, p.save)
		if errors.Is(err, store.ErrConflict) || err == nil && !created {
			continue
		}
		if err != nil {
			return err
		}
		for _, r := range p.remarks {
			if _, err := a.Remark(ctx, store.FirstOperation, p.save.ID, r); err != nil {
				return err
			}
		}
		if p.void == "" {
			continue
		}
		if _, err := a.VoidBatch(ctx, store.FirstOperation, p.save.ID, p.void); err != nil {
			return err
		}
	}
	return nil
}
