package wire

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/dribble"
)

func (r DribbleRequest) core() (dribble.Request, error) {
	var l fault.List
	out := dribble.Request{
		Hold:       r.Hold.core(),
		Aim:        r.Strength.core(),
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
		Prices:     dribble.Prices{Hold: r.Prices.Hold, Sugar: r.Prices.SugarKg},
	}
	if r.Mean != nil {
		out.Mean = &dribble.Mean{Seams: r.Mean.Seams, Colonies: r.Mean.Colonies}
	}
	return out, l.Err()
}

func (h Hold) core() dribble.Hold {
	out := dribble.Hold{
		Kind:     dribble.HoldKind(h.Kind),
		Grams:    chem.Grams(h.Grams),
		Share:    chem.Share(h.OADPercent / 100),
		Basis:    chem.Basis(h.Basis),
		Sure:     h.Sure,
		Count:    h.Count,
		MadeUpTo: chem.Millilitres(h.MadeUpToML),
		Volume:   chem.Millilitres(h.VolumeML),
	}
	if out.Kind == dribble.Crystals && h.OADPercent == 0 {
		out.Share = 1
	}
	if h.Stock != nil {
		out.Stock = h.Stock.core()
	}
	if h.Card != nil {
		out.Card = h.Card.core()
	}
	return out
}

func (s Stock) core() dribble.Stock {
	return dribble.Stock{
		Value: s.Value, Form: chem.Form(s.Form), Basis: chem.Basis(s.Basis),
		Sugar: chem.Share(s.SugarPercentWW / 100),
	}
}

func (c Card) core() *dribble.Card {
	out := &dribble.Card{Name: c.Name, Repeats: c.Repeats}
	for _, a := range c.Actives {
		out.Actives = append(out.Actives, dribble.Active{
			Acid: dribble.Acid(a.Name), Strength: a.GPerL, Basis: chem.Basis(a.Basis),
		})
	}
	for _, r := range c.Rows {
		out.Rows = append(out.Rows, dribble.CardRow{UpTo: r.UpToBees, Volume: chem.Millilitres(r.DoseML)})
	}
	return out
}

func (a Aim) core() dribble.Aim {
	return dribble.Aim{
		By: dribble.AimBy(a.By), Protocol: a.Protocol,
		Value: a.Value, Form: chem.Form(a.Form), Basis: chem.Basis(a.Basis),
	}
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
