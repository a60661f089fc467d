package api

import (
	"context"
	"errors"
	"log/slog"

	"github.com/danielgtaylor/huma/v2"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

// problem turns an error into an RFC 9457 document. What it does not know is
// logged and told as a failure of ours, without its inside.
func problem(ctx context.Context, log *slog.Logger, err error) error {
	var l fault.List
	switch {
	case err == nil:
		return nil
	case errors.As(err, &l):
		details := make([]error, len(l))
		for i, f := range l {
			details[i] = &huma.ErrorDetail{Location: "body." + f.Field, Message: wire.Say(f)}
		}
		return huma.Error422UnprocessableEntity("Some figures cannot be.", details...)
	case errors.Is(err, store.ErrNotFound):
		return huma.Error404NotFound("There is no such batch here.")
	case errors.Is(err, store.ErrConflict):
		return huma.Error409Conflict("This id already belongs to another batch.")
	}
	log.ErrorContext(ctx, "operation failed", "error", err)
	return huma.Error503ServiceUnavailable("This could not be done just now; nothing was changed. Try again.")
}
