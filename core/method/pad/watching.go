package pad

import "keeler/core/chem"

// Pace is how a day stands to the band.
type Pace string

const (
	Slow   Pace = "slow"
	InBand Pace = "in_band"
	Fast   Pace = "fast"
	// TooFast is over what is warned about: queens and brood are at risk.
	TooFast Pace = "too_fast"
)

// warnDay is g a day above which it is warned about.
const warnDay = 30

// Stands holds g a day against the band of the hive. area is how much of the wick would
// bring it to the middle of the band; 0 where it is in it, or the area is not known.
func (e Evaporating) Stands(day chem.Grams) (p Pace, area float64) {
	low, high := e.band()
	switch {
	case day > warnDay:
		p = TooFast
	case day > high:
		p = Fast
	case day < low:
		p = Slow
	default:
		return InBand, 0
	}
	if e.Area > 0 && day > 0 {
		area = e.Area * float64(low+high) / 2 / float64(day)
	}
	return p, area
}

// Watching is what weighings tell of one device, g a day of acid and water.
type Watching struct {
	Day         chem.Grams // between the last two
	Low, High   chem.Grams // what is aimed at
	Pace        Pace
	Area        float64      // cm² of wick that would bring it to the middle; 0: it is in the band, or not known
	Rose        bool         // it weighs more than before
	Factor, Off float64      // by how much it is faster than the rule, and the standard error; 0: not known
	Empty       int          // hours after the first weighing; -1: not within the hours known, or nobody can tell
	Net         []Weighing   // what was left in it at each weighing but the first; nil: nobody knows
	Ahead       []chem.Grams // and what is left at each hour from the last of them on, by the forecast
}

// Watch holds weighings of a device with all that hangs on it, in hours from the first of
// them on, against the band, and tells when it will be empty: by its own factor, and until
// that is known by e.Factor, that of its kind. whole reports whether the first was of the
// full device: else nobody knows how much is in it. outside begins with the first weighing.
// ok is false where there are not two that lie an hour apart.
func (e Evaporating) Watch(gross []Weighing, whole bool, outside []float64) (w Watching, ok bool) {
	n := len(gross)
	if n < 2 || gross[n-1].Hour <= gross[n-2].Hour {
		return Watching{}, false
	}
	before, last := gross[n-2], gross[n-1]
	w = Watching{Day: (before.Left - last.Left) * 24 / chem.Grams(last.Hour-before.Hour), Empty: -1}
	w.Low, w.High = e.band()
	w.Rose = w.Day < 0
	w.Pace, w.Area = e.Stands(w.Day)
	if !whole || e.Full <= 0 || last.Hour >= len(outside) {
		return w, true
	}
	net := e.Net(gross)
	if factor, off, learnt := e.Learn(outside, net); learnt {
		w.Factor, w.Off, e.Factor = factor, off, factor
	}
	if e.Factor == 0 || !Known(outside[:last.Hour]) {
		return w, true
	}
	ahead := e.run(net[n-2].Left, bridged(outside)[last.Hour:])
	w.Net, w.Ahead = net, ahead.Left
	if ahead.Empty >= 0 {
		w.Empty = last.Hour + ahead.Empty
		w.Ahead = w.Ahead[:ahead.Empty+1]
	}
	return w, true
}

// Expected is g of acid and water over the next 24 hours of weather, from a device that much
// is left in still; fewer hours count as a part of a day.
func (e Evaporating) Expected(outside []float64) chem.Grams {
	return chem.Grams(e.expected(outside[:min(24, len(outside))]))
}
