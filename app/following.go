package app

import (
	"context"
	"fmt"

	"keeler/core/stock"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/google/uuid"
)

// follow is what a line means for the jar and for the bees' record.
func (d Desk) follow(ctx context.Context, op store.Operation, v visit, row store.Application, sent wire.Application) error {
	switch treatment.Kind(row.Kind) {
	case treatment.Skipped:
		if row.Reason == treatment.Dead && sent.Close && d.who.Role.May(Keeper) {
			return d.closeDead(ctx, op, row)
		}
	case treatment.Given:
		if row.BatchID != nil {
			in := wire.StockEntry{ID: row.ID, Kind: string(stock.Used), Amount: row.Amount, ColonyID: row.ColonyID}
			if sent.ByHand {
				if err := d.madeByHand(ctx, op, *row.BatchID, sent.Keeping); err != nil {
					return err
				}
			}
			if _, err := d.entering(ctx, op, store.Account{Batch: *row.BatchID}, in, ""); err != nil {
				return err
			}
		}
	}
	return nil
}

// closeDead closes a colony that was found dead on the round.
func (d Desk) closeDead(ctx context.Context, op store.Operation, row store.Application) error {
	colony, err := op.Colony(ctx, row.ColonyID)
	if err != nil || colony.EndedOn != nil {
		return err
	}
	day := d.dayGiven(row)
	return op.End(ctx, colony.ID, colony.Version, timeOf(day), "dead", d.event(colony.ID, "ended", "", "dead", day))
}

// reopen takes that back: the colony was not dead.
func (d Desk) reopen(ctx context.Context, op store.Operation, was store.Application) error {
	colony, err := op.Colony(ctx, was.ColonyID)
	if err != nil || colony.EndedOn == nil {
		return err
	}
	return op.Reopen(ctx, colony.ID, colony.Version, d.event(colony.ID, "reopened", "", "", d.dayGiven(was)))
}

// madeByHand opens the account of a batch that is said to be mixed without the bench, with what
// was planned. Where nobody says how it is kept it is taken for the way that keeps it shortest:
// there is no syrup without a last good day.
func (d Desk) madeByHand(ctx context.Context, op store.Operation, id, keeping string) error {
	batch, err := op.Batch(ctx, id)
	if err != nil || batch.State != store.Planned {
		return err
	}
	amount := wire.Round(content(batch).Amount())
	if amount <= 0 {
		return nil
	}
	mixing, err := mixingOf(batch, "")
	if err != nil {
		return fmt.Errorf("batch %s made by hand: %w", id, err)
	}
	kept := mixing.Keepings[0]
	for _, k := range mixing.Keepings {
		if k.Store == keeping {
			kept = k
		}
	}
	lots, err := d.usualLots(ctx, op)
	if err != nil {
		return fmt.Errorf("batch %s made by hand: %w", id, err)
	}
	if err := d.takeOff(ctx, op, lots, mixing.Needs(), id); err != nil {
		return fmt.Errorf("batch %s made by hand: %w", id, err)
	}
	if err := d.enter(ctx, op, store.Account{Batch: id}, stock.Made, amount, byHand); err != nil {
		return fmt.Errorf("batch %s made by hand: open its account: %w", id, err)
	}
	return op.FinishBatch(ctx, id, store.Finished{
		State: store.IsMade, VolumeML: batch.VolumeML, Pieces: batch.Pieces, Keeping: kept.Store, UseBy: d.useBy(kept), MadeOn: d.worked().Format(workTime),
	})
}

// undo takes back what a line meant, before the one that amends it does.
func (d Desk) undo(ctx context.Context, op store.Operation, was, by store.Application) error {
	if err := op.Supersede(ctx, was.ID, by.ID); err != nil {
		return err
	}
	switch treatment.Kind(was.Kind) {
	case treatment.Skipped:
		if wire.ApplicationOf(was.Detail, wire.Application{}).Close {
			return d.reopen(ctx, op, was)
		}
		return nil
	}
	if was.BatchID == nil {
		return nil
	}
	back := uuid.NewSHA1(uuid.MustParse(by.ID), []byte("back")).String()
	_, err := d.entering(ctx, op, store.Account{Batch: *was.BatchID}, wire.StockEntry{
		ID: back, Kind: string(stock.Amended), Amount: was.Amount, ColonyID: was.ColonyID,
	}, amended)
	return err
}
