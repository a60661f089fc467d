package app

import (
	"bytes"
	"encoding/csv"
	"errors"
	"slices"
	"strconv"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/core/method/strip"
	"keeler/store"
	"keeler/wire"
)

const outOn = "2026-12-04"

// visit is a job of two hives on one day with a litre ready for it.
type visitor struct {
	t     *testing.T
	d     Desk
	job   string
	batch string
	hives []string
}

func goOut(t *testing.T, under string) *visitor {
	t.Helper()
	d, _, hives := ready(t, 5)
	v := &visitor{t: t, d: d, job: uuid.NewString(), batch: uuid.NewString(), hives: hives}
	method := "dribble"
	if under == "strips" {
		method = "strip"
	}
	in := wire.SaveJob{ID: v.job, Name: "Round", Method: method, Under: under, RuleKind: "own", Rule: "permit held", People: 2}
	for _, h := range hives {
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: h, Day: outOn, Override: "seen to"})
	}
	if _, err := d.SaveJob(t.Context(), in); err != nil {
		t.Fatal(err)
	}
	save := litre(v.batch)
	if method == "strip" {
		save.Recipe = wire.Recipe{Strip: &wire.StripRequest{Request: strip.Request{Aim: strip.Aim{Protocol: "two-to-three"}, Uptake: 20, Stays: 30, Size: wire.StripSize{By: "strips", Strips: 10}}}}
	}
	if _, _, err := d.SaveBatch(t.Context(), save); err != nil {
		t.Fatal(err)
	}
	return v
}

// sends writes one line and gives what became of it, and how it stands.
func (v *visitor) sends(a wire.Application) (wire.Applied, wire.Visit) {
	v.t.Helper()
	if a.ID == "" {
		a.ID = uuid.NewString()
	}
	a.ByHand = a.BatchID != "" // nobody mixed it at the bench
	sent, err := v.d.Apply(v.t.Context(), v.job, outOn, wire.Applications{Applications: []wire.Application{a}})
	if err != nil {
		v.t.Fatalf("%+v: %v", a, err)
	}
	r, err := v.d.Visit(v.t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""})
	if err != nil || len(r.Records) != len(sent.Records) || len(r.Batches) != len(sent.Batches) {
		v.t.Fatalf("the round stands otherwise than the answer says: %+v %+v %v", r, sent, err)
	}
	return sent.Results[0], r
}

func (v *visitor) left() float64 {
	v.t.Helper()
	l, err := v.d.Ledger(v.t.Context(), v.batch)
	if err != nil {
		v.t.Fatal(err)
	}
	return l.Left
}

// The round knows hives as they were seen. A dose falls out of the jar, is 1050 mg in
// 30 mL of 35 g/L, and counts as treated; sent twice it counts once; a real second
// one is kept and flagged on both; amended, the jar gets it back.
func TestRound(t *testing.T) {
	v := goOut(t, "winter")
	r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""})
	if err != nil || len(r.Colonies) != 2 || r.Colonies[0].Hive.Boxes[0].Seams[1] != 1 || r.CapML != 50 || len(r.Batches) != 1 || off(r.Batches[0].GPerL, 35.05, 0.1) || r.Season != "winter" {
		t.Fatalf("%+v %v", r, err)
	}
	if off(r.Batches[0].OnHand.Left, 1000, 1e-6) || off(r.Batches[0].OADMg, 35.05, 0.02) || r.Colonies[1].Override != "seen to" {
		t.Errorf("%+v", r)
	}
	first := wire.Application{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 30, Asked: 30, OpenS: 80, AgoS: 600,
		ApplicationDetail: wire.ApplicationDetail{Boxes: []float64{30}, Extras: []string{"hefted", "weighted"}, Note: " quiet "}}
	got, r := v.sends(first)
	if got.State != "saved" || len(r.Records) != 1 || len(r.Records[0].Flags) != 0 || off(r.Records[0].OADMg, 1051, 2) || r.Records[0].Note != "quiet" ||
		r.Records[0].Override != "seen to" || r.Records[0].Rule != "Own mixture, where allowed: permit held" || !r.Records[0].GivenAt.Equal(work.Add(-10*time.Minute)) {
		t.Fatalf("%+v %+v", got, r.Records)
	}
	if got, r = v.sends(first); got.State != "again" || len(r.Records) != 1 || off(v.left(), 970, 1e-6) {
		t.Errorf("sent twice: %+v, %v left", got, v.left())
	}
	second := wire.Application{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 20, Asked: 30, Reason: "ran_out"}
	_, r = v.sends(second)
	if len(r.Records) != 2 || !slices.Contains(r.Records[0].Flags, "twice") || !slices.Contains(r.Records[1].Flags, "twice") || off(v.left(), 950, 1e-6) {
		t.Errorf("two doses: %+v", r.Records)
	}
	if c, err := v.d.Colony(t.Context(), v.hives[0]); err != nil || len(c.Treatments) != 2 || c.Treatments[0].GivenOn != outOn || c.Treatments[0].OutOn != outOn {
		t.Errorf("treated: %+v %v", c.Treatments, err)
	}
	amended, err := v.d.Amend(t.Context(), second.ID, wire.Application{ID: uuid.NewString(), Kind: "skipped", Reason: "taken_back"})
	if err != nil || amended.Amends != second.ID || off(v.left(), 970, 1e-6) {
		t.Errorf("taken back: %+v %v, %v left", amended, err, v.left())
	}
	if _, err := v.d.Amend(t.Context(), second.ID, wire.Application{ID: uuid.NewString(), Kind: "skipped", Reason: "dead"}); !errors.Is(err, store.ErrStale) {
		t.Errorf("amended twice: %v", err)
	}
	amended, err = v.d.Amend(t.Context(), first.ID, wire.Application{ID: uuid.NewString(), Kind: "given", BatchID: v.batch, Amount: 25, Asked: 30})
	if err != nil || off(v.left(), 975, 1e-6) || off(amended.OADMg, 876, 2) || !amended.GivenAt.Equal(work.Add(-10*time.Minute)) {
		t.Errorf("less: %+v %v, %v left", amended, err, v.left())
	}
	if r, err = v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""}); err != nil || len(r.Records) != 2 || len(r.Records[1].Flags) != 0 {
		t.Errorf("it stands: %+v %v", r.Records, err)
	}
	if c, err := v.d.Colony(t.Context(), v.hives[0]); err != nil || len(c.Treatments) != 1 {
		t.Errorf("treated: %+v %v", c.Treatments, err)
	}
}

