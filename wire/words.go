package wire

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"keeler/core/fault"
	"keeler/core/syrup"
)

// The English of every verdict stands in this file.

// Say puts a fault into words that say how to mend it.
func Say(f fault.Fault) string {
	if text, ok := atField[f.Field]; ok && f.Reason == fault.Missing {
		return text
	}
	return bySort(f) + possible(f)
}

// atField answers what is missing where a range would not help.
var atField = map[string]string{
	"colonies":    "No seams yet: tap the gaps that hold bees, or size the batch by volume.",
	"mean.seams":  "Give the seams counted over all colonies.",
	"hold.card":   "Copy the label: up to how many bees, how many mL.",
	"hold.kind":   "Say what you hold.",
	"strength.by": "Choose a school or give a strength.",
	"size.by":     "Choose what settles the volume.",
}

func bySort(f fault.Fault) string {
	if strings.HasSuffix(f.Field, "basis") {
		return "Say whether the label counts dihydrate or anhydrous: the two differ by 1.4, so it is not guessed."
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
		return "No comb on either side here, so no seam."
	case fault.TooMany:
		return "Too many."
	case fault.NotFitting:
		return "This does not go with what you hold."
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
	}
	return "Not one of the known choices."
}

func possible(f fault.Fault) string {
	if f.High <= f.Low {
		return ""
	}
	// The range shown is rounded inward, so that its ends are accepted.
	low, high := tidy(f.Low, math.Ceil), tidy(f.High, math.Floor)
	return strings.TrimRight(fmt.Sprintf(" Possible: %s to %s %s", low, high, f.Unit), " ") + "."
}

// tidy writes a figure with three figures or so, rounded by a rule.
func tidy(v float64, rule func(float64) float64) string {
	scale := 1.0
	for math.Abs(v)*scale < 100 && scale < 1000 {
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

func figure(v float64) string { return tidy(v, math.Round) }

// units is how each kind of thing held is counted.
var units = map[syrup.HoldKind]string{
	syrup.Crystals: "g", syrup.Packet: "packets", syrup.Tablets: "tablets",
	syrup.ReadyMix: "mL", syrup.ReadyToUse: "mL",
}

func notes(in []syrup.Note, held syrup.HoldKind) []Note {
	out := make([]Note, len(in))
	for i, n := range in {
		out[i] = Note{Code: string(n.Code), Level: "info", Text: sayNote(n, held), Colonies: n.Colonies}
		if n.Warn {
			out[i].Level = "warn"
		}
	}
	return out
}

func sayNote(n syrup.Note, held syrup.HoldKind) string {
	at := func(i int) string { return figure(n.Figures[i]) }
	percent := func(i int) string { return figure(n.Figures[i] * 100) }
	who := names(n.Colonies)
	switch n.Code {
	case syrup.NoteWeak:
		return "At " + at(0) + " g/L it is weaker than the mildest school (" + at(1) + " g/L): it may not kill enough mites."
	case syrup.NoteStrong:
		return "At " + at(0) + " g/L it is stronger than any school (" + at(1) + " g/L): it can harm bees. Check dihydrate against anhydrous."
	case syrup.NoteSeamLow:
		return who + at(0) + " mg acid in a full seam; below about " + at(1) + " mg it may not kill enough mites."
	case syrup.NoteSeamHigh:
		return who + at(0) + " mg acid in a full seam; above about " + at(1) + " mg it is hard on bees. Dose by seam, or thinner."
	case syrup.NoteCap:
		return who + "the seams ask up to " + at(0) + " mL; " + at(1) + " mL is given, shared over all seams."
	case syrup.NoteBigCap:
		return "The cap is set to " + at(0) + " mL; every school stops at " + at(1) + " mL a colony."
	case syrup.NoteMean:
		return at(0) + " seams a colony is a mean. A colony of over " + at(1) + " seams is capped and takes less than this sum, and the mean hides it: count singly to know."
	case syrup.NoteShort:
		return "The doses come to " + at(0) + " mL, the batch to " + at(1) + " mL: it runs short."
	case syrup.NoteHolding:
		return "This batch takes " + at(0) + " " + units[held] + " more than you hold."
	case syrup.NoteCrystals:
		return "Colder than " + at(0) + " °C crystals can fall out" + place(n) + ": the first hives get too little and the last too much. Carry it insulated; rewarm and stir clear before use."
	case syrup.NoteRatio:
		return at(0) + " g sugar to 1 g water: bees drink a sweeter syrup, and a thinner one runs off; the schools keep 1 : 1."
	case syrup.NoteBalance:
		return "A balance that reads " + at(0) + " g puts ± " + percent(1) + " % on the acid: borrow a finer one, or make more."
	case syrup.NoteNoBees:
		return who + "no seams marked, so nothing is given."
	case syrup.NoteTablets:
		return "Whole tablets give " + at(0) + " g/L instead of " + at(1) + " g/L."
	case syrup.NoteSteps:
		return who + "steps of " + at(0) + " mL put the dose up to " + percent(1) + " % off: a finer applicator would do better."
	case syrup.NoteBeyond:
		return who + "up to " + at(0) + " bees, more than the last row of the label; " + at(1) + " mL is taken. Read the label again."
	case syrup.NoteNoOxalic:
		return "The label card names no oxalic acid, so no strength is shown."
	}
	return string(n.Code)
}

// place says where crystals are to be feared: figure 1 is the fridge, 2 the yard.
func place(n syrup.Note) string {
	switch {
	case n.Figures[1] > 0 && n.Figures[2] > 0:
		return ", in the fridge and in the yard"
	case n.Figures[1] > 0:
		return ", so in the fridge"
	}
	return ", so in the yard"
}

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
