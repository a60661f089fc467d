package app

import (
	"cmp"
	"context"
	"hash/fnv"
	"math"
	"slices"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/hive"
	"keeler/core/method"
	"keeler/core/mites"
	"keeler/core/outlook"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

const (
	aheadFor  = 200 // days
	pastFor   = 400
	everyDays = 5
	possible  = 500 // colonies that are followed, as many as the check of the bands follows
	// With nothing known, a colony has so many mites at the least and the most.
	fewestMites, mostMites = 2, 1500
)

// MiteYear is what the model makes of a colony's counts, and what is ahead if nothing is done.
func (d Desk) MiteYear(ctx context.Context, id string) (wire.MiteYear, error) {
	r := reading{ctx: ctx}
	m := d.miteYear(&r, id, d.today())
	if r.err != nil {
		return wire.MiteYear{}, r.err
	}
	return m.tell(m.follow(possible, true)), nil
}

// miteYear is what is known of a colony's mites on a day, since the model begins with it.
type miteYear struct {
	row           store.Colony
	yard          store.Yard
	started       calendar.Day // or was known
	begins, today calendar.Day
	bees          fit.Colony
	looks         []fit.Inspection
	counts        []mites.Count
	given         []outlook.Dose
	neighbours    []outlook.Drift // what is known of the hives beside it
	counted       fit.Counted     // by the newest count
	countSum      uint64          // over all that were counted, see store.CountSums
	stood         mites.Standing  // by it, while it is fresh and nothing was given since; empty: not known
	thresholds    mites.Thresholds
}

func (d Desk) miteYear(r *reading, id string, on calendar.Day) miteYear {
	row := by(r, d.op.Colony, id)
	yard := by(r, d.op.Yard, row.YardID)
	counted, thresholds := by(r, d.op.CountsOf, id), all(r, d.thresholds)
	h := d.historyOf(r, lately([]string{id}, on))
	if r.err != nil {
		return miteYear{}
	}
	m := d.known(row, yard, h, counted, thresholds, on)
	m.neighbours = d.neighbours(m, d.beside(r, row, yard, thresholds, on))
	return m
}

// lately are some colonies with what happened to them since the model could begin with them, and a while before.
func lately(colonies []string, on calendar.Day) store.Among {
	return store.Among{Colonies: colonies, Since: timeOf(on - pastFor - calendar.Day(treatment.UsualDays[method.Strip].High))}
}

// known puts together what is known of a colony on a day.
func (d Desk) known(row store.Colony, yard store.Yard, h history, counted []store.MiteCount, thresholds mites.Thresholds, on calendar.Day) miteYear {
	m := miteYear{row: row, yard: yard, today: on, bees: h.colony(row.ID), thresholds: thresholds}
	m.know(dayOf(row.StartedOn), h.seen[row.ID], lo.FilterMap(counted, func(c store.MiteCount, _ int) (mites.Count, bool) { return mitesOf(c), c.VoidedAt == nil }))
	m.given = lo.Filter(outlook.Given(m.bees.Treatments, d.today()), func(o outlook.Dose, _ int) bool { return max(o.To, o.From+1) > m.begins })
	m.counted = fit.Counted{Standing: mites.Uncounted}
	if len(m.counts) > 0 {
		m.counted = countedOf(m.newest(), yard.Latitude, thresholds)
		if last := m.counted.On; on-last <= outlook.Fresh && lo.NoneBy(m.given, func(o outlook.Dose) bool { return o.From >= last }) {
			m.stood = m.counted.Standing
		}
	}
	return m
}

// threshold is that of a day, mites on 100 bees.
func (m miteYear) threshold(on calendar.Day) float64 {
	return m.thresholds.On(on, m.yard.Latitude).Wash
}

// know takes in what was seen and counted within a year or so. A hive that was written down late is as old as what is
// known of it.
func (m *miteYear) know(started calendar.Day, looks []fit.Inspection, counts []mites.Count) {
	m.started = started
	for _, i := range looks {
		m.started = min(m.started, i.On-1)
	}
	for _, c := range counts {
		m.started = min(m.started, c.Began()-1)
	}
	m.begins = max(m.started, m.today-pastFor)
	m.looks = lo.Filter(looks, func(i fit.Inspection, _ int) bool { return i.On > m.begins && i.On <= m.today })
	m.counts = lo.Filter(counts, func(c mites.Count, _ int) bool { return c.Began() > m.begins && c.On <= m.today })
}

// lived is what the model makes of it until today.
type lived struct {
	*outlook.Filter
	points   []outlook.Point // of the days before
	boards   []turned
	narrowed float64 // by which share the newest count narrowed the band; below 0: it widened it
}

// turned is a count on a board in the measure of a wash.
type turned struct {
	on calendar.Day
	outlook.Band
}

// follow lives through what is known with so many possible colonies, and tells of the days on the way where that is
// wanted.
func (m miteYear) follow(many int, tell bool) lived {
	seed := fnv.New64a()
	_, _ = seed.Write([]byte(m.row.ID)) // never fails
	begins := outlook.Begins{Latitude: m.yard.Latitude, Day: m.begins, Nuc: m.row.Nuc, Low: fewestMites, High: mostMites}
	f := lived{Filter: outlook.NewFilter(begins, many, seed.Sum64())}
	f.Neighbours(m.neighbours)
	for _, day := range m.stops(tell) {
		f.Live(day, m.given, m.idle)
		m.learn(&f)
		if tell && day < m.today && int(m.today-day)%everyDays == 0 {
			f.points = append(f.points, f.Point())
		}
	}
	return f
}

// stops are the days on which something was seen or counted, or is told of, and the last one: between them many days at
// once go faster.
func (m miteYear) stops(tell bool) []calendar.Day {
	days := []calendar.Day{m.today}
	for _, i := range m.looks {
		days = append(days, i.On)
	}
	for _, c := range m.counts {
		days = append(days, c.On)
	}
	for day := m.today; tell && day > m.begins; day -= everyDays {
		days = append(days, day)
	}
	slices.Sort(days)
	return slices.Compact(days)
}

// learn tells the model what was seen and counted on its day.
func (m miteYear) learn(f *lived) {
	for _, i := range m.looks {
		if i.On == f.Day {
			f.Look(outlook.Look{On: i.On, Bees: float64(lo.FromPtr(i.Quarters)) / 4 * m.inASeam(), Brood: broodSeen[i.Brood]})
		}
	}
	for _, c := range m.counts {
		if c.On != f.Day {
			continue
		}
		if c.Kind == mites.Board {
			f.boards = append(f.boards, turned{c.On, f.Turned(c)})
		}
		before := width(f.Mites())
		f.Count(c)
		f.narrowed = 1 - width(f.Mites())/before
	}
}

// inASeam is how many bees a full seam of its boxes has.
func (m miteYear) inASeam() float64 {
	return hive.InASeam(lo.Map(m.row.Boxes, func(b store.ColonyBox, _ int) hive.Kind { return hive.Kind(b.Kind) }))
}

// width is how wide a band is, as a logarithm.
func width(b outlook.Band) float64 {
	return max(math.Log(max(b.High, fewestMites)/max(b.Low, 1)), leastWidth)
}

// leastWidth is that of a band which is none.
const leastWidth = 0.01

// broodSeen is sealed brood as the model has it.
var broodSeen = map[fit.Brood]outlook.Brood{fit.BroodNone: outlook.NoBrood, fit.BroodLittle: outlook.LittleBrood, fit.BroodMuch: outlook.MuchBrood}

// idle reports whether no queen lays on a day, by the keeper's hand.
func (m miteYear) idle(on calendar.Day) bool {
	b := m.bees.Break
	return b.Stopped != 0 && on >= b.Stopped && (b.Resumed == 0 || on < b.Resumed)
}

func (m miteYear) tell(f lived) wire.MiteYear {
	last := m.today + aheadFor
	coming := f.WhatIf([][]outlook.Dose{nil}, outlook.Horizon{To: last, Every: everyDays, Given: m.given, Threshold: m.threshold})[0]
	crossing := coming.Crossing
	out := wire.MiteYear{
		Today: written(m.today), Words: words.Ahead(string(m.lead(crossing)), crossing.From, cmp.Or(crossing.To, last), crossing.Now, crossing.Chance), Rests: words.RestsOn(len(m.counts), len(m.looks), m.sinceCount()) + words.Narrowed(len(m.counts), f.narrowed),
		From: knownDay(crossing.From), To: knownDay(crossing.To), Chance: wire.Round(crossing.Chance),
		Points: m.points(slices.Concat(f.points, coming.Points)), Boards: []wire.TurnedBoard{},
		Telling: lo.FilterMap(f.Counts(m.yard.Latitude, m.given, outlook.ThisMonth), func(t outlook.Telling, _ int) (string, bool) {
			return words.Telling(t.Of, t.Narrows, m.today), t.Narrows >= outlook.WorthTelling
		}),
	}
	if f.Misfit() {
		out.Misfit = words.Misfit()
	}
	for _, b := range f.boards {
		out.Boards = append(out.Boards, wire.TurnedBoard{Day: written(b.on), Low: wire.Round(b.Low), Middle: wire.Round(b.Middle), High: wire.Round(b.High)})
	}
	return out
}

func (m miteYear) points(of []outlook.Point) []wire.MitePoint {
	return lo.Map(of, func(p outlook.Point, _ int) wire.MitePoint {
		return wire.MitePoint{
			Day: written(p.Day), Low: wire.Round(p.Low), Middle: wire.Round(p.Middle), High: wire.Round(p.High), Threshold: m.threshold(p.Day),
			Seams: wire.Round(p.Bees / m.inASeam()), Brood: broodNames[p.Brood()],
		}
	})
}

// broodNames are those that inspections have.
var broodNames = lo.MapEntries(broodSeen, func(b fit.Brood, as outlook.Brood) (outlook.Brood, string) { return as, string(b) })

// lead is which sentence leads.
func (m miteYear) lead(c outlook.Crossing) fit.Lead {
	return c.Lead(m.today, len(m.counts), m.stood)
}

// newest is the newest count; an empty one without any.
func (m miteYear) newest() mites.Count {
	return lo.MaxBy(m.counts, func(a, b mites.Count) bool { return a.On > b.On })
}

// sinceCount is how many days ago that was.
func (m miteYear) sinceCount() int { return int(m.today - m.counted.On) }
