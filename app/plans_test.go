package app

import (
	"errors"
	"fmt"
	"math"
	"reflect"
	"slices"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
)

// counted is a hive with washes of 300 bees.
func counted(t *testing.T, d Desk, yard, name string, washes map[string]int) string {
	t.Helper()
	id := uuid.NewSHA1(uuid.Nil, []byte(name)).String() // the same each time, which the model goes by
	c, err := d.AddColony(t.Context(), wire.SaveColony{ID: id, YardID: yard, Name: name, Queen: "laying", Boxes: stack(t, "deep 10")})
	if err != nil {
		t.Fatal(err)
	}
	var counts wire.MiteCounts
	for on, n := range washes {
		counts.Counts = append(counts.Counts, wire.MiteCount{ID: uuid.NewString(), ColonyID: c.ID, Kind: "wash", Mites: n, Bees: 300, On: on})
	}
	if len(counts.Counts) > 0 {
		if _, err := d.Count(t.Context(), counts); err != nil {
			t.Fatal(err)
		}
	}
	return c.ID
}

func within(t *testing.T, what string, got, low, high float64) {
	t.Helper()
	if !(got >= low && got <= high) {
		t.Errorf("%s: %g, want %g to %g", what, got, low, high)
	}
}

// Plans for one hive, on 4 December: more in a plan leaves fewer mites and no greater chance; each tells its visits, its acid, and
// what speaks against it; a plan that dribbles in June is told that the mites are under caps then.
func TestWhatIf(t *testing.T) {
	d := own(t, Settings{})
	at1 := yard(t, d, "A")
	id := counted(t, d, at1, "A1", map[string]int{"2026-07-10": 1, "2026-09-10": 4, "2026-11-20": 6})
	if _, err := d.AddLot(t.Context(), wire.Lot{ID: uuid.NewString(), Ingredient: "acid", Name: "Jar", Amount: 10, Price: 20}); err != nil {
		t.Fatal(err)
	}
	blind := colony(t, d, at1, "A2").ID
	if _, err := d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{{ID: uuid.NewString(), ColonyID: id, On: "2026-12-03", Typed: "7", Brood: "none"}}}); err != nil {
		t.Fatal(err)
	}
	dribble, strips, formic := wire.PlanStep{Under: "winter", On: "2026-12-10"}, wire.PlanStep{Under: "strips", On: "2027-08-10"}, wire.PlanStep{Under: "formic", On: "2027-08-10"}
	june := wire.PlanStep{Under: "in-season", On: "2027-06-15"}
	plans := wire.WhatIf{Plans: []wire.MitePlan{{}, {Steps: []wire.PlanStep{dribble}}, {Steps: []wire.PlanStep{strips, dribble}}, {Steps: []wire.PlanStep{june, formic}}}}
	got, err := d.WhatIf(t.Context(), id, plans)
	if err != nil {
		t.Fatal(err)
	}
	nothing, once, twice, other := got.Plans[0], got.Plans[1], got.Plans[2], got.Plans[3]
	if got.Since != "2026-12-25" || got.Winter != "2027-11-01" || len(nothing.Steps) != 0 || nothing.Visits != 0 {
		t.Errorf("since %s, winter %s, %+v", got.Since, got.Winter, nothing.Steps)
	}
	if !(once.Mites.Middle < nothing.Mites.Middle/2 && twice.Mites.Middle < once.Mites.Middle/2 && twice.Chance <= once.Chance && once.Chance <= nothing.Chance) {
		t.Errorf("mites %v, %v, %v; chances %v, %v, %v", nothing.Mites, once.Mites, twice.Mites, nothing.Chance, once.Chance, twice.Chance)
	}
	if once.Visits != 1 || twice.Visits != 4 || other.Visits != 5 { // a dribble; in, moved and out; four sheets
		t.Errorf("visits %d, %d, %d", once.Visits, twice.Visits, other.Visits)
	}
	// 5 mL with 35 g/L in each of 7 seams are 1.23 g; 3 strips of 6.9 g come to it; 4 sponges of 2 mL a comb are 4 × 20 mL × 1.14 × 60 %.
	within(t, "by a dribble", once.Oxalic, 1.2, 1.25)
	within(t, "and strips", twice.Oxalic, 21.7, 22.3)
	within(t, "by sponges", other.Formic, 54, 56)
	if twice.Steps[0].On != dribble.On || twice.Steps[1].Out != "2027-09-28" || twice.Steps[1].Off == "" || twice.Steps[0].Off != "" { // 10 August and 49 days
		t.Errorf("%+v", twice.Steps)
	}
	if against := strings.Join(other.Steps[0].Against, " "); !strings.Contains(against, "under cappings") {
		t.Errorf("a dribble in June: %q", against)
	}
	// What it takes: of 10 g of acid at 20 for a kilogram the dribble's few are there, and of the strips' 20.7 and more a part is to be
	// bought; what nobody priced is told, and so is a hive whose bees nobody wrote down.
	acid, more := once.Takes.Hive.Of[0], twice.Takes.Hive.Of[0]
	if acid.Ingredient != "acid" || acid.Amount < once.Oxalic || acid.Amount > 2*once.Oxalic || acid.There != acid.Amount || acid.Buy != 0 {
		t.Errorf("acid of one dribble: %+v", acid)
	}
	within(t, "it costs", once.Takes.Hive.Cost, acid.Amount*0.02-1e-5, acid.Amount*0.02+1e-5)
	within(t, "acid to buy", more.Buy, more.Amount-10-1e-5, more.Amount-10+1e-5)
	if more.Amount-acid.Amount < 20.7 || !slices.Equal(twice.Takes.Hive.Unpriced, []string{"sugar", "glycerol", "carrier"}) || twice.Takes.Hive.Of[3].Amount != 3 {
		t.Errorf("strips too: %+v", twice.Takes.Hive)
	}
	// Four visits of sponges: 4 × 20 mL and a reserve of a twentieth are 84 mL, at 1.14 g/mL 95.8 g.
	within(t, "formic acid", takeOf(t, other, "formic").Amount, 95, 97)
	if y := twice.Takes.Yard; y.Hives != 2 || !slices.Equal(y.Unseen, []string{"A2"}) || len(twice.Takes.Hive.Unseen) != 0 || len(nothing.Takes.Hive.Of) != 0 {
		t.Errorf("for the yard: %+v", y)
	}
	// Of a hive whose bees nobody wrote down nothing is reckoned, and that is said.
	unseen, err := d.WhatIf(t.Context(), blind, wire.WhatIf{Plans: plans.Plans[1:2]})
	if err != nil || unseen.Plans[0].Oxalic != 0 || !slices.Equal(unseen.Plans[0].Takes.Hive.Unseen, []string{"A2"}) || !slices.Equal(unseen.Plans[0].Takes.Hive.Unknown, []string{"dribble"}) {
		t.Errorf("%+v: %v", unseen.Plans, err)
	}
	plans.Rough = true
	quick, err := d.WhatIf(t.Context(), id, plans)
	if err != nil || quick.Plans[2].Takes != nil || quick.Plans[2].Mites.Middle > 3*twice.Mites.Middle || twice.Mites.Middle > 3*quick.Plans[2].Mites.Middle {
		t.Errorf("in a hurry %+v, else %+v: %v", quick.Plans[2].Mites, twice.Mites, err)
	}
	for _, wrong := range []struct {
		step   wire.PlanStep
		field  string
		reason fault.Reason
	}{
		{wire.PlanStep{Under: "winter", On: "2026-12-01"}, "on", fault.Past},
		{wire.PlanStep{Under: "winter", On: "2028-12-01"}, "on", fault.Future},
		{wire.PlanStep{Under: "winter", On: "soon"}, "on", fault.NoDate},
		{wire.PlanStep{Under: "snow", On: "2026-12-10"}, "under", fault.Unknown},
		{wire.PlanStep{Under: "", On: "2026-12-10"}, "under", fault.Unknown},
		{wire.PlanStep{Under: "card:" + uuid.NewString(), On: "2026-12-10"}, "under", fault.Unknown},
	} {
		_, err := d.WhatIf(t.Context(), id, wire.WhatIf{Plans: []wire.MitePlan{{}, {Steps: []wire.PlanStep{wrong.step}}}})
		at(t, wrong.step.Under+" "+wrong.step.On, err, "plans[1].steps[0]."+wrong.field, wrong.reason)
	}
	if _, err := d.WhatIf(t.Context(), uuid.NewString(), plans); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("of a colony that is none: %v", err)
	}
}

