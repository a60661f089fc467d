package app

import (
	"context"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Portion decants part of a batch into a vessel; the same id a second time is
// dropped.
func (d Desk) Portion(ctx context.Context, batch string, in wire.Portion) (wire.Ledger, error) {
	if _, err := d.op.Batch(ctx, batch); err != nil {
		return wire.Ledger{}, err
	}
	var l fault.List
	vessel := l.Said("vessel", in.Vessel)
	l.Within("amount", in.Amount, 0.1, 1e6, "")
	if err := l.Err(); err != nil {
		return wire.Ledger{}, err
	}
	row := store.Portion{
		ID: in.ID, BatchID: batch, Vessel: vessel, Amount: in.Amount, UserID: d.who.User, CreatedAt: d.stamp(),
	}
	if in.YardID != "" {
		if _, err := d.op.Yard(ctx, in.YardID); err != nil {
			return wire.Ledger{}, unknown("yard_id", err)
		}
		row.YardID = &in.YardID
	}
	return after(ctx, d.op.AddPortion(ctx, row), d.Ledger, batch)
}

// PourBack empties a portion into its batch again.
func (d Desk) PourBack(ctx context.Context, batch, id string) (wire.Ledger, error) {
	return after(ctx, d.op.RemovePortion(ctx, batch, id), d.Ledger, batch)
}

func portionOf(p store.Portion) wire.Portion {
	return wire.Portion{ID: p.ID, Vessel: p.Vessel, Amount: p.Amount, YardID: lo.FromPtr(p.YardID), Yard: p.Yard}
}
