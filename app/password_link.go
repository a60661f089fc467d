package app

import (
	"context"
	"crypto/rand"
	"errors"
	"time"

	"github.com/samber/lo"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

// linkLasts is how long a link to a new password can be used.
const linkLasts = 24 * time.Hour

// ErrElsewhere is returned where a member's password would open other operations, too.
var ErrElsewhere = errors.New("a member of other operations, too")

// LetSetPassword makes a link by which a member sets a new password, once. Who belongs to
// other operations, too, is ErrElsewhere: their owners have not been asked.
func (d Desk) LetSetPassword(ctx context.Context, user uint64) (wire.PasswordLink, error) {
	r := reading{ctx: ctx}
	members := all(&r, d.op.Members)
	in := by(&r, d.app.store.People().MembershipsOf, user)
	member, mine := lo.Find(members, func(m store.Member) bool { return m.UserID == user })
	switch {
	case r.err != nil:
		return wire.PasswordLink{}, r.err
	case !mine:
		return wire.PasswordLink{}, store.ErrNotFound
	case len(in) > 1:
		return wire.PasswordLink{}, ErrElsewhere
	}
	link, err := d.app.passwordLink(ctx, user)
	if err != nil {
		return link, err
	}
	return link, d.logged(ctx, d.op, linkMade, member.User.Login)
}

// PasswordLinkFor makes such a link for whom the machine's own console names.
func (a *App) PasswordLinkFor(ctx context.Context, login string) (wire.PasswordLink, error) {
	u, err := a.store.People().ByLogin(ctx, login)
	return after(ctx, err, a.passwordLink, u.ID)
}

func (a *App) passwordLink(ctx context.Context, user uint64) (wire.PasswordLink, error) {
	token, until := rand.Text(), a.now().UTC().Truncate(time.Microsecond).Add(linkLasts)
	err := a.store.People().AddPasswordLink(ctx, store.PasswordLink{TokenHash: digest(token), UserID: user, ExpiresAt: until})
	return wire.PasswordLink{Token: token, ExpiresAt: until}, err
}

// LinkedTo tells whose new password a token is for; store.ErrNotFound when it is none, was
// used or has run out.
func (a *App) LinkedTo(ctx context.Context, token string) (wire.LinkedTo, error) {
	link, err := a.store.People().PasswordLink(ctx, digest(token), a.now().UTC())
	return wire.LinkedTo{Login: link.User.Login}, err
}

// NewPassword uses such a link up: everywhere one is signed out.
func (a *App) NewPassword(ctx context.Context, in wire.NewPassword) error {
	people, now := a.store.People(), a.now().UTC()
	link, err := people.PasswordLink(ctx, digest(in.Token), now)
	if err != nil {
		return err
	}
	var l fault.List
	if checkPassword("new", in.New, link.User.Login, &l); len(l) > 0 {
		return l
	}
	h, err := hash(ctx, in.New)
	if err != nil {
		return err
	}
	if err := people.UsePasswordLink(ctx, digest(in.Token), h, now); err != nil {
		return err
	}
	return a.logOf(ctx, link.User, passwordSet, "")
}
