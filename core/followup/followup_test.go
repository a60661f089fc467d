package followup

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/treatment"
)

const north = 54.0

var (
	december = calendar.Of(2026, 12, 4)
	august   = calendar.Of(2026, 8, 3)
)

// given is a dose of job "j" on a day; what stays is in for the days of its method.
func given(m method.Name, on calendar.Day) treatment.Treatment {
	usual := treatment.UsualDays[m]
	t := treatment.Treatment{ID: fmt.Sprint("a", on), Job: "j", Method: m, Given: on, DaysLow: usual.Low, DaysHigh: usual.High}
	if !m.Stays() {
		t.Out = on
	}
	return t
}

func terms(t *testing.T, id string) map[string]Terms {
	c, known := fit.Protocol(id)
	if !known {
		t.Fatal(id)
	}
	return map[string]Terms{"j": TermsOf(c)}
}

// tell writes what follows as "kind n from-by till", in days from a start.
func tell(all []Followup, start calendar.Day) string {
	var out []string
	for _, f := range all {
		till := "on"
		if f.Until != 0 {
			till = fmt.Sprint(int(f.Until - start))
		}
		out = append(out, fmt.Sprintf("%s %d %d-%d %s", f.Kind, f.N, int(f.From-start), int(f.By-start), till))
	}
	slices.Sort(out)
	return strings.Join(out, "; ")
}

// What follows each protocol, on the day it was given. The figures are those of
// docs/sources.md, After giving, in days from the first dose. 1 March 2027 is 87 days after
// 4 December; a course of sheets that goes on at the longest gaps ends on day 21 and, of
// the strips, on day 56; a filling on day 14.
func TestWhatFollows(t *testing.T) {
	for name, c := range map[string]struct {
		under   string
		method  method.Name
		on      calendar.Day
		sampled bool
		want    string
	}{
		"a dribble": {"winter", method.Dribble, december, false,
			"board_in 1 0-0 2; board_read 1 1-7 10; board_read 2 12-16 21; visit 1 0-0 on"},
		"a dribble, a hive in three": {"winter", method.Dribble, december, true,
			"board_in 1 0-0 2; board_read 1 1-7 10; board_read 2 12-16 21; count 1 94-132 162; visit 1 0-0 on"},
		"strips in August": {"strips", method.Strip, august, false,
			"count 1 63-77 91; hang 1 1-7 14; move 1 21-28 35; out 1 42-56 on; recount 1 84-98 112; visit 1 0-0 on"},
		"sheets": {"formic", method.Pad, august, false,
			"count 1 28-42 56; queen 1 5-7 14; queen 2 21-28 35; recount 1 49-63 77; visit 1 0-0 on; visit 2 4-7 24"},
		"bottle and wick": {"formic-bottle", method.Pad, august, false,
			"count 1 21-35 49; out 1 10-14 on; queen 1 5-7 14; queen 2 14-21 28; recount 1 42-56 70; visit 1 0-0 on; weigh 1 1-2 5"},
	} {
		bees := Colony{Treatments: []treatment.Treatment{given(c.method, c.on)}, Latitude: north, Sampled: c.sampled}
		if got := tell(Of(bees, terms(t, c.under), nil, c.on), c.on); got != c.want {
			t.Errorf("%s:\n got %s\nwant %s", name, got, c.want)
		}
	}
	other := treatment.Treatment{ID: "v", Method: method.Vapour, Product: "vapour", Given: december, Out: december}
	got := tell(Of(Colony{Treatments: []treatment.Treatment{other}, Latitude: north}, nil, nil, december), december)
	if want := "board_in 1 0-0 2; board_read 1 1-7 10; board_read 2 12-16 21; count 1 7-21 35; visit 1 0-0 on"; got != want {
		t.Errorf("recorded only:\n got %s\nwant %s", got, want)
	}
}

// Day by day over a year: of each kind the states follow one another in their order, and
// change only on the days of the window.
func TestDayByDay(t *testing.T) {
	order := []State{Coming, Due, Late, Missed}
	for _, under := range fit.Protocols {
		on := august
		if under.Method == method.Dribble {
			on = december
		}
		bees := Colony{Treatments: []treatment.Treatment{given(under.Method, on)}, Latitude: north, Sampled: true}
		last := map[string]State{}
		for day := on; day < on+365; day++ {
			for _, f := range Of(bees, terms(t, under.ID), nil, day) {
				want := Coming
				switch {
				case f.On != 0:
					want = Done
				case day > f.By && f.Until != 0 && day > f.Until:
					want = Missed
				case day > f.By:
					want = Late
				case day >= f.From:
					want = Due
				}
				if f.State != want {
					t.Errorf("%s, day %d: %s is %s, not %s", under.ID, day-on, f.Key(), f.State, want)
				}
				// What hangs on the end of a course moves with it while that is late.
				if fixed := f.Kind != Count && f.Kind != Recount && !(f.Kind == Queen && f.N == 2); fixed && slices.Index(order, f.State) < slices.Index(order, last[f.Key()]) {
					t.Errorf("%s, day %d: %s went back from %s to %s", under.ID, day-on, f.Key(), last[f.Key()], f.State)
				}
				last[f.Key()] = f.State
			}
		}
		if len(last) < 4 {
			t.Errorf("%s is followed by %v", under.ID, last)
		}
	}
}

