package instruments

import (
	"fmt"
	"math"
	"math/rand/v2"
	"strconv"
)

// How a simulated pot behaves: far faster than a real one, so that nobody waits.
const (
	ambient  = 18.0
	warming  = 6.0 // °C a second on the plate
	cooling  = 0.4 // °C a second off it
	ripple   = 0.05
	probeStd = 0.1 // its division, °C
)

// Probe is a simulated thermometer in a pot on a plate.
type Probe struct {
	temp, plate float64
	chance      *rand.Rand
	still       float64
}

// NewProbe makes one; the seed makes its noise.
func NewProbe(seed uint64) *Probe {
	return &Probe{temp: ambient, plate: ambient, chance: rand.New(rand.NewPCG(seed, 2))}
}

// Hello names it.
func (p *Probe) Hello() string {
	return "KEELER 1 probe " + strconv.FormatFloat(probeStd, 'f', -1, 64) + " 200 simulated"
}

// Step moves it on.
func (p *Probe) Step(seconds float64) {
	way := p.plate - p.temp
	fast := warming
	if way < 0 {
		fast = cooling
	}
	p.temp += math.Copysign(min(math.Abs(way), fast*seconds), way)
	if math.Abs(way) < probeStd {
		p.still += seconds
	} else {
		p.still = 0
	}
}

// Line is what it shows.
func (p *Probe) Line() string {
	state := "U"
	if p.still >= quiet {
		state = "S"
	}
	return fmt.Sprintf("%s %.1f C", state, p.temp+p.chance.NormFloat64()*ripple)
}

// Told takes what only a simulated one can: HEAT, to so many °C; 0 turns the plate off.
func (p *Probe) Told(command string, amount float64) bool {
	if command != "HEAT" || math.IsNaN(amount) || amount < 0 || amount > 200 {
		return false
	}
	p.plate = max(amount, ambient)
	return true
}
