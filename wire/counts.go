package wire

import "keeler/core/mites"

// MiteCount is one count of mites.
type MiteCount struct {
	ID         string    `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	ColonyID   string    `json:"colony_id" format:"uuid"`
	Kind       string    `json:"kind" enum:"board,wash" doc:"Fallen on a board, or washed or rolled off a sample of bees."`
	Mites      int       `json:"mites" doc:"0 to 100000, in a wash not more than bees."`
	Days       float64   `json:"days,omitempty" doc:"Board: days that it lay, 0.1 to 60."`
	Share      float64   `json:"share,omitempty" doc:"Board: how much of it was counted, in squares spread over all of it, 0.01 to 1; all when left out. Mites are those counted."`
	Bees       int       `json:"bees,omitempty" doc:"Wash: bees in the sample, 1 to 5000."`
	On         string    `json:"on,omitempty" doc:"2006-01-02; today when left out."`
	Note       string    `json:"note,omitempty" maxLength:"500"`
	Marks      []Mark    `json:"marks,omitempty" maxItems:"3000" doc:"Where mites were tapped on a photo of a board; no more than there are mites."`
	Photo      bool      `json:"photo,omitempty" readOnly:"true" doc:"A photo is kept with it."`
	Standing   *Standing `json:"standing,omitempty" readOnly:"true"`
	VoidReason string    `json:"void_reason,omitempty" readOnly:"true"`
}

// Mark is a place on a photo.
type Mark struct {
	X float64 `json:"x" doc:"Across, 0 to 1."`
	Y float64 `json:"y" doc:"Down, 0 to 1."`
}

// Standing is what a count says: its rate with a 95 % interval, held against the threshold
// of its season.
type Standing struct {
	Kind  string `json:"kind" enum:"board,wash"`
	Mites int    `json:"mites"`
	mites.Rate
	mites.Stood
	On string `json:"on"`
}

// MiteCounts are several counts at once.
type MiteCounts struct {
	Counts []MiteCount `json:"counts" minItems:"1" maxItems:"1000"`
}

// CountBook is the counts of a yard, for its chart.
type CountBook struct {
	Counts []MiteCount `json:"counts" doc:"Oldest first."`
}

// Threshold is where a keeper acts in one season; 0 is no threshold.
type Threshold struct {
	Season string `json:"season" enum:"winter,spring,early_summer,late_summer,autumn"`
	mites.Threshold
	Months []int `json:"months,omitempty" readOnly:"true" doc:"Where the yards are, 1 to 12."`
}

// Thresholds are the thresholds of all seasons, and the trade's.
type Thresholds struct {
	Thresholds []Threshold `json:"thresholds" minItems:"5" maxItems:"5" doc:"In the order winter, spring, early_summer, late_summer, autumn."`
	Trade      []Threshold `json:"trade,omitempty" readOnly:"true" doc:"As shipped."`
}
