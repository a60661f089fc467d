package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// stocks registers what is there of batches and of what they are made from.
func stocks(h huma.API, d *desks) {
	answering(h, d, app.Viewer, operation("stock", "get-ledger", http.MethodGet, "batches/{id}/entries", "The account of a batch", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (wire.Ledger, error) {
			return desk.Ledger(ctx, in.ID)
		})
	answering(h, d, app.Helper, operation("stock", "enter-batch", http.MethodPost, "batches/{id}/entries", "Write into the account of a batch; sent twice, it counts once", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.StockEntry]) (wire.Ledger, error) {
			return desk.Enter(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Helper, operation("stock", "add-portion", http.MethodPost, "batches/{id}/portions", "Decant part of a batch; sent twice, it counts once", 404, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.Portion]) (wire.Ledger, error) {
			return desk.Portion(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Helper, operation("stock", "pour-back", http.MethodDelete, "batches/{id}/portions/{portion}", "Pour a portion back", 404),
		func(ctx context.Context, desk app.Desk, in *struct {
			ByID
			Portion string `path:"portion" format:"uuid"`
		}) (wire.Ledger, error) {
			return desk.PourBack(ctx, in.ID, in.Portion)
		})
	answering(h, d, app.Viewer, operation("stock", "get-label", http.MethodGet, "batches/{id}/label", "What stands on the vessel of a batch", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (wire.Label, error) { return desk.Label(ctx, in.ID) })
	answering(h, d, app.Viewer, operation("stock", "list-lots", http.MethodGet, "lots", "Ingredients as they were bought"),
		func(ctx context.Context, desk app.Desk, _ *none) (wire.Lots, error) { return desk.Lots(ctx) })
	answering(h, d, app.Keeper, operation("stock", "add-lot", http.MethodPost, "lots", "Put an ingredient on the shelf; sent twice, it counts once", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.Lot]) (wire.LotBook, error) {
			return desk.AddLot(ctx, in.Body)
		})
	answering(h, d, app.Viewer, operation("stock", "get-lot", http.MethodGet, "lots/{id}", "A lot with its account", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (wire.LotBook, error) { return desk.Lot(ctx, in.ID) })
	answering(h, d, app.Helper, operation("stock", "enter-lot", http.MethodPost, "lots/{id}/entries", "Write into the account of a lot; sent twice, it counts once", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.StockEntry]) (wire.LotBook, error) {
			return desk.EnterLot(ctx, in.ID, in.Body)
		})
}
