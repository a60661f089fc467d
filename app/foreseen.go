package app

import (
	"context"
	"fmt"
	"hash/fnv"
	"math"
	"runtime"
	"sync"
	"time"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/outlook"
	"keeler/guard"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	lru "github.com/hashicorp/golang-lru/v2"
	"github.com/samber/lo"
)

// foreseen is what the model made of a colony, in short.
type foreseen struct {
	key uint64 // of all that it was made of
	grounds
	outlook.Prospect
	ahead  fit.Ahead // what it says to who decides, once all of its yard were made
	points []outlook.Point
	drift  outlook.Drift
}

// grounds are of what a forecast was made, as far as who decides knows it too: the day, and sums over all
// counts and doses of the last year.
type grounds struct {
	today         calendar.Day
	counts, given uint64
}

func (d Desk) grounds(counts uint64, bees fit.Colony) grounds {
	b := grounds{today: d.today(), counts: counts}
	const year, prime = 365, 1099511628211 // of FNV-1a
	for _, t := range bees.Treatments {
		if t.Given < b.today-year {
			continue
		}
		for _, v := range []uint64{uint64(t.Given), uint64(t.Out), math.Float64bits(t.Amount), math.Float64bits(t.Meant), uint64(t.Method[0])} {
			b.given = (b.given ^ v) * prime
		}
	}
	return b
}

func prospect(f foreseen, _ int) outlook.Prospect { return f.Prospect }

// foresight keeps what was made of colonies, so that only what changed is made anew.
type foresight struct {
	of    *lru.Cache[hiveKey, foreseen]
	mu    sync.Mutex
	going map[uint64]bool // the operations of which all are being made
}

// hiveKey names a colony in its operation: an archive keeps the ids of colonies, so that two operations
// can hold the same one.
type hiveKey struct {
	operation uint64
	colony    string
	drift     bool // what comes into it is all that is kept
}

func (d Desk) hiveKey(colony string) hiveKey {
	return hiveKey{operation: d.who.Operation, colony: colony}
}

// mostKept are more than an operation has colonies, twice.
const mostKept = 20_000

// begin reports whether nobody makes those of an operation yet; done is called once they are.
func (k *foresight) begin(operation uint64) (done func(), free bool) {
	k.mu.Lock()
	defer k.mu.Unlock()
	if k.going[operation] {
		return nil, false
	}
	k.going[operation] = true
	return func() {
		k.mu.Lock()
		defer k.mu.Unlock()
		delete(k.going, operation)
	}, true
}

// key is a sum over all that the model goes by.
func (m miteYear) key() uint64 {
	sum := fnv.New64a()
	_, _ = fmt.Fprint(sum, m.row.ID, m.row.Nuc, m.inASeam(), m.yard.Latitude, m.begins, m.today, m.bees.Break, m.given, m.neighbours, m.thresholds, m.counts, m.stood)
	for _, l := range m.looks {
		_, _ = fmt.Fprint(sum, l.On, lo.FromPtr(l.Quarters), l.Brood)
	}
	return sum.Sum64()
}

// inSmall is how many possible colonies of a hive are followed where many hives are told of.
const inSmall = 250

// foresee is what the model makes of a colony: as it was kept, where nothing changed.
func (d Desk) foresee(m miteYear) foreseen {
	key := m.key()
	if f, has := d.app.foresight.of.Get(d.hiveKey(m.row.ID)); has && f.key == key {
		return f
	}
	of := m.follow(inSmall, false)
	come := of.WhatIf([][]outlook.Dose{nil}, outlook.Horizon{To: m.today + aheadFor, Every: 2 * everyDays, Given: m.given, Threshold: m.threshold})[0]
	f := foreseen{
		key: key, grounds: d.grounds(m.countSum, m.bees), points: come.Points,
		Prospect: outlook.Prospect{Crossing: come.Crossing, Lead: m.lead(come.Crossing), Telling: of.Counts(m.yard.Latitude, m.given, outlook.ThisWeek)},
	}
	d.app.foresight.of.Add(d.hiveKey(m.row.ID), f)
	return f
}

