package api

import (
	"context"
	"io"

	"keeler/app"
	"keeler/wire"

	"github.com/danielgtaylor/huma/v2"
)

// OfYear is which medicine record is wanted.
type OfYear struct {
	Year    int    `query:"year" doc:"The one that goes on when left out."`
	To      int    `query:"to" doc:"The last of several years; the same when left out."`
	Yard    string `query:"yard" format:"uuid" doc:"Its id; all when left out."`
	Columns string `query:"columns" doc:"short (for a hive book) or batches; all of them when left out."`
}

// shownOfYear is a record as it is read on a screen.
type shownOfYear struct {
	OfYear
	FirstShown
}

func (w OfYear) query() app.RecordQuery {
	return app.RecordQuery{Year: w.Year, To: w.To, Yard: oneSpelling(w.Yard), Template: w.Columns}
}

// recording registers the medicine record of a year.
func recording(r routes) {
	answer(r, r.describe(get+" record", "get-record", "The medicine record of a year, by yard and colony", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *shownOfYear) (wire.Record, error) {
			q := in.query()
			q.First = in.First
			return desk.Record(ctx, q)
		})
	route(r, r.describe(get+" export/record", "export-record", "The same as CSV", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *OfYear) (*huma.StreamResponse, error) {
			if err := desk.BeginRecordFile(ctx, in.query()); err != nil {
				return nil, err
			}
			return r.csv("record", func(ctx context.Context, to io.Writer) error { return desk.RecordFile(ctx, in.query(), to) }), nil
		})
}
