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
// 2.4, 8 of 300 is 1.4 to 5.2, 4 of 300 is 0.5 to 3.4; 3 in 2 days is 0.3 to 4.4 a day,
// 12 in 14 days 0.4 to 1.5. At or over the threshold is over, however wide the interval.
func TestStand(t *testing.T) {
	wash := func(m, b int) Count { return Count{Kind: Wash, Mites: m, Bees: b} }
	board := func(m int, d float64) Count { return Count{Kind: Board, Mites: m, Days: d} }
	for _, c := range []struct {
		count     Count
		threshold float64
		want      Standing
	}{
		{wash(20, 300), 3, Over}, {wash(12, 300), 3, Over}, {wash(9, 300), 3, Over}, {wash(2, 50), 3, Over},
		{wash(8, 300), 3, Near}, {wash(4, 300), 3, CannotTell}, {wash(2, 300), 3, Under}, {wash(0, 50), 3, CannotTell},
		{board(3, 2), 1, Over}, {board(1, 14), 1, Under}, {board(40, 14), 1, Over},
		{board(12, 14), 1, Near}, {board(1, 2), 1, CannotTell},
	} {
		if got := c.count.Rate().stand(c.threshold); got != c.want {
			t.Errorf("%+v at %v: got %s, want %s", c.count, c.threshold, got, c.want)
		}
	}
}

// Boards by season at 58° north: ten a day are over in any, one in midwinter, five in
// spring are near; where nothing is agreed a count is never called under. The keeper's
// own threshold goes before.
func TestBoardBySeason(t *testing.T) {
	own := Trade
	own[calendar.Autumn].Board = 4
	for _, c := range []struct {
		thresholds Thresholds
		month      int
		perDay     int
		want       Standing
		threshold  float64
		straddles  bool
	}{
		{Trade, 1, 1, Over, 1, true}, {Trade, 1, 3, Over, 1, false}, {Trade, 1, 0, Under, 1, false},
		{Trade, 4, 5, Near, BoardOver, false}, {Trade, 4, 4, NoThreshold, 0, false}, {Trade, 4, 10, Over, BoardOver, true},
		{Trade, 6, 9, NoThreshold, 0, false}, {Trade, 6, 10, Over, BoardOver, true}, {Trade, 8, 20, Over, BoardOver, false},
		{Trade, 8, 1, NoThreshold, 0, false}, {Trade, 10, 10, Over, BoardOver, true}, {Trade, 10, 0, NoThreshold, 0, false},
		{own, 10, 5, Over, 4, true}, {own, 10, 1, Under, 4, false},
	} {
		got := c.thresholds.Stand(Count{Kind: Board, Mites: 7 * c.perDay, Days: 7, On: calendar.Of(2026, c.month, 10)}, 58)
		if got.Stands != c.want || got.Threshold != c.threshold || got.Straddles != c.straddles {
			t.Errorf("%d a day in month %d: %+v, want %s at %v", c.perDay, c.month, got, c.want, c.threshold)
		}
	}
	// At 10° no season is assumed: the strictest wash, 2 per 100, and ten on a board.
	for count, want := range map[Count]Standing{
		{Kind: Wash, Mites: 6, Bees: 300, On: calendar.Of(2026, 1, 10)}: Over,
		{Kind: Board, Mites: 70, Days: 7, On: calendar.Of(2026, 1, 10)}: Over,
		{Kind: Board, Mites: 14, Days: 7, On: calendar.Of(2026, 1, 10)}: NoThreshold,
		{Kind: Board, Mites: 42, Days: 7, On: calendar.Of(2026, 4, 10)}: NoThreshold,
	} {
		if got := Trade.Stand(count, 10); got.Stands != want {
			t.Errorf("%+v at 10°: %s, want %s", count, got.Stands, want)
		}
	}
}

