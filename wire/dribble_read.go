package wire

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/dribble"
)

func (r DribbleRequest) core() (dribble.Request, error) {
	var l fault.List
	out := dribble.Request{
		Hold:       r.Hold.Settled(),
		Aim:        r.Strength,
		SugarRatio: r.SugarPerWater,
		ThinSugar:  share(r.SugarPercentWW, dribble.UsualThinSugar),
		Size:       r.Size,
		Colonies:   readColonies(r.Colonies, &l),
		Rule:       r.Rule.core(),
		Applicator: applicator(r.Applicator),
		Balance:    usual(r.Balance),
		Fridge:     or(r.FridgeC, dribble.UsualFridge),
		Yard:       or(r.YardC, dribble.UsualYard),
		Prices:     r.Prices,
		Mean:       r.Mean,
	}
	return out, l.Err()
}

func (r Rule) core() dribble.Rule {
	return dribble.Rule{
		FullSeam: or(r.FullSeamML, dribble.DefaultRule.FullSeam),
		Cap:      or(r.CapML, dribble.DefaultRule.Cap),
		Flat:     chem.Millilitres(r.FlatML),
		NucFlat:  chem.Millilitres(r.NucFlatML), FromAbove: r.FromAbove, Label: r.ByLabel,
	}
}

func applicator(a *Applicator) dribble.Applicator {
	return chem.Or(a, dribble.Applicator{Device: dribble.Syringe, Size: dribble.UsualSyringe})
}
