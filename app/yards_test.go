package app

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"testing"

	"github.com/google/uuid"

	_ "github.com/go-sql-driver/mysql"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/store"
	"keeler/wire"
)

// sky is the same weather everywhere: so many degrees at every hour, dry and still.
type sky float64

func (s sky) Forecast(_ context.Context, _ string, _ float64, from calendar.Day) (fit.Forecast, error) {
	if s == 0 {
		return nil, errors.New("no answer")
	}
	var out fit.Forecast
	for i := range 10 * 24 {
		out = append(out, fit.Hour{Day: from + calendar.Day(i/24), Hour: i % 24, TempC: float64(s)})
	}
	return out, nil
}

// direct asks the database itself.
func direct(t *testing.T) *sql.DB {
	t.Helper()
	db, err := sql.Open("mysql", server.DSN())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = db.Close() })
	return db
}

// own is the desk of an operation that nobody else writes to.
func own(t *testing.T, s Settings) Desk {
	t.Helper()
	if s.Work == nil {
		s.Work, s.Wall = Pinned(work), Pinned(wall)
	}
	r, err := direct(t).Exec("INSERT INTO operations (name, created_at) VALUES (?, NOW(6))", t.Name())
	if err != nil {
		t.Fatal(err)
	}
	id, err := r.LastInsertId()
	if err != nil {
		t.Fatal(err)
	}
	return New(records, s).Desk(Member{User: owner.User, Operation: uint64(id), Role: Owner})
}

func yard(t *testing.T, d Desk, name string) string {
	t.Helper()
	latitude := 57.5
	y, err := d.AddYard(t.Context(), wire.SaveYard{Name: name, Latitude: &latitude})
	if err != nil {
		t.Fatal(err)
	}
	return y.ID
}

func stack(t *testing.T, text string) []wire.HiveBox {
	t.Helper()
	boxes, err := wire.ParseHive(text)
	if err != nil {
		t.Fatal(err)
	}
	return boxes
}

func colony(t *testing.T, d Desk, yard, name string) wire.ColonyWhole {
	t.Helper()
	c, err := d.AddColony(t.Context(), wire.SaveColony{YardID: yard, Name: name, Queen: "laying", Boxes: stack(t, "deep 4")})
	if err != nil {
		t.Fatal(err)
	}
	return c
}

func at(t *testing.T, what string, err error, field string, reason fault.Reason) {
	t.Helper()
	var l fault.List
	if !errors.As(err, &l) || l[0].Field != field || l[0].Reason != reason {
		t.Errorf("%s: got %v, want %s at %s", what, err, reason, field)
	}
}

func TestYardRefused(t *testing.T) {
	d := own(t, Settings{})
	far, fine := 200.0, 57.5
	_, err := d.AddYard(t.Context(), wire.SaveYard{Name: "A", Latitude: &far})
	at(t, "latitude 200", err, "latitude", fault.TooHigh)
	_, err = d.AddYard(t.Context(), wire.SaveYard{Name: "A"})
	at(t, "no latitude", err, "latitude", fault.Missing)
	yard(t, d, "A")
	_, err = d.AddYard(t.Context(), wire.SaveYard{Name: "a", Latitude: &fine})
	at(t, "a name twice", err, "name", fault.Taken)
}

// The later of two who change a colony is told, and overwrites nothing.
func TestTwoChangeOneColony(t *testing.T) {
	d := own(t, Settings{})
	c := colony(t, d, yard(t, d, "A"), "A1")
	change := func(name string) error {
		_, err := d.ChangeColony(t.Context(), c.ID, wire.SaveColony{Name: name, Boxes: stack(t, "deep 4 + medium 4"), Version: c.Version})
		return err
	}
	if err := change("first"); err != nil {
		t.Fatal(err)
	}
	if err := change("second"); !errors.Is(err, store.ErrStale) {
		t.Errorf("the later one: %v", err)
	}
	now, err := d.Colony(t.Context(), c.ID)
	if err != nil || now.Name != "first" || len(now.Boxes) != 2 || now.Version != 2 || now.Seen.Queen != "laying" {
		t.Errorf("got %+v %v", now.ColonyRecord, err)
	}
	other := colony(t, d, c.YardID, "A2")
	if _, err := d.ChangeColony(t.Context(), other.ID, wire.SaveColony{Name: "first", Boxes: stack(t, "deep 4"), Version: 1}); err == nil {
		t.Error("two colonies of a yard have one name")
	}
}

