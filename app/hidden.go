package app

import (
	"context"
	"strings"

	"keeler/core/calendar"
	"keeler/core/mites"
	"keeler/core/outlook"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"
)

// unseen is where the lives of hives that are not real begin: in the demo where its clock did, in practice with the
// season.
type unseen struct {
	from  calendar.Day
	seed  uint64
	level outlook.Level // 0: they go on from what is known of them
}

const demoSeed = 1

// unseen is false for real hives.
func (d Desk) unseen() (unseen, bool) {
	switch p := d.who.Practice; {
	case p != nil:
		return unseen{p.from, p.seed, p.level}, true
	case d.app.set.Welcome.Demo:
		return unseen{calendar.On(d.local(d.app.began)), demoSeed, 0}, true
	}
	return unseen{}, false
}

// hidden is a hive that is not real as it was where its life begins.
func (d Desk) hidden(r *reading, id string) (c outlook.Colony, m miteYear, of unseen) {
	by(r, d.op.Colony, id)
	of, is := d.unseen()
	if r.err == nil && (!is || of.level == 0 && d.today() <= of.from) { // on its first day the demo's hives are as they were seen
		r.err = ErrForbidden
	}
	if r.err != nil {
		return c, m, of
	}
	m = d.miteYear(r, id, of.from)
	if r.err != nil {
		return c, m, of
	}
	if of.level != 0 {
		return outlook.Hidden(of.level, of.seed, m.row.Name, m.yard.Latitude, max(of.from, m.started)-1), m, of
	}
	return m.follow(possible, false).Pick(of.seed), m, of
}

const (
	glimpsed  = 300 // bees of a wash
	longestIn = 60  // days that a board tells of
)

// Glimpse is what there is to be seen today in a hive that is not real; of a real one it is ErrForbidden, and in the demo
// before its clock was brought forward.
func (d Desk) Glimpse(ctx context.Context, id string) (wire.Glimpse, error) {
	r := reading{ctx: ctx}
	c, m, of := d.hidden(&r, id)
	counted, h := by(&r, d.op.CountsOf, id), d.historyOf(&r, ever(id))
	if r.err != nil {
		return wire.Glimpse{}, r.err
	}
	today := d.today()
	if _, dead := c.Live(today, m.yard.Latitude, m.given, m.idle, func() {}); dead {
		return wire.Glimpse{Day: written(today), Typed: typedSeams(m.row, 0), Brood: broodNames[outlook.NoBrood], Words: words.Dead()}, nil
	}
	g := c.Glimpse(of.seed, m.row.Name, m.inASeam())
	out := wire.Glimpse{
		Day: written(today), Seams: g.Seams, Typed: typedSeams(m.row, g.Seams), Brood: broodNames[g.Brood], Eggs: g.Eggs, Larvae: g.Larvae,
	}
	out.Words = words.Seen(out.Seams, out.Brood, g.Eggs, g.Larvae)
	if !today.Cold(m.yard.Latitude) {
		out.Wash = new(c.Counted(mites.Count{Kind: mites.Wash, Bees: glimpsed, On: today}, of.seed, m.row.Name))
	}
	if since := boardIn(counted, h, id); since != 0 && since < today {
		days := min(int(today-since), longestIn)
		out.BoardSince, out.BoardDays = written(since), days
		out.Board = new(c.Counted(mites.Count{Kind: mites.Board, Days: float64(days), On: today}, of.seed, m.row.Name))
	}
	return out, nil
}

// boardIn is since when the board that is in lies there: since it went in clean, or was read last.
func boardIn(counted []store.MiteCount, h history, id string) (since calendar.Day) {
	for _, l := range h.lines[id] {
		if l.Act == treatment.Board {
			since = max(since, l.On)
		}
	}
	for _, c := range counted {
		if of := mitesOf(c); c.VoidedAt == nil && of.Kind == mites.Board {
			since = max(since, of.On)
		}
	}
	return since
}

// typedSeams are seams by box as they are typed: the upper boxes are filled last.
func typedSeams(row store.Colony, seams float64) string {
	var parts []string
	for _, b := range boxesOf(row) {
		here := min(seams, float64(len(b.Slots)))
		seams -= here
		parts = append(parts, words.Quarters(here))
	}
	return strings.Join(parts, "+")
}
