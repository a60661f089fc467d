package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// inspections registers what is seen.
func inspections(h huma.API, d *desks) {
	answering(h, d, app.Helper, operation("colonies", "inspect", http.MethodPost, "inspections", "Keep inspections of colonies, all or none; sent twice, they count once", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.Inspections]) (wire.Inspections, error) {
			return desk.Inspect(ctx, in.Body)
		})
}

// counts registers mites.
func counts(h huma.API, d *desks) {
	answering(h, d, app.Helper, operation("counts", "count", http.MethodPost, "counts", "Keep counts of mites, all or none; sent twice, they count once", 404, 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.MiteCounts]) (wire.CountBook, error) {
			return desk.Count(ctx, in.Body)
		})
	kept(h, d, app.Helper, operation("counts", "void-count", http.MethodPost, "counts/{id}/void", "Strike a count out; it stays", 404, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.VoidBatch]) (*none, error) {
			return nil, desk.VoidCount(ctx, in.ID, in.Body.Reason)
		})
	answering(h, d, app.Viewer, operation("counts", "get-thresholds", http.MethodGet, "thresholds", "Where the operation acts, by season"),
		func(ctx context.Context, desk app.Desk, _ *none) (wire.Thresholds, error) {
			return desk.Thresholds(ctx)
		})
	answering(h, d, app.Keeper, operation("counts", "set-thresholds", http.MethodPut, "thresholds", "Change where the operation acts", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.Thresholds]) (wire.Thresholds, error) {
			return desk.SetThresholds(ctx, in.Body)
		})
}
