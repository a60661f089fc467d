package app

import (
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/wire"
)

// early is a dribble of two hives that is planned for Sunday, 8 March, at a desk where it is Thursday,
// 5 March 2026, 10:00.
func early(t *testing.T) *visitor {
	t.Helper()
	thursday := time.Date(2026, 3, 5, 10, 0, 0, 0, time.UTC)
	d := own(t, Settings{Weather: sky(5), Work: Pinned(thursday), Wall: Pinned(thursday)})
	v := &visitor{t: t, d: d, job: uuid.NewString(), batch: uuid.NewString()}
	none := 0
	for _, name := range []string{"A1", "A2"} {
		if len(v.hives) == 0 {
			yard(t, d, "A")
		}
		yards, err := d.Yards(t.Context())
		if err != nil {
			t.Fatal(err)
		}
		id := colony(t, d, yards.Yards[0].ID, name).ID
		v.hives = append(v.hives, id)
		if _, err := d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{{
			ID: uuid.NewString(), ColonyID: id, On: "2026-03-05", Board: [][]float64{{0, 1, 1, 1, 0}}, Brood: "none", Eggs: new(false), Larvae: new(false), Stores: "enough", Supers: &none,
		}}}); err != nil {
			t.Fatal(err)
		}
	}
	v.plan(v.job, "dribble", "winter", "2026-03-08")
	if _, _, err := d.SaveBatch(t.Context(), litre(v.batch)); err != nil {
		t.Fatal(err)
	}
	return v
}

// plan makes a job of all hives for a day.
func (v *visitor) plan(id, method, under, day string) {
	v.t.Helper()
	in := wire.SaveJob{ID: id, Name: "Planned", Method: method, Under: under, RuleKind: "label", Rule: "seen"}
	for _, h := range v.hives {
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: h, Day: day, Override: "seen to"})
	}
	if _, err := v.d.SaveJob(v.t.Context(), in); err != nil {
		v.t.Fatal(err)
	}
}

// givesIn writes a dose in the round of a job that was planned for a day, and gives its line.
func (v *visitor) givesIn(job, planned string, a wire.Application) wire.Application {
	v.t.Helper()
	a.ID, a.Kind, a.Asked = uuid.NewString(), "given", a.Amount
	a.ByHand = a.BatchID != ""
	sent, err := v.d.Apply(v.t.Context(), job, planned, wire.Applications{Applications: []wire.Application{a}})
	if err != nil || sent.Results[0].State != "saved" {
		v.t.Fatalf("%+v %v", sent.Results, err)
	}
	line, err := v.d.line(v.t.Context(), a.ID)
	if err != nil {
		v.t.Fatal(err)
	}
	return line
}

// A dribble that was planned for Sunday and given on Thursday happened on Thursday: it is in the hive's
// record, decides from that day on, stops a second round of that day, and stands so in the register.
func TestApplication_HappensOnTheDayItIsGiven(t *testing.T) {
	v := early(t)
	v.plan("7d1d7a30-0000-4000-8000-000000000001", "dribble", "winter", "2026-03-05")
	line := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 30})
	if line.Day != "2026-03-05" || line.PlannedFor != "2026-03-08" || len(line.Flags) != 0 {
		t.Errorf("the line: %+v", line)
	}
	c, err := v.d.Colony(t.Context(), v.hives[0])
	if err != nil || len(c.Treatments) != 1 || c.Treatments[0].GivenOn != "2026-03-05" {
		t.Errorf("at the hive: %+v %v", c.Treatments, err)
	}
	decide, err := v.d.Decide(t.Context(), Question{Day: "2026-03-05"})
	if err != nil {
		t.Fatal(err)
	}
	if codes := codes(decide, decide.Yards[0].Colonies[0].Cells[0]); !slices.Contains(codes, "same_day") {
		t.Errorf("Decide on the day: %v", codes)
	}
	if codes := codes(decide, decide.Yards[0].Colonies[1].Cells[0]); slices.Contains(codes, "same_day") {
		t.Errorf("the other hive had nothing: %v", codes)
	}
	second, err := v.d.Visit(t.Context(), VisitQuery{Job: "7d1d7a30-0000-4000-8000-000000000001", Day: "2026-03-05"})
	if err != nil || len(second.Colonies[0].Stop) == 0 || second.Colonies[0].Stop[0].Code != "same_day" || len(second.Colonies[1].Stop) > 1 {
		t.Errorf("a second round that day: %+v %v", second.Colonies, err)
	}
	round, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: "2026-03-08"})
	if err != nil || round.Day != "2026-03-08" || round.Today != "2026-03-05" || len(round.Records) != 1 {
		t.Errorf("its own round: %+v %v", round, err)
	}
	record, err := v.d.Record(t.Context(), RecordQuery{Year: 2026})
	if err != nil || !strings.HasPrefix(record.Yards[0].Colonies[0].Lines[0].Cells[0], "5 Mar 2026") {
		t.Errorf("the record: %+v %v", record, err)
	}
}

