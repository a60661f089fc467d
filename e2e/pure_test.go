package e2e

import (
	"encoding/json"
	"fmt"
	"os"
	"testing"

	"github.com/chromedp/chromedp"
)

// pure gives a browser that has the interface's pure functions, and how to ask one:
// its arguments as JSON, its answer into out; undefined and NaN come as words. Ids are made
// in secure pages only, and none here.
func pure(t *testing.T) func(out any, expression string, in ...any) {
	t.Helper()
	script, err := os.ReadFile("../web/pure/pure.js")
	if err != nil {
		t.Fatal(err)
	}
	ctx, end := chromedp.NewContext(chromium(t), chromedp.WithNewBrowserContext())
	t.Cleanup(end)
	if _, err := chromedp.Run(ctx, chromedp.Navigate("about:blank")); err != nil {
		t.Fatal(err)
	}
	if _, err := chromedp.Run(ctx, chromedp.Evaluate[chromedp.Void](string(script)+";globalThis.pure = pure; crypto.randomUUID ??= () => ''; 0")); err != nil {
		t.Fatal(err)
	}
	return func(out any, expression string, in ...any) {
		t.Helper()
		args, err := json.Marshal(append([]any{}, in...))
		if err != nil {
			t.Fatal(err)
		}
		raw, err := chromedp.Run(ctx, chromedp.Evaluate[string](fmt.Sprintf(
			`JSON.stringify(((...a) => %s)(...%s), (_, v) => v === undefined || Number.isNaN(v) ? String(v) : v) ?? '"undefined"'`, expression, args)))
		if err != nil {
			t.Fatal(expression, err)
		}
		if err := json.Unmarshal([]byte(raw), out); err != nil {
			t.Fatal(expression, raw, err)
		}
	}
}

// A mistyped figure is a fault, never another figure.
func TestTypedFigures(t *testing.T) {
	ask := pure(t)
	for typed, want := range map[string]any{
		"45.5": 45.5, " 45,5 ": 45.5, "0": 0.0, "-3": -3.0, "+3": 3.0, ".5": 0.5, "7.": 7.0, "": "undefined", "  ": "undefined",
		"3O": "NaN", "5o": "NaN", "1e3": "NaN", "0x10": "NaN", "1 000": "NaN", "1,000.5": "NaN", "Infinity": "NaN", "--3": "NaN", "5 mL": "NaN", "½": "NaN",
	} {
		var got any
		if ask(&got, "pure.readNumber(a[0])", typed); got != want {
			t.Errorf("%q: got %v, want %v", typed, got, want)
		}
	}
	for _, c := range []struct {
		do, typed string
		figure    any
		fault     string
	}{
		{"needed('f', a[0])", "3O", "NaN", "Type a number, such as 45.5."}, {"needed('f', a[0])", "12,500", "NaN", "12.5 or 12,500? Type 12.500 or 12500."}, {"needed('f', a[0])", "12,5", 12.5, ""}, {"needed('f', a[0])", "", "NaN", "Type a number here."}, {"needed('f', a[0])", "3", 3.0, ""},
		{"needed('f', a[0], true)", "2.5", "NaN", "Type a whole number."}, {"whole('f', a[0])", "", "undefined", ""}, {"whole('f', a[0])", "10", 10.0, ""},
		{"seams('f', a[0])", "5½", 5.5, ""}, {"seams('f', a[0])", "¾", 0.75, ""}, {"seams('f', a[0])", "6 ¼", 6.25, ""}, {"seams('f', a[0])", "½5", "undefined", "Type a number, such as 45.5."},
		{"degrees('f', a[0])", "50", 10.0, ""}, {"apart('f', a[0])", "9", 5.0, ""}, {"degrees('f', a[0])", "5O", "undefined", "Type a number, such as 45.5."},
	} {
		var got struct {
			Figure any
			Fault  string
		}
		ask(&got, "(r => ({figure: r."+c.do+", fault: r.faults.f ?? ''}))(new pure.Reader('us'))", c.typed)
		if got.Figure != c.figure || got.Fault != c.fault {
			t.Errorf("%s of %q: got %+v", c.do, c.typed, got)
		}
	}
}

