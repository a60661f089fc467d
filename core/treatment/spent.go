package treatment

import "keeler/core/fault"

// Kinds of what becomes of pieces that came out of a hive; they are never used again.
const (
	SpentStored   = "stored"
	SpentDisposed = "disposed"
)

// mostSpent is how many a keeper can have in hand at once.
const mostSpent = 10_000

// Spent is the account of strips, sponges or pads that came out.
type Spent struct {
	Came, Disposed int
	Where          string // they are stored; empty: nobody said
}

// Enter adds an entry, in the order in which it was written.
func (s *Spent) Enter(kind string, pieces int, note string) {
	if kind == SpentDisposed {
		s.Disposed += pieces
		return
	}
	s.Where = note
}

// Left is how many are not disposed of; below 0 it is to be reconciled.
func (s Spent) Left() int { return s.Came - s.Disposed }

// CheckSpent names what is wrong with an entry of 1 to 10,000 pieces.
func CheckSpent(kind string, pieces int, note string, l *fault.List) {
	if kind != SpentStored && kind != SpentDisposed {
		l.Add("kind", fault.Unknown)
	}
	l.Within("pieces", float64(pieces), 1, mostSpent, "pieces")
	l.Said("note", note)
}