// Treatments go with the bees: into a split, and into what they are united with.
func TestTreatmentsGoWithTheBees(t *testing.T) {
	d := own(t, Settings{})
	y, far := yard(t, d, "A"), yard(t, d, "B")
	a, b := colony(t, d, y, "A1"), colony(t, d, y, "A2")
	if _, err := d.Treat(t.Context(), a.ID, wire.Treatment{ID: uuid.NewString(), Method: "dribble", GivenOn: "2026-11-20"}); err != nil {
		t.Fatal(err)
	}
	child, err := d.Split(t.Context(), a.ID, wire.Split{Child: wire.SaveColony{Name: "A1b", Boxes: stack(t, "deep 3")}})
	if err != nil || len(child.Treatments) != 1 || !child.Treatments[0].Carried || child.Treatments[0].GivenOn != "2026-11-20" {
		t.Fatalf("the split: %+v %v", child.Treatments, err)
	}
	moved, err := d.Move(t.Context(), child.ID, wire.Move{YardID: far, Version: child.Version})
	if err != nil || moved.YardName != "B" || len(moved.Treatments) != 1 {
		t.Fatalf("moved: %+v %v", moved, err)
	}
	if _, err := d.End(t.Context(), child.ID, wire.End{Into: b.ID, Version: moved.Version}); err != nil {
		t.Fatal(err)
	}
	united, err := d.Colony(t.Context(), b.ID)
	if err != nil || len(united.Treatments) != 1 || !united.Treatments[0].Carried || united.Events[0].Kind != "joined" {
		t.Errorf("united: %+v %+v %v", united.Treatments, united.Events, err)
	}
	gone, err := d.Colony(t.Context(), child.ID)
	if err != nil || gone.EndedOn != "2026-12-04" || len(gone.Treatments) != 1 {
		t.Errorf("what ended keeps its history: %+v %v", gone, err)
	}
	if whole, err := d.Yard(t.Context(), far); err != nil || len(whole.Stands) != 0 {
		t.Errorf("it still stands: %+v %v", whole.Stands, err)
	}
	_, err = d.End(t.Context(), a.ID, wire.End{Into: child.ID, Version: 1})
	at(t, "united with what has ended", err, "into", fault.Unknown)
	_, err = d.End(t.Context(), a.ID, wire.End{Version: 1})
	at(t, "ended without a reason", err, "reason", fault.Missing)
}

func TestTreatments(t *testing.T) {
	d := own(t, Settings{})
	c := colony(t, d, yard(t, d, "A"), "A1")
	treat := func(w wire.Treatment) (wire.ColonyWhole, error) {
		w.ID = uuid.NewString()
		return d.Treat(t.Context(), c.ID, w)
	}
	_, err := treat(wire.Treatment{Method: "strip", GivenOn: "2026-12-05"})
	at(t, "tomorrow", err, "given_on", fault.Future)
	_, err = treat(wire.Treatment{Method: "strip", GivenOn: "2026-12-01", OutOn: "2026-11-30"})
	at(t, "out before in", err, "out_on", fault.NotRising)
	_, err = treat(wire.Treatment{Method: "other", GivenOn: "2026-12-01"})
	at(t, "another without words", err, "what", fault.Missing)
	now, err := treat(wire.Treatment{Method: "strip", GivenOn: "2026-12-01"})
	if err != nil || len(now.In) != 1 {
		t.Fatalf("strips are in: %+v %v", now.In, err)
	}
	_, err = d.TakeOut(t.Context(), c.ID, now.In[0].ID, wire.TakeOut{})
	at(t, "on day 3 of 42", err, "on", fault.Early)
	_, err = d.TakeOut(t.Context(), c.ID, now.In[0].ID, wire.TakeOut{On: "2026-12-05", Sure: true})
	at(t, "tomorrow", err, "on", fault.Future)
	_, err = d.TakeOut(t.Context(), c.ID, now.In[0].ID, wire.TakeOut{On: "2026-11-30", Sure: true})
	at(t, "before it went in", err, "on", fault.NotRising)
	now, err = d.TakeOut(t.Context(), c.ID, now.In[0].ID, wire.TakeOut{Sure: true})
	if err != nil || len(now.In) != 0 || now.Treatments[0].OutOn != "2026-12-04" {
		t.Errorf("taken out: %+v %v", now.Treatments, err)
	}
	// All of it stands in the register, and the removal taken back puts the strips in again.
	book, err := d.Register(t.Context(), RegisterQuery{Colony: c.ID})
	if err != nil || len(book.Lines) != 2 || book.Lines[0].Kind != "out" || book.Lines[1].Kind != "other" || book.Lines[1].Method != "strip" {
		t.Fatalf("the register: %+v %v", book.Lines, err)
	}
	back := wire.Application{ID: uuid.NewString(), Kind: "skipped", Reason: "taken_back"}
	if _, err := d.Amend(t.Context(), book.Lines[0].ID, back); err != nil {
		t.Fatal(err)
	}
	if in, err := d.Colony(t.Context(), c.ID); err != nil || len(in.In) != 1 || in.Treatments[0].OutOn != "" {
		t.Errorf("a removal taken back: %+v %v", in.Treatments, err)
	}
	if _, err := d.TakeOut(t.Context(), c.ID, now.Treatments[0].ID, wire.TakeOut{Sure: true}); err != nil {
		t.Errorf("taken out again: %v", err)
	}
	if _, err := d.TakeOut(t.Context(), c.ID, now.Treatments[0].ID, wire.TakeOut{Sure: true}); err != nil {
		t.Errorf("sent again, as its answer was lost: %v", err)
	}
	if _, err := d.TakeOut(t.Context(), c.ID, now.Treatments[0].ID, wire.TakeOut{On: "2026-12-03", Sure: true}); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("taken out on another day: %v", err)
	}
}

