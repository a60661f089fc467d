package app

import (
	"cmp"
	"context"
	"fmt"
	"maps"
	"slices"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// VisitQuery is which round is wanted.
type VisitQuery struct {
	Job string
	Day string // as it was planned; empty: today
	Act string // what it goes out for; empty: see goesFor
	On  string // the day on which it was done, where it is entered afterwards; empty: today
}

// Visit is a day of a job in the yard: its colonies in stand order as they were last
// seen, what can be given from, and what was done so far.
func (d Desk) Visit(ctx context.Context, q VisitQuery) (wire.Visit, error) {
	v, err := d.visit(ctx, q.Job, q.Day)
	if err == nil {
		err = v.goesFor(q.Act)
	}
	if err == nil && q.On != "" {
		var l fault.List
		v.on = readDay("on", q.On, v.on, v.on, &l)
		err = l.Err()
	}
	r := reading{ctx, err}
	if r.err == nil && v.act == give && !v.planned {
		d.onlyDue(&r, &v)
	}
	d.around(&r, &v, slices.Collect(maps.Keys(v.colonies)), true)
	return after(ctx, r.err, d.roundOf, v)
}

// visit is a day of a job with all that records of it are held against.
type visit struct {
	job      store.Job
	day      calendar.Day // as it was planned
	colonies map[string]store.JobColony
	recipe   wire.JobRecipe
	card     *wire.LabelCard
	giving   wire.Giving
	on       calendar.Day // on which what is written now is said to happen: today, or an earlier day
	chosen   chosen
	under    fit.Conditions
	planned  bool   // the day is one of the job's own
	act      string // what it goes out for
	yards    map[string]store.Yard
	rows     []store.Colony // in stand order, yard by yard
	latitude float64
	bees     map[string]fit.Colony // as they were last seen, with their other open jobs
	sky      skies
	giver    *giver // who gave what was written last
}

func (d Desk) visit(ctx context.Context, id, day string) (visit, error) {
	v := visit{colonies: map[string]store.JobColony{}, sky: skies{d, ctx, map[string]fit.Forecast{}}}
	var l fault.List
	v.on = d.today()
	v.day = readDay("day", day, v.on, v.on+366, &l)
	if err := l.Err(); err != nil {
		return v, err
	}
	var err error
	if v.job, err = d.op.Job(ctx, id); err != nil {
		return v, err
	}
	for _, c := range v.job.Colonies {
		if dayOf(c.Day) == v.day {
			v.colonies[c.ColonyID] = c
		}
	}
	v.planned, v.act = len(v.colonies) > 0, give
	for _, c := range v.job.Colonies {
		if !v.planned {
			v.colonies[c.ColonyID] = c
		}
	}
	chosen, err := d.choose(ctx, "under", method.Name(v.job.Method), underOf(v.job))
	if err != nil {
		return v, err
	}
	v.card, v.chosen = chosen.card, chosen
	v.recipe = recipeOf(v.job, nil, v.card)
	v.giving = v.recipe.Recipe.Giving()
	return v, nil
}

// around adds some colonies of the visit with their yards, the conditions there, and what
// to stop at: of other jobs, too, where jobs is asked for.
func (d Desk) around(r *reading, v *visit, colonies []string, jobs bool) {
	yards := all(r, d.op.Yards)
	v.rows = by(r, d.op.ColoniesAmong, colonies)
	if r.err != nil {
		return
	}
	v.yards = lo.KeyBy(yards, func(y store.Yard) string { return y.ID })
	place := map[string]int{}
	for i, y := range yards {
		place[y.ID] = i
	}
	slices.SortStableFunc(v.rows, func(a, b store.Colony) int {
		return cmp.Or(place[a.YardID]-place[b.YardID], a.Position-b.Position)
	})
	if len(v.rows) > 0 {
		v.latitude = v.yards[v.rows[0].YardID].Latitude
	}
	v.under = v.chosen.on(v.on, v.latitude)
	if v.act == give {
		d.lookBack(r, v, jobs)
	}
}

// lookBack reads what a dose of the visit is held against: what the bees had before, the brood
// seen since, which ends a broodless time, and with jobs other open jobs that they are in.
func (d Desk) lookBack(r *reading, v *visit, jobs bool) {
	those := d.remembering(v.ids())
	h := d.historyOf(r, those)
	colonies := lo.Map(v.rows, func(r store.Colony, _ int) situation { return begin(r, h) })
	if jobs {
		d.withJobs(r, colonies, those, v.job.ID)
	}
	v.bees = lo.SliceToMap(colonies, func(k situation) (string, fit.Colony) { return k.row.ID, k.bees })
}

// stops tells what to stop at before a colony is given anything on a day. What the job itself
// gave it that day is told by the lines of the round.
func (v visit) stops(colony store.Colony, day calendar.Day) []wire.Stop {
	c := v.chosen.caseOf(day, v.yards[colony.YardID], nil)
	c.Colony = v.bees[colony.ID]
	c.Colony.Treatments = slices.DeleteFunc(slices.Clone(c.Colony.Treatments), func(t treatment.Treatment) bool { return t.Job == v.job.ID && t.Given == day })
	return stopsOf(c)
}

// ids are the colonies of the visit that live, in stand order.
func (v visit) ids() []string {
	return lo.Map(v.rows, colonyID)
}

// stopsOf tells what a round stops at.
func stopsOf(c fit.Case) []wire.Stop {
	var out []wire.Stop
	for _, r := range fit.Stops(c) {
		stop := wire.Stop{Code: lo.Ternary(r.Code == "same_day", r.Code, "given_already"), On: written(r.On)}
		for _, t := range c.Colony.Treatments {
			if t.Given == r.On && t.Acids().Share(c.Under.Acids()) {
				stop.Method, stop.What = string(t.Method), t.Product
			}
		}
		out = append(out, stop)
	}
	for _, j := range c.Colony.Jobs {
		if j.Method == c.Under.Method {
			out = append(out, wire.Stop{Code: "in_job", On: written(j.Day), Method: string(j.Method), Job: j.Name})
		}
	}
	return out
}

func (d Desk) roundOf(ctx context.Context, v visit) (wire.Visit, error) {
	out := wire.Visit{
		JobID: v.job.ID, Name: v.job.Name, Method: v.job.Method, Day: written(v.day), Today: written(v.on), Planned: v.planned, Rule: v.recipe.Rule, CapML: v.giving.CapML,
		Base: v.recipe.Recipe.Bare(), Colonies: []wire.VisitColony{}, Batches: []wire.VisitBatch{}, All: wire.Choices(),
		Gear: v.giving.Gear, MeantMg: v.giving.MeantMg, Act: v.act,
		Next: !v.planned && v.act == give, Swaps: v.under.Swap && !v.planned && v.act == give,
	}
	if v.under.DaysInLow > 0 && v.act == give {
		out.DueOut, out.DueLast = written(v.on+calendar.Day(v.under.DaysInLow)), written(v.on+calendar.Day(v.under.DaysInHigh))
	}
	r := reading{ctx: ctx}
	out.Season = seasonName(v.day, v.latitude)
	out.Colonies, out.Visited, out.Extras = by(&r, d.visitColonies, v), by(&r, d.visited, v), by(&r, d.extras, out.Season)
	switch v.act {
	case give, move, weigh: // what is replaced or topped up comes out of a jar, too
		out.Batches = by(&r, d.pourable, v)
	}
	switch v.act {
	case takeOut, move, weigh:
		out.Colonies = slices.DeleteFunc(out.Colonies, func(c wire.VisitColony) bool {
			return c.InHive == 0 && !slices.ContainsFunc(out.Records, func(r wire.Application) bool { return r.ColonyID == c.ID })
		})
	}
	return out, r.err
}

// pieces is how many pieces are in a hive: of a liquid a sheet, sponge or bottle for each
// dose.
func (v visit) pieces(in treatment.InHive) int {
	if v.giving.Unit == method.Millilitres {
		return in.Doses
	}
	return int(in.Amount)
}

// visited is what stands of a round.
func (d Desk) visited(ctx context.Context, v visit) (out wire.Visited, err error) {
	rows, err := d.op.Visited(ctx, v.job.ID, timeOf(v.day))
	if err != nil {
		return out, fmt.Errorf("read the lines of the round: %w", err)
	}
	if len(rows) > 0 {
		out.Newest = rows[len(rows)-1].Seq
	}
	out.Records, err = d.describeLines(ctx, rows)
	return out, err
}

// visitColonies tells of the colonies of a visit in stand order, as they are now.
func (d Desk) visitColonies(ctx context.Context, v visit) ([]wire.VisitColony, error) {
	ids := v.ids()
	r := reading{ctx: ctx}
	boards := by(&r, d.op.LastSeams, ids)
	given := d.givenTo(&r, ids)
	var last lasts
	switch v.act {
	case weigh, move, takeOut:
		last = d.lasts(&r, v.job.ID)
	}
	if r.err != nil {
		return nil, r.err
	}
	hives := onBench(v.rows, ids, boards)
	out := make([]wire.VisitColony, len(v.rows))
	for i, r := range v.rows {
		out[i] = wire.VisitColony{
			ID: r.ID, YardID: r.YardID, Yard: v.yards[r.YardID].Name, Hive: hives[i], Override: v.colonies[r.ID].OverrideReason, Stop: v.stops(r, v.on),
		}
		if in, there := treatment.Standing(given.Of(r.ID), method.Name(v.job.Method), v.on); there {
			if w, weighed := last.weights[r.ID]; weighed && v.act == weigh {
				out[i].WeighedOn = written(d.dayGiven(w))
				if out[i].WeightG = w.Amount; w.Unit == method.Millilitres {
					out[i].WeightG, out[i].ReadML = 0, w.Amount
				}
			}
			if g, placed := last.gaps[r.ID]; placed {
				out[i].Gaps, out[i].GapsOn = wire.ApplicationOf(g.Detail, wire.Application{}).Gaps, written(d.dayGiven(g))
			}
			out[i].InHive, out[i].DaysIn, out[i].Early = v.pieces(in), int(v.on-in.Since), max(0, int(in.From-v.on))
		}
	}
	return out, nil
}
