package strip

import (
	"slices"

	"keeler/core/fault"
	"keeler/core/hive"
)

// apart is how many gaps on the next strip may hang: with two frames between.
const apart = 2

// Carrier is what holds the liquor.
type Carrier string

const (
	Fibre  Carrier = "strip"  // folded over a top bar, hanging in a gap
	Long   Carrier = "long"   // the same, reaching into the box below
	Sponge Carrier = "sponge" // lying on the top bars
)

// Spot is where one strip hangs or one sponge lies.
type Spot struct {
	Box, Gap int
	Through  bool // a long strip that reaches into the box below
}

// Reason says why fewer than the wanted number are placed.
type Reason string

const (
	ReasonGaps  Reason = "too_few_gaps" // no more gaps of the nest lie two frames apart
	ReasonMost  Reason = "most_per_box" // the rule allows no more a box
	ReasonNoGap Reason = "no_gap"       // no gap of the nest lies between two combs
)

// Placement is where the strips of one colony go.
type Placement struct {
	Spots  []Spot // by box from the lowest, then by gap
	Reason Reason // "" when all that are wanted are placed
	Looked bool   // whether bees or brood were seen; otherwise every comb counts as nest
}

// Layout is how strips are laid into a colony.
type Layout struct {
	Carrier Carrier `json:"carrier,omitempty" enum:"strip,long,sponge" doc:"Fibre strips over a top bar, long ones that reach into the box below, or sponges on the top bars; strip when left out."`
	Between bool    `json:"between_boxes,omitempty" doc:"Sponges of a colony in several boxes lie between them, none on the topmost."`
	Most    int     `json:"-"` // at most so many a box, those that reach into it counted; 0 for no limit
}

// Place finds where a wanted number of strips goes: in gaps of the nest between
// two combs, at least two frames apart, where most bees have the shortest way to
// one. Short strips are shared over the boxes by their bees; long ones hang from
// the upper box and reach through. What does not fit is left out, with the reason.
func Place(c hive.Colony, wanted int, how Layout) Placement {
	var room [hive.MaxBoxes]gapSet
	sets, looked := nest(c, room[:0])
	p := Placement{Looked: looked}
	if !anyHolds(sets) {
		if wanted > 0 {
			p.Reason = ReasonNoGap
		}
		return p
	}
	p.Spots = make([]Spot, 0, min(wanted, maxRoom*len(sets)))
	if how.Carrier == Long {
		p.hang(c, sets, wanted, how.Most)
	} else {
		if top := topmost(sets); how.Carrier == Sponge && how.Between && top > 0 {
			sets[top] = gapSet{} // the boxes below it have one above: sponges lie there
		}
		p.share(sets, wanted, how.Most)
	}
	slices.SortFunc(p.Spots, func(a, b Spot) int {
		if a.Box != b.Box {
			return a.Box - b.Box
		}
		return a.Gap - b.Gap
	})
	if len(p.Spots) < wanted && p.Reason == "" {
		p.Reason = ReasonGaps
	}
	return p
}

// topmost is the uppermost box of the nest if there is nest below it, otherwise 0.
func topmost(sets []gapSet) int {
	for i := len(sets) - 1; i > 0; i-- {
		if sets[i].holds() && anyHolds(sets[:i]) {
			return i
		}
	}
	return 0
}

// share gives each box its part of the strips by its bees, one at a time to the
// box that is furthest behind, and places them there.
func (p *Placement) share(sets []gapSet, wanted, most int) {
	var given, room [hive.MaxBoxes]int
	for i := range sets {
		room[i] = sets[i].room()
		if most > 0 && room[i] > most {
			room[i], p.Reason = most, ReasonMost
		}
	}
	placed := 0
	for ; placed < wanted; placed++ {
		next := -1
		for i := range sets {
			// The bees for each strip, were the next one given here.
			if given[i] < room[i] && (next < 0 || (sets[i].total+1)*(given[next]+1) > (sets[next].total+1)*(given[i]+1)) {
				next = i
			}
		}
		if next < 0 {
			break
		}
		given[next]++
	}
	if placed == wanted {
		p.Reason = ""
	}
	var buffer [hive.MaxFrames + 1]int
	for i := range sets {
		for _, g := range sets[i].spread(given[i], buffer[:0]) {
			p.Spots = append(p.Spots, Spot{Box: i, Gap: g})
		}
	}
}

// hang places long strips from the uppermost box down. One that reaches through
// keeps its distance in the box below, too.
func (p *Placement) hang(c hive.Colony, sets []gapSet, wanted, most int) {
	reaching := 0 // from the box above
	var buffer [hive.MaxFrames + 1]int
	for i := len(sets) - 1; i >= 0; i-- {
		s := &sets[i]
		below := i > 0 && sets[i-1].holds()
		if below { // a strip here is for the bees below it, too
			for g := range min(s.gaps, sets[i-1].gaps) {
				s.bees[g] += int16(c.Boxes[i-1].Seam(g))
			}
		}
		n := min(wanted-len(p.Spots), s.room())
		if most > 0 && n > most-reaching {
			n, p.Reason = max(most-reaching, 0), ReasonMost
		}
		reaching = 0
		for _, g := range s.spread(n, buffer[:0]) {
			through := i > 0 && c.Boxes[i-1].Between(g)
			p.Spots = append(p.Spots, Spot{Box: i, Gap: g, Through: through})
			if through {
				reaching++
				sets[i-1].near(g)
			}
		}
	}
	if len(p.Spots) == wanted {
		p.Reason = ""
	}
}

// Put is a placement by the keeper's own hand: gaps by box, as tapped. Appends a
// fault at "placed" for a gap that is not there or named twice. What the trade
// would not do is told by Doubts, not refused.
func Put(c hive.Colony, gaps [][]int, how Layout, l *fault.List) Placement {
	p := Placement{}
	_, p.Looked = nest(c, nil)
	if len(gaps) > len(c.Boxes) {
		l.AddRange("placed", fault.TooMany, 0, float64(len(c.Boxes)), "boxes")
		return p
	}
	for i, box := range gaps {
		open := c.Boxes[i].Open()
		for k, g := range box {
			if g < 0 || g >= len(open) || !open[g] || slices.Contains(box[:k], g) {
				l.Add(fault.Index(fault.Index("placed", i), k), fault.NoGap)
				continue
			}
			through := how.Carrier == Long && i > 0 && c.Boxes[i-1].Between(g)
			p.Spots = append(p.Spots, Spot{Box: i, Gap: g, Through: through})
		}
	}
	return p
}

// Doubts tells what speaks against a placement: strips closer than two frames,
// and strips outside the nest.
func Doubts(c hive.Colony, p Placement) (close, outside bool) {
	sets, _ := nest(c, nil)
	for i, s := range p.Spots {
		outside = outside || !sets[s.Box].in[s.Gap]
		for _, other := range p.Spots[:i] {
			meet := other.Box == s.Box || other.Through && other.Box == s.Box+1 || s.Through && s.Box == other.Box+1
			close = close || meet && max(s.Gap-other.Gap, other.Gap-s.Gap) < apart
		}
	}
	return close, outside
}
