package app

import (
	"context"
	"slices"
	"time"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/followup"
	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// memory is how many days back inspections and applications are read; what is older
// decides nothing any more.
const memory = 400

// history is what was seen of colonies, what happened to them and what they were given,
// by their ids.
type history struct {
	seen   map[string][]fit.Inspection
	events map[string][]store.Event
	given  treatment.Book
	lines  map[string][]followup.Line // what was done at a hive besides a dose
}

// history reads what decides of all colonies, in a fixed number of statements.
func (d Desk) history(ctx context.Context) (history, error) {
	return d.historySince(ctx, timeOf(d.today()-memory))
}

// historySince is history since a time.
func (d Desk) historySince(ctx context.Context, since time.Time) (history, error) {
	r := reading{ctx: ctx}
	h := remembered(by(&r, d.op.InspectionsSince, since), by(&r, d.op.EventsSince, since))
	if r.err != nil {
		return h, r.err
	}
	return h, d.op.GivenSince(ctx, since, h.add)
}

// historyOf is history for some colonies since a time, with those whose bees they hold.
func (d Desk) historyOf(r *reading, colonies []string, since time.Time) history {
	those, events := d.among(r, colonies, since)
	return d.withGiven(r, remembered(by(r, d.op.InspectionsAmong, those), events), those)
}

// givenTo is the part of history that tells what is in a hive: what they were given.
func (d Desk) givenTo(r *reading, colonies []string) treatment.Book {
	those, events := d.among(r, colonies, timeOf(d.today()-memory))
	return d.withGiven(r, remembered(nil, events), those).given
}

// withGiven adds to what is known of some colonies what they were given.
func (d Desk) withGiven(r *reading, h history, those store.Among) history {
	if r.err == nil {
		r.err = d.op.GivenTo(r.ctx, those, h.add)
	}
	return h
}

// among are some colonies with those whose bees they hold, and what happened to them all.
func (d Desk) among(r *reading, colonies []string, since time.Time) (store.Among, []store.Event) {
	var events []store.Event
	those := slices.Clone(colonies)
	for fresh := those; len(fresh) > 0; {
		found := by(r, d.op.EventsAmong, store.Among{Colonies: fresh, Since: since})
		events, fresh = append(events, found...), nil
		for _, e := range found {
			if e.OtherID != nil && camefrom(e.Kind) && !slices.Contains(those, *e.OtherID) {
				those, fresh = append(those, *e.OtherID), append(fresh, *e.OtherID)
			}
		}
	}
	return store.Among{Colonies: those, Since: since}, events
}

// Kinds of events by which bees come from another colony.
const (
	splitOff = "split_off"
	joined   = string(fit.United)
)

func camefrom(kind string) bool { return kind == splitOff || kind == joined }

// remembered is history without what was given.
func remembered(inspections []store.Inspection, events []store.Event) history {
	h := history{
		map[string][]fit.Inspection{}, map[string][]store.Event{},
		treatment.Book{Applications: map[string][]treatment.Application{}, Moves: map[string][]treatment.Move{}},
		map[string][]followup.Line{},
	}
	for _, i := range inspections {
		h.seen[i.ColonyID] = append(h.seen[i.ColonyID], seenBy(i))
	}
	for _, e := range events {
		h.events[e.ColonyID] = append(h.events[e.ColonyID], e)
		if e.OtherID != nil && camefrom(e.Kind) {
			h.given.Moves[e.ColonyID] = append(h.given.Moves[e.ColonyID], treatment.Move{From: *e.OtherID, On: dayOf(e.HappenedOn), Alone: e.Kind == splitOff})
		}
	}
	return h
}

// add takes in a line of the register, which must come in the order in which they were written.
func (h history) add(a store.Application) {
	if a.Board {
		h.lines[a.ColonyID] = append(h.lines[a.ColonyID], followup.Line{Act: treatment.Board, On: dayOf(a.VisitDay)})
	}
	if a.Eggs != nil {
		h.seen[a.ColonyID] = append(h.seen[a.ColonyID], fit.Inspection{On: dayOf(a.VisitDay), Order: a.CreatedAt.UnixMicro(), Eggs: a.Eggs})
	}
	if kind := treatment.Kind(a.Kind); kind != treatment.Given && kind != treatment.Other && kind != treatment.Out {
		if kind != treatment.Board {
			h.lines[a.ColonyID] = append(h.lines[a.ColonyID], followup.Line{Act: kind, On: dayOf(a.VisitDay)})
		}
		return
	}
	h.given.Applications[a.ColonyID] = append(h.given.Applications[a.ColonyID], treatment.Application{
		ID: a.ID, Job: lo.FromPtr(a.JobID), Kind: treatment.Kind(a.Kind), Method: method.Name(a.Method), Product: a.Product, Amount: a.Amount,
		On: dayOf(a.VisitDay), Ends: lo.FromPtr(a.EndsID), DaysLow: a.DaysLow, DaysHigh: a.DaysHigh,
		Extra: a.Extra, Swaps: a.Swaps, Withdrawal: a.WithdrawalDays,
	})
}

// deepest is how many unions of unions are followed back.
const deepest = 3

// colony is what is known of a colony's bees; of those that it was united with, too.
func (h history) colony(id string) fit.Colony {
	c := h.bees(id, 0)
	c.Treatments = h.given.Of(id)
	return c
}

func (h history) bees(id string, depth int) fit.Colony {
	events := make([]fit.Event, len(h.events[id]))
	for i, e := range h.events[id] {
		events[i] = fit.Event{Kind: e.Kind, On: dayOf(e.HappenedOn), Order: e.CreatedAt.UnixMicro()}
		if e.Kind == joined && e.OtherID != nil && depth < deepest {
			events[i].Other = h.bees(*e.OtherID, depth+1)
		}
	}
	return fit.Colony{}.Remember(h.seen[id], events)
}

func seenBy(i store.Inspection) fit.Inspection {
	return fit.Inspection{
		On: dayOf(i.SeenOn), Order: i.CreatedAt.UnixMicro(), Quarters: i.Quarters, Brood: fit.Brood(i.Brood), Eggs: i.Eggs, Larvae: i.Larvae,
		Stores: fit.Stores(i.Stores), Supers: i.Supers, Queen: fit.Queen(i.Queen),
	}
}

// treatmentOf is a treatment as it is told.
func treatmentOf(t treatment.Treatment, today calendar.Day) wire.Treatment {
	out := wire.Treatment{ID: t.ID, Method: string(t.Method), What: t.Product, GivenOn: written(t.Given), Carried: t.Carried}
	if t.Out != 0 {
		out.OutOn = written(t.Out)
	}
	if from, by, stays := t.Due(); stays && t.Out == 0 {
		out.DueFrom, out.DueBy, out.Overdue = written(from), written(by), max(0, int(today-by))
	}
	return out
}
