package words

import (
	"keeler/core/method"
	"keeler/core/note"
)

// notes are the words of each method's notes.
var notes = map[method.Name]func(note.Note) string{
	method.Dribble: dribbleNote, method.Strip: stripNote, method.Pad: padNote,
}

// Note tells a note of a method's plan.
func Note(m method.Name, n note.Note) string { return notes[m](n) }
