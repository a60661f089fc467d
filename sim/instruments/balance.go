package instruments

import (
	"fmt"
	"math"
	"math/rand/v2"
	"strconv"
	"strings"
)

// How a simulated balance behaves.
const (
	pouring  = 1.0  // seconds that a pour takes
	settling = 0.12 // seconds in which the reading comes nearer by a factor e
	quiet    = 0.4  // seconds without change until it calls itself stable
	drift    = 0.02 // divisions a second, at random
)

// Balance is a simulated kitchen balance.
type Balance struct {
	division, capacity float64
	chance             *rand.Rand
	load, shown        float64 // g on the pan, and as the cell feels it
	tare, wander       float64
	rest, rate         float64 // still to be poured, and how fast
	still              float64 // seconds since the last change
}

// NewBalance makes one; the seed makes its noise.
func NewBalance(division, capacity float64, seed uint64) *Balance {
	return &Balance{division: division, capacity: capacity, chance: rand.New(rand.NewPCG(seed, 1))}
}

// Hello names it.
func (b *Balance) Hello() string {
	return fmt.Sprintf("KEELER 1 balance %v %v simulated", b.division, b.capacity)
}

// Step moves it on.
func (b *Balance) Step(seconds float64) {
	if b.rest != 0 {
		poured := b.rate * seconds
		if math.Abs(poured) >= math.Abs(b.rest) {
			poured = b.rest
		}
		b.load, b.rest, b.still = b.load+poured, b.rest-poured, 0
	}
	b.shown += (b.load - b.shown) * (1 - math.Exp(-seconds/settling))
	b.wander += b.chance.NormFloat64() * drift * b.division * math.Sqrt(seconds)
	b.wander = max(-b.division/3, min(b.division/3, b.wander))
	if math.Abs(b.load-b.shown) < b.division/4 {
		b.still += seconds
	} else {
		b.still = 0
	}
}

// Line is what it shows.
func (b *Balance) Line() string {
	if b.shown > b.capacity {
		return "O"
	}
	state, noise := "S", 0.0
	if b.still < quiet {
		state, noise = "U", b.chance.NormFloat64()*b.division
	}
	divisions := math.Round((b.shown - b.tare + b.wander + noise) / b.division)
	return fmt.Sprintf("%s %s g", state, strconv.FormatFloat(divisions*b.division+0, 'f', places(b.division), 64))
}

// Told takes TARE and ZERO, and what only a simulated one can: POUR so many g,
// LIFT everything off.
func (b *Balance) Told(command string, amount float64) bool {
	switch command {
	case "TARE":
		b.tare, b.wander = b.shown, 0
	case "ZERO":
		b.tare, b.wander = b.shown, 0
	case "POUR":
		if math.IsNaN(amount) || math.Abs(amount) > 1e5 {
			return false
		}
		b.rest += amount
		b.rate = b.rest / pouring
	case "LIFT":
		b.load, b.shown, b.rest, b.tare, b.still = 0, 0, 0, 0, 0
	default:
		return false
	}
	return true
}

func places(division float64) int {
	text := strconv.FormatFloat(division, 'f', -1, 64)
	if i := strings.IndexByte(text, '.'); i >= 0 {
		return len(text) - i - 1
	}
	return 0
}
