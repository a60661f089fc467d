package app

import (
	"errors"
	"time"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/store"
)

// readDay reads a day that is given as 2006-01-02; an empty one is otherwise. What
// cannot be read is a fault at the field, and so is a day after the last.
func readDay(field, text string, otherwise, last calendar.Day, l *fault.List) calendar.Day {
	if text == "" {
		return otherwise
	}
	day, err := calendar.Parse(text)
	if err != nil || day < calendar.Of(1990, 1, 1) {
		l.Add(field, fault.NoDate)
		return otherwise
	}
	if day > last {
		l.Add(field, fault.Future)
	}
	return day
}

// unknown tells at its field that what is named there is not there; any other error stays
// what it is.
func unknown(field string, err error) error {
	if errors.Is(err, store.ErrNotFound) {
		return fault.List{{Field: field, Reason: fault.Unknown}}
	}
	return err
}

func optionalDay(t *time.Time) string {
	if t == nil {
		return ""
	}
	return t.Format(dateForm)
}
