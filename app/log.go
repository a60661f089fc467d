package app

import (
	"context"

	"github.com/samber/lo"

	"keeler/store"
	"keeler/wire"
	"keeler/words"
)

// What the log of an operation tells.
const (
	signedIn     = "signed_in"
	tryRefused   = "refused"
	roleChanged  = "role"
	takenOut     = "taken_out"
	invited      = "invited"
	uninvited    = "uninvited"
	joinedUs     = "joined"
	exported     = "exported"
	passwordSet  = "password"
	linkMade     = "password_link"
	secondOn     = "second_on"
	secondOff    = "second_off"
	tokenMade    = "token"
	tokenEnded   = "token_ended"
	feedMade     = "feed"
	feedEnded    = "feed_ended"
	sessionEnded = "session_ended"
)

// logged writes what the member did into the operation's log.
func (d Desk) logged(ctx context.Context, op store.Operation, what, detail string) error {
	return op.Log(ctx, store.LogEntry{At: d.stamp(), What: what, Login: d.who.Login, Detail: detail, Address: d.who.Address})
}

// doing does something of the operation and logs it, all or nothing.
func (d Desk) doing(ctx context.Context, what, detail string, do func(store.Operation) error) error {
	return d.op.Within(ctx, func(op store.Operation) error {
		if err := do(op); err != nil {
			return err
		}
		return d.logged(ctx, op, what, detail)
	})
}

// logOf writes what a person did into the log of each operation that he is in.
func (a *App) logOf(ctx context.Context, u store.User, what, address string) error {
	in, err := a.store.People().MembershipsOf(ctx, u.ID)
	for _, m := range in {
		if err == nil {
			err = a.store.For(m.OperationID).Log(ctx, store.LogEntry{At: a.now().UTC(), What: what, Login: u.Login, Address: address})
		}
	}
	return err
}

const logPage = 100

// Log lists what happened about who comes in and who may what: the last, or those before
// an entry.
func (d Desk) Log(ctx context.Context, before uint64) (wire.Log, error) {
	rows, err := d.op.LogBefore(ctx, before, logPage+1)
	if err != nil {
		return wire.Log{}, err
	}
	out := wire.Log{}
	if len(rows) > logPage {
		rows = rows[:logPage]
		out.More = rows[logPage-1].Seq
	}
	out.Entries = lo.Map(rows, func(e store.LogEntry, _ int) wire.LogEntry {
		return wire.LogEntry{At: d.local(e.At), What: e.What, Words: words.Logged(e.What, e.Detail), Login: e.Login, Address: e.Address}
	})
	return out, nil
}
