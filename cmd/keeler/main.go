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
	"keeler/device"
	"keeler/forecast"
	"keeler/sim/instruments"
	"keeler/sim/weather"
	"keeler/store"
	"keeler/store/mariadbd"
	"keeler/web"
)

const graceful = 10 * time.Second

func main() {
	command, args := "help", []string(nil)
	if len(os.Args) > 1 {
		command, args = os.Args[1], os.Args[2:]
	}
	if err := run(command, args); err != nil {
		fmt.Fprintln(os.Stderr, "keeler:", err)
		os.Exit(1)
	}
}

func run(command string, args []string) error {
	switch command {
	case "help", "-h", "--help":
		help(os.Stdout)
		return nil
	case "openapi":
		document, err := api.Document()
		if err != nil {
			return err
		}
		_, err = os.Stdout.Write(document)
		return err
	case "serve", "demo", "migrate", "cert", "weather", "instruments":
	default:
		help(os.Stderr)
		return fmt.Errorf("there is no command %q", command)
	}
	s, err := readSettings(command, args)
	if err != nil {
		return fmt.Errorf("%w; see keeler help", err)
	}
	log, err := s.logger()
	if err != nil {
		return err
	}
	slog.SetDefault(log)
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	switch command {
	case "cert":
		return makeCert(s.data, os.Stdout)
	case "weather":
		return weatherAlone(ctx, s.addr)
	case "instruments":
		return instrumentsAlone(ctx, os.Stdout)
	}
	return withStore(ctx, command, s, log, func(st *store.Store, gone <-chan struct{}) error {
		switch command {
		case "migrate":
			return nil
		case "demo":
			return serveDemo(ctx, s, st, log, gone)
		}
		set := app.Settings{Work: time.Now, Wall: time.Now, PublicURL: s.publicURL, Instruments: rack(ctx, s.instruments, log)}
		if s.forecast != "" {
			set.Weather = forecast.New(s.forecast, time.Now)
		}
		return serve(ctx, s, app.New(st, set), log, gone)
	})
}

// serveDemo serves the scenario, with its simulated weather beside it.
func serveDemo(ctx context.Context, s settings, st *store.Store, log *slog.Logger, gone <-chan struct{}) error {
	sky := s.forecast
	if sky == "" {
		listener, err := net.Listen("tcp", "127.0.0.1:0")
		if err != nil {
			return err
		}
		simulated := &http.Server{Handler: weather.Service(demo.WeatherSeed), ReadHeaderTimeout: graceful}
		go func() { _ = simulated.Serve(listener) }()
		defer func() { _ = simulated.Close() }()
		sky = "http://" + listener.Addr().String()
	}
	benchtop := s.instruments
	if benchtop == "" {
		simulated, err := instruments.Set(ctx, demo.WeatherSeed)
		if err != nil {
			return err
		}
		benchtop = strings.Join(simulated, ",")
	}
	forecasts := forecast.New(sky, time.Now)
	if err := demo.Seed(ctx, st, forecasts); err != nil {
		return err
	}
	clock := app.NewMovable(demo.Now)
	return serve(ctx, s, app.New(st, app.Settings{
		Work: clock.Now, Move: clock.Move, Wall: time.Now, Welcome: demo.Welcome(), PublicURL: s.publicURL, Weather: forecasts,
		Instruments: rack(ctx, benchtop, log),
	}), log, gone)
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

// rack reads instruments by their addresses, until the context ends.
func rack(ctx context.Context, addresses string, log *slog.Logger) app.Instruments {
	if addresses == "" {
		return nil
	}
	r := device.New(strings.Split(addresses, ","), log)
	go r.Run(ctx)
	return r
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
	dsn, gone := s.dsn, (<-chan struct{})(nil)
	if dsn == "" {
		folder := "own"
		if command == "demo" {
			folder = "demo"
		}
		db, err := mariadbd.Start(ctx, filepath.Join(s.data, folder))
		if err != nil {
			return err
		}
		defer db.Stop()
		dsn, gone = db.DSN(), db.Done()
		log.Info("private MariaDB", "folder", filepath.Join(s.data, folder))
	}
	st, err := store.Open(dsn)
	if err != nil {
		return fmt.Errorf("database: %w", err)
	}
	defer func() { _ = st.Close() }()
	if err := st.Migrate(ctx); err != nil {
		return fmt.Errorf("migrate: %w", err)
	}
	return use(st, gone)
}

func serve(ctx context.Context, s settings, a *app.App, log *slog.Logger, gone <-chan struct{}) error {
	scheme := "http"
	if s.tlsCert != "" {
		scheme = "https"
	}
	closing, closed := context.WithCancel(context.Background())
	defer closed()
	front, err := api.New(api.Front{
		Closing: closing.Done(),
		App:     a, Page: api.Page{Files: web.Files()}, Log: log, PublicURL: s.publicURL,
		Secure: scheme == "https" || strings.HasPrefix(s.publicURL, "https:"),
	})
	if err != nil {
		return err
	}
	listener, err := net.Listen("tcp", s.addr)
	if err != nil {
		return err
	}
	server := &http.Server{
		Handler:           front,
		ReadHeaderTimeout: graceful,
		ErrorLog:          slog.NewLogLogger(log.Handler(), slog.LevelWarn),
	}
	server.RegisterOnShutdown(closed)
	ended := make(chan error, 1)
	go func() {
		if s.tlsCert != "" {
			ended <- server.ServeTLS(listener, s.tlsCert, s.tlsKey)
			return
		}
		ended <- server.Serve(listener)
	}()
	fmt.Printf("Keeler is at %s://%s\n", scheme, listener.Addr())

	select {
	case err := <-ended:
		return err
	case <-gone:
		err = errors.New("the private MariaDB ended; start Keeler again")
	case <-ctx.Done():
		log.Info("stopping")
	}
	end, cancel := context.WithTimeout(context.Background(), graceful)
	defer cancel()
	return errors.Join(err, server.Shutdown(end))
}
