package treatment

import (
	"slices"

	"keeler/core/calendar"
	"keeler/core/method"
)

// Hold is why honey that is on a hive, or comes onto it, is not for people: something is in
// it, or the days of a label have not passed.
type Hold struct {
	In      bool         // of what is in
	Until   calendar.Day // the first day on which honey may be taken; 0: it is not known while something is in
	Method  method.Name
	Product string
}

// Held tells whether honey is held back on a day. The days of a label count from when what
// was given came out, of what does not stay from the dose: the longer of what labels mean.
func Held(all []Treatment, on calendar.Day) (h Hold, held bool) {
	for _, t := range slices.Backward(all) {
		if t.Method.Stays() && t.In(on) {
			return Hold{In: true, Method: t.Method, Product: t.Product}, true
		}
	}
	for _, t := range all {
		if until := t.Out + calendar.Day(t.Withdrawal); t.Given <= on && t.Withdrawal > 0 && until > on && until > h.Until {
			h, held = Hold{Until: until, Method: t.Method, Product: t.Product}, true
		}
	}
	return h, held
}
