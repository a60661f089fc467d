package app

import (
	"errors"
	"math"
	"testing"

	"github.com/google/uuid"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
	"keeler/core/mixing"
	"keeler/store"
	"keeler/wire"
)

var two = []wire.BenchBalance{{Name: "kitchen", Balance: mixing.Balance{Division: 1, Capacity: 5000}}, {Name: "fine", Balance: mixing.Balance{Division: 0.1, Capacity: 500}}}

// stood is somebody at the bench of one batch.
type stood struct {
	t   *testing.T
	d   Desk
	id  string
	run wire.BenchRun
}

// atBenchOf saves a batch and begins it; standAt does so at a desk of its own.
func atBenchOf(t *testing.T, save wire.SaveBatch, in wire.BeginBench) *stood {
	t.Helper()
	return standAt(t, here(), save, in)
}

func standAt(t *testing.T, d Desk, save wire.SaveBatch, in wire.BeginBench) *stood {
	t.Helper()
	if _, _, err := d.SaveBatch(t.Context(), save); err != nil {
		t.Fatal(err)
	}
	if in.Balances == nil {
		in.Balances = two
	}
	run, err := d.BeginBench(t.Context(), save.ID, in)
	if err != nil {
		t.Fatal(err)
	}
	return &stood{t, d, save.ID, run}
}

func (s *stood) try(e wire.BenchEvent) error {
	s.t.Helper()
	e.ID = uuid.NewString()
	run, err := s.d.Happen(s.t.Context(), s.id, e)
	if err == nil {
		s.run = run
	}
	return err
}

func (s *stood) does(e wire.BenchEvent) {
	s.t.Helper()
	if err := s.try(e); err != nil {
		s.t.Fatalf("%+v: %v", e, err)
	}
}

func (s *stood) act(id string) wire.BenchAct {
	s.t.Helper()
	for _, a := range s.run.Acts {
		if a.ID == id {
			return a
		}
	}
	s.t.Fatalf("there is no act %s in %+v", id, s.run.Acts)
	return wire.BenchAct{}
}

func (s *stood) weighs(act string, grams float64) {
	s.t.Helper()
	a := s.act(act)
	s.does(wire.BenchEvent{Kind: "added", Act: act, Load: len(a.Added), Grams: grams, Balance: a.Balance})
}

// all weighs everything that is still wanted, as wanted.
func (s *stood) all() {
	s.t.Helper()
	for {
		next := ""
		for _, a := range s.run.Acts {
			if !a.Done && (a.Kind == "weigh" || a.Kind == "count") && next == "" {
				next = a.ID
			}
		}
		if next == "" {
			return
		}
		if a := s.act(next); a.Kind == "count" {
			s.does(wire.BenchEvent{Kind: "added", Act: next, Load: len(a.Added), Count: a.Count})
		} else {
			s.weighs(next, float64(a.Rest.Loads[0].Target))
		}
	}
}

func off(a, b, by float64) bool { return math.IsNaN(a) || math.Abs(a-b) > by }

func refused(t *testing.T, err error, field string, reason fault.Reason) {
	t.Helper()
	var l fault.List
	if !errors.As(err, &l) || l[0].Field != field || l[0].Reason != reason {
		t.Errorf("got %v, want %s: %s", err, field, reason)
	}
}

