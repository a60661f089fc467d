package outlook

import (
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
)

// Treatment is one that could be given on a day, and why then.
type Treatment struct {
	Under fit.Conditions
	On    calendar.Day
	Why   Reason
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
// Weather decides on the day itself.
func Treatments(latitude float64, deep calendar.Span, from, to calendar.Day) []Treatment {
	if !calendar.Seasonal(latitude) {
		return nil
	}
	winter, _ := fit.Protocol("winter")
	strips, _ := fit.Protocol("strips")
	bottle, _ := fit.Protocol("formic-bottle")
	place := At(latitude)
	var out []Treatment
	next, clustered := from, calendar.Day(0)
	for day := from; day <= to; day++ {
		if !deep.Holds(day) {
			clustered = 0
		} else if clustered++; clustered == settling {
			out = append(out, Treatment{winter, day, Broodless})
		}
		season := day.Season(latitude)
		spring := season == calendar.Spring && place.lays[int(place.of(day))] >= warm
		cropped := season == calendar.LateSummer && (day-harvest).Season(latitude) == calendar.LateSummer
		if day < next || !spring && !cropped {
			continue
		}
		next = day + between
		if spring {
			out = append(out, Treatment{strips, day, BeforeFlow})
			continue
		}
		out = append(out, Treatment{strips, day, AfterCrop}, Treatment{bottle, day, AfterCrop})
	}
	return out
}
