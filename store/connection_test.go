package store

import (
	"database/sql"
	"testing"
)

// A connection is strict, in UTC and in four-byte letters, whatever the server is set to.
func TestConnectionIsAsKeelerNeedsIt(t *testing.T) {
	root, err := sql.Open("mysql", server.Maintenance(""))
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = root.Close() }()
	set := func(statement string) {
		t.Helper()
		if _, err := root.ExecContext(t.Context(), statement); err != nil {
			t.Fatal(err)
		}
	}
	set("SET GLOBAL sql_mode = '', GLOBAL time_zone = '+05:00', GLOBAL character_set_server = latin1, GLOBAL tx_isolation = 'SERIALIZABLE'")
	defer func() {
		_, err := root.Exec("SET GLOBAL sql_mode = DEFAULT, GLOBAL time_zone = DEFAULT, GLOBAL character_set_server = utf8mb4, GLOBAL tx_isolation = DEFAULT")
		if err != nil {
			t.Error(err)
		}
	}()
	s := open(t)
	if err := s.Check(t.Context()); err != nil {
		t.Error(err)
	}
	o := operation(t, s)
	long := make([]rune, 61)
	for i := range long {
		long[i] = '🐝'
	}
	y := Yard{ID: id("long"), Name: string(long), CreatedAt: morning}
	if err := o.AddYard(t.Context(), &y); err == nil {
		t.Error("a name that does not fit was cut")
	}
	y.Name = string(long[:60])
	if err := o.AddYard(t.Context(), &y); err != nil {
		t.Fatal(err)
	}
	if is, err := o.Yard(t.Context(), y.ID); err != nil || is.Name != y.Name {
		t.Errorf("%q: %v", is.Name, err)
	}
	var apart int
	if err := s.pool.QueryRowContext(t.Context(), "SELECT TIMESTAMPDIFF(SECOND, UTC_TIMESTAMP(), NOW())").Scan(&apart); err != nil || apart != 0 {
		t.Errorf("NOW() is %d s from UTC: %v", apart, err)
	}
}

// A server that lacks what the schema uses is told by its version.
func TestServersThatAreEnough(t *testing.T) {
	for version, want := range map[string]bool{
		"10.11.6-MariaDB-0+deb12u1": true, "10.10.2-MariaDB": false, "11.4.2-MariaDB-log": true, "10.9.8-MariaDB": false,
		"8.0.36": false, "5.5.5": false, "9-MariaDB": false, "": false,
	} {
		if err := enough(version); (err == nil) != want {
			t.Errorf("%q: %v", version, err)
		}
	}
}
