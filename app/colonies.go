package app

import (
	"context"
	"errors"
	"slices"
	"strings"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
)

var queens = []string{"", string(fit.Laying), string(fit.Young), string(fit.Queenless), string(fit.Unseen)}

// readColony checks what is wanted of a colony.
func (d Desk) readColony(in wire.SaveColony) (store.Colony, error) {
	var l fault.List
	c := store.Colony{
		YardID: in.YardID, Name: l.Said("name", in.Name), Nuc: in.Nuc, ForHoney: in.ForHoney,
		Queen: in.Queen, Notes: strings.TrimSpace(in.Notes), Version: in.Version,
		StartedOn: timeOf(d.today()), CreatedAt: d.stamp(),
	}
	if !slices.Contains(queens, in.Queen) {
		l.Add("queen", fault.Unknown)
	}
	if in.Queen != "" {
		c.QueenOn = dayPointer(d.today())
	}
	slots, err := wire.CheckHive(in.Boxes)
	if of, wrong := err.(fault.List); wrong {
		l = append(l, of...)
	}
	if err := l.Err(); err != nil {
		return c, err
	}
	for i, b := range in.Boxes {
		c.Boxes = append(c.Boxes, store.ColonyBox{Kind: b.Kind, Slots: slots[i]})
	}
	return c, nil
}

// AddColony writes a new colony at the end of its yard's line.
func (d Desk) AddColony(ctx context.Context, in wire.SaveColony) (wire.ColonyWhole, error) {
	c, err := d.readColony(in)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	if c.YardID == "" {
		return wire.ColonyWhole{}, fault.List{{Field: "yard_id", Reason: fault.Missing}}
	}
	c.ID = newID(in.ID)
	err = again(ctx, d.op.Stand(ctx, &c), d.op.Colony, c.ID, sameColony(c))
	return after(ctx, named(unknown("yard_id", err)), d.Colony, c.ID)
}

// AddColonies writes several new colonies at the end of a yard's line: all of them, or none.
func (d Desk) AddColonies(ctx context.Context, in wire.SaveColonies) (wire.YardWhole, error) {
	var l fault.List
	rows := make([]store.Colony, len(in.Colonies))
	for i, one := range in.Colonies {
		before := len(l)
		one.YardID = in.YardID
		c, err := d.readColony(one)
		if of, wrong := err.(fault.List); wrong {
			l = append(l, of...)
			l.Beneath(before, "colonies", i)
		}
		c.ID = newID(one.ID)
		rows[i] = c
	}
	if err := l.Err(); err != nil {
		return wire.YardWhole{}, err
	}
	at := 0
	err := d.op.Within(ctx, func(o store.Operation) error {
		for i := range rows {
			at = i
			if err := again(ctx, o.Stand(ctx, &rows[i]), o.Colony, rows[i].ID, sameColony(rows[i])); err != nil {
				return err
			}
		}
		return nil
	})
	if errors.Is(err, store.ErrTaken) {
		err = fault.List{{Field: fault.Index("colonies", at) + ".name", Reason: fault.Taken}}
	}
	return after(ctx, unknown("yard_id", err), d.Yard, in.YardID)
}

// ChangeColony writes a colony over the version that was seen; store.ErrStale when
// somebody else was faster.
func (d Desk) ChangeColony(ctx context.Context, id string, in wire.SaveColony) (wire.ColonyWhole, error) {
	c, err := d.readColony(in)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	was, err := d.op.Colony(ctx, id)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	c.ID = id
	if c.Queen == "" || c.Queen == was.Queen {
		c.Queen, c.QueenOn = was.Queen, was.QueenOn
	}
	err = again(ctx, d.op.ChangeColony(ctx, c, d.changes(was, c)...), d.op.Colony, id, sameColony(c))
	return after(ctx, named(err), d.Colony, id)
}

// changes are what happens to the bees when a colony is changed: a box taken or given,
// another queen. What hangs in a box may change.
func (d Desk) changes(was, is store.Colony) []store.Event {
	var out []store.Event
	kinds := func(c store.Colony) string {
		return strings.Join(lo.Map(c.Boxes, func(b store.ColonyBox, _ int) string { return b.Kind }), " + ")
	}
	if before, after := kinds(was), kinds(is); before != after {
		out = append(out, d.event(is.ID, string(fit.Restacked), "", before+" → "+after, d.today()))
	}
	if was.Queen != "" && is.Queen != was.Queen {
		out = append(out, d.event(is.ID, string(fit.Requeened), "", was.Queen+" → "+is.Queen, d.today()))
	}
	return out
}

// happenings are the kinds of what a keeper records of the bees as a whole.
var happenings = []string{
	string(fit.Swarmed), fit.QueenCaged, fit.QueenRemoved, fit.CellGiven, fit.QueenReleased, fit.LayingAgain,
}

// colonyOn reads a colony, and the day on which something happens to it: today where it
// is not said. Nothing is read where there are faults already.
func (d Desk) colonyOn(ctx context.Context, id, on string, l fault.List) (store.Colony, calendar.Day, error) {
	day := readDay("on", on, d.today(), d.today(), &l)
	if err := l.Err(); err != nil {
		return store.Colony{}, day, err
	}
	row, err := d.op.Colony(ctx, id)
	return row, day, err
}

// Happened records what happened to the bees of a living colony.
func (d Desk) Happened(ctx context.Context, id string, in wire.HappenColony) (wire.ColonyWhole, error) {
	var l fault.List
	if !slices.Contains(happenings, in.Kind) {
		l.Add("kind", fault.Unknown)
	}
	row, day, err := d.colonyOn(ctx, id, in.On, l)
	if err == nil && row.EndedOn != nil {
		err = fault.List{{Field: "kind", Reason: fault.NotFitting}}
	}
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	return after(ctx, d.op.HappenedOnce(ctx, d.event(id, in.Kind, "", "", day)), d.Colony, id)
}

