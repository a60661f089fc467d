package wire

// Import is what became, or would become, of a file of colonies.
type Import struct {
	Rows       int         `json:"rows" doc:"Rows read, without the head."`
	Colonies   []ImportRow `json:"colonies" doc:"Those that are right; the first 200."`
	Right      int         `json:"right"`
	NewYards   []string    `json:"new_yards,omitempty"`
	NoLatitude []string    `json:"no_latitude,omitempty" doc:"New yards for which no latitude is given."`
	LatitudeOf string      `json:"latitude_of,omitempty" doc:"The yard whose latitude they get; left out where there is none: then no season is assumed."`
	Faults     []RowFault  `json:"faults,omitempty" doc:"The first 200."`
	Wrong      int         `json:"wrong"`
	Stored     int         `json:"stored"`
}

// ImportRow is a colony as it was read.
type ImportRow struct {
	Row   int       `json:"row"`
	Yard  string    `json:"yard"`
	Name  string    `json:"name"`
	Boxes string    `json:"boxes"`
	Stack []HiveBox `json:"stack" doc:"The same, to be drawn."`
}

// RecordsImport is what a file of records holds.
type RecordsImport struct {
	Columns []string       `json:"columns" doc:"Those that are read."`
	Heads   []MappedColumn `json:"heads" doc:"What each head of the file is taken for."`
	NoOut   int            `json:"no_out,omitempty" doc:"Rows of strips or pads that must be out by now, and tell no day: asked about once, with all_out."`
	Rows    int            `json:"rows" doc:"Rows read, without the head."`
	Seen    []RecordRow    `json:"seen" doc:"Those that are right; the first 200."`
	Right   int            `json:"right"`
	Wrong   int            `json:"wrong"`
	Faults  []RowFault     `json:"faults,omitempty" doc:"The first 200."`
	Stored  int            `json:"stored" doc:"Those that were there already among them: sent twice, they count once."`
}

// MappedColumn is what a head of a file is taken for.
type MappedColumn struct {
	Head   string `json:"head" doc:"As the file names it."`
	Column string `json:"column,omitempty" doc:"The column; left out: it is not read."`
	Sample string `json:"sample,omitempty" doc:"The first that stands there."`
	Days   string `json:"days,omitempty" enum:"iso,day_month,month_day" doc:"How days are written there."`
	Unsure bool   `json:"unsure,omitempty" doc:"Nothing in the file tells day and month apart: days says which it is."`
}

// RecordRow is a row as it was read.
type RecordRow struct {
	Row   int      `json:"row"`
	Cells []string `json:"cells" doc:"By columns."`
}

// RowFault is what is wrong in a row of a file, whose head is row 1.
type RowFault struct {
	Row    int    `json:"row"`
	Column string `json:"column,omitempty"`
	Stood  string `json:"stood,omitempty" doc:"What stands there."`
	Text   string `json:"text"`
}
