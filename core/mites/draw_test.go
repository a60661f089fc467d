package mites

import (
	"math/rand/v2"
	"slices"
	"testing"
)

// Two of six are drawn: one of the three with the fewest mites, one of the three with most,
// and each as often as its neighbours.
func TestDrawn(t *testing.T) {
	r := rand.New(rand.NewPCG(7, 8))
	like := []float64{9, 1, 5, 3, 7, 2} // in order: 1 (1), 5 (2), 3 (3) | 2 (5), 4 (7), 0 (9)
	times := map[int]int{}
	for range 6000 {
		got := Draw(like, 2, r.IntN)
		if len(got) != 2 || !slices.IsSorted(got) {
			t.Fatalf("%v", got)
		}
		low := 0
		for _, i := range got {
			times[i]++
			if like[i] <= 3 {
				low++
			}
		}
		if low != 1 {
			t.Fatalf("%v: %d of the weaker half", got, low)
		}
	}
	for i, n := range times {
		if n < 1800 || n > 2200 { // 2,000 ± 5.5 standard deviations
			t.Errorf("%d was drawn %d times of 6000", i, n)
		}
	}
	if got := Draw(like, 0, r.IntN); got != nil {
		t.Errorf("none: %v", got)
	}
}

// Ten hives to three groups: of each three neighbours in strength one goes to each, the tenth
// to any; and each group is as likely as the others.
func TestDealt(t *testing.T) {
	r := rand.New(rand.NewPCG(9, 10))
	like := []float64{5, 1, 9, 3, 7, 2, 8, 4, 10, 6}
	first := map[int]int{}
	for range 3000 {
		got := Deal(like, 3, r.IntN)
		first[got[1]]++ // of the weakest
		for part := range 3 {
			there := map[int]bool{}
			for i, strength := range like {
				if int(strength-1)/3 == part {
					there[got[i]] = true
				}
			}
			if len(there) != 3 {
				t.Fatalf("%v: the groups of %d to %d are %v", got, 3*part+1, 3*part+3, there)
			}
		}
	}
	for g, n := range first {
		if n < 860 || n > 1140 { // 1,000 ± 5.4 standard deviations
			t.Errorf("the weakest went to %d %d times of 3000", g, n)
		}
	}
}
