package strip

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
)

// Pot is one pot of liquor: what goes into it, and what it then is.
type Pot struct {
	Carried  chem.Mixture     `json:"-"` // from the earlier pot
	Acid     chem.Grams       `json:"acid_g" doc:"New OAD to weigh, g."`
	Glycerol chem.Grams       `json:"glycerol_g" doc:"New glycerol as bought, g."`
	Pour     chem.Millilitres `json:"glycerol_ml" doc:"The same, mL at 20 °C."`
	Liquor   chem.Mixture     `json:"-"` // all of it
	Volume   chem.Millilitres `json:"-"`
}

// mixture is the carried liquor's parts.
func (c Carried) mixture() chem.Mixture {
	oad, water := c.Mass*chem.Grams(c.OAD), c.Mass*chem.Grams(c.Water)
	return chem.Mixture{OAD: oad, Water: water, Glycerol: c.Mass - oad - water}
}

// fill makes a pot of a mass of liquor of wanted strength (the share of OAD),
// from the carried liquor, new acid and glycerol as bought. Nothing can be taken
// out of the pot, so acid or glycerol below 0 means that too much is carried.
//
// Source: the balance of masses. OAD: carried + new = wanted × strength.
func fill(mass chem.Grams, strength, glycerol chem.Share, c Carried) Pot {
	p := Pot{Carried: c.mixture()}
	p.Acid = mass*chem.Grams(strength) - p.Carried.OAD
	p.Glycerol = mass - c.Mass - p.Acid
	p.Pour = chem.Millilitres(float64(p.Glycerol) / float64(chem.GlycerolDensity(glycerol)))
	pure := p.Glycerol * chem.Grams(glycerol)
	p.Liquor = p.Carried.Plus(chem.Mixture{OAD: p.Acid, Glycerol: pure, Water: p.Glycerol - pure})
	p.Volume = chem.LiquorVolume(p.Liquor)
	return p
}

// dust is what binary arithmetic leaves of nothing, in g.
const dust = 1e-7

// pot settles how much liquor is made and fills the pot. strips is what the
// colonies or the count ask for.
func (r Request) pot(strength chem.Share, made chem.Mixture, strips int) (Pot, error) {
	var l fault.List
	a, c, ac := float64(strength), float64(r.Carried.Mass), float64(r.Carried.OAD)
	density := float64(made.Mass()) / float64(chem.LiquorVolume(made))
	bought := float64(chem.GlycerolDensity(r.Glycerol))
	mass, field, unit := 0.0, "", "strips"
	// back is the figure at the field that makes so much liquor.
	back := func(mass float64) float64 { return (mass - float64(r.Stays)*density) / float64(r.Uptake) }
	switch r.Size.By {
	case SizeAcid:
		field, unit, mass = "size.acid_g", "g", (float64(r.inHand())+c*ac)/a
		back = func(mass float64) float64 { return float64(r.powder(chem.Grams(mass*a - c*ac))) }
	case SizeGlycerol:
		field, unit, mass = "size.glycerol_ml", "mL", (float64(r.Size.Glycerol)*bought+c*(1-ac))/(1-a)
		back = func(mass float64) float64 { return (mass*(1-a) - c*(1-ac)) / bought }
	case SizeTimes:
		field, unit, mass = "size.times", "times", r.Size.Times*float64(made.Mass())
		back = func(mass float64) float64 { return mass / float64(made.Mass()) }
	case SizeVolume:
		field, unit, mass = "size.volume_ml", "mL", float64(r.Size.Volume)*density
		back = func(mass float64) float64 { return mass / density }
		for range 4 { // carried liquor of other water shifts the density a little
			if p := fill(chem.Grams(mass), strength, r.Glycerol, r.Carried); p.Volume > 0 {
				mass *= float64(r.Size.Volume / p.Volume)
			}
		}
	case SizeCount:
		pieces := back
		field, unit, mass = "size.colonies", "colonies", r.need(strips, density)
		back = func(mass float64) float64 { return pieces(mass) / r.Size.Each }
	case SizeStrips:
		field, mass = "size.strips", r.need(strips, density)
	default:
		field, mass = "colonies", r.need(strips, density)
	}
	if mass < MinLiquor || mass > MaxLiquor {
		l.Within(field, back(mass), back(MinLiquor), back(MaxLiquor), unit)
		return Pot{}, l
	}
	p := fill(chem.Grams(mass), strength, r.Glycerol, r.Carried)
	if p.Acid < -dust || p.Glycerol < -dust {
		l.AddRange("carried.grams", fault.Overfull, 0, r.mostCarried(mass, a), "g")
		return Pot{}, l
	}
	p.Acid, p.Glycerol, p.Pour = max(p.Acid, 0), max(p.Glycerol, 0), max(p.Pour, 0)
	return p, nil
}

// need is the liquor for so many strips: what they take up and what must stay.
func (r Request) need(strips int, density float64) float64 {
	return float64(strips)*float64(r.Uptake) + float64(r.Stays)*density
}

// mostCarried is how much of the carried liquor the pot can take and still come
// out at the wanted strength a, in g.
func (r Request) mostCarried(mass, a float64) float64 {
	ac := float64(r.Carried.OAD)
	switch r.Size.By {
	case SizeAcid: // the new acid is fixed: a weaker rest needs ever more of it
		return float64(r.inHand()) * (1 - a) / max(a-ac, dust)
	case SizeGlycerol: // the new glycerol is fixed: a stronger rest needs ever more of it
		bought := float64(r.Size.Glycerol) * float64(chem.GlycerolDensity(r.Glycerol))
		return bought * a / max(ac-a, dust)
	}
	return math.Min(mass, math.Min(mass*a/ac, mass*(1-a)/(1-ac)))
}
