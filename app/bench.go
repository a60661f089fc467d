package app

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/mixing"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Balances lists what is weighed with; a kitchen balance where nothing was said.
func (d Desk) Balances(ctx context.Context) (wire.Balances, error) {
	rows, err := d.op.Balances(ctx)
	if len(rows) == 0 {
		return wire.UsualBalances(), err
	}
	return wire.Balances{Balances: lo.Map(rows, func(r store.Balance, _ int) wire.BenchBalance {
		return wire.BenchBalance{Name: r.Name, Balance: mixing.Balance{
			Division: chem.Grams(r.DivisionG), Capacity: chem.Grams(r.CapacityG), Least: chem.Grams(r.LeastG),
		}}
	})}, err
}

// SetBalances keeps what is weighed with from now on; runs that have begun keep
// theirs.
func (d Desk) SetBalances(ctx context.Context, in wire.Balances) (wire.Balances, error) {
	var l fault.List
	wire.ScalesOf(in.Balances, 0).Check(&l)
	if err := l.Err(); err != nil {
		return wire.Balances{}, err
	}
	rows := lo.Map(in.Balances, func(b wire.BenchBalance, _ int) store.Balance {
		return store.Balance{Name: b.Name, DivisionG: float64(b.Division), CapacityG: float64(b.Capacity), LeastG: float64(b.Least)}
	})
	r := reading{ctx, d.op.SetBalances(ctx, rows)}
	out := all(&r, d.Balances)
	return out, r.err
}

// Bench tells how a batch stands at the bench. Before it is begun all is as it
// would be on the balances at hand.
func (d Desk) Bench(ctx context.Context, id string) (wire.BenchRun, error) {
	r := reading{ctx: ctx}
	batch, run := by(&r, d.op.Batch, id), by(&r, d.op.Run, id)
	if batch.ID != "" && errors.Is(r.err, store.ErrNotFound) { // the batch is there, and no run of it
		balances, err := d.Balances(ctx)
		if err != nil {
			return wire.BenchRun{}, err
		}
		w, err := d.beginning(ctx, id, wire.BeginBench{Balances: balances.Balances})
		return after(ctx, err, d.standing, w)
	}
	if r.err != nil {
		return wire.BenchRun{}, r.err
	}
	w, err := working(batch, run)
	return after(ctx, err, d.standing, w)
}

// PlanBench tells how a batch would be mixed with what is at hand, and writes
// nothing.
func (d Desk) PlanBench(ctx context.Context, id string, in wire.BeginBench) (wire.BenchRun, error) {
	w, err := d.beginning(ctx, id, in)
	if err == nil {
		err = w.mixing.CheckBench(in)
	}
	return after(ctx, err, d.standing, w)
}

// beginning is a run as it would begin.
func (d Desk) beginning(ctx context.Context, id string, in wire.BeginBench) (making, error) {
	batch, err := d.op.Batch(ctx, id)
	if err != nil {
		return making{}, err
	}
	mixing, err := mixingOf(batch, in.Order)
	return making{batch, store.BenchRun{BatchID: id, WorkOrder: mixing.Order, CupG: in.CupG, VesselML: in.VesselML}, in.Balances, mixing}, err
}

// BeginBench starts the work on a planned batch; one that was begun stays as it is.
func (d Desk) BeginBench(ctx context.Context, id string, in wire.BeginBench) (wire.BenchRun, error) {
	w, err := d.beginning(ctx, id, in)
	if err != nil {
		return wire.BenchRun{}, err
	}
	if err := w.mixing.CheckBench(in); err != nil {
		return wire.BenchRun{}, err
	}
	w.run.UserID, w.run.CreatedAt = d.who.User, d.stamp()
	if w.run.Balances, err = json.Marshal(in.Balances); err != nil {
		return wire.BenchRun{}, err
	}
	err = d.op.Within(ctx, func(op store.Operation) error {
		b, err := op.HoldBatch(ctx, id)
		if err != nil {
			return err
		}
		if b.VoidedAt != nil || b.Leftover || b.State != store.Planned && b.State != store.OnBench {
			return fault.List{{Reason: fault.Ended}}
		}
		return op.BeginRun(ctx, &w.run)
	})
	d.ring(id)
	return after(ctx, err, d.Bench, id)
}

// making is a run with all that it is worked out from.
type making struct {
	batch    store.Batch
	run      store.BenchRun
	balances []wire.BenchBalance
	mixing   wire.Mixing
}

