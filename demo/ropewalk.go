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

func ropewalk() wire.PlanRequest {
	plan := wire.PlanRequest{
		Hold:       wire.Hold{Kind: "crystals", Grams: 64, OADPercent: 100},
		Strength:   wire.Aim{By: "school", School: "label-litre"},
		Size:       wire.Size{By: "seams"},
		Applicator: &wire.Applicator{Device: "syringe", SizeML: 60},
		BalanceG:   0.1,
		Prices:     wire.Prices{Hold: 38, SugarKg: 1.4},
	}
	for _, name := range standing {
		gaps := make([]float64, len(seams[name]))
		for i, q := range seams[name] {
			gaps[i] = float64(q) / 4
		}
		plan.Colonies = append(plan.Colonies, wire.Colony{
			Name:  name,
			Boxes: []wire.Box{{Kind: "deep", Frames: len(gaps) - 1, Seams: gaps}},
		})
	}
	return plan
}
