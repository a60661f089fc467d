package app

import (
	"sync"
	"time"
)

// Movable is a clock that stands still until it is moved, for the demo.
type Movable struct {
	mu sync.Mutex
	at time.Time
}

// NewMovable makes a clock that stands at a time.
func NewMovable(at time.Time) *Movable { return &Movable{at: at} }

// Now is where it stands.
func (m *Movable) Now() time.Time {
	m.mu.Lock()
	defer m.mu.Unlock()
	return m.at
}

// Move brings it forward.
func (m *Movable) Move(days int) {
	m.mu.Lock()
	defer m.mu.Unlock()
	m.at = m.at.AddDate(0, 0, days)
}
