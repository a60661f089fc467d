package pad

import "math"

// Learning adds up what weighings tell of devices of one kind. The zero value knows nothing.
type Learning struct {
	xy, xx, yy float64
	n          int
}

// Add takes the weighings of one device. Nothing is learnt from an empty one. outside begins
// when it was hung.
func (l *Learning) Add(e Evaporating, outside []float64, weighings []Weighing) {
	e.Factor = 1
	for _, w := range weighings {
		if w.Hour < 1 || w.Hour > len(outside) || w.Left <= 0 || w.Left >= e.Full || !Known(outside[:w.Hour]) {
			continue
		}
		// What the rule says, and what was found: of a sheet the log of the share left.
		expected, found := e.expected(outside[:w.Hour]), float64(e.Full-w.Left)
		if e.Device == Soaked {
			expected, found = expected/float64(e.Full), -math.Log(float64(w.Left/e.Full))
		}
		l.xy += expected * found
		l.xx += expected * expected
		l.yy += found * found
		l.n++
	}
}

// Factor is by how much such devices are faster than the rule, by least squares over their
// weighings, and its standard error (0 where there is one weighing alone); ok is false where
// nothing can be told.
func (l Learning) Factor() (factor, off float64, ok bool) {
	if l.xx <= 0 {
		return 0, 0, false
	}
	factor = l.xy / l.xx
	if l.n > 1 {
		off = math.Sqrt(max(0, l.yy-factor*l.xy) / float64(l.n-1) / l.xx)
	}
	return factor, off, true
}

// Weighings is of how many weighings it is.
func (l Learning) Weighings() int { return l.n }

// Learn is the factor of one device by its own weighings alone.
func (e Evaporating) Learn(outside []float64, weighings []Weighing) (factor, off float64, ok bool) {
	var l Learning
	l.Add(e, outside, weighings)
	return l.Factor()
}

// Net is what was left in a full device at each weighing but the first, by what all that
// hangs on it weighed.
func (e Evaporating) Net(gross []Weighing) []Weighing {
	if len(gross) < 2 {
		return nil
	}
	net := make([]Weighing, len(gross)-1)
	for i, g := range gross[1:] {
		net[i] = Weighing{g.Hour, e.Full - (gross[0].Left - g.Left)}
	}
	return net
}
