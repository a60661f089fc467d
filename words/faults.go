package words

import (
	"fmt"
	"math"
	"strings"

	"keeler/core/fault"
)

// Fault tells what is wrong with an input, and how to mend it.
func Fault(f fault.Fault) string {
	if text, ok := atField[f.Field]; ok && f.Reason == fault.Missing {
		return text
	}
	if f.Field == "uptake_g" && f.Reason == fault.Missing {
		return "Weigh one dry and one soaked: the difference is what a piece takes up." + possible(f)
	}
	return bySort(f) + possible(f)
}

// atField answers what is missing where a range would not help.
var atField = map[string]string{
	"colonies":      "Nobody gets anything yet: tap the gaps that hold bees, or size the batch another way.",
	"mean.seams":    "Give the seams counted over all colonies.",
	"mean.colonies": "Say how many colonies there are.",
	"name":          "Give it a name.",
	"child.name":    "Give it a name.",
	"reason":        "Say why: it stays with the entry.",
	"hold.card":     "Copy the label: how much or how many for which colony.",
	"hold.kind":     "Say what you hold.",
	"strength.by":   "Choose a standard recipe or give a strength.",
	"size.by":       "Choose what settles the amount.",
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
	text, known := faults[f.Reason]
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

// faults have the range as {low} and {high}, its unit as {unit}, and a multiple as {times}.
var faults = map[fault.Reason]string{
	fault.Missing:    "A figure is needed here.",
	fault.NotFinite:  "This is not a number.",
	fault.TooLow:     "Too low.",
	fault.TooHigh:    "Too high.",
	fault.NoGap:      "No comb on either side here.",
	fault.TooMany:    "Too many.",
	fault.NotFitting: "This does not go with the rest of what is given.",
	fault.Insoluble:  "More acid than stays dissolved at room temperature.",
	fault.Upward:     "Thinning cannot make it stronger than what is in the bottle.",
	fault.SugarRange: "Cannot be reached by adding water and sugar.",
	fault.WholeOnly:  "Only whole {unit}.",
	fault.NotRising:  "Rows must rise.",
	fault.Overfull:   "More than this pot takes and still comes out right: weigh less of it in, or make a larger pot.",
	fault.UpsideDown: "More acid than any standard recipe puts into that glycerol. Are the two figures the wrong way round?",
	fault.Future:     "This day has not come yet.",
	fault.NoDate:     "Write the day as year-month-day, such as 2026-12-04.",
	fault.NoSpan:     "Write both as month and day, such as 12-01 and 01-10.",
	fault.Early:      "It has been in for {low} of {high} days. If it is to come out already, say yes.",
	fault.NotText:    "This is not a table as text: save it as CSV in UTF-8.",
	fault.NoColumn:   "This column is missing in the first row: yard, colony and boxes must be there.",
	fault.BrokenRow:  "This row does not keep to the columns: a quotation mark or separator is amiss.",
	fault.NoHive:     "Write the boxes from the floor up, such as deep 10 + medium 10.",
	fault.NoCount:    "Entry {low} is not a count for this hive. Type counts like 6, 5½ or 5.5 with spaces between; for two boxes 7+4, the lower first.",
	fault.YesOrNo:    "Write yes or no.",
	fault.Taken:      "Another one has this name already.",
	fault.Doubtful:   "Really? This is {times} what is wanted here, {high} g, or more. Look again; if it is so, say yes.",
	fault.OffRecipe:  "What was weighed is more than 5 % off the recipe. Correct it, throw it away, or say that it is to be used as it is.",
	fault.BasisShare: "71.4 % is what pure dihydrate holds counted as anhydrous, not a purity. Pure crystals are 100 %. If " +
		"your powder really is 71.4 % acid, say so.",
	fault.Filler:    "That would be more filler than the syrup has sugar. Is this really the share of acid in the powder?",
	fault.TooStrong: "More acid than bees should ever get.",
	fault.TooLong:   "Too long: use at most {high} characters.",
	fault.Ended:     "This batch is finished: nothing more happens to it at the bench.",
	fault.Unsteady:  "The balance does not stand still on this weight: wait for it to settle, or type what you read.",
	fault.NoTemp:    "A density says nothing without its temperature: 10 °C shift it by 6 % near 85 %.",
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
