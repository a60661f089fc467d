package app

import (
	"bytes"
	"encoding/csv"
	"errors"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/wire"
)

// The medicine record of a year has what was given and taken out, by yard and colony, in
// the operation's own days, with what was amended; what was a slip says so, and boards and
// eggs are no part of it. On paper and as CSV it is the same.
func TestMedicineRecord(t *testing.T) {
	v := goOut(t, "winter")
	first := wire.Application{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 30, Asked: 30}
	slip := wire.Application{ID: uuid.NewString(), ColonyID: v.hives[1], Kind: "given", BatchID: v.batch, Amount: 20, Asked: 20}
	v.sends(first)
	v.sends(slip)
	v.sends(wire.Application{ColonyID: v.hives[1], Kind: "board"})
	amend := func(line, kind, reason, why string, amount float64) {
		t.Helper()
		in := wire.Application{ID: uuid.NewString(), Kind: kind, Reason: reason, Amount: amount, ApplicationDetail: wire.ApplicationDetail{Note: why}}
		if amount > 0 {
			in.BatchID, in.Asked = v.batch, 30
		}
		if _, err := v.d.Amend(t.Context(), line, in); err != nil {
			t.Fatal(err)
		}
	}
	amend(first.ID, "given", "", "=misread", 25)
	amend(slip.ID, "skipped", "taken_back", "", 0)
	if _, err := v.d.RecordOther(t.Context(), wire.OtherTreatment{Method: "vapour", Product: "Vaporised", GivenOn: "2026-11-20", Withdrawal: new(7), Rule: "permit 12",
		Colonies: []wire.OtherColony{{ID: uuid.NewString(), ColonyID: v.hives[0]}}}); err != nil {
		t.Fatal(err)
	}
	r, err := v.d.Record(t.Context(), RecordQuery{Year: 2026})
	if err != nil || r.Lines != 3 || len(r.Yards) != 1 || len(r.Yards[0].Colonies) != 2 || !slices.Equal(r.Years, []int{2026}) {
		t.Fatalf("%+v %v", r, err)
	}
	one, two := r.Yards[0].Colonies[0].Lines, r.Yards[0].Colonies[1].Lines
	vapour, given := one[0].Cells, one[1].Cells
	if !slices.Equal(vapour, []string{"20 Nov 2026", "Oxalic vapour: Vaporised", "", "", "", "", "7 days, until 27 Nov 2026", "permit 12", vapour[8]}) || vapour[8] == "" {
		t.Errorf("%q", vapour)
	}
	// 25 mL of 35.05 g/L hold 876 mg.
	if !strings.HasPrefix(given[0], "4 Dec 2026 ") || given[1] != "Dribble: own mixture" || given[2] != "25 mL" || given[3] != "876 mg oxalic acid dihydrate" || given[4] != "1" || given[6] != "not stated" {
		t.Errorf("%q", given)
	}
	if len(one[1].Changes) != 1 || !strings.Contains(one[1].Changes[0], "amount 30 mL → 25 mL. Why: =misread") {
		t.Errorf("%q", one[1].Changes)
	}
	if len(two) != 1 || two[0].Cells[1] != "Dribble: undone, nothing given" || two[0].Cells[2] != "" || !strings.Contains(two[0].Changes[0], "undone; it said 20 mL.") {
		t.Errorf("%+v", two)
	}
	var text bytes.Buffer
	err = v.d.RecordFile(t.Context(), RecordQuery{Year: 2026, Template: "short"}, &text)
	if err != nil {
		t.Fatal(err)
	}
	table, err := csv.NewReader(&text).ReadAll()
	if err != nil || len(table) != 6 || table[4][0] != "fingerprint" || table[4][1] != r.Fingerprint || !slices.Equal(table[0], []string{"yard", "colony", "day", "treatment", "amount", "withdrawal", "person", "remarks", "amended"}) ||
		table[1][2] != "2026-11-20" || table[1][5] != "7 days, until 2026-11-27" || table[5][1] != "3" {
		t.Errorf("%q %v", table, err)
	}
}

