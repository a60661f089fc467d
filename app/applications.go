package app

import (
	"context"
	"errors"
	"slices"
	"strings"
	"time"

	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// Apply writes what a phone has gathered on a day of a job, each line alone, in its
// order, and tells of each what became of it. What was done was done: want of stock,
// a second dose, a colony that has moved are flagged, not refused.
func (d Desk) Apply(ctx context.Context, job, day string, in wire.Applications) (wire.Sent, error) {
	v, err := d.visitOf(ctx, job, day, lo.Map(in.Applications, func(a wire.Application, _ int) string { return a.ColonyID })...)
	if err != nil {
		return wire.Sent{}, err
	}
	out := wire.Sent{Results: make([]wire.Applied, len(in.Applications))}
	for i, a := range in.Applications {
		out.Results[i] = wire.Applied{ID: a.ID, State: "saved"}
		done, err := d.apply(ctx, &v, a, nil)
		var l fault.List
		switch {
		case errors.As(err, &l):
			out.Results[i].State, out.Results[i].Text = "refused", words.Faults(l)
		case errors.Is(err, store.ErrNotFound):
			out.Results[i].State, out.Results[i].Text = "refused", words.Faults(fault.List{{Field: "colony_id", Reason: fault.Unknown}})
		case err != nil:
			return wire.Sent{}, err
		case !done:
			out.Results[i].State = "again"
		}
	}
	d.app.refused.Add(int64(lo.CountBy(out.Results, func(r wire.Applied) bool { return r.State == "refused" })))
	d.ring(job)
	r := reading{ctx: ctx}
	out.Visited, out.Batches = by(&r, d.visited, v), by(&r, d.pourable, v)
	return out, r.err
}

// visitOf is a visit with what lines of some colonies are held against.
func (d Desk) visitOf(ctx context.Context, job, day string, colonies ...string) (visit, error) {
	v, err := d.visit(ctx, job, day)
	r := reading{ctx, err}
	d.around(&r, &v, colonies, false)
	return v, r.err
}

// Amend corrects a line of the register: the old one stays, marked as amended.
// store.ErrStale when it was amended already.
func (d Desk) Amend(ctx context.Context, id string, in wire.Application) (wire.Application, error) {
	was, err := d.op.Application(ctx, id)
	if err != nil {
		return wire.Application{}, err
	}
	if was.JobID == nil {
		return d.takeBack(ctx, was, in)
	}
	in.ColonyID = was.ColonyID
	v, err := d.visitOf(ctx, *was.JobID, was.VisitDay.Format(dateForm), in.ColonyID)
	if err == nil {
		_, err = d.apply(ctx, &v, in, &was)
		d.ring(*was.JobID)
	}
	return after(ctx, err, d.line, in.ID)
}

// takeBack says of a line that belongs to no job that it was a slip; nothing else of it
// can be amended.
func (d Desk) takeBack(ctx context.Context, was store.Application, in wire.Application) (wire.Application, error) {
	if in.Kind != string(treatment.Skipped) || in.Reason != treatment.TakenBack {
		return wire.Application{}, fault.List{{Field: "kind", Reason: fault.NotFitting}}
	}
	row := was
	row.ID, row.EndsID, row.Kind, row.Reason, row.Amount = in.ID, nil, in.Kind, in.Reason, 0
	row.Extra, row.Swaps, row.Board, row.Eggs = false, false, false, nil
	row.OADMG, row.FormicMG = 0, 0
	if err := d.stampChange(ctx, &row, was, in); err != nil {
		return wire.Application{}, err
	}
	_, err := d.op.Apply(ctx, &row, func(op store.Operation) error { return op.Supersede(ctx, was.ID, row.ID) })
	return after(ctx, err, d.line, in.ID)
}

// line reads one line of the register.
func (d Desk) line(ctx context.Context, id string) (wire.Application, error) {
	row, err := d.op.Application(ctx, id)
	if err != nil {
		return wire.Application{}, err
	}
	lines, err := d.describeLines(ctx, []store.Application{row})
	if err != nil {
		return wire.Application{}, err
	}
	return lines[0], nil
}

// apply writes a line with all that goes with it; was is the line it amends.
func (d Desk) apply(ctx context.Context, v *visit, in wire.Application, was *store.Application) (bool, error) {
	in.AirC, in.HighC = nil, nil
	if was != nil {
		detail := wire.ApplicationOf(was.Detail, wire.Application{})
		in.Amends, in.AirC, in.HighC = was.ID, detail.AirC, detail.HighC
	}
	row, err := d.newLine(ctx, v, in, was)
	if err != nil {
		return false, err
	}
	return d.op.Apply(ctx, &row, func(op store.Operation) error {
		if was != nil {
			if err := d.undo(ctx, op, *was, row); err != nil {
				return err
			}
		}
		return d.follow(ctx, op, *v, row, in)
	})
}

// newLine works a line out from what was sent; was is the line it amends.
func (d Desk) newLine(ctx context.Context, v *visit, in wire.Application, was *store.Application) (store.Application, error) {
	var l fault.List
	timing, flags := treatment.Timing{Ago: in.AgoS, Open: in.OpenS}.Believed()
	ago := time.Duration(timing.Ago * float64(time.Second))
	kind := treatment.Kind(in.Kind)
	given := kind == treatment.Given
	row := store.Application{
		ID: in.ID, JobID: &v.job.ID, VisitDay: timeOf(v.day), ColonyID: in.ColonyID, Kind: in.Kind, Reason: in.Reason,
		Method: v.job.Method, Amount: in.Amount, Asked: in.Asked, Unit: v.giving.Unit, RuleKind: v.job.RuleKind, RuleWords: v.job.RuleWords,
		DaysLow: v.under.DaysInLow, DaysHigh: v.under.DaysInHigh, OverrideReason: v.colonies[in.ColonyID].OverrideReason,
		Extra: in.Extra && given, Swaps: v.under.Swap && !v.planned && !in.Extra && given,
		Board:  kind == treatment.Board || given && slices.Contains(in.Extras, treatment.BoardIn),
		OpenS:  int(timing.Open),
		CardID: v.job.CardID,
	}
	if kind == treatment.Other {
		l.Add("kind", fault.NotFitting)
	}
	if v.card != nil {
		row.Product, row.WithdrawalDays = v.card.Name, v.card.Content.Withdrawal
	}
	if was != nil {
		keepTerms(&row, *was)
	}
	if given && strings.TrimSpace(in.Against) != "" {
		row.OverrideReason = strings.TrimSpace(in.Against)
	}
	if kind == treatment.Checked {
		row.Eggs = in.Eggs
	}
	if kind == treatment.Weighed {
		if row.Unit = method.Grams; in.Read {
			row.Unit = method.Millilitres
		}
	}
	if err := d.date(ctx, v, &row, in, was, ago, &l); err != nil {
		return row, err
	}
	flags = append(flags, d.flags(*v, in, ago)...)
	besides, err := d.besides(ctx, *v, row, in)
	if err != nil {
		return row, err
	}
	flags = append(flags, besides...)
	if err := d.from(ctx, *v, in, &row, &flags, &l); err != nil {
		return row, err
	}
	flags = append(flags, d.before(*v, row)...)
	treatment.Record{
		Kind: kind, Dribble: method.Name(v.job.Method) == method.Dribble, Reason: in.Reason, Amount: in.Amount, Unit: row.Unit,
		Area: in.AreaCM2, Gaps: in.Gaps, Came: in.Came, Missing: in.Missing, Chewed: in.Chewed,
	}.Check(&l)
	treatment.CheckExtras(in.Extras, &l)
	if err := l.Err(); err != nil {
		return row, err
	}
	moved, err := d.standAt(ctx, &row, in, was)
	if err != nil {
		return row, err
	}
	flags = append(flags, moved...)
	if given && in.AirC == nil && d.dayGiven(row) == d.today() {
		in.AirC, in.HighC = v.sky.at(v.yards[row.YardID], d.local(row.GivenAt))
	}
	row.Flags = strings.Join(lo.Map(lo.Uniq(flags), func(f treatment.Flag, _ int) string { return string(f) }), ",")
	row.Detail, err = in.Kept()
	return row, err
}

// keepTerms gives an amendment the terms that the line it corrects was given under: what a label says
// today is not what it said then.
func keepTerms(row *store.Application, was store.Application) {
	row.Product, row.CardID, row.WithdrawalDays, row.RuleKind, row.RuleWords = was.Product, was.CardID, was.WithdrawalDays, was.RuleKind, was.RuleWords
	row.DaysLow, row.DaysHigh, row.OverrideReason = was.DaysLow, was.DaysHigh, was.OverrideReason
	row.Swaps = was.Swaps && row.Kind == was.Kind
}

// date writes into a line when it happened, who gave and who wrote it: of an amendment, what the
// line that it corrects says, but for what is corrected.
func (d Desk) date(ctx context.Context, v *visit, row *store.Application, in wire.Application, was *store.Application, ago time.Duration, l *fault.List) error {
	at, told := d.whenGiven(in, l)
	switch {
	case told:
		row.GivenAt = at
	case was != nil:
		row.GivenAt = was.GivenAt
	default:
		row.GivenAt = d.clock().Add(-ago)
	}
	if was != nil {
		return d.stampChange(ctx, row, *was, in)
	}
	if told {
		row.Entered = store.Afterwards
	}
	if v.giver == nil || v.giver.said != in.Giver { // as a rule one gives all of a round
		g, err := d.findGiver(ctx, in.Giver)
		if err != nil {
			return err
		}
		v.giver = &g
	}
	d.stampGiver(row, *v.giver)
	return nil
}

// standAt writes into a line in which yard the colony stood: where the phone was, or where it
// stands now.
func (d Desk) standAt(ctx context.Context, row *store.Application, in wire.Application, was *store.Application) ([]treatment.Flag, error) {
	var flags []treatment.Flag
	colony, err := d.op.Colony(ctx, row.ColonyID)
	if err != nil {
		return nil, err
	}
	row.YardID = colony.YardID
	switch {
	case was != nil && was.ColonyID == row.ColonyID:
		row.YardID = was.YardID
	case in.YardID != "" && in.YardID != colony.YardID:
		switch _, err := d.op.Yard(ctx, in.YardID); {
		case err == nil:
			row.YardID = in.YardID
		case !errors.Is(err, store.ErrNotFound):
			return nil, err
		}
		flags = append(flags, treatment.Moved)
	}
	if colony.EndedOn != nil {
		flags = append(flags, treatment.Ended)
	}
	return flags, nil
}

// from takes what it was given from into a line: the unit, the acids, the product.
func (d Desk) from(ctx context.Context, v visit, in wire.Application, row *store.Application, flags *[]treatment.Flag, l *fault.List) error {
	if in.Kind != string(treatment.Given) {
		return nil
	}
	heldTo := func(by wire.Dosing) {
		if treatment.Much(in.Amount, in.Asked, by.CapML) {
			*flags = append(*flags, treatment.TooMuch)
		}
	}
	if in.BatchID == "" {
		heldTo(v.giving.Dosing)
		*flags = append(*flags, treatment.NoBatch)
		return nil
	}
	batch, err := d.op.Batch(ctx, in.BatchID)
	if errors.Is(err, store.ErrNotFound) || err == nil && (batch.Method != v.job.Method || batch.Leftover) {
		l.Add("batch_id", fault.Unknown)
		return nil
	}
	if err != nil {
		return err
	}
	row.BatchID, row.Unit = &batch.ID, batch.Unit
	of := content(batch)
	oad, formic := treatment.Actives(of.Holds, of.Amount(), in.Amount)
	row.OADMG, row.FormicMG = float64(oad), float64(formic)
	by := v.dosing(bareOf(batch))
	heldTo(by)
	if treatment.Stronger(row.OADMG+row.FormicMG, in.Asked*v.giving.Meant(by)) {
		*flags = append(*flags, treatment.Strong)
	}
	if batch.VoidedAt != nil {
		*flags = append(*flags, treatment.BatchVoid)
	}
	if batch.State != store.IsMade && !in.ByHand {
		*flags = append(*flags, treatment.NotMade)
	}
	if batch.UseBy != nil && d.dayGiven(*row) > dayOf(*batch.UseBy) {
		*flags = append(*flags, treatment.PastDay)
	}
	return nil
}

// plainLine writes the columns of a line; its detail is the wire's own.
func (d Desk) plainLine(r store.Application) wire.Application {
	out := wire.Application{
		ID: r.ID, ColonyID: r.ColonyID, YardID: r.YardID, Kind: r.Kind, Reason: r.Reason, Amount: r.Amount, Asked: r.Asked,
		OpenS: float64(r.OpenS), Day: written(d.dayGiven(r)), Colony: r.Colony, Yard: r.Yard, Method: r.Method, Product: r.Product,
		BatchNumber: r.BatchNumber, Unit: r.Unit, OADMg: wire.Round(r.OADMG), FormicMg: wire.Round(r.FormicMG), Rule: words.Rule(r.RuleKind, r.RuleWords),
		Withdrawal: r.WithdrawalDays, Override: r.OverrideReason, GivenAt: d.local(r.GivenAt), By: r.Giver, RecordedBy: r.Recorder,
		Amends: lo.FromPtr(r.AmendsID), JobID: lo.FromPtr(r.JobID), BatchID: lo.FromPtr(r.BatchID),
	}
	if r.Product == "" && r.BatchID != nil {
		out.Product = words.Product(r.RuleKind, r.RuleWords)
	}
	out.Extra, out.Eggs = r.Extra, r.Eggs
	out.RecordedAt, out.Entered, out.EnteredFrom = d.local(lo.FromPtrOr(r.RecordedAt, r.CreatedAt)), r.Entered, r.EnteredFrom
	if planned := dayOf(r.VisitDay); r.JobID != nil && planned != d.dayGiven(r) {
		out.PlannedFor = written(planned)
	}
	if r.AmendsID != nil {
		out.ChangedBy, out.ChangedAt, out.ChangeWhy = r.Login, d.local(lo.FromPtrOr(r.ChangedAt, r.CreatedAt)), r.ChangeReason
	}
	out.ReasonWords = words.Outcome(r.Reason)
	if r.Flags != "" {
		out.Flags = strings.Split(r.Flags, ",")
		out.FlagWords = words.Flags(out.Flags)
	}
	return out
}
