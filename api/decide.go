package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// cards registers what was copied from labels.
func cards(h huma.API, d *desks) {
	answering(h, d, app.Viewer, operation("cards", "list-cards", http.MethodGet, "cards", "The label cards, and blank ones"),
		func(ctx context.Context, desk app.Desk, _ *none) (wire.LabelCards, error) { return desk.Cards(ctx) })
	answering(h, d, app.Keeper, operation("cards", "add-card", http.MethodPost, "cards", "A new label card", 409, 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.LabelCard]) (wire.LabelCard, error) {
			return desk.SaveCard(ctx, "", in.Body)
		})
	answering(h, d, app.Keeper, operation("cards", "change-card", http.MethodPut, "cards/{id}", "Change a card over the version that was seen", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.LabelCard]) (wire.LabelCard, error) {
			return desk.SaveCard(ctx, in.ID, in.Body)
		})
}

// deciding registers the judgement and the jobs that come of it.
func deciding(h huma.API, d *desks) {
	list(h, "season/protocols", "What each established way asks of colony, day and weather", wire.SeasonProtocols)
	answering(h, d, app.Viewer, operation("decide", "decide", http.MethodGet, "decide", "Which method fits which colony on a day, and the windows of the next ten", 422),
		func(ctx context.Context, desk app.Desk, in *struct {
			Day     string `query:"day" doc:"2006-01-02; today when left out."`
			Yard    string `query:"yard" doc:"Its id; all yards when left out."`
			People  int    `query:"people" doc:"The crew, 1 to 12; 1 when left out."`
			Dribble string `query:"dribble" doc:"Protocol or card: for the dribble; the usual of the season when left out."`
			Strip   string `query:"strip" doc:"The same for strips."`
			Pad     string `query:"pad" doc:"The same for formic acid."`
		}) (wire.Decide, error) {
			return desk.Decide(ctx, app.Question{Day: in.Day, Yard: in.Yard, People: in.People, Under: [3]string{in.Dribble, in.Strip, in.Pad}})
		})
	answering(h, d, app.Viewer, operation("decide", "plan-job", http.MethodPost, "jobs/plan", "Deal colonies out to the windows of the coming days", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.JobPlan]) (wire.JobShares, error) {
			return desk.PlanJob(ctx, in.Body)
		})
	answering(h, d, app.Keeper, operation("decide", "save-job", http.MethodPost, "jobs", "Make a job; sent twice, it counts once", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.SaveJob]) (wire.Job, error) {
			return desk.SaveJob(ctx, in.Body)
		})
	answering(h, d, app.Viewer, operation("decide", "list-jobs", http.MethodGet, "jobs", "The newest jobs"),
		func(ctx context.Context, desk app.Desk, _ *none) (wire.Jobs, error) { return desk.Jobs(ctx) })
	answering(h, d, app.Viewer, operation("decide", "get-job", http.MethodGet, "jobs/{id}", "One job whole", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (wire.Job, error) { return desk.Job(ctx, in.ID) })
	answering(h, d, app.Keeper, operation("decide", "end-job", http.MethodPost, "jobs/{id}/end", "Close a job: finished, or cancelled", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.EndJob]) (wire.Job, error) {
			return desk.EndJob(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Viewer, operation("decide", "get-job-recipe", http.MethodGet, "jobs/{id}/recipe", "A day of a job as it is carried on to mixing", 404, 422),
		func(ctx context.Context, desk app.Desk, in *struct {
			ByID
			Day string `query:"day" doc:"2006-01-02; all days when left out."`
		}) (wire.JobRecipe, error) {
			return desk.JobRecipe(ctx, in.ID, in.Day)
		})
}
