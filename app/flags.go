package app

import (
	"context"
	"slices"
	"time"

	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
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
		there, some := treatment.Standing(d.givenTo(&r, []string{row.ColonyID}).Of(row.ColonyID), method.Name(row.Method), v.day)
		if !some {
			out = append(out, treatment.NoneIn)
		} else if in.Came+in.Missing > v.pieces(there) {
			out = append(out, treatment.MoreOut)
		}
	case treatment.Weighed:
		weights := d.weights(&r, v.job.ID)
		if last, there := weights[row.ColonyID]; there && row.Amount > last.Amount {
			out = append(out, treatment.Rose)
		}
	}
	return out, r.err
}

// weights is what the bottle or pad of each colony of a job weighed last; none where it
// was filled since.
func (d Desk) weights(r *reading, job string) map[string]store.Application {
	out := map[string]store.Application{}
	for _, l := range by(r, d.op.JobLines, job) {
		switch treatment.Kind(l.Kind) {
		case treatment.Weighed:
			out[l.ColonyID] = l
		case treatment.Given:
			delete(out, l.ColonyID)
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
	if in.Kind != string(treatment.Given) {
		return out
	}
	if !in.Extra && slices.ContainsFunc(v.stops[in.ColonyID], func(s wire.Stop) bool { return s.Code == "given_already" }) {
		out = append(out, treatment.Again)
	}
	return out
}
