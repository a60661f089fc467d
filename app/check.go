package app

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"

	"keeler/core/calendar"
	"keeler/core/followup"
	"keeler/core/mites"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// lookAhead is for how many days what is to come is listed.
const lookAhead = 56

// Check tells what there is to come back for, and how the jobs stand.
func (d Desk) Check(ctx context.Context) (wire.Check, error) {
	r := reading{ctx: ctx}
	rows := all(&r, d.op.Colonies)
	colonies, known := d.comebacks(&r, rows)
	recent, thresholds := all(&r, d.op.Jobs), all(&r, d.thresholds)
	controls := by(&r, d.op.ControlsOf, lo.Map(recent, func(j store.Job, _ int) string { return j.ID }))
	if r.err != nil {
		return wire.Check{}, r.err
	}
	followups := grouped(colonies, known, func(f followup.Followup) bool { return f.Open() && f.From <= d.today()+lookAhead })
	out := wire.Check{Today: written(d.today()), Followups: followups, Jobs: []wire.JobStands{}}
	slices.SortStableFunc(out.Followups, func(a, b wire.Followup) int {
		return cmp.Or(cmp.Compare(rank[a.State], rank[b.State]), cmp.Compare(a.By, b.By))
	})
	labels, err := d.labels(ctx)
	if err != nil {
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

// rank is the order of states: what is furthest behind first.
var rank = map[string]int{
	string(followup.Late): 0, string(followup.Due): 1, string(followup.Coming): 2,
	string(followup.Done): 3, string(followup.Skipped): 4, string(followup.Missed): 5,
}

// grouped puts together what is the same for hives of one job in one yard.
func grouped(colonies []comeback, jobs map[string]store.Job, wanted func(followup.Followup) bool) []wire.Followup {
	out := []wire.Followup{}
	at := map[string]int{}
	for _, k := range colonies {
		for _, f := range k.all {
			if !wanted(f) {
				continue
			}
			key := fmt.Sprint(f.Key(), f.Again, k.yard.ID)
			i, there := at[key]
			if !there {
				i = len(out)
				at[key] = i
				job := jobs[f.Job]
				title, why := words.Followup(f)
				out = append(out, wire.Followup{
					Key: f.Key(), Kind: string(f.Kind), N: f.N, Total: f.Total, Again: f.Again, JobID: f.Job, Job: job.Name, Method: job.Method,
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

// told is a job as it is told whether it worked.
type told struct {
	job        store.Job
	terms      followup.Terms
	colonies   []treated // of those that were given anything
	all        []comeback
	controls   []comeback
	today      calendar.Day
	thresholds mites.Thresholds
}

// treated is a colony with its doses of a job and the counts around them.
type treated struct {
	comeback
	followup.Around
	counted mites.Around
	fall    mites.Fall
	fell    bool // and a second treatment told how many were left
}

func (t *told) add(k comeback) {
	t.all = append(t.all, k)
	around, given := followup.Job(k.bees.Treatments, t.job.ID, k.seen, t.terms, k.yard.Latitude, t.today)
	if !given {
		return
	}
	of := treated{comeback: k, Around: around, counted: around.Times.Around(k.counts)}
	if around.Sure {
		of.fall, of.fell = mites.FallBy(around.Times, around.Second, k.counts)
	}
	t.colonies = append(t.colonies, of)
}

// result is whether it worked in some of its colonies; nil where nothing was counted.
func (t told) result(of []treated) *wire.Result {
	falls := []mites.Fall{}
	kinds := map[mites.Kind][]mites.Pair{}
	var now mites.Count
	counted, before, mixed := false, false, false
	for _, c := range of {
		if c.fell {
			falls = append(falls, c.fall)
		}
		if c.counted.Kind != "" {
			kinds[c.counted.Kind] = append(kinds[c.counted.Kind], c.counted.Pair)
		}
		before = before || slices.Contains(c.counted.Uses, mites.UseBefore)
		mixed = mixed || slices.Contains(c.counted.Uses, mites.OtherKind)
		if last := c.counted.Last; c.counted.There && (!counted || last.Kind == now.Kind) {
			now.Kind, now.Mites, now.Days, now.Bees, now.On = last.Kind, now.Mites+last.Mites, now.Days+last.Days, now.Bees+last.Bees, max(now.On, last.On)
			counted = true
		}
	}
	kind := mites.Wash
	if len(kinds[mites.Board]) > len(kinds[mites.Wash]) {
		kind = mites.Board
	}
	var against []mites.Pair
	for _, c := range t.controls {
		if around := of[0].Times.Around(c.counts); around.Kind == kind {
			against = append(against, around.Pair)
		}
	}
	k, known := mites.Fallen(falls)
	if len(falls) < len(kinds[kind]) || !known {
		if k, known = mites.Fewer(kinds[kind], against); !known {
			k, known = mites.Fewer(kinds[kind], nil)
		}
	}
	if !known && !counted && !before {
		return nil
	}
	out := &wire.Result{Killed: k, Enough: mites.GoodEnough}
	stands := mites.Uncounted
	if counted {
		s := standingOf(now, of[0].yard.Latitude, t.thresholds)
		out.Now, stands = &s, s.Stands
	}
	switch {
	case known:
		out.How = words.Measured(k)
	case mixed:
		out.Measure, out.How = mites.AfterAlone, words.Unmeasured("other_kind")
	case counted:
		out.Measure, out.How = mites.AfterAlone, words.Unmeasured("no_before")
	default:
		out.Measure, out.How = mites.AfterAlone, words.Unmeasured("no_after")
	}
	outcome := out.Killed.Outcome(stands)
	out.Outcome, out.Words = string(outcome), words.WhetherItWorked(outcome)
	if outcome == mites.NotKnown && known {
		pair := mites.Pair{}
		for _, p := range kinds[kind] {
			pair.Before, pair.After = pair.Before.And(p.Before), pair.After.And(p.After)
		}
		if pair.After.Over > 0 {
			out.Tell = words.WouldTell(kind, pair, pair.WouldTell(kind))
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
	for _, k := range t.all {
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
