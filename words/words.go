// Package words tells codes in English: faults, notes, reasons, flags and steps. The
// sentences are data (en.json); what is here fills their blanks. Core and the database
// know codes and figures alone.
package words

import (
	"keeler/core/calendar"
	"math"
	"strconv"
	"strings"
	"time"
)

// tidy writes a number with so many figures or so, rounded by a rule.
func tidy(v float64, figures int, rule func(float64) float64) string {
	scale, most := 1.0, math.Pow10(figures)
	for math.Abs(v)*scale < most/10 && scale < most {
		scale *= 10
	}
	plain := strconv.FormatFloat(rule(math.Round(v*scale*1e6)/1e6)/scale, 'f', -1, 64)
	if v < 10000 {
		return plain
	}
	for i := len(plain) - 3; i > 0; i -= 3 { // 100,000 is read at a glance, 100000 is not
		plain = plain[:i] + "," + plain[i:]
	}
	return plain
}

func figure(v float64) string { return tidy(v, 3, math.Round) }

// degrees is a temperature as well as it is known: to the whole degree, upward, since
// what lies below it is warned about.
func degrees(t float64) string { return strconv.Itoa(int(math.Ceil(t - 0.05))) }

func names(colonies []string) string {
	const most = 6
	switch {
	case len(colonies) == 0:
		return ""
	case len(colonies) > most:
		return strings.Join(colonies[:most], ", ") + " and " + strconv.Itoa(len(colonies)-most) + " more: "
	}
	return strings.Join(colonies, ", ") + ": "
}

// Quarters writes seams: "1", "2¼", "½".
func Quarters(n float64) string {
	whole, part := math.Modf(n)
	text := map[float64]string{0.25: "¼", 0.5: "½", 0.75: "¾"}[part]
	if whole > 0 || text == "" {
		text = strconv.Itoa(int(whole)) + text
	}
	return text
}

// seams counts them: "1 seam", "9 seams", "2¼ seams".
func seams(n float64) string {
	if n <= 1 {
		return Quarters(n) + " seam"
	}
	return Quarters(n) + " seams"
}

// fill puts something in place of every {blank} of a sentence.
func fill(text string, with func(blank string) string) string {
	out, rest, more := strings.Cut(text, "{")
	for more {
		var blank string
		blank, rest, _ = strings.Cut(rest, "}")
		out += with(blank)
		blank, rest, more = strings.Cut(rest, "{")
		out += blank
	}
	return out
}

// tenths writes a figure with a tenth where it has one.
func tenths(v float64) string { return strconv.FormatFloat(math.Round(10*v)/10, 'f', -1, 64) }

// date writes a day: "4 Dec 2026".
func date(d calendar.Day) string { return d.Begins(time.UTC).Format("2 Jan 2006") }

// dayMonth is a day without its year.
func dayMonth(d calendar.Day) string { return d.Begins(time.UTC).Format("2 Jan") }

// listed are names in a row: "A, B and C".
func listed(names []string) string {
	last := len(names) - 1
	if last < 1 {
		return strings.Join(names, "")
	}
	return strings.Join(names[:last], ", ") + " and " + names[last]
}

// days counts them: "1 day", "5 days".
func days(n int) string {
	if n == 1 {
		return "1 day"
	}
	return strconv.Itoa(n) + " days"
}
