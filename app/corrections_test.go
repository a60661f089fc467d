package app

import (
	"encoding/csv"
	"errors"
	"slices"
	"strings"
	"testing"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

// joins is the same desk for another person, who becomes a member of the operation.
func joins(t *testing.T, d Desk, login string, role Role) Desk {
	t.Helper()
	login += "-" + uuid.NewString()[:8]
	db := direct(t)
	r, err := db.Exec("INSERT INTO users (login, password_hash, created_at) VALUES (?, '', NOW(6))", login)
	if err != nil {
		t.Fatal(err)
	}
	id, err := r.LastInsertId()
	if err != nil {
		t.Fatal(err)
	}
	if _, err := db.Exec("INSERT INTO members (operation_id, user_id, role, joined_at) VALUES (?, ?, ?, NOW(6))", d.who.Operation, id, string(role)); err != nil {
		t.Fatal(err)
	}
	d.who.User, d.who.Login, d.who.Role = uint64(id), login, role
	return d
}

// A helper gives, another types in the paper sheet for him, a third amends: each is told as what he
// did, on the line, in the register as CSV and in the medicine record.
func TestGiverRecorderAndChangerAreThreePeople(t *testing.T) {
	v := early(t)
	helper, keeper := joins(t, v.d, "helper", Helper), joins(t, v.d, "keeper", Keeper)
	clerk := joins(t, v.d, "clerk", Helper)
	v.d = clerk
	line := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 30, Giver: strings.ToUpper(helper.who.Login), GivenOn: "2026-03-04T17:10"})
	if line.By != helper.who.Login || line.RecordedBy != clerk.who.Login || line.Entered != "afterwards" || line.Day != "2026-03-04" || line.ChangedBy != "" {
		t.Fatalf("typed in: %+v", line)
	}
	amended, err := keeper.Correct(t.Context(), line.ID, wire.Correction{ID: uuid.NewString(), Why: " misread ", Amount: new(25.)})
	if err != nil || amended.By != helper.who.Login || amended.RecordedBy != clerk.who.Login || amended.ChangedBy != keeper.who.Login || amended.ChangeWhy != "misread" || amended.Day != "2026-03-04" {
		t.Fatalf("amended: %+v %v", amended, err)
	}
	if len(amended.Changes) != 1 || !slices.Equal(amended.Changes[0].What, []string{"amount 30 mL → 25 mL"}) || amended.Changes[0].By != keeper.who.Login {
		t.Errorf("%+v", amended.Changes)
	}
	// 25 mL of 35.05 g/L.
	if off(amended.OADMg, 876, 2) || off(v.left(), 975, 1e-6) {
		t.Errorf("%v mg, %v mL left", amended.OADMg, v.left())
	}
	stranger, err := keeper.Correct(t.Context(), amended.ID, wire.Correction{ID: uuid.NewString(), Why: "it was the neighbour", Giver: "A neighbour"})
	if err != nil || stranger.By != "A neighbour" || len(stranger.Changes) != 2 || stranger.Changes[0].What[0] != "given by "+helper.who.Login+" → A neighbour" {
		t.Errorf("another giver: %+v %v", stranger, err)
	}
	var text strings.Builder
	if err := v.d.ExportRegister(t.Context(), RegisterQuery{}, &text); err != nil {
		t.Fatal(err)
	}
	table, err := csv.NewReader(strings.NewReader(text.String())).ReadAll()
	if err != nil {
		t.Fatal(err)
	}
	cell := func(column string) string { return table[1][slices.Index(RegisterHead, column)] }
	if len(table) != 3 || cell("person") != "A neighbour" || cell("recorded_by") != clerk.who.Login || cell("changed_by") != keeper.who.Login ||
		cell("entered") != "afterwards" || !strings.Contains(cell("changes"), "amount 30 mL → 25 mL") || cell("given_at") != "2026-03-04T17:10:00Z" || cell("recorded_at") != "2026-03-05T10:00:00Z" {
		t.Errorf("as CSV: %q", table)
	}
	record, err := v.d.Record(t.Context(), RecordQuery{Year: 2026})
	if err != nil {
		t.Fatal(err)
	}
	told := record.Yards[0].Colonies[0].Lines[0]
	if told.Cells[len(told.Cells)-1] != "A neighbour" || len(told.Changes) != 2 || !strings.Contains(told.Remarks[0], "entered afterwards, on 5 Mar 2026, by "+clerk.who.Login) {
		t.Errorf("the record: %+v", told)
	}
}

