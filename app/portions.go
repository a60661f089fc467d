package app

import (
	"context"
	"strings"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

// Portion decants part of a batch into a vessel; the same id a second time is
// dropped.
func (d Desk) Portion(ctx context.Context, batch string, in wire.Portion) (wire.Ledger, error) {
	if _, err := d.op.Batch(ctx, batch); err != nil {
		return wire.Ledger{}, err
	}
	var l fault.List
	if strings.TrimSpace(in.Vessel) == "" {
		l.Add("vessel", fault.Missing)
	}
	l.Within("amount", in.Amount, 0.1, 1e6, "")
	if err := l.Err(); err != nil {
		return wire.Ledger{}, err
	}
	row := store.Portion{
		ID: in.ID, BatchID: batch, Vessel: strings.TrimSpace(in.Vessel), Amount: in.Amount, UserID: d.who.User, CreatedAt: d.stamp(),
	}
	if in.YardID != "" {
		if _, err := d.op.Yard(ctx, in.YardID); err != nil {
			return wire.Ledger{}, unknown("yard_id", err)
		}
		row.YardID = &in.YardID
	}
	if err := d.op.AddPortion(ctx, row); err != nil {
		return wire.Ledger{}, err
	}
	return d.Ledger(ctx, batch)
}

// PourBack empties a portion into its batch again.
func (d Desk) PourBack(ctx context.Context, batch, id string) (wire.Ledger, error) {
	if err := d.op.RemovePortion(ctx, batch, id); err != nil {
		return wire.Ledger{}, err
	}
	return d.Ledger(ctx, batch)
}

func portionOf(p store.Portion) wire.Portion {
	out := wire.Portion{ID: p.ID, Vessel: p.Vessel, Amount: p.Amount, Yard: p.Yard}
	if p.YardID != nil {
		out.YardID = *p.YardID
	}
	return out
}
