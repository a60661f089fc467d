package words

import (
	"fmt"
	"math"
	"strings"

	"keeler/core/fault"
)

// Fault tells what is wrong with an input, and how to mend it.
func Fault(f fault.Fault) string {
	if text, ok := said.AtField[f.Field]; ok && f.Reason == fault.Missing {
		return text
	}
	if f.Field == "uptake_g" && f.Reason == fault.Missing {
		return "Weigh one dry and one soaked: the difference is what a piece takes up." + possible(f)
	}
	return bySort(f) + possible(f)
}

// Faults tells all that is wrong with one thing.
func Faults(l fault.List) string {
	texts := make([]string, len(l))
	for i, f := range l {
		texts[i] = Fault(f)
	}
	return strings.Join(texts, " ")
}

func bySort(f fault.Fault) string {
	if strings.HasSuffix(f.Field, "basis") && (f.Reason == fault.Missing || f.Reason == fault.Unknown) {
		return "Say whether the label counts dihydrate or anhydrous: the two differ by 1.4, so it is not guessed."
	}
	if strings.HasSuffix(f.Field, "override") && f.Reason == fault.Missing {
		return "Say why you treat it anyway: the reason stays in the record."
	}
	text, known := said.Faults[f.Reason]
	if !known {
		return "Not one of the known choices."
	}
	return fill(text, func(blank string) string {
		switch blank {
		case "low":
			return figure(f.Low)
		case "high":
			return figure(f.High)
		case "times":
			return times(f.Low)
		}
		return f.Unit
	})
}

func times(n float64) string {
	switch n {
	case 2:
		return "twice"
	case 5:
		return "five times"
	}
	return figure(n) + " times"
}

func possible(f fault.Fault) string {
	if f.High <= f.Low || f.Reason == fault.Doubtful || f.Reason == fault.OffRecipe || f.Reason == fault.TooLong || f.Reason == fault.Early {
		return ""
	}
	figures := 3
	if f.Unit == "g/mL" { // a density lives in its fourth figure
		figures = 4
	}
	// The range shown is rounded inward, so that its ends are accepted.
	low, high := tidy(f.Low, figures, math.Ceil), tidy(f.High, figures, math.Floor)
	return strings.TrimRight(fmt.Sprintf(" Possible: %s to %s %s", low, high, f.Unit), " ") + "."
}