// Any datum of a line is put right: what follows from it is worked out anew, and the old line can still be
// read. A wrong one is told at its field, and changes nothing.
func TestCorrect_EveryDatum(t *testing.T) {
	v := early(t)
	other := litre(uuid.NewString())
	other.Recipe.Dribble.Aim.Protocol = "medium"
	if _, _, err := v.d.SaveBatch(t.Context(), other); err != nil {
		t.Fatal(err)
	}
	line := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 30})
	correct := func(c wire.Correction) wire.Application {
		t.Helper()
		c.ID, c.Why = uuid.NewString(), "typed wrongly"
		is, err := v.d.Correct(t.Context(), line.ID, c)
		if err != nil {
			t.Fatal(err)
		}
		line = is
		return is
	}
	if is := correct(wire.Correction{ColonyID: v.hives[1]}); is.ColonyID != v.hives[1] {
		t.Errorf("colony: %+v", is)
	}
	for i, want := range []int{0, 1} {
		if c, err := v.d.Colony(t.Context(), v.hives[i]); err != nil || len(c.Treatments) != want {
			t.Errorf("hive %d has %+v %v", i, c.Treatments, err)
		}
	}
	if is := correct(wire.Correction{GivenOn: "2026-03-02T09:30"}); is.Day != "2026-03-02" || is.GivenAt.Hour() != 9 {
		t.Errorf("day and hour: %+v", is)
	}
	// A litre of the medium syrup holds 45 g: 30 mL of it are 1,350 mg, give or take its volume.
	if is := correct(wire.Correction{BatchID: &other.ID}); is.BatchID != other.ID || off(is.OADMg, 1350, 15) || off(v.left(), 1000, 1e-6) {
		t.Errorf("batch: %+v, %v mL left of the first", is, v.left())
	}
	if is := correct(wire.Correction{BatchID: new("")}); is.BatchID != "" || is.OADMg != 0 || !slices.Contains(is.Flags, "no_batch") {
		t.Errorf("no batch: %+v", is)
	}
	if is := correct(wire.Correction{Method: "vapour", Product: new("Vaporised")}); is.Method != "vapour" || is.Kind != "other" || is.JobID != "" || is.Product != "Vaporised" {
		t.Errorf("method: %+v", is)
	}
	if is := correct(wire.Correction{ColonyID: v.hives[0], GivenOn: "2026-03-01T08:00"}); is.ColonyID != v.hives[0] || is.Day != "2026-03-01" || len(is.Changes) != 6 {
		t.Errorf("of no job: %+v", is)
	}
	for field, c := range map[string]wire.Correction{
		"why": {}, "given_on": {Why: "x", GivenOn: "2026-03-05T12:00"}, "amount": {Why: "x", Amount: new(-1.)}, "colony_id": {Why: "x", ColonyID: uuid.NewString()},
		"batch_id": {Why: "x", BatchID: &v.batch}, "product": {Why: "x", Product: new(" ")},
	} {
		c.ID = uuid.NewString()
		var l fault.List
		if _, err := v.d.Correct(t.Context(), line.ID, c); !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("%s: %v", field, err)
		}
	}
	if _, err := v.d.Correct(t.Context(), line.Amends, wire.Correction{ID: uuid.NewString(), Why: "x", Amount: new(3.)}); !errors.Is(err, store.ErrStale) {
		t.Errorf("amended twice: %v", err)
	}
}

// Strips that came out stay out when the line that gave them is put right.
func TestCorrect_WhatCameOutStaysOut(t *testing.T) {
	v := goOut(t, "strips")
	line := v.givesIn(v.job, outOn, wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 2})
	v.d = later(v.d, 42*aDay)
	if _, err := v.d.TakeOut(t.Context(), v.hives[0], line.ID, wire.TakeOut{}); err != nil {
		t.Fatal(err)
	}
	if _, err := v.d.Correct(t.Context(), line.ID, wire.Correction{ID: uuid.NewString(), Why: "three", Amount: new(3.)}); err != nil {
		t.Fatal(err)
	}
	if c, err := v.d.Colony(t.Context(), v.hives[0]); err != nil || len(c.Treatments) != 1 || c.Treatments[0].OutOn != "2027-01-15" {
		t.Errorf("%+v %v", c.Treatments, err)
	}
}
