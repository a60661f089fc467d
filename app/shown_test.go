package app

import (
	"errors"
	"fmt"
	"reflect"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/store"
	"keeler/wire"
)

// crowd is an operation of three yards with so many hives in the first, 200 in the second and 60 in
// the third. The first hive of the first yard holds the bees of the first of the second, with the
// strips that they were given there.
func crowd(t *testing.T, first int) Desk {
	t.Helper()
	d := own(t, Settings{})
	var file strings.Builder
	file.WriteString("yard,colony,boxes,latitude\n")
	for i, n := range []int{first, 200, 60} {
		for k := range n {
			fmt.Fprintf(&file, "Yard %d,H%d,deep 10,57.5\n", i+1, k+1)
		}
	}
	if _, err := d.Import(t.Context(), []byte(file.String()), ImportAll); err != nil {
		t.Fatal(err)
	}
	rows, err := d.op.Colonies(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	yards, err := d.op.Yards(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	standing := lo.GroupBy(rows, func(c store.Colony) string { return c.YardID })
	for i, y := range yards {
		given := wire.OtherTreatment{Method: "strip", Product: "Strips", GivenOn: "2026-10-02", Amount: 4, Unit: "pieces"}
		var counts []wire.MiteCount
		for _, c := range standing[y.ID][:20] {
			counts = append(counts, wire.MiteCount{ID: uuid.NewString(), ColonyID: c.ID, Kind: "wash", Mites: 9 + i, Bees: 300, On: "2026-11-10"})
			if i > 0 || c.Name != "H1" { // it has them from its neighbours
				given.Colonies = append(given.Colonies, wire.OtherColony{ID: uuid.NewString(), ColonyID: c.ID})
			}
		}
		if _, err := d.RecordOther(t.Context(), given); err != nil {
			t.Fatal(err)
		}
		if _, err := d.Count(t.Context(), wire.MiteCounts{Counts: counts}); err != nil {
			t.Fatal(err)
		}
	}
	from, into := standing[yards[1].ID][0], standing[yards[0].ID][0]
	if _, err := d.End(t.Context(), from.ID, wire.End{Into: into.ID, Version: from.Version}); err != nil {
		t.Fatal(err)
	}
	return d
}

// What is shown first of a large operation is, for its yards, what the whole tells of them; bees that
// came from a yard that is not among them bring along what they were given. A smaller one is told
// whole at once.
func TestShownFirst(t *testing.T) {
	for first, soFar := range map[int]*wire.SoFar{241: nil, 242: {Shown: 1, Of: 3}} { // of 500 and of 501 that live
		d := crowd(t, first)
		d.app.foresight.begin(d.who.Operation) // what is reckoned in the background comes between two answers
		told := func(first bool) (today wire.Today, check wire.Check, decide wire.Decide, record wire.Record) {
			ctx, errs := t.Context(), make([]error, 4)
			today, errs[0] = d.Today(ctx, first)
			check, errs[1] = d.Check(ctx, first)
			decide, errs[2] = d.Decide(ctx, Question{First: first})
			record, errs[3] = d.Record(ctx, RecordQuery{Year: 2026, First: first})
			if err := errors.Join(errs...); err != nil {
				t.Fatal(err)
			}
			return today, check, decide, record
		}
		today, check, decide, record := told(true)
		for what, got := range map[string]*wire.SoFar{"today": today.SoFar, "check": check.SoFar, "decide": decide.SoFar, "record": record.SoFar} {
			if !reflect.DeepEqual(got, soFar) {
				t.Errorf("%s of %d: %+v, want %+v", what, first, got, soFar)
			}
		}
		today.SoFar, check.SoFar, decide.SoFar, record.SoFar = nil, nil, nil, nil
		allToday, allCheck, allDecide, allRecord := told(false)
		if soFar == nil {
			same(t, "today", today, allToday)
			same(t, "check", check, allCheck)
			same(t, "decide", decide, allDecide)
			same(t, "record", record, allRecord)
			continue
		}
		here := allDecide.Yards[0].ID
		ours := func(f wire.Followup, _ int) bool { return f.YardID == here }
		same(t, "what is to do", today.Followups, lo.Filter(allToday.Followups, ours))
		same(t, "calls", today.Calls, lo.Filter(allToday.Calls, func(c wire.Call, _ int) bool { return c.YardID == here }))
		same(t, "band", today.Band.Yards, allToday.Band.Yards[:1])
		same(t, "check", check.Followups, lo.Filter(allCheck.Followups, ours))
		same(t, "decide", decide.Yards, allDecide.Yards[:1])
		same(t, "record", record.Yards, allRecord.Yards[:1])
		if out := check.Followups[0]; out.Kind != "out" || out.Colonies[0].Name != "H1" {
			t.Errorf("the strips that came from another yard are not to come out: %+v", out)
		}
	}
}

func same(t *testing.T, what string, first, whole any) {
	t.Helper()
	if !reflect.DeepEqual(first, whole) || reflect.ValueOf(first).IsZero() {
		t.Errorf("%s is shown first as %+v, and is %+v", what, first, whole)
	}
}