// What is odd is kept and told; what cannot be is refused alone, and the others stand.
func TestRoundOdd(t *testing.T) {
	v := goOut(t, "winter")
	stranger := colony(t, v.d, yard(t, v.d, "B"), "B1").ID
	elsewhere := yard(t, v.d, "C")
	wrong := wall.Add(-25 * time.Hour)
	sent, err := v.d.Apply(t.Context(), v.job, outOn, wire.Applications{Applications: []wire.Application{
		{ID: uuid.NewString(), ColonyID: stranger, Kind: "given", BatchID: v.batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 30},
		{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", Amount: 30},
		{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 60, PhoneAt: &wrong},
		{ID: uuid.NewString(), ColonyID: v.hives[1], Kind: "given", BatchID: v.batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 240, YardID: elsewhere},
		{ID: uuid.NewString(), ColonyID: v.hives[1], Kind: "given", BatchID: v.batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 251},
		{ID: uuid.NewString(), ColonyID: v.hives[1], Kind: "given", BatchID: v.batch, Amount: -4},
		{ID: uuid.NewString(), ColonyID: v.hives[1], Kind: "skipped"},
		{ID: uuid.NewString(), ColonyID: uuid.NewString(), Kind: "skipped", Reason: "dead"},
		{ID: uuid.NewString(), ColonyID: v.hives[1], Kind: "given", BatchID: uuid.NewString(), Amount: 5},
		{ID: uuid.NewString(), ColonyID: v.hives[1], Kind: "skipped", Reason: "dead"},
	}})
	if err != nil {
		t.Fatal(err)
	}
	states := ""
	for _, r := range sent.Results {
		states += r.State[:1]
		if (r.State == "refused") != (r.Text != "") {
			t.Errorf("%+v", r)
		}
	}
	if states != "ssssrrrrrs" {
		t.Errorf("they are %s", states)
	}
	flags := map[string]bool{}
	for _, r := range sent.Records {
		for _, f := range r.Flags {
			flags[f] = true
		}
	}
	for _, want := range []string{"not_in_job", "no_batch", "clock", "too_much", "moved", "twice"} {
		if !flags[want] {
			t.Errorf("nothing is flagged %s: %v", want, flags)
		}
	}
	if b := sent.Batches[0]; !b.Made || off(b.OnHand.Left, 1000-30-60-240, 1e-6) {
		t.Errorf("overdrawn: %+v", b)
	}
	_, err = v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: "2026-12-05", Act: ""})
	refused(t, err, "day", fault.Unknown)
}

