package app

import (
	"context"
	"slices"
	"time"

	"keeler/core/chem"
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// besides is what about a line should be looked at by what was written of the hive before:
// more that came out than was in, a bottle that got heavier by itself.
func (d Desk) besides(ctx context.Context, v visit, row store.Application, in wire.Application) ([]treatment.Flag, error) {
	if in.Amends != "" { // what it corrects is still written
		return nil, nil
	}
	var out []treatment.Flag
	r := reading{ctx: ctx}
	switch treatment.Kind(row.Kind) {
	case treatment.Out:
		there, some := treatment.Standing(d.givenTo(&r, []string{row.ColonyID}).Of(row.ColonyID), method.Name(row.Method), d.dayGiven(row))
		if !some {
			out = append(out, treatment.NoneIn)
		} else if in.Came+in.Missing > v.pieces(there) {
			out = append(out, treatment.MoreOut)
		}
	case treatment.Weighed:
		weights := d.lasts(&r, v.job.ID).weights
		if last, there := weights[row.ColonyID]; there && row.Unit == last.Unit && row.Amount > last.Amount {
			out = append(out, treatment.Rose)
		}
	}
	return out, r.err
}

// lasts are the newest lines of hives in a job, by what they tell: what bottles and pads of
// the filling that is in weighed last, and in which gaps strips were put last.
type lasts struct{ weights, gaps map[string]store.Application }

func (d Desk) lasts(r *reading, job string) lasts {
	out := lasts{map[string]store.Application{}, map[string]store.Application{}}
	for _, l := range by(r, d.op.JobLines, job) {
		switch treatment.Kind(l.Kind) {
		case treatment.Weighed:
			out.weights[l.ColonyID] = l
		case treatment.Given:
			delete(out.weights, l.ColonyID)
		}
		if len(wire.ApplicationOf(l.Detail, wire.Application{}).Gaps) > 0 && !l.Extra {
			out.gaps[l.ColonyID] = l
		}
	}
	return out
}

// flags is what about a line should be looked at, as far as it tells by itself.
func (d Desk) flags(v visit, in wire.Application, ago time.Duration) []treatment.Flag {
	var out []treatment.Flag
	if _, in := v.colonies[in.ColonyID]; !in {
		out = append(out, treatment.NotInJob)
	}
	wall := d.app.now().Add(-ago)
	if in.PhoneAt != nil && treatment.Off(float64(in.PhoneAt.Unix()), float64(wall.Unix())) {
		out = append(out, treatment.Clock)
	}
	return out
}

// before is what about a dose should be looked at by what its bees had before it: the same acid not
// long ago, or more formic acid in 28 days than any course brings.
func (d Desk) before(v visit, row store.Application) []treatment.Flag {
	colony, here := lo.Find(v.rows, func(c store.Colony) bool { return c.ID == row.ColonyID })
	if row.Kind != string(treatment.Given) || !here {
		return nil
	}
	var out []treatment.Flag
	day := d.dayGiven(row)
	if !row.Extra && slices.ContainsFunc(v.stops(colony, day), func(s wire.Stop) bool { return s.Code != "in_job" }) {
		out = append(out, treatment.Again)
	}
	bees := v.bees[colony.ID]
	all := append(slices.Clone(bees.Treatments), treatment.Treatment{Given: day, Formic: chem.Milligrams(row.FormicMG)})
	if row.FormicMG > 0 && treatment.FormicAdded(all, bees.Boxes, day) > pad.CourseHigh && len(bees.Treatments) > 0 {
		out = append(out, treatment.Formic)
	}
	return out
}
