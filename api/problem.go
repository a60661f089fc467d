package api

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/go-sql-driver/mysql"

	"keeler/app"
	"keeler/core/fault"
	"keeler/store"
	"keeler/words"
)

// problem turns an error into an RFC 9457 document, with the code of what is wrong as
// the value of each entry, so that nobody reads it off the words. What it does not know
// is logged and told as a failure of ours, without its inside.
func problem(ctx context.Context, log *slog.Logger, method string, err error) error {
	var l fault.List
	switch {
	case err == nil:
		return nil
	case errors.As(err, &l):
		l = l[:min(len(l), mostErrors)]
		details := make([]error, len(l))
		for i, f := range l {
			details[i] = &huma.ErrorDetail{Location: "body." + f.Field, Message: words.Fault(f), Value: string(f.Reason)}
		}
		return huma.Error422UnprocessableEntity("Some figures cannot be.", details...)
	case errors.Is(err, store.ErrNotFound):
		return huma.Error404NotFound("This is not here, or no longer.")
	case errors.Is(err, store.ErrStale):
		return huma.Error409Conflict("Somebody else changed this meanwhile. Nothing of yours was lost or stored: look at both, then save again.")
	case errors.Is(err, store.ErrConflict):
		return huma.Error409Conflict("This cannot be: the id belongs to something else, or the last owner would go.")
	case errors.Is(err, app.ErrElsewhere):
		return huma.Error409Conflict("This member belongs to other operations, too, which the password opens as well. It can be set on the server's machine: keeler password.")
	case errors.Is(err, store.ErrNoArchive), errors.Is(err, store.ErrArchiveCut), errors.Is(err, store.ErrArchiveNewer), errors.Is(err, store.ErrArchiveVast), errors.Is(err, store.ErrArchiveBroken):
		return huma.Error422UnprocessableEntity(archiveWords(err))
	case errors.Is(err, store.ErrNotEmpty):
		return huma.Error409Conflict("There are yards, hives or records here already. Take an archive into a new, empty operation.")
	case errors.Is(err, store.ErrTaken):
		return huma.Error409Conflict("This is there already.")
	case errors.Is(err, errTooManyStreams):
		return huma.Error429TooManyRequests("You are listening in too many places at once.")
	case errors.Is(err, errSignedOut):
		return huma.Error401Unauthorized("Sign in first. What you typed stays here.")
	case errors.Is(err, errAnother):
		return huma.Error401Unauthorized("Somebody else has signed in on this device. Nothing was done in their name.")
	case errors.Is(err, app.ErrRefused):
		return huma.Error401Unauthorized("This name and password do not go together.")
	case errors.Is(err, app.ErrTooMany):
		return huma.ErrorWithHeaders(huma.Error429TooManyRequests("Too many tries failed. Wait a quarter of an hour, or ask the owner for a new invitation."),
			http.Header{"Retry-After": {"900"}})
	case errors.Is(err, app.ErrClosed):
		return huma.Error409Conflict("This operation is closed: its register can be read, but nothing more can be written.")
	case errors.Is(err, app.ErrForbidden):
		return huma.Error403Forbidden("This is not for your part in the operation. Ask its owner.")
	}
	log.ErrorContext(ctx, "operation failed", "error", impersonal(err))
	if method == http.MethodGet {
		return huma.Error503ServiceUnavailable("This could not be read just now. Try again.")
	}
	// The database may have done it, and its word got lost.
	return huma.Error503ServiceUnavailable("Whether this was saved is not known: the database did not answer. Send it again; what is sent twice counts once.")
}

// archiveWords say why an archive is not taken.
func archiveWords(err error) string {
	switch {
	case errors.Is(err, store.ErrNoArchive):
		return "This file is not an archive from Keeler."
	case errors.Is(err, store.ErrArchiveNewer):
		return "This archive is from a newer Keeler. Update this one first."
	case errors.Is(err, store.ErrArchiveVast):
		return "This archive would unpack to more than 16 GB, which is more than Keeler takes in."
	case errors.Is(err, store.ErrArchiveBroken):
		return "Something in this archive belongs to what is missing from it. Take it out again where it came from."
	}
	return "This archive is not whole: it was cut short or changed. Take it out again where it came from."
}

// impersonal is an error as it is logged: MariaDB's words may hold what somebody wrote.
func impersonal(err error) string {
	var of *mysql.MySQLError
	if errors.As(err, &of) {
		return fmt.Sprintf("MariaDB error %d (%s)", of.Number, of.SQLState)
	}
	return err.Error()
}
