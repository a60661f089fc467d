package app

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"strings"
	"time"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

// inputs is the versioned snapshot of what a batch was worked out from.
type inputs struct {
	Rule string           `json:"rule_worked_under,omitempty"`
	Plan wire.PlanRequest `json:"plan"`
}

// SaveBatch works the plan out again and keeps it with its inputs. The same id
// with the same content gives the batch as it was kept (created is false); with
// other content it gives store.ErrConflict. A plan that cannot be gives a
// fault.List under "plan.".
func (a *App) SaveBatch(ctx context.Context, operation uint64, in wire.SaveBatch) (b wire.Batch, created bool, err error) {
	name := strings.TrimSpace(in.Name)
	if name == "" {
		return wire.Batch{}, false, fault.List{{Field: "name", Reason: fault.Missing}}
	}
	answer, err := wire.Plan(in.Plan)
	if err != nil {
		return wire.Batch{}, false, wire.Beneath("plan.", err)
	}
	row, err := newBatch(in, name, answer)
	if err != nil {
		return wire.Batch{}, false, err
	}
	row.MadeOn = a.clock().Format(workTime)
	row.CreatedAt = a.now().UTC().Truncate(time.Microsecond)

	op := a.store.For(operation)
	created, err = op.SaveBatch(ctx, row)
	if err != nil {
		return wire.Batch{}, false, err
	}
	kept, err := op.Batch(ctx, in.ID)
	if err != nil {
		return wire.Batch{}, false, err
	}
	if !created && (kept.Name != name || !bytes.Equal(kept.Inputs, row.Inputs)) {
		return wire.Batch{}, false, store.ErrConflict
	}
	b, err = whole(kept)
	return b, created, err
}

func newBatch(in wire.SaveBatch, name string, answer wire.PlanAnswer) (*store.Batch, error) {
	snapshot, err := json.Marshal(inputs{Rule: in.Rule, Plan: in.Plan})
	if err != nil {
		return nil, err
	}
	result, err := json.Marshal(answer)
	if err != nil {
		return nil, err
	}
	row := &store.Batch{
		ID: in.ID, Name: name, Method: "dribble",
		VolumeML: answer.VolumeML, GPerL: answer.Strength.GPerL,
		SnapshotVersion: wire.SnapshotVersion, Inputs: snapshot, Answer: result,
	}
	for _, l := range answer.Lines {
		row.Lines = append(row.Lines, store.BatchLine{
			Step: l.Step, Ingredient: l.Ingredient,
			WantedG: l.Grams, WantedML: l.VolumeML, WantedCount: l.Count,
		})
	}
	return row, nil
}

// Batches lists the newest batches.
func (a *App) Batches(ctx context.Context, operation uint64) (wire.BatchList, error) {
	rows, err := a.store.For(operation).Batches(ctx)
	if err != nil {
		return wire.BatchList{}, err
	}
	out := wire.BatchList{Batches: make([]wire.BatchSummary, len(rows))}
	for i, r := range rows {
		out.Batches[i] = summary(r)
	}
	return out, nil
}

// Batch reads one batch whole; store.ErrNotFound when there is none.
func (a *App) Batch(ctx context.Context, operation uint64, id string) (wire.Batch, error) {
	row, err := a.store.For(operation).Batch(ctx, id)
	if err != nil {
		return wire.Batch{}, err
	}
	return whole(row)
}

// Remark writes a remark to a batch and gives the batch.
func (a *App) Remark(ctx context.Context, operation uint64, batch string, r wire.Remark) (wire.Batch, error) {
	text := strings.TrimSpace(r.Text)
	if text == "" {
		return wire.Batch{}, fault.List{{Field: "text", Reason: fault.Missing}}
	}
	err := a.store.For(operation).AddRemark(ctx, store.BatchRemark{
		ID: r.ID, BatchID: batch, Text: text, CreatedAt: a.now().UTC(),
	})
	if err != nil {
		return wire.Batch{}, err
	}
	return a.Batch(ctx, operation, batch)
}

// VoidBatch marks a batch as void, never erasing it, and gives the batch.
func (a *App) VoidBatch(ctx context.Context, operation uint64, id, reason string) (wire.Batch, error) {
	reason = strings.TrimSpace(reason)
	if reason == "" {
		return wire.Batch{}, fault.List{{Field: "reason", Reason: fault.Missing}}
	}
	if err := a.store.For(operation).VoidBatch(ctx, id, reason, a.now().UTC()); err != nil {
		return wire.Batch{}, err
	}
	return a.Batch(ctx, operation, id)
}

// Healthy asks the database for an answer.
func (a *App) Healthy(ctx context.Context) error { return a.store.Ping(ctx) }

func summary(r store.Batch) wire.BatchSummary {
	return wire.BatchSummary{
		ID: r.ID, Name: r.Name, Method: r.Method, MadeOn: r.MadeOn, SavedAt: r.CreatedAt,
		VolumeML: r.VolumeML, GPerL: r.GPerL, VoidedAt: r.VoidedAt, VoidReason: r.VoidReason,
	}
}

func whole(r store.Batch) (wire.Batch, error) {
	out := wire.Batch{BatchSummary: summary(r), SnapshotVersion: r.SnapshotVersion, Remarks: make([]wire.Remark, len(r.Remarks))}
	if r.SnapshotVersion != wire.SnapshotVersion {
		return wire.Batch{}, fmt.Errorf("batch %s: snapshot version %d cannot be read", r.ID, r.SnapshotVersion)
	}
	var in inputs
	if err := json.Unmarshal(r.Inputs, &in); err != nil {
		return wire.Batch{}, fmt.Errorf("batch %s: inputs: %w", r.ID, err)
	}
	if err := json.Unmarshal(r.Answer, &out.Answer); err != nil {
		return wire.Batch{}, fmt.Errorf("batch %s: answer: %w", r.ID, err)
	}
	out.Rule, out.Plan = in.Rule, in.Plan
	for i, m := range r.Remarks {
		out.Remarks[i] = wire.Remark{ID: m.ID, Text: m.Text, At: m.CreatedAt}
	}
	return out, nil
}
