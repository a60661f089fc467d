package season

import (
	"testing"

	"keeler/core/calendar"
)

const north = 58.0

var (
	december = calendar.Of(2026, 12, 4)
	june     = calendar.Of(2026, 6, 20)
	august   = calendar.Of(2026, 8, 20)
)

// fine is a day whose every hour has these degrees, without wind or rain.
func fine(on calendar.Day, degrees float64) Forecast {
	var f Forecast
	for day := range 4 {
		for h := range 24 {
			f = append(f, Hour{Day: on + calendar.Day(day), Hour: h, TempC: degrees})
		}
	}
	return f
}

// fit is a case in which everything is as the method wants it.
func fit(m Method, on calendar.Day, degrees float64) Case {
	under := Usual(m, on, north)
	return Case{
		On: on, Latitude: north, Under: under, Weather: fine(on, degrees).Look(on, under),
		Colony: Colony{
			Name: "A", Boxes: 1, Quarters: At(24, on-1), Brood: At(BroodNone, on-1), Stores: At(Enough, on-1),
			Supers: At(0, on-1), Queen: At(Laying, on-1),
		},
	}
}

func winter() Case     { return fit(Dribble, december, 5) }
func inSeason() Case   { return fit(Dribble, june, 16) }
func strips() Case     { return fit(Strip, august, 20) }
func formic() Case     { return fit(Pad, august, 22) }
func warmFormic() Case { c := formic(); c.Weather = fine(august, 28).Look(august, c.Under); return c }
func hotFormic() Case  { c := formic(); c.Weather = fine(august, 31).Look(august, c.Under); return c }
func coldFormic() Case { c := formic(); c.Weather = fine(august, 8).Look(august, c.Under); return c }
func blindFormic() Case {
	c := formic()
	c.Weather = fine(august, 22)[:24].Look(august, c.Under)
	return c
}

