package app

import (
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/core/method/pad"
	"keeler/wire"
)

const aDay = 24 * time.Hour

// writes sends lines of a round on a day, of which none may be refused.
func (v *visitor) writes(day string, lines ...wire.Application) wire.Sent {
	v.t.Helper()
	for i := range lines {
		lines[i].ID = uuid.NewString()
	}
	sent, err := v.d.Apply(v.t.Context(), v.job, day, wire.Applications{Applications: lines})
	if err != nil {
		v.t.Fatal(err)
	}
	for _, r := range sent.Results {
		if r.State != "saved" {
			v.t.Fatalf("%+v", r)
		}
	}
	return sent
}

func (v *visitor) counts(kind, on string, over float64, mites ...int) {
	v.t.Helper()
	var in wire.MiteCounts
	for i, n := range mites {
		c := wire.MiteCount{ID: uuid.NewString(), ColonyID: v.hives[i], Kind: kind, Mites: n, On: on}
		if c.Days, c.Bees = over, 0; kind == "wash" {
			c.Days, c.Bees = 0, int(over)
		}
		in.Counts = append(in.Counts, c)
	}
	if _, err := v.d.Count(v.t.Context(), in); err != nil {
		v.t.Fatal(err)
	}
}

// stands tells the states of a kind of follow-up, hive by hive.
func (v *visitor) stands(kind string) string {
	v.t.Helper()
	c, err := v.d.JobCheck(v.t.Context(), v.job)
	if err != nil {
		v.t.Fatal(err)
	}
	var out []string
	for _, f := range c.Followups {
		if f.Kind != kind {
			continue
		}
		for _, k := range f.Colonies {
			out = append(out, k.State)
		}
	}
	return strings.Join(out, " ")
}

// What the weather was when it was given stays with the line: 5 °C by the forecast. It is
// the server's word, whatever was sent.
func TestWeatherStaysWithTheLine(t *testing.T) {
	v := goOut(t, "winter")
	a := wire.Application{ColonyID: v.hives[0], Kind: "given", Amount: 30, Asked: 30}
	a.AirC = new(30.)
	line := v.writes(outOn, a).Records[0]
	if line.AirC == nil || *line.AirC != 5 || line.HighC == nil || *line.HighC != 5 {
		t.Errorf("%v %v", line.AirC, line.HighC)
	}
	out := wire.Application{ColonyID: v.hives[1], Kind: "skipped", Reason: "dead", ApplicationDetail: wire.ApplicationDetail{AirC: new(30.)}}
	if got := v.writes(outOn, out).Records; got[1].AirC != nil {
		t.Errorf("nothing was given: %v", *got[1].AirC)
	}
}

