package app

import (
	"context"
	"crypto/rand"
	"errors"
	"strings"
	"time"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

const invitationLasts = 7 * 24 * time.Hour

// InvitedTo tells what a token is an invitation to; store.ErrNotFound when it is
// none, was used or has run out.
func (a *App) InvitedTo(ctx context.Context, token string) (wire.InvitedTo, error) {
	i, err := a.store.People().Invited(ctx, digest(token), a.now().UTC())
	if err != nil {
		return wire.InvitedTo{}, err
	}
	name, err := a.store.For(i.OperationID).Name(ctx)
	return wire.InvitedTo{Operation: name, Role: i.Role}, err
}

// Join uses an invitation up. Who has an account joins with its name and password;
// another name makes an account.
func (a *App) Join(ctx context.Context, in wire.Join, address string) (Member, error) {
	now := a.now().UTC()
	if _, err := a.store.People().Invited(ctx, digest(in.Token), now); err != nil {
		return Member{}, err
	}
	login := strings.TrimSpace(in.Login)
	u, err := a.store.People().ByLogin(ctx, login)
	nobodys, failed := a.nobodys(ctx, u, err)
	password := ""
	switch {
	case failed != nil:
		return Member{}, failed
	case nobodys || errors.Is(err, store.ErrNotFound):
		if login, err = credentials(login, in.Password); err != nil {
			return Member{}, err
		}
		if password, err = hash(ctx, in.Password); !nobodys {
			u = store.User{Login: login, PasswordHash: password, Epoch: 1, CreatedAt: now}
		}
	case err == nil:
		_, err = a.proven(ctx, wire.SignIn{Login: login, Password: in.Password, Code: in.Code}, address)
		if errors.Is(err, ErrRefused) {
			err = fault.List{{Field: "login", Reason: fault.Taken}}
		}
	}
	if err != nil {
		return Member{}, err
	}
	operation, err := a.store.People().Join(ctx, digest(in.Token), &u, now)
	if err == nil && nobodys {
		_, err = a.store.People().SetPassword(ctx, u.ID, password)
	}
	if err != nil {
		return Member{}, err
	}
	if err := a.store.For(operation).Log(ctx, store.LogEntry{At: now, What: joinedUs, Login: u.Login, Address: address}); err != nil {
		return Member{}, err
	}
	return a.MemberOf(ctx, u.ID, operation)
}

// nobodys reports whether an account that was found is nobody's: a name that came in with an
// archive, and that the first who is invited may take.
func (a *App) nobodys(ctx context.Context, u store.User, err error) (bool, error) {
	if err != nil || u.PasswordHash != "" {
		return false, nil
	}
	in, err := a.store.People().MembershipsOf(ctx, u.ID)
	return len(in) == 0, err
}

// Invite makes an invitation; its token is told this once.
func (d Desk) Invite(ctx context.Context, in wire.Invite) (wire.Invitation, error) {
	token := rand.Text()
	i := store.Invitation{
		ID: uuid.NewString(), TokenHash: digest(token), Role: in.Role, Note: strings.TrimSpace(in.Note),
		CreatedAt: d.stamp(), ExpiresAt: d.stamp().Add(invitationLasts),
	}
	err := d.doing(ctx, invited, in.Role+" "+i.Note, func(op store.Operation) error { return op.Invite(ctx, i) })
	if err != nil {
		return wire.Invitation{}, err
	}
	out := d.invitationOf(i)
	out.Token = token
	return out, nil
}

func (d Desk) invitationOf(i store.Invitation) wire.Invitation {
	return wire.Invitation{ID: i.ID, Role: i.Role, Note: i.Note, ExpiresAt: d.local(i.ExpiresAt)}
}

// Uninvite takes an invitation back.
func (d Desk) Uninvite(ctx context.Context, id string) error {
	return d.doing(ctx, uninvited, "", func(op store.Operation) error { return op.Uninvite(ctx, id) })
}
