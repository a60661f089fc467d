package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

func start(h huma.API, a *app.App) {
	huma.Register(h, huma.Operation{
		OperationID: "start", Method: http.MethodGet, Path: "/api/start", Tags: []string{"page"},
		Summary: "What a page needs to begin: the clock of the work, and the demo's draft",
	}, func(context.Context, *struct{}) (*body[wire.Start], error) {
		return &body[wire.Start]{a.Start()}, nil
	})
}
