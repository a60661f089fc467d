package demo

import (
	"context"
	"time"

	"github.com/google/uuid"

	"keeler/app"
	"keeler/wire"
)

// stock puts the lots in stock, and the vessels beside them.
func stock(ctx context.Context, at func(time.Time) app.Desk) error {
	for _, s := range told.Lots {
		if _, err := at(s.On).AddLot(ctx, s.Lot); err != nil {
			return err
		}
	}
	_, err := at(Now).SetVessels(ctx, wire.Vessels{Vessels: told.Vessels})
	return err
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
		for _, s := range told.Lots {
			if s.Lot.Ingredient == l.Ingredient {
				happen(wire.BenchEvent{Kind: "lot", Act: l.Ingredient, Answer: s.Lot.ID})
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
			happen(wire.BenchEvent{Kind: "added", Act: a.ID, Grams: b.LeftG, Balance: a.Balance})
		}
	}
	happen(wire.BenchEvent{Kind: "finished", Keeping: b.Keeping})
	if err != nil {
		return "", err
	}
	for _, e := range []wire.StockEntry{{Kind: "used", Amount: b.Used}, {Kind: "discarded", Amount: b.Thrown, Reason: b.Why}} {
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
