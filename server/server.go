// Package server puts Keeler's parts together, once: for the command, the demo, tests,
// benchmarks and pictures.
package server

import (
	"context"
	"errors"
	"log/slog"
	"net"
	"net/http"
	"strings"
	"time"

	"keeler/api"
	"keeler/app"
	"keeler/demo"
	"keeler/device"
	"keeler/forecast"
	"keeler/guard"
	"keeler/outside"
	"keeler/push"
	"keeler/sim/instruments"
	"keeler/sim/weather"
	"keeler/store"
	"keeler/web"

	"github.com/prometheus/client_golang/prometheus"
	"github.com/prometheus/client_golang/prometheus/collectors"
)

// Settings say what a Keeler is made of.
type Settings struct {
	Store *store.Store // migrated; it stays its owner's
	Log   *slog.Logger
	// Clock is of the work; nil: the wall's.
	Clock *app.Movable
	// Demo fills the store with the demo's scenario and greets with it.
	Demo bool
	// Simulate runs a stand-in for the forecasts and instruments that are not named.
	Simulate bool
	// Backups tells when the newest good backup was made; nil: none are made.
	Backups func() (time.Time, bool)
	// Forecast is the address of a service of forecasts; empty: none.
	Forecast string
	// Instruments are host:port; empty: none.
	Instruments []string
	// PublicURL is the address that links carry; empty: the one that is asked for.
	PublicURL string
	// Secure is set where only HTTPS is used.
	Secure bool
	// Port is the one that is served on.
	Port string
	// Proxies are the addresses (CIDR) of proxies in front of it.
	Proxies []string
	// Meters are told how it goes; nil: nobody is.
	Meters prometheus.Registerer
}

// Server is a Keeler that can be listened to.
type Server struct {
	Handler http.Handler
	// Code is what who makes the first owner must know; empty where there is one.
	Code string

	weather *http.Server       // simulated; nil where it is not
	still   context.CancelFunc // ends the instruments
	closing context.CancelFunc // ends what is answered as long as somebody listens
	app     *app.App           // nil until it is there
	behind  *guard.Group       // what goes on beside the HTTP side
}

const (
	graceful = 10 * time.Second
	idle     = 2 * time.Minute // of a connection between two requests
	mostHead = 32 << 10        // bytes of a request's head
	// keeping is how often it is looked whether somebody is to be reminded, or something erased.
	keeping = 10 * time.Minute
	// relaying is how often it is looked what other servers of the database have written.
	relaying = 250 * time.Millisecond
)

// New puts a Keeler together; Close ends what goes on beside it.
func New(ctx context.Context, set Settings) (*Server, error) {
	s := &Server{behind: guard.NewGroup(set.Log)}
	if err := s.assemble(ctx, set); err != nil {
		s.Close()
		return nil, err
	}
	return s, nil
}

