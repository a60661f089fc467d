package wire

import "time"

// SnapshotVersion is the version of Recipe and RecipeAnswer as they are kept with
// a batch. It rises when a kept snapshot could no longer be read.
const SnapshotVersion = 2

// SaveBatch asks for a recipe to be kept.
type SaveBatch struct {
	ID     string  `json:"id" format:"uuid" doc:"Made by the client; the same id with the same content counts once."`
	Name   string  `json:"name" minLength:"1" maxLength:"120" doc:"What the keeper calls the batch."`
	Rule   string  `json:"rule_worked_under,omitempty" maxLength:"260" doc:"The rule that the keeper says he works under, in his words."`
	Recipe Recipe  `json:"recipe" doc:"All that it depends on, by its method; the server works it out again."`
	Parent *string `json:"parent_id,omitempty" format:"uuid" doc:"For a pot that left-over liquor goes into: the pot it comes from. What is carried must be of its strength."`
}

// BatchSummary is a batch in a list.
type BatchSummary struct {
	ID          string         `json:"id"`
	Number      int            `json:"number" doc:"Counts up in the operation: what stands on the jar."`
	Name        string         `json:"name"`
	Method      string         `json:"method" enum:"dribble,strip,pad"`
	State       string         `json:"state" enum:"planned,bench,made,discarded" doc:"Bench: it is being mixed."`
	Leftover    bool           `json:"leftover,omitempty" doc:"Liquor that the pot of its parent left over; the next pot can start from it."`
	Keeping     string         `json:"keeping,omitempty" enum:"room,fridge,sealed,closed"`
	OnHand      OnHand         `json:"on_hand" doc:"By its ledger."`
	MadeOn      string         `json:"made_on" doc:"Local date and time of the work, 2006-01-02T15:04."`
	SavedAt     time.Time      `json:"saved_at" doc:"When the server kept it."`
	VolumeML    float64        `json:"volume_ml,omitempty" doc:"mL at 20 °C; left out for what is counted."`
	Pieces      int            `json:"pieces,omitempty" doc:"Strips or ready pads."`
	Composition []Component    `json:"composition" doc:"What it holds: the truth that its strength is computed from. Of a bought product only the acids are known."`
	Strength    *BatchStrength `json:"strength,omitempty" doc:"Left out where only the acid of a product is known."`
	VoidedAt    *time.Time     `json:"voided_at,omitempty"`
	VoidReason  string         `json:"void_reason,omitempty"`
}

// BatchList is the newest batches.
type BatchList struct {
	Batches []BatchSummary `json:"batches" doc:"Newest first, at most 500."`
}

// Batch is a batch whole.
type Batch struct {
	BatchSummary
	SnapshotVersion int          `json:"snapshot_version"`
	Rule            string       `json:"rule_worked_under,omitempty"`
	ParentID        string       `json:"parent_id,omitempty" doc:"The batch that its carried-over liquor comes from."`
	ParentName      string       `json:"parent_name,omitempty"`
	Recipe          Recipe       `json:"recipe" doc:"The inputs as they were."`
	Answer          RecipeAnswer `json:"answer" doc:"As it was worked out then."`
	Remarks         []Remark     `json:"remarks"`
}

// Remark is a note written to a batch.
type Remark struct {
	ID   string    `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Text string    `json:"text" minLength:"1" maxLength:"2000"`
	At   time.Time `json:"at,omitzero" readOnly:"true"`
}

// Void says why something no longer counts.
type Void struct {
	Reason string `json:"reason" minLength:"1" maxLength:"500" doc:"Why; it stays with what is void."`
}
