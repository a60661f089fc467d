package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// today registers what there is to do, and the way to everything else.
func today(r routes) {
	answer(r, r.describe(get+" today", "today", "What there is to do, and where", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *FirstShown) (wire.Today, error) {
			return desk.Today(ctx, in.First)
		})
	route(r, r.describe(post+" today/skip", "skip-call", "Say why a batch or lot is not seen to, or that it is after all", 422), app.Helper,
		func(ctx context.Context, desk app.Desk, in *sent[wire.SkipCall]) (*none, error) {
			return nil, desk.SkipCall(ctx, in.Body.value)
		})
	route(r, r.describe(put+" fortnight", "set-fortnight", "Set the fortnight in which all yards treat", 422), app.Owner,
		func(ctx context.Context, desk app.Desk, in *sent[wire.SetFortnight]) (*none, error) {
			return nil, desk.SetFortnight(ctx, in.Body.value)
		})
	read(r, "feed", "get-feed", app.Viewer, "Whether there is an address for one's calendar", app.Desk.Feed)
	answer(r, r.describe(post+" feed", "make-feed", "Make an address for one's calendar; the one before it ends"), app.Viewer,
		func(ctx context.Context, desk app.Desk, _ *none) (wire.Feed, error) { return desk.MakeFeed(ctx) })
	route(r, r.describe(remove+" feed", "end-feed", "Revoke the address of one's calendar"), app.Viewer,
		func(ctx context.Context, desk app.Desk, _ *none) (*none, error) { return nil, desk.EndFeed(ctx) })
	route(r, r.describe(get+" calendar", "get-calendar", "What there is to come back for, as an iCalendar file"), app.Viewer,
		func(ctx context.Context, desk app.Desk, _ *none) (*calendarFile, error) { return calendarOf(ctx, desk) })
	register(r, r.describe(get+" calendar/{token}", "read-calendar", "The same, for another calendar, by its secret address", 404, 503),
		func(ctx context.Context, in *byToken) (*calendarFile, error) {
			desk, err := r.desks.app.DeskByFeed(ctx, in.Token)
			if err != nil {
				return nil, err
			}
			return calendarOf(ctx, desk)
		})
	read(r, "names", "list-names", app.Viewer, "Yards, hives, batches and jobs by name, to go to", app.Desk.Names)
}

// FirstShown is whether a screen is asked for as it is shown first.
type FirstShown struct {
	First bool `query:"first" doc:"Of many yards or jobs those alone that are shown first, told by so_far; all of them are asked for after it."`
}

// calendarFile is an iCalendar file.
type calendarFile struct {
	Type        string `header:"Content-Type"`
	Disposition string `header:"Content-Disposition"`
	Body        []byte
}

func calendarOf(ctx context.Context, desk app.Desk) (*calendarFile, error) {
	file, err := desk.Calendar(ctx)
	return &calendarFile{"text/calendar; charset=utf-8", `attachment; filename="keeler.ics"`, []byte(file)}, err
}
