package season

import "keeler/core/calendar"

// Rule is one consideration. Of names the methods it concerns; none: all.
type Rule struct {
	Name  string
	Of    []Method
	weigh func(Case) (Reason, bool)
}

// Rules are all considerations (REFERENCE §3 to §6).
var Rules = []Rule{
	{"bees", nil, bees},
	{"sealed brood", []Method{Dribble}, sealedBrood},
	{"given already", []Method{Dribble}, givenAlready},
	{"still in the hive", nil, stillIn},
	{"supers for harvest", nil, supers},
	{"honey for people", nil, honey},
	{"stores", []Method{Dribble, Pad}, stores},
	{"queen", nil, queen},
	{"room above", []Method{Pad}, room},
	{"harmful heat", nil, heat},
	{"weather", nil, weather},
}

// How long a look holds, in days.
const (
	// Eggs laid just after a look without sealed brood are capped on day 9; larvae
	// that were there may be capped within 3 days (§6).
	broodSure, broodPossible = 3, 9
	// In the cluster a queen that has stopped seldom begins again within a brood cycle.
	winterBroodSure = 21
	// A worker cell that was just capped opens after 12 days, so brood seen in the
	// cluster may be gone after a whole cycle.
	broodGone = 21
	// Seams and stores change slowly, supers by the keeper's own hand.
	seamsFresh, storesFresh, supersFresh = 42, 42, 30
	// Repeats in season: two brood cycles of 21 days lie between two broodless periods at least.
	seasonRepeat = 42
)

func (c Case) cold() bool { return c.On.Cold(c.Latitude) }

// age is how many days lie between a look and the day.
func age[T any](c Case, l Look[T]) int { return int(c.On - l.On) }

func seen[T any](code string, v Verdict, l Look[T], figures ...float64) (Reason, bool) {
	return Reason{Code: code, Verdict: v, Source: FromInspection, On: l.On, Figures: figures}, true
}

func unseen(code string) (Reason, bool) {
	return Reason{Code: code, Verdict: LookFirst, Source: FromInspection}, true
}

// bees: no_bees; seams_unseen; seams_old.
func bees(c Case) (Reason, bool) {
	q := c.Colony.Quarters
	switch {
	case !q.Seen && c.Under.Method == Dribble:
		return unseen("seams_unseen")
	case q.Seen && q.What == 0:
		return seen("no_bees", DoesNotFit, q)
	case q.Seen && c.Under.Method == Dribble && age(c, q) > seamsFresh:
		return seen("seams_old", WithCare, q)
	}
	return Reason{}, false
}

// sealedBrood: brood_unseen; brood_present (0 none, 1 little, 2 much seen);
// brood_may_be_gone; brood_old (days it holds); brood_soon; broodless.
func sealedBrood(c Case) (Reason, bool) {
	b := c.Colony.Brood
	if !c.Under.Broodless {
		return Reason{}, false
	}
	if !b.Seen {
		return unseen("brood_unseen")
	}
	days := age(c, b)
	if b.What != BroodNone {
		if c.cold() && days >= broodGone {
			return seen("brood_may_be_gone", LookFirst, b)
		}
		return seen("brood_present", DoesNotFit, b, map[Brood]float64{BroodLittle: 1, BroodMuch: 2}[b.What])
	}
	sure, possible := broodSure, broodPossible
	if c.cold() {
		sure, possible = winterBroodSure, winterBroodSure
	}
	switch {
	case days <= sure:
		return seen("broodless", Fits, b)
	case days <= possible:
		return seen("brood_soon", WithCare, b, float64(possible))
	}
	return seen("brood_old", LookFirst, b, float64(possible))
}

// givenAlready: dribbled_already (1 in the winter cluster, 0 in season).
func givenAlready(c Case) (Reason, bool) {
	began, winter := c.On-seasonRepeat, 0.0
	if c.cold() {
		began, winter = c.On.HalfBegan(c.Latitude), 1
	}
	last := calendar.Day(0)
	for _, t := range c.Colony.Treatments {
		if t.Method == Dribble && t.Given >= began && t.Given <= c.On {
			last = max(last, t.Given)
		}
	}
	if last == 0 {
		return Reason{}, false
	}
	return Reason{Code: "dribbled_already", Verdict: MustNot, Source: FromRecord, On: last, Figures: []float64{winter}}, true
}