func (s *Server) assemble(ctx context.Context, set Settings) (err error) {
	parts := app.Settings{Work: time.Now, Wall: time.Now, PublicURL: set.PublicURL, Backups: set.Backups, Practised: practisedWeather, Log: set.Log}
	if set.Clock != nil {
		parts.Work, parts.Move = set.Clock.Now, set.Clock.Move
	}
	if set.Forecast == "" && set.Simulate {
		if set.Forecast, err = s.simulateWeather(); err != nil {
			return err
		}
	}
	if set.Forecast != "" {
		parts.Weather = forecast.New(set.Forecast, time.Now)
	}
	parts.WeatherOf = forecast.Of(outside.Client(forecast.Patience, set.Simulate), time.Now)
	if parts.Pusher, err = pusher(ctx, set); err != nil {
		return err
	}
	on, still := context.WithCancel(ctx)
	s.still = still
	if len(set.Instruments) == 0 && set.Simulate {
		if set.Instruments, err = instruments.Set(on, demo.WeatherSeed); err != nil {
			return err
		}
	}
	if len(set.Instruments) > 0 {
		rack := device.New(set.Instruments, set.Log)
		s.behind.Go("instruments", func(context.Context) { rack.Run(on) })
		parts.Instruments = rack
	}
	if set.Demo {
		// By a client of its own: what it has read is not kept for those who come.
		if err := demo.Seed(ctx, set.Store, forecast.New(set.Forecast, time.Now)); err != nil {
			return err
		}
		parts.Welcome = demo.Welcome()
	}
	if set.Meters != nil {
		if err := set.Meters.Register(collectors.NewDBStatsCollector(set.Store.Pool(), "keeler")); err != nil {
			return err
		}
	}
	closing, closed := context.WithCancel(context.Background())
	s.closing = closed
	keeler := app.New(set.Store, parts)
	s.app = keeler
	s.behind.Go("reminders, and erasing", func(context.Context) {
		keeler.Keeping(on, keeping, func(err error) { set.Log.Warn("reminders, or erasing", "error", err) })
	})
	s.behind.Go("changes of other servers", func(context.Context) {
		keeler.Relaying(on, relaying, func(err error) { set.Log.Warn("changes of other servers", "error", err) })
	})
	if s.Code, err = keeler.ClaimCode(ctx); err != nil {
		return err
	}
	s.Handler, err = api.New(api.Front{
		App: keeler, Meters: set.Meters, Port: set.Port, Proxies: set.Proxies, Page: api.Page{Files: web.Files()}, Log: set.Log, PublicURL: set.PublicURL,
		Secure: set.Secure || strings.HasPrefix(set.PublicURL, "https:"), Closing: closing.Done(),
	})
	return err
}

// pusher speaks to push services by the keys that were made at the first start.
func pusher(ctx context.Context, set Settings) (app.Pusher, error) {
	public, private, err := push.NewKeys()
	if err != nil {
		return nil, err
	}
	keys, err := set.Store.PushKeys(ctx, store.PushKeys{PublicKey: public, PrivateKey: private, CreatedAt: time.Now().UTC()})
	if err != nil {
		return nil, err
	}
	from := set.PublicURL
	if from == "" {
		from = "https://localhost" // a push service asks for something; nobody is reached by it
	}
	return push.New(keys.PublicKey, keys.PrivateKey, from, outside.Client(push.Patience, set.Simulate)), nil
}

func (s *Server) simulateWeather() (address string, err error) {
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return "", err
	}
	s.weather = &http.Server{Handler: weather.Service(demo.WeatherSeed), ReadHeaderTimeout: graceful}
	s.behind.Go("simulated weather", func(context.Context) { _ = s.weather.Serve(listener) })
	return "http://" + listener.Addr().String(), nil
}

// EndWeather ends the simulated forecasts, as a service that is away; for tests.
func (s *Server) EndWeather() {
	if s.weather != nil {
		_ = s.weather.Close()
	}
}

// EndInstruments stops reading instruments, and the simulated ones; for tests.
func (s *Server) EndInstruments() {
	if s.still != nil {
		s.still()
	}
}

// Close ends all that goes on beside the HTTP side.
func (s *Server) Close() {
	s.EndWeather()
	s.EndInstruments()
	if s.closing != nil {
		s.closing()
	}
	if s.app != nil {
		s.app.Close()
	}
	s.behind.Close()
}

// Certificate is a file with a certificate and one with its key; empty: plain HTTP.
type Certificate struct{ Cert, Key string }

// Serve answers on a listener until the context ends, and then lets requests under way
// end. gone, where it is not nil, tells that the database ended by itself.
func (s *Server) Serve(ctx context.Context, listener net.Listener, tls Certificate, log *slog.Logger, gone <-chan struct{}) error {
	front := &http.Server{
		Handler: s.Handler, ReadHeaderTimeout: graceful, IdleTimeout: idle, MaxHeaderBytes: mostHead,
		ErrorLog: slog.NewLogLogger(log.Handler(), slog.LevelWarn),
	}
	front.RegisterOnShutdown(s.closing)
	ended := make(chan error, 1)
	go func() {
		ended <- guard.Try(func() error {
			if tls.Cert != "" {
				return front.ServeTLS(listener, tls.Cert, tls.Key)
			}
			return front.Serve(listener)
		})
	}()
	var err error
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
	return errors.Join(err, front.Shutdown(end))
}