// A clock that was set while a record waited, and a hive that stood open for hours, are
// flagged and never refused: the record stands at the time when it came.
func TestClockMovedBackIsKept(t *testing.T) {
	v := goOut(t, "winter")
	for _, c := range []struct {
		ago, open float64
		given     time.Time
		flag      string
	}{
		{-90_000, 80, work, "clock"},
		{56 * 365 * 86400, 80, work, "clock"},
		{1e15, -1e15, work, "clock"},
		{600, 6 * 3600, work.Add(-10 * time.Minute), "open_long"},
	} {
		a := wire.Application{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 30, Asked: 30, AgoS: c.ago, OpenS: c.open}
		if done, _ := v.sends(a); done.State != "saved" {
			t.Fatalf("%+v: %+v", c, done)
		}
		line, err := v.d.line(t.Context(), a.ID)
		if err != nil || !line.GivenAt.Equal(c.given) || !slices.Contains(line.Flags, c.flag) {
			t.Errorf("%+v: given at %s, flagged %v, %v", c, line.GivenAt, line.Flags, err)
		}
	}
}

// Strips hang for six weeks; taken out, the hive is free of them. Their next day is
// dated from the protocol.
func TestRoundOfStrips(t *testing.T) {
	v := goOut(t, "strips")
	r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""})
	if err != nil || r.DueOut != "2027-01-15" || r.DueLast != "2027-01-29" || r.Batches[0].OnHand.Unit != "pieces" || r.Batches[0].OnHand.Left != 10 {
		t.Fatalf("%+v %v", r, err)
	}
	got, r := v.sends(wire.Application{ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 2, Asked: 2})
	if got.State != "saved" || r.Colonies[0].InHive != 2 || r.Batches[0].OnHand.Left != 8 || off(r.Records[0].OADMg, 2*6.92*1000*1.1, 3000) {
		t.Errorf("%+v %+v", got, r)
	}
	if got, _ = v.sends(wire.Application{ColonyID: v.hives[1], Kind: "given", BatchID: v.batch, Amount: 1.5}); got.State != "refused" {
		t.Errorf("half a strip: %+v", got)
	}
	// On day 1 of 42 it is asked whether they are to come out already.
	r, err = later(v.d, aDay).Visit(t.Context(), VisitQuery{Job: v.job, Day: "2026-12-05", Act: ""})
	if err != nil || r.Act != takeOut || len(r.Batches) != 0 || len(r.Colonies) != 1 || r.Colonies[0].DaysIn != 1 || r.Colonies[0].Early != 41 {
		t.Fatalf("the day after: %+v %v", r, err)
	}
	// Six weeks later only the hive that they hang in is gone to.
	const due = "2027-01-15"
	out := wire.Applications{Applications: []wire.Application{{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "out", ApplicationDetail: wire.ApplicationDetail{Came: 1, Missing: 1, Chewed: 1}}}}
	jobs, err := v.d.Job(t.Context(), v.job)
	if err != nil || jobs.In != 1 || jobs.DueOut != due || jobs.DueLast != "2027-01-29" || !jobs.Open {
		t.Errorf("the job: %+v %v", jobs, err)
	}
	v.d = later(v.d, 42*24*time.Hour)
	r, err = v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: due, Act: ""})
	if err != nil || len(r.Colonies) != 1 || r.Colonies[0].InHive != 2 || r.Colonies[0].DaysIn != 42 || r.Colonies[0].Early != 0 {
		t.Fatalf("when they are due: %+v %v", r, err)
	}
	sent, err := v.d.Apply(t.Context(), v.job, due, out)
	if err != nil {
		t.Fatal(err)
	}
	if r, err = v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: due, Act: ""}); err != nil || len(r.Colonies) != 1 || r.Colonies[0].InHive != 0 || r.Records[0].Missing != 1 || len(r.Records[0].Flags) != 0 {
		t.Errorf("taken out: %+v %v", sent, err)
	}
	if c, err := v.d.Colony(t.Context(), v.hives[0]); err != nil || c.Treatments[0].OutOn != due {
		t.Errorf("taken out: %+v %v", c.Treatments, err)
	}
	if jobs, err = v.d.Job(t.Context(), v.job); err != nil || jobs.In != 0 || jobs.DueOut != "" {
		t.Errorf("nothing is in: %+v %v", jobs, err)
	}
	v.takesBack(out.Applications[0])
	if jobs, err = v.d.Job(t.Context(), v.job); err != nil || jobs.In != 1 || jobs.DueOut != due {
		t.Errorf("that was a slip, they are in: %+v %v", jobs, err)
	}
}

// takesBack says of a line that it was a slip.
func (v *visitor) takesBack(a wire.Application) {
	v.t.Helper()
	if _, err := v.d.Amend(v.t.Context(), a.ID, wire.Application{ID: uuid.NewString(), ColonyID: a.ColonyID, Kind: "skipped", Reason: "taken_back"}); err != nil {
		v.t.Fatal(err)
	}
}

