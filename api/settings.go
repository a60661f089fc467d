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
	send(r, post+" settings/forecast", "try-forecast", app.Owner, "Ask a service of forecasts for the weather of today", app.Desk.TryForecast)
}
