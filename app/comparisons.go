package app

import (
	"context"
	"encoding/json"
	"keeler/core/fault"
	"keeler/core/mites"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// SaveComparison makes groups to be compared. They are dealt once: to deal until it looks
// right would undo the chance. The same id a second time gives what was made.
func (d Desk) SaveComparison(ctx context.Context, in wire.SaveComparison) (wire.Comparison, error) {
	if c, err := d.Comparison(ctx, in.ID); err == nil {
		return c, nil
	}
	var l fault.List
	row := store.Comparison{ID: in.ID, Name: l.Said("name", in.Name), MadeOn: timeOf(d.today()), Dealt: in.Deal, UserID: d.who.User, CreatedAt: d.stamp()}
	names, twice := map[string]bool{}, map[string]bool{}
	for i := range in.Groups {
		before := len(l)
		g := &in.Groups[i]
		if g.Name = l.Said("name", g.Name); names[g.Name] {
			l.Add("name", fault.Taken)
		}
		names[g.Name] = true
		for _, c := range g.Colonies {
			if twice[c.ID] {
				l.Add("colonies", fault.Taken)
			}
			twice[c.ID] = true
			row.Colonies = append(row.Colonies, store.ComparisonColony{ColonyID: c.ID, Position: len(row.Colonies), GroupNo: i, InGroup: g.Name})
		}
		if len(g.Colonies) == 0 && !in.Deal {
			l.Add("colonies", fault.Missing)
		}
		l.Beneath(before, "groups", i)
	}
	if in.Deal && len(row.Colonies) < len(in.Groups) {
		l.Add("groups", fault.Missing)
	}
	if err := l.Err(); err != nil {
		return wire.Comparison{}, err
	}
	if in.Deal {
		seams, err := d.strengths(ctx, lo.Keys(twice))
		if err != nil {
			return wire.Comparison{}, err
		}
		like := lo.Map(row.Colonies, func(c store.ComparisonColony, _ int) float64 { return seams[c.ColonyID] })
		for i, g := range mites.Deal(like, len(in.Groups), d.app.set.Chance) {
			row.Colonies[i].GroupNo, row.Colonies[i].InGroup = g, in.Groups[g].Name
		}
	}
	return after(ctx, unknown("groups", d.op.SaveComparison(ctx, &row)), d.Comparison, in.ID)
}

// strengths are the seams of bees that colonies were last seen with.
func (d Desk) strengths(ctx context.Context, ids []string) (map[string]float64, error) {
	boards, err := d.op.LastSeams(ctx, ids)
	return lo.MapValues(boards, func(b json.RawMessage, _ string) float64 {
		sum := 0.0
		for _, box := range wire.BoardOf(b) {
			sum += lo.Sum(box)
		}
		return sum
	}), err
}

// Comparisons lists the groups that were made.
func (d Desk) Comparisons(ctx context.Context) (wire.Comparisons, error) {
	rows, err := d.op.Comparisons(ctx)
	out, err := after(ctx, err, d.comparisonsOf, rows)
	return wire.Comparisons{Comparisons: out}, err
}

// Comparison reads one.
func (d Desk) Comparison(ctx context.Context, id string) (wire.Comparison, error) {
	row, err := d.op.Comparison(ctx, id)
	out, err := after(ctx, err, d.comparisonsOf, []store.Comparison{row})
	if err != nil {
		return wire.Comparison{}, err
	}
	return out[0], nil
}

// RemoveComparison forgets groups; what was given and counted stays.
func (d Desk) RemoveComparison(ctx context.Context, id string) error {
	return d.op.RemoveComparison(ctx, id)
}

func (d Desk) comparisonsOf(ctx context.Context, rows []store.Comparison) ([]wire.Comparison, error) {
	r := reading{ctx: ctx}
	names := by(&r, d.op.Names, d.everything())
	seams := by(&r, d.strengths, lo.Uniq(lo.FlatMap(rows, func(c store.Comparison, _ int) []string {
		return lo.Map(c.Colonies, func(k store.ComparisonColony, _ int) string { return k.ColonyID })
	})))
	return lo.Map(rows, func(row store.Comparison, _ int) wire.Comparison {
		out := wire.Comparison{MadeOn: written(dayOf(row.MadeOn))}
		out.ID, out.Name, out.Deal = row.ID, row.Name, row.Dealt
		at := map[string]int{}
		for _, c := range row.Colonies {
			i, there := at[c.InGroup]
			if !there {
				i = len(out.Groups)
				at[c.InGroup] = i
				out.Groups = append(out.Groups, wire.ComparisonGroup{Name: c.InGroup})
			}
			out.Groups[i].Colonies = append(out.Groups[i].Colonies, wire.ComparisonColony{ID: c.ColonyID, Name: names[c.ColonyID].Name, Seams: seams[c.ColonyID]})
		}
		return out
	}), r.err
}
