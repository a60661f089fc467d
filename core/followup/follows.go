package followup

import (
	"cmp"
	"slices"

	"keeler/core/calendar"
	"keeler/core/treatment"
)

// Of lists what follows for a colony as it stands on a day, the earliest first. terms tells
// under what a dose of a job was given, skipped the reasons of what was skipped, by key.
func Of(c Colony, terms map[string]Terms, skipped map[string]string, today calendar.Day) []Followup {
	under := func(t treatment.Treatment) Terms {
		if of, known := terms[t.Job]; known && t.Job != "" {
			return of
		}
		return recorded(t)
	}
	out := make([]Followup, 0, 64) // on the stack, as a rule: years of a colony come to fewer
	given := map[string]bool{}
	for _, k := range courses(c.Treatments, under) {
		job, of, first := k.doses[0].Job, "", len(out)
		given[job] = true
		if job == "" {
			of = string(k.doses[0].Method) + "." + k.begun().String()
		}
		out = c.after(out, k, today)
		for i := range out[first:] {
			f := &out[first+i]
			f.Job, f.Of, f.Way = job, of, k.Way
		}
	}
	for _, p := range c.Plans {
		if given[p.Job] {
			continue
		}
		for _, f := range c.planned(p) {
			f.Job, f.Way = p.Job, p.Under.Way
			out = append(out, f)
		}
	}
	for i := range out {
		out[i].stands(today, skipped)
	}
	slices.SortStableFunc(out, func(a, b Followup) int { return cmp.Or(cmp.Compare(a.From, b.From), cmp.Compare(a.By, b.By)) })
	return slices.Clone(out)
}

// planned is what comes before the first dose, and that dose.
func (c Colony) planned(p Plan) []Followup {
	count := Followup{Kind: CountBefore, N: 1, From: p.On - beforeDays, By: p.On, Until: p.On}
	count.On = c.counted(count.From, count.Until)
	return []Followup{count, {Kind: Visit, N: 1, Total: max(1, p.Under.Visits), From: p.On, By: p.On, Until: p.On + giveUp}}
}

// after adds what follows one course.
func (c Colony) after(out []Followup, k course, today calendar.Day) []Followup {
	if k.doses[0].Carried { // it was asked for where it was given; but it must come out
		return append(out, c.removal(k, today)...)
	}
	for i, day := range k.days {
		out = append(out, Followup{Kind: Visit, N: k.first + i + 1, Total: k.first + max(k.Visits, len(k.days)), From: day, By: day, On: day})
	}
	next, more := k.next(today)
	if more {
		out = append(out, next)
	}
	if !more || next.Again {
		out = append(out, c.removal(k, today)...)
	}
	if !k.recordedOnly() {
		out = append(out, c.reversed(k)...)
	}
	ends := k.ends(today)
	for _, r := range rules[k.Way] {
		if r.sampled && !c.Sampled || r.seasonal && !c.fills(ends) || r.job && k.recordedOnly() {
			continue
		}
		from := ends
		switch r.from {
		case atStart:
			from = k.begun()
		case atSpring:
			from = springBegins(ends, c.Latitude)
		}
		f := Followup{Kind: r.kind, N: r.n, From: from + calendar.Day(r.low), By: from + calendar.Day(r.by)}
		f.Until = f.By + calendar.Day(r.still)
		f.On = c.done(f, k)
		if r.whileIn && f.On == 0 && !k.in(min(today, f.Until)) {
			continue // it came out before
		}
		out = append(out, f)
	}
	return out
}

// fills reports whether mites come in from outside at that time of the year.
func (c Colony) fills(on calendar.Day) bool {
	season := on.Season(c.Latitude)
	return calendar.Seasonal(c.Latitude) && (season == calendar.LateSummer || season == calendar.Autumn)
}

// removal is the taking out of what is in, or was.
func (c Colony) removal(k course, today calendar.Day) []Followup {
	if !k.doses[0].Method.Stays() {
		return nil
	}
	f := Followup{Kind: Out, N: 1, On: k.out()}
	f.From, f.By = k.due()
	if f.On == 0 && !k.in(today) {
		return nil
	}
	return []Followup{f}
}

// reversed is what must move along because boxes were changed while it was in.
func (c Colony) reversed(k course) []Followup {
	var out []Followup
	for _, day := range c.Restacked {
		if day <= k.begun() || !k.in(day) {
			continue
		}
		f := Followup{Kind: Reversed, N: len(out) + 1, From: day, By: day + 1}
		_, f.Until = k.due()
		f.Until = max(f.By, f.Until)
		f.On = c.acted(treatment.MovedAlong, day, f.Until)
		if f.On != 0 || k.out() == 0 {
			out = append(out, f)
		}
	}
	return out
}

// done is the day on which what was recorded did a follow-up; 0 where nothing did.
func (c Colony) done(f Followup, k course) calendar.Day {
	switch f.Kind {
	case BoardIn:
		for _, b := range c.Boards {
			if b.From >= f.From && b.From <= f.Until {
				return b.From
			}
		}
	case BoardRead:
		for _, b := range c.Boards {
			if b.From >= k.begun() && b.To >= f.From && b.To <= f.Until {
				return b.To
			}
		}
		return 0
	case Count, Recount:
		return c.counted(f.From, f.Until)
	}
	return c.acted(acts[f.Kind], f.From, f.Until)
}

// acted is the first day between two on which an act was recorded.
func (c Colony) acted(act treatment.Kind, from, until calendar.Day) calendar.Day {
	for _, l := range c.Lines {
		if l.Act == act && l.On >= from && l.On <= until {
			return l.On
		}
	}
	return 0
}

// counted is the first day between two on which mites were counted: a board had to begin
// in that time, too.
func (c Colony) counted(from, until calendar.Day) calendar.Day {
	first := calendar.Day(0)
	hear := func(on calendar.Day) {
		if on <= until && (first == 0 || on < first) {
			first = on
		}
	}
	for _, b := range c.Boards {
		if b.From >= from {
			hear(b.To)
		}
	}
	for _, on := range c.Washes {
		if on >= from {
			hear(on)
		}
	}
	return first
}