// What was not looked at stays as it was last seen.
func TestInspections(t *testing.T) {
	d := own(t, Settings{})
	c := colony(t, d, yard(t, d, "A"), "A1")
	none := 0
	look := func(l wire.Inspection) error {
		l.ID, l.ColonyID = uuid.NewString(), c.ID
		_, err := d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{l}})
		return err
	}
	for _, l := range []wire.Inspection{
		{On: "2026-11-10", Board: [][]float64{{0, 1, 1, 0.5, 0}}, Brood: "little", Stores: "enough", Supers: &none},
		{On: "2026-12-01", Brood: "none"},
		{On: "2026-11-20", Brood: "much"}, // written up late
		{On: "2026-11-02", Typed: "1½"},
	} {
		if err := look(l); err != nil {
			t.Fatal(err)
		}
	}
	now, err := d.Colony(t.Context(), c.ID)
	if err != nil {
		t.Fatal(err)
	}
	s := now.Seen
	if s.Brood != "none" || s.BroodOn != "2026-12-01" || s.Stores != "enough" || s.StoresOn != "2026-11-10" || *s.Seams != 2.5 || len(s.Board) != 1 {
		t.Errorf("got %+v", s)
	}
	if first := now.Inspections[len(now.Inspections)-1]; first.On != "2026-11-02" || *first.Seams != 1.5 || len(first.Board[0]) != 5 {
		t.Errorf("seams that were typed: %+v", first)
	}
	many := 13
	for _, c := range []struct {
		what   string
		look   wire.Inspection
		field  string
		reason fault.Reason
	}{
		{"tomorrow", wire.Inspection{On: "2026-12-05"}, "inspections[0].on", fault.Future},
		{"no date", wire.Inspection{On: "4 December"}, "inspections[0].on", fault.NoDate},
		{"more gaps than there are", wire.Inspection{Board: [][]float64{{0, 1, 1, 1, 1, 1}}}, "inspections[0].board[0]", fault.TooMany},
		{"more boxes than there are", wire.Inspection{Board: [][]float64{{0}, {0}}}, "inspections[0].board", fault.TooMany},
		{"a third of a seam", wire.Inspection{Board: [][]float64{{0, 0.3}}}, "inspections[0].board[0][1]", fault.WholeOnly},
		{"thirteen supers", wire.Inspection{Supers: &many}, "inspections[0].supers", fault.TooHigh},
		{"an unknown word", wire.Inspection{Brood: "some"}, "inspections[0].brood", fault.Unknown},
	} {
		at(t, c.what, look(c.look), c.field, c.reason)
	}
	_, err = d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{{ID: uuid.NewString(), ColonyID: uuid.NewString()}}})
	at(t, "a colony that is none", err, "inspections[0].colony_id", fault.Unknown)
}

