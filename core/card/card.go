// Package card is what a keeper copied from the label of the product in hand, as far as
// it says when and how often the product is given. Its dose stands with the methods.
package card

import (
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
)

// Content is the label without its dose.
type Content struct {
	Contents    string  `json:"contents,omitempty" maxLength:"500" doc:"What is in it, as printed."`
	Preparation string  `json:"preparation,omitempty" maxLength:"500" doc:"Shake, warm, look for sediment…"`
	Spent       string  `json:"spent,omitempty" maxLength:"300" doc:"What becomes of what comes out of the hive, as printed."`
	MinC        float64 `json:"min_c" doc:"Outside temperature, −20 to 40 °C."`
	MaxC        float64 `json:"max_c" doc:"Above min_c, to 40 °C."`
	Broodless   bool    `json:"broodless,omitempty" doc:"Only without sealed brood."`
	Supers      string  `json:"supers" enum:"off,label,allowed" doc:"Supers for harvest: off, not said, or allowed."`
	OutOfHoney  bool    `json:"out_of_honey,omitempty" doc:"Only for colonies that make no honey for people."`
	DaysInLow   int     `json:"days_in_low,omitempty" doc:"Days in the hive at least, 0 to 120."`
	DaysInHigh  int     `json:"days_in_high,omitempty" doc:"Days in the hive at most, days_in_low to 120."`
	Repeats     int     `json:"repeats,omitempty" doc:"Further times, 0 to 20."`
	DaysApart   int     `json:"days_apart,omitempty" doc:"Days between, 0 to 60."`
	Swap        bool    `json:"swap,omitempty" doc:"The next pads go in while the last are still there."`
	Withdrawal  *int    `json:"withdrawal_days,omitempty" doc:"Days until honey may be taken, 0 to 365; left out: the label does not say."`
}

// Prefix stands before the id of a card where a protocol could be named.
const Prefix = fit.CardPrefix

// Begin is a blank card of a method: what its usual protocol asks.
func Begin(m method.Name) Content {
	c := fit.Basic(m)
	return Content{MinC: c.MinC, MaxC: c.MaxC, Broodless: c.Broodless, Supers: string(c.Supers), DaysInLow: c.DaysInLow, DaysInHigh: c.DaysInHigh}
}

// Course is what the dose of a card says of visits: how many, the first included, and the
// days between; 0 where it says nothing.
type Course struct{ Visits, Apart int }

// Conditions are what the card asks of colony, day and weather. Where the dose says of
// more than one visit, that counts. A fault.List when they cannot be.
func (k Content) Conditions(id string, m method.Name, dose Course) (fit.Conditions, error) {
	out := fit.Basic(m)
	out.ID, out.Method = Prefix+id, m
	out.Broodless, out.Supers, out.OutOfHoney = k.Broodless, fit.Supers(k.Supers), k.OutOfHoney
	out.MinC, out.MaxC, out.BestLowC, out.BestHighC = k.MinC, k.MaxC, k.MinC, k.MaxC
	out.DaysInLow, out.DaysInHigh = k.DaysInLow, k.DaysInHigh
	out.Label, out.Swap = true, k.Swap
	if k.Withdrawal != nil {
		out.Withdrawal = *k.Withdrawal
	}
	out.Visits, out.ApartLow, out.ApartHigh = 1+k.Repeats, k.DaysApart, k.DaysApart
	if dose.Visits > 1 {
		out.Visits = dose.Visits
		if dose.Apart > 0 {
			out.ApartLow, out.ApartHigh = dose.Apart, dose.Apart
		}
	}
	if out.HarmC > 0 { // of vapour that harms in heat the label's own range is the limit
		out.HarmC = k.MaxC
	}
	return out, out.Check()
}

// Check appends what cannot be on a card, beside its conditions.
func (k Content) Check(l *fault.List) {
	l.Within("repeats", float64(k.Repeats), 0, 20, "times")
	l.Within("days_apart", float64(k.DaysApart), 0, 60, "days")
	if k.Withdrawal != nil {
		l.Within("withdrawal_days", float64(*k.Withdrawal), 0, 365, "days")
	}
}
