package outlook

import (
	"slices"
	"strconv"

	"keeler/core/calendar"
	"keeler/core/fit"
)

// Reason is why a treatment is put on a day.
type Reason string

// The reasons.
const (
	Broodless  Reason = "broodless"   // deep in the cluster no brood is sealed: the acid meets all mites
	BeforeFlow Reason = "before_flow" // warm enough to walk on strips, before the supers
	AfterCrop  Reason = "after_crop"  // the honey is off, and winter bees are not raised yet
	OnBrood    Reason = "on_brood"    // again and again, so that mites are met as they come out of their cells
)

// Treatment is one that could be given on a day, and why then.
type Treatment struct {
	Under fit.Conditions
	On    calendar.Day
	Why   Reason
	Later bool // than the season alone would have it, for the weather
}

// Choice is the treatment as plans are put together from.
func (t Treatment) Choice() Choice {
	dose, visits := Planned(t.Under, t.On)
	year, _, _ := t.On.Date()
	return Choice{[]Dose{dose}, len(visits), string(t.Why) + strconv.Itoa(year)}
}

const (
	between  = 21  // days between two dates that are weighed against each other
	settling = 4   // days into the deep cluster
	harvest  = 31  // days into late summer, by which the crop is off
	warm     = 0.3 // of the peak of laying: so far into spring bees walk and strips work
)

// Treatments are what the seasons at a latitude have time for between two days: none where no season can be assumed.
// Weathered holds them against the weather, as far as that is known.
func Treatments(latitude float64, deep calendar.Span, from, to calendar.Day) []Treatment {
	if !calendar.Seasonal(latitude) {
		return nil
	}
	winter, _ := fit.Protocol("winter")
	strips, _ := fit.Protocol("strips")
	bottle, _ := fit.Protocol(fit.FormicBottle)
	place := At(latitude)
	var out []Treatment
	next, clustered := from, calendar.Day(0)
	for day := from; day <= to; day++ {
		if !deep.Holds(day) {
			clustered = 0
		} else if clustered++; clustered == settling {
			out = append(out, Treatment{Under: winter, On: day, Why: Broodless})
		}
		season := day.Season(latitude)
		spring := season == calendar.Spring && place.lays[int(place.of(day))] >= warm
		cropped := season == calendar.LateSummer && (day-harvest).Season(latitude) == calendar.LateSummer
		if day < next || !spring && !cropped {
			continue
		}
		next = day + between
		if spring {
			out = append(out, Treatment{Under: strips, On: day, Why: BeforeFlow})
			continue
		}
		out = append(out, Treatment{Under: strips, On: day, Why: AfterCrop}, Treatment{Under: bottle, On: day, Why: AfterCrop})
	}
	return out
}

// Weathered puts treatments off until the first day on which the weather leaves time for them, as far as a forecast tells: of a
// day that it does not know nothing is said.
func Weathered(of []Treatment, weather fit.Forecast) []Treatment {
	out := slices.Clone(of)
	for i := range out {
		t := &out[i]
		for {
			o := weather.On(t.On, t.Under)
			if !o.Known || len(o.Windows) > 0 && !o.Harms(t.Under) {
				break
			}
			t.On, t.Later = t.On+1, true
		}
	}
	return out
}

// Thrice is a dribble three times, a week apart, from a day on: what some do while there is brood.
func Thrice(from calendar.Day) (out []Treatment) {
	dribble, _ := fit.Protocol("in-season")
	for i := range calendar.Day(3) {
		out = append(out, Treatment{Under: dribble, On: from + 7*i, Why: OnBrood})
	}
	return out
}
