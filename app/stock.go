package app

import (
	"cmp"
	"context"
	"strings"

	"github.com/google/uuid"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/stock"
	"keeler/store"
	"keeler/wire"
	"keeler/words"
)

// Ledger is the account of a batch.
func (d Desk) Ledger(ctx context.Context, id string) (wire.Ledger, error) {
	batch, err := d.op.Batch(ctx, id)
	if err != nil {
		return wire.Ledger{}, err
	}
	entries, err := d.op.Entries(ctx, store.Account{Batch: id})
	if err != nil {
		return wire.Ledger{}, err
	}
	out := wire.Ledger{Entries: d.entries(entries), Portions: []wire.Portion{}}
	out.OnHand = d.onHand(batch, stock.Left(amounts(entries)))
	portions, err := d.op.Portions(ctx, id)
	if err != nil {
		return out, err
	}
	for _, p := range portions {
		out.InPortion += p.Amount
		out.Portions = append(out.Portions, portionOf(p))
	}
	out.OverFull = stock.ToReconcile(out.Left - out.InPortion)
	out.Cost, err = d.cost(ctx, batch, entries)
	return out, err
}

// cost is what went into a batch by the prices of its lots.
func (d Desk) cost(ctx context.Context, batch store.Batch, entries []store.StockEntry) (*wire.LedgerCost, error) {
	into, err := d.op.Into(ctx, batch.ID)
	if err != nil || len(into) == 0 {
		return nil, err
	}
	lots, err := d.op.Lots(ctx)
	if err != nil {
		return nil, err
	}
	by := map[string]store.Lot{}
	for _, l := range lots {
		by[l.ID] = l
	}
	out := wire.LedgerCost{Unpriced: []string{}}
	priced := false
	for _, e := range into {
		lot := by[*e.LotID]
		if lot.Price == 0 {
			out.Unpriced = append(out.Unpriced, lot.Ingredient)
			continue
		}
		priced = true
		out.Total += stock.Cost(-e.Amount, lot.Price, lot.Unit)
	}
	if !priced {
		return nil, nil
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
	b, err := d.op.Batch(ctx, batch)
	if err != nil {
		return wire.Ledger{}, err
	}
	kind := stock.Kind(in.Kind)
	if kind == stock.Bought || kind == stock.Amended || kind == stock.Made && b.State != store.Planned {
		return wire.Ledger{}, fault.List{{Field: "kind", Reason: fault.NotFitting}}
	}
	if err := d.entering(ctx, d.op, store.Account{Batch: batch}, in, ""); err != nil {
		return wire.Ledger{}, err
	}
	if kind == stock.Made { // mixed without the bench: it is as it was planned
		err = d.op.SetState(ctx, batch, store.IsMade)
	}
	if err != nil {
		return wire.Ledger{}, err
	}
	return d.Ledger(ctx, batch)
}

// Causes of what Keeler writes into a ledger by itself.
const (
	byHand  = "by_hand"
	atBench = "at_bench"
	amended = "amended"
)

// entering writes a line into a ledger; cause is why where no person says it.
func (d Desk) entering(ctx context.Context, op store.Operation, a store.Account, in wire.StockEntry, cause string) error {
	return op.Enter(ctx, a, in.ID, func(left float64) (store.StockEntry, error) {
		var l fault.List
		reason := strings.TrimSpace(in.Reason)
		e := stock.Write(stock.Kind(in.Kind), in.Amount, left, reason+cause, &l)
		row := store.StockEntry{
			Kind: in.Kind, Amount: e.Amount, Reason: reason, Cause: cause, WorkedAt: d.app.clock(), UserID: d.who.User, CreatedAt: d.stamp(),
		}
		if in.ColonyID != "" {
			row.ColonyID = &in.ColonyID
		}
		return row, l.Err()
	})
}

// enter writes what the bench did.
func (d Desk) enter(ctx context.Context, op store.Operation, a store.Account, kind stock.Kind, amount float64, cause string) error {
	return d.entering(ctx, op, a, wire.StockEntry{ID: uuid.NewString(), Kind: string(kind), Amount: amount}, cause)
}

// enterFor writes what went into a batch.
func (d Desk) enterFor(ctx context.Context, op store.Operation, a store.Account, kind stock.Kind, amount float64, batch string) error {
	return op.Enter(ctx, a, uuid.NewString(), func(left float64) (store.StockEntry, error) {
		var l fault.List
		e := stock.Write(kind, amount, left, "", &l)
		return store.StockEntry{
			Kind: string(kind), Amount: e.Amount, ForBatchID: &batch, WorkedAt: d.app.clock(), UserID: d.who.User, CreatedAt: d.stamp(),
		}, l.Err()
	})
}

func amounts(rows []store.StockEntry) []stock.Entry {
	out := make([]stock.Entry, len(rows))
	for i, r := range rows {
		out[i] = stock.Entry{Kind: stock.Kind(r.Kind), Amount: r.Amount}
	}
	return out
}

func (d Desk) entries(rows []store.StockEntry) []wire.StockEntry {
	out := make([]wire.StockEntry, len(rows))
	for i, r := range rows {
		amount := r.Amount
		if amount < 0 {
			amount = -amount
		}
		if r.Kind == string(stock.Found) {
			amount = r.LeftBefore + r.Amount
		}
		out[i] = wire.StockEntry{
			ID: r.ID, Kind: r.Kind, Amount: wire.Round(amount), Reason: cmp.Or(r.Reason, words.Cause(r.Cause)), Change: wire.Round(r.Amount),
			LeftBefore: wire.Round(r.LeftBefore), Colony: r.Colony, At: d.local(r.WorkedAt), By: r.Login,
		}
		if r.ColonyID != nil {
			out[i].ColonyID = *r.ColonyID
		}
		if r.ForBatchID != nil {
			out[i].ForBatch = *r.ForBatchID
		}
	}
	return out
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

// Lots is the shelf.
func (d Desk) Lots(ctx context.Context) (wire.Lots, error) {
	rows, err := d.op.Lots(ctx)
	if err != nil {
		return wire.Lots{}, err
	}
	lefts, err := d.op.LeftOfLots(ctx)
	out := wire.Lots{Lots: make([]wire.LotStock, len(rows))}
	for i, r := range rows {
		out.Lots[i] = d.lot(r, lefts[r.ID])
	}
	return out, err
}

func (d Desk) lot(r store.Lot, left float64) wire.LotStock {
	out := wire.LotStock{
		Lot:    wire.Lot{ID: r.ID, Ingredient: r.Ingredient, Name: r.Name, SupplierNo: r.SupplierNo, Price: r.Price},
		OnHand: wire.OnHand{Unit: r.Unit, Left: wire.Round(left), ToReconcile: stock.ToReconcile(left)},
	}
	if r.ExpiresOn != nil {
		out.UseBy, out.Keeps = d.keeps(dayOf(*r.ExpiresOn))
		out.ExpiresOn = out.UseBy
	}
	return out
}

// AddLot puts something on the shelf; the same id a second time gives the lot as
// it is.
func (d Desk) AddLot(ctx context.Context, in wire.Lot) (wire.LotBook, error) {
	var l fault.List
	if strings.TrimSpace(in.Name) == "" {
		l.Add("name", fault.Missing)
	}
	l.Within("price", in.Price, 0, 1e6, "")
	row := store.Lot{
		ID: in.ID, Ingredient: in.Ingredient, Name: strings.TrimSpace(in.Name), SupplierNo: strings.TrimSpace(in.SupplierNo),
		Unit: wire.LotUnit(in.Ingredient), Price: in.Price, UserID: d.who.User, CreatedAt: d.stamp(),
	}
	if in.ExpiresOn != "" {
		on := timeOf(readDay("expires_on", in.ExpiresOn, 0, d.today()+100*366, &l))
		row.ExpiresOn = &on
	}
	stock.Write(stock.Bought, in.Amount, 0, "", &l)
	if err := l.Err(); err != nil {
		return wire.LotBook{}, err
	}
	created, err := d.op.AddLot(ctx, row)
	if err == nil && created {
		err = d.enter(ctx, d.op, store.Account{Lot: in.ID}, stock.Bought, in.Amount, "")
	}
	if err != nil {
		return wire.LotBook{}, err
	}
	return d.Lot(ctx, in.ID)
}

// Lot is one lot with its account.
func (d Desk) Lot(ctx context.Context, id string) (wire.LotBook, error) {
	row, err := d.op.Lot(ctx, id)
	if err != nil {
		return wire.LotBook{}, err
	}
	entries, err := d.op.Entries(ctx, store.Account{Lot: id})
	return wire.LotBook{LotStock: d.lot(row, stock.Left(amounts(entries))), Entries: d.entries(entries)}, err
}

// EnterLot writes a line into the account of a lot.
func (d Desk) EnterLot(ctx context.Context, id string, in wire.StockEntry) (wire.LotBook, error) {
	if _, err := d.op.Lot(ctx, id); err != nil {
		return wire.LotBook{}, err
	}
	if in.Kind == string(stock.Made) || in.Kind == string(stock.Amended) {
		return wire.LotBook{}, fault.List{{Field: "kind", Reason: fault.NotFitting}}
	}
	if err := d.entering(ctx, d.op, store.Account{Lot: id}, in, ""); err != nil {
		return wire.LotBook{}, err
	}
	return d.Lot(ctx, id)
}

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
