// Package mites turns counts of varroa mites into rates with their uncertainty
// and holds them against the thresholds at which keepers act.
package mites

import (
	"keeler/core/calendar"
	"keeler/core/fault"
)

// Kind is the way of counting.
type Kind string

const (
	Board Kind = "board" // mites fallen on a board beneath the hive
	Wash  Kind = "wash"  // mites washed, rolled or shaken off a sample of bees
)

// What can be counted at all; beyond it lies a slip of the pen.
const (
	MaxMites = 100_000
	MaxDays  = 60
	MaxBees  = 5_000
	MinShare = 0.01
)

// Count is one count. Days (0.1 to 60, of the board) or Bees (1 to 5,000, of the
// sample) is given by its kind. Share is how much of a full board was counted, squares
// spread over all of it: above 0 to 1; 0 stands for all.
type Count struct {
	Kind  Kind
	Mites int
	Days  float64
	Share float64
	Bees  int
	On    calendar.Day
}

// over is the days of a whole board that the mites were counted on.
func (c Count) over() float64 {
	if c.Share == 0 {
		return c.Days
	}
	return c.Days * c.Share
}

// Rate is a count by day or by 100 bees, with its 95 % interval.
type Rate struct {
	Value float64 `json:"rate" doc:"A day for a board, per 100 bees for a wash."`
	Low   float64 `json:"low" doc:"Lower end of the 95 % interval."`
	High  float64 `json:"high" doc:"Upper end of the 95 % interval."`
}

// Check names what is wrong with a count made on or before today.
func (c Count) Check(today calendar.Day) error {
	var l fault.List
	l.Within("mites", float64(c.Mites), 0, MaxMites, "mites")
	switch c.Kind {
	case Board:
		if c.Days == 0 {
			l.AddRange("days", fault.Missing, 0.1, MaxDays, "days")
		} else {
			l.Within("days", c.Days, 0.1, MaxDays, "days")
		}
		if c.Share != 0 {
			l.Within("share", c.Share, MinShare, 1, "of the board")
		}
	case Wash:
		if c.Bees == 0 {
			l.AddRange("bees", fault.Missing, 1, MaxBees, "bees")
		} else if l.Within("bees", float64(c.Bees), 1, MaxBees, "bees") && c.Mites > c.Bees {
			l.AddRange("mites", fault.TooHigh, 0, float64(c.Bees), "mites in so many bees")
		}
	default:
		l.Add("kind", fault.Unknown)
	}
	if c.On > today {
		l.Add("on", fault.Future)
	}
	return l.Err()
}

// And is two counts of a kind together, of whole boards: their mean, as of one hive.
func (c Count) And(other Count) Count {
	return Count{Kind: c.Kind, Mites: c.Mites + other.Mites, Days: c.over() + other.over(), Bees: c.Bees + other.Bees, On: max(c.On, other.On)}
}

// Rate is mites a day for a board, by the exact Poisson interval (Garwood), and
// mites per 100 bees for a wash, by Wilson's score interval for a share.
func (c Count) Rate() Rate {
	if c.Kind == Board {
		low, high := poisson(float64(c.Mites))
		return Rate{float64(c.Mites) / c.over(), low / c.over(), high / c.over()}
	}
	low, high := wilson(float64(c.Mites), float64(c.Bees))
	return Rate{100 * float64(c.Mites) / float64(c.Bees), 100 * low, 100 * high}
}

// CheckMarks names what is wrong with the places at which mites were tapped on a photo of a
// board, across and down from 0 to 1 each: no more of them than mites.
func (c Count) CheckMarks(marks [][2]float64, l *fault.List) {
	if len(marks) > 0 && c.Kind != Board {
		l.Add("marks", fault.NotFitting)
	}
	if len(marks) > c.Mites {
		l.AddRange("mites", fault.TooLow, float64(len(marks)), MaxMites, "mites")
	}
	for i, m := range marks {
		at := fault.Index("marks", i)
		if !l.Within(at, m[0], 0, 1, "") || !l.Within(at, m[1], 0, 1, "") {
			return
		}
	}
}
