package wire

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

// Gap is one gap beside the combs.
type Gap struct {
	Open bool    `json:"open" doc:"Whether bees can sit here on a comb."`
	Seam float64 `json:"seam" doc:"Bees in it, 0 to 1 in quarters."`
	ML   float64 `json:"ml" doc:"What it gets, in steps the applicator can give."`
	Mg   float64 `json:"mg" doc:"mg OAD in that."`
}

// BoxDose is what one box gets.
type BoxDose struct {
	ML   float64 `json:"ml" doc:"The sum of its gaps."`
	Gaps []Gap   `json:"gaps"`
}

// Draw is one handling of the applicator.
type Draw struct {
	ML    float64 `json:"ml" doc:"mL."`
	Count float64 `json:"count,omitempty" doc:"Squeezes, shots or seconds; left out for a syringe."`
}

// ColonyDose is what one colony gets.
type ColonyDose struct {
	Name      string    `json:"name"`
	Seams     float64   `json:"seams" doc:"Seams of bees."`
	Unreached float64   `json:"unreached_seams,omitempty" doc:"Of them in boxes below that are not opened: they get nothing."`
	Bees      int       `json:"bees" doc:"Estimated from the seams."`
	AskedML   float64   `json:"asked_ml" doc:"By the rule, before the cap."`
	DoseML    float64   `json:"dose_ml" doc:"After the cap."`
	ML        float64   `json:"ml" doc:"The dose in steps the applicator can give; boxes, gaps and draws add up to it."`
	ShortML   float64   `json:"short_ml,omitempty" doc:"Of a dose that is not rounded up, what the applicator cannot give."`
	Mg        float64   `json:"mg" doc:"mg OAD in ml."`
	Capped    bool      `json:"capped"`
	SeamML    float64   `json:"seam_ml" doc:"In each full seam that is reached, on average."`
	MgPerSeam float64   `json:"mg_per_seam" doc:"mg OAD in each of them."`
	Boxes     []BoxDose `json:"boxes" doc:"The lowest first, in the order of dosing."`
	Draws     []Draw    `json:"draws"`
}

// Use is what a plan takes out of what is held.
type Use struct {
	Grams    float64  `json:"grams,omitempty" doc:"Powder, tablets or bought solution, g."`
	Count    float64  `json:"count,omitempty" doc:"Packets or tablets."`
	VolumeML float64  `json:"volume_ml,omitempty" doc:"Of a bought liquid, mL."`
	Left     *float64 `json:"left,omitempty" doc:"What stays, in g, packets, tablets or mL; below 0 it is not enough. Left out when what is held was not said."`
}

// Clarity says where the acid stays dissolved.
type Clarity struct {
	SaturationC float64 `json:"saturation_c" doc:"Colder than this, crystals can fall out, °C; 0 when it stays clear at freezing."`
	Fridge      bool    `json:"fridge" doc:"Stays clear where it is kept."`
	Yard        bool    `json:"yard" doc:"Stays clear where it is used."`
}

// DribbleAnswer is one batch of syrup.
type DribbleAnswer struct {
	VolumeML   float64      `json:"volume_ml" doc:"Finished volume at 20 °C, mL."`
	Strength   Strength     `json:"strength"`
	Made       *Syrup       `json:"made,omitempty" doc:"Left out for a ready-to-use product."`
	Use        Use          `json:"use"`
	Lines      []Line       `json:"lines" doc:"In the order of the work."`
	GiveGear   []string     `json:"give_gear" doc:"To be worn in the yard."`
	Doses      []ColonyDose `json:"doses"`
	GivenML    float64      `json:"given_ml" doc:"The sum of the doses, or the estimate of a mean."`
	LeftoverML float64      `json:"leftover_ml" doc:"What the doses leave; below 0 it runs short."`
	AtCap      int          `json:"at_cap" doc:"Colonies that the volume serves at the cap."`
	FullSeams  float64      `json:"full_seams" doc:"Full seams that the volume serves."`
	Clarity    *Clarity     `json:"clarity,omitempty"`
	Neutralise Neutralise   `json:"neutralise"`
	Cost       *Cost        `json:"cost,omitempty" doc:"Only where prices are given."`
	Notes      []Note       `json:"notes"`
}

// DoseAnswer is the doses of colonies.
type DoseAnswer struct {
	Doses   []ColonyDose `json:"doses"`
	GivenML float64      `json:"given_ml"`
	Notes   []Note       `json:"notes" doc:"As a plan would say them."`
}

// PacketAnswer says how far packets go.
type PacketAnswer struct {
	OADG      float64  `json:"oad_g" doc:"g OAD in all the packets."`
	VolumeML  float64  `json:"volume_ml" doc:"Syrup they make, mL."`
	Strength  Strength `json:"strength"`
	AtCap     int      `json:"at_cap" doc:"Colonies at the cap."`
	FullSeams float64  `json:"full_seams"`
	Notes     []Note   `json:"notes"`
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
	StockG   float64  `json:"stock_g" doc:"g of the bought solution."`
	StockML  float64  `json:"stock_ml" doc:"mL of it at 20 °C."`
	WaterG   float64  `json:"water_g" doc:"g water to add."`
	SugarG   float64  `json:"sugar_g" doc:"g sugar to add."`
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
