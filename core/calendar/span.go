package calendar

import "time"

// Span is a part of every year, both days within it; it may lie across the turn of
// the year. The zero Span holds no day.
type Span struct{ FromMonth, FromDay, ToMonth, ToDay int }

// DeepCluster is when colonies at a latitude sit so deep in the winter cluster that a
// queen that has stopped does not begin again (docs/sources.md, Brood and mites). The zero Span: never.
func DeepCluster(latitude float64) Span {
	var s Span
	switch north := max(latitude, -latitude); {
	case north > 50:
		s = Span{12, 1, 1, 10}
	case north >= 42:
		s = Span{12, 10, 1, 5}
	default:
		return s
	}
	if latitude < 0 {
		s.FromMonth, s.ToMonth = (s.FromMonth+5)%12+1, (s.ToMonth+5)%12+1
	}
	return s
}

// Holds reports whether a day lies in the span.
func (s Span) Holds(d Day) bool {
	if s == (Span{}) {
		return false
	}
	_, month, day := d.Date()
	at, from, to := 100*month+day, 100*s.FromMonth+s.FromDay, 100*s.ToMonth+s.ToDay
	if from <= to {
		return at >= from && at <= to
	}
	return at >= from || at <= to
}

// ReadSpan reads a span from two days of a year, such as "12-01" and "01-10".
func ReadSpan(from, to string) (s Span, ok bool) {
	var known, also bool
	s.FromMonth, s.FromDay, known = monthDay(from)
	s.ToMonth, s.ToDay, also = monthDay(to)
	return s, known && also
}

func monthDay(text string) (month, day int, ok bool) {
	t, err := time.Parse("01-02", text) // of a leap year
	return int(t.Month()), t.Day(), err == nil && len(text) == len("01-02")
}
