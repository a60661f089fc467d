package wire

import (
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/mixing"
)

// Dilution is stock and water that make working acid; volumes at 20 °C.
type Dilution struct {
	StockG      float64 `json:"stock_g" doc:"g of the acid as bought."`
	StockML     float64 `json:"stock_ml" doc:"The same, mL."`
	WaterG      float64 `json:"water_g" doc:"g of water."`
	WaterML     float64 `json:"water_ml" doc:"The same, mL."`
	WorkingG    float64 `json:"working_g" doc:"g of working acid."`
	WorkingML   float64 `json:"working_ml" doc:"The same, mL."`
	ShrinkageML float64 `json:"shrinkage_ml" doc:"By so much stock and water apart take up more room, mL."`
}

// PadGiven is what one colony gets at one visit.
type PadGiven struct {
	Name    string  `json:"name"`
	Alike   int     `json:"alike" doc:"Colonies that get the same: 1, or those of a mean."`
	Combs   int     `json:"combs"`
	Boxes   int     `json:"boxes"`
	AskedML float64 `json:"asked_ml,omitempty" doc:"By the rule, before rounding and cap."`
	ML      float64 `json:"ml,omitempty" doc:"Working acid, whole mL, below 10 half ones."`
	Capped  bool    `json:"capped,omitempty"`
	Pads    int     `json:"pads,omitempty" doc:"Ready pads, or sheets that take it up."`
	AreaCM2 float64 `json:"area_cm2,omitempty" doc:"Sheet that takes it up, cm²."`
	FormicG float64 `json:"formic_g" doc:"Pure formic acid, g."`
}

// PadCourse is all visits together.
type PadCourse struct {
	Visits    int     `json:"visits"`
	DaysApart int     `json:"days_apart"`
	Days      int     `json:"days" doc:"From the first visit to the end of the last."`
	WorkingML float64 `json:"working_ml,omitempty" doc:"Working acid for all visits and colonies with the reserve, mL."`
	StockML   float64 `json:"stock_ml,omitempty" doc:"Stock for it, mL."`
	Bottles   int     `json:"bottles,omitempty" doc:"Of stock, to buy."`
	BottleML  float64 `json:"bottle_ml,omitempty" doc:"What one of them holds, mL."`
	SpareML   float64 `json:"spare_ml,omitempty" doc:"Of stock, left in the last bottle, mL."`
	Pads      int     `json:"pads,omitempty" doc:"Ready pads, or sheets, for all visits."`
	FormicG   float64 `json:"formic_g" doc:"Pure formic acid for all visits, without reserve, g."`
}

// Spoons is what tablespoons would do; never a measure.
type Spoons struct {
	DoseML       float64 `json:"dose_ml" doc:"The largest dose, mL."`
	Count        int     `json:"count" doc:"Tablespoons nearest to it."`
	USML         float64 `json:"us_ml" doc:"What they hold at 14.8 mL."`
	MetricML     float64 `json:"metric_ml" doc:"What they hold at 15 mL."`
	AustralianML float64 `json:"australian_ml" doc:"What they hold at 20 mL."`
}

// PadAnswer is one mixing of working acid, or ready pads, and whom it serves.
type PadAnswer struct {
	StockPercent      float64    `json:"stock_percent,omitempty" doc:"Strength of the stock by weight, %."`
	StockOffPercent   float64    `json:"stock_off_percent,omitempty" doc:"How far off it can be either way, %; only from a reading."`
	WorkingPercent    float64    `json:"working_percent,omitempty" doc:"Strength used by weight, %."`
	WorkingOffPercent float64    `json:"working_off_percent,omitempty" doc:"How far off it can be either way, %."`
	FormicGPerML      float64    `json:"formic_g_per_ml,omitempty" doc:"Pure acid in a mL of it, g."`
	Dilution          *Dilution  `json:"dilution,omitempty" doc:"Left out for ready pads."`
	From              string     `json:"from" doc:"above or below."`
	Given             []PadGiven `json:"given" doc:"At one visit."`
	VisitML           float64    `json:"visit_ml" doc:"Working acid for one visit to all, mL."`
	VisitPads         int        `json:"visit_pads" doc:"Pads or sheets for one visit to all."`
	VisitFormicG      float64    `json:"visit_formic_g" doc:"Pure acid in them, g."`
	Course            PadCourse  `json:"course"`
	Visits            int        `json:"visits" doc:"Visits that the batch does."`
	LeftoverML        float64    `json:"leftover_ml" doc:"Of it after those visits, mL."`
	Spoons            *Spoons    `json:"spoons,omitempty"`
	Lines             []Line     `json:"lines" doc:"In the order of the work: acid goes into water."`
	GiveGear          []string   `json:"give_gear" doc:"To be worn in the yard."`
	Neutralise        Neutralise `json:"neutralise"`
	Cost              *Cost      `json:"cost,omitempty" doc:"Only where a price is given."`
	Notes             []Note     `json:"notes"`
}

// PadDilutionAnswer is a dilution alone.
type PadDilutionAnswer struct {
	Dilution Dilution `json:"dilution"`
	Lines    []Line   `json:"lines"`
	Notes    []Note   `json:"notes" doc:"As a plan would say them."`
}

// PadAssayAnswer is what a density says.
type PadAssayAnswer struct {
	Percent    float64 `json:"percent" doc:"Strength by weight, %."`
	OffPercent float64 `json:"off_percent" doc:"How far off either way, %."`
}

