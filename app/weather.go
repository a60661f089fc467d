package app

import (
	"context"
	"errors"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/guard"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Weather gives the hours from a day on at a place. What it cannot tell is an
// error; nothing is then known of the weather.
type Weather interface {
	Forecast(ctx context.Context, yard string, latitude float64, from calendar.Day) (fit.Forecast, error)
}

// noWeather is a service that never answers.
type noWeather struct{}

func (noWeather) Forecast(context.Context, string, float64, calendar.Day) (fit.Forecast, error) {
	return nil, errors.New("no service of forecasts")
}

// What may be wrong with a service that is asked: its address lies within the server's own
// network, or what answers tells no forecast.
var (
	ErrInside     = errors.New("an address within the server's own network")
	ErrNoForecast = errors.New("what answers tells no forecast")
)

// weather is whom the operation asks; nil: nobody.
func (d Desk) weather() Weather {
	if p := d.who.Practice; p != nil {
		if d.app.set.Practised == nil {
			return nil
		}
		return d.app.set.Practised(p.seed)
	}
	if d.who.Forecast != "" {
		return d.app.set.WeatherOf(d.who.Forecast)
	}
	return d.app.set.Weather
}

// forecasts asks for the weather of all yards at once. Days of which no service tells are as
// the keeper expects them; of what nobody knows there is nothing.
func (d Desk) forecasts(ctx context.Context, yards []store.Yard) []fit.Forecast {
	out := make([]fit.Forecast, len(yards))
	if from := d.weather(); from != nil {
		err := guard.Each(ctx, len(yards), len(yards), func(i int) {
			// An error is told as no forecast: the judgement says so, and what to read instead.
			out[i], _ = from.Forecast(ctx, yards[i].ID, yards[i].Latitude, d.today())
		})
		if err != nil && ctx.Err() == nil {
			d.app.set.Log.Error("ask for forecasts", "error", err)
		}
	}
	typed, _ := d.expected(ctx) // as an error of the service
	for at, e := range typed {
		_, i, here := lo.FindIndexOf(yards, func(y store.Yard) bool { return y.ID == at.yard })
		if here && !out[i].Tells(at.day) {
			out[i] = append(out[i][:len(out[i]):len(out[i])], e.Hours(at.day)...) // the service's own is kept as it came
		}
	}
	return out
}

// yardDay is a day at a yard.
type yardDay struct {
	yard string
	day  calendar.Day
}

// expected is the weather that a keeper typed, from today on.
func (d Desk) expected(ctx context.Context) (map[yardDay]fit.Expected, error) {
	rows, err := d.op.Expected(ctx, timeOf(d.today()))
	return lo.SliceToMap(rows, func(e store.ExpectedDay) (yardDay, fit.Expected) {
		return yardDay{e.YardID, dayOf(e.Day)}, fit.Expected{LowC: e.LowC, HighC: e.HighC, WindMS: e.WindMS, RainMM: e.RainMM}
	}), err
}

// Expect takes what weather a keeper expects on a day. Where a service tells of that day it is
// the service that counts.
func (d Desk) Expect(ctx context.Context, in wire.Expect) error {
	l, _ := in.Expected.Check().(fault.List)
	day := readDay("day", in.Day, d.today(), d.today()+366, &l)
	if err := l.Err(); err != nil {
		return err
	}
	return unknown("yards", d.op.Expect(ctx, lo.Map(lo.Uniq(in.Yards), func(yard string, _ int) store.ExpectedDay {
		return store.ExpectedDay{
			YardID: yard, Day: timeOf(day), LowC: in.LowC, HighC: in.HighC, WindMS: in.WindMS, RainMM: in.RainMM,
			UserID: d.who.User, CreatedAt: d.stamp(),
		}
	})))
}

// TryForecast asks a service for the weather of today at the first yard.
func (d Desk) TryForecast(ctx context.Context, in wire.TryForecast) (wire.ForecastTried, error) {
	var l fault.List
	address(&l, "forecast", in.Forecast)
	if err := l.Err(); err != nil {
		return wire.ForecastTried{}, err
	}
	yards, err := d.op.Yards(ctx)
	if err != nil {
		return wire.ForecastTried{}, err
	}
	yard := append(yards, store.Yard{Latitude: 50})[0]
	hours, err := d.app.set.WeatherOf(in.Forecast).Forecast(ctx, yard.ID, yard.Latitude, d.today())
	switch {
	case errors.Is(err, ErrInside):
		l.Add("forecast", fault.Inside)
	case errors.Is(err, ErrNoForecast) || err == nil && !hours.Tells(d.today()):
		l.Add("forecast", fault.NoForecast)
	case err != nil:
		l.Add("forecast", fault.NoAnswer)
	}
	if err := l.Err(); err != nil {
		return wire.ForecastTried{}, err
	}
	low, high := hours.Range(d.today())
	days := lo.UniqBy(hours, func(h fit.Hour) calendar.Day { return h.Day })
	return wire.ForecastTried{Yard: yard.Name, Days: len(days), LowC: wire.Round(low), HighC: wire.Round(high)}, nil
}
