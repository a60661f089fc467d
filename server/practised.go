package server

import (
	"context"
	"time"

	"keeler/app"
	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/sim/weather"
)

// practised is the weather of a season of practice: made up, and alike for all who play the same one.
type practised struct{ seed uint64 }

func practisedWeather(seed uint64) app.Weather { return practised{seed} }

func (p practised) Forecast(_ context.Context, _ string, latitude float64, from calendar.Day) (fit.Forecast, error) {
	hours := weather.Forecast("practice", latitude, from.Begins(time.UTC), p.seed)
	out := make(fit.Forecast, len(hours))
	for i, h := range hours {
		at := from.Begins(time.UTC).Add(time.Duration(i) * time.Hour)
		out[i] = fit.Hour{Day: calendar.On(at), Hour: at.Hour(), TempC: h.TempC, WindMS: h.WindMS, GustMS: h.GustMS, Rain: h.RainMM}
	}
	return out, nil
}
