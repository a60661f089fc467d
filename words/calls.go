package words

import (
	"strconv"
	"strings"
)

// Reminder writes a morning's reminder of what is late and what is due, and names some of it.
func Reminder(late, due int, some []string) (title, body string) {
	n, key := late, "late"
	if late == 0 {
		n, key = due, "due"
	}
	switch n {
	case 0:
		return said.Reminders["none"], said.Reminders["none:body"]
	case 1:
		key += ":one"
	}
	return fill(said.Reminders[key], func(string) string { return strconv.Itoa(n) }), strings.Join(some, "; ")
}

// Call tells something to see to: of a batch or lot by its name, in other words where there are
// such of what it is.
func Call(kind, what, name string) (title, why string) {
	s, other := said.Calls[kind+":"+what]
	if !other {
		s = said.Calls[kind]
	}
	return fill(s.Title, func(string) string { return name }), s.Why
}
