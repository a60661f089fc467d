package app

import (
	"testing"
)

// A foreign head is found by what people call it; a column's own name goes first.
func TestColumnOf(t *testing.T) {
	columns := recordFiles["treatments"].columns
	for head, want := range map[string]string{
		"on": "on", "datum": "on", "volk": "colony", "mittel": "product", "chargen_nr": "lot", "entfernt": "out", "wartezeit": "withdrawal_days", "colour": "", "mites": "",
	} {
		if got := columnOf(head, columns); got != want {
			t.Errorf("%s: %q, want %q", head, got, want)
		}
	}
}

// Days are read as all of their column say: one after the twelfth tells day and month apart, a point does,
// and where nothing does it is the keeper's own way, and said to be unsure.
func TestDaysOfATable(t *testing.T) {
	for name, c := range map[string]struct {
		cells     []string
		otherwise DayForm
		form      DayForm
		sure      bool
		want      string // of the first
	}{
		"as it is":           {[]string{"2026-11-14", ""}, DayMonthYear, ISODays, true, "2026-11-14"},
		"with points":        {[]string{"4.11.2026"}, MonthDayYear, DayMonthYear, true, "2026-11-04"},
		"the 14th is a day":  {[]string{"03/04/2026", "14/04/2026"}, MonthDayYear, DayMonthYear, true, "2026-04-03"},
		"and 14 is no month": {[]string{"03/04/2026", "04/14/2026"}, DayMonthYear, MonthDayYear, true, "2026-03-04"},
		"nothing tells":      {[]string{"03/04/2026"}, DayMonthYear, DayMonthYear, false, "2026-04-03"},
		"nor here":           {[]string{"03/04/2026"}, MonthDayYear, MonthDayYear, false, "2026-03-04"},
		"no day at all":      {[]string{"31.02.2026"}, DayMonthYear, DayMonthYear, true, "31.02.2026"},
		"no figures":         {[]string{"a/b/2026"}, DayMonthYear, DayMonthYear, false, "a/b/2026"},
	} {
		form, sure := dayFormOf(c.cells, c.otherwise)
		if got := rewriteDay(c.cells[0], form); form != c.form || sure != c.sure || got != c.want {
			t.Errorf("%s: %s %v %s, want %s %v %s", name, form, sure, got, c.form, c.sure, c.want)
		}
	}
}

// Whatever stands in a cell, it is a day or stays as it is.
func FuzzRewriteDay(f *testing.F) {
	f.Add("14.11.2026", true)
	f.Fuzz(func(t *testing.T, cell string, monthFirst bool) {
		form := DayMonthYear
		if monthFirst {
			form = MonthDayYear
		}
		if got := rewriteDay(cell, form); got != cell && len(got) != len("2026-11-14") {
			t.Errorf("%q became %q", cell, got)
		}
	})
}
