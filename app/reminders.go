package app

import (
	"cmp"
	"context"
	"encoding/base64"
	"encoding/json"
	"errors"
	"strings"
	"time"

	"keeler/core/fault"
	"keeler/core/followup"
	"keeler/guard"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// Browser is where a reminder goes: an address at the browser's push service, its key, and its
// secret.
type Browser struct{ Endpoint, P256dh, Auth string }

// Pusher sends reminders.
type Pusher interface {
	// Key is what browsers are told to expect reminders by.
	Key() string
	// Push sends one. ErrGone: the browser takes none any more.
	Push(ctx context.Context, to Browser, message []byte) error
}

// ErrGone is of a browser that takes no reminders any more.
var ErrGone = errors.New("the browser takes no reminders any more")

// noPusher sends nothing.
type noPusher struct{}

func (noPusher) Key() string { return "" }

func (noPusher) Push(context.Context, Browser, []byte) error { return errors.New("nothing is sent") }

// PushKey is what a browser is told to expect reminders by.
func (d Desk) PushKey(context.Context) (wire.PushKey, error) {
	return wire.PushKey{Key: d.app.set.Pusher.Key()}, nil
}

// RemindMe keeps a browser of who asks.
func (d Desk) RemindMe(ctx context.Context, in wire.RemindMe) error {
	var l fault.List
	address(&l, "endpoint", in.Endpoint)
	for _, secret := range []struct {
		field, is string
		bytes     int
	}{{"p256dh", in.P256dh, 65}, {"auth", in.Auth, 16}} { // a point of P-256, and its secret (RFC 8291, 3.2)
		raw, err := base64.RawURLEncoding.DecodeString(strings.TrimRight(secret.is, "="))
		if err != nil || len(raw) != secret.bytes {
			l.Add(secret.field, fault.Unknown)
		}
	}
	if err := l.Err(); err != nil {
		return err
	}
	return d.op.Remind(ctx, store.Reminder{
		UserID: d.who.User, ID: digest(in.Endpoint), Endpoint: in.Endpoint, P256dh: in.P256dh, Auth: in.Auth, CreatedAt: d.stamp(),
	})
}

// RemindNoMore takes a browser of who asks out.
func (d Desk) RemindNoMore(ctx context.Context, in wire.Reminded) error {
	return d.op.Forget(ctx, d.who.User, digest(in.Endpoint))
}

// TryReminder sends what there is to do today to a browser of who asks.
func (d Desk) TryReminder(ctx context.Context, in wire.Reminded) error {
	to, err := d.op.Reminder(ctx, d.who.User, digest(in.Endpoint))
	if err != nil {
		return unknown("endpoint", err)
	}
	message, _, err := d.reminder(ctx)
	if err != nil {
		return err
	}
	switch err = d.remind(ctx, to, message); {
	case errors.Is(err, ErrGone):
		return fault.List{{Field: "endpoint", Reason: fault.Gone}}
	case errors.Is(err, ErrInside):
		return fault.List{{Field: "endpoint", Reason: fault.Inside}}
	case err != nil:
		return fault.List{{Field: "endpoint", Reason: fault.NoAnswer}}
	}
	return nil
}

// remind sends a message; a browser that takes none any more is forgotten.
func (d Desk) remind(ctx context.Context, to store.Reminder, message []byte) error {
	err := d.app.set.Pusher.Push(ctx, Browser{to.Endpoint, to.P256dh, to.Auth}, message)
	if errors.Is(err, ErrGone) {
		return cmp.Or(d.op.Forget(ctx, 0, to.ID), err)
	}
	return err
}

// namedThings is how many things a reminder names.
const namedThings = 3

// reminder is what there is to do today, and how much: what is late, and what is due.
func (d Desk) reminder(ctx context.Context) (message []byte, things int, err error) {
	today, err := d.Today(ctx, false)
	if err != nil {
		return nil, 0, err
	}
	open := lo.Filter(today.Followups, func(f wire.Followup, _ int) bool { return f.State != string(followup.Coming) })
	lines := lo.Map(open, func(f wire.Followup, _ int) string { return f.Title + ", " + f.Yard })
	for _, c := range today.Calls {
		if c.Urgent {
			lines = append(lines, strings.Trim(c.Title+", "+c.Yard, ", "))
		}
	}
	title, body := words.Reminder(today.Late, today.Due, lines[:min(len(lines), namedThings)])
	message, err = json.Marshal(wire.Reminder{Title: title, Body: body, URL: "/"})
	return message, today.Late + today.Due, err
}

// morning is from which hour on one is reminded of a day.
const morning = 7

// RemindAll reminds everybody who wants it of what there is to do, each once a day, from seven in
// the morning by the clock of the work. A browser that cannot be reached is tried again by the next
// call.
func (a *App) RemindAll(ctx context.Context) error {
	rows, err := a.store.Reminders(ctx)
	if err != nil {
		return err
	}
	var failed error
	for _, to := range rows {
		failed = errors.Join(failed, a.remindOne(ctx, to))
	}
	return failed
}

func (a *App) remindOne(ctx context.Context, to store.Reminder) error {
	m, err := a.MemberOf(ctx, to.UserID, to.OperationID)
	if err != nil {
		return err
	}
	d := a.Desk(m)
	day := timeOf(d.today())
	if d.worked().Hour() < morning || to.SentOn != nil && !to.SentOn.Before(day) {
		return nil
	}
	mine, err := d.op.Reminded(ctx, to.ID, &day)
	if err != nil || !mine {
		return err // another server does it
	}
	message, things, err := d.reminder(ctx)
	if err == nil && things > 0 {
		err = d.remind(ctx, to, message)
	}
	if err == nil || errors.Is(err, ErrGone) {
		return nil
	}
	_, again := d.op.Reminded(ctx, to.ID, to.SentOn)
	return errors.Join(err, again)
}

// Keeping reminds everybody, and erases and forgets what is kept no longer, every few minutes
// until the context ends; what fails is told.
func (a *App) Keeping(ctx context.Context, every time.Duration, failed func(error)) {
	tick := time.NewTicker(every)
	defer tick.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
			err := guard.Try(func() error { return errors.Join(a.RemindAll(ctx), a.EraseDue(ctx), a.store.ForgetChanges(ctx)) })
			if err != nil && ctx.Err() == nil {
				failed(err)
			}
		}
	}
}
