package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// ByDay names a day of a job; exported because the schema looks into it.
type ByDay struct {
	ByID
	Day string `query:"day" doc:"2006-01-02; today when left out."`
}

// registering is which lines of the register are wanted.
type registering struct {
	Colony string `query:"colony" doc:"Its id."`
	Yard   string `query:"yard" doc:"Its id."`
	Batch  string `query:"batch" doc:"Its id."`
	Method string `query:"method" doc:"dribble, strip, pad, vapour or other."`
	From   string `query:"from" doc:"The first day, 2006-01-02."`
	To     string `query:"to" doc:"The last day, 2006-01-02."`
	Group  string `query:"group" doc:"colony, yard or batch: ordered by them first."`
	Order  string `query:"order" enum:"newest,oldest" doc:"Newest first when left out."`
	After  string `query:"after" doc:"What the page before named as more."`
}

func (r registering) query() app.RegisterQuery {
	return app.RegisterQuery{
		Colony: r.Colony, Yard: r.Yard, Batch: r.Batch, Method: r.Method, From: r.From, To: r.To, Group: r.Group,
		Oldest: r.Order == "oldest", After: r.After,
	}
}

// rounds registers the work in the yard and the record that comes of it.
func rounds(h huma.API, d *desks) {
	answering(h, d, app.Viewer, operation("round", "get-round", http.MethodGet, "jobs/{id}/round", "A day of a job in the yard", 404, 422),
		func(ctx context.Context, desk app.Desk, in *ByDay) (wire.RoundDay, error) {
			return desk.Round(ctx, in.ID, in.Day)
		})
	answering(h, d, app.Helper, operation("round", "apply", http.MethodPost, "jobs/{id}/applications", "Write what was done, each line alone; sent twice, it counts once", 404, 422),
		func(ctx context.Context, desk app.Desk, in *struct {
			ByDay
			Body wire.Applications
		}) (wire.Sent, error) {
			return desk.Apply(ctx, in.ID, in.Day, in.Body)
		})
	answering(h, d, app.Helper, operation("round", "set-extras", http.MethodPut, "extras", "What is ticked on visits in a season", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.VisitExtras]) (wire.VisitExtras, error) {
			return desk.SetExtras(ctx, in.Body)
		})
	answering(h, d, app.Helper, operation("register", "amend", http.MethodPost, "register/{id}/amend", "Correct a line; the old one stays", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.Application]) (wire.Application, error) {
			return desk.Amend(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Viewer, operation("register", "get-register", http.MethodGet, "register", "The medicine record, a page of it", 422),
		func(ctx context.Context, desk app.Desk, in *registering) (wire.Register, error) {
			return desk.Register(ctx, in.query())
		})
	answering(h, d, app.Helper, operation("register", "record-other", http.MethodPost, "register", "Write down what was given outside a job", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.OtherTreatment]) (wire.Register, error) {
			return desk.RecordOther(ctx, in.Body)
		})
	export := operation("register", "export-register", http.MethodGet, "export/register", "The register as CSV", 422)
	kept(h, d, app.Viewer, export, func(ctx context.Context, desk app.Desk, in *registering) (*huma.StreamResponse, error) {
		if err := desk.CheckRegister(in.query()); err != nil {
			return nil, err
		}
		return &huma.StreamResponse{Body: func(c huma.Context) {
			c.SetHeader("Content-Type", "text/csv; charset=utf-8")
			c.SetHeader("Content-Disposition", `attachment; filename="register.csv"`)
			if err := desk.ExportRegister(c.Context(), in.query(), c.BodyWriter()); err != nil {
				d.log.Error("register as CSV", "error", err)
			}
		}}, nil
	})
	watch(h, d, "round", "watch-round", "jobs/{id}", app.Desk.WatchJob)
}
