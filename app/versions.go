package app

import (
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// lineChanges tells what a line that amends put right, back to what was written first; before are the
// lines that were amended, by their ids.
func (d Desk) lineChanges(r store.Application, before map[string]store.Application) (out []wire.Change) {
	for r.AmendsID != nil {
		was, known := before[*r.AmendsID]
		if !known {
			break
		}
		told := d.plainLine(r)
		out = append(out, wire.Change{At: told.ChangedAt, By: told.ChangedBy, Why: told.ChangeWhy, What: d.differences(was, r)})
		r = was
	}
	return out
}

// differences tells in words in what two versions of a line differ.
func (d Desk) differences(was, is store.Application) []string {
	a, b := wire.ApplicationOf(was.Detail, d.plainLine(was)), wire.ApplicationOf(is.Detail, d.plainLine(is))
	what := func(l wire.Application) string { return words.Recorded(l.Kind, l.Method, l.Product, l.Came, l.Missing) }
	amount := func(l wire.Application) string {
		if l.Kind != "given" && l.Kind != "other" {
			return ""
		}
		return words.Amount(l.Amount, l.Unit)
	}
	if b.Kind == string(treatment.Skipped) && b.Reason == treatment.TakenBack {
		return []string{words.Undone(lo.CoalesceOrEmpty(amount(a), what(a)))}
	}
	acids := func(l wire.Application) string {
		if a.Amount != b.Amount || a.BatchID != b.BatchID {
			return "" // it follows from these
		}
		return words.Acids(l.OADMg, l.FormicMg)
	}
	const hour = "2006-01-02 15:04"
	var out []string
	for _, c := range []struct{ code, from, to string }{
		{"what", what(a), what(b)},
		{"amount", amount(a), amount(b)},
		{"acids", acids(a), acids(b)},
		{"batch", words.BatchNo(a.BatchNumber), words.BatchNo(b.BatchNumber)},
		{"colony", a.Colony, b.Colony},
		{"given", a.GivenAt.Format(hour), b.GivenAt.Format(hour)},
		{"giver", a.By, b.By},
	} {
		if c.from != c.to {
			out = append(out, words.Changed(c.code, c.from, c.to))
		}
	}
	return out
}
