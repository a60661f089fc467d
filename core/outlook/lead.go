package outlook

import (
	"keeler/core/calendar"
	"keeler/core/mites"
)

// Lead is which sentence about a colony leads.
type Lead string

// The leads. Without a count nothing is told but that, and what a fresh count says goes before all that a model does.
const (
	Uncounted    Lead = "uncounted"
	CountedOver  Lead = "counted_over"
	CountedUnder Lead = "counted_under" // though the model has it over
	OverNow      Lead = "now"
	PerhapsNow   Lead = "perhaps:now"
	OverBetween  Lead = "between"
	PerhapsLater Lead = "perhaps"
	NotBefore    Lead = "not_before"
)

// Fresh is for how many days a count goes before the model, where nothing was given since.
const Fresh = 21

// probably is the chance from which a colony is said to be over the threshold.
const probably = 0.8

// Lead tells a crossing that was reckoned on a day from so many counts; stood is how the newest of them stands while it is
// fresh, or else empty.
func (c Crossing) Lead(today calendar.Day, counts int, stood mites.Standing) Lead {
	switch {
	case counts == 0:
		return Uncounted
	case stood == mites.Over:
		return CountedOver
	case stood == mites.Under && c.From == today:
		return CountedUnder
	case c.Now >= probably:
		return OverNow
	case c.From == today:
		return PerhapsNow
	case c.To != 0:
		return OverBetween
	case c.From != 0:
		return PerhapsLater
	}
	return NotBefore
}
