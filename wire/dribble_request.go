package wire

import (
	"keeler/core/method/dribble"
	"keeler/core/mixing"
)

// What core takes as it is.
type (
	Hold       = dribble.Hold
	Stock      = dribble.Stock
	Card       = dribble.Card
	Active     = dribble.Active
	CardRow    = dribble.CardRow
	Aim        = dribble.Aim
	Mean       = dribble.Mean
	Prices     = dribble.Prices
	Size       = dribble.Size
	Applicator = dribble.Applicator
)

// Rule is how much a colony gets.
type Rule struct {
	FullSeamML *float64 `json:"full_seam_ml,omitempty" doc:"mL for a full seam, part seams pro rata, 1 to 10; 5 when left out."`
	CapML      *float64 `json:"cap_ml,omitempty" doc:"mL at most for a colony whatever its boxes, 5 to 100; 50 when left out."`
	FlatML     float64  `json:"flat_ml,omitempty" doc:"mL for every full-size colony whatever its seams, up to the cap; 0 for by seam."`
	NucFlatML  float64  `json:"nuc_flat_ml,omitempty" doc:"mL for every nuc, up to the cap; 0 for by seam."`
	FromAbove  bool     `json:"from_above,omitempty" doc:"The boxes of a cluster across the joint are not parted: the topmost box with bees is dosed by its own seams, those below are not reached."`
	ByLabel    bool     `json:"by_label,omitempty" doc:"These are a label's figures: its doses are never rounded up, and not warned about."`
}

// DribbleRequest is all that a plan depends on.
type DribbleRequest struct {
	Hold           Hold        `json:"hold"`
	Strength       Aim         `json:"strength,omitempty" doc:"Not needed for ready_to_use."`
	SugarPerWater  float64     `json:"sugar_per_water,omitempty" doc:"g sugar to 1 g water, 0.1 to 2; the protocol's ratio, or 1, when left out."`
	SugarPercentWW *float64    `json:"sugar_percent_ww,omitempty" doc:"Sugar wanted in a thinned ready-mix, 0 to 65 % of the whole weight; 30 when left out."`
	Size           Size        `json:"size"`
	Colonies       []Colony    `json:"colonies,omitempty" doc:"Up to 1000."`
	Mean           *Mean       `json:"mean,omitempty" doc:"Used when there are no colonies."`
	Rule           Rule        `json:"rule,omitempty"`
	Applicator     *Applicator `json:"applicator,omitempty" doc:"A 60 mL syringe when left out."`
	mixing.Balance
	FridgeC *float64 `json:"fridge_c,omitempty" doc:"Where the syrup is kept, 0 to 30 °C; 4 when left out."`
	YardC   *float64 `json:"yard_c,omitempty" doc:"Where it is used, −20 to 40 °C; 4 when left out."`
	Prices  Prices   `json:"prices,omitempty"`
}

// DoseRequest asks for the doses of colonies alone.
type DoseRequest struct {
	Colonies   []Colony    `json:"colonies" doc:"1 to 1000."`
	GPerL      float64     `json:"g_per_l" doc:"Strength of the syrup, g OAD per litre, 5 to 150."`
	Rule       Rule        `json:"rule,omitempty"`
	Applicator *Applicator `json:"applicator,omitempty" doc:"A 60 mL syringe when left out."`
}

// PacketRequest asks what packets in hand are good for.
type PacketRequest struct {
	Hold     Hold `json:"hold" doc:"kind packet, with grams, oad_percent and count."`
	Strength Aim  `json:"strength" doc:"by packet takes the label's own volume."`
}

// TabletsRequest asks for whole tablets.
type TabletsRequest struct {
	Hold     Hold    `json:"hold" doc:"kind tablets, with grams and oad_percent."`
	Strength Aim     `json:"strength"`
	VolumeML float64 `json:"volume_ml" doc:"Finished volume, 10 to 100000 mL."`
}

// ThinningRequest asks how to let a bought solution down.
type ThinningRequest struct {
	Stock          Stock   `json:"stock"`
	Strength       Aim     `json:"strength"`
	SugarPercentWW float64 `json:"sugar_percent_ww" doc:"Sugar wanted in the whole weight, 0 to 65 %."`
	VolumeML       float64 `json:"volume_ml" doc:"Finished volume, 10 to 100000 mL."`
}

// CalibrationRequest asks what one shot of an applicator gives.
type CalibrationRequest struct {
	Shots  int     `json:"shots" doc:"Shots, squeezes or seconds weighed together, 1 to 100."`
	Grams  float64 `json:"grams" doc:"What they weigh, 0.1 to 2000 g."`
	Liquid string  `json:"liquid" enum:"water,syrup" doc:"Water, or 1 : 1 syrup with its acid."`
	GPerL  float64 `json:"g_per_l,omitempty" doc:"Of the syrup, g OAD per litre, 5 to 150; the label litre when left out."`
}

// StrengthRequest asks for a strength in every form.
type StrengthRequest struct {
	Strength      Aim     `json:"strength"`
	SugarPerWater float64 `json:"sugar_per_water,omitempty" doc:"g sugar to 1 g water, 0.1 to 2; 1 when left out."`
	Rule          Rule    `json:"rule,omitempty"`
}
