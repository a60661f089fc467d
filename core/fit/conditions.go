package fit

import (
	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/treatment"
	"slices"
)

// Supers says what a protocol or label holds of supers for harvest on the hive.
type Supers string

const (
	SupersOff   Supers = "off"
	SupersLabel Supers = "label" // some labels allow them: ask the one in hand
	SupersMayBe Supers = "allowed"
)

// hottest, °C: no yard is warmer, and no label speaks of more.
const hottest = 40

// Conditions are what a protocol or a label card asks of colony, day and weather.
// A protocol is a value here: adding one is one entry of Protocols.
type Conditions struct {
	ID     string      `json:"id" doc:"Of a protocol, or card: and the id of a card."`
	Method method.Name `json:"method" enum:"dribble,strip,pad"`

	MinC       float64 `json:"min_c" doc:"Outside temperature, °C."`
	MaxC       float64 `json:"max_c" doc:"°C."`
	BestLowC   float64 `json:"best_low_c" doc:"°C."`
	BestHighC  float64 `json:"best_high_c" doc:"°C."`
	ByDay      bool    `json:"by_day,omitempty" doc:"Held against the maximum of the day, not each hour."`
	Broodless  bool    `json:"broodless,omitempty" doc:"There must be no sealed brood, which shields the mites."`
	DaysInLow  int     `json:"days_in_low,omitempty" doc:"Days in the hive; 0 for what does not stay."`
	DaysInHigh int     `json:"days_in_high,omitempty" doc:"Days."`

	Supers Supers `json:"-"`
	// OutOfHoney: only for colonies kept out of honey production.
	OutOfHoney bool `json:"-"`
	// HarmC, °C: a maximum above it within HarmDays of the beginning kills. 0: none.
	HarmC    float64 `json:"-"`
	HarmDays int     `json:"-"`
	// FromHour to ToHour is when the hives are opened, in hours of the day.
	FromHour, ToHour int `json:"-"`
	// Visits of a course, the first included, and the days between them; 0 or 1 for
	// what is given once. Swap: the next goes in while the last is still there.
	Visits              int  `json:"-"`
	ApartLow, ApartHigh int  `json:"-"`
	Swap                bool `json:"-"`
	// Withdrawal is how many days honey may not be taken after it.
	Withdrawal int `json:"-"`
	// Label: they are a label's own; its repeats are as the label says.
	Label bool `json:"-"`
	// Formic: by its label a product that is dribbled or hung holds formic acid, too.
	Formic bool `json:"-"`
}

// CardPrefix stands before the id of a label card where a protocol could be named.
const CardPrefix = "card:"

// Acids are those that a dose under the conditions brings.
func (c Conditions) Acids() treatment.Acids {
	a := treatment.AcidsOf(c.Method, 0, 0)
	a.Formic = a.Formic || c.Formic
	return a
}

// Wind and rain that stop work at open hives, by any method; the trade's rule.
const (
	MaxWindMS = 5
	MaxGustMS = 8
	MaxRainMM = 0.1 // in an hour
)

// How long what stays is in the hive.
var stripDays, padDays = treatment.UsualDays[method.Strip], treatment.UsualDays[method.Pad]

// FormicBottle is the protocol of one filling that lasts.
const FormicBottle = "formic-bottle"

// PadRecipe is the recipe that formic acid under conditions begins with, by its id among those of pad.
func PadRecipe(under string) string {
	if under == FormicBottle {
		return pad.BottleWick
	}
	return pad.DefaultProtocol
}

