package api

import (
	"context"

	"keeler/app"
	"keeler/wire"
)

// security registers what keeps strangers out: where one is signed in, the second factor,
// tokens for scripts, and what happened about all that.
func security(r routes) {
	own(r, get+" sessions", "list-sessions", "Where one is signed in",
		func(ctx context.Context, desk app.Desk, _ *none) (wire.SessionList, error) { return desk.Sessions(ctx) })
	personal(r, r.describe(remove+" sessions/{id}", "end-session", "Sign out in one place", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (*none, error) {
			if err := desk.EndSession(ctx, in.ID); err != nil {
				return nil, err
			}
			r.desks.streams.end(in.ID)
			return nil, nil
		})
	personal(r, r.describe(remove+" sessions", "sign-out-everywhere", "Sign out wherever one is signed in"),
		func(ctx context.Context, desk app.Desk, _ *none) (*none, error) {
			if err := desk.SignOutEverywhere(ctx); err != nil {
				return nil, err
			}
			r.desks.streams.endOf(desk.Who().User, "")
			return nil, r.desks.leave(ctx)
		})
	personal(r, r.describe(post+" password", "change-password", "Another password; everywhere else one is signed out", 422),
		func(ctx context.Context, desk app.Desk, in *sent[wire.ChangePassword]) (*none, error) {
			epoch, err := desk.ChangePassword(ctx, in.Body.value)
			if err != nil {
				return nil, err
			}
			m := desk.Who()
			r.desks.streams.endOf(m.User, m.Session)
			m.Epoch = epoch
			return nil, r.desks.enter(ctx, m)
		})

	own(r, get+" second-factor", "get-second-factor", "Whether a code is asked for beside the password",
		func(ctx context.Context, desk app.Desk, _ *none) (wire.SecondFactor, error) {
			return desk.SecondFactor(ctx)
		})
	own(r, post+" second-factor/offer", "offer-second-factor", "A secret for an authenticator app, to be proven",
		func(ctx context.Context, desk app.Desk, _ *none) (wire.SecondOffer, error) {
			return desk.OfferSecond(ctx)
		}, 409)
	own(r, post+" second-factor", "turn-on-second-factor", "Prove the secret: a code is asked for from now on",
		func(ctx context.Context, desk app.Desk, in *sent[wire.ProveSecond]) (wire.SecondFactor, error) {
			return desk.TurnSecondOn(ctx, in.Body.value)
		}, 409, 422)
	own(r, post+" second-factor/off", "turn-off-second-factor", "Ask for a code no more; it takes one",
		func(ctx context.Context, desk app.Desk, in *sent[wire.ProveSecond]) (wire.SecondFactor, error) {
			return desk.TurnSecondOff(ctx, in.Body.value)
		}, 422)

	own(r, get+" tokens", "list-tokens", "One's tokens for scripts",
		func(ctx context.Context, desk app.Desk, _ *none) (wire.TokenList, error) { return desk.Tokens(ctx) })
	own(r, post+" tokens", "make-token", "A token for a script; it is told this once",
		func(ctx context.Context, desk app.Desk, in *sent[wire.MakeToken]) (wire.Token, error) {
			return desk.MakeToken(ctx, in.Body.value)
		}, 422)
	personal(r, r.describe(remove+" tokens/{id}", "end-token", "Take a token back", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (*none, error) {
			return nil, desk.EndToken(ctx, in.ID)
		})

	answer(r, r.describe(get+" log", "get-log", "What happened about who comes in and who may what"), app.Owner,
		func(ctx context.Context, desk app.Desk, in *struct {
			Before uint64 `query:"before" doc:"What the page before named as more."`
		}) (wire.Log, error) {
			return desk.Log(ctx, in.Before)
		})
}
