package app

import (
	"cmp"
	"context"
	"slices"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/outlook"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// levels bound the chance that an offer keeps below, of ten.
const leastLevel, mostLevel = 1, 9

// PlanOffers are plans for a colony: the one with the fewest visits that keeps the chance of being over the threshold
// below so many of ten, and what is often done, to hold against it.
func (d Desk) PlanOffers(ctx context.Context, id string, level int) (wire.PlanOffers, error) {
	var l fault.List
	l.Within("level", float64(level), leastLevel, mostLevel, "")
	if err := l.Err(); err != nil {
		return wire.PlanOffers{}, err
	}
	r := reading{ctx: ctx}
	m := d.miteYear(&r, id, d.today())
	if r.err != nil {
		return wire.PlanOffers{}, r.err
	}
	h := m.horizon()
	weather := d.forecasts(ctx, []store.Yard{m.yard})[0]
	could := outlook.Weathered(outlook.Treatments(m.yard.Latitude, calendar.Span(deep(m.yard)), m.today+1, h.To), weather)
	out := wire.PlanOffers{Words: words.OfPlans("no_season"), Offers: []wire.PlanOffer{}}
	if len(could) == 0 {
		return out, nil
	}
	f := m.follow(rough, false)
	choices := lo.Map(could, func(t outlook.Treatment, _ int) outlook.Choice { return t.Choice() })
	plan, _, found := f.Fewest(choices, float64(level)/10, h)
	switch {
	case !found:
		out.Words = words.OfPlans("not_found")
	case len(plan) == 0:
		out.Words = words.OfPlans("none")
	default:
		out.Words = words.OfPlans("found")
		out.Offers = append(out.Offers, offer("fewest", lo.Map(plan, func(i, _ int) outlook.Treatment { return could[i] })))
	}
	first := func(of method.Name, why outlook.Reason) []outlook.Treatment {
		t, has := lo.Find(could, func(t outlook.Treatment) bool { return t.Why == why && t.Under.Method == of })
		if !has {
			return nil
		}
		return []outlook.Treatment{t}
	}
	winter, august := first(method.Dribble, outlook.Broodless), first(method.Strip, outlook.AfterCrop)
	out.Offers = append(out.Offers, offer("twice", winter, august), offer("thrice", winter, first(method.Strip, outlook.BeforeFlow), august))
	if len(winter) > 0 && len(august) > 0 {
		out.Offers = append(out.Offers, offer("once", winter), offer("on_brood", outlook.Weathered(outlook.Thrice(august[0].On), weather)))
	}
	return out, nil
}

func offer(name string, parts ...[]outlook.Treatment) wire.PlanOffer {
	out := wire.PlanOffer{Name: words.OfPlans("offer:" + name), Steps: []wire.OfferedStep{}}
	all := slices.Concat(parts...)
	slices.SortFunc(all, func(a, b outlook.Treatment) int { return cmp.Compare(a.On, b.On) })
	for _, t := range all {
		why := words.OfPlans("why:" + string(t.Why))
		if t.Later {
			why += " " + words.OfPlans("why:later")
		}
		out.Steps = append(out.Steps, wire.OfferedStep{PlanStep: wire.PlanStep{Under: t.Under.ID, On: written(t.On)}, Why: why})
	}
	return out
}
