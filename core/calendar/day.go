// Package calendar counts days and tells the season of one, without a clock.
package calendar

// Day is a date, as days since 1970-01-01 where the yard is.
type Day int

// Of gives the day of a date of the Gregorian calendar; month 1 to 12.
func Of(year, month, day int) Day {
	// Years begin in March here, so that the leap day is a year's last.
	y, m := year, month-3
	if m < 0 {
		y, m = y-1, m+12
	}
	era := floor(y, 400)
	ofEra := y - era*400
	ofYear := (153*m+2)/5 + day - 1
	return Day(era*146097 + ofEra*365 + ofEra/4 - ofEra/100 + ofYear - 719468)
}

// Date is the reverse of Of.
func (d Day) Date() (year, month, day int) {
	z := int(d) + 719468
	era := floor(z, 146097)
	ofEra := z - era*146097
	y := (ofEra - ofEra/1460 + ofEra/36524 - ofEra/146096) / 365
	ofYear := ofEra - (365*y + y/4 - y/100)
	m := (5*ofYear + 2) / 153
	day = ofYear - (153*m+2)/5 + 1
	year, month = y+era*400, m+3
	if month > 12 {
		year, month = year+1, month-12
	}
	return year, month, day
}

func floor(a, b int) int {
	if a < 0 {
		return (a - b + 1) / b
	}
	return a / b
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
