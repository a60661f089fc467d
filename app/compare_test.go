package app

import (
	"math"
	"testing"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/wire"
)

// row is a round of so many hives in their yard, all of them in one job.
func row(t *testing.T, n int) *visitor {
	t.Helper()
	v := goOut(t, "winter")
	yards, err := v.d.Yards(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	for i := len(v.hives); i < n; i++ {
		v.hives = append(v.hives, colony(t, v.d, yards.Yards[0].ID, "A"+string(rune('1'+i))).ID)
	}
	v.job = uuid.NewString()
	in := wire.SaveJob{ID: v.job, Name: "Row", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit held", People: 2}
	for _, h := range v.hives {
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: h, Day: outOn, Override: "seen to"})
	}
	if _, err := v.d.SaveJob(t.Context(), in); err != nil {
		t.Fatal(err)
	}
	return v
}

func (v *visitor) givesAll(day string) {
	v.t.Helper()
	var lines []wire.Application
	for _, h := range v.hives {
		lines = append(lines, wire.Application{ColonyID: h, Kind: "given", Amount: 30, Asked: 30})
	}
	v.writes(day, lines...)
}

// Three groups of three, 60 mites in 300 bees of each hive before. After: 2 each of the first,
// 6 each of the second, 60 each of the third: 1 − 6/180, 1 − 18/180, none. The first two
// differ by 0.0667: of hives that are all alike counting alone counts, √(1/180 + 1/6) = 0.4150
// and √(1/180 + 1/18) = 0.2472 with the quantile 2.3940 of three pairs in place of 1.96.
func TestCompareGroups(t *testing.T) {
	v := row(t, 9)
	save := wire.SaveComparison{ID: uuid.NewString(), Name: "Three kinds", Groups: []wire.ComparisonGroup{{Name: "a"}, {Name: "b"}, {Name: "c"}}}
	for i, h := range v.hives {
		g := &save.Groups[i/3]
		g.Colonies = append(g.Colonies, wire.ComparisonColony{ID: h})
	}
	made, err := v.d.SaveComparison(t.Context(), save)
	if err != nil || len(made.Groups) != 3 || made.Groups[2].Colonies[0].ID != v.hives[6] || made.MadeOn != outOn || made.Groups[0].Colonies[0].Seams != 2.5 {
		t.Fatalf("%+v %v", made, err)
	}
	asked := Comparing{By: "groups", Comparison: save.ID}
	if c, err := v.d.Compare(t.Context(), asked); err != nil || len(c.Groups) != 3 || len(c.Pairs) != 0 || c.Basis != "" {
		t.Errorf("nothing given: %+v %v", c, err)
	}
	v.counts("wash", outOn, 300, 60, 60, 60, 60, 60, 60, 60, 60, 60)
	v.givesAll(outOn)
	v.d = later(v.d, 40*aDay)
	v.counts("wash", "2027-01-10", 300, 2, 2, 2, 6, 6, 6, 60, 60, 60)
	c, err := v.d.Compare(t.Context(), asked)
	if err != nil || c.Basis != "wash" || len(c.Pairs) != 3 || c.Groups[0].Told != 3 || len(c.Groups[0].Colonies) != 3 {
		t.Fatalf("%+v %v", c, err)
	}
	a, b := c.Groups[0].Result, c.Groups[1].Result
	low, high := 1-math.Exp(math.Log(6./180)+1.96*0.4150), 1-math.Exp(math.Log(18./180)-1.96*0.2472)
	if math.Abs(a.Share-1+6./180) > 1e-9 || math.Abs(a.Low-low) > 1e-3 || math.Abs(b.High-high) > 1e-3 || a.Outcome != "surely" || c.Groups[2].Result.Outcome != "did_not" {
		t.Errorf("shares: %+v %+v", a, b)
	}
	p := c.Pairs[0]
	if want := 12./180 - 2.3940/1.9600*math.Hypot(a.Share-low, high-b.Share); math.Abs(p.Share-12./180) > 1e-9 || math.Abs(p.Low-want) > 1e-3 || p.Small {
		t.Errorf("of a and b: %+v, from %v", p, want)
	}
	if p := c.Pairs[1]; !p.Beyond || p.First != 0 || p.Second != 2 || p.Low < 0.7 {
		t.Errorf("of a and c: %+v", p)
	}
	// By the yard all nine are one group; by batch nobody said of which.
	if c, err := v.d.Compare(t.Context(), Comparing{By: "yard", Job: v.job}); err != nil || len(c.Groups) != 1 || c.Groups[0].Told != 9 || len(c.Pairs) != 0 {
		t.Errorf("by yard: %+v %v", c, err)
	}
	if c, err := v.d.Compare(t.Context(), Comparing{By: "batch"}); err != nil || len(c.Groups) != 0 {
		t.Errorf("by batch: %+v %v", c, err)
	}
}

