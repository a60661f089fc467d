package app

import (
	"context"
	"math"
	"time"

	"keeler/core/calendar"
	"keeler/core/chem"
	"keeler/core/fit"
	"keeler/core/followup"
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

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
	if s.d.app.set.Weather == nil {
		return out
	}
	begun := calendar.On(from)
	for _, day := range lo.Uniq([]calendar.Day{begun, s.d.today()}) {
		key := yard.ID + day.String()
		f, there := s.known[key]
		if !there {
			f, _ = s.d.app.set.Weather.Forecast(s.ctx, yard.ID, yard.Latitude, day) // none: NaN
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

const (
	dayHours = 24
	// emptyWithin is within how many days of the first weighing it is told when a device will
	// be empty.
	emptyWithin = 40
)

// evaporation tells how fast formic acid goes in one hive, by what its device weighed; nil
// where it was not weighed twice since it was filled.
func (t told) evaporation(c treated, lines []store.Application, sky skies) *wire.Evaporation {
	if t.terms.Way != followup.Filling && t.terms.Way != followup.Pads {
		return nil
	}
	var filled store.Application
	var gross []pad.Weighing
	var first time.Time
	e := pad.Evaporating{Device: pad.Bottle, Boxes: len(c.row.Boxes)}
	for _, l := range lines {
		switch treatment.Kind(l.Kind) {
		case treatment.Given: // what was weighed before it tells of another filling
			filled, gross = l, nil
		case treatment.Weighed:
			if len(gross) == 0 {
				first = sky.d.local(l.GivenAt)
			}
			gross = append(gross, pad.Weighing{Hour: int(l.GivenAt.Sub(first).Hours()), Left: chem.Grams(l.Amount)})
			if a := wire.ApplicationOf(l.Detail, wire.Application{}).AreaCM2; a > 0 {
				e.Area = a
			}
		}
	}
	if t.terms.Way == followup.Pads {
		e.Device = pad.Soaked
	}
	if e.Full = chem.FormicMass(chem.Millilitres(filled.Amount), pad.WeakestWorking); filled.Unit != method.Millilitres {
		e.Full = chem.Grams(filled.FormicMG / 1000 / float64(pad.WeakestWorking))
	}
	whole := !filled.Extra && calendar.On(first) == dayOf(filled.VisitDay)
	w, ok := e.Watch(gross, whole, sky.hours(c.yard, first, emptyWithin*dayHours))
	if !ok {
		return nil
	}
	out := &wire.Evaporation{
		DayG: wire.Round(float64(w.Day)), LowG: float64(w.Low), HighG: float64(w.High), Pace: string(w.Pace), AreaCM2: wire.Round(w.Area),
		Words: words.Pace(string(w.Pace), w.Area), Rose: w.Rose, Factor: wire.Round(w.Factor), FactorOff: wire.Round(w.Off),
	}
	if w.Empty >= 0 {
		out.EmptyOn = written(calendar.On(first.Add(time.Duration(w.Empty) * time.Hour)))
	}
	return out
}
