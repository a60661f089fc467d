package app

import (
	"context"
	"fmt"
	"hash/fnv"
	"runtime"
	"sync"
	"time"

	"keeler/core/calendar"
	"keeler/core/outlook"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// foreseen is what the model made of a colony, in short.
type foreseen struct {
	key   uint64 // of all that it was made of
	today calendar.Day
	last  calendar.Day // the newest count
	outlook.Prospect
	points []outlook.Point
	drift  outlook.Drift
}

func prospect(f foreseen, _ int) outlook.Prospect { return f.Prospect }

// foresight keeps what was made of colonies, so that only what changed is made anew.
type foresight struct {
	mu    sync.Mutex
	of    map[string]foreseen
	going map[uint64]bool // the operations of which all are being made
}

func (k *foresight) get(colony string) (foreseen, bool) {
	k.mu.Lock()
	defer k.mu.Unlock()
	f, has := k.of[colony]
	return f, has
}

// mostKept are more than an operation has colonies, twice.
const mostKept = 20_000

func (k *foresight) put(colony string, f foreseen) {
	k.mu.Lock()
	defer k.mu.Unlock()
	if k.of == nil || len(k.of) >= mostKept {
		k.of = map[string]foreseen{}
	}
	k.of[colony] = f
}

// begin reports whether nobody makes those of an operation yet; done is called once they are.
func (k *foresight) begin(operation uint64) (done func(), free bool) {
	k.mu.Lock()
	defer k.mu.Unlock()
	if k.going[operation] {
		return nil, false
	}
	if k.going == nil {
		k.going = map[uint64]bool{}
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
	_, _ = fmt.Fprint(sum, m.row.ID, m.row.Nuc, m.yard.Latitude, m.begins, m.today, m.bees.Break, m.given, m.neighbours, m.threshold(m.today), m.threshold(m.today+aheadFor/2), m.counts)
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
	if f, has := d.app.foresight.get(m.row.ID); has && f.key == key {
		return f
	}
	of := m.follow(inSmall, false)
	come := of.WhatIf([][]outlook.Dose{nil}, outlook.Horizon{To: m.today + aheadFor, Every: 2 * everyDays, Given: m.given, Threshold: m.threshold})[0]
	f := foreseen{key: key, today: m.today, last: m.lastCount(), points: come.Points, Prospect: outlook.Prospect{Crossing: come.Crossing, Telling: of.Counts(m.yard.Latitude, m.given)}}
	d.app.foresight.put(m.row.ID, f)
	return f
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
	for i, m := range years {
		f := of[i]
		out.Hives = append(out.Hives, wire.HiveAhead{
			ID: m.row.ID, Name: m.row.Name, Words: words.AheadInShort(m.lead(f.Crossing), f.From, f.To, f.Now), Chance: wire.Round(f.Chance),
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
			for _, m := range d.miteYears(&r, y.ID) {
				begun := time.Now()
				d.foresee(m)
				time.Sleep(time.Since(begun)) // half of a processor is left to those who wait
			}
			if r.err != nil {
				return // who asks for it next is told
			}
		}
	}()
}

// helps are the colonies of a yard whose counts would tell most, as far as that was reckoned today from the counts that
// there are.
func (d Desk) helps(colonies []situation) map[string]bool {
	var of []outlook.Prospect
	var ids []string
	for _, k := range colonies {
		if f, has := d.app.foresight.get(k.row.ID); has && f.today == d.today() && f.last == k.stands.On {
			of, ids = append(of, f.Prospect), append(ids, k.row.ID)
		}
	}
	out := map[string]bool{}
	for _, i := range outlook.Sample(of) {
		out[ids[i]] = true
	}
	return out
}