// stillIn: same_still_in; other_still_in; both with 1 for strips, 2 for formic
// acid, 0 for another treatment.
func stillIn(c Case) (Reason, bool) {
	var found Reason
	for _, t := range c.Colony.Treatments {
		if t.Method == Dribble || !t.In(c.On) {
			continue
		}
		r := Reason{Code: "other_still_in", Verdict: WithCare, Source: FromRecord, On: t.Given,
			Figures: []float64{map[Method]float64{Strip: 1, Pad: 2}[t.Method]}}
		if t.Method == c.Under.Method {
			r.Code, r.Verdict = "same_still_in", DoesNotFit
		}
		if found.Code == "" || r.Verdict > found.Verdict {
			found = r
		}
	}
	return found, found.Code != ""
}

// supers: supers_on; supers_label; supers_unseen; supers_old. Figures: supers seen.
func supers(c Case) (Reason, bool) {
	s := c.Colony.Supers
	switch {
	case c.Under.Supers == SupersMayBe:
		return Reason{}, false
	case !s.Seen && c.cold():
		return Reason{}, false // there is no harvest in the cluster's half-year
	case !s.Seen:
		return unseen("supers_unseen")
	case s.What > 0 && c.Under.Supers == SupersOff:
		return seen("supers_on", MustNot, s, float64(s.What))
	case s.What > 0:
		return seen("supers_label", WithCare, s, float64(s.What))
	case !c.cold() && age(c, s) > supersFresh:
		return seen("supers_old", LookFirst, s)
	}
	return Reason{}, false
}

// honey: for_honey; for_honey_permit.
func honey(c Case) (Reason, bool) {
	switch {
	case !c.Colony.ForHoney:
	case c.Under.OutOfHoney:
		return Reason{Code: "for_honey", Verdict: MustNot, Source: FromColony}, true
	case c.Under.Method == Strip:
		return Reason{Code: "for_honey_permit", Verdict: WithCare, Source: FromColony}, true
	}
	return Reason{}, false
}

// stores: stores_unseen; stores_light; stores_arch; stores_old.
func stores(c Case) (Reason, bool) {
	s := c.Colony.Stores
	dribble := c.Under.Method == Dribble
	switch {
	case !s.Seen && dribble:
		return unseen("stores_unseen")
	case s.Seen && s.What == Light && dribble:
		return seen("stores_light", DoesNotFit, s) // hungry bees drink even a 1 : 1 syrup
	case s.Seen && s.What == Light:
		return seen("stores_arch", WithCare, s)
	case s.Seen && dribble && age(c, s) > storesFresh:
		return seen("stores_old", WithCare, s)
	}
	return Reason{}, false
}

// queen: queenless; queen_young; queen_unseen.
func queen(c Case) (Reason, bool) {
	q := c.Colony.Queen
	switch {
	case q.Seen && q.What == Queenless:
		return seen("queenless", WithCare, q)
	case c.Under.Method != Pad:
	case q.Seen && q.What == Young:
		return seen("queen_young", WithCare, q)
	case !q.Seen || q.What == Unseen:
		return Reason{Code: "queen_unseen", Verdict: WithCare, Source: FromInspection, On: q.On}, true
	}
	return Reason{}, false
}

// room: nuc_room. Vapour needs room above, 10 cm from brood.
func room(c Case) (Reason, bool) {
	return Reason{Code: "nuc_room", Verdict: WithCare, Source: FromColony}, c.Colony.Nuc
}

// heat: heat (°C forecast, the limit, days it holds for); heat_unknown (days).
func heat(c Case) (Reason, bool) {
	if c.Under.HarmC == 0 || !c.Weather.Known {
		return Reason{}, false
	}
	days := float64(c.Under.HarmDays)
	if c.Weather.Harms(c.Under) {
		return Reason{Code: "heat", Verdict: MustNot, Source: FromForecast, Figures: []float64{c.Weather.HarmMaxC, c.Under.HarmC, days}}, true
	}
	return Reason{Code: "heat_unknown", Verdict: WithCare, Source: FromForecast, Figures: []float64{days}}, !c.Weather.HarmKnown
}

// weather: no_forecast; the cause that leaves no window (see Outlook.Cause, with
// the temperatures of the day and the range asked for); window_fair; window_good,
// both with the temperature in it and the range that is best.
func weather(c Case) (Reason, bool) {
	w := c.Weather
	if !w.Known {
		return Reason{Code: "no_forecast", Verdict: LookFirst, Source: FromForecast}, true
	}
	if len(w.Windows) == 0 {
		return Reason{Code: string(w.Cause), Verdict: DoesNotFit, Source: FromForecast,
			Figures: []float64{w.LowC, w.HighC, c.Under.MinC, c.Under.MaxC}}, true
	}
	best := w.Best()
	r := Reason{Code: "window_fair", Verdict: WithCare, Source: FromForecast,
		Figures: []float64{best.MeanC, c.Under.BestLowC, c.Under.BestHighC}}
	if best.Good {
		r.Code, r.Verdict = "window_good", Fits
	}
	return r, true
}
