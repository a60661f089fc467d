package bench

// Keeping is how long a batch may be kept in a place by its school's rule.
type Keeping struct {
	Store string
	Days  int // 0: no rule of days; as the date on what it was made of
}
