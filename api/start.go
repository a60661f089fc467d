package api

import (
	"context"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

func start(r routes) {
	huma.Register(r.api, huma.Operation{
		OperationID: "start", Method: http.MethodGet, Path: "/api/start", Tags: []string{"page"},
		Summary: "What a page needs to begin: who is signed in, the clock of the work, and the demo's draft",
	}, func(ctx context.Context, _ *struct{}) (*body[wire.Start], error) {
		return r.desks.begin(ctx)
	})
}

// begin tells a page who is signed in.
func (d *desks) begin(ctx context.Context) (*body[wire.Start], error) {
	var who *app.Member
	m, err := d.member(ctx)
	if err == nil {
		who = &m
	} else if !errors.Is(err, errSignedOut) {
		return nil, problem(ctx, d.log, err)
	}
	out, err := d.app.Start(ctx, who)
	if err != nil {
		return nil, problem(ctx, d.log, err)
	}
	return &body[wire.Start]{out}, nil
}
