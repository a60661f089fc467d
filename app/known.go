package app

import (
	"context"
	"time"

	"keeler/core/calendar"
	"keeler/core/hive"
	"keeler/core/mites"
	"keeler/core/season"
	"keeler/store"
	"keeler/wire"
)

// memory is how many days back looks and treatments are read; what is older
// decides nothing any more.
const memory = 400

// known is a colony with all that bears on a decision about it.
type known struct {
	row    store.Colony
	season season.Colony
	count  *wire.Standing
	stands season.Counted
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
	looks, err := d.op.Inspections(ctx, "", since, false)
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
	lines, err := d.lines(ctx)
	if err != nil {
		return nil, err
	}
	out := make([]known, len(rows))
	at := make(map[string]int, len(rows))
	for i, r := range rows {
		out[i] = begin(r)
		at[r.ID] = i
	}
	for _, l := range looks {
		if i, here := at[l.ColonyID]; here {
			out[i].looked(l)
		}
	}
	for _, t := range treatments {
		if i, here := at[t.ColonyID]; here {
			out[i].treated(t, d.today())
		}
	}
	for _, c := range counts {
		if i, here := at[c.ColonyID]; here {
			out[i].counted(c, latitudes[out[i].row.YardID], lines)
		}
	}
	return out, nil
}

func begin(r store.Colony) known {
	k := known{row: r, stands: season.Counted{Standing: mites.Uncounted}}
	k.season = season.Colony{Name: r.Name, Nuc: r.Nuc, ForHoney: r.ForHoney, Boxes: len(r.Boxes)}
	if r.QueenOn != nil && r.Queen != "" {
		k.season.Queen = season.At(season.Queen(r.Queen), dayOf(*r.QueenOn))
	}
	return k
}

// looked takes what a look saw; looks come in order, so the newest stays.
func (k *known) looked(l store.Inspection) {
	on := dayOf(l.LookedOn)
	if l.Quarters != nil {
		k.season.Quarters = season.At(*l.Quarters, on)
	}
	if l.Brood != "" {
		k.season.Brood = season.At(season.Brood(l.Brood), on)
	}
	if l.Stores != "" {
		k.season.Stores = season.At(season.Stores(l.Stores), on)
	}
	if l.Supers != nil {
		k.season.Supers = season.At(*l.Supers, on)
	}
	if l.Queen != "" && on >= k.season.Queen.On {
		k.season.Queen = season.At(season.Queen(l.Queen), on)
	}
}

func (k *known) treated(t store.Treatment, today calendar.Day) {
	given := season.Treatment{Method: season.Method(t.Method), Given: dayOf(t.GivenOn), Carried: t.CarriedFrom != nil}
	if t.OutOn != nil {
		given.Out = dayOf(*t.OutOn)
	}
	k.season.Treatments = append(k.season.Treatments, given)
	if given.In(today) {
		k.in = append(k.in, t)
	}
}

func (k *known) counted(c store.MiteCount, latitude float64, lines mites.Lines) {
	s := standing(c, latitude, lines)
	k.count = &s
	k.stands = season.Counted{Standing: mites.Standing(s.Stands), On: dayOf(c.CountedOn)}
}

// standing holds a count against the line of its season.
func standing(c store.MiteCount, latitude float64, lines mites.Lines) wire.Standing {
	on := dayOf(c.CountedOn)
	count := mites.Count{Kind: mites.Kind(c.Kind), Mites: c.Mites, Days: c.Days, Bees: c.Bees, On: on}
	line := lines[on.Season(latitude)]
	r, limit := count.Rate(), line.Of(count.Kind)
	out := wire.Standing{
		Kind: c.Kind, Mites: c.Mites, Rate: r.Value, Low: r.Low, High: r.High, Line: limit,
		Stands: string(r.Stand(limit)), On: written(on),
	}
	if out.Stands == string(mites.CannotTell) {
		out.Enough = line.Enough(count.Kind)
	}
	return out
}

// needs tells what the colonies of one yard need.
func needs(yard []known, on calendar.Day) ([]season.Need, int) {
	stands := make([]season.Counted, len(yard))
	for i, k := range yard {
		stands[i] = k.stands
	}
	return season.Needs(stands, on)
}

// record is a colony as it is told.
func (k known) record(need season.Need, board [][]float64) wire.ColonyRecord {
	r := k.row
	out := wire.ColonyRecord{
		ID: r.ID, YardID: r.YardID, Name: r.Name, Nuc: r.Nuc, ForHoney: r.ForHoney, Notes: r.Notes,
		Version: r.Version, StartedOn: r.StartedOn.Format(dateForm), EndedOn: optionalDay(r.EndedOn), EndReason: r.EndReason,
		Boxes: boxesOf(r), Seen: seenOf(k.season, board), Count: k.count, Need: string(need),
	}
	for _, t := range k.in {
		out.In = append(out.In, treatmentOf(t))
	}
	return out
}

func seenOf(c season.Colony, board [][]float64) wire.Seen {
	s := wire.Seen{
		Board: board,
		Brood: string(c.Brood.What), BroodOn: on(c.Brood), Stores: string(c.Stores.What), StoresOn: on(c.Stores),
		SupersOn: on(c.Supers), SeamsOn: on(c.Quarters), Queen: string(c.Queen.What), QueenOn: on(c.Queen),
	}
	if c.Supers.Seen {
		s.Supers = &c.Supers.What
	}
	s.Seams = seamsOf(c)
	return s
}

func seamsOf(c season.Colony) *float64 {
	if !c.Quarters.Seen {
		return nil
	}
	full := float64(c.Quarters.What) / float64(hive.Full)
	return &full
}

func on[T any](l season.Look[T]) string {
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

func treatmentOf(t store.Treatment) wire.Treatment {
	return wire.Treatment{
		ID: t.ID, Method: t.Method, What: t.What, GivenOn: t.GivenOn.Format(dateForm),
		OutOn: optionalDay(t.OutOn), Carried: t.CarriedFrom != nil,
	}
}

// dayPointer is midnight of a day, for what may be missing.
func dayPointer(d calendar.Day) *time.Time { t := timeOf(d); return &t }
