package app

import (
	"fmt"
	"sync"
	"time"
)

// A clock that is ahead by more than apart is told of; one that is ahead by more than followed is not followed.
const (
	apart    = 5 * time.Second
	followed = 15 * time.Minute
)

// stamps are the times of what is written here. They never stand before what another server is known
// to have written, whose clock may be ahead: of two looks on one day the one that was written last counts.
type stamps struct {
	mu     sync.Mutex
	newest time.Time // that another server wrote, as long as it is ahead; then given here
	told   bool      // that one is
}

// next is the time of what is written now.
func (s *stamps) next(now time.Time) time.Time {
	s.mu.Lock()
	defer s.mu.Unlock()
	if now.Before(s.newest) {
		s.newest = s.newest.Add(time.Microsecond)
		return s.newest
	}
	return now
}

// saw tells of when another server wrote something. Where its clock is ahead, that is an error, once.
func (s *stamps) saw(written, now time.Time) error {
	s.mu.Lock()
	defer s.mu.Unlock()
	ahead := written.Sub(now)
	if ahead < followed && written.After(s.newest) {
		s.newest = written
	}
	if ahead < apart || s.told {
		return nil
	}
	s.told = true
	return fmt.Errorf("the clock of another server is ahead of this one's by %v", ahead.Round(time.Second))
}
