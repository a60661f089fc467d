package app

import (
	"context"
	"fmt"
	"io"
	"strconv"
	"strings"
	"unicode/utf8"

	"github.com/google/uuid"
	"github.com/samber/lo"

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
	rows, err := readTable(file, columns[:needed], nil)
	if err != nil {
		return wire.Import{}, err
	}
	in := importing{desk: d, yards: map[string]*store.Yard{}, taken: map[string]bool{}, next: map[string]int{}, out: wire.Import{Colonies: []wire.ImportRow{}}}
	if err := in.standing(ctx, rows); err != nil {
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

// importing gathers what a file would add.
type importing struct {
	desk     Desk
	alike    alike
	yards    map[string]*store.Yard // by name, as are
	near     store.Yard             // whose latitude a yard without one gets
	added    []store.Yard
	colonies []store.Colony
	taken    map[string]bool // yard and colony
	next     map[string]int  // place in the line, by yard
	out      wire.Import
}

// standing reads what is there already.
func (in *importing) standing(ctx context.Context, rows []record) error {
	r := reading{ctx: ctx}
	yards, colonies, last := all(&r, in.desk.op.Yards), all(&r, in.desk.op.Colonies), all(&r, in.desk.op.LastPosition)
	if len(yards) > 0 {
		in.near = yards[0]
	}
	names := map[string]string{}
	for i := range yards {
		names[yards[i].ID] = yards[i].Name
	}
	said := lo.Values(names)
	for _, c := range colonies {
		said = append(said, c.Name)
	}
	for _, row := range rows {
		said = append(said, row.cell("yard"), row.cell("colony"))
	}
	in.alike = by(&r, in.desk.op.Alike, lo.Uniq(said))
	for i := range yards {
		in.yards[in.alike[yards[i].Name]] = &yards[i]
	}
	for yard, at := range last {
		in.next[yard] = at + 1
	}
	for _, c := range colonies {
		in.taken[in.alike.stand(names[c.YardID], c.Name)] = true
	}
	return r.err
}

// alike are names by what the database takes for the same.
type alike map[string]string

// stand names a colony in its yard.
func (a alike) stand(yard, colony string) string { return a[yard] + "\x00" + a[colony] }

func (in *importing) row(r record) {
	var l fault.List
	if r.broken {
		l.Add("", fault.BrokenRow)
		in.wrong(r.at, l)
		return
	}
	yard := in.yard(r, &l)
	boxes, err := wire.ParseHive(r.cell("boxes"))
	if of, wrong := err.(fault.List); wrong {
		l = append(l, of...)
	}
	c, err := in.desk.readColony(wire.SaveColony{
		Name: r.cell("colony"), Nuc: yes("nuc", r, &l), ForHoney: yes("for_honey", r, &l), Queen: r.cell("queen"),
		Notes: r.cell("notes"), Boxes: boxes,
	})
	if of, wrong := err.(fault.List); wrong && len(boxes) > 0 {
		l = append(l, of...)
	} else if c.Name == "" {
		l.Add("name", fault.Missing)
	}
	l.Within("name", float64(utf8.RuneCountInString(c.Name)), 0, 40, "letters")
	l.Within("notes", float64(utf8.RuneCountInString(r.cell("notes"))), 0, 2000, "letters")
	key := in.alike.stand(r.cell("yard"), c.Name)
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
		in.yards[in.alike[yard.Name]] = yard
		in.added = append(in.added, *yard)
		in.out.NewYards = append(in.out.NewYards, yard.Name)
		if r.cell("latitude") == "" {
			in.out.NoLatitude, in.out.LatitudeOf = append(in.out.NoLatitude, yard.Name), in.near.Name
		}
	}
	c.ID, c.YardID, c.Position = uuid.NewString(), yard.ID, in.next[yard.ID]
	in.next[yard.ID]++
	in.colonies = append(in.colonies, c)
	if len(in.out.Colonies) < mostTold {
		in.out.Colonies = append(in.out.Colonies, wire.ImportRow{Row: r.at, Yard: yard.Name, Name: c.Name, Boxes: wire.FormatHive(boxes), Stack: boxes})
	}
}

// yard finds the yard of a row. One that is new and has no latitude gets that of the first
// yard there is, for most keepers' yards lie near each other; without any it gets 0, for
// which no season is assumed.
func (in *importing) yard(r record, l *fault.List) *store.Yard {
	name := r.cell("yard")
	if y, known := in.yards[in.alike[name]]; known {
		return y
	}
	y := &store.Yard{Name: name, CreatedAt: in.desk.stamp()}
	l.Within("yard", float64(utf8.RuneCountInString(name)), 1, 60, "letters")
	given := strings.ReplaceAll(r.cell("latitude"), ",", ".")
	if given == "" {
		y.Latitude = in.near.Latitude
		return y
	}
	var err error
	if y.Latitude, err = strconv.ParseFloat(given, 64); err != nil {
		l.AddRange("latitude", fault.NotFinite, fit.South, fit.North, "degrees")
	} else {
		l.Within("latitude", y.Latitude, fit.South, fit.North, "degrees")
	}
	return y
}

func yes(column string, r record, l *fault.List) bool {
	switch strings.ToLower(r.cell(column)) {
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

// BeginColoniesFile logs that the colonies are taken out.
func (d Desk) BeginColoniesFile(ctx context.Context) error {
	return d.logged(ctx, d.op, exported, "colonies")
}

// ColoniesFile writes all living colonies, yard by yard, as a file that Import reads.
func (d Desk) ColoniesFile(ctx context.Context, to io.Writer) error {
	table, err := newSheet(to, columns)
	if err != nil {
		return err
	}
	yards, err := d.op.Yards(ctx)
	if err != nil {
		return err
	}
	word := map[bool]string{true: "yes", false: "no"}
	for _, y := range yards {
		colonies, err := d.op.ColoniesIn(ctx, y.ID)
		if err != nil {
			return err
		}
		for _, c := range colonies {
			if err := table.row(
				y.Name, c.Name, wire.FormatHive(boxesOf(c)), fmt.Sprint(y.Latitude), word[c.Nuc], word[c.ForHoney], c.Queen, c.Notes,
			); err != nil {
				return err
			}
		}
	}
	return table.end()
}
