package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// deciding registers the judgement and the jobs that come of it.
func deciding(r routes) {
	list(r.api, "season/protocols", "What each established way asks of colony, day and weather", wire.SeasonProtocols)
	answer(r, r.describe(get+" decide", "decide", "Which method fits which colony on a day, and the windows of the next ten", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *struct {
			FirstShown
			Day     string `query:"day" doc:"2006-01-02; today when left out."`
			Yard    string `query:"yard" format:"uuid" doc:"Its id; all yards when left out."`
			People  int    `query:"people" doc:"The crew, 1 to 12; 1 when left out."`
			Dribble string `query:"dribble" doc:"Protocol or card: for the dribble; the usual of the season when left out."`
			Strip   string `query:"strip" doc:"The same for strips."`
			Pad     string `query:"pad" doc:"The same for formic acid."`
		}) (wire.Decide, error) {
			return desk.Decide(ctx, app.Question{Day: in.Day, Yard: oneSpelling(in.Yard), People: in.People, Under: [3]string{in.Dribble, in.Strip, in.Pad}, First: in.First})
		})
	route(r, r.describe(put+" weather", "expect-weather", "Say what weather is expected on a day, where no service tells", 422), app.Keeper,
		func(ctx context.Context, desk app.Desk, in *sent[wire.Expect]) (*none, error) {
			return nil, desk.Expect(ctx, in.Body.value)
		})
	send(r.much(), post+" jobs/plan", "plan-job", app.Viewer, "Deal colonies out to the windows of the coming days", app.Desk.PlanJob)
	send(r.much(), post+" jobs", "save-job", app.Keeper, "Make a job; sent twice, it counts once", app.Desk.SaveJob)
	answer(r, r.describe(get+" jobs", "list-jobs", "The newest jobs", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *struct {
			FirstShown
			Archived bool `query:"archived" doc:"Those that are put away among them."`
		}) (wire.Jobs, error) {
			return desk.Jobs(ctx, in.Archived, in.First)
		})
	readOne(r, "jobs/{id}", "get-job", app.Viewer, "One job whole", app.Desk.Job)
	sendTo(r, post+" jobs/{id}/end", "end-job", app.Keeper, "Close a job: finished, or cancelled", app.Desk.EndJob)
	sendTo(r, post+" jobs/{id}/archive", "archive-job", app.Keeper, "Put a job away that is over, or take it out again", app.Desk.ArchiveJob)
	answer(r, r.describe(get+" jobs/{id}/recipe", "get-job-recipe", "A day of a job as it is carried on to mixing", 404, 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *struct {
			ByID
			Day string `query:"day" doc:"2006-01-02; all days when left out."`
		}) (wire.JobRecipe, error) {
			return desk.JobRecipe(ctx, in.ID, in.Day)
		})
}
