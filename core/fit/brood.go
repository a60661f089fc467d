package fit

import "keeler/core/calendar"

// How long an inspection without sealed brood holds, in days (docs/sources.md, Brood and mites): eggs
// are capped on day 9 and may be three days old; of larvae that were there, or were not
// looked for, some may be capped the next day.
const (
	holdsClean  = 9 // neither eggs nor larvae
	holdsEggs   = 6 // eggs alone
	careLarvae  = 3 // with care; it holds for its own day
	holdsDeep   = 21
	broodGone   = 21 // brood seen in the cluster may be out after a worker's whole time
	workersOut  = 21 // after laying stopped
	dronesOut   = 24
	capsAgain   = 9 // after laying began again
	broodDouble = 30.0
)

// holds is for how many days after it the colony's inspection without sealed brood
// counts, and for how many more with care.
func (c Case) holds() (sure, care int) {
	b, eggs, larvae := c.Colony.Brood, c.Colony.Eggs, c.Colony.Larvae
	eggless := eggs.Seen && eggs.On == b.On && !eggs.What
	switch {
	case c.Deep.Holds(b.On) && c.Deep.Holds(c.On):
		return holdsDeep, holdsDeep
	case !larvae.Seen || larvae.On != b.On || larvae.What:
		return 0, careLarvae
	case eggless:
		return holdsClean, holdsClean
	}
	return holdsEggs, holdsEggs
}

// sealedBrood: brood_unseen; brood_present (0 none, 1 little, 2 much seen);
// brood_may_be_gone; brood_old (days it holds); brood_soon (days it holds with care);
// broodless.
func sealedBrood(c Case) (Reason, bool) {
	b := c.Colony.Brood
	if !c.Under.Broodless {
		return Reason{}, false
	}
	if from, _, in := c.Colony.Break.window(c.On); in && b.On < from {
		return Reason{}, false // the break says: look inside it
	}
	if !b.Seen {
		return unseen("brood_unseen")
	}
	days := age(c, b)
	if b.What != BroodNone {
		if c.cold() && days >= broodGone {
			return seen("brood_may_be_gone", LookFirst, b)
		}
		return seen("brood_present", DoesNotFit, b, map[Brood]float64{BroodLittle: 1, BroodMuch: 2}[b.What])
	}
	sure, care := c.holds()
	switch {
	case days <= sure:
		return seen("broodless", Fits, b)
	case days <= care:
		return seen("brood_soon", WithCare, b, float64(care))
	}
	return seen("brood_old", LookFirst, b, float64(care))
}

// window is the time of a break in which no cell is capped: from when the drones are
// out until laying begun again brings new caps; to is 0 while it has not begun. in tells
// whether a day lies in it.
func (b Break) window(on calendar.Day) (from, to calendar.Day, in bool) {
	if b.Stopped == 0 {
		return 0, 0, false
	}
	from = b.Stopped + dronesOut
	if b.Resumed > 0 {
		to = b.Resumed + capsAgain - 1
	}
	return from, to, on >= from && (to == 0 || on <= to)
}

// Window is the time in which an oxalic treatment meets all mites, for telling it;
// open reports whether it has no end yet. ok is false without a break, or when laying
// began again too soon for there to be any.
func (b Break) Window() (from, to calendar.Day, open, ok bool) {
	from, to, _ = b.window(0)
	return from, to, to == 0, b.Stopped > 0 && (to == 0 || to >= from)
}

// broodBreak: break_early and break_drones (both until From); break_look; break_window.
// All with the window in From and To.
func broodBreak(c Case) (Reason, bool) {
	k := c.Colony.Break
	from, to, in := k.window(c.On)
	if !c.Under.Broodless || k.Stopped == 0 || to != 0 && (c.On > to || to < from) || c.On < k.Stopped {
		return Reason{}, false
	}
	r := Reason{Source: FromRecord, On: k.Stopped, From: from, To: to}
	b := c.Colony.Brood
	switch {
	case c.On < k.Stopped+workersOut:
		r.Code, r.Verdict = "break_early", DoesNotFit
	case !in:
		r.Code, r.Verdict = "break_drones", WithCare
	case !b.Seen || b.On < from:
		r.Code, r.Verdict = "break_look", LookFirst
	default:
		r.Code = "break_window"
	}
	return r, true
}

// broodDays is on how many of the days after from, up to to, the colony had brood: not
// in the cluster's half-year unless it was seen there, not while an inspection without
// any holds, and not in a break.
func (c Colony) broodDays(from, to calendar.Day, latitude float64) int {
	n := 0
	for d := from + 1; d <= to; d++ {
		if c.broods(d, latitude) {
			n++
		}
	}
	return n
}

func (c Colony) broods(on calendar.Day, latitude float64) bool {
	if b := c.Brood; b.Seen && b.What == BroodNone && on >= b.On && on <= b.On+holdsClean {
		return false
	}
	if _, _, in := c.Break.window(on); in {
		return false
	}
	if !on.Cold(latitude) {
		return true
	}
	none := c.Brood.Seen && c.Brood.What == BroodNone && c.Brood.On <= on
	return c.Sealed >= on.HalfBegan(latitude) && c.Sealed > 0 && !none
}
