package mites

import "math"

// Difference is how much more of the mites one group lost than another, as a share, with
// its 95 % interval.
type Difference struct {
	Share float64 `json:"share" doc:"−1 to 1, of the first less that of the second."`
	Low   float64 `json:"low" doc:"Lower end of the 95 % interval."`
	High  float64 `json:"high" doc:"Upper end of the 95 % interval."`
}

// Differ holds the shares of two groups against each other, from their intervals, for each
// of so many pairs that are looked at together (1 or more): of many pairs one would stand
// out by chance alone, so that each must stand out further. ok is false where a group is of
// one or two colonies: how colonies differ is not known of it.
//
// Source: docs/sources.md, Did it work (Zou and Donner; Bonferroni).
func Differ(a, b Killed, pairs int) (d Difference, ok bool) {
	wider := math.Sqrt2 * math.Erfinv(1-2*tail/float64(pairs)) / z
	d.Share = a.Share - b.Share
	d.Low = d.Share - wider*math.Hypot(a.Share-a.Low, b.High-b.Share)
	d.High = d.Share + wider*math.Hypot(a.High-a.Share, b.Share-b.Low)
	return d, !a.Counting && !b.Counting
}

// Beyond reports whether a difference is more than chance makes.
func (d Difference) Beyond() bool { return d.Low > 0 || d.High < 0 }
