package app

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/method/strip"
	"keeler/core/mixing"
	"keeler/core/stock"
	"keeler/store"
	"keeler/wire"
)

// finish makes the batch of what was really weighed: its composition, its account,
// what comes out of stock, and of a pot what it left over.
func (d Desk) finish(ctx context.Context, op store.Operation, w making, s mixing.State, e wire.BenchEvent) error {
	keeping, err := w.keeping(e.Keeping)
	if err != nil {
		return err
	}
	made := s.SoFar.Mixture
	volume, amount := float64(s.SoFar.Volume), float64(s.SoFar.Volume)
	pieces := w.batch.Pieces
	useBy := d.useBy(keeping)
	switch {
	case w.mixing.Soaks != nil:
		if pieces, err = w.soaked(e); err != nil {
			return err
		}
		left := s.LeftOver()
		if float64(left) >= float64(made.Mass()) {
			return fault.List{{Field: "acts[left]", Reason: fault.TooHigh}}
		}
		if err := d.learn(ctx, op, w, s, e, pieces); err != nil {
			return err
		}
		if err := d.keepRest(ctx, op, w, made.Take(left), useBy); err != nil {
			return err
		}
		if err := d.useCarried(ctx, op, w, s); err != nil {
			return err
		}
		made = made.Take(made.Mass() - left)
		volume, amount = float64(chem.LiquorVolume(made)), float64(pieces)
	case w.mixing.Measure == mixing.Unmeasured:
		volume, amount = w.batch.VolumeML, w.batch.VolumeML
		if w.batch.Unit == "pieces" {
			amount = float64(pieces)
		}
	}
	if err := d.takeFromStock(ctx, op, w, s, pieces); err != nil {
		return err
	}
	out := store.Finished{State: store.IsMade, VolumeML: volume, Pieces: pieces, Keeping: e.Keeping, UseBy: useBy, MadeOn: d.worked().Format(workTime)}
	if w.mixing.Measure != mixing.Unmeasured {
		out.Components = parts(made)
	}
	if err := op.FinishBatch(ctx, w.batch.ID, out); err != nil {
		return err
	}
	return d.enter(ctx, op, store.Account{Batch: w.batch.ID}, stock.Made, amount, "")
}

// discard ends a batch that is not to be used; what went in is out of stock.
func (d Desk) discard(ctx context.Context, op store.Operation, w making, s mixing.State) error {
	if err := d.takeFromStock(ctx, op, w, s, 0); err != nil {
		return err
	}
	if err := d.useCarried(ctx, op, w, s); err != nil {
		return err
	}
	if w.mixing.Measure == mixing.Unmeasured {
		return op.SetState(ctx, w.batch.ID, store.Discarded)
	}
	volume, b := float64(s.SoFar.Volume), w.batch
	err := op.FinishBatch(ctx, b.ID, store.Finished{
		State: store.Discarded, VolumeML: volume, Pieces: b.Pieces, Keeping: b.Keeping, UseBy: b.UseBy, MadeOn: b.MadeOn, Components: parts(s.SoFar.Mixture),
	})
	if err != nil {
		return err
	}
	if w.batch.Unit != "ml" || volume == 0 {
		return nil
	}
	account := store.Account{Batch: w.batch.ID}
	if err := d.enter(ctx, op, account, stock.Made, volume, ""); err != nil {
		return err
	}
	return d.enter(ctx, op, account, stock.Discarded, volume, atBench)
}

// keeping finds the rule that a batch is kept by.
func (w making) keeping(store string) (mixing.Keeping, error) {
	for _, k := range w.mixing.Keepings {
		if k.Store == store {
			return k, nil
		}
	}
	return mixing.Keeping{}, fault.List{{Field: "keeping", Reason: fault.Missing}}
}

// useBy is the last good day, nil where no rule names one.
func (d Desk) useBy(k mixing.Keeping) *time.Time {
	if k.Days == 0 {
		return nil
	}
	day := timeOf(k.UseBy(d.today()))
	return &day
}

// soaked is how many pieces a pot was for.
func (w making) soaked(e wire.BenchEvent) (int, error) {
	pieces := w.mixing.Soaks.Pieces
	if e.Pieces != 0 {
		pieces = e.Pieces
	}
	var l fault.List
	l.Within("pieces", float64(pieces), 1, strip.MaxStrips, "pieces")
	return pieces, l.Err()
}

