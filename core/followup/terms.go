package followup

import (
	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/method"
)

// Way is how something is given, as far as what follows goes by it.
type Way string

const (
	Dribbled Way = "dribble"
	Strips   Way = "strips"
	Sheets   Way = "sheets"  // formic acid that is gone in a day or two, and given again
	Filling  Way = "filling" // a bottle and wick, or pads: one that lasts
	Pads     Way = "pads"    // ready pads by their label
	Recorded Way = "recorded"
)

// Terms are what a protocol or card says of what follows.
type Terms struct {
	Way Way
	// Visits of a course, the first included; days between; after how many the course
	// begins again.
	Visits, ApartLow, ApartHigh, Again int
	// Closed: the job was finished or cancelled, no visit follows.
	Closed bool
}

// TermsOf reads them off conditions.
func TermsOf(c fit.Conditions) Terms {
	t := Terms{Way: Recorded, Visits: max(1, c.Visits), ApartLow: c.ApartLow, ApartHigh: c.ApartHigh, Again: c.LateAfter()}
	switch {
	case c.Method == method.Dribble:
		t.Way = Dribbled
	case c.Method == method.Strip:
		t.Way = Strips
	case c.Short():
		t.Way = Sheets
	case c.Method == method.Pad && c.Label:
		t.Way = Pads
	case c.Method == method.Pad:
		t.Way = Filling
	}
	return t
}

// anchor is what the days of a rule are counted from.
type anchor int

const (
	atStart  anchor = iota // the first dose
	atEnd                  // when the course is over and all is out
	atSpring               // when the colony comes out of winter; of a dose in season, the end
)

// rule is one thing that follows, with its window in days and how long after it can still
// be done.
type rule struct {
	kind     Kind
	n        int
	from     anchor
	low, by  int
	still    int
	sampled  bool // of some hives of a job, not all
	whileIn  bool // only as long as something is in
	seasonal bool // only in late summer and autumn
	job      bool // it is done in a round: not of what was recorded only
}

// What follows each way of giving. Adding one is one row here, its words and a row in the
// test. Visits, removals and reversed boxes follow from what is in, see course.go. Source:
// docs/sources.md, After giving.
var rules = map[Way][]rule{
	Dribbled: {
		{kind: BoardIn, n: 1, low: 0, by: 0, still: 2},
		{kind: BoardRead, n: 1, low: 1, by: 7, still: 3},
		{kind: BoardRead, n: 2, low: 12, by: 16, still: 5},
		{kind: Count, n: 1, from: atSpring, low: 7, by: 45, still: 30, sampled: true},
		again,
	},
	Strips: {
		{kind: Hang, n: 1, low: 1, by: 7, still: 7, whileIn: true, job: true},
		{kind: Move, n: 1, low: 21, by: 28, still: 7, whileIn: true, job: true},
		after, again,
	},
	Sheets:  {queenFirst, queenLast, after, again},
	Filling: {{kind: Weigh, n: 1, low: 1, by: 2, still: 3, whileIn: true}, queenFirst, queenLast, after, again},
	Pads:    {queenFirst, queenLast, after, again},
	Recorded: {
		{kind: BoardIn, n: 1, low: 0, by: 0, still: 2},
		{kind: BoardRead, n: 1, low: 1, by: 7, still: 3},
		{kind: BoardRead, n: 2, low: 12, by: 16, still: 5},
		after, again,
	},
}

var (
	queenFirst = rule{kind: Queen, n: 1, low: 5, by: 7, still: 7}
	queenLast  = rule{kind: Queen, n: 2, from: atEnd, low: 0, by: 7, still: 7}
	after      = rule{kind: Count, n: 1, from: atEnd, low: 7, by: 21, still: 14}
	again      = rule{kind: Recount, n: 1, from: atEnd, low: 28, by: 42, still: 14, seasonal: true}
)

// beforeDays is from how many days before the first dose on a count is worth making.
const beforeDays = 14

// springBegins is the first day of spring on or after a day, where a colony sits in its
// cluster on it; else the day itself.
func springBegins(on calendar.Day, latitude float64) calendar.Day {
	for on.Cold(latitude) && on.Season(latitude) != calendar.Spring {
		year, month, _ := on.Date() // a season begins with a month
		on = calendar.Of(year, month+1, 1)
	}
	return on
}
