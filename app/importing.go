package app

import (
	"bytes"
	"context"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"strconv"
	"strings"
	"unicode/utf8"

	"github.com/google/uuid"
	"golang.org/x/text/encoding/unicode"
	"golang.org/x/text/transform"

	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/store"
	"keeler/wire"
	"keeler/words"
)

// MaxFile is the largest file of colonies that is read, in bytes.
const MaxFile = 8 << 20

// ImportMode says what is stored of a file.
type ImportMode string

const (
	ImportPreview ImportMode = "preview" // nothing
	ImportAll     ImportMode = "all"     // everything, and nothing when a row is wrong
	ImportRight   ImportMode = "right"   // the rows that are right
)

// columns of a file of colonies (docs/formats/colonies.md). The first three must
// be there.
var columns = []string{"yard", "colony", "boxes", "latitude", "nuc", "for_honey", "queen", "notes"}

const needed = 3

const mostTold = 200

// Import reads a file of colonies. A file that is none is a fault at "file".
func (d Desk) Import(ctx context.Context, file []byte, mode ImportMode) (wire.Import, error) {
	rows, err := readTable(file)
	if err != nil {
		return wire.Import{}, err
	}
	in := importing{desk: d, yards: map[string]*store.Yard{}, taken: map[string]bool{}, next: map[string]int{}, out: wire.Import{Colonies: []wire.ImportRow{}}}
	if err := in.standing(ctx); err != nil {
		return wire.Import{}, err
	}
	for _, r := range rows {
		in.row(r)
	}
	out := in.out
	out.Rows, out.Right = len(rows), len(in.colonies)
	keep := mode == ImportRight || mode == ImportAll && out.Wrong == 0
	if !keep || len(in.colonies) == 0 {
		return out, nil
	}
	if err := d.op.Import(ctx, in.added, in.colonies); err != nil {
		return wire.Import{}, err
	}
	out.Stored = len(in.colonies)
	return out, nil
}

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
		if !contains(names, c) {
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

func contains(names []string, name string) bool {
	for _, n := range names {
		if n == name {
			return true
		}
	}
	return false
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

// importing gathers what a file would add.
type importing struct {
	desk     Desk
	yards    map[string]*store.Yard // by name
	added    []store.Yard
	colonies []store.Colony
	taken    map[string]bool // yard and colony
	next     map[string]int  // place in the line, by yard
	out      wire.Import
}

// standing reads what is there already.
func (in *importing) standing(ctx context.Context) error {
	yards, err := in.desk.op.Yards(ctx)
	if err != nil {
		return err
	}
	names := map[string]string{}
	for i := range yards {
		in.yards[strings.ToLower(yards[i].Name)] = &yards[i]
		names[yards[i].ID] = yards[i].Name
	}
	last, err := in.desk.op.LastPosition(ctx)
	if err != nil {
		return err
	}
	for yard, at := range last {
		in.next[yard] = at + 1
	}
	colonies, err := in.desk.op.Colonies(ctx)
	for _, c := range colonies {
		in.taken[stand(names[c.YardID], c.Name)] = true
	}
	return err
}

func stand(yard, colony string) string { return strings.ToLower(yard + "\x00" + colony) }

func (in *importing) row(r record) {
	var l fault.List
	if r.broken {
		l.Add("", fault.BrokenRow)
		in.wrong(r.at, l)
		return
	}
	f := r.fields
	yard := in.yard(f, &l)
	boxes, err := wire.ParseHive(f["boxes"])
	if of, wrong := err.(fault.List); wrong {
		l = append(l, of...)
	}
	c, err := in.desk.readColony(wire.SaveColony{
		Name: f["colony"], Nuc: yes("nuc", f, &l), ForHoney: yes("for_honey", f, &l), Queen: f["queen"],
		Notes: f["notes"], Boxes: boxes,
	})
	if of, wrong := err.(fault.List); wrong && len(boxes) > 0 {
		l = append(l, of...)
	} else if c.Name == "" {
		l.Add("name", fault.Missing)
	}
	l.Within("name", float64(utf8.RuneCountInString(c.Name)), 0, 40, "letters")
	l.Within("notes", float64(utf8.RuneCountInString(f["notes"])), 0, 2000, "letters")
	key := stand(f["yard"], c.Name)
	if in.taken[key] && c.Name != "" {
		l.Add("name", fault.Taken)
	}
	if len(l) > 0 {
		in.wrong(r.at, l)
		return
	}
	in.taken[key] = true
	if yard.ID == "" {
		yard.ID = uuid.NewString()
		in.yards[strings.ToLower(yard.Name)] = yard
		in.added = append(in.added, *yard)
		in.out.NewYards = append(in.out.NewYards, yard.Name)
	}
	c.ID, c.YardID, c.Position = uuid.NewString(), yard.ID, in.next[yard.ID]
	in.next[yard.ID]++
	in.colonies = append(in.colonies, c)
	if len(in.out.Colonies) < mostTold {
		in.out.Colonies = append(in.out.Colonies, wire.ImportRow{Row: r.at, Yard: yard.Name, Name: c.Name, Boxes: wire.FormatHive(boxes)})
	}
}

// yard finds the yard of a row; one that is new needs a latitude.
func (in *importing) yard(f map[string]string, l *fault.List) *store.Yard {
	name := f["yard"]
	if y, known := in.yards[strings.ToLower(name)]; known {
		return y
	}
	y := &store.Yard{Name: name, CreatedAt: in.desk.stamp()}
	l.Within("yard", float64(utf8.RuneCountInString(name)), 1, 60, "letters")
	latitude, err := strconv.ParseFloat(strings.ReplaceAll(f["latitude"], ",", "."), 64)
	if err != nil {
		l.AddRange("latitude", fault.Missing, fit.South, fit.North, "degrees")
	} else {
		l.Within("latitude", latitude, fit.South, fit.North, "degrees")
	}
	y.Latitude = latitude
	return y
}

func yes(column string, f map[string]string, l *fault.List) bool {
	switch strings.ToLower(f[column]) {
	case "", "no", "0", "false", "n":
		return false
	case "yes", "1", "true", "y", "x":
		return true
	}
	l.Add(column, fault.YesOrNo)
	return false
}

func (in *importing) wrong(row int, l fault.List) {
	in.out.Wrong++
	for _, f := range l {
		if len(in.out.Faults) == mostTold {
			return
		}
		column := f.Field
		if column == "name" {
			column = "colony"
		}
		in.out.Faults = append(in.out.Faults, wire.RowFault{Row: row, Column: column, Text: words.Fault(f)})
	}
}

// Export writes all living colonies as a file that Import reads.
func (d Desk) Export(ctx context.Context) ([]byte, error) {
	yards, err := d.op.Yards(ctx)
	if err != nil {
		return nil, err
	}
	by := map[string]store.Yard{}
	for _, y := range yards {
		by[y.ID] = y
	}
	colonies, err := d.op.Colonies(ctx)
	if err != nil {
		return nil, err
	}
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	if err := w.Write(columns); err != nil {
		return nil, err
	}
	word := map[bool]string{true: "yes", false: "no"}
	for _, c := range colonies {
		y := by[c.YardID]
		err := w.Write([]string{
			y.Name, c.Name, wire.FormatHive(boxesOf(c)), fmt.Sprint(y.Latitude), word[c.Nuc], word[c.ForHoney], c.Queen, c.Notes,
		})
		if err != nil {
			return nil, err
		}
	}
	w.Flush()
	return out.Bytes(), w.Error()
}
