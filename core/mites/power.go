package mites

import (
	"math"
	"math/rand/v2"
)

// Plan is a comparison of two groups that is yet to be made.
type Plan struct {
	Rate   float64 // mites before, per 100 bees or a day
	Over   float64 // of each count: hundreds of bees, or days of a board
	First  float64 // the share killed in the one group, 0 to 1
	Second float64 // and in the other
	Spread float64 // how hives differ in what is left: standard deviation of its log, one of Spreads
	Pairs  int     // of groups that are looked at together, 1 or more
}

// levels is how hives of a yard differ in their mites: standard deviation of the log.
const levels = 0.5

// Spreads are how alike hives answer a treatment.
var Spreads = map[string]float64{"alike": 0.3, "usual": 0.5, "unlike": 0.8}

// Chances are of seeing the difference, by the colonies in each group.
type Chances struct {
	Colonies int     `json:"colonies" doc:"In each group."`
	Chance   float64 `json:"chance" doc:"Of telling the better one, 0 to 1."`
}

const (
	Wanted     = 0.8  // the chance from which a comparison is worth its work
	nearlySure = 0.98 // from which more colonies add nothing
	drawn      = 300  // how often each size is tried
)

var sizes = [...]int{3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40}

// Chances tries comparisons of growing size many times over, as they would turn out, and
// counts how often the better group is told by its interval. The draws are the same each
// time, so that a plan is answered alike.
func (p Plan) Chances() []Chances {
	r := rand.New(rand.NewPCG(11, 12))
	var out []Chances
	for _, n := range sizes {
		told := 0
		for range drawn {
			a, knownA := Fewer(p.group(r, n, p.First), nil)
			b, knownB := Fewer(p.group(r, n, p.Second), nil)
			d, ok := Differ(a, b, p.Pairs)
			if knownA && knownB && ok && d.Beyond() && (d.Share > 0) == (p.First > p.Second) {
				told++
			}
		}
		out = append(out, Chances{n, float64(told) / drawn})
		if out[len(out)-1].Chance >= nearlySure {
			break
		}
	}
	return out
}

// Enough is how many colonies in each group are enough; 0 where none of the sizes is.
func Enough(of []Chances) int {
	for _, c := range of {
		if c.Chance >= Wanted {
			return c.Colonies
		}
	}
	return 0
}

// group draws the counts of a group. Levels and what is left are lognormal around their means.
func (p Plan) group(r *rand.Rand, n int, killed float64) []Pair {
	out := make([]Pair, n)
	for i := range out {
		level := p.Rate * p.Over * around(r, levels)
		out[i] = Pair{Sample{Poisson(r, level), p.Over}, Sample{Poisson(r, level*(1-killed)*around(r, p.Spread)), p.Over}}
	}
	return out
}

// around draws a lognormal figure of mean 1.
func around(r *rand.Rand, spread float64) float64 {
	return math.Exp(spread*r.NormFloat64() - spread*spread/2)
}

// Poisson draws a count of a mean, by Knuth's products in parts that do not underflow; of a large mean as
// the normal distribution has it.
func Poisson(r *rand.Rand, mean float64) int {
	const part, large = 200, 1000
	if mean > large {
		return int(math.Round(mean + math.Sqrt(mean)*r.NormFloat64()))
	}
	n := 0
	for ; mean > part; mean -= part {
		n += Poisson(r, part)
	}
	limit, product := math.Exp(-mean), r.Float64()
	for product > limit {
		n++
		product *= r.Float64()
	}
	return n
}
