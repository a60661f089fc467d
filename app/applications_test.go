package app

import (
	"errors"
	"slices"
	"testing"

	"github.com/google/uuid"

	"keeler/core/fault"
	"keeler/core/method/pad"
	"keeler/store"
	"keeler/wire"
)

// Working acid is given by the mL with its acid in mg; a batch that was planned opens
// its account with the first dose. What is left tells its bicarbonate.
func TestRoundOfAcid(t *testing.T) {
	d, _, hives := ready(t, 22)
	job, batch := uuid.NewString(), uuid.NewString()
	in := wire.SaveJob{ID: job, Name: "Acid", Method: "pad", Under: "formic", RuleKind: "label", People: 1}
	for _, h := range hives {
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: h, Day: outOn, Override: "trial"})
	}
	if _, err := d.SaveJob(t.Context(), in); err != nil {
		t.Fatal(err)
	}
	_, _, err := d.SaveBatch(t.Context(), wire.SaveBatch{ID: batch, Name: "Bottle", Recipe: wire.Recipe{Pad: &wire.PadRequest{Request: pad.Request{
		Hold: wire.PadHold{Kind: "acid", Label: 0.85}, Working: 0.6, Aim: pad.Aim{Protocol: "sponge-above"}, Size: wire.PadSize{By: "working", Working: 100},
	}}}})
	if err != nil {
		t.Fatal(err)
	}
	r, err := d.Visit(t.Context(), VisitQuery{Job: job, Day: outOn, Act: ""})
	if err != nil || r.Gear[0] != "butyl_gloves" || r.CapML != 0 || len(r.Batches) != 1 || off(r.Batches[0].OnHand.Left, 100, 0.5) || off(r.Batches[0].FormicMg, 685.5, 2) {
		t.Fatalf("%+v %v", r, err)
	}
	// 100 mL of 60 % are 114.25 g and hold 68.55 g: 125.4 g of bicarbonate.
	if off(r.Batches[0].BicarbonateG, 125.4, 1) {
		t.Errorf("%v g of bicarbonate", r.Batches[0].BicarbonateG)
	}
	sent, err := d.Apply(t.Context(), job, outOn, wire.Applications{Applications: []wire.Application{
		{ID: uuid.NewString(), ColonyID: hives[0], Kind: "given", BatchID: batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 8, Asked: 8},
		{ID: uuid.NewString(), ColonyID: hives[1], Kind: "given", BatchID: batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 20, Asked: 8},
	}})
	if err != nil || off(sent.Records[0].FormicMg, 8*685.5, 20) || sent.Records[0].OADMg != 0 || sent.Records[1].Flags[0] != "too_much" {
		t.Fatalf("%+v %v", sent, err)
	}
	l, err := d.Ledger(t.Context(), batch)
	if err != nil || off(l.Left, 72, 0.5) || l.Entries[0].Kind != "made" || l.Entries[0].Reason != "mixed without the bench" || l.Entries[1].Colony != "A1" {
		t.Errorf("%+v %v", l, err)
	}
	b, err := d.Batch(t.Context(), batch)
	if err != nil || b.State != "made" {
		t.Errorf("%s %v", b.State, err)
	}
}

// What cannot be amended, or is no line of a round, is said.
func TestAmendRefused(t *testing.T) {
	v := goOut(t, "winter")
	given := wire.Application{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "given", BatchID: v.batch, Amount: 30}
	v.sends(given)
	if _, err := v.d.Amend(t.Context(), uuid.NewString(), given); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("a line that is none: %v", err)
	}
	_, err := v.d.Amend(t.Context(), given.ID, wire.Application{ID: uuid.NewString(), Kind: "given", BatchID: v.batch, Amount: -1})
	refused(t, err, "amount", fault.TooLow)
	_, err = v.d.Amend(t.Context(), given.ID, wire.Application{ID: uuid.NewString(), Kind: "given", BatchID: uuid.NewString(), Amount: 3})
	refused(t, err, "batch_id", fault.Unknown)
	if off(v.left(), 970, 1e-6) {
		t.Errorf("what was refused moved the jar: %v left", v.left())
	}
	other := wire.OtherTreatment{Method: "strip", Product: "Bought strips", GivenOn: "2026-11-20", Amount: 2, Unit: "pieces"}
	id := uuid.NewString()
	other.Colonies = append(other.Colonies, wire.OtherColony{ID: id, ColonyID: v.hives[1]})
	if _, err := v.d.RecordOther(t.Context(), other); err != nil {
		t.Fatal(err)
	}
	_, err = v.d.Amend(t.Context(), id, given)
	refused(t, err, "kind", fault.NotFitting)
	// Bought strips hang until somebody takes them out: they are known to be in the hive.
	c, err := v.d.Colony(t.Context(), v.hives[1])
	if err != nil || len(c.Treatments) != 1 || c.Treatments[0].Method != "strip" || c.Treatments[0].OutOn != "" {
		t.Errorf("%+v %v", c.Treatments, err)
	}
	for field, change := range map[string]func(*wire.OtherTreatment){
		"given_on":        func(o *wire.OtherTreatment) { o.GivenOn = "2027-06-01" },
		"amount":          func(o *wire.OtherTreatment) { o.Amount = -2 },
		"withdrawal_days": func(o *wire.OtherTreatment) { o.Withdrawal = new(1000) },
	} {
		wrong := other
		change(&wrong)
		var l fault.List
		if _, err := v.d.RecordOther(t.Context(), wrong); !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("%s: %v", field, err)
		}
	}
	_, err = v.d.SetExtras(t.Context(), wire.VisitExtras{Season: "winter", Extras: []string{"painted"}})
	refused(t, err, "extras[0]", fault.Unknown)
	_, err = v.d.Apply(t.Context(), v.job, outOn, wire.Applications{Applications: []wire.Application{{ID: uuid.NewString(), ColonyID: v.hives[0], Kind: "other"}}})
	if err != nil {
		t.Errorf("refused alone: %v", err)
	}
	stranger := own(t, Settings{Work: Pinned(work), Wall: Pinned(wall)})
	if _, err := stranger.Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""}); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("another operation's round: %v", err)
	}
	if page, err := stranger.Register(t.Context(), RegisterQuery{}); err != nil || len(page.Lines) != 0 {
		t.Errorf("another operation's register: %d lines, %v", len(page.Lines), err)
	}
}

// The bell tells those who listen which of their things rang, once for many strokes, and
// forgets them when they stop.
func TestBell(t *testing.T) {
	var b bell
	mine, stop := b.listen(1, []string{"a", "b", "c"})
	yours, stopYours := b.listen(2, []string{"a"})
	for range 5 {
		b.ring(topic{1, "a"})
		b.ring(topic{1, "b"})
	}
	<-mine.wake
	if told := mine.changed(); len(told) != 2 || !slices.Contains(told, "a") || !slices.Contains(told, "b") {
		t.Errorf("it tells of %v", told)
	}
	select {
	case <-mine.wake:
		t.Error("many strokes are told twice")
	case <-yours.wake:
		t.Error("another operation hears it")
	default:
	}
	stop()
	b.ring(topic{1, "a"})
	stopYours()
	if len(b.ears) != 0 {
		t.Errorf("%d still listen", len(b.ears))
	}
}
