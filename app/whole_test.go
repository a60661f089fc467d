package app

import (
	"errors"
	"fmt"
	"sync"
	"testing"

	"github.com/google/uuid"

	"keeler/store"
	"keeler/store/mariadbd"
	"keeler/wire"
)

// throughLine is the same desk, whose database can be cut off.
func throughLine(t *testing.T, d Desk) (Desk, *mariadbd.Line) {
	t.Helper()
	line, dsn, err := mariadbd.NewLine(server.DSN())
	if err != nil {
		t.Fatal(err)
	}
	s, err := store.Open(dsn)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() {
		_ = s.Close()
		line.Close()
	})
	return New(s, d.app.set).Desk(d.who), line
}

// request is one that writes several things, with fresh ids each time it is made.
type request func() (send func(Desk) error, stands func() (string, error))

// requests are those of a desk, with the ways in which each may stand afterwards: not at
// all, or whole.
func requests(t *testing.T, v *visitor) map[string]request {
	counted := func(entries []wire.StockEntry, kind string) (n int) {
		for _, e := range entries {
			if e.Kind == kind {
				n++
			}
		}
		return n
	}
	batch := func() string {
		in := litre(uuid.NewString())
		if _, _, err := v.d.SaveBatch(t.Context(), in); err != nil {
			t.Fatal(err)
		}
		return in.ID
	}
	jar := func(id string) (string, error) {
		b, err := v.d.Batch(t.Context(), id)
		if err != nil {
			return "", err
		}
		l, err := v.d.Ledger(t.Context(), id)
		return fmt.Sprintf("%s, made %d times, used %d times", b.State, counted(l.Entries, "made"), counted(l.Entries, "used")), err
	}
	return map[string]request{
		"a lot": func() (func(Desk) error, func() (string, error)) {
			in := wire.Lot{ID: uuid.NewString(), Ingredient: "acid", Name: "Crystals", Amount: 500}
			return func(d Desk) error { return orNil(d.AddLot(t.Context(), in)) }, func() (string, error) {
				l, err := v.d.Lot(t.Context(), in.ID)
				if errors.Is(err, store.ErrNotFound) {
					return "nothing", nil
				}
				return fmt.Sprintf("%v g in %d lines", l.Left, len(l.Entries)), err
			}
		},
		"made without the bench": func() (func(Desk) error, func() (string, error)) {
			id, in := batch(), wire.StockEntry{ID: uuid.NewString(), Kind: "made", Amount: 1000}
			return func(d Desk) error { return orNil(d.Enter(t.Context(), id, in)) }, func() (string, error) { return jar(id) }
		},
		"a dose from a jar mixed by hand": func() (func(Desk) error, func() (string, error)) {
			id := batch()
			in := wire.Applications{Applications: []wire.Application{
				{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", BatchID: id, Amount: 30, ApplicationDetail: wire.ApplicationDetail{ByHand: true}},
			}}
			return func(d Desk) error { return orNil(d.Apply(t.Context(), v.job, outOn, in)) }, func() (string, error) {
				stands, err := jar(id)
				if err != nil {
					return "", err
				}
				lines, err := v.d.Register(t.Context(), RegisterQuery{Batch: id})
				return fmt.Sprintf("%s, %d lines", stands, len(lines.Lines)), err
			}
		},
		"what was given to two colonies": func() (func(Desk) error, func() (string, error)) {
			in := wire.OtherTreatment{Method: "vapour", Product: uuid.NewString(), GivenOn: "2026-11-20", Amount: 1, Unit: "g"}
			for _, h := range v.hives[:2] {
				in.Colonies = append(in.Colonies, wire.OtherColony{ID: uuid.NewString(), ColonyID: h})
			}
			return func(d Desk) error { return orNil(d.RecordOther(t.Context(), in)) }, func() (string, error) {
				lines, err := v.d.Register(t.Context(), RegisterQuery{Method: "vapour"})
				n := 0
				for _, l := range lines.Lines {
					if l.Product == in.Product {
						n++
					}
				}
				return fmt.Sprint(n, " lines"), err
			}
		},
		"a pot begun": func() (func(Desk) error, func() (string, error)) {
			id := batch()
			in := wire.BeginBench{Balances: wire.UsualBalances().Balances}
			return func(d Desk) error { return orNil(d.BeginBench(t.Context(), id, in)) }, func() (string, error) {
				run, err := v.d.Bench(t.Context(), id)
				return fmt.Sprintf("%s, begun %v", run.State, run.Begun), err
			}
		},
	}
}

func orNil[T any](_ T, err error) error { return err }

// Wherever the connection to the database is cut, before a statement reaches it or before
// its answer comes back, a request is done whole or not at all; and sent again it is done.
func TestCutAnywhereNothingIsHalf(t *testing.T) {
	v := goOut(t, "winter")
	d, line := throughLine(t, v.d)
	for what, prepare := range requests(t, v) {
		send, stands := prepare()
		before, err := stands()
		if err != nil {
			t.Fatal(what, err)
		}
		line.CutAt(0, false)
		if err := send(d); err != nil {
			t.Fatal(what, err)
		}
		whole, err := stands()
		if err != nil || whole == before {
			t.Fatalf("%s: %s, as before, %v", what, whole, err)
		}
		statements := line.Asked()
		for n := 1; n <= statements; n++ {
			for _, delivered := range []bool{false, true} {
				send, stands := prepare()
				line.CutAt(n, delivered)
				err := send(d)
				stood, _ := stands()
				if stood != before && stood != whole || err == nil && stood != whole {
					t.Errorf("%s, cut at statement %d of %d: %q, where it should be %q or %q (%v)", what, n, statements, stood, before, whole, err)
				}
				line.CutAt(0, false)
				if err := send(d); err != nil {
					t.Errorf("%s, again after a cut at statement %d: %v", what, n, err)
				}
				if stood, _ := stands(); stood != whole {
					t.Errorf("%s, again after a cut at statement %d: %q", what, n, stood)
				}
			}
		}
	}
}

// What is changed over the version that was seen, and is sent again because its answer was
// lost, is a success; another change over that version is told as too late.
func TestChangedAgainIsASuccess(t *testing.T) {
	d, yard, hives := ready(t, 4)
	c, err := d.Colony(t.Context(), hives[0])
	if err != nil {
		t.Fatal(err)
	}
	elsewhere := uuid.NewString()
	if _, err := d.AddYard(t.Context(), wire.SaveYard{ID: elsewhere, Name: "B", Latitude: new(57.0)}); err != nil {
		t.Fatal(err)
	}
	save := wire.SaveColony{Name: "Renamed", Boxes: stack(t, "deep 4"), Version: c.Version}
	for what, do := range map[string]func(note string) error{
		"a yard": func(n string) error {
			return orNil(d.ChangeYard(t.Context(), yard, wire.SaveYard{Name: "A" + n, Latitude: new(57.0), Version: 1}))
		},
		"a colony": func(n string) error {
			save.Notes = n
			return orNil(d.ChangeColony(t.Context(), hives[0], save))
		},
		"a move": func(n string) error {
			to := map[string]string{"": elsewhere, "x": yard}[n]
			return orNil(d.Move(t.Context(), hives[1], wire.Move{YardID: to, Version: c.Version}))
		},
	} {
		for range 2 {
			if err := do(""); err != nil {
				t.Errorf("%s: %v", what, err)
			}
		}
		if err := do("x"); !errors.Is(err, store.ErrStale) {
			t.Errorf("%s, another over the same version: %v", what, err)
		}
	}
	for _, reason := range []string{"dead", "dead", "sold"} {
		err := orNil(d.End(t.Context(), hives[1], wire.End{Reason: reason, Version: c.Version + 1}))
		if (err == nil) != (reason == "dead") {
			t.Errorf("ended as %s: %v", reason, err)
		}
	}
}

// Said sixteen times at once, a batch is made once; each who said it hears how it stands.
func TestMadeAtOnceMakesOnce(t *testing.T) {
	d := here()
	in := litre(uuid.NewString())
	if _, _, err := d.SaveBatch(t.Context(), in); err != nil {
		t.Fatal(err)
	}
	var all sync.WaitGroup
	done := make(chan error, 16)
	for range cap(done) {
		all.Go(func() {
			_, err := d.Enter(t.Context(), in.ID, wire.StockEntry{ID: uuid.NewString(), Kind: "made", Amount: 1000})
			done <- err
		})
	}
	all.Wait()
	close(done)
	made := 0
	for err := range done {
		if err == nil {
			made++
		} else {
			refused(t, err, "kind", "not_fitting")
		}
	}
	l, err := d.Ledger(t.Context(), in.ID)
	if err != nil || made != 1 || l.Left != 1000 || len(l.Entries) != 1 {
		t.Errorf("%d made it, %v mL in %d lines: %v", made, l.Left, len(l.Entries), err)
	}
}

// A batch is begun at the bench or said to be made, whoever comes first; never both.
func TestBeginOrMade(t *testing.T) {
	d := here()
	for range 12 {
		in := litre(uuid.NewString())
		if _, _, err := d.SaveBatch(t.Context(), in); err != nil {
			t.Fatal(err)
		}
		var both sync.WaitGroup
		var begun, made error
		both.Go(func() {
			_, begun = d.BeginBench(t.Context(), in.ID, wire.BeginBench{Balances: wire.UsualBalances().Balances})
		})
		both.Go(func() {
			_, made = d.Enter(t.Context(), in.ID, wire.StockEntry{ID: uuid.NewString(), Kind: "made", Amount: 1000})
		})
		both.Wait()
		if (begun == nil) == (made == nil) {
			t.Fatalf("begun: %v; made: %v", begun, made)
		}
	}
}

// New colonies, orders of hives and moves at once all come about, none in another's place.
func TestStandLineAtOnce(t *testing.T) {
	d, yard, _ := ready(t, 4)
	var all sync.WaitGroup
	failed := make(chan error, 64)
	const each = 12
	for i := range each {
		all.Go(func() {
			in := wire.SaveColony{YardID: yard, Name: fmt.Sprint("New ", i), Boxes: stack(t, "deep 4")}
			if _, err := d.AddColony(t.Context(), in); err != nil {
				failed <- err
			}
		})
		all.Go(func() {
			y, err := d.Yard(t.Context(), yard)
			order := wire.Order{}
			for _, s := range y.Stands {
				order.Colonies = append([]string{s.ID}, order.Colonies...)
			}
			if err == nil {
				_, err = d.Arrange(t.Context(), yard, order)
			}
			if err != nil && !errors.Is(err, store.ErrStale) { // a colony came meanwhile: that is said
				failed <- err
			}
		})
	}
	all.Wait()
	close(failed)
	for err := range failed {
		t.Error(err)
	}
	rows, err := d.op.ColoniesIn(t.Context(), yard)
	if err != nil || len(rows) != 2+each {
		t.Fatalf("%d colonies: %v", len(rows), err)
	}
	at := map[int]bool{}
	for _, r := range rows {
		if at[r.Position] {
			t.Errorf("two stand at %d", r.Position)
		}
		at[r.Position] = true
	}
}
