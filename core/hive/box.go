// Package hive describes boxes, the slots for frames in them, the gaps beside
// the combs and the bees in those gaps.
package hive

import (
	"slices"

	"keeler/core/fault"
)

// Kind is the depth of a box.
type Kind string

const (
	Deep    Kind = "deep"
	Medium  Kind = "medium"
	Shallow Kind = "shallow"
)

// Slot is what hangs in a place for a frame.
type Slot string

const (
	Comb   Slot = "comb"
	Feeder Slot = "feeder"
	Dummy  Slot = "dummy"
	Empty  Slot = "empty"
)

// Seam is the bees in a gap, in quarters: 0 none to 4 full.
type Seam uint8

// Full is a gap filled with bees from end to end.
const Full Seam = 4

const (
	MaxFrames   = 20
	MaxBoxes    = 6
	MaxColonies = 1000
	MaxName     = 40 // characters
)

// Box is one box of a hive. Seams has one entry a gap, from the left wall to
// the right: gap i lies left of slot i, the last one at the right wall. It may
// be nil when nobody looked. Brood has one entry a slot, whether its comb holds
// sealed brood, and is nil when that is not known.
type Box struct {
	Kind  Kind
	Slots []Slot
	Seams []Seam
	Brood []bool
}

// Combs gives n slots, 0 to MaxFrames, that all hold combs. They are shared by all
// boxes of combs: clone them before changing one.
func Combs(n int) []Slot { return combs[:n:n] }

var combs = slices.Repeat([]Slot{Comb}, MaxFrames)

// Open tells for each gap whether bees can sit in it on a comb: whether at
// least one of its two sides is a comb. A full box of n frames has n − 1 gaps
// between combs and one at each wall; a feeder or dummy has no seam of its own.
func (b Box) Open() []bool {
	open := make([]bool, len(b.Slots)+1)
	for i, s := range b.Slots {
		if s == Comb {
			open[i], open[i+1] = true, true
		}
	}
	return open
}

// Between reports whether a gap lies between two combs.
func (b Box) Between(gap int) bool {
	return gap > 0 && gap < len(b.Slots) && b.Slots[gap-1] == Comb && b.Slots[gap] == Comb
}

// Seam is the bees in a gap; none where nobody looked.
func (b Box) Seam(gap int) Seam {
	if gap < 0 || gap >= len(b.Seams) {
		return 0
	}
	return b.Seams[gap]
}

// BroodBeside reports whether a comb beside the gap is known to hold brood.
func (b Box) BroodBeside(gap int) bool {
	holds := func(slot int) bool { return slot >= 0 && slot < len(b.Brood) && b.Brood[slot] }
	return holds(gap-1) || holds(gap)
}

// Quarters is the sum of the seams, in quarters.
func (b Box) Quarters() int {
	sum := 0
	for _, s := range b.Seams {
		sum += int(s)
	}
	return sum
}

// room is the most quarters that the box can hold.
func (b Box) room() int {
	n := 0
	for _, open := range b.Open() {
		if open {
			n += int(Full)
		}
	}
	return n
}

// Cluster spreads a counted number of quarters over the gaps as a cluster sits:
// full seams side by side in the middle, a part seam at its edge. It is a
// picture of a count, to be corrected by looking; quarters beyond the room of
// the box are left out.
func (b Box) Cluster(quarters int) []Seam {
	seams := make([]Seam, len(b.Slots)+1)
	open := b.Open()
	middle := len(b.Slots) / 2
	for step := 0; step <= 2*len(b.Slots) && quarters > 0; step++ {
		gap := middle + (step+1)/2
		if step%2 == 1 {
			gap = middle - (step+1)/2
		}
		if gap < 0 || gap >= len(seams) || !open[gap] {
			continue
		}
		take := min(quarters, int(Full))
		seams[gap] = Seam(take)
		quarters -= take
	}
	return seams
}

// Check appends what is wrong with the box.
func (b Box) Check(l *fault.List) {
	if b.Kind != Deep && b.Kind != Medium && b.Kind != Shallow {
		l.Add("kind", fault.Unknown)
	}
	if !l.Within("slots", float64(len(b.Slots)), 1, MaxFrames, "frames") {
		return
	}
	for i, s := range b.Slots {
		if s != Comb && s != Feeder && s != Dummy && s != Empty {
			l.Add(fault.Index("slots", i), fault.Unknown)
		}
	}
	if len(b.Brood) > len(b.Slots) {
		l.AddRange("brood", fault.TooMany, 0, float64(len(b.Slots)), "combs")
		return
	}
	for i, holds := range b.Brood {
		if holds && b.Slots[i] != Comb {
			l.Add(fault.Index("brood", i), fault.NoGap)
		}
	}
	if b.Seams == nil {
		return
	}
	gaps := len(b.Slots) + 1
	if len(b.Seams) > gaps {
		l.AddRange("seams", fault.TooMany, 0, float64(gaps), "gaps")
		return
	}
	open := b.Open()
	for i, s := range b.Seams {
		if s > Full {
			l.AddRange(fault.Index("seams", i), fault.TooHigh, 0, 1, "seam")
		} else if s > 0 && !open[i] {
			l.Add(fault.Index("seams", i), fault.NoGap)
		}
	}
}

// ReadSeams turns seams of 0 to 1 in quarters, one a gap, into Seams; a figure
// outside is a fault at the field's entry.
func ReadSeams(field string, seams []float64, l *fault.List) []Seam {
	if seams == nil {
		return nil
	}
	out := make([]Seam, len(seams))
	for i, s := range seams {
		q := s * float64(Full)
		switch {
		case !(s >= 0 && s <= 1): // NaN, too
			l.Within(fault.Index(field, i), s, 0, 1, "seam")
		case q != float64(int(q)):
			l.AddRange(fault.Index(field, i), fault.WholeOnly, 0, 1, "quarter seams")
		default:
			out[i] = Seam(q)
		}
	}
	return out
}
