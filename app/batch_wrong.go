package app

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"

	"keeler/core/batch"
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/mixing"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/google/uuid"
	"github.com/samber/lo"
)

// heaviest is more than any batch holds of one substance, g.
const heaviest = 200_000

// CorrectBatch puts right what a batch that was made really holds, with a reason: every dose from it is
// amended to the acid that it really was, and marked. A fault names a mass that cannot be.
func (d Desk) CorrectBatch(ctx context.Context, id string, in wire.CorrectBatch) (wire.Batch, error) {
	row, err := d.op.Batch(ctx, id)
	if err != nil {
		return wire.Batch{}, err
	}
	var l fault.List
	why := l.Said("why", in.Why)
	holds := composition(row)
	for i, c := range in.Components {
		field := fault.Index("components", i)
		at := slices.IndexFunc(holds, func(h wire.Component) bool { return h.Name == c.Name })
		switch {
		case at < 0:
			l.Add(field+".name", fault.Unknown)
		case l.Within(field+".grams", c.Grams, 0, heaviest, "g"):
			holds[at].Grams = c.Grams
		}
	}
	if len(in.Components) == 0 {
		l.Add("components", fault.Missing)
	}
	if row.State != store.IsMade {
		l.Add("components", fault.NotFitting) // a plan is changed as a plan
	}
	if err := l.Err(); err != nil {
		return wire.Batch{}, err
	}
	is := wire.Mixture(holds)
	if row.VolumeML, err = volumeOf(row, is); err != nil {
		return wire.Batch{}, err
	}
	row.Components = parts(is)
	err = d.op.Within(ctx, func(op store.Operation) error {
		err := op.FinishBatch(ctx, id, store.Finished{
			State: row.State, VolumeML: row.VolumeML, Pieces: row.Pieces, Keeping: row.Keeping, UseBy: row.UseBy, MadeOn: row.MadeOn, Components: row.Components,
		})
		if err != nil {
			return fmt.Errorf("correct batch %s: %w", id, err)
		}
		if err := op.AddRemark(ctx, store.BatchRemark{ID: in.ID, BatchID: id, Text: why, CreatedAt: d.stamp()}); err != nil {
			return fmt.Errorf("correct batch %s: write why: %w", id, err)
		}
		return d.markDoses(ctx, op, row, in.ID, why, treatment.BatchWrong)
	})
	return after(ctx, err, d.Batch, id)
}

// volumeOf is the volume of what a batch holds, mL; as it was, where it is not measured.
func volumeOf(row store.Batch, holds chem.Mixture) (float64, error) {
	mix, err := mixingOf(row, "")
	if err != nil {
		return 0, fmt.Errorf("volume of batch %s: %w", row.ID, err)
	}
	if mix.Measure == mixing.Unmeasured || row.Leftover {
		return row.VolumeML, nil
	}
	return wire.Round(float64(mix.Measure.Volume(holds))), nil
}

// markDoses amends every dose from a batch to the acid that it really was, with a flag and the reason; by makes
// the ids of the new lines. A line that somebody amends meanwhile is marked by him who comes next.
func (d Desk) markDoses(ctx context.Context, op store.Operation, from store.Batch, by, why string, flag treatment.Flag) error {
	doses, err := op.GivenFrom(ctx, []string{from.ID})
	if err != nil {
		return fmt.Errorf("read the doses of batch %s: %w", from.ID, err)
	}
	of := content(from)
	for _, was := range doses {
		row := was
		row.ID, row.Superseded = uuid.NewSHA1(uuid.MustParse(by), []byte(was.ID)).String(), false
		setActives(&row, of)
		row.Flags = strings.Join(lo.Uniq(append(lo.Compact(strings.Split(was.Flags, ",")), string(flag))), ",")
		if err := d.stampChange(ctx, &row, was, wire.Application{ChangeWhy: why}); err != nil {
			return err
		}
		_, err := op.Apply(ctx, &row, func(op store.Operation) error { return op.Supersede(ctx, was.ID, row.ID) })
		if err != nil && !errors.Is(err, store.ErrStale) {
			return fmt.Errorf("mark dose %s: %w", was.ID, err)
		}
	}
	return nil
}

// setActives writes the acids of a dose from a batch into its line, mg.
func setActives(row *store.Application, of batch.Batch) {
	oad, formic := treatment.Actives(of.Holds, of.Amount(), row.Amount)
	row.OADMG, row.FormicMG = float64(oad), float64(formic)
}
