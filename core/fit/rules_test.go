package fit

import (
	"slices"
	"testing"

	"keeler/core/calendar"
	"keeler/core/chem"
	"keeler/core/method"
	"keeler/core/mites"
	"keeler/core/treatment"
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
func fit(m method.Name, on calendar.Day, degrees float64) Case {
	under := Usual(m, on, north)
	return Case{
		On: on, Latitude: north, Under: under, Weather: fine(on, degrees).On(on, under), Deep: calendar.DeepCluster(north),
		Colony: Colony{
			Name: "A", Boxes: 1, Quarters: At(24, on-1), Brood: At(BroodNone, on-1), Eggs: At(false, on-1), Larvae: At(false, on-1),
			Stores: At(Enough, on-1), Supers: At(0, on-1), Queen: At(Laying, on-1),
		},
	}
}

func winter() Case     { return fit(method.Dribble, december, 5) }
func inSeason() Case   { return fit(method.Dribble, june, 16) }
func strips() Case     { return fit(method.Strip, august, 20) }
func formic() Case     { return fit(method.Pad, august, 22) }
func warmFormic() Case { c := formic(); c.Weather = fine(august, 28).On(august, c.Under); return c }
func hotFormic() Case  { c := formic(); c.Weather = fine(august, 31).On(august, c.Under); return c }
func coldFormic() Case { c := formic(); c.Weather = fine(august, 8).On(august, c.Under); return c }
func blindFormic() Case {
	c := formic()
	c.Weather = fine(august, 22)[:24].On(august, c.Under)
	return c
}

// opened is an inspection without sealed brood on a day, with what else was seen.
func opened(on calendar.Day, eggs, larvae bool) func(*Case) {
	return func(c *Case) {
		c.Colony.Brood, c.Colony.Eggs, c.Colony.Larvae = At(BroodNone, on), At(eggs, on), At(larvae, on)
	}
}

// broken is a break that began so many days before the case's day, was ended so many
// before it (0: not yet), and was looked into without brood at so many after it.
func broken(began, ended, looked calendar.Day) func(*Case) {
	return func(c *Case) {
		c.Colony.Break.Stopped = c.On - began
		if ended > 0 {
			c.Colony.Break.Resumed = c.On - ended
		}
		opened(c.On+looked, false, false)(c)
	}
}

// foretold is a forecast of mites with what leads, and the kind of the count that would tell most.
func foretold(lead Lead, kind mites.Kind) func(*Case) {
	return func(c *Case) {
		c.Colony.Ahead = Ahead{Lead: lead, Count: mites.Count{Kind: kind, On: c.On + 7, Days: 7}, Narrows: 0.3}
	}
}

func oxalic(m method.Name, on calendar.Day) func(*Case) {
	return func(c *Case) { c.Colony.Treatments = []treatment.Treatment{{Method: m, Given: on, Out: on}} }
}

func repeats(on calendar.Day, visits, apart int) func(*Case) {
	return func(c *Case) {
		oxalic(method.Dribble, on)(c)
		byLabel(c, visits, apart)
	}
}

// byLabel has the case, and what was given before it, under one label card.
func byLabel(c *Case, visits, apart int) {
	c.Under.ID, c.Under.Label, c.Under.Visits, c.Under.ApartLow, c.Under.ApartHigh = "card:x", true, visits, apart, apart
	for i := range c.Colony.Treatments {
		c.Colony.Treatments[i].Card = "x"
	}
}

// had adds a treatment that came out on a day, 0 for one that is in.
func had(m method.Name, given, out calendar.Day) func(*Case) {
	return func(c *Case) {
		c.Colony.Treatments = append(c.Colony.Treatments, treatment.Treatment{Method: m, Given: given, Out: out})
	}
}

// hadFormic adds formic acid of so many grams that came out on a day.
func hadFormic(grams float64, given, out calendar.Day) func(*Case) {
	return func(c *Case) {
		had(method.Pad, given, out)(c)
		c.Colony.Treatments[len(c.Colony.Treatments)-1].Formic = chem.Milligrams(grams * 1000)
	}
}

func pads(given, out calendar.Day) func(*Case) {
	return func(c *Case) {
		c.Colony.Treatments = []treatment.Treatment{{Method: method.Pad, Given: given, Out: out}}
	}
}

func bottle() Case {
	c := formic()
	c.Under, _ = Protocol("formic-bottle")
	return c
}

// ahead is ten days of 22 °C, but for those from one to another, which have these degrees.
func ahead(c Case, from, to int, degrees float64) Case {
	var f Forecast
	for day := range 10 {
		at := 22.0
		if day >= from && day <= to {
			at = degrees
		}
		for h := range 24 {
			f = append(f, Hour{Day: c.On + calendar.Day(day), Hour: h, TempC: at})
		}
	}
	c.Weather = f.On(c.On, c.Under)
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
		{"bees", "not counted", winter, func(c *Case) { c.Colony.Quarters = Observed[int]{} }, LookFirst, "seams_unseen"},
		{"bees", "counted long ago", winter, func(c *Case) { c.Colony.Quarters.On = december - 43 }, WithCare, "seams_old"},
		{"bees", "not counted, for formic acid", formic, func(c *Case) { c.Colony.Quarters = Observed[int]{} }, LookFirst, "seams_unseen"},
		{"too small", "1¼ seams", winter, func(c *Case) { c.Colony.Quarters.What = 5 }, DoesNotFit, "too_small"},
		{"too small", "1¼ seams, formic acid", formic, func(c *Case) { c.Colony.Quarters.What = 5 }, DoesNotFit, "too_small"},
		{"too small", "1½ seams", winter, func(c *Case) { c.Colony.Quarters.What = 6 }, Fits, ""},

		{"changed since", "united", winter, func(c *Case) {
			c.Colony = c.Colony.Unite(c.Colony, december-1)
		}, LookFirst, "changed_joined"},
		{"changed since", "split", winter, func(c *Case) { c.Colony = c.Colony.Forget(Divided, december-1) }, LookFirst, "changed_split"},
		{"changed since", "swarmed", formic, func(c *Case) { c.Colony = c.Colony.Forget(Swarmed, august-1) }, LookFirst, "changed_swarmed"},
		{"changed since", "a box given", strips, func(c *Case) { c.Colony = c.Colony.Forget(Restacked, august-1) }, LookFirst, "changed_boxes"},
		{"changed since", "another queen", inSeason, func(c *Case) { c.Colony = c.Colony.Forget(Requeened, june-1) }, LookFirst, "changed_queen"},

		{"in another job", "another dribble", winter, func(c *Case) { c.Colony.Jobs = []OpenJob{{"Friday", method.Dribble, december}} }, WithCare, "in_job"},
		{"in another job", "strips first, then a dribble", winter, func(c *Case) {
			c.Colony.Jobs = []OpenJob{{"Autumn", method.Strip, december - 60}, {"Friday", method.Dribble, december}}
		}, WithCare, "in_job"},
		{"in another job", "strips, open since autumn", winter, func(c *Case) { c.Colony.Jobs = []OpenJob{{"Autumn", method.Strip, december - 60}} }, WithCare, "in_other_job"},
		{"in another job", "a dribble planned in 42 days", winter, func(c *Case) { c.Colony.Jobs = []OpenJob{{"January", method.Dribble, december + 42}} }, WithCare, "in_job"},
		{"in another job", "a dribble planned in 43 days", winter, func(c *Case) { c.Colony.Jobs = []OpenJob{{"January", method.Dribble, december + 43}} }, Fits, ""},
		{"in another job", "strips planned in 29 days", winter, func(c *Case) { c.Colony.Jobs = []OpenJob{{"January", method.Strip, december + 29}} }, Fits, ""},

		{"sealed brood", "none", winter, func(*Case) {}, Fits, "broodless"},
		{"sealed brood", "not looked", winter, func(c *Case) { c.Colony.Brood = Observed[Brood]{} }, LookFirst, "brood_unseen"},
		{"sealed brood", "little", winter, func(c *Case) { c.Colony.Brood.What = BroodLittle }, DoesNotFit, "brood_present"},
		{"sealed brood", "much", winter, func(c *Case) { c.Colony.Brood.What = BroodMuch }, DoesNotFit, "brood_present"},
		{"sealed brood", "little, three weeks ago in the cluster", winter, func(c *Case) { c.Colony.Brood = At(BroodLittle, december-21) }, LookFirst, "brood_may_be_gone"},
		{"sealed brood", "little, three weeks ago in June", inSeason, func(c *Case) { c.Colony.Brood = At(BroodLittle, june-21) }, DoesNotFit, "brood_present"},
		// 58° north: deep from 1 December to 10 January.
		{"sealed brood", "none, 21 days ago in the deep cluster", func() Case { return fit(method.Dribble, december+18, 5) }, func(c *Case) {
			c.Colony.Brood.On = december - 3
		}, Fits, "broodless"},
		{"sealed brood", "none, 22 days ago in the deep cluster", func() Case { return fit(method.Dribble, december+18, 5) }, func(c *Case) {
			c.Colony.Brood.On, c.Colony.Larvae = december-4, Observed[bool]{}
		}, LookFirst, "brood_old"},
		{"sealed brood", "none, seen the day before it was deep", winter, func(c *Case) {
			c.Colony.Brood.On, c.Colony.Eggs, c.Colony.Larvae = december-4, Observed[bool]{}, Observed[bool]{}
		}, LookFirst, "brood_old"},
		{"sealed brood", "a swarm in June", inSeason, func(*Case) {}, Fits, "broodless"},
		{"sealed brood", "neither eggs nor larvae, 9 days ago", inSeason, opened(june-9, false, false), Fits, "broodless"},
		{"sealed brood", "neither eggs nor larvae, 10 days ago", inSeason, opened(june-10, false, false), LookFirst, "brood_old"},
		{"sealed brood", "eggs alone, 6 days ago", inSeason, opened(june-6, true, false), Fits, "broodless"},
		{"sealed brood", "eggs alone, 7 days ago", inSeason, opened(june-7, true, false), LookFirst, "brood_old"},
		{"sealed brood", "larvae, today", inSeason, opened(june, true, true), Fits, "broodless"},
		{"sealed brood", "larvae, yesterday", inSeason, opened(june-1, true, true), WithCare, "brood_soon"},
		{"sealed brood", "larvae, 3 days ago", inSeason, opened(june-3, false, true), WithCare, "brood_soon"},
		{"sealed brood", "larvae, 4 days ago", inSeason, opened(june-4, false, true), LookFirst, "brood_old"},
		{"sealed brood", "open brood not looked for, yesterday", inSeason, func(c *Case) { c.Colony.Larvae = Observed[bool]{} }, WithCare, "brood_soon"},
		{"sealed brood", "open brood looked for another day", inSeason, func(c *Case) { c.Colony.Larvae.On = june - 5 }, WithCare, "brood_soon"},
		{"sealed brood", "no bar to formic acid", formic, func(c *Case) { c.Colony.Brood.What = BroodMuch }, Fits, ""},

		// Laying stopped on day 0: workers are out on day 21, drones on 24; caps again from
		// day 9 after it began again.
		{"brood break", "day 20", inSeason, broken(20, 0, -1), DoesNotFit, "break_early"},
		{"brood break", "day 22, drones are not out", inSeason, broken(22, 0, -1), WithCare, "break_drones"},
		{"brood break", "day 24, looked inside it", inSeason, broken(24, 0, 0), Fits, "break_window"},
		{"brood break", "day 24, not looked inside it", inSeason, broken(24, 0, -5), LookFirst, "break_look"},
		{"brood break", "released 8 days ago", inSeason, broken(30, 8, 0), Fits, "break_window"},
		{"brood break", "released 9 days ago", inSeason, broken(30, 9, 0), Fits, ""},
		{"brood break", "released before all were out", inSeason, broken(20, 14, 0), Fits, ""},

		{"oxalic already", "in October", winter, oxalic(method.Dribble, calendar.Of(2026, 10, 1)), MustNot, "dribbled_already"},
		{"oxalic already", "42 days before, in October", winter, oxalic(method.Dribble, december-42), MustNot, "dribbled_already"},
		{"oxalic already", "in September", winter, oxalic(method.Dribble, calendar.Of(2026, 9, 30)), Fits, ""},
		{"oxalic already", "across the 1st of October", func() Case { return fit(method.Dribble, calendar.Of(2026, 10, 20), 5) },
			oxalic(method.Dribble, calendar.Of(2026, 9, 15)), MustNot, "dribbled_already"},
		{"oxalic already", "across the 1st of April", func() Case { return fit(method.Dribble, calendar.Of(2026, 4, 20), 15) },
			oxalic(method.Dribble, calendar.Of(2026, 3, 20)), MustNot, "dribbled_already"},
		{"oxalic already", "vapour in the same period", winter, oxalic(method.Vapour, december-20), DoesNotFit, "vaporised_already"},
		{"oxalic already", "the same winter, brood between", winter, func(c *Case) {
			oxalic(method.Dribble, calendar.Of(2026, 10, 5))(c)
			c.Colony.Sealed = calendar.Of(2026, 10, 20)
		}, WithCare, "dribbled_this_winter"},
		{"oxalic already", "carried from before a split", winter, func(c *Case) {
			oxalic(method.Dribble, december-9)(c)
			c.Colony.Treatments[0].Carried = true
		}, MustNot, "dribbled_already"},
		{"oxalic already", "six weeks before, in June", inSeason, oxalic(method.Dribble, june-42), MustNot, "dribbled_already"},
		{"oxalic already", "longer before, with brood between, in June", inSeason, func(c *Case) {
			oxalic(method.Dribble, june-43)(c)
			c.Colony.Sealed = june - 30
		}, Fits, ""},
		{"repeat by the label", "in time", winter, repeats(december-6, 3, 6), Fits, "repeat"},
		{"repeat by the label", "too soon", winter, repeats(december-4, 3, 6), DoesNotFit, "repeat_early"},
		{"oxalic already", "by a label that does not repeat", winter, repeats(december-6, 1, 0), MustNot, "dribbled_already"},
		// A label's course is made of its own doses; what was given besides is weighed.
		{"oxalic already", "an own dribble is no dose of a label", winter, func(c *Case) {
			repeats(december-6, 3, 6)(c)
			c.Colony.Treatments[0].Card = ""
		}, MustNot, "dribbled_already"},
		{"oxalic already", "vapour beside a label's course", winter, func(c *Case) {
			repeats(december-6, 3, 6)(c)
			had(method.Vapour, december-3, december-3)(c)
		}, DoesNotFit, "vaporised_already"},

		{"same acid on the day", "a dribble, for a dribble", winter, oxalic(method.Dribble, december), MustNot, "same_day"},
		{"same acid on the day", "a repeat by the label", winter, repeats(december, 3, 6), MustNot, "same_day"},
		{"same acid on the day", "vapour, for strips", strips, oxalic(method.Vapour, august), MustNot, "same_day"},
		{"same acid on the day", "strips, for a dribble", winter, had(method.Strip, december, 0), MustNot, "same_day"},
		{"same acid on the day", "a sheet, for a sheet", formic, pads(august, 0), MustNot, "same_day"},
		{"same acid on the day", "a sheet, for a dribble of two acids", winter, func(c *Case) { c.Under.Formic = true; pads(december, december)(c) }, MustNot, "same_day"},
		{"same acid on the day", "a dribble, for formic acid", formic, oxalic(method.Dribble, august), WithCare, ""},
		{"same acid on the day", "a strip that was replaced, for strips", strips, func(c *Case) {
			had(method.Strip, august, august)(c)
			c.Colony.Treatments[0].Extra = true
		}, Fits, ""},

		{"dribble before strips", "13 days ago", strips, oxalic(method.Dribble, august-13), WithCare, "dribbled_before_strips"},
		{"dribble before strips", "14 days ago", strips, oxalic(method.Dribble, august-14), Fits, ""},

		{"strips just out", "13 days ago", winter, func(c *Case) {
			c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: december - 60, Out: december - 13}}
		}, WithCare, "strips_just_out"},
		{"strips just out", "14 days ago", winter, func(c *Case) {
			c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: december - 60, Out: december - 14}}
		}, Fits, ""},
		{"other acid", "formic 7 days ago", winter, func(c *Case) {
			c.Colony.Treatments = []treatment.Treatment{{Method: method.Pad, Given: december - 7, Out: december - 1}}
		}, WithCare, "formic_just_given"},
		{"other acid", "formic given 20 days ago, out for 7", winter, had(method.Pad, december-20, december-7), WithCare, "formic_just_given"},
		{"other acid", "formic out for 8 days", winter, had(method.Pad, december-20, december-8), Fits, ""},
		{"other acid", "formic out for 7 days, for strips", strips, had(method.Pad, august-20, august-7), WithCare, "formic_just_given"},
		{"other acid", "strips out for 7 days, for formic", formic, had(method.Strip, august-60, august-7), WithCare, "oxalic_just_given"},
		{"other acid", "strips out for 8 days, for formic", formic, had(method.Strip, august-60, august-8), Fits, ""},
		{"other acid", "a dribble 3 days ago", formic, oxalic(method.Dribble, august-3), WithCare, "oxalic_just_given"},
		{"other acid", "a dribble 8 days ago", formic, oxalic(method.Dribble, august-8), Fits, ""},

		// Sheets and sponges: four visits, 4 to 7 days apart.
		{"course", "the second after 5 days", formic, pads(august-5, 0), Fits, "course_next"},
		{"course", "the second after 3", formic, pads(august-3, 0), DoesNotFit, "course_early"},
		{"course", "late, after 9", formic, pads(august-9, 0), WithCare, "course_late"},
		{"course", "after 11 it starts again", formic, pads(august-11, august-1), WithCare, ""},
		{"course", "an own sheet is no dose of a label", formic, func(c *Case) {
			pads(august-5, august-1)(c)
			byLabel(c, 4, 5)
			c.Colony.Treatments[0].Card = ""
		}, WithCare, ""},
		{"formic again", "a course that began too long ago to go on", formic, pads(august-11, august-1), WithCare, "formic_again"},
		{"formic again", "a filling that came out 28 days ago", bottle, pads(august-40, august-28), WithCare, "formic_again"},
		{"formic again", "29 days ago", bottle, pads(august-41, august-29), Fits, ""},
		{"formic again", "the next of its course", formic, pads(august-5, 0), Fits, ""},
		// 160 g in 28 days are over 150, the most of an established course; 500 g are refused.
		{"formic added up", "160 g in the last 28 days", bottle, hadFormic(160, august-27, august-13), WithCare, "formic_added"},
		{"formic added up", "160 g 28 days ago", bottle, hadFormic(160, august-28, august-29), Fits, ""},
		{"formic added up", "160 g in two boxes", bottle, func(c *Case) { hadFormic(160, august-27, august-13)(c); c.Colony.Boxes = 2 }, WithCare, ""},
		{"formic added up", "500 g", bottle, hadFormic(500, august-27, august-13), MustNot, "formic_added"},
		{"course", "four are enough", formic, func(c *Case) {
			for i := range 4 {
				c.Colony.Treatments = append(c.Colony.Treatments, treatment.Treatment{Method: method.Pad, Given: august - calendar.Day(5*i+5), Out: august - 1})
			}
		}, WithCare, ""},
		{"course", "a card that swaps, last pads in", formic, func(c *Case) {
			pads(august-10, 0)(c)
			byLabel(c, 2, 10)
			c.Under.Swap = true
		}, Fits, "course_next"},

		{"past its day", "strips, 60 days in, for strips", strips, func(c *Case) {
			c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: august - 60}}
		}, DoesNotFit, "overdue"},
		{"past its day", "strips by a card for 42 days", winter, func(c *Case) {
			c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: december - 50, DaysLow: 40, DaysHigh: 42}}
		}, WithCare, "overdue"},
		{"past its day", "strips, 56 days in", winter, func(c *Case) {
			c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: december - 56}}
		}, WithCare, ""},

		{"still in the hive", "strips, for strips", strips, func(c *Case) {
			c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: august - 20}}
		}, DoesNotFit, "same_still_in"},
		{"still in the hive", "strips, for a dribble", winter, func(c *Case) {
			c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: december - 20}}
		}, WithCare, "other_still_in"},
		{"still in the hive", "a card's pads that are not swapped", formic, func(c *Case) {
			pads(august-10, 0)(c)
			byLabel(c, 2, 10)
			c.Under.Swap = false
		}, DoesNotFit, "same_still_in"},
		{"still in the hive", "strips that are out", strips, func(c *Case) {
			c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: august - 50, Out: august - 1}}
		}, Fits, ""},

		{"supers for harvest", "on, dribble", inSeason, func(c *Case) { c.Colony.Supers.What = 1 }, MustNot, "supers_on"},
		{"supers for harvest", "on, formic acid", formic, func(c *Case) { c.Colony.Supers.What = 2 }, MustNot, "supers_on"},
		{"supers for harvest", "on, strips", strips, func(c *Case) { c.Colony.Supers.What = 1 }, WithCare, "supers_label"},
		{"supers for harvest", "a label that allows them", strips, func(c *Case) { c.Colony.Supers.What = 1; c.Under.Supers = SupersMayBe }, Fits, ""},
		{"supers for harvest", "not looked in June", inSeason, func(c *Case) { c.Colony.Supers = Observed[int]{} }, LookFirst, "supers_unseen"},
		{"supers for harvest", "not looked in December", winter, func(c *Case) { c.Colony.Supers = Observed[int]{} }, Fits, ""},
		{"supers for harvest", "on, a month and more ago", formic, func(c *Case) { c.Colony.Supers = At(1, august-31) }, LookFirst, "supers_old"},
		{"supers for harvest", "on since August, in December", winter, func(c *Case) { c.Colony.Supers = At(1, december-100) }, LookFirst, "supers_old"},
		{"withdrawal", "a label's days, supers on", strips, func(c *Case) {
			c.Colony.Supers.What, c.Under.Supers, c.Under.Withdrawal = 1, SupersMayBe, 30
		}, WithCare, "withdrawal"},
		{"withdrawal", "a label's days, none on", strips, func(c *Case) { c.Under.Withdrawal = 30 }, Fits, ""},
		{"supers for harvest", "none, a month and more ago", formic, func(c *Case) { c.Colony.Supers.On = august - 31 }, LookFirst, "supers_old"},

		{"honey for people", "strips", strips, func(c *Case) { c.Colony.ForHoney = true }, WithCare, "for_honey_permit"},
		{"honey for people", "a card for others only", strips, func(c *Case) { c.Colony.ForHoney, c.Under.OutOfHoney = true, true }, MustNot, "for_honey"},
		{"honey for people", "dribble", winter, func(c *Case) { c.Colony.ForHoney = true }, Fits, ""},

		{"stores", "light, dribble", winter, func(c *Case) { c.Colony.Stores.What = Light }, DoesNotFit, "stores_light"},
		{"stores", "not hefted, dribble", winter, func(c *Case) { c.Colony.Stores = Observed[Stores]{} }, LookFirst, "stores_unseen"},
		{"stores", "hefted long ago", winter, func(c *Case) { c.Colony.Stores.On = december - 43 }, LookFirst, "stores_old"},
		{"stores", "light long ago", winter, func(c *Case) { c.Colony.Stores = At(Light, december-43) }, LookFirst, "stores_old"},
		{"stores", "light, formic acid", formic, func(c *Case) { c.Colony.Stores.What = Light }, WithCare, "stores_arch"},

		{"queen", "none", winter, func(c *Case) { c.Colony.Queen.What = Queenless }, WithCare, "queenless"},
		{"queen", "young, formic acid", formic, func(c *Case) { c.Colony.Queen.What = Young }, WithCare, "queen_young"},
		{"queen", "young, dribble on a split", inSeason, func(c *Case) { c.Colony.Queen.What = Young }, Fits, ""},
		{"queen", "not seen, formic acid", formic, func(c *Case) { c.Colony.Queen.What = Unseen }, WithCare, "queen_unseen"},

		{"room above", "a nuc", formic, func(c *Case) { c.Colony.Nuc = true }, WithCare, "nuc_room"},
		{"room above", "a nuc, dribble", winter, func(c *Case) { c.Colony.Nuc = true }, Fits, ""},

		{"harmful heat", "31 °C", hotFormic, func(*Case) {}, MustNot, "heat"},
		{"harmful heat", "the forecast ends first", blindFormic, func(*Case) {}, WithCare, "heat_unknown"},

		{"season", "not assumed near the equator", func() Case { c := inSeason(); c.Latitude = 12; return c }, func(*Case) {}, LookFirst, "no_season"},
		{"season", "said by the keeper", func() Case { c := inSeason(); c.Latitude = 12; return c }, func(c *Case) { c.Chosen = true }, Fits, ""},

		{"days of the course", "tomorrow too cold for a sheet", func() Case { return ahead(formic(), 1, 1, 9) }, func(*Case) {}, WithCare, "course_cool"},
		{"days of the course", "a bottle, most days too cold", func() Case { return ahead(bottle(), 4, 9, 9) }, func(*Case) {}, DoesNotFit, "course_cold"},
		{"days of the course", "a bottle, two days too cold", func() Case { return ahead(bottle(), 4, 5, 9) }, func(*Case) {}, WithCare, "course_cool"},
		{"days of the course", "a bottle, too warm on day six", func() Case { return ahead(bottle(), 5, 5, 30) }, func(*Case) {}, WithCare, "course_warm"},
		{"days to walk", "seven of ten days cold", func() Case { return ahead(strips(), 1, 7, 8) }, func(*Case) {}, DoesNotFit, "walk_cold"},
		{"days to walk", "five of ten days cold", func() Case { return ahead(strips(), 1, 5, 8) }, func(*Case) {}, Fits, ""},
		{"frost at night", "−6 °C", winter, func(c *Case) { c.Weather.NightC, c.Weather.NightKnown = -6, true }, WithCare, "night_frost"},
		{"frost at night", "−5 °C", winter, func(c *Case) { c.Weather.NightC, c.Weather.NightKnown = -5, true }, Fits, ""},

		{"weather", "best", winter, func(*Case) {}, Fits, "window_good"},
		{"weather", "no forecast", winter, func(c *Case) { c.Weather = Outlook{} }, LookFirst, "no_forecast"},
		{"weather", "9 °C", func() Case { return fit(method.Dribble, december, 9) }, func(*Case) {}, WithCare, "window_fair"},
		{"weather", "12 °C", func() Case { return fit(method.Dribble, december, 12) }, func(*Case) {}, DoesNotFit, "too_warm"},
		{"weather", "frost", func() Case { return fit(method.Dribble, december, -1) }, func(*Case) {}, DoesNotFit, "too_cold"},
		{"weather", "28 °C, formic acid", warmFormic, func(*Case) {}, WithCare, "window_fair"},
		{"weather", "8 °C, formic acid", coldFormic, func(*Case) {}, DoesNotFit, "too_cold"},

		// A forecast of mites never makes a method fit or not.
		{"mites to come", "over already", winter, foretold(OverNow, ""), Fits, "ahead_now"},
		{"mites to come", "in spring, strips", strips, foretold(OverBetween, ""), Fits, "ahead_between"},
		{"mites to come", "nobody counted", winter, foretold(Uncounted, ""), Fits, ""},
		{"mites to come", "counted this week", winter, foretold(CountedOver, ""), Fits, ""},
		{"mites to come", "nothing reckoned", winter, func(*Case) {}, Fits, ""},
		{"a count first", "nobody counted", winter, foretold(Uncounted, mites.Board), WithCare, "count_first"},
		{"a count first", "perhaps over", formic, foretold(PerhapsNow, mites.Wash), WithCare, "count_first"},
		{"a count first", "perhaps over, and more so in another hive", winter, foretold(PerhapsNow, ""), Fits, ""},
		{"a count first", "perhaps over, in a yard that is treated", winter, func(c *Case) {
			foretold(PerhapsNow, mites.Board)(c)
			c.Colony.Ahead.Settled = true
		}, Fits, "count_helps"},
		{"a count first", "surely over", winter, foretold(OverNow, mites.Board), Fits, "count_helps"},
		{"a count first", "under by a fresh count", winter, foretold(CountedUnder, mites.Board), Fits, "count_helps"},
		{"a count first", "under for months", winter, foretold(NotBefore, mites.Board), Fits, "count_helps"},
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
		if rule.weigh == nil {
			t.Fatalf("there is no rule %q", c.rule)
		}
		concerned := len(rule.Of) == 0
		for _, m := range rule.Of {
			concerned = concerned || m == k.Under.Method
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

// What is in too long stands before all else, with its days; a day of few hours is not
// known.
func TestOverdueStandsFirst(t *testing.T) {
	c := winter()
	c.Colony.Stores = At(Light, december-1)
	c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: december - 70}}
	j := Judge(c)
	if r := j.Reasons[0]; r.Code != "overdue" || r.Figures[0] != 14 || r.Figures[1] != 70 || j.Verdict != DoesNotFit {
		t.Errorf("got %+v", j)
	}
}

