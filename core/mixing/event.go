package mixing

import (
	"keeler/core/chem"
)

// EventKind says what happened at the bench.
type EventKind string

const (
	Added     EventKind = "added"     // a load went in
	Removed   EventKind = "removed"   // the load was written wrongly: it is taken back
	Opened    EventKind = "opened"    // to an act
	Answered  EventKind = "answered"  // the answer to a check or a test
	Measured  EventKind = "measured"  // a temperature was read
	Started   EventKind = "started"   // a wait
	Corrected EventKind = "corrected" // more is to go in
	Finished  EventKind = "finished"  // the batch is made
	Discarded EventKind = "discarded" // it is not to be used
)

// Event is one thing that happened at the bench. A run is the list of them; it
// only grows.
type Event struct {
	Kind   EventKind
	Act    string
	Load   int          // of Added and Removed: which load of the act, from 0
	Grams  chem.Grams   // of Added
	Off    chem.Grams   // how far it may be off
	Count  int          // pieces, where they are counted
	Sure   bool         // of Added: yes, so much
	Answer string       // of Answered
	Temp   chem.Celsius // of Measured
	Add    []Addition   // of Corrected
	AsIs   bool         // of Finished: yes, although it is off its recipe
}

// AddedLoad is a load that went in.
type AddedLoad struct {
	Mass  chem.Grams `json:"grams"`
	Off   chem.Grams `json:"off_g"`
	Count int        `json:"count,omitempty"`
}
