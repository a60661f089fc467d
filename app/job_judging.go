package app

import (
	"context"
	"strings"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

func (d Desk) judged(ctx context.Context, job string, in []wire.JobColony, under chosen) ([]store.JobColony, error) {
	r := reading{ctx: ctx}
	yards := all(&r, d.op.Yards)
	those := d.remembering(lo.Map(in, func(c wire.JobColony, _ int) string { return c.ColonyID }))
	rows := by(&r, d.op.ColoniesAmong, those.Colonies)
	bees := d.situations(&r, rows, those, latitudesOf(yards))
	d.withJobs(&r, bees, those, job)
	if r.err != nil {
		return nil, r.err
	}
	living := lo.KeyBy(bees, func(k situation) string { return k.row.ID })
	standing := lo.KeyBy(yards, func(y store.Yard) string { return y.ID })
	weather := map[string]fit.Forecast{}
	for i, f := range d.forecasts(ctx, yards) {
		weather[yards[i].ID] = f
	}
	var l fault.List
	out := make([]store.JobColony, len(in))
	twice := map[string]bool{}
	for i, c := range in {
		before := len(l)
		k, lives := living[c.ColonyID]
		if !lives || twice[c.ColonyID] {
			l.Add("colony_id", fault.Unknown)
		}
		twice[c.ColonyID] = true
		day := readDay("day", c.Day, d.today(), d.today()+366, &l)
		at := under.caseOf(day, standing[k.row.YardID], weather[k.row.YardID])
		at.Colony = k.bees
		j := fit.Judge(at)
		override := strings.TrimSpace(c.Override)
		if lives && j.Ask() && override == "" {
			l.Add("override", fault.Missing)
		}
		l.Beneath(before, "colonies", i)
		out[i] = store.JobColony{
			ColonyID: c.ColonyID, Day: timeOf(day), Verdict: fit.VerdictNames[j.Verdict],
			Reasons: against(j), OverrideReason: override,
		}
	}
	return out, l.Err()
}

// withJobs tells colonies of the open jobs that still have to come to them, but for one.
func (d Desk) withJobs(r *reading, colonies []situation, those store.Among, but string) {
	waits := by(r, d.op.Waits, those)
	if len(waits) == 0 {
		return
	}
	jobs := lo.Uniq(lo.Map(waits, func(w store.Waiting, _ int) string { return w.JobID }))
	days := by(r, d.op.DaysOf, jobs)
	in := map[string][]treatment.Treatment{} // what hangs in any hive, of those that are open by nothing else
	if late := lo.Filter(jobs, func(id string, _ int) bool { return !d.open(days[id], false) }); len(late) > 0 {
		in = d.inHives(r, by(r, d.op.JobsAmong, late))
	}
	at := make(map[string]int, len(colonies))
	for i, k := range colonies {
		at[k.row.ID] = i
	}
	for _, w := range waits {
		i, here := at[w.ColonyID]
		if !here || w.JobID == but || !d.open(days[w.JobID], len(in[w.JobID]) > 0) {
			continue
		}
		c := &colonies[i].bees
		c.Jobs = append(c.Jobs, fit.OpenJob{Name: w.Name, Method: method.Name(w.Method), Day: dayOf(w.Day)})
	}
}

// open reports whether a job that nobody closed is still open.
func (d Desk) open(j store.JobDays, in bool) bool {
	given := calendar.Day(0)
	if j.LastGiven != nil {
		given = d.dayOf(*j.LastGiven)
	}
	return fit.Open(dayOf(j.LastDay), given, in, d.today())
}

// against names the codes of what speaks against, as far as they fit a line.
func against(j fit.Judgement) string {
	const most = 500
	text := ""
	for _, r := range j.Reasons {
		if r.Verdict == fit.Fits || len(text)+len(r.Code) >= most {
			continue
		}
		if text != "" {
			text += ","
		}
		text += r.Code
	}
	return text
}
