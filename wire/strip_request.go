package wire

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/method/strip"
)

// What core takes as it is.
type (
	StripSize    = strip.Size
	StripCarried = strip.Carried
	StripJig     = strip.Jig
	StripPrices  = strip.Prices
)

// StripColony is one colony, and where the keeper himself puts the strips.
type StripColony struct {
	Colony
	Placed [][]int `json:"placed,omitempty" maxItems:"6" doc:"The gaps chosen by hand, by box from the lowest, counted from 0 at the left wall; left out where Keeler places."`
}

// StripRequest is all that a pot depends on.
type StripRequest struct {
	strip.Request
	Colonies []StripColony `json:"colonies,omitempty" maxItems:"1000" doc:"Up to 1000."`
}

// StripPlacementRequest asks where strips go, without a pot.
type StripPlacementRequest struct {
	strip.Layout
	Number   *strip.Number `json:"number,omitempty" doc:"As in a plan."`
	PieceOAD chem.Grams    `json:"piece_oad_g,omitempty" doc:"g OAD in one piece, so that boxes and colonies are held against their bounds; left out when it is not known."`
	Colonies []StripColony `json:"colonies" maxItems:"1000" doc:"1 to 1000."`
}

func (r StripRequest) core() (strip.Request, error) {
	var l fault.List
	out := r.Settled()
	out.Colonies, out.Placed = readStripColonies(r.Colonies, &l)
	return out, l.Err()
}

func readStripColonies(in []StripColony, l *fault.List) (colonies []hive.Colony, placed [][][]int) {
	plain := make([]Colony, len(in))
	placed = make([][][]int, len(in))
	for i, c := range in {
		plain[i], placed[i] = c.Colony, c.Placed
	}
	return readColonies(plain, l), placed
}
