package words

import (
	"strings"

	"keeler/core/method"
	"keeler/core/method/dribble"
	"keeler/core/method/pad"
	"keeler/core/note"
)

// Note tells a note of a method's plan; of one that nobody gave words it tells the code.
func Note(m method.Name, n note.Note) string {
	text, known := said.Notes[m][n.Code+variantOf(n)]
	if !known {
		text, known = said.Notes[m][n.Code]
	}
	if !known {
		return string(n.Code)
	}
	return fill(text, func(blank string) string {
		switch blank {
		case "who":
			return names(n.Colonies)
		case "unit":
			return n.Unit
		}
		at, as, _ := strings.Cut(blank, " ")
		v := n.Figures[at[0]-'0']
		switch as {
		case "percent":
			return figure(100 * v)
		case "degrees":
			return degrees(v)
		case "seams":
			return seams(v)
		}
		return figure(v)
	})
}

// variantOf tells apart the sentences of one code.
func variantOf(n note.Note) note.Code {
	switch {
	case n.Code == dribble.NoteUnder && n.Figures[2] > 0:
		return ":finer"
	case n.Code == dribble.NoteBelow && n.Figures[0] <= 1, n.Code == pad.NoteSpoons && n.Figures[0] == 1:
		return ":one"
	case n.Code == dribble.NoteCrystals && n.Figures[1] > 0 && n.Figures[2] > 0: // the fridge, and the yard
		return ":both"
	case n.Code == dribble.NoteCrystals && n.Figures[1] > 0:
		return ":fridge"
	}
	return ""
}
