package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// ofYear is which medicine record is wanted.
type ofYear struct {
	Year    int    `query:"year" doc:"The one that goes on when left out."`
	Yard    string `query:"yard" format:"uuid" doc:"Its id; all when left out."`
	Columns string `query:"columns" doc:"short (for a hive book) or batches; all of them when left out."`
}

func (w ofYear) query() app.RecordQuery {
	return app.RecordQuery{Year: w.Year, Yard: oneSpelling(w.Yard), Template: w.Columns}
}

// recording registers the medicine record of a year.
func recording(r routes) {
	answer(r, r.describe(get+" record", "get-record", "The medicine record of a year, by yard and colony", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *ofYear) (wire.Record, error) {
			return desk.Record(ctx, in.query())
		})
	route(r, r.describe(get+" export/record", "export-record", "The same as CSV", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *ofYear) (*file, error) {
			text, err := desk.RecordFile(ctx, in.query())
			return &file{"text/csv; charset=utf-8", `attachment; filename="record.csv"`, text}, err
		})
}
