package reach

import (
	"errors"
	"math"
	"slices"
	"testing"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/treatment"
)

func dribble(day int) Visit { return Visit{From: day, To: day + 1} }

func sheet(day int) Visit { return Visit{From: day, To: day + 1, Caps: 0.5} }

// By hand. Of 100 mites in a colony with much brood 30 are on bees, the other 70 come out
// evenly over 12 days, 5.83 a day. A dribble works on its day and the next, so it meets 30
// and the 5.83 that come out the day after; a sheet half of the 64.17 besides.
func TestReachByHand(t *testing.T) {
	for name, c := range map[string]struct {
		brood  fit.Brood
		visits []Visit
		once   float64
	}{
		"a dribble without brood": {fit.BroodNone, []Visit{dribble(0)}, 1},
		"a dribble, much brood":   {fit.BroodMuch, []Visit{dribble(0)}, 0.30 + 0.70/12},
		"a dribble, little brood": {fit.BroodLittle, []Visit{dribble(0)}, 0.50 + 0.50/12},
		"a sheet, much brood":     {fit.BroodMuch, []Visit{sheet(0)}, 0.30 + 0.70/12 + 0.5*0.70*11/12},
		"strips over eight weeks": {fit.BroodMuch, []Visit{{From: 3, To: 56}}, 1},
		"no visit":                {fit.BroodMuch, nil, 0},
		// 5 days in, half of those under caps throughout; 5 of 12 days' cells open meanwhile.
		"a filling of five days": {fit.BroodMuch, []Visit{{From: 0, To: 4, Caps: 0.5}}, 0.30 + 0.70*4/12 + 0.5*0.70*8/12},
	} {
		got, err := Of(c.brood, false, c.visits)
		if err != nil || math.Abs(got.Once-c.once) > 1e-6 {
			t.Errorf("%s: %.4f met, not %.4f (%v)", name, got.Once, c.once, err)
		}
		if got.Low > got.Once || got.High < got.Once {
			t.Errorf("%s: %.3f lies outside %.3f to %.3f", name, got.Once, got.Low, got.High)
		}
	}
}

// Twice, without brood: all are on bees all the time, so each visit meets each.
func TestTwice(t *testing.T) {
	got, _ := Of(fit.BroodNone, false, []Visit{dribble(0), dribble(7)})
	if got.Once != 1 || got.Twice != 1 {
		t.Errorf("two visits without brood: once %.3f, twice %.3f", got.Once, got.Twice)
	}
	one, _ := Of(fit.BroodMuch, true, []Visit{{From: 3, To: 56}})
	if one.Twice != 0 {
		t.Errorf("one visit met %.3f twice", one.Twice)
	}
}

// brute follows every life that a mite can have, one after the other, and holds the days on
// which it rides against the visits.
type brute struct {
	visits []Visit
	last   int
	drones bool
	ride   float64
}

// lives adds up what becomes of a mite that is on a bee from a day on. riding has its
// days on bees so far.
func (b brute) lives(day int, chance float64, riding []bool) (once, twice float64) {
	left := chance
	for end := day; ; end++ {
		if end > b.last {
			o, w := b.count(riding)
			return once + left*o, twice + left*w
		}
		riding[end] = true
		goes := left / b.ride
		left -= goes
		for _, cell := range []struct {
			days  int
			share float64
		}{{12, 1 - b.droneShare()}, {14, b.droneShare()}} {
			if cell.share == 0 {
				continue
			}
			o, w := b.emerge(end+1+cell.days, goes*cell.share, append([]bool{}, riding...))
			once, twice = once+o, twice+w
		}
	}
}

func (b brute) droneShare() float64 {
	if b.drones {
		return 0.25
	}
	return 0
}

func (b brute) emerge(day int, chance float64, riding []bool) (once, twice float64) {
	if day > b.last {
		o, w := b.count(riding)
		return chance * o, chance * w
	}
	return b.lives(day, chance, riding)
}

// count goes through all outcomes of the visits that a mite sat under a cap for.
func (b brute) count(riding []bool) (once, twice float64) {
	sure := 0
	var maybe []float64
	for _, v := range b.visits {
		rode := false
		for d := v.From; d <= v.To; d++ {
			rode = rode || riding[d]
		}
		if rode {
			sure++
		} else {
			maybe = append(maybe, v.Caps)
		}
	}
	for outcome := range 1 << len(maybe) {
		chance, n := 1.0, sure
		for i, p := range maybe {
			if outcome>>i&1 == 1 {
				chance *= p
				n++
			} else {
				chance *= 1 - p
			}
		}
		if n >= 1 {
			once += chance
		}
		if n >= 2 {
			twice += chance
		}
	}
	return once, twice
}

// The answer is exact: the same as from counting every mite through its life.
func TestReachAgainstEveryLife(t *testing.T) {
	for name, visits := range map[string][]Visit{
		"dribble":             {dribble(0)},
		"three dribbles":      {dribble(0), dribble(7), dribble(14)},
		"four sheets":         {sheet(0), sheet(5), sheet(10), sheet(15)},
		"visits side by side": {dribble(0), dribble(1), dribble(2)},
		"a filling":           {{From: 0, To: 13, Caps: 0.5}},
		"strips and a sheet":  {{From: 3, To: 20}, sheet(6)},
	} {
		for _, drones := range []bool{false, true} {
			got, err := Of(fit.BroodMuch, drones, visits)
			if err != nil {
				t.Fatal(err)
			}
			b := brute{visits: visits, drones: drones, ride: 6}
			for _, v := range visits {
				b.last = max(b.last, v.To)
			}
			inDrones := 0.0
			if drones {
				inDrones = 0.25 * 14 / (0.25*14 + 0.75*12)
			}
			once, twice := 0.0, 0.0
			start := func(day int, share float64) {
				o, w := b.emerge(day, share, make([]bool, b.last+1))
				once, twice = once+o, twice+w
			}
			start(0, 0.3)
			for day := 1; day <= 12; day++ {
				start(day, 0.7*(1-inDrones)/12)
			}
			for day := 1; drones && day <= 14; day++ {
				start(day, 0.7*inDrones/14)
			}
			if math.Abs(got.Once-once) > 1e-9 || math.Abs(got.Twice-twice) > 1e-9 {
				t.Errorf("%s, drones %v: once %.6f and twice %.6f, counted %.6f and %.6f", name, drones, got.Once, got.Twice, once, twice)
			}
		}
	}
}

