package followup

import (
	"slices"

	"keeler/core/calendar"
	"keeler/core/method"
	"keeler/core/treatment"
)

// course is doses of one treatment that belong together.
type course struct {
	Terms
	doses []treatment.Treatment // the oldest first
	days  []calendar.Day        // of its visits: a strip replaced in between is none
	first int                   // how many visits of the same job came before it
}

// courses sorts what a colony was given. Doses of one job are one course, and those of one
// method outside a job, as long as the next follows before it would begin again.
func courses(all []treatment.Treatment, terms func(treatment.Treatment) Terms) []course {
	var out []course
	open := map[string]int{} // the newest course by job, or by method
	for _, t := range all {
		key := t.Job
		if key == "" {
			key = string(t.Method) + " " + t.Product
		}
		i, there := open[key]
		under := terms(t)
		if there && (t.Extra || len(out[i].days) > 0 && int(t.Given-out[i].last()) < under.Again) {
			out[i].add(t)
			continue
		}
		c := course{Terms: under}
		if there && t.Job != "" {
			c.first = out[i].first + len(out[i].days)
			out[i].Closed = true // it goes on in this one
		}
		c.add(t)
		open[key] = len(out)
		out = append(out, c)
	}
	return out
}

func (c *course) add(t treatment.Treatment) {
	c.doses = append(c.doses, t)
	if !slices.Contains(c.days, t.Given) && (!t.Extra || len(c.days) == 0) {
		c.days = append(c.days, t.Given)
	}
}

// recordedOnly reports whether it was given outside a job: no round goes out for it.
func (c course) recordedOnly() bool { return c.doses[0].Job == "" }

func (c course) begun() calendar.Day { return c.days[0] }

func (c course) last() calendar.Day { return c.days[len(c.days)-1] }

// in reports whether something of it is in the hive.
func (c course) in(on calendar.Day) bool {
	return slices.ContainsFunc(c.doses, func(t treatment.Treatment) bool { return t.Method.Stays() && t.In(on) })
}

// out is the day when the last of it came out; 0 where something is in.
func (c course) out() calendar.Day {
	last := calendar.Day(0)
	for _, t := range c.doses {
		if t.Out == 0 {
			return 0
		}
		last = max(last, t.Out)
	}
	return last
}

// due is when what is in comes out: by the visit that put it there.
func (c course) due() (from, by calendar.Day) {
	for _, t := range c.doses {
		if f, b, stays := t.Due(); stays && !t.Extra && t.Out == 0 {
			from, by = f, b
		}
	}
	if by == 0 { // only what was replaced is in
		from, by, _ = c.doses[len(c.doses)-1].Due()
	}
	return from, by
}

// next is the visit that follows; false where none does: all were made, or so long ago that
// nobody goes on.
func (c course) next(today calendar.Day) (Followup, bool) {
	if c.Closed || len(c.days) >= c.Visits {
		return Followup{}, false
	}
	last := c.last()
	f := Followup{Kind: Visit, N: c.first + len(c.days) + 1, Total: c.first + c.Visits, From: last + calendar.Day(c.ApartLow), By: last + calendar.Day(max(c.ApartLow, c.ApartHigh))}
	if int(today-last) >= c.Again {
		f.Again = true
		f.Total = f.N - 1 + c.Visits
	}
	f.Until = last + calendar.Day(c.Again) + giveUp
	return f, true
}

// giveUp is for how many days a course that must begin again is still called for.
const giveUp = 14

// ends is when the course is over, as far as one can tell today: when all came out, or is
// to; of what does not stay, the day after the last dose.
func (c course) ends(today calendar.Day) calendar.Day {
	if next, more := c.next(today); more && !next.Again {
		left := calendar.Day(c.Visits - len(c.days))
		return max(today, c.last()+left*calendar.Day(c.ApartHigh))
	}
	if c.Way == Sheets {
		return c.last() + 1 // what was on them is gone; they may hang on
	}
	if !c.doses[0].Method.Stays() {
		return c.last()
	}
	if out := c.out(); out != 0 {
		return out
	}
	_, by := c.due()
	return max(today, by)
}

// recorded is what is known of a dose outside a job.
func recorded(t treatment.Treatment) Terms {
	out := Terms{Way: Recorded, Visits: 1, Again: apartRecorded}
	if t.Method == method.Strip {
		out.Way = Strips
	}
	return out
}

// apartRecorded is up to how many days apart doses outside a job are one treatment.
const apartRecorded = 10
