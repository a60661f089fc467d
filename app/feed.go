package app

import (
	"cmp"
	"context"
	"crypto/rand"
	"fmt"
	"strings"
	"time"

	ics "github.com/arran4/golang-ical"
	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/fault"
	"keeler/core/followup"
	"keeler/store"
	"keeler/wire"
)

// Feed tells whether the member has an address for the calendar, and since when.
func (d Desk) Feed(ctx context.Context) (wire.Feed, error) {
	f, err := d.op.Feed(ctx, d.who.User)
	if f == nil || err != nil {
		return wire.Feed{}, err
	}
	return wire.Feed{MadeOn: d.local(f.CreatedAt).Format(workTime)}, nil
}

// MakeFeed makes an address, which is told this once; the one before it ends.
func (d Desk) MakeFeed(ctx context.Context) (wire.Feed, error) {
	token := rand.Text()
	row := store.Feed{UserID: d.who.User, TokenHash: digest(token), CreatedAt: d.stamp()}
	err := d.doing(ctx, feedMade, "", func(op store.Operation) error { return op.SetFeed(ctx, row) })
	return wire.Feed{MadeOn: d.local(row.CreatedAt).Format(workTime), Token: token}, err
}

// EndFeed revokes the address.
func (d Desk) EndFeed(ctx context.Context) error {
	return d.doing(ctx, feedEnded, "", func(op store.Operation) error { return op.EndFeed(ctx, d.who.User) })
}

// DeskByFeed opens the desk of whoever's address it is, to read only; store.ErrNotFound where it was
// revoked, or never was one.
func (a *App) DeskByFeed(ctx context.Context, token string) (Desk, error) {
	f, err := a.store.People().ByFeed(ctx, digest(token))
	if err != nil {
		return Desk{}, err
	}
	m, err := a.MemberOf(ctx, f.UserID, f.OperationID)
	m.Role = Viewer
	return a.Desk(m), err
}

// inCalendar is for how many days ahead, and of what was skipped how many back, the calendar goes.
const (
	inCalendar = 120
	skippedFor = 30
)

// Calendar is what there is to come back for as an iCalendar file (RFC 5545). An event keeps
// its UID as long as its job or dose stands, so that one that moves, moves; one that is skipped is
// cancelled, and one that is done is no more in it.
func (d Desk) Calendar(ctx context.Context) (string, error) {
	r := reading{ctx: ctx}
	everything := d.everything()
	rows := by(&r, d.op.ColoniesSince, everything.Since)
	colonies, jobs := d.comebacks(&r, rows, everything)
	labels := all(&r, d.labels)
	name := all(&r, d.op.Name)
	if r.err != nil {
		return "", r.err
	}
	of := grouped(colonies, jobs, func(f followup.Followup) bool {
		return f.Open() && f.From <= d.today()+inCalendar || f.State == followup.Skipped && f.By >= d.today()-skippedFor
	})
	if err := d.withWeather(ctx, of, jobs, labels); err != nil {
		return "", err
	}
	out := ics.NewCalendarFor("Keeler")
	out.SetMethod(ics.MethodPublish)
	out.SetName(name)
	out.SetXWRCalName(name)
	out.SetXWRTimezone(d.who.Zone.String())
	for _, f := range of {
		d.eventOf(out.AddEvent(d.uidOf(f)), f)
	}
	return out.Serialize(), nil
}

// uidOf names an event for good: by what is to be done, of what, and where; a course
// that begins again in some hives of a yard is another.
func (d Desk) uidOf(f wire.Followup) string {
	return uuid.NewSHA1(uuid.NameSpaceURL, fmt.Appendf(nil, "keeler/%d/%s/%s/%t", d.who.Operation, f.Key, f.YardID, f.Again)).String() + "@keeler"
}

// eventOf writes one thing to come back for. Of a dose whose weather is known it has the hours that
// fit; else it takes the whole day on which it is best begun.
func (d Desk) eventOf(e *ics.VEvent, f wire.Followup) {
	waiting := lo.FilterMap(f.Colonies, func(c wire.FollowupColony, _ int) (string, bool) {
		return c.Name, c.State == string(followup.Skipped) || followup.State(c.State).Open()
	})
	e.SetDtStampTime(d.stamp())
	e.SetSummary(fmt.Sprintf("%s: %s", f.Yard, f.Title))
	e.SetLocation(f.Yard)
	e.SetDescription(strings.Join(lo.Compact([]string{strings.Join(waiting, ", "), f.Why, f.Job}), "\n"))
	e.SetStatus(ics.ObjectStatusConfirmed)
	if f.State == string(followup.Skipped) {
		e.SetStatus(ics.ObjectStatusCancelled)
	}
	if fits, found := lo.Find(f.Weather, func(w wire.FollowupDay) bool { return w.Window != nil }); found {
		e.SetStartAt(d.hourOf(fits.Day, fits.Window.From))
		e.SetEndAt(d.hourOf(fits.Day, fits.Window.To))
		return
	}
	day := f.From
	if followup.State(f.State).Open() {
		day = max(day, written(d.today()))
	}
	e.SetAllDayStartAt(d.hourOf(day, 0))
	e.SetAllDayEndAt(d.hourOf(day, 24))
}

// hourOf is an hour of a day that Keeler wrote, where the operation is.
func (d Desk) hourOf(day string, hour int) time.Time {
	var never fault.List
	on := timeOf(readDay("day", day, 0, farAhead, &never))
	return time.Date(on.Year(), on.Month(), on.Day(), hour, 0, 0, 0, cmp.Or(d.who.Zone, time.UTC))
}
