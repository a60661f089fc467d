package app

import (
	"context"
	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/store"
	"math"
	"time"

	"github.com/samber/lo"
)

const dayHours = 24

// skies are the temperatures of a yard by the hour, °C, asked for once from each day.
type skies struct {
	d     Desk
	ctx   context.Context
	known map[string]fit.Forecast
}

// hours are the temperatures of so many hours from an instant on; NaN where nobody knows. A
// forecast of a day that is over is asked for, too: some services tell what was.
func (s skies) hours(yard store.Yard, from time.Time, n int) []float64 {
	out := make([]float64, n)
	for i := range out {
		out[i] = math.NaN()
	}
	if s.d.weather() == nil {
		return out
	}
	begun := calendar.On(from)
	for _, day := range lo.Uniq([]calendar.Day{begun, s.d.today()}) {
		key := yard.ID + day.String()
		f, there := s.known[key]
		if !there {
			f, _ = s.d.weather().Forecast(s.ctx, yard.ID, yard.Latitude, day) // none: NaN
			s.known[key] = f
		}
		for _, h := range f {
			if i := int(h.Day-begun)*dayHours + h.Hour - from.Hour(); i >= 0 && i < n {
				out[i] = h.TempC
			}
		}
	}
	return out
}

// at is the temperature outside at an hour, and the highest of its day, °C; nil where nobody
// knows.
func (s skies) at(yard store.Yard, when time.Time) (air, high *float64) {
	year, month, day := when.Date()
	for hour, c := range s.hours(yard, time.Date(year, month, day, 0, 0, 0, 0, when.Location()), dayHours) {
		if math.IsNaN(c) {
			continue
		}
		if hour == when.Hour() {
			air = new(c)
		}
		if high == nil || c > *high {
			high = new(c)
		}
	}
	return air, high
}
