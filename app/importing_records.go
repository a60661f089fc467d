package app

import (
	"context"
	"slices"
	"strconv"
	"strings"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/fault"
	"keeler/core/method"
	"keeler/store"
	"keeler/wire"
	"keeler/words"
)

// recordFile is what a file of records of one kind holds (docs/formats/records.md).
type recordFile struct {
	columns []string
	needed  int // of them, the first ones
	// read reads a row about a colony; what it gives keeps it.
	read func(in *recordsImport, r record, colony store.Colony, id string, l *fault.List) (keep func())
	// at are the columns that faults of other names belong to.
	at map[string]string
}

var recordFiles = map[string]recordFile{
	"counts": {
		[]string{"yard", "colony", "on", "kind", "mites", "bees", "days", "note"}, 5, (*recordsImport).count, nil,
	},
	"inspections": {
		[]string{"yard", "colony", "on", "seams", "brood", "eggs", "larvae", "stores", "supers", "queen", "temper", "note"}, 3,
		(*recordsImport).inspection, map[string]string{"typed": "seams", "boxes": "seams"},
	},
	"treatments": {
		[]string{"yard", "colony", "on", "method", "product", "amount", "unit", "rule", "withdrawal_days", "note"}, 5,
		(*recordsImport).treatment, map[string]string{"given_on": "on"},
	},
}

// RecordKinds are what records can be read from a file.
var RecordKinds = slices.Sorted(func(yield func(string) bool) {
	for kind := range recordFiles {
		if !yield(kind) {
			return
		}
	}
})

// ImportRecords reads a file of counts, inspections or treatments of colonies that are there.
// The same row sent twice counts once.
func (d Desk) ImportRecords(ctx context.Context, kind string, file []byte, mode ImportMode) (wire.RecordsImport, error) {
	of, known := recordFiles[kind]
	if !known {
		return wire.RecordsImport{}, fault.List{{Field: "kind", Reason: fault.Unknown}}
	}
	rows, err := readTable(file, of.columns[:of.needed])
	if err != nil {
		return wire.RecordsImport{}, err
	}
	in := recordsImport{desk: d, of: of, out: wire.RecordsImport{Columns: of.columns, Rows: len(rows), Seen: []wire.RecordRow{}}}
	if err := in.standing(ctx, rows); err != nil {
		return wire.RecordsImport{}, err
	}
	for _, r := range rows {
		in.row(kind, r)
	}
	out := in.out
	keep := mode == ImportRight || mode == ImportAll && out.Wrong == 0
	if !keep || out.Right == 0 {
		return out, nil
	}
	if err := d.op.Within(ctx, func(op store.Operation) error { return in.store(ctx, op) }); err != nil {
		return wire.RecordsImport{}, err
	}
	out.Stored = out.Right
	return out, nil
}

// recordsImport gathers what a file would add.
type recordsImport struct {
	desk     Desk
	of       recordFile
	alike    alike
	colonies map[string]store.Colony // by yard and name, as are
	out      wire.RecordsImport

	counts       []store.MiteCount
	inspections  []store.Inspection
	applications []store.Application
}

func (in *recordsImport) standing(ctx context.Context, rows []record) error {
	r := reading{ctx: ctx}
	yards, colonies := all(&r, in.desk.op.Yards), all(&r, in.desk.op.Colonies)
	var said []string
	names := map[string]string{}
	for _, y := range yards {
		names[y.ID], said = y.Name, append(said, y.Name)
	}
	for _, c := range colonies {
		said = append(said, c.Name)
	}
	for _, row := range rows {
		said = append(said, row.cell("yard"), row.cell("colony"))
	}
	in.alike = by(&r, in.desk.op.Alike, lo.Uniq(said))
	in.colonies = map[string]store.Colony{}
	for _, c := range colonies {
		in.colonies[in.alike.stand(names[c.YardID], c.Name)] = c
	}
	return r.err
}

func (in *recordsImport) row(kind string, r record) {
	var l fault.List
	cells := lo.Map(in.of.columns, func(c string, _ int) string { return r.cell(c) })
	keep := func() {}
	colony, known := in.colonies[in.alike.stand(r.cell("yard"), r.cell("colony"))]
	switch {
	case r.broken:
		l.Add("", fault.BrokenRow)
	case !known:
		l.Add("colony", fault.Unknown)
	default:
		if r.cell("on") == "" {
			l.Add("on", fault.Missing)
		}
		// Of the same words the same id: sent twice, it counts once.
		id := uuid.NewSHA1(uuid.NameSpaceOID, []byte(kind+"\x00"+colony.ID+"\x00"+strings.Join(cells[2:], "\x00"))).String()
		keep = in.of.read(in, r, colony, id, &l)
	}
	if len(l) > 0 {
		in.wrong(r.at, l)
		return
	}
	keep()
	in.out.Right++
	if len(in.out.Seen) < mostTold {
		in.out.Seen = append(in.out.Seen, wire.RecordRow{Row: r.at, Cells: cells})
	}
}