// find is the one follow-up of a kind that is not done; it fails where there are more.
func find(t *testing.T, all []Followup, kind Kind) Followup {
	t.Helper()
	var out []Followup
	for _, f := range all {
		if f.Kind == kind && f.State != Done {
			out = append(out, f)
		}
	}
	if len(out) != 1 {
		t.Fatalf("%s: %+v", kind, out)
	}
	return out[0]
}

// Sheets on days 0 and 5. The third is due on days 9 to 12; on day 14, nine days after the
// second, it is given late; on day 15 the course begins again, with four to go.
func TestMissedVisit(t *testing.T) {
	bees := Colony{Treatments: []treatment.Treatment{given(method.Pad, august), given(method.Pad, august+5)}, Latitude: north}
	for day, want := range map[calendar.Day]struct {
		state State
		again bool
		total int
	}{8: {Coming, false, 4}, 9: {Due, false, 4}, 12: {Due, false, 4}, 13: {Late, false, 4}, 14: {Late, false, 4}, 15: {Late, true, 6}, 29: {Late, true, 6}, 30: {Missed, true, 6}} {
		f := find(t, Of(bees, terms(t, "formic"), nil, august+day), Visit)
		if f.N != 3 || f.State != want.state || f.Again != want.again || f.Total != want.total {
			t.Errorf("day %d: %+v", day, f)
		}
	}
	// Given on day 15 after all it is the first of four: the next is the fourth in all.
	bees.Treatments = append(bees.Treatments, given(method.Pad, august+15))
	if f := find(t, Of(bees, terms(t, "formic"), nil, august+15), Visit); f.N != 4 || f.From != august+19 || f.Total != 6 {
		t.Errorf("begun again: %+v", f)
	}
	// Amended to day 14, it is the third of the old course, and the fourth is the last.
	bees.Treatments[2] = given(method.Pad, august+14)
	if f := find(t, Of(bees, terms(t, "formic"), nil, august+15), Visit); f.N != 4 || f.Total != 4 || f.From != august+18 {
		t.Errorf("amended: %+v", f)
	}
}

// What was recorded does what was to be done, on its day; what was skipped stays skipped
// when another visit is amended.
func TestDoneAndSkipped(t *testing.T) {
	day := december
	bees := Colony{Treatments: []treatment.Treatment{given(method.Dribble, day)}, Latitude: north,
		Boards: []Span{{day, day + 3}, {day + 3, day + 14}}}
	all := Of(bees, terms(t, "winter"), nil, day+20)
	for i, want := range []struct {
		kind Kind
		n    int
		on   calendar.Day
	}{{Visit, 1, day}, {BoardIn, 1, day}, {BoardRead, 1, day + 3}, {BoardRead, 2, day + 14}} {
		if f := all[i]; f.Kind != want.kind || f.N != want.n || f.On != want.on || f.State != Done {
			t.Errorf("%+v, not %+v", f, want)
		}
	}
	bees.Boards = nil
	all = Of(bees, terms(t, "winter"), map[string]string{"board_read.1.j": "no mesh floor"}, day+4)
	if f := all[2]; f.State != Skipped || f.Reason != "no mesh floor" {
		t.Errorf("%+v", f)
	}
	bees.Treatments[0].Given++
	if f := Of(bees, terms(t, "winter"), map[string]string{"board_read.1.j": "no mesh floor"}, day+4)[2]; f.State != Skipped {
		t.Errorf("amended: %+v", f)
	}
}

// A board that lay before the dose tells nothing of it.
func TestBoardFromBefore(t *testing.T) {
	bees := Colony{Treatments: []treatment.Treatment{given(method.Dribble, december)}, Latitude: north, Boards: []Span{{december - 3, december + 2}}}
	for _, f := range Of(bees, terms(t, "winter"), nil, december+2) {
		if f.Kind == BoardRead && f.State == Done {
			t.Errorf("%+v", f)
		}
	}
}

