package outlook

import (
	"math"
	"math/rand/v2"

	"keeler/core/calendar"
)

// Begins is what is known of a colony to begin with.
type Begins struct {
	Latitude  float64
	Day       calendar.Day
	Nuc       bool
	Low, High float64 // mites: each as likely as the next, in proportion
}

// Filter is many possible colonies, each weighed by what was seen and counted of the real one.
type Filter struct {
	Day     calendar.Day
	all     []Colony
	weights []float64
	r       *rand.Rand
	off     surprise
	drawer  []float64 // where figures are sorted into; empty between two times
}

// strengths is how much of a strong colony a nuc is at the beginning, at the least and the most.
var strengths = map[bool][2]float64{false: {0.3, 1}, true: {0.1, 0.4}}

// NewFilter draws so many possible colonies; the same seed gives the same.
func NewFilter(b Begins, many int, seed uint64) *Filter {
	f := &Filter{
		Day: b.Day, all: make([]Colony, many), weights: make([]float64, many),
		r: rand.New(rand.NewPCG(seed, uint64(b.Day))),
	}
	place, strength := At(b.Latitude), strengths[b.Nuc]
	for i := range f.all {
		p := Draw(f.r)
		mites := b.Low * math.Pow(b.High/b.Low, f.r.Float64())
		f.all[i] = NewColony(p, place, strength[0]+(strength[1]-strength[0])*f.r.Float64(), b.Day, mites)
		f.weights[i] = 1 / float64(many)
	}
	return f
}

// Step lives through the next day with all of them.
func (f *Filter) Step(given []Dose, idle bool) {
	f.Day++
	given = working(given, f.Day)
	for i := range f.all {
		f.all[i].Step(given, idle)
	}
}

// Live lives through the days until one with all of them, colony by colony: many days at once go faster so. idle, where it is
// given, says on which of them no queen lays.
func (f *Filter) Live(to calendar.Day, given []Dose, idle func(calendar.Day) bool) {
	var days [][]Dose
	for day := f.Day + 1; day <= to; day++ {
		days = append(days, working(given, day))
	}
	for i := range f.all {
		for c := &f.all[i]; c.Day < to; {
			c.Step(days[c.Day-f.Day], idle != nil && idle(c.Day+1))
		}
	}
	f.Day = max(f.Day, to)
}

// few is the share of the colonies that must still count for something; with fewer, they are drawn anew.
const few = 0.5

// weigh weighs the colonies by how likely each makes what was seen, as a logarithm.
func (f *Filter) weigh(likely func(*Colony) float64) {
	most := math.Inf(-1)
	logs := make([]float64, len(f.all))
	for i := range f.all {
		logs[i] = math.Log(f.weights[i]) + likely(&f.all[i])
		most = max(most, logs[i])
	}
	sum, squares := 0.0, 0.0
	for i := range logs {
		f.weights[i] = math.Exp(logs[i] - most)
		sum += f.weights[i]
	}
	for i := range f.weights {
		f.weights[i] /= sum
		squares += f.weights[i] * f.weights[i]
	}
	if 1/squares < few*float64(len(f.all)) {
		f.resample()
	}
}

// moved is by how much figures are moved when colonies are drawn anew, as a share of how far they lie apart:
// drawn towards their mean as much as they are scattered, so that they come to lie no further apart.
// Source: Liu and West's kernel; docs/sources.md, Year of a colony.
const moved = 0.35

// leastSize is how small a colony may come to be, as a share of a strong one's.
const leastSize = 0.05

var keep = math.Sqrt(1 - moved*moved)

// resample draws the colonies anew, each as often as it weighs, and moves their figures, their size and their mites a
// little, for of two that are alike one would tell nothing new.
func (f *Filter) resample() {
	var figures [params]kernel
	var mites, size kernel
	for i, w := range f.weights {
		c := &f.all[i]
		for k, v := range c.Params {
			figures[k].add(w, v)
		}
		mites.add(w, c.logMites())
		size.add(w, c.size)
	}
	f.multiply()
	for i := range f.all {
		c := &f.all[i]
		for k, v := range c.Params {
			c.Params[k] = spans[k].hold(figures[k].move(f.r, v))
		}
		c.size = max(size.move(f.r, c.size), leastSize)
		log := c.logMites()
		c.times(math.Exp(mites.move(f.r, log) - log))
		f.weights[i] = 1 / float64(len(f.all))
	}
}

// logMites is how many there are, as a logarithm, and none as next to none.
func (c *Colony) logMites() float64 { return math.Log(max(c.Mites(), leastMean)) }

// multiply has each colony there as often as it weighs (by one draw for all of them), those in the place of others that
// weigh too little.
func (f *Filter) multiply() {
	n := float64(len(f.all))
	first, sum, drawn := f.r.Float64(), 0.0, 0
	times := make([]int, len(f.all))
	for i, w := range f.weights {
		sum += w * n
		for float64(drawn)+first < sum && drawn < len(f.all) {
			drawn++
			times[i]++
		}
	}
	times[len(times)-1] += len(f.all) - drawn // what rounding left
	free := 0
	for i := range times {
		for ; times[i] > 1; times[i]-- {
			for times[free] != 0 {
				free++
			}
			f.all[free] = f.all[i]
			times[free] = 1
		}
	}
}

// kernel is how a figure lies among the colonies.
type kernel struct{ sum, mean, squares float64 }

func (k *kernel) add(weight, v float64) {
	if weight == 0 {
		return
	}
	k.sum += weight
	off := v - k.mean
	k.mean += off * weight / k.sum
	k.squares += weight * off * (v - k.mean)
}

// move draws a figure towards the mean, and scatters it.
func (k *kernel) move(r *rand.Rand, v float64) float64 {
	return k.mean + keep*(v-k.mean) + moved*math.Sqrt(max(k.squares, 0)/k.sum)*r.NormFloat64()
}

// hold keeps a figure within what it can be: as far again beyond its range as half of it is wide, but of the sign
// that it has, and a share below one.
func (s span) hold(v float64) float64 {
	wide := (s.high - s.low) / 2
	low, high := s.low-wide, s.high+wide
	if s.low >= 0 {
		low = max(low, 0)
	}
	if s.high < 1 {
		high = min(high, 0.99)
	}
	return min(max(v, low), high)
}