// 5 of 300 cannot tell, and more bees than those 300 would: at its own rate, 330 bees
// have 5.5 mites, 0.74 to 3.69 per 100, which is five times; 320 5.3 and a little more.
// What is named tells, when it is counted.
func TestEnoughTells(t *testing.T) {
	on := calendar.Of(2026, 8, 10)
	got := Trade.Stand(Count{Kind: Wash, Mites: 5, Bees: 300, On: on}, 58)
	if got.Stands != CannotTell || got.Enough != 330 {
		t.Errorf("5 of 300: %+v, want 330", got)
	}
	for bees := 30; bees <= 600; bees += 30 {
		for m := range 20 {
			c := Count{Kind: Wash, Mites: m, Bees: bees, On: on}
			s := Trade.Stand(c, 58)
			if s.Stands != CannotTell || s.Enough == 0 {
				continue
			}
			if s.Enough <= float64(bees) {
				t.Errorf("%d of %d cannot tell, but %v bees would", m, bees, s.Enough)
			}
			low, high := wilson(float64(m)/float64(bees)*s.Enough, s.Enough)
			if (Rate{100 * float64(m) / float64(bees), 100 * low, 100 * high}).stand(s.Threshold) == CannotTell {
				t.Errorf("%d of %d: %v bees do not tell either", m, bees, s.Enough)
			}
		}
	}
	if s := Trade.Stand(Count{Kind: Board, Mites: 1, Days: 2, On: calendar.Of(2026, 1, 10)}, 58); s.Enough <= 2 {
		t.Errorf("a board: %+v", s)
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
	thresholds := Trade
	thresholds[2].Wash = 51
	var l fault.List
	if err := thresholds.Check(); !errors.As(err, &l) || l[0].Field != "thresholds[2].wash" {
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

// A quarter of a full board: 30 mites in 5 days are 24 a day, as sure as 30 are, not as
// sure as the 120 that lie on the whole of it.
func TestPartOfABoard(t *testing.T) {
	part := Count{Kind: Board, Mites: 30, Days: 5, Share: 0.25}
	r, whole := part.Rate(), Count{Kind: Board, Mites: 30, Days: 1.25}.Rate()
	if r != whole || r.Value != 24 {
		t.Errorf("%+v, not %+v", r, whole)
	}
	if s := part.Sample(); s != (Sample{30, 1.25}) {
		t.Errorf("%+v", s)
	}
	if part.On = 100; part.Began() != 95 {
		t.Errorf("it lay from day %d", part.Began())
	}
	for _, share := range []float64{-0.1, 0.001, 1.5} {
		part.Share = share
		if part.Check(100) == nil {
			t.Errorf("a share of %v", share)
		}
	}
}

// A quarter of a board read after 4 days is a whole one of 1 day: 5 mites in it and 7 in 3
// days are 12 in 4 days.
func TestCountsTogether(t *testing.T) {
	both := Count{Kind: Board, Mites: 5, Days: 4, Share: 0.25, On: 10}.And(Count{Kind: Board, Mites: 7, Days: 3, On: 12})
	if got := both.Rate().Value; got != 3 || both.Mites != 12 || both.On != 12 {
		t.Errorf("%+v: %v a day", both, got)
	}
}

// Each mark on a photo is a mite; more mites than marks may lie beside it.
func TestMarksChecked(t *testing.T) {
	board := Count{Kind: Board, Mites: 2, Days: 3}
	for name, c := range map[string]struct {
		of    Count
		marks [][2]float64
		wrong int
	}{
		"as many":        {board, [][2]float64{{0, 1}, {0.5, 0.5}}, 0},
		"fewer":          {board, [][2]float64{{0.2, 0.4}}, 0},
		"more":           {board, [][2]float64{{0, 1}, {0.5, 0.5}, {0.1, 0.1}}, 1},
		"off the photo":  {board, [][2]float64{{0, 1.01}}, 1},
		"no place":       {board, [][2]float64{{math.NaN(), 0}}, 1},
		"on a wash":      {Count{Kind: Wash, Mites: 2, Bees: 300}, [][2]float64{{0, 1}}, 1},
		"none on a wash": {Count{Kind: Wash, Mites: 2, Bees: 300}, nil, 0},
	} {
		var l fault.List
		if c.of.CheckMarks(c.marks, &l); len(l) != c.wrong {
			t.Errorf("%s: %v", name, l)
		}
	}
}
