package wire

// Record is the medicine record of a year as an inspector reads it: by yard and colony.
type Record struct {
	Year    int          `json:"year"`
	Years   []int        `json:"years" doc:"Those with something in them, the newest first."`
	Columns []string     `json:"columns" doc:"What each line tells, in this order: day, treatment, amount, acid, batch, lots, withdrawal, rule, person."`
	Yards   []RecordYard `json:"yards"`
	Lines   int          `json:"lines"`
	SoFar   *SoFar       `json:"so_far,omitempty"`
}

// RecordYard is what was given in a yard.
type RecordYard struct {
	Name     string         `json:"name"`
	Place    string         `json:"place,omitempty"`
	Colonies []RecordColony `json:"colonies"`
}

// RecordColony is what a colony was given while it stood there, the oldest first.
type RecordColony struct {
	ID    string       `json:"id"`
	Name  string       `json:"name"`
	Lines []RecordLine `json:"lines"`
}

// RecordLine is one thing that was given, or came out.
type RecordLine struct {
	Cells   []string `json:"cells" doc:"One a column, in words."`
	Remarks []string `json:"remarks,omitempty" doc:"What about it should be known: two doses on one day, and why; that it was entered afterwards or imported, by whom and when."`
	Changes []string `json:"changes,omitempty" doc:"What was amended, by whom, why, and what stood there before; the newest first."`
}
