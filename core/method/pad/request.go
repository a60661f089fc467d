package pad

import (
	"cmp"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/mixing"
)

// HoldKind is what the keeper has.
type HoldKind string

const (
	Acid      HoldKind = "acid"
	ReadyPads HoldKind = "ready_pads" // a product given as it is, by its label card
)

// Hold is what the keeper has. An acid's strength is as labelled, or read.
type Hold struct {
	Kind    HoldKind         `json:"kind" enum:"acid,ready_pads" doc:"Formic acid to be let down or given as it is, or ready pads."`
	Label   chem.Share       `json:"percent,omitempty" doc:"Acid: strength on its label by weight, 5 to 100 %; or give a reading."`
	Reading *Reading         `json:"reading,omitempty" doc:"Acid: its density, where the label is doubtful."`
	Volume  chem.Millilitres `json:"volume_ml,omitempty" doc:"Acid in hand, mL, 10 to 100000."`
	Card    *Card            `json:"card,omitempty" doc:"Required for ready_pads."`
	Count   int              `json:"count,omitempty" doc:"Ready pads in hand, 0 to 10000."`
}

// Card is what the keeper copied from the label of ready pads.
type Card struct {
	Name   string     `json:"name,omitempty" maxLength:"80" doc:"What the keeper calls them."`
	Pure   chem.Grams `json:"formic_g" doc:"Formic acid in one pad, 1 to 200 g."`
	Per    Per        `json:"per" enum:"colony,box" doc:"What the number goes by."`
	Each   int        `json:"each" doc:"Pads together for it at a visit, 1 to 10, and at most 500 g of pure acid."`
	Nuc    int        `json:"nuc_each,omitempty" doc:"Pads for a nuc, 0 to 10; 0 when the label says nothing of nucs."`
	From   From       `json:"from" enum:"above,below"`
	Visits int        `json:"visits" doc:"1 to 15."`
	Apart  int        `json:"days_apart,omitempty" doc:"0 to 30."`
}

// SizeBy is what settles how much is made.
type SizeBy string

const (
	SizeVisit   SizeBy = "visit"   // for one visit to the colonies, with a reserve
	SizeCourse  SizeBy = "course"  // for all visits, with a reserve
	SizeWorking SizeBy = "working" // so much working acid
	SizeStock   SizeBy = "stock"   // all of so much stock
	SizeWater   SizeBy = "water"   // as much as goes with so much water
)

// Size settles how much is made.
type Size struct {
	By      SizeBy           `json:"by,omitempty" doc:"visit (all colonies once), course (all visits), working, stock or water; not needed for ready pads."`
	Working chem.Millilitres `json:"working_ml,omitempty" doc:"Working acid wanted, mL at 20 °C, 5 to 100000."`
	Stock   chem.Millilitres `json:"stock_ml,omitempty" doc:"Stock to be used up, mL at 20 °C, 5 to 100000."`
	Water   chem.Grams       `json:"water_g,omitempty" doc:"Water that is in the bottle already, g, 2 to 50000."`
	Reserve *chem.Share      `json:"reserve_percent,omitempty" doc:"On top for a visit or course, 0 to 100 %; 5 when left out."`
}

// Reserved is the reserve as said, or the usual one.
func (s Size) Reserved() chem.Share { return chem.Or(s.Reserve, UsualReserve) }

// Mean is many colonies alike.
type Mean struct {
	Colonies int `json:"colonies" doc:"1 to 1000."`
	Combs    int `json:"combs" doc:"Combs in each, 1 to 20 a box."`
	Boxes    int `json:"boxes,omitempty" doc:"Boxes of each, 1 to 6; 1 when left out."`
}

// Sheet is a cloth or sponge and what one of them takes up, measured with water.
type Sheet struct {
	Takes  chem.Millilitres `json:"takes_ml" doc:"Measured with water, mL, 1 to 1000."`
	Width  float64          `json:"width_cm" doc:"cm, 1 to 200."`
	Length float64          `json:"length_cm" doc:"cm, 1 to 200."`
}

// Prices in any one currency; 0 when not said.
type Prices struct {
	Stock float64 `json:"stock,omitempty" doc:"For a litre of stock, or one ready pad, 0 to 1000000."`
}

// Aim is how much a colony gets and how often: a protocol's, or the keeper's own.
type Aim struct {
	Protocol string `json:"protocol,omitempty" doc:"ID from /api/pad/protocols; or give per, ml and from."`
	Rule
	Wick
}

