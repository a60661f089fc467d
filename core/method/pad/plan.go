package pad

import (
	"cmp"
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/mixing"
	"keeler/core/note"
)

// Course is all visits together.
type Course struct {
	Visits  int              `json:"visits"`
	Apart   int              `json:"days_apart"`
	Days    int              `json:"days" doc:"From the first visit to the end of the last."`
	Working chem.Millilitres `json:"working_ml,omitempty" doc:"Working acid for all visits and colonies with the reserve, mL."`
	Stock   chem.Millilitres `json:"stock_ml,omitempty" doc:"Stock for it, mL."`
	Bottles int              `json:"bottles,omitempty" doc:"Of stock, to buy."`
	Bottle  chem.Millilitres `json:"bottle_ml,omitempty" doc:"What one of them holds, mL."`
	Spare   chem.Millilitres `json:"spare_ml,omitempty" doc:"Of stock, left in the last bottle, mL."`
	Pads    int              `json:"pads,omitempty" doc:"Ready pads, or sheets, for all visits."`
	Pure    chem.Grams       `json:"formic_g" doc:"Pure formic acid for all visits, without reserve, g."`
}

// Spoons is what so many tablespoons would do instead of a dose: never a measure,
// only a warning.
type Spoons struct {
	Dose       chem.Millilitres `json:"dose_ml" doc:"The largest dose, mL."`
	Count      int              `json:"count" doc:"Tablespoons nearest to it."`
	US         chem.Millilitres `json:"us_ml" doc:"What they hold at 14.8 mL."`
	Metric     chem.Millilitres `json:"metric_ml" doc:"What they hold at 15 mL."`
	Australian chem.Millilitres `json:"australian_ml" doc:"What they hold at 20 mL."`
}

// Tablespoons, in mL.
const (
	usSpoon         chem.Millilitres = 14.8
	metricSpoon     chem.Millilitres = 15
	australianSpoon chem.Millilitres = 20
)

// Plan is one mixing of working acid, or ready pads, and whom it serves.
type Plan struct {
	Stock      chem.Share              `json:"stock_percent,omitempty" doc:"Strength of the stock by weight, %."`
	StockOff   chem.Share              `json:"stock_off_percent,omitempty" doc:"How far off it can be either way, %; only from a reading."`
	Working    chem.Share              `json:"working_percent,omitempty" doc:"Strength used by weight, %."`
	WorkingOff chem.Share              `json:"working_off_percent,omitempty" doc:"How far off it can be either way, %."`
	Potency    chem.GramsPerMillilitre `json:"formic_g_per_ml,omitempty" doc:"Pure acid in a mL of it, g."`
	Dilution   Dilution                `json:"dilution,omitzero" doc:"Left out for ready pads."`
	Made       chem.Mixture            `json:"-"`
	From       From                    `json:"from" doc:"above or below."`
	Amounts    []Amount                `json:"given" doc:"At one visit."`
	Visit      chem.Millilitres        `json:"visit_ml" doc:"Working acid for one visit to all, mL."`
	VisitPads  int                     `json:"visit_pads" doc:"Pads or sheets for one visit to all."`
	VisitPure  chem.Grams              `json:"visit_formic_g" doc:"Pure acid in them, g."`
	Course     Course                  `json:"course"`
	Visits     int                     `json:"visits" doc:"Visits that the batch does; 0 when nobody gets any."`
	Leftover   chem.Millilitres        `json:"leftover_ml" doc:"Of it after those visits, mL."`
	Spoons     Spoons                  `json:"spoons,omitzero"`
	Lines      []mixing.Line           `json:"lines" doc:"In the order of the work: acid goes into water."`
	GiveGear   []mixing.Gear           `json:"give_gear" doc:"To be worn in the yard."`
	Neutralise mixing.Neutralise       `json:"neutralise"`
	Cost       *mixing.Cost            `json:"cost,omitempty" doc:"Only where a price is given."`
	Notes      []note.Note             `json:"notes"`
}

// New works out a plan of a request that is Settled. Its error is a fault.List that names
// each field that cannot be and the range that could.
func New(r Request) (Plan, error) {
	if l := r.check(); len(l) > 0 {
		return Plan{}, l
	}
	rule := r.rule()
	p := Plan{From: rule.From, Amounts: r.amounts(rule), GiveGear: mixing.FormicGear}
	for _, a := range p.Amounts {
		p.Visit += a.ML * chem.Millilitres(a.Alike)
		p.VisitPads += a.Pads * a.Alike
		p.VisitPure += a.Pure * chem.Grams(a.Alike)
	}
	p.Course = Course{
		Visits: rule.Visits, Apart: rule.Apart, Days: (rule.Visits-1)*rule.Apart + rule.Days,
		Pads: p.VisitPads * rule.Visits, Pure: p.VisitPure * chem.Grams(rule.Visits),
	}
	var err error
	if r.Hold.Kind == ReadyPads {
		err = p.count(r)
	} else {
		err = p.dilute(r)
	}
	if err != nil {
		return Plan{}, err
	}
	p.price(r)
	p.Notes = notes(r, rule, p)
	return p, nil
}

// rule is the protocol's, the keeper's own, or what the card says of the course.
func (r Request) rule() Rule {
	switch {
	case r.Hold.Kind == ReadyPads:
		c := r.Hold.Card
		return Rule{From: c.From, Visits: c.Visits, Apart: c.Apart, Label: true}
	case r.Aim.Protocol == "":
		own := r.Aim.Rule
		own.Visits = cmp.Or(own.Visits, 1)
		return own
	}
	protocol, _ := Find(r.Aim.Protocol)
	rule := protocol.Rule
	rule.Visits, rule.Apart = cmp.Or(r.Aim.Visits, rule.Visits), cmp.Or(r.Aim.Apart, rule.Apart)
	return rule
}