// compare keeps what the forecasts of all hives of a yard, held against each other, say to who decides.
func (d Desk) compare(years []miteYear, of []foreseen) {
	needs, _ := fit.Needs(lo.Map(years, func(m miteYear, _ int) fit.Counted {
		m.counted.Colony = &m.bees
		return m.counted
	}), d.today())
	for i, a := range outlook.Ahead(lo.Map(of, prospect), needs, d.today()+aheadFor) {
		of[i].ahead = a
		d.app.foresight.of.Add(d.hiveKey(years[i].row.ID), of[i])
	}
}

// foretell puts into what is known of a colony what a forecast says of it, if there is one of all that is known.
func (d Desk) foretell(k *situation) bool {
	f, has := d.app.foresight.of.Get(d.hiveKey(k.row.ID))
	if !has || f.ahead.Lead == "" || f.grounds != d.grounds(k.countSum, k.bees) {
		return false
	}
	k.bees.Ahead = f.ahead
	return true
}

// miteYears are what is known of the colonies of a yard.
func (d Desk) miteYears(r *reading, yard string) []miteYear {
	y, rows := by(r, d.op.Yard, yard), by(r, d.op.ColoniesIn, yard)
	counted, thresholds := lo.GroupBy(by(r, d.op.CountsIn, yard), func(c store.MiteCount) string { return c.ColonyID }), all(r, d.thresholds)
	h := d.historyOf(r, lately(lo.Map(rows, colonyID), d.today()))
	sums := by(r, d.op.CountSums, d.remembering(lo.Map(rows, colonyID)))
	if r.err != nil {
		return nil
	}
	years := lo.FilterMap(rows, func(row store.Colony, _ int) (miteYear, bool) {
		m := d.known(row, y, h, counted[row.ID], thresholds, d.today())
		m.countSum = sums[row.ID]
		return m, row.EndedOn == nil
	})
	d.share(years)
	return years
}

// whileAwaited is how many hives are foreseen while somebody waits.
const whileAwaited = 40

// YardAhead is what the model makes of the hives of a yard, and which of them to count.
func (d Desk) YardAhead(ctx context.Context, id string) (wire.YardAhead, error) {
	r := reading{ctx: ctx}
	years := d.miteYears(&r, id)
	if r.err != nil {
		return wire.YardAhead{}, r.err
	}
	out := wire.YardAhead{Hives: []wire.HiveAhead{}, Count: []string{}}
	if len(years) > whileAwaited {
		out.More = len(years) - whileAwaited
		years = years[:whileAwaited]
	}
	of := make([]foreseen, len(years))
	if err := guard.Each(ctx, len(years), runtime.NumCPU(), func(i int) { of[i] = d.foresee(years[i]) }); err != nil {
		return wire.YardAhead{}, fmt.Errorf("work out the forecasts of yard %s: %w", id, err)
	}
	if out.More == 0 {
		d.compare(years, of)
	}
	for i, m := range years {
		f := of[i]
		out.Hives = append(out.Hives, wire.HiveAhead{
			ID: m.row.ID, Name: m.row.Name, Words: words.AheadInShort(string(f.Lead), f.From, f.To, f.Now), Chance: wire.Round(f.Chance),
			Counts: len(m.counts), Points: m.points(f.points),
		})
	}
	for _, i := range outlook.Sample(lo.Map(of, prospect)) {
		out.Count = append(out.Count, years[i].row.Name)
	}
	out.Words = words.CountFirst(out.Count, len(years))
	return out, nil
}

// foreseeAll makes those of some yards in the background, for who comes next; one who comes meanwhile does not begin it
// anew.
func (d Desk) foreseeAll(yards []store.Yard) {
	done, free := d.app.foresight.begin(d.who.Operation)
	if !free {
		return
	}
	d.app.behind.Go("forecasts of mites", func(ctx context.Context) {
		defer done()
		for _, y := range yards {
			r := reading{ctx: ctx}
			years := d.miteYears(&r, y.ID)
			d.compare(years, lo.Map(years, func(m miteYear, _ int) foreseen { return d.foreseeSlowly(ctx, m) }))
			if r.err != nil || ctx.Err() != nil {
				return // who asks for it next is told
			}
		}
	})
}

// foreseeSlowly leaves half of a processor to those who wait; once the context has ended it does nothing.
func (d Desk) foreseeSlowly(ctx context.Context, m miteYear) foreseen {
	if ctx.Err() != nil {
		return foreseen{}
	}
	begun := time.Now()
	f := d.foresee(m)
	select {
	case <-ctx.Done():
	case <-time.After(time.Since(begun)):
	}
	return f
}
