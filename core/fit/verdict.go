package fit

import (
	"slices"

	"keeler/core/calendar"
)

// Verdict is how a method fits; a higher one weighs more.
type Verdict uint8

const (
	Fits       Verdict = iota
	WithCare           // it fits, and something is to be minded
	LookFirst          // something is not known that decides it
	DoesNotFit         // it would not work, or do harm to no purpose
	MustNot            // it harms bees or people
	verdicts
)

// VerdictNames are the verdicts in words, by Verdict.
var VerdictNames = [verdicts]string{"fits", "with_care", "look_first", "does_not_fit", "must_not"}

// Source is where a datum came from.
type Source string

const (
	FromInspection Source = "inspection"
	FromColony     Source = "colony"
	FromRecord     Source = "record"
	FromPlan       Source = "plan"
	FromForecast   Source = "forecast"
)

// Reason is why a verdict is what it is. Code names it; Figures are its numbers,
// listed at the rule that gives it. On is the day of the datum, 0 where it has none;
// From and To are the days between which something holds. Words are a name.
type Reason struct {
	Code     string
	Verdict  Verdict
	Source   Source
	On       calendar.Day
	From, To calendar.Day
	Figures  []float64
	Words    string
	first    bool // it stands before weightier ones
}

// Judgement is a verdict with all its reasons: what must come out of the hive, then
// the weightiest first.
type Judgement struct {
	Verdict Verdict
	Reasons []Reason
}

// Ask reports whether a reason is asked of the keeper before the colony goes into a job:
// the method does not fit it, or another open job does the same already.
func (j Judgement) Ask() bool {
	return j.Verdict >= DoesNotFit || slices.ContainsFunc(j.Reasons, func(r Reason) bool { return r.Code == "in_job" })
}

// Case is one colony, method and day, with all that bears on it.
type Case struct {
	Colony   Colony
	On       calendar.Day
	Latitude float64
	Under    Conditions
	Weather  Outlook
	// Deep is when the colony sits in its deepest cluster, see calendar.DeepCluster.
	Deep calendar.Span
	// Chosen: the keeper chose the conditions, they are not the usual of the season.
	Chosen bool
}

// Judge weighs a case by all rules that concern its method.
func Judge(c Case) Judgement {
	var out Judgement
	for _, r := range Rules {
		if len(r.Of) > 0 && !slices.Contains(r.Of, c.Under.Method) {
			continue
		}
		if reason, holds := r.weigh(c); holds {
			out.Reasons = append(out.Reasons, reason)
			out.Verdict = max(out.Verdict, reason.Verdict)
		}
	}
	slices.SortStableFunc(out.Reasons, func(a, b Reason) int {
		if a.first != b.first {
			return map[bool]int{true: -1, false: 1}[a.first]
		}
		return int(b.Verdict) - int(a.Verdict)
	})
	return out
}
