package app

import (
	"slices"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/card"
	"keeler/core/fault"
	"keeler/wire"
)

// job makes another dribble for hives on the day of the round.
func (v *visitor) another(override string, hives ...string) (string, error) {
	in := wire.SaveJob{ID: uuid.NewString(), Name: "The same morning", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit held"}
	for _, h := range hives {
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: h, Day: outOn, Override: override})
	}
	_, err := v.d.SaveJob(v.t.Context(), in)
	return in.ID, err
}

// A hive that waits in one open job goes into a second only with a reason; the round of
// the second stops at it; and once it was dribbled in the first, it stops at that, and a
// dose that is given all the same is flagged, with its reason.
func TestOneMorningOneDose(t *testing.T) {
	v := goOut(t, "winter")
	first := v.hives[0]
	_, err := v.another("", first)
	refused(t, err, "colonies[0].override", fault.Missing)
	second, err := v.another("the other sheet was lost", first)
	if err != nil {
		t.Fatal(err)
	}
	r, err := v.d.Visit(t.Context(), VisitQuery{Job: second, Day: outOn, Act: ""})
	if err != nil || len(r.Colonies[0].Stop) != 1 || r.Colonies[0].Stop[0].Code != "in_job" || r.Colonies[0].Stop[0].Job != "Round" {
		t.Fatalf("before anything was given: %+v %v", r.Colonies, err)
	}
	v.sends(wire.Application{ColonyID: first, Kind: "given", BatchID: v.batch, Amount: 30, Asked: 30})
	r, err = v.d.Visit(t.Context(), VisitQuery{Job: second, Day: outOn, Act: ""})
	if err != nil || len(r.Colonies[0].Stop) != 1 || r.Colonies[0].Stop[0].Code != "same_day" || r.Colonies[0].Stop[0].On != outOn {
		t.Fatalf("after it was given: %+v %v", r.Colonies, err)
	}
	sent, err := v.d.Apply(t.Context(), second, outOn, wire.Applications{Applications: []wire.Application{
		{ID: uuid.NewString(), ColonyID: first, Kind: "given", BatchID: v.batch, Amount: 30, Asked: 30, ApplicationDetail: wire.ApplicationDetail{Against: "the first ran off"}},
	}})
	if err != nil || sent.Results[0].State != "saved" {
		t.Fatalf("%+v %v", sent, err)
	}
	if line := sent.Records[0]; !slices.Contains(line.Flags, "again") || line.Override != "the first ran off" {
		t.Errorf("a second dose of another job: %+v", line)
	}
	// The job's own dose stops nobody in its own round.
	if r, err = v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""}); err != nil || len(r.Colonies[0].Stop) == 0 || r.Colonies[0].Stop[0].Code != "same_day" {
		t.Errorf("the first job sees the second's dose: %+v %v", r.Colonies[0], err)
	}
	if c := r.Colonies[1]; len(c.Stop) != 0 {
		t.Errorf("nothing was given to %+v", c)
	}
}

// A job is closed by hand, or by itself 14 days past its last day; then its hives are
// free.
func TestJobsEnd(t *testing.T) {
	v := goOut(t, "winter")
	if j, err := v.d.EndJob(t.Context(), v.job, wire.EndJob{How: "cancelled"}); err != nil || j.Open || j.EndedHow != "cancelled" || j.EndedOn != "2026-12-04" {
		t.Fatalf("%+v %v", j, err)
	}
	_, err := v.d.EndJob(t.Context(), v.job, wire.EndJob{How: "lost"})
	refused(t, err, "how", fault.Unknown)
	id, err := v.another("seen to", v.hives[1]) // light, so a reason is asked anyway
	if err != nil {
		t.Fatal(err)
	}
	for days, open := range map[time.Duration]bool{14: true, 15: false} {
		if j, err := later(v.d, days*24*time.Hour).Job(t.Context(), id); err != nil || j.Open != open {
			t.Errorf("after %d days: %+v %v", days, j, err)
		}
	}
	if _, err := later(v.d, 15*24*time.Hour).another(v, v.hives[0]); err != nil {
		t.Errorf("a hive of jobs that are over: %v", err)
	}
}

// another is a job of later days for a hive that nothing speaks against but its looks.
func (d Desk) another(v *visitor, hive string) (string, error) {
	in := wire.SaveJob{ID: uuid.NewString(), Name: "Later", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit held",
		Colonies: []wire.JobColony{{ColonyID: hive, Override: "seen to"}}}
	_, err := d.SaveJob(v.t.Context(), in)
	return in.ID, err
}

