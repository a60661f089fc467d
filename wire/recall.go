package wire

import "time"

// Recall is where a lot or a batch went, or which lots reached a colony.
type Recall struct {
	Title   string          `json:"title" doc:"What it is about, in words."`
	Lots    []RecallLot     `json:"lots"`
	Batches []RecallBatch   `json:"batches"`
	Doses   []RecallDose    `json:"doses" doc:"By yard and colony."`
	Waiting []RecallWaiting `json:"waiting" doc:"Colonies of open jobs that were dosed from it, and have not had theirs."`
}

// RecallLot is a lot that went into it.
type RecallLot struct {
	ID         string `json:"id"`
	Ingredient string `json:"ingredient"`
	Name       string `json:"name"`
	SupplierNo string `json:"supplier_no,omitempty"`
}

// RecallBatch is a batch of it, with what is left and where.
type RecallBatch struct {
	ID      string   `json:"id"`
	Number  int      `json:"number"`
	Name    string   `json:"name"`
	OnHand  OnHand   `json:"on_hand"`
	Vessels []string `json:"vessels" doc:"What was decanted of it, in words."`
}

// RecallDose is a dose of it.
type RecallDose struct {
	ID          string    `json:"id"`
	ColonyID    string    `json:"colony_id"`
	Colony      string    `json:"colony"`
	Yard        string    `json:"yard"`
	GivenAt     time.Time `json:"given_at"`
	By          string    `json:"by,omitempty"`
	Amount      float64   `json:"amount"`
	Unit        string    `json:"unit"`
	OADMg       float64   `json:"oad_mg,omitempty"`
	FormicMg    float64   `json:"formic_mg,omitempty"`
	BatchNumber int       `json:"batch_number"`
	Lots        []string  `json:"lots,omitempty"`
}

// RecallWaiting is a colony that is planned to get it.
type RecallWaiting struct {
	ColonyID string `json:"colony_id"`
	Colony   string `json:"colony"`
	Job      string `json:"job"`
	JobID    string `json:"job_id"`
	Day      string `json:"day"`
}
