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

var morning = time.Date(2026, 12, 4, 8, 0, 0, 0, time.UTC)

// stand is a yard of so many hives, and a batch to give from.
func stand(t *testing.T, o Operation, hives int) (yard string, colonies []string, jar string) {
	t.Helper()
	yard = uuid.NewString()
	rows := make([]Colony, hives)
	for i := range rows {
		rows[i] = Colony{
			ID: uuid.NewString(), YardID: yard, Name: fmt.Sprint("H", i), Position: i, StartedOn: morning, CreatedAt: morning,
			Boxes: []ColonyBox{{Kind: "deep", Slots: "cc"}},
		}
		colonies = append(colonies, rows[i].ID)
	}
	if err := o.Import(t.Context(), []Yard{{ID: yard, Name: "Yard " + yard[:8], Latitude: 57, CreatedAt: morning}}, rows); err != nil {
		t.Fatal(err)
	}
	b := batch(1)
	b.ID = uuid.NewString()
	if _, err := o.SaveBatch(t.Context(), b); err != nil {
		t.Fatal(err)
	}
	return yard, colonies, b.ID
}

func applied(yard, colony string, jar *string, at time.Time) Application {
	return Application{UserID: someone,
		ID: uuid.NewString(), VisitDay: morning, ColonyID: colony, YardID: yard, Kind: "given", Method: "dribble", BatchID: jar, Amount: 30, Unit: "ml",
		Detail: json.RawMessage(`{}`), GivenAt: at, CreatedAt: at,
	}
}

func nothing(Operation) error { return nil }

