package mariadbd

import (
	"database/sql"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// A copy that is there is whole: read into another database, it is the same. One that
// fails leaves no file.
func TestCopyIsWholeOrNone(t *testing.T) {
	s, db := up(t, t.TempDir())
	run(t, db, "CREATE TABLE kept (n INT, word VARCHAR(20) CHARACTER SET utf8mb4, raw BLOB)")
	run(t, db, "INSERT INTO kept VALUES (1, 'Wabe 🐝', x'00ff27')")
	folder := filepath.Join(t.TempDir(), "copies")
	path, err := Copy(t.Context(), s.DSN(), folder, "schema-1")
	if err != nil {
		t.Fatal(err)
	}
	other, err := s.Database(t.Context(), "again")
	if err != nil {
		t.Fatal(err)
	}
	if err := Load(t.Context(), other, path); err != nil {
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
	if _, err := Copy(t.Context(), strings.Replace(s.DSN(), s.word, "wrong", 1), folder, "schema-1"); err == nil || strings.Contains(err.Error(), "wrong@") {
		t.Errorf("with a wrong password: %v", err)
	}
	if all, err := os.ReadDir(folder); err != nil || len(all) != 1 {
		t.Errorf("%v %v", all, err)
	}
}
