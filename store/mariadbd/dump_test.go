package mariadbd

import (
	"bytes"
	"database/sql"
	"io"
	"strings"
	"testing"
)

// What is read into another database is the same; a dump that is not whole is told.
func TestDumpAndLoad(t *testing.T) {
	s, db := up(t, t.TempDir())
	run(t, db, "CREATE TABLE kept (n INT, word VARCHAR(20) CHARACTER SET utf8mb4, raw BLOB)")
	run(t, db, "INSERT INTO kept VALUES (1, 'Wabe 🐝', x'00ff27')")
	var copied bytes.Buffer
	if err := Dump(t.Context(), s.DSN(), &copied); err != nil {
		t.Fatal(err)
	}
	other, err := s.Database(t.Context(), "again")
	if err != nil {
		t.Fatal(err)
	}
	if err := Load(t.Context(), other, &copied); err != nil {
		t.Fatal(err)
	}
	back, err := sql.Open("mysql", other)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = back.Close() }()
	var n int
	var word string
	var raw []byte
	if err := back.QueryRowContext(t.Context(), "SELECT * FROM kept").Scan(&n, &word, &raw); err != nil || n != 1 || word != "Wabe 🐝" || string(raw) != "\x00\xff'" {
		t.Errorf("%d %q %q %v", n, word, raw, err)
	}
	if err := Dump(t.Context(), strings.Replace(s.DSN(), s.word, "wrong", 1), io.Discard); err == nil || strings.Contains(err.Error(), "wrong@") {
		t.Errorf("with a wrong password: %v", err)
	}
	if err := Load(t.Context(), other, strings.NewReader("CREATE TABLE kept (n INT);")); err == nil {
		t.Error("a table that is there is made again")
	}
}
