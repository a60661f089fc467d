package app

import (
	"context"
	"time"

	"keeler/core/calendar"
	"keeler/core/chem"
	"keeler/core/fit"
	"keeler/core/followup"
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// emptyWithin is within how many days of the first weighing it is told when a device will be
// empty.
const emptyWithin = 40

// filling is a device in one hive since it was filled last, with what it weighed.
type filling struct {
	pad.Evaporating
	yard  store.Yard
	given store.Application
	gross []pad.Weighing
	first time.Time // of the weighings
	whole bool      // the first was of the full device
}

// outside is the weather since the first weighing.
func (f filling) outside(sky skies) []float64 {
	return sky.hours(f.yard, f.first, emptyWithin*dayHours)
}

// devices is what is known of the devices of one kind: those that a protocol or card gives
// formic acid by.
type devices struct {
	kind    pad.Device
	wick    pad.Wick // by the card
	sources map[string]store.Source
	sky     skies
	learnt  pad.Learning
}

// devicesOf learns from all that was weighed of a kind: in a job, and in those before it
// under the same conditions. nil where a job gives nothing that is weighed.
func (d Desk) devicesOf(ctx context.Context, job store.Job, under fit.Conditions, card *wire.LabelCard, colonies []comeback) (*devices, error) {
	way := followup.TermsOf(under).Way
	if way != followup.Filling && way != followup.Pads {
		return nil, nil
	}
	r := reading{ctx: ctx}
	alike := lo.Filter(by(&r, d.op.Jobs, everyJob), func(j store.Job, _ int) bool { return j.Method == job.Method && underOf(j) == underOf(job) })
	ids := lo.Map(alike, func(j store.Job, _ int) string { return j.ID })
	lines, sources := by(&r, d.op.Weighed, ids), by(&r, d.op.Sources, ids)
	out := &devices{
		kind: pad.Bottle, sources: lo.KeyBy(sources, func(s store.Source) string { return s.Application }),
		sky: skies{d, ctx, map[string]fit.Forecast{}},
	}
	if way == followup.Pads {
		out.kind = pad.Soaked
	}
	if card != nil && card.Content.Amount != nil {
		out.wick = card.Content.Amount.Wick
	}
	at := lo.KeyBy(colonies, func(k comeback) string { return k.row.ID })
	for _, of := range lo.GroupBy(lines, func(a store.Application) string { return *a.JobID + a.ColonyID }) {
		if f := out.filling(at[of[0].ColonyID], of); f.whole && len(f.gross) > 1 {
			out.learnt.Add(f.Evaporating, f.outside(out.sky), f.Net(f.gross))
		}
	}
	return out, r.err
}

// filling reads what was given and weighed of one hive in one job, in the order in which it
// was written. What was weighed before a dose tells of another filling; what was read off a
// bottle is held against what it was filled with.
func (d devices) filling(k comeback, lines []store.Application) filling {
	f := filling{yard: k.yard, Evaporating: pad.Evaporating{Device: d.kind, Boxes: len(k.row.Boxes)}}
	read := false
	for _, l := range lines {
		switch treatment.Kind(l.Kind) {
		case treatment.Given:
			f.given, f.gross = l, nil
			if f.Full = chem.FormicMass(chem.Millilitres(l.Amount), pad.WeakestWorking); l.Unit != method.Millilitres {
				f.Full = chem.Grams(l.FormicMG / 1000 / float64(pad.WeakestWorking))
			}
			wick := d.wick
			if s := d.sources[l.ID]; s.WickOne+s.WickMore > 0 {
				wick = pad.Wick{One: s.WickOne, More: s.WickMore}
			}
			f.Usual = wick.Open(f.Boxes)
			f.Area = f.Usual
		case treatment.Weighed:
			left := chem.Grams(l.Amount)
			if l.Unit == method.Millilitres {
				left = chem.FormicMass(chem.Millilitres(l.Amount), pad.WeakestWorking)
			}
			if is := l.Unit == method.Millilitres; is != read { // a scale on the bottle knows nothing of its own weight
				read, f.gross = is, nil
			}
			if len(f.gross) == 0 {
				f.first = d.sky.d.local(l.GivenAt)
			}
			if len(f.gross) == 0 && read && !f.given.Extra && f.given.ID != "" {
				f.first, f.gross = d.sky.d.local(f.given.GivenAt), []pad.Weighing{{Left: f.Full}} // as it was filled
			}
			f.gross = append(f.gross, pad.Weighing{Hour: int(l.GivenAt.Sub(f.first).Hours()), Left: left})
			if a := wire.ApplicationOf(l.Detail, wire.Application{}).AreaCM2; a > 0 {
				f.Area = a
			}
		}
	}
	f.whole = len(f.gross) > 0 && !f.given.Extra && calendar.On(f.first) == d.sky.d.dayGiven(f.given)
	return f
}

// tell is how fast formic acid goes in one hive: by what its device weighed, and by the
// forecast while it is in. nil where neither is known.
func (d devices) tell(c treated, lines []store.Application) *wire.Evaporation {
	f := d.filling(c.comeback, lines)
	f.Factor, _, _ = d.learnt.Factor()
	out := wire.Evaporation{}
	in := lo.SomeBy(c.Doses, func(t treatment.Treatment) bool { return t.Method == method.Pad && t.In(d.sky.d.today()) })
	if next := d.sky.hours(f.yard, d.sky.d.worked(), dayHours); in && f.given.ID != "" && pad.Known(next) {
		out.ExpectG = wire.Round(float64(f.Expected(next)))
	}
	w, ok := f.Watch(f.gross, f.whole, f.outside(d.sky))
	if !ok && out.ExpectG == 0 {
		return nil
	}
	out.LowG, out.HighG = float64(f.Low()), float64(f.High())
	if !ok {
		return &out
	}
	out.DayG, out.Pace, out.AreaCM2 = wire.Round(float64(w.Day)), string(w.Pace), wire.Round(w.Area)
	out.Words, out.Rose, out.Factor, out.FactorOff = words.Pace(string(w.Pace), w.Area), w.Rose, wire.Round(w.Factor), wire.Round(w.Off)
	if w.Empty >= 0 {
		out.EmptyOn = written(calendar.On(f.first.Add(time.Duration(w.Empty) * time.Hour)))
	}
	if len(w.Net) > 0 {
		out.Weighed = append(out.Weighed, wire.LeftAt{G: wire.Round(float64(f.Full))})
		for _, n := range w.Net {
			out.Weighed = append(out.Weighed, wire.LeftAt{Hour: n.Hour, G: wire.Round(float64(n.Left))})
		}
		from := w.Net[len(w.Net)-1].Hour
		for i := everyHours - 1; i < len(w.Ahead); i += everyHours {
			out.Ahead = append(out.Ahead, wire.LeftAt{Hour: from + i + 1, G: wire.Round(float64(w.Ahead[i]))})
		}
	}
	return &out
}

// everyHours is of how many hours one is told of what is left.
const everyHours = 6