func (in *recordsImport) wrong(row int, l fault.List) {
	in.out.Wrong++
	for _, f := range l {
		if len(in.out.Faults) == mostTold {
			return
		}
		column := f.Field
		if of, elsewhere := in.of.at[column]; elsewhere {
			column = of
		}
		in.out.Faults = append(in.out.Faults, wire.RowFault{Row: row, Column: column, Text: words.Fault(f)})
	}
}

// figure reads a number; 0 where nothing stands. A comma before three figures is refused: it may
// part thousands or tenths, and a dose a thousand times too small or large is not guessed.
func figure(column string, r record, l *fault.List) float64 {
	text := r.cell(column)
	if text == "" {
		return 0
	}
	_, behind, comma := strings.Cut(text, ",")
	v, err := strconv.ParseFloat(strings.Replace(text, ",", ".", 1), 64)
	if err != nil || comma && len(behind) == 3 {
		l.Add(column, fault.NotFinite)
	}
	return v
}

// whole is figure for what is counted.
func whole(column string, r record, l *fault.List) int {
	v := figure(column, r, l)
	if v != float64(int(v)) {
		l.Add(column, fault.WholeOnly)
	}
	return int(v)
}

// looked is whether something was seen; nil where nobody looked for it.
func looked(column string, r record, l *fault.List) *bool {
	if r.cell(column) == "" {
		return nil
	}
	return new(yes(column, r, l))
}

func (in *recordsImport) count(r record, colony store.Colony, id string, l *fault.List) func() {
	if r.cell("mites") == "" {
		l.Add("mites", fault.Missing)
	}
	c := wire.MiteCount{
		ID: id, ColonyID: colony.ID, Kind: r.cell("kind"), On: r.cell("on"), Note: r.cell("note"),
		Mites: whole("mites", r, l), Bees: whole("bees", r, l), Days: figure("days", r, l),
	}
	l.Length("note", c.Note, 500)
	row := in.desk.readCount(c, l)
	return func() { in.counts = append(in.counts, row) }
}

func (in *recordsImport) inspection(r record, colony store.Colony, id string, l *fault.List) func() {
	i := wire.Inspection{
		ID: id, ColonyID: colony.ID, On: r.cell("on"), Typed: r.cell("seams"), Brood: r.cell("brood"), Stores: r.cell("stores"),
		Queen: r.cell("queen"), Temper: r.cell("temper"), Note: r.cell("note"), Eggs: looked("eggs", r, l), Larvae: looked("larvae", r, l),
	}
	if r.cell("supers") != "" {
		i.Supers = new(whole("supers", r, l))
	}
	l.Length("seams", i.Typed, 40)
	l.Length("note", i.Note, 1000)
	row := in.desk.readInspection(i, colony, l)
	return func() { in.inspections = append(in.inspections, row) }
}

func (in *recordsImport) treatment(r record, colony store.Colony, id string, l *fault.List) func() {
	o := wire.OtherTreatment{
		Method: r.cell("method"), Product: r.cell("product"), GivenOn: r.cell("on"), Amount: figure("amount", r, l), Unit: r.cell("unit"),
		Rule: r.cell("rule"), Note: r.cell("note"),
	}
	if o.Method != string(method.Other) && o.Method != string(method.Vapour) && !slices.Contains(method.All[:], method.Name(o.Method)) {
		l.Add("method", fault.Unknown)
	}
	if r.cell("withdrawal_days") != "" {
		o.Withdrawal = new(whole("withdrawal_days", r, l))
	}
	l.Length("product", o.Product, 120)
	l.Length("rule", o.Rule, 200)
	l.Length("note", o.Note, 500)
	line := in.desk.readOther(o, l)
	return func() { in.applications = append(in.applications, line(id, colony)) }
}

// store writes what is right, all or nothing.
func (in *recordsImport) store(ctx context.Context, op store.Operation) error {
	if len(in.counts) > 0 {
		if err := op.Count(ctx, in.counts); err != nil {
			return err
		}
	}
	if len(in.inspections) > 0 {
		if err := op.Inspect(ctx, in.inspections); err != nil {
			return err
		}
	}
	for i := range in.applications {
		if _, err := op.Apply(ctx, &in.applications[i], func(store.Operation) error { return nil }); err != nil {
			return err
		}
	}
	return nil
}