// What is offered keeps the chance that was asked for, says why each day, and stands beside what is often done.
func TestPlanOffers(t *testing.T) {
	d := own(t, Settings{})
	id := counted(t, d, yard(t, d, "A"), "A1", map[string]int{"2026-07-10": 2, "2026-09-10": 4, "2026-11-20": 9})
	got, err := d.PlanOffers(t.Context(), id, 5)
	if err != nil || len(got.Offers) != 5 || !strings.HasPrefix(got.Words, "This is the plan with the fewest visits") {
		t.Fatalf("%+v: %v", got, err)
	}
	// Once without brood against three times with it, on this hive.
	once, thrice := wire.MitePlan{Steps: lo.Map(got.Offers[3].Steps, bare)}, wire.MitePlan{Steps: lo.Map(got.Offers[4].Steps, bare)}
	brood, err := d.WhatIf(t.Context(), id, wire.WhatIf{Plans: []wire.MitePlan{once, thrice}})
	if err != nil || len(once.Steps) != 1 || len(thrice.Steps) != 3 || len(brood.Plans[1].Steps[0].Against) == 0 || brood.Plans[1].Oxalic < 2*brood.Plans[0].Oxalic {
		t.Errorf("%+v %+v: %+v %v", once, thrice, brood.Plans, err)
	}
	plans := wire.WhatIf{Plans: []wire.MitePlan{{}}}
	for _, o := range got.Offers[:3] {
		plan := wire.MitePlan{}
		for i, s := range o.Steps {
			if s.Why == "" || i > 0 && s.On < o.Steps[i-1].On {
				t.Errorf("%s: %+v", o.Name, s)
			}
			plan.Steps = append(plan.Steps, s.PlanStep)
		}
		plans.Plans = append(plans.Plans, plan)
	}
	if len(plans.Plans[2].Steps) != 2 || len(plans.Plans[3].Steps) != 3 {
		t.Errorf("twice is %+v, thrice %+v", plans.Plans[2], plans.Plans[3])
	}
	come, err := d.WhatIf(t.Context(), id, plans)
	if err != nil || come.Plans[0].Chance < 0.7 || come.Plans[1].Chance > 0.65 || come.Plans[3].Mites.Middle > come.Plans[2].Mites.Middle {
		t.Errorf("%v: nothing %.2f, fewest %.2f; %v after three, %v after two", err, come.Plans[0].Chance, come.Plans[1].Chance, come.Plans[3].Mites, come.Plans[2].Mites)
	}
	_, err = d.PlanOffers(t.Context(), id, 0)
	at(t, "no level", err, "level", fault.TooLow)
}

