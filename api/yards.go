package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// yards registers the places.
func yards(h huma.API, d *desks) {
	answering(h, d, app.Viewer, operation("yards", "list-yards", http.MethodGet, "yards", "All yards"),
		func(ctx context.Context, desk app.Desk, _ *none) (wire.YardList, error) { return desk.Yards(ctx) })
	answering(h, d, app.Viewer, operation("yards", "get-yard", http.MethodGet, "yards/{id}", "A yard with its colonies in stand order", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (wire.YardWhole, error) {
			return desk.Yard(ctx, in.ID)
		})
	answering(h, d, app.Keeper, operation("yards", "add-yard", http.MethodPost, "yards", "A new yard", 409, 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.SaveYard]) (wire.YardWhole, error) {
			return desk.SaveYard(ctx, "", in.Body)
		})
	answering(h, d, app.Keeper, operation("yards", "change-yard", http.MethodPut, "yards/{id}", "Change a yard over the version that was seen", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.SaveYard]) (wire.YardWhole, error) {
			return desk.SaveYard(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Keeper, operation("yards", "arrange-yard", http.MethodPut, "yards/{id}/order", "The order in which the hives stand", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.Order]) (wire.YardWhole, error) {
			return desk.Arrange(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Viewer, operation("counts", "list-counts", http.MethodGet, "yards/{id}/counts", "All counts of a yard", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (wire.CountBook, error) {
			return desk.Counts(ctx, in.ID)
		})
}
