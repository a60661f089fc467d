package app

import (
	"context"
	"errors"
	"fmt"
	"io"
	"strconv"
	"strings"
	"time"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// RecallQuery is what is recalled: one of them.
type RecallQuery struct{ Lot, Batch, Colony string }

// Recall tells where a lot or a batch went: its batches, their doses, who was to get it and has not yet, and
// what is left where; or of a colony every lot that reached it. A fault where none or several are named;
// store.ErrNotFound where it is not there.
func (d Desk) Recall(ctx context.Context, q RecallQuery) (wire.Recall, error) {
	named := lo.Compact([]string{q.Lot, q.Batch, q.Colony})
	if len(named) != 1 {
		return wire.Recall{}, fault.List{{Field: "lot", Reason: fault.Missing}}
	}
	title, batches, doses, err := d.recalled(ctx, q)
	if err != nil {
		return wire.Recall{}, err
	}
	out := wire.Recall{Title: title, Lots: []wire.RecallLot{}, Batches: []wire.RecallBatch{}, Doses: []wire.RecallDose{}, Waiting: []wire.RecallWaiting{}}
	lines, err := d.describeLines(ctx, doses)
	if err != nil {
		return out, err
	}
	for _, l := range lines {
		out.Doses = append(out.Doses, wire.RecallDose{
			ID: l.ID, ColonyID: l.ColonyID, Colony: l.Colony, Yard: l.Yard, GivenAt: l.GivenAt, By: l.By, Amount: l.Amount, Unit: l.Unit,
			OADMg: l.OADMg, FormicMg: l.FormicMg, BatchNumber: l.BatchNumber, Lots: l.Lots,
		})
	}
	if len(batches) == 0 {
		return out, nil
	}
	lots, err := d.op.LotsIn(ctx, batches)
	if err != nil {
		return out, err
	}
	for _, l := range lots {
		out.Lots = append(out.Lots, wire.RecallLot{ID: l.ID, Ingredient: l.Ingredient, Name: l.Name, SupplierNo: l.SupplierNo})
	}
	if out.Batches, err = d.recallBatches(ctx, batches); err != nil {
		return out, err
	}
	if q.Colony == "" {
		out.Waiting, err = d.recallWaiting(ctx, doses)
	}
	return out, err
}

// recalled finds what a recall is about.
func (d Desk) recalled(ctx context.Context, q RecallQuery) (title string, batches []string, doses []store.Application, err error) {
	switch {
	case q.Lot != "":
		lot, err := d.op.Lot(ctx, q.Lot)
		if err != nil {
			return "", nil, nil, err
		}
		title = words.RecallOf("lot", strings.TrimSpace(lot.Name+" "+lot.SupplierNo))
		if batches, err = d.op.BatchesOfLot(ctx, q.Lot); err != nil {
			return "", nil, nil, err
		}
	case q.Batch != "":
		batch, err := d.op.Batch(ctx, q.Batch)
		if err != nil {
			return "", nil, nil, err
		}
		title = words.RecallOf("batch", words.BatchNo(batch.Number)+" "+nameOf(batch))
		if batches, err = d.op.WithCarried(ctx, []string{q.Batch}); err != nil {
			return "", nil, nil, err
		}
	default:
		colony, err := d.op.Colony(ctx, q.Colony)
		if err != nil {
			return "", nil, nil, err
		}
		doses, err = d.op.GivenToColony(ctx, q.Colony)
		batches = lo.Uniq(lo.FilterMap(doses, func(a store.Application, _ int) (string, bool) { return lo.FromPtr(a.BatchID), a.BatchID != nil }))
		return words.RecallOf("colony", colony.Name), batches, doses, err
	}
	if len(batches) > 0 {
		doses, err = d.op.GivenFrom(ctx, batches)
	}
	return title, batches, doses, err
}

// recallBatches tells what is left of some batches, and in which vessels.
func (d Desk) recallBatches(ctx context.Context, ids []string) ([]wire.RecallBatch, error) {
	batches, err := d.op.BatchesAmong(ctx, ids)
	if err != nil {
		return nil, err
	}
	left, err := d.op.LeftOfBatches(ctx)
	if err != nil {
		return nil, fmt.Errorf("read what is left of batches: %w", err)
	}
	out := []wire.RecallBatch{}
	for _, b := range batches {
		portions, err := d.op.Portions(ctx, b.ID)
		if err != nil {
			return nil, fmt.Errorf("read the portions of batch %s: %w", b.ID, err)
		}
		out = append(out, wire.RecallBatch{ID: b.ID, Number: b.Number, Name: nameOf(b), OnHand: d.onHand(b, left[b.ID]),
			Vessels: lo.Map(portions, func(p store.Portion, _ int) string {
				return strings.TrimSpace(p.Vessel + ": " + words.Amount(p.Amount, b.Unit) + " " + p.Yard)
			})})
	}
	return out, nil
}

// recallWaiting are the colonies that the open jobs of some doses still have to come to.
func (d Desk) recallWaiting(ctx context.Context, doses []store.Application) ([]wire.RecallWaiting, error) {
	jobs := lo.Keyify(lo.FilterMap(doses, func(a store.Application, _ int) (string, bool) { return lo.FromPtr(a.JobID), a.JobID != nil }))
	waits, err := d.op.Waits(ctx, d.everything())
	if err != nil {
		return nil, fmt.Errorf("read what jobs still come to: %w", err)
	}
	waits = lo.Filter(waits, func(w store.Waiting, _ int) bool { return lo.HasKey(jobs, w.JobID) })
	names, err := d.op.Names(ctx, d.remembering(lo.Map(waits, func(w store.Waiting, _ int) string { return w.ColonyID })))
	if err != nil {
		return nil, fmt.Errorf("read the names of colonies: %w", err)
	}
	return lo.Map(waits, func(w store.Waiting, _ int) wire.RecallWaiting {
		return wire.RecallWaiting{ColonyID: w.ColonyID, Colony: names[w.ColonyID].Name, Job: w.Name, JobID: w.JobID, Day: written(dayOf(w.Day))}
	}), nil
}

// recallHead is the first row of a recall as CSV.
var recallHead = []string{"state", "yard", "colony", "day", "given_at", "amount", "unit", "oad_mg", "formic_mg", "batch", "lots", "person", "job"}

// RecallFile writes a recall as CSV: each dose, then who was to get it and has not yet.
func (d Desk) RecallFile(ctx context.Context, q RecallQuery, to io.Writer) error {
	recall, err := d.Recall(ctx, q)
	if err != nil {
		return err
	}
	table, err := newSheet(to, recallHead)
	if err != nil {
		return err
	}
	number := func(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }
	var failed error
	for _, r := range recall.Doses {
		failed = errors.Join(failed, table.row("given", r.Yard, r.Colony, r.GivenAt.Format(dateForm), r.GivenAt.Format(time.RFC3339), number(r.Amount), r.Unit,
			number(r.OADMg), number(r.FormicMg), strconv.Itoa(r.BatchNumber), strings.Join(r.Lots, "; "), r.By, ""))
	}
	for _, w := range recall.Waiting {
		failed = errors.Join(failed, table.row("planned", "", w.Colony, w.Day, "", "", "", "", "", "", "", "", w.Job))
	}
	return errors.Join(failed, table.end())
}
