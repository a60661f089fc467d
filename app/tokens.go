package app

import (
	"context"
	"crypto/rand"
	"time"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

// tokenMark begins a token, so that one that is left lying somewhere is known for what it is.
const tokenMark = "keeler_"

const longestToken = 366 // days

// Tokens lists the member's own.
func (d Desk) Tokens(ctx context.Context) (wire.TokenList, error) {
	rows, err := d.op.Tokens(ctx, d.who.User)
	return wire.TokenList{Tokens: lo.Map(rows, func(t store.Token, _ int) wire.Token { return d.tokenOf(t) })}, err
}

func (d Desk) tokenOf(t store.Token) wire.Token {
	return wire.Token{ID: t.ID, Name: t.Name, CreatedAt: d.local(t.CreatedAt), ExpiresAt: d.local(t.ExpiresAt)}
}

// MakeToken makes one; it is told this once.
func (d Desk) MakeToken(ctx context.Context, in wire.MakeToken) (wire.Token, error) {
	var l fault.List
	name := l.Said("name", in.Name)
	l.Within("days", float64(in.Days), 1, longestToken, "days")
	if err := l.Err(); err != nil {
		return wire.Token{}, err
	}
	token := tokenMark + rand.Text()
	row := store.Token{
		ID: uuid.NewString(), UserID: d.who.User, Name: name, TokenHash: digest(token),
		CreatedAt: d.stamp(), ExpiresAt: d.stamp().Add(time.Duration(in.Days) * 24 * time.Hour),
	}
	err := d.doing(ctx, tokenMade, name, func(op store.Operation) error { return op.AddToken(ctx, row) })
	out := d.tokenOf(row)
	out.Token = token
	return out, err
}

// EndToken takes one back.
func (d Desk) EndToken(ctx context.Context, id string) error {
	return d.doing(ctx, tokenEnded, "", func(op store.Operation) error { return op.EndToken(ctx, d.who.User, id) })
}

// MemberByToken finds in whose name a script asks; store.ErrNotFound for a token that is
// none or has run out. It may do no more than a keeper: people are a person's business.
func (a *App) MemberByToken(ctx context.Context, token string) (Member, error) {
	t, err := a.store.People().ByToken(ctx, digest(token), a.now().UTC())
	if err != nil {
		return Member{}, err
	}
	m, err := a.MemberOf(ctx, t.UserID, t.OperationID)
	m.Session = t.ID
	m.Script = true
	if m.Role.May(Keeper) {
		m.Role = Keeper
	}
	return m, err
}