// A board is told by the day it is put in, with what it would tell; what holds until the last day that was reckoned, by that.
func TestForetold(t *testing.T) {
	c := winter()
	c.Colony.Ahead = Ahead{
		Lead: NotBefore, Now: 0.02, Chance: 0.07, By: december + 200,
		Count: mites.Count{Kind: mites.Board, On: december + 14, Days: 7}, Narrows: 0.314,
	}
	to, count := Judge(c).Reasons[2], Judge(c).Reasons[3]
	if to.Code != "ahead_not_before" || to.From != 0 || to.To != december+200 || !slices.Equal(to.Figures, []float64{0.02, 0.07}) {
		t.Errorf("got %+v", to)
	}
	if count.Code != "count_helps" || count.From != december+7 || !slices.Equal(count.Figures, []float64{31, 7, 0}) {
		t.Errorf("got %+v", count)
	}
}

func TestFewHoursAreNoDay(t *testing.T) {
	c := formic()
	f := fine(august, 22)
	short := append(append(Forecast{}, f[:2*24]...), f[2*24:2*24+11]...)
	if o := short.On(august, c.Under); o.HarmKnown || o.DaysKnown != 2 {
		t.Errorf("eleven hours of the third day: %+v", o)
	}
	if o := append(short, f[2*24+11]).On(august, c.Under); !o.HarmKnown {
		t.Errorf("twelve hours of the third day: %+v", o)
	}
}

