package wire

// Form is how figures and days are written.
type Form struct {
	Units string `json:"units" enum:"metric,us" doc:"Of weights and temperatures; what is liquid is in mL by either."`
	Hours string `json:"hours" enum:"24h,12h"`
	Dates string `json:"dates" enum:"day_month,month_day,iso" doc:"4 Dec 2026, Dec 4, 2026 or 2026-12-04."`
}

// OwnForm is how a person would have them instead.
type OwnForm struct {
	Units string `json:"units,omitempty" enum:"metric,us" doc:"As the operation when left out."`
	Hours string `json:"hours,omitempty" enum:"24h,12h" doc:"As the operation when left out."`
	Dates string `json:"dates,omitempty" enum:"day_month,month_day,iso" doc:"As the operation when left out."`
}

// Writes is how figures, days and seasons are written for a person in an operation.
type Writes struct {
	Form
	Currency string   `json:"currency,omitempty" maxLength:"8" doc:"Stands before prices."`
	Seasons  []string `json:"seasons,omitempty" maxItems:"5" doc:"The operation's own names, in the order winter, spring, early summer, late summer, autumn."`
}

// Settings are what is set for the whole operation.
type Settings struct {
	Writes
	TimeZone string `json:"time_zone" maxLength:"64" doc:"IANA name of the zone whose days are the operation's."`
	Forecast string `json:"forecast,omitempty" maxLength:"300" doc:"Address of a service of forecasts, as docs/formats/forecast.md has it; that of the server when left out."`
	Holder   string `json:"holder,omitempty" maxLength:"120" doc:"Who keeps the bees, as the medicine record says it."`
	Address  string `json:"holder_address,omitempty" maxLength:"300"`
	HolderNo string `json:"holder_no,omitempty" maxLength:"60" doc:"The number by which an authority knows the holder."`
	Version  int    `json:"version" doc:"Counts the changes; a change names the one that it was made over, plus one."`
	// What cannot be changed here.
	Own       OwnForm `json:"own" readOnly:"true" doc:"How who asks would have them instead."`
	Forecasts bool    `json:"forecasts" readOnly:"true" doc:"The server itself has a service of forecasts."`
}