// Counts stand to the line of their own season, and the operation's own lines.
// 17 in 7 days is 1.4 to 3.9 a day: over the midwinter line of 1; under one of 5.
func TestCounts(t *testing.T) {
	d := own(t, Settings{})
	y := yard(t, d, "A")
	c := colony(t, d, y, "A1")
	id := uuid.NewString()
	for range 2 { // sent twice
		_, err := d.Count(t.Context(), wire.MiteCounts{Counts: []wire.MiteCount{
			{ID: id, ColonyID: c.ID, Kind: "board", Mites: 17, Days: 7, On: "2026-12-02"},
		}})
		if err != nil {
			t.Fatal(err)
		}
	}
	stands := func() (string, string, int) {
		whole, err := d.Yard(t.Context(), y)
		if err != nil {
			t.Fatal(err)
		}
		if whole.Stands[0].Count == nil {
			return "none", whole.Stands[0].Need, whole.Over
		}
		return string(whole.Stands[0].Count.Stands), whole.Stands[0].Need, whole.Over
	}
	if s, need, over := stands(); s != "over" || need != "treat" || over != 1 {
		t.Errorf("got %s %s %d", s, need, over)
	}
	thresholds, err := d.Thresholds(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	thresholds.Thresholds[0].Board = 5
	if _, err := d.SetThresholds(t.Context(), thresholds); err != nil {
		t.Fatal(err)
	}
	if s, need, _ := stands(); s != "under" || need != "none" {
		t.Errorf("by a line of one's own: %s %s", s, need)
	}
	if err := d.VoidCount(t.Context(), id, wire.Void{Reason: "Board was dirty"}); err != nil {
		t.Fatal(err)
	}
	if s, need, _ := stands(); s != "none" || need != "count" {
		t.Errorf("struck out: %s %s", s, need)
	}
	if book, err := d.Counts(t.Context(), y); err != nil || len(book.Counts) != 1 || book.Counts[0].VoidReason != "Board was dirty" {
		t.Errorf("what is struck out stays: %+v %v", book, err)
	}
	_, err = d.Count(t.Context(), wire.MiteCounts{Counts: []wire.MiteCount{{ID: uuid.NewString(), ColonyID: c.ID, Kind: "wash", Mites: 3}}})
	at(t, "no bees", err, "counts[0].bees", fault.Missing)
	thresholds.Thresholds[1].Wash = -1
	_, err = d.SetThresholds(t.Context(), thresholds)
	at(t, "a line below none", err, "thresholds[1].wash", fault.TooLow)
}

// An order must name each hive once; otherwise somebody changed the yard meanwhile.
func TestArrange(t *testing.T) {
	d := own(t, Settings{})
	y := yard(t, d, "A")
	a, b := colony(t, d, y, "A1"), colony(t, d, y, "A2")
	whole, err := d.Arrange(t.Context(), y, wire.Order{Colonies: []string{b.ID, a.ID}})
	if err != nil || whole.Stands[0].Name != "A2" {
		t.Errorf("got %+v %v", whole.Stands, err)
	}
	for _, ids := range [][]string{{a.ID}, {a.ID, a.ID}, {a.ID, b.ID, uuid.NewString()}} {
		if _, err := d.Arrange(t.Context(), y, wire.Order{Colonies: ids}); !errors.Is(err, store.ErrStale) {
			t.Errorf("%v: got %v", ids, err)
		}
	}
}

// However many colonies there are, deciding takes the same number of statements.
func TestStatementsDoNotGrow(t *testing.T) {
	d := own(t, Settings{Weather: sky(5), Work: Pinned(work), Wall: Pinned(wall)})
	db := direct(t)
	asked := func() int {
		var name string
		var n int
		if err := db.QueryRow("SHOW GLOBAL STATUS LIKE 'Questions'").Scan(&name, &n); err != nil {
			t.Fatal(err)
		}
		return n
	}
	d.app.foresight.begin(d.who.Operation) // what goes on in the background is not of an answer
	y := yard(t, d, "A")
	cost := func() map[string]int {
		out := map[string]int{}
		for what, do := range map[string]func() error{
			"decide": func() error { _, err := d.Decide(t.Context(), Question{}); return err },
			"yard":   func() error { _, err := d.Yard(t.Context(), y); return err },
			"counts": func() error { _, err := d.Counts(t.Context(), y); return err },
			"yards":  func() error { _, err := d.Yards(t.Context()); return err },
			"jobs":   func() error { _, err := d.Jobs(t.Context(), false, false); return err },
		} {
			before := asked()
			if err := do(); err != nil {
				t.Fatal(err)
			}
			out[what] = asked() - before
		}
		return out
	}
	add := func(n int) {
		for i := range n {
			c := colony(t, d, y, fmt.Sprint("A", i, n))
			_, err := d.Count(t.Context(), wire.MiteCounts{Counts: []wire.MiteCount{{ID: uuid.NewString(), ColonyID: c.ID, Kind: "wash", Mites: 1, Bees: 300}}})
			if err != nil {
				t.Fatal(err)
			}
		}
	}
	add(2)
	few := cost()
	add(20)
	for what, n := range cost() {
		if n != few[what] || n > 13 {
			t.Errorf("%s: %d statements for 22 colonies, %d for 2", what, n, few[what])
		}
	}
}
