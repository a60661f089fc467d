package pad

import (
	"math"
	"slices"

	"keeler/core/chem"
	"keeler/core/hive"
)

// Amount is what one colony gets at one visit.
type Amount struct {
	Name     string
	Alike    int // colonies that get the same; 1 unless they are a mean's
	Combs    int
	Boxes    int
	Asked    chem.Millilitres // before the cap
	ML       chem.Millilitres // to the whole mL; 0 for ready pads
	Capped   bool
	Pads     int        // ready pads, or sheets of the size said; 0 when it was not said
	AreaCM2  float64    // of sheet that takes it up
	Pure     chem.Grams // formic acid
	ByPart   bool       // a nuc's part of an amount meant for a full colony
	Unspoken bool       // a nuc, and the label says nothing of nucs
}

// potency is the pure acid in a mL of a strength by mass, in g.
func potency(s chem.Share) float64 { return float64(s) * float64(chem.FormicDensity(s)) }

// asked is what the rule asks for in mL of working acid. An amount meant in
// another strength becomes as much as holds the same pure acid.
func (r Rule) asked(nuc bool, combs, boxes int, working chem.Share) (ml float64, byPart bool) {
	if boxes == 0 {
		return 0, false
	}
	if r.Per == PerDay {
		day := r.Day[min(boxes, len(r.Day))-1]
		ml = float64(chem.FormicVolume(day*chem.Grams(r.Days), working))
	} else {
		ml = float64(r.ML) * potency(r.At) / potency(working)
		switch r.Per {
		case PerComb:
			ml *= float64(combs)
		case PerBox:
			ml *= float64(boxes)
		}
	}
	if !nuc {
		return ml, false
	}
	if r.Nuc > 0 {
		return float64(r.Nuc), false
	}
	if r.Per == PerComb {
		return ml, false
	}
	return ml * math.Min(1, float64(combs)/fullCombs), true
}

// amount gives one colony its acid.
func (r Request) amount(rule Rule, name string, nuc bool, combs, boxes int) Amount {
	a := Amount{Name: name, Alike: 1, Combs: combs, Boxes: boxes}
	ml, byPart := rule.asked(nuc, combs, boxes, r.Working)
	a.Asked, a.ByPart = chem.Millilitres(ml), byPart
	a.ML = chem.Millilitres(math.Round(ml))
	if rule.Cap > 0 && a.ML > rule.Cap {
		a.ML, a.Capped = rule.Cap, true
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
