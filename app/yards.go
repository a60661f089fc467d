package app

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"strings"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/store"
	"keeler/wire"
)

// Yards lists the yards by name.
func (d Desk) Yards(ctx context.Context) (wire.YardList, error) {
	r := reading{ctx: ctx}
	rows, stands := all(&r, d.op.Yards), all(&r, d.op.Stands)
	return wire.YardList{Yards: lo.Map(rows, func(y store.Yard, _ int) wire.Yard { return yardOf(y, stands[y.ID]) })}, r.err
}

func yardOf(y store.Yard, colonies int) wire.Yard {
	return wire.Yard{ID: y.ID, Name: y.Name, Place: y.Place, Latitude: y.Latitude, DeepFrom: deep(y).from(), DeepTo: deep(y).to(), Notes: y.Notes, No: y.RegistrationNo, Version: y.Version, Colonies: colonies}
}

// deepest cluster of a yard: the keeper's own, or by the latitude.
type span calendar.Span

func deep(y store.Yard) span {
	if own, ok := calendar.ReadSpan(y.DeepFrom, y.DeepTo); ok {
		return span(own)
	}
	return span(calendar.DeepCluster(y.Latitude))
}

func (s span) from() string { return monthDay(s.FromMonth, s.FromDay) }
func (s span) to() string   { return monthDay(s.ToMonth, s.ToDay) }

func monthDay(month, day int) string {
	if month == 0 {
		return ""
	}
	return fmt.Sprintf("%02d-%02d", month, day)
}

// AddYard makes a yard.
func (d Desk) AddYard(ctx context.Context, in wire.SaveYard) (wire.YardWhole, error) {
	return d.saveYard(ctx, "", in)
}

// ChangeYard changes a yard over the version that was seen; store.ErrStale when somebody
// else was faster.
func (d Desk) ChangeYard(ctx context.Context, id string, in wire.SaveYard) (wire.YardWhole, error) {
	return d.saveYard(ctx, id, in)
}

func (d Desk) saveYard(ctx context.Context, id string, in wire.SaveYard) (wire.YardWhole, error) {
	var l fault.List
	name := l.Said("name", in.Name)
	if in.Latitude == nil {
		l.AddRange("latitude", fault.Missing, fit.South, fit.North, "degrees")
	} else {
		l.Within("latitude", *in.Latitude, fit.South, fit.North, "degrees")
	}
	if in.DeepFrom+in.DeepTo != "" {
		if _, ok := calendar.ReadSpan(in.DeepFrom, in.DeepTo); !ok {
			l.Add("deep_from", fault.NoSpan)
		}
	}
	if err := l.Err(); err != nil {
		return wire.YardWhole{}, err
	}
	y := store.Yard{ID: id, Name: name, Place: strings.TrimSpace(in.Place), Latitude: *in.Latitude, DeepFrom: in.DeepFrom, DeepTo: in.DeepTo, Notes: strings.TrimSpace(in.Notes), RegistrationNo: strings.TrimSpace(in.No), Version: in.Version, CreatedAt: d.stamp()}
	var err error
	if id == "" {
		y.ID = newID(in.ID)
		err = d.op.AddYard(ctx, &y)
	} else {
		err = d.op.ChangeYard(ctx, y)
	}
	return after(ctx, named(again(ctx, err, d.op.Yard, y.ID, sameYard(y))), d.Yard, y.ID)
}

// Closed lists the hives of a yard that ended.
func (d Desk) Closed(ctx context.Context, yard string) (wire.ClosedHives, error) {
	r := reading{ctx: ctx}
	by(&r, d.op.Yard, yard)
	rows := by(&r, d.op.ClosedIn, yard)
	return wire.ClosedHives{Hives: lo.Map(rows, func(c store.Colony, _ int) wire.ClosedHive {
		return wire.ClosedHive{ID: c.ID, Name: c.Name, StartedOn: c.StartedOn.Format(dateForm), EndedOn: optionalDay(c.EndedOn), EndReason: c.EndReason}
	})}, r.err
}

func newID(given string) string { return cmp.Or(given, uuid.NewString()) }

// named tells at its field that a name is in use.
func named(err error) error {
	if errors.Is(err, store.ErrTaken) {
		return fault.List{{Field: "name", Reason: fault.Taken}}
	}
	return err
}

// Yard reads a yard with its colonies in stand order.
func (d Desk) Yard(ctx context.Context, id string) (wire.YardWhole, error) {
	r := reading{ctx: ctx}
	y, rows := by(&r, d.op.Yard, id), by(&r, d.op.ColoniesIn, id)
	colonies := d.situations(&r, rows, d.remembering(lo.Map(rows, colonyID)), map[string]float64{id: y.Latitude})
	boards := by(&r, d.op.LastSeams, lo.Map(rows, colonyID))
	if r.err != nil {
		return wire.YardWhole{}, r.err
	}
	need, over := needs(colonies, d.today())
	out := wire.YardWhole{Yard: yardOf(y, len(colonies)), Over: over, Stands: make([]wire.ColonyRecord, len(colonies))}
	for i, k := range colonies {
		out.Stands[i] = k.record(need[i], wire.BoardOf(boards[k.row.ID]), d.today())
	}
	return out, nil
}

func colonyID(r store.Colony, _ int) string { return r.ID }

// Arrange puts the colonies of a yard in an order, which must name each of them
// once; otherwise somebody has changed the yard meanwhile, and it is
// store.ErrStale.
func (d Desk) Arrange(ctx context.Context, yard string, in wire.Order) (wire.YardWhole, error) {
	err := d.op.Within(ctx, func(op store.Operation) error {
		if err := op.HoldYard(ctx, yard); err != nil {
			return err
		}
		rows, err := op.ColoniesIn(ctx, yard)
		if err != nil {
			return err
		}
		if !lo.ElementsMatch(lo.Map(rows, colonyID), in.Colonies) {
			return store.ErrStale
		}
		return op.Arrange(ctx, yard, in.Colonies)
	})
	return after(ctx, err, d.Yard, yard)
}
