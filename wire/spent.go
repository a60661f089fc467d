package wire

// SpendPieces says what became of pieces that came out of hives.
type SpendPieces struct {
	ID     string `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Kind   string `json:"kind" enum:"stored,disposed"`
	Pieces int    `json:"pieces" doc:"1 to 10000."`
	Note   string `json:"note" maxLength:"300" doc:"Where they are, or where they went."`
	On     string `json:"on,omitempty" readOnly:"true"`
}

// Spent is the account of strips, sponges or pads that came out in a job.
type Spent struct {
	JobID     string        `json:"job_id"`
	Job       string        `json:"job"`
	Method    string        `json:"method" enum:"dribble,strip,pad"`
	Came      int           `json:"came"`
	Missing   int           `json:"missing,omitempty" doc:"Were not found in the hives."`
	Disposed  int           `json:"disposed"`
	Left      int           `json:"left" doc:"Not disposed of; below 0 it is to be reconciled."`
	Where     string        `json:"where,omitempty" doc:"They are stored, as was last said."`
	LabelSays string        `json:"label_says,omitempty" doc:"What is to become of them by the label card."`
	Entries   []SpendPieces `json:"entries"`
}

// SpentAll is those of all jobs.
type SpentAll struct {
	Spent []Spent `json:"spent" doc:"The newest first."`
}
