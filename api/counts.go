package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// counts registers mites.
func counts(r routes) {
	send(r.much(), post+" counts", "count", app.Helper, "Keep counts of mites, all or none; sent twice, they count once", app.Desk.Count)
	route(r, r.describe(post+" counts/{id}/void", "void-count", "Void a count; it stays", 404, 422), app.Helper,
		func(ctx context.Context, desk app.Desk, in *toOne[wire.Void]) (*none, error) {
			return nil, desk.VoidCount(ctx, in.ID, in.Body.value)
		})
	read(r, "thresholds", "get-thresholds", app.Viewer, "Where the operation acts, by season", app.Desk.Thresholds)
	send(r, put+" thresholds", "set-thresholds", app.Keeper, "Change where the operation acts", app.Desk.SetThresholds)
}