// Honey waits from when something comes out, of bought strips that are recorded only, too; what
// is gone at once counts from its day.
func TestMedicineRecordTellsWhenHoneyMayBeTaken(t *testing.T) {
	v := goOut(t, "winter")
	for method, want := range map[string]string{
		"strip": "14 days after it comes out", "pad": "14 days after it comes out", "vapour": "14 days, until 4 Dec 2026", "dribble": "14 days, until 4 Dec 2026",
	} {
		in := wire.OtherTreatment{Method: method, Product: "Bought", GivenOn: "2026-11-20", Withdrawal: new(14), Colonies: []wire.OtherColony{{ID: uuid.NewString(), ColonyID: v.hives[0]}}}
		if _, err := v.d.RecordOther(t.Context(), in); err != nil {
			t.Fatal(err)
		}
		r, err := v.d.Record(t.Context(), RecordQuery{Year: 2026, Template: "short"})
		if err != nil {
			t.Fatal(err)
		}
		lines := r.Yards[0].Colonies[0].Lines
		if got := lines[len(lines)-1].Cells[3]; got != want {
			t.Errorf("%s: %q, want %q", method, got, want)
		}
		// Of what was a slip no honey has to wait.
		if _, err := v.d.Amend(t.Context(), in.Colonies[0].ID, wire.Application{ID: uuid.NewString(), Kind: "skipped", Reason: "taken_back"}); err != nil {
			t.Fatal(err)
		}
		if r, err = v.d.Record(t.Context(), RecordQuery{Year: 2026, Template: "short"}); err != nil {
			t.Fatal(err)
		}
		lines = r.Yards[0].Colonies[0].Lines
		if got := lines[len(lines)-1].Cells[3]; got != "" {
			t.Errorf("%s, taken back: %q", method, got)
		}
	}
}

// A year begins and ends where the yards are: what is given in the last hours of a year by
// another clock is of the next.
func TestMedicineRecordByLocalYear(t *testing.T) {
	v := goOut(t, "winter")
	zone, err := time.LoadLocation("Pacific/Auckland")
	if err != nil {
		t.Fatal(err)
	}
	v.d = later(v.d, time.Date(2026, 12, 31, 12, 0, 0, 0, time.UTC).Sub(v.d.app.clock()))
	v.d.who.Zone = zone
	v.sends(wire.Application{ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 30, Asked: 30})
	for year, want := range map[int]int{2026: 0, 2027: 1} {
		r, err := v.d.Record(t.Context(), RecordQuery{Year: year})
		if err != nil || r.Lines != want || !slices.Equal(r.Years, []int{2027}) {
			t.Errorf("%d: %+v %v", year, r, err)
		}
		if want == 1 && r.Yards[0].Colonies[0].Lines[0].Cells[0] != "1 Jan 2027 01:00" {
			t.Errorf("%q", r.Yards[0].Colonies[0].Lines[0].Cells)
		}
	}
	_, err = v.d.Record(t.Context(), RecordQuery{Year: 1})
	refused(t, err, "year", fault.TooLow)
	err = v.d.BeginRecordFile(t.Context(), RecordQuery{Template: "all of it"})
	refused(t, err, "columns", fault.Unknown)
}

// A record as CSV is verified against the database: as long as its lines are what they were, whatever it is told in;
// once one of them is another it is not, and a file without a fingerprint is no record.
func TestRecordIsVerified(t *testing.T) {
	v := early(t)
	line := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 30})
	v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[1], BatchID: v.batch, Amount: 20})
	for name, q := range map[string]RecordQuery{"short, two years": {Year: 2025, To: 2026, Template: "short"}, "whole": {Year: 2026}} {
		var file bytes.Buffer
		if err := v.d.RecordFile(t.Context(), q, &file); err != nil {
			t.Fatal(name, err)
		}
		text := file.String()
		if lines, err := v.d.app.VerifyRecord(t.Context(), strings.NewReader(text)); err != nil || lines != 2 {
			t.Errorf("%s: %d lines, %v", name, lines, err)
		}
		is, err := v.d.Correct(t.Context(), line.ID, wire.Correction{ID: uuid.NewString(), Why: "misread", Amount: new(line.Amount - 1)})
		if err != nil {
			t.Fatal(err)
		}
		line = is
		if _, err := v.d.app.VerifyRecord(t.Context(), strings.NewReader(text)); !errors.Is(err, ErrRecordDiffers) {
			t.Errorf("%s: a line was changed, and it is verified: %v", name, err)
		}
	}
	if _, err := v.d.app.VerifyRecord(t.Context(), strings.NewReader("yard,colony\nA,A1\n")); !errors.Is(err, ErrNoRecord) {
		t.Errorf("no record: %v", err)
	}
}
