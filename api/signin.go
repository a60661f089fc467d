package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// open registers an operation that nobody needs to be signed in for, and that
// signs somebody in.
func open[In any](h huma.API, d *desks, op huma.Operation, do func(context.Context, *In) (app.Member, error)) {
	huma.Register(h, op, func(ctx context.Context, in *In) (*body[wire.Start], error) {
		m, err := do(ctx, in)
		if err != nil {
			return nil, problem(ctx, d.log, err)
		}
		if err := d.enter(ctx, m); err != nil {
			return nil, problem(ctx, d.log, err)
		}
		return d.begin(ctx)
	})
}

// signingIn registers how one comes in and goes out.
func signingIn(h huma.API, d *desks) {
	open(h, d, operation("people", "sign-in", http.MethodPost, "session", "Sign in; the answer sets the cookie", 401, 422, 429, 503),
		func(ctx context.Context, in *body[wire.SignIn]) (app.Member, error) {
			return d.app.SignIn(ctx, in.Body, cameFrom(ctx))
		})
	open(h, d, operation("people", "claim", http.MethodPost, "claim", "Make the first owner, where there is nobody yet", 403, 422, 503),
		func(ctx context.Context, in *body[wire.Claim]) (app.Member, error) { return d.app.Claim(ctx, in.Body) })
	open(h, d, operation("people", "enter-demo", http.MethodPost, "demo", "Enter the demo as its keeper; only in the demo", 403, 503),
		func(ctx context.Context, _ *none) (app.Member, error) { return d.app.EnterDemo(ctx) })
	huma.Register(h, operation("people", "move-demo", http.MethodPost, "demo/clock", "Bring the demo's clock forward; only in the demo", 403, 422, 503),
		func(ctx context.Context, in *body[wire.MoveDemo]) (*body[wire.Start], error) {
			if err := d.app.MoveDemo(in.Body.Days); err != nil {
				return nil, problem(ctx, d.log, err)
			}
			return d.begin(ctx)
		})
	open(h, d, operation("people", "join", http.MethodPost, "join", "Use an invitation up", 404, 422, 429, 503),
		func(ctx context.Context, in *body[wire.Join]) (app.Member, error) {
			return d.app.Join(ctx, in.Body, cameFrom(ctx))
		})
	huma.Register(h, operation("people", "invited-to", http.MethodGet, "join/{token}", "What an invitation is to", 404, 503),
		func(ctx context.Context, in *struct {
			Token string `path:"token" maxLength:"100"`
		}) (*body[wire.InvitedTo], error) {
			out, err := d.app.InvitedTo(ctx, in.Token)
			if err != nil {
				return nil, problem(ctx, d.log, err)
			}
			return &body[wire.InvitedTo]{out}, nil
		})
	huma.Register(h, operation("people", "sign-out", http.MethodDelete, "session", "Sign out here", 503),
		func(ctx context.Context, _ *none) (*none, error) {
			if err := d.leave(ctx); err != nil {
				return nil, problem(ctx, d.log, err)
			}
			return nil, nil
		})
}

// people registers who belongs to an operation.
func people(h huma.API, d *desks) {
	kept(h, d, app.Viewer, operation("people", "sign-out-everywhere", http.MethodDelete, "sessions", "Sign out wherever one is signed in"),
		func(ctx context.Context, desk app.Desk, _ *none) (*none, error) {
			if err := desk.SignOutEverywhere(ctx); err != nil {
				return nil, err
			}
			return nil, d.leave(ctx)
		})
	kept(h, d, app.Viewer, operation("people", "change-password", http.MethodPost, "password", "Another password; everywhere else one is signed out", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.ChangePassword]) (*none, error) {
			epoch, err := desk.ChangePassword(ctx, in.Body)
			if err != nil {
				return nil, err
			}
			m := desk.Who()
			m.Epoch = epoch
			return nil, d.enter(ctx, m)
		})
	answering(h, d, app.Viewer, operation("people", "list-people", http.MethodGet, "people", "Who belongs to the operation"),
		func(ctx context.Context, desk app.Desk, _ *none) (wire.People, error) { return desk.People(ctx) })
	answering(h, d, app.Owner, operation("people", "set-role", http.MethodPost, "people/{id}/role", "Change what a member may do", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *struct {
			ID   uint64 `path:"id"`
			Body wire.SetRole
		}) (wire.People, error) {
			if err := desk.SetRole(ctx, in.ID, in.Body.Role); err != nil {
				return wire.People{}, err
			}
			return desk.People(ctx)
		})
	answering(h, d, app.Owner, operation("people", "invite", http.MethodPost, "invitations", "Make a link that lets one person join", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.Invite]) (wire.Invitation, error) {
			return desk.Invite(ctx, in.Body)
		})
	kept(h, d, app.Owner, operation("people", "uninvite", http.MethodDelete, "invitations/{id}", "Take an invitation back", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (*none, error) {
			return nil, desk.Uninvite(ctx, in.ID)
		})
}