// A dribble of two hives, counted before (60 and 40 in four days), given with a board under
// one, read on day 3 and a fortnight later (6 and 30 in ten days): 96 % and 70 %. What is
// recorded does what was to be done, and what is skipped stays so.
func TestCheckDribble(t *testing.T) {
	v := goOut(t, "winter")
	if got := v.stands("visit"); got != "due due" {
		t.Errorf("planned for today: %s", got)
	}
	// 5 °C all day: a dribble by "winter", 0 to 10 °C, goes from 8 to 16 h.
	if c, err := v.d.Check(t.Context(), false); err != nil || len(c.Followups[1].Weather) != 1 || c.Followups[1].Weather[0].Window == nil || c.Followups[1].Weather[0].Window.To != 16 {
		t.Errorf("the weather beside it: %+v %v", c.Followups, err)
	}
	v.counts("board", outOn, 4, 60, 40)
	if got := v.stands("count_before"); got != "done done" {
		t.Errorf("counted before: %s", got)
	}
	v.writes(outOn, wire.Application{ColonyID: v.hives[0], Kind: "given", Amount: 30, Asked: 30, ApplicationDetail: wire.ApplicationDetail{Extras: []string{"board_in"}}},
		wire.Application{ColonyID: v.hives[1], Kind: "given", Amount: 20, Asked: 30})
	if got := v.stands("visit") + "; " + v.stands("board_in") + "; " + v.stands("board_read"); got != "done done; done due; coming coming coming coming" {
		t.Errorf("given: %s", got)
	}
	v.writes(outOn, wire.Application{ColonyID: v.hives[1], Kind: "board"})
	if got := v.stands("board_in"); got != "done done" {
		t.Errorf("a board put in: %s", got)
	}
	v.d = later(v.d, 3*aDay)
	v.counts("board", "2026-12-07", 3, 300, 150)
	if err := v.d.SkipFollowups(t.Context(), wire.SkipFollowups{Key: "board_read.2." + v.job, Colonies: v.hives[1:], Reason: "no mesh floor"}); err != nil {
		t.Fatal(err)
	}
	c, err := v.d.Check(t.Context(), false)
	if err != nil || slices.ContainsFunc(c.Followups, func(f wire.Followup) bool { return f.Kind == "board_read" && len(f.Colonies) != 1 }) {
		t.Errorf("%+v %v", c.Followups, err)
	}
	if got := v.stands("board_read"); got != "done done coming skipped" {
		t.Errorf("read on day 3: %s", got)
	}
	if err := v.d.SkipFollowups(t.Context(), wire.SkipFollowups{Key: "board_read.2." + v.job, Colonies: v.hives[1:], Undo: true}); err != nil {
		t.Fatal(err)
	}
	v.d = later(v.d, 25*aDay)
	v.counts("board", "2027-01-01", 10, 6, 30)
	job, err := v.d.JobCheck(t.Context(), v.job)
	if err != nil {
		t.Fatal(err)
	}
	first, second := job.Colonies[0].Result, job.Colonies[1].Result
	if first.Outcome != "surely" || off(first.Share, 0.96, 1e-9) || second.Outcome != "did_not" || off(second.Share, 0.7, 1e-9) {
		t.Errorf("%+v, %+v", first, second)
	}
	// 36 of 100 in rates of 25 a day before and 3.6 after: 85.6 %.
	if r := job.Result; off(r.Share, 0.856, 1e-9) || !r.Few || r.Before != 100 || r.After != 36 {
		t.Errorf("together: %+v", r)
	}
	if why := job.Colonies[1].Why; len(why) != 1 || !strings.Contains(why[0], "67 % of what it should have been") {
		t.Errorf("why: %v", why)
	}
	if len(job.Reach) != 1 || job.Reach[0].Once != 1 || len(job.Falls) == 0 || job.Falls[4].Mites != 75 {
		t.Errorf("%+v %+v", job.Reach, job.Falls)
	}
}

// A course of sheets: the second dose is a round of its own from day 4 on, before that it
// stops; what is given takes the place of what is in; a missed one begins again.
func TestCheckCourse(t *testing.T) {
	v := goOut(t, "winter")
	v.job = uuid.NewString()
	in := wire.SaveJob{ID: v.job, Name: "Formic", Method: "pad", Under: "formic", RuleKind: "own", Rule: "permit held"}
	for _, h := range v.hives {
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: h, Day: outOn, Override: "a warm winter"})
	}
	if _, err := v.d.SaveJob(t.Context(), in); err != nil {
		t.Fatal(err)
	}
	given := wire.Application{ColonyID: v.hives[0], Kind: "given", Amount: 20, Asked: 20}
	v.writes(outOn, given)
	v.d = later(v.d, 2*aDay)
	r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: "2026-12-06", Act: "give"})
	if err != nil || !r.Next || !r.Swaps || len(r.Colonies) != 1 || r.Colonies[0].ID != v.hives[0] || len(r.Colonies[0].Stop) != 1 {
		t.Fatalf("two days after: %+v %v", r.Colonies, err)
	}
	v.d = later(v.d, 3*aDay)
	if r, err = v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: "2026-12-09", Act: "give"}); err != nil || len(r.Colonies) != 1 || len(r.Colonies[0].Stop) != 0 || r.Colonies[0].InHive != 1 {
		t.Fatalf("five days after: %+v %v", r, err)
	}
	sent := v.writes("2026-12-09", given)
	if len(sent.Records[0].Flags) != 1 || sent.Records[0].Flags[0] != "no_batch" {
		t.Errorf("flagged %v", sent.Records[0].Flags)
	}
	c, err := v.d.Colony(t.Context(), v.hives[0])
	if err != nil || len(c.In) != 1 || c.In[0].GivenOn != "2026-12-09" {
		t.Errorf("in the hive: %+v %v", c.In, err)
	}
	// The hive that was passed over on the first day is late, and not in the second round.
	if got := v.stands("visit"); got != "done late done coming" {
		t.Errorf("the course: %s", got)
	}
	v.d = later(v.d, 10*aDay)
	job, err := v.d.JobCheck(t.Context(), v.job)
	i := slices.IndexFunc(job.Followups, func(f wire.Followup) bool { return f.Kind == "visit" && f.N == 3 })
	if err != nil || i < 0 || !job.Followups[i].Again || job.Followups[i].Total != 6 {
		t.Errorf("ten days after: %+v %v", job.Followups, err)
	}
}

