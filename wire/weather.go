package wire

import "keeler/core/fit"

// TryForecast asks a service for the weather of today.
type TryForecast struct {
	Forecast string `json:"forecast" maxLength:"300"`
}

// ForecastTried is what it said.
type ForecastTried struct {
	Yard  string  `json:"yard" doc:"For where it was asked."`
	Days  int     `json:"days" doc:"Of how many days it tells."`
	LowC  float64 `json:"low_c" doc:"Of today, °C."`
	HighC float64 `json:"high_c" doc:"Of today, °C."`
}

// Expect is the weather that a keeper expects on a day, where no service tells.
type Expect struct {
	Day   string   `json:"day"`
	Yards []string `json:"yards" minItems:"1" maxItems:"1000" doc:"Their ids."`
	fit.Expected
}
