package hive

import (
	"strconv"
	"strings"

	"keeler/core/fault"
)

const digits = "0123456789"

var quarters = map[string]float64{"¼": 0.25, "½": 0.5, "¾": 0.75}

// ReadCounts reads full seams counted in several hives as they are typed: hives between
// spaces or semicolons, in a hive its boxes from the floor up joined by +, such as
// "6 5½ 7+4". Each hive has at most so many boxes. Its error is a fault.List at "typed",
// with the place of the first hive that is none, from 1. What a box has room for is not
// its matter, see CheckCount.
func ReadCounts(typed string, boxes int) ([][]float64, error) {
	var out [][]float64
	for _, word := range strings.FieldsFunc(typed, func(r rune) bool { return r == ';' || strings.ContainsRune(" \t\r\n", r) }) {
		parts := strings.Split(word, "+")
		ok := len(parts) <= boxes
		counts := make([]float64, len(parts))
		for i, part := range parts {
			var is bool
			counts[i], is = readCount(part)
			ok = ok && is
		}
		if !ok {
			return nil, fault.List{{Field: "typed", Reason: fault.NoCount, Low: float64(len(out) + 1)}}
		}
		if out = append(out, counts); len(out) > MaxColonies {
			return nil, fault.List{{Field: "typed", Reason: fault.TooMany, High: MaxColonies, Unit: "colonies"}}
		}
	}
	return out, nil
}

// readCount reads full seams in a box as they are typed: 6, 5.5, 5,5, 5½ or ½.
func readCount(typed string) (float64, bool) {
	for sign, part := range quarters {
		if whole, is := strings.CutSuffix(typed, sign); is && strings.Trim(whole, digits) == "" {
			n, err := strconv.ParseFloat("0"+whole, 64)
			return n + part, err == nil
		}
	}
	typed = strings.Replace(typed, ",", ".", 1)
	n, err := strconv.ParseFloat(typed, 64)
	return n, err == nil && strings.Trim(typed, digits+".") == "" && !strings.HasSuffix(typed, ".")
}
