package strip

import (
	"cmp"
	"math"

	"keeler/core/fault"
	"keeler/core/hive"
)

// NumberBy is what the number of strips goes by.
type NumberBy string

const (
	PerBox    NumberBy = "box"    // so many a box of the brood nest
	PerColony NumberBy = "colony" // so many, whatever its boxes
	PerBees   NumberBy = "bees"   // one to so many frames of bees
)

// Number is the rule for how many strips a colony gets.
type Number struct {
	By     NumberBy `json:"by" enum:"bees,box,colony" doc:"One to so many frames of bees (a full seam counts as one), so many a box with bees, or so many a colony."`
	Each   int      `json:"each,omitempty" doc:"By box or colony, 1 to 40."`
	Frames float64  `json:"frames,omitempty" doc:"By bees: frames of bees to one strip, 0.5 to 20; 2.5 when left out."`
	Most   *int     `json:"most_per_box,omitempty" doc:"By bees: at most so many a box, 0 to 20; 4 when left out, 0 for no limit."`
}

// DefaultNumber is 1 strip to 2½ frames of bees, up to 4 a box. Source: docs/sources.md,
// Strips.
var DefaultNumber = Number{By: PerBees, Frames: 2.5, Most: new(4)}

// SpongesPerBox is the usual number of sponges for a brood box.
const SpongesPerBox = 2

// settled is a rule with what is usual where nothing is said.
func (n *Number) settled(of Carrier) Number {
	switch {
	case n == nil && of == Sponge:
		return Number{By: PerBox, Each: SpongesPerBox}
	case n == nil:
		return DefaultNumber
	}
	return Number{n.By, n.Each, cmp.Or(n.Frames, DefaultNumber.Frames), cmp.Or(n.Most, DefaultNumber.Most)}
}

func (n Number) check(l *fault.List) {
	if n.Most != nil {
		l.Within("number.most_per_box", float64(*n.Most), 0, 20, "a box")
	}
	switch n.By {
	case PerBox, PerColony:
		l.Within("number.each", float64(n.Each), 1, 40, "strips")
	case PerBees:
		l.Within("number.frames", n.Frames, 0.5, 20, "frames of bees")
	case "":
		l.Add("number.by", fault.Missing)
	default:
		l.Add("number.by", fault.Unknown)
	}
}

// Wanted is how many strips a colony gets by the rule. A full seam counts as one
// frame of bees: the two half-covered combs beside it make one. By bees it is the
// nearest whole number, at least one where there are bees, none where nobody
// looked. By box it counts the boxes with bees, all of them where nobody looked.
func (n Number) Wanted(c hive.Colony) int {
	switch n.By {
	case PerColony:
		return n.Each
	case PerBox:
		boxes := 0
		for _, b := range c.Boxes {
			if b.Quarters() > 0 {
				boxes++
			}
		}
		if boxes == 0 {
			boxes = len(c.Boxes)
		}
		return n.Each * boxes
	}
	frames := float64(c.Quarters()) / float64(hive.Full)
	if frames == 0 {
		return 0
	}
	return max(1, int(math.Floor(frames/n.Frames+0.5)))
}