// Each rule alone: one datum is changed in a case that fits.
func TestEachRule(t *testing.T) {
	exercised := map[string]bool{}
	for _, c := range []struct {
		rule, what string
		from       func() Case
		change     func(*Case)
		verdict    Verdict
		code       string // weightiest; empty: the rule has nothing to say
	}{
		{"bees", "dead", winter, func(c *Case) { c.Colony.Quarters.What = 0 }, DoesNotFit, "no_bees"},
		{"bees", "not counted", winter, func(c *Case) { c.Colony.Quarters = Look[int]{} }, LookFirst, "seams_unseen"},
		{"bees", "counted long ago", winter, func(c *Case) { c.Colony.Quarters.On = december - 43 }, WithCare, "seams_old"},
		{"bees", "not counted, for formic acid", formic, func(c *Case) { c.Colony.Quarters = Look[int]{} }, Fits, ""},

		{"sealed brood", "none", winter, func(*Case) {}, Fits, "broodless"},
		{"sealed brood", "not looked", winter, func(c *Case) { c.Colony.Brood = Look[Brood]{} }, LookFirst, "brood_unseen"},
		{"sealed brood", "little", winter, func(c *Case) { c.Colony.Brood.What = BroodLittle }, DoesNotFit, "brood_present"},
		{"sealed brood", "much", winter, func(c *Case) { c.Colony.Brood.What = BroodMuch }, DoesNotFit, "brood_present"},
		{"sealed brood", "little, three weeks ago in the cluster", winter, func(c *Case) { c.Colony.Brood = At(BroodLittle, december-21) }, LookFirst, "brood_may_be_gone"},
		{"sealed brood", "little, three weeks ago in June", inSeason, func(c *Case) { c.Colony.Brood = At(BroodLittle, june-21) }, DoesNotFit, "brood_present"},
		{"sealed brood", "none, 21 days ago in the cluster", winter, func(c *Case) { c.Colony.Brood.On = december - 21 }, Fits, "broodless"},
		{"sealed brood", "none, 22 days ago in the cluster", winter, func(c *Case) { c.Colony.Brood.On = december - 22 }, LookFirst, "brood_old"},
		{"sealed brood", "a swarm in June", inSeason, func(*Case) {}, Fits, "broodless"},
		{"sealed brood", "a swarm looked at 4 days ago", inSeason, func(c *Case) { c.Colony.Brood.On = june - 4 }, WithCare, "brood_soon"},
		{"sealed brood", "a swarm looked at 10 days ago", inSeason, func(c *Case) { c.Colony.Brood.On = june - 10 }, LookFirst, "brood_old"},
		{"sealed brood", "no bar to formic acid", formic, func(c *Case) { c.Colony.Brood.What = BroodMuch }, Fits, ""},

		{"given already", "in October", winter, func(c *Case) {
			c.Colony.Treatments = []Treatment{{Method: Dribble, Given: calendar.Of(2026, 10, 1), Out: calendar.Of(2026, 10, 1)}}
		}, MustNot, "dribbled_already"},
		{"given already", "in September", winter, func(c *Case) {
			c.Colony.Treatments = []Treatment{{Method: Dribble, Given: calendar.Of(2026, 9, 30), Out: calendar.Of(2026, 9, 30)}}
		}, Fits, ""},
		{"given already", "carried from before a split", winter, func(c *Case) {
			c.Colony.Treatments = []Treatment{{Method: Dribble, Given: december - 9, Out: december - 9, Carried: true}}
		}, MustNot, "dribbled_already"},
		{"given already", "six weeks before, in June", inSeason, func(c *Case) {
			c.Colony.Treatments = []Treatment{{Method: Dribble, Given: june - 42, Out: june - 42}}
		}, MustNot, "dribbled_already"},
		{"given already", "longer before, in June", inSeason, func(c *Case) {
			c.Colony.Treatments = []Treatment{{Method: Dribble, Given: june - 43, Out: june - 43}}
		}, Fits, ""},

		{"still in the hive", "strips, for strips", strips, func(c *Case) {
			c.Colony.Treatments = []Treatment{{Method: Strip, Given: august - 20}}
		}, DoesNotFit, "same_still_in"},
		{"still in the hive", "strips, for a dribble", winter, func(c *Case) {
			c.Colony.Treatments = []Treatment{{Method: Strip, Given: december - 20}}
		}, WithCare, "other_still_in"},
		{"still in the hive", "strips that are out", strips, func(c *Case) {
			c.Colony.Treatments = []Treatment{{Method: Strip, Given: august - 50, Out: august - 1}}
		}, Fits, ""},

		{"supers for harvest", "on, dribble", inSeason, func(c *Case) { c.Colony.Supers.What = 1 }, MustNot, "supers_on"},
		{"supers for harvest", "on, formic acid", formic, func(c *Case) { c.Colony.Supers.What = 2 }, MustNot, "supers_on"},
		{"supers for harvest", "on, strips", strips, func(c *Case) { c.Colony.Supers.What = 1 }, WithCare, "supers_label"},
		{"supers for harvest", "a label that allows them", strips, func(c *Case) { c.Colony.Supers.What = 1; c.Under.Supers = SupersMayBe }, Fits, ""},
		{"supers for harvest", "not looked in June", inSeason, func(c *Case) { c.Colony.Supers = Look[int]{} }, LookFirst, "supers_unseen"},
		{"supers for harvest", "not looked in December", winter, func(c *Case) { c.Colony.Supers = Look[int]{} }, Fits, ""},
		{"supers for harvest", "none, a month and more ago", formic, func(c *Case) { c.Colony.Supers.On = august - 31 }, LookFirst, "supers_old"},

		{"honey for people", "strips", strips, func(c *Case) { c.Colony.ForHoney = true }, WithCare, "for_honey_permit"},
		{"honey for people", "a card for others only", strips, func(c *Case) { c.Colony.ForHoney, c.Under.OutOfHoney = true, true }, MustNot, "for_honey"},
		{"honey for people", "dribble", winter, func(c *Case) { c.Colony.ForHoney = true }, Fits, ""},

		{"stores", "light, dribble", winter, func(c *Case) { c.Colony.Stores.What = Light }, DoesNotFit, "stores_light"},
		{"stores", "not hefted, dribble", winter, func(c *Case) { c.Colony.Stores = Look[Stores]{} }, LookFirst, "stores_unseen"},
		{"stores", "hefted long ago", winter, func(c *Case) { c.Colony.Stores.On = december - 43 }, WithCare, "stores_old"},
		{"stores", "light, formic acid", formic, func(c *Case) { c.Colony.Stores.What = Light }, WithCare, "stores_arch"},

		{"queen", "none", winter, func(c *Case) { c.Colony.Queen.What = Queenless }, WithCare, "queenless"},
		{"queen", "young, formic acid", formic, func(c *Case) { c.Colony.Queen.What = Young }, WithCare, "queen_young"},
		{"queen", "young, dribble on a split", inSeason, func(c *Case) { c.Colony.Queen.What = Young }, Fits, ""},
		{"queen", "not seen, formic acid", formic, func(c *Case) { c.Colony.Queen.What = Unseen }, WithCare, "queen_unseen"},

		{"room above", "a nuc", formic, func(c *Case) { c.Colony.Nuc = true }, WithCare, "nuc_room"},
		{"room above", "a nuc, dribble", winter, func(c *Case) { c.Colony.Nuc = true }, Fits, ""},

		{"harmful heat", "31 °C", hotFormic, func(*Case) {}, MustNot, "heat"},
		{"harmful heat", "the forecast ends first", blindFormic, func(*Case) {}, WithCare, "heat_unknown"},

		{"weather", "best", winter, func(*Case) {}, Fits, "window_good"},
		{"weather", "no forecast", winter, func(c *Case) { c.Weather = Outlook{} }, LookFirst, "no_forecast"},
		{"weather", "9 °C", func() Case { return fit(Dribble, december, 9) }, func(*Case) {}, WithCare, "window_fair"},
		{"weather", "12 °C", func() Case { return fit(Dribble, december, 12) }, func(*Case) {}, DoesNotFit, "too_warm"},
		{"weather", "frost", func() Case { return fit(Dribble, december, -1) }, func(*Case) {}, DoesNotFit, "too_cold"},
		{"weather", "28 °C, formic acid", warmFormic, func(*Case) {}, WithCare, "window_fair"},
		{"weather", "8 °C, formic acid", coldFormic, func(*Case) {}, DoesNotFit, "too_cold"},
	} {
		exercised[c.rule] = true
		k := c.from()
		c.change(&k)
		var rule Rule
		for _, r := range Rules {
			if r.Name == c.rule {
				rule = r
			}
		}
		concerned := len(rule.Of) == 0
		for _, m := range rule.Of {
			concerned = concerned || m == k.Under.Method
		}
		if rule.weigh == nil {
			t.Fatalf("there is no rule %q", c.rule)
		}
		reason, holds := rule.weigh(k)
		holds = holds && concerned
		if holds != (c.code != "") || holds && (reason.Code != c.code || reason.Verdict != c.verdict) {
			t.Errorf("%s, %s: got %v %+v, want %s", c.rule, c.what, holds, reason, c.code)
		}
		if got := Judge(k).Verdict; got != c.verdict {
			t.Errorf("%s, %s: the verdict is %s, want %s", c.rule, c.what, VerdictNames[got], VerdictNames[c.verdict])
		}
	}
	for _, r := range Rules {
		if !exercised[r.Name] {
			t.Errorf("rule %q is not tested", r.Name)
		}
	}
}