// PadProtocol is one established way of giving formic acid.
type PadProtocol struct {
	ID        string    `json:"id"`
	Per       string    `json:"per" doc:"comb, box, colony, or day: g evaporated a day."`
	ML        float64   `json:"ml,omitempty" doc:"For it, mL."`
	AtPercent float64   `json:"at_percent,omitempty" doc:"The strength that ml is meant in, %."`
	GPerDay   []float64 `json:"g_per_day,omitempty" doc:"By day: g aimed at on one box, and on more."`
	Days      int       `json:"days,omitempty" doc:"By day: that a filling lasts."`
	From      string    `json:"from"`
	Visits    int       `json:"visits"`
	DaysApart int       `json:"days_apart,omitempty"`
	Default   bool      `json:"default,omitempty"`
}

// PadStrength is one strength on the ladder.
type PadStrength struct {
	ID      string  `json:"id"`
	Percent float64 `json:"percent" doc:"By weight, %."`
	Worked  bool    `json:"worked" doc:"Protocols work with it; otherwise it is only bought."`
}

// PlanPad works out working acid or ready pads. Its error is a fault.List whose
// fields are paths in the request.
func PlanPad(r PadRequest) (PadAnswer, error) {
	w, err := r.work()
	if err != nil {
		return PadAnswer{}, err
	}
	return *w.Answer.Pad, nil
}

// DilutePad works out a dilution alone.
func DilutePad(r PadDilutionRequest) (PadDilutionAnswer, error) {
	a, err := PlanPad(PadRequest{
		Hold: r.Hold, WorkingPercent: r.WorkingPercent, Size: r.Size, BalanceG: r.BalanceG,
		Amount: PadAmount{Protocol: pad.DefaultProtocol},
	})
	if err != nil {
		return PadDilutionAnswer{}, err
	}
	return PadDilutionAnswer{Dilution: *a.Dilution, Lines: a.Lines, Notes: a.Notes}, nil
}

// AssayPad reads a strength out of a density.
func AssayPad(r PadAssayRequest) (PadAssayAnswer, error) {
	strength, off, err := pad.Assay(r.Reading.core())
	return PadAssayAnswer{Percent: round(100 * strength), OffPercent: round(100 * off)}, err
}

// PadProtocols lists the established ways.
func PadProtocols() []PadProtocol {
	out := make([]PadProtocol, len(pad.Protocols))
	for i, s := range pad.Protocols {
		out[i] = PadProtocol{
			ID: s.ID, Per: string(s.Rule.Per), ML: float64(s.Rule.ML), AtPercent: round(100 * s.Rule.At),
			From: string(s.Rule.From), Visits: s.Rule.Visits, DaysApart: s.Rule.Apart, Default: s.ID == pad.DefaultProtocol,
		}
		if s.Rule.Per == pad.PerDay {
			out[i].GPerDay, out[i].Days = []float64{float64(s.Rule.Day[0]), float64(s.Rule.Day[1])}, s.Rule.Days
		}
	}
	return out
}

// PadStrengths lists what is worked with and bought, the weakest first.
func PadStrengths() []PadStrength {
	return []PadStrength{
		{"weak", round(100 * pad.WeakestWorking), true},
		{"strong", round(100 * pad.StrongestWorking), true},
		{"bought", round(100 * pad.StrongestBought), false},
	}
}

var padIngredients = map[mixing.Step]string{
	pad.StepWater: "water", pad.StepStock: "formic_acid", pad.StepPads: "ready_pads",
}

func padAnswer(p pad.Plan, kind pad.HoldKind) PadAnswer {
	c := p.Course
	out := PadAnswer{
		StockPercent: round(100 * p.Stock), StockOffPercent: round(100 * p.StockOff),
		WorkingPercent: round(100 * p.Working), WorkingOffPercent: round(100 * p.WorkingOff),
		From: string(p.From), Given: make([]PadGiven, len(p.Amounts)),
		VisitML: round(p.Visit), VisitPads: p.VisitPads, VisitFormicG: round(p.VisitPure),
		Course: PadCourse{
			Visits: c.Visits, DaysApart: c.Apart, Days: c.Days, WorkingML: round(c.Working), StockML: round(c.Stock),
			Bottles: c.Bottles, BottleML: round(c.Bottle), SpareML: round(c.Spare), Pads: c.Pads, FormicG: round(c.Pure),
		},
		Visits: p.Visits, LeftoverML: round(p.Leftover), Lines: make([]Line, len(p.Lines)),
		GiveGear: gear(p.GiveGear), Neutralise: neutralise(p.Neutralise), Cost: cost(p.Cost),
		Notes: notes(method.Pad, p.Notes),
	}
	if kind == pad.Acid {
		d := p.Dilution
		out.Dilution = &Dilution{
			StockG: round(d.Stock), StockML: round(d.StockML), WaterG: round(d.Water), WaterML: round(d.WaterML),
			WorkingG: round(d.Working), WorkingML: round(d.WorkingML), ShrinkageML: round(d.Shrinkage),
		}
		out.FormicGPerML = round(float64(p.Made.Formic) / float64(d.WorkingML))
	}
	if s := p.Spoons; s.Count > 0 {
		out.Spoons = &Spoons{
			DoseML: round(s.Dose), Count: s.Count, USML: round(s.US), MetricML: round(s.Metric), AustralianML: round(s.Australian),
		}
	}
	for i, l := range p.Lines {
		out.Lines[i] = line(l, padIngredients[l.Step])
	}
	for i, a := range p.Amounts {
		out.Given[i] = PadGiven{
			Name: a.Name, Alike: a.Alike, Combs: a.Combs, Boxes: a.Boxes, AskedML: round(a.Asked), ML: round(a.ML),
			Capped: a.Capped, Pads: a.Pads, AreaCM2: round(a.AreaCM2), FormicG: round(a.Pure),
		}
	}
	return out
}
