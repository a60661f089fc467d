package wire

// Record is the medicine record of a year as an inspector reads it: by yard and colony.
type Record struct {
	Year    int          `json:"year"`
	To      int          `json:"to" doc:"The last year that it tells of; the same where it is one."`
	Holder  []string     `json:"holder,omitempty" doc:"Who keeps the bees: name, address, number; what was said of them."`
	Years   []int        `json:"years" doc:"Those with something in them, the newest first."`
	Columns []string     `json:"columns" doc:"What each line tells, in this order: day, treatment, amount, acid, batch, lots, withdrawal, rule, person."`
	Yards   []RecordYard `json:"yards"`
	Lines   int          `json:"lines"`
	// Fingerprint is left out while not all of it is there.
	Fingerprint string `json:"fingerprint,omitempty" doc:"A hash over its lines: keeler verify holds the CSV file against the database by it."`
	SoFar       *SoFar `json:"so_far,omitempty"`
}

// RecordYard is what was given in a yard.
type RecordYard struct {
	Name     string         `json:"name"`
	Place    string         `json:"place,omitempty"`
	No       string         `json:"registration_no,omitempty" doc:"The number by which an authority knows it."`
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
