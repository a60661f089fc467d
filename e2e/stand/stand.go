// Package stand sets a whole Keeler up for tests, benchmarks and screenshots: a MariaDB
// of its own, the server, and a free port of loopback.
package stand

import (
	"context"
	"errors"
	"log/slog"
	"net"
	"net/http"
	"strconv"
	"time"

	"keeler/app"
	"keeler/demo"
	"keeler/server"
	"keeler/store"
	"keeler/store/mariadbd"
)

// Stand is a running Keeler.
type Stand struct {
	URL   string
	DSN   string
	Store *store.Store
	DB    *mariadbd.Server // nil when it belongs to others, too

	Code string // that makes the first owner

	clock   *app.Movable
	keeler  *server.Server
	front   *http.Server
	address string
}

// Up starts a Keeler with a MariaDB of its own: the demo, or one that was never
// used. It reads the given instruments, or else simulated ones.
func Up(ctx context.Context, withDemo bool, instruments ...string) (*Stand, error) {
	return with(ctx, mariadbd.Hasty, withDemo, instruments...)
}

// Measured is Up for benchmarks: what is saved is brought to the disk, as it is where Keeler is used.
func Measured(ctx context.Context, withDemo bool, instruments ...string) (*Stand, error) {
	return with(ctx, mariadbd.Temporary, withDemo, instruments...)
}

func with(ctx context.Context, database func(context.Context) (*mariadbd.Server, error), withDemo bool, instruments ...string) (*Stand, error) {
	db, err := database(ctx)
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
	return filled(ctx, dsn, server.Settings{Demo: withDemo, Instruments: instruments})
}

// Behind is On for one that believes proxies.
func Behind(ctx context.Context, dsn string, proxies ...string) (*Stand, error) {
	return filled(ctx, dsn, server.Settings{Proxies: proxies})
}

func filled(ctx context.Context, dsn string, set server.Settings) (*Stand, error) {
	s := &Stand{DSN: dsn}
	if err := s.fill(ctx, dsn, set); err != nil {
		return nil, errors.Join(err, s.Down())
	}
	return s, nil
}

func (s *Stand) fill(ctx context.Context, dsn string, set server.Settings) (err error) {
	if s.Store, err = store.Open(dsn); err != nil {
		return err
	}
	if err = s.Store.Migrate(ctx); err != nil {
		return err
	}
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return err
	}
	s.address = listener.Addr().String()
	set.Port, set.Store, set.Log = strconv.Itoa(listener.Addr().(*net.TCPAddr).Port), s.Store, slog.New(slog.DiscardHandler)
	s.clock = app.NewMovable(demo.Now)
	set.Clock, set.Simulate = s.clock, true
	s.keeler, err = server.New(ctx, set)
	if err != nil {
		return errors.Join(err, listener.Close())
	}
	s.Code = s.keeler.Code
	s.serve(listener)
	return nil
}

// Serve starts the HTTP side again, on the same address as before.
func (s *Stand) Serve() error {
	listener, err := net.Listen("tcp", s.address)
	if err != nil {
		return err
	}
	s.serve(listener)
	return nil
}

func (s *Stand) serve(listener net.Listener) {
	s.front = &http.Server{Handler: s.keeler.Handler, ReadHeaderTimeout: time.Minute}
	s.URL = "http://" + s.address
	go func() { _ = s.front.Serve(listener) }()
}

// Overcast ends the weather service, for as long as the stand is there.
func (s *Stand) Overcast() { s.keeler.EndWeather() }

// Later brings the clock of the work forward by days.
func (s *Stand) Later(days int) { s.clock.Move(days) }

// Dark ends the simulated balances and thermometer, for as long as the stand is there.
func (s *Stand) Dark() { s.keeler.EndInstruments() }

// Hush stops the HTTP side, as a server that is away.
func (s *Stand) Hush() error { return s.front.Close() }

// Down stops everything.
func (s *Stand) Down() error {
	var err error
	if s.front != nil {
		err = s.front.Close()
	}
	if s.keeler != nil {
		s.keeler.Close()
	}
	if s.Store != nil {
		err = errors.Join(err, s.Store.Close())
	}
	if s.DB != nil {
		s.DB.Stop()
	}
	return err
}
