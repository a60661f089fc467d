package app

import (
	"cmp"
	"slices"

	"keeler/core/fit"
	"keeler/core/followup"
	"keeler/store"
	"keeler/wire"
)

// The band shows so many days before today and after it.
const (
	bandBefore = 7
	bandAfter  = 35
	week       = 7
)

// onBand reports whether something is to be done, or a dose was given, on days of the band.
func (d Desk) onBand(f followup.Followup) bool {
	if f.Kind == followup.Visit && f.State == followup.Done {
		return f.On >= d.today()-bandBefore
	}
	return f.Open() && f.From <= d.today()+bandAfter
}

// bandYard is what the band shows of a yard; next is the dose that comes to it next.
func (d Desk) bandYard(y store.Yard, colonies []comeback, marked []wire.Followup, weather fit.Forecast, next nextDose) wire.BandYard {
	out := wire.BandYard{ID: y.ID, Name: y.Name, Bars: []wire.BandBar{}, Marks: []wire.BandMark{}, Windows: []string{}}
	at := map[wire.BandBar]int{}
	for _, k := range colonies {
		if k.yard.ID != y.ID {
			continue
		}
		for _, t := range k.bees.Treatments {
			if !t.Method.Stays() || t.Carried || t.Out != 0 && t.Out < d.today()-bandBefore {
				continue
			}
			_, by, _ := t.Due()
			bar := wire.BandBar{Method: string(t.Method), From: written(t.Given), To: written(cmp.Or(t.Out, by)), In: t.Out == 0}
			i, there := at[bar]
			if !there {
				i = len(out.Bars)
				at[bar] = i
				out.Bars = append(out.Bars, bar)
			}
			out.Bars[i].Hives++
		}
	}
	for _, f := range marked {
		if f.YardID == y.ID {
			out.Marks = append(out.Marks, d.markOf(f))
		}
	}
	slices.SortStableFunc(out.Marks, func(a, b wire.BandMark) int { return cmp.Compare(a.Day, b.Day) })
	if next.job.ID != "" {
		for day := d.today(); day <= d.today()+ahead; day++ {
			if o := weather.On(day, givenOn(next.job, next.under, day, y.Latitude)); o.Known && len(o.Windows) > 0 {
				out.Windows = append(out.Windows, written(day))
			}
		}
	}
	return out
}

// markOf is a follow-up on the day on which it was done, or is best done.
func (d Desk) markOf(f wire.Followup) wire.BandMark {
	day := f.From
	switch followup.State(f.State) {
	case followup.Done:
		day = f.Colonies[0].On
	case followup.Due:
		day = written(d.today())
	case followup.Late:
		day = f.By
	}
	return wire.BandMark{Day: max(day, written(d.today()-bandBefore)), Kind: f.Kind, Method: f.Method, State: f.State, Title: f.Title, Hives: len(f.Colonies)}
}
