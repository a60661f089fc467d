package wire

import "keeler/core/fit"

// Conditions are what a protocol or a label asks of colony, day and weather.
type Conditions struct {
	fit.Conditions
	Name string `json:"name,omitempty" doc:"Of a card."`
}

// Decide is what fits which colony on a day.
type Decide struct {
	Day        string       `json:"day"`
	Conditions []Conditions `json:"conditions" doc:"What each method was held against, in the order of cells; a dribble in the north and the south can differ, then it is the first yard's."`
	Reasons    []Reason     `json:"reasons" doc:"Every reason that occurs, once; cells name them by their place here."`
	Yards      []DecideYard `json:"yards"`
	SoFar      *SoFar       `json:"so_far,omitempty"`
	Foreseeing bool         `json:"foreseeing,omitempty" doc:"The mites to come are being reckoned for some of its hives: asked again, it has the reasons that come of it."`
}

// Reason is why a method fits or does not.
type Reason struct {
	Code    string    `json:"code"`
	Verdict string    `json:"verdict" enum:"fits,with_care,look_first,does_not_fit,must_not"`
	Figures []float64 `json:"figures,omitempty"`
	Why     string    `json:"why" doc:"In a sentence."`
	Change  string    `json:"change,omitempty" doc:"What would change it."`
	Brief   string    `json:"brief,omitempty" doc:"In a word or two, where it speaks against."`
	Datum   string    `json:"datum,omitempty" doc:"How old what it rests on is."`
}

// Cell is one method for one colony.
type Cell struct {
	Verdict  string  `json:"verdict" enum:"fits,with_care,look_first,does_not_fit,must_not"`
	Reasons  []int   `json:"reasons" doc:"Places in the list of reasons: what must come out of the hive, then the weightiest first."`
	Meets    float64 `json:"meets,omitempty" doc:"Of all mites in it, how many the treatment could meet if it began on this day, 0 to 1; left out where nobody has seen its brood."`
	MeetsWhy string  `json:"meets_in_words,omitempty"`
	Ask      bool    `json:"ask,omitempty" doc:"A reason is asked before it goes into a job."`
}

// DecideYard is a yard with its colonies and its weather.
type DecideYard struct {
	ID       string         `json:"id" format:"uuid"`
	Name     string         `json:"name"`
	Season   string         `json:"season" enum:"winter,spring,early_summer,late_summer,autumn,none" doc:"none where no season can be assumed."`
	Over     int            `json:"over" doc:"Colonies over the threshold: one is enough to treat the whole yard."`
	Forecast bool           `json:"forecast" doc:"Whether anything is known of the weather."`
	Known    bool           `json:"known" doc:"Whether anything is known of it on the day."`
	Expected *fit.Expected  `json:"expected,omitempty" doc:"What the keeper expects of the day, where no service tells."`
	Colonies []DecideColony `json:"colonies"`
	Outlooks []Outlook      `json:"outlooks" doc:"By method, in the order of cells."`
}

// DecideColony is a row of the matrix.
type DecideColony struct {
	ID    string    `json:"id" format:"uuid"`
	Name  string    `json:"name"`
	Nuc   bool      `json:"nuc,omitempty"`
	Boxes int       `json:"boxes"`
	Seams *float64  `json:"seams,omitempty" doc:"Full seams as last seen."`
	Need  string    `json:"need" enum:"treat,with_yard,watch,none,count,count_again"`
	Count *Standing `json:"count,omitempty"`
	Helps bool      `json:"count_helps,omitempty" doc:"A count of it would tell more than one of most hives of its yard, by the forecast of mites; left out where that was not reckoned yet."`
	Cells []Cell    `json:"cells" doc:"dribble, strip, pad."`
}

// Outlook is the coming days of one yard for one method.
type Outlook struct {
	Days []DayOutlook `json:"days"`
}

// DayOutlook is one day.
type DayOutlook struct {
	Day     string       `json:"day"`
	Known   bool         `json:"known"`
	Cause   string       `json:"cause,omitempty" doc:"Why there is no window: too_cold, too_warm, windy, rainy or heat."`
	LowC    float64      `json:"low_c" doc:"°C in the hours in question."`
	HighC   float64      `json:"high_c" doc:"°C."`
	Windows []fit.Window `json:"windows,omitempty"`
	Takes   int          `json:"takes" doc:"Single hives that the crew gets through in its windows."`
}

// SeasonProtocols are what each established way asks.
func SeasonProtocols() []Conditions {
	out := make([]Conditions, len(fit.Protocols))
	for i, s := range fit.Protocols {
		out[i].Conditions = s
	}
	return out
}
