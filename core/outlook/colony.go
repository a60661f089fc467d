package outlook

import (
	"math"

	"keeler/core/calendar"
)

// How bees and mites live, in days and shares. Source: docs/sources.md, Year of a colony.
const (
	workerCap, droneCap   = 9, 10  // from the egg to the cap
	workerDays, droneDays = 12, 14 // under it
	summerDays            = 35
	winterDays            = 150 // at 50° and nearer the equator
	winterGrows           = 2.5 // days more, for each that laying begins later: it ends as much earlier
	mostWinterDays        = 210
	longLived             = 253 // more than any winter bee lives, as far as its factor goes
	shortLived            = 43  // and any summer bee

	eggsABee, eggsAlways  = 0.13, 50 // a day, that bees find the warmth for: ours, so that a small colony grows as one
	gramsABee             = 0.12
	workerEntry           = 0.56 // of mites on bees a day, for each worker cell capped and gram of bees
	droneEntry            = 6.49
	diesInBrood, diesElse = 0.006, 0.002 // of mites on bees a day
	boardDays             = 64           // that a board can have lain
	fallsADay             = 0.3          // of killed mites: most within a week, a tail for two
)

// Balance counts mites since a colony was begun: what came in, and what became of them.
type Balance struct{ Came, Born, Died, Killed float64 }

// Colony is one possible colony as it stands at the end of a day.
type Colony struct {
	Day    calendar.Day
	Params Params
	OnBees float64 // mites
	Balance
	place *Place
	t     float64 // the day of its year
	shift int     // days by which the colony is late in it
	size  float64 // as a share of a strong colony's
	under float64 // mites in sealed brood

	eggs               [droneCap + 1]float32 // by the day they were laid
	workers            [workerDays]float32   // cells by the day they were capped
	drones             [droneDays]float32
	inWorker           [workerDays]float32 // mites in them
	inDrone            [droneDays]float32
	summer             [shortLived]float32 // bees by the day they emerged
	winter             [longLived]float32
	summers, winters   float64 // of them, how many live
	fallen             [boardDays]float32
	fell               float64 // mites on a board, since it was begun
	killed             float64 // mites that treatments killed and that have not fallen yet
	summerIs, winterIs int     // days that they live: as it was begun with, like the shift
}

// grown is for how many days before its first a colony is let be, so that bees and brood are as if
// nobody had begun with it; settled is for how many of them with mites, so that these are where they would be.
const grown, settled = 240, 40

// NewColony is a colony at the end of a day at a place, that nobody has disturbed, with so many
// mites. strength is its size as a share of a strong colony's.
func NewColony(p Params, place *Place, strength float64, day calendar.Day, mites float64) Colony {
	c := Colony{
		Day: day - grown, Params: p, place: place, size: strength, shift: int(math.Round(p[Shift])),
		summerIs: int(math.Round(summerDays * p[SummerLife])), winterIs: min(int(math.Round(place.winterLife*p[WinterLife])), longLived-1),
	}
	c.t = place.of(c.Day)
	for c.Day < day-settled {
		c.bees(false)
	}
	c.OnBees = 1
	for c.Day < day {
		c.Step(nil, false)
	}
	c.times(mites / c.Mites())
	c.Balance, c.fell, c.fallen = Balance{}, 0, [boardDays]float32{} // nothing was killed
	return c
}

// Bees is how many there are.
func (c *Colony) Bees() float64 { return c.summers + c.winters }

// UnderCaps is how many mites are in sealed brood.
func (c *Colony) UnderCaps() float64 { return c.under }

// Mites is how many there are in all.
func (c *Colony) Mites() float64 { return c.OnBees + c.UnderCaps() }

// times makes so many times as many mites of those that there are.
func (c *Colony) times(factor float64) {
	c.OnBees *= factor
	c.leave(factor)
}

// leave leaves a share of the mites under caps.
func (c *Colony) leave(share float64) {
	c.under = 0
	for i := range c.inWorker {
		c.inWorker[i] *= float32(share)
		c.under += float64(c.inWorker[i])
	}
	for i := range c.inDrone {
		c.inDrone[i] *= float32(share)
		c.under += float64(c.inDrone[i])
	}
}

