package app

import (
	"bytes"
	"encoding/csv"
	"errors"
	"io"
	"strconv"
	"strings"
	"unicode/utf8"

	"keeler/core/fault"

	"github.com/samber/lo"
	"golang.org/x/text/encoding/unicode"
	"golang.org/x/text/transform"
)

// mostRows is how many rows a file may have: a keeper of more colonies has several.
const mostRows = 20_000

// record is a row of a file by its columns, and where it stands.
type record struct {
	at     int
	cells  []string
	of     map[string]int     // which cell is of a column
	heads  []string           // as the file names them
	as     map[string]DayForm // how days are written, by column
	broken bool               // it has more cells than the head
}

// cell is what stands in a column; empty where there is nothing.
func (r record) cell(column string) string {
	i, there := r.of[column]
	if !there || i >= len(r.cells) {
		return ""
	}
	cell := asWritten(strings.TrimSpace(r.cells[i]))
	if form, isDay := r.as[column]; isDay {
		return rewriteDay(cell, form)
	}
	return cell
}

// tells is the number of rows that a last line names, as every file that Keeler writes
// has one; ok is false for any other row.
func (r record) tells() (rows int, ok bool) {
	if len(r.cells) < 2 || r.cells[0] != lastLine || strings.Join(r.cells[2:], "") != "" {
		return 0, false
	}
	rows, err := strconv.Atoi(r.cells[1])
	return rows, err == nil
}

// readTable reads CSV text in UTF-8 or UTF-16, with comma, semicolon or tab, and the columns
// that it must have. rename finds the column that a head means; nil: its own name.
func readTable(file []byte, needed []string, rename func(head string) string) ([]record, error) {
	bad := func(reason fault.Reason) error { return fault.List{{Field: "file", Reason: reason}} }
	if len(file) == 0 {
		return nil, bad(fault.Missing)
	}
	text, err := decoded(file)
	if err != nil || bytes.IndexByte(text, 0) >= 0 || !utf8.Valid(text) {
		return nil, bad(fault.NotText)
	}
	head, _, _ := bytes.Cut(text, []byte("\n"))
	r := csv.NewReader(bytes.NewReader(text))
	r.Comma = separator(head)
	r.FieldsPerRecord = -1
	r.TrimLeadingSpace = true
	names, err := r.Read()
	if err != nil {
		return nil, bad(fault.NotText)
	}
	of := make(map[string]int, len(names))
	for i, n := range names {
		head := strings.ReplaceAll(strings.ToLower(strings.TrimSpace(n)), " ", "_")
		if rename != nil {
			head = rename(head)
		}
		if _, taken := of[head]; head != "" && !taken {
			of[head] = i
		}
	}
	missing := lo.Filter(needed, func(c string, _ int) bool { return !lo.HasKey(of, c) })
	if len(missing) > 0 {
		return nil, fault.List{{Field: "file", Reason: fault.NoColumn, Unit: strings.Join(missing, ", ")}}
	}
	var out []record
	for {
		cells, err := r.Read()
		if errors.Is(err, io.EOF) {
			break
		}
		if len(out) > mostRows { // with a last line
			return nil, fault.List{{Field: "file", Reason: fault.TooMany, High: mostRows, Unit: "rows"}}
		}
		var broken *csv.ParseError
		if errors.As(err, &broken) {
			out = append(out, record{at: broken.StartLine, broken: true})
			continue
		}
		if err != nil {
			return nil, bad(fault.NotText)
		}
		line, _ := r.FieldPos(0)
		out = append(out, record{at: line, cells: cells, of: of, heads: names, broken: len(cells) > len(names)})
	}
	if len(out) > 0 {
		if told, last := out[len(out)-1].tells(); last {
			if out = out[:len(out)-1]; told != len(out) {
				return nil, fault.List{{Field: "file", Reason: fault.CutShort, Low: float64(len(out)), High: float64(told), Unit: "rows"}}
			}
		}
	}
	if len(out) == 0 {
		return nil, bad(fault.Missing)
	}
	return out, nil
}

// decoded gives UTF-8: a byte order mark tells, and without one the zero bytes of
// UTF-16 do.
func decoded(file []byte) ([]byte, error) {
	order := unicode.LittleEndian
	switch {
	case bytes.HasPrefix(file, []byte{0xff, 0xfe}), bytes.HasPrefix(file, []byte{0xfe, 0xff}):
	case len(file) > 3 && file[0] != 0 && file[1] == 0 && file[3] == 0:
	case len(file) > 3 && file[0] == 0 && file[1] != 0 && file[2] == 0:
		order = unicode.BigEndian
	default:
		return bytes.TrimPrefix(file, []byte("\xef\xbb\xbf")), nil
	}
	out, _, err := transform.Bytes(unicode.UTF16(order, unicode.UseBOM).NewDecoder(), file)
	return bytes.TrimPrefix(out, []byte("\xef\xbb\xbf")), err
}

func separator(head []byte) rune {
	best, most := ',', 0
	for _, c := range ",;\t" {
		if n := bytes.Count(head, []byte(string(c))); n > most {
			best, most = c, n
		}
	}
	return best
}
