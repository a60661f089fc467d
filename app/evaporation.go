package app

import (
	"time"

	"keeler/core/calendar"
	"keeler/core/chem"
	"keeler/core/followup"
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"
)

// emptyWithin is within how many days of the first weighing it is told when a device will be
// empty.
const emptyWithin = 40

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
