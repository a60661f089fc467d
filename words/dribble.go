package words

import (
	"keeler/core/method/dribble"
	"keeler/core/note"
)

func dribbleNote(n note.Note) string {
	at := func(i int) string { return figure(n.Figures[i]) }
	percent := func(i int) string { return figure(n.Figures[i] * 100) }
	who := names(n.Colonies)
	switch n.Code {
	case dribble.NoteWeak:
		return "At " + at(0) + " g/L it is weaker than the mildest standard recipe (" + at(1) + " g/L): it may not kill enough mites."
	case dribble.NoteStrong:
		return "At " + at(0) + " g/L it is stronger than any standard recipe (" + at(1) + " g/L): it can harm bees. Check dihydrate against anhydrous."
	case dribble.NoteSeamLow:
		return who + at(0) + " mg acid in a full seam; below about " + at(1) + " mg it may not kill enough mites."
	case dribble.NoteSeamHigh:
		return who + "up to " + at(0) + " mg of acid in a seam; above about " + at(1) + " mg it is hard on bees. Dose by the seam, or mix it weaker."
	case dribble.NoteUnder:
		finer := "use a syringe"
		if n.Figures[2] > 0 {
			finer = "use a finer syringe"
		}
		return who + at(0) + " mL short, since this dose is never rounded up: " + finer + "."
	case dribble.NoteBelow:
		return who + seams(n.Figures[0]) + " below " + isAre(n.Figures[0]) + " not reached: open the boxes."
	case dribble.NoteLabel:
		return "This is the strength of the packet’s own label: " + at(0) + " g/L. The strongest standard recipe here has " + at(1) + " g/L."
	case dribble.NoteOther:
		return "The label card names an acid that Keeler does not know: bicarbonate and record count the oxalic and formic acid alone."
	case dribble.NoteCap:
		return who + "the seams ask up to " + at(0) + " mL; " + at(1) + " mL is given, shared over all seams."
	case dribble.NoteBigCap:
		return "The maximum is set to " + at(0) + " mL; every standard recipe stops at " + at(1) + " mL a colony."
	case dribble.NoteMean:
		return at(0) + " seams a colony is a mean. A colony of over " + at(1) + " seams is capped and takes less than this sum, and the mean hides it: count singly to know."
	case dribble.NoteShort:
		return "The doses come to " + at(0) + " mL, the batch to " + at(1) + " mL: it runs short."
	case dribble.NoteHolding:
		return "This batch takes " + at(0) + " " + n.Unit + " more than you hold."
	case dribble.NoteCrystals:
		return "Colder than " + degrees(n.Figures[0]) + " °C crystals can fall out" + crystalPlace(n) + ": the first hives get too little and the last too much. Carry it insulated; rewarm and stir clear before use."
	case dribble.NoteRatio:
		return at(0) + " g sugar to 1 g water: bees drink a sweeter syrup, and a thinner one runs off; the standard recipes keep 1 : 1."
	case dribble.NoteBalance:
		return "A balance that reads " + at(0) + " g puts ± " + percent(1) + " % on the acid: borrow a finer one, or make more."
	case dribble.NoteNoBees:
		return who + "no seams marked, so nothing is given."
	case dribble.NoteTablets:
		return "Whole tablets give " + at(0) + " g/L instead of " + at(1) + " g/L."
	case dribble.NoteSteps:
		return who + "steps of " + at(0) + " mL put the dose up to " + percent(1) + " % off: a finer applicator would do better."
	case dribble.NoteBeyond:
		return who + "up to " + at(0) + " bees, more than the last row of the label; " + at(1) + " mL is taken. Read the label again."
	case dribble.NoteNoOxalic:
		return "The label card names no oxalic acid, so no strength is shown."
	}
	return string(n.Code)
}

// crystalPlace says where crystals are to be feared: figure 1 is the fridge, 2 the yard.
func crystalPlace(n note.Note) string {
	switch {
	case n.Figures[1] > 0 && n.Figures[2] > 0:
		return ", in the fridge and in the yard"
	case n.Figures[1] > 0:
		return ", so in the fridge"
	}
	return ", so in the yard"
}
