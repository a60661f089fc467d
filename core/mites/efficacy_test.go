package mites

import (
	"math"
	"math/rand/v2"
	"testing"
)

// world is one cell of the grid: how many are killed, how colonies differ in their mites
// and in what was killed (standard deviations of the logs), and mites before.
type world struct{ killed, levels, spread, before float64 }

var grid = func() (out []world) {
	for _, killed := range []float64{0.5, 0.8, 0.93} {
		for _, levels := range []float64{0.3, 0.8} {
			for _, spread := range []float64{0, 0.4} {
				for _, before := range []float64{15, 60} {
					out = append(out, world{killed, levels, spread, before})
				}
			}
		}
	}
	return out
}()

// pairs draws counts of a group; the share that is left differs by colony around its mean.
func (w world) pairs(r *rand.Rand, n int, left float64) []Pair {
	out := make([]Pair, n)
	for i := range out {
		level := w.before * around(r, w.levels)
		remains := left * around(r, w.spread)
		out[i] = Pair{Sample{Poisson(r, level), 3}, Sample{Poisson(r, level*remains), 3}}
	}
	return out
}

// The intervals hold what they say over the grid: in 93 of 100 groups of eight and more, in
// 88 of 100 of three to seven.
func TestIntervalsHold(t *testing.T) {
	for _, c := range []struct {
		treated, controls int
		least             float64
	}{{3, 0, 0.88}, {5, 3, 0.88}, {7, 0, 0.88}, {8, 0, 0.93}, {8, 8, 0.93}, {20, 0, 0.93}} {
		r := rand.New(rand.NewPCG(1, 2))
		for _, w := range grid {
			const times = 1000
			hits, all := 0, 0
			for range times {
				growth := 1.0
				var against []Pair
				if c.controls > 0 {
					growth = 1.2
					against = w.pairs(r, c.controls, growth)
				}
				k, ok := Fewer(w.pairs(r, c.treated, growth*(1-w.killed)), against)
				if !ok {
					continue
				}
				all++
				if k.Low <= w.killed && w.killed <= k.High {
					hits++
				}
			}
			if share := float64(hits) / float64(all); share < c.least || all < times*9/10 {
				t.Errorf("%d colonies and %d controls, %+v: held in %.3f of %d", c.treated, c.controls, w, share, all)
			}
		}
	}
}

// The same of what fell: each colony loses its own share by the first treatment, and nearly
// all the rest by the second.
func TestFallIntervalsHold(t *testing.T) {
	for n, least := range map[int]float64{3: 0.88, 8: 0.93} {
		r := rand.New(rand.NewPCG(3, 4))
		for _, w := range grid {
			const times = 1000
			hits := 0
			for range times {
				falls := make([]Fall, n)
				for i := range falls {
					level := 10 * w.before * around(r, w.levels)
					left := min(1, (1-w.killed)*around(r, w.spread))
					falls[i] = Fall{float64(Poisson(r, level*(1-left))), float64(Poisson(r, level*left))}
				}
				if k, ok := Fallen(falls); ok && k.Low <= w.killed && w.killed <= k.High {
					hits++
				}
			}
			if share := float64(hits) / times; share < least {
				t.Errorf("%d colonies, %+v: held in %.3f", n, w, share)
			}
		}
	}
}

// Of one colony counting is all that is known; that much holds.
func TestOneColonyHoldsItsCounting(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 6))
	hits := 0
	const times = 4000
	for range times {
		k, _ := Fewer(world{0.9, 0, 0, 60}.pairs(r, 1, 0.1), nil)
		if k.Low <= 0.9 && 0.9 <= k.High {
			hits++
		}
		if !k.Counting || !k.Few {
			t.Fatalf("one colony is told as if it were a group: %+v", k)
		}
	}
	if share := float64(hits) / times; share < 0.93 {
		t.Errorf("held in %.3f", share)
	}
}

