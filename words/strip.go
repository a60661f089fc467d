package words

import (
	"keeler/core/method/strip"
	"keeler/core/note"
)

var stripNotes = map[note.Code]string{
	strip.NoteWeak:     "At {0} % acid by weight the liquor is weaker than the weakest standard recipe ({1} %): strips may not last six weeks.",
	strip.NoteStrong:   "At {0} % acid by weight the liquor is stronger than any standard recipe ({1} %): it may set before it soaks in.",
	strip.NoteUptake:   "{0} g in a strip is more than the {1} g that the trade’s pot has to give: weigh ten dry and ten soaked.",
	strip.NoteHot:      "{0} °C is hotter than the usual {1} °C: never above 77, the acid breaks down and gives off gas.",
	strip.NoteShort:    "The hives ask for {0}, this pot does {1}: it runs short.",
	strip.NoteCarried:  "What is carried over has {0} % acid and the pot comes out at {1} %: the new acid and glycerol make up for it.",
	strip.NoteBalance:  "A balance that reads {0} g puts ± {1 percent} % on the acid: borrow a finer one, or make more.",
	strip.NoteGaps:     "{who}up to {0} wanted, {1} placed: no more gaps of the nest lie two frames apart.",
	strip.NoteMost:     "{who}the bees ask for up to {0}; the rule stops at {1}.",
	strip.NoteNoGap:    "{who}no gap between two combs has bees in it, so none is placed. Look again, or tap a gap.",
	strip.NoteBoxHigh:  "{who}up to {0} g of acid in a brood box; above {1} g is more than any established number of strips brings.",
	strip.NoteHiveHigh: "{who}up to {0} g of acid in a colony; above {1} g is more than any established number of strips brings.",
	strip.NoteWater: "{0} % of this glycerol is water, {1} g in the pot. It is weighed as part of the glycerol; the " +
		"strips hold less glycerol, so they may drip more and give off their acid sooner.",
	strip.NoteClose:    "{who}placed by hand with fewer than two frames between: the bees there get twice as much.",
	strip.NoteOutside:  "{who}placed by hand where neither bees nor brood were seen: bees must walk over it.",
	strip.NoteUnlooked: "{who}no seams marked, so the middle of the box is taken for the nest. Look before placing.",
	strip.NoteNoBees:   "{who}no seams marked, so no strip is counted: mark them, or count by box.",
}
