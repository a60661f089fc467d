package app

import (
	"time"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/hive"
	"keeler/core/mites"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// situation is a colony with all that bears on a decision about it.
type situation struct {
	row    store.Colony
	bees   fit.Colony
	count  *wire.Standing
	stands fit.Counted
	board  calendar.Day // since when a clean board lies under it; 0: nobody said
	// countSum is a sum over all that was counted, see store.CountSums.
	countSum uint64
	// foretold: the forecast of its mites in bees is of all that is known.
	foretold bool
}

// situations tells of living colonies, in a fixed number of statements. those are the same
// colonies; latitudes is by yard.
func (d Desk) situations(r *reading, rows []store.Colony, those store.Among, latitudes map[string]float64) []situation {
	h, counts, thresholds := d.historyOf(r, those), by(r, d.op.LastCounts, those), all(r, d.thresholds)
	sums := by(r, d.op.CountSums, those)
	out := make([]situation, len(rows))
	at := make(map[string]int, len(rows))
	for i, row := range rows {
		out[i] = begin(row, h)
		at[row.ID] = i
	}
	for _, c := range counts {
		if i, here := at[c.ColonyID]; here {
			out[i].counted(c, latitudes[out[i].row.YardID], thresholds)
		}
	}
	for i := range out {
		out[i].countSum = sums[out[i].row.ID]
		out[i].foretold = d.foretell(&out[i])
	}
	return out
}

func begin(r store.Colony, h history) situation {
	k := situation{row: r, bees: h.colony(r.ID), stands: fit.Counted{Standing: mites.Uncounted}}
	for _, l := range h.lines[r.ID] {
		if l.Act == treatment.Board {
			k.board = max(k.board, l.On)
		}
	}
	c := &k.bees
	c.Name, c.Nuc, c.ForHoney, c.Boxes = r.Name, r.Nuc, r.ForHoney, len(r.Boxes)
	if r.QueenOn != nil && r.Queen != "" && dayOf(*r.QueenOn) > c.Queen.On {
		c.Queen = fit.At(fit.Queen(r.Queen), dayOf(*r.QueenOn))
	}
	return k
}

func (k *situation) counted(c store.MiteCount, latitude float64, thresholds mites.Thresholds) {
	s, count := standing(c, latitude, thresholds), mitesOf(c)
	k.count, k.stands = &s, countedOf(count, latitude, thresholds)
	if count.Kind == mites.Board {
		k.board = max(k.board, count.On) // it was read, and lies there clean
	}
}

// countedOf is how a count stands, and what bears on how it ages.
func countedOf(c mites.Count, latitude float64, thresholds mites.Thresholds) fit.Counted {
	s := standingOf(c, latitude, thresholds)
	out := fit.Counted{Standing: s.Stands, On: c.On, Value: s.Value, High: s.High, Threshold: s.Threshold, Latitude: latitude}
	if c.Kind == mites.Board {
		out.Board = c.Began()
	}
	return out
}

// standing holds a count against the threshold of its season.
func standing(c store.MiteCount, latitude float64, thresholds mites.Thresholds) wire.Standing {
	return standingOf(mitesOf(c), latitude, thresholds)
}

func standingOf(c mites.Count, latitude float64, thresholds mites.Thresholds) wire.Standing {
	return wire.Standing{
		Kind: string(c.Kind), Mites: c.Mites, Rate: c.Rate(), Stood: thresholds.Stand(c, latitude), On: written(c.On),
	}
}

// needs tells what the colonies of one yard need.
func needs(yard []situation, on calendar.Day) ([]fit.Need, int) {
	return fit.Needs(lo.Map(yard, func(k situation, _ int) fit.Counted { return k.counts() }), on)
}

// counts is how the colony's count stands, with what bears on how it ages.
func (k *situation) counts() fit.Counted {
	out := k.stands
	out.Colony = &k.bees
	return out
}

// record is a colony as it is told.
func (k situation) record(need fit.Need, board [][]float64, today calendar.Day) wire.ColonyRecord {
	r := k.row
	out := wire.ColonyRecord{
		ID: r.ID, YardID: r.YardID, Name: r.Name, Nuc: r.Nuc, ForHoney: r.ForHoney, Notes: r.Notes,
		Version: r.Version, StartedOn: r.StartedOn.Format(dateForm), EndedOn: optionalDay(r.EndedOn), EndReason: r.EndReason,
		BoardOn: knownDay(k.board),
		Boxes:   boxesOf(r), Seen: seenOf(k.bees, board), Count: k.count, Need: string(need),
	}
	for _, t := range k.bees.Treatments {
		if t.In(today) && t.Method.Stays() {
			out.In = append(out.In, treatmentOf(t, today))
		}
	}
	if h, held := treatment.Held(k.bees.Treatments, today); held {
		out.Honey = &wire.HoneyHeld{Until: knownDay(h.Until), Words: words.HoneyHeld(h)}
	}
	if c := k.bees.Changed; c.Seen {
		out.Changed, out.ChangedOn = string(c.What), written(c.On)
	}
	out.Break = breakOf(k.bees.Break, today)
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
	return lo.Map(c.Boxes, func(b store.ColonyBox, _ int) wire.HiveBox {
		return wire.HiveBox{Kind: b.Kind, Slots: wire.SlotsOf(b.Slots)}
	})
}

// dayPointer is midnight of a day, for what may be missing.
func dayPointer(d calendar.Day) *time.Time { t := timeOf(d); return &t }
