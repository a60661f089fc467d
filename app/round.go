package app

import (
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"slices"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/round"
	"keeler/core/stock"
	"keeler/store"
	"keeler/wire"
)

// Round is a day of a job in the yard: its colonies in stand order as they were last
// seen, what can be given from, and what was done so far.
func (d Desk) Round(ctx context.Context, job, day string) (wire.RoundDay, error) {
	w, err := d.outing(ctx, job, day)
	if err != nil {
		return wire.RoundDay{}, err
	}
	return d.roundOf(ctx, w)
}

// outing is a day of a job with all that records of it are held against.
type outing struct {
	job      store.Job
	day      calendar.Day
	colonies map[string]store.JobColony
	recipe   wire.JobRecipe
	card     *wire.LabelCard
	capML    float64
	meantMg  float64 // of acid in 1 mL or piece, by the recipe; 0 where nobody can say
	chosen   chosen
	under    fit.Conditions
	later    bool                   // than the job's own days
	stops    map[string][]wire.Stop // what to stop at before anything is given, by colony
}

func (d Desk) outing(ctx context.Context, id, day string) (outing, error) {
	w := outing{colonies: map[string]store.JobColony{}}
	var l fault.List
	w.day = readDay("day", day, d.today(), d.today()+366, &l)
	if err := l.Err(); err != nil {
		return w, err
	}
	var err error
	if w.job, err = d.op.Job(ctx, id); err != nil {
		return w, err
	}
	for _, c := range w.job.Colonies {
		if dayOf(c.Day) == w.day {
			w.colonies[c.ColonyID] = c
		}
	}
	recipeDay := written(w.day)
	if len(w.colonies) == 0 && w.job.Method != wire.Dribble { // a later day: what was put in is taken out
		w.later, recipeDay = true, ""
		for _, c := range w.job.Colonies {
			w.colonies[c.ColonyID] = c
		}
	}
	if w.recipe, err = d.JobRecipe(ctx, id, recipeDay); err != nil {
		return w, err
	}
	under := w.job.Protocol
	if w.job.CardID != nil {
		under = wire.CardPrefix + *w.job.CardID
	}
	chosen, err := d.choose(ctx, "under", fit.Method(w.job.Method), under)
	if err != nil {
		return w, err
	}
	w.card, w.chosen = chosen.card, chosen
	w.capML, w.meantMg = w.recipe.Recipe.CapML(), w.recipe.Recipe.MeantMg()
	return w, d.around(ctx, &w)
}

// around adds what bears on the round besides its job: the season of its yard, what the
// colonies were given before, and the jobs that they are in.
func (d Desk) around(ctx context.Context, w *outing) error {
	yards, err := d.op.Yards(ctx)
	if err != nil {
		return err
	}
	by, latitudes := map[string]store.Yard{}, map[string]float64{}
	for _, y := range yards {
		by[y.ID], latitudes[y.ID] = y, y.Latitude
	}
	all, err := d.known(ctx, "", latitudes)
	if err != nil {
		return err
	}
	all = slices.DeleteFunc(all, func(k known) bool { _, wanted := w.colonies[k.row.ID]; return !wanted })
	latitude := 0.0
	if len(all) > 0 {
		latitude = latitudes[all[0].row.YardID]
	}
	w.under = w.chosen.on(w.day, latitude)
	if w.later {
		return nil
	}
	if err := d.withJobs(ctx, all, w.job.ID); err != nil {
		return err
	}
	own, err := d.op.Visited(ctx, w.job.ID, timeOf(w.day))
	if err != nil {
		return err
	}
	mine := map[string]bool{}
	for _, a := range own {
		mine[a.ID] = true
	}
	before, err := d.op.Treatments(ctx, "", timeOf(d.today()-memory))
	if err != nil {
		return err
	}
	given := map[string][]store.Treatment{}
	for _, t := range before {
		if !mine[t.ID] {
			given[t.ColonyID] = append(given[t.ColonyID], t)
		}
	}
	w.stops = map[string][]wire.Stop{}
	for _, k := range all {
		c := w.chosen.caseOf(w.day, by[k.row.YardID], nil)
		c.Colony = k.season
		c.Colony.Treatments = nil
		for _, t := range given[k.row.ID] {
			c.Colony.Treatments = append(c.Colony.Treatments, givenOf(t))
		}
		w.stops[k.row.ID] = stopsOf(c, given[k.row.ID])
	}
	return nil
}

