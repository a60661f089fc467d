package main

import (
	"errors"
	"flag"
	"fmt"
	"io"
	"log/slog"
	"os"
)

// settings are read from the environment first and flags after.
type settings struct{ addr, dsn, data, log, publicURL, tlsCert, tlsKey, forecast, instruments string }

var options = []struct {
	flag, env, otherwise, help string
	into                       func(*settings) *string
}{
	{"addr", "KEELER_ADDR", "127.0.0.1:8080", "address to serve on", func(s *settings) *string { return &s.addr }},
	{"dsn", "KEELER_DSN", "", "MariaDB to use, as user:password@tcp(host:port)/database; empty: a private one under the data folder", func(s *settings) *string { return &s.dsn }},
	{"data", "KEELER_DATA", ".data", "folder for the private MariaDB", func(s *settings) *string { return &s.data }},
	{"public-url", "KEELER_PUBLIC_URL", "", "address that links carry and people use; empty: the one served on", func(s *settings) *string { return &s.publicURL }},
	{"tls-cert", "KEELER_TLS_CERT", "", "certificate to serve HTTPS with; keeler cert makes one", func(s *settings) *string { return &s.tlsCert }},
	{"tls-key", "KEELER_TLS_KEY", "", "its key", func(s *settings) *string { return &s.tlsKey }},
	{"forecast", "KEELER_FORECAST", "", "address of a forecast service (docs/formats/forecast.md); empty: none, and in the demo a simulated one", func(s *settings) *string { return &s.forecast }},
	{"instruments", "KEELER_INSTRUMENTS", "", "balances and thermometers to read, as host:port,host:port (docs/formats/instruments.md); empty: none, and in the demo simulated ones", func(s *settings) *string { return &s.instruments }},
	{"log", "KEELER_LOG", "info", "least level logged: debug, info, warn or error", func(s *settings) *string { return &s.log }},
}

func readSettings(command string, args []string) (settings, error) {
	var s settings
	set := flag.NewFlagSet(command, flag.ContinueOnError)
	set.SetOutput(io.Discard)
	for _, o := range options {
		value := o.otherwise
		if v, ok := os.LookupEnv(o.env); ok {
			value = v
		}
		set.StringVar(o.into(&s), o.flag, value, o.help)
	}
	if err := set.Parse(args); err != nil {
		return s, err
	}
	if set.NArg() > 0 {
		return s, fmt.Errorf("%q is not expected here", set.Arg(0))
	}
	if (s.tlsCert == "") != (s.tlsKey == "") {
		return s, errors.New("--tls-cert and --tls-key go together")
	}
	return s, nil
}

func (s settings) logger() (*slog.Logger, error) {
	var level slog.Level
	if err := level.UnmarshalText([]byte(s.log)); err != nil {
		return nil, fmt.Errorf("log: %w", err)
	}
	return slog.New(slog.NewTextHandler(os.Stderr, &slog.HandlerOptions{Level: level})), nil
}

func help(w io.Writer) {
	fmt.Fprint(w, `keeler: varroa treatments, scaled, mixed, given and kept

  keeler serve     serve the application
  keeler demo      serve it with the demo scenario, its clock pinned
  keeler migrate   bring the database to the newest version, then stop
  keeler cert      make a certificate for HTTPS in the local network
  keeler weather   serve simulated forecasts on --addr, to try --forecast with
  keeler instruments
                   serve simulated balances and a thermometer, to try --instruments with
  keeler openapi   print the OpenAPI document
  keeler help      this page

Settings, as a flag or in the environment (the flag wins):
`)
	for _, o := range options {
		otherwise := o.otherwise
		if otherwise == "" {
			otherwise = "none"
		}
		fmt.Fprintf(w, "  --%-11s %-18s %s (default %s)\n", o.flag, o.env, o.help, otherwise)
	}
}
