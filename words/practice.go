package words

import (
	"math"
	"strconv"
	"strings"

	"keeler/core/calendar"
)

// PracticeName is what a season of practice is called, by its seed.
func PracticeName(seed uint32) string {
	return fill(said.Practice["name"], func(string) string { return strconv.Itoa(int(seed)) })
}

// PracticeYard is what its yard is called.
func PracticeYard() string { return said.Practice["yard"] }

// PracticeLot is what all that it has in stock is called.
func PracticeLot() string { return said.Practice["lot"] }

// Seen tells what is to be seen in a hive: full seams, sealed brood, eggs and larvae.
func Seen(seams float64, brood string, eggs, larvae bool) string {
	return fill(said.Practice["seen"], func(blank string) string {
		switch blank {
		case "seams":
			return Quarters(seams)
		case "brood":
			return said.Practice["brood:"+brood]
		case "eggs":
			return said.Practice["eggs:"+strconv.FormatBool(eggs)]
		}
		return said.Practice["larvae:"+strconv.FormatBool(larvae)]
	})
}

// Dead tells of a hive that is.
func Dead() string { return said.Practice["dead"] }

// VerdictOf tells how many hives of a season live, as far as it went.
func VerdictOf(hives, lost int, over bool) string {
	code := "verdict"
	if !over {
		code += ":so_far"
	}
	return fill(said.Practice[code], func(blank string) string {
		if blank == "lost" {
			return strconv.Itoa(lost)
		}
		return strconv.Itoa(hives - lost)
	})
}

// VerdictHive tells what became of a hive: the mites at the most while winter bees were raised, and its days over the
// threshold.
func VerdictHive(lives bool, most, over int) string {
	return fill(said.Practice["hive:"+strconv.FormatBool(lives)], func(blank string) string {
		if blank == "most" {
			return strconv.Itoa(most)
		}
		return days(over)
	})
}

// Costs tells on how many days somebody came, how much acid (g) went in, and how many bees were washed.
func Costs(visits int, oxalic, formic float64, washed int) string {
	parts := []string{plural(visits, "visit")}
	for _, acid := range []struct {
		name string
		g    float64
	}{{"oxalic", oxalic}, {"formic", formic}} {
		if acid.g > 0 {
			parts = append(parts, fill(said.Practice[acid.name], func(string) string { return strconv.FormatFloat(math.Round(10*acid.g)/10, 'f', -1, 64) }))
		}
	}
	if washed > 0 {
		parts = append(parts, fill(said.Practice["washed"], func(string) string { return strconv.Itoa(washed) }))
	}
	return strings.Join(parts, ", ") + "."
}

// Step is a treatment by its method, on a day.
type Step struct {
	Method string
	On     calendar.Day
}

// WouldHave tells of a plan that would have left so many mites for winter.
func WouldHave(steps []Step, mites int) string {
	if len(steps) == 0 {
		return fill(said.Practice["none_at_all"], func(string) string { return strconv.Itoa(mites) })
	}
	parts := make([]string, len(steps))
	for i, s := range steps {
		parts[i] = fill(said.Practice["step:"+s.Method], func(string) string { return date(s.On) })
	}
	return fill(said.Practice["would_have"], func(blank string) string {
		if blank == "mites" {
			return strconv.Itoa(mites)
		}
		return strings.Join(parts, ", ")
	})
}

// NothingBetter tells that no plan would have kept it under the threshold, and NoneNeeded that none would have done much
// better.
func NothingBetter() string { return said.Practice["nothing_better"] }

// NoneNeeded tells that nothing would have done much better.
func NoneNeeded() string { return said.Practice["none_needed"] }
