// Package agenda tells what a keeper has to see to besides what follows from treatments:
// hives that nobody treated, counted or looked into, and what on the shelf is near its end.
package agenda

import (
	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/stock"
)

// Kind is what there is to see to.
type Kind string

const (
	DoubleDose Kind = "double_dose" // one acid was given twice on a day
	BatchWrong Kind = "batch_wrong" // it was given from a batch that was found wrong afterwards
	Treat      Kind = "treat"       // over the threshold, and in no job
	CountFirst Kind = "count"       // nobody counted for a year
	CountMore  Kind = "count_more"  // what was counted is too little to tell
	CountAgain Kind = "count_again" // mites may have grown since, or were treated
	LookIn     Kind = "look_in"     // nobody has seen its bees for long
	UseUp      Kind = "use_up"      // a batch whose last good day is here
	ThrowOut   Kind = "throw_out"   // and one whose is over
	LotEnds    Kind = "lot_ends"    // a lot near its last day
	LotOver    Kind = "lot_over"    // and one past it
)

// Urgent reports whether it is to be seen to now, and not when one comes by next.
func (k Kind) Urgent() bool { return k == DoubleDose || k == BatchWrong || k == Treat || k == UseUp }

// Hive is what bears on what one calls for.
type Hive struct {
	Count    fit.Counted
	Need     fit.Need // by its own count and those of its yard
	InJob    bool     // a dose is still to come, or something is in it
	Seen     calendar.Day
	Began    calendar.Day // when it was taken on
	Latitude float64
	// Doubled is the newest day on which it got one acid twice; 0: none.
	Doubled calendar.Day
	// Doubted is the newest day on which it was given from a batch that was found wrong; 0: none.
	Doubted calendar.Day
}

// unseenLong is after how many days without a look a hive is called for: in the season of
// swarms, and of queens that fail, a month is long.
const unseenLong = 30

// Calls are what a hive calls for on a day, the weightiest first.
func (h Hive) Calls(today calendar.Day) []Kind {
	var out []Kind
	if h.Doubled != 0 {
		out = append(out, DoubleDose)
	}
	if h.Doubted != 0 {
		out = append(out, BatchWrong)
	}
	switch {
	case h.InJob: // counting comes after it
	case h.Need == fit.NeedTreat:
		out = append(out, Treat)
	case h.Need == fit.NeedCount && h.Count.On == 0:
		out = append(out, CountFirst)
	case h.Need == fit.NeedCount:
		out = append(out, CountMore)
	case h.Need == fit.NeedRecount:
		out = append(out, CountAgain)
	}
	if h.unseen(today) {
		out = append(out, LookIn)
	}
	return out
}

// unseen reports whether nobody has looked for long. In the cold half-year one does not open
// a hive to look.
func (h Hive) unseen(today calendar.Day) bool {
	return !today.Cold(h.Latitude) && today-max(h.Seen, h.Began) > unseenLong
}

// drops are so little, mL, g or pieces, that nobody does anything with it.
const drops = 1

// lotSoon is how many days before its last day a lot is told of: there must be time to buy.
const lotSoon = 30

// Batch is what a batch calls for of which something is left; false: nothing.
func Batch(left float64, useBy, today calendar.Day) (Kind, bool) {
	if left < drops || useBy == 0 {
		return "", false
	}
	switch stock.Keeps(today, useBy) {
	case stock.Past:
		return ThrowOut, true
	case stock.Soon:
		return UseUp, true
	}
	return "", false
}

// Lot is the same of a lot.
func Lot(left float64, expires, today calendar.Day) (Kind, bool) {
	switch {
	case left < drops || expires == 0 || expires-today > lotSoon:
		return "", false
	case today > expires:
		return LotOver, true
	}
	return LotEnds, true
}
