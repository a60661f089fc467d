package treatment_test

import (
	"fmt"
	"strings"
	"testing"

	"keeler/core/calendar"
	"keeler/core/method"
	. "keeler/core/treatment"
)

// told writes treatments as "id given–out", a star before what was carried.
func told(all []Treatment) string {
	var out []string
	for _, t := range all {
		text := fmt.Sprintf("%s %d–%d", t.ID, t.Given, t.Out)
		if t.Carried {
			text = "*" + text
		}
		out = append(out, text)
	}
	return strings.Join(out, ", ")
}

func given(id string, m method.Name, on calendar.Day) Application {
	return Application{ID: id, Kind: Given, Method: m, On: on, Amount: 2}
}

// What applications amount to, told by days; 0 is in the hive still.
func TestWhatIsInTheHive(t *testing.T) {
	out := func(m method.Name, on calendar.Day, ends string) Application {
		return Application{ID: "out", Kind: Out, Method: m, On: on, Ends: ends}
	}
	skipped := Application{ID: "x", Kind: Skipped, Method: method.Strip, On: 5}
	for _, c := range []struct {
		what string
		all  []Application
		want string
	}{
		{"nothing", nil, ""},
		{"a dribble is gone on its day", []Application{given("d", method.Dribble, 10)}, "d 10–10"},
		{"vapour, written down", []Application{{ID: "v", Kind: Other, Method: method.Vapour, On: 3}}, "v 3–3"},
		{"nothing was given", []Application{skipped}, ""},
		{"strips hang", []Application{given("s", method.Strip, 10)}, "s 10–0"},
		{"strips taken out", []Application{given("s", method.Strip, 10), out(method.Strip, 52, "")}, "s 10–52"},
		{"taken out of all but another method", []Application{given("s", method.Strip, 10), given("p", method.Pad, 20), out(method.Pad, 30, "")}, "s 10–0, p 20–30"},
		{"one of two", []Application{given("s", method.Strip, 10), given("r", method.Strip, 12), out(method.Strip, 30, "r")}, "s 10–0, r 12–30"},
		{"both", []Application{given("s", method.Strip, 10), given("r", method.Strip, 12), out(method.Strip, 30, "")}, "s 10–30, r 12–30"},
		{"put in again after that", []Application{given("s", method.Strip, 10), out(method.Strip, 30, ""), given("r", method.Strip, 31)}, "s 10–30, r 31–0"},
		{"swapped on one day", []Application{given("p", method.Pad, 10), out(method.Pad, 17, ""), given("q", method.Pad, 17)}, "p 10–17, q 17–0"},
		{"put in and taken out on one day", []Application{given("p", method.Pad, 10), out(method.Pad, 10, "")}, "p 10–10"},
		{"written late, in the order of days", []Application{given("r", method.Strip, 31), out(method.Strip, 30, ""), given("s", method.Strip, 10)}, "s 10–30, r 31–0"},
	} {
		if got := told(Book{Applications: map[string][]Application{"a": c.all}}.Of("a")); got != c.want {
			t.Errorf("%s: %s, want %s", c.what, got, c.want)
		}
	}
}

// A colony b was split off a on day 20, c off b on day 25; d joined a on day 40.
func TestTreatmentsGoWithTheBees(t *testing.T) {
	book := Book{
		Applications: map[string][]Application{
			"a": {given("strips", method.Strip, 10), given("dribble", method.Dribble, 20), given("late", method.Dribble, 21)},
			"b": {given("own", method.Pad, 22)},
			"d": {given("pads", method.Pad, 35), given("after", method.Dribble, 41)},
		},
		Moves: map[string][]Move{
			"a": {{From: "d", On: 40}},
			"b": {{From: "a", On: 20, Alone: true}},
			"c": {{From: "b", On: 25, Alone: true}},
		},
	}
	for colony, want := range map[string]string{
		"a": "strips 10–0, dribble 20–20, late 21–21, *pads 35–0",
		"b": "*strips 10–20, *dribble 20–20, own 22–0",
		"c": "*strips 10–20, *dribble 20–20, *own 22–25",
		"d": "pads 35–0, after 41–41",
	} {
		if got := told(book.Of(colony)); got != want {
			t.Errorf("%s: %s, want %s", colony, got, want)
		}
	}
	// Taken out after they came, what the others brought is out, too; before that not.
	for day, want := range map[calendar.Day]string{38: "*pads 35–0", 45: "*pads 35–45"} {
		book.Applications["a"] = []Application{{Kind: Out, Method: method.Pad, On: day}}
		if got := told(book.Of("a")); got != want {
			t.Errorf("out on %d: %s, want %s", day, got, want)
		}
	}
	// Back where they came from, each counts once.
	book.Applications["a"] = []Application{given("d1", method.Dribble, 10)}
	book.Moves["a"] = []Move{{From: "b", On: 30}}
	if got := told(book.Of("a")); got != "d1 10–10, *own 22–0" {
		t.Errorf("split and united: %s", got)
	}
}

