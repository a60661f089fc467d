package outlook

import (
	"crypto/sha256"
	"math"
	"math/rand/v2"
	"strconv"

	"keeler/core/calendar"
	"keeler/core/mites"
)

// Level is how hard a season of practice is.
type Level int

// The levels: mites to begin with, how strong the colonies are, and how much comes in from outside.
const (
	Gentle Level = iota + 1
	Usual
	Hard
)

var levels = map[Level]struct{ low, high, weakest, inflow float64 }{
	Gentle: {10, 60, 0.7, 0.3},
	Usual:  {20, 200, 0.5, 1},
	Hard:   {40, 400, 0.35, 1.5},
}

// Hidden is a made-up colony at the end of a day whose truth is known to nobody who practises: the same for the same
// seed and name.
func Hidden(level Level, seed uint64, name string, latitude float64, day calendar.Day) Colony {
	of, r := levels[level], chance(seed, name, 0)
	p := Draw(r)
	p[Inflow] *= of.inflow
	p[InflowLate] *= of.inflow
	mites := of.low * math.Pow(of.high/of.low, r.Float64())
	return NewColony(p, At(latitude), of.weakest+(1-of.weakest)*r.Float64(), day, mites)
}

// chance draws alike for the same seed, name and day.
func chance(seed uint64, name string, day calendar.Day) *rand.Rand {
	of := name + " " + strconv.FormatUint(seed, 10) + " " + day.String()
	return rand.New(rand.NewChaCha8(sha256.Sum256([]byte(of)))) // seeds beside each other have nothing in common
}

// Pick is one of the possible colonies, each as likely as it weighs: one that could be the real one.
func (f *Filter) Pick(seed uint64) Colony {
	at := chance(seed, "pick", 0).Float64()
	for i, w := range f.weights {
		if at -= w; at < 0 {
			return f.all[i]
		}
	}
	return f.all[len(f.all)-1]
}

// Only is a filter that knows the colony.
func Only(c Colony) *Filter {
	return &Filter{Day: c.Day, all: []Colony{c}, weights: []float64{1}, r: chance(0, "", c.Day)}
}

// Glimpse is what somebody sees who looks into a hive: full seams in quarters, brood and eggs.
type Glimpse struct {
	Seams        float64
	Brood        Brood
	Eggs, Larvae bool
}

const (
	fewEggs       = 20 // and larvae: fewer are not found
	eggDays       = 3
	miscounted    = 0.1 // by which who counts seams is off, as a logarithm
	seamsQuarters = 4
)

// Glimpse is what is seen in it on its day, by the same person each time; inASeam are the bees of a full seam.
func (c *Colony) Glimpse(seed uint64, name string, inASeam float64) Glimpse {
	r := chance(seed, name+" seen", c.Day)
	out := Glimpse{
		Seams: math.Round(c.Bees()/inASeam*math.Exp(miscounted*r.NormFloat64())*seamsQuarters) / seamsQuarters,
		Brood: broodOf(c.Sealed()),
	}
	eggs, larvae := float32(0), float32(0)
	for age := range workerCap {
		if laid := c.eggs[(int(c.Day)-age)%len(c.eggs)]; age < eggDays {
			eggs += laid
		} else {
			larvae += laid
		}
	}
	out.Eggs, out.Larvae = eggs >= fewEggs, larvae >= fewEggs
	return out
}

// Counted is the count of mites that somebody makes on its day: of a kind, with its bees or its days.
func (c *Colony) Counted(of mites.Count, seed uint64, name string) int {
	mean, size := c.expected(of)
	return draw(chance(seed, name+string(of.Kind), of.On), mean, size)
}
