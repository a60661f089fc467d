package app

import (
	"encoding/csv"
	"io"
	"strconv"
	"strings"
)

// sheet is a table as it is handed out: CSV, whose last line tells how many rows came
// before it, so that a file that is not whole shows it.
type sheet struct {
	table *csv.Writer
	wide  int // cells in a row
	rows  int
}

func newSheet(w io.Writer, head []string) (*sheet, error) {
	s := &sheet{table: csv.NewWriter(w), wide: len(head)}
	return s, s.table.Write(head)
}

// lastLine begins the line that tells the number of rows.
const lastLine = "rows"

func (s *sheet) row(cells ...string) error {
	for i, c := range cells {
		cells[i] = harmless(c)
	}
	s.rows++
	return s.table.Write(cells)
}

// aside writes a row that is none of those that are counted.
func (s *sheet) aside(cells ...string) error {
	row := make([]string, s.wide)
	copy(row, cells)
	return s.table.Write(row)
}

func (s *sheet) end() error {
	if err := s.aside(lastLine, strconv.Itoa(s.rows)); err != nil {
		return err
	}
	s.table.Flush()
	return s.table.Error()
}

// formulas begin what a spreadsheet takes for one.
const formulas = "=+-@\t\r"

// mark is put before them, and before itself, so that it can be taken off again.
const mark = "'"

// harmless is a cell that no spreadsheet runs as a formula; a number is none.
func harmless(cell string) string {
	if cell == "" || !strings.ContainsAny(cell[:1], formulas+mark) {
		return cell
	}
	if _, err := strconv.ParseFloat(cell, 64); err == nil {
		return cell
	}
	return mark + cell
}

// asWritten is a cell as it was before it was made harmless; a word that merely begins
// with an apostrophe is left alone.
func asWritten(cell string) string {
	if rest, marked := strings.CutPrefix(cell, mark); marked && rest != "" && strings.ContainsAny(rest[:1], formulas+mark) {
		return rest
	}
	return cell
}
