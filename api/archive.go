package api

import (
	"context"
	"errors"
	"io"
	"net/http"
	"os"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// uploadWithin is how long a large file may take to come.
const uploadWithin = time.Hour

// upload is a file that is too large to be held in memory: it lies on the disk until the
// request is over.
type upload struct {
	file *os.File
	size int64
}

// Resolve takes it off the line.
func (u *upload) Resolve(c huma.Context) (wrong []error) {
	_ = c.SetReadDeadline(time.Now().Add(uploadWithin))
	file, err := os.CreateTemp("", "keeler-upload-")
	if err == nil {
		err = os.Remove(file.Name()) // it goes with its last user, whatever happens
	}
	if err == nil {
		u.size, err = io.Copy(file, io.LimitReader(c.BodyReader(), app.MostArchive+1))
	}
	switch {
	case err != nil:
		return []error{errors.Join(huma.Error503ServiceUnavailable("The file did not come through: the line broke, or the server's disk is full."), file.Close())}
	case u.size > app.MostArchive:
		return []error{errors.Join(huma.NewError(http.StatusRequestEntityTooLarge, "This archive is larger than 4 GB: whoever runs your Keeler can take it in."), file.Close())}
	}
	u.file = file
	return nil
}

// archiving registers everything in one file, and the end of everything.
func archiving(r routes) {
	out := r.describe(get+" export/archive", "export-archive", "Everything of the operation in one file (docs/formats/archive.md)")
	route(r.afterwards(), out, app.Owner, func(ctx context.Context, desk app.Desk, _ *none) (*huma.StreamResponse, error) {
		if err := desk.BeginArchive(ctx); err != nil {
			return nil, err
		}
		return &huma.StreamResponse{Body: func(c huma.Context) {
			c.SetHeader("Content-Type", "application/zip")
			c.SetHeader("Content-Disposition", `attachment; filename="keeler-archive.zip"`)
			if err := desk.Archive(c.Context(), c.BodyWriter()); err != nil {
				r.desks.log.Error("archive", "error", impersonal(err))
				panic(http.ErrAbortHandler)
			}
		}}, nil
	})
	in := r.describe(post+" import/archive", "import-archive", "Take such a file into an operation with nothing in it, all or nothing", 409, 413, 422)
	in.MaxBodyBytes = app.MostArchive
	in.RequestBody = &huma.RequestBody{Required: true, Content: map[string]*huma.MediaType{"application/zip": {}}}
	answer(r, in, app.Owner, func(ctx context.Context, desk app.Desk, in *upload) (wire.ArchiveTaken, error) {
		defer func() { _ = in.file.Close() }()
		return desk.TakeArchive(ctx, in.file, in.size)
	})
	send(r.afterwards(), post+" operation/erase", "erase-operation", app.Owner, "Erase the operation, or all of it but its register", app.Desk.Erase)
}