// Wick is how much of a bottle's wick is left open, by the keeper or the label: nobody else
// knows the device.
type Wick struct {
	One  float64 `json:"wick_one_cm2,omitempty" doc:"Of a bottle: cm² of wick left open on a hive of one box, 0 to 2000; 0 when not said."`
	More float64 `json:"wick_more_cm2,omitempty" doc:"And on one of more boxes, cm², 0 to 2000; as on one when left out."`
}

// Open is what is left open on a hive of so many boxes, cm²; 0 when not said.
func (w Wick) Open(boxes int) float64 {
	if boxes > 1 && w.More > 0 {
		return w.More
	}
	return w.One
}

// MostWick is the largest wick, cm².
const MostWick = 2000

// Request is all that a plan depends on.
type Request struct {
	Hold     Hold             `json:"hold"`
	Working  chem.Share       `json:"working_percent,omitempty" doc:"Strength to be used by weight, 5 to 100 % and never above the stock's; 60 when left out."`
	Aim      Aim              `json:"amount,omitzero" doc:"Not needed for ready pads."`
	Size     Size             `json:"size,omitzero"`
	Colonies []hive.Colony    `json:"-"`
	Mean     *Mean            `json:"mean,omitempty" doc:"Used when there are no colonies."`
	Sheet    Sheet            `json:"sheet,omitzero" doc:"With it the answer says how many sheets, or how large."`
	Bottle   chem.Millilitres `json:"bottle_ml,omitempty" doc:"In which the stock is sold, mL, 50 to 50000; 1000 when left out."`
	mixing.Balance
	Prices Prices `json:"prices,omitzero"`
}

// Settled is a request with what is usual where nothing is said.
func (r Request) Settled() Request {
	r.Working, r.Bottle, r.Balance = cmp.Or(r.Working, WeakestWorking), cmp.Or(r.Bottle, UsualBottle), r.Balance.Settled()
	if r.Aim.Protocol == "" {
		r.Aim.At = cmp.Or(r.Aim.At, r.Working)
	}
	if r.Mean != nil {
		mean := *r.Mean
		mean.Boxes = cmp.Or(mean.Boxes, 1)
		r.Mean = &mean
	}
	return r
}

func (r Request) check() fault.List {
	var l fault.List
	hive.CheckAll(r.Colonies, &l)
	switch r.Hold.Kind {
	case Acid:
		r.checkAcid(&l)
	case ReadyPads:
		r.Hold.check(&l)
	case "":
		l.Add("hold.kind", fault.Missing)
	default:
		l.Add("hold.kind", fault.Unknown)
	}
	if r.Hold.Kind != Acid {
		r.checkMean(&l)
	}
	r.Balance.Check(&l)
	l.Within("prices.stock", r.Prices.Stock, 0, 1e6, "")
	return l
}

func (r Request) checkAcid(l *fault.List) {
	before := len(*l)
	if r.Hold.Reading != nil {
		r.Hold.Reading.check("hold.reading", l)
	} else if r.Hold.Label == 0 {
		l.AddRange("hold.percent", fault.Missing, 5, 100, "%")
	} else {
		l.Within("hold.percent", float64(r.Hold.Label)*100, 5, 100, "%")
	}
	if len(*l) == before {
		stock, _ := r.Hold.strength()
		checkDown(stock, r.Working, l)
	}
	if r.Hold.Volume != 0 {
		l.Within("hold.volume_ml", float64(r.Hold.Volume), 10, 100000, "mL")
	}
	if _, ok := Find(r.Aim.Protocol); !ok && r.Aim.Protocol != "" {
		l.Add("amount.protocol", fault.Unknown)
	}
	r.checkMean(l)
	if len(*l) == before { // amounts go by all of that
		r.checkAmount("amount", l)
	}
	l.Within("amount.wick_one_cm2", r.Aim.One, 0, MostWick, "cm²")
	l.Within("amount.wick_more_cm2", r.Aim.More, 0, MostWick, "cm²")
	r.Size.check(l)
	l.Within("bottle_ml", float64(r.Bottle), 50, 50000, "mL")
	if r.Sheet.Takes != 0 {
		l.Within("sheet.takes_ml", float64(r.Sheet.Takes), 1, 1000, "mL")
		l.Within("sheet.width_cm", r.Sheet.Width, 1, 200, "cm")
		l.Within("sheet.length_cm", r.Sheet.Length, 1, 200, "cm")
	}
}

