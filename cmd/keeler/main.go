// Command keeler serves the application. It only wires the parts together.
package main

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"os"
	"os/signal"
	"path/filepath"
	"syscall"
	"time"

	"keeler/api"
	"keeler/app"
	"keeler/demo"
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
	case "serve", "demo", "migrate":
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
	return withStore(ctx, command, s, log, func(st *store.Store, gone <-chan struct{}) error {
		switch command {
		case "migrate":
			return nil
		case "demo":
			if err := demo.Seed(ctx, st); err != nil {
				return err
			}
			return serve(ctx, s.addr, app.New(st, app.Pinned(demo.Now), time.Now, demo.Welcome()), log, gone)
		}
		return serve(ctx, s.addr, app.New(st, time.Now, time.Now, app.Welcome{}), log, gone)
	})
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

func serve(ctx context.Context, addr string, a *app.App, log *slog.Logger, gone <-chan struct{}) error {
	listener, err := net.Listen("tcp", addr)
	if err != nil {
		return err
	}
	server := &http.Server{
		Handler:           api.New(a, api.Page{Files: web.Files()}, log),
		ReadHeaderTimeout: graceful,
		ErrorLog:          slog.NewLogLogger(log.Handler(), slog.LevelWarn),
	}
	ended := make(chan error, 1)
	go func() { ended <- server.Serve(listener) }()
	fmt.Printf("Keeler is at http://%s\n", listener.Addr())

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
