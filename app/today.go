package app

import (
	"cmp"
	"context"
	"slices"
	"strings"
	"time"

	"keeler/core/agenda"
	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/followup"
	"keeler/core/mites"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// listed is for how many days what is to come is listed.
const listed = 14

// Today tells what there is to do, and where: first in the yards alone that are shown first.
func (d Desk) Today(ctx context.Context, first bool) (wire.Today, error) {
	r := reading{ctx: ctx}
	of := d.shown(&r, "", first)
	yards := of.yards
	rows, those := d.stood(&r, of)
	shelved := beside(&r, d.shelfOn, d.today())
	colonies, jobs := d.comebacks(&r, rows, those)
	together := all(&r, d.op.Fortnight)
	thresholds, labels := all(&r, d.thresholds), all(&r, d.labels)
	shelf := shelved()
	if r.err != nil {
		return wire.Today{}, r.err
	}
	colonies = lo.Filter(colonies, func(k comeback, _ int) bool { return k.row.EndedOn == nil })
	out := wire.Today{Today: written(d.today()), SoFar: of.soFar, Hives: len(colonies)}
	marked := grouped(colonies, jobs, d.onBand)
	out.Followups = lo.Filter(marked, func(f wire.Followup, _ int) bool {
		return followup.State(f.State).Open() && f.From <= written(d.today()+listed)
	})
	slices.SortStableFunc(out.Followups, func(a, b wire.Followup) int {
		return cmp.Or(cmp.Compare(rank[a.State], rank[b.State]), cmp.Compare(a.By, b.By))
	})
	if err := d.withWeather(ctx, out.Followups, jobs, labels); err != nil {
		return out, err
	}
	out.Calls = append(d.calls(colonies, yards, thresholds), shelf.calls...)
	slices.SortStableFunc(out.Calls, func(a, b wire.Call) int { return cmp.Compare(urgency(a), urgency(b)) })
	forecasts := d.forecasts(ctx, yards)
	next := d.nextAt(marked, jobs, labels)
	out.Band.Yards = []wire.BandYard{}
	for i, y := range yards {
		out.Band.Yards = append(out.Band.Yards, d.bandYard(y, colonies, marked, forecasts[i], next[y.ID]))
	}
	out.Band.From, out.Band.Days = written(d.today()-bandBefore), bandBefore+bandAfter
	out.Sky = d.sky(yards, out.Followups, forecasts)
	out.Along = along(out.Followups, func(job string) []string {
		return recipeOf(jobs[job], nil, cardNamed(jobs[job], labels)).Recipe.Giving().Gear
	}, shelf.jars, written(d.today()+week))
	for _, f := range out.Followups {
		switch followup.State(f.State) {
		case followup.Late:
			out.Late++
		case followup.Due:
			out.Due++
		}
	}
	out.Due += lo.CountBy(out.Calls, func(c wire.Call) bool { return c.Urgent })
	out.Fortnight = d.together(together, yards, colonies)
	out.Running = running(colonies, d.today())
	out.Backup = d.oldBackup()
	return out, nil
}

// freshBackup is how old the newest good backup may be before an owner is told.
const freshBackup = 48 * time.Hour

// oldBackup tells an owner of a newest backup that is too old; nil where none are made, or it
// is not. It goes by the clock on the wall, as the backups do.
func (d Desk) oldBackup() *wire.OldBackup {
	if d.app.set.Backups == nil || !d.who.Role.May(Owner) {
		return nil
	}
	last, has := d.app.set.Backups()
	if !has {
		return &wire.OldBackup{}
	}
	age := d.app.now().Sub(last)
	if age < freshBackup {
		return nil
	}
	return &wire.OldBackup{On: last.In(d.who.Zone).Format(dateForm), Days: int(age / (24 * time.Hour))}
}

func urgency(c wire.Call) int { return lo.Ternary(c.Urgent, 0, 1) }

// running counts the jobs that have something to come to, or something in a hive.
func running(colonies []comeback, today calendar.Day) int {
	jobs := map[string]bool{}
	for _, k := range colonies {
		for _, f := range k.all {
			if f.Job != "" && f.Open() {
				jobs[f.Job] = true
			}
		}
		for _, t := range k.bees.Treatments {
			if t.Job != "" && t.Method.Stays() && t.In(today) {
				jobs[t.Job] = true
			}
		}
	}
	return len(jobs)
}

// calls are what hives call for besides what follows from treatments, those of a yard
// together.
func (d Desk) calls(colonies []comeback, yards []store.Yard, thresholds mites.Thresholds) []wire.Call {
	out := []wire.Call{}
	standing := lo.GroupBy(colonies, func(k comeback) string { return k.row.YardID })
	for _, y := range yards {
		own := standing[y.ID]
		counts := lo.Map(own, func(k comeback, _ int) fit.Counted { return k.counted(thresholds) })
		needs, _ := fit.Needs(counts, d.today())
		at := map[agenda.Kind]int{}
		for i, k := range own {
			h := agenda.Hive{
				Count: counts[i], Need: needs[i], InJob: k.inJob(d.today()), Seen: k.lastSeen(), Began: dayOf(k.row.StartedOn), Latitude: y.Latitude,
				Doubled: treatment.Doubled(k.bees.Treatments), Doubted: treatment.Doubted(k.bees.Treatments),
			}
			for _, kind := range h.Calls(d.today()) {
				key := string(kind) + "." + written(k.since(kind))
				if k.skips(kind, key) {
					continue
				}
				if _, there := at[kind]; !there {
					at[kind] = len(out)
					title, why := words.Call(string(kind), "", "")
					out = append(out, wire.Call{Key: key, Kind: string(kind), Urgent: kind.Urgent(), Title: title, Why: why, YardID: y.ID, Yard: y.Name})
				}
				c := &out[at[kind]]
				c.Key = max(c.Key, key)
				c.Hives = append(c.Hives, wire.Name{ID: k.row.ID, Name: k.row.Name})
			}
		}
	}
	return out
}

// counted is how the last count stands.
func (k comeback) counted(thresholds mites.Thresholds) fit.Counted {
	out := fit.Counted{Standing: mites.Uncounted}
	if len(k.counts) > 0 {
		out = countedOf(k.counts[len(k.counts)-1], k.yard.Latitude, thresholds)
	}
	out.Colony = &k.bees
	return out
}

// inJob reports whether a job still has a dose to bring, or has something in the hive.
func (k comeback) inJob(today calendar.Day) bool {
	return slices.ContainsFunc(k.all, func(f followup.Followup) bool { return f.Kind == followup.Visit && f.Open() }) ||
		slices.ContainsFunc(k.bees.Treatments, func(t treatment.Treatment) bool { return t.Method.Stays() && t.In(today) })
}

// lastSeen is when somebody last looked into the hive; 0: never.
func (k comeback) lastSeen() calendar.Day {
	return lo.Max(lo.Map(k.seen, func(i fit.Inspection, _ int) calendar.Day { return i.On }))
}

// since is when what makes it call was last done: once it is done again, it calls anew.
func (k comeback) since(kind agenda.Kind) calendar.Day {
	switch {
	case kind == agenda.DoubleDose:
		return treatment.Doubled(k.bees.Treatments)
	case kind == agenda.BatchWrong:
		return treatment.Doubted(k.bees.Treatments)
	case kind == agenda.LookIn:
		return k.lastSeen()
	case len(k.counts) > 0:
		return k.counts[len(k.counts)-1].On
	}
	return 0
}

// skips reports whether what makes it call was skipped: by the key of its line, which stands for
// the hive of the line that was counted or seen last.
func (k comeback) skips(kind agenda.Kind, key string) bool {
	for what := range k.skipped {
		if strings.HasPrefix(what, string(kind)+".") && len(what) == len(key) && what >= key {
			return true
		}
	}
	return false
}

// nextDose is the job that brings the next one to a yard, and what it is given under.
type nextDose struct {
	job   store.Job
	under fit.Conditions
}

// nextAt is the next dose of each yard, by the yard's id.
func (d Desk) nextAt(of []wire.Followup, jobs map[string]store.Job, labels map[string]store.LabelCard) map[string]nextDose {
	out, first := map[string]nextDose{}, map[string]string{}
	for _, f := range of {
		if f.Kind != string(followup.Visit) || !followup.State(f.State).Open() || first[f.YardID] != "" && first[f.YardID] <= f.From {
			continue
		}
		under, err := conditionsOf(jobs[f.JobID], labels)
		if err == nil { // what cannot be read is told where the job is
			first[f.YardID], out[f.YardID] = f.From, nextDose{jobs[f.JobID], under}
		}
	}
	return out
}

// sky is the weather of this hour at the first yard where there is something to do.
func (d Desk) sky(yards []store.Yard, of []wire.Followup, forecasts []fit.Forecast) *wire.Sky {
	at := 0
	if len(of) > 0 {
		at = slices.IndexFunc(yards, func(y store.Yard) bool { return y.ID == of[0].YardID })
	}
	if at < 0 || at >= len(yards) {
		return nil
	}
	now := d.worked().Hour()
	hour, known := forecasts[at].At(d.today(), now)
	if !known {
		return nil
	}
	out := &wire.Sky{Yard: yards[at].Name, TempC: wire.Round(hour.TempC), WindMS: wire.Round(hour.WindMS), Rain: hour.Rain > fit.MaxRainMM}
	for h := now + 1; h < 24 && !out.Rain && out.DryUntil == 0; h++ {
		if next, known := forecasts[at].At(d.today(), h); known && next.Rain > fit.MaxRainMM {
			out.DryUntil = h
		}
	}
	return out
}
