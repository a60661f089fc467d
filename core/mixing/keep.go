package mixing

import "keeler/core/calendar"

// Keeping is how long a batch may be kept in a place by its protocol's rule.
type Keeping struct {
	Store string `json:"store" enum:"room,fridge,sealed,closed"`
	Days  int    `json:"days" doc:"0: no rule of days; as the date on what it was made of."`
}

// UseBy is the last good day of what was made on a day.
func (k Keeping) UseBy(made calendar.Day) calendar.Day { return made + calendar.Day(k.Days) }
