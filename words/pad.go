package words

import (
	"keeler/core/method/pad"
	"keeler/core/note"
)

func padNote(n note.Note) string {
	at := func(i int) string { return figure(n.Figures[i]) }
	who := names(n.Colonies)
	switch n.Code {
	case pad.NoteWeak:
		return "At " + at(0) + " % it is weaker than any standard way works with (" + at(1) + " %): too little may evaporate."
	case pad.NoteStrong:
		return "At " + at(0) + " % it is stronger than any standard way works with (" + at(1) + " %): it can kill queens and brood."
	case pad.NoteFuming:
		return "Acid of " + at(0) + " % fumes far more than the " + at(1) + " % that keepers are sold. Leave it to those who have a hood."
	case pad.NoteReading:
		return "By its density the stock is " + at(0) + " ± " + at(1) + " %, and what is made of it is as unsure."
	case pad.NoteScaled:
		return "The amount is meant in " + at(0) + " % acid: " + at(2) + " mL of that hold the same as " + at(3) + " mL of " + at(1) + " %."
	case pad.NoteSpoons:
		spoons := at(0) + " tablespoons are "
		if n.Figures[0] == 1 {
			spoons = "a tablespoon is "
		}
		return "Never by the spoon: " + spoons + at(1) + ", " + at(2) + " or " + at(3) + " mL, by country, and the dose is " + at(4) + " mL."
	case pad.NoteCap:
		return who + "the rule asks up to " + at(0) + " mL; the cap stops at " + at(1) + " mL."
	case pad.NoteShort:
		return "One visit takes " + at(0) + " mL, the batch is " + at(1) + " mL: it runs short."
	case pad.NoteHolding:
		return "This takes " + at(0) + " " + n.Unit + " more than you hold."
	case pad.NoteVisits:
		return at(0) + " visits are fewer than the " + at(1) + " of the standard way: mites under caps are missed."
	case pad.NoteApart:
		return at(0) + " days apart: the standard way keeps to " + at(1) + " to " + at(2) + " days, so that no mite has time to breed."
	case pad.NoteBoxHigh:
		return who + "up to " + at(0) + " g of pure acid on a box at once; above " + at(1) + " g queens and brood are at risk."
	case pad.NoteAllHigh:
		return who + "up to " + at(0) + " g of pure acid on a box over all visits; above " + at(1) + " g is more than any established course gives."
	case pad.NoteMany:
		return at(0) + " visits are more than the " + at(1) + " that any established course has: each one costs brood and queens."
	case pad.NoteNuc:
		return who + "a nuc gets its part by combs of an amount meant for ten."
	case pad.NoteNoNuc:
		return who + "a nuc, and the label card says nothing of nucs: nothing is counted. Read the label again."
	case pad.NoteBalance:
		return "A balance that reads " + at(0) + " g puts ± " + figure(100*n.Figures[1]) + " % on the acid: borrow a finer one, or make more."
	}
	return string(n.Code)
}
