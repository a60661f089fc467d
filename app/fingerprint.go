package app

import (
	"bytes"
	"context"
	"crypto/sha256"
	"encoding/csv"
	"encoding/hex"
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
	"time"

	"keeler/store"
	"keeler/wire"
)

// fingerprint is a hash over lines of the medicine record, whatever their order and the words that they are
// told in: SHA-256 over the sorted SHA-256 of each line.
type fingerprint struct{ lines [][]byte }

// add takes in what a line says: what was given to which colony, when, by whom, from what,
// under which rule and withdrawal, and what it amends.
func (f *fingerprint) add(a wire.Application) {
	number := func(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }
	sum := sha256.Sum256([]byte(strings.Join([]string{
		a.ID, a.GivenAt.UTC().Format(time.RFC3339Nano), a.ColonyID, a.YardID, a.Kind, a.Method, a.Product, number(a.Amount), a.Unit,
		number(a.OADMg), number(a.FormicMg), a.BatchID, optionalNumber(a.Withdrawal), a.Rule, a.By, a.Amends,
	}, "\x1f")))
	f.lines = append(f.lines, sum[:])
}

func (f *fingerprint) String() string {
	sorted := slices.SortedFunc(slices.Values(f.lines), bytes.Compare)
	sum := sha256.Sum256(bytes.Join(sorted, nil))
	return hex.EncodeToString(sum[:])
}

// fingerprintRow begins the row of a record as CSV that has its fingerprint, and of what it is one: the first and the
// last year, the yard or nothing, and the operation.
const fingerprintRow = "fingerprint"

func (d Desk) fingerprintCells(q RecordQuery, record wire.Record, f fingerprint) []string {
	return []string{fingerprintRow, f.String(), strconv.Itoa(record.Year), strconv.Itoa(record.To), q.Yard, strconv.FormatUint(d.who.Operation, 10)}
}

// Why a file is not verified.
var (
	ErrNoRecord      = errors.New("this file is no medicine record with a fingerprint")
	ErrRecordDiffers = errors.New("what is in the database is not what this record was made of")
)

// VerifyRecord holds a medicine record as CSV against the database, and tells of how many lines it is. Its errors are
// ErrNoRecord, ErrRecordDiffers, or what the database says.
func (a *App) VerifyRecord(ctx context.Context, file io.Reader) (lines int, err error) {
	table := csv.NewReader(file)
	rows, err := table.ReadAll()
	if err != nil {
		return 0, fmt.Errorf("%w: %w", ErrNoRecord, err)
	}
	at := slices.IndexFunc(rows, func(row []string) bool { return len(row) >= 6 && row[0] == fingerprintRow })
	if at < 0 {
		return 0, ErrNoRecord
	}
	cells := rows[at]
	q := RecordQuery{Year: number(cells[2]), To: number(cells[3]), Yard: cells[4]}
	operation, err := strconv.ParseUint(cells[5], 10, 64)
	if err != nil {
		return 0, fmt.Errorf("%w: %w", ErrNoRecord, err)
	}
	set, err := a.store.For(operation).Settings(ctx)
	if errors.Is(err, store.ErrNotFound) {
		return 0, ErrRecordDiffers
	}
	if err != nil {
		return 0, fmt.Errorf("verify record: %w", err)
	}
	zone, err := time.LoadLocation(set.TimeZone)
	if err != nil {
		return 0, fmt.Errorf("verify record: %w", err)
	}
	var f fingerprint
	record, err := a.Desk(Member{Operation: operation, Zone: zone, Role: Viewer}).record(ctx, q, dateForm, &f)
	if err != nil {
		return 0, fmt.Errorf("verify record: %w", err)
	}
	if f.String() != cells[1] {
		return record.Lines, ErrRecordDiffers
	}
	return record.Lines, nil
}
