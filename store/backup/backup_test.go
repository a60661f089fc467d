package backup

import (
	"archive/zip"
	"bytes"
	"context"
	"database/sql"
	"errors"
	"os"
	"path/filepath"
	"testing"

	"keeler/store/mariadbd"
)

func filled(t *testing.T) (*mariadbd.Server, *sql.DB) {
	t.Helper()
	s, err := mariadbd.Hasty(context.Background())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(s.Stop)
	db, err := sql.Open("mysql", s.DSN())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = db.Close() })
	for _, statement := range []string{
		"CREATE TABLE parents (id INT PRIMARY KEY, name TEXT CHARACTER SET utf8mb4)",
		"CREATE TABLE kept (id INT PRIMARY KEY, raw LONGBLOB, FOREIGN KEY (id) REFERENCES parents (id))",
		"INSERT INTO parents SELECT seq, CONCAT('Wabe 🐝 ', seq) FROM seq_1_to_2000",
		"INSERT INTO kept SELECT seq, UNHEX(SHA2(seq, 512)) FROM seq_1_to_2000",
	} {
		if _, err := db.ExecContext(t.Context(), statement); err != nil {
			t.Fatal(err)
		}
	}
	return s, db
}

func sumOf(t *testing.T, db *sql.DB) (sum string) {
	t.Helper()
	if err := db.QueryRowContext(t.Context(), "SELECT SHA2(GROUP_CONCAT(name, HEX(raw) ORDER BY id), 256) FROM parents JOIN kept USING (id)").Scan(&sum); err != nil {
		t.Fatal(err)
	}
	return sum
}

// What was backed up is what is restored, into an empty database alone. Every other file is
// refused before anything is written: one of another program, one that was cut anywhere or
// changed anywhere, one of a newer schema.
func TestBackupIsWholeOrRefused(t *testing.T) {
	s, db := filled(t)
	path := filepath.Join(t.TempDir(), "of", "today.zip")
	about, err := Write(t.Context(), s.DSN(), 8, path)
	if err != nil {
		t.Fatal(err)
	}
	if read, err := Read(path); err != nil || read != about || read.Schema != 8 || read.Bytes < 100_000 {
		t.Fatalf("%+v %v, want %+v", read, err, about)
	}
	other, err := s.Database(t.Context(), "again")
	if err != nil {
		t.Fatal(err)
	}
	again, err := sql.Open("mysql", other)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = again.Close() }()

	whole, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	changed := func(at int) []byte {
		out := bytes.Clone(whole)
		out[at] ^= 1
		return out
	}
	var foreign bytes.Buffer
	packed := zip.NewWriter(&foreign)
	if _, err := packed.Create(aboutName); err != nil {
		t.Fatal(err)
	}
	_ = packed.Close()
	for what, c := range map[string]struct {
		file   []byte
		newest int64
		want   error
	}{
		"cut in the middle": {whole[:len(whole)/2], 8, ErrCut}, "cut at its end": {whole[:len(whole)-10], 8, ErrCut}, "all but empty": {whole[:20], 8, ErrOther},
		"empty": {nil, 8, ErrOther}, "changed in the middle": {changed(len(whole) / 2), 8, ErrCut}, "changed at its beginning": {changed(60), 8, ErrCut},
		"a letter": {[]byte("Dear keeper, this is no backup of anything at all."), 8, ErrOther}, "another zip": {foreign.Bytes(), 8, ErrOther},
		"of a newer schema": {whole, 7, ErrNewer},
	} {
		file := filepath.Join(t.TempDir(), "file.zip")
		if err := os.WriteFile(file, c.file, 0o600); err != nil {
			t.Fatal(err)
		}
		if _, err := Restore(t.Context(), other, file, c.newest); !errors.Is(err, c.want) {
			t.Errorf("%s: %v, want %v", what, err, c.want)
		}
		if there, err := tables(t.Context(), again); err != nil || len(there) != 0 {
			t.Fatalf("%s wrote %v (%v)", what, there, err)
		}
	}

	if _, err := Restore(t.Context(), other, path, 9); err != nil {
		t.Fatal(err)
	}
	if a, b := sumOf(t, db), sumOf(t, again); a != b {
		t.Error("what came back is not what was there")
	}
	if _, err := Restore(t.Context(), other, path, 9); !errors.Is(err, ErrFull) {
		t.Errorf("onto what is there: %v", err)
	}
}

// A disk that fills leaves the backup that was there, and nothing half made.
func TestBackupOnAFullDisk(t *testing.T) {
	s, _ := filled(t)
	path := filepath.Join(t.TempDir(), "of.zip")
	before, err := Write(t.Context(), s.DSN(), 8, path)
	if err != nil {
		t.Fatal(err)
	}
	if err := os.Symlink("/dev/full", path+".part"); err != nil {
		t.Fatal(err)
	}
	if _, err := Write(t.Context(), s.DSN(), 9, path); err == nil {
		t.Error("a full disk takes a backup")
	}
	if after, err := Read(path); err != nil || after != before {
		t.Errorf("the old one is %+v, %v", after, err)
	}
	if _, err := os.Lstat(path + ".part"); !errors.Is(err, os.ErrNotExist) {
		t.Errorf("something is left: %v", err)
	}
}
