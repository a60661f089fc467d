package store

import (
	"archive/zip"
	"context"
	"crypto/sha256"
	"database/sql"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"strings"
	"time"

	"gorm.io/gorm"
)

// WriteArchive writes everything of the operation as a zip of JSON lines, as it is at one
// moment; see docs/formats/archive.md. It holds one line at a time.
func (o Operation) WriteArchive(ctx context.Context, into io.Writer) error {
	packed := zip.NewWriter(into)
	err := o.db.WithContext(ctx).Transaction(func(tx *gorm.DB) error {
		return Operation{tx, o.id}.writeArchive(ctx, packed)
	}, &sql.TxOptions{Isolation: sql.LevelRepeatableRead, ReadOnly: true})
	return errors.Join(err, packed.Close())
}

func (o Operation) writeArchive(ctx context.Context, packed *zip.Writer) error {
	is := Archive{Format: archiveFormat, Version: archiveVersion, Schema: Newest(), Files: map[string]Contained{}}
	shape, err := o.shaped(ctx)
	if err != nil {
		return err
	}
	if is.Files[operationName], err = o.writeTable(ctx, packed, operationName, "operations", shape.columns["operations"], "id", "id"); err != nil {
		return err
	}
	for _, t := range archived {
		if is.Files[t.name+".jsonl"], err = o.writeTable(ctx, packed, t.name+".jsonl", t.name, shape.columns[t.name], "operation_id", t.order); err != nil {
			return fmt.Errorf("%s: %w", t.name, err)
		}
	}
	if err := o.writePhotos(ctx, packed); err != nil {
		return err
	}
	last, err := packed.Create(manifestName)
	if err != nil {
		return err
	}
	return json.NewEncoder(last).Encode(is)
}

// writeTable writes the lines of one table.
func (o Operation) writeTable(ctx context.Context, packed *zip.Writer, name, table string, columns []column, owner, order string) (Contained, error) {
	var asked []string
	for _, c := range columns {
		switch {
		case c.User:
			asked = append(asked, fmt.Sprintf("(SELECT login FROM users WHERE users.id = t.`%s`)", c.Name))
		case c.Name == image:
			asked = append(asked, "SHA2(image, 256)")
		default:
			asked = append(asked, "t.`"+c.Name+"`")
		}
	}
	file, err := packed.Create(name)
	if err != nil {
		return Contained{}, err
	}
	sum := sha256.New()
	out := io.MultiWriter(file, sum)
	// Without placeholders the driver tells every figure as it is written.
	rows, err := o.db.WithContext(ctx).Raw(fmt.Sprintf("SELECT %s FROM `%s` t WHERE t.%s = %d ORDER BY %s", strings.Join(asked, ", "), table, owner, o.id, order)).Rows()
	if err != nil {
		return Contained{}, err
	}
	defer func() { _ = rows.Close() }()
	is := Contained{}
	for rows.Next() {
		values, at := make([]any, len(columns)), make([]any, len(columns))
		for i := range values {
			at[i] = &values[i]
		}
		if err := rows.Scan(at...); err != nil {
			return is, err
		}
		line, err := lineOf(columns, values)
		if err != nil {
			return is, err
		}
		if _, err := out.Write(line); err != nil {
			return is, err
		}
		is.Lines++
	}
	is.SHA256 = hex.EncodeToString(sum.Sum(nil))
	return is, rows.Err()
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

// writePhotos writes each photo as a file of its own.
func (o Operation) writePhotos(ctx context.Context, packed *zip.Writer) error {
	rows, err := o.db.WithContext(ctx).Raw("SELECT count_id, image FROM count_photos WHERE operation_id = ? ORDER BY count_id", o.id).Rows()
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
		file, err := packed.CreateHeader(&zip.FileHeader{Name: photoFolder + id, Method: zip.Store})
		if err != nil {
			return err
		}
		if _, err := file.Write(photo); err != nil {
			return err
		}
	}
	return rows.Err()
}
