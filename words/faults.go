package words

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"keeler/core/fault"
)

// Fault tells what is wrong with an input, and how to mend it.
func Fault(f fault.Fault) string {
	usable := possible(f)
	if usable != "" && (f.Reason == fault.TooLow || f.Reason == fault.TooHigh) {
		return usable // which side it lies on can be seen
	}
	return strings.TrimSpace(sentence(f) + " " + usable)
}

// InFile tells what is wrong with a cell of a file: which column lacks a value, or which words it takes.
func InFile(f fault.Fault, column, allowed string) string {
	name := strings.ReplaceAll(column, "_", " ")
	switch {
	case f.Reason == fault.Missing && column != "":
		return fill(said.Faults["missing_in_file"], func(string) string { return name })
	case f.Reason == fault.Unknown && column == "colony":
		return said.Faults["no_such_hive"]
	case f.Reason == fault.Unknown && allowed != "":
		return fill(said.Faults["allowed_in_file"], func(string) string { return allowed })
	}
	return Fault(f)
}

// Faults tells all that is wrong with one thing.
func Faults(l fault.List) string {
	texts := make([]string, len(l))
	for i, f := range l {
		texts[i] = Fault(f)
	}
	return strings.Join(texts, " ")
}

func sentence(f fault.Fault) string {
	text, asked := said.AtField[f.Field]
	missing := f.Reason == fault.Missing
	switch {
	case asked && missing:
		return text
	case strings.HasSuffix(f.Field, "basis") && (missing || f.Reason == fault.Unknown):
		return said.AtField["basis"]
	case strings.HasSuffix(f.Field, "override") && missing:
		return said.AtField["override"]
	}
	return fill(cmp.Or(said.Faults[f.Reason], said.Faults[fault.Unknown]), func(blank string) string {
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
	told := []fault.Reason{fault.Doubtful, fault.OffRecipe, fault.TooLong, fault.Early, fault.CutShort} // in the sentence
	if f.High <= f.Low || slices.Contains(told, f.Reason) {
		return ""
	}
	figures := 3
	if f.Unit == "g/mL" { // a density lives in its fourth figure
		figures = 4
	}
	// The range shown is rounded inward, so that its ends are accepted.
	low, high := tidy(f.Low, figures, math.Ceil), tidy(f.High, figures, math.Floor)
	if f.Unit == "characters" && f.Reason == fault.TooLow {
		return fmt.Sprintf("Use at least %s characters.", low)
	}
	return strings.TrimRight(fmt.Sprintf("Use %s to %s %s", low, high, f.Unit), " ") + "."
}
