package app

import (
	"slices"
	"time"

	"keeler/core/calendar"
	"keeler/core/chem"
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

// remembering is what decides of some colonies: nothing that is older does.
func (d Desk) remembering(colonies []string) store.Among {
	return store.Among{Colonies: colonies, Since: timeOf(d.today() - memory)}
}

// everything is the same of all colonies.
func (d Desk) everything() store.Among {
	return store.Among{All: true, Since: timeOf(d.today() - memory)}
}

// ever is all that there is of a colony.
func ever(colony string) store.Among {
	return store.Among{Colonies: []string{colony}, Since: timeOf(0)}
}

// history is what was seen of colonies, what happened to them and what they were given,
// by their ids.
type history struct {
	zone   *time.Location // of the operation: it tells on which day a dose was given
	seen   map[string][]fit.Inspection
	events map[string][]store.Event
	given  treatment.Book
	lines  map[string][]followup.Line // what was done at a hive besides a dose
}

// historyOf reads what decides of some colonies, with those whose bees they hold, in a fixed
// number of statements for each time that bees came from others.
func (d Desk) historyOf(r *reading, of store.Among) history {
	those, events := d.among(r, of)
	return d.withGiven(r, d.remembered(by(r, d.op.Inspections, those), events), those)
}

// givenTo is the part of history that tells what is in a hive: what they were given.
func (d Desk) givenTo(r *reading, colonies []string) treatment.Book {
	those, events := d.among(r, d.remembering(colonies))
	return d.withGiven(r, d.remembered(nil, events), those).given
}

// withGiven adds to what is known of some colonies what they were given.
func (d Desk) withGiven(r *reading, h history, those store.Among) history {
	if r.err == nil {
		r.err = d.op.GivenTo(r.ctx, those, h.add)
	}
	return h
}

// among are some colonies with those whose bees they hold, and what happened to them all.
func (d Desk) among(r *reading, of store.Among) (store.Among, []store.Event) {
	if of.All {
		return of, by(r, d.op.Events, of)
	}
	var events []store.Event
	those := slices.Clone(of.Colonies)
	known := lo.Keyify(those)
	for fresh := those; len(fresh) > 0; {
		found := by(r, d.op.Events, store.Among{Colonies: fresh, Since: of.Since})
		events, fresh = append(events, found...), nil
		for _, e := range found {
			if e.OtherID == nil || !camefrom(e.Kind) {
				continue
			}
			if _, has := known[*e.OtherID]; !has {
				known[*e.OtherID] = struct{}{}
				those, fresh = append(those, *e.OtherID), append(fresh, *e.OtherID)
			}
		}
	}
	return store.Among{Colonies: those, Since: of.Since}, events
}

// Kinds of events by which bees come from another colony.
const (
	splitOff = "split_off"
	joined   = string(fit.United)
)

func camefrom(kind string) bool { return kind == splitOff || kind == joined }

// remembered is history without what was given.
func (d Desk) remembered(inspections []store.Inspection, events []store.Event) history {
	h := history{
		d.who.Zone, map[string][]fit.Inspection{}, map[string][]store.Event{},
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

// add takes in a line of the register, which must come in the order in which they happened.
func (h history) add(a store.Application) {
	on := calendar.On(a.GivenAt.In(h.zone))
	if a.Board {
		h.lines[a.ColonyID] = append(h.lines[a.ColonyID], followup.Line{Act: treatment.Board, On: on})
	}
	if a.Eggs != nil {
		h.seen[a.ColonyID] = append(h.seen[a.ColonyID], fit.Inspection{On: on, Order: a.CreatedAt.UnixMicro(), Eggs: a.Eggs})
	}
	if kind := treatment.Kind(a.Kind); kind != treatment.Given && kind != treatment.Other && kind != treatment.Out {
		if kind != treatment.Board {
			h.lines[a.ColonyID] = append(h.lines[a.ColonyID], followup.Line{Act: kind, On: on})
		}
		return
	}
	h.given.Applications[a.ColonyID] = append(h.given.Applications[a.ColonyID], treatment.Application{
		ID: a.ID, Job: lo.FromPtr(a.JobID), Kind: treatment.Kind(a.Kind), Method: method.Name(a.Method), Product: a.Product, Amount: a.Amount, Meant: a.Asked,
		On: on, Ends: lo.FromPtr(a.EndsID), DaysLow: a.DaysLow, DaysHigh: a.DaysHigh,
		Pieces: a.PiecesOut, InPieces: a.Unit == "pieces", Extra: a.Extra, Swaps: a.Swaps, Withdrawal: lo.FromPtr(a.WithdrawalDays), Card: lo.FromPtr(a.CardID),
		Doubted: a.BatchDoubted, OAD: chem.Milligrams(a.OADMG), Formic: chem.Milligrams(a.FormicMG),
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
