package demo

import (
	"bytes"
	"encoding/json"
	"slices"
	"strings"
	"testing"
	"time"

	"keeler/app"
	"keeler/store"
)

// A closed operation keeps its register, line by line, until its day and nothing else; one that is
// erased leaves nothing. The operation beside it, of the same ids and people, is not touched.
func TestErase(t *testing.T) {
	s := shelf(t)()
	if err := Seed(t.Context(), s, nil); err != nil {
		t.Fatal(err)
	}
	exec := func(statement string) {
		t.Helper()
		if _, err := s.Pool().ExecContext(t.Context(), statement); err != nil {
			t.Fatal(err)
		}
	}
	count := func(query string) (n int) {
		t.Helper()
		if err := s.Pool().QueryRowContext(t.Context(), query).Scan(&n); err != nil {
			t.Fatal(err)
		}
		return n
	}
	whole := archiveOf(t, s)
	exec("INSERT INTO operations (id, name, created_at) VALUES (2, 'Upriver', NOW(6))")
	beside := s.For(2)
	if _, err := beside.ReadArchive(t.Context(), bytes.NewReader(whole), int64(len(whole))); err != nil {
		t.Fatal(err)
	}
	exec("INSERT INTO users (login, password_hash, created_at) VALUES ('Miller', 'x', NOW(6))")
	exec("INSERT INTO members (operation_id, user_id, role, joined_at) SELECT 2, id, 'owner', NOW(6) FROM users WHERE login = 'Miller'")
	untouched := func(when string) {
		t.Helper()
		var out bytes.Buffer
		if err := beside.WriteArchive(t.Context(), &out, plain); err != nil {
			t.Fatal(err)
		}
		if !bytes.Equal(out.Bytes(), whole) {
			t.Errorf("%s: the operation beside it has changed", when)
		}
	}
	members, first, until := count("SELECT COUNT(*) FROM members WHERE operation_id = 1"), s.For(store.FirstOperation), time.Date(2031, 12, 31, 0, 0, 0, 0, time.UTC)

	record := func() string {
		t.Helper()
		keeler := app.New(s, app.Settings{Work: app.Pinned(Now), Wall: app.Pinned(Now)})
		m, err := keeler.MemberOf(t.Context(), uint64(count("SELECT MIN(user_id) FROM members WHERE operation_id = 1")), store.FirstOperation)
		if err != nil {
			t.Fatal(err)
		}
		told, err := keeler.Desk(m).Record(t.Context(), app.RecordQuery{Year: 2026})
		if err != nil || told.Lines == 0 {
			t.Fatalf("%d lines: %v", told.Lines, err)
		}
		raw, err := json.Marshal(told)
		if err != nil {
			t.Fatal(err)
		}
		return string(raw)
	}
	inspected := record()

	if err := first.Close(t.Context(), until); err != nil {
		t.Fatal(err)
	}
	if now := record(); now != inspected {
		t.Errorf("the medicine record is\n%.600s\nand was\n%.600s", now, inspected)
	}
	untouched("closed")
	_, before := filesOf(t, whole)
	_, after := filesOf(t, archiveOf(t, s))
	kept := []string{"operation", "yards", "colonies", "label_cards", "jobs", "batches", "batch_components", "batch_lines", "batch_remarks", "lots", "stock_entries", "portions", "applications", "spent_pieces"}
	for name := range before {
		table, lines := strings.CutSuffix(name, ".jsonl")
		switch {
		case !lines:
		case slices.Contains(kept, table) && !bytes.Equal(after[name], before[name]):
			t.Errorf("%s has changed", table)
		case !slices.Contains(kept, table) && len(after[name]) > 0:
			t.Errorf("of %s there is something left", table)
		}
	}
	if n := count("SELECT COUNT(*) FROM members WHERE operation_id = 1"); n != members {
		t.Errorf("%d of %d members can read it", n, members)
	}
	for day, want := range map[time.Time]int{until: 0, until.AddDate(0, 0, 1): 1} {
		if due, err := s.People().Due(t.Context(), day); err != nil || len(due) != want {
			t.Errorf("on %s %v are due: %v", day.Format(time.DateOnly), due, err)
		}
	}

	if err := first.Erase(t.Context()); err != nil {
		t.Fatal(err)
	}
	untouched("erased")
	rows, err := s.Pool().QueryContext(t.Context(), "SELECT table_name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'operation_id'")
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = rows.Close() }()
	for rows.Next() {
		var table string
		if err := rows.Scan(&table); err != nil {
			t.Fatal(err)
		}
		if n := count("SELECT COUNT(*) FROM " + table + " WHERE operation_id = 1"); n > 0 {
			t.Errorf("%d lines of %s are left", n, table)
		}
	}
	if n := count("SELECT COUNT(*) FROM operations WHERE name = '' AND kept_until IS NULL"); n != 1 {
		t.Error("nobody can begin anew")
	}
	if err := beside.Erase(t.Context()); err != nil {
		t.Fatal(err)
	}
	if n := count("SELECT COUNT(*) FROM users"); n > 0 {
		t.Errorf("%d people are left", n)
	}
}
