package api

import (
	"context"
	"io"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// wanted is which lines of the register are wanted.
type wanted struct {
	Colony string `query:"colony" format:"uuid" doc:"Its id."`
	Yard   string `query:"yard" format:"uuid" doc:"Its id."`
	Batch  string `query:"batch" format:"uuid" doc:"Its id."`
	Method string `query:"method" doc:"dribble, strip, pad, vapour or other."`
	From   string `query:"from" doc:"The first day, 2006-01-02."`
	To     string `query:"to" doc:"The last day, 2006-01-02."`
	Find   string `query:"find" maxLength:"80" doc:"The whole name of a hive, a batch number, or a part of what was given, by whom, from which lot or batch, or of the rule."`
	Group  string `query:"group" doc:"colony, yard or batch: ordered by them first."`
	Order  string `query:"order" enum:"newest,oldest" doc:"Newest first when left out."`
	After  string `query:"after" doc:"What the page before named as more."`
}

func (w wanted) query() app.RegisterQuery {
	return app.RegisterQuery{
		Colony: oneSpelling(w.Colony), Yard: oneSpelling(w.Yard), Batch: oneSpelling(w.Batch), Method: w.Method, From: w.From, To: w.To, Group: w.Group,
		Oldest: w.Order == "oldest", After: w.After, Find: w.Find,
	}
}

// registering registers the medicine record.
func registering(r routes) {
	sendTo(r, post+" register/{id}/amend", "amend", app.Helper, "Correct a line; the old one stays", app.Desk.Amend)
	sendTo(r, post+" register/{id}/correct", "correct", app.Helper, "Put a line right: colony, day, amount, batch, giver, method or product; the old one stays", app.Desk.Correct)
	answer(r, r.describe(get+" register", "get-register", "The medicine record, a page of it", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *wanted) (wire.Register, error) {
			return desk.Register(ctx, in.query())
		})
	send(r.much(), post+" register", "record-other", app.Helper, "Write down what was given outside a job", app.Desk.RecordOther)
	export := r.describe(get+" export/register", "export-register", "The register as CSV", 422)
	route(r, export, app.Viewer, func(ctx context.Context, desk app.Desk, in *wanted) (*huma.StreamResponse, error) {
		if err := desk.BeginExport(ctx, in.query()); err != nil {
			return nil, err
		}
		return r.csv("register", func(ctx context.Context, to io.Writer) error { return desk.ExportRegister(ctx, in.query(), to) }), nil
	})
}

// csv is a table that is written while it is read; one that breaks off is cut, and lacks the line that
// tells how many rows it has.
func (r routes) csv(name string, write func(context.Context, io.Writer) error) *huma.StreamResponse {
	return &huma.StreamResponse{Body: func(c huma.Context) {
		c.SetHeader("Content-Type", "text/csv; charset=utf-8")
		c.SetHeader("Content-Disposition", `attachment; filename="`+name+`.csv"`)
		if err := write(c.Context(), c.BodyWriter()); err != nil {
			r.desks.log.Error(name+" as CSV", "error", err)
			panic(http.ErrAbortHandler)
		}
	}}
}
