package e2e

import (
	"encoding/csv"
	"io"
	"slices"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/google/uuid"

	"keeler/e2e/browser"
	"keeler/wire"
)

// table reads a CSV file of the operation, its head first.
func (o owner) table(path string) [][]string {
	o.t.Helper()
	response, err := o.http.Get(o.url + path)
	if err != nil {
		o.t.Fatal(err)
	}
	defer func() { _ = response.Body.Close() }()
	text, err := io.ReadAll(response.Body)
	if err != nil {
		o.t.Fatal(err)
	}
	rows, err := csv.NewReader(strings.NewReader(string(text))).ReadAll()
	if err != nil {
		o.t.Fatal(path, err)
	}
	return rows
}

// Planned for Sunday, given on Friday by two phones, corrected by a third person; the batch found wrong and
// recalled, the year printed: at every step the round, Decide, Today, the hive, the register, the record and
// the CSV tell the same.
func TestRecordIsWhatHappened(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	today, _, _ := o.job(2, 500)
	colonies := read[wire.Visit](o, "/api/jobs/"+today+"/visit?day="+roundDay).Colonies
	o.post("/api/jobs/"+today+"/end", wire.EndJob{How: "cancelled"})
	const sunday = "2026-12-06"
	job := wire.SaveJob{ID: uuid.NewString(), Name: "For Sunday", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit held"}
	for _, c := range colonies {
		job.Colonies = append(job.Colonies, wire.JobColony{ColonyID: c.ID, Day: sunday, Override: "as agreed"})
	}
	o.post("/api/jobs", job)
	o.member("Third", "keeper")

	p := entered(t, s.URL+"/rounds/"+job.ID+"/"+sunday, browser.Phone)
	p.says(`[data-when="today"]`, "Planned for Sun 6 Dec", "given today, Fri 4 Dec")
	p.byHand("No. 1 Big jar")
	p.given()
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	batch := read[wire.BatchList](o, "/api/batches").Batches[0]
	o.post("/api/jobs/"+job.ID+"/applications?day="+sunday, wire.Applications{Applications: []wire.Application{
		{ID: uuid.NewString(), ColonyID: colonies[0].ID, Kind: "given", BatchID: batch.ID, Amount: 10, Asked: 5},
	}})
	p.says(`[data-hive="H000"]`, "two doses")

	// Everywhere it was on Friday, twice.
	decide := read[wire.Decide](o, "/api/decide?day="+roundDay)
	told := []string{}
	for _, y := range decide.Yards {
		for _, c := range y.Colonies {
			for _, i := range c.Cells[0].Reasons {
				if c.ID == colonies[0].ID {
					told = append(told, decide.Reasons[i].Code)
				}
			}
		}
	}
	if !slices.Contains(told, "same_day") {
		t.Errorf("Decide tells %q", told)
	}
	if !slices.ContainsFunc(read[wire.Today](o, "/api/today").Calls, func(c wire.Call) bool { return c.Kind == "double_dose" }) {
		t.Error("Today says nothing of two doses")
	}
	p.do(chromedp.Navigate(s.URL + "/colonies/" + colonies[0].ID))
	p.says("main", "4 Dec 2026", "two doses of one acid on this day")

	third := open(t, s.URL+"/register", browser.Desk)
	third.signIn("Third")
	third.do(chromedp.Navigate(s.URL + "/register"))
	third.says("[data-register]", "H000", "4 Dec 2026", "two doses of one acid on one day")
	third.click("[data-correct]")
	third.fill("amount", "4")
	third.do(chromedp.SendKeys(chromedp.CSS(`[data-path="why"] input`), "the other phone was wrong"))
	third.click("[data-save-form=correct]")
	third.says("[data-register]", "by Third: amount 10 mL → 4 mL", "the other phone was wrong", "Owner")

	o.post("/api/batches/"+batch.ID+"/composition", wire.CorrectBatch{ID: uuid.NewString(), Why: "twice the acid", Components: []wire.Component{{Name: "oxalic_acid_dihydrate", Grams: 35}}})
	if !slices.ContainsFunc(read[wire.Today](o, "/api/today").Calls, func(c wire.Call) bool { return c.Kind == "batch_wrong" && len(c.Hives) == 1 }) {
		t.Error("Today says nothing of the batch")
	}
	third.do(chromedp.Navigate(s.URL + "/recall?batch=" + batch.ID))
	third.says("[data-recall]", "Where batch No. 1 Big jar went", "2 doses in 1 hive; 1 hive has not had it yet", "4 mL", "H001")

	rows := o.table("/api/export/register")
	of := func(row []string, column string) string { return row[slices.Index(rows[0], column)] }
	for _, row := range rows[1 : len(rows)-1] {
		if !strings.HasPrefix(of(row, "given_at"), roundDay) || of(row, "planned_for") != sunday || of(row, "person") != "Owner" ||
			!strings.Contains(of(row, "flags"), "twice") || !strings.Contains(of(row, "flags"), "batch_wrong") || of(row, "change_reason") != "twice the acid" {
			t.Errorf("the CSV says %q", row)
		}
	}
	third.do(chromedp.Navigate(s.URL + "/record"))
	third.says("[data-record]", "4 Dec 2026", "two doses of one acid on one day", "its batch was found wrong")
	printed := strings.Join(third.printed(), " ")
	for _, said := range []string{"H000", "4 mL", "by Third: amount 10 mL", "Why: the other phone was wrong", "Why: twice the acid"} {
		if !strings.Contains(printed, said) {
			t.Errorf("nowhere on paper: %s\n%s", said, printed)
		}
	}
	third.neverNaN()
}