// Strips that nobody took out stay late for ever, and the count waits for them; one that
// was replaced in between changes nothing; boxes that are reversed call for a visit.
func TestStripsLate(t *testing.T) {
	replaced := given(method.Strip, august+20)
	replaced.Extra = true
	bees := Colony{Treatments: []treatment.Treatment{given(method.Strip, august), replaced}, Latitude: north, Restacked: []calendar.Day{august + 10}}
	all := Of(bees, terms(t, "strips"), nil, august+90)
	if f := find(t, all, Out); f.State != Late || f.By != august+56 {
		t.Errorf("%+v", f)
	}
	if f := find(t, all, Count); f.State != Coming || f.From != august+97 {
		t.Errorf("%+v", f)
	}
	if f := find(t, Of(bees, terms(t, "strips"), nil, august+11), Reversed); f.State != Due || f.From != august+10 {
		t.Errorf("%+v", f)
	}
	bees.Lines = []Line{{treatment.MovedAlong, august + 11}}
	if slices.ContainsFunc(Of(bees, terms(t, "strips"), nil, august+12), func(f Followup) bool { return f.Kind == Reversed && f.State != Done }) {
		t.Error("moved, and still asked for")
	}
	for i := range bees.Treatments {
		bees.Treatments[i].Out = august + 91
	}
	all = Of(bees, terms(t, "strips"), nil, august+99)
	if f := find(t, all, Count); f.State != Due || f.From != august+98 {
		t.Errorf("out on day 91: %+v", f)
	}
}

// A job that has yet to come asks for a count and for itself; bees that came with strips
// ask for those to be taken out, and for nothing else.
func TestPlannedAndCarried(t *testing.T) {
	winter, _ := fit.Protocol("winter")
	bees := Colony{Plans: []Plan{{"j", december, TermsOf(winter)}}, Latitude: north, Washes: []calendar.Day{december - 20}}
	if got := tell(Of(bees, nil, nil, december-3), december); got != "count_before 1 -14-0 0; visit 1 0-0 14" {
		t.Error(got)
	}
	bees.Washes = append(bees.Washes, december-2)
	if f := Of(bees, nil, nil, december-1)[0]; f.State != Done || f.On != december-2 {
		t.Errorf("%+v", f)
	}
	strips := given(method.Strip, august)
	strips.Carried = true
	if got := tell(Of(Colony{Treatments: []treatment.Treatment{strips}, Latitude: north}, terms(t, "strips"), nil, august+9), august); got != "out 1 42-56 on" {
		t.Error(got)
	}
}

// A job that was closed calls for no further dose, but what it left in still comes out.
func TestClosedJob(t *testing.T) {
	under := terms(t, "formic")
	closed := under["j"]
	closed.Closed = true
	under["j"] = closed
	all := Of(Colony{Treatments: []treatment.Treatment{given(method.Pad, august)}, Latitude: north}, under, nil, august+5)
	if slices.ContainsFunc(all, func(f Followup) bool { return f.Kind == Visit && f.State != Done }) {
		t.Errorf("%+v", all)
	}
	if f := find(t, all, Out); f.By != august+14 {
		t.Errorf("%+v", f)
	}
}

// A dribble on day 100 is told by boards read on days 101 to 107 and 112 to 116. A hive left
// untreated is read with the others, and treated within a fortnight of the second reading.
func TestSpared(t *testing.T) {
	given := Colony{Treatments: []treatment.Treatment{{Job: "j", Method: method.Dribble, Given: 100}}, Latitude: 57}
	terms := map[string]Terms{"j": {Way: Dribbled, Visits: 1, Again: 14}}
	at := func(c Colony, today calendar.Day) string {
		var out []string
		for _, f := range Spared(c, Of(given, terms, nil, today), nil, today) {
			out = append(out, fmt.Sprintf("%s %d-%d %s", f.Kind, f.From, f.By, f.State))
		}
		return strings.Join(out, ", ")
	}
	read := Colony{Boards: []Span{{100, 104}, {104, 113}}, Latitude: 57}
	treated := read
	treated.Treatments = []treatment.Treatment{{Job: "k", Method: method.Dribble, Given: 120}}
	for name, c := range map[string]struct {
		of    Colony
		today calendar.Day
		want  string
	}{
		"the next day":  {Colony{Latitude: 57}, 101, "board_read 101-107 due, board_read 112-116 coming, treat 112-130 coming"},
		"nobody came":   {Colony{Latitude: 57}, 131, "board_read 101-107 missed, board_read 112-116 missed, treat 112-130 late"},
		"read":          {read, 114, "board_read 101-107 done, board_read 112-116 done, treat 113-127 due"},
		"read, treated": {treated, 121, "board_read 101-107 done, board_read 112-116 done, treat 113-127 done"},
	} {
		if got := at(c.of, c.today); got != c.want {
			t.Errorf("%s: %s, not %s", name, got, c.want)
		}
	}
	given.Treatments = nil
	if got := at(Colony{}, 101); got != "" {
		t.Errorf("nothing was given: %s", got)
	}
}

// Strips recorded only come out, and are counted after: nothing is asked for that only a
// round can do.
func TestRecordedStrips(t *testing.T) {
	c := Colony{Treatments: []treatment.Treatment{{Method: method.Strip, Given: 100}}, Restacked: []calendar.Day{110}, Latitude: 57}
	var kinds []string
	for _, f := range Of(c, nil, nil, 120) {
		if f.Open() {
			kinds = append(kinds, string(f.Kind))
		}
	}
	if got := strings.Join(kinds, " "); got != "out count" && got != "out count recount" {
		t.Error(got)
	}
}
