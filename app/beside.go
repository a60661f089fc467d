package app

import (
	"slices"

	"keeler/core/calendar"
	"keeler/core/mites"
	"keeler/core/outlook"
	"keeler/store"

	"github.com/samber/lo"
)

// besideIt is how many hives of a yard are asked what comes into them: those that stand nearest.
const besideIt = 6

// nearest are the places of those that stand nearest to one of many, itself left out.
func nearest(at, of int) (out []int) {
	for step := 1; len(out) < besideIt && step < of; step++ {
		for _, i := range []int{at - step, at + step} {
			if i >= 0 && i < of && len(out) < besideIt {
				out = append(out, i)
			}
		}
	}
	return out
}

// beside is what is known of the hives that stand nearest to a colony, on a day.
func (d Desk) beside(r *reading, row store.Colony, yard store.Yard, thresholds mites.Thresholds, on calendar.Day) []miteYear {
	rows := by(r, d.op.ColoniesIn, yard.ID)
	at := slices.IndexFunc(rows, func(c store.Colony) bool { return c.ID == row.ID })
	if r.err != nil || at < 0 {
		return nil
	}
	near := lo.Map(nearest(at, len(rows)), func(i, _ int) store.Colony { return rows[i] })
	those := lately(lo.Map(near, colonyID), on)
	counted := map[string][]store.MiteCount{}
	if r.err = d.op.Counts(r.ctx, those, func(c store.MiteCount) { counted[c.ColonyID] = append(counted[c.ColonyID], c) }); r.err != nil {
		return nil
	}
	h := d.historyOf(r, those)
	return lo.Map(near, func(c store.Colony, _ int) miteYear { return d.known(c, yard, h, counted[c.ID], thresholds, on) })
}

// neighbours is what is known of what comes into the hives beside a colony, those that were counted; as it was kept, where
// nothing changed.
func (d Desk) neighbours(m miteYear, near []miteYear) []outlook.Drift {
	var out []outlook.Drift
	for _, n := range near {
		if len(n.counts) == 0 || n.begins > m.today {
			continue
		}
		key, hive := n.key(), d.hiveKey(n.row.ID)
		hive.drift = true
		f, has := d.app.foresight.of.Get(hive)
		if !has || f.key != key {
			f = foreseen{key: key, drift: n.follow(asked, false).Drift()}
			d.app.foresight.of.Add(hive, f)
		}
		out = append(out, f.drift)
	}
	return out
}

// asked is how many possible colonies of a neighbour are asked: what comes in is all that is wanted of them.
const asked = 60

// share gives each of the hives of a yard what is known of those beside it.
func (d Desk) share(years []miteYear) {
	alone := slices.Clone(years)
	for i := range years {
		years[i].neighbours = d.neighbours(alone[i], lo.Map(nearest(i, len(alone)), func(at, _ int) miteYear { return alone[at] }))
	}
}