// The worse of two united colonies holds; what was seen well in one alone says nothing.
func TestUnite(t *testing.T) {
	a := Colony{Quarters: At(20, 1), Brood: At(BroodNone, 1), Stores: At(Enough, 1), Supers: At(0, 1), Queen: At(Laying, 1)}
	b := Colony{Brood: At(BroodMuch, 2), Stores: At(Light, 2), Sealed: 2}
	got := a.Unite(b, 5)
	if got.Brood != At(BroodMuch, 2) || got.Stores != At(Light, 2) || got.Sealed != 2 || got.Supers.Seen || got.Quarters.Seen || !got.Changed.Seen {
		t.Errorf("got %+v", got)
	}
	if got := a.Unite(Colony{}, 5); got.Brood.Seen || got.Stores.Seen {
		t.Errorf("the other was never looked at: %+v", got)
	}
}

// What weighs most stands first, and nothing known is never a fit.
func TestJudge(t *testing.T) {
	c := winter()
	c.Colony.Supers = At(1, december-1)
	c.Colony.Stores = Observed[Stores]{}
	j := Judge(c)
	if j.Verdict != MustNot || j.Reasons[0].Code != "supers_on" || j.Reasons[1].Code != "stores_unseen" {
		t.Errorf("got %+v", j)
	}
	for _, m := range method.All {
		for _, on := range []calendar.Day{december, june} {
			under := Usual(m, on, north)
			if j := Judge(Case{Colony: Colony{Name: "A"}, On: on, Latitude: north, Under: under}); j.Verdict != LookFirst {
				t.Errorf("%s, nothing known: %s", m, VerdictNames[j.Verdict])
			}
		}
	}
}

func TestConditions(t *testing.T) {
	if Usual(method.Dribble, december, -40).ID != "in-season" || Usual(method.Dribble, june, -40).ID != "winter" {
		t.Error("the south is taken for the north")
	}
	for _, c := range Protocols {
		if err := c.Check(); err != nil {
			t.Errorf("%s: %v", c.ID, err)
		}
	}
	bad, _ := Protocol("strips")
	bad.MaxC, bad.DaysInHigh = bad.MinC, 1
	if bad.Check() == nil {
		t.Error("a maximum at the minimum was taken")
	}
	if _, ok := Protocol("guess"); ok {
		t.Error("there is no such protocol")
	}
}
