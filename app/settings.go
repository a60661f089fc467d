package app

import (
	"cmp"
	"context"
	"net/url"
	"reflect"
	"slices"
	"strings"
	"time"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Settings are what is set for the operation, and for who asks.
func (d Desk) Settings(ctx context.Context) (wire.Settings, error) {
	r := reading{ctx: ctx}
	set, me := all(&r, d.op.Settings), by(&r, d.app.store.People().User, d.who.User)
	return wire.Settings{
		Writes: writesOf(set, store.Form{}), TimeZone: set.TimeZone, Forecast: set.ForecastURL, Version: set.Version,
		Holder: set.Holder, Address: set.HolderAddress, HolderNo: set.HolderNo,
		Own: wire.OwnForm(me.Form), Forecasts: d.app.set.Weather != nil,
	}, r.err
}

// writesOf is how a person has figures and days: as said, or else as the operation.
func writesOf(set store.Settings, own store.Form) wire.Writes {
	return wire.Writes{
		Form: wire.Form{
			Units: cmp.Or(own.Units, set.Units), Hours: cmp.Or(own.Hours, set.Hours), Dates: cmp.Or(own.Dates, set.Dates),
		},
		Currency: set.Currency, Seasons: set.Seasons,
	}
}

const mostCurrency, mostSeason = 8, 30

// ChangeSettings writes them over the version that was seen; store.ErrStale when somebody else
// was faster.
func (d Desk) ChangeSettings(ctx context.Context, in wire.Settings) (wire.Settings, error) {
	var l fault.List
	zone, err := time.LoadLocation(in.TimeZone)
	if err != nil || zone == time.Local {
		l.Add("time_zone", fault.NoZone)
	}
	in.Currency = strings.TrimSpace(in.Currency)
	l.Length("currency", in.Currency, mostCurrency)
	if in.Forecast = strings.TrimSpace(in.Forecast); in.Forecast != "" {
		address(&l, "forecast", in.Forecast)
	}
	seasons := namesOf(in.Seasons, &l)
	if err := l.Err(); err != nil {
		return wire.Settings{}, err
	}
	row := store.Settings{
		ID: d.who.Operation, TimeZone: zone.String(), Form: store.Form(in.Form), Currency: in.Currency, Seasons: seasons,
		ForecastURL: in.Forecast, Version: in.Version,
		Holder: strings.TrimSpace(in.Holder), HolderAddress: strings.TrimSpace(in.Address), HolderNo: strings.TrimSpace(in.HolderNo),
	}
	read := func(ctx context.Context, _ string) (store.Settings, error) { return d.op.Settings(ctx) }
	same := func(is store.Settings) bool { return reflect.DeepEqual(is, row) }
	r := reading{ctx, again(ctx, d.op.ChangeSettings(ctx, row), read, "", same)}
	return all(&r, d.Settings), r.err
}

// namesOf are an operation's own names of the seasons: all five of them, or none.
func namesOf(given []string, l *fault.List) []string {
	given = lo.Map(given, func(name string, _ int) string { return strings.TrimSpace(name) })
	if !slices.ContainsFunc(given, func(name string) bool { return name != "" }) {
		return nil
	}
	for i, name := range given {
		l.Said(fault.Index("seasons", i), name)
		l.Length(fault.Index("seasons", i), name, mostSeason)
	}
	if len(given) != int(calendar.Seasons) {
		l.Add("seasons", fault.NotFitting)
	}
	return given
}

// ChangeForm is how who asks would have figures and days.
func (d Desk) ChangeForm(ctx context.Context, in wire.OwnForm) error {
	return d.app.store.People().SetForm(ctx, d.who.User, store.Form(in))
}

// address checks that a text is one that can be asked.
func address(l *fault.List, field, text string) {
	if u, err := url.Parse(text); err != nil || u.Host == "" || u.Scheme != "https" && u.Scheme != "http" {
		l.Add(field, fault.NoAddress)
	}
}