// Hives counted on boards are not held against hives that were washed; groups of one are told
// without a verdict.
func TestCompareWhatCannotBe(t *testing.T) {
	v := row(t, 4)
	save := wire.SaveComparison{ID: uuid.NewString(), Name: "Odd", Groups: []wire.ComparisonGroup{
		{Name: "washed", Colonies: []wire.ComparisonColony{{ID: v.hives[0]}}}, {Name: "boards", Colonies: []wire.ComparisonColony{{ID: v.hives[1]}}},
		{Name: "washed, too", Colonies: []wire.ComparisonColony{{ID: v.hives[2]}}},
	}}
	if _, err := v.d.SaveComparison(t.Context(), save); err != nil {
		t.Fatal(err)
	}
	hives := v.hives
	around := func(kind string, over float64, hive int, before, after int) {
		v.hives = hives[hive : hive+1]
		v.counts(kind, map[bool]string{true: "2027-01-20", false: outOn}[before < 0], over, max(before, after))
	}
	around("wash", 300, 0, 60, 0)
	around("board", 4, 1, 60, 0)
	around("wash", 300, 2, 60, 0)
	v.hives = hives
	v.givesAll(outOn)
	v.d = later(v.d, 50*aDay)
	around("wash", 300, 0, -1, 2)
	around("board", 4, 1, -1, 2)
	around("wash", 300, 2, -1, 30)
	c, err := v.d.Compare(t.Context(), Comparing{By: "groups", Comparison: save.ID})
	if err != nil || c.Basis != "wash" || c.Groups[1].Name != "boards" || c.Groups[1].Basis != "board" || c.Groups[0].Basis != "wash" {
		t.Fatalf("%+v %v", c, err)
	}
	if len(c.Pairs) != 1 || !c.Pairs[0].Small || c.Pairs[0].Beyond || c.Pairs[0].First != 0 || c.Pairs[0].Second != 2 {
		t.Errorf("groups of one: %+v", c.Pairs)
	}
}

// Six hives are dealt two to each of three groups, once: the same id again gives what was
// made. What cannot be groups is told at its field.
func TestComparisonIsDealtOnce(t *testing.T) {
	v := row(t, 6)
	set, drawn := v.d.app.set, 0
	set.Chance = func(n int) int { drawn++; return drawn % n }
	v.d = New(records, set).Desk(v.d.who)
	save := wire.SaveComparison{ID: uuid.NewString(), Name: "Dealt", Deal: true, Groups: []wire.ComparisonGroup{{Name: "a"}, {Name: "b"}, {Name: "c"}}}
	for _, h := range v.hives {
		save.Groups[0].Colonies = append(save.Groups[0].Colonies, wire.ComparisonColony{ID: h})
	}
	made, err := v.d.SaveComparison(t.Context(), save)
	if err != nil || drawn != 6 {
		t.Fatalf("%+v %v, drawn %d times", made, err, drawn)
	}
	for _, g := range made.Groups {
		if len(g.Colonies) != 2 {
			t.Errorf("%+v", made.Groups)
		}
	}
	if again, err := v.d.SaveComparison(t.Context(), save); err != nil || drawn != 6 || again.Groups[0].Colonies[0] != made.Groups[0].Colonies[0] {
		t.Errorf("sent again: %+v %v, drawn %d times", again, err, drawn)
	}
	for field, bad := range map[string]struct {
		reason fault.Reason
		change func(*wire.SaveComparison)
	}{
		"name":               {fault.Missing, func(s *wire.SaveComparison) { s.Name = " " }},
		"groups[1].name":     {fault.Taken, func(s *wire.SaveComparison) { s.Groups[1].Name = "a" }},
		"groups[1].colonies": {fault.Missing, func(s *wire.SaveComparison) { s.Deal = false; s.Groups = s.Groups[:2] }},
		"groups":             {fault.Missing, func(s *wire.SaveComparison) { s.Groups[0].Colonies = s.Groups[0].Colonies[:2] }},
	} {
		in := save
		in.ID, in.Groups = uuid.NewString(), append([]wire.ComparisonGroup{}, save.Groups...)
		bad.change(&in)
		_, err := v.d.SaveComparison(t.Context(), in)
		at(t, "a comparison", err, field, bad.reason)
	}
	if err := v.d.RemoveComparison(t.Context(), save.ID); err != nil {
		t.Error(err)
	}
	if l, err := v.d.Comparisons(t.Context()); err != nil || len(l.Comparisons) != 0 {
		t.Errorf("removed: %+v %v", l, err)
	}
}

// A job of two winters ago is told still, on its own page and beside others, though it is no
// longer listed among those that go on.
func TestOldJobs(t *testing.T) {
	v := goOut(t, "winter")
	v.counts("wash", outOn, 300, 60, 60)
	v.givesAll(outOn)
	v.d = later(v.d, 30*aDay)
	v.counts("wash", "2027-01-02", 300, 2, 3)
	v.d = later(v.d, 700*aDay)
	if c, err := v.d.JobCheck(t.Context(), v.job); err != nil || c.Treated != 2 || c.Result == nil || c.Result.After != 5 {
		t.Errorf("its page: %+v %v", c, err)
	}
	if c, err := v.d.Compare(t.Context(), Comparing{By: "year"}); err != nil || len(c.Groups) != 1 || c.Groups[0].Key != "2026" || c.Groups[0].Told != 2 {
		t.Errorf("beside others: %+v %v", c, err)
	}
	if c, err := v.d.Check(t.Context(), false); err != nil || len(c.Jobs) != 0 {
		t.Errorf("on Check: %+v %v", c.Jobs, err)
	}
}