// count is the plan of ready pads: nothing is mixed.
func (p *Plan) count(r Request) error {
	if p.VisitPads == 0 {
		return fault.List{{Field: "colonies", Reason: fault.Missing}}
	}
	p.Visits = 1
	p.Made.Formic = p.VisitPure
	p.Neutralise.Whole, p.Neutralise.WholeGas = chem.FormicBicarbonate(p.Made.Formic)
	p.Lines = []mixing.Line{{Step: StepPads, Ingredient: "ready_pads", Count: p.VisitPads, Gear: mixing.FormicGear}}
	return nil
}

// dilute makes the working acid.
func (p *Plan) dilute(r Request) error {
	p.Stock, p.StockOff = r.Hold.strength()
	p.Working = r.Working
	p.WorkingOff = p.StockOff * p.Working / p.Stock
	given, mass := GivenWorking, chem.Grams(0)
	field, typed, unit := r.people()
	withReserve := 1 + float64(r.Size.Reserved())
	switch r.Size.By {
	case SizeVisit:
		mass = chem.FormicMass(p.Visit*chem.Millilitres(withReserve), p.Working)
	case SizeCourse:
		mass = chem.FormicMass(p.Visit*chem.Millilitres(withReserve*float64(p.Course.Visits)), p.Working)
	case SizeWorking:
		mass, field, typed, unit = chem.FormicMass(r.Size.Working, p.Working), "size.working_ml", float64(r.Size.Working), "mL"
	case SizeStock:
		given, mass = GivenStock, chem.FormicMass(r.Size.Stock, p.Stock)
		field, typed, unit = "size.stock_ml", float64(r.Size.Stock), "mL"
	case SizeWater:
		given, mass = GivenWater, r.Size.Water
		field, typed, unit = "size.water_g", float64(r.Size.Water), "g"
		if p.Working == p.Stock {
			return fault.List{{Field: "working_percent", Reason: fault.TooHigh, Low: 5, High: 100*float64(p.Stock) - 0.5, Unit: "%"}}
		}
	}
	p.Dilution = Dilute(p.Stock, p.Working, given, mass)
	var l fault.List
	if !l.Scaled(field, typed, float64(p.Dilution.Working), 5, 200000, unit) {
		return l
	}
	d := p.Dilution
	p.Made = chem.Mixture{Formic: d.Working * chem.Grams(p.Working)}
	p.Made.Water = d.Working - p.Made.Formic
	p.Potency = chem.GramsPerMillilitre(float64(p.Made.Formic) / float64(d.WorkingML))
	p.Lines = r.lines(d)
	if err := r.Balance.Readable(p.Lines, StepStock); err != nil {
		return err
	}
	if p.Visit > 0 {
		p.Visits = int(math.Floor(float64(d.WorkingML/p.Visit) + 1e-9))
		p.Visits = min(p.Visits, p.Course.Visits)
	}
	p.Leftover = d.WorkingML - p.Visit*chem.Millilitres(p.Visits)
	p.buy(r, withReserve)
	p.spoons()
	n := &p.Neutralise
	n.Leftover, n.LeftoverGas = chem.FormicBicarbonate(chem.Grams(float64(p.Leftover) * potency(p.Working)))
	n.Whole, n.WholeGas = chem.FormicBicarbonate(p.Made.Formic)
	return nil
}

// people is whom the acid is for, as a figure of the request.
func (r Request) people() (field string, typed float64, unit string) {
	if len(r.Colonies) == 0 && r.Mean != nil {
		return "mean.colonies", float64(r.Mean.Colonies), "colonies"
	}
	return "colonies", float64(len(r.Colonies)), "colonies"
}

// buy is the stock for all visits, in bottles.
func (p *Plan) buy(r Request, withReserve float64) {
	c := &p.Course
	c.Working = p.Visit * chem.Millilitres(withReserve*float64(c.Visits))
	c.Stock = Dilute(p.Stock, p.Working, GivenWorking, chem.FormicMass(c.Working, p.Working)).StockML
	c.Bottle = r.Bottle
	c.Bottles = int(math.Ceil(float64(c.Stock/r.Bottle) - 1e-9))
	c.Spare = chem.Millilitres(c.Bottles)*r.Bottle - c.Stock
}

// spoons takes the largest dose and the spoons nearest to it.
func (p *Plan) spoons() {
	dose := chem.Millilitres(0)
	for _, a := range p.Amounts {
		dose = max(dose, a.ML)
	}
	if dose == 0 {
		return
	}
	n := max(1, int(math.Round(float64(dose/metricSpoon))))
	k := chem.Millilitres(n)
	p.Spoons = Spoons{Dose: dose, Count: n, US: k * usSpoon, Metric: k * metricSpoon, Australian: k * australianSpoon}
}

func (p *Plan) price(r Request) {
	if r.Prices.Stock == 0 {
		return
	}
	p.Cost = &mixing.Cost{Total: r.Prices.Stock * float64(p.Dilution.StockML) / 1000}
	if r.Hold.Kind == ReadyPads {
		p.Cost.Total = r.Prices.Stock * float64(p.VisitPads)
	}
	served := 0
	for _, a := range p.Amounts {
		if a.Pure > 0 {
			served += a.Alike
		}
	}
	if served > 0 {
		p.Cost.PerColony = p.Cost.Total / float64(served)
	}
}
