package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// practising registers what is done with hives that are not real.
func practising(r routes) {
	readOne(r, "colonies/{id}/glimpse", "glimpse", app.Viewer, "What there is to be seen in a hive that is not real; only in the demo and in practice", app.Desk.Glimpse)
	read(r, "practice/verdict", "practice-verdict", app.Viewer, "What the season of practice came to, with the truth of every hive", app.Desk.Verdict)
	route(r, r.describe(post+" practice/clock", "move-practice", "Bring the clock of the season of practice forward", 422), app.Helper,
		func(ctx context.Context, desk app.Desk, in *sent[wire.MovePractice]) (*body[wire.Start], error) {
			if err := desk.MovePractice(ctx, in.Body.value); err != nil {
				return nil, err
			}
			return r.desks.begin(ctx)
		})
}