// later is the same desk when so much time has gone by.
func later(d Desk, by time.Duration) Desk {
	set := d.app.set
	set.Work, set.Wall = Pinned(d.app.clock().Add(by)), Pinned(d.app.now().Add(by))
	return New(records, set).Desk(d.who)
}

// The register is read page by page in every order, each line once; as CSV it is whole.
func TestRegisterPages(t *testing.T) {
	v := goOut(t, "winter")
	const many = 2*RegisterPage + 7
	var all []wire.Application
	for i := range many {
		all = append(all, wire.Application{ID: uuid.NewString(), ColonyID: v.hives[i%2], Kind: "given", BatchID: v.batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 1, AgoS: float64(i % 5)})
	}
	if _, err := v.d.Apply(t.Context(), v.job, outOn, wire.Applications{Applications: all}); err != nil {
		t.Fatal(err)
	}
	other := wire.OtherTreatment{Method: "vapour", Product: "Vaporised", GivenOn: "2026-12-01", Withdrawal: new(7)}
	refusedOther := other
	refusedOther.Product = " "
	other.Colonies = append(other.Colonies, struct {
		ID       string `json:"id" format:"uuid" doc:"Of the line, made by the client; counts once."`
		ColonyID string `json:"colony_id" format:"uuid"`
	}{uuid.NewString(), v.hives[0]})
	for range 2 {
		if _, err := v.d.RecordOther(t.Context(), other); err != nil {
			t.Fatal(err)
		}
	}
	_, err := v.d.RecordOther(t.Context(), refusedOther)
	refused(t, err, "product", fault.Missing)
	for _, c := range []struct {
		q    RegisterQuery
		want int
	}{
		{RegisterQuery{}, many + 1}, {RegisterQuery{Oldest: true}, many + 1}, {RegisterQuery{Group: "colony"}, many + 1}, {RegisterQuery{Group: "yard", Oldest: true}, many + 1},
		{RegisterQuery{Group: "batch"}, many}, {RegisterQuery{Batch: v.batch}, many}, {RegisterQuery{Method: "vapour"}, 1}, {RegisterQuery{To: "2026-12-03"}, 1},
		{RegisterQuery{From: outOn}, many}, {RegisterQuery{Colony: v.hives[1]}, many / 2},
	} {
		seen := map[string]bool{}
		for pages := 0; ; pages++ {
			page, err := v.d.Register(t.Context(), c.q)
			if err != nil {
				t.Fatal(err)
			}
			for i, l := range page.Lines {
				if seen[l.ID] {
					t.Errorf("%+v: %s twice", c.q, l.ID)
				}
				seen[l.ID] = true
				if i > 0 && c.q.Group == "" && l.GivenAt.After(page.Lines[i-1].GivenAt) != c.q.Oldest && !l.GivenAt.Equal(page.Lines[i-1].GivenAt) {
					t.Errorf("%+v: out of order at %d", c.q, i)
				}
			}
			if c.q.After = page.More; page.More == "" || pages > 9 {
				break
			}
		}
		if len(seen) != c.want {
			t.Errorf("%+v: %d lines, want %d", c.q, len(seen), c.want)
		}
	}
	for _, q := range []RegisterQuery{{From: "spring"}, {Group: "colour"}, {After: "%%%"}, {After: "e30x"}} {
		if err := v.d.BeginExport(t.Context(), q); err == nil {
			t.Errorf("%+v is taken", q)
		}
	}
	var out bytes.Buffer
	if err := v.d.ExportRegister(t.Context(), RegisterQuery{}, &out); err != nil {
		t.Fatal(err)
	}
	table, err := csv.NewReader(&out).ReadAll()
	if err != nil || len(table) != many+3 || !slices.Equal(table[many+2][:3], []string{"rows", strconv.Itoa(many + 1), ""}) || len(table[1]) != len(RegisterHead) || table[1][9] != "1" {
		t.Errorf("%d rows of %v: %v", len(table), table[1], err)
	}
	// What was given outside a job counts in what is known of the hive.
	c, err := v.d.Colony(t.Context(), v.hives[0])
	if err != nil || !slices.ContainsFunc(c.Treatments, func(t wire.Treatment) bool { return t.Method == "vapour" && t.What == "Vaporised" }) {
		t.Errorf("%+v %v", c.Treatments, err)
	}
	if set, err := v.d.SetExtras(t.Context(), wire.VisitExtras{Season: "winter", Extras: []string{"hefted", "mouse_guard"}}); err != nil || len(set.Extras) != 2 {
		t.Errorf("%+v %v", set, err)
	}
	if r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""}); err != nil || !slices.Equal(r.Extras, []string{"hefted", "mouse_guard"}) {
		t.Errorf("%v %v", r.Extras, err)
	}
}
