package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// reminders registers what reminds people in their browsers.
func reminders(r routes) {
	own(r, get+" reminders", "push-key", "What a browser is told to expect reminders by", func(ctx context.Context, desk app.Desk, _ *none) (wire.PushKey, error) { return desk.PushKey(ctx) })
	toBrowser(r, post+" reminders", "remind-me", "Be reminded in a browser on mornings with something to do", app.Desk.RemindMe)
	toBrowser(r, post+" reminders/test", "try-reminder", "Send what there is to do today to a browser of one's own", app.Desk.TryReminder)
	toBrowser(r, post+" reminders/end", "remind-no-more", "Be reminded in a browser no more", app.Desk.RemindNoMore)
}

// toBrowser is a route to one of one's own browsers.
func toBrowser[In any](r routes, methodAndPath, id, summary string, do func(app.Desk, context.Context, In) error) {
	personal(r, r.describe(methodAndPath, id, summary, 422), func(ctx context.Context, desk app.Desk, in *sent[In]) (*none, error) {
		return nil, do(desk, ctx, in.Body.value)
	})
}