// The first formic visit, planned for 28 February and made on 5 March: the second comes from 9 March on,
// four days later, and is not due at once.
func TestCourse_CountsFromTheDayItBegan(t *testing.T) {
	v := early(t)
	job := uuid.NewString()
	v.d = later(v.d, -7*aDay) // it is planned on 26 February
	v.plan(job, "pad", "formic", "2026-02-28")
	v.d = later(v.d, 7*aDay)
	v.givesIn(job, "2026-02-28", wire.Application{ColonyID: v.hives[0], Amount: 20})
	v.givesIn(job, "2026-02-28", wire.Application{ColonyID: v.hives[1], Amount: 20})
	check, err := v.d.JobCheck(t.Context(), job)
	if err != nil {
		t.Fatal(err)
	}
	for _, f := range check.Followups {
		if f.Kind == "visit" && f.N == 2 && (f.State != "coming" || f.From != "2026-03-09" || f.By != "2026-03-12") {
			t.Errorf("the second visit: %+v", f)
		}
		if f.Kind == "visit" && f.N == 1 && f.Colonies[0].On != "2026-03-05" {
			t.Errorf("the first visit: %+v", f)
		}
	}
}

// Honey waits 14 days from when it was given, 28 February: until 14 March, although it was planned for
// the 23rd.
func TestWithdrawal_CountsFromTheDayItWasGiven(t *testing.T) {
	v := early(t)
	copied := wire.LabelCard{ID: uuid.NewString(), Name: "Bought syrup", Method: "dribble", Content: wire.CardContent{
		Rule: &wire.Rule{},
	}}
	copied.Content.MinC, copied.Content.MaxC, copied.Content.Supers, copied.Content.Withdrawal = 0, 12, "off", new(14)
	copied.Content.Dribble = &wire.Card{Actives: []wire.Active{{Acid: "oxalic", Strength: 44, Basis: "dihydrate"}}, Rows: []wire.CardRow{{Volume: 50}}}
	card, err := v.d.AddCard(t.Context(), copied)
	if err != nil {
		t.Fatal(err)
	}
	job := uuid.NewString()
	v.d = later(v.d, -12*aDay)
	v.plan(job, "dribble", "card:"+card.ID, "2026-02-23")
	v.d = later(v.d, 7*aDay) // 28 February
	v.givesIn(job, "2026-02-23", wire.Application{ColonyID: v.hives[0], Amount: 30})
	c, err := v.d.Colony(t.Context(), v.hives[0])
	if err != nil || c.Honey == nil || c.Honey.Until != "2026-03-14" {
		t.Errorf("honey: %+v %v", c.Honey, err)
	}
}