// takeOf is what a plan takes of an ingredient for the hive alone.
func takeOf(t *testing.T, of wire.PlanComes, ingredient string) wire.PlanTake {
	t.Helper()
	for _, take := range of.Takes.Hive.Of {
		if take.Ingredient == ingredient {
			return take
		}
	}
	t.Fatalf("nothing of %s: %+v", ingredient, of.Takes.Hive)
	return wire.PlanTake{}
}

func bare(s wire.OfferedStep, _ int) wire.PlanStep { return s.PlanStep }

// Where frost is forecast what is offered waits for its end, and says so; put on such a day all the same, a plan is told.
func TestPlansByTheWeather(t *testing.T) {
	d := own(t, Settings{Weather: sky(-6)})
	id := counted(t, d, yard(t, d, "A"), "A1", map[string]int{"2026-07-10": 2, "2026-09-10": 4, "2026-11-20": 9})
	got, err := d.PlanOffers(t.Context(), id, 5)
	if err != nil {
		t.Fatal(err)
	}
	// Ten days from 4 December on are known.
	winter := got.Offers[1].Steps[0]
	if winter.Under != "winter" || winter.On < "2026-12-14" || !strings.Contains(winter.Why, "Put off") {
		t.Errorf("%+v", winter)
	}
	come, err := d.WhatIf(t.Context(), id, wire.WhatIf{Plans: []wire.MitePlan{{Steps: []wire.PlanStep{{Under: "winter", On: "2026-12-07"}, {Under: "winter", On: "2026-12-20"}}}}})
	if err != nil {
		t.Fatal(err)
	}
	frost := func(s wire.PlannedStep) bool { return strings.Contains(strings.Join(s.Against, " "), "°C") }
	if steps := come.Plans[0].Steps; !frost(steps[0]) || frost(steps[1]) {
		t.Errorf("%+v", steps)
	}
}

