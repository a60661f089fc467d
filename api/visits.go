package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// ByDay names a day of a job; exported because the schema looks into it.
type ByDay struct {
	ByID
	Day string `query:"day" doc:"2006-01-02; today when left out."`
}

// visits registers the work in the yard.
func visits(r routes) {
	answer(r, r.describe(get+" jobs/{id}/visit", "get-visit", "A day of a job in the yard", 404, 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *struct {
			ByDay
			Act string `query:"act" doc:"give, out, move, weigh, check or board; when left out, give on a day of the job, else out."`
			On  string `query:"on" doc:"The day on which it was done, 2006-01-02, where it is entered afterwards; today when left out."`
		}) (wire.Visit, error) {
			return desk.Visit(ctx, app.VisitQuery{Job: in.ID, Day: in.Day, Act: in.Act, On: in.On})
		})
	answer(r, r.much().describe(post+" jobs/{id}/applications", "apply", "Write what was done, each line alone; sent twice, it counts once", 404, 422), app.Helper,
		func(ctx context.Context, desk app.Desk, in *struct {
			ByDay
			Body checked[wire.Applications]
		}) (wire.Sent, error) {
			return desk.Apply(ctx, in.ID, in.Day, in.Body.value)
		})
	send(r, put+" extras", "set-extras", app.Helper, "What is ticked on visits in a season", app.Desk.SetExtras)
}
