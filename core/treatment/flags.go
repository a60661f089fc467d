package treatment

import "keeler/core/mixing"

// Flag names what about a record should be looked at. None of them is a refusal:
// what was done was done.
type Flag string

const (
	Twice    Flag = "twice"       // two doses on one day: both stand
	NotInJob Flag = "not_in_job"  // the colony is not in the job, or for another day
	Moved    Flag = "moved"       // it stands in another yard than where it was given
	Ended    Flag = "ended"       // it was recorded as ended before
	Clock    Flag = "clock"       // the phone's clock is more than 12 hours off, or was set meanwhile
	OpenLong Flag = "open_long"   // the hive is said to have stood open for hours
	NoBatch  Flag = "no_batch"    // nobody said what it was given from
	TooMuch  Flag = "too_much"    // more than the cap, or twice what was asked for
	Strong   Flag = "too_strong"  // more acid than was meant, whatever its mL
	PastDay  Flag = "past_day"    // the batch was past its use-by day
	NotMade  Flag = "not_made"    // from a batch that was not finished at the bench
	Again    Flag = "again"       // the same acid was given not long before, in any job
	Formic   Flag = "formic_much" // more formic acid in a brood box in 28 days than any course brings
	// The batch turned out to be another than it was thought to be, after it was given or before.
	BatchWrong Flag = "batch_wrong" // its figures were corrected
	BatchVoid  Flag = "batch_void"  // it was voided
	MoreOut    Flag = "more_out"    // more pieces than were in it
	NoneIn     Flag = "none_in"     // nothing of it was in the hive by the register
	Rose       Flag = "rose"        // it weighs more than the last time, and nothing was added
)

// Stronger reports whether a dose holds more acid than was meant, both in mg: by more
// than a batch may stray from its recipe.
func Stronger(given, meant float64) bool {
	return meant > 0 && given > meant*(1+mixing.Tolerance)+dust
}

// Much reports whether a dribble is over the cap, or any amount twice what was asked.
func Much(amount, asked, most float64) bool {
	return most > 0 && amount > most+dust || asked > 0 && amount > 2*asked+dust
}
