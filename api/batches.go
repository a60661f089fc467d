package api

import (
	"context"
	"log/slog"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/store"
	"keeler/wire"
)

// BatchPath names one batch; exported because the schema looks into it.
type BatchPath struct {
	ID string `path:"id" format:"uuid"`
}

type saved struct {
	Status int
	Body   wire.Batch
}

// batches registers what is kept.
func batches(h huma.API, a *app.App, log *slog.Logger) {
	const operation = store.FirstOperation
	op := func(id, method, path, summary string, errors ...int) huma.Operation {
		return huma.Operation{
			OperationID: id, Method: method, Path: path, Summary: summary, Tags: []string{"batches"},
			Errors: append(errors, http.StatusServiceUnavailable),
		}
	}
	const one = "/api/batches/{id}"

	save := op("save-batch", http.MethodPost, "/api/batches", "Keep a batch; sent twice, it counts once", 409, 422)
	save.DefaultStatus = http.StatusCreated
	huma.Register(h, save, func(ctx context.Context, in *body[wire.SaveBatch]) (*saved, error) {
		b, created, err := a.SaveBatch(ctx, operation, in.Body)
		if err != nil {
			return nil, problem(ctx, log, err)
		}
		if created {
			return &saved{http.StatusCreated, b}, nil
		}
		return &saved{http.StatusOK, b}, nil
	})
	huma.Register(h, op("list-batches", http.MethodGet, "/api/batches", "The newest batches"),
		func(ctx context.Context, _ *struct{}) (*body[wire.BatchList], error) {
			v, err := a.Batches(ctx, operation)
			return answered(ctx, log, v, err)
		})
	huma.Register(h, op("get-batch", http.MethodGet, one, "One batch whole", 404),
		func(ctx context.Context, in *BatchPath) (*body[wire.Batch], error) {
			v, err := a.Batch(ctx, operation, in.ID)
			return answered(ctx, log, v, err)
		})
	huma.Register(h, op("remark-batch", http.MethodPost, one+"/remarks", "Write a remark to a batch", 404, 422),
		func(ctx context.Context, in *struct {
			BatchPath
			Body wire.Remark
		}) (*body[wire.Batch], error) {
			v, err := a.Remark(ctx, operation, in.ID, in.Body)
			return answered(ctx, log, v, err)
		})
	huma.Register(h, op("void-batch", http.MethodPost, one+"/void", "Mark a batch as void; it stays", 404, 422),
		func(ctx context.Context, in *struct {
			BatchPath
			Body wire.VoidBatch
		}) (*body[wire.Batch], error) {
			v, err := a.VoidBatch(ctx, operation, in.ID, in.Body.Reason)
			return answered(ctx, log, v, err)
		})
}

// answered wraps what app gives, or tells the problem.
func answered[T any](ctx context.Context, log *slog.Logger, v T, err error) (*body[T], error) {
	if err != nil {
		return nil, problem(ctx, log, err)
	}
	return &body[T]{v}, nil
}
