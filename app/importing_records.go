package app

import (
	"context"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/treatment"
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
		[]string{"yard", "colony", "on", "method", "product", "amount", "unit", "out", "lot", "person", "reason", "rule", "withdrawal_days", "note"}, 5,
		(*recordsImport).treatment, map[string]string{"given_on": "on", "out_on": "out"},
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

// RecordsQuery is how a file of records is taken.
type RecordsQuery struct {
	Mode   ImportMode
	File   string            // its name
	Column map[string]string // the column that a head means, by the head in lower case; others are found by their names
	Days   DayForm           // how days are written where the file does not tell; empty: as the member writes them
	// AllOut says of what stays in a hive and has no day on which it came out that all of it was out by then.
	AllOut bool
}

// dayColumns are those that hold days.
var dayColumns = []string{"on", "out"}

// mapped tells which column each head of a file means, with a sample of what stands there, and how days
// are written there.
func (q RecordsQuery) mapped(rows []record, of recordFile, dates string) []wire.MappedColumn {
	otherwise := q.Days
	if otherwise == "" {
		otherwise = lo.Ternary(dates == "month_day", MonthDayYear, DayMonthYear)
	}
	forms := map[string]DayForm{}
	var out []wire.MappedColumn
	meant := map[int]string{}
	for column, i := range rows[0].of {
		meant[i] = column
	}
	for i, head := range rows[0].heads {
		told := wire.MappedColumn{Head: strings.TrimSpace(head)}
		if slices.Contains(of.columns, meant[i]) {
			told.Column = meant[i]
		}
		cells := lo.FilterMap(rows, func(r record, _ int) (string, bool) {
			return strings.TrimSpace(lo.NthOrEmpty(r.cells, i)), i < len(r.cells) && strings.TrimSpace(r.cells[i]) != ""
		})
		told.Sample = lo.FirstOrEmpty(cells)
		if slices.Contains(dayColumns, told.Column) {
			form, sure := dayFormOf(cells, otherwise)
			told.Days, told.Unsure = string(form), !sure
			forms[told.Column] = form
		}
		out = append(out, told)
	}
	for i := range rows {
		rows[i].as = forms
	}
	return out
}

// ImportRecords reads a file of counts, inspections or treatments of colonies that are there.
// The same row sent twice counts once.
func (d Desk) ImportRecords(ctx context.Context, kind string, file []byte, q RecordsQuery) (wire.RecordsImport, error) {
	of, known := recordFiles[kind]
	if !known {
		return wire.RecordsImport{}, fault.List{{Field: "kind", Reason: fault.Unknown}}
	}
	rename := func(head string) string {
		if column, said := q.Column[head]; said {
			return column
		}
		return columnOf(head, of.columns)
	}
	rows, err := readTable(file, of.columns[:of.needed], rename)
	if err != nil {
		return wire.RecordsImport{}, err
	}
	in := recordsImport{desk: d, of: of, query: q, out: wire.RecordsImport{Columns: of.columns, Rows: len(rows), Seen: []wire.RecordRow{}}}
	in.out.Heads = q.mapped(rows, of, d.who.writes.Dates)
	if in.members, err = d.op.Members(ctx); err != nil {
		return wire.RecordsImport{}, err
	}
	if err := in.standing(ctx, rows); err != nil {
		return wire.RecordsImport{}, err
	}
	for _, r := range rows {
		in.row(kind, r)
	}
	out := in.out
	keep := q.Mode == ImportRight || q.Mode == ImportAll && out.Wrong == 0
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
	query    RecordsQuery
	members  []store.Member
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
		in.wrong(r, l)
		return
	}
	keep()
	in.out.Right++
	if len(in.out.Seen) < mostTold {
		in.out.Seen = append(in.out.Seen, wire.RecordRow{Row: r.at, Cells: cells})
	}
}

func (in *recordsImport) wrong(r record, l fault.List) {
	in.out.Wrong++
	for _, f := range l {
		if len(in.out.Faults) == mostTold {
			return
		}
		column := f.Field
		if of, elsewhere := in.of.at[column]; elsewhere {
			column = of
		}
		in.out.Faults = append(in.out.Faults, wire.RowFault{Row: r.at, Column: column, Stood: r.cell(column), Text: words.InFile(f, column, allowedIn[column])})
	}
}

// twoWays is a number of which nobody can say whether its sign parts thousands or tenths.
var twoWays = regexp.MustCompile(`^([1-9]\d{0,2})[.,](\d{3})$`)

// figure reads a number, with a point or a comma; 0 where nothing stands. One that may be read in two
// ways is refused: a dose a thousand times too small or large is not guessed.
func figure(column string, r record, l *fault.List) float64 {
	text := r.cell(column)
	if text == "" {
		return 0
	}
	v, err := strconv.ParseFloat(strings.Replace(text, ",", ".", 1), 64)
	if err != nil {
		l.Add(column, fault.NotFinite)
		return 0
	}
	if parts := twoWays.FindStringSubmatch(text); parts != nil {
		l.AddRange(column, fault.TwoWays, v, v*1000, "")
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
	l.Length("lot", r.cell("lot"), 80)
	l.Length("person", r.cell("person"), 80)
	l.Length("reason", r.cell("reason"), 200)
	o.Lot, o.TreatedFor = r.cell("lot"), r.cell("reason")
	line := in.desk.readOther(o, l)
	given := line(id, colony)
	out := in.cameOut(r, given, l)
	return func() {
		in.imported(&given, r.cell("person"))
		in.applications = append(in.applications, given)
		if out != 0 {
			removal := in.desk.noted(uuid.NewSHA1(uuid.MustParse(id), []byte("out")).String(), treatment.Out, colony, o.Method, "", out)
			removal.EndsID = &given.ID
			in.imported(&removal, r.cell("person"))
			in.applications = append(in.applications, removal)
		}
	}
}

// cameOut is the day on which what a row gave came out; 0 while it is in, or never stayed. Old ones
// without that day are asked about once for all.
func (in *recordsImport) cameOut(r record, given store.Application, l *fault.List) calendar.Day {
	on := in.desk.dayGiven(given)
	stays := method.Name(given.Method).Stays()
	if r.cell("out") != "" {
		out := readDay("out", r.cell("out"), 0, in.desk.today(), l)
		if stays && out != 0 && out < on {
			l.Add("out", fault.NotRising)
		}
		return lo.Ternary(stays, out, 0)
	}
	_, by, _ := treatment.Treatment{Method: method.Name(given.Method), Given: on}.Due()
	if !stays || by >= in.desk.today() {
		return 0
	}
	in.out.NoOut++
	return lo.Ternary(in.query.AllOut, by, 0)
}

// imported writes into a line that it came from the file, and who gave it.
func (in *recordsImport) imported(row *store.Application, person string) {
	row.Entered, row.EnteredFrom = store.Imported, lo.Substring(in.query.File, 0, 200)
	if person == "" {
		return
	}
	g := giver{said: person, name: person}
	for _, m := range in.members {
		if strings.EqualFold(m.User.Login, person) {
			g = giver{said: person, member: &m.UserID}
		}
	}
	row.GiverID, row.GiverName = g.member, g.name
}

// allowedIn are the words that a column of a file takes.
var allowedIn = map[string]string{
	"method": "dribble, strip, pad, vapour, other", "unit": "ml, g, pieces", "kind": "wash, board", "brood": "none, little, much",
	"stores": "light, enough, heavy", "queen": "laying, young, queenless, unseen", "temper": "calm, nervous, fierce",
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
