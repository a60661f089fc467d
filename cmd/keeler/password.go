package main

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"time"

	"keeler/app"
	"keeler/store"
)

type passwordCommand struct {
	Login string `arg:"" help:"E-mail or name that the person signs in with."`
	Drop  bool   `name:"drop-second-factor" help:"Ask for a second factor no more: the phone is lost, and so are the recovery codes."`
}

// Run makes the link for who has this machine: a lone owner has nobody to ask. It may be
// done while Keeler is served.
func (p passwordCommand) Run(ctx context.Context, s settings) error {
	return beside(ctx, s, "own", func(d database) error { return p.do(ctx, s, d, os.Stdout) })
}

func (p passwordCommand) do(ctx context.Context, s settings, d database, out io.Writer) error {
	keeler := app.New(d.Store, app.Settings{Work: time.Now, Wall: time.Now})
	link, err := keeler.PasswordLinkFor(ctx, p.Login)
	if err == nil && p.Drop {
		err = keeler.DropSecond(ctx, p.Login)
	}
	if errors.Is(err, store.ErrNotFound) {
		return fmt.Errorf("nobody signs in as %q here", p.Login)
	}
	if err != nil {
		return err
	}
	_, err = fmt.Fprintf(out, "A new password for %s: open %s/password/%s\nIt works once, until %s.\n",
		p.Login, cmp.Or(s.PublicURL, "http://"+s.Addr), link.Token, link.ExpiresAt.Local().Format("15:04 on 2 January"))
	return err
}
