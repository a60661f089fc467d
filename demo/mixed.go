package demo

import (
	"context"
	"time"

	"github.com/google/uuid"

	"keeler/app"
	"keeler/wire"
)

// bench is how a batch of the past was mixed, and what became of it.
type bench struct {
	keeping string
	leftG   float64 // of a pot: what was weighed back
	used    float64
	thrown  float64
	why     string
}

// lots are what there is to mix from.
var lots = []struct {
	on  time.Time
	lot wire.Lot
}{
	{time.Date(2025, time.October, 4, 10, 0, 0, 0, time.UTC), wire.Lot{ID: id + "a", Ingredient: "acid", Name: "white tub", SupplierNo: "A-2231", ExpiresOn: "2028-09-30", Amount: 2000, Price: 38}},
	{time.Date(2025, time.October, 4, 10, 5, 0, 0, time.UTC), wire.Lot{ID: id + "b", Ingredient: "sugar", Name: "sack in the shed", Amount: 25000, Price: 1.4}},
	{time.Date(2026, time.March, 20, 17, 0, 0, 0, time.UTC), wire.Lot{ID: id + "c", Ingredient: "glycerol", Name: "five litre can", SupplierNo: "G 77", ExpiresOn: "2027-12-31", Amount: 6300, Price: 5.2}},
	{time.Date(2026, time.March, 20, 17, 5, 0, 0, time.UTC), wire.Lot{ID: id + "d", Ingredient: "carrier", Name: "fibre strips, cut at home", Amount: 200, Price: 0.12}},
	{time.Date(2026, time.August, 1, 18, 0, 0, 0, time.UTC), wire.Lot{ID: id + "e", Ingredient: "formic", Name: "litre bottle, 85 %", SupplierNo: "85/114", ExpiresOn: "2026-12-05", Amount: 1195, Price: 11.7}},
}

// stock puts the lots in stock.
func stock(ctx context.Context, at func(time.Time) app.Desk) error {
	for _, s := range lots {
		if _, err := at(s.on).AddLot(ctx, s.lot); err != nil {
			return err
		}
	}
	return nil
}

// mix weighs a batch in as it was planned, from the lots there are, and gives the
// batch that a pot left over.
func (b bench) mix(ctx context.Context, d app.Desk, batch string) (rest string, err error) {
	run, err := d.BeginBench(ctx, batch, wire.BeginBench{Balances: wire.UsualBalances().Balances})
	if err != nil {
		return "", err
	}
	happen := func(e wire.BenchEvent) {
		if err != nil {
			return
		}
		e.ID = uuid.NewString()
		run, err = d.Happen(ctx, batch, e)
	}
	for _, l := range run.Lots {
		for _, s := range lots {
			if s.lot.Ingredient == l.Ingredient {
				happen(wire.BenchEvent{Kind: "lot", Act: l.Ingredient, Answer: s.lot.ID})
			}
		}
	}
	for i := range run.Acts {
		a := run.Acts[i]
		switch a.Kind {
		case "weigh":
			for n := 0; err == nil && len(run.Acts[i].Rest.Loads) > 0; n++ {
				w := run.Acts[i].Rest
				happen(wire.BenchEvent{Kind: "added", Act: a.ID, Load: n, Grams: float64(w.Loads[0].Target), Balance: w.Balance})
			}
		case "left":
			happen(wire.BenchEvent{Kind: "added", Act: a.ID, Grams: b.leftG, Balance: a.Balance})
		}
	}
	happen(wire.BenchEvent{Kind: "finished", Keeping: b.keeping})
	if err != nil {
		return "", err
	}
	for _, e := range []wire.StockEntry{{Kind: "used", Amount: b.used}, {Kind: "discarded", Amount: b.thrown, Reason: b.why}} {
		if e.Amount == 0 {
			continue
		}
		e.ID = uuid.NewString()
		if _, err := d.Enter(ctx, batch, e); err != nil {
			return "", err
		}
	}
	return run.Leftover, nil
}
