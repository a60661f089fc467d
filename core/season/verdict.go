package season

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
	FromForecast   Source = "forecast"
)

// Reason is why a verdict is what it is. Code names it; Figures are its numbers,
// listed at each code in reasons.go. On is the day of the datum, 0 where it has none.
type Reason struct {
	Code    string
	Verdict Verdict
	Source  Source
	On      calendar.Day
	Figures []float64
}

// Judgement is a verdict with all its reasons, the weightiest first.
type Judgement struct {
	Verdict Verdict
	Reasons []Reason
}

// Case is one colony, method and day, with all that bears on it.
type Case struct {
	Colony   Colony
	On       calendar.Day
	Latitude float64
	Under    Conditions
	Weather  Outlook
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
	slices.SortStableFunc(out.Reasons, func(a, b Reason) int { return int(b.Verdict) - int(a.Verdict) })
	return out
}
