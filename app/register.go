package app

import (
	"context"
	"encoding/base64"
	"encoding/json"
	"fmt"
	"io"
	"strconv"
	"strings"
	"time"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// RegisterPage is how many lines a page of the register holds.
const RegisterPage = 50

// RegisterQuery is which lines are wanted; empty fields want all.
type RegisterQuery struct {
	Colony, Yard, Batch, Method string
	From, To                    string // days, both included
	Group                       string // colony, yard or batch
	Oldest                      bool
	Find                        string // the hive's whole name, or a part of what was given, by whom, from which lot or batch, and of the rule
	After                       string // where a page before ended
}

// Register is a page of the medicine record, as it stands.
func (d Desk) Register(ctx context.Context, q RegisterQuery) (wire.Register, error) {
	ask, err := d.lines(q)
	if err != nil {
		return wire.Register{}, err
	}
	ask.Most = RegisterPage + 1
	rows, err := d.op.Register(ctx, ask)
	if err != nil {
		return wire.Register{}, err
	}
	out := wire.Register{}
	if len(rows) > RegisterPage {
		rows = rows[:RegisterPage]
		if out.More, err = cursorOf(rows[RegisterPage-1], ask.GroupBy); err != nil {
			return out, err
		}
	}
	out.Lines, err = d.describeLines(ctx, rows)
	return out, err
}

// BeginExport tells what about a query cannot be, and logs what is taken out.
func (d Desk) BeginExport(ctx context.Context, q RegisterQuery) error {
	if _, err := d.lines(q); err != nil {
		return err
	}
	return d.logged(ctx, d.op, exported, "register")
}

func (d Desk) lines(q RegisterQuery) (store.Asked, error) {
	var l fault.List
	out := store.Asked{Colony: q.Colony, Yard: q.Yard, Batch: q.Batch, Method: q.Method, Oldest: q.Oldest, Find: strings.TrimSpace(q.Find)}
	if q.From != "" {
		from := readDay("from", q.From, 0, d.today()+366, &l).Begins(d.who.Zone).UTC()
		out.From = &from
	}
	if q.To != "" {
		to := (readDay("to", q.To, 0, d.today()+366, &l) + 1).Begins(d.who.Zone).UTC()
		out.To = &to
	}
	if q.Group != "" {
		out.GroupBy = map[string]string{"colony": "colony_id", "yard": "yard_id", "batch": "batch_id"}[q.Group]
		if out.GroupBy == "" {
			l.Add("group", fault.Unknown)
		}
	}
	if q.After != "" {
		line, err := readCursor(q.After)
		if err != nil {
			l.Add("after", fault.Unknown)
		}
		out.After = &line
	}
	return out, l.Err()
}

// cursor is where a page ended, as it is handed out: nobody need understand it.
func cursorOf(r store.Application, groupBy string) (string, error) {
	line := store.Line{At: r.GivenAt, Seq: r.Seq}
	switch groupBy {
	case "colony_id":
		line.Group = r.ColonyID
	case "yard_id":
		line.Group = r.YardID
	case "batch_id":
		line.Group = *r.BatchID
	}
	raw, err := json.Marshal(line)
	return base64.RawURLEncoding.EncodeToString(raw), err
}

func readCursor(text string) (line store.Line, err error) {
	raw, err := base64.RawURLEncoding.DecodeString(text)
	if err != nil {
		return line, err
	}
	return line, json.Unmarshal(raw, &line)
}

// describeLines writes lines with the lots that their batches were mixed from, and what about them is
// only seen beside other lines.
func (d Desk) describeLines(ctx context.Context, rows []store.Application) ([]wire.Application, error) {
	var batches []string
	for _, r := range rows {
		if r.BatchID != nil {
			batches = append(batches, *r.BatchID)
		}
	}
	lots := map[string][]string{}
	if len(batches) > 0 {
		var err error
		if lots, err = d.op.LotsOf(ctx, lo.Uniq(batches)); err != nil {
			return nil, fmt.Errorf("read the lots of batches: %w", err)
		}
	}
	twice, err := d.onOneDay(ctx, rows)
	if err != nil {
		return nil, err
	}
	before, err := d.op.Amended(ctx, rows)
	if err != nil {
		return nil, fmt.Errorf("read what lines amend: %w", err)
	}
	out := make([]wire.Application, len(rows))
	for i, r := range rows {
		out[i] = wire.ApplicationOf(r.Detail, d.plainLine(r))
		out[i].Changes = d.lineChanges(r, before)
		if r.BatchID != nil {
			out[i].Lots = lots[*r.BatchID]
		}
		if out[i].Lot != "" {
			out[i].Lots = append(out[i].Lots, out[i].Lot)
		}
		if twice[r.ID] {
			out[i].Flags = append([]string{string(treatment.Twice)}, out[i].Flags...)
			out[i].FlagWords = words.Flags(out[i].Flags)
		}
	}
	return out, nil
}

// onOneDay finds those of some lines whose colony got one acid twice on a day, by their ids.
func (d Desk) onOneDay(ctx context.Context, rows []store.Application) (map[string]bool, error) {
	given := lo.Filter(rows, func(r store.Application, _ int) bool { return isDose(r) })
	if len(given) == 0 {
		return nil, nil
	}
	colonies := lo.Uniq(lo.Map(given, func(r store.Application, _ int) string { return r.ColonyID }))
	first, last := given[0].GivenAt, given[0].GivenAt
	for _, r := range given {
		if first.After(r.GivenAt) {
			first = r.GivenAt
		}
		if last.Before(r.GivenAt) {
			last = r.GivenAt
		}
	}
	doses, err := d.op.Doses(ctx, colonies, d.dayOf(first).Begins(d.who.Zone), (d.dayOf(last) + 1).Begins(d.who.Zone))
	if err != nil {
		return nil, fmt.Errorf("read doses of the same days: %w", err)
	}
	return treatment.OnOneDay(lo.Map(doses, func(r store.Application, _ int) treatment.Dose {
		return treatment.Dose{
			ID: r.ID, Colony: r.ColonyID, On: d.dayGiven(r),
			Acids: treatment.AcidsOf(method.Name(r.Method), chem.Milligrams(r.OADMG), chem.Milligrams(r.FormicMG)),
		}
	})), nil
}

// isDose reports whether a line tells of a dose: not of what only replaced a part of what was in.
func isDose(r store.Application) bool {
	return (r.Kind == string(treatment.Given) || r.Kind == string(treatment.Other)) && !r.Extra
}

// RegisterHead is the first row of the register as CSV.
var RegisterHead = []string{
	"id", "given_at", "yard", "colony", "kind", "method", "product", "batch", "lots", "amount", "unit", "oad_mg", "formic_mg",
	"person", "rule_worked_under", "withdrawal_days", "reason", "override_reason", "extras", "note", "flags", "amends",
	"planned_for", "recorded_at", "recorded_by", "entered", "entered_from", "changed_at", "changed_by", "change_reason", "changes",
}

// exportPage is how many lines are read at a time.
const exportPage = 2000

// ExportRegister writes all lines that are wanted as CSV.
func (d Desk) ExportRegister(ctx context.Context, q RegisterQuery, w io.Writer) error {
	ask, err := d.lines(q)
	if err != nil {
		return err
	}
	ask.Most = exportPage
	table, err := newSheet(w, RegisterHead)
	if err != nil {
		return err
	}
	for {
		rows, err := d.op.Register(ctx, ask)
		if err != nil {
			return err
		}
		lines, err := d.describeLines(ctx, rows)
		if err != nil {
			return err
		}
		for _, a := range lines {
			if err := table.row(csvLine(a)...); err != nil {
				return err
			}
		}
		if len(rows) < exportPage {
			return table.end()
		}
		cursor, err := cursorOf(rows[len(rows)-1], ask.GroupBy)
		if err != nil {
			return err
		}
		line, err := readCursor(cursor)
		if err != nil {
			return err
		}
		ask.After = &line
	}
}

func csvLine(a wire.Application) []string {
	number := func(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }
	batch := ""
	if a.BatchNumber > 0 {
		batch = strconv.Itoa(a.BatchNumber)
	}
	return []string{
		a.ID, a.GivenAt.Format(time.RFC3339), a.Yard, a.Colony, a.Kind, a.Method, a.Product, batch, strings.Join(a.Lots, "; "),
		number(a.Amount), a.Unit, number(a.OADMg), number(a.FormicMg), a.By, a.Rule, optionalNumber(a.Withdrawal), a.Reason, a.Override,
		strings.Join(a.Extras, " "), a.Note, strings.Join(a.Flags, " "), a.Amends,
		a.PlannedFor, a.RecordedAt.Format(time.RFC3339), a.RecordedBy, a.Entered, a.EnteredFrom, optionalTime(a.ChangedAt), a.ChangedBy, a.ChangeWhy, changesLine(a.Changes),
	}
}

// optionalTime is a time of a table; empty where there is none.
func optionalTime(t time.Time) string {
	if t.IsZero() {
		return ""
	}
	return t.Format(time.RFC3339)
}

// changesLine is all that was amended of a line in one cell, the newest first.
func changesLine(changes []wire.Change) string {
	return strings.Join(lo.Map(changes, func(c wire.Change, _ int) string {
		return words.Amended(c.At.Format(dateForm), c.By, strings.Join(c.What, ", "), c.Why)
	}), " ")
}

// optionalNumber is a number of a table; empty where it is not stated.
func optionalNumber(n *int) string {
	if n == nil {
		return ""
	}
	return strconv.Itoa(*n)
}

// RecordOther writes down what was given outside a job: vapour, bought strips and the
// like. It counts in what fits a colony as everything else does.
func (d Desk) RecordOther(ctx context.Context, in wire.OtherTreatment) (wire.Register, error) {
	var l fault.List
	line := d.readOther(in, &l)
	if err := l.Err(); err != nil {
		return wire.Register{}, err
	}
	g, err := d.findGiver(ctx, in.Giver)
	if err != nil {
		return wire.Register{}, err
	}
	err = d.op.Within(ctx, func(op store.Operation) error {
		for i, c := range in.Colonies {
			colony, err := op.Colony(ctx, c.ColonyID)
			if err != nil {
				return unknown(fault.Index("colonies", i), err)
			}
			row := line(c.ID, colony)
			row.GiverID, row.GiverName = g.member, g.name
			if _, err = op.Apply(ctx, &row, func(store.Operation) error { return nil }); err != nil {
				return err
			}
		}
		return nil
	})
	return after(ctx, err, d.Register, RegisterQuery{})
}

// readOther reads what was given outside a job; the line of it is made for each colony.
func (d Desk) readOther(in wire.OtherTreatment, l *fault.List) func(id string, colony store.Colony) store.Application {
	product := l.Said("product", in.Product)
	day := readDay("given_on", in.GivenOn, d.today(), d.today(), l)
	if in.Withdrawal != nil {
		l.Within("withdrawal_days", float64(*in.Withdrawal), 0, 365, "days")
	}
	treatment.Record{Kind: treatment.Other, Amount: in.Amount, Unit: in.Unit}.Check(l)
	detail, err := wire.ApplicationDetail{Note: in.Note, Lot: strings.TrimSpace(in.Lot), For: strings.TrimSpace(in.TreatedFor)}.Kept()
	if err != nil {
		panic(err) // words can be written as JSON
	}
	return func(id string, colony store.Colony) store.Application {
		row := d.noted(id, treatment.Other, colony, in.Method, product, day)
		row.Amount, row.Unit, row.Detail, row.RuleWords, row.WithdrawalDays = in.Amount, in.Unit, detail, strings.TrimSpace(in.Rule), in.Withdrawal
		return row
	}
}