// Sealed is how many cells are.
func (c *Colony) Sealed() float64 {
	sum := float32(0)
	for _, n := range c.workers {
		sum += n
	}
	for _, n := range c.drones {
		sum += n
	}
	return float64(sum)
}

// Fallen is how many mites fell on a board that lay from the end of one day to the end of another, at most 60
// days before now.
func (c *Colony) Fallen(from, to calendar.Day) float64 {
	return float64(c.fallen[int(to)%boardDays] - c.fallen[int(from)%boardDays])
}

// bees begins the next day: it has bees die and emerge, the queen lay unless she is idle, and cells be capped.
func (c *Colony) bees(idle bool) (workers, drones float64) {
	c.Day++
	if c.t++; c.t >= yearDays {
		c.t -= yearDays
	}
	d, today := int(c.Day), int(c.t)
	own := today - c.shift
	if own < 0 {
		own += inYear
	} else if own >= inYear {
		own -= inYear
	}
	old, aged := &c.summer[(d-c.summerIs)%shortLived], &c.winter[(d-c.winterIs)%longLived]
	c.summers -= float64(*old)
	c.winters -= float64(*aged)
	*old, *aged = 0, 0
	emerge := c.workers[d%workerDays]
	if c.place.winters[own] {
		c.winter[d%longLived] = emerge
		c.winters += float64(emerge)
	} else {
		c.summer[d%shortLived] = emerge
		c.summers += float64(emerge)
	}
	share := float64(c.place.drones[today]) * c.Params[Drones]
	workers = float64(c.eggs[(d-workerCap)%len(c.eggs)]) * c.Params[Raised] * (1 - share)
	drones = float64(c.eggs[(d-droneCap)%len(c.eggs)]) * c.Params[Raised] * share
	c.workers[d%workerDays], c.drones[d%droneDays] = float32(workers), float32(drones)
	c.eggs[d%len(c.eggs)] = 0
	if !idle {
		most := eggsABee*c.Bees() + eggsAlways // more brood than they can warm they do not raise
		c.eggs[d%len(c.eggs)] = float32(math.Min(c.size*c.Params[Eggs]*float64(c.place.lays[own]), most))
	}
	return workers, drones
}

// enters is the share of mites that enter cells in a day at a rate, 1 - exp(-rate): by a fraction that is within a
// thousandth of it where it is asked millions of times.
func enters(rate float64) float64 {
	if rate > 1 {
		return -math.Expm1(-rate)
	}
	return rate / (1 + rate/2 + rate*rate/12)
}

// Step lives through the next day, under what was given; idle says that no queen lays.
func (c *Colony) Step(given []Dose, idle bool) {
	cappedW, cappedD := c.bees(idle)
	d, today := int(c.Day), int(c.t)

	// Mites that were on bees enter cells that are capped today.
	grams := math.Max(c.Bees(), 1) * gramsABee
	intoW, intoD := workerEntry*c.Params[Entry]*cappedW/grams, droneEntry*c.Params[Entry]*cappedD/grams
	if both := intoW + intoD; both > 0 {
		into := c.OnBees * enters(both)
		c.OnBees -= into
		intoW, intoD = into*intoW/both, into*intoD/both
	}
	// Others come out with the bee, and their young; they ride a day at least.
	w, dr := float64(c.inWorker[d%workerDays]), float64(c.inDrone[d%droneDays])
	c.inWorker[d%workerDays], c.inDrone[d%droneDays] = float32(intoW), float32(intoD)
	c.under += float64(float32(intoW)) + float64(float32(intoD)) - w - dr
	born := w*(c.Params[FromWorker]-1) + dr*(c.Params[FromDrone]-1)
	c.OnBees += w + dr + born
	c.Born += born

	dies := diesElse
	if cappedW > 0 {
		dies = diesInBrood
	}
	died := c.OnBees * dies * c.Params[Death]
	c.OnBees -= died
	c.Died += died

	came := c.Params[Inflow]
	if c.place.late[today] {
		came = c.Params[InflowLate]
	}
	c.OnBees += came
	c.Came += came

	for _, dose := range given {
		c.take(dose)
	}
	falls := c.killed * fallsADay
	c.killed -= falls
	c.fell += falls + c.Mites()*float64(c.place.falls[today])*c.Params[Fall]
	c.fallen[d%boardDays] = float32(c.fell)
}
