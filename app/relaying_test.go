package app

import (
	"slices"
	"testing"
	"time"

	"keeler/store"
	"keeler/wire"

	"github.com/google/uuid"
)

// One server's clock is seven minutes behind another's: of two looks into a hive on one day, and of a look
// and a union, the one that was written last counts, wherever it was written. That they are apart is told, once.
func TestClocksApart(t *testing.T) {
	ahead := own(t, Settings{Work: Pinned(work), Wall: time.Now})
	y := yard(t, ahead, "A")
	hive := colony(t, ahead, y, "A1")
	from, err := ahead.app.store.Changes(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	behind := New(ahead.app.store, Settings{Work: Pinned(work), Wall: func() time.Time { return time.Now().Add(-7 * time.Minute) }}).Desk(ahead.who)
	told := 0
	look := func(at Desk, brood string) {
		t.Helper()
		in := wire.Inspection{ID: uuid.NewString(), ColonyID: hive.ID, On: "2026-12-01", Brood: brood}
		if _, err := at.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{in}}); err != nil {
			t.Fatal(err)
		}
		if behind.app.relay(t.Context(), from) != nil {
			told++
		}
		if seen, err := at.Colony(t.Context(), hive.ID); err != nil || seen.Seen.Brood != brood {
			t.Errorf("it stands with %q, and %q was seen last: %v", seen.Seen.Brood, brood, err)
		}
	}
	look(ahead, "none")
	look(behind, "much")
	look(behind, "little")
	look(ahead, "much")
	look(behind, "none")
	if told != 1 {
		t.Errorf("told %d times that the clocks are apart", told)
	}
}

// Who looks on at another server of the same database is told of what is given in a round; once
// it is told, it can be read there.
func TestRoundIsToldAtAnotherServer(t *testing.T) {
	v := goOut(t, "winter")
	other, err := store.Open(server.DSN())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = other.Close() })
	there := New(other, Settings{Work: Pinned(work), Wall: Pinned(wall)})
	from, err := other.Changes(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	w := there.Desk(v.d.who).Watch([]string{v.job}, false)
	t.Cleanup(w.Stop)
	today := there.Desk(v.d.who).Watch([]string{store.Whole}, false)
	t.Cleanup(today.Stop)
	for n, hive := range v.hives {
		v.sends(wire.Application{ColonyID: hive, Kind: "given", BatchID: v.batch, Amount: 20})
		if err := there.relay(t.Context(), from); err != nil {
			t.Fatal(err)
		}
		if told := w.Changed(); !slices.Equal(told, []string{v.job}) {
			t.Errorf("it tells of %v", told)
		}
		if told := today.Changed(); !slices.Equal(told, []string{store.Whole}) {
			t.Errorf("Today is told of %v", told)
		}
		seen, err := there.Desk(v.d.who).Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""})
		if err != nil || len(seen.Records) != n+1 {
			t.Errorf("%d lines can be read of %d: %v", len(seen.Records), n+1, err)
		}
	}
}
