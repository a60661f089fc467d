package app

import (
	"cmp"
	"context"
	"math"
	"strings"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/stock"
	"keeler/store"
	"keeler/wire"
	"keeler/words"
)

// Ledger is the account of a batch.
func (d Desk) Ledger(ctx context.Context, id string) (wire.Ledger, error) {
	r := reading{ctx: ctx}
	batch, entries, portions := by(&r, d.op.Batch, id), by(&r, d.op.Entries, store.Account{Batch: id}), by(&r, d.op.Portions, id)
	if r.err != nil {
		return wire.Ledger{}, r.err
	}
	out := wire.Ledger{
		Entries: d.entries(entries), OnHand: d.onHand(batch, stock.Left(amounts(entries))),
		Portions: lo.Map(portions, func(p store.Portion, _ int) wire.Portion { return portionOf(p) }),
	}
	out.InPortion = lo.SumBy(portions, func(p store.Portion) float64 { return p.Amount })
	out.OverFull = stock.ToReconcile(out.Left - out.InPortion)
	var err error
	out.Cost, err = d.cost(ctx, batch, entries)
	return out, err
}

// cost is what went into a batch by the prices of its lots.
func (d Desk) cost(ctx context.Context, batch store.Batch, entries []store.StockEntry) (*wire.LedgerCost, error) {
	r := reading{ctx: ctx}
	into := by(&r, d.op.Into, batch.ID)
	if r.err != nil || len(into) == 0 {
		return nil, r.err
	}
	lots := lo.KeyBy(all(&r, d.op.Lots), func(l store.Lot) string { return l.ID })
	out := wire.LedgerCost{Unpriced: []string{}}
	priced := false
	for _, e := range into {
		lot := lots[*e.LotID]
		if lot.Price == 0 {
			out.Unpriced = append(out.Unpriced, lot.Ingredient)
			continue
		}
		priced = true
		out.Total += stock.Cost(-e.Amount, lot.Price, lot.Unit)
	}
	if r.err != nil || !priced {
		return nil, r.err
	}
	in, err := inputsOf(batch)
	if err != nil {
		return nil, err
	}
	recipe, err := in.Recipe.Core()
	if err != nil {
		return nil, err
	}
	made, used := uses(entries)
	out.PerColony, out.Colonies = stock.PerColony(out.Total, made, used, recipe.Colonies())
	return &out, nil
}

func uses(entries []store.StockEntry) (made float64, used map[string]float64) {
	used = map[string]float64{}
	for _, e := range entries {
		switch {
		case e.Kind == string(stock.Made):
			made += e.Amount
		case e.Kind == string(stock.Used) && e.ColonyID != nil:
			used[*e.ColonyID] -= e.Amount
		}
	}
	return made, used
}

// Enter writes a line into the account of a batch, and gives the account. More
// used than there is, is never refused: it is to be reconciled.
func (d Desk) Enter(ctx context.Context, batch string, in wire.StockEntry) (wire.Ledger, error) {
	kind, wrong := stock.Kind(in.Kind), fault.List{{Field: "kind", Reason: fault.NotFitting}}
	if kind == stock.Bought || kind == stock.Amended {
		return wire.Ledger{}, wrong
	}
	err := d.op.Within(ctx, func(op store.Operation) error {
		b, err := op.HoldBatch(ctx, batch)
		if err != nil {
			return err
		}
		done, err := d.entering(ctx, op, store.Account{Batch: batch}, in, "")
		switch {
		case err != nil || !done || kind != stock.Made:
			return err
		case b.State != store.Planned:
			return wrong
		}
		return op.SetState(ctx, batch, store.IsMade) // mixed without the bench: it is as it was planned
	})
	return after(ctx, err, d.Ledger, batch)
}

// Causes of what Keeler writes into a ledger by itself.
const (
	byHand  = "by_hand"
	atBench = "at_bench"
	amended = "amended"
)

// entering writes a line into a ledger, once; cause is why where no person says it.
func (d Desk) entering(ctx context.Context, op store.Operation, a store.Account, in wire.StockEntry, cause string) (done bool, err error) {
	return op.Enter(ctx, a, in.ID, func(left float64) (store.StockEntry, error) {
		var l fault.List
		reason := strings.TrimSpace(in.Reason)
		e := stock.Write(stock.Kind(in.Kind), in.Amount, left, reason+cause, &l)
		return store.StockEntry{
			Kind: in.Kind, Amount: e.Amount, Reason: reason, Cause: cause, ColonyID: lo.EmptyableToPtr(in.ColonyID),
			WorkedAt: d.clock(), UserID: d.who.User, CreatedAt: d.stamp(),
		}, l.Err()
	})
}

// enter writes what the bench did.
func (d Desk) enter(ctx context.Context, op store.Operation, a store.Account, kind stock.Kind, amount float64, cause string) error {
	_, err := d.entering(ctx, op, a, wire.StockEntry{ID: uuid.NewString(), Kind: string(kind), Amount: amount}, cause)
	return err
}

// enterFor writes what went into a batch.
func (d Desk) enterFor(ctx context.Context, op store.Operation, a store.Account, kind stock.Kind, amount float64, batch string) error {
	_, err := op.Enter(ctx, a, uuid.NewString(), func(left float64) (store.StockEntry, error) {
		var l fault.List
		e := stock.Write(kind, amount, left, "", &l)
		return store.StockEntry{
			Kind: string(kind), Amount: e.Amount, ForBatchID: &batch, WorkedAt: d.clock(), UserID: d.who.User, CreatedAt: d.stamp(),
		}, l.Err()
	})
	return err
}

func amounts(rows []store.StockEntry) []stock.Entry {
	return lo.Map(rows, func(r store.StockEntry, _ int) stock.Entry {
		return stock.Entry{Kind: stock.Kind(r.Kind), Amount: r.Amount}
	})
}

func (d Desk) entries(rows []store.StockEntry) []wire.StockEntry {
	return lo.Map(rows, func(r store.StockEntry, _ int) wire.StockEntry {
		amount := math.Abs(r.Amount)
		if r.Kind == string(stock.Found) {
			amount = r.LeftBefore + r.Amount
		}
		return wire.StockEntry{
			ID: r.ID, Kind: r.Kind, Amount: wire.Round(amount), Reason: cmp.Or(r.Reason, words.Cause(r.Cause)), Change: wire.Round(r.Amount),
			LeftBefore: wire.Round(r.LeftBefore), ColonyID: lo.FromPtr(r.ColonyID), Colony: r.Colony, ForBatch: lo.FromPtr(r.ForBatchID),
			At: d.local(r.WorkedAt), By: r.Login,
		}
	})
}

// onHand tells what is there, and how long it keeps.
func (d Desk) onHand(b store.Batch, left float64) wire.OnHand {
	out := wire.OnHand{Unit: b.Unit, Left: wire.Round(left), ToReconcile: stock.ToReconcile(left)}
	if b.UseBy != nil {
		out.UseBy, out.Keeps = d.keeps(dayOf(*b.UseBy))
	}
	return out
}

func (d Desk) keeps(useBy calendar.Day) (string, string) {
	return written(useBy), string(stock.Keeps(d.today(), useBy))
}
