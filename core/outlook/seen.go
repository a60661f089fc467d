package outlook

import (
	"math"

	"keeler/core/calendar"
	"keeler/core/mites"
)

// Brood is how much sealed brood was seen.
type Brood int

// How much there was.
const (
	Unseen Brood = iota
	NoBrood
	LittleBrood // up to a comb side
	MuchBrood
)

// Look is what was seen in a hive.
type Look struct {
	On    calendar.Day
	Bees  float64 // by the seams; 0: not looked at
	Brood Brood
}

const (
	// How far counts scatter more than chance would have them: the size of a gamma's shape, as of mites that sit together.
	washSize, boardSize = 15.0, 8.0
	nestBees            = 1.3 // mites on nest bees to those on all
	seamsOff            = 0.3 // seams tell of bees to so much, as a logarithm
	combSide            = 3000
	fewCells            = 150
	misseen             = 0.05 // of looks tell wrongly of brood
	caution             = 0.4  // counts are trusted so much less: found by the test of coverage
	leastMean           = 1e-3
)

// expected is the mean of a count in a colony, and how far it scatters.
func (c *Colony) expected(of mites.Count) (mean, size float64) {
	if of.Kind == mites.Wash {
		share := min(c.OnBees/max(c.Bees(), 1)*nestBees*c.Params[Washed], 2)
		return max(share*float64(of.Bees), leastMean), washSize
	}
	share := 1.0
	if of.Share > 0 {
		share = of.Share
	}
	return max(c.Fallen(of.Began(), of.On)*share, leastMean), boardSize
}

// Count weighs the colonies by a count of the day. It must not be older.
func (f *Filter) Count(of mites.Count) {
	rank := f.rank(of)
	f.off.add(rank)
	f.doubt(rank)
	n := float64(of.Mites)
	f.weigh(func(c *Colony) float64 {
		mean, size := c.expected(of)
		size *= caution
		return size*math.Log(size/(size+mean)) + n*math.Log(mean/(size+mean))
	})
}

// Turned is a count in the measure of Rate: the mites on 100 nest bees that would make it, by what is known of the
// colony. Of a wash it is the wash itself.
func (f *Filter) Turned(of mites.Count) Band {
	return f.band(func(c *Colony) float64 {
		mean, _ := c.expected(of)
		return float64(of.Mites) / mean * 100 * nestBees * c.OnBees / max(c.Bees(), 1)
	})
}

// doubt scatters the mites where a count lies outside of all that was to be expected: it outweighs what the model
// made of those before it.
func (f *Filter) doubt(rank float64) {
	off := math.Abs(deviate(rank)) - surprising
	if off <= 0 {
		return
	}
	for i := range f.all {
		f.all[i].times(math.Exp(off * f.r.NormFloat64()))
	}
}

// surprising is how many standard deviations off a count is no more than chance.
const surprising = 0.8

// Look weighs the colonies by what was seen on the day.
func (f *Filter) Look(l Look) {
	f.weigh(func(c *Colony) float64 {
		log := 0.0
		if l.Bees > 0 {
			off := math.Log(max(c.Bees(), 1)/l.Bees) / seamsOff
			log -= off * off / 2
		}
		if l.Brood != Unseen && l.Brood != broodOf(c.Sealed()) {
			log += math.Log(misseen)
		}
		return log
	})
}

func broodOf(cells float64) Brood {
	switch {
	case cells < fewCells:
		return NoBrood
	case cells < combSide:
		return LittleBrood
	}
	return MuchBrood
}

// rank is which share of the counts that were to be expected lies below one, 0 to 1.
func (f *Filter) rank(of mites.Count) float64 {
	below := 0.0
	for i := range f.all {
		mean, size := f.all[i].expected(of)
		switch n := draw(f.r, mean, size); {
		case n < of.Mites:
			below += f.weights[i]
		case n == of.Mites:
			below += f.weights[i] * f.r.Float64()
		}
	}
	return below
}
