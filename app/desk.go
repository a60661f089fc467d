package app

import (
	"context"
	"fmt"
	"time"
	_ "time/tzdata" // zones are known wherever Keeler runs

	"keeler/core/calendar"
	"keeler/store"
	"keeler/wire"
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
	Zone            *time.Location // of the operation
	Forecast        string         // whom the operation asks for the weather; empty: whom the server asks
	Session         string         // by which the member is signed in
	Address         string         // where the member asks from
	Script          bool           // it is a script that asks, by a token
	KeptUntil       *time.Time     // the operation is closed: the last day of its register
	Practice        *practice      // nothing in the operation is real
	writes          wire.Writes    // how figures and days are written for the member
	own             wire.OwnForm   // and how the member would have them
}

// Desk is Keeler as one member has it: everything that belongs to an operation
// goes through one, and so through the one store.For.
type Desk struct {
	app *App
	op  store.Operation
	who Member
}

// Desk opens the operation of a member.
func (a *App) Desk(m Member) Desk {
	if m.Zone == nil {
		m.Zone = time.UTC
	}
	return Desk{app: a, op: a.store.For(m.Operation), who: m}
}

// Who is the member at the desk.
func (d Desk) Who() Member { return d.who }

// Key names a person in an operation.
func (m Member) Key() string { return fmt.Sprintf("%d.%d", m.User, m.Operation) }

// stamp is now as it is kept.
func (d Desk) stamp() time.Time {
	return d.app.times.next(d.app.now().UTC().Truncate(time.Microsecond))
}

// worked is now by the clock of the work, where the operation is.
func (d Desk) worked() time.Time { return d.local(d.clock()) }

// clock is that of the work; a season of practice has its own.
func (d Desk) clock() time.Time {
	if p := d.who.Practice; p != nil {
		return p.now(d.who.Zone)
	}
	return d.app.clock()
}

// local is an instant as it is told in the operation.
func (d Desk) local(t time.Time) time.Time { return t.In(d.who.Zone) }

// dayGiven is the day on which what a line tells happened.
func (d Desk) dayGiven(a store.Application) calendar.Day { return d.dayOf(a.GivenAt) }

// dayOf is the day of an instant, where the operation is.
func (d Desk) dayOf(t time.Time) calendar.Day { return calendar.On(d.local(t)) }

// today is the day of the work.
func (d Desk) today() calendar.Day { return calendar.On(d.worked()) }

// dateForm is how a day is written.
const dateForm = "2006-01-02"

// dayOf and timeOf turn a day into the DATE of a column and back.
func dayOf(t time.Time) calendar.Day { return calendar.On(t) }

func timeOf(d calendar.Day) time.Time { return d.Begins(time.UTC) }

func written(d calendar.Day) string { return d.String() }

// MemberOf finds a person's place in an operation, or with operation 0 in the
// first that the person joined.
func (a *App) MemberOf(ctx context.Context, user, operation uint64) (Member, error) {
	m, err := a.store.People().Member(ctx, user, operation)
	if err != nil {
		return Member{}, err
	}
	set, err := a.store.For(m.OperationID).Settings(ctx)
	if err != nil {
		return Member{}, err
	}
	zone, err := time.LoadLocation(set.TimeZone)
	return Member{
		User: m.UserID, Operation: m.OperationID, Login: m.User.Login, Role: Role(m.Role), Epoch: m.User.Epoch,
		Zone: zone, Forecast: set.ForecastURL, KeptUntil: set.KeptUntil, Practice: practiceOf(set.Practice), writes: writesOf(set, m.User.Form), own: wire.OwnForm(m.User.Form),
	}, err
}
