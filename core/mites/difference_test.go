package mites

import (
	"math"
	"math/rand/v2"
	"testing"
)

// By hand: 0.9 (0.8 to 0.95) against 0.8 (0.65 to 0.9) is 0.1, down by √(0.1² + 0.1²) = 0.1414,
// up by √(0.05² + 0.15²) = 0.1581. Of three pairs the quantile of 1 − 0.025 ÷ 3 is 2.3940, and
// 2.3940 ÷ 1.9600 = 1.2214 times as wide.
func TestDifferByHand(t *testing.T) {
	a, b := Killed{Share: 0.9, Low: 0.8, High: 0.95}, Killed{Share: 0.8, Low: 0.65, High: 0.9}
	for pairs, want := range map[int]Difference{1: {0.1, -0.0414, 0.2581}, 3: {0.1, -0.0727, 0.2931}} {
		d, ok := Differ(a, b, pairs)
		if !ok || d.Beyond() || math.Abs(d.Share-want.Share) > 1e-9 || math.Abs(d.Low-want.Low) > 1e-4 || math.Abs(d.High-want.High) > 1e-4 {
			t.Errorf("of %d: %+v, %v", pairs, d, ok)
		}
	}
	if d, _ := Differ(Killed{Share: 0.95, Low: 0.93, High: 0.97}, b, 1); !d.Beyond() {
		t.Errorf("0.93 and more against 0.9 at most: %+v", d)
	}
	a.Counting = true
	if _, ok := Differ(a, b, 1); ok {
		t.Error("one hive is told as if it were a group")
	}
}

// The difference of two groups lies in its interval in 93 of 100, small ones in 88.
func TestDifferencesHold(t *testing.T) {
	for n, least := range map[int]float64{3: 0.88, 5: 0.88, 8: 0.93, 15: 0.93} {
		r := rand.New(rand.NewPCG(21, 22))
		for _, w := range grid {
			for _, less := range []float64{0, 0.25} {
				const times = 500
				hits, all := 0, 0
				for range times {
					a, knownA := Fewer(w.pairs(r, n, 1-w.killed), nil)
					b, knownB := Fewer(w.pairs(r, n, 1-w.killed+less), nil)
					if d, _ := Differ(a, b, 1); knownA && knownB {
						all++
						if d.Low <= less && less <= d.High {
							hits++
						}
					}
				}
				if share := float64(hits) / float64(all); share < least {
					t.Errorf("%d colonies, %+v and %v less: held in %.3f of %d", n, w, less, share, all)
				}
			}
		}
	}
}

// With counts so large that they hide nothing: what is left, 0.1 or 0.2, differs by ln 2 =
// 0.693 in its log. Its variance a hive is e^0.25 − 1 = 0.284, times e^0.25 = 1.284 because
// hives with more mites weigh more: 0.365. By the textbook's (1.96 + 0.84)² · 2 · 0.365 ÷ 0.693²
// = 11.9 hives a group are enough; Student's t asks for a few more.
func TestPowerOfAPlan(t *testing.T) {
	sure := Plan{Rate: 100, Over: 6, First: 0.9, Second: 0.8, Spread: Spreads["usual"], Pairs: 1}
	usual := Enough(sure.Chances())
	if usual < 12 || usual > 20 {
		t.Errorf("%d hives", usual)
	}
	few := sure
	few.Rate, few.Over = 2, 1
	if n := Enough(few.Chances()); n != 0 && n <= 20 {
		t.Errorf("2 mites a wash tell with %d hives", n)
	}
	far, three := sure, sure
	far.Second, three.Pairs = 0.4, 3
	if Enough(far.Chances()) >= usual || Enough(three.Chances()) < usual {
		t.Error("a larger difference is no easier, or three pairs are no harder")
	}
	alike := sure
	alike.Second = alike.First
	for _, c := range alike.Chances() {
		if c.Chance > 0.05 { // each is the better one half of the 5 % that chance makes
			t.Errorf("told apart though alike: %+v", c)
		}
	}
}
