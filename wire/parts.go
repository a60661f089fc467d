// Package wire holds the request and answer types of Keeler's calculations and
// turns them into core's types and back. It is shared by the HTTP API and by
// any other build that speaks the same JSON; it knows neither HTTP nor SQL.
//
// Names carry their units. Ranges are checked by core alone; the descriptions
// repeat them for readers of the OpenAPI document.
package wire

import (
	"errors"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/mixing"
	"keeler/core/note"
	"keeler/words"
)

// What core tells as it is.
type (
	Line = mixing.Line
	Note = note.Note
)

// round cleans a figure of binary dust.
func round[T ~float64](v T) float64 { return chem.Clean(v) }

// Round is round, for what is added up outside.
func Round(v float64) float64 { return round(v) }

func gear(in []mixing.Gear) []string {
	out := make([]string, len(in))
	for i, g := range in {
		out[i] = string(g)
	}
	return out
}

// said is the notes of a method's plan with their words.
func said(of method.Name, in []Note) []Note {
	out := make([]Note, len(in))
	for i, n := range in {
		n.Text = words.Note(of, n)
		out[i] = n
	}
	return out
}

// refield rewrites the fields of an error that is a fault.List; nil stays nil.
func refield(err error, rewrite func(string) string) error {
	var l fault.List
	if !errors.As(err, &l) {
		return err
	}
	for i := range l {
		l[i].Field = rewrite(l[i].Field)
	}
	return l
}
