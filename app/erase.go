package app

import (
	"context"
	"errors"
	"time"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/wire"
)

// ErrClosed is returned for what would be written in an operation that was closed.
var ErrClosed = errors.New("this operation is closed")

// longestKept is how many years ahead a closed operation's register can be kept.
const longestKept = 30

// Erase deletes everything of the operation, or with a day everything but its register, which
// is then there to be read until the end of that day. Only an owner may, with his password; by
// a script, or in the demo, it is ErrForbidden. It reports whether the operation is still there.
func (d Desk) Erase(ctx context.Context, in wire.Erasure) (wire.Erased, error) {
	if d.who.Script || !d.who.Role.May(Owner) || d.app.set.Welcome.Demo {
		return wire.Erased{}, ErrForbidden
	}
	var l fault.List
	last := calendar.On(d.worked().AddDate(longestKept, 0, 0))
	until := readDay("keep_until", in.KeepUntil, last, last+1, &l)
	if l.Err() != nil || until <= d.today() || until > last {
		l = fault.List{{Field: "keep_until", Reason: fault.KeptFrom}}
	}
	if err := l.Err(); err != nil {
		return wire.Erased{}, err
	}
	_, err := d.app.proven(ctx, wire.SignIn{Login: d.who.Login, Password: in.Password, Code: in.Code}, d.who.Address)
	if errors.Is(err, ErrRefused) {
		err = fault.List{{Field: "password", Reason: fault.Refused}}
	}
	if err != nil {
		return wire.Erased{}, err
	}
	if in.KeepUntil == "" {
		return wire.Erased{}, d.op.Erase(ctx)
	}
	return wire.Erased{KeptUntil: written(until)}, d.op.Close(ctx, timeOf(until))
}

// EraseDue erases the closed operations whose register is kept no longer, by the clock on the
// wall. A day begins at different times around the world: the last place counts.
func (a *App) EraseDue(ctx context.Context) error {
	everywhere := timeOf(calendar.On(a.now().UTC().Add(-12 * time.Hour)))
	due, err := a.store.People().Due(ctx, everywhere)
	for _, operation := range due {
		err = errors.Join(err, a.store.For(operation).Erase(ctx))
	}
	return err
}