// Only what was made is poured: a batch at the bench is not offered, a planned one stands
// last and is poured by an explicit choice, which stays with batch and line; without the
// choice the line is flagged and no account is opened.
func TestOnlyWhatWasMadeIsPoured(t *testing.T) {
	v := goOut(t, "winter")
	begun := litre(uuid.NewString())
	if _, _, err := v.d.SaveBatch(t.Context(), begun); err != nil {
		t.Fatal(err)
	}
	run, err := v.d.BeginBench(t.Context(), begun.ID, wire.BeginBench{Balances: wire.UsualBalances().Balances})
	if err != nil {
		t.Fatal(err)
	}
	at := slices.IndexFunc(run.Acts, func(a wire.BenchAct) bool { return a.ID == "sugar" })
	_, err = v.d.Happen(t.Context(), begun.ID, wire.BenchEvent{ID: uuid.NewString(), Kind: "added", Act: "sugar", Grams: float64(run.Acts[at].Target)})
	if err != nil {
		t.Fatal(err)
	}
	r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""})
	if err != nil || len(r.Batches) != 1 || r.Batches[0].ID != v.batch || r.Batches[0].Made {
		t.Fatalf("%+v %v", r.Batches, err)
	}
	given := wire.Application{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 30, Asked: 30}
	sent, err := v.d.Apply(t.Context(), v.job, outOn, wire.Applications{Applications: []wire.Application{given}})
	if err != nil || !slices.Contains(sent.Records[0].Flags, "not_made") || sent.Batches[0].Made {
		t.Errorf("poured without a word: %+v %v", sent, err)
	}
	given.ID, given.ColonyID, given.ByHand = uuid.NewString(), v.hives[1], true
	sent, err = v.d.Apply(t.Context(), v.job, outOn, wire.Applications{Applications: []wire.Application{given}})
	if err != nil || slices.Contains(sent.Records[1].Flags, "not_made") || !sent.Records[1].ByHand || !sent.Batches[0].Made {
		t.Errorf("mixed without the bench: %+v %v", sent, err)
	}
	l, err := v.d.Ledger(t.Context(), v.batch)
	if err != nil || !slices.ContainsFunc(l.Entries, func(e wire.StockEntry) bool { return e.Kind == "made" && e.Reason == "mixed without the bench" }) || off(l.Left, 940, 1e-6) {
		t.Errorf("%+v %v", l, err)
	}
}

// 30 mL of a batch with 37.4 g/L hold 6.7 % more acid than of the 35.05 that were meant:
// the mL are as asked, the milligrams are flagged. 2 mL more acid is not asked of it.
func TestMilligramsAreFlagged(t *testing.T) {
	v := goOut(t, "winter")
	strong := litre(uuid.NewString())
	strong.Recipe.Dribble.Aim = wire.Aim{By: "value", Value: 37.4, Form: "g_per_l", Basis: "dihydrate"}
	if _, _, err := v.d.SaveBatch(t.Context(), strong); err != nil {
		t.Fatal(err)
	}
	for batch, flagged := range map[string]bool{v.batch: false, strong.ID: true} {
		_, r := v.sends(wire.Application{ColonyID: v.hives[0], Kind: "given", BatchID: batch, Amount: 30, Asked: 30})
		last := r.Records[len(r.Records)-1]
		if slices.Contains(last.Flags, "too_strong") != flagged {
			t.Errorf("%v mg of %v meant: %v", last.OADMg, 30*r.MeantMg, last.Flags)
		}
		if off(r.MeantMg, 35.05, 0.02) {
			t.Errorf("meant are %v mg a mL", r.MeantMg)
		}
	}
}

// A product with two acids: 12 mL of 39 g OAD and 5 g formic acid a litre are 468 and 60
// mg in the register, and butyl gloves on the round, as the plan says.
func TestRegisterCountsEveryAcid(t *testing.T) {
	d, _, hives := ready(t, 5)
	copied := wire.LabelCard{ID: uuid.NewString(), Name: "Two acids", Method: "dribble", Content: wire.CardContent{
		Content: card.Content{MinC: 0, MaxC: 15, Supers: "off", Withdrawal: new(14)},
		Dribble: &wire.Card{Actives: []wire.Active{{Acid: "oxalic", Strength: 39, Basis: "dihydrate"}, {Acid: "formic", Strength: 5}}, Rows: []wire.CardRow{{Volume: 12}}},
	}}
	if _, err := d.AddCard(t.Context(), copied); err != nil {
		t.Fatal(err)
	}
	job := wire.SaveJob{ID: uuid.NewString(), Name: "By the label", Method: "dribble", Under: "card:" + copied.ID, RuleKind: "label",
		Colonies: []wire.JobColony{{ColonyID: hives[0], Day: outOn, Override: "seen to"}}}
	own := job
	own.RuleKind, own.Rule = "own", "allowed here"
	_, err := d.SaveJob(t.Context(), own)
	refused(t, err, "rule_kind", fault.NotFitting)
	if _, err := d.SaveJob(t.Context(), job); err != nil {
		t.Fatal(err)
	}
	recipe, err := d.JobRecipe(t.Context(), job.ID, outOn)
	if err != nil {
		t.Fatal(err)
	}
	batch := wire.SaveBatch{ID: uuid.NewString(), Name: "Bottle", Rule: recipe.Rule, Recipe: recipe.Recipe}
	if _, _, err := d.SaveBatch(t.Context(), batch); err != nil {
		t.Fatal(err)
	}
	sent, err := d.Apply(t.Context(), job.ID, outOn, wire.Applications{Applications: []wire.Application{
		{ID: uuid.NewString(), ColonyID: hives[0], Kind: "given", BatchID: batch.ID, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 12, Asked: 12},
	}})
	if err != nil {
		t.Fatal(err)
	}
	line := sent.Records[0]
	if off(line.OADMg, 468, 0.1) || off(line.FormicMg, 60, 0.1) || line.Product != "Two acids" || *line.Withdrawal != 14 || len(line.Flags) != 0 {
		t.Errorf("%+v", line)
	}
	r, err := d.Visit(t.Context(), VisitQuery{Job: job.ID, Day: outOn, Act: ""})
	if err != nil || r.Gear[0] != "butyl_gloves" || off(r.MeantMg, 44, 0.01) {
		t.Errorf("gear %v, meant %v mg: %v", r.Gear, r.MeantMg, err)
	}
}

