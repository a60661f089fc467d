package app

import (
	"context"
	"maps"
	"slices"
	"strings"

	"keeler/core/calendar"
	"keeler/core/card"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/followup"
	"keeler/core/method"
	"keeler/core/mites"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// comeback is a colony with what a keeper has to come back to it for.
type comeback struct {
	row    store.Colony
	yard   store.Yard
	bees   fit.Colony
	seen   []fit.Inspection
	counts []mites.Count
	all    []followup.Followup
	// skipped are the reasons why something is not done, by what it is.
	skipped map[string]string
}

// comebacks tells what follows for colonies, in a fixed number of statements however many
// they are: nothing for those that have ended. those are the same colonies, and how far it looks
// back. jobs are those that anything of it belongs to, by their ids.
func (d Desk) comebacks(r *reading, rows []store.Colony, those store.Among) (out []comeback, jobs map[string]store.Job) {
	counting := beside(r, d.countedAmong, those) // the most rows, and nothing goes by them
	yards, h := all(r, d.op.Yards), d.historyOf(r, those)
	skips, waits := by(r, d.op.Skips, those), by(r, d.op.Waits, those)
	thresholds := all(r, d.thresholds)
	counted := counting()
	if r.err != nil {
		return nil, nil
	}
	jobs, terms := d.termsOf(r, h, waits)
	standing := lo.KeyBy(yards, func(y store.Yard) string { return y.ID })
	waiting := lo.GroupBy(waits, func(w store.Waiting) string { return w.ColonyID })
	skipped := map[string]map[string]string{}
	for _, s := range skips {
		if skipped[s.ColonyID] == nil {
			skipped[s.ColonyID] = map[string]string{}
		}
		skipped[s.ColonyID][s.What] = s.Reason
	}
	controls := by(r, d.op.ControlsOf, lo.Keys(jobs))
	out = make([]comeback, len(rows))
	known := make([]followup.Colony, len(rows))
	place := map[string]int{} // in the line of its yard
	for i, row := range rows {
		k := comeback{row: row, yard: standing[row.YardID], bees: h.colony(row.ID), seen: h.seen[row.ID], counts: counted[row.ID], skipped: skipped[row.ID]}
		bees := followup.Colony{Treatments: k.bees.Treatments, Lines: h.linesOf(row.ID), Latitude: k.yard.Latitude}
		bees.Sampled = place[row.YardID]%oneIn == 0 || wasOver(k.counts, k.bees.Treatments, thresholds, k.yard.Latitude)
		place[row.YardID]++
		for _, c := range k.counts {
			if c.Kind == mites.Board {
				bees.Boards = append(bees.Boards, followup.Span{From: c.Began(), To: c.On})
			} else {
				bees.Washes = append(bees.Washes, c.On)
			}
		}
		for _, e := range h.events[row.ID] {
			if e.Kind == string(fit.Restacked) {
				bees.Restacked = append(bees.Restacked, dayOf(e.HappenedOn))
			}
		}
		for _, w := range waiting[row.ID] {
			bees.Plans = append(bees.Plans, followup.Plan{Job: w.JobID, On: dayOf(w.Day), Under: terms[w.JobID]})
		}
		if row.EndedOn == nil {
			k.all = followup.Of(bees, terms, skipped[row.ID], d.today())
		}
		out[i], known[i] = k, bees
	}
	for _, job := range slices.Sorted(maps.Keys(controls)) {
		with, given := lo.Find(out, func(k comeback) bool {
			return slices.ContainsFunc(k.all, func(f followup.Followup) bool {
				return f.Job == job && f.Kind == followup.Visit && f.State == followup.Done
			})
		})
		if !given {
			continue
		}
		theirs := lo.Filter(with.all, func(f followup.Followup, _ int) bool { return f.Job == job })
		for i, row := range rows {
			if row.EndedOn == nil && slices.Contains(controls[job], row.ID) {
				out[i].all = append(out[i].all, followup.Spared(known[i], theirs, skipped[row.ID], d.today())...)
			}
		}
	}
	return out, jobs
}

// countedAmong are the counts of each of some colonies since a time, the oldest first.
func (d Desk) countedAmong(ctx context.Context, those store.Among) (map[string][]mites.Count, error) {
	out := map[string][]mites.Count{}
	return out, d.op.Counts(ctx, those, func(c store.MiteCount) {
		out[c.ColonyID] = append(out[c.ColonyID], mitesOf(c))
	})
}

// oneIn is of how many hives one is counted where not all are.
const oneIn = 3

// wasOver reports whether the last count before the newest treatment was over the threshold.
func wasOver(counts []mites.Count, given []treatment.Treatment, thresholds mites.Thresholds, latitude float64) bool {
	over := false
	for _, c := range counts {
		if len(given) > 0 && c.On <= given[len(given)-1].Given {
			over = thresholds.Stand(c, latitude).Stands == mites.Over
		}
	}
	return over
}

// linesOf is what was done at a hive besides a dose, an inspection for eggs among it.
func (h history) linesOf(colony string) []followup.Line {
	out := h.lines[colony]
	for _, i := range h.seen[colony] {
		if i.Eggs != nil || i.Queen == fit.Laying {
			out = append(out, followup.Line{Act: treatment.Checked, On: i.On})
		}
	}
	return out
}

// termsOf reads the jobs that doses and waiting colonies belong to, and what they are given
// under.
func (d Desk) termsOf(r *reading, h history, waits []store.Waiting) (map[string]store.Job, map[string]followup.Terms) {
	named := map[string]bool{}
	for _, all := range h.given.Applications {
		for _, a := range all {
			named[a.Job] = true
		}
	}
	for _, w := range waits {
		named[w.JobID] = true
	}
	delete(named, "")
	jobs := by(r, d.op.JobsAmong, lo.Keys(named))
	labels := all(r, d.labels)
	terms := make(map[string]followup.Terms, len(jobs))
	for _, j := range jobs {
		under, err := conditionsOf(j, labels)
		if err != nil && r.err == nil {
			r.err = err
		}
		t := followup.TermsOf(under)
		t.Closed = j.EndedOn != nil
		terms[j.ID] = t
	}
	return lo.KeyBy(jobs, func(j store.Job) string { return j.ID }), terms
}

// conditionsOf is what a job is given under. The usual dribbles of the seasons differ in
// nothing that follows.
func conditionsOf(j store.Job, labels map[string]store.LabelCard) (fit.Conditions, error) {
	if j.CardID != nil {
		label, err := cardOf(labels[*j.CardID])
		if err != nil {
			return fit.Conditions{}, err
		}
		return label.CoreConditions()
	}
	if c, known := fit.Protocol(j.Protocol); known {
		return c, nil
	}
	return fit.Basic(method.Name(j.Method)), nil
}

func mitesOf(c store.MiteCount) mites.Count {
	return mites.Count{Kind: mites.Kind(c.Kind), Mites: c.Mites, Days: c.Days, Share: c.Share, Bees: c.Bees, On: dayOf(c.CountedOn)}
}

// SkipFollowups writes that something is not done at some colonies, and why; without a
// reason it is to be done again after all.
func (d Desk) SkipFollowups(ctx context.Context, in wire.SkipFollowups) error {
	reason := strings.TrimSpace(in.Reason)
	switch {
	case reason == "" && in.Undo:
		return d.op.Unskip(ctx, in.Key, in.Colonies)
	case reason == "":
		return fault.List{{Field: "reason", Reason: fault.Missing}}
	}
	return unknown("colonies", d.op.Skip(ctx, lo.Map(lo.Uniq(in.Colonies), func(id string, _ int) store.FollowupSkip {
		return store.FollowupSkip{ColonyID: id, What: in.Key, Reason: reason, UserID: d.who.User, CreatedAt: d.stamp()}
	})))
}

// knownDay writes a day, none where there is none.
func knownDay(day calendar.Day) string {
	if day == 0 {
		return ""
	}
	return written(day)
}

// underOf names what a job is judged by, as it was chosen.
func underOf(j store.Job) string {
	if j.CardID != nil {
		return card.Prefix + *j.CardID
	}
	return j.Protocol
}
