package app

import (
	"context"
	"errors"
	"os"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/dribble"
	"keeler/core/method/strip"
	"keeler/store"
	"keeler/store/mariadbd"
	"keeler/wire"
)

var (
	server  *mariadbd.Server
	records *store.Store
	owner   Member // who works in these tests
)

func TestMain(m *testing.M) {
	os.Exit(func() int {
		var err error
		server, err = mariadbd.Hasty(context.Background())
		if err != nil {
			panic(err)
		}
		defer server.Stop()
		if records, err = store.Open(server.DSN()); err != nil {
			panic(err)
		}
		defer func() { _ = records.Close() }()
		if err := records.Migrate(context.Background()); err != nil {
			panic(err)
		}
		if owner, err = keeler().SeedOwner(context.Background(), "Owner", "First"); err != nil {
			panic(err)
		}
		return m.Run()
	}())
}

var (
	work = time.Date(2026, 12, 4, 8, 30, 0, 0, time.UTC)
	wall = time.Date(2027, 1, 9, 20, 15, 3, 0, time.UTC)
)

func keeler() *App { return New(records, Settings{Work: Pinned(work), Wall: Pinned(wall)}) }

// here is the first operation's, as its keeper sees it.
func here() Desk {
	return keeler().Desk(Member{User: owner.User, Operation: store.FirstOperation, Role: Keeper})
}

func litre(id string) wire.SaveBatch {
	return wire.SaveBatch{ID: id, Name: "  Litre ", Rule: "permit held", Recipe: wire.Recipe{Dribble: &wire.DribbleRequest{Request: dribble.Request{
		Hold: wire.Hold{Kind: "crystals"},
		Aim:  wire.Aim{By: "protocol", Protocol: "label-litre"},
		Size: wire.Size{By: "volume", Volume: 1000},
	}}}}
}

// A batch is worked out again by the server, dated by the clock of the work and
// audited by the clock of the wall, and kept with all it came from.
func TestSaveBatch(t *testing.T) {
	id := uuid.NewString()
	_, created, err := here().SaveBatch(t.Context(), litre(id))
	if err != nil || !created {
		t.Fatal(created, err)
	}
	b, err := here().Batch(t.Context(), id)
	if err != nil {
		t.Fatal(err)
	}
	if b.Name != "Litre" || b.MadeOn != "2026-12-04T08:30" || !b.SavedAt.Equal(wall) || b.Rule != "permit held" {
		t.Errorf("got %+v", b.BatchSummary)
	}
	// 1000/998.68 of 35 g.
	if got := b.Answer.Dribble.Lines[2].Mass; got < 35.04 || got > 35.05 {
		t.Errorf("kept %v g of acid, want 35.05", got)
	}
	if b.Recipe.Dribble.Size.Volume != 1000 || b.SnapshotVersion != wire.SnapshotVersion {
		t.Errorf("the inputs are not as they were: %+v", b.Recipe.Dribble)
	}
}

func TestSaveBatchTwice(t *testing.T) {
	id := uuid.NewString()
	for i, want := range []bool{true, false} {
		if _, created, err := here().SaveBatch(t.Context(), litre(id)); err != nil || created != want {
			t.Errorf("time %d: %v %v", i+1, created, err)
		}
	}
	other := litre(id)
	other.Recipe.Dribble.Size.Volume = 500
	if _, _, err := here().SaveBatch(t.Context(), other); !errors.Is(err, store.ErrConflict) {
		t.Errorf("the same id for another plan: got %v", err)
	}
}

func TestSaveBatchRefuses(t *testing.T) {
	bad := litre(uuid.NewString())
	bad.Recipe.Dribble.Size.Volume = -1
	nameless := litre(uuid.NewString())
	nameless.Name = " "
	for field, in := range map[string]wire.SaveBatch{"recipe.dribble.size.volume_ml": bad, "name": nameless} {
		_, _, err := here().SaveBatch(t.Context(), in)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("want a fault at %s, got %v", field, err)
		}
		if _, err := here().Batch(t.Context(), in.ID); !errors.Is(err, store.ErrNotFound) {
			t.Errorf("a refused batch must leave nothing: %v", err)
		}
	}
}

