package api

import (
	"context"
	"io"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// Recalled names what is recalled; exported because the schema looks into it.
type Recalled struct {
	Lot    string `query:"lot" format:"uuid" doc:"Its id: its batches, their doses, who was to get it, what is left where."`
	Batch  string `query:"batch" format:"uuid" doc:"Its id: the same of a batch, and of those into which its left-over was carried."`
	Colony string `query:"colony" format:"uuid" doc:"Its id: every lot that reached it."`
}

func (r Recalled) query() app.RecallQuery {
	return app.RecallQuery{Lot: oneSpelling(r.Lot), Batch: oneSpelling(r.Batch), Colony: oneSpelling(r.Colony)}
}

// recalling registers where lots and batches went.
func recalling(r routes) {
	answer(r, r.describe(get+" recall", "get-recall", "Where a lot or a batch went, or which lots reached a colony", 404, 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *Recalled) (wire.Recall, error) {
			return desk.Recall(ctx, in.query())
		})
	export := r.describe(get+" export/recall", "export-recall", "The same as CSV", 404, 422)
	route(r, export, app.Viewer, func(ctx context.Context, desk app.Desk, in *Recalled) (*huma.StreamResponse, error) {
		if _, err := desk.Recall(ctx, in.query()); err != nil {
			return nil, err
		}
		return r.csv("recall", func(ctx context.Context, to io.Writer) error { return desk.RecallFile(ctx, in.query(), to) }), nil
	})
}
