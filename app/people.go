package app

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"crypto/subtle"
	"encoding/hex"
	"errors"
	"strings"
	"time"

	"github.com/samber/lo"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

var (
	// ErrRefused is returned for a name and password that do not go together.
	ErrRefused = errors.New("this name and password do not go together")
	// ErrTooMany is returned when too many tries failed.
	ErrTooMany = errors.New("too many tries failed")
	// ErrForbidden is returned for what a member may not do.
	ErrForbidden = errors.New("not allowed to this member")
)

// SignIn finds the member with this name and password. ErrRefused does not tell which of
// the two is wrong; after too many failures within a quarter of an hour from an address,
// for the name or for any, it is ErrTooMany.
func (a *App) SignIn(ctx context.Context, in wire.SignIn, address string) (Member, error) {
	u, err := a.proven(ctx, in, address)
	if err != nil {
		return Member{}, err
	}
	m, err := a.MemberOf(ctx, u.ID, 0)
	if errors.Is(err, store.ErrNotFound) {
		return Member{}, ErrRefused // taken out of the last operation
	}
	if err == nil {
		err = a.logOf(ctx, u, signedIn, address)
	}
	return m, err
}

// proven finds the user whose name, password and, where there is one, second factor these
// are, member of anything or not.
func (a *App) proven(ctx context.Context, in wire.SignIn, address string) (store.User, error) {
	people, now := a.store.People(), a.now().UTC()
	try := store.Try{Login: strings.TrimSpace(in.Login), Address: address, At: now}
	n, err := people.Try(ctx, &try, now.Add(-triesWindow))
	if err != nil {
		return store.User{}, err
	}
	if n.ByBoth > triesPerLogin || n.ByAddress > triesPerAddress {
		return store.User{}, errors.Join(ErrTooMany, people.Untry(ctx, try))
	}
	u, err := people.ByLogin(ctx, try.Login)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return store.User{}, err
	}
	right, err := matches(ctx, in.Password, u.PasswordHash)
	if err != nil {
		return store.User{}, errors.Join(err, people.Untry(ctx, try))
	}
	if !right {
		return store.User{}, errors.Join(ErrRefused, a.logOf(ctx, u, tryRefused, address))
	}
	if err := a.second(ctx, u, in.Code); err != nil {
		if in.Code == "" { // it is asked for: that was no try
			return store.User{}, errors.Join(err, people.Untry(ctx, try))
		}
		return store.User{}, errors.Join(err, a.logOf(ctx, u, tryRefused, address))
	}
	return u, people.Forgive(ctx, try)
}

// ClaimCode is what who makes the first owner must know: the console tells it. Empty when
// there is an owner.
func (a *App) ClaimCode(ctx context.Context) (string, error) {
	if any, err := a.store.People().Any(ctx); err != nil || any {
		return "", err
	}
	fresh := rand.Text()
	return a.store.People().ClaimCode(ctx, fresh[:4]+"-"+fresh[4:8])
}

// Claim makes the first owner, of who knows the code; later it is ErrForbidden.
func (a *App) Claim(ctx context.Context, in wire.Claim) (Member, error) {
	login, err := credentials(in.Login, in.Password)
	l, _ := err.(fault.List)
	name := l.Said("operation", in.Operation)
	if err := l.Err(); err != nil {
		return Member{}, err
	}
	zone, err := time.LoadLocation(in.TimeZone)
	if err != nil || zone == time.Local {
		return Member{}, fault.List{{Field: "time_zone", Reason: fault.NoZone}}
	}
	code, err := a.ClaimCode(ctx)
	if err != nil {
		return Member{}, err
	}
	if code == "" {
		return Member{}, ErrForbidden
	}
	if given := strings.ToUpper(strings.TrimSpace(in.Code)); subtle.ConstantTimeCompare([]byte(given), []byte(code)) == 0 {
		return Member{}, wrongCode
	}
	u := store.User{Login: login, Epoch: 1, CreatedAt: a.now().UTC()}
	if u.PasswordHash, err = hash(ctx, in.Password); err != nil {
		return Member{}, err
	}
	if err := a.store.People().Claim(ctx, store.FirstOperation, name, zone.String(), &u); errors.Is(err, store.ErrTaken) {
		return Member{}, ErrForbidden
	} else if err != nil {
		return Member{}, err
	}
	return a.MemberOf(ctx, u.ID, store.FirstOperation)
}

// EnterDemo is the demo's keeper, or its helper, without a password; outside the demo it is
// ErrForbidden.
func (a *App) EnterDemo(ctx context.Context, login string) (Member, error) {
	if !a.set.Welcome.Demo {
		return Member{}, ErrForbidden
	}
	u, err := a.store.People().ByLogin(ctx, login)
	if err != nil {
		return Member{}, err
	}
	return a.MemberOf(ctx, u.ID, store.FirstOperation)
}

