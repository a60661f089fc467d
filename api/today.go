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
	read(r, "names", "list-names", app.Viewer, "Yards, hives, batches and jobs by name, to go to", app.Desk.Names)
}
