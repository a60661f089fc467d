package app

import (
	"context"

	"github.com/samber/lo"

	"keeler/store"
	"keeler/wire"
)

// Sessions lists where the member is signed in.
func (d Desk) Sessions(ctx context.Context) (wire.SessionList, error) {
	rows, err := d.app.store.People().SessionsOf(ctx, d.who.User)
	return wire.SessionList{Sessions: lo.Map(rows, func(s store.Session, _ int) wire.SignedIn {
		return wire.SignedIn{ID: s.ID, Device: s.Device, BegunAt: d.local(s.BegunAt), SeenAt: d.local(s.SeenAt), Here: s.ID == d.who.Session}
	})}, err
}

// EndSession signs the member out in one place.
func (d Desk) EndSession(ctx context.Context, id string) error {
	if err := d.app.store.People().EndSession(ctx, d.who.User, id); err != nil {
		return err
	}
	return d.logged(ctx, d.op, sessionEnded, "")
}
