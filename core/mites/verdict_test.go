package mites

import (
	"testing"

	"keeler/core/calendar"
)

func TestOutcome(t *testing.T) {
	k := func(share, low, high float64, before int) Killed {
		return Killed{Measure: BeforeAfter, Share: share, Low: low, High: high, Before: before}
	}
	for name, c := range map[string]struct {
		k    Killed
		now  Standing
		want Outcome
	}{
		"surely":                       {k(0.93, 0.88, 0.96, 60), Under, Surely},
		"by the best estimate":         {k(0.93, 0.70, 0.97, 60), Near, Worked},
		"over it still":                {k(0.93, 0.88, 0.96, 60), Over, DidNot},
		"the upper end is under 80":    {k(0.61, 0.38, 0.76, 60), Under, DidNot},
		"best estimate under 80":       {k(0.75, 0.40, 0.90, 60), Under, NotKnown},
		"five mites before":            {k(0.93, 0.88, 0.96, 5), Under, NotKnown},
		"six mites before":             {k(0.93, 0.50, 0.99, 6), Under, Worked},
		"the interval reaches 0":       {k(0.93, 0, 0.996, 20), Under, Points},
		"and more than before":         {k(0.93, -0.14, 0.996, 20), Under, Points},
		"just above 0":                 {k(0.93, 0.01, 0.996, 20), Under, Worked},
		"no threshold for such counts": {k(0.93, 0.88, 0.96, 60), NoThreshold, Surely},
		"no count after":               {k(0.93, 0.88, 0.96, 60), Uncounted, NotKnown},
		"after alone":                  {Killed{Measure: AfterAlone}, Under, NotKnown},
	} {
		if got := c.k.Outcome(c.now); got != c.want {
			t.Errorf("%s: %s, not %s", name, got, c.want)
		}
	}
}

// Four mites in three days are six in 4½. Thirty before and six after, each in three days, are 80 %, and
// go on being so: nothing tells but another rate. Against controls that fell as much it is no share at all,
// and a count as long as one likes tells no more.
func TestWouldTell(t *testing.T) {
	pair := func(before, after int) Pair { return Pair{Sample{before, 3}, Sample{after, 3}} }
	for name, c := range map[string]struct {
		treated, controls []Pair
		want              Telling
	}{
		"too few before":                       {[]Pair{pair(4, 0)}, nil, Telling{Before: 4.5}},
		"too few before in two hives":          {[]Pair{pair(2, 0), pair(2, 0)}, nil, Telling{Before: 4.5}},
		"none before":                          {[]Pair{pair(0, 0)}, nil, Telling{}},
		"plainly too few":                      {[]Pair{pair(30, 21)}, nil, Telling{After: 3.5}},
		"79 % of few, and no days would do":    {[]Pair{pair(14, 3)}, []Pair{pair(14, 14)}, Telling{}},
		"hives that differ too much to tell":   {[]Pair{pair(30, 1), pair(30, 30), pair(30, 1)}, nil, Telling{}},
		"three alike, of which one would tell": {[]Pair{pair(10, 7), pair(10, 7), pair(10, 7)}, nil, Telling{After: 3.5}},
	} {
		if got := WouldTell(Board, c.treated, c.controls); got != c.want {
			t.Errorf("%s: %+v, want %+v", name, got, c.want)
		}
	}
}

func TestAround(t *testing.T) {
	first := calendar.Of(2026, 12, 4)
	times := Times{First: first, Last: first, From: first + 14, Until: first + 90}
	board := func(on calendar.Day, days float64, n int) Count {
		return Count{Kind: Board, Mites: n, Days: days, On: first + on}
	}
	wash := func(on calendar.Day, n int) Count {
		return Count{Kind: Wash, Mites: n, Bees: 300, On: first + on}
	}
	counts := []Count{
		board(-20, 3, 9), board(-4, 4, 8), board(0, 4, 12), board(3, 3, 200), board(7, 4, 90), wash(9, 1), board(24, 10, 10), wash(30, 0), board(99, 7, 1),
	}
	got := times.Around(counts)
	want := []Use{TooOld, UseBefore, UseBefore, UseDuring, UseDuring, TooSoon, UseAfter, OtherKind, TooLate}
	for i, use := range want {
		if got.Uses[i] != use {
			t.Errorf("count %d: %s, not %s", i, got.Uses[i], use)
		}
	}
	if got.Kind != Board || got.Pair != (Pair{Sample{20, 8}, Sample{10, 10}}) {
		t.Errorf("%+v", got)
	}
	if !got.There || got.Last != counts[6] {
		t.Errorf("the newest after is %+v", got.Last)
	}
	// Counted before alone it is still that; one way before and another after is neither.
	if got := times.Around(counts[1:4]); got.Kind != "" || got.Uses[0] != UseBefore || got.There {
		t.Errorf("before alone: %+v", got)
	}
	if got := times.Around([]Count{counts[1], counts[7]}); got.Uses[0] != OtherKind || got.Uses[1] != OtherKind {
		t.Errorf("two kinds: %+v", got)
	}
	// What something else was killing is no count before or after: boards until a fortnight
	// after it, a wash from the day on; and nothing after the next was given.
	between := Times{First: first, Last: first, From: first + 14, Until: first + 90, Since: first - 10, Next: first + 25}
	for _, c := range []struct {
		count Count
		want  Use
	}{{board(-4, 4, 8), Treated}, {wash(-11, 3), Treated}, {wash(-4, 3), UseBefore}, {board(24, 10, 10), UseAfter}, {wash(26, 1), Treated}} {
		if got := between.Use(c.count); got != c.want {
			t.Errorf("%+v: %s, not %s", c.count, got, c.want)
		}
	}
	second := Times{First: first + 8, Last: first + 8, From: first + 22, Until: first + 99}
	// 290 in the seven days of it less the 2½ a day of before; then none, for no board lay.
	if f, ok := FallBy(times, second, counts[:5]); ok {
		t.Errorf("without a board of the second: %+v", f)
	}
	if f, ok := FallBy(times, second, append(counts[:5:5], board(12, 4, 30))); !ok || f != (Fall{290 - 17.5, 30}) {
		t.Errorf("%+v, %v", f, ok)
	}
}

// What a board has gathered is spread over the days that it lay: days −3 to −1, 0 to 2.
func TestFalls(t *testing.T) {
	day := calendar.Of(2026, 12, 4)
	got := Falls([]Count{{Kind: Board, Mites: 6, Days: 3, On: day}, {Kind: Board, Mites: 90, Days: 3, On: day + 3}}, day-4, day+3)
	for i, want := range []DayFall{{Mites: 0}, {Mites: 2, Used: true}, {Mites: 2, Used: true}, {Mites: 2, Used: true}, {Mites: 30, Used: true},
		{Mites: 30, Used: true}, {Mites: 30, Used: true}, {Mites: 0}} {
		want.Day = day - 4 + calendar.Day(i)
		if got[i] != want {
			t.Errorf("%+v, not %+v", got[i], want)
		}
	}
}