// Syrup with a use-by day of 6 March, given on the 11th in the round of the 5th, is past its day.
func TestUseBy_IsHeldAgainstTheDayItWasGiven(t *testing.T) {
	v := early(t)
	job := uuid.NewString()
	v.plan(job, "dribble", "winter", "2026-03-05")
	if line := v.givesIn(job, "2026-03-05", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 30}); slices.Contains(line.Flags, "past_day") {
		t.Errorf("on its day: %v", line.Flags)
	}
	v.d = later(v.d, 6*aDay)
	if line := v.givesIn(job, "2026-03-05", wire.Application{ColonyID: v.hives[1], BatchID: v.batch, Amount: 30}); !slices.Contains(line.Flags, "past_day") {
		t.Errorf("six days later: %v", line.Flags)
	}
}

// Twelve hours ahead of UTC, 23:30 on the 5th and 00:30 on the 6th are two days.
func TestDayOfGiving_IsTheOperations(t *testing.T) {
	v := early(t)
	v.d.who.Zone = time.FixedZone("", 12*60*60)
	for at, day := range map[string]string{"2026-03-04T23:30": "2026-03-04", "2026-03-05T00:30": "2026-03-05"} {
		line := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 5, GivenOn: at})
		if line.Day != day || line.Entered != "afterwards" {
			t.Errorf("%s: %+v", at, line)
		}
	}
	for at, reason := range map[string]fault.Reason{"2026-03-05T23:00": fault.Future, "5 March": fault.NoDate} {
		sent, err := v.d.Apply(t.Context(), v.job, "2026-03-08", wire.Applications{Applications: []wire.Application{
			{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", Amount: 5, GivenOn: at},
		}})
		if err != nil || sent.Results[0].State != "refused" {
			t.Errorf("%s is taken: %+v %v, want %s", at, sent.Results, err, reason)
		}
	}
}

// Two phones give one hive 45 mL each in one round: both lines are flagged wherever they are read, it is
// said at the hive and on Today until somebody has looked at it; strips replaced or a dose of the other acid
// are no second dose.
func TestTwoDosesOnOneDayAreToldEverywhere(t *testing.T) {
	v := early(t)
	first := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 45})
	if slices.Contains(first.Flags, "twice") {
		t.Fatalf("one dose: %v", first.Flags)
	}
	second := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 45})
	v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[1], BatchID: v.batch, Amount: 45})
	register, err := v.d.Register(t.Context(), RegisterQuery{})
	if err != nil {
		t.Fatal(err)
	}
	for _, line := range register.Lines {
		if want := line.ColonyID == v.hives[0]; slices.Contains(line.Flags, "twice") != want {
			t.Errorf("the register: %s %v", line.ID, line.Flags)
		}
	}
	record, err := v.d.Record(t.Context(), RecordQuery{Year: 2026})
	if err != nil || !slices.ContainsFunc(record.Yards[0].Colonies[0].Lines[0].Remarks, func(s string) bool { return strings.Contains(s, "one day") }) {
		t.Errorf("the record: %+v %v", record.Yards[0].Colonies[0].Lines, err)
	}
	hive, err := v.d.Colony(t.Context(), v.hives[0])
	if err != nil || !hive.Treatments[0].Twice || !hive.Treatments[1].Twice {
		t.Errorf("at the hive: %+v %v", hive.Treatments, err)
	}
	if n := calls(v.today())["double_dose"]; n != 1 {
		t.Errorf("Today tells of %d hives", n)
	}
	var key string
	for _, c := range v.today().Calls {
		if c.Kind == "double_dose" {
			key = c.Key
		}
	}
	if err := v.d.SkipFollowups(t.Context(), wire.SkipFollowups{Key: key, Colonies: v.hives[:1], Reason: "one phone was offline"}); err != nil {
		t.Fatal(err)
	}
	if n := calls(v.today())["double_dose"]; n != 0 {
		t.Errorf("somebody has looked at it, and Today still tells of %d hives", n)
	}
	v.takesBack(second)
	if line, err := v.d.line(t.Context(), first.ID); err != nil || slices.Contains(line.Flags, "twice") {
		t.Errorf("the second was a slip: %v %v", line.Flags, err)
	}
}
