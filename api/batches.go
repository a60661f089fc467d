package api

import (
	"context"
	"net/http"

	"keeler/app"
	"keeler/wire"
)

type saved struct {
	Status int
	Body   wire.Batch
}

// batches registers what was mixed.
func batches(r routes) {
	save := r.much().describe(post+" batches", "save-batch", "Keep a batch; sent twice, it counts once", 409, 422)
	save.DefaultStatus = http.StatusCreated
	route(r, save, app.Keeper, func(ctx context.Context, desk app.Desk, in *sent[wire.SaveBatch]) (*saved, error) {
		b, created, err := desk.SaveBatch(ctx, in.Body.value)
		if created {
			return &saved{http.StatusCreated, b}, err
		}
		return &saved{http.StatusOK, b}, err
	})
	read(r, "batches", "list-batches", app.Viewer, "The newest batches", app.Desk.Batches)
	readOne(r, "batches/{id}", "get-batch", app.Viewer, "One batch whole", app.Desk.Batch)
	sendTo(r, post+" batches/{id}/remarks", "remark-batch", app.Helper, "Write a remark to a batch", app.Desk.Remark)
	sendTo(r, post+" batches/{id}/composition", "correct-batch", app.Keeper, "Put right what a batch really holds; its doses are amended and marked", app.Desk.CorrectBatch)
	sendTo(r, post+" batches/{id}/void", "void-batch", app.Keeper, "Mark a batch as void; it stays", app.Desk.VoidBatch)
}