// 1 oz is 28.35 g: 454 g are 16.01 oz. 5 °C are 41 °F, −2 °C 28.4 °F.
func TestWrittenFigures(t *testing.T) {
	ask := pure(t)
	by := func(units, hours, dates string) string {
		return fmt.Sprintf("(pure.goBy({units: %q, hours: %q, dates: %q}), ", units, hours, dates)
	}
	for call, want := range map[string]string{
		"pure.seams(6.5)": "6½", "pure.seams(0.25)": "¼", "pure.seams(0)": "0", "pure.seams(10.75)": "10¾",
		"pure.three(4.567)": "4.57", "pure.three(45.67)": "45.7", "pure.three(1234.5)": "1,235",
		"pure.volume(500).value": "500", "pure.volume(500).unit": "mL",
		by("us", "12h", "month_day") + "pure.told('Too cold: -2 to 5 °C on 4 Dec 2026; 10 °C'))": "Too cold: 28 to 41 °F on Dec 4, 2026; 50 °F",
		by("metric", "24h", "day_month") + "pure.date('2026-09-26'))":                            "26 Sep 2026",
		by("us", "12h", "iso") + "pure.told('Use 0 to 40 m/s. Windy: 12 m/s'))":                  "Use 0 to 89 mph. Windy: 27 mph",
		by("metric", "24h", "iso") + "pure.told('Too cold: -2 to 5 °C on 4 Dec 2026'))":          "Too cold: -2 to 5 °C on 2026-12-04",
		by("us", "12h", "day_month") + "[0, 8, 12, 16, 24].map(pure.hour).join())":               "12 am,8 am,12 pm,4 pm,12 am",
		by("us", "12h", "day_month") + "pure.clock('2026-12-04T00:30'))":                         "12:30 am",
		by("us", "24h", "day_month") + "pure.clock('2026-12-04T13:05'))":                         "13:05",
		"pure.pounds(15.9).value": "15.9", "pure.pounds(20.25).value": "1 lb 4.25", "pure.pounds(20.25).unit": "oz",
		"pure.typed(0.1 + 0.2)": "0.3", "pure.typed(0)": "",
	} {
		var got string
		if ask(&got, call); got != want {
			t.Errorf("%s: got %q, want %q", call, got, want)
		}
	}
}