// uptake tells what each piece of a pot took up, once what is left was weighed.
func (d Desk) uptake(ctx context.Context, w making, s mixing.State) (*wire.BenchUptake, error) {
	if w.mixing.Soaks == nil || !s.Rested() {
		return nil, nil
	}
	seen, err := d.op.UptakesOf(ctx, w.mixing.Soaks.Carrier)
	if err != nil {
		return nil, err
	}
	pieces := w.mixing.Soaks.Pieces
	before := seen[:0]
	for _, u := range seen {
		if u.BatchID == w.batch.ID {
			pieces = u.Pieces
			continue
		}
		before = append(before, u)
	}
	out := w.mixing.Uptakes(s, pieces, learnt(before))
	return &out, nil
}

func learnt(seen []store.Uptake) strip.Learnt {
	return strip.Learn(lo.FilterMap(seen, func(u store.Uptake, _ int) (strip.Seen, bool) {
		return strip.Seen{Each: chem.Grams(u.EachG), Off: chem.Grams(u.OffG)}, u.Accepted
	}))
}

// learn keeps what the pieces took up. What is far from what was learnt goes into
// that only with a yes.
func (d Desk) learn(ctx context.Context, op store.Operation, w making, s mixing.State, e wire.BenchEvent, pieces int) error {
	seen, err := op.UptakesOf(ctx, w.mixing.Soaks.Carrier)
	if err != nil {
		return err
	}
	u := w.mixing.Uptakes(s, pieces, learnt(seen))
	return op.AddUptake(ctx, store.Uptake{
		BatchID: w.batch.ID, Carrier: u.Carrier, EachG: u.EachG, OffG: u.OffG, Pieces: pieces,
		Accepted: u.EachG > 0 && (!u.Strange || e.Sure), CreatedAt: d.stamp(),
	})
}

// Learnt is what strips and sponges were seen to take up.
func (d Desk) Learnt(ctx context.Context) (wire.Uptakes, error) {
	seen, err := d.op.Uptakes(ctx)
	if err != nil {
		return wire.Uptakes{}, err
	}
	by := lo.GroupBy(seen, func(u store.Uptake) string { return u.Carrier })
	out := wire.Uptakes{Learnt: []wire.Learnt{}}
	for _, carrier := range []strip.Carrier{strip.Fibre, strip.Long, strip.Sponge} {
		if l := learnt(by[string(carrier)]); l.Pots > 0 {
			out.Learnt = append(out.Learnt, wire.LearntOf(string(carrier), l))
		}
	}
	return out, nil
}

// keepRest makes a batch of the liquor that a pot left over.
func (d Desk) keepRest(ctx context.Context, op store.Operation, w making, rest chem.Mixture, useBy *time.Time) error {
	if rest.Mass() < least {
		return nil
	}
	row := &store.Batch{
		ID: uuid.NewString(), Name: w.batch.Name, Method: string(method.Strip), ParentID: &w.batch.ID, Leftover: true,
		MadeOn: d.worked().Format(workTime), CreatedAt: d.stamp(), VolumeML: float64(chem.LiquorVolume(rest)),
		SnapshotVersion: wire.SnapshotVersion, Inputs: w.batch.Inputs, Answer: w.batch.Answer,
		State: store.IsMade, Unit: "g", Keeping: "sealed", UseBy: useBy, Components: parts(rest),
	}
	if _, err := op.SaveBatch(ctx, row); err != nil {
		return err
	}
	return d.enter(ctx, op, store.Account{Batch: row.ID}, stock.Made, float64(rest.Mass()), "")
}

// least is so little liquor that nobody keeps it, g.
const least = 1

// useCarried takes liquor that was poured into the pot out of its own account.
func (d Desk) useCarried(ctx context.Context, op store.Operation, w making, s mixing.State) error {
	grams := float64(s.Carried(w.mixing.Work))
	if w.batch.ParentID == nil || grams <= 0 {
		return nil
	}
	parent, err := op.Batch(ctx, *w.batch.ParentID)
	if err != nil || !parent.Leftover {
		return err // strips of a pot that was not weighed in have no account of liquor
	}
	return d.enterFor(ctx, op, store.Account{Batch: parent.ID}, stock.Used, grams, w.batch.ID)
}

// takeFromStock takes what went in off the lots that were named for it.
func (d Desk) takeFromStock(ctx context.Context, op store.Operation, w making, s mixing.State, pieces int) error {
	lots, err := d.lotsOf(ctx, op, w)
	if err != nil {
		return err
	}
	return d.takeOff(ctx, op, lots, s.FromStock(w.mixing.Work, pieces), w.batch.ID)
}

func parts(m chem.Mixture) []store.BatchComponent {
	return lo.Map(wire.Components(m), func(c wire.Component, _ int) store.BatchComponent {
		return store.BatchComponent{Component: c.Name, Grams: c.Grams}
	})
}
