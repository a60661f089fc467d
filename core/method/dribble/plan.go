package dribble

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/mixing"
	"keeler/core/note"
)

// Plan is one batch of syrup: what to weigh, what it is, and whom it serves.
type Plan struct {
	Volume   chem.Millilitres
	Made     chem.Syrup   // by mass; zero for a ready-to-use product, whose masses nobody knows
	Holds    chem.Mixture // what is known to be in it: of a product the acids alone
	Strength chem.GramsPerLitre
	Medium   chem.Medium
	SeamOAD  chem.Milligrams // in a full seam at the full dose
	CapOAD   chem.Grams      // in the largest dose of a colony
	Place    Place

	Use      Use
	Lines    []mixing.Line
	GiveGear []mixing.Gear // to be worn in the yard
	Thinning *Thinning

	Doses     []ColonyDose
	Given     chem.Millilitres // the sum of the doses, or the mean's estimate
	Leftover  chem.Millilitres // what the doses leave, dead volume included; below 0 it runs short
	AtCap     int              // colonies that the volume serves at the cap
	FullSeams float64          // full seams that the volume serves

	Clarity    Clarity
	Neutralise mixing.Neutralise
	Cost       mixing.Cost
	Notes      []note.Note
}

// Use is what the plan takes out of what is held.
type Use struct {
	Amount chem.Grams // powder, tablets or stock by weight; 0 for a ready-to-use product
	Count  float64    // packets or tablets
	Volume chem.Millilitres
	// Left is what stays of it in the unit it is held in: g, packets, tablets
	// or mL; only when Known.
	Left  float64
	Known bool
}

// Clarity says where the acid stays dissolved.
type Clarity struct {
	Saturation   chem.Celsius // colder than this, crystals can fall out
	Fridge, Yard bool
}

// New works out a plan. Its error is a fault.List that names each field that
// cannot be and the range that could.
//
// Sources: masses from the syrup's density with the acid's own volume counted;
// doses from the trade's rule (see Dose); the trade's spans for the warnings.
func New(r Request) (Plan, error) {
	if l := r.check(); len(l) > 0 {
		return Plan{}, l
	}
	t, err := r.resolve()
	if err != nil {
		return Plan{}, err
	}
	p := Plan{Strength: t.strength}
	if p.Doses, err = doses(r.Colonies, r.Rule, r.card(), r.Applicator, t.strength); err != nil {
		return Plan{}, err
	}
	p.Given = given(r, p.Doses)
	if p.Volume, err = volume(r, p.Given, t.strength); err != nil {
		return Plan{}, err
	}
	if err = p.mix(r, t); err != nil {
		return Plan{}, err
	}
	if err = r.Balance.Readable(p.Lines, StepAcid, StepStock); err != nil {
		return Plan{}, err
	}
	p.read(r)
	p.Cost = cost(r, p)
	p.Notes = notes(r, p)
	return p, nil
}

// mix settles composition, use and the lines to weigh.
func (p *Plan) mix(r Request, t target) error {
	h := r.Hold
	switch h.Kind {
	case ReadyToUse:
		p.Holds = h.Card.Holds(p.Volume)
		p.Use = Use{Volume: p.Volume, Left: left(float64(h.Volume), float64(p.Volume)), Known: h.Volume > 0}
		p.Lines = readyLines(p.Volume, h.Card)
		return nil
	case ReadyMix:
		thin, err := Thin(h.Stock, p.Volume, t.strength, r.ThinSugar)
		if err != nil {
			return r.atAim(err)
		}
		p.Thinning, p.Made = &thin, thin.Result
		p.Use = Use{Amount: thin.Stock, Volume: thin.StockVolume,
			Left: left(float64(h.Volume), float64(thin.StockVolume)), Known: h.Volume > 0}
		p.Holds = p.Made.Mixture()
		p.Lines = thinLines(thin, r.Balance)
		return nil
	case Tablets:
		n, err := wholeTablets(h, p.Volume, t)
		if err != nil {
			return err
		}
		p.Use.Count = float64(n)
		p.Strength = chem.GramsPerLitre(1000 * float64(n) * float64(h.Grams*h.gram().OAD) / float64(p.Volume))
		p.Use.Left, p.Use.Known = h.Count-p.Use.Count, h.Count > 0
	}
	p.Made = chem.MakeSyrup(p.Volume, p.Strength, t.sugar)
	p.Holds = p.Made.Mixture()
	p.Use.Amount = p.Made.OAD / h.gram().OAD
	if filler := p.Use.Amount * h.gram().Sugar; filler > p.Made.Sugar {
		// With so much sugar in all, a purer powder has just that much filler.
		least := 100 * float64(p.Made.OAD) / float64(p.Made.OAD+p.Made.Sugar)
		return fault.List{{Field: "hold.oad_percent", Reason: fault.Filler, Low: least, High: 100, Unit: "%"}}
	}
	switch h.Kind {
	case Crystals:
		p.Use.Left, p.Use.Known = left(float64(h.Grams), float64(p.Use.Amount)), h.Grams > 0
	case Packet:
		p.Use.Count = float64(p.Use.Amount / h.Grams)
		p.Use.Left, p.Use.Known = left(h.Count, p.Use.Count), h.Count > 0
	}
	p.Lines = powderLines(h, p.Use, p.Made, r.Balance)
	return nil
}

