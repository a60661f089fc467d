// Package outlook is a model of a colony through its year: bees, brood, the mites on bees and under
// caps, and what treatments do to them. Many possible colonies at once, weighed by what a keeper saw
// and counted, tell what may come. A model is no count: it is told with its band.
package outlook

import (
	"math"

	"keeler/core/calendar"
)

// The laying year at 50° north in days from 1 January, and how it moves with the latitude. Source:
// docs/sources.md, Year of a colony.
const (
	yearDays = 365.2425
	inYear   = 366 // days of the year, from 0

	laysFrom, laysMost, laysTo = 31, 155, 308 // 1 February, 5 June, 5 November
	middleLatitude             = 50           // degrees
	perDegree                  = 7.0 / 3      // days: begin and peak come later poleward, the end earlier
	mostLatitude               = 75           // beyond it the year would end before its peak
	noWinter                   = 30           // degrees below which laying never ends
	leastLaying                = 0.25         // of the peak, there
	winterBees                 = 41           // days before its end: who emerges from then on lives through winter
	dronesFrom, dronesMost     = 90, 150      // 1 April, end of May
	dronesTo                   = 242          // end of August
	lateFrom, lateTo           = 212, 304     // August to October
)

// Place is the year where a colony stands, by the days of the northern year.
type Place struct {
	south bool
	// Winter bees live longer where winter is: they age by the brood that they feed.
	winterLife float64 // days
	// The queen's and what follows from it: a colony may be some days early or late.
	lays    [inYear]float32 // share of the peak
	winters [inYear]bool    // bees that emerge live through winter
	// What is the same for all.
	drones [inYear]float32 // share of the most that drones have of the cells
	falls  [inYear]float32 // share of all mites that falls on a board in a day
	late   [inYear]bool    // many mites come in
}

// At is the place at a latitude (degrees, negative in the south).
func At(latitude float64) *Place {
	poleward := (math.Min(math.Abs(latitude), mostLatitude) - middleLatitude) * perDegree
	begin, peak, end := laysFrom+poleward, laysMost+poleward, laysTo-poleward
	endless := math.Abs(latitude) < noWinter
	p := &Place{south: latitude < 0, winterLife: min(winterDays+winterGrows*max(poleward, 0), mostWinterDays)}
	for day := range inYear {
		t := float64(day)
		p.lays[day] = float32(hump(t, begin, peak, end))
		if endless {
			p.lays[day] = max(p.lays[day], leastLaying)
		}
		p.winters[day] = !endless && after(end-winterBees, t) < after(end-winterBees, begin+workerCap+workerDays)
		p.drones[day] = float32(hump(t, dronesFrom, dronesMost, dronesTo))
		p.late[day] = t >= lateFrom && t < lateTo
		switch {
		case t >= may && t < september || endless:
			p.falls[day] = fallPeak
		case t >= march && t < november:
			p.falls[day] = fallSpring
		default:
			p.falls[day] = fallWinter
		}
	}
	return p
}

// The share of all mites that falls on a board in a day, by days of the year.
const (
	fallPeak, fallSpring, fallWinter = 1.0 / 30, 1.0 / 100, 1.0 / 400
	may, september                   = 120, 243
	march, november                  = 59, 304
)

// of is the day of the year, as it would be in the north.
func (p *Place) of(d calendar.Day) float64 {
	t := float64(d)
	if p.south {
		t += yearDays / 2
	}
	return math.Mod(t, yearDays) // day 0 is a 1 January
}

// after is how many days of the year lie between two of its days.
func after(from, to float64) float64 {
	gap := math.Mod(to-from, yearDays)
	if gap < 0 {
		gap += yearDays
	}
	return gap
}

// hump rises from 0 to 1 and falls to 0 again, as sin².
func hump(t, from, most, to float64) float64 {
	part := 0.0
	if rise, whole := after(from, t), most-from; rise <= whole {
		part = rise / whole
	} else if fall, whole := after(most, t), to-most; fall <= whole {
		part = 1 - fall/whole
	}
	s := math.Sin(math.Pi / 2 * part)
	return s * s
}