// What does not go together, or is hardly known, gives a wide band and a plain word: counts that contradict each other, hundreds
// of mites in a hive with three bees, a treatment before the hive began, a yard at the equator or far north, a hive that nobody looked into.
func TestAheadOfWhatCannotBe(t *testing.T) {
	d := own(t, Settings{})
	for _, latitude := range []float64{0, -66, 70} {
		y, err := d.AddYard(t.Context(), wire.SaveYard{ID: uuid.NewString(), Name: fmt.Sprint("Far off ", latitude), Latitude: &latitude})
		if err != nil {
			t.Fatal(err)
		}
		name := func(what string) string { return fmt.Sprint(what, latitude) }
		torn := counted(t, d, y.ID, name("torn"), map[string]int{"2026-11-01": 250, "2026-11-08": 0, "2026-11-15": 200, "2026-11-22": 0})
		three := counted(t, d, y.ID, name("three"), map[string]int{"2026-11-30": 290})
		little := 0.25
		look := wire.Inspection{ID: uuid.NewString(), ColonyID: three, On: "2026-11-30", Seams: &little}
		if _, err := d.Inspect(t.Context(), wire.Inspections{Inspections: []wire.Inspection{look}}); err != nil {
			t.Fatal(err)
		}
		early := counted(t, d, y.ID, name("early"), nil)
		before := wire.OtherTreatment{Method: "vapour", Product: "Before it began", GivenOn: "2025-12-04", Amount: 2, Unit: "g", Rule: "permit", Colonies: []wire.OtherColony{{ID: uuid.NewString(), ColonyID: early}}}
		if _, err := d.RecordOther(t.Context(), before); err != nil {
			t.Fatal(err)
		}
		for _, id := range []string{torn, three, early} {
			m, err := d.MiteYear(t.Context(), id)
			if err != nil || m.Words == "" || m.Rests == "" || len(m.Points) < 20 {
				t.Fatalf("at %g°: %+v, %v", latitude, m, err)
			}
			now := m.Points[len(m.Points)-1]
			for _, p := range m.Points {
				if p.Day == m.Today {
					now = p
				}
				if !(p.Low >= 0 && p.Low <= p.Middle && p.Middle <= p.High) || math.IsInf(p.High, 0) {
					t.Fatalf("at %g° on %s: %+v", latitude, p.Day, p)
				}
			}
			if id == torn && m.Misfit == "" {
				t.Errorf("at %g° counts that contradict each other fit", latitude)
			}
			if id == early && (now.High < 4*now.Low || !strings.HasPrefix(m.Words, "Nobody has counted")) {
				t.Errorf("at %g° what nobody counted has a band from %g to %g: %q", latitude, now.Low, now.High, m.Words)
			}
		}
		offers, err := d.PlanOffers(t.Context(), torn, 2)
		if err != nil || latitude == 0 && (len(offers.Offers) > 0 || !strings.Contains(offers.Words, "Near the equator")) || latitude != 0 && len(offers.Offers) < 2 {
			t.Errorf("at %g°: %+v, %v", latitude, offers, err)
		}
	}
}

// While a treatment is dragged only its own plan is tried again, and comes to what it would come to alone; with the next count
// all of them are.
func TestOnlyWhatIsDraggedIsTriedAgain(t *testing.T) {
	d := own(t, Settings{})
	y := yard(t, d, "A")
	id := counted(t, d, y, "A1", map[string]int{"2026-09-10": 4, "2026-11-20": 6})
	kept := d.app.tried.plans
	ask := func(on string) wire.PlansCome {
		t.Helper()
		got, err := d.WhatIf(t.Context(), id, wire.WhatIf{Rough: true, Plans: []wire.MitePlan{
			{}, {Steps: []wire.PlanStep{{Under: "strips", On: "2027-08-10"}}}, {Steps: []wire.PlanStep{{Under: "winter", On: on}}},
		}})
		if err != nil {
			t.Fatal(err)
		}
		return got
	}
	before := ask("2026-12-10")
	if n := kept.Len(); n != 3 {
		t.Errorf("%d plans are kept, want 3", n)
	}
	after := ask("2027-03-10")
	if n := kept.Len(); n != 4 {
		t.Errorf("%d plans are kept, want 4", n)
	}
	if !reflect.DeepEqual(before.Plans[:2], after.Plans[:2]) || after.Plans[2].Mites == before.Plans[2].Mites {
		t.Errorf("%+v and %+v: the others differ, or the dragged one does not", before.Plans[2].Mites, after.Plans[2].Mites)
	}
	kept.Purge()
	if alone := ask("2027-03-10"); !reflect.DeepEqual(alone, after) {
		t.Error("tried for itself it comes to something else")
	}
	count := wire.MiteCount{ID: uuid.NewString(), ColonyID: id, Kind: "wash", Mites: 9, Bees: 300, On: "2026-12-03"}
	if _, err := d.Count(t.Context(), wire.MiteCounts{Counts: []wire.MiteCount{count}}); err != nil {
		t.Fatal(err)
	}
	if counted := ask("2027-03-10"); counted.Plans[0].Mites == after.Plans[0].Mites {
		t.Errorf("counted, and still %+v", counted.Plans[0].Mites)
	}
}