// A litre of the label's: 35.05 g acid and 600.8 g of sugar and water each. 40 g of
// acid went in where 35.05 were wanted: 40/35.05 of all makes 1141 mL, so that
// sugar and water are 685.7 g each: 84.9 and 84.9 g more. What was weighed is what
// the batch is, and 85.7 g of it spilled leaves the rest.
func TestSyrupMendedAtTheBench(t *testing.T) {
	lot := wire.Lot{ID: uuid.NewString(), Ingredient: "acid", Name: "winter tub", SupplierNo: "7/26", ExpiresOn: "2028-01-01", Amount: 1000, Price: 40}
	if _, err := here().AddLot(t.Context(), lot); err != nil {
		t.Fatal(err)
	}
	s := atBenchOf(t, litre(uuid.NewString()), wire.BeginBench{VesselML: 1500})
	if s.run.Order != "acid-first" || s.run.Number == 0 || !s.run.Begun || s.run.At != 0 || s.run.Complete {
		t.Fatalf("begun: %+v", s.run)
	}
	if off(s.run.RoomML, 1100, 3) {
		t.Errorf("a vessel of %v mL, want a tenth over a litre", s.run.RoomML)
	}
	s.does(wire.BenchEvent{Kind: "lot", Act: "acid", Answer: lot.ID})
	refused(t, s.try(wire.BenchEvent{Kind: "lot", Act: "sugar", Answer: lot.ID}), "answer", fault.Unknown)
	s.does(wire.BenchEvent{Kind: "answered", Act: "water_test", Answer: "cloudy"})
	if !s.act("hot_water").Distilled || s.act("sugar").Distilled {
		t.Error("hard water asks for distilled water, and for nothing else")
	}
	s.weighs("sugar", 601)
	s.weighs("hot_water", 200.3)
	refused(t, s.try(wire.BenchEvent{Kind: "added", Act: "acid", Grams: 351, Balance: 1}), "grams", fault.Doubtful)
	refused(t, s.try(wire.BenchEvent{Kind: "added", Act: "acid", Grams: 35, Balance: 9}), "balance", fault.Unknown)
	refused(t, s.try(wire.BenchEvent{Kind: "added", Act: "acid", Grams: 35, Balance: 1, Source: "balance", Instrument: "i1"}), "grams", fault.Unsteady)
	if w := s.act("acid").Rest; w.Balance != 1 || off(float64(w.Total), 35, 0.11) || off(float64(100*w.Share), 0.14, 0.01) {
		t.Errorf("the acid goes to the fine balance: %+v", w)
	}
	refused(t, s.try(wire.BenchEvent{Kind: "finished", Keeping: "fridge"}), "acts[acid]", fault.Missing)
	s.weighs("acid", 40)
	if err := s.try(wire.BenchEvent{Kind: "added", Act: "acid", Load: 0, Grams: 4, Balance: 1}); !errors.Is(err, store.ErrStale) {
		t.Errorf("one load twice: %v", err)
	}
	m := s.run.Mending
	if m == nil || !m.Possible || m.Made.Strength.Stand != "within" || m.Fits == nil || !*m.Fits || off(m.MoreML, 141, 1.5) {
		t.Fatalf("mending: %+v", m)
	}
	s.does(wire.BenchEvent{Kind: "corrected"})
	if s.run.Mending != nil || off(float64(s.act("rest_water").Target), 685.7-200.3, 1) || off(float64(s.act("more_sugar_1").Target), 685.7-601, 1) {
		t.Errorf("mended: %+v", s.run.Acts)
	}
	s.all()
	if !s.run.Complete || s.run.Comes.Strength.Stand != "within" || off(s.run.Comes.Strength.Value, 35.05, 0.1) || s.run.Comes.Strength.Off <= 0 {
		t.Errorf("all in: %+v", s.run.Comes)
	}
	refused(t, s.try(wire.BenchEvent{Kind: "finished", Keeping: "attic"}), "keeping", fault.Missing)
	s.does(wire.BenchEvent{Kind: "finished", Keeping: "fridge"})
	refused(t, s.try(wire.BenchEvent{Kind: "answered", Act: "bottle", Answer: "yes"}), "kind", fault.Ended)

	b, err := s.d.Batch(t.Context(), s.id)
	if err != nil || b.State != "made" || b.OnHand.UseBy != "2026-12-11" || b.OnHand.Keeps != "fresh" || off(b.Strength.Value, 35.05, 0.1) || off(b.OnHand.Left, 1141, 2) {
		t.Errorf("made: %+v %v", b.BatchSummary, err)
	}
	label, err := s.d.Label(t.Context(), s.id)
	if err != nil || !label.Weighed || label.Kind != "syrup" || off(label.Is.PercentWV, 3.505, 0.01) || off(label.Is.PercentWVA, 2.503, 0.01) || label.Is.Strength.Off <= 0 {
		t.Errorf("label: %+v %v", label, err)
	}
	tub, err := s.d.Lot(t.Context(), lot.ID)
	if err != nil || off(tub.Left, 960, 1e-6) || tub.Entries[1].ForBatch != s.id {
		t.Errorf("the tub: %+v %v", tub, err)
	}
	refusedEntry := wire.StockEntry{ID: uuid.NewString(), Kind: "spilled", Amount: 85.7}
	_, err = s.d.Enter(t.Context(), s.id, refusedEntry)
	refused(t, err, "reason", fault.Missing)
	for range 2 { // sent twice
		refusedEntry.Reason = "knocked over"
		if _, err = s.d.Enter(t.Context(), s.id, refusedEntry); err != nil {
			t.Fatal(err)
		}
	}
	ledger, err := s.d.Enter(t.Context(), s.id, wire.StockEntry{ID: uuid.NewString(), Kind: "used", Amount: 1100})
	if err != nil || !ledger.ToReconcile || off(ledger.Left, 1141-85.7-1100, 2) {
		t.Errorf("overdrawn, never refused: %+v %v", ledger, err)
	}
	ledger, err = s.d.Enter(t.Context(), s.id, wire.StockEntry{ID: uuid.NewString(), Kind: "found", Amount: 20, Reason: "measured in the jug"})
	if err != nil || ledger.ToReconcile || off(ledger.Left, 20, 1e-6) || len(ledger.Entries) != 4 || ledger.Entries[3].LeftBefore >= 0 {
		t.Errorf("reconciled: %+v %v", ledger, err)
	}
	if c := ledger.Cost; c == nil || off(c.Total, 1.6, 1e-6) || len(c.Unpriced) != 0 { // 40 g at 40 a kilogram
		t.Errorf("cost: %+v", c)
	}
}

