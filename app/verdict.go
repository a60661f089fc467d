package app

import (
	"context"
	"math"

	"keeler/core/calendar"
	"keeler/core/mites"
	"keeler/core/outlook"
	"keeler/core/stock"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// Verdict is what a season of practice came to so far: the truth of every hive laid over what was known of it, with what it
// cost and what would have done better. Outside of practice it is ErrForbidden.
func (d Desk) Verdict(ctx context.Context) (wire.Verdict, error) {
	p := d.who.Practice
	if p == nil {
		return wire.Verdict{}, ErrForbidden
	}
	r := reading{ctx: ctx}
	lines := all(&r, func(ctx context.Context) ([]store.Application, error) {
		return d.op.Register(ctx, store.Asked{Most: mostLines})
	})
	out := wire.Verdict{Seed: uint32(p.seed), Level: int(p.level), Hives: []wire.VerdictHive{}}
	lost := 0
	for _, y := range all(&r, d.op.Yards) {
		for _, c := range by(&r, d.op.ColoniesIn, y.ID) {
			h := d.verdictOf(&r, c.ID, lo.Filter(lines, func(a store.Application, _ int) bool { return a.ColonyID == c.ID }))
			if !h.Lives {
				lost++
			}
			out.Hives = append(out.Hives, h)
		}
	}
	out.Spent = wire.Round(d.spent(&r))
	out.Words = words.VerdictOf(len(out.Hives), lost, d.today() >= p.from+seasonDays)
	return out, r.err
}

// spent is what was taken of all lots, by their prices.
func (d Desk) spent(r *reading) (money float64) {
	left, bought := all(r, d.op.LeftOfLots), all(r, d.op.BoughtOfLots)
	for _, l := range all(r, d.op.Lots) {
		money += stock.Cost(bought[l.ID]-left[l.ID], l.Price, l.Unit)
	}
	return money
}

// mostLines are more than five hives get in a year.
const mostLines = 5000

// verdictOf is that of a hive, with its lines of the register.
func (d Desk) verdictOf(r *reading, id string, lines []store.Application) wire.VerdictHive {
	c, m, _ := d.hidden(r, id)
	known := d.miteYear(r, id, d.today())
	counts, thresholds := by(r, d.op.CountsOf, id), all(r, d.thresholds)
	if r.err != nil {
		return wire.VerdictHive{}
	}
	out := wire.VerdictHive{ID: id, Name: m.row.Name, Points: []wire.TruthPoint{}, Known: known.points(known.follow(possible, true).points), Counts: []wire.MiteCount{}}
	begun := c
	atMost, _ := c.Live(d.today(), m.yard.Latitude, m.given, m.idle, func() {
		rate, limit := c.Rate(), m.threshold(c.Day)
		if rate >= limit {
			out.Over++
		}
		if int(d.today()-c.Day)%everyDays == 0 {
			out.Points = append(out.Points, wire.TruthPoint{Day: written(c.Day), Rate: wire.Round(rate), Mites: wire.Round(c.Mites()), Threshold: limit})
		}
	})
	out.Lives, out.Most = atMost < outlook.Unborne, math.Round(atMost)
	washed, visits, oxalic, formic := 0, map[calendar.Day]bool{}, 0.0, 0.0
	for _, a := range lines {
		visits[d.dayGiven(a)] = true
		oxalic, formic = oxalic+a.OADMG/1000, formic+a.FormicMG/1000
	}
	for _, n := range counts {
		if n.VoidedAt != nil {
			continue
		}
		of := mitesOf(n)
		visits[of.On] = true
		if of.Kind == mites.Wash {
			washed += of.Bees
		}
		out.Counts = append(out.Counts, countOf(n, m.yard.Latitude, thresholds))
	}
	out.Words = words.VerdictHive(out.Lives, int(out.Most), out.Over)
	out.Cost = words.Costs(len(visits), oxalic, formic, washed)
	out.Better = m.better(begun, atMost)
	return out
}

// spared is by which share of the mites another plan must leave fewer to be told of.
const spared = 0.7

// better is the plan with the fewest visits that would have kept the hive under the threshold, or all but: tried on the
// truth itself.
func (m miteYear) better(begun outlook.Colony, atMost float64) string {
	from := begun.Day + 1
	could := outlook.Treatments(m.yard.Latitude, calendar.Span(deep(m.yard)), from, from+seasonDays)
	h := outlook.Horizon{To: from + seasonDays, Every: everyDays, Since: from + worksIn, Winter: outlook.IntoWinter(from, m.yard.Latitude), Threshold: m.threshold}
	plan, comes, found := outlook.Only(begun).Fewest(lo.Map(could, func(t outlook.Treatment, _ int) outlook.Choice { return t.Choice() }), sure, h)
	if !found {
		return words.NothingBetter()
	}
	if comes.Winter.Middle > spared*atMost {
		return words.NoneNeeded()
	}
	var steps []words.Step
	for _, i := range plan {
		steps = append(steps, words.Step{Method: string(could[i].Under.Method), On: could[i].On})
	}
	return words.WouldHave(steps, int(comes.Winter.Middle))
}

// sure is a chance that none but the certain reach: of one colony it is 0 or 1.
const sure = 0.5
