package store

import (
	"context"
	"database/sql"
	"errors"
	"io/fs"
	"strings"
	"sync"
	"testing"
	"testing/fstest"
	"time"

	"keeler/store/mariadbd"
)

// shape is all that a database's tables are, by their own definitions.
func shape(t *testing.T, db *sql.DB) string {
	t.Helper()
	rows, err := db.QueryContext(t.Context(), "SELECT table_name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY table_name")
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = rows.Close() }()
	var names []string
	for rows.Next() {
		var name string
		if err := rows.Scan(&name); err != nil {
			t.Fatal(err)
		}
		names = append(names, name)
	}
	var all strings.Builder
	for _, name := range names {
		var definition string
		if err := db.QueryRowContext(t.Context(), "SHOW CREATE TABLE "+name).Scan(&name, &definition); err != nil {
			t.Fatal(err)
		}
		definition, _, _ = strings.Cut(definition, " AUTO_INCREMENT=")
		all.WriteString(definition + "\n")
	}
	var versions string
	if err := db.QueryRowContext(t.Context(), "SELECT GROUP_CONCAT(version_id ORDER BY version_id) FROM goose_db_version").Scan(&versions); err != nil {
		t.Fatal(err)
	}
	return all.String() + versions
}

// emptied opens a database of its own that has nothing in it, and the same through a line.
func emptied(t *testing.T) (direct, through *Store, line *mariadbd.Line) {
	t.Helper()
	dsn, err := server.Database(t.Context(), t.Name())
	if err != nil {
		t.Fatal(err)
	}
	line, cut, err := mariadbd.NewLine(dsn)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(line.Close)
	if direct, err = Open(dsn); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = direct.Close() })
	if through, err = Open(cut); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = through.Close() })
	return direct, through, line
}

// later is the schema with a step after it, as an upgrade has.
func later(t *testing.T) fs.FS {
	t.Helper()
	steps := fstest.MapFS{
		"00099_more.sql": {Data: []byte("-- +goose Up\nCREATE TABLE IF NOT EXISTS more (id INT PRIMARY KEY);\nALTER TABLE yards ADD COLUMN IF NOT EXISTS more INT NULL;\n" +
			"UPDATE yards SET more = 1;\n-- +goose Down\nALTER TABLE yards DROP COLUMN IF EXISTS more;\nDROP TABLE IF EXISTS more;\n")},
	}
	names, err := fs.Glob(schema, "*.sql")
	if err != nil {
		t.Fatal(err)
	}
	for _, name := range names {
		step, err := fs.ReadFile(schema, name)
		if err != nil {
			t.Fatal(err)
		}
		steps[name] = &fstest.MapFile{Data: step}
	}
	return steps
}

// Cut off at any statement, before it is done or after, a migration is done over: the
// schema comes out as if nothing had happened, and what was in it is there.
func TestMigrationSurvivesACutAtEveryStatement(t *testing.T) {
	was := beatless // of one that was cut off nobody hears any more
	beatless = 100 * time.Millisecond
	t.Cleanup(func() { beatless = was })
	s, cut, line := emptied(t)
	steps := later(t)
	clear := func() {
		t.Helper()
		if _, err := server.Database(t.Context(), t.Name()); err != nil {
			t.Fatal(err)
		}
	}
	line.CutAt(0, false)
	if err := cut.migrate(t.Context(), steps); err != nil {
		t.Fatal(err)
	}
	want, statements := shape(t, s.pool), line.Asked()
	if statements < 40 {
		t.Fatalf("only %d statements", statements)
	}
	for n := 1; n <= statements; n++ {
		clear()
		line.CutAt(n, n%2 == 0)
		if err := cut.migrate(t.Context(), steps); err == nil && n < statements {
			t.Errorf("cut at %d of %d, nothing is said", n, statements)
		}
		line.CutAt(0, false)
		if err := s.migrate(t.Context(), steps); err != nil {
			t.Fatalf("again after a cut at %d: %v", n, err)
		}
		if got := shape(t, s.pool); got != want {
			t.Fatalf("after a cut at %d of %d it is\n%s\nwant\n%s", n, statements, got, want)
		}
	}
}

// An upgrade is told, keeps what is there, and can be stepped back; a database of a newer
// program is refused, and so is a step before the first.
func TestUpgradeAndBack(t *testing.T) {
	s, _, _ := emptied(t)
	v, err := s.Versions(t.Context())
	if err != nil || v.Is != 0 || v.Newest < 2 || v.Newest != Newest() || v.Upgrades() {
		t.Errorf("an empty database: %+v %v", v, err)
	}
	if err := s.Migrate(t.Context()); err != nil {
		t.Fatal(err)
	}
	y := Yard{ID: id("kept"), Name: "Kept", CreatedAt: morning}
	if err := s.For(FirstOperation).AddYard(t.Context(), &y); err != nil {
		t.Fatal(err)
	}
	before := shape(t, s.pool) // with what it counted so far
	if err := s.migrate(t.Context(), later(t)); err != nil {
		t.Fatal(err)
	}
	if err := s.Migrate(t.Context()); err == nil || !strings.Contains(err.Error(), "newer Keeler") {
		t.Errorf("a newer schema: %v", err)
	}
	if err := s.stepBack(t.Context(), later(t)); err != nil {
		t.Fatal(err)
	}
	if shape(t, s.pool) != before {
		t.Error("stepped back, it is not as it was")
	}
	if is, err := s.For(FirstOperation).Yard(t.Context(), y.ID); err != nil || is.Name != "Kept" {
		t.Errorf("%+v %v", is, err)
	}
	for range v.Newest - 1 {
		if err := s.StepBack(t.Context()); err != nil {
			t.Fatal(err)
		}
	}
	if is, err := s.For(FirstOperation).Yard(t.Context(), y.ID); err != nil || is.Name != "Kept" {
		t.Errorf("back at the first step: %+v %v", is, err)
	}
	if err := s.StepBack(t.Context()); !errors.Is(err, ErrFirst) {
		t.Errorf("before the first: %v", err)
	}
}

// Several servers that start at once change the schema once.
func TestMigrateAtOnce(t *testing.T) {
	s, _, _ := emptied(t)
	var all sync.WaitGroup
	for range 4 {
		all.Go(func() {
			if err := s.Migrate(context.Background()); err != nil {
				t.Error(err)
			}
		})
	}
	all.Wait()
}
