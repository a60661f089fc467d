package treatment

const (
	skewed   = 12 * 3600    // by how much a phone's clock may be off, s: no time zone is further
	adjusted = 60           // what a network sets a clock back by, s
	longest  = 400 * 86400  // that a record waits on a phone, s
	openLong = 4 * 3600     // beyond which nobody leaves a hive open, s
	openMost = 30 * 86400.0 // beyond which it was the clock, s
)

// Off reports whether a phone's clock is a day off: by its own reading of the time of
// a record and what the server makes of it, both in seconds.
func Off(byPhone, byServer float64) bool {
	return byPhone-byServer > skewed || byServer-byPhone > skewed
}

// Timing is what a phone's clock tells of a record, in seconds: how long ago it was made,
// and how long the hive stood open. A clock that was set meanwhile may tell anything.
type Timing struct{ Ago, Open float64 }

// Believed is a timing as it can have been: none of it is a reason to refuse what was
// done. A time that cannot be is taken for now, or for not told.
func (t Timing) Believed() (believed Timing, flags []Flag) {
	ago, open := t.Ago >= -adjusted && t.Ago <= longest, t.Open >= 0 && t.Open <= openMost
	if ago {
		believed.Ago = max(0, t.Ago)
	}
	if open {
		believed.Open = t.Open
	}
	if !ago || !open {
		flags = append(flags, Clock)
	}
	if believed.Open > openLong {
		flags = append(flags, OpenLong)
	}
	return believed, flags
}
