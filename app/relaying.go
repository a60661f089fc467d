package app

import (
	"context"
	"errors"
	"time"

	"keeler/guard"
	"keeler/store"
)

// Relaying tells those who listen here what other servers of the same database wrote, until
// the context ends. What fails is told, and tried again.
func (a *App) Relaying(ctx context.Context, every time.Duration, failed func(error)) {
	var from *store.Changes
	well := true
	tick := time.NewTicker(every)
	defer tick.Stop()
	for {
		var err error
		if from == nil {
			from, err = a.store.Changes(ctx)
		}
		if err == nil {
			err = guard.Try(func() error { return a.relay(ctx, from) })
		} else {
			from = nil
		}
		if err != nil && well && ctx.Err() == nil {
			failed(err) // once, and not again until it has gone well
		}
		well = err == nil
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}

func (a *App) relay(ctx context.Context, from *store.Changes) error {
	now := a.now()
	happened, err := from.Next(ctx, now)
	for _, c := range happened {
		err = errors.Join(err, a.times.saw(c.At, now))
		a.bell.ring(topic{c.OperationID, c.Topic})
	}
	return err
}
