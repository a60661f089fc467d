// Package guard runs work that others must survive: so much at once, none longer than it is wanted,
// and none that ends the program by a panic.
package guard

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"runtime/debug"
	"sync"
)

// Panic is a panic as an error, with where it happened.
type Panic struct {
	Value any
	Stack []byte
}

func (p *Panic) Error() string { return fmt.Sprintf("panic: %v\n%s", p.Value, p.Stack) }

// Try does something; a panic becomes a *Panic.
func Try(do func() error) (err error) {
	defer func() {
		if value := recover(); value != nil {
			err = &Panic{value, debug.Stack()}
		}
	}()
	return do()
}

// Slots let so many do something at once; the others wait.
type Slots chan struct{}

// NewSlots makes n of them, at least one.
func NewSlots(n int) Slots { return make(Slots, max(1, n)) }

// Do does something once there is a slot, and gives the slot back, whatever becomes of it. It waits
// no longer than the context lasts, whose error it then gives.
func (s Slots) Do(ctx context.Context, do func()) error {
	select {
	case s <- struct{}{}:
	case <-ctx.Done():
		return ctx.Err()
	}
	defer func() { <-s }()
	do()
	return nil
}

// Each does something for 0 to n − 1, so many at once, and waits for all. What was not begun when the
// context ended is not done; a panic in one does not keep the others from ending. Both are its error.
func Each(ctx context.Context, n, atOnce int, do func(i int)) error {
	slots := NewSlots(atOnce)
	failed := make([]error, n)
	var all sync.WaitGroup
	for i := range n {
		all.Go(func() {
			failed[i] = Try(func() error { return slots.Do(ctx, func() { do(i) }) })
		})
	}
	all.Wait()
	return errors.Join(failed...)
}

// Group is work in the background that its owner ends and waits for.
type Group struct {
	ctx    context.Context
	cancel context.CancelFunc
	log    *slog.Logger
	mu     sync.Mutex // held while one is begun, and once it is closed
	closed bool
	all    sync.WaitGroup
}

// NewGroup makes a group that tells of panics.
func NewGroup(log *slog.Logger) *Group {
	ctx, cancel := context.WithCancel(context.Background())
	return &Group{ctx: ctx, cancel: cancel, log: log}
}

// Go begins something, which must end soon after its context does. A closed group begins nothing more.
func (g *Group) Go(name string, do func(context.Context)) {
	g.mu.Lock()
	defer g.mu.Unlock()
	if g.closed {
		return
	}
	g.all.Go(func() {
		if err := Try(func() error { do(g.ctx); return nil }); err != nil {
			g.log.Error(name, "error", err)
		}
	})
}

// Close ends all of it, and waits until it has ended.
func (g *Group) Close() {
	g.mu.Lock()
	g.closed = true
	g.mu.Unlock()
	g.cancel()
	g.all.Wait()
}
