package app

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"strings"

	"keeler/core/batch"
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/google/uuid"
	"github.com/samber/lo"
)

// inputs is the versioned snapshot of what a batch was worked out from.
type inputs struct {
	Rule   string      `json:"rule_worked_under,omitempty"`
	Recipe wire.Recipe `json:"recipe"`
}

// SaveBatch works the recipe out again and keeps it with its inputs. The same id
// with the same content gives the batch as it was kept (created is false); with
// other content it gives store.ErrConflict. A recipe that cannot be, or a parent
// that it does not agree with, gives a fault.List.
func (d Desk) SaveBatch(ctx context.Context, in wire.SaveBatch) (b wire.Batch, created bool, err error) {
	name := strings.TrimSpace(in.Name)
	if name == "" {
		return wire.Batch{}, false, fault.List{{Field: "name", Reason: fault.Missing}}
	}
	worked, err := in.Recipe.Work()
	if err != nil {
		return wire.Batch{}, false, wire.Beneath("recipe.", err)
	}
	if err := d.checkParent(ctx, in); err != nil {
		return wire.Batch{}, false, err
	}
	row, err := newBatch(in, name, worked)
	if err != nil {
		return wire.Batch{}, false, err
	}
	row.MadeOn = d.worked().Format(workTime)
	row.CreatedAt = d.stamp()

	created, err = d.op.SaveBatch(ctx, row)
	kept, err := after(ctx, err, d.op.Batch, in.ID)
	if err != nil {
		return wire.Batch{}, false, err
	}
	if !created && (kept.Name != name || !bytes.Equal(kept.Inputs, row.Inputs) || !sameID(kept.ParentID, row.ParentID)) {
		return wire.Batch{}, false, store.ErrConflict
	}
	b, err = d.whole(ctx, kept)
	return b, created, err
}

// checkParent finds the batch that liquor is said to come from, and holds what is
// carried against it.
func (d Desk) checkParent(ctx context.Context, in wire.SaveBatch) error {
	if in.Parent == nil {
		return nil
	}
	parent, err := d.op.Batch(ctx, *in.Parent)
	if errors.Is(err, store.ErrNotFound) || err == nil && parent.Method != string(method.Strip) {
		return fault.List{{Field: "parent_id", Reason: fault.Unknown}}
	}
	if err != nil {
		return err
	}
	return wire.Beneath("recipe.", in.Recipe.CheckParent(content(parent).Holds))
}

func inputsOf(b store.Batch) (in inputs, err error) {
	if err := json.Unmarshal(b.Inputs, &in); err != nil {
		return in, fmt.Errorf("batch %s: inputs: %w", b.ID, err)
	}
	return in, nil
}

func newBatch(in wire.SaveBatch, name string, worked wire.Worked) (*store.Batch, error) {
	snapshot, err := json.Marshal(inputs{Rule: in.Rule, Recipe: in.Recipe})
	if err != nil {
		return nil, err
	}
	result, err := json.Marshal(worked.Answer.Silent())
	if err != nil {
		return nil, err
	}
	row := &store.Batch{
		Components: parts(worked.Holds()), Lines: lo.Map(worked.Lines(), func(l wire.Line, _ int) store.BatchLine {
			return store.BatchLine{
				Step: string(l.Step), Ingredient: l.Ingredient, WantedG: chem.Clean(l.Mass), WantedML: chem.Clean(l.Volume), WantedCount: l.Count,
			}
		}),
		ID: in.ID, Name: name, Method: string(worked.Method()), ParentID: in.Parent,
		VolumeML: wire.Round(float64(worked.Volume())), Pieces: worked.Pieces(), Unit: worked.Unit(),
		SnapshotVersion: wire.SnapshotVersion, Inputs: snapshot, Answer: result,
	}
	return row, nil
}

// Batches lists the newest batches.
func (d Desk) Batches(ctx context.Context) (wire.BatchList, error) {
	r := reading{ctx: ctx}
	rows, lefts := all(&r, d.op.Batches), all(&r, d.op.LeftOfBatches)
	return wire.BatchList{Batches: lo.Map(rows, func(r store.Batch, _ int) wire.BatchSummary { return d.summary(r, lefts[r.ID]) })}, r.err
}

// Batch reads one batch whole; store.ErrNotFound when there is none.
func (d Desk) Batch(ctx context.Context, id string) (wire.Batch, error) {
	row, err := d.op.Batch(ctx, id)
	return after(ctx, err, d.whole, row)
}

