package app

import (
	"context"
	"time"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/hive"
	"keeler/core/mites"
	"keeler/store"
	"keeler/wire"
)

// memory is how many days back looks and treatments are read; what is older
// decides nothing any more.
const memory = 400

// known is a colony with all that bears on a decision about it.
type known struct {
	row    store.Colony
	season fit.Colony
	count  *wire.Standing
	stands fit.Counted
	in     []store.Treatment
}

// known reads the living colonies of a yard, or with an empty id of all, in a
// fixed number of statements. latitudes is by yard.
func (d Desk) known(ctx context.Context, yard string, latitudes map[string]float64) ([]known, error) {
	rows, err := d.op.Colonies(ctx, yard)
	if err != nil {
		return nil, err
	}
	since := timeOf(d.today() - memory)
	past, err := d.past(ctx, since)
	if err != nil {
		return nil, err
	}
	treatments, err := d.op.Treatments(ctx, "", since)
	if err != nil {
		return nil, err
	}
	counts, err := d.op.LastCounts(ctx)
	if err != nil {
		return nil, err
	}
	thresholds, err := d.thresholds(ctx)
	if err != nil {
		return nil, err
	}
	out := make([]known, len(rows))
	at := make(map[string]int, len(rows))
	for i, r := range rows {
		out[i] = begin(r, past.of(r.ID, 0))
		at[r.ID] = i
	}
	for _, t := range treatments {
		if i, here := at[t.ColonyID]; here {
			out[i].treated(t, d.today())
		}
	}
	for _, c := range counts {
		if i, here := at[c.ColonyID]; here {
			out[i].counted(c, latitudes[out[i].row.YardID], thresholds)
		}
	}
	return out, nil
}

// past is what was seen of colonies and what happened to them, by their ids.
type past struct {
	seen     map[string][]fit.Inspection
	happened map[string][]store.Event
}

func (d Desk) past(ctx context.Context, since time.Time) (past, error) {
	p := past{map[string][]fit.Inspection{}, map[string][]store.Event{}}
	looks, err := d.op.Inspections(ctx, "", since, false)
	if err != nil {
		return p, err
	}
	for _, l := range looks {
		p.seen[l.ColonyID] = append(p.seen[l.ColonyID], seenBy(l))
	}
	events, err := d.op.EventsSince(ctx, since)
	for _, e := range events {
		p.happened[e.ColonyID] = append(p.happened[e.ColonyID], e)
	}
	return p, err
}

// deepest is how many unions of unions are followed back.
const deepest = 3

// of is what is known of a colony's bees; of those that it was united with, too.
func (p past) of(id string, depth int) fit.Colony {
	events := p.happened[id]
	happened := make([]fit.Event, len(events))
	for i, e := range events {
		happened[i] = fit.Event{Kind: e.Kind, On: dayOf(e.HappenedOn), Order: e.CreatedAt.UnixMicro()}
		if e.Kind == string(fit.United) && e.OtherID != nil && depth < deepest {
			happened[i].Other = p.of(*e.OtherID, depth+1)
		}
	}
	return fit.Colony{}.Remember(p.seen[id], happened)
}

func seenBy(l store.Inspection) fit.Inspection {
	return fit.Inspection{
		On: dayOf(l.SeenOn), Order: l.CreatedAt.UnixMicro(), Quarters: l.Quarters, Brood: fit.Brood(l.Brood), Eggs: l.Eggs, Larvae: l.Larvae,
		Stores: fit.Stores(l.Stores), Supers: l.Supers, Queen: fit.Queen(l.Queen),
	}
}

func begin(r store.Colony, seen fit.Colony) known {
	k := known{row: r, season: seen, stands: fit.Counted{Standing: mites.Uncounted}}
	c := &k.season
	c.Name, c.Nuc, c.ForHoney, c.Boxes = r.Name, r.Nuc, r.ForHoney, len(r.Boxes)
	if r.QueenOn != nil && r.Queen != "" && dayOf(*r.QueenOn) > c.Queen.On {
		c.Queen = fit.At(fit.Queen(r.Queen), dayOf(*r.QueenOn))
	}
	return k
}

func (k *known) treated(t store.Treatment, today calendar.Day) {
	given := givenOf(t)
	k.season.Treatments = append(k.season.Treatments, given)
	if given.In(today) {
		k.in = append(k.in, t)
	}
}

func givenOf(t store.Treatment) fit.Treatment {
	out := fit.Treatment{
		Method: fit.Method(t.Method), Given: dayOf(t.GivenOn), Carried: t.CarriedFrom != nil, DaysLow: t.DaysLow, DaysHigh: t.DaysHigh,
	}
	if t.OutOn != nil {
		out.Out = dayOf(*t.OutOn)
	}
	return out
}

