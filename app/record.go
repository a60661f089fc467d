package app

import (
	"cmp"
	"context"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
	"time"

	"keeler/core/fault"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// RecordQuery is which medicine record is wanted.
type RecordQuery struct {
	Year     int    // in the operation's time zone; 0: the one that goes on
	To       int    // the last year of several; 0: the same
	Yard     string // its id; empty: all
	Template string // which columns; empty: full
	First    bool   // of a large operation the yards alone that are shown first
}

// templates are the columns that can be chosen.
var templates = map[string][]string{
	"":        {"day", "treatment", "amount", "acid", "batch", "lots", "withdrawal", "rule", "person"},
	"short":   {"day", "treatment", "amount", "withdrawal", "person"},
	"batches": {"day", "treatment", "amount", "acid", "batch", "lots"},
}

// Record is the medicine record of a year: everything given, taken out or amended, by yard
// and colony. Notes of boards, weights and eggs are no part of it.
func (d Desk) Record(ctx context.Context, q RecordQuery) (wire.Record, error) {
	var f fingerprint
	out, err := d.record(ctx, q, "2 Jan 2006", &f)
	if out.SoFar == nil {
		out.Fingerprint = f.String()
	}
	return out, err
}

// readRecord reads what is wanted, into a record without lines.
func (d Desk) readRecord(q RecordQuery) (wire.Record, error) {
	year := q.Year
	if year == 0 {
		year, _, _ = timeOf(d.today()).Date()
	}
	out := wire.Record{Year: year, To: cmp.Or(q.To, year), Columns: templates[q.Template], Yards: []wire.RecordYard{}}
	var l fault.List
	l.Within("year", float64(year), 2000, 2200, "")
	l.Within("to", float64(out.To), float64(year), float64(year+mostYears), "")
	if out.Columns == nil {
		l.Add("columns", fault.Unknown)
	}
	return out, l.Err()
}

// mostYears is over how many years more than one a record goes.
const mostYears = 20

// record writes it with days in a form, and takes its lines into a fingerprint.
func (d Desk) record(ctx context.Context, q RecordQuery, dayForm string, f *fingerprint) (wire.Record, error) {
	out, err := d.readRecord(q)
	if err != nil {
		return out, err
	}
	from := time.Date(out.Year, 1, 1, 0, 0, 0, 0, d.who.Zone).UTC()
	r := reading{ctx: ctx}
	of := d.shown(&r, q.Yard, q.First)
	if r.err != nil {
		return out, r.err
	}
	out.SoFar = of.soFar
	rows, err := d.op.Recorded(ctx, of.only, from, from.In(d.who.Zone).AddDate(out.To-out.Year+1, 0, 0).UTC())
	if err != nil {
		return out, err
	}
	before, err := d.op.Amended(ctx, rows)
	if err != nil {
		return out, err
	}
	rows = lo.Filter(rows, func(r store.Application, _ int) bool { return medicine(r, before) })
	lines, err := d.describeLines(ctx, rows)
	if err != nil {
		return out, err
	}
	first, last, err := d.op.RecordedFrom(ctx)
	if err != nil {
		return out, err
	}
	out.Years = yearsBetween(d.local(first), d.local(last))
	set, err := d.op.Settings(ctx)
	if err != nil {
		return out, fmt.Errorf("read who keeps the bees: %w", err)
	}
	out.Holder = lo.Compact([]string{set.Holder, set.HolderAddress, set.HolderNo})
	yards := lo.KeyBy(of.yards, func(y store.Yard) string { return y.ID })
	write := recordWriter{d: d, dayForm: dayForm, columns: out.Columns}
	for i, r := range rows { // they come by yard and colony
		f.add(lines[i])
		newYard := i == 0 || rows[i-1].YardID != r.YardID
		if newYard {
			out.Yards = append(out.Yards, wire.RecordYard{Name: r.Yard, Place: yards[r.YardID].Place, No: yards[r.YardID].RegistrationNo})
		}
		yard := &out.Yards[len(out.Yards)-1]
		if newYard || rows[i-1].ColonyID != r.ColonyID {
			yard.Colonies = append(yard.Colonies, wire.RecordColony{ID: r.ColonyID, Name: r.Colony})
		}
		colony := &yard.Colonies[len(yard.Colonies)-1]
		colony.Lines = append(colony.Lines, wire.RecordLine{Cells: write.cells(lines[i]), Remarks: write.remarks(lines[i]), Changes: write.changes(lines[i])})
	}
	out.Lines = len(rows)
	return out, nil
}

// medicine reports whether a line tells of something given or taken out, or takes such a line back.
func medicine(r store.Application, before map[string]store.Application) bool {
	for r.Kind == "skipped" && r.AmendsID != nil {
		r = before[*r.AmendsID]
	}
	return r.Kind == "given" || r.Kind == "other" || r.Kind == "out"
}

// yearsBetween are those from a first to a last line, the newest first; without lines none.
func yearsBetween(first, last time.Time) []int {
	out := []int{}
	for y := last.Year(); !last.IsZero() && y >= first.Year(); y-- {
		out = append(out, y)
	}
	return out
}

// recordWriter writes lines of the record, by the operation's clock.
type recordWriter struct {
	d       Desk
	dayForm string
	columns []string
}

func (w recordWriter) cells(a wire.Application) []string {
	return lo.Map(w.columns, func(column string, _ int) string { return w.cell(column, a) })
}

func (w recordWriter) cell(column string, a wire.Application) string {
	switch column {
	case "day":
		if a.JobID == "" { // nobody noted an hour
			return w.day(a.GivenAt)
		}
		return w.day(a.GivenAt) + a.GivenAt.Format(" 15:04")
	case "treatment":
		return recorded(a)
	case "amount":
		if a.Kind == "given" || a.Kind == "other" {
			return words.Amount(a.Amount, a.Unit)
		}
	case "acid":
		return words.Acids(a.OADMg, a.FormicMg)
	case "batch":
		if a.BatchNumber > 0 {
			return strconv.Itoa(a.BatchNumber)
		}
	case "lots":
		return strings.Join(a.Lots, "; ")
	case "withdrawal":
		return w.withdrawal(a)
	case "rule":
		return a.Rule
	case "person":
		return a.By
	}
	return ""
}

// recorded is what a line says was done with what.
func recorded(a wire.Application) string {
	return words.Recorded(a.Kind, a.Method, a.Product, a.Came, a.Missing)
}

// withdrawal tells until when honey waits. What stays in the hive counts from when it comes
// out, as labels mean it.
func (w recordWriter) withdrawal(a wire.Application) string {
	stays := a.Method == "strip" || a.Method == "pad"
	switch {
	case a.Kind != "given" && a.Kind != "other":
		return ""
	case a.Withdrawal == nil:
		return words.WithdrawalUnstated()
	case *a.Withdrawal == 0:
		return words.WithdrawalNone()
	case stays:
		return words.WithdrawalAfter(*a.Withdrawal)
	}
	return words.WithdrawalUntil(*a.Withdrawal, w.day(a.GivenAt.AddDate(0, 0, *a.Withdrawal)))
}

func (w recordWriter) day(t time.Time) string { return t.Format(w.dayForm) }

// remarked are the flags that a medicine record tells of.
var remarked = []treatment.Flag{treatment.Twice, treatment.Again, treatment.TooMuch, treatment.Strong, treatment.PastDay, treatment.Formic, treatment.BatchWrong, treatment.BatchVoid}

// remarks tells what about a line should be known to who reads it.
func (w recordWriter) remarks(a wire.Application) []string {
	var flags []string
	for _, f := range remarked {
		if slices.Contains(a.Flags, string(f)) {
			flags = append(flags, string(f))
		}
	}
	out := words.Flags(flags)
	if len(out) > 0 && a.Override != "" {
		out = append(out, words.Overridden(a.Override))
	}
	if apart := a.RecordedAt.Sub(a.GivenAt); a.Entered != "" || apart > recordedLate {
		out = append(out, words.Entered(a.Entered, w.day(a.RecordedAt), a.RecordedBy, a.EnteredFrom))
	}
	return out
}

// recordedLate is how long after it was given a line says when it was written.
const recordedLate = 24 * time.Hour

// changes writes what was amended, by whom, when and why.
func (w recordWriter) changes(a wire.Application) []string {
	return lo.Map(a.Changes, func(c wire.Change, _ int) string {
		return words.Amended(w.day(c.At), c.By, strings.Join(c.What, ", "), c.Why)
	})
}

// BeginRecordFile tells what about a query cannot be, and logs what is taken out.
func (d Desk) BeginRecordFile(ctx context.Context, q RecordQuery) error {
	if _, err := d.readRecord(q); err != nil {
		return err
	}
	return d.logged(ctx, d.op, exported, "record")
}

// RecordFile writes the record as CSV, yard by yard, with what was amended in the last column.
func (d Desk) RecordFile(ctx context.Context, q RecordQuery, to io.Writer) error {
	table, err := newSheet(to, slices.Concat([]string{"yard", "colony"}, templates[q.Template], []string{"remarks", "amended"}))
	if err != nil {
		return err
	}
	var f fingerprint
	is, err := d.readRecord(q)
	if err != nil {
		return err
	}
	r := reading{ctx: ctx}
	for _, y := range d.shown(&r, q.Yard, false).yards {
		one := q
		one.Yard = y.ID
		record, err := d.record(ctx, one, dateForm, &f)
		if err != nil {
			return err
		}
		if err := writeLines(table, record); err != nil {
			return err
		}
	}
	if r.err != nil {
		return r.err
	}
	if err := table.aside(d.fingerprintCells(q, is, f)...); err != nil {
		return err
	}
	return table.end()
}

func writeLines(table *sheet, record wire.Record) error {
	for _, y := range record.Yards {
		for _, c := range y.Colonies {
			for _, l := range c.Lines {
				if err := table.row(slices.Concat([]string{y.Name, c.Name}, l.Cells, []string{strings.Join(l.Remarks, "; "), strings.Join(l.Changes, " ")})...); err != nil {
					return err
				}
			}
		}
	}
	return nil
}