// A pot for ten strips at 20 g: 200 g and what stays. Its rest is a batch that the
// next pot starts from; 20.3 g a strip are close to the plan, 35 g are asked about.
func TestPotAndWhatItLeaves(t *testing.T) {
	pot := wire.StripRequest{Request: strip.Request{Aim: strip.Aim{Protocol: "two-to-three"}, Uptake: 20, Stays: 30, Size: wire.StripSize{By: "strips", Strips: 10}}}
	d := own(t, Settings{}) // of nobody else's pots
	s := standAt(t, d, wire.SaveBatch{ID: uuid.NewString(), Name: "Pot", Recipe: wire.Recipe{Strip: &pot}}, wire.BeginBench{})
	s.all()
	in := s.run.SoFar.MassG
	refused(t, s.try(wire.BenchEvent{Kind: "finished", Keeping: "sealed"}), "acts[left]", fault.Missing)
	s.does(wire.BenchEvent{Kind: "started", Act: "soak"})
	if left := s.act("soak").LeftS; left == nil || *left != 24*3600 {
		t.Errorf("the soak: %v", left)
	}
	s.does(wire.BenchEvent{Kind: "added", Act: "left", Grams: in - 203, Balance: 1})
	u := s.run.Uptake
	if u == nil || off(u.EachG, 20.3, 1e-6) || u.Strange || off(u.OADG, 20.3*0.346, 0.01) || u.OffG <= 0 {
		t.Fatalf("uptake: %+v", u)
	}
	s.does(wire.BenchEvent{Kind: "finished", Keeping: "sealed"})
	rest, err := s.d.Batch(t.Context(), s.run.Leftover)
	if err != nil || !rest.Leftover || rest.OnHand.Unit != "g" || off(rest.OnHand.Left, in-203, 1e-5) || off(rest.Strength.Value, 34.6, 0.1) || rest.ParentID != s.id {
		t.Errorf("the rest: %+v %v", rest.BatchSummary, err)
	}
	strips, err := s.d.Batch(t.Context(), s.id)
	if err != nil || strips.OnHand.Unit != "pieces" || strips.OnHand.Left != 10 || off(wireMass(strips.Composition), 203, 1e-3) {
		t.Errorf("the strips: %+v %v", strips.BatchSummary, err)
	}
	label, err := s.d.Label(t.Context(), s.id)
	if err != nil || label.Kind != "strips" || off(label.OADPerPiece, 20.3*0.346, 0.01) || len(label.Hazards) != 2 {
		t.Errorf("label: %+v %v", label, err)
	}

	next := pot
	next.Carried = wire.StripCarried{Mass: 25, OAD: chem.Share(rest.Strength.Value / 100), Water: 0.0033}
	parent := rest.ID
	s = standAt(t, d, wire.SaveBatch{ID: uuid.NewString(), Name: "Next pot", Recipe: wire.Recipe{Strip: &next}, Parent: &parent}, wire.BeginBench{})
	s.all()
	s.does(wire.BenchEvent{Kind: "added", Act: "left", Grams: 0, Balance: 1})
	// All of it is in ten strips: some 24 g each, within a quarter of the 20.3 g learnt.
	u = s.run.Uptake
	if u == nil || off(u.EachG, s.run.SoFar.MassG/10, 1e-6) || off(u.EachG, 24, 0.6) || u.Strange ||
		u.Learnt == nil || u.Learnt.Pots != 1 || off(float64(u.Learnt.Each), 20.3, 1e-6) {
		t.Errorf("uptake of the next pot: %+v", u)
	}
	s.does(wire.BenchEvent{Kind: "finished", Keeping: "sealed", Pieces: 6}) // 40 g each: not taken without a yes
	if after, err := s.d.Ledger(t.Context(), rest.ID); err != nil || off(after.Left, rest.OnHand.Left-25, 0.06) || after.Entries[1].ForBatch != s.id {
		t.Errorf("the rest is used: %+v %v", after, err)
	}
	learnt, err := s.d.Learnt(t.Context())
	if err != nil || len(learnt.Learnt) != 1 || learnt.Learnt[0].Pots != 1 || off(float64(learnt.Learnt[0].Each), 20.3, 1e-6) {
		t.Errorf("learnt: %+v %v", learnt, err)
	}
}

