package fit

import (
	"slices"

	"keeler/core/calendar"
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/treatment"
)

// What was given before, in days (docs/sources.md, After one another).
const (
	// periodLeast is how far a broodless period reaches back at least.
	periodLeast = 42
	// stripsLinger is how long strips count after they came out.
	stripsLinger = 14
	// otherAcidApart is how close formic and oxalic acid should not be.
	otherAcidApart = 7
	// formicApart is how close a course of formic acid should not be to the end of another.
	formicApart = treatment.FormicAddsUp
	// visitLate is how far apart two visits are that are no longer one course.
	visitLate = 10
)

// broodlessSince is how far back the broodless period of a day reaches: to the later of
// the last sealed brood and the start of the half-year, and never less than 42 days.
func (c Case) broodlessSince() calendar.Day {
	return min(c.On-periodLeast, max(c.Colony.Sealed, c.On.HalfBegan(c.Latitude)))
}

// oxalicAlready: dribbled_already and vaporised_already, within the broodless period (1
// in the cluster, 0 in season); dribbled_this_winter, with brood between. Doses of a label's
// own course are not weighed: its repeats are as it says.
func oxalicAlready(c Case) (Reason, bool) {
	since := c.broodlessSince()
	winter := 0.0
	began := since
	if c.cold() {
		began, winter = min(began, c.On.HalfBegan(c.Latitude)), 1
	}
	onCourse := c.labelCourse()
	var found Reason
	for _, t := range c.Colony.Treatments {
		if !t.Method.Oxalic() || t.Given > c.On || t.Given < began || onCourse && c.underLabel(t) {
			continue
		}
		r := Reason{Source: FromRecord, On: t.Given, Figures: []float64{winter}}
		switch {
		case t.Given >= since && t.Method == method.Dribble:
			r.Code, r.Verdict = "dribbled_already", MustNot
		case t.Given >= since:
			r.Code, r.Verdict = "vaporised_already", DoesNotFit
		default:
			r.Code, r.Verdict = "dribbled_this_winter", WithCare
		}
		if found.Code == "" || r.Verdict > found.Verdict || r.Verdict == found.Verdict && r.On > found.On {
			found = r
		}
	}
	return found, found.Code != ""
}

// underLabel reports whether a treatment was given under the label card of the case.
func (c Case) underLabel(t treatment.Treatment) bool {
	return c.Under.Label && t.Card != "" && c.Under.ID == CardPrefix+t.Card
}

// labelCourse reports whether a dose of the case's day would be a repeat by its label.
func (c Case) labelCourse() bool {
	if !c.Under.Label || c.Under.Visits < 2 {
		return false
	}
	n, _ := visits(c, method.Dribble)
	return n > 0 && n < c.Under.Visits
}

// repeat: repeat (which one, of how many) and repeat_early (days it waits), by a label: only
// doses under it are doses of its course.
func repeat(c Case) (Reason, bool) {
	if !c.labelCourse() {
		return Reason{}, false
	}
	n, last := visits(c, method.Dribble)
	r := Reason{Code: "repeat", Source: FromRecord, On: last, Figures: []float64{float64(n + 1), float64(c.Under.Visits)}}
	if wait := c.Under.ApartLow - int(c.On-last); wait > 0 {
		r.Code, r.Verdict, r.Figures = "repeat_early", DoesNotFit, []float64{float64(wait)}
	}
	return r, true
}

// sameDay: same_day, the same acid on the same day. Nobody gives it twice without a reason.
func sameDay(c Case) (Reason, bool) {
	_, given := c.Under.Acids().GivenOn(c.Colony.Treatments, c.On)
	return Reason{Code: "same_day", Verdict: MustNot, Source: FromRecord, On: c.On}, given
}

// LateAfter is from how many days on after the last one a missed visit begins a new course.
func (c Conditions) LateAfter() int { return max(visitLate, c.ApartHigh+3) }

// visits counts the visits of the course that is under way on the case's day, and tells
// when the last was: none where it is so long ago that the course begins again. Of a label's
// course only doses under that label count, of a protocol's only those under no label.
func visits(c Case, m method.Name) (n int, last calendar.Day) {
	var given []calendar.Day
	for _, t := range c.Colony.Treatments {
		ofCourse := t.Card == ""
		if c.Under.Label {
			ofCourse = c.underLabel(t)
		}
		if t.Method == m && ofCourse && t.Given <= c.On && !t.Extra {
			given = append(given, t.Given)
		}
	}
	slices.Sort(given)
	given = slices.Compact(given)
	before := c.On
	for i := len(given) - 1; i >= 0 && int(before-given[i]) < c.Under.LateAfter(); i-- {
		n++
		last, before = max(last, given[i]), given[i]
	}
	return n, last
}

// stripsOut: strips_just_out (days ago).
func stripsOut(c Case) (Reason, bool) {
	for _, t := range c.Colony.Treatments {
		if t.Method == method.Strip && t.Out > t.Given && t.Out <= c.On && c.On-t.Out < stripsLinger {
			return Reason{Code: "strips_just_out", Verdict: WithCare, Source: FromRecord, On: t.Out, Figures: []float64{float64(c.On - t.Out)}}, true
		}
	}
	return Reason{}, false
}

