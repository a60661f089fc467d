package app

import (
	"context"
	"fmt"
	"strings"
	"time"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// giver is who gave a dose: a member, or somebody else by name.
type giver struct {
	said   string // as he was named
	member *uint64
	name   string // of who is no member
}

// findGiver reads who gave a dose: a member by the name that he signs in with, any other name as
// it is, and the member at the desk where nobody is named.
func (d Desk) findGiver(ctx context.Context, name string) (giver, error) {
	name = strings.TrimSpace(name)
	if name == "" {
		return giver{member: &d.who.User}, nil
	}
	members, err := d.op.Members(ctx)
	if err != nil {
		return giver{}, fmt.Errorf("find giver %q: %w", name, err)
	}
	for _, m := range members {
		if strings.EqualFold(m.User.Login, name) {
			return giver{said: name, member: &m.UserID}, nil
		}
	}
	return giver{said: name, name: name}, nil
}

// stampGiver writes into a new line who gave it, who writes it, and when.
func (d Desk) stampGiver(row *store.Application, g giver) {
	row.GiverID, row.GiverName = g.member, g.name
	row.RecorderID, row.RecordedAt = &d.who.User, new(d.clock().UTC().Truncate(time.Microsecond))
	row.UserID, row.CreatedAt = d.who.User, d.stamp()
}

// stampChange writes into an amendment who changes a line and why; giver and recorder stay, unless
// another giver is named.
func (d Desk) stampChange(ctx context.Context, row *store.Application, was store.Application, in wire.Application) error {
	row.AmendsID, row.Entered, row.EnteredFrom = &was.ID, was.Entered, was.EnteredFrom
	row.GiverID, row.GiverName, row.RecorderID, row.RecordedAt = was.GiverID, was.GiverName, was.RecorderID, was.RecordedAt
	if row.RecorderID == nil {
		row.RecorderID, row.RecordedAt = &was.UserID, &was.CreatedAt
	}
	row.ChangeReason = strings.TrimSpace(lo.CoalesceOrEmpty(in.ChangeWhy, in.Note))
	row.UserID, row.CreatedAt, row.ChangedAt = d.who.User, d.stamp(), new(d.clock().UTC().Truncate(time.Microsecond))
	if in.Giver == "" {
		return nil
	}
	g, err := d.findGiver(ctx, in.Giver)
	row.GiverID, row.GiverName = g.member, g.name
	return err
}

// afterwards is how the hour of what is entered afterwards is written.
const afterwards = "2006-01-02T15:04"

// whenGiven reads when it happened, where that is told afterwards; false where it is not. It is
// never in the future.
func (d Desk) whenGiven(in wire.Application, l *fault.List) (time.Time, bool) {
	if in.GivenOn == "" {
		return time.Time{}, false
	}
	at, err := time.ParseInLocation(afterwards, in.GivenOn, d.who.Zone)
	switch {
	case err != nil || at.Year() < 1990:
		l.Add("given_on", fault.NoDate)
	case at.After(d.clock().Add(time.Minute)):
		l.Add("given_on", fault.Future)
	}
	return at.UTC(), true
}
