package outlook

import (
	"math"
	"testing"

	"keeler/core/calendar"
	"keeler/core/mites"
)

// deepSeam are the bees of a full seam in a deep box.
const deepSeam = 2200

// A class plays the same season: the same seed and name make the same colony, which is seen and counted alike; another
// seed makes another. The harder the level, the more mites there are in August if nothing is done.
func TestHidden(t *testing.T) {
	april, august := calendar.Of(2026, 4, 1), calendar.Of(2026, 8, 10)
	names := []string{"P1", "P2", "P3", "P4", "P5"}
	before := 0.0
	for _, level := range []Level{Gentle, Usual, Hard} {
		sum := 0.0
		for seed := range uint64(20) {
			for _, name := range names {
				c, again := Hidden(level, seed, name, 51, april), Hidden(level, seed, name, 51, april)
				lives(&c, august)
				lives(&again, august)
				wash := mites.Count{Kind: mites.Wash, Bees: 300, On: august}
				if c.Mites() != again.Mites() || c.Glimpse(seed, name, deepSeam) != again.Glimpse(seed, name, deepSeam) || c.Counted(wash, seed, name) != again.Counted(wash, seed, name) {
					t.Fatalf("%s of seed %d is another each time", name, seed)
				}
				if other := Hidden(level, seed+100, name, 51, april); other.Params == c.Params {
					t.Fatalf("%s is the same for two seeds", name)
				}
				sum += math.Log(c.Mites()) / 100
			}
		}
		if sum <= before {
			t.Errorf("level %d: %.0f mites in August, no more than before", level, math.Exp(sum))
		}
		before = sum
	}
}

// What is seen is what is there: of 200 colonies seams lie about the bees, a tenth off; brood as it is; and counts about
// what is to be expected.
func TestGlimpse(t *testing.T) {
	seams, counts, expected := 0.0, 0.0, 0.0
	for seed := range uint64(200) {
		c := Hidden(Usual, seed, "P1", 51, calendar.Of(2026, 6, 20))
		g := c.Glimpse(seed, "P1", deepSeam)
		seams += g.Seams * deepSeam / c.Bees() / 200
		if g.Brood != MuchBrood || !g.Eggs || !g.Larvae {
			t.Fatalf("in June: %+v", g)
		}
		wash := mites.Count{Kind: mites.Wash, Bees: 300, On: c.Day}
		mean, _ := c.expected(wash)
		counts, expected = counts+float64(c.Counted(wash, seed, "P1")), expected+mean
	}
	within(t, "seams to bees", seams, 0.97, 1.04)
	within(t, "mites counted to those to be expected", counts/expected, 0.9, 1.1)
	winter := Hidden(Usual, 1, "P1", 51, calendar.Of(2026, 12, 20))
	if g := winter.Glimpse(1, "P1", deepSeam); g.Brood != NoBrood || g.Eggs || g.Larvae || g.Seams < 2 {
		t.Errorf("in December: %+v", g)
	}
}

// One that could be the real one goes on from what is known: its mites lie in the band of half the picks or more.
func TestPick(t *testing.T) {
	f := known(200)
	b, in := f.Mites(), 0
	for seed := range uint64(100) {
		if c := f.Pick(seed); c.Mites() >= b.Low && c.Mites() <= b.High {
			in++
		}
	}
	if in < 65 || in > 95 {
		t.Errorf("%d of 100 lie in a band that holds 80", in)
	}
	if p := Only(f.Pick(1)); p.Mites().Low != p.Mites().High {
		t.Error("what is known has a band")
	}
}