func TestRemarkAndVoid(t *testing.T) {
	id := uuid.NewString()
	if _, _, err := here().SaveBatch(t.Context(), litre(id)); err != nil {
		t.Fatal(err)
	}
	note := wire.Remark{ID: uuid.NewString(), Text: " clear after five minutes "}
	b, err := here().Remark(t.Context(), id, note)
	if err != nil || len(b.Remarks) != 1 || b.Remarks[0].Text != "clear after five minutes" || !b.Remarks[0].At.Equal(wall) {
		t.Errorf("got %+v %v", b.Remarks, err)
	}
	b, err = here().VoidBatch(t.Context(), id, wire.Void{Reason: "spilt"})
	if err != nil || b.VoidedAt == nil || b.VoidReason != "spilt" || len(b.Answer.Dribble.Lines) != 4 {
		t.Errorf("a void batch stays whole, with its reason: %+v %v", b.BatchSummary, err)
	}
	for what, err := range map[string]error{
		"an empty remark":          second(here().Remark(t.Context(), id, wire.Remark{ID: uuid.NewString(), Text: " "})),
		"a void without reason":    second(here().VoidBatch(t.Context(), id, wire.Void{Reason: " "})),
		"a remark to nothing":      second(here().Remark(t.Context(), uuid.NewString(), note)),
		"the voiding of a nothing": second(here().VoidBatch(t.Context(), uuid.NewString(), wire.Void{Reason: "x"})),
	} {
		if err == nil {
			t.Errorf("%s must be refused", what)
		}
	}
}

// A pot names the pot that its carried-over liquor comes from, and must agree
// with what that one really holds.
func TestPotsParent(t *testing.T) {
	k := here()
	pot := func(carried float64, parent string) wire.SaveBatch {
		r := wire.StripRequest{Request: strip.Request{Aim: strip.Aim{Protocol: "two-to-three"}, Size: wire.StripSize{By: "strips", Strips: 40}}}
		in := wire.SaveBatch{ID: uuid.NewString(), Name: "Pot", Recipe: wire.Recipe{Strip: &r}}
		if parent != "" {
			r.Carried, in.Parent = wire.StripCarried{Mass: 100, OAD: chem.Share(carried / 100)}, &parent
		}
		return in
	}
	syrup, first := litre(uuid.NewString()), pot(0, "")
	for _, in := range []wire.SaveBatch{syrup, first} {
		if _, _, err := k.SaveBatch(t.Context(), in); err != nil {
			t.Fatal(err)
		}
	}
	second, _, err := k.SaveBatch(t.Context(), pot(34.6, first.ID)) // 500 of 1445 g
	if err != nil || second.ParentID != first.ID || second.ParentName != "Pot" {
		t.Errorf("got %+v %v", second.BatchSummary, err)
	}
	if s := second.Strength; s == nil || s.Unit != "percent_ww" || s.Value < 34.6 || s.Value > 34.61 || len(second.Composition) != 3 {
		t.Errorf("strength %+v of %+v", s, second.Composition)
	}
	for what, c := range map[string]struct {
		in    wire.SaveBatch
		field string
	}{
		"another strength":    {pot(40, first.ID), "recipe.strip.carried.oad_percent"},
		"a parent that is no": {pot(34.6, uuid.NewString()), "parent_id"},
		"a syrup as parent":   {pot(34.6, syrup.ID), "parent_id"},
	} {
		_, _, err := k.SaveBatch(t.Context(), c.in)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != c.field {
			t.Errorf("%s: got %v", what, err)
		}
	}
}

func second(_ wire.Batch, err error) error { return err }
