package app

import (
	"bytes"
	"encoding/csv"
	"errors"
	"slices"
	"strings"
	"testing"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/wire"
)

// stocked is early with a lot of acid that went into its batch.
func stocked(t *testing.T) (v *visitor, lot string) {
	t.Helper()
	v = early(t)
	lot = uuid.NewString()
	if _, err := v.d.AddLot(t.Context(), wire.Lot{ID: lot, Ingredient: "acid", Name: "White tub", SupplierNo: "L-4711", Amount: 500}); err != nil {
		t.Fatal(err)
	}
	db := direct(t)
	_, err := db.Exec(`INSERT INTO stock_entries (operation_id, id, lot_id, kind, amount, left_before, reason, cause, for_batch_id, worked_at, user_id, created_at)
		SELECT ?, ?, ?, 'used', -35, 500, '', '', ?, NOW(6), ?, NOW(6)`, v.d.who.Operation, uuid.NewString(), lot, v.batch, v.d.who.User)
	if err != nil {
		t.Fatal(err)
	}
	return v, lot
}

// From a lot: its batch, the dose, the hive that was to get it and has not, and what is left where; from the
// batch the same; from the hive that was dosed the lot, from the other nothing.
func TestRecall(t *testing.T) {
	v, lot := stocked(t)
	v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 30})
	if _, err := v.d.Portion(t.Context(), v.batch, wire.Portion{ID: uuid.NewString(), Vessel: "Green can", Amount: 200}); err != nil {
		t.Fatal(err)
	}
	for what, q := range map[string]RecallQuery{"the lot": {Lot: lot}, "the batch": {Batch: v.batch}} {
		r, err := v.d.Recall(t.Context(), q)
		if err != nil || len(r.Batches) != 1 || len(r.Doses) != 1 || len(r.Waiting) != 1 || len(r.Lots) != 1 {
			t.Fatalf("%s: %+v %v", what, r, err)
		}
		if r.Doses[0].Colony != "A1" || r.Doses[0].GivenAt.Format(dateForm) != "2026-03-05" || r.Waiting[0].ColonyID != v.hives[1] || r.Lots[0].SupplierNo != "L-4711" {
			t.Errorf("%s: %+v", what, r)
		}
		if b := r.Batches[0]; off(b.OnHand.Left, 970, 1e-6) || len(b.Vessels) != 1 || !strings.Contains(b.Vessels[0], "Green can: 200 mL") {
			t.Errorf("%s: left %+v", what, b)
		}
		var text bytes.Buffer
		if err := v.d.RecallFile(t.Context(), q, &text); err != nil {
			t.Fatal(err)
		}
		table, err := csv.NewReader(&text).ReadAll()
		if err != nil || len(table) != 4 || table[1][0] != "given" || table[1][2] != "A1" || table[2][0] != "planned" || table[2][2] != "A2" {
			t.Errorf("%s as CSV: %q %v", what, table, err)
		}
	}
	for i, want := range []int{1, 0} {
		if r, err := v.d.Recall(t.Context(), RecallQuery{Colony: v.hives[i]}); err != nil || len(r.Lots) != want || len(r.Doses) != want || len(r.Waiting) != 0 {
			t.Errorf("hive %d: %+v %v", i, r, err)
		}
	}
	var l fault.List
	if _, err := v.d.Recall(t.Context(), RecallQuery{}); !errors.As(err, &l) {
		t.Errorf("of nothing: %v", err)
	}
}

// The register is searched by lot, batch, product, giver and whole names of hives: 87 is not 187.
func TestRegister_SearchFindsLotsBatchesAndGivers(t *testing.T) {
	v, _ := stocked(t)
	y, err := v.d.Colony(t.Context(), v.hives[0])
	if err != nil {
		t.Fatal(err)
	}
	one, other := colony(t, v.d, y.YardID, "87").ID, colony(t, v.d, y.YardID, "187").ID
	v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: one, BatchID: v.batch, Amount: 30, Giver: "A neighbour"})
	v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: other, Amount: 20})
	for find, want := range map[string]int{
		"87": 1, "187": 1, "L-4711": 1, "l-47": 1, "White tub": 1, "1": 1, "neighbour": 1, "8": 0, "nothing of the kind": 0,
	} {
		r, err := v.d.Register(t.Context(), RegisterQuery{Find: find})
		if err != nil || len(r.Lines) != want {
			t.Errorf("%q finds %d lines, want %d: %v", find, len(r.Lines), want, err)
		}
	}
}

// The acid was 45 g and not 35: the batch holds what it holds, its dose of 30 mL the mg that it really was, marked,
// with the reason; Today tells of the hive until somebody has looked, and the other hive is left alone. Voided, its
// doses say so, no round offers it, and a line that is sent all the same is kept and flagged.
func TestBatchFoundWrong(t *testing.T) {
	v := early(t)
	line := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 30})
	fix := wire.CorrectBatch{ID: uuid.NewString(), Why: "the acid was 45 g", Components: []wire.Component{{Name: "oxalic_acid_dihydrate", Grams: 45}}}
	b, err := v.d.CorrectBatch(t.Context(), v.batch, fix)
	// 600.8 g of water and of sugar with 45 g are 1,006 mL: 44.7 g/L.
	if err != nil || off(b.Strength.Value, 44.7, 0.1) {
		t.Fatalf("%+v %v", b.BatchSummary, err)
	}
	register, err := v.d.Register(t.Context(), RegisterQuery{})
	if err != nil || len(register.Lines) != 1 {
		t.Fatalf("%+v %v", register, err)
	}
	is := register.Lines[0]
	if off(is.OADMg, 30*44.7, 5) || !slices.Contains(is.Flags, "batch_wrong") || is.ChangeWhy != "the acid was 45 g" || is.Amends != line.ID || is.By != line.By {
		t.Errorf("the dose: %+v", is)
	}
	if len(is.Changes) != 1 || len(is.Changes[0].What) != 1 || !strings.Contains(is.Changes[0].What[0], "→ 1341 mg oxalic acid dihydrate") {
		t.Errorf("what was changed: %+v", is.Changes)
	}
	if n := calls(v.today())["batch_wrong"]; n != 1 {
		t.Errorf("Today tells of %d hives", n)
	}
	for field, bad := range map[string]wire.CorrectBatch{
		"why": {Components: fix.Components}, "components": {Why: "x"}, "components[0].name": {Why: "x", Components: []wire.Component{{Name: "glycerol", Grams: 1}}},
		"components[0].grams": {Why: "x", Components: []wire.Component{{Name: "water", Grams: -1}}},
	} {
		bad.ID = uuid.NewString()
		var l fault.List
		if _, err := v.d.CorrectBatch(t.Context(), v.batch, bad); !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("%s: %v", field, err)
		}
	}
	if _, err := v.d.VoidBatch(t.Context(), v.batch, wire.Void{Reason: "the wrong tub"}); err != nil {
		t.Fatal(err)
	}
	r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: "2026-03-08"})
	if err != nil || len(r.Batches) != 0 || !slices.Contains(r.Records[0].Flags, "batch_void") {
		t.Errorf("voided: %+v %v", r, err)
	}
	if sent := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[1], BatchID: v.batch, Amount: 20}); !slices.Contains(sent.Flags, "batch_void") {
		t.Errorf("sent all the same: %+v", sent)
	}
}