// What weighs most stands first, and nothing known is never a fit.
func TestJudge(t *testing.T) {
	c := winter()
	c.Colony.Supers = At(1, december-1)
	c.Colony.Stores = Look[Stores]{}
	j := Judge(c)
	if j.Verdict != MustNot || j.Reasons[0].Code != "supers_on" || j.Reasons[1].Code != "stores_unseen" {
		t.Errorf("got %+v", j)
	}
	for _, m := range Methods {
		for _, on := range []calendar.Day{december, june} {
			under := Usual(m, on, north)
			if j := Judge(Case{Colony: Colony{Name: "A"}, On: on, Latitude: north, Under: under}); j.Verdict != LookFirst {
				t.Errorf("%s, nothing known: %s", m, VerdictNames[j.Verdict])
			}
		}
	}
}

func TestConditions(t *testing.T) {
	if Usual(Dribble, december, -40).ID != "in-season" || Usual(Dribble, june, -40).ID != "winter" {
		t.Error("the south is taken for the north")
	}
	for _, c := range Schools {
		if err := c.Check(); err != nil {
			t.Errorf("%s: %v", c.ID, err)
		}
	}
	bad, _ := School("strips")
	bad.MaxC, bad.DaysInHigh = bad.MinC, 1
	if bad.Check() == nil {
		t.Error("a maximum at the minimum was taken")
	}
	if _, ok := School("guess"); ok {
		t.Error("there is no such school")
	}
}