func (k *known) counted(c store.MiteCount, latitude float64, thresholds mites.Thresholds) {
	s := standing(c, latitude, thresholds)
	k.count = &s
	k.stands = fit.Counted{
		Standing: mites.Standing(s.Stands), On: dayOf(c.CountedOn), Value: s.Rate, High: s.High, Threshold: s.Threshold,
		Latitude: latitude,
	}
}

// standing holds a count against the threshold of its season.
func standing(c store.MiteCount, latitude float64, thresholds mites.Thresholds) wire.Standing {
	count := mites.Count{Kind: mites.Kind(c.Kind), Mites: c.Mites, Days: c.Days, Bees: c.Bees, On: dayOf(c.CountedOn)}
	r, stood := count.Rate(), thresholds.Stand(count, latitude)
	return wire.Standing{
		Kind: c.Kind, Mites: c.Mites, Rate: r.Value, Low: r.Low, High: r.High, Threshold: stood.Threshold, Stands: string(stood.Standing),
		Straddles: stood.Straddles, Enough: stood.Enough, On: written(count.On),
	}
}

// needs tells what the colonies of one yard need.
func needs(yard []known, on calendar.Day) ([]fit.Need, int) {
	stands := make([]fit.Counted, len(yard))
	for i := range yard {
		stands[i] = yard[i].counts()
	}
	return fit.Needs(stands, on)
}

// counts is how the colony's count stands, with what bears on how it ages.
func (k *known) counts() fit.Counted {
	out := k.stands
	out.Colony = &k.season
	return out
}

// record is a colony as it is told.
func (k known) record(need fit.Need, board [][]float64, today calendar.Day) wire.ColonyRecord {
	r := k.row
	out := wire.ColonyRecord{
		ID: r.ID, YardID: r.YardID, Name: r.Name, Nuc: r.Nuc, ForHoney: r.ForHoney, Notes: r.Notes,
		Version: r.Version, StartedOn: r.StartedOn.Format(dateForm), EndedOn: optionalDay(r.EndedOn), EndReason: r.EndReason,
		Boxes: boxesOf(r), Seen: seenOf(k.season, board), Count: k.count, Need: string(need),
	}
	for _, t := range k.in {
		out.In = append(out.In, treatmentOf(t, today))
	}
	if c := k.season.Changed; c.Seen {
		out.Changed, out.ChangedOn = string(c.What), written(c.On)
	}
	out.Break = breakOf(k.season.Break, today)
	return out
}

// breakOf tells of a brood break while it lasts.
func breakOf(b fit.Break, today calendar.Day) *wire.BroodBreak {
	from, to, open, ok := b.Window()
	if !ok || !open && today > to {
		return nil
	}
	out := &wire.BroodBreak{StoppedOn: written(b.Stopped), From: written(from)}
	if !open {
		out.ResumedOn, out.To = written(b.Resumed), written(to)
	}
	return out
}

func seenOf(c fit.Colony, board [][]float64) wire.Seen {
	s := wire.Seen{
		Board: board,
		Brood: string(c.Brood.What), BroodOn: on(c.Brood), Stores: string(c.Stores.What), StoresOn: on(c.Stores),
		SupersOn: on(c.Supers), SeamsOn: on(c.Quarters), Queen: string(c.Queen.What), QueenOn: on(c.Queen),
	}
	if c.Supers.Seen {
		s.Supers = &c.Supers.What
	}
	if c.Eggs.Seen && c.Eggs.On == c.Brood.On {
		s.Eggs = &c.Eggs.What
	}
	if c.Larvae.Seen && c.Larvae.On == c.Brood.On {
		s.Larvae = &c.Larvae.What
	}
	s.Seams = seamsOf(c)
	return s
}

func seamsOf(c fit.Colony) *float64 {
	if !c.Quarters.Seen {
		return nil
	}
	full := float64(c.Quarters.What) / float64(hive.Full)
	return &full
}

func on[T any](l fit.Observed[T]) string {
	if !l.Seen {
		return ""
	}
	return written(l.On)
}

func boxesOf(c store.Colony) []wire.HiveBox {
	out := make([]wire.HiveBox, len(c.Boxes))
	for i, b := range c.Boxes {
		out[i] = wire.HiveBox{Kind: b.Kind, Slots: wire.SlotsOf(b.Slots)}
	}
	return out
}

func treatmentOf(t store.Treatment, today calendar.Day) wire.Treatment {
	out := wire.Treatment{
		ID: t.ID, Method: t.Method, What: t.What, GivenOn: t.GivenOn.Format(dateForm),
		OutOn: optionalDay(t.OutOn), Carried: t.CarriedFrom != nil,
	}
	if from, by, stays := givenOf(t).Due(); stays && t.OutOn == nil {
		out.DueFrom, out.DueBy, out.Overdue = written(from), written(by), max(0, int(today-by))
	}
	return out
}

// dayPointer is midnight of a day, for what may be missing.
func dayPointer(d calendar.Day) *time.Time { t := timeOf(d); return &t }
