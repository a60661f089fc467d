package app

import (
	"context"
	"errors"

	"keeler/core/method"
	"keeler/store"
	"keeler/wire"
)

// Label tells what stands on the vessel of a batch: by what was weighed where it
// was, by the plan otherwise.
func (d Desk) Label(ctx context.Context, id string) (wire.Label, error) {
	batch, err := d.op.Batch(ctx, id)
	if err != nil {
		return wire.Label{}, err
	}
	in, err := inputsOf(batch)
	if err != nil {
		return wire.Label{}, err
	}
	ledger, err := d.Ledger(ctx, id)
	if err != nil {
		return wire.Label{}, err
	}
	of := content(batch)
	out := wire.Label{
		BatchID: id, Number: batch.Number, Name: nameOf(batch), Method: batch.Method, Kind: string(of.Kind()),
		MadeOn: batch.MadeOn, UseBy: ledger.UseBy, Keeping: batch.Keeping, Rule: in.Rule, Is: wire.Is(of),
		Amount: wire.Round(of.Amount()), Unit: batch.Unit,
		Acids: of.Acids(), Hazards: of.Hazards(), Portions: ledger.Portions,
	}
	if of.Method == method.Strip && !batch.Leftover && batch.Pieces > 0 {
		out.OADPerPiece = wire.Round(float64(of.Holds.OAD) / float64(batch.Pieces))
	}
	run, err := d.op.Run(ctx, id)
	if errors.Is(err, store.ErrNotFound) || err == nil && batch.State != store.IsMade {
		return out, nil
	}
	if err != nil {
		return out, err
	}
	w, err := working(batch, run)
	if err != nil {
		return out, err
	}
	s, err := w.state()
	out.Weighed = true
	if is := w.mixing.MadeOf(s); is != nil && out.Is != nil {
		out.Is.Strength = is.Strength // the same strength, with how far it may be off
	}
	return out, err
}
