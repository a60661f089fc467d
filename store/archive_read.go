package store

import (
	"archive/zip"
	"bufio"
	"bytes"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"strings"
	"time"

	"github.com/samber/lo"
	"gorm.io/gorm"
)

const (
	// mostLine is how long a line of an archive may be, and mostPhoto a photo, bytes.
	mostLine  = 64 << 20
	mostPhoto = 16 << 20
	// mostUnpacked is how much an archive may hold in all, bytes: some megabytes can unpack to as
	// many gigabytes.
	mostUnpacked = 16 << 30
	// together is how many lines are written by one statement.
	together = 100
)

// ReadArchive takes an archive into the operation, which must be empty: all of it or nothing.
// Its errors are ErrNoArchive, ErrArchiveCut, ErrArchiveNewer, ErrArchiveVast, ErrArchiveBroken, ErrNotEmpty,
// or what the database says. Who is named in it and has no account here becomes a name that
// nobody can sign in by.
func (o Operation) ReadArchive(ctx context.Context, from io.ReaderAt, size int64) (Archive, error) {
	packed, is, err := openArchive(from, size)
	if err != nil {
		return Archive{}, err
	}
	err = o.Within(ctx, func(o Operation) error {
		if err := o.emptyForArchive(ctx); err != nil {
			return err
		}
		// Lines may belong to later ones of their own table; what belongs to nothing is looked for at the end.
		return o.unheld(ctx, func(*gorm.DB) error { return o.readArchive(ctx, packed) })
	})
	return is, err
}

// unheld does something in a transaction without the keys' being held.
func (o Operation) unheld(ctx context.Context, do func(*gorm.DB) error) error {
	if err := o.db.WithContext(ctx).Exec("SET foreign_key_checks = 0").Error; err != nil {
		return err
	}
	return errors.Join(do(o.db.WithContext(ctx)), o.db.WithContext(context.WithoutCancel(ctx)).Exec("SET foreign_key_checks = 1").Error)
}

// openArchive reads an archive through, and tells what it is once it is known to be whole.
func openArchive(from io.ReaderAt, size int64) (*zip.Reader, Archive, error) {
	var is Archive
	head := make([]byte, 30+len(operationName)) // of a zip's first entry, with its name
	_, short := from.ReadAt(head, 0)
	ours := short == nil && bytes.HasSuffix(head, []byte(operationName))
	packed, err := zip.NewReader(from, size)
	if err != nil && ours {
		return nil, is, ErrArchiveCut
	}
	if err != nil || !ours {
		return nil, is, ErrNoArchive
	}
	var holds uint64
	for _, f := range packed.File {
		if holds += f.UncompressedSize64; f.UncompressedSize64 > mostUnpacked || holds > mostUnpacked {
			return nil, is, ErrArchiveVast
		}
	}
	last, err := packed.Open(manifestName)
	if err == nil {
		err = json.NewDecoder(last).Decode(&is)
	}
	if err != nil {
		return nil, is, ErrArchiveCut
	}
	if is.Format != archiveFormat {
		return nil, is, ErrNoArchive
	}
	if is.Version > archiveVersion || is.Schema > Newest() {
		return nil, is, fmt.Errorf("%w: schema %d; this one knows %d", ErrArchiveNewer, is.Schema, Newest())
	}
	for name, of := range is.Files {
		sum := sha256.New()
		file, err := packed.Open(name)
		if err == nil {
			_, err = io.Copy(sum, file)
		}
		if err != nil || hex.EncodeToString(sum.Sum(nil)) != of.SHA256 {
			return nil, is, fmt.Errorf("%w: %s", ErrArchiveCut, name)
		}
	}
	return packed, is, nil
}

func (o Operation) emptyForArchive(ctx context.Context) error {
	for _, t := range archived {
		there, err := value[int](o.own(ctx).Table(t.name).Select("1").Limit(1))
		if err != nil {
			return err
		}
		if there > 0 {
			return ErrNotEmpty
		}
	}
	return nil
}

func (o Operation) readArchive(ctx context.Context, packed *zip.Reader) error {
	shape, err := o.shaped(ctx)
	if err != nil {
		return err
	}
	users := map[string]uint64{}
	if err := o.readTable(ctx, packed, operationName, "operations", shape.columns["operations"], users); err != nil {
		return err
	}
	for _, t := range archived {
		if err := o.readTable(ctx, packed, t.name+".jsonl", t.name, shape.columns[t.name], users); err != nil {
			return err
		}
	}
	for _, t := range archived {
		what, err := o.dangling(ctx, shape.refs[t.name])
		if err != nil {
			return err
		}
		if what != "" {
			return fmt.Errorf("%w: %s", ErrArchiveBroken, what)
		}
	}
	return nil
}

