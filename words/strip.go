package words

import (
	"keeler/core/method/strip"
	"keeler/core/note"
)

func stripNote(n note.Note) string {
	at := func(i int) string { return figure(n.Figures[i]) }
	who := names(n.Colonies)
	switch n.Code {
	case strip.NoteWeak:
		return "At " + at(0) + " % acid by weight the liquor is weaker than the weakest standard recipe (" + at(1) + " %): strips may not last six weeks."
	case strip.NoteStrong:
		return "At " + at(0) + " % acid by weight the liquor is stronger than any standard recipe (" + at(1) + " %): it may set before it soaks in."
	case strip.NoteUptake:
		return at(0) + " g in a strip is more than the " + at(1) + " g that the trade’s pot has to give: weigh ten dry and ten soaked."
	case strip.NoteHot:
		return at(0) + " °C is hotter than the usual " + at(1) + " °C: never above 77, the acid breaks down and gives off gas."
	case strip.NoteShort:
		return "The hives ask for " + at(0) + ", this pot does " + at(1) + ": it runs short."
	case strip.NoteCarried:
		return "What is carried over has " + at(0) + " % acid and the pot comes out at " + at(1) + " %: the new acid and glycerol make up for it."
	case strip.NoteBalance:
		return "A balance that reads " + at(0) + " g puts ± " + figure(100*n.Figures[1]) + " % on the acid: borrow a finer one, or make more."
	case strip.NoteGaps:
		return who + "up to " + at(0) + " wanted, " + at(1) + " placed: no more gaps of the nest lie two frames apart."
	case strip.NoteMost:
		return who + "the bees ask for up to " + at(0) + "; the rule stops at " + at(1) + "."
	case strip.NoteNoGap:
		return who + "no gap between two combs has bees in it, so none is placed. Look again, or tap a gap."
	case strip.NoteBoxHigh:
		return who + "up to " + at(0) + " g of acid in a brood box; above " + at(1) + " g is more than any established number of strips brings."
	case strip.NoteHiveHigh:
		return who + "up to " + at(0) + " g of acid in a colony; above " + at(1) + " g is more than any established number of strips brings."
	case strip.NoteWater:
		return at(0) + " % of this glycerol is water, " + at(1) + " g in the pot. It is weighed as part of the glycerol; the strips hold less glycerol, so they may drip more and give off their acid sooner."
	case strip.NoteClose:
		return who + "placed by hand with fewer than two frames between: the bees there get twice as much."
	case strip.NoteOutside:
		return who + "placed by hand where neither bees nor brood were seen: bees must walk over it."
	case strip.NoteUnlooked:
		return who + "no seams marked, so the middle of the box is taken for the nest. Look before placing."
	case strip.NoteNoBees:
		return who + "no seams marked, so no strip is counted: mark them, or count by box."
	}
	return string(n.Code)
}