// dribbledBeforeStrips: dribbled_before_strips (days ago), within a fortnight.
func dribbledBeforeStrips(c Case) (Reason, bool) {
	for _, t := range slices.Backward(c.Colony.Treatments) {
		if t.Method.Oxalic() && t.Given <= c.On && c.On-t.Given < stripsLinger {
			return Reason{Code: "dribbled_before_strips", Verdict: WithCare, Source: FromRecord, On: t.Given, Figures: []float64{float64(c.On - t.Given)}}, true
		}
	}
	return Reason{}, false
}

// otherAcid: formic_just_given, oxalic_just_given, both with the days since it ended: since it
// was taken out, or its last day of work.
func otherAcid(c Case) (Reason, bool) {
	acids := c.Under.Acids()
	for _, t := range slices.Backward(c.Colony.Treatments) {
		ended, over := t.Ended(c.On)
		if !over || c.On-ended > otherAcidApart {
			continue // what is in is told by stillIn
		}
		r := Reason{Verdict: WithCare, Source: FromRecord, On: ended, Figures: []float64{float64(c.On - ended)}}
		switch given := t.Acids(); {
		case acids.Oxalic && given.Formic:
			r.Code = "formic_just_given"
		case acids.Formic && given.Oxalic:
			r.Code = "oxalic_just_given"
		default:
			continue
		}
		return r, true
	}
	return Reason{}, false
}

// formicAgain: formic_again (days since the earlier ended), within 28 days of a course that
// is over.
func formicAgain(c Case) (Reason, bool) {
	if n, _ := visits(c, method.Pad); n > 0 && n < c.Under.Visits {
		return Reason{}, false // it is the next of its course
	}
	for _, t := range slices.Backward(c.Colony.Treatments) {
		if ended, over := t.Ended(c.On); over && t.Acids().Formic && c.On-ended <= formicApart {
			return Reason{Code: "formic_again", Verdict: WithCare, Source: FromRecord, On: ended, Figures: []float64{float64(c.On - ended)}}, true
		}
	}
	return Reason{}, false
}

// formicAdded: formic_added (g of pure acid on a brood box in the 28 days up to the case's, and
// the most of an established course). What is given on top of it is not known yet.
func formicAdded(c Case) (Reason, bool) {
	grams := treatment.FormicAdded(c.Colony.Treatments, c.Colony.Boxes, c.On)
	r := Reason{Code: "formic_added", Verdict: WithCare, Source: FromRecord, Figures: []float64{float64(grams), float64(pad.CourseHigh)}}
	if grams >= pad.CourseMost {
		r.Verdict, r.Figures[1] = MustNot, float64(pad.CourseMost)
	}
	return r, grams > pad.CourseHigh
}

// course: course_next (which visit, of how many); course_late (the same, days since the
// last); course_early (days it waits, days since the last).
func course(c Case) (Reason, bool) {
	n, last := visits(c, method.Pad)
	if c.Under.Visits < 2 || n == 0 || n >= c.Under.Visits {
		return Reason{}, false
	}
	since := int(c.On - last)
	r := Reason{Code: "course_next", Source: FromRecord, On: last, Figures: []float64{float64(n + 1), float64(c.Under.Visits), float64(since)}}
	switch {
	case since < c.Under.ApartLow:
		r.Code, r.Verdict, r.Figures = "course_early", DoesNotFit, []float64{float64(c.Under.ApartLow - since), float64(since)}
	case since > c.Under.ApartHigh:
		r.Code, r.Verdict = "course_late", WithCare
	}
	return r, true
}

// overdue: overdue (days past its last day, days in; 1 for strips, 2 for formic acid).
// It stands first: what is in too long comes out before anything else is thought of.
func overdue(c Case) (Reason, bool) {
	var found Reason
	for _, t := range c.Colony.Treatments {
		past := t.Overdue(c.On)
		if past <= 0 || found.Code != "" && found.Figures[0] >= float64(past) {
			continue
		}
		found = Reason{
			Code: "overdue", Verdict: WithCare, Source: FromRecord, On: t.Given, first: true,
			Figures: []float64{float64(past), float64(c.On - t.Given), map[method.Name]float64{method.Strip: 1, method.Pad: 2}[t.Method]},
		}
		if t.Method == c.Under.Method {
			found.Verdict = DoesNotFit
		}
	}
	return found, found.Code != ""
}

// stillIn: same_still_in; other_still_in; both with 1 for strips, 2 for formic
// acid, 0 for another treatment, and the days in.
func stillIn(c Case) (Reason, bool) {
	var found Reason
	for _, t := range c.Colony.Treatments {
		if t.Method.Oxalic() || !t.In(c.On) || t.Overdue(c.On) > 0 {
			continue // what does not stay, and what is overdue and said to be
		}
		r := Reason{
			Code: "other_still_in", Verdict: WithCare, Source: FromRecord, On: t.Given,
			Figures: []float64{map[method.Name]float64{method.Strip: 1, method.Pad: 2}[t.Method], float64(c.On - t.Given)},
		}
		if t.Method == c.Under.Method {
			if n, _ := visits(c, method.Pad); t.Method == method.Pad && c.Under.Swap && n > 0 && n < c.Under.Visits {
				continue // the next visit of its course takes its place
			}
			r.Code, r.Verdict = "same_still_in", DoesNotFit
		}
		if found.Code == "" || r.Verdict > found.Verdict {
			found = r
		}
	}
	return found, found.Code != ""
}
