package app

import (
	"context"

	"keeler/core/calendar"
	"keeler/core/fit"
)

// Weather gives the hours from a day on at a place. What it cannot tell is an
// error; nothing is then known of the weather.
type Weather interface {
	Forecast(ctx context.Context, yard string, latitude float64, from calendar.Day) (fit.Forecast, error)
}
