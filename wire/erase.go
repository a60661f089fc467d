package wire

// Erasure asks to erase an operation.
type Erasure struct {
	KeepUntil string `json:"keep_until,omitempty" doc:"The last day on which its register can still be read, 2006-01-02; left out: nothing stays."`
	Password  string `json:"password" doc:"The owner's."`
	Code      string `json:"code,omitempty" doc:"Of the second factor, where there is one."`
}

// Erased is what stays of an operation.
type Erased struct {
	KeptUntil string `json:"kept_until,omitempty" doc:"The last day of its register, 2006-01-02; left out: nothing stayed."`
}
