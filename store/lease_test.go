package store

import (
	"context"
	"errors"
	"sync/atomic"
	"testing"
	"time"
)

// A lease is one server's at a time; one whose holder has died is another's after a while, and
// one who gave up waiting holds nothing.
func TestLease(t *testing.T) {
	s := open(t)
	there, err := Open(s.config.FormatDSN())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = there.Close() })
	giveBack, err := s.lease(t.Context(), "work")
	if err != nil {
		t.Fatal(err)
	}
	gone, leave := context.WithCancel(t.Context())
	leave()
	if _, err := there.lease(gone, "work"); !errors.Is(err, context.Canceled) {
		t.Errorf("who gave up: %v", err)
	}
	var given atomic.Bool
	next := make(chan error)
	go func() {
		also, err := there.lease(t.Context(), "work")
		if err == nil && !given.Load() {
			err = errors.New("both have it")
		}
		if err == nil {
			err = also()
		}
		next <- err
	}()
	other, err := there.lease(t.Context(), "other work")
	if err != nil {
		t.Fatal(err)
	}
	given.Store(true)
	if err := errors.Join(giveBack(), <-next, other()); err != nil {
		t.Error(err)
	}

	was := beatless
	beatless = 10 * time.Millisecond
	t.Cleanup(func() { beatless = was })
	if err := s.db.Exec("UPDATE leases SET holder = 'who died', beats = 7 WHERE name = 'work'").Error; err != nil {
		t.Fatal(err)
	}
	giveBack, err = there.lease(t.Context(), "work")
	if err != nil {
		t.Fatal(err)
	}
	if err := giveBack(); err != nil {
		t.Error(err)
	}
}