// On visits that give nothing: what was weighed and got heavier, what came out and was never
// in, a queen that was looked for. What was replaced is no dose of its own day's round.
func TestCheckVisits(t *testing.T) {
	v := goOut(t, "strips")
	v.writes(outOn, wire.Application{ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 2, Asked: 2, ApplicationDetail: wire.ApplicationDetail{ByHand: true}})
	v.d = later(v.d, 7*aDay)
	const day = "2026-12-11"
	for act, hives := range map[string]int{"out": 1, "move": 1, "weigh": 1, "check": 2, "board": 2} {
		r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: day, Act: act})
		if err != nil || r.Act != act || len(r.Colonies) != hives || (act == "move") != (len(r.Batches) > 0 && act != "weigh") {
			t.Errorf("%s: %+v %v", act, r, err)
		}
	}
	if _, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: day, Act: "give"}); err == nil {
		t.Error("strips have no next dose")
	}
	if _, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: day, Act: "dance"}); err == nil {
		t.Error("nobody goes out for that")
	}
	if got := v.stands("hang"); got != "due" {
		t.Errorf("within a week: %s", got)
	}
	eggs := true
	sent := v.writes(day,
		wire.Application{ColonyID: v.hives[0], Kind: "moved"},
		wire.Application{ColonyID: v.hives[0], Kind: "given", Extra: true, BatchID: v.batch, Amount: 1},
		wire.Application{ColonyID: v.hives[0], Kind: "weighed", Amount: 400},
		wire.Application{ColonyID: v.hives[0], Kind: "weighed", Amount: 410},
		wire.Application{ColonyID: v.hives[1], Kind: "checked", Eggs: &eggs},
		wire.Application{ColonyID: v.hives[1], Kind: "out", ApplicationDetail: wire.ApplicationDetail{Came: 2}},
		wire.Application{ColonyID: v.hives[0], Kind: "out", ApplicationDetail: wire.ApplicationDetail{Came: 4}},
	)
	want := [][]string{nil, nil, nil, {"rose"}, nil, {"none_in"}, {"more_out"}}
	for i, r := range sent.Records {
		if !slices.Equal(r.Flags, want[i]) {
			t.Errorf("%s: %v, not %v", r.Kind, r.Flags, want[i])
		}
	}
	if got := v.stands("hang"); got != "done" {
		t.Errorf("seen to: %s", got)
	}
	refused, err := v.d.Apply(t.Context(), v.job, day, wire.Applications{Applications: []wire.Application{{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "weighed", Amount: 50_000}}})
	if err != nil || refused.Results[0].State != "refused" {
		t.Errorf("fifty kilograms: %+v %v", refused.Results, err)
	}
}

// A bottle weighed when it was hung, and 35 g lighter two days after: 17.5 g a day, in the
// middle of the band for one box. The day after that it lost 30: too fast for 40 cm² of wick,
// which is told to be halved, nearly (40 × 17.5 ÷ 30). As much in December's cold is far more than
// the rule says of it, and so it is learnt.
func TestCheckEvaporation(t *testing.T) {
	v := goOut(t, "winter")
	v.job = uuid.NewString()
	in := wire.SaveJob{ID: v.job, Name: "Bottles", Method: "pad", Under: "formic-bottle", RuleKind: "own", Rule: "permit held"}
	for _, h := range v.hives {
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: h, Day: outOn, Override: "a warm winter"})
	}
	if _, err := v.d.SaveJob(t.Context(), in); err != nil {
		t.Fatal(err)
	}
	weighs := func(day string, g, wick float64) *wire.Evaporation {
		t.Helper()
		v.writes(day, wire.Application{ColonyID: v.hives[0], Kind: "weighed", Amount: g, ApplicationDetail: wire.ApplicationDetail{AreaCM2: wick}})
		c, err := v.d.JobCheck(t.Context(), v.job)
		if err != nil {
			t.Fatal(err)
		}
		return c.Colonies[0].Evaporation
	}
	v.writes(outOn, wire.Application{ColonyID: v.hives[0], Kind: "given", Amount: 200, Asked: 200})
	if e := weighs(outOn, 500, 40); e == nil || e.Pace != "" || e.ExpectG <= 0 || e.Weighed != nil {
		t.Errorf("weighed once: %+v", e)
	}
	v.d = later(v.d, 2*aDay)
	if e := weighs("2026-12-06", 465, 0); e == nil || off(e.DayG, 17.5, 0.01) || e.Pace != "in_band" || e.LowG != 15 || e.HighG != 20 || e.Factor < 1.3 || e.EmptyOn == "" {
		t.Errorf("after two days: %+v", e)
	}
	v.d = later(v.d, aDay)
	if e := weighs("2026-12-07", 435, 0); e == nil || off(e.DayG, 30, 0.01) || e.Pace != "fast" || off(e.AreaCM2, 23.33, 0.01) || !strings.Contains(e.Words, "about 23.3 cm²") {
		t.Errorf("a day later: %+v", e)
	}
	c, err := v.d.JobCheck(t.Context(), v.job)
	if e := c.Colonies[0].Evaporation; err != nil || c.Device == nil || c.Device.Weighings != 2 || c.Device.Factor != e.Factor || len(e.Weighed) != 3 || e.Weighed[2].Hour != 72 || len(e.Ahead) == 0 || e.Ahead[0].Hour != 78 {
		t.Errorf("learnt: %+v %+v %v", c.Device, c.Colonies[0].Evaporation, err)
	}
	v.d = later(v.d, aDay)
	if e := weighs("2026-12-08", 440, 0); e == nil || !e.Rose {
		t.Errorf("heavier: %+v", e)
	}
}

