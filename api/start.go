package api

import (
	"context"
	"errors"

	"keeler/app"
	"keeler/wire"
)

func start(r routes) {
	register(r, r.describe(get+" start", "start", "What a page needs to begin: who is signed in, the clock of the work, and the demo's draft"),
		func(ctx context.Context, _ *none) (*body[wire.Start], error) { return r.desks.begin(ctx) })
}

// begin tells a page who is signed in.
func (d *desks) begin(ctx context.Context) (*body[wire.Start], error) {
	var who *app.Member
	m, err := d.member(ctx)
	if err == nil {
		who = &m
	} else if !errors.Is(err, errSignedOut) {
		return nil, err
	}
	out, err := d.app.Start(ctx, who)
	return &body[wire.Start]{out}, err
}
