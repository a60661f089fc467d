package app

import (
	"cmp"
	"context"
	"slices"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/followup"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
)

// fortnight is for how many days all yards treat together.
const fortnight = 14

// longOver is for how many days after a fortnight it is still told of.
const longOver = 14

// SetFortnight says when all yards treat, so that neighbours do it together: mites drift from
// the hives that were not.
func (d Desk) SetFortnight(ctx context.Context, in wire.SetFortnight) error {
	if in.From == "" {
		return d.op.ClearFortnight(ctx)
	}
	var l fault.List
	from := readDay("from", in.From, d.today(), d.today()+366, &l)
	if err := l.Err(); err != nil {
		return err
	}
	return d.op.SetFortnight(ctx, store.Fortnight{Begins: timeOf(from), UserID: d.who.User, CreatedAt: d.stamp()})
}

// together tells how far each yard is.
func (d Desk) together(set *store.Fortnight, yards []store.Yard, colonies []comeback) *wire.Fortnight {
	if set == nil {
		return nil
	}
	from := dayOf(set.Begins)
	to := from + fortnight - 1
	if d.today() > to+longOver {
		return nil
	}
	out := &wire.Fortnight{From: written(from), To: written(to), Yards: []wire.FortnightYard{}}
	for _, y := range yards {
		of := wire.FortnightYard{ID: y.ID, Name: y.Name}
		for _, k := range colonies {
			if k.row.YardID != y.ID {
				continue
			}
			of.Hives++
			switch {
			case k.treatedWithin(from, to):
				of.Done++
			case k.comesWithin(from, to):
				of.Planned++
			}
		}
		if of.Hives > 0 {
			out.Yards = append(out.Yards, of)
		}
	}
	slices.SortStableFunc(out.Yards, func(a, b wire.FortnightYard) int {
		return cmp.Compare(float64(a.Done+a.Planned)/float64(a.Hives), float64(b.Done+b.Planned)/float64(b.Hives))
	})
	return out
}

func (k comeback) treatedWithin(from, to calendar.Day) bool {
	return slices.ContainsFunc(k.bees.Treatments, func(t treatment.Treatment) bool { return !t.Carried && t.Given >= from && t.Given <= to })
}

func (k comeback) comesWithin(from, to calendar.Day) bool {
	return slices.ContainsFunc(k.all, func(f followup.Followup) bool {
		return f.Kind == followup.Visit && f.Open() && f.From <= to && (f.Until == 0 || f.Until >= from)
	})
}