// Remark writes a remark to a batch and gives the batch.
func (d Desk) Remark(ctx context.Context, batch string, r wire.Remark) (wire.Batch, error) {
	text := strings.TrimSpace(r.Text)
	if text == "" {
		return wire.Batch{}, fault.List{{Field: "text", Reason: fault.Missing}}
	}
	err := d.op.AddRemark(ctx, store.BatchRemark{ID: r.ID, BatchID: batch, Text: text, CreatedAt: d.stamp()})
	return after(ctx, err, d.Batch, batch)
}

// VoidBatch marks a batch as void, never erasing it, and gives the batch.
func (d Desk) VoidBatch(ctx context.Context, id string, in wire.Void) (wire.Batch, error) {
	reason := strings.TrimSpace(in.Reason)
	if reason == "" {
		return wire.Batch{}, fault.List{{Field: "reason", Reason: fault.Missing}}
	}
	row, err := d.op.Batch(ctx, id)
	if err != nil {
		return wire.Batch{}, err
	}
	if row.VoidedAt != nil { // the first reason stays
		return d.whole(ctx, row)
	}
	err = d.op.Within(ctx, func(op store.Operation) error {
		if err := op.VoidBatch(ctx, id, reason, d.stamp()); err != nil {
			return fmt.Errorf("void batch %s: %w", id, err)
		}
		return d.markDoses(ctx, op, row, uuid.NewString(), reason, treatment.BatchVoid)
	})
	return after(ctx, err, d.Batch, id)
}

// content is what is in a batch, as core knows it.
func content(b store.Batch) batch.Batch {
	return batch.Batch{
		Method: method.Name(b.Method), Holds: wire.Mixture(composition(b)), Volume: chem.Millilitres(b.VolumeML), Pieces: b.Pieces,
		Unit: b.Unit, Leftover: b.Leftover,
	}
}

// nameOf is what a batch is called.
func nameOf(r store.Batch) string {
	if r.Leftover {
		return words.LeftOver(r.Name)
	}
	return r.Name
}

func (d Desk) summary(r store.Batch, left float64) wire.BatchSummary {
	made := composition(r)
	return wire.BatchSummary{
		Number: r.Number, State: r.State, Leftover: r.Leftover, Keeping: r.Keeping, OnHand: d.onHand(r, left),
		ID: r.ID, Name: nameOf(r), Method: r.Method, MadeOn: r.MadeOn, SavedAt: d.local(r.CreatedAt),
		VolumeML: r.VolumeML, Pieces: r.Pieces,
		Composition: made, Strength: wire.StrengthOf(content(r)),
		VoidedAt: r.VoidedAt, VoidReason: r.VoidReason,
	}
}

func composition(r store.Batch) []wire.Component {
	return lo.Map(r.Components, func(c store.BatchComponent, _ int) wire.Component {
		return wire.Component{Name: c.Component, Grams: c.Grams}
	})
}

func sameID(a, b *string) bool { return a == b || a != nil && b != nil && *a == *b }

func (d Desk) whole(ctx context.Context, r store.Batch) (wire.Batch, error) {
	left, err := d.op.Left(ctx, store.Account{Batch: r.ID})
	if err != nil {
		return wire.Batch{}, err
	}
	out := wire.Batch{BatchSummary: d.summary(r, left), SnapshotVersion: r.SnapshotVersion, Remarks: make([]wire.Remark, len(r.Remarks))}
	if r.SnapshotVersion != wire.SnapshotVersion {
		return wire.Batch{}, fmt.Errorf("batch %s: snapshot version %d cannot be read", r.ID, r.SnapshotVersion)
	}
	in, err := inputsOf(r)
	if err != nil {
		return wire.Batch{}, err
	}
	if err := json.Unmarshal(r.Answer, &out.Answer); err != nil {
		return wire.Batch{}, fmt.Errorf("batch %s: answer: %w", r.ID, err)
	}
	out.Answer = out.Answer.Said()
	out.Rule, out.Recipe = in.Rule, in.Recipe
	if r.ParentID != nil {
		parent, err := d.op.Batch(ctx, *r.ParentID)
		if err != nil {
			return wire.Batch{}, fmt.Errorf("batch %s: parent: %w", r.ID, err)
		}
		out.ParentID, out.ParentName = parent.ID, nameOf(parent)
	}
	for i, m := range r.Remarks {
		out.Remarks[i] = wire.Remark{ID: m.ID, Text: m.Text, At: d.local(m.CreatedAt)}
	}
	return out, nil
}
