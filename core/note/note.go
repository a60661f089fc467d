// Package note names what a keeper should know about a plan that can be done.
// Like package fault it carries codes and figures; its callers find the words.
package note

// Code names one kind of note; each method lists its own and their figures.
type Code string

// Note is one thing to know, and the colonies it is about.
type Note struct {
	Code     Code      `json:"code"`
	Warn     bool      `json:"warn,omitempty" doc:"The keeper should act on it or decide about it."`
	Figures  []float64 `json:"figures,omitempty"`
	Unit     string    `json:"unit,omitempty" doc:"Of the first figure, where it goes by what is held."`
	Colonies []string  `json:"colonies,omitempty"`
	Text     string    `json:"text" doc:"The same in words, which core leaves to others."`
}

// In says in what unit its first figure is.
func (n Note) In(unit string) Note {
	n.Unit = unit
	return n
}

// Raise names a colony and keeps the largest first figure.
func (n *Note) Raise(colony string, figure float64) {
	n.Colonies = append(n.Colonies, colony)
	n.Figures[0] = max(n.Figures[0], figure)
}

// Info is a note that only explains.
func Info(code Code, figures ...float64) Note { return Note{Code: code, Figures: figures} }

// Warning is a note that the keeper should act on or decide about.
func Warning(code Code, figures ...float64) Note {
	return Note{Code: code, Warn: true, Figures: figures}
}
