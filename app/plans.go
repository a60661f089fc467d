package app

import (
	"cmp"
	"context"
	"errors"
	"slices"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/outlook"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

const (
	planFor = 365 // days
	// What is given at once has worked after so many days; from then on being over the threshold counts.
	worksIn = 21
	rough   = 100 // possible colonies while something is dragged
	mostOf  = 4   // plans
	stepsOf = 6   // treatments of a plan
)

// WhatIf tells what plans for a colony come to. None of it is kept.
func (d Desk) WhatIf(ctx context.Context, id string, in wire.WhatIf) (wire.PlansCome, error) {
	var l fault.List
	plans := make([][]planned, len(in.Plans))
	if len(in.Plans) == 0 || len(in.Plans) > mostOf {
		l.AddRange("plans", fault.TooMany, 1, mostOf, "")
		return wire.PlansCome{}, l.Err()
	}
	for i, p := range in.Plans {
		plan, err := d.plan(ctx, fault.Index("plans", i), p)
		if err != nil {
			return wire.PlansCome{}, err
		}
		plans[i] = plan
	}
	r := reading{ctx: ctx}
	m := d.miteYear(&r, id, d.today())
	hive := d.benchOf(&r, []store.Colony{m.row})
	if r.err != nil {
		return wire.PlansCome{}, r.err
	}
	h, many, weather := m.horizon(), rough, fit.Forecast(nil)
	if !in.Rough {
		many, weather = possible, d.forecasts(ctx, []store.Yard{m.yard})[0]
	}
	out := wire.PlansCome{Since: written(h.Since), Winter: written(h.Winter), Rests: words.RestsOn(len(m.counts), len(m.looks), m.sinceCount()), Plans: []wire.PlanComes{}}
	for i, c := range d.try(m, many, plans) {
		told := wire.PlanComes{
			Points: m.points(c.Points), Words: words.PlanChance(c.Chance, h.Since, h.To), Chance: wire.Round(c.Chance),
			Mites: wire.MiteBand{Low: wire.Round(c.Winter.Low), Middle: wire.Round(c.Winter.Middle), High: wire.Round(c.Winter.High)},
			Steps: []wire.PlannedStep{},
		}
		if c.Winter.Middle >= outlook.Unborne {
			told.Bears = words.OfPlans("unborne")
		}
		for j, p := range plans[i] {
			told.Visits += len(p.visits)
			oxalic, formic := p.acid(hive)
			told.Oxalic, told.Formic = wire.Round(told.Oxalic+oxalic), wire.Round(told.Formic+formic)
			told.Steps = append(told.Steps, m.judged(plans[i], j, c.Points, weather))
		}
		out.Plans = append(out.Plans, told)
	}
	if !in.Rough {
		d.take(&r, m.row.YardID, hive, plans, out.Plans)
	}
	return out, r.err
}

// horizon is how far plans are looked at: a year, with the next first of November (of May in the south) as the day on which mites
// go into winter.
func (m miteYear) horizon() outlook.Horizon {
	return outlook.Horizon{
		To: m.today + planFor, Every: everyDays, Since: m.today + worksIn, Winter: outlook.IntoWinter(m.today+everyDays, m.yard.Latitude), Given: m.given, Threshold: m.threshold,
	}
}

// planned is a treatment of a plan.
type planned struct {
	chosen
	under  fit.Conditions
	dose   outlook.Dose
	visits []calendar.Day
}

func doses(plan []planned, _ int) []outlook.Dose {
	return lo.Map(plan, func(p planned, _ int) outlook.Dose { return p.dose })
}

// plan reads the treatments of a plan, in the order of their days.
func (d Desk) plan(ctx context.Context, field string, in wire.MitePlan) ([]planned, error) {
	var l fault.List
	if len(in.Steps) > stepsOf {
		l.AddRange(field+".steps", fault.TooMany, 0, stepsOf, "")
		return nil, l.Err()
	}
	var out []planned
	for i, s := range in.Steps {
		at := fault.Index(field+".steps", i)
		on := readDay(at+".on", s.On, d.today(), d.today()+planFor, &l)
		if on < d.today() {
			l.Add(at+".on", fault.Past)
		}
		c, err := d.chooseAny(ctx, at+".under", s.Under)
		if err != nil {
			return nil, err
		}
		p := planned{chosen: c, under: *c.fixed}
		p.dose, p.visits = outlook.Planned(p.under, on)
		out = append(out, p)
	}
	slices.SortStableFunc(out, func(a, b planned) int { return cmp.Compare(a.dose.From, b.dose.From) })
	return out, l.Err()
}

// chooseAny finds conditions by their id alone, of whichever method.
func (d Desk) chooseAny(ctx context.Context, field, id string) (chosen, error) {
	for _, m := range method.All {
		c, err := d.choose(ctx, field, m, id)
		var wrong fault.List
		if !errors.As(err, &wrong) && (err != nil || c.fixed != nil) {
			return c, err
		}
	}
	return chosen{}, fault.List{{Field: field, Reason: fault.Unknown}}
}

// acid is what a hive is given, g of oxalic acid dihydrate and of pure formic acid, by the recipe that the bench begins
// with; 0 where that asks for more to be known.
func (p planned) acid(bench []wire.Colony) (oxalic, formic float64) {
	worked, err := p.worked(bench)
	if err != nil {
		return 0, 0
	}
	switch a := worked.Answer; {
	case a.Dribble != nil && len(a.Dribble.Doses) > 0:
		oxalic = a.Dribble.Doses[0].Mg / 1000
	case a.Strip != nil && len(a.Strip.Colonies) > 0:
		oxalic = float64(a.Strip.Colonies[0].OAD)
	case a.Pad != nil:
		formic = float64(a.Pad.Course.Pure)
	}
	return oxalic, formic
}

// judged is a step of a plan as it would go: held against what is known of the hive, with the steps before it given, and
// against the brood that the model expects and the weather that is forecast.
func (m miteYear) judged(plan []planned, at int, points []outlook.Point, weather fit.Forecast) wire.PlannedStep {
	p := plan[at]
	out := wire.PlannedStep{
		PlanStep: wire.PlanStep{Under: p.under.ID, On: written(p.dose.From)}, Method: string(p.under.Method), Against: []string{},
		Days: lo.Map(p.visits, func(v calendar.Day, _ int) string { return written(v) }),
	}
	if p.dose.To > p.dose.From {
		out.Out = written(p.dose.To)
	}
	if day := p.dose.From; !day.Cold(m.yard.Latitude) {
		switch p.under.Supers {
		case fit.SupersOff:
			out.Off = words.OfPlans("off")
		case fit.SupersLabel:
			out.Off = words.OfPlans("off:label")
		}
	}
	c := p.caseOf(p.dose.From, m.yard, weather)
	c.Colony = m.bees
	c.Colony.Treatments = slices.Clone(m.bees.Treatments)
	for _, before := range plan[:at] {
		c.Colony.Treatments = append(c.Colony.Treatments, treatment.Treatment{Method: before.under.Method, Given: before.dose.From, Out: before.dose.To})
	}
	for _, r := range fit.Judge(c).Reasons {
		if r.Verdict >= fit.DoesNotFit {
			out.Against = append(out.Against, words.Because(r, m.today).Why)
		}
	}
	if capped, many := outlook.UnderCaps(points, p.dose.From); p.dose.Way == outlook.Dribble && many {
		out.Against = append(out.Against, words.UnderCaps(capped))
	}
	return out
}
