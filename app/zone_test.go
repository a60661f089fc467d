package app

import (
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/wire"
)

// far is a desk in a zone twelve and, from the change of clocks at 02:00 on 27 September
// 2026 on, thirteen hours ahead of UTC.
func far(t *testing.T, utc string) Desk {
	t.Helper()
	at, err := time.Parse(time.RFC3339, utc)
	if err != nil {
		t.Fatal(err)
	}
	zone, err := time.LoadLocation("Pacific/Auckland")
	if err != nil {
		t.Fatal(err)
	}
	d := own(t, Settings{Work: Pinned(at), Wall: Pinned(at)})
	d.who.Zone = zone
	return d
}

// moved is the same desk at another instant.
func moved(t *testing.T, d Desk, utc string) Desk {
	t.Helper()
	at, err := time.Parse(time.RFC3339, utc)
	if err != nil {
		t.Fatal(err)
	}
	return later(d, at.Sub(d.app.clock()))
}

// Far from UTC, over a change of clocks: today is the operation's, and a day of 23 hours
// holds what was given from its first minute to its last.
func TestDaysAreTheOperations(t *testing.T) {
	d := far(t, "2026-09-26T12:30:00Z") // half past midnight on the 27th
	hive := colony(t, d, yard(t, d, "A"), "A1")
	if today := d.today().String(); today != "2026-09-27" || hive.StartedOn != "2026-09-27" {
		t.Fatalf("today is %s, the colony began on %s", today, hive.StartedOn)
	}
	if _, err := d.Treat(t.Context(), hive.ID, wire.Treatment{ID: uuid.NewString(), Method: "dribble", GivenOn: "2026-09-28"}); err == nil {
		t.Error("tomorrow is taken for today")
	}
	job := wire.SaveJob{ID: uuid.NewString(), Name: "Round", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit held"}
	for _, day := range []string{"2026-09-27", "2026-09-28"} {
		job.Colonies = []wire.JobColony{{ColonyID: hive.ID, Day: day, Override: "seen to"}}
		job.ID = uuid.NewString()
		if _, err := d.SaveJob(t.Context(), job); err != nil {
			t.Fatal(err)
		}
	}
	lines := map[string]string{ // by the instant, what the clock on the wall there says
		"2026-09-26T11:59:00Z": "2026-09-26T23:59:00+12:00", "2026-09-26T12:00:00Z": "2026-09-27T00:00:00+12:00",
		"2026-09-26T13:59:00Z": "2026-09-27T01:59:00+12:00", "2026-09-26T14:00:00Z": "2026-09-27T03:00:00+13:00",
		"2026-09-27T10:59:00Z": "2026-09-27T23:59:00+13:00", "2026-09-27T11:00:00Z": "2026-09-28T00:00:00+13:00",
	}
	for utc, local := range lines {
		id := uuid.NewString()
		on := moved(t, d, utc)
		sent, err := on.Apply(t.Context(), job.ID, "2026-09-28", wire.Applications{Applications: []wire.Application{{ID: id, ColonyID: hive.ID, Kind: "given", Amount: 5}}})
		if err != nil || sent.Results[0].State != "saved" {
			t.Fatalf("%s: %+v %v", utc, sent.Results, err)
		}
		line, err := on.line(t.Context(), id)
		if err != nil || line.GivenAt.Format(time.RFC3339) != local {
			t.Errorf("%s is told as %s, want %s: %v", utc, line.GivenAt.Format(time.RFC3339), local, err)
		}
	}
	for _, c := range []struct {
		from, to string
		want     int
	}{{"2026-09-27", "2026-09-27", 4}, {"2026-09-26", "2026-09-26", 1}, {"2026-09-28", "", 1}, {"", "2026-09-27", 5}} {
		page, err := moved(t, d, "2026-09-28T00:00:00Z").Register(t.Context(), RegisterQuery{From: c.from, To: c.to})
		if err != nil || len(page.Lines) != c.want {
			t.Errorf("from %q to %q: %d lines, want %d: %v", c.from, c.to, len(page.Lines), c.want, err)
		}
	}
	// What is written down by its day alone lies in it, whatever the offset.
	noted, err := moved(t, d, "2026-09-28T00:00:00Z").Treat(t.Context(), hive.ID, wire.Treatment{ID: uuid.NewString(), Method: "vapour", GivenOn: "2026-09-27"})
	if err != nil || noted.Treatments[0].GivenOn > "2026-09-28" {
		t.Fatal(err)
	}
	if page, err := moved(t, d, "2026-09-28T00:00:00Z").Register(t.Context(), RegisterQuery{From: "2026-09-27", To: "2026-09-27", Method: "vapour"}); err != nil || len(page.Lines) != 1 {
		t.Errorf("%+v %v", page.Lines, err)
	}
}

// Syrup that was mixed at half past midnight is of that day, and its last good day is
// the next, until midnight there.
func TestUseByWhereItIsMixed(t *testing.T) {
	d := far(t, "2026-09-26T12:30:00Z")
	batch := litre(uuid.NewString())
	made, _, err := d.SaveBatch(t.Context(), batch)
	if err != nil || made.MadeOn != "2026-09-27T00:30" {
		t.Fatalf("made on %s: %v", made.MadeOn, err)
	}
	start, err := d.app.Start(t.Context(), &d.who)
	if err != nil || start.Now != "2026-09-27T00:30" || start.Me.TimeZone != "Pacific/Auckland" {
		t.Errorf("%+v %v", start, err)
	}
	run, err := d.BeginBench(t.Context(), batch.ID, wire.BeginBench{Balances: two})
	if err != nil {
		t.Fatal(err)
	}
	s := &stood{t, d, batch.ID, run}
	s.all()
	s.does(wire.BenchEvent{Kind: "finished", Keeping: "room"})
	for utc, keeps := range map[string]string{"2026-09-28T10:59:00Z": "soon", "2026-09-28T11:00:00Z": "past"} {
		b, err := moved(t, d, utc).Batch(t.Context(), batch.ID)
		if err != nil || b.OnHand.UseBy != "2026-09-28" || b.OnHand.Keeps != keeps {
			t.Errorf("at %s: %+v, want %s: %v", utc, b.OnHand, keeps, err)
		}
	}
}
