// Package demo is the made-up scenario that ships with Keeler: a harbour town
// with three yards, in midwinter. No one and nothing in it is real.
package demo

import (
	"context"
	"crypto/rand"
	"errors"
	"time"

	"keeler/app"
	"keeler/store"
	"keeler/wire"
)

const (
	town = "Marrow Quay"
	yard = "Ropewalk"
)

// Now is where the demo's clock stands.
var Now = time.Date(2026, time.December, 4, 8, 30, 0, 0, time.UTC)

// WeatherSeed makes the demo's weather: a still week with a frost in it.
const WeatherSeed = 2

// Welcome is how the demo's page begins.
func Welcome() app.Welcome {
	return app.Welcome{Demo: true, Place: yard, Draft: drafts()}
}

// Seed fills an empty demo store with what happened before; it may run again. The
// job that is ready was decided on under the given weather.
func Seed(ctx context.Context, s *store.Store, sky app.Weather) error {
	// at is Keeler as it was at a time.
	at := func(t time.Time) *app.App {
		return app.New(s, app.Settings{Work: app.Pinned(t), Wall: app.Pinned(t), Weather: sky})
	}
	// past is the same without a forecast, and with what chance drew.
	past := func(t time.Time, drawn ...int) *app.App {
		return app.New(s, app.Settings{Work: app.Pinned(t), Wall: app.Pinned(t), Chance: func(int) (next int) {
			next, drawn = drawn[0], drawn[1:]
			return next
		}})
	}
	owner, err := at(time.Date(2025, time.March, 1, 9, 0, 0, 0, time.UTC)).SeedOwner(ctx, app.DemoLogin, town)
	if err != nil {
		return err
	}
	desk := func(t time.Time) app.Desk { return at(t).Desk(owner) }
	if err := helper(ctx, at(date(2026, time.March, 2)), owner); err != nil {
		return err
	}
	if err := stock(ctx, desk); err != nil {
		return err
	}
	rest := ""
	for _, p := range told.Past {
		if p.FromRest && rest != "" {
			p.Save.Parent = &rest
		}
		if rest, err = p.keep(ctx, desk(p.At)); err != nil {
			return err
		}
	}
	return seedYards(ctx, desk, func() error {
		return seedJobs(ctx, func(t time.Time, drawn ...int) app.Desk { return past(t, drawn...).Desk(owner) })
	})
}

// helper joins who helps in the yard, once; nobody knows the password.
func helper(ctx context.Context, a *app.App, owner app.Member) error {
	people, err := a.Desk(owner).People(ctx)
	if err != nil || len(people.Members) > 1 {
		return err
	}
	invitation, err := a.Desk(owner).Invite(ctx, wire.Invite{Role: string(app.Helper), Note: app.DemoHelper})
	if err != nil {
		return err
	}
	_, err = a.Join(ctx, wire.Join{Token: invitation.Token, Login: app.DemoHelper, Password: rand.Text()}, "")
	return err
}

// keep writes a batch of the past down, unless it is there already, and gives the
// batch that it left over.
func (p kept) keep(ctx context.Context, d app.Desk) (rest string, err error) {
	_, created, err := d.SaveBatch(ctx, p.Save)
	if errors.Is(err, store.ErrConflict) || err == nil && !created {
		return "", nil
	}
	if err != nil {
		return "", err
	}
	if p.Mixed != nil {
		if rest, err = p.Mixed.mix(ctx, d, p.Save.ID); err != nil {
			return "", err
		}
	}
	for _, r := range p.Remarks {
		if _, err := d.Remark(ctx, p.Save.ID, r); err != nil {
			return "", err
		}
	}
	if p.Void == "" {
		return rest, nil
	}
	_, err = d.VoidBatch(ctx, p.Save.ID, wire.Void{Reason: p.Void})
	return rest, err
}
