package app

import (
	"slices"
	"testing"

	"github.com/google/uuid"

	"keeler/core/chem"
	"keeler/core/method/dribble"
	"keeler/wire"
)

// A round doses by the plan of the batch that is poured, not by the job's: 4 mL a full
// seam and 24 mL at most, with its own gun. 24 mL of 43.8 g/L are 1,051 mg, as much as the
// job means with 30 mL of 35 g/L: not too strong. 26 mL are over the batch's cap, though
// not over the job's 50.
func TestRoundDosesByTheBatch(t *testing.T) {
	v := goOut(t, "winter")
	seam, most := chem.Millilitres(4), chem.Millilitres(24)
	thick := uuid.NewString()
	save := wire.SaveBatch{ID: thick, Name: "Thick", Recipe: wire.Recipe{Dribble: &wire.DribbleRequest{Request: dribble.Request{
		Hold: wire.Hold{Kind: "crystals"}, Aim: wire.Aim{By: "value", Value: 43.75, Form: "g_per_l", Basis: "dihydrate"}, Size: wire.Size{By: "volume", Volume: 500},
		Rule: wire.Rule{FullSeam: &seam, Cap: &most}, Applicator: &wire.Applicator{Device: "gun", Unit: 2},
	}}}}
	if _, _, err := v.d.SaveBatch(t.Context(), save); err != nil {
		t.Fatal(err)
	}
	r, err := v.d.Visit(t.Context(), VisitQuery{Job: v.job, Day: outOn, Act: ""})
	if err != nil {
		t.Fatal(err)
	}
	i := slices.IndexFunc(r.Batches, func(b wire.VisitBatch) bool { return b.ID == thick })
	if i < 0 || r.Batches[i].Base == nil || r.Batches[i].Base.Dribble == nil {
		t.Fatalf("%+v", r.Batches)
	}
	if by := r.Batches[i].Base.Dribble; *by.Rule.FullSeam != seam || by.Applicator.Device != "gun" || by.Colonies != nil || r.Batches[i].TooStrong {
		t.Errorf("%+v of %+v", by, r.Batches[i])
	}
	got, r := v.sends(wire.Application{ColonyID: v.hives[0], Kind: "given", BatchID: thick, Amount: 24, Asked: 24})
	if flags := r.Records[0].Flags; got.State != "saved" || len(flags) > 0 || off(r.Records[0].OADMg, 1051, 3) {
		t.Errorf("%+v", r.Records)
	}
	_, r = v.sends(wire.Application{ColonyID: v.hives[1], Kind: "given", BatchID: thick, Amount: 26, Asked: 24})
	if flags := r.Records[1].Flags; !slices.Contains(flags, "too_much") {
		t.Errorf("over the batch's cap: %v", flags)
	}
	// The job's own litre is held against the job's: 26 mL are nothing out of the way.
	_, r = v.sends(wire.Application{ColonyID: v.hives[1], Kind: "given", BatchID: v.batch, Amount: 26, Asked: 26})
	if flags := r.Records[2].Flags; slices.Contains(flags, "too_much") {
		t.Errorf("under the job's cap: %v", flags)
	}
}
