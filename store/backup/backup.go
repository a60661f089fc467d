// Package backup keeps a whole database in one file, and reads it back.
//
// The file is a zip: database.sql, as mariadb-dump writes one consistent snapshot, and after
// it backup.json, which says what it is, of which schema, and the checksum of the SQL. See
// docs/formats/backup.md.
package backup

import (
	"archive/zip"
	"bytes"
	"cmp"
	"context"
	"crypto/sha256"
	"database/sql"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"time"

	_ "github.com/go-sql-driver/mysql"

	"keeler/store/mariadbd"
)

const (
	format  = "keeler backup"
	version = 1

	sqlName   = "database.sql"
	aboutName = "backup.json"
)

// Why a file cannot be read back.
var (
	ErrOther = errors.New("this file is no backup of Keeler")
	ErrCut   = errors.New("this backup is not whole: it was cut short or changed")
	ErrNewer = errors.New("this backup is of a newer Keeler")
	ErrFull  = errors.New("there is something in this database already: a backup is read into an empty one")
)

// About is what a backup says of itself.
type About struct {
	Format  string    `json:"format"`
	Version int       `json:"version"`
	Schema  int64     `json:"schema"`
	MadeAt  time.Time `json:"made_at"`
	Bytes   int64     `json:"bytes"`
	SHA256  string    `json:"sha256"`
}

// Write puts the database of a data source name, of a schema, into a file. One that was there
// stays until the new one is whole.
func Write(ctx context.Context, dsn string, schema int64, path string) (about About, err error) {
	if err := os.MkdirAll(filepath.Dir(path), 0o700); err != nil {
		return About{}, err
	}
	part, err := os.OpenFile(path+".part", os.O_CREATE|os.O_TRUNC|os.O_WRONLY, 0o600)
	if err != nil {
		return About{}, err
	}
	defer func() {
		if err != nil {
			err = errors.Join(err, os.Remove(part.Name()))
		}
	}()
	about, err = write(ctx, dsn, schema, part)
	if err = errors.Join(err, part.Close()); err != nil {
		return About{}, err
	}
	return about, os.Rename(part.Name(), path)
}

func write(ctx context.Context, dsn string, schema int64, into *os.File) (About, error) {
	about := About{Format: format, Version: version, Schema: schema, MadeAt: time.Now().UTC().Truncate(time.Second)}
	packed := zip.NewWriter(into)
	statements, err := packed.Create(sqlName)
	if err != nil {
		return About{}, err
	}
	sum := sha256.New()
	counted := &counter{}
	if err := mariadbd.Dump(ctx, dsn, io.MultiWriter(statements, sum, counted)); err != nil {
		return About{}, err
	}
	about.Bytes, about.SHA256 = counted.n, hex.EncodeToString(sum.Sum(nil))
	last, err := packed.Create(aboutName)
	if err != nil {
		return About{}, err
	}
	if err := json.NewEncoder(last).Encode(about); err != nil {
		return About{}, err
	}
	return about, errors.Join(packed.Close(), into.Sync())
}

// counter counts what is written.
type counter struct{ n int64 }

func (c *counter) Write(p []byte) (int, error) {
	c.n += int64(len(p))
	return len(p), nil
}

// Read reads a file through, and tells what it is once it is known to be whole. Errors are
// ErrOther, ErrCut, or what the system says.
func Read(path string) (About, error) {
	f, err := open(path)
	if err != nil {
		return About{}, err
	}
	defer func() { _ = f.Close() }()
	sum := sha256.New()
	statements, err := f.Open(sqlName)
	if err != nil {
		return About{}, ErrCut
	}
	if n, err := io.Copy(sum, statements); err != nil || n != f.about.Bytes || hex.EncodeToString(sum.Sum(nil)) != f.about.SHA256 {
		return About{}, ErrCut
	}
	return f.about, nil
}

// Restore reads a file into an empty database, once it is known to be whole and of a schema
// that this program knows; ErrNewer where it is not, ErrFull where the database has tables.
// What cannot be read to its end leaves the database empty.
func Restore(ctx context.Context, dsn, path string, newest int64) (About, error) {
	about, err := Read(path)
	if err != nil {
		return About{}, err
	}
	if about.Schema > newest || about.Version > version {
		return About{}, fmt.Errorf("%w: schema %d; this one knows %d", ErrNewer, about.Schema, newest)
	}
	db, err := sql.Open("mysql", dsn)
	if err != nil {
		return About{}, err
	}
	defer func() { _ = db.Close() }()
	if there, err := tables(ctx, db); err != nil || len(there) > 0 {
		return About{}, cmp.Or(err, ErrFull)
	}
	f, err := open(path)
	if err != nil {
		return About{}, err
	}
	defer func() { _ = f.Close() }()
	from, err := f.Open(sqlName)
	if err != nil {
		return About{}, err
	}
	if err := mariadbd.Load(ctx, dsn, from); err != nil {
		return About{}, errors.Join(err, drop(context.WithoutCancel(ctx), db))
	}
	return about, nil
}

func tables(ctx context.Context, db *sql.DB) (names []string, err error) {
	rows, err := db.QueryContext(ctx, "SELECT table_name FROM information_schema.tables WHERE table_schema = DATABASE()")
	if err != nil {
		return nil, err
	}
	for rows.Next() {
		var name string
		if err := rows.Scan(&name); err != nil {
			return nil, errors.Join(err, rows.Close())
		}
		names = append(names, name)
	}
	return names, rows.Err()
}

// drop removes all tables.
func drop(ctx context.Context, db *sql.DB) error {
	db.SetMaxOpenConns(1) // what is set holds for one connection
	if _, err := db.ExecContext(ctx, "SET foreign_key_checks = 0"); err != nil {
		return err
	}
	there, err := tables(ctx, db)
	for _, name := range there {
		_, dropped := db.ExecContext(ctx, "DROP TABLE `"+name+"`")
		err = errors.Join(err, dropped)
	}
	return err
}

// opened is a backup whose about was read.
type opened struct {
	*zip.ReadCloser
	about About
}

func open(path string) (opened, error) {
	r, err := zip.OpenReader(path)
	if errors.Is(err, zip.ErrFormat) {
		return opened{}, cutOrOther(path)
	}
	if err != nil {
		return opened{}, err
	}
	out := opened{ReadCloser: r}
	about, err := r.Open(aboutName)
	if err == nil {
		err = json.NewDecoder(about).Decode(&out.about)
	}
	if err != nil || out.about.Format != format {
		return opened{}, errors.Join(ErrOther, r.Close())
	}
	return out, nil
}

// cutOrOther tells the beginning of a backup from another file.
func cutOrOther(path string) error {
	f, err := os.Open(path)
	if err != nil {
		return err
	}
	defer func() { _ = f.Close() }()
	head := make([]byte, 30+len(sqlName)) // of a zip's first entry, with its name
	if _, err := io.ReadFull(f, head); err == nil && bytes.HasSuffix(head, []byte(sqlName)) {
		return ErrCut
	}
	return ErrOther
}