// A mixture by a product's label is not called one's own.
func TestRuleAndProductAgree(t *testing.T) {
	d, _, hives := ready(t, 5)
	batch := litre(uuid.NewString())
	if _, _, err := d.SaveBatch(t.Context(), batch); err != nil {
		t.Fatal(err)
	}
	for _, c := range []struct{ kind, words, product string }{
		{"label", "Packet in the shed", "Packet in the shed"}, {"label", "", "as the product's label says"},
		{"own", "permit held", "own mixture"}, {"permit", "permit held", "own mixture"},
	} {
		job := wire.SaveJob{ID: uuid.NewString(), Name: "Round", Method: "dribble", Under: "winter", RuleKind: c.kind, Rule: c.words,
			Colonies: []wire.JobColony{{ColonyID: hives[0], Day: outOn, Override: "seen to"}}}
		if _, err := d.SaveJob(t.Context(), job); err != nil {
			t.Fatal(err)
		}
		sent, err := d.Apply(t.Context(), job.ID, outOn, wire.Applications{Applications: []wire.Application{
			{ID: uuid.NewString(), ColonyID: hives[0], Kind: "given", BatchID: batch.ID, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 30},
		}})
		if err != nil || sent.Records[0].Product != c.product {
			t.Errorf("%+v: %+v %v", c, sent.Records, err)
		}
	}
}

// Found dead on the round, a colony is closed with the line, where that is wanted; it is
// in no matrix any more.
func TestDeadOnTheRound(t *testing.T) {
	v := goOut(t, "winter")
	v.sends(wire.Application{ColonyID: v.hives[1], Kind: "skipped", Reason: "dead"})
	if c, err := v.d.Colony(t.Context(), v.hives[1]); err != nil || c.EndedOn != "" {
		t.Fatalf("closed unasked: %+v %v", c.ColonyRecord, err)
	}
	dead := wire.Application{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "skipped", Reason: "dead", ApplicationDetail: wire.ApplicationDetail{Close: true}}
	got, _ := v.sends(dead)
	c, err := v.d.Colony(t.Context(), v.hives[0])
	if err != nil || got.State != "saved" || c.EndedOn != outOn || c.EndReason != "dead" {
		t.Fatalf("%+v %+v %v", got, c.ColonyRecord, err)
	}
	matrix, err := v.d.Decide(t.Context(), Question{})
	if err != nil || len(matrix.Yards[0].Colonies) != 1 || matrix.Yards[0].Colonies[0].ID != v.hives[1] {
		t.Errorf("%+v %v", matrix.Yards, err)
	}
	v.takesBack(dead)
	if c, err = v.d.Colony(t.Context(), v.hives[0]); err != nil || c.EndedOn != "" || c.EndReason != "" || c.Events[0].Kind != "reopened" {
		t.Errorf("a slip, it lives: %+v %v", c.ColonyRecord, err)
	}
}

// A dose before sealed brood was seen again met none of the mites that are there now: the
// round asks of it no more than Decide does. 5 October lies 60 days back, the brood of 20
// October 45; without that brood it is the same broodless time, and stops.
func TestBroodSinceTheLastDoseStopsNoRound(t *testing.T) {
	v := goOut(t, "winter")
	for _, h := range v.hives {
		if _, err := v.d.Treat(t.Context(), h, wire.Treatment{ID: uuid.NewString(), Method: "dribble", GivenOn: "2026-10-05"}); err != nil {
			t.Fatal(err)
		}
	}
	_, err := v.d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{{ID: uuid.NewString(), ColonyID: v.hives[0], On: "2026-10-20", Brood: "little"}}})
	if err != nil {
		t.Fatal(err)
	}
	r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""})
	if err != nil || len(r.Colonies[0].Stop) != 0 || len(r.Colonies[1].Stop) != 1 || r.Colonies[1].Stop[0].Code != "given_already" {
		t.Fatalf("%+v %v", r.Colonies, err)
	}
	if _, r = v.sends(wire.Application{ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 30, Asked: 30}); slices.Contains(r.Records[0].Flags, "again") {
		t.Errorf("brood between the two: %+v", r.Records[0])
	}
	if _, r = v.sends(wire.Application{ColonyID: v.hives[1], Kind: "given", BatchID: v.batch, Amount: 30, Asked: 30}); !slices.Contains(r.Records[1].Flags, "again") {
		t.Errorf("no brood between the two: %+v", r.Records[1])
	}
}