func mixingOf(b store.Batch, order string) (wire.Mixing, error) {
	in, err := inputsOf(b)
	if err != nil {
		return wire.Mixing{}, err
	}
	return in.Recipe.Mixing(order)
}

func working(batch store.Batch, run store.BenchRun) (making, error) {
	w := making{batch: batch, run: run}
	if err := json.Unmarshal(run.Balances, &w.balances); err != nil {
		return w, fmt.Errorf("batch %s: balances: %w", batch.ID, err)
	}
	var err error
	w.mixing, err = mixingOf(batch, run.WorkOrder)
	return w, err
}

func (w making) scales() mixing.Scales { return wire.ScalesOf(w.balances, w.run.CupG) }

// state folds what happened.
func (w making) state() (mixing.State, error) {
	events := make([]mixing.Event, len(w.run.Events))
	for i, e := range w.run.Events {
		events[i] = happened(e)
		if len(e.Additions) > 0 {
			var add []wire.BenchAdd
			if err := json.Unmarshal(e.Additions, &add); err != nil {
				return mixing.State{}, fmt.Errorf("batch %s: event %d: %w", w.batch.ID, e.Seq, err)
			}
			events[i].Add = w.mixing.Additions(add)
		}
	}
	return w.mixing.Fold(events, w.scales()), nil
}

// happened is an event as core knows it; what was added to mend comes besides.
func happened(e store.BenchEvent) mixing.Event {
	return mixing.Event{
		Kind: mixing.EventKind(e.Kind), Act: e.Act, Load: e.LoadNo, Grams: chem.Grams(e.Grams), Off: chem.Grams(e.OffG),
		Count: e.Pieces, Sure: e.Sure, AsIs: e.AsIs, Answer: e.Answer, Temp: chem.Celsius(e.TempC),
	}
}

// standing writes a run as it stands.
func (d Desk) standing(ctx context.Context, w making) (wire.BenchRun, error) {
	s, err := w.state()
	if err != nil {
		return wire.BenchRun{}, err
	}
	out := w.mixing.BenchState(s, w.scales(), w.run.VesselML)
	out.BatchID, out.Name, out.Number, out.Method = w.batch.ID, nameOf(w.batch), w.batch.Number, w.batch.Method
	out.Begun, out.Balances, out.CupG, out.Seq = !w.run.CreatedAt.IsZero(), w.balances, w.run.CupG, len(w.run.Events)
	out.State = w.batch.State
	for i, st := range s.Stations {
		if st.Kind == mixing.Wait && st.StartedBy > 0 {
			left := math.Round(float64(st.Seconds) - d.since(w.run.Events[st.StartedBy-1]))
			out.Acts[i].LeftS = &left
		}
	}
	for _, e := range w.run.Events {
		out.Events = append(out.Events, wire.BenchEvent{
			ID: e.ID, Kind: e.Kind, Act: e.Act, Load: e.LoadNo, Grams: e.Grams, Count: e.Pieces, Sure: e.Sure, AsIs: e.AsIs, Answer: e.Answer,
			TempC: e.TempC, Source: e.Source, Seq: e.Seq, By: e.Login, At: d.local(e.WorkedAt),
		})
	}
	lots, err := d.lotsOf(ctx, d.op, w)
	if err != nil {
		return out, err
	}
	for _, o := range s.FromStock(w.mixing.Work, 0) {
		out.Lots = append(out.Lots, wire.BenchLot{Ingredient: o.Lot, LotID: lots[o.Lot]})
	}
	if out.Uptake, err = d.uptake(ctx, w, s); err != nil {
		return out, err
	}
	if s.Ended == mixing.Finished && w.mixing.Soaks != nil {
		out.Leftover, err = d.op.LeftoverOf(ctx, w.batch.ID)
	}
	return out, err
}

// since is how many seconds a wait has lasted: by the wall, or by the clock of the
// work where that was moved on further.
func (d Desk) since(began store.BenchEvent) float64 {
	wall := d.app.now().Sub(began.CreatedAt)
	worked := d.clock().Sub(began.WorkedAt)
	return max(wall, worked).Seconds()
}

// lots is which lot each ingredient was last said to come from; noLot: from none.
func (w making) lots() map[string]string {
	out := map[string]string{}
	for _, e := range w.run.Events {
		if e.Kind == lotNamed {
			out[e.Act] = e.Answer
		}
	}
	return out
}

// Kinds of events that core does not know: they change nothing in the vessel.
const (
	lotNamed = "lot"
	noLot    = "none"
)
