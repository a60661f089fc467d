package wire

// Names is what can be gone to by its name.
type Names struct {
	Yards   []Name `json:"yards"`
	Hives   []Name `json:"hives" doc:"Of living colonies."`
	Batches []Name `json:"batches" doc:"The newest."`
	Jobs    []Name `json:"jobs" doc:"The newest."`
}

// Name is one of them.
type Name struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Where string `json:"where,omitempty" doc:"Of a hive: its yard."`
}