// checkAmount checks the rule, whose bounds are those of what each box would get.
func (r Request) checkAmount(path string, l *fault.List) {
	before, rule := len(*l), r.rule()
	if own := r.Aim; own.Protocol == "" {
		own.check(path, l)
		if len(*l) > before {
			return
		}
		l.Within(path+".ml", float64(own.ML), 0.1, r.mostML(rule, r.Working), "mL")
		l.Within(path+".nuc_ml", float64(own.Nuc), 0, min(maxML, float64(shortVisit.most)/potency(own.At)), "mL")
		l.Within(path+".cap_ml", float64(own.Cap), 0, 1000, "mL")
	}
	most := float64(mostVisits)
	if len(*l) == before {
		most = r.mostVisitsOf(rule)
	}
	checkCourse(path, rule.Visits, most, r.Aim.Apart, l)
}

func (r Rule) check(path string, l *fault.List) {
	switch r.Per {
	case PerComb, PerBox, PerColony:
		l.Within(path+".at_percent", float64(r.At)*100, 5, 100, "%")
	case "":
		l.Add(path+".per", fault.Missing)
	default:
		l.Add(path+".per", fault.Unknown)
	}
	if r.From != Above && r.From != Below {
		l.Add(path+".from", fault.Unknown)
	}
}

func checkCourse(path string, visits int, most float64, apart int, l *fault.List) {
	l.Within(path+".visits", float64(visits), 1, most, "visits")
	l.Within(path+".days_apart", float64(apart), 0, 30, "days")
}

func (h Hold) check(l *fault.List) {
	l.Within("hold.count", float64(h.Count), 0, 10000, "pads")
	c := h.Card
	if c == nil {
		l.Add("hold.card", fault.Missing)
		return
	}
	l.Length("hold.card.name", c.Name, maxName)
	before := len(*l)
	l.Within("hold.card.formic_g", float64(c.Pure), 1, 200, "g")
	if c.Per != PerColony && c.Per != PerBox {
		l.Add("hold.card.per", fault.Unknown)
	}
	most := float64(maxPads)
	if len(*l) == before {
		most = c.mostPads()
	}
	l.Within("hold.card.each", float64(c.Each), 1, most, "pads")
	l.Within("hold.card.nuc_each", float64(c.Nuc), 0, most, "pads")
	if c.From != Above && c.From != Below {
		l.Add("hold.card.from", fault.Unknown)
	}
	checkCourse("hold.card", c.Visits, mostVisits, c.Apart, l)
}

func (s Size) check(l *fault.List) {
	switch s.By {
	case SizeVisit, SizeCourse:
		l.Within("size.reserve_percent", float64(s.Reserved())*100, 0, 100, "%")
	case SizeWorking:
		l.Within("size.working_ml", float64(s.Working), 5, 100000, "mL")
	case SizeStock:
		l.Within("size.stock_ml", float64(s.Stock), 5, 100000, "mL")
	case SizeWater:
		l.Within("size.water_g", float64(s.Water), 2, 50000, "g")
	case "":
		l.Add("size.by", fault.Missing)
	default:
		l.Add("size.by", fault.Unknown)
	}
}

// checkMean asks for colonies where the amount goes by them.
func (r Request) checkMean(l *fault.List) {
	if len(r.Colonies) > 0 {
		return
	}
	if r.Mean == nil {
		if r.Hold.Kind == ReadyPads || r.Size.By == SizeVisit || r.Size.By == SizeCourse {
			l.Add("mean.colonies", fault.Missing)
		}
		return
	}
	l.Within("mean.colonies", float64(r.Mean.Colonies), 1, hive.MaxColonies, "colonies")
	if l.Within("mean.boxes", float64(r.Mean.Boxes), 1, hive.MaxBoxes, "boxes") {
		l.Within("mean.combs", float64(r.Mean.Combs), 1, float64(r.Mean.Boxes*hive.MaxFrames), "combs")
	}
}

// strength is the stock's, by mass, and how far off it can be either way.
func (h Hold) strength() (strength, off chem.Share) {
	if h.Reading != nil {
		return h.Reading.Strength()
	}
	return h.Label, 0
}
