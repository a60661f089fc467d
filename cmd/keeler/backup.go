package main

import (
	"context"
	"fmt"
	"io"
	"log/slog"
	"os"
	"time"

	"keeler/guard"
	"keeler/store"
	"keeler/store/backup"
)

type (
	backupCommand struct {
		File string `arg:"" help:"File to write; one that is there stays until the new one is whole."`
	}
	restoreCommand struct {
		File string `arg:"" help:"Backup to read, into a database or data folder with nothing in it."`
	}
)

// Run backs the database up, while it is served or not.
func (c backupCommand) Run(ctx context.Context, s settings) error {
	return beside(ctx, s, "own", func(d database) error { return c.do(ctx, d, os.Stdout) })
}

func (c backupCommand) do(ctx context.Context, d database, out io.Writer) error {
	v, err := d.Versions(ctx)
	if err != nil {
		return err
	}
	about, err := backup.Write(ctx, d.dsn, v.Is, c.File)
	if err != nil {
		return err
	}
	_, err = fmt.Fprintf(out, "Backed up to %s: schema %d, %d bytes of SQL, SHA-256 %s.\n", c.File, about.Schema, about.Bytes, about.SHA256)
	return err
}

// Run reads a backup back.
func (c restoreCommand) Run(ctx context.Context, s settings) error {
	return withStore(ctx, s, "own", func(d database) error { return c.do(ctx, d, os.Stdout) })
}

func (c restoreCommand) do(ctx context.Context, d database, out io.Writer) error {
	about, err := backup.Restore(ctx, d.dsn, c.File, store.Newest())
	if err != nil {
		return fmt.Errorf("%s: %w", c.File, err)
	}
	_, err = fmt.Fprintf(out, "Restored the backup of %s, schema %d. Start Keeler again.\n", about.MadeAt.Format(time.RFC3339), about.Schema)
	return err
}

// looking is how often it is looked whether a backup is due.
const looking = 15 * time.Minute

// backUp makes a backup whenever one is due, until the context ends.
func (s settings) backUp(ctx context.Context, d database) {
	folder := backup.Folder{Path: s.Backups}
	tick := time.NewTicker(looking)
	defer tick.Stop()
	for {
		if now := time.Now(); folder.Due(now) {
			err := guard.Try(func() error { return folder.Make(ctx, d.dsn, store.Newest(), now) })
			if err != nil && ctx.Err() == nil {
				slog.Error("backup", "error", err)
			}
		}
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}
