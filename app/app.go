// Package app is what can be done with Keeler: it joins the rules of core with
// the store.
package app

import (
	"time"

	"keeler/store"
	"keeler/wire"
)

// Clock tells the date and time of the work. Audit and caches use wall time
// instead.
type Clock func() time.Time

// Pinned is a clock that stands still, for the demo and for tests.
func Pinned(t time.Time) Clock { return func() time.Time { return t } }

// Welcome is what a page begins with.
type Welcome struct {
	Demo          bool
	Keeper, Place string
	Draft         *wire.Recipe
}

// App is the use cases over one store.
type App struct {
	store   *store.Store
	clock   Clock // of the work
	now     Clock // of the wall
	welcome Welcome
}

// New joins a store with its clocks and the start of a page.
func New(s *store.Store, work, wall Clock, w Welcome) *App {
	return &App{store: s, clock: work, now: wall, welcome: w}
}

// Start is what a page needs to begin.
func (a *App) Start() wire.Start {
	w := a.welcome
	return wire.Start{
		Demo: w.Demo, Keeper: w.Keeper, Place: w.Place, Draft: w.Draft,
		Now: a.clock().Format(workTime),
	}
}

// workTime is how the date and time of the work is written: local, without a zone.
const workTime = "2006-01-02T15:04"
