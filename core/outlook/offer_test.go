package outlook

import (
	"testing"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/treatment"
)

// What a year has time for lies in its season: acid on bees alone deep in winter, strips outside of the flow, formic acid
// once the crop is off; half a year later in the south, and nothing near the equator.
func TestTreatmentsOfAYear(t *testing.T) {
	today := calendar.Of(2026, 12, 4)
	for _, latitude := range []float64{57.5, 50.5, 44, -44} {
		seen := map[Reason]int{}
		for _, o := range Treatments(latitude, calendar.DeepCluster(latitude), today, today+365) {
			seen[o.Why]++
			if o.On < today || o.On > today+365 {
				t.Errorf("at %g°: %s", latitude, o.On)
			}
			season := o.On.Season(latitude)
			fits := map[Reason]bool{
				Broodless:  o.Under.Method == method.Dribble && calendar.DeepCluster(latitude).Holds(o.On),
				BeforeFlow: o.Under.Method == method.Strip && season == calendar.Spring,
				AfterCrop:  o.Under.Method != method.Dribble && season == calendar.LateSummer,
			}
			if !fits[o.Why] {
				t.Errorf("at %g°: %s on %s because %s", latitude, o.Under.ID, o.On, o.Why)
			}
		}
		if seen[Broodless] == 0 || seen[BeforeFlow] == 0 || seen[AfterCrop] < 4 || seen[BeforeFlow]+seen[AfterCrop] > 16 {
			t.Errorf("at %g°: %v", latitude, seen)
		}
	}
	if near := Treatments(3, calendar.DeepCluster(3), today, today+365); len(near) > 0 {
		t.Errorf("near the equator: %v", near)
	}
}

// Weather puts a day off until there is time for it, and not beyond what is forecast; a day that nobody knows stays. What is put
// off says so.
func TestWeathered(t *testing.T) {
	today := calendar.Of(2026, 12, 4)
	winter, _ := fit.Protocol("winter")
	cold := func(days ...float64) (f fit.Forecast) {
		for i, c := range days {
			for hour := range 24 {
				f = append(f, fit.Hour{Day: today + calendar.Day(i), Hour: hour, TempC: c})
			}
		}
		return f
	}
	for _, c := range []struct {
		name    string
		weather fit.Forecast
		on      calendar.Day
		want    calendar.Day
	}{
		{"mild", cold(5, 5, 5), today, today},
		{"two days of frost", cold(-6, -6, 5), today, today + 2},
		{"frost as long as is known", cold(-6, -6, -6), today, today + 3},
		{"nobody knows", nil, today, today},
		{"beyond what is known", cold(-6, -6), today + 2, today + 2},
		{"frost before it alone", cold(-6, 5), today + 1, today + 1},
	} {
		got := Weathered([]Treatment{{Under: winter, On: c.on, Why: Broodless}}, c.weather)[0]
		if got.On != c.want || got.Later != (c.want > c.on) {
			t.Errorf("%s: %s, %v; want %s", c.name, got.On, got.Later, c.want)
		}
	}
}

// By the shipped conditions: a dribble is one visit; strips hang 49 days, the middle of 42 and 56, and are moved once;
// four sheets go on every five days, the middle of 4 and 7, and are gone two days after; a bottle stands 12.
func TestPlanned(t *testing.T) {
	on := calendar.Of(2027, 8, 1)
	for id, want := range map[string]struct {
		way    Way
		days   calendar.Day
		visits int
	}{"winter": {Dribble, 0, 1}, "strips": {Strips, 49, 3}, "formic": {Formic, 17, 4}, "formic-bottle": {Formic, 12, 2}} {
		under, _ := fit.Protocol(id)
		dose, visits := Planned(under, on)
		if dose != (Dose{want.way, on, on + want.days, 1}) || len(visits) != want.visits || visits[0] != on || visits[len(visits)-1] > dose.To {
			t.Errorf("%s: %+v, %v", id, dose, visits)
		}
	}
}

// Of the register: the amount against the one that was meant, what is in until it is to come out, sheets one after the
// other and never two at once, and nothing of what nobody knows.
func TestGiven(t *testing.T) {
	day := calendar.Of(2026, 8, 1)
	got := Given([]treatment.Treatment{
		{Method: method.Dribble, Given: day, Out: day, Amount: 25, Meant: 50},
		{Method: method.Pad, Given: day, DaysLow: 10, DaysHigh: 14},
		{Method: method.Pad, Given: day + 5, DaysLow: 10, DaysHigh: 14, Amount: 900, Meant: 30},
		{Method: method.Strip, Given: day, Out: day + 40, Amount: 4},
		{Method: method.Strip, Given: day + 3, Amount: 1, Extra: true},
		{Method: method.Name("other"), Given: day},
	}, day+10)
	want := []Dose{{Dribble, day, day, 0.5}, {Strips, day, day + 40, 1}, {Formic, day, day + 5, 1}, {Formic, day + 5, day + 19, mostStrength}}
	if len(got) != len(want) {
		t.Fatalf("%+v", got)
	}
	for i := range want {
		if got[i] != want[i] {
			t.Errorf("%d: %+v, want %+v", i, got[i], want[i])
		}
	}
}