// Many give from one jar at once and in turn: no line is lost or counted twice, and
// nobody is turned away because two waited for each other.
func TestApplyAtOnce(t *testing.T) {
	o := operation(t, open(t))
	yard, colonies, jar := stand(t, o, 8)
	const each = 6
	failed := make(chan error, 2*each*len(colonies))
	var all sync.WaitGroup
	for _, colony := range colonies {
		all.Go(func() {
			for range each {
				a := applied(yard, colony, &jar, morning)
				for try := range 2 {
					done, err := o.Apply(t.Context(), &a, func(o Operation) error {
						_, err := o.Enter(t.Context(), Account{Batch: jar}, a.ID, entry(-30))
						return err
					})
					if err != nil || done != (try == 0) {
						failed <- fmt.Errorf("try %d: %v %w", try, done, err)
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
	want := float64(-30 * each * len(colonies))
	if left, err := o.Left(t.Context(), Account{Batch: jar}); err != nil || left != want {
		t.Errorf("%v left, want %v: %v", left, want, err)
	}
	page, err := o.Register(t.Context(), Asked{Most: 1000})
	if err != nil || len(page) != each*len(colonies) {
		t.Errorf("%d lines: %v", len(page), err)
	}
}

// What fails along with a line takes the line with it; of two who amend it one does.
func TestApplyWholeAndAmendOnce(t *testing.T) {
	o := operation(t, open(t))
	yard, colonies, jar := stand(t, o, 1)
	refused := errors.New("refused")
	a := applied(yard, colonies[0], &jar, morning)
	if done, err := o.Apply(t.Context(), &a, func(Operation) error { return refused }); done || !errors.Is(err, refused) {
		t.Errorf("%v %v", done, err)
	}
	if _, err := o.Application(t.Context(), a.ID); !errors.Is(err, ErrNotFound) {
		t.Errorf("half a line is there: %v", err)
	}
	if done, err := o.Apply(t.Context(), &a, nothing); !done || err != nil {
		t.Fatal(done, err)
	}
	var all sync.WaitGroup
	results := make(chan error, 4)
	for range 4 {
		all.Go(func() {
			by := applied(yard, colonies[0], &jar, morning)
			by.AmendsID = &a.ID
			_, err := o.Apply(t.Context(), &by, func(o Operation) error { return o.Supersede(t.Context(), a.ID, by.ID) })
			results <- err
		})
	}
	all.Wait()
	close(results)
	amended := 0
	for err := range results {
		if err == nil {
			amended++
		} else if !errors.Is(err, ErrStale) {
			t.Error(err)
		}
	}
	page, err := o.Register(t.Context(), Asked{Most: 10})
	if err != nil || amended != 1 || len(page) != 1 || page[0].AmendsID == nil || *page[0].AmendsID != a.ID {
		t.Errorf("%d amended it; %+v %v", amended, page, err)
	}
	if was, err := o.Application(t.Context(), a.ID); err != nil || !was.Superseded || was.Amount != 30 {
		t.Errorf("the old line: %+v %v", was, err)
	}
	stranger := applied(yard, uuid.NewString(), nil, morning)
	if _, err := o.Apply(t.Context(), &stranger, nothing); !errors.Is(err, ErrNotFound) {
		t.Errorf("a hive that is none: %v", err)
	}
}

// Pages follow one another without a gap or a repeat where many lines have one time.
func TestRegisterCursor(t *testing.T) {
	s := open(t)
	o := operation(t, s)
	yard, colonies, jar := stand(t, o, 3)
	const lines = 25
	for i := range lines {
		a := applied(yard, colonies[i%3], &jar, morning.Add(time.Duration(i/5)*time.Minute))
		if i%4 == 0 {
			a.BatchID, a.Method = nil, "other"
		}
		if _, err := o.Apply(t.Context(), &a, nothing); err != nil {
			t.Fatal(err)
		}
	}
	for _, c := range []struct {
		ask  Asked
		want int
	}{
		{Asked{}, lines}, {Asked{Oldest: true}, lines}, {Asked{GroupBy: "colony_id"}, lines}, {Asked{GroupBy: "yard_id", Oldest: true}, lines},
		{Asked{GroupBy: "batch_id"}, 18}, {Asked{Method: "other"}, 7}, {Asked{Colony: colonies[0]}, 9}, {Asked{Batch: jar}, 18}, {Asked{Yard: yard}, lines},
	} {
		ask, seen, last := c.ask, map[string]bool{}, Application{}
		ask.Most = 4
		for range lines {
			page, err := o.Register(t.Context(), ask)
			if err != nil {
				t.Fatal(err)
			}
			for _, a := range page {
				if seen[a.ID] || a.Colony == "" || a.Yard == "" {
					t.Errorf("%+v: %+v", c.ask, a)
				}
				if last.ID != "" && c.ask.GroupBy == "" && a.GivenAt.Before(last.GivenAt) == c.ask.Oldest && !a.GivenAt.Equal(last.GivenAt) {
					t.Errorf("%+v is out of order", c.ask)
				}
				seen[a.ID], last = true, a
			}
			if len(page) < ask.Most {
				break
			}
			ask.After = &Line{At: last.GivenAt, Seq: last.Seq}
			switch c.ask.GroupBy {
			case "colony_id":
				ask.After.Group = last.ColonyID
			case "yard_id":
				ask.After.Group = last.YardID
			case "batch_id":
				ask.After.Group = *last.BatchID
			}
		}
		if len(seen) != c.want {
			t.Errorf("%+v: %d lines, want %d", c.ask, len(seen), c.want)
		}
	}
	if page, err := operation(t, s).Register(t.Context(), Asked{Most: 10}); err != nil || len(page) != 0 {
		t.Errorf("another operation reads %d lines: %v", len(page), err)
	}
}

// A batch names its lots; extras are kept by season.
func TestLotsAndExtras(t *testing.T) {
	o := operation(t, open(t))
	_, _, jar := stand(t, o, 1)
	lot := Lot{UserID: someone, ID: uuid.NewString(), Ingredient: "acid", Name: "tub", SupplierNo: "7", Unit: "g", CreatedAt: morning}
	if _, err := o.AddLot(t.Context(), lot); err != nil {
		t.Fatal(err)
	}
	for range 2 {
		into := func(float64) (StockEntry, error) {
			e, err := entry(-20)(0)
			e.ForBatchID = &jar
			return e, err
		}
		if _, err := o.Enter(t.Context(), Account{Lot: lot.ID}, uuid.NewString(), into); err != nil {
			t.Fatal(err)
		}
	}
	lots, err := o.LotsOf(t.Context(), []string{jar})
	if err != nil || len(lots[jar]) != 1 || lots[jar][0] != "acid tub (7)" {
		t.Errorf("%v %v", lots, err)
	}
	for _, extras := range []string{`["hefted"]`, `["fed"]`} {
		if err := o.SetExtras(t.Context(), VisitExtras{Season: "winter", Extras: json.RawMessage(extras)}); err != nil {
			t.Fatal(err)
		}
	}
	if e, err := o.Extras(t.Context(), "winter"); err != nil || string(e.Extras) != `["fed"]` {
		t.Errorf("%s %v", e.Extras, err)
	}
	if _, err := o.Extras(t.Context(), "spring"); !errors.Is(err, ErrNotFound) {
		t.Error(err)
	}
}