// Colony reads one with its history.
func (d Desk) Colony(ctx context.Context, id string) (wire.ColonyWhole, error) {
	r := reading{ctx: ctx}
	row := by(&r, d.op.Colony, id)
	yard := by(&r, d.op.Yard, row.YardID)
	boards := by(&r, d.op.LastSeams, []string{id})
	inspections, counts := by(&r, d.op.InspectionsOf, id), by(&r, d.op.CountsOf, id)
	thresholds := all(&r, d.thresholds)
	h := d.historyOf(&r, ever(id))
	if r.err != nil {
		return wire.ColonyWhole{}, r.err
	}
	out := wire.ColonyWhole{
		YardName:    yard.Name,
		Inspections: []wire.Inspection{}, Counts: []wire.MiteCount{}, Treatments: []wire.Treatment{}, Events: []wire.ColonyEvent{},
	}
	k := begin(row, h)
	for _, i := range slices.Backward(inspections) {
		out.Inspections = append(out.Inspections, inspectionOf(i))
	}
	doubled := treatment.DoubleDoses(k.bees.Treatments)
	for _, t := range slices.Backward(k.bees.Treatments) {
		told := treatmentOf(t, d.today())
		told.Twice = doubled[t.ID]
		out.Treatments = append(out.Treatments, told)
	}
	for _, c := range counts {
		if c.VoidedAt == nil {
			k.counted(c, yard.Latitude, thresholds)
		}
		out.Counts = append(out.Counts, countOf(c, yard.Latitude, thresholds))
	}
	for _, e := range slices.Backward(h.events[id]) {
		out.Events = append(out.Events, eventOf(e))
	}
	need, _ := fit.Needs([]fit.Counted{k.counts()}, d.today())
	out.ColonyRecord = k.record(need[0], wire.BoardOf(boards[id]), d.today())
	return out, nil
}

func eventOf(e store.Event) wire.ColonyEvent {
	return wire.ColonyEvent{Kind: e.Kind, On: e.HappenedOn.Format(dateForm), Detail: e.Detail, OtherID: lo.FromPtr(e.OtherID)}
}

// event is something that happens to a colony on a day.
func (d Desk) event(colony, kind, other, detail string, on calendar.Day) store.Event {
	return store.Event{
		ID: uuid.NewString(), ColonyID: colony, Kind: kind, OtherID: lo.EmptyableToPtr(other), HappenedOn: timeOf(on), Detail: detail,
		UserID: d.who.User, CreatedAt: d.stamp(),
	}
}

// Move brings a colony to another yard; its treatments stay with it.
func (d Desk) Move(ctx context.Context, id string, in wire.Move) (wire.ColonyWhole, error) {
	row, day, err := d.colonyOn(ctx, id, in.On, nil)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	from, err := d.op.Yard(ctx, row.YardID)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	to, err := d.op.Yard(ctx, in.YardID)
	if err != nil {
		return wire.ColonyWhole{}, unknown("yard_id", err)
	}
	err = d.op.Move(ctx, id, to.ID, in.Version, d.event(id, "moved", "", from.Name+" → "+to.Name, day))
	err = again(ctx, err, d.op.Colony, id, func(is store.Colony) bool { return is.YardID == to.ID })
	return after(ctx, named(err), d.Colony, id)
}

// Split takes a new colony off another and gives it.
func (d Desk) Split(ctx context.Context, parent string, in wire.Split) (wire.ColonyWhole, error) {
	from, day, err := d.colonyOn(ctx, parent, in.On, nil)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	if in.Child.YardID == "" {
		in.Child.YardID = from.YardID
	}
	child, err := d.readColony(in.Child)
	if err != nil {
		return wire.ColonyWhole{}, wire.Beneath("child.", err)
	}
	child.ID, child.StartedOn = newID(in.Child.ID), timeOf(day)
	err = d.op.Stand(ctx, &child,
		d.event(parent, "split", child.ID, child.Name, day), d.event(child.ID, "split_off", parent, from.Name, day))
	err = again(ctx, err, d.op.Colony, child.ID, sameColony(child))
	return after(ctx, wire.Beneath("child.", named(unknown("yard_id", err))), d.Colony, child.ID)
}

// End closes a colony; united with another, that one carries its treatments.
func (d Desk) End(ctx context.Context, id string, in wire.End) (wire.ColonyWhole, error) {
	var l fault.List
	reason := strings.TrimSpace(in.Reason)
	if reason == "" && in.Into == "" {
		l.Add("reason", fault.Missing)
	}
	row, day, err := d.colonyOn(ctx, id, in.On, l)
	if err != nil {
		return wire.ColonyWhole{}, err
	}
	events := []store.Event{d.event(id, "ended", "", reason, day)}
	if in.Into != "" {
		other, err := d.op.Colony(ctx, in.Into)
		if err == nil && (other.ID == id || other.EndedOn != nil) {
			err = store.ErrNotFound
		}
		if err != nil {
			return wire.ColonyWhole{}, unknown("into", err)
		}
		events = []store.Event{d.event(id, "united", other.ID, other.Name, day), d.event(other.ID, "joined", id, row.Name, day)}
	}
	err = again(ctx, d.op.End(ctx, id, in.Version, timeOf(day), reason, events...), d.op.Colony, id, func(is store.Colony) bool {
		return is.EndedOn != nil && dayOf(*is.EndedOn) == day && is.EndReason == reason
	})
	return after(ctx, err, d.Colony, id)
}