func wireMass(parts []wire.Component) float64 { return float64(wire.Mixture(parts).Mass()) }

// Let down by weight, the formic acid is out of its band until the water is in; a
// batch that is thrown away stays in the book with what was done to it.
func TestFormicDiscarded(t *testing.T) {
	pad := wire.PadRequest{Request: pad.Request{
		Hold: wire.PadHold{Kind: "acid", Label: 0.85}, Working: 0.6, Aim: pad.Aim{Protocol: "sponge-above"},
		Size: wire.PadSize{By: "visit"}, Mean: &wire.PadMean{Colonies: 5, Combs: 10},
	}}
	s := atBenchOf(t, wire.SaveBatch{ID: uuid.NewString(), Name: "Pads", Recipe: wire.Recipe{Pad: &pad}}, wire.BeginBench{VesselML: 250})
	s.all()
	if s.run.Comes.Unit != "percent_formic" || off(s.run.Comes.Strength.Value, 60, 0.5) || s.run.Discard.Bicarbonate <= 0 {
		t.Errorf("let down: %+v", s.run.Comes)
	}
	s.does(wire.BenchEvent{Kind: "discarded"})
	b, err := s.d.Batch(t.Context(), s.id)
	if err != nil || b.State != "discarded" || b.OnHand.Left != 0 {
		t.Errorf("thrown away: %+v %v", b.BatchSummary, err)
	}
	_, err = here().BeginBench(t.Context(), s.id, wire.BeginBench{Balances: two})
	refused(t, err, "", fault.Ended)
}

// What cannot be is refused before anything is begun.
func TestBenchRefuses(t *testing.T) {
	save := litre(uuid.NewString())
	if _, _, err := here().SaveBatch(t.Context(), save); err != nil {
		t.Fatal(err)
	}
	for _, c := range []struct {
		in     wire.BeginBench
		field  string
		reason fault.Reason
	}{
		{wire.BeginBench{}, "balances", fault.TooLow},
		{wire.BeginBench{Balances: two, CupG: 6000}, "cup_g", fault.TooHigh},
		{wire.BeginBench{Balances: two, VesselML: 1}, "vessel_ml", fault.TooLow},
		{wire.BeginBench{Balances: []wire.BenchBalance{{Balance: mixing.Balance{Division: chem.Grams(math.NaN())}}}}, "balances[0].balance_g", fault.NotFinite},
		{wire.BeginBench{Balances: []wire.BenchBalance{{Balance: mixing.Balance{Division: 0.1, Capacity: 20}}}, CupG: 19}, "balances", fault.TooLow},
		{wire.BeginBench{Balances: two, Order: "as-bought"}, "order", fault.Unknown},
	} {
		_, err := here().BeginBench(t.Context(), save.ID, c.in)
		refused(t, err, c.field, c.reason)
	}
	if run, err := here().Bench(t.Context(), save.ID); err != nil || run.Begun || len(run.Balances) == 0 {
		t.Errorf("nothing is begun: %+v %v", run, err)
	}
	if _, err := here().Happen(t.Context(), save.ID, wire.BenchEvent{ID: uuid.NewString(), Kind: "opened", Act: "sugar"}); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("an event before it is begun: %v", err)
	}
}

// A vessel is named, and holds no more than anyone has; a portion is poured back once.
func TestPortions(t *testing.T) {
	s := atBenchOf(t, litre(uuid.NewString()), wire.BeginBench{})
	s.all()
	s.does(wire.BenchEvent{Kind: "finished", Keeping: "room"})
	_, err := s.d.Portion(t.Context(), s.id, wire.Portion{ID: uuid.NewString(), Amount: 500})
	refused(t, err, "vessel", fault.Missing)
	_, err = s.d.Portion(t.Context(), s.id, wire.Portion{ID: uuid.NewString(), Vessel: "can", Amount: -5})
	refused(t, err, "amount", fault.TooLow)
	can := wire.Portion{ID: uuid.NewString(), Vessel: "can", Amount: 700}
	for range 2 {
		if _, err := s.d.Portion(t.Context(), s.id, can); err != nil {
			t.Fatal(err)
		}
	}
	l, err := s.d.Portion(t.Context(), s.id, wire.Portion{ID: uuid.NewString(), Vessel: "jar", Amount: 400})
	if err != nil || l.InPortion != 1100 || !l.OverFull {
		t.Errorf("a litre in 1100 mL of vessels: %+v %v", l, err)
	}
	if l, err = s.d.PourBack(t.Context(), s.id, can.ID); err != nil || l.InPortion != 400 || l.OverFull {
		t.Errorf("poured back: %+v %v", l, err)
	}
	if _, err = s.d.PourBack(t.Context(), s.id, can.ID); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("poured back twice: %v", err)
	}
}
