package mites

import (
	"keeler/core/calendar"
	"keeler/core/fault"
)

// Line is where a keeper acts in one season: mites per 100 bees of a wash, mites
// a day on a board. 0 means that there is no agreed line.
type Line struct{ Wash, Board float64 }

// Lines are the lines of a keeper by season.
type Lines [calendar.Seasons]Line

// Trade is the trade's rule: 3 per 100 bees, 2 in spring; 10 a day on the board
// in late summer and 1 in midwinter. Between those two there is no agreed line
// for the board, and none is made up here.
var Trade = Lines{
	calendar.Winter:      {Wash: 3, Board: 1},
	calendar.Spring:      {Wash: 2},
	calendar.EarlySummer: {Wash: 3},
	calendar.LateSummer:  {Wash: 3, Board: 10},
	calendar.Autumn:      {Wash: 3},
}

// Of is the line for a kind of count, 0 when there is none.
func (l Line) Of(k Kind) float64 {
	if k == Board {
		return l.Board
	}
	return l.Wash
}

// Check names a line that cannot be: washes 0 to 50 per 100, boards 0 to 500 a day.
func (l Lines) Check() error {
	var faults fault.List
	for i, line := range l {
		before := len(faults)
		faults.Within("wash", line.Wash, 0, 50, "per 100 bees")
		faults.Within("board", line.Board, 0, 500, "a day")
		faults.Beneath(before, "lines", i)
	}
	return faults.Err()
}

// Standing is how a count stands to the line.
type Standing string

const (
	Over       Standing = "over"        // the whole interval lies above the line
	Near       Standing = "near"        // the line lies within a narrow interval
	Under      Standing = "under"       // the whole interval lies below the line
	CannotTell Standing = "cannot_tell" // the line lies within a wide interval: count more
	NoLine     Standing = "no_line"     // there is no line for such a count in this season
	Uncounted  Standing = "uncounted"   // there is no count
)

// A count tells where a colony stands once its upper end is at most wide times
// its lower: from about eight mites on. Fewer are chance as much as mites.
const wide = 5

// enough is the number of mites that makes an interval narrow.
const enough = 8

// Stand holds a rate against a line.
func (r Rate) Stand(line float64) Standing {
	switch {
	case line <= 0:
		return NoLine
	case r.Low > line:
		return Over
	case r.High < line:
		return Under
	case r.High <= wide*r.Low:
		return Near
	}
	return CannotTell
}

// Enough is how long a board must lie, in days, or how many bees a sample must
// hold, for a colony at the line to show enough mites to tell.
func (l Line) Enough(k Kind) float64 {
	if k == Board {
		return enough / l.Board
	}
	return 100 * enough / l.Wash
}
