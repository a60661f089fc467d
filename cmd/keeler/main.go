// Command keeler serves the application. It only wires the parts together.
package main

import (
	"context"
	"log/slog"
	"os"
	"os/signal"
	"syscall"

	"keeler/api"

	"github.com/alecthomas/kong"
)

func main() {
	var line commandLine
	asked := kong.Parse(&line, kong.Name("keeler"), kong.Description("Varroa treatments, scaled, mixed, given and kept."), kong.ShortUsageOnError())
	slog.SetDefault(line.logger())
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	asked.BindTo(ctx, (*context.Context)(nil))
	asked.FatalIfErrorf(asked.Run(line.settings))
}

type openAPICommand struct{}

// Run prints the document.
func (openAPICommand) Run() error {
	document, err := api.Document()
	if err != nil {
		return err
	}
	_, err = os.Stdout.Write(document)
	return err
}
