package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// ByID names one thing; exported because the schema looks into it.
type ByID struct {
	ID string `path:"id" format:"uuid"`
}

// change is what is sent to one thing.
type change[T any] struct {
	ByID
	Body T
}

// none is a request without anything in it.
type none = struct{}

type saved struct {
	Status int
	Body   wire.Batch
}

// operation describes an operation on what is kept.
func operation(tag, id, method, path, summary string, errors ...int) huma.Operation {
	return huma.Operation{OperationID: id, Method: method, Path: "/api/" + path, Summary: summary, Tags: []string{tag}, Errors: errors}
}

// batches registers what was mixed.
func batches(h huma.API, d *desks) {
	save := operation("batches", "save-batch", http.MethodPost, "batches", "Keep a batch; sent twice, it counts once", 409, 422)
	save.DefaultStatus = http.StatusCreated
	kept(h, d, app.Keeper, save, func(ctx context.Context, desk app.Desk, in *body[wire.SaveBatch]) (*saved, error) {
		b, created, err := desk.SaveBatch(ctx, in.Body)
		if created {
			return &saved{http.StatusCreated, b}, err
		}
		return &saved{http.StatusOK, b}, err
	})
	answering(h, d, app.Viewer, operation("batches", "list-batches", http.MethodGet, "batches", "The newest batches"),
		func(ctx context.Context, desk app.Desk, _ *none) (wire.BatchList, error) { return desk.Batches(ctx) })
	answering(h, d, app.Viewer, operation("batches", "get-batch", http.MethodGet, "batches/{id}", "One batch whole", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (wire.Batch, error) { return desk.Batch(ctx, in.ID) })
	answering(h, d, app.Helper, operation("batches", "remark-batch", http.MethodPost, "batches/{id}/remarks", "Write a remark to a batch", 404, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.Remark]) (wire.Batch, error) {
			return desk.Remark(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Keeper, operation("batches", "void-batch", http.MethodPost, "batches/{id}/void", "Mark a batch as void; it stays", 404, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.VoidBatch]) (wire.Batch, error) {
			return desk.VoidBatch(ctx, in.ID, in.Body.Reason)
		})
}
