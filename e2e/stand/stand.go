// Package stand sets a whole Keeler up for tests, benchmarks and screenshots:
// a MariaDB of its own, the store, and the HTTP side on a free port of loopback.
package stand

import (
	"context"
	"errors"
	"log/slog"
	"net"
	"net/http"
	"net/http/httptest"
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

// Stand is a running Keeler.
type Stand struct {
	URL   string
	Store *store.Store
	DB    *mariadbd.Server // nil when it belongs to others, too

	welcome app.Welcome
	clock   *app.Movable
	server  *http.Server
	sky     *httptest.Server // the simulated weather
	rack    *device.Rack
	still   context.CancelFunc // ends the simulated instruments
	address string
}

// Up starts a Keeler with a MariaDB of its own: the demo, or one that was never
// used. It reads the given instruments, or else simulated ones.
func Up(ctx context.Context, withDemo bool, instruments ...string) (*Stand, error) {
	db, err := mariadbd.Temporary(ctx)
	if err != nil {
		return nil, err
	}
	s, err := On(ctx, db.DSN(), withDemo, instruments...)
	if err != nil {
		db.Stop()
		return nil, err
	}
	s.DB = db
	return s, nil
}

// On starts a Keeler on an empty database.
func On(ctx context.Context, dsn string, withDemo bool, instruments ...string) (*Stand, error) {
	s := &Stand{address: "127.0.0.1:0", clock: app.NewMovable(demo.Now)}
	if err := s.fill(ctx, dsn, withDemo, instruments); err != nil {
		return nil, errors.Join(err, s.Down())
	}
	return s, nil
}

func (s *Stand) fill(ctx context.Context, dsn string, withDemo bool, addresses []string) (err error) {
	if s.Store, err = store.Open(dsn); err != nil {
		return err
	}
	if err = s.Store.Migrate(ctx); err != nil {
		return err
	}
	bench, still := context.WithCancel(ctx)
	s.still = still
	if len(addresses) == 0 {
		if addresses, err = instruments.Set(bench, demo.WeatherSeed); err != nil {
			return err
		}
	}
	s.rack = device.New(addresses, slog.New(slog.DiscardHandler))
	go s.rack.Run(bench)
	s.sky = httptest.NewServer(weather.Service(demo.WeatherSeed))
	if withDemo {
		if err = demo.Seed(ctx, s.Store, forecast.New(s.sky.URL, time.Now)); err != nil {
			return err
		}
		s.welcome = demo.Welcome()
	}
	return s.Serve()
}

// Serve starts the HTTP side, on the same address as before.
func (s *Stand) Serve() error {
	listener, err := net.Listen("tcp", s.address)
	if err != nil {
		return err
	}
	front, err := api.New(api.Front{
		App: app.New(s.Store, app.Settings{
			Work: s.clock.Now, Move: s.clock.Move, Wall: time.Now, Welcome: s.welcome, Weather: forecast.New(s.sky.URL, time.Now),
			Instruments: s.rack,
		}),
		Page: api.Page{Files: web.Files()}, Log: slog.New(slog.DiscardHandler),
	})
	if err != nil {
		return err
	}
	s.server = &http.Server{Handler: front, ReadHeaderTimeout: time.Minute}
	s.address = listener.Addr().String()
	s.URL = "http://" + s.address
	go func() { _ = s.server.Serve(listener) }()
	return nil
}

// Overcast ends the weather service, for as long as the stand is there.
func (s *Stand) Overcast() { s.sky.Close() }

// Dark ends the simulated balances and thermometer, for as long as the stand is there.
func (s *Stand) Dark() { s.still() }

// Hush stops the HTTP side, as a server that is away.
func (s *Stand) Hush() error { return s.server.Close() }

// Down stops everything.
func (s *Stand) Down() error {
	var err error
	if s.server != nil {
		err = s.server.Close()
	}
	if s.still != nil {
		s.still()
	}
	if s.sky != nil {
		s.sky.Close()
	}
	if s.Store != nil {
		err = errors.Join(err, s.Store.Close())
	}
	if s.DB != nil {
		s.DB.Stop()
	}
	return err
}
