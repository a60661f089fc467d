package app

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/followup"
	"keeler/core/method"
	"keeler/core/mites"
	"keeler/core/reach"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// JobCheck tells whether a job worked, and what there is to come back for.
func (d Desk) JobCheck(ctx context.Context, id string) (wire.JobCheck, error) {
	r := reading{ctx: ctx}
	job, told := by(&r, d.op.Job, id), by(&r, d.Job, id)
	everything := store.Among{All: true, Since: timeOf(min(d.today()-memory, begins(job)-lookBack))}
	rows := by(&r, d.op.ColoniesSince, everything.Since)
	colonies, known := d.comebacks(&r, rows, everything)
	lines, controls := by(&r, d.op.JobLines, id), by(&r, d.op.ControlsOf, []string{id})
	thresholds, labels := all(&r, d.thresholds), all(&r, d.labels)
	spent := by(&r, d.spentOf, id)
	if r.err != nil {
		return wire.JobCheck{}, r.err
	}
	conditions, err := conditionsOf(job, labels)
	if err != nil {
		return wire.JobCheck{}, err
	}
	t := d.tell(job, conditions, colonies, controls[id], thresholds)
	out := wire.JobCheck{
		Job: told, Card: labels[lo.FromPtr(job.CardID)].Name, Treated: len(t.colonies), Colonies: []wire.ColonyTold{},
		Falls: []wire.DayFall{}, Reach: t.reach(conditions), Followups: grouped(slices.Concat(t.all, t.controls), known, func(f followup.Followup) bool { return f.Job == id }),
	}
	slices.SortStableFunc(out.Followups, func(a, b wire.Followup) int { return cmp.Compare(a.From, b.From) })
	out.Spent = spent
	if err := d.withWeather(ctx, out.Followups, known, labels); err != nil {
		return out, err
	}
	if len(t.colonies) > 0 {
		out.Result, out.Falls = t.result(t.colonies), t.falls()
	}
	for _, k := range t.controls {
		out.Controls = append(out.Controls, k.row.Name)
	}
	meant := recipeOf(job, nil, cardNamed(job, labels)).Recipe.Giving()
	doses := lo.GroupBy(lines, func(a store.Application) string { return a.ColonyID })
	days := map[string]bool{}
	device, err := d.devicesOf(ctx, job, conditions, cardNamed(job, labels), colonies)
	if err != nil {
		return wire.JobCheck{}, err
	}
	if device != nil {
		if factor, off, learnt := device.learnt.Factor(); learnt {
			out.Device = &wire.DeviceKind{Factor: wire.Round(factor), FactorOff: wire.Round(off), Weighings: device.learnt.Weighings()}
		}
	}
	for _, c := range t.colonies {
		for _, dose := range c.Doses {
			days[written(dose.Given)] = true
		}
		of := wire.ColonyTold{ID: c.row.ID, Name: c.row.Name, Yard: c.yard.Name, EndedOn: optionalDay(c.row.EndedOn), EndReason: c.row.EndReason, Result: t.result([]treated{c}), Counts: c.countsUsed()}
		if device != nil {
			of.Evaporation = device.tell(c, doses[c.row.ID])
		}
		if of.Result != nil && of.Result.Outcome == string(mites.DidNot) {
			for _, why := range mites.WhyNot(t.circumstances(c, doses[c.row.ID], conditions, meant, colonies)) {
				of.Why = append(of.Why, words.WhyNot(why))
			}
		}
		out.Colonies = append(out.Colonies, of)
	}
	out.Given = lo.Keys(days)
	slices.Sort(out.Given)
	return out, nil
}

// lookBack is how many days before a job what bears on it is read.
const lookBack = 90

// tell puts a job together with its colonies and those left untreated.
func (d Desk) tell(job store.Job, under fit.Conditions, colonies []comeback, controls []string, thresholds mites.Thresholds) told {
	t := told{job: job, terms: followup.TermsOf(under), today: d.today(), zone: d.who.Zone, thresholds: thresholds}
	in := lo.SliceToMap(job.Colonies, func(c store.JobColony) (string, bool) { return c.ColonyID, true })
	for _, k := range colonies {
		if in[k.row.ID] {
			t.add(k)
		}
		if slices.Contains(controls, k.row.ID) {
			t.controls = append(t.controls, k)
		}
	}
	return t
}

func cardNamed(job store.Job, labels map[string]store.LabelCard) *wire.LabelCard {
	if job.CardID == nil {
		return nil
	}
	label, err := cardOf(labels[*job.CardID])
	if err != nil {
		return nil
	}
	return &label
}

// countsUsed is the counts around a treatment, with what each is good for.
func (c treated) countsUsed() []wire.CountUsed {
	const shown = 60 // days before the first dose, at most
	out := []wire.CountUsed{}
	for i, count := range c.counts {
		if count.On < c.Times.First-shown {
			continue
		}
		over := count.Days
		if count.Kind == mites.Wash {
			over = float64(count.Bees)
		}
		use := c.counted.Uses[i]
		out = append(out, wire.CountUsed{
			Kind: string(count.Kind), Mites: count.Mites, Over: over, On: written(count.On), Use: string(use), Words: words.Use(use),
		})
	}
	return out
}

