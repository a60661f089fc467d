package app

import (
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/wire"
)

func (v *visitor) today() wire.Today {
	v.t.Helper()
	out, err := v.d.Today(v.t.Context(), false)
	if err != nil {
		v.t.Fatal(err)
	}
	return out
}

// calls tells what there is to see to, and at how many hives.
func calls(t wire.Today) map[string]int {
	out := map[string]int{}
	for _, c := range t.Calls {
		out[c.Kind] += max(1, len(c.Hives))
	}
	return out
}

// A job on its day, and when it was done: what there is to do follows it, and what hives call
// for otherwise waits while a job still comes to them.
func TestTodayFollowsAJob(t *testing.T) {
	v := goOut(t, "winter")
	due := v.today()
	if due.Hives != 2 || due.Running != 1 || due.Late != 0 {
		t.Errorf("%+v", due)
	}
	visit := 0
	for _, f := range due.Followups {
		if f.Kind == "visit" && f.State == "due" {
			visit += len(f.Colonies)
		}
	}
	if visit != 2 || calls(due)["count"] != 0 {
		t.Errorf("a dose at %d of 2 hives, calls %v", visit, calls(due))
	}
	if !strings.Contains(strings.Join(due.Along.Gear, " "), "nitrile_gloves") {
		t.Errorf("no gloves: %v", due.Along.Gear)
	}
	marks := 0
	for _, m := range due.Band.Yards[0].Marks {
		if m.Kind == "visit" && m.Day == outOn {
			marks += m.Hives
		}
	}
	if marks != 2 || due.Band.From != "2026-11-27" || due.Band.Days != 42 {
		t.Errorf("%d of 2 on %+v", marks, due.Band)
	}
	v.givesAll(outOn)
	// Nobody ever counted them: what came with the dose is asked for, and a first count.
	done := v.today()
	if calls(done)["count"] != 2 {
		t.Errorf("%v", calls(done))
	}
	for _, f := range done.Followups {
		if f.Kind == "visit" {
			t.Errorf("still to be given: %+v", f)
		}
	}
}

// A hive over the threshold calls for a treatment of its yard, and too small a count for
// another; what is skipped is not asked for again until it is counted anew.
func TestTodayCalls(t *testing.T) {
	v := goOut(t, "winter")
	v.givesAll(outOn)
	v.d = later(v.d, 20*aDay)
	v.counts("wash", "2026-12-23", 300, 30, 0)
	over := v.today()
	if calls(over)["treat"] != 1 || over.Calls[0].Kind != "treat" || !over.Calls[0].Urgent || over.Due < 1 {
		t.Fatalf("%+v", over.Calls)
	}
	skip := wire.SkipFollowups{Key: over.Calls[0].Key, Colonies: []string{over.Calls[0].Hives[0].ID}, Reason: "to be requeened"}
	if err := v.d.SkipFollowups(t.Context(), skip); err != nil {
		t.Fatal(err)
	}
	if got := calls(v.today()); got["treat"] != 0 {
		t.Errorf("%v", got)
	}
	v.d = later(v.d, aDay)
	v.counts("wash", "2026-12-24", 300, 30)
	if got := calls(v.today()); got["treat"] != 1 {
		t.Errorf("counted anew: %v", got)
	}
}

// Hives that were counted on different days stand in one line, and are skipped with it.
func TestTodaySkipsAWholeLine(t *testing.T) {
	v := goOut(t, "winter")
	v.givesAll(outOn)
	v.d = later(v.d, 20*aDay)
	v.counts("wash", "2026-12-23", 300, 30, 30)
	v.counts("wash", "2026-12-24", 300, 31)
	over := v.today().Calls[0]
	if over.Kind != "treat" || len(over.Hives) != 2 {
		t.Fatalf("%+v", over)
	}
	if err := v.d.SkipFollowups(t.Context(), wire.SkipFollowups{Key: over.Key, Colonies: v.hives, Reason: "sold next week"}); err != nil {
		t.Fatal(err)
	}
	if got := calls(v.today()); got["treat"] != 0 {
		t.Errorf("%v", got)
	}
}

