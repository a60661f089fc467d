package app

import (
	"context"
	"errors"
	"fmt"
	"strings"

	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Correct puts a line of the register right, with a reason: the old line stays to be read, and what
// follows from it is worked out anew. store.ErrStale when it was amended already.
func (d Desk) Correct(ctx context.Context, id string, in wire.Correction) (wire.Application, error) {
	was, err := d.op.Application(ctx, id)
	if err != nil {
		return wire.Application{}, err
	}
	var l fault.List
	in.Why = l.Said("why", in.Why)
	if in.ColonyID != "" {
		if _, err := d.op.Colony(ctx, in.ColonyID); errors.Is(err, store.ErrNotFound) {
			l.Add("colony_id", fault.Unknown)
		} else if err != nil {
			return wire.Application{}, fmt.Errorf("correct line %s: %w", id, err)
		}
	}
	if was.Kind == string(treatment.Skipped) && was.Reason == treatment.TakenBack {
		l.Add("id", fault.NotFitting) // there is nothing to put right
	}
	if err := l.Err(); err != nil {
		return wire.Application{}, err
	}
	if was.JobID != nil && (in.Method == "" || in.Method == was.Method) && in.Product == nil {
		err = d.correctInJob(ctx, was, in)
	} else {
		err = d.correctAlone(ctx, was, in)
	}
	return after(ctx, err, d.line, in.ID)
}

// corrected is a line as it was sent, with what a correction changes.
func (d Desk) corrected(was store.Application, in wire.Correction) wire.Application {
	a := wire.ApplicationOf(was.Detail, d.plainLine(was))
	a.ID, a.GivenOn, a.Giver, a.ChangeWhy, a.YardID, a.ByHand = in.ID, in.GivenOn, in.Giver, in.Why, "", false
	a.ColonyID = lo.CoalesceOrEmpty(in.ColonyID, a.ColonyID)
	if in.Amount != nil && *in.Amount != a.Amount {
		a.Amount, a.Boxes = *in.Amount, nil
	}
	if in.BatchID != nil {
		a.BatchID = *in.BatchID
	}
	a.Came, a.Missing = lo.FromPtrOr(in.Came, a.Came), lo.FromPtrOr(in.Missing, a.Missing)
	return a
}

// correctInJob amends a line that stays in its job.
func (d Desk) correctInJob(ctx context.Context, was store.Application, in wire.Correction) error {
	v, err := d.visitOf(ctx, *was.JobID, was.VisitDay.Format(dateForm), lo.CoalesceOrEmpty(in.ColonyID, was.ColonyID))
	if err != nil {
		return err
	}
	_, err = d.apply(ctx, &v, d.corrected(was, in), &was)
	d.ring(*was.JobID)
	return err
}

// correctAlone amends a line that belongs to no job, or to none from now on.
func (d Desk) correctAlone(ctx context.Context, was store.Application, in wire.Correction) error {
	var l fault.List
	a := d.corrected(was, in)
	row := was
	row.ID, row.Superseded, row.ColonyID, row.Amount, row.GivenAt = a.ID, false, a.ColonyID, a.Amount, was.GivenAt
	if at, told := d.whenGiven(a, &l); told {
		row.GivenAt = at
	}
	if in.Product != nil {
		if row.Product = strings.TrimSpace(*in.Product); row.Product == "" && row.JobID == nil {
			l.Add("product", fault.Missing)
		}
	}
	if in.BatchID != nil && *in.BatchID != lo.FromPtr(was.BatchID) {
		l.Add("batch_id", fault.NotFitting) // a line of no job is recorded only
	}
	if in.Method != "" && in.Method != was.Method {
		row.JobID, row.BatchID, row.OADMG, row.FormicMG, row.Method = nil, nil, 0, 0, in.Method
		row.CardID, row.DaysLow, row.DaysHigh, row.Extra, row.Swaps = nil, 0, 0, false, false
		if row.Kind == string(treatment.Given) {
			row.Kind = string(treatment.Other)
		}
	}
	treatment.Record{Kind: treatment.Kind(row.Kind), Reason: row.Reason, Amount: row.Amount, Unit: row.Unit, Came: a.Came, Missing: a.Missing}.Check(&l)
	if err := l.Err(); err != nil {
		return err
	}
	if err := d.stampChange(ctx, &row, was, a); err != nil {
		return err
	}
	if _, err := d.standAt(ctx, &row, a, &was); err != nil {
		return err
	}
	var err error
	if row.Detail, err = a.Kept(); err != nil {
		return err
	}
	if row.BatchID != nil && row.Amount != was.Amount {
		batch, err := d.op.Batch(ctx, *row.BatchID)
		if err != nil {
			return fmt.Errorf("correct line %s: %w", was.ID, err)
		}
		setActives(&row, content(batch))
	}
	_, err = d.op.Apply(ctx, &row, func(op store.Operation) error {
		if err := d.undo(ctx, op, was, row); err != nil {
			return err
		}
		return d.follow(ctx, op, visit{job: store.Job{Method: string(method.Other)}}, row, wire.Application{})
	})
	if was.JobID != nil {
		d.ring(*was.JobID)
	}
	return err
}
