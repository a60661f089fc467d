package app

import (
	"errors"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

// A season of practice is an operation of its own: its hives can be looked into, what is given to them works on the hidden
// mites, its clock is brought forward alone, and at the end the truth is told. Nothing of it is left in the real one, and another
// person who plays the same season sees the same.
func TestPracticeSeason(t *testing.T) {
	d := own(t, Settings{})
	enrolled(t, d)
	if _, err := d.Glimpse(t.Context(), counted(t, d, yard(t, d, "A"), "A1", nil)); !errors.Is(err, ErrForbidden) {
		t.Errorf("a real hive shows what is hidden: %v", err)
	}
	begin := func(level int, seed uint32) Desk {
		t.Helper()
		m, err := d.BeginPractice(t.Context(), wire.BeginPractice{Level: level, Seed: seed})
		if err != nil {
			t.Fatal(err)
		}
		return d.app.Desk(m)
	}
	hives := func(p Desk) (ids []string) {
		t.Helper()
		yards, err := p.Yards(t.Context())
		if err != nil || len(yards.Yards) != 1 {
			t.Fatalf("%+v: %v", yards, err)
		}
		whole, err := p.Yard(t.Context(), yards.Yards[0].ID)
		if err != nil || len(whole.Stands) != practiceHives {
			t.Fatalf("%d hives: %v", len(whole.Stands), err)
		}
		for _, c := range whole.Stands {
			ids = append(ids, c.ID)
		}
		return ids
	}
	glimpse := func(p Desk, id string) wire.Glimpse {
		t.Helper()
		g, err := p.Glimpse(t.Context(), id)
		if err != nil {
			t.Fatal(err)
		}
		return g
	}
	on := func(p Desk, days int) Desk {
		t.Helper()
		for days > 0 {
			if err := p.MovePractice(t.Context(), wire.MovePractice{Days: min(days, mostMove)}); err != nil {
				t.Fatal(err)
			}
			days -= mostMove
		}
		m, err := p.app.MemberOf(t.Context(), p.who.User, p.who.Operation)
		if err != nil {
			t.Fatal(err)
		}
		return p.app.Desk(m)
	}
	p := begin(3, 4821)
	all := hives(p)
	first := glimpse(p, all[0])
	if first.Day != "2026-05-01" || first.Seams < 1 || first.Brood == "" || first.Typed == "" || first.Words == "" || first.Board != nil {
		t.Errorf("on the first day: %+v", first)
	}
	board := uuid.NewString()
	if _, err := p.PutBoard(t.Context(), all[0], wire.PutBoard{ID: board}); err != nil {
		t.Fatal(err)
	}
	p = on(p, 7)
	if g := glimpse(p, all[0]); g.Day != "2026-05-08" || g.BoardSince != "2026-05-01" || g.BoardDays != 7 || g.Board == nil {
		t.Errorf("after a week: %+v", g)
	}
	// Late in summer two of them get acid; in the other three nothing is done.
	p = on(p, 100)
	for _, id := range all[:2] {
		given := wire.OtherTreatment{Method: "vapour", Product: "Vaporised", GivenOn: written(p.today()), Amount: 2, Unit: "g", Rule: "permit",
			Colonies: []wire.OtherColony{{ID: uuid.NewString(), ColonyID: id}}}
		if _, err := p.RecordOther(t.Context(), given); err != nil {
			t.Fatal(err)
		}
	}
	before, err := p.Verdict(t.Context())
	if err != nil || len(before.Hives) != practiceHives {
		t.Fatalf("%+v: %v", before, err)
	}
	p = on(p, 100)
	after, err := p.Verdict(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	grown := func(i int) float64 {
		was, is := before.Hives[i].Points, after.Hives[i].Points
		return is[len(is)-1].Mites / was[len(was)-1].Mites
	}
	for _, i := range []int{2, 3, 4} {
		for _, treated := range []int{0, 1} {
			if grown(treated) >= grown(i) {
				t.Errorf("treated, mites of %s grow %.2f times; %s untreated %.2f times", after.Hives[treated].Name, grown(treated), after.Hives[i].Name, grown(i))
			}
		}
	}
	lots, err := p.Lots(t.Context())
	if err != nil || len(lots.Lots) != len(practiceLots) || after.Spent != 0 {
		t.Errorf("%d lots, of which %g is spent: %v", len(lots.Lots), after.Spent, err)
	}
	for _, l := range lots.Lots {
		if l.Ingredient != "sugar" { // 2 kg at 1.50 are 3
			continue
		}
		if _, err := p.EnterLot(t.Context(), l.ID, wire.StockEntry{ID: uuid.NewString(), Kind: "used", Amount: 2000}); err != nil {
			t.Fatal(err)
		}
	}
	if told, err := p.Verdict(t.Context()); err != nil || told.Spent != 3 {
		t.Errorf("2 kg of sugar are %g: %v", told.Spent, err)
	}
	for i, h := range after.Hives {
		if h.Words == "" || h.Better == "" || h.Lives != (h.Most < 2500) || i < 2 && h.Cost != []string{"2 visits.", "1 visit."}[i] {
			h.Points, h.Known = nil, nil
			t.Errorf("%+v", h)
		}
	}
	at(t, "beyond its end", func() error {
		for range 6 {
			if err := p.MovePractice(t.Context(), wire.MovePractice{Days: 31}); err != nil {
				return err
			}
		}
		return nil
	}(), "days", fault.Ended)
	// In spring those that took too many mites along are dead, and only those.
	m, err := d.app.MemberOf(t.Context(), d.who.User, p.who.Operation)
	if err != nil {
		t.Fatal(err)
	}
	lost := 0
	for i, h := range after.Hives {
		silent := glimpse(d.app.Desk(m), all[i]).Seams == 0
		if silent == h.Lives {
			t.Errorf("%s lives: %t, and is silent: %t", h.Name, h.Lives, silent)
		}
		if silent {
			lost++
		}
	}
	if lost == 0 {
		t.Error("in a hard season in which hardly anything was done all hives live")
	}
	// Played again it is the same season, and the one before is gone.
	replayed := begin(3, 4821)
	if again := glimpse(replayed, hives(replayed)[0]); again.Words != first.Words {
		t.Errorf("played again: %q, was %q", again.Words, first.Words)
	}
	last := begin(1, 0)
	if _, err := d.app.MemberOf(t.Context(), d.who.User, p.who.Operation); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("the season before is still there: %v", err)
	}
	if _, err := d.Verdict(t.Context()); !errors.Is(err, ErrForbidden) {
		t.Errorf("a verdict on what is real: %v", err)
	}
	if err := d.MovePractice(t.Context(), wire.MovePractice{Days: 1}); !errors.Is(err, ErrForbidden) {
		t.Errorf("the real clock is moved: %v", err)
	}
	home, err := last.LeavePractice(t.Context())
	if err != nil || home.Operation != d.who.Operation || home.Practice != nil {
		t.Errorf("%+v: %v", home, err)
	}
	yards, err := d.Yards(t.Context())
	if err != nil || len(yards.Yards) != 1 || d.today().String() != work.Format(time.DateOnly) {
		t.Errorf("%d real yards on %s: %v", len(yards.Yards), d.today(), err)
	}
	for field, in := range map[string]wire.BeginPractice{"level": {Level: 4}, "seed": {Level: 1, Seed: 1_000_000}} {
		_, err := d.BeginPractice(t.Context(), in)
		at(t, field, err, field, fault.TooHigh)
	}
}

// In the demo a hive goes on from what is known of it: the same each time it is asked, and treated it has fewer mites.
func TestGlimpseOfTheDemo(t *testing.T) {
	clock := NewMovable(work)
	d := own(t, Settings{Work: clock.Now, Wall: Pinned(work), Move: clock.Move, Welcome: Welcome{Demo: true}})
	id := counted(t, d, yard(t, d, "A"), "A1", map[string]int{"2026-07-10": 2, "2026-09-10": 9})
	if _, err := d.PutBoard(t.Context(), id, wire.PutBoard{ID: uuid.NewString()}); err != nil {
		t.Fatal(err)
	}
	if _, err := d.Glimpse(t.Context(), id); !errors.Is(err, ErrForbidden) {
		t.Errorf("on the first day: %v", err)
	}
	clock.Move(10)
	g, err := d.Glimpse(t.Context(), id)
	again, _ := d.Glimpse(t.Context(), id)
	if err != nil || g.Board == nil || g.Brood != "none" || g.Wash != nil || g.Words != again.Words || *g.Board != *again.Board {
		t.Errorf("%+v, again %+v: %v", g, again, err)
	}
	given := wire.OtherTreatment{Method: "vapour", Product: "Vaporised", GivenOn: "2026-12-14", Amount: 2, Unit: "g", Rule: "permit", Colonies: []wire.OtherColony{{ID: uuid.NewString(), ColonyID: id}}}
	if _, err := d.RecordOther(t.Context(), given); err != nil {
		t.Fatal(err)
	}
	clock.Move(4)
	if fell, err := d.Glimpse(t.Context(), id); err != nil || *fell.Board < 3**g.Board+20 {
		t.Errorf("after vapour %d on the board, %d before: %v", *fell.Board, *g.Board, err)
	}
}

// enrolled makes the person of a desk a member of its operation, as one who signs in is.
func enrolled(t *testing.T, d Desk) {
	t.Helper()
	if _, err := direct(t).Exec("INSERT INTO members (operation_id, user_id, role, joined_at) VALUES (?, ?, 'owner', NOW(6))", d.who.Operation, d.who.User); err != nil {
		t.Fatal(err)
	}
}
