package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"os"
	"path/filepath"
	"time"

	"keeler/store"
	"keeler/store/backup"
	"keeler/store/mariadbd"
)

// database is the store on its server.
type database struct {
	*store.Store
	dsn  string
	gone <-chan struct{} // closed when a private server ended for good; else nil
}

// withStore opens the store on the MariaDB of the settings, or on a private one in a
// folder under the data folder, and closes both at the end.
func withStore(ctx context.Context, s settings, folder string, use func(database) error) error {
	d := database{dsn: s.DSN}
	if d.dsn == "" {
		private, err := mariadbd.Start(ctx, filepath.Join(s.Data, folder))
		if err != nil {
			return err
		}
		defer private.Stop()
		d.dsn, d.gone = private.DSN(), private.Done()
		slog.Info("private MariaDB", "folder", filepath.Join(s.Data, folder))
	}
	return d.open(ctx, use)
}

// beside is withStore for what may be done while a Keeler is served from the same folder.
func beside(ctx context.Context, s settings, folder string, use func(database) error) error {
	err := withStore(ctx, s, folder, use)
	if !errors.Is(err, mariadbd.ErrInUse) {
		return err
	}
	d := database{}
	if d.dsn, err = mariadbd.Running(filepath.Join(s.Data, folder)); err != nil {
		return err
	}
	return d.open(ctx, use)
}

func (d database) open(ctx context.Context, use func(database) error) (err error) {
	if d.Store, err = store.Open(d.dsn); err != nil {
		return fmt.Errorf("database: %w", err)
	}
	defer func() { err = errors.Join(err, d.Close()) }()
	if err := d.Check(ctx); err != nil {
		return fmt.Errorf("database: %w", err)
	}
	return use(d)
}

// upgrade brings the schema to the newest version. Where there is something to lose, it is
// copied first.
func (s settings) upgrade(ctx context.Context, d database) error {
	v, err := d.Versions(ctx)
	if err != nil {
		return err
	}
	if v.Upgrades() {
		copied, err := s.copy(ctx, d, v)
		if err != nil {
			return err
		}
		slog.Info("upgrading the database", "from", v.Is, "to", v.Newest, "copy", copied)
	}
	if err := d.Migrate(ctx); err != nil {
		return fmt.Errorf("migrate: %w", err)
	}
	return nil
}

// copy keeps the database as it is before its schema changes.
func (s settings) copy(ctx context.Context, d database, v store.Versions) (string, error) {
	path := filepath.Join(s.Data, "copies", time.Now().UTC().Format("20060102-150405")+fmt.Sprintf("-schema-%d.zip", v.Is))
	if _, err := backup.Write(ctx, d.dsn, v.Is, path); err != nil {
		return "", fmt.Errorf("the database was left as it is, for it could not be copied: %w", err)
	}
	return path, nil
}

type migrateCommand struct {
	Back bool `help:"Take the newest step back, with what it added."`
}

// Run changes the schema and tells what it does.
func (m migrateCommand) Run(ctx context.Context, s settings) error {
	return withStore(ctx, s, "own", func(d database) error { return m.do(ctx, s, d, os.Stdout) })
}

func (m migrateCommand) do(ctx context.Context, s settings, d database, out io.Writer) error {
	v, err := d.Versions(ctx)
	if err != nil {
		return err
	}
	fmt.Fprintf(out, "The database has schema %d; this Keeler has %d.\n", v.Is, v.Newest)
	if m.Back && v.Is <= 1 {
		return store.ErrFirst
	}
	if v.Is > 0 && (m.Back || v.Upgrades()) {
		path, err := s.copy(ctx, d, v)
		if err != nil {
			return err
		}
		fmt.Fprintf(out, "Copied it to %s.\n", path)
	}
	change := d.Migrate
	if m.Back {
		change = d.StepBack
	}
	if err := change(ctx); err != nil {
		return err
	}
	now, err := d.Versions(ctx)
	if err != nil {
		return err
	}
	if now == v {
		fmt.Fprintln(out, "Nothing was to be done.")
		return nil
	}
	fmt.Fprintf(out, "It now has schema %d.\n", now.Is)
	return nil
}
