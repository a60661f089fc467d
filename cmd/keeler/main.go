// Command keeler serves the application. It only wires the parts together.
package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"os"
	"os/signal"
	"path/filepath"
	"strings"
	"syscall"
	"time"

	"keeler/api"
	"keeler/app"
	"keeler/demo"
	"keeler/server"
	"keeler/sim/instruments"
	"keeler/sim/weather"
	"keeler/store"
	"keeler/store/mariadbd"

	"github.com/alecthomas/kong"
)

const graceful = 10 * time.Second // for a request's head

func main() {
	var line commandLine
	asked := kong.Parse(&line, kong.Name("keeler"), kong.Description("Varroa treatments, scaled, mixed, given and kept."), kong.ShortUsageOnError())
	asked.FatalIfErrorf(run(asked.Command(), line.settings))
}

func run(command string, s settings) error {
	log := s.logger()
	slog.SetDefault(log)
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	switch command {
	case "openapi":
		document, err := api.Document()
		if err != nil {
			return err
		}
		_, err = os.Stdout.Write(document)
		return err
	case "cert":
		return makeCert(s.Data, os.Stdout)
	case "weather":
		return weatherAlone(ctx, s.Addr)
	case "instruments":
		return instrumentsAlone(ctx, os.Stdout)
	}
	return withStore(ctx, command, s, log, func(st *store.Store, gone <-chan struct{}) error {
		if command == "migrate" {
			return nil
		}
		return serve(ctx, command, s, st, log, gone)
	})
}

// weatherAlone serves simulated forecasts.
func weatherAlone(ctx context.Context, addr string) error {
	server := &http.Server{Addr: addr, Handler: weather.Service(demo.WeatherSeed), ReadHeaderTimeout: graceful}
	context.AfterFunc(ctx, func() { _ = server.Close() })
	fmt.Printf("Simulated weather is at http://%s/forecast\n", addr)
	if err := server.ListenAndServe(); !errors.Is(err, http.ErrServerClosed) {
		return err
	}
	return nil
}

// instrumentsAlone serves simulated instruments.
func instrumentsAlone(ctx context.Context, w io.Writer) error {
	addresses, err := instruments.Set(ctx, demo.WeatherSeed)
	if err != nil {
		return err
	}
	_, _ = fmt.Fprintf(w, "Simulated balances (1 g, 0.1 g) and a thermometer: --instruments %s\n", strings.Join(addresses, ","))
	<-ctx.Done()
	return nil
}

// withStore opens the store on the MariaDB of the settings, or on a private one,
// migrates it and closes both at the end. gone is closed when a private
// database ends by itself.
func withStore(ctx context.Context, command string, s settings, log *slog.Logger, use func(*store.Store, <-chan struct{}) error) error {
	dsn, gone := s.DSN, (<-chan struct{})(nil)
	if dsn == "" {
		folder := "own"
		if command == "demo" {
			folder = "demo"
		}
		db, err := mariadbd.Start(ctx, filepath.Join(s.Data, folder))
		if err != nil {
			return err
		}
		defer db.Stop()
		dsn, gone = db.DSN(), db.Done()
		log.Info("private MariaDB", "folder", filepath.Join(s.Data, folder))
	}
	st, err := store.Open(dsn)
	if err != nil {
		return fmt.Errorf("database: %w", err)
	}
	defer func() { _ = st.Close() }()
	if err := st.Check(ctx); err != nil {
		return fmt.Errorf("database: %w", err)
	}
	if err := st.Migrate(ctx); err != nil {
		return fmt.Errorf("migrate: %w", err)
	}
	return use(st, gone)
}

// serve serves Keeler on the address of the settings, or as the demo.
func serve(ctx context.Context, command string, s settings, st *store.Store, log *slog.Logger, gone <-chan struct{}) error {
	set := server.Settings{
		Store: st, Log: log, Forecast: s.Forecast, Instruments: s.Instruments, PublicURL: s.PublicURL, Secure: s.TLSCert != "",
	}
	if command == "demo" {
		set.Demo, set.Simulate, set.Clock = true, true, app.NewMovable(demo.Now)
	}
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
	return keeler.Serve(ctx, listener, server.Certificate{Cert: s.TLSCert, Key: s.TLSKey}, log, gone)
}
