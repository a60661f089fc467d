package app

import (
	"context"
	"slices"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/followup"
	"keeler/core/method"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// withWeather tells of each dose that is still to be given on which of its days the weather
// fits, as far as a forecast goes.
func (d Desk) withWeather(ctx context.Context, of []wire.Followup, jobs map[string]store.Job, labels map[string]store.LabelCard) error {
	asked := lo.Filter(lo.Range(len(of)), func(i, _ int) bool {
		f := of[i]
		return f.Kind == string(followup.Visit) && followup.State(f.State).Open()
	})
	if len(asked) == 0 {
		return nil
	}
	yards, err := d.op.Yards(ctx)
	if err != nil {
		return err
	}
	yards = lo.Filter(yards, func(y store.Yard, _ int) bool {
		return slices.ContainsFunc(asked, func(i int) bool { return of[i].YardID == y.ID })
	})
	forecasts := d.forecasts(ctx, yards)
	for _, i := range asked {
		f := &of[i]
		at := slices.IndexFunc(yards, func(y store.Yard) bool { return y.ID == f.YardID })
		job := jobs[f.JobID]
		fixed, err := conditionsOf(job, labels)
		if err != nil {
			return err
		}
		var never fault.List // Keeler wrote these days
		from, by := readDay("from", f.From, 0, farAhead, &never), readDay("by", f.By, 0, farAhead, &never)
		if f.State == string(followup.Late) {
			by = d.today() + lateDays
		}
		for day := max(from, d.today()); day <= min(by, d.today()+ahead); day++ {
			under := givenOn(job, fixed, day, yards[at].Latitude)
			if o := forecasts[at].On(day, under); o.Known {
				f.Weather = append(f.Weather, weatherOf(day, o, under))
			}
		}
	}
	return nil
}

// givenOn is what a dose of a job is given under on a day: where nobody chose, the usual of the
// season.
func givenOn(j store.Job, fixed fit.Conditions, day calendar.Day, latitude float64) fit.Conditions {
	if j.CardID == nil && j.Protocol == "" {
		return fit.Usual(method.Name(j.Method), day, latitude)
	}
	return fixed
}

// farAhead is a day that nothing lies behind.
const farAhead = calendar.Day(1 << 30)

// lateDays is for how many days from today on the weather of what is late is told.
const lateDays = 3

func weatherOf(day calendar.Day, o fit.Outlook, under fit.Conditions) wire.FollowupDay {
	out := wire.FollowupDay{Day: written(day)}
	switch {
	case o.Harms(under):
		out.Cause = "heat"
	case len(o.Windows) == 0:
		out.Cause = string(o.Cause)
	default:
		out.Window = new(o.Best())
	}
	return out
}