// demoYears is how far the demo's clock can be brought forward, all in all.
const demoYears = 10

// MoveDemo brings the demo's clock forward by 1 to 366 days, and within ten years; outside
// the demo it is ErrForbidden.
func (d Desk) MoveDemo(days int) error {
	a := d.app
	if a.set.Move == nil || !a.set.Welcome.Demo {
		return ErrForbidden
	}
	left := int(a.began.AddDate(demoYears, 0, 0).Sub(a.clock()).Hours() / 24)
	var l fault.List
	if !l.Within("days", float64(days), 1, float64(max(1, min(366, left))), "days") {
		return l
	}
	if left < 1 {
		return fault.List{{Field: "days", Reason: fault.Ended}}
	}
	a.set.Move(days)
	return nil
}

// Those whom the demo can be entered as: its keeper, and somebody who helps in the yard.
const (
	DemoLogin  = "Demo keeper"
	DemoHelper = "Demo helper"
)

// SeedOwner makes an owner of the first operation whom no password lets in.
func (a *App) SeedOwner(ctx context.Context, login, operation string) (Member, error) {
	u := store.User{Login: login, Epoch: 1, CreatedAt: a.now().UTC()}
	err := a.store.People().Claim(ctx, store.FirstOperation, operation, time.UTC.String(), &u)
	if errors.Is(err, store.ErrTaken) {
		if u, err = a.store.People().ByLogin(ctx, login); err != nil {
			return Member{}, err
		}
	} else if err != nil {
		return Member{}, err
	}
	return a.MemberOf(ctx, u.ID, store.FirstOperation)
}

func digest(token string) string {
	sum := sha256.Sum256([]byte(token))
	return hex.EncodeToString(sum[:])
}

// SignOutEverywhere voids all sessions of the member, and reminds him nowhere any more.
func (d Desk) SignOutEverywhere(ctx context.Context) error {
	if err := d.app.store.People().RemindNowhere(ctx, d.who.User); err != nil {
		return err
	}
	_, err := d.app.store.People().VoidSessions(ctx, d.who.User)
	return err
}

// ChangePassword gives the member another password and voids all sessions; the
// member goes on under the epoch that it returns.
func (d Desk) ChangePassword(ctx context.Context, in wire.ChangePassword) (epoch int, err error) {
	var l fault.List
	checkPassword("new", in.New, d.who.Login, &l)
	if err := l.Err(); err != nil {
		return 0, err
	}
	u, err := d.app.store.People().ByLogin(ctx, d.who.Login)
	if err != nil {
		return 0, err
	}
	right, err := matches(ctx, in.Old, u.PasswordHash)
	if err != nil {
		return 0, err
	}
	if !right {
		return 0, fault.List{{Field: "old", Reason: fault.NotFitting}}
	}
	h, err := hash(ctx, in.New)
	if err != nil {
		return 0, err
	}
	if epoch, err = d.app.store.People().SetPassword(ctx, d.who.User, h); err != nil {
		return 0, err
	}
	return epoch, d.logged(ctx, d.op, passwordSet, "")
}

// People lists who belongs to the operation.
func (d Desk) People(ctx context.Context) (wire.People, error) {
	r := reading{ctx: ctx}
	name, members, open := all(&r, d.op.Name), all(&r, d.op.Members), by(&r, d.op.Invitations, d.stamp())
	return wire.People{
		Operation: name,
		Members: lo.Map(members, func(m store.Member, _ int) wire.Person {
			return wire.Person{ID: m.UserID, Login: m.User.Login, Role: m.Role, JoinedAt: d.local(m.JoinedAt), Me: m.UserID == d.who.User}
		}),
		Invitations: lo.Map(open, func(v store.Invitation, _ int) wire.Invitation { return d.invitationOf(v) }),
	}, r.err
}

// SetRole changes what a member may do, or takes him out; the last owner stays,
// which is store.ErrConflict.
func (d Desk) SetRole(ctx context.Context, user uint64, role string) error {
	who, err := d.app.store.People().User(ctx, user)
	if err != nil {
		return err
	}
	if d.app.set.Welcome.Demo && (who.Login == DemoLogin || who.Login == DemoHelper) { // by whom everybody comes in
		return store.ErrConflict
	}
	what, detail := roleChanged, who.Login+" "+role
	if role == "out" {
		role, what, detail = "", takenOut, who.Login
	}
	return d.doing(ctx, what, detail, func(op store.Operation) error { return op.SetRole(ctx, user, role) })
}
