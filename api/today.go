package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// today registers what there is to do, and the way to everything else.
func today(r routes) {
	read(r, "today", "today", app.Viewer, "What there is to do, and where", app.Desk.Today)
	route(r, r.describe(post+" today/skip", "skip-call", "Say why a batch or lot is not seen to, or that it is after all", 422), app.Helper,
		func(ctx context.Context, desk app.Desk, in *sent[wire.SkipCall]) (*none, error) {
			return nil, desk.SkipCall(ctx, in.Body.value)
		})
	route(r, r.describe(put+" fortnight", "set-fortnight", "Set the fortnight in which all yards treat", 422), app.Owner,
		func(ctx context.Context, desk app.Desk, in *sent[wire.SetFortnight]) (*none, error) {
			return nil, desk.SetFortnight(ctx, in.Body.value)
		})
	read(r, "names", "list-names", app.Viewer, "Yards, hives, batches and jobs by name, to go to", app.Desk.Names)
}
