package app

import (
	"context"
	"time"

	"keeler/core/calendar"
	"keeler/store"
)

// Role is what a member may do; a later one may do all that an earlier may.
type Role string

const (
	Viewer Role = "viewer" // sees everything
	Helper Role = "helper" // looks in, counts, treats
	Keeper Role = "keeper" // changes recipes, yards and colonies, decides
	Owner  Role = "owner"  // and people
)

var ranks = map[Role]int{Viewer: 1, Helper: 2, Keeper: 3, Owner: 4}

// May reports whether a role is at least another.
func (r Role) May(least Role) bool { return ranks[r] >= ranks[least] && ranks[r] > 0 }

// Member is a person in one operation.
type Member struct {
	User, Operation uint64
	Login           string
	Role            Role
	Epoch           int
}

// Desk is Keeler as one member has it: everything that belongs to an operation
// goes through one, and so through the one store.For.
type Desk struct {
	app *App
	op  store.Operation
	who Member
}

// Desk opens the operation of a member.
func (a *App) Desk(m Member) Desk { return Desk{app: a, op: a.store.For(m.Operation), who: m} }

// Who is the member at the desk.
func (d Desk) Who() Member { return d.who }

// stamp is now as it is kept.
func (d Desk) stamp() time.Time { return d.app.now().UTC().Truncate(time.Microsecond) }

// today is the day of the work.
func (d Desk) today() calendar.Day { return dayOf(d.app.clock()) }

// dateForm is how a day is written.
const dateForm = "2006-01-02"

func dayOf(t time.Time) calendar.Day { return calendar.Of(t.Year(), int(t.Month()), t.Day()) }

func timeOf(d calendar.Day) time.Time {
	y, m, day := d.Date()
	return time.Date(y, time.Month(m), day, 0, 0, 0, 0, time.UTC)
}

func written(d calendar.Day) string { return timeOf(d).Format(dateForm) }

// MemberOf finds a person's place in an operation, or with operation 0 in the
// first that the person joined.
func (a *App) MemberOf(ctx context.Context, user, operation uint64) (Member, error) {
	m, err := a.store.People().Member(ctx, user, operation)
	return member(m), err
}

func member(m store.Member) Member {
	return Member{User: m.UserID, Operation: m.OperationID, Login: m.User.Login, Role: Role(m.Role), Epoch: m.User.Epoch}
}
