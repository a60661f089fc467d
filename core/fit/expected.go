package fit

import (
	"math"

	"keeler/core/calendar"
	"keeler/core/fault"
)

// Expected is a day's weather as a keeper expects it, where no service tells: the lowest and
// the highest of the day, °C; the wind, m/s; the most rain in an hour, mm.
type Expected struct {
	LowC   float64 `json:"low_c" doc:"Lowest of the day, −40 to 50 °C."`
	HighC  float64 `json:"high_c" doc:"Highest of the day, low_c to 50 °C."`
	WindMS float64 `json:"wind_ms" doc:"0 to 40 m/s."`
	RainMM float64 `json:"rain_mm" doc:"The most in an hour of the work, 0 to 100 mm."`
}

// Check names what cannot be.
func (e Expected) Check() error {
	var l fault.List
	if l.Within("low_c", e.LowC, -40, 50, "°C") {
		l.Within("high_c", e.HighC, e.LowC, 50, "°C")
	}
	l.Within("wind_ms", e.WindMS, 0, 40, "m/s")
	l.Within("rain_mm", e.RainMM, 0, 100, "mm")
	return l.Err()
}

// warmest is the hour at which a day is warmest; it is coldest twelve hours from it.
const warmest = 14

// Hours are the day hour by hour: the temperature along a cosine, wind and rain the same all
// day, since nobody can say when. Of gusts nothing is known.
func (e Expected) Hours(on calendar.Day) Forecast {
	out := make(Forecast, 24)
	for h := range out {
		warm := (1 + math.Cos(2*math.Pi*float64(h-warmest)/24)) / 2
		out[h] = Hour{Day: on, Hour: h, TempC: e.LowC + warm*(e.HighC-e.LowC), WindMS: e.WindMS, Rain: e.RainMM}
	}
	return out
}
