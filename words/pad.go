package words

import (
	"keeler/core/method/pad"
	"keeler/core/note"
)

var padNotes = map[note.Code]string{
	pad.NoteWeak:            "At {0} % it is weaker than any standard way works with ({1} %): too little may evaporate.",
	pad.NoteStrong:          "At {0} % it is stronger than any standard way works with ({1} %): it can kill queens and brood.",
	pad.NoteFuming:          "Acid of {0} % fumes far more than the {1} % that keepers are sold. Leave it to those who have a hood.",
	pad.NoteReading:         "By its density the stock is {0} ± {1} %, and what is made of it is as unsure.",
	pad.NoteScaled:          "The amount is meant in {0} % acid: {2} mL of that hold the same as {3} mL of {1} %.",
	pad.NoteSpoons:          "Never by the spoon: {0} tablespoons are {1}, {2} or {3} mL, by country, and the dose is {4} mL.",
	pad.NoteSpoons + ":one": "Never by the spoon: a tablespoon is {1}, {2} or {3} mL, by country, and the dose is {4} mL.",
	pad.NoteCap:             "{who}the rule asks up to {0} mL; the cap stops at {1} mL.",
	pad.NoteShort:           "One visit takes {0} mL, the batch is {1} mL: it runs short.",
	pad.NoteHolding:         "This takes {0} {unit} more than you hold.",
	pad.NoteVisits:          "{0} visits are fewer than the {1} of the standard way: mites under caps are missed.",
	pad.NoteApart:           "{0} days apart: the standard way keeps to {1} to {2} days, so that no mite has time to breed.",
	pad.NoteBoxHigh:         "{who}up to {0} g of pure acid on a box at once; above {1} g queens and brood are at risk.",
	pad.NoteAllHigh:         "{who}up to {0} g of pure acid on a box over all visits; above {1} g is more than any established course gives.",
	pad.NoteMany:            "{0} visits are more than the {1} that any established course has: each one costs brood and queens.",
	pad.NoteNuc:             "{who}a nuc gets its part by combs of an amount meant for ten.",
	pad.NoteNoNuc:           "{who}a nuc, and the label card says nothing of nucs: nothing is counted. Read the label again.",
	pad.NoteBalance:         "A balance that reads {0} g puts ± {1 percent} % on the acid: borrow a finer one, or make more.",
}
