package pad

import (
	"math"
	"slices"

	"keeler/core/chem"
	"keeler/core/hive"
)

// Amount is what one colony gets at one visit.
type Amount struct {
	Name     string           `json:"name"`
	Alike    int              `json:"alike" doc:"Colonies that get the same: 1, or those of a mean."`
	Combs    int              `json:"combs"`
	Boxes    int              `json:"boxes"`
	Asked    chem.Millilitres `json:"asked_ml,omitempty" doc:"By the rule, before rounding and cap."`
	ML       chem.Millilitres `json:"ml,omitempty" doc:"Working acid, whole mL, below 10 half ones."`
	Capped   bool             `json:"capped,omitempty"`
	Pads     int              `json:"pads,omitempty" doc:"Ready pads, or sheets that take it up."`
	AreaCM2  float64          `json:"area_cm2,omitempty" doc:"Sheet that takes it up, cm²."`
	WickCM2  float64          `json:"wick_cm2,omitempty" doc:"Of its wick so much is left open, cm², as the keeper or the label said."`
	Pure     chem.Grams       `json:"formic_g" doc:"Pure formic acid, g."`
	ByPart   bool             `json:"-"` // a nuc's part of an amount meant for a full colony
	Unspoken bool             `json:"-"` // a nuc, and the label says nothing of nucs
}

// potency is the pure acid in a mL of a strength by mass, in g.
func potency(s chem.Share) float64 { return float64(s) * float64(chem.FormicDensity(s)) }

// asking is what the rule asks for in mL of working acid.
type asking struct {
	ml     float64
	byPart bool
	noMore bool // one dose for all sizes, or a label's: never rounded up
}

// asked is the amount before the cap. All that a rule says in another strength becomes
// as much as holds the same pure acid.
func (r Rule) asked(nuc bool, combs, boxes int, working chem.Share) asking {
	if boxes == 0 {
		return asking{}
	}
	a := asking{noMore: r.Label || r.Per == PerColony || r.Per == PerBox}
	if r.Per == PerDay {
		day := r.Day[min(boxes, len(r.Day))-1]
		a.ml = float64(chem.FormicVolume(day*chem.Grams(r.Days), working))
	} else {
		a.ml = r.same(r.ML, working)
		switch r.Per {
		case PerComb:
			a.ml *= float64(combs)
		case PerBox:
			a.ml *= float64(boxes)
		}
	}
	switch {
	case nuc && r.Nuc > 0:
		a.ml, a.noMore = r.same(r.Nuc, working), true
	case nuc && r.Per != PerComb:
		a.ml, a.byPart = a.ml*math.Min(1, float64(combs)/fullCombs), true
	}
	return a
}

// same is as much of the working acid as holds the pure acid of v, which is meant in
// the rule's own strength, in mL.
func (r Rule) same(v chem.Millilitres, working chem.Share) float64 {
	return float64(v) * potency(r.At) / potency(working)
}

// poured is an amount as it is drawn up: whole mL, below 10 mL half ones, as a syringe
// of that size reads; to nearest and a tie down, or never up.
func poured(ml float64, noMore bool) chem.Millilitres {
	step := 1.0
	if ml < 10 {
		step = 0.5
	}
	if noMore {
		return chem.Millilitres(math.Floor(ml/step+1e-9) * step)
	}
	return chem.Millilitres(math.Ceil(ml/step-0.5-1e-9) * step)
}

// amount gives one colony its acid.
func (r Request) amount(rule Rule, name string, nuc bool, combs, boxes int) Amount {
	a := Amount{Name: name, Alike: 1, Combs: combs, Boxes: boxes, WickCM2: r.Aim.Open(boxes)}
	ask := rule.asked(nuc, combs, boxes, r.Working)
	a.Asked, a.ByPart = chem.Millilitres(ask.ml), ask.byPart
	a.ML = poured(ask.ml, ask.noMore)
	if most := rule.same(rule.Cap, r.Working); rule.Cap > 0 && ask.ml > most+1e-9 {
		a.ML, a.Capped = poured(most, true), true
	}
	a.Pure = chem.Grams(float64(a.ML) * potency(r.Working))
	if r.Sheet.Takes > 0 {
		sheets := float64(a.ML / r.Sheet.Takes)
		a.Pads = int(math.Ceil(sheets - 1e-9))
		a.AreaCM2 = sheets * r.Sheet.Width * r.Sheet.Length
	}
	return a
}

// pads gives one colony its ready pads.
func (c Card) pads(name string, nuc bool, combs, boxes int) Amount {
	a := Amount{Name: name, Alike: 1, Combs: combs, Boxes: boxes, Pads: c.Each}
	switch {
	case boxes == 0:
		a.Pads = 0
	case c.Per == PerBox:
		a.Pads *= boxes
	}
	if nuc && boxes > 0 {
		a.Pads, a.Unspoken = c.Nuc, c.Nuc == 0
	}
	a.Pure = c.Pure * chem.Grams(a.Pads)
	return a
}

// amounts is every colony's. Each comb and each box of the hive as it stands
// counts: supers are off by then.
func (r Request) amounts(rule Rule) []Amount {
	give := func(name string, nuc bool, combs, boxes int) Amount {
		if r.Hold.Kind == ReadyPads {
			return r.Hold.Card.pads(name, nuc, combs, boxes)
		}
		return r.amount(rule, name, nuc, combs, boxes)
	}
	if len(r.Colonies) == 0 && r.Mean != nil {
		one := give("", false, r.Mean.Combs, r.Mean.Boxes)
		one.Alike = r.Mean.Colonies
		return []Amount{one}
	}
	out := make([]Amount, len(r.Colonies))
	for i, c := range r.Colonies {
		out[i] = give(c.Name, c.Nuc, c.Combs(), boxesWithCombs(c))
	}
	return out
}

func boxesWithCombs(c hive.Colony) int {
	n := 0
	for _, b := range c.Boxes {
		if slices.Contains(b.Slots, hive.Comb) {
			n++
		}
	}
	return n
}
