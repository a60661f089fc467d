package store

import (
	"archive/zip"
	"context"
	"crypto/sha256"
	"database/sql"
	"encoding/csv"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"strings"
	"time"

	"gorm.io/gorm"
)

// WriteArchive writes everything of the operation as a zip of JSON lines, and of the same as
// tables, as it is at one moment; see docs/formats/archive.md. A cell of a table is written as
// given. It holds one line at a time.
func (o Operation) WriteArchive(ctx context.Context, into io.Writer, cell func(string) string) error {
	packed := zip.NewWriter(into)
	err := o.db.WithContext(ctx).Transaction(func(tx *gorm.DB) error {
		return writing{Operation{tx, o.id}, packed, cell}.all(ctx)
	}, &sql.TxOptions{Isolation: sql.LevelRepeatableRead, ReadOnly: true})
	return errors.Join(err, packed.Close())
}

// writing is an archive that is being written.
type writing struct {
	Operation
	packed *zip.Writer
	cell   func(string) string
}

// stored is a table as an archive has it.
type stored struct {
	file, table string
	columns     []column
	owner       string // the column that says whose a row is
	order       string
}

func (w writing) all(ctx context.Context) error {
	is := Archive{Format: archiveFormat, Version: archiveVersion, Schema: Newest(), Files: map[string]Contained{}}
	shape, err := w.shaped(ctx)
	if err != nil {
		return err
	}
	tables := []stored{{operationName, "operations", shape.columns["operations"], "id", "id"}}
	for _, t := range archived {
		tables = append(tables, stored{t.name + ".jsonl", t.name, shape.columns[t.name], "operation_id", t.order})
	}
	for _, t := range tables {
		if is.Files[t.file], err = w.lines(ctx, t); err != nil {
			return fmt.Errorf("%s: %w", t.table, err)
		}
	}
	for _, t := range tables {
		if err := w.sheet(ctx, t); err != nil {
			return fmt.Errorf("%s: %w", t.table, err)
		}
	}
	if err := w.photos(ctx); err != nil {
		return err
	}
	last, err := w.packed.Create(manifestName)
	if err != nil {
		return err
	}
	return json.NewEncoder(last).Encode(is)
}

// lines writes a table as JSON lines.
func (w writing) lines(ctx context.Context, t stored) (Contained, error) {
	file, err := w.packed.Create(t.file)
	if err != nil {
		return Contained{}, err
	}
	sum := sha256.New()
	out := io.MultiWriter(file, sum)
	is := Contained{}
	err = w.rows(ctx, t, func(values []any) error {
		line, err := lineOf(t.columns, values)
		if err == nil {
			_, err = out.Write(line)
		}
		is.Lines++
		return err
	})
	is.SHA256 = hex.EncodeToString(sum.Sum(nil))
	return is, err
}

// sheet writes the same as a table for spreadsheets.
func (w writing) sheet(ctx context.Context, t stored) error {
	file, err := w.packed.Create(sheetFolder + strings.TrimSuffix(t.file, ".jsonl") + ".csv")
	if err != nil {
		return err
	}
	out := csv.NewWriter(file)
	cells := make([]string, len(t.columns))
	for i, c := range t.columns {
		cells[i] = c.as()
	}
	if err := out.Write(cells); err != nil {
		return err
	}
	err = w.rows(ctx, t, func(values []any) error {
		for i, c := range t.columns {
			cells[i] = ""
			if values[i] == nil {
				continue
			}
			switch v := told(c, values[i]).(type) {
			case json.RawMessage:
				cells[i] = w.cell(string(v))
			default:
				cells[i] = w.cell(fmt.Sprint(v))
			}
		}
		return out.Write(cells)
	})
	out.Flush()
	return errors.Join(err, out.Error())
}

// rows hands over the rows of a table, one at a time.
func (w writing) rows(ctx context.Context, t stored, each func([]any) error) error {
	var asked []string
	for _, c := range t.columns {
		switch {
		case c.User:
			asked = append(asked, fmt.Sprintf("(SELECT login FROM users WHERE users.id = t.`%s`)", c.Name))
		case c.Name == image:
			asked = append(asked, "SHA2(image, 256)")
		default:
			asked = append(asked, "t.`"+c.Name+"`")
		}
	}
	// Without placeholders the driver tells every figure as it is written.
	rows, err := w.db.WithContext(ctx).Raw(fmt.Sprintf("SELECT %s FROM `%s` t WHERE t.%s = %d ORDER BY %s", strings.Join(asked, ", "), t.table, t.owner, w.id, t.order)).Rows()
	if err != nil {
		return err
	}
	defer func() { _ = rows.Close() }()
	for rows.Next() {
		values, at := make([]any, len(t.columns)), make([]any, len(t.columns))
		for i := range values {
			at[i] = &values[i]
		}
		if err := rows.Scan(at...); err != nil {
			return err
		}
		if err := each(values); err != nil {
			return err
		}
	}
	return rows.Err()
}

// lineOf writes a row as JSON, its columns in their order; what is NULL is left out.
func lineOf(columns []column, values []any) ([]byte, error) {
	line := []byte{'{'}
	for i, c := range columns {
		if values[i] == nil {
			continue
		}
		v, err := json.Marshal(told(c, values[i]))
		if err != nil {
			return nil, fmt.Errorf("%s: %w", c.Name, err)
		}
		if len(line) > 1 {
			line = append(line, ',')
		}
		name, _ := json.Marshal(c.as())
		line = append(append(append(line, name...), ':'), v...)
	}
	return append(line, '}', '\n'), nil
}

// told is a value as JSON has it.
func told(c column, v any) any {
	if text, is := v.([]byte); is {
		v = string(text)
	}
	switch v := v.(type) {
	case time.Time:
		if c.Type == "date" {
			return v.Format(time.DateOnly)
		}
		return v.UTC().Format(time.RFC3339Nano)
	case int64:
		if c.Flag {
			return v != 0
		}
	case string:
		switch c.Type {
		case "decimal":
			if strings.Contains(v, ".") {
				v = strings.TrimSuffix(strings.TrimRight(v, "0"), ".")
			}
			return json.Number(v)
		case "longtext": // what MariaDB calls JSON
			return json.RawMessage(v)
		}
		return v
	}
	return v
}

// photos writes each photo as a file of its own.
func (w writing) photos(ctx context.Context) error {
	rows, err := w.db.WithContext(ctx).Raw("SELECT count_id, image FROM count_photos WHERE operation_id = ? ORDER BY count_id", w.id).Rows()
	if err != nil {
		return err
	}
	defer func() { _ = rows.Close() }()
	for rows.Next() {
		var id string
		var photo sql.RawBytes
		if err := rows.Scan(&id, &photo); err != nil {
			return err
		}
		file, err := w.packed.CreateHeader(&zip.FileHeader{Name: photoFolder + id, Method: zip.Store})
		if err != nil {
			return err
		}
		if _, err := file.Write(photo); err != nil {
			return err
		}
	}
	return rows.Err()
}
