package mites

import (
	"errors"
	"math"
	"testing"

	"keeler/core/calendar"
	"keeler/core/fault"
)

// Garwood's interval from printed tables of the Poisson distribution: 0 → 0 to
// 3.689, 1 → 0.0253 to 5.572, 10 → 4.795 to 18.390, 100 → 81.36 to 121.63.
func TestBoard(t *testing.T) {
	for _, c := range []struct {
		mites           int
		low, high, near float64
	}{
		{0, 0, 3.689, 0.001}, {1, 0.0253, 5.572, 0.001}, {3, 0.6187, 8.767, 0.001},
		{10, 4.795, 18.390, 0.001}, {100, 81.36, 121.63, 0.01},
	} {
		for _, days := range []float64{1, 7, 0.5} {
			r := Count{Kind: Board, Mites: c.mites, Days: days}.Rate()
			if math.Abs(r.Low*days-c.low) > c.near || math.Abs(r.High*days-c.high) > c.near || r.Value*days != float64(c.mites) {
				t.Errorf("%d mites in %v days: got %+v", c.mites, days, r)
			}
		}
	}
}

// By hand, z = 1.96: 9 of 300 is p = 0.03, middle (0.03 + 0.0064)/1.0128 = 0.03594,
// half 1.96·√(0.000097 + 0.0000107)/1.0128 = 0.02008. None of 300: 3.84/303.84 at most.
func TestWash(t *testing.T) {
	for _, c := range []struct {
		mites, bees int
		low, high   float64
	}{
		{9, 300, 1.586, 5.602}, {0, 300, 0, 1.264}, {300, 300, 98.736, 100}, {1, 100, 0.177, 5.449},
	} {
		r := Count{Kind: Wash, Mites: c.mites, Bees: c.bees}.Rate()
		if math.Abs(r.Low-c.low) > 0.002 || math.Abs(r.High-c.high) > 0.002 {
			t.Errorf("%d of %d: got %+v", c.mites, c.bees, r)
		}
	}
}

// 12 of 300 is 2.3 to 6.9 per 100, 20 of 300 is 4.4 to 10.1, 2 of 300 is 0.2 to
// 2.4, 4 of 300 is 0.5 to 3.4; 3 in 2 days is 0.3 to 4.4 a day.
func TestStand(t *testing.T) {
	wash := func(m, b int) Count { return Count{Kind: Wash, Mites: m, Bees: b} }
	board := func(m int, d float64) Count { return Count{Kind: Board, Mites: m, Days: d} }
	for _, c := range []struct {
		count Count
		line  float64
		want  Standing
	}{
		{wash(20, 300), 3, Over}, {wash(12, 300), 3, Near}, {wash(9, 300), 3, Near},
		{wash(4, 300), 3, CannotTell}, {wash(2, 300), 3, Under}, {wash(0, 50), 3, CannotTell},
		{board(3, 2), 1, CannotTell}, {board(1, 14), 1, Under}, {board(40, 14), 1, Over},
		{board(12, 14), 1, Near}, {board(12, 14), 0, NoLine},
	} {
		if got := c.count.Rate().Stand(c.line); got != c.want {
			t.Errorf("%+v at %v: got %s, want %s", c.count, c.line, got, c.want)
		}
	}
}

// The trade's figures of the table, and no line where it has none.
func TestTrade(t *testing.T) {
	if Trade[calendar.Spring].Of(Wash) != 2 || Trade[calendar.Winter].Of(Board) != 1 || Trade[calendar.LateSummer].Of(Board) != 10 {
		t.Errorf("got %+v", Trade)
	}
	if (Rate{5, 4, 6}).Stand(Trade[calendar.Autumn].Of(Board)) != NoLine {
		t.Error("a line for the board in autumn was made up")
	}
	// 8 mites at 1 a day take 8 days; at 3 per 100 they take 267 bees.
	if d, b := Trade[calendar.Winter].Enough(Board), Trade[calendar.Winter].Enough(Wash); d != 8 || math.Round(b) != 267 {
		t.Errorf("enough: %v days, %v bees", d, b)
	}
}

func TestRefused(t *testing.T) {
	today := calendar.Of(2026, 12, 4)
	for _, c := range []struct {
		count  Count
		field  string
		reason fault.Reason
	}{
		{Count{Kind: Board, Mites: 3}, "days", fault.Missing},
		{Count{Kind: Board, Mites: 3, Days: -1}, "days", fault.TooLow},
		{Count{Kind: Board, Mites: 3, Days: math.NaN()}, "days", fault.NotFinite},
		{Count{Kind: Board, Mites: 3, Days: 61}, "days", fault.TooHigh},
		{Count{Kind: Wash, Mites: 3}, "bees", fault.Missing},
		{Count{Kind: Wash, Mites: 3, Bees: 5001}, "bees", fault.TooHigh},
		{Count{Kind: Wash, Mites: 301, Bees: 300}, "mites", fault.TooHigh},
		{Count{Kind: Wash, Mites: -1, Bees: 300}, "mites", fault.TooLow},
		{Count{Kind: "guess"}, "kind", fault.Unknown},
		{Count{Kind: Wash, Mites: 1, Bees: 300, On: today + 1}, "on", fault.Future},
	} {
		var l fault.List
		if err := c.count.Check(today); !errors.As(err, &l) || l[0].Field != c.field || l[0].Reason != c.reason {
			t.Errorf("%+v: got %v", c.count, err)
		}
	}
	if err := (Count{Kind: Wash, Mites: 300, Bees: 300, On: today}).Check(today); err != nil {
		t.Error(err)
	}
	lines := Trade
	lines[2].Wash = 51
	var l fault.List
	if err := lines.Check(); !errors.As(err, &l) || l[0].Field != "lines[2].wash" {
		t.Errorf("got %v", err)
	}
}

// Whatever is counted, the rate lies within its interval, and the interval holds.
func FuzzRate(f *testing.F) {
	f.Add(true, 3, 7.0, 0)
	f.Add(false, 9, 0.0, 300)
	f.Fuzz(func(t *testing.T, board bool, m int, days float64, bees int) {
		c := Count{Kind: Wash, Mites: m, Days: days, Bees: bees}
		if board {
			c.Kind = Board
		}
		if c.Check(0) != nil {
			return
		}
		r := c.Rate()
		if !(r.Low >= 0 && r.Low <= r.Value+1e-9 && r.Value <= r.High+1e-9) || math.IsInf(r.High, 0) {
			t.Errorf("%+v: %+v", c, r)
		}
	})
}
