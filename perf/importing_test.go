package perf

import (
	"bytes"
	"database/sql"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
	"time"
)

// imported is how many colonies are read from a file.
const imported = 10_000

// importing compares the reading of a file with what the database's own client
// takes for the same rows of the same tables, in turn.
func importing() ([]figure, error) {
	c, err := newCrew()
	if err != nil {
		return nil, err
	}
	defer func() { _ = c.Down() }()
	db, err := sql.Open("mysql", c.DB.DSN())
	if err != nil {
		return nil, err
	}
	defer func() { _ = db.Close() }()
	folder, err := os.MkdirTemp("", "keeler-bench")
	if err != nil {
		return nil, err
	}
	defer func() { _ = os.RemoveAll(folder) }()
	var ratios []float64
	for round := range 3 {
		file := table(fmt.Sprint("Round ", round), 50, imported)
		begun := time.Now()
		if _, err := c.send("/api/import/colonies?mode=all", "text/csv", file); err != nil {
			return nil, err
		}
		ours := time.Since(begun)
		theirs, err := loadData(db, c.DB.Maintenance("keeler"), folder, 100+round)
		if err != nil {
			return nil, err
		}
		ratios = append(ratios, ours.Seconds()/theirs.Seconds())
		// The next round begins from an empty table again.
		for _, t := range []string{"colony_boxes", "colonies", "yards"} {
			if _, err := db.Exec("DELETE FROM " + t); err != nil {
				return nil, err
			}
		}
	}
	slices.Sort(ratios)
	const most = 5
	return []figure{{
		fmt.Sprintf("import of %d colonies to LOAD DATA", imported), fmt.Sprintf("%.1f", ratios[1]), fmt.Sprintf("at most %d", most), ratios[1] <= most,
	}}, nil
}

// loadData writes what was imported to files and loads them as another operation.
func loadData(db *sql.DB, dsn, folder string, operation int) (time.Duration, error) {
	if _, err := db.Exec("INSERT INTO operations (id, name, created_at) VALUES (?, 'Loaded', NOW(6))", operation); err != nil {
		return 0, err
	}
	var script strings.Builder
	for _, t := range []struct{ table, columns string }{
		{"yards", "operation_id, id, name, place, latitude, deep_from, deep_to, notes, version, created_at"},
		{"colonies", "operation_id, id, yard_id, name, position, nuc, for_honey, queen, queen_on, notes, version, started_on, ended_on, end_reason, created_at"},
		{"colony_boxes", "operation_id, colony_id, position, kind, slots"},
	} {
		path := filepath.Join(folder, fmt.Sprint(t.table, operation))
		if err := writeRows(db, path, strings.Replace(t.columns, "operation_id", fmt.Sprint(operation), 1), t.table); err != nil {
			return 0, err
		}
		fmt.Fprintf(&script, "LOAD DATA LOCAL INFILE '%s' INTO TABLE %s (%s);\n", path, t.table, t.columns)
	}
	socket := dsn[strings.Index(dsn, "(")+1 : strings.Index(dsn, ")")]
	client := exec.Command("mariadb", "--local-infile=1", "--user="+dsn[:strings.Index(dsn, "@")], "--socket="+socket, dsn[strings.LastIndex(dsn, "/")+1:])
	client.Stdin = strings.NewReader(script.String())
	begun := time.Now()
	if out, err := client.CombinedOutput(); err != nil {
		return 0, fmt.Errorf("%w: %s", err, out)
	}
	took := time.Since(begun)
	var n int
	if err := db.QueryRow("SELECT COUNT(*) FROM colonies WHERE operation_id = ?", operation).Scan(&n); err != nil || n != imported {
		return 0, fmt.Errorf("loaded %d colonies: %w", n, err)
	}
	return took, nil
}

func writeRows(db *sql.DB, path, columns, table string) error {
	rows, err := db.Query("SELECT " + columns + " FROM " + table)
	if err != nil {
		return err
	}
	defer func() { _ = rows.Close() }()
	names, err := rows.Columns()
	if err != nil {
		return err
	}
	values, fields := make([]any, len(names)), make([]string, len(names))
	for i := range values {
		values[i] = new(sql.NullString)
	}
	var out bytes.Buffer
	for rows.Next() {
		if err := rows.Scan(values...); err != nil {
			return err
		}
		for i, v := range values {
			s := v.(*sql.NullString)
			if fields[i] = s.String; !s.Valid {
				fields[i] = `\N`
			}
		}
		fmt.Fprintln(&out, strings.Join(fields, "\t"))
	}
	if err := rows.Err(); err != nil {
		return err
	}
	return os.WriteFile(path, out.Bytes(), 0o600)
}
