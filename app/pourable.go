package app

import (
	"cmp"
	"context"
	"encoding/json"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"slices"
)

// pourable lists the batches of a method that something is left of, those that were made
// first. Of one that is only planned it is told, so that it is poured by choice alone; one
// that is being weighed in is none yet.
func (d Desk) pourable(ctx context.Context, v visit) ([]wire.VisitBatch, error) {
	rows, err := d.op.Pourable(ctx, v.job.Method)
	if err != nil {
		return nil, err
	}
	out := []wire.VisitBatch{}
	for _, r := range rows {
		b := d.roundBatch(r.Batch, r.Left)
		b.TooStrong = treatment.Stronger(b.OADMg+b.FormicMg, v.giving.Meant(v.dosing(b.Base)))
		out = append(out, b)
	}
	slices.SortStableFunc(out, func(a, b wire.VisitBatch) int {
		return cmp.Compare(map[bool]int{true: 0, false: 1}[a.Made], map[bool]int{true: 0, false: 1}[b.Made])
	})
	return out, nil
}

func (d Desk) roundBatch(r store.Batch, left float64) wire.VisitBatch {
	of := content(r)
	b := wire.VisitBatch{ID: r.ID, Number: r.Number, Name: r.Name, OnHand: d.onHand(r, left), Base: bareOf(r), Made: r.State == store.IsMade}
	if r.State == store.Planned { // what it would be, were it mixed without the bench
		b.OnHand.Left = wire.Round(of.Amount() + left)
	}
	oad, formic := treatment.Actives(of.Holds, of.Amount(), 1)
	b.OADMg, b.FormicMg = wire.Round(float64(oad)), wire.Round(float64(formic))
	b.BicarbonateG = wire.Round(float64(of.Bicarbonate(max(b.OnHand.Left, 0))))
	if s := wire.StrengthOf(of); s != nil && s.Unit == "g_per_l" {
		b.GPerL = s.Value
	}
	return b
}

// dosing is how a batch's own plan is shared out; the job's where it has none.
func (v visit) dosing(own *wire.Recipe) wire.Dosing {
	if own == nil {
		return v.giving.Dosing
	}
	return own.Dosing()
}

// bareOf is a batch's own plan without its colonies; nil where it cannot be read.
func bareOf(b store.Batch) *wire.Recipe {
	var in inputs
	if json.Unmarshal(b.Bare, &in) != nil || in.Recipe == (wire.Recipe{}) {
		return nil
	}
	return &in.Recipe
}
