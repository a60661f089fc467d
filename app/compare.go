package app

import (
	"cmp"
	"context"
	"slices"
	"strconv"

	"keeler/core/calendar"
	"keeler/core/mites"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Comparing is which treatments are compared, and by what.
type Comparing struct {
	By, Job, Yard, Method string // empty: of all
	Comparison            string // whose groups
}

// treatedIn is a colony as one job treated it, in the group that it is compared in.
type treatedIn struct {
	treated
	of    *told
	group wire.CompareGroup // its key and name
}

// Compare holds groups of treated colonies against each other, as far as they are told by the
// same kind of count.
func (d Desk) Compare(ctx context.Context, in Comparing) (wire.Compare, error) {
	out := wire.Compare{By: in.By, Groups: []wire.CompareGroup{}, Pairs: []wire.ComparePair{}}
	units, err := d.units(ctx, in, &out)
	if err != nil {
		return out, err
	}
	byKey := lo.GroupBy(units, func(u treatedIn) string { return u.group.Key })
	groups := make([][]treated, len(out.Groups))
	for i, g := range out.Groups {
		groups[i] = lo.Map(byKey[g.Key], func(u treatedIn, _ int) treated { return u.treated })
	}
	common, some := bestBasis(groups...)
	if some > 0 {
		out.Basis = string(common)
	}
	for i, of := range groups {
		g := &out.Groups[i]
		g.Colonies = lo.Uniq(lo.Map(of, func(c treated, _ int) string { return c.row.Name }))
		if len(of) == 0 {
			continue
		}
		t, by := together(byKey[g.Key]), common
		k, known := t.killed(of, by)
		if !known { // by a kind of its own, then, and held against nothing
			by, k, known = t.best(of)
		}
		if known {
			g.Basis, g.Told = string(by), lo.CountBy(of, func(c treated) bool { return c.has(by) })
		}
		g.Method, g.Result = t.job.Method, t.resultBy(of, by, k, known)
	}
	out.Pairs = pairsOfGroups(out.Groups, out.Basis)
	return out, nil
}

// together is the job that some colonies were treated by. Of several jobs there are no
// controls: those of one were not untreated in the weeks of another.
func together(of []treatedIn) told {
	t := *of[0].of
	for _, u := range of[1:] {
		if u.of.job.ID != t.job.ID {
			t.controls = nil
		}
		if u.of.job.Method != t.job.Method {
			t.job.Method = ""
		}
	}
	return t
}

// pairsOfGroups holds each against each that is told by the same. Of very many nobody reads
// the pairs.
func pairsOfGroups(groups []wire.CompareGroup, by string) []wire.ComparePair {
	const most = 6
	told := lo.Filter(lo.Range(len(groups)), func(i, _ int) bool { return groups[i].Told > 0 && groups[i].Basis == by })
	out := []wire.ComparePair{}
	if len(told) > most {
		return out
	}
	pairs := len(told) * (len(told) - 1) / 2
	for at, i := range told {
		for _, j := range told[at+1:] {
			d, ok := mites.Differ(groups[i].Result.Killed, groups[j].Result.Killed, pairs)
			out = append(out, wire.ComparePair{First: i, Second: j, Difference: d, Beyond: ok && d.Beyond(), Small: !ok})
		}
	}
	return out
}

// units are the treated colonies that are wanted, each with its group; the groups are
// written down in the order in which they are told.
func (d Desk) units(ctx context.Context, in Comparing, out *wire.Compare) ([]treatedIn, error) {
	r := reading{ctx: ctx}
	everything := store.Among{All: true, Since: timeOf(d.today() - compared)}
	rows := by(&r, d.op.ColoniesSince, everything.Since)
	colonies, _ := d.comebacks(&r, rows, everything)
	jobs, thresholds, labels := by(&r, d.op.JobsSince, everything.Since), all(&r, d.thresholds), all(&r, d.labels)
	jobs = lo.Filter(jobs, func(j store.Job, _ int) bool {
		return (in.Job == "" || j.ID == in.Job) && (in.Method == "" || j.Method == in.Method)
	})
	ids := lo.Map(jobs, func(j store.Job, _ int) string { return j.ID })
	controls, sources := by(&r, d.op.ControlsOf, ids), by(&r, d.op.Sources, ids)
	g := grouping{by: in.By, labels: labels, sources: lo.KeyBy(sources, func(s store.Source) string { return s.Application })}
	if in.By == "groups" {
		made := by(&r, d.op.Comparison, in.Comparison)
		out.Comparison, g.since, g.named = new(by(&r, d.Comparison, in.Comparison)), dayOf(made.MadeOn), map[string]string{}
		for _, of := range out.Comparison.Groups {
			out.Groups = append(out.Groups, wire.CompareGroup{Key: of.Name, Name: of.Name})
		}
		for _, c := range made.Colonies {
			g.named[c.ColonyID] = c.InGroup
		}
	}
	if r.err != nil {
		return nil, r.err
	}
	var units []treatedIn
	for _, j := range slices.Backward(jobs) { // the oldest first
		under, err := conditionsOf(j, labels)
		if err != nil {
			return nil, err
		}
		t := d.tell(j, under, colonies, controls[j.ID], thresholds)
		for _, c := range t.colonies {
			u := treatedIn{treated: c, of: &t, group: g.of(j, c)}
			if u.group.Key == "" || in.Yard != "" && c.yard.ID != in.Yard {
				continue
			}
			if !slices.ContainsFunc(out.Groups, func(of wire.CompareGroup) bool { return of.Key == u.group.Key }) {
				out.Groups = append(out.Groups, u.group)
			}
			units = append(units, u)
		}
	}
	return units, nil
}

// compared is how many days back treatments are compared: six years.
const compared = 6*365 + 2

// grouping tells which group a treated colony is compared in.
type grouping struct {
	by      string
	labels  map[string]store.LabelCard
	sources map[string]store.Source
	named   map[string]string // of groups that were made: by colony
	since   calendar.Day      // and when
}

// of gives its key and name; without a key it is compared in none.
func (g grouping) of(j store.Job, c treated) wire.CompareGroup {
	year := written(c.Times.First)[:len("2006")]
	source, label := g.sources[c.Doses[0].ID], g.labels[lo.FromPtr(j.CardID)].Name
	switch g.by {
	case "job":
		return wire.CompareGroup{Key: j.ID, Name: j.Name}
	case "year":
		return wire.CompareGroup{Key: year, Name: year}
	case "yard":
		return wire.CompareGroup{Key: c.yard.ID, Name: c.yard.Name}
	case "method":
		return wire.CompareGroup{Key: j.Method}
	case "protocol":
		return wire.CompareGroup{Key: cmp.Or(underOf(j), j.Method), Name: label}
	case "carrier":
		if label != "" { // a product is a kind of its own
			return wire.CompareGroup{Key: underOf(j), Name: label}
		}
		return wire.CompareGroup{Key: source.Carrier}
	case "batch":
		if source.Batch != "" {
			return wire.CompareGroup{Key: source.Batch, Name: strconv.Itoa(source.Number) + " · " + source.Name}
		}
	case "groups":
		if name, is := g.named[c.row.ID]; is && c.Times.First >= g.since {
			delete(g.named, c.row.ID) // the first treatment since they were made is what is compared
			return wire.CompareGroup{Key: name, Name: name}
		}
	}
	return wire.CompareGroup{}
}
