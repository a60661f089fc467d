package words

import (
	"keeler/core/method/dribble"
	"keeler/core/note"
)

var dribbleNotes = map[note.Code]string{
	dribble.NoteWeak: "At {0} g/L it is weaker than the mildest standard recipe ({1} g/L): it may not kill enough mites.",
	dribble.NoteStrong: "At {0} g/L it is stronger than any standard recipe ({1} g/L): it can harm bees. " +
		"Check dihydrate against anhydrous.",
	dribble.NoteSeamLow:          "{who}{0} mg acid in a full seam; below about {1} mg it may not kill enough mites.",
	dribble.NoteSeamHigh:         "{who}up to {0} mg of acid in a seam; above about {1} mg it is hard on bees. Dose by the seam, or mix it weaker.",
	dribble.NoteUnder:            "{who}{0} mL short, since this dose is never rounded up: use a syringe.",
	dribble.NoteUnder + ":finer": "{who}{0} mL short, since this dose is never rounded up: use a finer syringe.",
	dribble.NoteBelow:            "{who}{0 seams} below are not reached: open the boxes.",
	dribble.NoteBelow + ":one":   "{who}{0 seams} below is not reached: open the boxes.",
	dribble.NoteLabel:            "This is the strength of the packet’s own label: {0} g/L. The strongest standard recipe here has {1} g/L.",
	dribble.NoteOther: "The label card names an acid that Keeler does not know: bicarbonate and record " +
		"count the oxalic and formic acid alone.",
	dribble.NoteCap:    "{who}the seams ask up to {0} mL; {1} mL is given, shared over all seams.",
	dribble.NoteBigCap: "The maximum is set to {0} mL; every standard recipe stops at {1} mL a colony.",
	dribble.NoteMean: "{0} seams a colony is a mean. A colony of over {1} seams is capped and takes less " +
		"than this sum, and the mean hides it: count singly to know.",
	dribble.NoteShort:   "The doses come to {0} mL, the batch to {1} mL: it runs short.",
	dribble.NoteHolding: "This batch takes {0} {unit} more than you hold.",
	dribble.NoteCrystals: "Colder than {0 degrees} °C crystals can fall out, so in the yard: the first hives " +
		"get too little and the last too much. Carry it insulated; rewarm and stir clear before use.",
	dribble.NoteCrystals + ":fridge": "Colder than {0 degrees} °C crystals can fall out, so in the fridge: the first hives " +
		"get too little and the last too much. Carry it insulated; rewarm and stir clear before use.",
	dribble.NoteCrystals + ":both": "Colder than {0 degrees} °C crystals can fall out, in the fridge and in the yard: " +
		"the first hives get too little and the last too much. Carry it insulated; rewarm and stir clear before use.",
	dribble.NoteRatio: "{0} g sugar to 1 g water: bees drink a sweeter syrup, and a thinner one runs off; " +
		"the standard recipes keep 1 : 1.",
	dribble.NoteBalance:  "A balance that reads {0} g puts ± {1 percent} % on the acid: borrow a finer one, or make more.",
	dribble.NoteNoBees:   "{who}no seams marked, so nothing is given.",
	dribble.NoteTablets:  "Whole tablets give {0} g/L instead of {1} g/L.",
	dribble.NoteSteps:    "{who}steps of {0} mL put the dose up to {1 percent} % off: a finer applicator would do better.",
	dribble.NoteBeyond:   "{who}up to {0} bees, more than the last row of the label; {1} mL is taken. Read the label again.",
	dribble.NoteNoOxalic: "The label card names no oxalic acid, so no strength is shown.",
}
