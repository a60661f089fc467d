package app

import (
	"context"
	"errors"
	"slices"

	"keeler/store"
)

// again is what became of a save that found its row there already, or newer than it was
// seen: nothing is amiss where that is what was to be saved. Then its answer was lost on
// the way, and it is sent once more.
func again[Row any](ctx context.Context, err error, read func(context.Context, string) (Row, error), id string, same func(Row) bool) error {
	if !errors.Is(err, store.ErrTaken) && !errors.Is(err, store.ErrStale) {
		return err
	}
	if is, unread := read(ctx, id); unread == nil && same(is) {
		return nil
	}
	return err
}

func sameYard(y store.Yard) func(store.Yard) bool {
	return func(is store.Yard) bool {
		is.OperationID, is.Version, is.CreatedAt = y.OperationID, y.Version, y.CreatedAt
		return is == y
	}
}

func sameColony(c store.Colony) func(store.Colony) bool {
	return func(is store.Colony) bool {
		return is.Name == c.Name && is.Nuc == c.Nuc && is.ForHoney == c.ForHoney && is.Queen == c.Queen && is.Notes == c.Notes &&
			slices.EqualFunc(is.Boxes, c.Boxes, func(a, b store.ColonyBox) bool { return a.Kind == b.Kind && a.Slots == b.Slots })
	}
}

func sameCard(c store.LabelCard) func(store.LabelCard) bool {
	return func(is store.LabelCard) bool {
		return is.Name == c.Name && is.Method == c.Method && string(is.Content) == string(c.Content)
	}
}
