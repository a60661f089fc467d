// Package app is what can be done with Keeler: it joins the rules of core with
// the store.
package app

import (
	"context"
	"log/slog"
	"math/rand/v2"
	"sync/atomic"
	"time"

	"github.com/alexedwards/scs/v2"

	"keeler/core/mites"
	"keeler/core/outlook"
	"keeler/guard"
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
	Demo  bool
	Place string
	Draft *wire.Recipe
}

// Settings are what an App is made with.
type Settings struct {
	Work, Wall Clock
	Welcome    Welcome
	// Move brings the clock of the work forward by days; nil where it cannot be moved.
	Move func(days int)
	// PublicURL is the address that links carry; empty: the one that is asked for.
	PublicURL string
	// Weather is asked for forecasts; nil: there are none.
	Weather Weather
	// WeatherOf is a service of forecasts at an address that an operation set.
	WeatherOf func(address string) Weather
	// Practised is the weather of a season of practice, by its seed; nil: there is none.
	Practised func(seed uint64) Weather
	// Backups tells when the newest good backup was made; nil: none are made.
	Backups func() (time.Time, bool)
	// Pusher sends reminders; nil: none are.
	Pusher Pusher
	// Chance draws which colonies are left untreated; nil: by chance.
	Chance mites.Chance
	// Instruments are read at the bench; nil: there are none.
	Instruments Instruments
	// Log is told of what goes wrong where nobody waits; nil: the usual one.
	Log *slog.Logger
}

// App is the use cases over one store.
type App struct {
	store     *store.Store
	clock     Clock // of the work
	now       Clock // of the wall
	set       Settings
	began     time.Time // by the clock of the work
	bell      bell
	times     stamps
	foresight foresight
	tried     tried
	behind    *guard.Group // what is worked out while nobody waits

	refused atomic.Int64 // lines of rounds
}

// New joins a store with its settings.
func New(s *store.Store, set Settings) *App {
	if set.Chance == nil {
		set.Chance = rand.IntN
	}
	if set.WeatherOf == nil {
		set.WeatherOf = func(string) Weather { return noWeather{} }
	}
	if set.Pusher == nil {
		set.Pusher = noPusher{}
	}
	if set.Instruments == nil {
		set.Instruments = noInstruments{}
	}
	if set.Log == nil {
		set.Log = slog.Default()
	}
	return &App{
		store: s, clock: set.Work, now: set.Wall, set: set, began: set.Work(),
		foresight: foresight{of: kept[hiveKey, foreseen](mostKept), going: map[uint64]bool{}},
		tried:     tried{kept[string, lived](hivesKept), kept[string, outlook.Comes](plansKept)},
		behind:    guard.NewGroup(set.Log),
	}
}

// Close ends what is worked out in the background, and waits for it.
func (a *App) Close() { a.behind.Close() }

// Start is what a page needs to begin; m is nil while nobody is signed in.
func (a *App) Start(ctx context.Context, m *Member) (wire.Start, error) {
	w := a.set.Welcome
	out := wire.Start{
		Demo: w.Demo, Place: w.Place, Draft: w.Draft, Usual: wire.UsualOf(),
		Now: a.clock().Format(workTime), PublicURL: a.set.PublicURL,
	}
	if m != nil {
		out.Now = a.Desk(*m).worked().Format(workTime)
		out.Me = &wire.Me{Who: m.Key(), Login: m.Login, Role: string(m.Role), TimeZone: a.Desk(*m).who.Zone.String(), Writes: m.writes, Own: m.own, KeptUntil: optionalDay(m.KeptUntil), Practice: a.Desk(*m).practised()}
		all, err := a.store.People().Memberships(ctx, m.User)
		for _, of := range all {
			if of.ID == m.Operation {
				out.Me.Operation = of.Name
			} else {
				out.Me.Others = append(out.Me.Others, wire.Membership{ID: of.ID, Name: of.Name, Role: of.Role})
			}
		}
		return out, err
	}
	any, err := a.store.People().Any(ctx)
	out.Unclaimed = !any
	return out, err
}

// Sessions is where it is kept who is signed in.
func (a *App) Sessions() scs.CtxStore { return a.store.Sessions() }

// Healthy tells whether the database reads and writes.
func (a *App) Healthy(ctx context.Context) error { return a.store.Healthy(ctx) }

// workTime is how the date and time of the work is written: local, without a zone.
const workTime = "2006-01-02T15:04"
