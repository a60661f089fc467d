package app

import (
	"cmp"
	"context"
	"slices"
	"strings"

	"keeler/core/calendar"
	"keeler/core/followup"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// lookAhead is for how many days what is to come is listed.
const lookAhead = 56

// Check tells what there is to come back for, and how the jobs stand: first of the yards alone that
// are shown first, and of no job, for those go over all.
func (d Desk) Check(ctx context.Context, first bool) (wire.Check, error) {
	r := reading{ctx: ctx}
	of := d.shown(&r, "", first)
	rows, those := d.stood(&r, of)
	colonies, known := d.comebacks(&r, rows, those)
	thresholds := all(&r, d.thresholds)
	var recent []store.Job
	if of.soFar == nil {
		recent = lo.Filter(by(&r, d.op.Jobs, currentJobs), func(j store.Job, _ int) bool { return begins(j) >= d.today()-memory })
	}
	controls := by(&r, d.op.ControlsOf, lo.Map(recent, func(j store.Job, _ int) string { return j.ID }))
	if r.err != nil {
		return wire.Check{}, r.err
	}
	followups := grouped(colonies, known, func(f followup.Followup) bool { return f.Open() && f.From <= d.today()+lookAhead })
	out := wire.Check{Today: written(d.today()), SoFar: of.soFar, Followups: followups, Jobs: []wire.JobStands{}}
	slices.SortStableFunc(out.Followups, func(a, b wire.Followup) int {
		return cmp.Or(cmp.Compare(rank[a.State], rank[b.State]), cmp.Compare(a.By, b.By))
	})
	labels, err := d.labels(ctx)
	if err != nil {
		return out, err
	}
	if err := d.withWeather(ctx, out.Followups, known, labels); err != nil {
		return out, err
	}
	for _, j := range recent {
		conditions, err := conditionsOf(j, labels)
		if err != nil {
			return out, err
		}
		out.Jobs = append(out.Jobs, d.tell(j, conditions, colonies, controls[j.ID], thresholds).stands(j))
	}
	return out, nil
}

// begins is the first day that a job was planned for.
func begins(j store.Job) calendar.Day {
	first := dayOf(j.CreatedAt)
	for i, c := range j.Colonies {
		if day := dayOf(c.Day); i == 0 || day < first {
			first = day
		}
	}
	return first
}

// rank is the order of states: what is furthest behind first.
var rank = map[string]int{
	string(followup.Late): 0, string(followup.Due): 1, string(followup.Coming): 2,
	string(followup.Done): 3, string(followup.Skipped): 4, string(followup.Missed): 5,
}

// grouped puts together what is the same for hives of one job in one yard.
func grouped(colonies []comeback, jobs map[string]store.Job, wanted func(followup.Followup) bool) []wire.Followup {
	out := []wire.Followup{}
	type place struct {
		what, yard string
		again      bool
	}
	at := map[place]int{}
	for _, k := range colonies {
		for _, f := range k.all {
			if !wanted(f) {
				continue
			}
			key := place{f.Key(), k.yard.ID, f.Again}
			i, there := at[key]
			if !there {
				i = len(out)
				at[key] = i
				job := jobs[f.Job]
				title, why := words.Followup(f)
				out = append(out, wire.Followup{
					Key: key.what, Kind: string(f.Kind), N: f.N, Total: f.Total, Again: f.Again, JobID: f.Job, Job: job.Name, Method: job.Method,
					YardID: k.yard.ID, Yard: k.yard.Name, From: written(f.From), By: written(f.By), Until: knownDay(f.Until), State: string(f.State),
					Title: title, Why: why,
				})
			}
			g := &out[i]
			state := string(f.State)
			if rank[state] < rank[g.State] {
				g.State, g.From, g.By, g.Until = state, written(f.From), written(f.By), knownDay(f.Until)
			} else if state == g.State {
				g.From, g.By = min(g.From, written(f.From)), min(g.By, written(f.By))
			}
			g.Colonies = append(g.Colonies, wire.FollowupColony{ID: k.row.ID, Name: k.row.Name, State: state, On: knownDay(f.On), Reason: f.Reason})
		}
	}
	return out
}

// stands is the job as it is listed.
func (t told) stands(j store.Job) wire.JobStands {
	out := wire.JobStands{
		ID: j.ID, Name: j.Name, Method: j.Method, Colonies: len(j.Colonies), Treated: len(t.colonies),
		Yards: strings.Join(lo.Uniq(lo.Map(t.all, func(k comeback, _ int) string { return k.yard.Name })), ", "),
	}
	late, due := map[string]bool{}, map[string]bool{}
	for _, k := range slices.Concat(t.all, t.controls) {
		for _, f := range k.all {
			if f.Job == j.ID {
				late[f.Key()] = late[f.Key()] || f.State == followup.Late
				due[f.Key()] = due[f.Key()] || f.State == followup.Due
			}
		}
	}
	out.Late = lo.CountBy(lo.Values(late), func(is bool) bool { return is })
	out.Due = lo.CountBy(lo.Values(due), func(is bool) bool { return is })
	for _, c := range t.colonies {
		if c.row.EndedOn != nil {
			out.Gone++
		}
		if first := written(c.Times.First); out.Given == "" || first < out.Given {
			out.Given = first
		}
		if slices.ContainsFunc(c.Doses, func(dose treatment.Treatment) bool { return dose.Method.Stays() && dose.In(t.today) }) {
			out.In++
		}
	}
	if len(t.colonies) > 0 {
		out.Result = t.result(t.colonies)
	}
	return out
}

// labels are the label cards by their ids.
func (d Desk) labels(ctx context.Context) (map[string]store.LabelCard, error) {
	cards, err := d.op.Cards(ctx)
	return lo.KeyBy(cards, func(c store.LabelCard) string { return c.ID }), err
}
