package app

import (
	"cmp"
	"context"
	"slices"
	"strings"

	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/mites"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// PlanJob deals colonies of a yard out to the windows of the coming days, at the
// pace of the crew, so that what is mixed is used on its day.
func (d Desk) PlanJob(ctx context.Context, in wire.JobPlan) (wire.JobShares, error) {
	var l fault.List
	from := readDay("from", in.From, d.today(), d.today()+366, &l)
	l.Within("people", float64(in.People), 1, mostPeople, "people")
	if err := l.Err(); err != nil {
		return wire.JobShares{}, err
	}
	yard, err := d.op.Yard(ctx, in.YardID)
	if err != nil {
		return wire.JobShares{}, unknown("yard_id", err)
	}
	under, err := d.choose(ctx, "under", method.Name(in.Method), in.Under)
	if err != nil {
		return wire.JobShares{}, err
	}
	rows, err := d.op.ColoniesIn(ctx, yard.ID)
	if err != nil {
		return wire.JobShares{}, err
	}
	boxes := lo.SliceToMap(rows, func(r store.Colony) (string, int) { return r.ID, len(r.Boxes) })
	seconds := make([]float64, len(in.Colonies))
	for i, id := range in.Colonies {
		if boxes[id] == 0 {
			l.Add(fault.Index("colonies", i), fault.Unknown)
			continue
		}
		seconds[i] = fit.Pace(in.People, boxes[id])
	}
	if err := l.Err(); err != nil {
		return wire.JobShares{}, err
	}
	forecast := d.forecasts(ctx, []store.Yard{yard})[0]
	var windows []fit.Window
	for day := from; day < from+ahead; day++ {
		c := under.on(day, yard.Latitude)
		if o := forecast.On(day, c); !o.Harms(c) {
			windows = append(windows, o.Windows...)
		}
	}
	shares, done := fit.Split(seconds, windows)
	return wire.JobShares{Left: in.Colonies[done:], Days: lo.Map(shares, func(s fit.Share, _ int) wire.JobShare {
		return wire.JobShare{Day: written(s.Day), Minutes: s.Minutes, Colonies: in.Colonies[s.First:s.Last]}
	})}, nil
}

// SaveJob keeps a job. Each colony is judged again for its day; one that the method
// does not fit is taken only with a written reason, which stays in the record. The
// same id a second time gives the job as it was kept.
func (d Desk) SaveJob(ctx context.Context, in wire.SaveJob) (wire.Job, error) {
	var l fault.List
	name := l.Said("name", in.Name)
	if in.RuleKind != "label" {
		l.Said("rule", in.Rule)
	}
	in.People = cmp.Or(in.People, 1)
	l.Within("people", float64(in.People), 1, mostPeople, "people")
	if err := l.Err(); err != nil {
		return wire.Job{}, err
	}
	under, err := d.choose(ctx, "under", method.Name(in.Method), in.Under)
	if err != nil {
		return wire.Job{}, err
	}
	if under.card != nil && in.RuleKind == "own" { // a product by its label is no mixture of one's own
		return wire.Job{}, fault.List{{Field: "rule_kind", Reason: fault.NotFitting}}
	}
	row := store.Job{
		ID: in.ID, Name: name, Method: in.Method, Protocol: in.Under, RuleKind: in.RuleKind,
		RuleWords: strings.TrimSpace(in.Rule), People: in.People, UserID: d.who.User, CreatedAt: d.stamp(),
	}
	if under.card != nil {
		row.Protocol, row.CardID = "", &under.card.ID
	}
	if _, err := d.op.Job(ctx, in.ID); in.Controls > 0 && err == nil {
		return d.Job(ctx, in.ID) // it was sent before, and drawn
	}
	if in.Colonies, row.Controls, err = d.draw(ctx, in); err != nil {
		return wire.Job{}, err
	}
	if row.Colonies, err = d.judged(ctx, in.ID, in.Colonies, under); err != nil {
		return wire.Job{}, err
	}
	_, err = d.op.SaveJob(ctx, &row)
	return after(ctx, err, d.Job, in.ID)
}

// draw takes those out of a job that are left untreated to compare: by chance, one of each
// so many with like counts.
func (d Desk) draw(ctx context.Context, in wire.SaveJob) ([]wire.JobColony, []store.JobControl, error) {
	var l fault.List
	if l.Within("controls", float64(in.Controls), 0, float64(len(in.Colonies)/2), "hives"); len(l) > 0 || in.Controls == 0 {
		return in.Colonies, nil, l.Err()
	}
	counts, err := d.op.LastCounts(ctx, d.remembering(lo.Map(in.Colonies, func(c wire.JobColony, _ int) string { return c.ColonyID })))
	if err != nil {
		return nil, nil, err
	}
	rates := map[string]float64{}
	for _, c := range counts {
		rates[c.ColonyID] = mitesOf(c).Rate().Value
	}
	drawn := mites.Draw(lo.Map(in.Colonies, func(c wire.JobColony, _ int) float64 { return rates[c.ColonyID] }), in.Controls, d.app.set.Chance)
	var controls []store.JobControl
	treated := []wire.JobColony{}
	for i, c := range in.Colonies {
		if slices.Contains(drawn, i) {
			controls = append(controls, store.JobControl{ColonyID: c.ColonyID})
			continue
		}
		treated = append(treated, c)
	}
	return treated, controls, nil
}

// Which jobs are listed.
var (
	currentJobs = store.JobList{Most: 100}
	everyJob    = store.JobList{Archived: true, Most: 1000}
)

// jobsFirst is how many jobs are shown first.
const jobsFirst = 12

// Jobs lists the newest: those that are put away among them, or not; first those that are shown first.
func (d Desk) Jobs(ctx context.Context, archived, first bool) (wire.Jobs, error) {
	of := lo.Ternary(archived, everyJob, currentJobs)
	r := reading{ctx: ctx}
	var out wire.Jobs
	if first {
		if there := min(by(&r, d.op.CountJobs, of), of.Most); there > jobsFirst {
			of.Most, out.SoFar = jobsFirst, &wire.SoFar{Shown: jobsFirst, Of: there}
		}
	}
	out.Jobs = by(&r, d.jobsOf, by(&r, d.op.Jobs, of))
	return out, r.err
}

// Job reads one whole.
func (d Desk) Job(ctx context.Context, id string) (wire.Job, error) {
	row, err := d.op.Job(ctx, id)
	told, err := after(ctx, err, d.jobsOf, []store.Job{row})
	if err != nil {
		return wire.Job{}, err
	}
	return told[0], nil
}

// EndJob closes a job: nothing more is done in it.
func (d Desk) EndJob(ctx context.Context, id string, in wire.EndJob) (wire.Job, error) {
	if _, err := d.op.Job(ctx, id); err != nil {
		return wire.Job{}, err
	}
	if in.How != "finished" && in.How != "cancelled" {
		return wire.Job{}, fault.List{{Field: "how", Reason: fault.Unknown}}
	}
	err := again(ctx, d.op.EndJob(ctx, id, in.How, timeOf(d.today())), d.op.Job, id, func(is store.Job) bool { return is.EndedHow == in.How })
	return after(ctx, err, d.Job, id)
}

// ArchiveJob puts a job away that is over, or takes it out again.
func (d Desk) ArchiveJob(ctx context.Context, id string, in wire.ArchiveJob) (wire.Job, error) {
	job, err := d.Job(ctx, id)
	if err != nil {
		return wire.Job{}, err
	}
	if in.Archived && (job.Open || job.In > 0) {
		return wire.Job{}, fault.List{{Field: "archived", Reason: fault.NotFitting}}
	}
	return after(ctx, d.op.Archive(ctx, id, in.Archived), d.Job, id)
}

// jobsOf tells jobs with how they stand.
func (d Desk) jobsOf(ctx context.Context, rows []store.Job) ([]wire.Job, error) {
	read, ids := reading{ctx: ctx}, lo.Map(rows, func(r store.Job, _ int) string { return r.ID })
	days, done := by(&read, d.op.DaysOf, ids), by(&read, d.op.DoneOf, ids)
	controls := by(&read, d.op.ControlsOf, ids)
	those := lo.FlatMap(rows, func(r store.Job, _ int) []string {
		return append(lo.Map(r.Colonies, func(c store.JobColony, _ int) string { return c.ColonyID }), controls[r.ID]...)
	})
	colonies, in := by(&read, d.op.Names, d.remembering(lo.Uniq(those))), d.inHives(&read, rows)
	return lo.Map(rows, func(r store.Job, _ int) wire.Job {
		out := d.jobOf(r, colonies)
		for i, day := range out.Days {
			out.Days[i].Done = done[r.ID][day.Day]
		}
		out.In = len(in[r.ID])
		for _, id := range controls[r.ID] {
			out.Untreated = append(out.Untreated, colonies[id].Name)
		}
		out.Open = r.EndedOn == nil && d.open(days[r.ID], out.In > 0)
		out.EndedOn, out.EndedHow, out.Archived = optionalDay(r.EndedOn), r.EndedHow, r.Archived
		for i, t := range in[r.ID] {
			from, by, _ := t.Due()
			if i == 0 || written(from) < out.DueOut {
				out.DueOut, out.DueLast = written(from), written(by)
			}
		}
		return out
	}), read.err
}

func (d Desk) leftIn(ctx context.Context, jobs []string) ([]string, error) {
	return d.op.LeftIn(ctx, jobs, timeOf(d.today()-memory))
}

// inHives is what of jobs is in hives, one a colony, by job.
func (d Desk) inHives(r *reading, jobs []store.Job) map[string][]treatment.Treatment {
	staying := lo.FilterMap(jobs, func(j store.Job, _ int) (string, bool) { return j.ID, method.Name(j.Method).Stays() })
	colonies := by(r, d.leftIn, staying)
	given := d.givenTo(r, colonies)
	out := map[string][]treatment.Treatment{}
	for _, colony := range colonies {
		counted := map[string]bool{}
		for _, t := range given.Of(colony) {
			if t.In(d.today()) && !t.Carried && !counted[t.Job] {
				counted[t.Job] = true
				out[t.Job] = append(out[t.Job], t)
			}
		}
	}
	return out
}

func (d Desk) jobOf(r store.Job, colonies map[string]store.ColonyName) wire.Job {
	out := wire.Job{CreatedAt: d.local(r.CreatedAt).Format(workTime)}
	out.SaveJob = wire.SaveJob{
		ID: r.ID, Name: r.Name, Method: r.Method, Under: underOf(r), RuleKind: r.RuleKind, Rule: r.RuleWords,
		People: r.People, Colonies: make([]wire.JobColony, len(r.Colonies)),
	}
	at := map[string]int{}
	for i, c := range r.Colonies {
		day := c.Day.Format(dateForm)
		out.Colonies[i] = wire.JobColony{
			ColonyID: c.ColonyID, Day: day, Override: c.OverrideReason, Verdict: c.Verdict, Against: c.Reasons,
			Name: colonies[c.ColonyID].Name,
		}
		k, there := at[day]
		if !there {
			k = len(out.Days)
			at[day] = k
			out.Days = append(out.Days, wire.JobDay{Day: day})
		}
		out.Days[k].Colonies++
		out.Days[k].Minutes += fit.Pace(r.People, colonies[c.ColonyID].Boxes) / 60
	}
	return out
}