// readTable writes the lines of a file into a table. A file that is not there is of a table
// that its Keeler did not have.
func (o Operation) readTable(ctx context.Context, packed *zip.Reader, name, table string, columns []column, users map[string]uint64) error {
	file, err := packed.Open(name)
	if err != nil {
		return nil
	}
	lines := bufio.NewScanner(file)
	lines.Buffer(nil, mostLine)
	var rows []map[string]any
	for n := 1; lines.Scan(); n++ {
		row, err := o.rowOf(ctx, columns, lines.Bytes(), users)
		if err == nil && table == "count_photos" {
			err = withPhoto(packed, row)
		}
		if err != nil {
			return fmt.Errorf("%s, line %d: %w", name, n, err)
		}
		if table == "operations" {
			return o.db.WithContext(ctx).Table(table).Where("id = ?", o.id).Updates(row).Error
		}
		row["operation_id"] = o.id
		rows = append(rows, row)
		if len(rows) == together || table == "count_photos" {
			if err := o.write(ctx, table, columns, rows); err != nil {
				return fmt.Errorf("%s, before line %d: %w", name, n+1, err)
			}
			rows = nil
		}
	}
	if err := lines.Err(); err != nil || len(rows) == 0 {
		return err
	}
	return o.write(ctx, table, columns, rows)
}

// write inserts rows in their order. A column that a line leaves out is NULL; one that all leave out, as an
// older Keeler did not know it, is what a new row has.
func (o Operation) write(ctx context.Context, table string, columns []column, rows []map[string]any) error {
	columns = lo.Filter(columns, func(c column, _ int) bool {
		return lo.SomeBy(rows, func(r map[string]any) bool { return lo.HasKey(r, c.Name) })
	})
	names := []string{"`operation_id`"}
	for _, c := range columns {
		names = append(names, "`"+c.Name+"`")
	}
	one := "(?" + strings.Repeat(", ?", len(columns)) + ")"
	var values []any
	for _, r := range rows {
		values = append(values, o.id)
		for _, c := range columns {
			values = append(values, r[c.Name])
		}
	}
	return o.db.WithContext(ctx).Exec("INSERT INTO `"+table+"` ("+strings.Join(names, ", ")+") VALUES "+
		strings.Repeat(one+", ", len(rows)-1)+one, values...).Error
}

// rowOf reads a line.
func (o Operation) rowOf(ctx context.Context, columns []column, line []byte, users map[string]uint64) (map[string]any, error) {
	var told map[string]json.RawMessage
	if err := json.Unmarshal(line, &told); err != nil {
		return nil, fmt.Errorf("%w: %w", ErrArchiveCut, err)
	}
	row := map[string]any{}
	for _, c := range columns {
		raw, there := told[c.as()]
		delete(told, c.as())
		if !there {
			continue
		}
		v, err := meant(c, raw)
		if err == nil && c.User {
			v, err = o.userNamed(ctx, v, users)
		}
		if err != nil {
			return nil, fmt.Errorf("%s: %w", c.as(), err)
		}
		row[c.Name] = v
	}
	for name := range told {
		return nil, fmt.Errorf("%w: it has %q", ErrArchiveNewer, name)
	}
	return row, nil
}

// meant is a value as the database takes it.
func meant(c column, raw json.RawMessage) (any, error) {
	if c.Type == "longtext" {
		return string(raw), nil
	}
	var v any
	d := json.NewDecoder(bytes.NewReader(raw))
	d.UseNumber()
	if err := d.Decode(&v); err != nil {
		return nil, err
	}
	switch v := v.(type) {
	case json.Number:
		return v.String(), nil
	case string:
		if c.Type == "datetime" {
			return time.Parse(time.RFC3339Nano, v)
		}
		return v, nil
	case bool:
		return v, nil
	}
	return nil, ErrArchiveCut
}

// userNamed is who has a login, made where nobody has it.
func (o Operation) userNamed(ctx context.Context, login any, users map[string]uint64) (uint64, error) {
	name, is := login.(string)
	if !is || name == "" {
		return 0, ErrArchiveCut
	}
	if id := users[name]; id != 0 {
		return id, nil
	}
	db := o.db.WithContext(ctx).Session(&gorm.Session{})
	if err := db.Exec("INSERT IGNORE INTO users (login, password_hash, created_at) VALUES (?, '', UTC_TIMESTAMP(6))", name).Error; err != nil {
		return 0, err
	}
	id, err := value[uint64](db.Table("users").Select("id").Where("login = ?", name))
	users[name] = id
	return id, err
}

// withPhoto puts the photo that a line tells the checksum of into its row.
func withPhoto(packed *zip.Reader, row map[string]any) error {
	id, _ := row["count_id"].(string)
	file, err := packed.Open(photoFolder + id)
	if err != nil {
		return ErrArchiveCut
	}
	if of, err := file.Stat(); err != nil || of.Size() > mostPhoto {
		return fmt.Errorf("%w: the photo is too large", ErrArchiveCut)
	}
	photo, err := io.ReadAll(file)
	if sum := sha256.Sum256(photo); err != nil || hex.EncodeToString(sum[:]) != row[image] {
		return fmt.Errorf("%w: the photo", ErrArchiveCut)
	}
	row[image] = photo
	return nil
}