// Protocols are the established conditions (docs/sources.md). The first of a
// method and half-year is the default.
var Protocols = []Conditions{
	{ID: "winter", Method: method.Dribble, Broodless: true, Supers: SupersOff, MinC: 0, MaxC: 10, BestLowC: 3, BestHighC: 8, FromHour: 8, ToHour: 16},
	{ID: "winter-tight", Method: method.Dribble, Broodless: true, Supers: SupersOff, MinC: 0, MaxC: 5, BestLowC: 1, BestHighC: 5, FromHour: 8, ToHour: 16},
	{ID: "winter-loose", Method: method.Dribble, Broodless: true, Supers: SupersOff, MinC: 5, MaxC: 10, BestLowC: 5, BestHighC: 8, FromHour: 8, ToHour: 16},
	// Swarms, splits and nucs without sealed brood: any mild evening, bees at home.
	{ID: "in-season", Method: method.Dribble, Broodless: true, Supers: SupersOff, MinC: 8, MaxC: 28, BestLowC: 12, BestHighC: 22, FromHour: 17, ToHour: 22},
	// Warm enough for bees to walk on them: days above 10 °C.
	{ID: "strips", Method: method.Strip, Supers: SupersLabel, OutOfHoney: false, MinC: 10, MaxC: 35, BestLowC: 12, BestHighC: 28,
		ByDay: true, FromHour: 9, ToHour: 19, DaysInLow: stripDays.Low, DaysInHigh: stripDays.High},
	// Sheets and sponges, which are gone in a day or two and given again.
	{ID: "formic", Method: method.Pad, Supers: SupersOff, MinC: 10, MaxC: 29, BestLowC: 20, BestHighC: 25,
		ByDay: true, HarmC: 29.5, HarmDays: 3, FromHour: 7, ToHour: 21, DaysInLow: padDays.Low, DaysInHigh: padDays.High, Visits: 4, ApartLow: 4, ApartHigh: 7, Swap: true},
	// Bottle and wick: one filling that lasts.
	{ID: FormicBottle, Method: method.Pad, Supers: SupersOff, MinC: 10, MaxC: 29, BestLowC: 20, BestHighC: 25,
		ByDay: true, HarmC: 29.5, HarmDays: 3, FromHour: 7, ToHour: 21, DaysInLow: padDays.Low, DaysInHigh: padDays.High},
}

// Short reports whether it is formic acid that is gone in a day or two, and is given again.
func (c Conditions) Short() bool {
	return c.Method == method.Pad && c.Visits > 1 && (!c.Label || c.DaysInHigh == 0)
}

// courseDays is over how many days the weather must suit formic acid: a sheet or
// sponge its own day and the next, a filling as long as it lasts.
func (c Conditions) courseDays() int {
	if c.Short() {
		return 2
	}
	return max(1, c.DaysInHigh)
}

// Protocol finds conditions by their id.
func Protocol(id string) (Conditions, bool) {
	for _, c := range Protocols {
		if c.ID == id {
			return c, true
		}
	}
	return Conditions{}, false
}

// Basic is the first protocol of a method.
func Basic(m method.Name) Conditions {
	i := slices.IndexFunc(Protocols, func(c Conditions) bool { return c.Method == m })
	if i < 0 {
		return Conditions{Method: m}
	}
	return Protocols[i]
}

// Usual is the default protocol of a method for a day at a latitude: the dribble
// into the winter cluster and the one in season are two.
func Usual(m method.Name, on calendar.Day, latitude float64) Conditions {
	if m == method.Dribble && !on.Cold(latitude) {
		c, _ := Protocol("in-season")
		return c
	}
	return Basic(m)
}

// Check names what is wrong with conditions that a keeper copied from a label.
func (c Conditions) Check() error {
	var l fault.List
	if !slices.Contains(method.All[:], c.Method) {
		l.Add("method", fault.Unknown)
	}
	if c.Supers != SupersOff && c.Supers != SupersLabel && c.Supers != SupersMayBe {
		l.Add("supers", fault.Unknown)
	}
	if l.Within("min_c", c.MinC, -20, hottest, "°C") && l.Within("max_c", c.MaxC, -20, hottest, "°C") && c.MaxC <= c.MinC {
		l.AddRange("max_c", fault.TooLow, c.MinC, hottest, "°C")
	}
	if l.Within("days_in_low", float64(c.DaysInLow), 0, 120, "days") && l.Within("days_in_high", float64(c.DaysInHigh), 0, 120, "days") && c.DaysInHigh < c.DaysInLow {
		l.AddRange("days_in_high", fault.TooLow, float64(c.DaysInLow), 120, "days")
	}
	return l.Err()
}
