package demo

import "keeler/wire"

// seams are the bees in each gap of the eight single boxes at Ropewalk, as seen
// through the lid in early December, in quarters of a seam.
var seams = map[string][]int{
	"R1": {0, 0, 3, 4, 4, 4, 4, 3, 2, 0, 0},
	"R2": {0, 0, 0, 2, 4, 4, 4, 4, 3, 1, 0},
	"R3": {0, 1, 4, 4, 4, 4, 4, 3, 3, 1, 0},
	"R4": {0, 0, 0, 0, 2, 4, 4, 4, 2, 0, 0},
	"R5": {0, 2, 4, 4, 4, 4, 4, 4, 4, 4, 3},
	"R6": {0, 0, 2, 4, 4, 4, 3, 2, 1, 0, 0},
	"R7": {0, 1, 3, 4, 4, 4, 4, 4, 2, 0, 0},
	"R8": {0, 1, 3, 4, 3, 2, 0},
}

var standing = []string{"R1", "R2", "R3", "R4", "R5", "R6", "R7", "R8"}

// drafts is Ropewalk on the bench, by each method.
func drafts() *wire.Recipe {
	colonies := ropewalk()
	strips := make([]wire.StripColony, len(colonies))
	for i, c := range colonies {
		strips[i].Colony = c
	}
	return &wire.Recipe{
		Dribble: &wire.DribbleRequest{
			Hold:       wire.Hold{Kind: "crystals", Grams: 64, Share: 1},
			Strength:   wire.Aim{By: "protocol", Protocol: "label-litre"},
			Size:       wire.Size{By: "seams"},
			Applicator: &wire.Applicator{Device: "syringe", SizeML: 60},
			BalanceG:   0.1,
			Prices:     wire.Prices{Hold: 38, Sugar: 1.4},
			Colonies:   colonies,
		},
		Strip: &wire.StripRequest{
			Recipe:   wire.StripRecipe{Protocol: "two-to-three"},
			UptakeG:  20,
			StaysML:  120,
			Size:     wire.StripSize{By: "colonies"},
			Jig:      wire.StripJig{Slots: 6, Most: 8},
			BalanceG: 0.1,
			Prices:   wire.StripPrices{AcidKg: 38, GlycerolL: 6.5, Strip: 0.12},
			Colonies: strips,
		},
		Pad: &wire.PadRequest{
			Hold:           wire.PadHold{Kind: "acid", Percent: 85, VolumeML: 1000},
			WorkingPercent: 60,
			Amount:         wire.PadRule{Protocol: "sponge-above"},
			Size:           wire.PadSize{By: "visit"},
			BottleML:       1000,
			BalanceG:       0.1,
			Prices:         wire.PadPrices{Stock: 14},
			Colonies:       colonies,
		},
	}
}

func ropewalk() []wire.Colony {
	out := make([]wire.Colony, len(standing))
	for k, name := range standing {
		gaps := make([]float64, len(seams[name]))
		for i, q := range seams[name] {
			gaps[i] = float64(q) / 4
		}
		out[k] = wire.Colony{
			Name:  name,
			Boxes: []wire.Box{{Kind: "deep", Frames: len(gaps) - 1, Seams: gaps}},
		}
	}
	return out
}
