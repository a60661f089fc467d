package store

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"os"
	"strings"
	"testing"
	"time"

	"keeler/store/mariadbd"

	"github.com/google/uuid"
)

var server *mariadbd.Server

func TestMain(m *testing.M) {
	os.Exit(func() int {
		var err error
		if server, err = mariadbd.Hasty(context.Background()); err != nil {
			panic(err)
		}
		defer server.Stop()
		return m.Run()
	}())
}

func open(t *testing.T) *Store {
	t.Helper()
	dsn, err := server.Database(t.Context(), t.Name())
	if err != nil {
		t.Fatal(err)
	}
	s, err := Open(dsn)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = s.Close() })
	if err := s.Migrate(t.Context()); err != nil {
		t.Fatal(err)
	}
	if err := s.db.Create(&User{ID: someone, Login: "Someone", Epoch: 1, CreatedAt: time.Now().UTC()}).Error; err != nil {
		t.Fatal(err)
	}
	return s
}

// someone is who writes in these tests.
const someone = 1

// id is the id of a name.
func id(name string) string { return uuid.NewSHA1(uuid.NameSpaceOID, []byte(name)).String() }

// operation makes a new operation, so that tests do not see each other's rows.
func operation(t *testing.T, s *Store) Operation {
	t.Helper()
	row := struct {
		ID        uint64
		Name      string
		CreatedAt time.Time
	}{Name: t.Name()}
	if err := s.db.Table("operations").Create(&row).Error; err != nil {
		t.Fatal(err)
	}
	return s.For(row.ID)
}

func batch(n int) *Batch {
	return &Batch{
		ID: fmt.Sprintf("00000000-0000-4000-8000-%012d", n), Name: fmt.Sprint("batch ", n), Method: "dribble",
		MadeOn: "2026-12-04T08:30", CreatedAt: time.Date(2026, 12, 4, 8, n, 0, 0, time.UTC),
		VolumeML: 262, SnapshotVersion: 1,
		Inputs: json.RawMessage(`{"plan":{}}`), Answer: json.RawMessage(`{}`),
		Components: []BatchComponent{{Component: "oxalic_acid_dihydrate", Grams: 9.182}, {Component: "water", Grams: 157.41}},
		Lines:      []BatchLine{{Step: "sugar", Ingredient: "sugar", WantedG: 157.41}, {Step: "acid", Ingredient: "oxalic_acid_dihydrate", WantedG: 9.182}},
	}
}

func TestSaveAndFind(t *testing.T) {
	o := operation(t, open(t))
	for n := 1; n <= 3; n++ {
		if saved, err := o.SaveBatch(t.Context(), batch(n)); err != nil || !saved {
			t.Fatalf("batch %d: %v %v", n, saved, err)
		}
	}
	list, err := o.Batches(t.Context())
	if err != nil || len(list) != 3 || list[0].Name != "batch 3" || list[2].Name != "batch 1" {
		t.Fatalf("want three, the newest first: %v %v", list, err)
	}
	got, err := o.Batch(t.Context(), batch(2).ID)
	if err != nil {
		t.Fatal(err)
	}
	if len(got.Lines) != 2 || got.Lines[0].WantedG != 157.41 || got.Lines[1].Step != "acid" || string(got.Inputs) != `{"plan":{}}` {
		t.Errorf("got %+v", got)
	}
	if len(got.Components) != 2 || got.Components[0].Grams != 9.182 || len(list[0].Components) != 2 {
		t.Errorf("composition %+v", got.Components)
	}
	if !got.CreatedAt.Equal(batch(2).CreatedAt) {
		t.Errorf("kept at %v, want %v", got.CreatedAt, batch(2).CreatedAt)
	}
}

func TestSentTwiceCountsOnce(t *testing.T) {
	o := operation(t, open(t))
	if _, err := o.SaveBatch(t.Context(), batch(1)); err != nil {
		t.Fatal(err)
	}
	again := batch(1)
	again.Name = "another"
	if saved, err := o.SaveBatch(t.Context(), again); err != nil || saved {
		t.Fatalf("got %v %v", saved, err)
	}
	got, err := o.Batch(t.Context(), batch(1).ID)
	if err != nil || got.Name != "batch 1" || len(got.Lines) != 2 {
		t.Errorf("the first must stay as it was: %+v %v", got, err)
	}
}

