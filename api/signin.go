package api

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// signIn registers an operation that nobody needs to be signed in for, and that
// signs somebody in.
func signIn[In any](r routes, op huma.Operation, do func(context.Context, *In) (app.Member, error)) {
	register(r, op, func(ctx context.Context, in *In) (*body[wire.Start], error) {
		m, err := do(ctx, in)
		if err != nil {
			return nil, err
		}
		if err := r.desks.enter(ctx, m); err != nil {
			return nil, err
		}
		return r.desks.begin(ctx)
	})
}

// byToken names what a link is for.
type byToken struct {
	Token string `path:"token" maxLength:"100"`
}

// signingIn registers how one comes in and goes out.
func signingIn(r routes) {
	signIn(r, r.describe(post+" session", "sign-in", "Sign in; the answer sets the cookie", 401, 422, 429, 503),
		func(ctx context.Context, in *sent[wire.SignIn]) (app.Member, error) {
			return r.desks.app.SignIn(ctx, in.Body.value, cameFrom(ctx))
		})
	signIn(r, r.describe(post+" claim", "claim", "Make the first owner, where there is nobody yet", 403, 422, 503),
		func(ctx context.Context, in *sent[wire.Claim]) (app.Member, error) {
			return r.desks.app.Claim(ctx, in.Body.value)
		})
	signIn(r, r.describe(post+" demo", "enter-demo", "Enter the demo as its keeper or its helper; only in the demo", 403, 503),
		func(ctx context.Context, in *struct {
			As string `query:"as" enum:"keeper,helper" default:"keeper"`
		}) (app.Member, error) {
			return r.desks.app.EnterDemo(ctx, map[string]string{"keeper": app.DemoLogin, "helper": app.DemoHelper}[in.As])
		})
	route(r, r.describe(post+" demo/clock", "move-demo", "Bring the demo's clock forward; only in the demo", 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *sent[wire.MoveDemo]) (*body[wire.Start], error) {
			if err := desk.MoveDemo(in.Body.value.Days); err != nil {
				return nil, err
			}
			return r.desks.begin(ctx)
		})
	signIn(r, r.describe(post+" join", "join", "Use an invitation up", 404, 422, 429, 503),
		func(ctx context.Context, in *sent[wire.Join]) (app.Member, error) {
			return r.desks.app.Join(ctx, in.Body.value, cameFrom(ctx))
		})
	register(r, r.describe(get+" join/{token}", "invited-to", "What an invitation is to", 404, 503),
		func(ctx context.Context, in *byToken) (*body[wire.InvitedTo], error) {
			out, err := r.desks.app.InvitedTo(ctx, in.Token)
			return &body[wire.InvitedTo]{out}, err
		})
	register(r, r.describe(get+" password/{token}", "linked-to", "Whose new password a link is for", 404, 503),
		func(ctx context.Context, in *byToken) (*body[wire.LinkedTo], error) {
			out, err := r.desks.app.LinkedTo(ctx, in.Token)
			return &body[wire.LinkedTo]{out}, err
		})
	register(r, r.describe(post+" password/new", "new-password", "Set a new password by a link, which is used up", 404, 422, 503),
		func(ctx context.Context, in *sent[wire.NewPassword]) (*none, error) {
			return nil, r.desks.app.NewPassword(ctx, in.Body.value)
		})
	signIn(r, r.describe(post+" session/operation", "go-to-operation", "Go on in another operation that one belongs to", 401, 404, 422, 503),
		func(ctx context.Context, in *sent[wire.GoTo]) (app.Member, error) {
			return r.desks.elsewhere(ctx, in.Body.value.Operation)
		})
	signIn(r, r.describe(post+" practice", "begin-practice", "Begin a season of practice, in an operation of its own, and go on in it", 401, 403, 422, 503),
		func(ctx context.Context, in *sent[wire.BeginPractice]) (app.Member, error) {
			return r.desks.practise(ctx, func(d app.Desk) (app.Member, error) { return d.BeginPractice(ctx, in.Body.value) })
		})
	signIn(r, r.describe(post+" practice/leave", "leave-practice", "Throw the season of practice away, and go on in the first real operation", 401, 403, 422, 503),
		func(ctx context.Context, _ *none) (app.Member, error) {
			return r.desks.practise(ctx, func(d app.Desk) (app.Member, error) { return d.LeavePractice(ctx) })
		})
	register(r, r.describe(remove+" session", "sign-out", "Sign out here", 503),
		func(ctx context.Context, _ *none) (*none, error) { return nil, r.desks.leave(ctx) })
}

// people registers who belongs to an operation.
func people(r routes) {
	read(r, "people", "list-people", app.Viewer, "Who belongs to the operation", app.Desk.People)
	answer(r, r.describe(post+" people/{id}/role", "set-role", "Change what a member may do", 404, 409, 422), app.Owner,
		func(ctx context.Context, desk app.Desk, in *struct {
			ID   uint64 `path:"id"`
			Body checked[wire.SetRole]
		}) (wire.People, error) {
			if err := desk.SetRole(ctx, in.ID, in.Body.value.Role); err != nil {
				return wire.People{}, err
			}
			return desk.People(ctx)
		})
	answer(r, r.describe(post+" people/{id}/password", "let-set-password", "Make a link by which a member sets a new password", 404, 409), app.Owner,
		func(ctx context.Context, desk app.Desk, in *struct {
			ID uint64 `path:"id"`
		}) (wire.PasswordLink, error) {
			return desk.LetSetPassword(ctx, in.ID)
		})
	send(r, post+" invitations", "invite", app.Owner, "Make a link that lets one person join", app.Desk.Invite)
	route(r, r.describe(remove+" invitations/{id}", "uninvite", "Take an invitation back", 404), app.Owner,
		func(ctx context.Context, desk app.Desk, in *ByID) (*none, error) {
			return nil, desk.Uninvite(ctx, in.ID)
		})
}