// A lot past its day is told of until it is gone, or skipped.
func TestTodayShelf(t *testing.T) {
	v := goOut(t, "winter")
	lot := wire.Lot{ID: uuid.NewString(), Ingredient: "acid", Name: "white tub", ExpiresOn: "2026-12-20", Amount: 500}
	if _, err := v.d.AddLot(t.Context(), lot); err != nil {
		t.Fatal(err)
	}
	ends := v.today()
	if calls(ends)["lot_ends"] != 1 {
		t.Fatalf("%+v", ends.Calls)
	}
	key := "lot_ends." + lot.ID
	for _, reason := range []string{"the new one is here", ""} {
		if err := v.d.SkipCall(t.Context(), wire.SkipCall{Key: key, Reason: reason}); err != nil {
			t.Fatal(err)
		}
		if got := calls(v.today()); (got["lot_ends"] == 1) != (reason == "") {
			t.Errorf("%q: %v", reason, got)
		}
	}
	filters := wire.Lot{ID: uuid.NewString(), Ingredient: "filter", Name: "Mask filters", ExpiresOn: "2026-12-03", Amount: 2}
	if _, err := v.d.AddLot(t.Context(), filters); err != nil {
		t.Fatal(err)
	}
	over := v.today().Calls
	if i := slices.IndexFunc(over, func(c wire.Call) bool { return c.LotID == filters.ID }); i < 0 || over[i].Kind != "lot_over" || !strings.Contains(over[i].Why, "No formic acid") {
		t.Errorf("filters out of date: %+v", over)
	}
	if err := v.d.SkipCall(t.Context(), wire.SkipCall{Key: "lot_over." + filters.ID, Reason: "new ones are ordered"}); err != nil {
		t.Fatal(err)
	}
	v.d = later(v.d, 20*aDay)
	if got := calls(v.today()); got["lot_over"] != 1 || got["lot_ends"] != 0 {
		t.Errorf("%v", got)
	}
}

// Two hives of a yard and a fortnight in which all treat: planned, then done, and out of sight
// when it is long over.
func TestTodayFortnight(t *testing.T) {
	v := goOut(t, "winter")
	at(t, "in years", v.d.SetFortnight(t.Context(), wire.SetFortnight{From: "2028-12-03"}), "from", fault.Future)
	at(t, "no day", v.d.SetFortnight(t.Context(), wire.SetFortnight{From: "2027-02-31"}), "from", fault.NoDate)
	if err := v.d.SetFortnight(t.Context(), wire.SetFortnight{From: "2026-12-04"}); err != nil {
		t.Fatal(err)
	}
	stands := func() wire.FortnightYard {
		f := v.today().Fortnight
		if f == nil || f.To != "2026-12-17" || len(f.Yards) != 1 {
			t.Fatalf("%+v", f)
		}
		return f.Yards[0]
	}
	if y := stands(); y.Hives != 2 || y.Planned != 2 || y.Done != 0 {
		t.Errorf("%+v", y)
	}
	v.writes(outOn, wire.Application{ColonyID: v.hives[0], Kind: "given", Amount: 30, Asked: 30})
	if y := stands(); y.Planned != 1 || y.Done != 1 {
		t.Errorf("%+v", y)
	}
	v.d = later(v.d, 27*aDay) // the last day on which it is told
	stands()
	v.d = later(v.d, aDay)
	if f := v.today().Fortnight; f != nil {
		t.Errorf("%+v", f)
	}
}

// An owner is told where the newest good backup is more than two days old, or where there is
// none; nobody is where none are made.
func TestTodayTellsOfAnOldBackup(t *testing.T) {
	var last time.Time
	d := own(t, Settings{Backups: func() (time.Time, bool) { return last, !last.IsZero() }})
	of := func(d Desk, age time.Duration) *wire.OldBackup {
		t.Helper()
		if age > 0 {
			last = wall.Add(-age)
		}
		today, err := d.Today(t.Context(), false)
		if err != nil {
			t.Fatal(err)
		}
		return today.Backup
	}
	if got := of(d, 0); got == nil || got.On != "" {
		t.Errorf("none yet: %+v", got)
	}
	if got := of(d, 47*time.Hour); got != nil {
		t.Errorf("of yesterday: %+v", got)
	}
	if got := of(d, 75*time.Hour); got == nil || got.Days != 3 || got.On != wall.Add(-75*time.Hour).Format("2006-01-02") {
		t.Errorf("of three days ago: %+v", got)
	}
	helper := d
	helper.who.Role = Keeper
	if got := of(helper, 75*time.Hour); got != nil {
		t.Errorf("a keeper is told: %+v", got)
	}
	if got := of(own(t, Settings{}), 75*time.Hour); got != nil {
		t.Errorf("where none are made: %+v", got)
	}
}
