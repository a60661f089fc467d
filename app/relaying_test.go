package app

import (
	"slices"
	"testing"

	"keeler/store"
	"keeler/wire"
)

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
		seen, err := there.Desk(v.d.who).Visit(t.Context(), v.job, outOn, "")
		if err != nil || len(seen.Records) != n+1 {
			t.Errorf("%d lines can be read of %d: %v", len(seen.Records), n+1, err)
		}
	}
}
