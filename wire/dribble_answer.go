package wire

import (
	"keeler/core/chem"
	"keeler/core/method/dribble"
)

// Strength is one strength in every form and on both bases.
type Strength struct {
	GPerL         float64 `json:"g_per_l" doc:"g OAD per litre of finished syrup at 20 °C."`
	PercentWVOAD  float64 `json:"percent_wv_oad" doc:"g OAD per 100 mL."`
	PercentWVOAA  float64 `json:"percent_wv_oaa" doc:"g OAA per 100 mL: the same acid counted anhydrous."`
	PercentWWOAD  float64 `json:"percent_ww_oad,omitempty" doc:"g OAD per 100 g; left out for a product of unknown density."`
	PercentWWOAA  float64 `json:"percent_ww_oaa,omitempty" doc:"g OAA per 100 g; left out for a product of unknown density."`
	MgPerSeamOAD  float64 `json:"mg_per_seam_oad" doc:"mg OAD in the dose of a full seam."`
	MgPerSeamOAA  float64 `json:"mg_per_seam_oaa" doc:"mg OAA in the dose of a full seam."`
	GPerColonyOAD float64 `json:"g_per_colony_oad" doc:"g OAD in the largest dose of a colony."`
	GPerColonyOAA float64 `json:"g_per_colony_oaa" doc:"g OAA in the largest dose of a colony."`
	CapML         float64 `json:"cap_ml" doc:"The largest dose of a colony, mL."`
	Below         string  `json:"below,omitempty" doc:"The protocol at or next below this strength; left out below all."`
	Above         string  `json:"above,omitempty" doc:"The protocol next above; left out above all."`
}

// Syrup is a mixture by its masses.
type Syrup struct {
	OADG     float64 `json:"oad_g" doc:"g oxalic acid dihydrate."`
	WaterG   float64 `json:"water_g" doc:"g water."`
	SugarG   float64 `json:"sugar_g" doc:"g sugar, filler included."`
	GPerML   float64 `json:"g_per_ml" doc:"Density at 20 °C."`
	VolumeML float64 `json:"volume_ml" doc:"mL at 20 °C."`
}

// ColonyDose is what one colony gets.
type ColonyDose struct {
	dribble.ColonyDose
	Seams     float64 `json:"seams" doc:"Seams of bees."`
	Unreached float64 `json:"unreached_seams,omitempty" doc:"Of them in boxes below that are not opened: they get nothing."`
	Mg        float64 `json:"mg" doc:"mg OAD in ml."`
}

// DribbleAnswer is one batch of syrup.
type DribbleAnswer struct {
	dribble.Plan
	Strength Strength     `json:"strength"`
	Made     *Syrup       `json:"made,omitempty" doc:"Left out for a ready-to-use product."`
	Doses    []ColonyDose `json:"doses"`
}

// DoseAnswer is the doses of colonies.
type DoseAnswer struct {
	Doses []ColonyDose     `json:"doses"`
	Given chem.Millilitres `json:"given_ml"`
	Notes []Note           `json:"notes" doc:"As a plan would say them."`
}

// PacketAnswer says how far packets go.
type PacketAnswer struct {
	OADG      float64          `json:"oad_g" doc:"g OAD in all the packets."`
	Volume    chem.Millilitres `json:"volume_ml" doc:"Syrup they make, mL."`
	Strength  Strength         `json:"strength"`
	AtCap     int              `json:"at_cap" doc:"Colonies at the cap."`
	FullSeams float64          `json:"full_seams"`
	Notes     []Note           `json:"notes"`
}

// TabletsAnswer is whole tablets and what they really give.
type TabletsAnswer struct {
	Tablets  int      `json:"tablets"`
	Made     Syrup    `json:"made"`
	Lines    []Line   `json:"lines"`
	Strength Strength `json:"strength"`
	Notes    []Note   `json:"notes"`
}

// ThinningAnswer is how a bought solution is let down.
type ThinningAnswer struct {
	dribble.Thinning
	Made     Syrup    `json:"made"`
	Strength Strength `json:"strength"`
	Notes    []Note   `json:"notes" doc:"As a plan would say them."`
}

// CalibrationAnswer is what one shot gives.
type CalibrationAnswer struct {
	UnitML float64 `json:"unit_ml" doc:"mL a shot, squeeze or second."`
}

// Protocol is one established recipe.
type Protocol struct {
	ID       string   `json:"id"`
	Recipe   Syrup    `json:"recipe"`
	Strength Strength `json:"strength"`
	Default  bool     `json:"default,omitempty"`
}
