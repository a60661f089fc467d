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
	switch f.Reason {
	case fault.Missing:
		return "A figure is needed here."
	case fault.NotFinite:
		return "This is not a number."
	case fault.TooLow:
		return "Too low."
	case fault.TooHigh:
		return "Too high."
	case fault.NoGap:
		return "No comb on either side here."
	case fault.TooMany:
		return "Too many."
	case fault.NotFitting:
		return "This does not go with the rest of what is given."
	case fault.Insoluble:
		return "More acid than stays dissolved at room temperature."
	case fault.Upward:
		return "Thinning cannot make it stronger than what is in the bottle."
	case fault.SugarRange:
		return "Cannot be reached by adding water and sugar."
	case fault.WholeOnly:
		return "Only whole " + f.Unit + "."
	case fault.NotRising:
		return "Rows must rise."
	case fault.Overfull:
		return "More than this pot takes and still comes out right: weigh less of it in, or make a larger pot."
	case fault.UpsideDown:
		return "More acid than any standard recipe puts into that glycerol. Are the two figures the wrong way round?"
	case fault.Future:
		return "This day has not come yet."
	case fault.NoDate:
		return "Write the day as year-month-day, such as 2026-12-04."
	case fault.NoSpan:
		return "Write both as month and day, such as 12-01 and 01-10."
	case fault.Early:
		return "It has been in for " + figure(f.Low) + " of " + figure(f.High) + " days. If it is to come out already, say yes."
	case fault.NotText:
		return "This is not a table as text: save it as CSV in UTF-8."
	case fault.NoColumn:
		return "This column is missing in the first row: yard, colony and boxes must be there."
	case fault.BrokenRow:
		return "This row does not keep to the columns: a quotation mark or separator is amiss."
	case fault.NoHive:
		return "Write the boxes from the floor up, such as deep 10 + medium 10."
	case fault.NoCount:
		return "Number " + figure(f.Low) + " is no count for this hive: type such as 6, 5½ or 5.5 with spaces between, and 7+4 for two boxes, the lower first."
	case fault.YesOrNo:
		return "Write yes or no."
	case fault.Taken:
		return "Another one has this name already."
	case fault.Doubtful:
		return "Really? This is " + times(f.Low) + " what is wanted here, " + figure(f.High) + " g, or more. Look again; if it is so, say yes."
	case fault.OffRecipe:
		return "What was weighed is more than 5 % off the recipe. Correct it, throw it away, or say that it is to be used as it is."
	case fault.BasisShare:
		return "71.4 % is what pure dihydrate holds counted as anhydrous, not a purity. Pure crystals are 100 %. If your powder really is 71.4 % acid, say so."
	case fault.Filler:
		return "That would be more filler than the syrup has sugar. Is this really the share of acid in the powder?"
	case fault.TooStrong:
		return "More acid than bees should ever get."
	case fault.TooLong:
		return "Too long: use at most " + figure(f.High) + " characters."
	case fault.Ended:
		return "This batch is finished: nothing more happens to it at the bench."
	case fault.Unsteady:
		return "The balance does not stand still on this weight: wait for it to settle, or type what you read."
	case fault.NoTemp:
		return "A density says nothing without its temperature: 10 °C shift it by 6 % near 85 %."
	}
	return "Not one of the known choices."
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
