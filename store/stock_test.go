package store

import (
	"encoding/json"
	"errors"
	"fmt"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
)

// Batches that are saved at once get the numbers from one on, each once.
func TestNumbersAtOnce(t *testing.T) {
	o := operation(t, open(t))
	const many = 12
	failed := make(chan error, many)
	var all sync.WaitGroup
	for n := range many {
		all.Go(func() {
			if _, err := o.SaveBatch(t.Context(), batch(n+1)); err != nil {
				failed <- err
			}
		})
	}
	all.Wait()
	close(failed)
	for err := range failed {
		t.Error(err)
	}
	list, err := o.Batches(t.Context())
	if err != nil || len(list) != many {
		t.Fatal(len(list), err)
	}
	seen := map[int]bool{}
	for _, b := range list {
		if b.Number < 1 || b.Number > many || seen[b.Number] {
			t.Errorf("%s is number %d", b.Name, b.Number)
		}
		seen[b.Number] = true
	}
}

func entry(amount float64) func(float64) (StockEntry, error) {
	return func(float64) (StockEntry, error) {
		return StockEntry{UserID: someone, Kind: "used", Amount: amount, WorkedAt: time.Now().UTC(), CreatedAt: time.Now().UTC()}, nil
	}
}

// Many write to one account at once: each entry counts once, in an order in which
// each was told what the ones before had left.
func TestAccountAtOnce(t *testing.T) {
	o := operation(t, open(t))
	b := batch(1)
	if _, err := o.SaveBatch(t.Context(), b); err != nil {
		t.Fatal(err)
	}
	a := Account{Batch: b.ID}
	if _, err := o.Enter(t.Context(), a, uuid.NewString(), entry(1000)); err != nil {
		t.Fatal(err)
	}
	const hands, each = 6, 8
	failed := make(chan error, hands*each*2)
	var all sync.WaitGroup
	for range hands {
		all.Go(func() {
			for range each {
				id := uuid.NewString()
				for range 2 { // sent twice
					if _, err := o.Enter(t.Context(), a, id, entry(-2.5)); err != nil {
						failed <- err
					}
				}
			}
		})
	}
	all.Wait()
	close(failed)
	for err := range failed {
		t.Error(err)
	}
	entries, err := o.Entries(t.Context(), a)
	if err != nil || len(entries) != 1+hands*each {
		t.Fatal(len(entries), err)
	}
	left := 0.0
	for i, e := range entries {
		if e.LeftBefore != left {
			t.Errorf("entry %d found %v, want %v", i, e.LeftBefore, left)
		}
		left += e.Amount
	}
	if got, err := o.Left(t.Context(), a); err != nil || got != left || left != 1000-hands*each*2.5 {
		t.Errorf("%v left, want %v: %v", got, left, err)
	}
}

