package fit

import (
	"math"

	"keeler/core/calendar"
	"keeler/core/mites"
)

// Lead is what leads of all that is told of a colony's mites.
type Lead string

// The leads. Without a count nothing is told but that, and what a fresh count says goes before all that a model does.
const (
	Uncounted    Lead = "uncounted"
	CountedOver  Lead = "counted_over"
	CountedUnder Lead = "counted_under" // though the model has it over
	OverNow      Lead = "now"
	PerhapsNow   Lead = "perhaps_now"
	OverBetween  Lead = "between"
	PerhapsLater Lead = "perhaps"
	NotBefore    Lead = "not_before"
)

// Ahead is what a forecast of mites (core/outlook) says of a colony to who decides. The zero value: nothing was reckoned.
type Ahead struct {
	Lead     Lead
	Now      float64      // the chance that it is over its threshold on the day of the forecast, 0 to 1
	Chance   float64      // that it comes to be by the last day, if nothing is done
	By       calendar.Day // the last day
	From, To calendar.Day // it comes to be by From in one of ten cases, in nine by To; each 0 where not by the last day
	Count    mites.Count  // the one to make, where it tells more than in most colonies of the yard; empty in others
	Narrows  float64      // by which share that would narrow the band, 0 to 1
	Settled  bool         // its yard is treated, whatever a count of it would say
}

// open reports whether neither a count nor the forecast says whether the colony is over its threshold, and that matters.
func (a Ahead) open() bool { return !a.Settled && (a.Lead == Uncounted || a.Lead == PerhapsNow) }

// mitesAhead: ahead_now, ahead_perhaps_now, ahead_between, ahead_perhaps, ahead_not_before (chances now and by the last
// day). It tells when mites are too many, never that a method fits or does not.
func mitesAhead(c Case) (Reason, bool) {
	a := c.Colony.Ahead
	switch a.Lead {
	case "", Uncounted, CountedOver, CountedUnder:
		return Reason{}, false
	}
	r := Reason{Code: "ahead_" + string(a.Lead), Source: FromForecast, From: a.From, To: a.To, Figures: []float64{a.Now, a.Chance}}
	if r.To == 0 {
		r.To = a.By
	}
	return r, true
}

// countHelps: count_first where it is open whether the colony needs a treatment; count_helps where a count would only tell
// more. From is the day to begin it. Figures: by how much of a hundred the band would be narrower, the days of a board, the
// bees of a wash; each 0 for the other.
func countHelps(c Case) (Reason, bool) {
	a := c.Colony.Ahead
	r := Reason{
		Code: "count_helps", Source: FromForecast, From: a.Count.Began(),
		Figures: []float64{math.Round(100 * a.Narrows), a.Count.Days, float64(a.Count.Bees)},
	}
	if a.open() {
		r.Code, r.Verdict = "count_first", WithCare
	}
	return r, a.Count.Kind != ""
}
