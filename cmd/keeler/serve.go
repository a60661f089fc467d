package main

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"strconv"

	"keeler/app"
	"keeler/demo"
	"keeler/guard"
	"keeler/server"
	"keeler/store/backup"
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
	if s.Backups != "" {
		set.Backups = backup.Folder{Path: s.Backups}.Last
		behind := guard.NewGroup(slog.Default())
		behind.Go("backups", func(ctx context.Context) { s.backUp(ctx, d) })
		defer behind.Close()
	}
	listener, err := net.Listen("tcp", s.Addr)
	if err != nil {
		return err
	}
	measured, err := s.measure(&set)
	if err != nil {
		return errors.Join(err, listener.Close())
	}
	defer measured()
	set.Proxies, set.Port = s.Proxies, strconv.Itoa(listener.Addr().(*net.TCPAddr).Port)
	keeler, err := server.New(ctx, set)
	if err != nil {
		return errors.Join(err, listener.Close())
	}
	defer keeler.Close()
	scheme := "http"
	if set.Secure {
		scheme = "https"
	}
	fmt.Printf("Keeler is at %s://%s\n", scheme, listener.Addr())
	if keeler.Code != "" {
		fmt.Printf("Nobody owns it yet. Who begins there needs this code: %s\n", keeler.Code)
	}
	return keeler.Serve(ctx, listener, server.Certificate{Cert: s.TLSCert, Key: s.TLSKey}, set.Log, d.gone)
}