// One of two hives is left untreated, as chance has it; the same job sent again draws no
// other. More than half are not.
func TestControlsAreDrawnOnce(t *testing.T) {
	v := goOut(t, "winter")
	drawn := 0
	set := v.d.app.set
	set.Chance = func(n int) int { drawn++; return drawn % n }
	v.d = New(records, set).Desk(v.d.who)
	in := wire.SaveJob{ID: uuid.NewString(), Name: "Compared", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit held", Controls: 1}
	for _, h := range v.hives {
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: h, Day: outOn, Override: "seen to"})
	}
	first, err := v.d.SaveJob(t.Context(), in)
	if err != nil || len(first.Colonies) != 1 || len(first.Untreated) != 1 {
		t.Fatalf("%+v %v", first, err)
	}
	again, err := v.d.SaveJob(t.Context(), in)
	if err != nil || drawn != 1 || again.Untreated[0] != first.Untreated[0] {
		t.Errorf("sent again: %+v, drawn %d times, %v", again, drawn, err)
	}
	in.ID, in.Controls = uuid.NewString(), 2
	if _, err := v.d.SaveJob(t.Context(), in); err == nil {
		t.Error("both are left untreated")
	}
}

// Of three hives one is left untreated and one dies: the untreated one is counted with the
// others and then treated; the dead one stays in the job, with the day and why, and nothing
// is to be done at it.
func TestCheckSparedAndGone(t *testing.T) {
	v := row(t, 3)
	set := v.d.app.set
	set.Chance = func(int) int { return 0 }
	v.d = New(records, set).Desk(v.d.who)
	v.job = uuid.NewString()
	in := wire.SaveJob{ID: v.job, Name: "Spared", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit held", Controls: 1}
	for _, h := range v.hives {
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: h, Day: outOn, Override: "seen to"})
	}
	job, err := v.d.SaveJob(t.Context(), in)
	if err != nil || len(job.Untreated) != 1 {
		t.Fatalf("%+v %v", job, err)
	}
	if got := v.stands("treat"); got != "" {
		t.Errorf("before anything was given: %s", got)
	}
	v.hives = []string{job.Colonies[0].ColonyID, job.Colonies[1].ColonyID}
	v.givesAll(outOn)
	v.d = later(v.d, 13*aDay)
	if read, treat := v.stands("board_read"), v.stands("treat"); !strings.HasSuffix(read, "due due due") || treat != "due" {
		t.Errorf("a fortnight on: boards %s, treat %s", read, treat)
	}
	dead, err := v.d.Colony(t.Context(), v.hives[1])
	if err != nil {
		t.Fatal(err)
	}
	if _, err := v.d.End(t.Context(), v.hives[1], wire.End{Reason: "dead", Version: dead.Version}); err != nil {
		t.Fatal(err)
	}
	c, err := v.d.JobCheck(t.Context(), v.job)
	if err != nil || c.Treated != 2 || c.Colonies[1].EndReason != "dead" || c.Colonies[1].EndedOn == "" {
		t.Fatalf("%+v %v", c, err)
	}
	if got := v.stands("board_read"); !strings.HasSuffix(got, "due due") || strings.HasSuffix(got, "due due due") {
		t.Errorf("after one died: %s", got)
	}
	check, err := v.d.Check(t.Context(), false)
	if err != nil || !slices.ContainsFunc(check.Jobs, func(j wire.JobStands) bool { return j.ID == v.job && j.Gone == 1 }) {
		t.Errorf("%+v %v", check.Jobs, err)
	}
}

