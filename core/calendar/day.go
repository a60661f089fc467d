// Package calendar counts days and tells the season of one, without a clock.
package calendar

import "time"

// Day is a date, as days since 1970-01-01 where the yard is.
type Day int

const secondsADay = 24 * 60 * 60

// Of gives the day of a date of the Gregorian calendar; month 1 to 12.
func Of(year, month, day int) Day {
	return Day(time.Date(year, time.Month(month), day, 0, 0, 0, 0, time.UTC).Unix() / secondsADay)
}

// On gives the day that an instant lies in, by the time's own zone.
func On(t time.Time) Day {
	year, month, day := t.Date()
	return Of(year, int(month), day)
}

// Date is the reverse of Of.
func (d Day) Date() (year, month, day int) {
	year, m, day := d.Begins(time.UTC).Date()
	return year, int(m), day
}

// Begins is the first instant of the day in a zone.
func (d Day) Begins(zone *time.Location) time.Time {
	t := time.Unix(int64(d)*secondsADay, 0).UTC()
	return time.Date(t.Year(), t.Month(), t.Day(), 0, 0, 0, 0, zone)
}

// Noon is the middle of the day in a zone, for what is known by its day alone.
func (d Day) Noon(zone *time.Location) time.Time {
	year, month, day := d.Date()
	return time.Date(year, time.Month(month), day, 12, 0, 0, 0, zone)
}

// layout is how a day is written.
const layout = "2006-01-02"

func (d Day) String() string { return d.Begins(time.UTC).Format(layout) }

// Parse reads a day as String writes it.
func Parse(text string) (Day, error) {
	t, err := time.Parse(layout, text)
	return On(t), err
}

// Season is a part of the bees' year.
type Season uint8

const (
	Winter      Season = iota // December to February in the north
	Spring                    // March to May
	EarlySummer               // June
	LateSummer                // July to September
	Autumn                    // October and November
	Seasons                   // how many there are
)

// Names are the seasons in words, by Season.
var Names = [Seasons]string{"winter", "spring", "early_summer", "late_summer", "autumn"}

// ofMonth is the season of each month in the north.
var ofMonth = [12]Season{Winter, Winter, Spring, Spring, Spring, EarlySummer, LateSummer, LateSummer, LateSummer, Autumn, Autumn, Winter}

// tropic is the latitude, in degrees, below which no season is assumed at all: bees
// brood by rain and flow there, and the keeper says.
const tropic = 25

// Seasonal reports whether the year at a latitude has seasons that can be assumed.
func Seasonal(latitude float64) bool { return latitude >= tropic || latitude <= -tropic }

// Season is the season of a day at a latitude in degrees, negative in the south,
// where the year is turned by six months.
func (d Day) Season(latitude float64) Season { return ofMonth[d.northernMonth(latitude)-1] }

// Months are those of a season at a latitude, 1 to 12, in their order: December before
// January.
func (s Season) Months(latitude float64) []int {
	has := func(month int) bool { return Of(2026, (month+11)%12+1, 1).Season(latitude) == s }
	first := 1
	for has(first-1) || !has(first) {
		first++
	}
	var out []int
	for m := first; has(m); m++ {
		out = append(out, (m-1)%12+1)
	}
	return out
}

// Cold reports whether the day lies in the half-year in which colonies sit in a
// cluster: October to March in the north; never where no season is assumed.
func (d Day) Cold(latitude float64) bool {
	if !Seasonal(latitude) {
		return false
	}
	m := d.northernMonth(latitude)
	return m >= 10 || m <= 3
}

// HalfBegan is the first day of the half-year, cold or warm, that the day lies in; the
// day itself where no season is assumed.
func (d Day) HalfBegan(latitude float64) Day {
	if !Seasonal(latitude) {
		return d
	}
	cold := d.Cold(latitude)
	year, month, _ := d.Date()
	first := Of(year, month, 1)
	for {
		before := first - 1
		if before.Cold(latitude) != cold {
			return first
		}
		y, m, _ := before.Date()
		first = Of(y, m, 1)
	}
}

func (d Day) northernMonth(latitude float64) int {
	_, m, _ := d.Date()
	if latitude < 0 {
		m = (m+5)%12 + 1
	}
	return m
}