// enough is the share of what is used that may be missing: no balance shows it, and
// a label's "a litre" is no closer.
const enough = 0.005

// left is what stays of a stock; below 0 it is not enough.
func left(held, used float64) float64 {
	if short := used - held; short > 0 && short <= enough*used {
		return 0
	}
	return held - used
}

// atAim moves a fault of the strength to where it was chosen.
func (r Request) atAim(err error) error {
	l, ok := err.(fault.List)
	for i := range l {
		if ok && r.Aim.By == ByProtocol && l[i].Field == "strength.value" {
			l[i].Field = "strength.protocol"
		}
	}
	return err
}

// read fills what follows from composition and doses.
func (p *Plan) read(r Request) {
	p.GiveGear = GiveGear(r.card())
	sugar := p.Made.SugarShare()
	p.Medium = r.medium(sugar)
	p.SeamOAD = chem.Milligrams(float64(p.Strength) * float64(r.Rule.FullSeam))
	p.CapOAD = p.Strength.In(r.Rule.Cap)
	p.Place = Ladder(p.Strength)
	for i, d := range p.Doses { // whole tablets may have changed the strength
		p.Doses[i].SeamMilli = milligrams(d.PerSeam, p.Strength)
		for _, b := range d.Boxes {
			for g := range b.Gaps {
				b.Gaps[g].OAD = milligrams(b.Gaps[g].Given, p.Strength)
			}
		}
	}
	p.AtCap = int(float64(p.Volume)/float64(r.Rule.Cap) + 1e-9)
	p.FullSeams = float64(p.Volume) / float64(r.Rule.FullSeam)
	if p.Given > 0 {
		p.Leftover = p.Volume - p.Given
	} else {
		p.Leftover = 0
	}
	n := &p.Neutralise
	n.Leftover, n.LeftoverGas = mixing.Bicarbonate(p.Holds.Times(chem.Grams(max(p.Leftover, 0) / p.Volume)))
	n.Whole, n.WholeGas = mixing.Bicarbonate(p.Holds)
	if p.Made.Water > 0 {
		p.Clarity.Saturation = chem.Saturation(p.Made.OAD, p.Made.Water)
		p.Clarity.Fridge = chem.Dissolves(p.Made.OAD, p.Made.Water, r.Fridge)
		p.Clarity.Yard = chem.Dissolves(p.Made.OAD, p.Made.Water, r.Yard)
	}
}

func cost(r Request, p Plan) mixing.Cost {
	hold, sugar := r.Prices.Hold, r.Prices.Sugar
	if hold == 0 && sugar == 0 {
		return mixing.Cost{}
	}
	units := p.Use.Count
	bought := p.Made.Sugar
	switch r.Hold.Kind {
	case Crystals:
		units = float64(p.Use.Amount) / 1000
	case ReadyMix, ReadyToUse:
		units = float64(p.Use.Volume) / 1000
	}
	if p.Thinning != nil {
		bought = p.Thinning.Sugar
	}
	c := mixing.Cost{Total: hold*units + sugar*float64(bought)/1000, Known: true}
	if n := served(r, p); n > 0 {
		c.PerColony = c.Total / float64(n)
	}
	return c
}

// served is how many colonies share the cost: those that get a dose, those of a
// mean, or else those the volume serves at the cap.
func served(r Request, p Plan) int {
	n := 0
	for _, d := range p.Doses {
		if d.Given > 0 {
			n++
		}
	}
	switch {
	case n > 0:
		return n
	case r.Mean != nil:
		return r.Mean.Colonies
	}
	return p.AtCap
}