// Five strips come out of two hives, and one is missing. Three are thrown away, the rest lie
// in the shed; more thrown away than came out are taken, and stand to be reconciled.
func TestSpentPieces(t *testing.T) {
	v := goOut(t, "strips")
	v.writes(outOn, wire.Application{ColonyID: v.hives[0], Kind: "given", Amount: 3}, wire.Application{ColonyID: v.hives[1], Kind: "given", Amount: 3})
	if s, err := v.d.Spent(t.Context()); err != nil || len(s.Spent) != 0 {
		t.Errorf("nothing came out: %+v %v", s, err)
	}
	v.d = later(v.d, 42*aDay)
	v.writes("2027-01-15", wire.Application{ColonyID: v.hives[0], Kind: "out", ApplicationDetail: wire.ApplicationDetail{Came: 3}},
		wire.Application{ColonyID: v.hives[1], Kind: "out", ApplicationDetail: wire.ApplicationDetail{Came: 2, Missing: 1}})
	spend := func(kind string, pieces int, note string) (wire.Spent, error) {
		return v.d.SpendPieces(t.Context(), v.job, wire.SpendPieces{ID: uuid.NewString(), Kind: kind, Pieces: pieces, Note: note})
	}
	s, err := spend("disposed", 3, "household waste")
	if err != nil || s.Came != 5 || s.Missing != 1 || s.Left != 2 || s.Where != "" {
		t.Errorf("%+v %v", s, err)
	}
	if s, err = spend("stored", 2, "a tin in the shed"); err != nil || s.Left != 2 || s.Where != "a tin in the shed" || len(s.Entries) != 2 {
		t.Errorf("%+v %v", s, err)
	}
	if s, err = spend("disposed", 4, "household waste"); err != nil || s.Left != -2 {
		t.Errorf("more than came out: %+v %v", s, err)
	}
	_, err = spend("disposed", 0, "nowhere")
	at(t, "none", err, "pieces", fault.TooLow)
	_, err = spend("disposed", 1, " ")
	at(t, "nobody says where", err, "note", fault.Missing)
	if c, err := v.d.JobCheck(t.Context(), v.job); err != nil || c.Spent == nil || c.Spent.Left != -2 {
		t.Errorf("%+v %v", c.Spent, err)
	}
}

// A bottle of 200 mL at 60 % (1.1425 g/mL), read two days after: 160 mL left, so that 40 mL or
// 45.7 g went, 22.85 g a day. Weighed from then on, its weight tells nothing of what was read.
func TestReadOffTheBottle(t *testing.T) {
	v := goOut(t, "winter")
	v.job = uuid.NewString()
	in := wire.SaveJob{ID: v.job, Name: "Bottles", Method: "pad", Under: "formic-bottle", RuleKind: "own", Rule: "permit held",
		Colonies: []wire.JobColony{{ColonyID: v.hives[0], Day: outOn, Override: "a warm winter"}}}
	if _, err := v.d.SaveJob(t.Context(), in); err != nil {
		t.Fatal(err)
	}
	v.writes(outOn, wire.Application{ColonyID: v.hives[0], Kind: "given", Amount: 200, Asked: 200})
	v.d = later(v.d, 2*aDay)
	v.writes("2026-12-06", wire.Application{ColonyID: v.hives[0], Kind: "weighed", Amount: 160, ApplicationDetail: wire.ApplicationDetail{Read: true}})
	c, err := v.d.JobCheck(t.Context(), v.job)
	if e := c.Colonies[0].Evaporation; err != nil || e == nil || off(e.DayG, 22.85, 0.02) || e.Pace != "fast" || len(e.Weighed) != 2 || off(e.Weighed[0].G, 228.5, 0.1) {
		t.Errorf("%+v %v", e, err)
	}
	r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: "2026-12-06", Act: weigh})
	if err != nil || r.Colonies[0].ReadML != 160 || r.Colonies[0].WeightG != 0 {
		t.Errorf("%+v %v", r.Colonies, err)
	}
	v.d = later(v.d, aDay)
	v.writes("2026-12-07", wire.Application{ColonyID: v.hives[0], Kind: "weighed", Amount: 430})
	if c, err = v.d.JobCheck(t.Context(), v.job); err != nil || c.Colonies[0].Evaporation == nil || c.Colonies[0].Evaporation.Pace != "" {
		t.Errorf("a weight beside a reading: %+v %v", c.Colonies[0].Evaporation, err)
	}
}

