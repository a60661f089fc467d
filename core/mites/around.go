package mites

import (
	"slices"

	"keeler/core/calendar"
	"keeler/core/treatment"
)

// Times are the days of a treatment, and from and until when a count after it counts: what
// is killed must have fallen first, and mites grow again. Since is when what was given
// before it ended, Next when something else was given after it; 0 where nothing was.
type Times struct{ First, Last, From, Until, Since, Next calendar.Day }

// before is how many days a count may be older than the treatment.
const before = 14

// Use is what a count is good for around a treatment.
type Use string

const (
	UseBefore Use = "before"
	UseDuring Use = "during"     // a board that tells how much fell
	UseAfter  Use = "after"      // it is held against those before
	TooOld    Use = "too_old"    // more than 14 days before
	TooSoon   Use = "too_soon"   // after, but what was killed may still fall
	TooLate   Use = "too_late"   // mites may have grown again
	Treated   Use = "treated"    // another treatment was at work
	OtherKind Use = "other_kind" // there is none of its kind to hold it against
)

// Began is the day on which a count began: a board lies for days before it is read.
func (c Count) Began() calendar.Day {
	if c.Kind == Board {
		return c.On - calendar.Day(c.Days+0.5)
	}
	return c.On
}

// Use is what a count by itself is good for.
func (t Times) Use(c Count) Use {
	switch {
	case c.On <= t.First && c.On < t.First-before:
		return TooOld
	case c.On <= t.First && t.Since != 0 && (c.Kind == Wash && c.On < t.Since || c.Kind == Board && c.Began() < t.Since+treatment.StillFalls):
		return Treated
	case c.On <= t.First:
		return UseBefore
	case t.Next != 0 && c.On > t.Next:
		return Treated
	case c.Began() >= t.From && c.On <= t.Until:
		return UseAfter
	case c.Began() >= t.From:
		return TooLate
	case c.Kind == Board && c.Began() >= t.First:
		return UseDuring
	}
	return TooSoon
}

// Around is the counts of one colony around a treatment.
type Around struct {
	Kind Kind  // of the pair; empty: there is none
	Pair Pair  // all before together, all after together
	Uses []Use // of the counts, in their order
	// Last is the newest count after, of the kind of the pair where there is one.
	Last  Count
	There bool
}

// Around sorts counts by what they are good for, and pairs those of one kind: the kind of
// which more mites were counted before.
func (t Times) Around(counts []Count) Around {
	var out Around
	pairs := map[Kind]Pair{}
	for _, c := range counts {
		use := t.Use(c)
		out.Uses = append(out.Uses, use)
		p := pairs[c.Kind]
		switch use {
		case UseBefore:
			p.Before = p.Before.And(c.Sample())
		case UseAfter:
			p.After = p.After.And(c.Sample())
		}
		pairs[c.Kind] = p
	}
	for _, kind := range []Kind{Wash, Board} {
		p := pairs[kind]
		if p.Before.Over > 0 && p.After.Over > 0 && (out.Kind == "" || p.Before.Mites > out.Pair.Before.Mites) {
			out.Kind, out.Pair = kind, p
		}
	}
	mixed := out.Kind != "" || slices.Contains(out.Uses, UseBefore) && slices.Contains(out.Uses, UseAfter)
	for i, c := range counts {
		if out.Uses[i] == UseAfter && (out.Kind == "" || out.Kind == c.Kind) && c.On >= out.Last.On {
			out.Last, out.There = c, true
		}
		if mixed && (out.Uses[i] == UseBefore || out.Uses[i] == UseAfter) && c.Kind != out.Kind {
			out.Uses[i] = OtherKind
		}
	}
	return out
}

// DayFall is how many mites fell on a day, by the boards that lay then.
type DayFall struct {
	Day   calendar.Day
	Mites float64
	Used  bool // a board lay on it
}

// Falls spreads what was read off boards over the days that they lay.
func Falls(counts []Count, from, to calendar.Day) []DayFall {
	if to < from {
		return nil
	}
	out := make([]DayFall, to-from+1)
	for i := range out {
		out[i].Day = from + calendar.Day(i)
	}
	for _, c := range counts {
		if c.Kind != Board {
			continue
		}
		// A board read on a day lay on the days before it; one of under a day on that day.
		last := max(c.On-1, c.Began())
		for day := c.Began(); day <= last; day++ {
			if i := int(day - from); i >= 0 && i < len(out) {
				out[i].Mites += float64(c.Mites) * c.Days / c.over() / float64(last-c.Began()+1)
				out[i].Used = true
			}
		}
	}
	return out
}

// FallBy is what fell of a colony because of a treatment, its natural fall from before taken
// off, and what fell by a second one; ok is false where no board lay under one of them.
func FallBy(first, second Times, counts []Count) (f Fall, ok bool) {
	var natural, of, by Sample
	for _, c := range counts {
		switch {
		case c.Kind != Board:
		case first.Use(c) == UseBefore:
			natural = natural.And(c.Sample())
		case c.Began() >= first.First && c.On <= second.First:
			of = of.And(c.Sample())
		case c.Began() >= second.First && c.Began() < second.From:
			by = by.And(c.Sample())
		}
	}
	if of.Over == 0 || by.Over == 0 {
		return Fall{}, false
	}
	f = Fall{float64(of.Mites), float64(by.Mites)}
	if natural.Over > 0 {
		f.First = max(0, f.First-float64(natural.Mites)/natural.Over*of.Over)
	}
	return f, true
}
