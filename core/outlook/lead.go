package outlook

import (
	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/mites"
)

// Fresh is for how many days a count goes before the model, where nothing was given since.
const Fresh = 21

// probably is the chance from which a colony is said to be over the threshold.
const probably = 0.8

// Lead tells a crossing that was reckoned on a day from so many counts; stood is how the newest of them stands while it is
// fresh, or else empty.
func (c Crossing) Lead(today calendar.Day, counts int, stood mites.Standing) fit.Lead {
	switch {
	case counts == 0:
		return fit.Uncounted
	case stood == mites.Over:
		return fit.CountedOver
	case stood == mites.Under && c.From == today:
		return fit.CountedUnder
	case c.Now >= probably:
		return fit.OverNow
	case c.From == today:
		return fit.PerhapsNow
	case c.To != 0:
		return fit.OverBetween
	case c.From != 0:
		return fit.PerhapsLater
	}
	return fit.NotBefore
}