// A bottle filled from a batch whose plan leaves 60 cm² of the wick open on one box goes by
// that; of strips the batch says what they are.
func TestSources(t *testing.T) {
	v := goOut(t, "winter")
	save := litre(uuid.NewString())
	save.Recipe = wire.Recipe{Pad: &wire.PadRequest{Request: pad.Request{
		Hold: wire.PadHold{Kind: "acid", Label: 0.6}, Working: 0.6, Aim: pad.Aim{Protocol: "bottle-wick", Wick: pad.Wick{One: 60}},
		Size: wire.PadSize{By: "working", Working: 500},
	}}}
	if _, _, err := v.d.SaveBatch(t.Context(), save); err != nil {
		t.Fatal(err)
	}
	v.job = uuid.NewString()
	in := wire.SaveJob{ID: v.job, Name: "Bottles", Method: "pad", Under: "formic-bottle", RuleKind: "own", Rule: "permit held",
		Colonies: []wire.JobColony{{ColonyID: v.hives[0], Day: outOn, Override: "a warm winter"}}}
	if _, err := v.d.SaveJob(t.Context(), in); err != nil {
		t.Fatal(err)
	}
	v.writes(outOn, wire.Application{ColonyID: v.hives[0], Kind: "given", Amount: 200, Asked: 200, BatchID: save.ID, ApplicationDetail: wire.ApplicationDetail{ByHand: true}},
		wire.Application{ColonyID: v.hives[0], Kind: "weighed", Amount: 500})
	v.d = later(v.d, aDay)
	v.writes("2026-12-05", wire.Application{ColonyID: v.hives[0], Kind: "weighed", Amount: 470})
	c, err := v.d.JobCheck(t.Context(), v.job)
	if e := c.Colonies[0].Evaporation; err != nil || e == nil || off(e.DayG, 30, 0.01) || off(e.AreaCM2, 60*17.5/30, 0.1) {
		t.Errorf("%+v %v", e, err)
	}
	strips := goOut(t, "strips")
	strips.writes(outOn, wire.Application{ColonyID: strips.hives[0], Kind: "given", Amount: 2, BatchID: strips.batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}})
	for by, want := range map[string]string{"carrier": "strip", "batch": strips.batch} {
		if c, err := strips.d.Compare(t.Context(), Comparing{By: by}); err != nil || len(c.Groups) != 1 || c.Groups[0].Key != want {
			t.Errorf("by %s: %+v %v", by, c.Groups, err)
		}
	}
}

// Strips were put into gaps 3 and 6, and are moved to 4 and 7: the round that takes them out
// knows where they hang.
func TestGapsAreKept(t *testing.T) {
	v := goOut(t, "strips")
	put := func(day, kind string, amount float64, gaps ...int) {
		v.writes(day, wire.Application{ColonyID: v.hives[0], Kind: kind, Amount: amount, ApplicationDetail: wire.ApplicationDetail{Gaps: [][]int{gaps}}})
	}
	put(outOn, "given", 2, 3, 6)
	v.d = later(v.d, 24*aDay)
	put("2026-12-28", "moved", 0, 4, 7)
	v.d = later(v.d, 18*aDay)
	for act, day := range map[string]string{move: "2027-01-15", takeOut: "2027-01-15"} {
		r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: day, Act: act})
		if err != nil || len(r.Colonies) != 1 || !slices.Equal(r.Colonies[0].Gaps[0], []int{4, 7}) || r.Colonies[0].GapsOn != "2026-12-28" {
			t.Errorf("%s: %+v %v", act, r.Colonies, err)
		}
	}
	sent, err := v.d.Apply(t.Context(), v.job, "2027-01-15", wire.Applications{Applications: []wire.Application{{
		ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "moved", ApplicationDetail: wire.ApplicationDetail{Gaps: [][]int{{99}}},
	}}})
	if err != nil || sent.Results[0].State != "refused" {
		t.Errorf("gap 99: %+v %v", sent.Results, err)
	}
}
