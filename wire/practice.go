package wire

// Practice is a season of practice as it stands.
type Practice struct {
	Seed  uint32 `json:"seed" doc:"Who begins with it plays the same season."`
	Level int    `json:"level" minimum:"1" maximum:"3" doc:"Gentle, usual, hard."`
	From  string `json:"from" doc:"The day that it began on, by its own clock."`
	To    string `json:"to" doc:"The last day of its clock."`
}

// BeginPractice begins a season of practice in place of the one before.
type BeginPractice struct {
	Level int    `json:"level" minimum:"1" maximum:"3" doc:"Gentle, usual, hard."`
	Seed  uint32 `json:"seed,omitempty" maximum:"999999" doc:"Of a season that others play; left out: one is drawn."`
}

// MovePractice brings its clock forward.
type MovePractice struct {
	Days int `json:"days" minimum:"1" maximum:"31"`
}

// Glimpse is what there is to be seen today in a hive that is not real: of the demo, or of a season of practice.
type Glimpse struct {
	Day    string  `json:"day"`
	Seams  float64 `json:"seams"`
	Typed  string  `json:"typed" doc:"The seams by box, as they are typed in an inspection."`
	Brood  string  `json:"brood" enum:"none,little,much"`
	Eggs   bool    `json:"eggs"`
	Larvae bool    `json:"larvae"`
	Words  string  `json:"words" doc:"All that, in a sentence."`
	Wash   *int    `json:"wash,omitempty" doc:"Mites in a wash of 300 bees, if it were taken; left out in the cold half-year."`

	BoardSince string `json:"board_since,omitempty" doc:"The day on which a clean board went in; left out where none is in."`
	BoardDays  int    `json:"board_days,omitempty" doc:"For how many days it lay."`
	Board      *int   `json:"board,omitempty" doc:"Mites on it."`
}

// Verdict is what a season of practice came to: the truth, laid over what was seen and done.
type Verdict struct {
	Seed  uint32        `json:"seed"`
	Level int           `json:"level"`
	Words string        `json:"words"`
	Spent float64       `json:"spent,omitempty" doc:"What went into mixtures, by the prices of the lots."`
	Hives []VerdictHive `json:"hives"`
}

// VerdictHive is a hive of it.
type VerdictHive struct {
	ID     string       `json:"id" format:"uuid"`
	Name   string       `json:"name"`
	Lives  bool         `json:"lives"`
	Words  string       `json:"words" doc:"What became of it, and when it was over the threshold."`
	Cost   string       `json:"cost" doc:"Visits, acid, and bees that were washed."`
	Better string       `json:"better" doc:"What would have done better."`
	Over   int          `json:"over" doc:"Days over the threshold."`
	Most   float64      `json:"most" doc:"Mites, at the most from August on (February in the south)."`
	Points []TruthPoint `json:"points" doc:"What was true."`
	Known  []MitePoint  `json:"known" doc:"What the counts left open."`
	Counts []MiteCount  `json:"counts"`
}

// TruthPoint is the mites of a day as they were.
type TruthPoint struct {
	Day       string  `json:"day"`
	Rate      float64 `json:"rate" doc:"Per 100 nest bees."`
	Mites     float64 `json:"mites"`
	Threshold float64 `json:"threshold"`
}
