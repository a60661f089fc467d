// Package fault names the input that cannot be, and what range could be.
// It carries codes and figures only; its callers put them into words.
package fault

import (
	"strconv"
	"strings"
	"unicode/utf8"
)

// Reason says in which way an input is wrong.
type Reason string

const (
	Missing    Reason = "missing"     // nothing was given where a figure is needed
	NotFinite  Reason = "not_finite"  // NaN or infinite
	TwoWays    Reason = "two_ways"    // a number that may be Low or High
	TooLow     Reason = "too_low"     // below Low
	TooHigh    Reason = "too_high"    // above High
	Unknown    Reason = "unknown"     // not one of the known values
	NoGap      Reason = "no_gap"      // seams where the slots leave no room for bees
	TooLong    Reason = "too_long"    // more characters than High
	TooMany    Reason = "too_many"    // more entries than High
	NotFitting Reason = "not_fitting" // does not go with another choice
	Insoluble  Reason = "insoluble"   // more acid than stays dissolved
	Upward     Reason = "upward"      // thinning cannot make it stronger
	SugarRange Reason = "sugar_range" // the sugar wanted lies outside what can be reached
	WholeOnly  Reason = "whole_only"  // a whole number is needed
	NotRising  Reason = "not_rising"  // rows must rise
	Overfull   Reason = "overfull"    // the parts exceed the whole
	UpsideDown Reason = "upside_down" // more acid than any protocol puts in
	NoTemp     Reason = "no_temp"     // a density says nothing without its temperature
	Future     Reason = "future"      // what is recorded cannot lie ahead
	Past       Reason = "past"        // what is planned cannot lie behind
	NoDate     Reason = "no_date"     // not a day of the calendar
	NoZone     Reason = "no_zone"     // not a time zone
	NoAddress  Reason = "no_address"  // not the address of a service
	Inside     Reason = "inside"      // an address within the server's own network
	Gone       Reason = "gone"        // what was there is there no more
	NoAnswer   Reason = "no_answer"   // nothing answers at an address
	NoForecast Reason = "no_forecast" // what answers tells no forecast
	NoSpan     Reason = "no_span"     // not two days of a year
	Early      Reason = "early"       // before its time: it must be said twice
	NotText    Reason = "not_text"    // a file that is no table of text
	NotImage   Reason = "not_image"   // a file that is no picture that can be shown
	NoColumn   Reason = "no_column"   // a column that must be there is not
	BrokenRow  Reason = "broken_row"  // a row that does not keep to its columns
	CutShort   Reason = "cut_short"   // a file whose last line tells of High rows, and has Low
	NoHive     Reason = "no_hive"     // not a stack of boxes
	NoCount    Reason = "no_count"    // number Low of what was typed is no count of seams
	YesOrNo    Reason = "yes_or_no"   // neither yes nor no
	Taken      Reason = "taken"       // another one has this name
	WrongCode  Reason = "wrong_code"  // not the code that is asked for
	Refused    Reason = "refused"     // a password that is not the one
	KeptFrom   Reason = "kept_from"   // not a day from tomorrow on
	Guessable  Reason = "guessable"   // a password that is tried first
	Doubtful   Reason = "doubtful"    // so far off that it must be said twice
	Ended      Reason = "ended"       // nothing more happens to it
	Unsteady   Reason = "unsteady"    // the balance does not stand still on it
	OffRecipe  Reason = "off_recipe"  // made, but not as its recipe says
	BasisShare Reason = "basis_share" // a share that is the acid counted anhydrous, not a purity
	Filler     Reason = "filler"      // more filler than the syrup has sugar
	TooStrong  Reason = "too_strong"  // more acid than bees or people can be meant to get
)

// Fault is one wrong input. Field is its path in the request, such as
// "colonies[2].boxes[0].seams"; Low and High are the possible range in Unit
// and hold only for the reasons that speak of a range.
type Fault struct {
	Field     string
	Reason    Reason
	Low, High float64
	Unit      string
}

// List is all the faults of one request; as an error it is never empty.
type List []Fault

func (l List) Error() string {
	text := ""
	for i, f := range l {
		if i > 0 {
			text += "; "
		}
		text += f.Field + ": " + string(f.Reason)
	}
	return text
}

// Err gives nil for an empty list.
func (l List) Err() error {
	if len(l) == 0 {
		return nil
	}
	return l
}

// Add appends a fault without a range.
func (l *List) Add(field string, reason Reason) {
	*l = append(*l, Fault{Field: field, Reason: reason})
}

// AddRange appends a fault with its possible range.
func (l *List) AddRange(field string, reason Reason, low, high float64, unit string) {
	*l = append(*l, Fault{Field: field, Reason: reason, Low: low, High: high, Unit: unit})
}

// Within checks that low ≤ value ≤ high and reports whether it is so.
func (l *List) Within(field string, value, low, high float64, unit string) bool {
	reason := Reason("")
	switch {
	case value != value || value-value != 0:
		reason = NotFinite
	case value < low:
		reason = TooLow
	case value > high:
		reason = TooHigh
	default:
		return true
	}
	l.AddRange(field, reason, low, high, unit)
	return false
}

// Scaled checks a value that goes by what was typed at the field: it is within low and
// high, or the fault names the range of what can be typed, in its own unit.
func (l *List) Scaled(field string, typed, value, low, high float64, unit string) bool {
	if value >= low && value <= high {
		return true
	}
	if !(value > 0) || value-value != 0 {
		return l.Within(field, value, low, high, "")
	}
	return l.Within(field, typed, typed*low/value, typed*high/value, unit)
}

// Said is a text without the space around it, which must not be empty.
func (l *List) Said(field, text string) string {
	text = strings.TrimSpace(text)
	if text == "" {
		l.Add(field, Missing)
	}
	return text
}

// Length checks that a text has at most so many characters.
func (l *List) Length(field, text string, most int) {
	if n := utf8.RuneCountInString(text); n > most {
		l.AddRange(field, TooLong, 0, float64(most), "characters")
	}
}

// Beneath completes the paths of all faults from the given one on, which were
// found within entry i of a list: "boxes" beneath ("colonies", 2) becomes
// "colonies[2].boxes".
func (l *List) Beneath(from int, list string, i int) {
	for k := from; k < len(*l); k++ {
		(*l)[k].Field = strings.TrimSuffix(Index(list, i)+"."+(*l)[k].Field, ".")
	}
}

// Index writes the path of entry i of a list: Index("colonies", 2) is "colonies[2]".
func Index(list string, i int) string {
	return list + "[" + strconv.Itoa(i) + "]"
}
