package app

import (
	"context"
	"slices"
	"strings"

	"github.com/google/uuid"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
)

// noted is a line of the register that belongs to no job.
func (d Desk) noted(id string, kind treatment.Kind, colony store.Colony, m, product string, on calendar.Day) store.Application {
	row := store.Application{
		ID: id, VisitDay: timeOf(on), ColonyID: colony.ID, YardID: colony.YardID, Kind: string(kind), Method: m, Product: product,
		Detail: []byte("{}"), GivenAt: on.Noon(d.who.Zone).UTC(),
	}
	d.stampGiver(&row, giver{member: &d.who.User})
	return row
}

// Treat records something given; what stays in the hive has no end yet, unless its day
// is said, too.
func (d Desk) Treat(ctx context.Context, colony string, in wire.Treatment) (wire.ColonyWhole, error) {
	var l fault.List
	given := readDay("given_on", in.GivenOn, d.today(), d.today(), &l)
	product := strings.TrimSpace(in.What)
	out := calendar.Day(0)
	if in.OutOn != "" {
		if out = readDay("out_on", in.OutOn, given, d.today(), &l); out < given {
			l.Add("out_on", fault.NotRising)
		}
	}
	if in.Method == string(method.Other) && product == "" {
		l.Add("what", fault.Missing)
	}
	if err := l.Err(); err != nil {
		return wire.ColonyWhole{}, err
	}
	row, err := d.op.Colony(ctx, colony)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	line := d.noted(in.ID, treatment.Other, row, in.Method, product, given)
	_, err = d.op.Apply(ctx, &line, func(op store.Operation) error {
		if out == 0 || !method.Name(in.Method).Stays() {
			return nil
		}
		return d.ends(ctx, op, row, line.ID, in.Method, out)
	})
	return after(ctx, err, d.Colony, colony)
}

// ends writes that one application came out of a hive.
func (d Desk) ends(ctx context.Context, op store.Operation, colony store.Colony, application, m string, on calendar.Day) error {
	line := d.noted(uuid.NewString(), treatment.Out, colony, m, "", on)
	line.EndsID = &application
	_, err := op.Apply(ctx, &line, func(store.Operation) error { return nil })
	return err
}

// TakeOut ends a treatment that is in the hive; store.ErrNotFound for one that is not.
// Before its time it is asked about, and it knows no day before it went in.
func (d Desk) TakeOut(ctx context.Context, colony, id string, in wire.TakeOut) (wire.ColonyWhole, error) {
	row, day, err := d.colonyOn(ctx, colony, in.On, nil)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	r := reading{ctx: ctx}
	h := d.historyOf(&r, ever(colony))
	given := h.given.Of(colony)
	i := slices.IndexFunc(given, func(t treatment.Treatment) bool { return t.ID == id && (t.Out == 0 || t.Out == day) })
	if r.err == nil && i >= 0 && given[i].Out != 0 { // so it was said already
		return d.Colony(ctx, colony)
	}
	if r.err == nil && i < 0 {
		r.err = store.ErrNotFound
	}
	if r.err != nil {
		return wire.ColonyWhole{}, r.err
	}
	var l fault.List
	t := given[i]
	from, _, _ := t.Due()
	switch {
	case day < t.Given:
		l.Add("on", fault.NotRising)
	case day < from && !in.Sure:
		l.AddRange("on", fault.Early, float64(day-t.Given), float64(from-t.Given), "days")
	}
	if err := l.Err(); err != nil {
		return wire.ColonyWhole{}, err
	}
	return after(ctx, d.ends(ctx, d.op, row, id, string(t.Method), day), d.Colony, colony)
}

// PutBoard writes that a clean board went in under a hive today, where no round did it. The
// same id a second time writes nothing.
func (d Desk) PutBoard(ctx context.Context, colony string, in wire.PutBoard) (wire.ColonyWhole, error) {
	row, day, err := d.colonyOn(ctx, colony, "", nil)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	line := d.noted(in.ID, treatment.Board, row, string(method.Other), "", day)
	line.Board = true
	_, err = d.op.Apply(ctx, &line, func(store.Operation) error { return nil })
	return after(ctx, err, d.Colony, colony)
}
