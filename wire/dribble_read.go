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
		Size: dribble.Size{
			By:       dribble.SizeBy(r.Size.By),
			Volume:   chem.Millilitres(r.Size.VolumeML),
			Colonies: r.Size.Colonies,
			Reserve:  share(r.Size.ReservePercent, dribble.UsualReserve),
		},
		Colonies:   readColonies(r.Colonies, &l),
		Rule:       r.Rule.core(),
		Applicator: r.Applicator.core(),
		Balance:    balance(r.BalanceG, r.BalanceCapacityG),
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

func (a *Applicator) core() dribble.Applicator {
	if a == nil {
		return dribble.Applicator{Device: dribble.Syringe, Size: dribble.UsualSyringe, Dead: dribble.UsualDead}
	}
	return dribble.Applicator{
		Device: dribble.Device(a.Device),
		Size:   chem.Millilitres(a.SizeML),
		Unit:   chem.Millilitres(a.UnitML),
		Dead:   or(a.DeadML, dribble.UsualDead),
	}
}
