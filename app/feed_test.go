package app

import (
	"strings"
	"testing"
	"time"

	"github.com/emersion/go-ical"

	"keeler/wire"
)

// events reads the calendar by another library than the one that writes it, by what is done.
func (v *visitor) events() map[string]ical.Event {
	v.t.Helper()
	file, err := v.d.Calendar(v.t.Context())
	if err != nil {
		v.t.Fatal(err)
	}
	read, err := ical.NewDecoder(strings.NewReader(file)).Decode()
	if err != nil {
		v.t.Fatalf("%v\n%s", err, file)
	}
	out := map[string]ical.Event{}
	for _, e := range read.Events() {
		summary, err := e.Props.Text(ical.PropSummary)
		if _, twice := out[summary]; err != nil || twice {
			v.t.Fatalf("%q %v\n%s", summary, err, file)
		}
		out[summary] = e
	}
	return out
}

func uid(t *testing.T, e ical.Event) string {
	t.Helper()
	id, err := e.Props.Text(ical.PropUID)
	if err != nil || !strings.HasSuffix(id, "@keeler") {
		t.Fatalf("%q %v", id, err)
	}
	return id
}

// A dose stands in the calendar in the hours that fit it, three hours ahead of UTC; it moves with
// the weather under the same UID, is cancelled when it is skipped, and gone when it was given.
func TestCalendar(t *testing.T) {
	v := goOut(t, "winter")
	v.d.who.Zone = time.FixedZone("", 3*60*60)
	const dose = "A: Dribble"
	due := v.events()[dose]
	window := v.today().Followups[1].Weather[0].Window
	from, err := due.DateTimeStart(nil)
	want := time.Date(2026, 12, 4, window.From-3, 0, 0, 0, time.UTC)
	if err != nil || !from.Equal(want) {
		t.Errorf("it begins %v, not %v: %v", from, want, err)
	}
	// Nobody went: two days later it is late, and stands on the next day that fits.
	v.d = later(v.d, 2*aDay)
	v.d.who.Zone = time.FixedZone("", 3*60*60)
	late := v.events()[dose]
	if from, err := late.DateTimeStart(nil); err != nil || from.Day() != 6 {
		t.Errorf("late, it begins %v: %v", from, err)
	}
	if uid(t, late) != uid(t, due) {
		t.Error("it moved, and is another")
	}
	skip := wire.SkipFollowups{Key: v.today().Followups[0].Key, Colonies: v.hives, Reason: "too little time"}
	if err := v.d.SkipFollowups(t.Context(), skip); err != nil {
		t.Fatal(err)
	}
	off := v.events()[dose]
	if status, err := off.Status(); err != nil || status != ical.EventCancelled || uid(t, off) != uid(t, due) {
		t.Errorf("skipped, it is %q: %v", status, err)
	}
	v.givesAll("2026-12-06")
	after := v.events()
	if _, still := after[dose]; still {
		t.Error("given, and still called for")
	}
	read := after["A: Read the boards"]
	on, err := read.DateTimeStart(time.UTC)
	if err != nil || read.Props.Get(ical.PropDateTimeStart).ValueType() != ical.ValueDate || on.IsZero() {
		t.Errorf("the boards: %v %v", on, err)
	}
}
