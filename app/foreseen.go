package app

import (
	"context"
	"fmt"
	"hash/fnv"
	"runtime"
	"sync"
	"time"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/outlook"
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

// grounds are of what a forecast was made, as far as who decides knows it too: the day, the newest count, and the newest dose of
// the last year, 0 without one.
type grounds struct{ today, counted, given calendar.Day }

func (d Desk) grounds(counted fit.Counted, bees fit.Colony) grounds {
	b := grounds{today: d.today()}
	const year = 365
	if counted.On >= b.today-year {
		b.counted = counted.On
	}
	for _, t := range bees.Treatments {
		if t.Given >= b.today-year {
			b.given = max(b.given, t.Given, t.Out)
		}
	}
	return b
}

func prospect(f foreseen, _ int) outlook.Prospect { return f.Prospect }

// foresight keeps what was made of colonies, so that only what changed is made anew.
type foresight struct {
	of    *lru.Cache[string, foreseen]
	mu    sync.Mutex
	going map[uint64]bool // the operations of which all are being made
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
	if f, has := d.app.foresight.of.Get(m.row.ID); has && f.key == key {
		return f
	}
	of := m.follow(inSmall, false)
	come := of.WhatIf([][]outlook.Dose{nil}, outlook.Horizon{To: m.today + aheadFor, Every: 2 * everyDays, Given: m.given, Threshold: m.threshold})[0]
	f := foreseen{
		key: key, grounds: d.grounds(m.counted, m.bees), points: come.Points,
		Prospect: outlook.Prospect{Crossing: come.Crossing, Lead: m.lead(come.Crossing), Telling: of.Counts(m.yard.Latitude, m.given, outlook.ThisWeek)},
	}
	d.app.foresight.of.Add(m.row.ID, f)
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
		d.app.foresight.of.Add(years[i].row.ID, of[i])
	}
}

// foretell puts into what is known of a colony what a forecast says of it, if there is one of all that is known.
func (d Desk) foretell(k *situation) bool {
	f, has := d.app.foresight.of.Get(k.row.ID)
	if !has || f.ahead.Lead == "" || f.grounds != d.grounds(k.stands, k.bees) {
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
	if r.err != nil {
		return nil
	}
	years := lo.FilterMap(rows, func(row store.Colony, _ int) (miteYear, bool) {
		return d.known(row, y, h, counted[row.ID], thresholds, d.today()), row.EndedOn == nil
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
	var all sync.WaitGroup
	free := make(chan struct{}, runtime.NumCPU())
	for i, m := range years {
		free <- struct{}{}
		all.Go(func() {
			of[i] = d.foresee(m)
			<-free
		})
	}
	all.Wait()
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
	go func() {
		defer done()
		for _, y := range yards {
			r := reading{ctx: context.Background()}
			years := d.miteYears(&r, y.ID)
			d.compare(years, lo.Map(years, func(m miteYear, _ int) foreseen {
				begun := time.Now()
				defer func() { time.Sleep(time.Since(begun)) }() // half of a processor is left to those who wait
				return d.foresee(m)
			}))
			if r.err != nil {
				return // who asks for it next is told
			}
		}
	}()
}
