package wire

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/syrup"
)

func (r DribbleRequest) core() (syrup.Request, error) {
	var l fault.List
	out := syrup.Request{
		Hold:       r.Hold.core(),
		Aim:        r.Strength.core(),
		SugarRatio: r.SugarPerWater,
		ThinSugar:  chem.Share(or(r.SugarPercentWW, 30) / 100),
		Size: syrup.Size{
			By:       syrup.SizeBy(r.Size.By),
			Volume:   chem.Millilitres(r.Size.VolumeML),
			Colonies: r.Size.Colonies,
			Reserve:  chem.Share(or(r.Size.ReservePercent, 10) / 100),
		},
		Colonies:   readColonies(r.Colonies, &l),
		Rule:       r.Rule.core(),
		Applicator: r.Applicator.core(),
		Balance:    balance(r.BalanceG, r.BalanceCapacityG),
		Fridge:     chem.Celsius(or(r.FridgeC, 4)),
		Yard:       chem.Celsius(or(r.YardC, 4)),
		Prices:     syrup.Prices{Hold: r.Prices.Hold, Sugar: r.Prices.SugarKg},
	}
	if r.Mean != nil {
		out.Mean = &syrup.Mean{Seams: r.Mean.Seams, Colonies: r.Mean.Colonies}
	}
	return out, l.Err()
}

func (h Hold) core() syrup.Hold {
	out := syrup.Hold{
		Kind:     syrup.HoldKind(h.Kind),
		Grams:    chem.Grams(h.Grams),
		Share:    chem.Share(h.OADPercent / 100),
		Basis:    chem.Basis(h.Basis),
		Sure:     h.Sure,
		Count:    h.Count,
		MadeUpTo: chem.Millilitres(h.MadeUpToML),
		Volume:   chem.Millilitres(h.VolumeML),
	}
	if out.Kind == syrup.Crystals && h.OADPercent == 0 {
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

func (s Stock) core() syrup.Stock {
	return syrup.Stock{
		Value: s.Value, Form: chem.Form(s.Form), Basis: chem.Basis(s.Basis),
		Sugar: chem.Share(s.SugarPercentWW / 100),
	}
}

func (c Card) core() *syrup.Card {
	out := &syrup.Card{Name: c.Name, Repeats: c.Repeats}
	for _, a := range c.Actives {
		out.Actives = append(out.Actives, syrup.Active{
			Acid: syrup.Acid(a.Name), Strength: a.GPerL, Basis: chem.Basis(a.Basis),
		})
	}
	for _, r := range c.Rows {
		out.Rows = append(out.Rows, syrup.CardRow{UpTo: r.UpToBees, Volume: chem.Millilitres(r.DoseML)})
	}
	return out
}

func (a Aim) core() syrup.Aim {
	return syrup.Aim{
		By: syrup.AimBy(a.By), School: a.School,
		Value: a.Value, Form: chem.Form(a.Form), Basis: chem.Basis(a.Basis),
	}
}

func (r Rule) core() syrup.Rule {
	return syrup.Rule{
		FullSeam: chem.Millilitres(or(r.FullSeamML, float64(syrup.DefaultRule.FullSeam))),
		Cap:      chem.Millilitres(or(r.CapML, float64(syrup.DefaultRule.Cap))),
		Flat:     chem.Millilitres(r.FlatML),
		NucFlat:  chem.Millilitres(r.NucFlatML), FromAbove: r.FromAbove, Label: r.ByLabel,
	}
}

func (a *Applicator) core() syrup.Applicator {
	if a == nil {
		return syrup.Applicator{Device: syrup.Syringe, Size: 60, Dead: 10}
	}
	return syrup.Applicator{
		Device: syrup.Device(a.Device),
		Size:   chem.Millilitres(a.SizeML),
		Unit:   chem.Millilitres(a.UnitML),
		Dead:   chem.Millilitres(or(a.DeadML, 10)),
	}
}
