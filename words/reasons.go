package words

import (
	"strconv"
	"strings"

	"keeler/core/calendar"
	"keeler/core/fit"
)

// Reason is a reason in words: why, what would change it, the same in a word or two where
// it speaks against, and how old its datum is.
type Reason struct{ Why, Change, Brief, Datum string }

// Because tells a reason on a day.
func Because(r fit.Reason, day calendar.Day) Reason {
	s, known := said.Reasons[r.Code+":"+variant(r)]
	if !known {
		s = said.Reasons[r.Code]
	}
	in := func(text string) string {
		return fill(text, func(blank string) string { return filled(blank, r, day) })
	}
	return Reason{in(s.Why), in(s.Change), s.Brief, datum(r, day)}
}

// variant tells apart the sentences of one code.
func variant(r fit.Reason) string {
	switch r.Code {
	case "brood_present", "supers_on", "dribbled_already", "vaporised_already":
		return strconv.Itoa(int(r.Figures[0]))
	case "overdue":
		return strconv.Itoa(int(r.Figures[2]))
	case "break_look", "break_window":
		if r.To != 0 {
			return "to"
		}
	case "count_first", "count_helps":
		if r.Figures[1] == 0 {
			return "wash"
		}
	}
	return ""
}

func filled(what string, r fit.Reason, day calendar.Day) string {
	switch what {
	case "on":
		return date(r.On)
	case "from":
		return date(r.From)
	case "to":
		return date(r.To)
	case "age":
		return days(int(day - r.On))
	case "words":
		return r.Words
	}
	at, unit, _ := strings.Cut(what, " ")
	i, err := strconv.Atoi(at)
	if err != nil || i >= len(r.Figures) {
		return what
	}
	switch unit {
	case "days":
		return days(int(r.Figures[i] + 0.5))
	case "seams":
		return Quarters(r.Figures[i])
	case "chances":
		return chances(r.Figures[i])
	}
	return tenths(r.Figures[i])
}

// datum tells how old what a reason rests on is.
func datum(r fit.Reason, day calendar.Day) string {
	verb := map[fit.Source]string{fit.FromInspection: "seen", fit.FromRecord: "given"}[r.Source]
	if verb == "" || r.On == 0 {
		return ""
	}
	switch age := int(day - r.On); age {
	case 0:
		return verb + " today"
	case 1:
		return verb + " the day before"
	default:
		return verb + " " + strconv.Itoa(age) + " days before"
	}
}
