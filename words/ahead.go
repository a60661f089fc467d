package words

import (
	"math"
	"strconv"

	"keeler/core/calendar"
	"keeler/core/mites"
)

// Ahead tells what a forecast of mites comes to, by its code, from one day to another, with the chances today and until
// then.
func Ahead(code string, from, to calendar.Day, now, chance float64) string {
	return fill(said.Ahead[code], func(blank string) string {
		switch blank {
		case "from":
			return date(from)
		case "now":
			return chances(now)
		case "n":
			return chances(chance)
		}
		return date(to)
	})
}

// AheadInShort is Ahead where there is little room.
func AheadInShort(code string, from, to calendar.Day, now float64) string {
	return fill(said.Ahead["short:"+code], func(blank string) string {
		switch blank {
		case "from":
			return dayMonth(from)
		case "now":
			return chances(now)
		}
		return dayMonth(to)
	})
}

// CountFirst tells which hives of a yard to count first.
func CountFirst(names []string, of int) string {
	if len(names) == 0 || of < 2 {
		return ""
	}
	return fill(said.Ahead["count_first"], func(string) string { return listed(names) })
}

// chances are those of ten: "3 chances in 10", and "hardly a chance" and "almost certain" at the ends.
func chances(of float64) string {
	switch n := int(math.Round(10 * of)); n {
	case 0:
		return said.Ahead["chance:0"]
	case 10:
		return said.Ahead["chance:10"]
	default:
		return plural(n, "chance") + " " + said.Ahead["in_ten"]
	}
}

// RestsOn tells what a forecast rests on, and how many days old the last count is.
func RestsOn(counts, looks, age int) string {
	code := "rests"
	switch {
	case counts == 0:
		code = "rests:uncounted"
	case age == 0:
		code = "rests:today"
	}
	return fill(said.Ahead[code], func(blank string) string {
		switch blank {
		case "counts":
			return plural(counts, "count")
		case "looks":
			return plural(looks, "inspection")
		}
		return days(age)
	})
}

// Narrowed tells, after what a forecast rests on, by which share the newest of some counts narrowed it; a share below 0: it
// lay off, and widened it. Without counts, or where it did neither, nothing is said.
func Narrowed(counts int, by float64) string {
	percent := int(math.Round(100 * math.Abs(by)))
	if counts == 0 || percent == 0 {
		return ""
	}
	code := "narrowed"
	if by < 0 {
		code = "widened"
	}
	return " " + fill(said.Ahead[code], func(string) string { return strconv.Itoa(percent) + " %" })
}

// Misfit tells that counts and forecast do not go together.
func Misfit() string { return said.Ahead["misfit"] }

// Telling tells by which share a count, taken or read on its day, would narrow the band.
func Telling(of mites.Count, narrows float64, today calendar.Day) string {
	code := "telling:" + string(of.Kind)
	if of.Kind == mites.Wash && of.On == today {
		code += ":today"
	}
	return fill(said.Ahead[code], func(blank string) string {
		switch blank {
		case "in":
			return date(of.Began())
		case "on":
			return date(of.On)
		case "days":
			return days(int(of.Days))
		}
		return strconv.Itoa(int(math.Round(100*narrows))) + " %"
	})
}

// PlanChance tells the chance of being over the threshold at any time between two days.
func PlanChance(chance float64, from, to calendar.Day) string {
	return fill(said.Ahead["plan"], func(blank string) string {
		switch blank {
		case "n":
			return chances(chance)
		case "from":
			return date(from)
		}
		return date(to)
	})
}

// UnderCaps warns that a share of the mites is under cappings when syrup is dribbled.
func UnderCaps(share float64) string {
	return fill(said.Ahead["under_caps"], func(string) string { return strconv.Itoa(int(math.Round(100 * share))) })
}

// OfPlans is what is said of plans, by its code.
func OfPlans(code string) string { return said.Ahead[code] }
