package app

import (
	"bytes"
	"encoding/csv"
	"errors"
	"io"
	"keeler/core/fault"
	"slices"
	"strings"
	"unicode/utf8"

	"golang.org/x/text/encoding/unicode"
	"golang.org/x/text/transform"
)

// record is a row of a file by its columns, and where it stands.
type record struct {
	at     int
	fields map[string]string
	broken bool // it has more fields than the head
}

// readTable reads CSV text in UTF-8 or UTF-16, with comma, semicolon or tab.
func readTable(file []byte) ([]record, error) {
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
	for i, n := range names {
		names[i] = strings.ReplaceAll(strings.ToLower(strings.TrimSpace(n)), " ", "_")
	}
	var l fault.List
	for _, c := range columns[:needed] {
		if !slices.Contains(names, c) {
			l.Add("file."+c, fault.NoColumn)
		}
	}
	if err := l.Err(); err != nil {
		return nil, err
	}
	var out []record
	for {
		fields, err := r.Read()
		if errors.Is(err, io.EOF) {
			break
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
		rec := record{at: line, fields: map[string]string{}, broken: len(fields) > len(names)}
		for i := range min(len(fields), len(names)) {
			rec.fields[names[i]] = strings.TrimSpace(fields[i])
		}
		out = append(out, rec)
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
