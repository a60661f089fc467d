package fit

import (
	"keeler/core/calendar"
	"keeler/core/method"
)

// Rule is one consideration. Of names the methods it concerns; none: all.
type Rule struct {
	Name  string
	Of    []method.Name
	weigh func(Case) (Reason, bool)
}

// Rules are all considerations (docs/sources.md).
var Rules = []Rule{
	{"past its day", nil, overdue},
	{"in another job", nil, inJob},
	{"changed since", nil, changed},
	{"bees", nil, bees},
	{"too small", nil, tooSmall},
	{"brood break", []method.Name{method.Dribble}, broodBreak},
	{"sealed brood", []method.Name{method.Dribble}, sealedBrood},
	{"same acid on the day", nil, sameDay},
	{"oxalic already", []method.Name{method.Dribble}, oxalicAlready},
	{"repeat by the label", []method.Name{method.Dribble}, repeat},
	{"strips just out", []method.Name{method.Dribble}, stripsOut},
	{"dribble before strips", []method.Name{method.Strip}, dribbledBeforeStrips},
	{"other acid", nil, otherAcid},
	{"course", []method.Name{method.Pad}, course},
	{"formic again", []method.Name{method.Pad}, formicAgain},
	{"formic added up", []method.Name{method.Pad}, formicAdded},
	{"still in the hive", nil, stillIn},
	{"supers for harvest", nil, supers},
	{"withdrawal", nil, withdrawal},
	{"honey for people", nil, honey},
	{"stores", []method.Name{method.Dribble, method.Pad}, stores},
	{"queen", nil, queen},
	{"room above", []method.Name{method.Pad}, room},
	{"season", []method.Name{method.Dribble}, noSeason},
	{"harmful heat", nil, heat},
	{"days of the course", []method.Name{method.Pad}, courseWeather},
	{"days to walk", []method.Name{method.Strip}, walking},
	{"frost at night", []method.Name{method.Dribble}, frost},
	{"weather", nil, weather},
	{"mites to come", nil, mitesAhead},
	{"a count first", nil, countHelps},
}

// How long what was seen holds, in days: seams and stores change slowly, supers by the
// keeper's own hand.
const seamsFresh, storesFresh, supersFresh = 42, 42, 30

// smallest is what is worth a treatment, in quarters: 1½ seams.
const smallest = 6

func (c Case) cold() bool { return c.On.Cold(c.Latitude) }

// age is how many days lie between a look and the day.
func age[T any](c Case, l Observed[T]) int { return int(c.On - l.On) }

func seen[T any](code string, v Verdict, l Observed[T], figures ...float64) (Reason, bool) {
	return Reason{Code: code, Verdict: v, Source: FromInspection, On: l.On, Figures: figures}, true
}

func unseen(code string) (Reason, bool) {
	return Reason{Code: code, Verdict: LookFirst, Source: FromInspection}, true
}

// How near, in days, a job that is only planned has to be to bear on another: a plan for a
// later day is a treatment of its own.
const samePlanNear, otherPlanNear = 42, 28

// inJob: in_job, for the same method; in_other_job; with its name. Nothing of it was given yet.
func inJob(c Case) (Reason, bool) {
	var found Reason
	for _, j := range c.Colony.Jobs {
		r := Reason{Code: "in_other_job", Verdict: WithCare, Source: FromPlan, On: j.Day, Words: j.Name}
		near := calendar.Day(otherPlanNear)
		if j.Method == c.Under.Method {
			r.Code, near = "in_job", samePlanNear
		}
		if j.Day-c.On > near {
			continue
		}
		if r.Code == "in_job" {
			return r, true
		}
		found = r
	}
	return found, found.Code != ""
}

// changed: changed_joined, changed_split, changed_swarmed, changed_boxes, changed_queen.
func changed(c Case) (Reason, bool) {
	k := c.Colony.Changed
	if !k.Seen {
		return Reason{}, false
	}
	return Reason{Code: "changed_" + string(k.What), Verdict: LookFirst, Source: FromColony, On: k.On}, true
}

// tooSmall: too_small (seams).
func tooSmall(c Case) (Reason, bool) {
	q := c.Colony.Quarters
	if !q.Seen || q.What == 0 || q.What >= smallest {
		return Reason{}, false
	}
	return seen("too_small", DoesNotFit, q, float64(q.What)/4)
}

// bees: no_bees; seams_unseen; seams_old.
func bees(c Case) (Reason, bool) {
	q := c.Colony.Quarters
	switch {
	case !q.Seen:
		return unseen("seams_unseen")
	case q.Seen && q.What == 0:
		return seen("no_bees", DoesNotFit, q)
	case q.Seen && c.Under.Method == method.Dribble && age(c, q) > seamsFresh:
		return seen("seams_old", WithCare, q)
	}
	return Reason{}, false
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
	case age(c, s) > supersFresh && (s.What > 0 || !c.cold()):
		return seen("supers_old", LookFirst, s)
	case s.What > 0 && c.Under.Supers == SupersOff:
		return seen("supers_on", MustNot, s, float64(s.What))
	case s.What > 0:
		return seen("supers_label", WithCare, s, float64(s.What))
	}
	return Reason{}, false
}

// withdrawal: withdrawal (days, supers seen): what is on the hive then is not harvested
// before.
func withdrawal(c Case) (Reason, bool) {
	s := c.Colony.Supers
	if c.Under.Withdrawal == 0 || !s.Seen || s.What == 0 {
		return Reason{}, false
	}
	r, holds := seen("withdrawal", WithCare, s, float64(c.Under.Withdrawal), float64(s.What))
	r.To = c.On + calendar.Day(c.Under.Withdrawal)
	return r, holds
}

// honey: for_honey; for_honey_permit.
func honey(c Case) (Reason, bool) {
	switch {
	case !c.Colony.ForHoney:
	case c.Under.OutOfHoney:
		return Reason{Code: "for_honey", Verdict: MustNot, Source: FromColony}, true
	case c.Under.Method == method.Strip:
		return Reason{Code: "for_honey_permit", Verdict: WithCare, Source: FromColony}, true
	}
	return Reason{}, false
}

// stores: stores_unseen; stores_light; stores_arch; stores_old.
func stores(c Case) (Reason, bool) {
	s := c.Colony.Stores
	dribble := c.Under.Method == method.Dribble
	switch {
	case !s.Seen && dribble:
		return unseen("stores_unseen")
	case s.Seen && dribble && age(c, s) > storesFresh:
		return seen("stores_old", LookFirst, s)
	case s.Seen && s.What == Light && dribble:
		return seen("stores_light", DoesNotFit, s) // hungry bees drink even a 1 : 1 syrup
	case s.Seen && s.What == Light:
		return seen("stores_arch", WithCare, s)
	}
	return Reason{}, false
}

// queen: queenless; queen_young; queen_unseen.
func queen(c Case) (Reason, bool) {
	q := c.Colony.Queen
	switch {
	case q.Seen && q.What == Queenless:
		return seen("queenless", WithCare, q)
	case c.Under.Method != method.Pad:
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
