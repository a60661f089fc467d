package wire

// TooLong reports whether a JSON text has a list, or would have if it is one, with more
// entries than that: found by looking at each byte once at most, which costs nothing
// beside reading it.
func TooLong(raw []byte, most int) bool {
	var open []int // entries so far, of each list and object around
	quoted := false
	for i := 0; i < len(raw); i++ {
		switch c := raw[i]; {
		case quoted:
			if c == '\\' {
				i++
			} else if c == '"' {
				quoted = false
			}
		case c == '"':
			quoted = true
		case c == '[' || c == '{':
			open = append(open, 1)
		case c == ',' && len(open) > 0:
			if open[len(open)-1]++; open[len(open)-1] > most {
				return true
			}
		case (c == ']' || c == '}') && len(open) > 0:
			open = open[:len(open)-1]
		}
	}
	return false
}
