package app

import (
	"context"
	"slices"
	"strings"

	"keeler/core/fault"
	"keeler/core/followup"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Spent tells what came out of hives and what became of it, job by job.
func (d Desk) Spent(ctx context.Context) (wire.SpentAll, error) {
	r := reading{ctx: ctx}
	came, entries, labels := all(&r, d.op.CameOut), all(&r, d.op.Spent), all(&r, d.labels)
	for _, p := range entries { // of which nothing came out, by the register
		if !slices.ContainsFunc(came, func(c store.CameOut) bool { return c.JobID == p.JobID }) {
			came = append(came, store.CameOut{JobID: p.JobID})
		}
	}
	jobs := by(&r, d.op.JobsAmong, lo.Map(came, func(c store.CameOut, _ int) string { return c.JobID }))
	known := lo.KeyBy(jobs, func(j store.Job) string { return j.ID })
	of := lo.GroupBy(entries, func(p store.SpentPiece) string { return p.JobID })
	out := wire.SpentAll{Spent: []wire.Spent{}}
	for _, c := range came {
		j := known[c.JobID]
		under, err := conditionsOf(j, labels)
		if err != nil {
			return out, err
		}
		if followup.TermsOf(under).Way == followup.Filling {
			continue // a bottle is filled again
		}
		account := treatment.Spent{Came: c.Came}
		told := wire.Spent{JobID: j.ID, Job: j.Name, Method: j.Method, Came: c.Came, Missing: c.Missing, Entries: []wire.SpendPieces{}}
		if card := cardNamed(j, labels); card != nil {
			told.LabelSays = card.Content.Spent
		}
		for _, p := range of[j.ID] {
			account.Enter(p.Kind, p.Pieces, p.Note)
			told.Entries = append(told.Entries, wire.SpendPieces{ID: p.ID, Kind: p.Kind, Pieces: p.Pieces, Note: p.Note, On: written(dayOf(p.HappenedOn))})
		}
		told.Disposed, told.Left, told.Where = account.Disposed, account.Left(), account.Where
		out.Spent = append(out.Spent, told)
	}
	return out, r.err
}

// spentOf is that of one job; nil where nothing came out.
func (d Desk) spentOf(ctx context.Context, job string) (*wire.Spent, error) {
	all, err := d.Spent(ctx)
	if of, there := lo.Find(all.Spent, func(s wire.Spent) bool { return s.JobID == job }); there {
		return &of, err
	}
	return nil, err
}

// SpendPieces writes what became of pieces of a job, once, and gives their account. More
// than came out are taken: they are to be reconciled.
func (d Desk) SpendPieces(ctx context.Context, job string, in wire.SpendPieces) (wire.Spent, error) {
	var l fault.List
	treatment.CheckSpent(in.Kind, in.Pieces, in.Note, &l)
	if err := l.Err(); err != nil {
		return wire.Spent{}, err
	}
	row := store.SpentPiece{
		ID: in.ID, JobID: job, Kind: in.Kind, Pieces: in.Pieces, Note: strings.TrimSpace(in.Note), HappenedOn: timeOf(d.today()), UserID: d.who.User, CreatedAt: d.stamp(),
	}
	told, err := after(ctx, d.op.Spend(ctx, &row), d.spentOf, job)
	return lo.FromPtr(told), err
}
