package store

import (
	"context"
	"errors"
	"fmt"
	"strings"
)

// Archive is what an archive of an operation says of itself, in its last entry.
type Archive struct {
	Format  string               `json:"format"`
	Version int                  `json:"version"`
	Schema  int64                `json:"schema"`
	Files   map[string]Contained `json:"files"`
}

// Contained is one file of lines in an archive.
type Contained struct {
	Lines  int    `json:"lines"`
	SHA256 string `json:"sha256"`
}

const (
	archiveFormat  = "keeler archive"
	archiveVersion = 1

	manifestName  = "manifest.json"
	operationName = "operation.jsonl"
	photoFolder   = "photos/"
	sheetFolder   = "csv/"
)

// Why an archive is not taken.
var (
	ErrNoArchive     = errors.New("this file is no archive of Keeler")
	ErrArchiveCut    = errors.New("this archive is not whole: it was cut short or changed")
	ErrArchiveNewer  = errors.New("this archive is of a newer Keeler")
	ErrArchiveVast   = errors.New("this archive would unpack to more than anybody can have written down")
	ErrNotEmpty      = errors.New("there is something in this operation already: an archive is taken into an empty one")
	ErrArchiveBroken = errors.New("something in this archive belongs to what is not in it")
)

// archived are the tables of an operation, each after those that it belongs to, and the order
// of its lines: by what tells them apart, or as they were written where that matters.
var archived = []struct{ name, order string }{
	{"yards", "id"}, {"colonies", "id"}, {"colony_boxes", "colony_id, position"}, {"colony_events", "seq"},
	{"inspections", "id"}, {"mite_counts", "id"}, {"count_photos", "count_id"}, {"thresholds", "season"}, {"label_cards", "id"},
	{"jobs", "id"}, {"job_colonies", "job_id, position"}, {"job_controls", "job_id, colony_id"},
	{"batches", "id"}, {"batch_components", "batch_id, component"}, {"batch_lines", "batch_id, position"}, {"batch_remarks", "id"},
	{"balances", "position"}, {"vessels", "position"}, {"bench_runs", "batch_id"}, {"bench_events", "batch_id, seq"}, {"uptakes", "batch_id"},
	{"lots", "id"}, {"stock_entries", "seq"}, {"portions", "id"}, {"applications", "seq"}, {"visit_extras", "season"},
	{"followup_skips", "colony_id, what"}, {"spent_pieces", "id"}, {"comparisons", "id"}, {"comparison_colonies", "comparison_id, colony_id"},
	{"shelf_skips", "what"}, {"fortnights", "operation_id"}, {"expected_days", "yard_id, day"},
}

// leftOut are the tables of an operation that no archive holds: who may come in and by what,
// the log of that, and what servers tell each other.
var leftOut = []string{"members", "invitations", "tokens", "log_entries", "feeds", "reminders", "changes", "holds"}

// column is one of a table as an archive has it.
type column struct {
	Table, Name string
	Type        string // data type
	Flag        bool   // TINYINT(1)
	User        bool   // it names a user: by login in an archive
}

// as is its name in an archive.
func (c column) as() string {
	if c.User {
		return strings.TrimSuffix(c.Name, "_id")
	}
	return c.Name
}

// image is the column that lies beside the lines, in a file of its own.
const image = "image"

// tables is what the database says of its tables, by name.
type tables struct {
	columns map[string][]column
	refs    map[string][]ref
}

// ref is a key of a table into another.
type ref struct {
	Table, Refs string
	Cols, Keys  string // in the same order, between commas
}

// shaped reads it: of each table the columns that are not the operation's number,
// counted up or worked out by the database. It is asked of all tables at once, for the
// database looks through all of them each time.
func (o Operation) shaped(ctx context.Context) (tables, error) {
	db := o.db.WithContext(ctx)
	columns, err := all[column](db.Raw(`
		SELECT table_name AS ` + "`table`" + `, column_name AS name, data_type AS type, column_type = 'tinyint(1)' AS flag
		FROM information_schema.columns
		WHERE table_schema = DATABASE() AND column_name <> 'operation_id' AND generation_expression IS NULL
		AND extra NOT LIKE '%auto_increment%' AND NOT (table_name = 'operations' AND (column_name IN ('claim_code', 'kept_until') OR column_name LIKE 'practice%'))
		ORDER BY table_name, ordinal_position`))
	if err != nil {
		return tables{}, err
	}
	refs, err := all[ref](db.Raw(`
		SELECT table_name AS ` + "`table`" + `, referenced_table_name AS refs, GROUP_CONCAT(column_name ORDER BY ordinal_position) AS cols,
			GROUP_CONCAT(referenced_column_name ORDER BY ordinal_position) AS ` + "`keys`" + `
		FROM information_schema.key_column_usage
		WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL
		GROUP BY table_name, constraint_name, referenced_table_name`))
	is := tables{map[string][]column{}, map[string][]ref{}}
	users := map[[2]string]bool{}
	for _, r := range refs {
		switch r.Refs {
		case "users":
			users[[2]string{r.Table, r.Cols}] = true
		case "operations":
		default:
			is.refs[r.Table] = append(is.refs[r.Table], r)
		}
	}
	for _, c := range columns {
		c.User = users[[2]string{c.Table, c.Name}]
		is.columns[c.Table] = append(is.columns[c.Table], c)
	}
	return is, err
}

// dangling names a line of a table that belongs to one which is not there; empty where there is
// none.
func (o Operation) dangling(ctx context.Context, refs []ref) (string, error) {
	for _, r := range refs {
		cols, keys := strings.Split(r.Cols, ","), strings.Split(r.Keys, ",")
		var on, has []string
		for i := range cols {
			on = append(on, fmt.Sprintf("r.`%s` = t.`%s`", keys[i], cols[i]))
			has = append(has, fmt.Sprintf("t.`%s` IS NOT NULL", cols[i]))
		}
		n, err := value[int](o.db.WithContext(ctx).Raw(fmt.Sprintf("SELECT COUNT(*) FROM `%s` t LEFT JOIN `%s` r ON %s WHERE t.operation_id = ? AND %s AND r.`%s` IS NULL",
			r.Table, r.Refs, strings.Join(on, " AND "), strings.Join(has, " AND "), keys[0]), o.id))
		if err != nil || n > 0 {
			return r.Table + " of " + r.Refs, err
		}
	}
	return "", nil
}