// More visits never meet fewer; parts are parts.
func FuzzReach(f *testing.F) {
	f.Add(uint8(1), true, uint8(0), uint8(7), uint8(14))
	f.Add(uint8(2), false, uint8(3), uint8(3), uint8(200))
	f.Fuzz(func(t *testing.T, brood uint8, drones bool, a, b, c uint8) {
		kind := []fit.Brood{fit.BroodNone, fit.BroodLittle, fit.BroodMuch}[brood%3]
		var last Reach
		visits := []Visit{}
		for _, day := range []uint8{a, b, c} {
			visits = append(visits, sheet(int(day)))
			got, err := Of(kind, drones, visits)
			if err != nil {
				t.Fatal(err)
			}
			if got.Once < last.Once-1e-9 || got.Once > 1+1e-9 || got.Twice > got.Once+1e-9 || got.Low > got.Once || got.High < got.Once {
				t.Fatalf("%+v after %+v", got, last)
			}
			sum := got.OnBees.Share
			for _, cell := range append(got.Worker, got.Drone...) {
				sum += cell.Share
			}
			if math.Abs(sum-1) > 1e-9 {
				t.Fatalf("the parts make %v", sum)
			}
			last = got
		}
	})
}

func TestVisitsThatCannotBe(t *testing.T) {
	five := []Visit{{0, 9, 0}, {1, 9, 0}, {2, 9, 0}, {3, 9, 0}, {4, 9, 0}}
	for name, c := range map[string]struct {
		brood  fit.Brood
		visits []Visit
		field  string
	}{
		"before the start":   {fit.BroodMuch, []Visit{{-1, 0, 0}}, "visits[0]"},
		"ends before":        {fit.BroodMuch, []Visit{{5, 4, 0}}, "visits[0]"},
		"too many at once":   {fit.BroodMuch, five, "visits"},
		"brood nobody knows": {"some", nil, "brood"},
		"a chance over one":  {fit.BroodMuch, []Visit{{0, 1, 2}}, "visits[0]"},
	} {
		_, err := Of(c.brood, false, c.visits)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != c.field {
			t.Errorf("%s: %v", name, err)
		}
	}
}

// Strips work from their third day until they come out, or are to; a sheet its day and the
// next; a bottle as long as it hangs; of what is only named nobody knows.
func TestMeets(t *testing.T) {
	start := calendar.Of(2026, 8, 1)
	given := func(m method.Name, after, out calendar.Day) treatment.Treatment {
		t := treatment.Treatment{Method: m, Given: start + after}
		if out > 0 {
			t.Out = start + out
		}
		return t
	}
	for name, c := range map[string]struct {
		t     treatment.Treatment
		short bool
		want  Visit
		known bool
	}{
		"dribble":            {given(method.Dribble, 2, 2), false, Visit{2, 3, 0}, true},
		"vapour":             {given(method.Vapour, 0, 0), false, Visit{0, 1, 0}, true},
		"strips still in":    {given(method.Strip, 0, 0), false, Visit{3, 56, 0}, true},
		"strips out":         {given(method.Strip, 0, 44), false, Visit{3, 43, 0}, true},
		"strips out at once": {given(method.Strip, 0, 2), false, Visit{3, 1, 0}, false},
		"a sheet":            {given(method.Pad, 7, 0), true, Visit{7, 8, 0.5}, true},
		"a bottle":           {given(method.Pad, 0, 0), false, Visit{0, 14, 0.5}, true},
		"something else":     {given(method.Other, 0, 0), false, Visit{}, false},
	} {
		got, known := Meets(c.t, c.short, start)
		if known != c.known || known && got != c.want {
			t.Errorf("%s: %+v, %v", name, got, known)
		}
	}
}

// As the protocols say: four sheets at the shortest gaps of four days; strips for eight
// weeks; a bottle for a fortnight.
func TestPlanned(t *testing.T) {
	for id, want := range map[string][]Visit{
		"winter":        {{0, 1, 0}},
		"strips":        {{3, 55, 0}},
		"formic":        {{0, 1, 0.5}, {4, 5, 0.5}, {8, 9, 0.5}, {12, 13, 0.5}},
		"formic-bottle": {{0, 14, 0.5}},
	} {
		c, _ := fit.Protocol(id)
		if got := Planned(c); !slices.Equal(got, want) {
			t.Errorf("%s: %v", id, got)
		}
	}
}

func TestWays(t *testing.T) {
	for way, want := range map[Way]Visit{Dribble: {5, 6, 0}, Sheet: {5, 6, 0.5}, Filling: {5, 19, 0.5}, Strips: {8, 60, 0}} {
		if got, known := way.On(5); got != want || !known {
			t.Errorf("%s: %v", way, got)
		}
	}
	if _, known := Way("fog").On(0); known {
		t.Error("a way that nobody knows")
	}
}
