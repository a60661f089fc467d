package wire

import "time"

// SnapshotVersion is the version of PlanRequest and PlanAnswer as they are kept
// with a batch. It rises when a kept snapshot could no longer be read.
const SnapshotVersion = 1

// SaveBatch asks for a plan to be kept.
type SaveBatch struct {
	ID   string      `json:"id" format:"uuid" doc:"Made by the client; the same id with the same content counts once."`
	Name string      `json:"name" minLength:"1" maxLength:"120" doc:"What the keeper calls the batch."`
	Rule string      `json:"rule_worked_under,omitempty" maxLength:"200" doc:"The rule that the keeper says he works under, in his words."`
	Plan PlanRequest `json:"plan" doc:"All that the plan depends on; the server works it out again."`
}

// BatchSummary is a batch in a list.
type BatchSummary struct {
	ID         string     `json:"id"`
	Name       string     `json:"name"`
	Method     string     `json:"method" enum:"dribble"`
	MadeOn     string     `json:"made_on" doc:"Local date and time of the work, 2006-01-02T15:04."`
	SavedAt    time.Time  `json:"saved_at" doc:"When the server kept it."`
	VolumeML   float64    `json:"volume_ml" doc:"mL at 20 °C."`
	GPerL      float64    `json:"g_per_l" doc:"g OAD per litre."`
	VoidedAt   *time.Time `json:"voided_at,omitempty"`
	VoidReason string     `json:"void_reason,omitempty"`
}

// BatchList is the newest batches.
type BatchList struct {
	Batches []BatchSummary `json:"batches" doc:"Newest first, at most 500."`
}

// Batch is a batch whole.
type Batch struct {
	BatchSummary
	SnapshotVersion int         `json:"snapshot_version"`
	Rule            string      `json:"rule_worked_under,omitempty"`
	Plan            PlanRequest `json:"plan" doc:"The inputs as they were."`
	Answer          PlanAnswer  `json:"answer" doc:"The recipe as it was worked out then."`
	Remarks         []Remark    `json:"remarks"`
}

// Remark is a note written to a batch.
type Remark struct {
	ID   string    `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Text string    `json:"text" minLength:"1" maxLength:"2000"`
	At   time.Time `json:"at,omitzero" readOnly:"true"`
}

// VoidBatch marks a batch as void.
type VoidBatch struct {
	Reason string `json:"reason" minLength:"1" maxLength:"500" doc:"Why; kept with the batch."`
}

// Start is what a page needs to begin.
type Start struct {
	Demo   bool         `json:"demo"`
	Keeper string       `json:"keeper,omitempty"`
	Place  string       `json:"place,omitempty"`
	Now    string       `json:"now" doc:"Local date and time of the work, 2006-01-02T15:04; pinned in the demo."`
	Draft  *PlanRequest `json:"draft,omitempty" doc:"In the demo, a plan to begin with."`
}