func TestHalfABatchNeverShows(t *testing.T) {
	o := operation(t, open(t))
	b := batch(1)
	b.Lines[1].Step = strings.Repeat("x", 200) // longer than its column
	if saved, err := o.SaveBatch(t.Context(), b); err == nil || saved {
		t.Fatal("a line that does not fit must be refused")
	}
	if list, err := o.Batches(t.Context()); err != nil || len(list) != 0 {
		t.Errorf("half a batch shows: %v %v", list, err)
	}
}

func TestAnotherOperationSeesNothing(t *testing.T) {
	s := open(t)
	mine, theirs := operation(t, s), operation(t, s)
	of := batch(1).ID
	if _, err := mine.SaveBatch(t.Context(), batch(1)); err != nil {
		t.Fatal(err)
	}
	if list, err := theirs.Batches(t.Context()); err != nil || len(list) != 0 {
		t.Errorf("got %v %v", list, err)
	}
	remark := BatchRemark{ID: "00000000-0000-4000-8000-00000000aaaa", BatchID: of, Text: "x", CreatedAt: time.Now()}
	for what, err := range map[string]error{
		"read":   func() error { _, err := theirs.Batch(t.Context(), of); return err }(),
		"remark": theirs.AddRemark(t.Context(), remark),
		"void":   theirs.VoidBatch(t.Context(), of, "x", time.Now()),
	} {
		if !errors.Is(err, ErrNotFound) {
			t.Errorf("%s: got %v, want not found", what, err)
		}
	}
	if saved, err := theirs.SaveBatch(t.Context(), batch(1)); err != nil || !saved {
		t.Errorf("the same id in another operation is another batch: %v %v", saved, err)
	}
}

// A pot's parent is a batch of the same operation, or none.
func TestParentIsOnesOwn(t *testing.T) {
	s := open(t)
	mine, theirs := operation(t, s), operation(t, s)
	if _, err := mine.SaveBatch(t.Context(), batch(1)); err != nil {
		t.Fatal(err)
	}
	parent := batch(1).ID
	child := func(n int) *Batch {
		b := batch(n)
		b.Method, b.ParentID = "strip", &parent
		return b
	}
	if saved, err := mine.SaveBatch(t.Context(), child(2)); err != nil || !saved {
		t.Errorf("with its parent: %v %v", saved, err)
	}
	got, err := mine.Batch(t.Context(), child(2).ID)
	if err != nil || got.ParentID == nil || *got.ParentID != parent {
		t.Errorf("got parent %v, %v", got.ParentID, err)
	}
	if saved, err := theirs.SaveBatch(t.Context(), child(3)); err == nil || saved {
		t.Error("a parent of another operation was taken")
	}
	if list, err := theirs.Batches(t.Context()); err != nil || len(list) != 0 {
		t.Errorf("something of it stayed: %v %v", list, err)
	}
}

func TestRemarksAndVoid(t *testing.T) {
	o := operation(t, open(t))
	of := batch(1).ID
	if _, err := o.SaveBatch(t.Context(), batch(1)); err != nil {
		t.Fatal(err)
	}
	remark := BatchRemark{ID: "00000000-0000-4000-8000-00000000bbbb", BatchID: of, Text: "clear", CreatedAt: time.Now().UTC()}
	for range 2 {
		if err := o.AddRemark(t.Context(), remark); err != nil {
			t.Fatal(err)
		}
	}
	for _, reason := range []string{"spilt", "another reason"} {
		if err := o.VoidBatch(t.Context(), of, reason, time.Now().UTC()); err != nil {
			t.Fatal(err)
		}
	}
	got, err := o.Batch(t.Context(), of)
	if err != nil || len(got.Remarks) != 1 || got.Remarks[0].Text != "clear" || got.VoidedAt == nil || got.VoidReason != "spilt" {
		t.Errorf("got %+v %v", got, err)
	}
}
