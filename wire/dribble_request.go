package wire

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/dribble"
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
	Rule       = dribble.Rule
	Size       = dribble.Size
	Applicator = dribble.Applicator
)

// DribbleRequest is all that a plan depends on.
type DribbleRequest struct {
	dribble.Request
	Colonies []Colony `json:"colonies,omitempty" maxItems:"1000" doc:"Up to 1000."`
}

func (r DribbleRequest) core() (dribble.Request, error) {
	var l fault.List
	out := r.Settled()
	out.Colonies = readColonies(r.Colonies, &l)
	return out, l.Err()
}

// DoseRequest asks for the doses of colonies alone.
type DoseRequest struct {
	Colonies   []Colony    `json:"colonies" maxItems:"1000" doc:"1 to 1000."`
	GPerL      float64     `json:"g_per_l" doc:"Strength of the syrup, g OAD per litre, 5 to 150."`
	Rule       Rule        `json:"rule,omitzero"`
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
	Stock    Stock      `json:"stock"`
	Strength Aim        `json:"strength"`
	Sugar    chem.Share `json:"sugar_percent_ww" doc:"Sugar wanted in the whole weight, 0 to 65 %."`
	VolumeML float64    `json:"volume_ml" doc:"Finished volume, 10 to 100000 mL."`
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
	Rule          Rule    `json:"rule,omitzero"`
}
