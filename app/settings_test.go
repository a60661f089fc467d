package app

import (
	"errors"
	"slices"
	"testing"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/store"
	"keeler/wire"
)

// Two windows change the same setting: the second is told, and nothing of the first is lost.
// A person's own form goes before the operation's, and is nobody else's.
func TestSettings(t *testing.T) {
	d := own(t, Settings{Work: Pinned(work), Wall: Pinned(wall)})
	was, err := d.Settings(t.Context())
	if err != nil || was.Units != "metric" || was.Hours != "24h" || was.Dates != "day_month" || was.Seasons != nil {
		t.Fatalf("at first: %+v %v", was, err)
	}
	in := was
	in.Version++
	in.TimeZone, in.Units, in.Hours, in.Currency = "Pacific/Auckland", "us", "12h", " $ "
	in.Seasons = []string{"Frost", "Willow", "Lime", "Heather", "Ivy"}
	if got, err := d.ChangeSettings(t.Context(), in); err != nil || got.Currency != "$" || got.Seasons[4] != "Ivy" || got.Version != in.Version {
		t.Fatalf("got %+v %v", got, err)
	}
	in.Version, in.Seasons = in.Version+1, []string{"", "", "", "", " "}
	if got, err := d.ChangeSettings(t.Context(), in); err != nil || got.Seasons != nil {
		t.Errorf("the usual seasons again: %+v %v", got, err)
	}
	in.Currency = "£"
	if _, err := d.ChangeSettings(t.Context(), in); !errors.Is(err, store.ErrStale) {
		t.Errorf("over a version that is gone: %v", err)
	}
	own := wire.OwnForm{Hours: "24h", Dates: "iso"}
	if err := d.ChangeForm(t.Context(), own); err != nil {
		t.Fatal(err)
	}
	if got, err := d.Settings(t.Context()); err != nil || got.Own != own || got.Hours != "12h" {
		t.Errorf("one's own: %+v %v", got, err)
	}
	m, err := d.app.MemberOf(t.Context(), d.who.User, store.FirstOperation)
	if want := (wire.Form{Units: "metric", Hours: "24h", Dates: "iso"}); err != nil || m.writes.Form != want || m.Zone.String() != "UTC" {
		t.Errorf("in another operation: %+v in %s %v", m.writes, m.Zone, err)
	}
}

func TestSettingsThatCannotBe(t *testing.T) {
	d := own(t, Settings{Work: Pinned(work), Wall: Pinned(wall)})
	for _, c := range []struct {
		what, field string
		reason      fault.Reason
		wrong       func(*wire.Settings)
	}{
		{"a zone that is none", "time_zone", fault.NoZone, func(s *wire.Settings) { s.TimeZone = "Mars/Crater" }},
		{"the server's own zone", "time_zone", fault.NoZone, func(s *wire.Settings) { s.TimeZone = "Local" }},
		{"an address that is none", "forecast", fault.NoAddress, func(s *wire.Settings) { s.Forecast = "weather.example" }},
		{"an address of another kind", "forecast", fault.NoAddress, func(s *wire.Settings) { s.Forecast = "file:///etc/passwd" }},
		{"four seasons", "seasons", fault.NotFitting, func(s *wire.Settings) { s.Seasons = []string{"a", "b", "c", "d"} }},
		{"a season without a name", "seasons[2]", fault.Missing, func(s *wire.Settings) { s.Seasons = []string{"a", "b", " ", "d", "e"} }},
	} {
		in, err := d.Settings(t.Context())
		if err != nil {
			t.Fatal(err)
		}
		in.Version++
		c.wrong(&in)
		_, err = d.ChangeSettings(t.Context(), in)
		at(t, c.what, err, c.field, c.reason)
	}
	for _, c := range []struct {
		what, address string
		reason        fault.Reason
	}{{"no address", "nowhere", fault.NoAddress}, {"nobody answers", "https://weather.example", fault.NoAnswer}} {
		_, err := d.TryForecast(t.Context(), wire.TryForecast{Forecast: c.address})
		at(t, c.what, err, "forecast", c.reason)
	}
}

// Without a service Decide asks to read the sky; with a day typed it judges, deals the hives
// out over it and takes the job. Where a service tells of the day, that counts.
func TestExpectedDay(t *testing.T) {
	d, yard, ids := ready(t, 0)
	decide := func() wire.DecideYard {
		got, err := d.Decide(t.Context(), Question{Day: "2026-12-20", Yard: yard})
		if err != nil {
			t.Fatal(err)
		}
		return got.Yards[0]
	}
	if y := decide(); y.Known || y.Forecast || y.Colonies[0].Cells[0].Verdict != "look_first" {
		t.Fatalf("nobody tells: %+v", y)
	}
	mild := fit.Expected{LowC: 2, HighC: 7, WindMS: 2}
	expect := wire.Expect{Day: "2026-12-20", Yards: []string{yard}, Expected: mild}
	for range 2 { // sent twice, it is said once
		if err := d.Expect(t.Context(), expect); err != nil {
			t.Fatal(err)
		}
	}
	if y := decide(); !y.Known || *y.Expected != mild || y.Colonies[0].Cells[0].Verdict != "with_care" && y.Colonies[0].Cells[0].Verdict != "fits" {
		t.Errorf("typed: %+v", y)
	}
	plan, err := d.PlanJob(t.Context(), wire.JobPlan{YardID: yard, Method: "dribble", Under: "winter", Colonies: ids, People: 1, From: "2026-12-15"})
	if err != nil || len(plan.Days) != 1 || plan.Days[0].Day != "2026-12-20" || !slices.Equal(plan.Days[0].Colonies, ids) {
		t.Errorf("planned: %+v %v", plan, err)
	}
	told, _, _ := ready(t, 5)
	stand := func() wire.DecideYard {
		got, err := told.Decide(t.Context(), Question{Day: "2026-12-06"})
		if err != nil {
			t.Fatal(err)
		}
		return got.Yards[0]
	}
	before := stand()
	if err := told.Expect(t.Context(), wire.Expect{Day: "2026-12-06", Yards: []string{before.ID}, Expected: fit.Expected{LowC: -20, HighC: -10}}); err != nil {
		t.Fatal(err)
	}
	if after := stand(); after.Colonies[0].Cells[0].Verdict != before.Colonies[0].Cells[0].Verdict || after.Outlooks[0].Days[2].HighC != 5 {
		t.Errorf("what a service tells is written over: %+v", after)
	}
	at(t, "a day that is none", d.Expect(t.Context(), wire.Expect{Day: "2027-02-31", Yards: []string{yard}, Expected: mild}), "day", fault.NoDate)
	at(t, "upside down", d.Expect(t.Context(), wire.Expect{Day: "2026-12-20", Yards: []string{yard}, Expected: fit.Expected{LowC: 5, HighC: 4}}), "high_c", fault.TooLow)
	at(t, "nobody's yard", d.Expect(t.Context(), wire.Expect{Day: "2026-12-20", Yards: []string{uuid.NewString()}, Expected: mild}), "yards", fault.Unknown)
}
