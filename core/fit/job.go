package fit

import (
	"keeler/core/calendar"
	"keeler/core/method"
)

// stale is after how many days without anything done nobody will do a job any more.
const stale = 14

// Open reports whether a job that was neither finished nor cancelled is still open: until
// 14 days past its last planned day, and as long as something of it is in a hive or was
// given in those days. given is the day something last was, 0 for never.
func Open(lastDay, given calendar.Day, in bool, today calendar.Day) bool {
	return in || today <= max(lastDay, given)+stale
}

// Stops are what a round stops at before anything is given to a colony: the same acid
// by the rules of Judge, given before or on the day itself. It takes the colony as it was seen,
// for brood ends a broodless time, with its treatments but for those of the round itself.
func Stops(c Case) []Reason {
	rules := map[method.Name][]func(Case) (Reason, bool){
		method.Dribble: {oxalicAlready, repeat}, method.Strip: {stillIn}, method.Pad: {course, stillIn, formicAdded},
	}
	same, on := sameDay(c)
	var out []Reason
	if on {
		out = append(out, same)
	}
	for _, rule := range rules[c.Under.Method] {
		if r, holds := rule(c); holds && r.Verdict >= DoesNotFit && !(on && r.On == same.On) {
			out = append(out, r)
		}
	}
	return out
}
