package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// checking registers what there is to come back for, and whether it worked.
func checking(r routes) {
	read(r, "check", "check", app.Viewer, "What there is to come back for, and how the jobs stand", app.Desk.Check)
	readOne(r, "jobs/{id}/check", "check-job", app.Viewer, "Whether a job worked, and what follows", app.Desk.JobCheck)
	route(r, r.much().describe(post+" followups/skip", "skip-followups", "Say why something is not done, or that it is after all", 422), app.Helper,
		func(ctx context.Context, desk app.Desk, in *sent[wire.SkipFollowups]) (*none, error) {
			return nil, desk.SkipFollowups(ctx, in.Body.value)
		})
}
