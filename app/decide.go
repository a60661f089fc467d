package app

import (
	"cmp"
	"context"
	"fmt"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/reach"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// ahead is how many days a forecast is shown for.
const ahead = 10

// Question is what is to be decided.
type Question struct {
	Day    string // 2006-01-02; empty: today
	Yard   string // empty: all yards
	Under  [len(method.All)]string
	People int
	First  bool // of a large operation the yards alone that are shown first
}

// Decide judges every colony by every method on a day.
func (d Desk) Decide(ctx context.Context, q Question) (wire.Decide, error) {
	var l fault.List
	day := readDay("day", q.Day, d.today(), d.today()+366, &l)
	q.People = cmp.Or(q.People, 1)
	l.Within("people", float64(q.People), 1, mostPeople, "people")
	if err := l.Err(); err != nil {
		return wire.Decide{}, err
	}
	var under [len(method.All)]chosen
	for i, m := range method.All {
		var err error
		if under[i], err = d.choose(ctx, string(m), m, q.Under[i]); err != nil {
			return wire.Decide{}, err
		}
	}
	r := reading{ctx: ctx}
	of := d.shown(&r, q.Yard, q.First)
	yards := of.yards
	rows, those := d.stood(&r, of)
	rows = lo.Filter(rows, func(c store.Colony, _ int) bool { return c.EndedOn == nil })
	colonies := d.situations(&r, rows, those, latitudesOf(yards))
	d.withJobs(&r, colonies, those, "")
	expected := all(&r, d.expected)
	if r.err != nil {
		return wire.Decide{}, r.err
	}
	standing := lo.GroupBy(colonies, func(k situation) string { return k.row.YardID })
	out := wire.Decide{Day: written(day), SoFar: of.soFar, Yards: []wire.DecideYard{}, Reasons: []wire.Reason{}}
	latitude := 0.0
	if len(yards) > 0 {
		latitude = yards[0].Latitude
	}
	for _, u := range under {
		c := wire.Conditions{Conditions: u.on(day, latitude)}
		if u.card != nil {
			c.Name = u.card.Name
		}
		out.Conditions = append(out.Conditions, c)
	}
	forecasts := d.forecasts(ctx, yards)
	told := reasons{places: map[string]int{}, day: day, met: map[string]float64{}}
	for i, y := range yards {
		m := matrix{yard: y, forecast: forecasts[i], under: under, day: day, today: d.today(), people: q.People}
		yard := m.write(standing[y.ID], &told)
		if e, typed := expected[yardDay{y.ID, day}]; typed {
			yard.Expected = &e
		}
		out.Yards = append(out.Yards, yard)
	}
	out.Reasons = append(out.Reasons, told.list...)
	if of.soFar == nil && len(colonies) <= wholeAtOnce {
		out.Foreseeing = !lo.EveryBy(colonies, func(k situation) bool { return k.foretold })
		d.foreseeAll(yards)
	}
	return out, nil
}

func latitudesOf(yards []store.Yard) map[string]float64 {
	return lo.SliceToMap(yards, func(y store.Yard) (string, float64) { return y.ID, y.Latitude })
}

const mostPeople = 12

// matrix is one yard on one day.
type matrix struct {
	yard       store.Yard
	forecast   fit.Forecast
	under      [len(method.All)]chosen
	day, today calendar.Day
	people     int
}

func (m matrix) write(colonies []situation, told *reasons) wire.DecideYard {
	need, over := needs(colonies, m.day)
	out := wire.DecideYard{
		ID: m.yard.ID, Name: m.yard.Name, Over: over, Forecast: len(m.forecast) > 0, Known: m.forecast.Tells(m.day),
		Season: seasonName(m.day, m.yard.Latitude), Colonies: make([]wire.DecideColony, len(colonies)),
	}
	var cases [len(method.All)]fit.Case
	for i, u := range m.under {
		cases[i] = u.caseOf(m.day, m.yard, m.forecast)
		out.Outlooks = append(out.Outlooks, m.outlook(u))
	}
	for i, k := range colonies {
		row := wire.DecideColony{
			ID: k.row.ID, Name: k.row.Name, Nuc: k.row.Nuc, Boxes: len(k.row.Boxes), Seams: seamsOf(k.bees),
			Need: string(need[i]), Count: k.count, Helps: k.bees.Ahead.Count.Kind != "", Cells: make([]wire.Cell, len(cases)),
		}
		for j, c := range cases {
			c.Colony = k.bees
			row.Cells[j] = told.cell(fit.Judge(c))
			told.meets(&row.Cells[j], c)
		}
		out.Colonies[i] = row
	}
	return out
}

// caseOf is what bears on every colony of a yard on a day.
func (c chosen) caseOf(day calendar.Day, yard store.Yard, forecast fit.Forecast) fit.Case {
	under := c.on(day, yard.Latitude)
	return fit.Case{
		On: day, Latitude: yard.Latitude, Under: under, Weather: forecast.On(day, under), Deep: calendar.Span(deep(yard)), Chosen: c.fixed != nil,
	}
}

// seasonName is the season of a day, none where it cannot be assumed.
func seasonName(day calendar.Day, latitude float64) string {
	if !calendar.Seasonal(latitude) {
		return "none"
	}
	return calendar.Names[day.Season(latitude)]
}

// outlook is the coming days of a yard by one method.
func (m matrix) outlook(u chosen) wire.Outlook {
	out := wire.Outlook{Days: make([]wire.DayOutlook, ahead)}
	for i := range out.Days {
		day := m.today + calendar.Day(i)
		under := u.on(day, m.yard.Latitude)
		o := m.forecast.On(day, under)
		told := wire.DayOutlook{Day: written(day), Known: o.Known, Cause: string(o.Cause), LowC: o.LowC, HighC: o.HighC}
		if o.Harms(under) {
			o.Windows, told.Cause, told.HighC = nil, "heat", o.HarmMaxC
		}
		told.Windows = o.Windows
		for _, w := range o.Windows {
			told.Takes += int(float64(w.Minutes()*60) / fit.Pace(m.people, 1))
		}
		out.Days[i] = told
	}
	return out
}

// reasons collects every reason once.
type reasons struct {
	list   []wire.Reason
	places map[string]int
	day    calendar.Day
	met    map[string]float64 // of all mites, by conditions and brood
}

// meets tells which share of the mites a treatment could meet, by the brood that was seen.
func (r *reasons) meets(cell *wire.Cell, c fit.Case) {
	b := c.Colony.Brood
	if !b.Seen || b.On > c.On || c.On-b.On > reach.BroodHolds {
		return
	}
	key := c.Under.ID + " " + string(b.What)
	once, there := r.met[key]
	if !there {
		of, err := reach.Of(b.What, false, reach.Planned(c.Under))
		if err != nil {
			return
		}
		once = of.Once
		r.met[key] = once
	}
	cell.Meets, cell.MeetsWhy = wire.Round(once), words.Meets(string(c.Under.Method), string(b.What), once)
}

func (r *reasons) cell(j fit.Judgement) wire.Cell {
	out := wire.Cell{Verdict: fit.VerdictNames[j.Verdict], Reasons: make([]int, len(j.Reasons)), Ask: j.Ask()}
	for i, reason := range j.Reasons {
		key := fmt.Sprint(reason.Code, reason.Verdict, reason.On, reason.Figures, reason.From, reason.To, reason.Words)
		place, there := r.places[key]
		if !there {
			place = len(r.list)
			r.places[key] = place
			r.list = append(r.list, r.tell(reason))
		}
		out.Reasons[i] = place
	}
	return out
}

func (r *reasons) tell(reason fit.Reason) wire.Reason {
	told := words.Because(reason, r.day)
	return wire.Reason{
		Code: reason.Code, Verdict: fit.VerdictNames[reason.Verdict], Figures: reason.Figures,
		Why: told.Why, Change: told.Change, Brief: told.Brief, Datum: told.Datum,
	}
}
