package stock

import (
	"testing"

	"keeler/core/calendar"
	"keeler/core/fault"
)

// 998.7 mL made; 30 and 50 mL used, 20 spilled; then 900 are found where 898.7
// were written. 950 used are 50 too many until 10 are found to be left.
func TestAccount(t *testing.T) {
	var l fault.List
	book := []Entry{Write(Made, 998.7, 0, "", &l)}
	for _, step := range []struct {
		kind   Kind
		amount float64
		left   float64
		short  bool
	}{
		{Used, 30, 968.7, false}, {Used, 50, 918.7, false}, {Spilled, 20, 898.7, false},
		{Found, 900, 900, false}, {Used, 950, -50, true}, {Found, 10, 10, false}, {Discarded, 10, 0, false},
	} {
		book = append(book, Write(step.kind, step.amount, Left(book), "because", &l))
		if left := Left(book); left-step.left > 1e-9 || step.left-left > 1e-9 || ToReconcile(left) != step.short {
			t.Errorf("after %+v: left %v", step, left)
		}
	}
	if len(l) > 0 {
		t.Error(l)
	}
}

func TestWriteRefuses(t *testing.T) {
	for _, c := range []struct {
		kind   Kind
		amount float64
		reason string
		field  string
	}{
		{Used, 0, "", "amount"}, {Used, -5, "", "amount"}, {Made, 1e9, "", "amount"}, {Found, -1, "x", "amount"},
		{Spilled, 5, "", "reason"}, {Discarded, 5, "", "reason"}, {Found, 5, "", "reason"}, {"lent", 5, "x", "kind"},
	} {
		var l fault.List
		Write(c.kind, c.amount, 100, c.reason, &l)
		if len(l) != 1 || l[0].Field != c.field {
			t.Errorf("%+v: %v", c, l)
		}
	}
}

func TestKeeps(t *testing.T) {
	for days, want := range map[int]Freshness{-1: Past, 0: Soon, 1: Soon, 2: Fresh} {
		if got := Keeps(1000, calendar.Day(1000+days)); got != want {
			t.Errorf("%d days left: %v", days, got)
		}
	}
}

// 40 g at 38 a kilogram are 1.52; 12 tablets at 0.3 are 3.6. A litre that cost 10,
// of which 300 and 500 mL went onto two colonies, is 4 each; before, 10 over ten.
func TestCosts(t *testing.T) {
	for _, c := range []struct {
		amount, price float64
		unit          string
		want          float64
	}{{40, 38, "g", 1.52}, {12, 0.3, "pieces", 3.6}, {250, 8, "ml", 2}} {
		if got := Cost(c.amount, c.price, c.unit); got-c.want > 1e-9 || c.want-got > 1e-9 {
			t.Errorf("%+v: %v", c, got)
		}
	}
	for _, c := range []struct {
		made     float64
		used     map[string]float64
		planned  int
		each     float64
		colonies int
	}{
		{1000, map[string]float64{"A": 300, "B": 500}, 10, 4, 2}, {1000, nil, 10, 1, 10}, {1000, nil, 0, 0, 0}, {0, map[string]float64{"A": 5}, 10, 0, 1},
	} {
		if each, n := PerColony(10, c.made, c.used, c.planned); each != c.each || n != c.colonies {
			t.Errorf("%+v: %v over %d", c, each, n)
		}
	}
}