// The phone's outbox, by what happens to it: each case ends in the lines that are next to
// be sent, and how the others stand.
func TestOutbox(t *testing.T) {
	ask := pure(t)
	line := func(id string, at int, more string) string {
		return fmt.Sprintf(`{"id": %q, "by": "me", "at": %d, "job": "j", "day": "d", "application": {}%s}`, id, at, more)
	}
	added := func(id string, at int, more string) string {
		return `{"type": "added", "line": ` + line(id, at, more) + `}`
	}
	for name, c := range map[string]struct {
		happens []string
		next    string
		stands  string // each line, and what is known of it
		signal  string
	}{
		"nothing yet":                       {nil, "", "", "sent"},
		"in their order":                    {[]string{added("a", 1, ""), added("b", 2, "")}, "a b", "a b", "sent"},
		"one round at a time":               {[]string{added("a", 1, ""), added("x", 2, `, "job": "k"`), added("b", 3, "")}, "a b", "a x b", "sent"},
		"a correction goes alone":           {[]string{added("c", 1, `, "amends": "old"`), added("a", 2, "")}, "c", "c a", "sent"},
		"after what it corrects":            {[]string{added("c", 1, `, "amends": "a"`), added("a", 2, "")}, "a", "c a", "sent"},
		"from before, beside what is new":   {[]string{added("b", 2, ""), `{"type": "read", "lines": [` + line("a", 1, "") + `]}`}, "a b", "a b", "sent"},
		"read again, once":                  {[]string{added("a", 1, ""), `{"type": "read", "lines": [` + line("a", 1, "") + `]}`}, "a", "a", "sent"},
		"the store is full":                 {[]string{added("a", 1, ""), `{"type": "stored", "id": "a", "held": true}`}, "a", "a:held", "sent"},
		"no answer":                         {[]string{added("a", 1, ""), `{"type": "sending", "ids": ["a"]}`, `{"type": "lost", "signal": "offline"}`}, "a", "a:tried", "offline"},
		"saved":                             {[]string{added("a", 1, ""), `{"type": "sending", "ids": ["a"]}`, `{"type": "answered", "results": [{"id": "a", "state": "saved"}]}`}, "", "", "sent"},
		"one of them refused":               {[]string{added("a", 1, ""), added("b", 2, ""), `{"type": "answered", "results": [{"id": "a", "state": "refused", "text": "no"}, {"id": "b", "state": "again"}]}`}, "", "a:no", "sent"},
		"a line without a word of it waits": {[]string{added("a", 1, ""), added("b", 2, ""), `{"type": "answered", "results": [{"id": "a", "state": "saved"}]}`}, "b", "b", "sent"},
		"a group refused goes one by one":   {[]string{added("a", 1, ""), added("b", 2, ""), `{"type": "refused", "ids": ["a", "b"], "why": "bad"}`}, "a", "a:alone b:alone", "sent"},
		"and the bad one stays behind":      {[]string{added("a", 1, ""), added("b", 2, ""), `{"type": "refused", "ids": ["a", "b"], "why": "bad"}`, `{"type": "refused", "ids": ["a"], "why": "bad"}`}, "b", "a:bad:alone b:alone", "sent"},
		"what another did waits for him":    {[]string{added("x", 1, `, "by": "another"`), added("a", 2, "")}, "a", "x a", "sent"},
		"and blocks nobody":                 {[]string{added("x", 1, `, "by": "another"`), added("a", 2, ""), `{"type": "answered", "results": [{"id": "a", "state": "saved"}]}`}, "", "x", "sent"},
		"nobody is signed in":               {[]string{added("a", 1, ""), `{"type": "person"}`}, "", "a", "sent"},
		"another is":                        {[]string{added("a", 1, ""), added("x", 2, `, "by": "another"`), `{"type": "person", "me": "another"}`}, "x", "a x", "sent"},
		"sent by another page":              {[]string{added("a", 1, ""), added("b", 2, ""), `{"type": "stored", "id": "a"}`, `{"type": "read", "lines": []}`}, "b", "b", "sent"},
		"held here, in no store":            {[]string{added("a", 1, ""), `{"type": "stored", "id": "a", "held": true}`, `{"type": "read", "lines": []}`}, "a", "a:held", "sent"},
		"nothing left to send":              {[]string{added("a", 1, ""), `{"type": "lost", "signal": "offline"}`, `{"type": "dropped", "id": "a"}`}, "", "", "sent"},
	} {
		var got struct{ Next, Stands, Signal string }
		ask(&got, `(o => ({
			next: pure.outbox.next(o).map(l => l.id).join(' '), signal: o.signal,
			stands: o.lines.map(l => [l.id, l.refused, ...['held', 'tried', 'alone'].filter(k => l[k])].filter(Boolean).join(':')).join(' '),
		}))(a.reduce((o, h) => pure.outbox.reduce(o, JSON.parse(h)), { ...pure.outbox.empty, me: 'me' }))`, anys(c.happens)...)
		if got.Next != c.next || got.Stands != c.stands || got.Signal != c.signal {
			t.Errorf("%s: got %+v", name, got)
		}
	}

	// A morning without signal is sent in groups, and asked for ever more rarely.
	many := make([]any, 250)
	for i := range many {
		many[i] = added(fmt.Sprint("a", i), i, "")
	}
	var group int
	if ask(&group, `pure.outbox.next(a.reduce((o, h) => pure.outbox.reduce(o, JSON.parse(h)), { ...pure.outbox.empty, me: 'me' })).length`, many...); group != 100 {
		t.Errorf("%d go at once", group)
	}
	for failures, ms := range []int{1000, 1000, 2000, 4000, 8000, 10000, 10000} {
		var got int
		if ask(&got, `pure.outbox.pause(a[0])`, failures); got != ms {
			t.Errorf("after %d failures: %d ms", failures, got)
		}
	}
}

func anys[T any](of []T) []any {
	out := make([]any, len(of))
	for i, v := range of {
		out[i] = v
	}
	return out
}