// An id that belongs to another account is refused, one's own failure writes
// nothing, and an account that is not there is none.
func TestEnterRefuses(t *testing.T) {
	s := open(t)
	o := operation(t, s)
	for n := 1; n <= 2; n++ {
		if _, err := o.SaveBatch(t.Context(), batch(n)); err != nil {
			t.Fatal(err)
		}
	}
	id, lot := uuid.NewString(), Lot{UserID: someone, ID: uuid.NewString(), Ingredient: "acid", Name: "tub", Unit: "g", CreatedAt: time.Now().UTC()}
	if created, err := o.AddLot(t.Context(), lot); err != nil || !created {
		t.Fatal(created, err)
	}
	if created, err := o.AddLot(t.Context(), lot); err != nil || created {
		t.Errorf("a lot sent twice: %v %v", created, err)
	}
	if _, err := o.Enter(t.Context(), Account{Batch: batch(1).ID}, id, entry(5)); err != nil {
		t.Fatal(err)
	}
	for _, a := range []Account{{Batch: batch(2).ID}, {Lot: lot.ID}} {
		if _, err := o.Enter(t.Context(), a, id, entry(5)); !errors.Is(err, ErrConflict) {
			t.Errorf("%+v: %v", a, err)
		}
	}
	if _, err := o.Enter(t.Context(), Account{Batch: uuid.NewString()}, uuid.NewString(), entry(5)); !errors.Is(err, ErrNotFound) {
		t.Error(err)
	}
	refused := errors.New("refused")
	if _, err := o.Enter(t.Context(), Account{Lot: lot.ID}, uuid.NewString(), func(float64) (StockEntry, error) { return StockEntry{}, refused }); !errors.Is(err, refused) {
		t.Error(err)
	}
	if left, err := o.Left(t.Context(), Account{Lot: lot.ID}); err != nil || left != 0 {
		t.Errorf("a refused entry left %v: %v", left, err)
	}
	lefts, err := o.LeftOfBatches(t.Context())
	if err != nil || len(lefts) != 1 || lefts[batch(1).ID] != 5 {
		t.Errorf("%v %v", lefts, err)
	}
	other := operation(t, s)
	if _, err := other.Lot(t.Context(), lot.ID); !errors.Is(err, ErrNotFound) {
		t.Errorf("another operation's lot: %v", err)
	}
	if _, err := other.Enter(t.Context(), Account{Lot: lot.ID}, uuid.NewString(), entry(1)); !errors.Is(err, ErrNotFound) {
		t.Errorf("another operation's account: %v", err)
	}
}

// Of several who take the same step at once one writes it; a run begun twice is
// the one that was begun, and what fails in the middle leaves nothing.
func TestOneRun(t *testing.T) {
	o := operation(t, open(t))
	b := batch(1)
	if _, err := o.SaveBatch(t.Context(), b); err != nil {
		t.Fatal(err)
	}
	for _, order := range []string{"acid-first", "syrup-first"} {
		run := BenchRun{UserID: someone, BatchID: b.ID, WorkOrder: order, Balances: json.RawMessage(`[]`), CreatedAt: time.Now().UTC()}
		if err := o.BeginRun(t.Context(), &run); err != nil {
			t.Fatal(err)
		}
	}
	const hands = 5
	var all sync.WaitGroup
	for i := range hands {
		all.Go(func() {
			_ = o.AtBench(t.Context(), b.ID, func(o Operation, r BenchRun) error {
				e := BenchEvent{UserID: someone, BatchID: b.ID, Seq: len(r.Events) + 1, ID: uuid.NewString(), Kind: "answered", Act: fmt.Sprint(i), Source: "typed", CreatedAt: time.Now().UTC(), WorkedAt: time.Now().UTC()}
				if err := o.Happen(t.Context(), &e); err != nil {
					return err
				}
				if i == 0 {
					return errors.New("it fails after all")
				}
				return nil
			})
		})
	}
	all.Wait()
	run, err := o.Run(t.Context(), b.ID)
	if err != nil || run.WorkOrder != "acid-first" || len(run.Events) != hands-1 {
		t.Fatalf("%+v %v", run, err)
	}
	for i, e := range run.Events {
		if e.Seq != i+1 || e.Act == "0" {
			t.Errorf("event %d is %+v", i, e)
		}
	}
	kept, err := o.Batch(t.Context(), b.ID)
	if err != nil || kept.State != OnBench {
		t.Errorf("%s %v", kept.State, err)
	}
	if err := o.AtBench(t.Context(), batch(9).ID, func(Operation, BenchRun) error { return nil }); !errors.Is(err, ErrNotFound) {
		t.Errorf("a bench that is none: %v", err)
	}
	parts := []BatchComponent{{Component: "water", Grams: 1}}
	if err := o.FinishBatch(t.Context(), b.ID, Finished{State: IsMade, Components: parts}); err != nil {
		t.Fatal(err)
	}
	if kept, err = o.Batch(t.Context(), b.ID); err != nil || kept.State != IsMade || len(kept.Components) != 1 || len(kept.Lines) != 2 {
		t.Errorf("made: %+v %v", kept, err)
	}
}
