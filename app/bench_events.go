package app

import (
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"slices"

	"keeler/core/fault"
	"keeler/core/mixing"
	"keeler/store"
	"keeler/wire"
)

// Happen writes what happened at the bench, and gives how it stands. The same id a
// second time changes nothing; a load that was weighed by somebody else meanwhile
// is store.ErrStale.
func (d Desk) Happen(ctx context.Context, id string, e wire.BenchEvent) (wire.BenchRun, error) {
	batch, err := d.op.Batch(ctx, id)
	if err != nil {
		return wire.BenchRun{}, err
	}
	err = d.op.AtBench(ctx, id, func(op store.Operation, run store.BenchRun) error {
		if slices.ContainsFunc(run.Events, func(was store.BenchEvent) bool { return was.ID == e.ID }) {
			return nil
		}
		w, err := working(batch, run)
		if err != nil {
			return err
		}
		return d.happen(ctx, op, w, e)
	})
	d.ring(id)
	return after(ctx, err, d.Bench, id)
}

func (d Desk) happen(ctx context.Context, op store.Operation, w making, e wire.BenchEvent) error {
	s, err := w.state()
	if err != nil {
		return err
	}
	row := store.BenchEvent{
		BatchID: w.batch.ID, Seq: len(w.run.Events) + 1, ID: e.ID, Kind: e.Kind, Act: e.Act, LoadNo: e.Load,
		Grams: e.Grams, Pieces: e.Count, Sure: e.Sure, AsIs: e.AsIs, Answer: e.Answer, TempC: e.TempC, Source: cmp.Or(e.Source, "typed"),
		UserID: d.who.User, CreatedAt: d.stamp(), WorkedAt: d.clock(),
	}
	if e.Kind == lotNamed {
		if err := d.checkLot(ctx, op, w, s, e); err != nil {
			return err
		}
		return op.Happen(ctx, &row)
	}
	var l fault.List
	in := happened(row)
	s.Check(in, &l)
	if err := l.Err(); err != nil {
		return err
	}
	switch in.Kind {
	case mixing.Added:
		if err := d.weighed(w, s, e, &row); err != nil {
			return err
		}
	case mixing.Corrected:
		mending := w.mixing.MendingOf(s)
		if s.Comes.Right() || len(mending) == 0 {
			return fault.List{{Field: "kind", Reason: fault.NotFitting}}
		}
		if row.Additions, err = json.Marshal(mending); err != nil {
			return err
		}
	case mixing.Finished:
		if err := d.finish(ctx, op, w, s, e); err != nil {
			return err
		}
	case mixing.Discarded:
		if err := d.discard(ctx, op, w, s); err != nil {
			return err
		}
	}
	return op.Happen(ctx, &row)
}

// weighed completes a load: on which balance, how far it may be off; a piece that
// is counted weighs what it weighs.
func (d Desk) weighed(w making, s mixing.State, e wire.BenchEvent, row *store.BenchEvent) error {
	i := slices.IndexFunc(s.Stations, func(st mixing.Station) bool { return st.ID == e.Act })
	st := s.Stations[i]
	if e.Load != len(st.Added) {
		return store.ErrStale
	}
	if st.Kind == mixing.CountIt {
		row.Grams = float64(w.mixing.Parts[st.Part].Each) * float64(e.Count)
		return nil
	}
	row.Pieces = 0
	if e.Balance < 0 || e.Balance >= len(w.balances) {
		return fault.List{{Field: "balance", Reason: fault.Unknown}}
	}
	row.OffG = float64(w.balances[e.Balance].Division) / 2
	if e.Source != "balance" {
		return nil
	}
	if !d.app.set.Instruments.Steady(e.Instrument, e.Grams) {
		return fault.List{{Field: "grams", Reason: fault.Unsteady}}
	}
	return nil
}

// checkLot asks that a lot is there and of that ingredient.
func (d Desk) checkLot(ctx context.Context, op store.Operation, w making, s mixing.State, e wire.BenchEvent) error {
	if s.Ended != "" {
		return fault.List{{Field: "kind", Reason: fault.Ended}}
	}
	wanted := slices.ContainsFunc(s.FromStock(w.mixing.Work, 0), func(o mixing.Use) bool { return o.Lot == e.Act })
	if !wanted {
		return fault.List{{Field: "act", Reason: fault.Unknown}}
	}
	if e.Answer == noLot {
		return nil
	}
	lot, err := op.Lot(ctx, e.Answer)
	if errors.Is(err, store.ErrNotFound) || err == nil && lot.Ingredient != e.Act {
		return fault.List{{Field: "answer", Reason: fault.Unknown}}
	}
	return err
}
