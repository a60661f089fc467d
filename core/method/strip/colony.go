package strip

import (
	"keeler/core/chem"
	"keeler/core/hive"
)

// ColonyStrips is what one colony gets, and where.
type ColonyStrips struct {
	Name      string     `json:"name"`
	Frames    float64    `json:"frames" doc:"Frames of bees."`
	Wanted    int        `json:"wanted" doc:"By the rule."`
	Strips    int        `json:"strips" doc:"Placed."`
	ByHand    bool       `json:"by_hand,omitempty" doc:"Placed by the keeper."`
	Reason    Reason     `json:"reason,omitempty" doc:"Why fewer than wanted: too_few_gaps, most_per_box or no_gap."`
	OAD       chem.Grams `json:"oad_g,omitempty" doc:"g OAD in all its strips; left out where there is no pot."`
	Boxes     []Box      `json:"boxes" doc:"The lowest first."`
	Placement Placement  `json:"-"`
}

// Box is what one box gets; a long strip counts where it hangs.
type Box struct {
	Strips int        `json:"strips"`
	OAD    chem.Grams `json:"oad_g,omitempty" doc:"g OAD in them; left out where there is no pot."`
	Gaps   []Gap      `json:"gaps"`
}

// Gap is one gap beside the combs.
type Gap struct {
	Seam      hive.Seam `json:"seam" doc:"Bees in it, 0 to 1 in quarters."`
	Open      bool      `json:"open" doc:"Whether bees can sit here on a comb."`
	Strip     bool      `json:"strip,omitempty" doc:"A strip hangs from here, or a sponge lies above it."`
	Through   bool      `json:"through,omitempty" doc:"It reaches into the box below."`
	FromAbove bool      `json:"from_above,omitempty" doc:"One reaches into it from the box above."`
}

// hang puts the pieces into the boxes, each with the acid that it brings.
func (c *ColonyStrips) hang(of hive.Colony, piece chem.Grams) {
	c.Strips, c.Reason, c.Boxes = len(c.Placement.Spots), c.Placement.Reason, make([]Box, len(of.Boxes))
	all := 0
	for i := range of.Boxes {
		all += len(of.Boxes[i].Slots) + 1
	}
	free := make([]Gap, all)
	for i := range of.Boxes {
		b := &of.Boxes[i]
		gaps := free[: len(b.Slots)+1 : len(b.Slots)+1]
		free = free[len(gaps):]
		for g, open := range b.Open() {
			gaps[g] = Gap{Open: open, Seam: b.Seam(g)}
		}
		c.Boxes[i].Gaps = gaps
	}
	for _, s := range c.Placement.Spots {
		box := &c.Boxes[s.Box]
		box.Strips++
		box.OAD += piece
		c.OAD += piece
		box.Gaps[s.Gap].Strip, box.Gaps[s.Gap].Through = true, s.Through
		if s.Through {
			c.Boxes[s.Box-1].Gaps[s.Gap].FromAbove = true
		}
	}
}

// fullest is the most acid in any of its boxes.
func (c ColonyStrips) fullest() (most chem.Grams) {
	for _, b := range c.Boxes {
		most = max(most, b.OAD)
	}
	return most
}
