package main

import (
	"context"
	"fmt"
	"log/slog"
	"net"

	"keeler/app"
	"keeler/demo"
	"keeler/server"
)

type (
	serveCommand struct{}
	demoCommand  struct{}
)

// Run serves Keeler.
func (serveCommand) Run(ctx context.Context, s settings) error {
	return withStore(ctx, s, "own", func(d database) error { return s.serve(ctx, d, server.Settings{}) })
}

// Run serves the demo.
func (demoCommand) Run(ctx context.Context, s settings) error {
	return withStore(ctx, s, "demo", func(d database) error {
		return s.serve(ctx, d, server.Settings{Demo: true, Simulate: true, Clock: app.NewMovable(demo.Now)})
	})
}

// serve answers on the address of the settings.
func (s settings) serve(ctx context.Context, d database, set server.Settings) error {
	if err := s.upgrade(ctx, d); err != nil {
		return err
	}
	set.Store, set.Log, set.Forecast, set.Instruments = d.Store, slog.Default(), s.Forecast, s.Instruments
	set.PublicURL, set.Secure = s.PublicURL, s.TLSCert != ""
	keeler, err := server.New(ctx, set)
	if err != nil {
		return err
	}
	defer keeler.Close()
	listener, err := net.Listen("tcp", s.Addr)
	if err != nil {
		return err
	}
	scheme := "http"
	if set.Secure {
		scheme = "https"
	}
	fmt.Printf("Keeler is at %s://%s\n", scheme, listener.Addr())
	return keeler.Serve(ctx, listener, server.Certificate{Cert: s.TLSCert, Key: s.TLSKey}, set.Log, d.gone)
}