// Strips of two visits: since when, how many, and when the newest comes out.
func TestStanding(t *testing.T) {
	all := Book{Applications: map[string][]Application{"a": {given("s", method.Strip, 10), given("r", method.Strip, 17), given("d", method.Dribble, 12)}}}.Of("a")
	in, there := Standing(all, method.Strip, 20)
	if !there || in.Amount != 4 || in.Since != 10 || in.From != 59 || in.By != 73 {
		t.Errorf("%+v %v", in, there)
	}
	if _, there := Standing(all, method.Dribble, 12); there {
		t.Error("a dribble is in the hive")
	}
	label := Treatment{Method: method.Pad, Given: 10, DaysLow: 7, DaysHigh: 7}
	if label.Overdue(17) > 0 || label.Overdue(18) != 1 {
		t.Errorf("by its label, seven days: %d on the eighth", label.Overdue(18))
	}
}

// What is swapped takes the place of what was put in on earlier days; a real second dose on
// one day does not: both are in. A strip that was replaced comes out with the rest, on the
// days of those that were there first.
func TestSwappedAndReplaced(t *testing.T) {
	swap := func(id string, on calendar.Day) Application {
		a := given(id, method.Pad, on)
		a.Swaps = true
		return a
	}
	book := Book{Applications: map[string][]Application{"A": {given("a", method.Pad, 10), swap("b", 15), swap("c", 15), swap("d", 20)}}}
	if got := told(book.Of("A")); got != "a 10–15, b 15–20, c 15–20, d 20–0" {
		t.Error(got)
	}
	extra := given("e", method.Strip, 30)
	extra.Extra = true
	book.Applications["A"] = []Application{given("s", method.Strip, 10), extra}
	in, there := Standing(book.Of("A"), method.Strip, 40)
	if !there || in.Amount != 4 || in.Doses != 2 || in.Since != 10 || in.From != 52 || in.By != 66 {
		t.Errorf("%+v", in)
	}
	book.Applications["A"] = []Application{extra}
	if in, _ = Standing(book.Of("A"), method.Strip, 40); in.From != 72 {
		t.Errorf("the replaced one alone: %+v", in)
	}
}

// A label's 30 days count from the day when strips came out, 140: honey may be taken on day
// 170. While they are in nobody knows when. What asks for no days holds nothing back.
func TestHeld(t *testing.T) {
	strips := Treatment{Method: method.Strip, Product: "strips", Given: 100, Out: 140, Withdrawal: 30}
	in := strips
	in.Out = 0
	dribble := Treatment{Method: method.Dribble, Given: 150, Out: 150}
	labelled := dribble
	labelled.Product, labelled.Withdrawal = "litre", 7
	for name, c := range map[string]struct {
		all  []Treatment
		on   calendar.Day
		want Hold
	}{
		"in":                  {[]Treatment{in}, 120, Hold{In: true, Method: method.Strip, Product: "strips"}},
		"out":                 {[]Treatment{strips, dribble}, 169, Hold{Until: 170, Method: method.Strip, Product: "strips"}},
		"its day":             {[]Treatment{strips, dribble}, 170, Hold{}},
		"not given yet":       {[]Treatment{strips}, 99, Hold{}},
		"the longer of two":   {[]Treatment{strips, labelled}, 155, Hold{Until: 170, Method: method.Strip, Product: "strips"}},
		"a dose by its label": {[]Treatment{labelled}, 156, Hold{Until: 157, Method: method.Dribble, Product: "litre"}},
	} {
		if got, held := Held(c.all, c.on); got != c.want || held != (c.want != Hold{}) {
			t.Errorf("%s: %+v %v", name, got, held)
		}
	}
}

// Of four strips three come out and nobody knows of the fourth: one is in, until it is found or told
// missing. Where nobody counted, all came out.
func TestPiecesThatAreNotOutAreIn(t *testing.T) {
	four := given("s", method.Strip, 10)
	four.Amount, four.InPieces = 4, true
	out := func(on calendar.Day, pieces int) Application {
		return Application{Kind: Out, Method: method.Strip, On: on, Pieces: pieces}
	}
	for name, c := range map[string]struct {
		outs []Application
		in   float64
		day  calendar.Day // on which all were out
	}{
		"three of four":       {[]Application{out(60, 3)}, 1, 0},
		"then the fourth":     {[]Application{out(60, 3), out(62, 1)}, 0, 62},
		"four":                {[]Application{out(60, 4)}, 0, 60},
		"five, one too many":  {[]Application{out(60, 5)}, 0, 60},
		"nobody counted them": {[]Application{out(60, 0)}, 0, 60},
	} {
		all := Book{Applications: map[string][]Application{"a": append([]Application{four}, c.outs...)}}.Of("a")
		in, _ := Standing(all, method.Strip, 70)
		if in.Amount != c.in || all[0].Out != c.day || all[0].Amount != 4 {
			t.Errorf("%s: %v in, out on %d, %v given", name, in.Amount, all[0].Out, all[0].Amount)
		}
	}
	// A sheet is one piece, whatever mL were on it.
	sheet := given("p", method.Pad, 10)
	all := Book{Applications: map[string][]Application{"a": {sheet, {Kind: Out, Method: method.Pad, On: 20, Pieces: 1}}}}.Of("a")
	if all[0].Out != 20 {
		t.Errorf("a sheet came out: %+v", all)
	}
}
