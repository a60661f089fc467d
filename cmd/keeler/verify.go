package main

import (
	"context"
	"fmt"
	"io"
	"os"
	"time"

	"keeler/app"
)

type verifyCommand struct {
	File string `arg:"" help:"Medicine record, as it was exported as CSV."`
}

// Run holds a medicine record against the database, while it is served or not.
func (c verifyCommand) Run(ctx context.Context, s settings) error {
	return beside(ctx, s, "own", func(d database) error { return c.do(ctx, d, os.Stdout) })
}

func (c verifyCommand) do(ctx context.Context, d database, out io.Writer) error {
	file, err := os.Open(c.File)
	if err != nil {
		return fmt.Errorf("open the record: %w", err)
	}
	defer func() { _ = file.Close() }()
	keeler := app.New(d.Store, app.Settings{Work: time.Now, Wall: time.Now})
	defer keeler.Close()
	lines, err := keeler.VerifyRecord(ctx, file)
	if err != nil {
		return fmt.Errorf("%s: %w", c.File, err)
	}
	_, err = fmt.Fprintf(out, "%s is as the database has it: %d lines.\n", c.File, lines)
	return err
}
