package api

import (
	"context"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"keeler/app"
)

type body[T any] struct{ Body T }

// sent is a request with a body.
type sent[T any] struct{ Body checked[T] }

// none is a request without anything in it.
type none = struct{}

// ByID names one thing; exported because the schema looks into it.
type ByID struct {
	ID string `path:"id" format:"uuid"`
}

// Resolve brings an id into its one spelling.
func (b *ByID) Resolve(huma.Context) []error {
	b.ID = oneSpelling(b.ID)
	return nil
}

// oneSpelling is an id as it is kept; what is none stays as it is, for others to refuse.
func oneSpelling(id string) string {
	if read, err := uuid.Parse(id); err == nil {
		return read.String()
	}
	return id
}

// toOne is what is sent to one thing.
type toOne[T any] struct {
	ByID
	Body checked[T]
}

// routes is where a resource names its own.
type routes struct {
	api   huma.API
	desks *desks
	tag   string
	wide  bool // of much at once
	after bool // also where the operation is closed
}

const (
	get    = http.MethodGet
	post   = http.MethodPost
	put    = http.MethodPut
	remove = http.MethodDelete
)

// describe writes a route as the document has it. "POST batches/{id}/void" is its
// method and path; id names it for clients.
func (r routes) describe(methodAndPath, id, summary string, errors ...int) huma.Operation {
	method, path, _ := strings.Cut(methodAndPath, " ")
	return huma.Operation{
		OperationID: id, Method: method, Path: "/api/" + path, Summary: summary, Tags: []string{r.tag}, Errors: errors,
		MaxBodyBytes: map[bool]int64{true: wideBody, false: usualBody}[r.wide], BodyReadTimeout: bodyWithin, SkipValidateBody: true, // checked does it
	}
}

const (
	usualBody  = 32 << 10
	wideBody   = 512 << 10        // a thousand colonies with their boards
	bodyWithin = 20 * time.Second // to be sent, over poor signal
	// answeredWithin is how long one waits for a database that is busy or stands still.
	answeredWithin = 5 * time.Second
	importedWithin = 30 * time.Second
	archivedWithin = 30 * time.Minute
)

// much is for what takes many things at once.
func (r routes) much() routes {
	r.wide = true
	return r
}

// afterwards is for what can still be done once an operation is closed.
func (r routes) afterwards() routes {
	r.after = true
	return r
}

type deskKey struct{}

// only lets nobody else in, before anything of a request is read.
func (r routes) only(least app.Role) func(huma.Context, func(huma.Context)) {
	return func(c huma.Context, next func(huma.Context)) {
		ctx, cancel := context.WithTimeout(c.Context(), answeredWithin)
		defer cancel()
		desk, err := r.desks.open(ctx, least)
		if who := c.Header(forWhom); err == nil && who != "" && who != desk.Who().Key() {
			err = errAnother
		}
		if err == nil && desk.Who().KeptUntil != nil && least != app.Viewer && !r.after {
			err = app.ErrClosed
		}
		if err == nil {
			next(huma.WithValue(c, deskKey{}, desk))
			return
		}
		told := problem(ctx, r.desks.log, http.MethodGet, err).(huma.StatusError) // nothing was begun
		_ = huma.WriteErr(r.api, c, told.GetStatus(), told.Error())
	}
}

// register is a route that is answered in time, or told as a problem.
func register[In, Out any](r routes, op huma.Operation, do func(context.Context, *In) (*Out, error)) {
	within := answeredWithin
	switch {
	case op.MaxBodyBytes >= app.MostArchive:
		within = archivedWithin
	case op.MaxBodyBytes > wideBody:
		within = importedWithin
	}
	huma.Register(r.api, op, func(ctx context.Context, in *In) (*Out, error) {
		ctx, cancel := context.WithTimeout(ctx, within)
		defer cancel()
		out, err := do(ctx, in)
		if err != nil {
			return nil, problem(ctx, r.desks.log, op.Method, err)
		}
		return out, nil
	})
}

// route is a route to what belongs to an operation. There is no other way to a desk,
// so each names who may take it.
func route[In, Out any](r routes, op huma.Operation, least app.Role, do func(context.Context, app.Desk, *In) (*Out, error)) {
	op.Errors = append(op.Errors, http.StatusUnauthorized, http.StatusForbidden, http.StatusServiceUnavailable)
	op.Security = []map[string][]string{{session: {}}, {token: {}}}
	op.Extensions = map[string]any{"x-least-role": string(least)}
	op.Middlewares = append(op.Middlewares, r.only(least))
	register(r, op, func(ctx context.Context, in *In) (*Out, error) { return do(ctx, ctx.Value(deskKey{}).(app.Desk), in) })
}

// personal is a route to what is a person's own business, and no script's.
func personal[In, Out any](r routes, op huma.Operation, do func(context.Context, app.Desk, *In) (*Out, error)) {
	route(r, op, app.Viewer, func(ctx context.Context, desk app.Desk, in *In) (*Out, error) {
		if desk.Who().Script {
			return nil, app.ErrForbidden
		}
		return do(ctx, desk, in)
	})
}

// own is one that answers with a body alone.
func own[In, Out any](r routes, methodAndPath, id, summary string, do func(context.Context, app.Desk, *In) (Out, error), errors ...int) {
	personal(r, r.describe(methodAndPath, id, summary, errors...), func(ctx context.Context, desk app.Desk, in *In) (*body[Out], error) {
		out, err := do(ctx, desk, in)
		return &body[Out]{out}, err
	})
}

// answer is a route that answers with a body alone.
func answer[In, Out any](r routes, op huma.Operation, least app.Role, do func(context.Context, app.Desk, *In) (Out, error)) {
	route(r, op, least, func(ctx context.Context, desk app.Desk, in *In) (*body[Out], error) {
		out, err := do(ctx, desk, in)
		return &body[Out]{out}, err
	})
}

// read answers with what belongs to the operation.
func read[Out any](r routes, path, id string, least app.Role, summary string, do func(app.Desk, context.Context) (Out, error)) {
	answer(r, r.describe(get+" "+path, id, summary), least, func(ctx context.Context, desk app.Desk, _ *none) (Out, error) { return do(desk, ctx) })
}

// readOne answers with one thing, by the id in its path.
func readOne[Out any](r routes, path, id string, least app.Role, summary string, do func(app.Desk, context.Context, string) (Out, error)) {
	answer(r, r.describe(get+" "+path, id, summary, 404), least, func(ctx context.Context, desk app.Desk, in *ByID) (Out, error) { return do(desk, ctx, in.ID) })
}

// send takes a body and answers with what came of it.
func send[In, Out any](r routes, methodAndPath, id string, least app.Role, summary string, do func(app.Desk, context.Context, In) (Out, error)) {
	answer(r, r.describe(methodAndPath, id, summary, 404, 409, 422), least, func(ctx context.Context, desk app.Desk, in *sent[In]) (Out, error) {
		return do(desk, ctx, in.Body.value)
	})
}

// sendTo takes a body for one thing, by the id in its path.
func sendTo[In, Out any](r routes, methodAndPath, id string, least app.Role, summary string, do func(app.Desk, context.Context, string, In) (Out, error)) {
	answer(r, r.describe(methodAndPath, id, summary, 404, 409, 422), least, func(ctx context.Context, desk app.Desk, in *toOne[In]) (Out, error) {
		return do(desk, ctx, in.ID, in.Body.value)
	})
}
