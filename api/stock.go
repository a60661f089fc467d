package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// stocks registers what is there of batches and of what they are made from.
func stocks(r routes) {
	readOne(r, "batches/{id}/entries", "get-ledger", app.Viewer, "The account of a batch", app.Desk.Ledger)
	sendTo(r, post+" batches/{id}/entries", "enter-batch", app.Helper, "Write into the account of a batch; sent twice, it counts once", app.Desk.Enter)
	sendTo(r, post+" batches/{id}/portions", "add-portion", app.Helper, "Decant part of a batch; sent twice, it counts once", app.Desk.Portion)
	answer(r, r.describe(remove+" batches/{id}/portions/{portion}", "pour-back", "Pour a portion back", 404), app.Helper,
		func(ctx context.Context, desk app.Desk, in *struct {
			ByID
			Portion string `path:"portion" format:"uuid"`
		}) (wire.Ledger, error) {
			return desk.PourBack(ctx, in.ID, oneSpelling(in.Portion))
		})
	readOne(r, "batches/{id}/label", "get-label", app.Viewer, "What stands on the vessel of a batch", app.Desk.Label)
	read(r, "lots", "list-lots", app.Viewer, "Ingredients as they were bought", app.Desk.Lots)
	send(r, post+" lots", "add-lot", app.Keeper, "Put an ingredient in stock; sent twice, it counts once", app.Desk.AddLot)
	readOne(r, "lots/{id}", "get-lot", app.Viewer, "A lot with its account", app.Desk.Lot)
	sendTo(r, post+" lots/{id}/entries", "enter-lot", app.Helper, "Write into the account of a lot; sent twice, it counts once", app.Desk.EnterLot)
}
