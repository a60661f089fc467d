package app

import (
	"context"
	"strings"

	"keeler/core/fault"
	"keeler/core/stock"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Lots lists what was bought, the newest first.
func (d Desk) Lots(ctx context.Context) (wire.Lots, error) {
	r := reading{ctx: ctx}
	rows, lefts, bought := all(&r, d.op.Lots), all(&r, d.op.LeftOfLots), all(&r, d.op.BoughtOfLots)
	return wire.Lots{Lots: lo.Map(rows, func(r store.Lot, _ int) wire.LotStock {
		out := d.lot(r, lefts[r.ID])
		out.Bought = wire.Round(bought[r.ID])
		return out
	})}, r.err
}

func (d Desk) lot(r store.Lot, left float64) wire.LotStock {
	out := wire.LotStock{
		Lot:    wire.Lot{ID: r.ID, Ingredient: r.Ingredient, Name: r.Name, SupplierNo: r.SupplierNo, Supplier: r.Supplier, BoughtOn: optionalDay(r.BoughtOn), Authorised: r.Authorisation, Price: r.Price},
		OnHand: wire.OnHand{Unit: r.Unit, Left: wire.Round(left), ToReconcile: stock.ToReconcile(left)},
		Does:   wire.DoesOf(r.Ingredient, left),
	}
	if r.ExpiresOn != nil {
		out.UseBy, out.Keeps = d.keeps(dayOf(*r.ExpiresOn))
		out.ExpiresOn = out.UseBy
	}
	return out
}

// AddLot puts something in stock; the same id a second time gives the lot as
// it is.
func (d Desk) AddLot(ctx context.Context, in wire.Lot) (wire.LotBook, error) {
	var l fault.List
	l.Within("price", in.Price, 0, 1e6, "")
	row := store.Lot{
		ID: in.ID, Ingredient: in.Ingredient, Name: l.Said("name", in.Name), SupplierNo: strings.TrimSpace(in.SupplierNo),
		Supplier: strings.TrimSpace(in.Supplier), Authorisation: strings.TrimSpace(in.Authorised),
		Unit: wire.LotUnit(in.Ingredient), Price: in.Price, UserID: d.who.User, CreatedAt: d.stamp(),
	}
	if in.BoughtOn != "" {
		row.BoughtOn = dayPointer(readDay("bought_on", in.BoughtOn, 0, d.today(), &l))
	}
	if in.ExpiresOn != "" {
		on := timeOf(readDay("expires_on", in.ExpiresOn, 0, d.today()+100*366, &l))
		row.ExpiresOn = &on
	}
	stock.Write(stock.Bought, in.Amount, 0, "", &l)
	if err := l.Err(); err != nil {
		return wire.LotBook{}, err
	}
	err := d.op.Within(ctx, func(op store.Operation) error {
		created, err := op.AddLot(ctx, row)
		if err != nil || !created {
			return err
		}
		return d.enter(ctx, op, store.Account{Lot: in.ID}, stock.Bought, in.Amount, "")
	})
	return after(ctx, err, d.Lot, in.ID)
}

// Lot is one lot with its account.
func (d Desk) Lot(ctx context.Context, id string) (wire.LotBook, error) {
	r := reading{ctx: ctx}
	row, entries := by(&r, d.op.Lot, id), by(&r, d.op.Entries, store.Account{Lot: id})
	return wire.LotBook{LotStock: d.lot(row, stock.Left(amounts(entries))), Entries: d.entries(entries)}, r.err
}

// EnterLot writes a line into the account of a lot.
func (d Desk) EnterLot(ctx context.Context, id string, in wire.StockEntry) (wire.LotBook, error) {
	if _, err := d.op.Lot(ctx, id); err != nil {
		return wire.LotBook{}, err
	}
	if in.Kind == string(stock.Made) || in.Kind == string(stock.Amended) {
		return wire.LotBook{}, fault.List{{Field: "kind", Reason: fault.NotFitting}}
	}
	_, err := d.entering(ctx, d.op, store.Account{Lot: id}, in, "")
	return after(ctx, err, d.Lot, id)
}
