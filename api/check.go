package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// checking registers what there is to come back for, and whether it worked.
func checking(r routes) {
	answer(r, r.describe(get+" check", "check", "What there is to come back for, and how the jobs stand", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *FirstShown) (wire.Check, error) {
			return desk.Check(ctx, in.First)
		})
	readOne(r, "jobs/{id}/check", "check-job", app.Viewer, "Whether a job worked, and what follows", app.Desk.JobCheck)
	route(r, r.much().describe(post+" followups/skip", "skip-followups", "Say why something is not done, or that it is after all", 422), app.Helper,
		func(ctx context.Context, desk app.Desk, in *sent[wire.SkipFollowups]) (*none, error) {
			return nil, desk.SkipFollowups(ctx, in.Body.value)
		})
	read(r, "spent", "list-spent", app.Viewer, "What came out of hives, and what became of it", app.Desk.Spent)
	sendTo(r, post+" jobs/{id}/spent", "spend-pieces", app.Helper, "Say what became of what came out of hives", app.Desk.SpendPieces)
	answer(r, r.describe(get+" compare", "compare", "Treatments held against each other", 404, 422), app.Viewer, func(ctx context.Context, desk app.Desk, in *compared) (wire.Compare, error) {
		return desk.Compare(ctx, in.comparing())
	})
	read(r, "comparisons", "list-comparisons", app.Viewer, "The groups that were made to be compared", app.Desk.Comparisons)
	send(r.much(), post+" comparisons", "save-comparison", app.Keeper, "Make groups to be compared, dealt by chance or not", app.Desk.SaveComparison)
	route(r, r.describe(remove+" comparisons/{id}", "remove-comparison", "Forget groups; what was given and counted stays", 404), app.Keeper,
		func(ctx context.Context, desk app.Desk, in *ByID) (*none, error) {
			return nil, desk.RemoveComparison(ctx, in.ID)
		})
	send(r, post+" comparisons/power", "plan-comparison", app.Viewer, "How many colonies a fair comparison takes",
		func(_ app.Desk, _ context.Context, in wire.PowerRequest) (wire.PowerAnswer, error) {
			return wire.Power(in)
		})
}

// compared is which treatments are compared, and by what.
type compared struct {
	By         string `query:"by" required:"true" enum:"job,year,yard,method,protocol,batch,carrier,groups"`
	Job        string `query:"job" format:"uuid" doc:"Of one job alone: its id."`
	Yard       string `query:"yard" format:"uuid" doc:"Of one yard alone: its id."`
	Method     string `query:"method" enum:"dribble,strip,pad" doc:"Of one method alone."`
	Comparison string `query:"comparison" format:"uuid" doc:"With by=groups: whose groups."`
}

func (c compared) comparing() app.Comparing {
	return app.Comparing{By: c.By, Job: oneSpelling(c.Job), Yard: oneSpelling(c.Yard), Method: c.Method, Comparison: oneSpelling(c.Comparison)}
}