// By hand, with z = 1.96.
//
//	60 → 6 in as many days: 1 − 0.1; error √(1/60 + 1/6) = 0.4282, e^0.8392 = 2.3145
//	120 → 12 against 100 → 90: 1 − 12·100/(120·90) = 0.8889; error √(1/120 + 1/12 + 1/100 + 1/90) = 0.3358, e^0.6582 = 1.9313
//	8 → 0: 1 − 0.5/8.5; error √(1/8.5 + 1/0.5) = 1.4552, e^2.8522 = 17.33
//	30 in 3 days → 10 in 5: 1 − 2/10; error √(1/30 + 1/10) = 0.3651, e^0.7157 = 2.0456
func TestFewerByHand(t *testing.T) {
	pair := func(b int, bo float64, a int, ao float64) Pair { return Pair{Sample{b, bo}, Sample{a, ao}} }
	for name, c := range map[string]struct {
		treated, controls []Pair
		share, low, high  float64
		measure           Measure
	}{
		"alone":            {[]Pair{pair(60, 3, 6, 3)}, nil, 0.9, 0.7686, 0.9568, BeforeAfter},
		"against one":      {[]Pair{pair(120, 3, 12, 3)}, []Pair{pair(100, 3, 90, 3)}, 0.8889, 0.7854, 0.9425, Controlled},
		"none left":        {[]Pair{pair(8, 3, 0, 3)}, nil, 0.9412, -0.0194, 0.9966, BeforeAfter},
		"different days":   {[]Pair{pair(30, 3, 10, 5)}, nil, 0.8, 0.5909, 0.9022, BeforeAfter},
		"two as one":       {[]Pair{pair(20, 3, 2, 3), pair(40, 3, 4, 3)}, nil, 0.9, 0.7686, 0.9568, BeforeAfter},
		"more than before": {[]Pair{pair(10, 3, 20, 3)}, nil, -1, -3.2719, 0.0636, BeforeAfter},
	} {
		k, ok := Fewer(c.treated, c.controls)
		if !ok || math.Abs(k.Share-c.share) > 1e-4 || math.Abs(k.Low-c.low) > 2e-3 || math.Abs(k.High-c.high) > 1e-3 || k.Measure != c.measure {
			t.Errorf("%s: %+v, %v", name, k, ok)
		}
	}
	for name, none := range map[string][]Pair{
		"nobody": nil, "nothing before": {pair(0, 3, 5, 3)}, "no board after": {pair(5, 3, 0, 0)},
	} {
		if k, ok := Fewer(none, nil); ok {
			t.Errorf("%s: %+v", name, k)
		}
	}
	if k, ok := Fewer([]Pair{pair(60, 3, 6, 3)}, []Pair{pair(0, 3, 2, 3)}); ok {
		t.Errorf("controls without a mite: %+v", k)
	}
}

// 90 of 100: by Wilson 0.8256 to 0.9448, the textbook's figures.
func TestFallenByHand(t *testing.T) {
	k, ok := Fallen([]Fall{{90, 10}})
	if !ok || k.Share != 0.9 || math.Abs(k.Low-0.8256) > 1e-4 || math.Abs(k.High-0.9448) > 1e-4 {
		t.Errorf("%+v, %v", k, ok)
	}
	if _, ok := Fallen([]Fall{{0, 0}}); ok {
		t.Error("a share of nothing")
	}
}

func TestStudent(t *testing.T) {
	for freedom, want := range map[int]float64{1: 12.706, 4: 2.776, 30: 2.042, 40: 2.021, 120: 1.980} {
		if got := student(freedom); math.Abs(got-want) > 1e-3 {
			t.Errorf("%d: %v, not %v", freedom, got, want)
		}
	}
}

// Any counts give an interval around the share, or none.
func FuzzFewer(f *testing.F) {
	f.Add(uint16(60), 3.0, uint16(6), 3.0, uint16(0))
	f.Add(uint16(1), 0.1, uint16(0), 60.0, uint16(3))
	f.Fuzz(func(t *testing.T, b uint16, bo float64, a uint16, ao float64, c uint16) {
		if !(bo >= 0.1 && bo <= 60 && ao >= 0.1 && ao <= 60) {
			return
		}
		p := Pair{Sample{int(b), bo}, Sample{int(a), ao}}
		control := Pair{Sample{int(c), bo}, Sample{int(b), ao}}
		for _, controls := range [][]Pair{nil, {control}} {
			k, ok := Fewer([]Pair{p, p, control}, controls)
			if ok && !(k.Low <= k.Share+1e-9 && k.Share <= k.High+1e-9 && k.High <= 1) {
				t.Fatalf("%+v", k)
			}
			if d, _ := Differ(k, Killed{Share: 0.5, Low: 0.2, High: 0.8}, 1+int(c%15)); ok && !(d.Low <= d.Share && d.Share <= d.High) {
				t.Fatalf("%+v: %+v", k, d)
			}
		}
		if tell := WouldTell(Board, []Pair{p, control}, []Pair{control}); tell.Before < 0 || tell.After < 0 || tell.After > MaxDays || tell.Before > MaxDays {
			t.Fatalf("%+v", tell)
		}
	})
}
