package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// settings registers how an operation, and each person in it, would have things.
func settings(r routes) {
	read(r, "settings", "get-settings", app.Viewer, "How the operation, and who asks, would have figures, days and the weather", app.Desk.Settings)
	send(r, put+" settings", "change-settings", app.Owner, "Change those of the operation over the version that was seen", app.Desk.ChangeSettings)
	route(r, r.describe(put+" settings/own", "change-own-form", "Say how one would have figures and days oneself", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *sent[wire.OwnForm]) (*none, error) {
			return nil, desk.ChangeForm(ctx, in.Body.value)
		})
	own(r, get+" reminders", "push-key", "What a browser is told to expect reminders by", func(ctx context.Context, desk app.Desk, _ *none) (wire.PushKey, error) { return desk.PushKey(ctx) })
	reminders(r, post+" reminders", "remind-me", "Be reminded in a browser on mornings with something to do", app.Desk.RemindMe)
	reminders(r, post+" reminders/test", "try-reminder", "Send what there is to do today to a browser of one's own", app.Desk.TryReminder)
	reminders(r, post+" reminders/end", "remind-no-more", "Be reminded in a browser no more", app.Desk.RemindNoMore)
	send(r, post+" settings/forecast", "try-forecast", app.Owner, "Ask a service of forecasts for the weather of today", app.Desk.TryForecast)
}

// reminders is a route to one's own browsers.
func reminders[In any](r routes, methodAndPath, id, summary string, do func(app.Desk, context.Context, In) error) {
	personal(r, r.describe(methodAndPath, id, summary, 422), func(ctx context.Context, desk app.Desk, in *sent[In]) (*none, error) {
		return nil, do(desk, ctx, in.Body.value)
	})
}
