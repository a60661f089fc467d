package main

import (
	"log/slog"
	"os"
)

// settings are read from the environment first and flags after.
type settings struct {
	Addr        string     `env:"KEELER_ADDR" default:"127.0.0.1:8080" help:"Address to serve on."`
	DSN         string     `name:"dsn" env:"KEELER_DSN" help:"MariaDB to use, as user:password@tcp(host:port)/database; else a private one under the data folder."`
	Data        string     `env:"KEELER_DATA" default:".data" help:"Folder for the private MariaDB, and for copies of the database."`
	Backups     string     `env:"KEELER_BACKUPS" help:"Folder for a backup a day, kept by age and each read back once; else none is made."`
	PublicURL   string     `name:"public-url" env:"KEELER_PUBLIC_URL" help:"Address that links carry and people use; else the one served on."`
	TLSCert     string     `name:"tls-cert" and:"tls" env:"KEELER_TLS_CERT" help:"Certificate to serve HTTPS with; keeler cert makes one."`
	TLSKey      string     `name:"tls-key" and:"tls" env:"KEELER_TLS_KEY" help:"Its key."`
	Proxies     []string   `name:"trusted-proxies" env:"KEELER_TRUSTED_PROXIES" help:"Addresses (CIDR) of reverse proxies whose X-Forwarded-For is believed; else none is."`
	Forecast    string     `env:"KEELER_FORECAST" help:"Address of a forecast service (docs/formats/forecast.md); else none, and in the demo a simulated one."`
	Instruments []string   `env:"KEELER_INSTRUMENTS" help:"Balances and thermometers to read, host:port each (docs/formats/instruments.md); else none, and in the demo simulated ones."`
	Metrics     string     `env:"KEELER_METRICS" help:"Address to serve /metrics for Prometheus on, such as 127.0.0.1:9464; else nowhere."`
	Log         slog.Level `env:"KEELER_LOG" default:"info" help:"Least level logged: debug, info, warn or error."`
}

// commandLine is all that can be asked of keeler.
type commandLine struct {
	settings
	Serve       serveCommand       `cmd:"" help:"Serve the application."`
	Demo        demoCommand        `cmd:"" help:"Serve it with the demo scenario, its clock pinned."`
	Password    passwordCommand    `cmd:"" help:"Make a link by which a person sets a new password."`
	Migrate     migrateCommand     `cmd:"" help:"Bring the database to the newest schema, telling what is done, then stop."`
	Backup      backupCommand      `cmd:"" help:"Back the database up into one file, while it is served or not."`
	Restore     restoreCommand     `cmd:"" help:"Read a backup into an empty data folder or database."`
	Verify      verifyCommand      `cmd:"" help:"Hold a medicine record, exported as CSV, against the database."`
	Unit        unitCommand        `cmd:"" help:"Print a systemd unit (docs/operations.md)."`
	Cert        certCommand        `cmd:"" help:"Make a certificate for HTTPS in the local network."`
	Weather     weatherCommand     `cmd:"" help:"Serve simulated forecasts on --addr, to try --forecast with."`
	Instruments instrumentsCommand `cmd:"" help:"Serve simulated balances and a thermometer, to try --instruments with."`
	OpenAPI     openAPICommand     `cmd:"" name:"openapi" help:"Print the OpenAPI document."`
}

func (s settings) logger() *slog.Logger {
	return slog.New(slog.NewTextHandler(os.Stderr, &slog.HandlerOptions{Level: s.Log}))
}