// stopsOf tells what a round stops at.
func stopsOf(c fit.Case, given []store.Treatment) []wire.Stop {
	var out []wire.Stop
	for _, r := range fit.Stops(c) {
		stop := wire.Stop{Code: "given_already", On: written(r.On)}
		for _, t := range given {
			if dayOf(t.GivenOn) == r.On {
				stop.Method, stop.What = t.Method, t.What
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

func (d Desk) roundOf(ctx context.Context, w outing) (wire.RoundDay, error) {
	out := wire.RoundDay{
		JobID: w.job.ID, Name: w.job.Name, Method: w.job.Method, Day: written(w.day), Rule: w.recipe.Rule, CapML: w.capML,
		Base: w.recipe.Recipe.Bare(), Colonies: []wire.RoundColony{}, Batches: []wire.RoundBatch{}, All: wire.Choices(),
		Gear: wire.GivingGear(w.recipe.Recipe), MeantMg: w.meantMg, Out: w.later,
	}
	if w.under.DaysInLow > 0 {
		out.DueOut, out.DueLast = written(w.day+calendar.Day(w.under.DaysInLow)), written(w.day+calendar.Day(w.under.DaysInHigh))
	}
	yards, err := d.op.Yards(ctx)
	if err != nil {
		return out, err
	}
	if out.Colonies, err = d.inStandOrder(ctx, w, yards); err != nil {
		return out, err
	}
	latitude := 0.0
	for _, y := range yards {
		if len(out.Colonies) > 0 && y.ID == out.Colonies[0].YardID {
			latitude = y.Latitude
		}
	}
	out.Season = seasonName(w.day, latitude)
	if out.Extras, err = d.extras(ctx, out.Season); err != nil {
		return out, err
	}
	if !w.later { // nothing is given where what is in comes out
		if out.Batches, err = d.pourable(ctx, w); err != nil {
			return out, err
		}
	}
	out.Records, err = d.visited(ctx, w)
	if w.later {
		out.Colonies = slices.DeleteFunc(out.Colonies, func(c wire.RoundColony) bool {
			return c.InHive == 0 && !slices.ContainsFunc(out.Records, func(r wire.Application) bool { return r.ColonyID == c.ID })
		})
	}
	return out, err
}

// visited is what stands of a day; a colony that has two is flagged on both.
func (d Desk) visited(ctx context.Context, w outing) ([]wire.Application, error) {
	rows, err := d.op.Visited(ctx, w.job.ID, timeOf(w.day))
	if err != nil {
		return nil, err
	}
	given := map[string]int{}
	for _, r := range rows {
		if r.Kind == string(round.Given) {
			given[r.ColonyID]++
		}
	}
	out := make([]wire.Application, len(rows))
	for i, r := range rows {
		out[i] = wire.ApplicationOf(r.Detail, plainLine(r))
		if r.Kind == string(round.Given) && given[r.ColonyID] > 1 {
			out[i].Flags = append(out[i].Flags, twice)
		}
	}
	return out, nil
}

// twice is the flag of a colony that really got two doses on one day: both stand.
const twice = "twice"

// inStandOrder lists the colonies of a day in stand order, yard by yard.
func (d Desk) inStandOrder(ctx context.Context, w outing, yards []store.Yard) ([]wire.RoundColony, error) {
	rows, err := d.op.Colonies(ctx, "")
	if err != nil {
		return nil, err
	}
	names, at := map[string]string{}, map[string]int{}
	for i, y := range yards {
		names[y.ID], at[y.ID] = y.Name, i
	}
	rows = slices.DeleteFunc(rows, func(r store.Colony) bool { _, wanted := w.colonies[r.ID]; return !wanted })
	slices.SortStableFunc(rows, func(a, b store.Colony) int {
		if a.YardID != b.YardID {
			return at[a.YardID] - at[b.YardID]
		}
		return a.Position - b.Position
	})
	ids := make([]string, len(rows))
	for i, r := range rows {
		ids[i] = r.ID
	}
	boards, err := d.op.LastSeams(ctx, ids)
	if err != nil {
		return nil, err
	}
	in, err := d.op.InHives(ctx, ids)
	if err != nil {
		return nil, err
	}
	hives := onBench(rows, ids, boards)
	out := make([]wire.RoundColony, len(rows))
	for i, r := range rows {
		out[i] = wire.RoundColony{
			ID: r.ID, YardID: r.YardID, Yard: names[r.YardID], Hive: hives[i], Override: w.colonies[r.ID].OverrideReason, Stop: w.stops[r.ID],
		}
		if h, there := in[r.ID]; there && h.Method == w.job.Method {
			in := fit.Treatment{Method: fit.Method(h.Method), Given: dayOf(h.GivenOn), DaysLow: h.DaysLow, DaysHigh: h.DaysHigh}
			from, _, _ := in.Due()
			out[i].InHive, out[i].DaysIn, out[i].Early = int(h.Amount), int(w.day-in.Given), max(0, int(from-w.day))
		}
	}
	return out, nil
}

// pourable lists the batches of a method that something is left of, those that were made
// first. Of one that is only planned it is told, so that it is poured by choice alone; one
// that is being weighed in is none yet.
func (d Desk) pourable(ctx context.Context, w outing) ([]wire.RoundBatch, error) {
	rows, err := d.op.Batches(ctx)
	if err != nil {
		return nil, err
	}
	lefts, err := d.op.Lefts(ctx)
	if err != nil {
		return nil, err
	}
	out := []wire.RoundBatch{}
	for _, r := range rows {
		if r.Method != w.job.Method || r.Leftover || r.VoidedAt != nil || r.State == store.Discarded || r.State == store.OnBench || r.State == store.IsMade && lefts[r.ID] <= 0 && !stock.ToReconcile(lefts[r.ID]) {
			continue
		}
		b := d.roundBatch(r, lefts[r.ID])
		b.TooStrong = round.Stronger(b.OADMg+b.FormicMg, w.meantMg)
		out = append(out, b)
	}
	slices.SortStableFunc(out, func(a, b wire.RoundBatch) int {
		return cmp.Compare(map[bool]int{true: 0, false: 1}[a.Made], map[bool]int{true: 0, false: 1}[b.Made])
	})
	return out, nil
}

func (d Desk) roundBatch(r store.Batch, left float64) wire.RoundBatch {
	held := composition(r)
	b := wire.RoundBatch{ID: r.ID, Number: r.Number, Name: r.Name, OnHand: d.onHand(r, left), Made: r.State == store.IsMade}
	if r.State == store.Planned { // what it would be, were it mixed without the bench
		b.OnHand.Left = wire.Amount(r.Unit, r.VolumeML, r.Pieces, held) + left
	}
	oad, formic := round.Actives(wire.Mixture(held), wire.Amount(r.Unit, r.VolumeML, r.Pieces, held), 1)
	b.OADMg, b.FormicMg = wire.Round(float64(oad)), wire.Round(float64(formic))
	if b.OnHand.Left > 0 {
		whole := wire.Amount(r.Unit, r.VolumeML, r.Pieces, held)
		b.BicarbonateG = wire.BicarbonateOf(held, b.OnHand.Left/whole)
	}
	if s := wire.StrengthOf(r.Method, held, r.VolumeML); s != nil && s.Unit == "g_per_l" {
		b.GPerL = s.Value
	}
	return b
}

// extras is what is ticked on visits in a season: as chosen, or nothing.
func (d Desk) extras(ctx context.Context, name string) ([]string, error) {
	out := []string{}
	row, err := d.op.Extras(ctx, name)
	if errors.Is(err, store.ErrNotFound) {
		return out, nil
	}
	if err != nil {
		return nil, err
	}
	return out, json.Unmarshal(row.Extras, &out)
}

// SetExtras chooses what is ticked on visits in a season.
func (d Desk) SetExtras(ctx context.Context, in wire.RoundExtras) (wire.RoundExtras, error) {
	var l fault.List
	round.CheckExtras(in.Extras, &l)
	if err := l.Err(); err != nil {
		return in, err
	}
	raw, err := json.Marshal(in.Extras)
	if err != nil {
		return in, err
	}
	return in, d.op.SetExtras(ctx, store.RoundExtras{Season: in.Season, Extras: raw})
}