// falls is how many mites fell a day, the mean of the hives that had a board, from a
// fortnight before the first dose.
func (t told) falls() []wire.DayFall {
	first, last := t.colonies[0].Times.First, calendar.Day(0)
	for _, c := range t.colonies {
		first = min(first, c.Times.First)
		for _, count := range c.counts {
			if count.Kind == mites.Board && count.On <= c.Times.From+fallsAfter {
				last = max(last, count.On)
			}
		}
	}
	from := first - fallsBefore
	out := []wire.DayFall{}
	for _, c := range t.colonies {
		for i, f := range mites.Falls(c.counts, from, last-1) {
			if i == len(out) {
				out = append(out, wire.DayFall{Day: written(f.Day)})
			}
			if f.Used {
				out[i].Mites += f.Mites
				out[i].Hives++
			}
		}
	}
	for i := range out {
		out[i].Mites = wire.Round(out[i].Mites / float64(max(1, out[i].Hives)))
	}
	// What lies before the first board is not drawn.
	begins := slices.IndexFunc(out, func(f wire.DayFall) bool { return f.Hives > 0 })
	if begins < 0 {
		return []wire.DayFall{}
	}
	return out[begins:]
}

const (
	fallsBefore = 14
	fallsAfter  = 14
)

// circumstances is what the records show around the treatment of one colony.
func (t told) circumstances(c treated, lines []store.Application, under fit.Conditions, meant wire.Giving, yards []comeback) mites.Circumstances {
	out := mites.Circumstances{Broodless: under.Broodless}
	out.Sealed = fit.SealedAbout(c.seen, c.Times.First-fit.BroodAround, c.Times.Last+fit.BroodAround)
	missing := 0
	for _, l := range lines {
		detail := wire.ApplicationOf(l.Detail, wire.Application{})
		if l.Kind == string(treatment.Out) {
			missing += detail.Missing
		}
	}
	for _, l := range lines {
		if l.Kind != string(treatment.Given) {
			continue
		}
		detail := wire.ApplicationOf(l.Detail, wire.Application{})
		dose := mites.Dose{
			On: calendar.On(l.GivenAt.In(t.zone)), Method: method.Name(l.Method), Amount: l.Amount, Asked: l.Asked, Acid: l.OADMG + l.FormicMG,
			PastDay: slices.Contains(strings.Split(l.Flags, ","), string(treatment.PastDay)), Boxes: detail.Boxes, Missing: missing,
			Air: detail.AirC, High: detail.HighC, Cold: under.MinC, Warm: under.MaxC,
		}
		missing = 0
		for _, box := range detail.Seams {
			dose.Seams = append(dose.Seams, lo.Sum(box))
		}
		dose.Meant = meant.MeantMg * meant.Amount(dose.Amount, dose.Asked, lo.Sum(dose.Seams))
		for _, given := range c.Doses {
			if given.ID == l.ID && given.Method == method.Strip && given.Out != 0 {
				dose.Days, dose.Least = int(given.Out-given.Given), l.DaysLow
			}
		}
		out.Doses = append(out.Doses, dose)
	}
	for _, k := range yards {
		near := slices.ContainsFunc(k.bees.Treatments, func(g treatment.Treatment) bool {
			return g.Given >= c.Times.First-nearAbout && g.Given <= c.Times.Last+nearAbout || g.In(c.Times.First)
		})
		if k.yard.ID == c.yard.ID && !near && k.row.EndedOn == nil {
			out.Untreated++
		}
	}
	return out
}

// nearAbout is within how many days of a treatment a neighbour was treated with it.
const nearAbout = 30

// reach is which mites the job could meet, by the brood that was seen before its first dose.
func (t told) reach(under fit.Conditions) []wire.JobReach {
	out := []wire.JobReach{}
	groups := map[string]int{}
	for _, c := range t.colonies {
		brood, unseen := fit.BroodBefore(c.seen, c.Times.First, under.Broodless, c.yard.Latitude)
		var visits []reach.Visit
		for _, dose := range c.Doses {
			v, known := reach.Meets(dose, under.Short(), c.Times.First)
			if known && !dose.Extra && v.From <= reach.MaxDays && len(visits) < reach.MaxVisits {
				v.To = min(v.To, reach.MaxDays)
				visits = append(visits, v)
			}
		}
		key := fmt.Sprint(brood, unseen, visits)
		i, there := groups[key]
		if !there {
			of, err := reach.Of(brood, false, visits)
			if err != nil {
				continue
			}
			i = len(out)
			groups[key] = i
			out = append(out, wire.JobReach{Brood: string(brood), Unseen: unseen, Reach: of, Visits: lo.Map(visits, func(v reach.Visit, _ int) wire.Meets {
				return wire.Meets{From: v.From, To: v.To, Caps: v.Caps}
			})})
		}
		out[i].Colonies = append(out[i].Colonies, c.row.Name)
	}
	return out
}
