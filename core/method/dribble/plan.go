package dribble

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/mixing"
	"keeler/core/note"
)

// Plan is one batch of syrup: what to weigh, what it is, and whom it serves.
type Plan struct {
	Volume   chem.Millilitres   `json:"volume_ml" doc:"Finished volume at 20 °C, mL."`
	Made     chem.Syrup         `json:"-"` // by mass; zero for a ready-to-use product, whose masses nobody knows
	Holds    chem.Mixture       `json:"-"` // what is known to be in it: of a product the acids alone
	Strength chem.GramsPerLitre `json:"-"`
	Medium   chem.Medium        `json:"-"`
	SeamOAD  chem.Milligrams    `json:"-"` // in a full seam at the full dose
	CapOAD   chem.Grams         `json:"-"` // in the largest dose of a colony
	Place    Place              `json:"-"`

	Use      Use           `json:"use"`
	Lines    []mixing.Line `json:"lines" doc:"In the order of the work."`
	GiveGear []mixing.Gear `json:"give_gear" doc:"To be worn in the yard."`
	Thinning *Thinning     `json:"-"`

	Doses     []ColonyDose     `json:"-"`
	Given     chem.Millilitres `json:"given_ml" doc:"The sum of the doses, or the estimate of a mean."`
	Leftover  chem.Millilitres `json:"leftover_ml" doc:"What the doses leave, dead volume included; below 0 it runs short."`
	AtCap     int              `json:"at_cap" doc:"Colonies that the volume serves at the cap."`
	FullSeams float64          `json:"full_seams" doc:"Full seams that the volume serves."`

	Clarity    *Clarity          `json:"clarity,omitempty" doc:"Left out for a ready-to-use product."`
	Neutralise mixing.Neutralise `json:"neutralise"`
	Cost       *mixing.Cost      `json:"cost,omitempty" doc:"Only where prices are given."`
	Notes      []note.Note       `json:"notes"`
}

// Use is what the plan takes out of what is held.
type Use struct {
	Amount chem.Grams       `json:"grams,omitempty" doc:"Powder, tablets or bought solution, g."`
	Count  float64          `json:"count,omitempty" doc:"Packets or tablets."`
	Volume chem.Millilitres `json:"volume_ml,omitempty" doc:"Of a bought liquid, mL."`
	Left   *float64         `json:"left,omitempty" doc:"What stays, in g, packets, tablets or mL; below 0 it is not enough. Left out when what is held was not said."`
}

// Clarity says where the acid stays dissolved.
type Clarity struct {
	Saturation chem.Celsius `json:"saturation_c" doc:"Colder than this, crystals can fall out, °C; 0 when it stays clear at freezing."`
	Fridge     bool         `json:"fridge" doc:"Stays clear where it is kept."`
	Yard       bool         `json:"yard" doc:"Stays clear where it is used."`
}

// New works out a plan of a request that is Settled. Its error is a fault.List that names
// each field that cannot be and the range that could.
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
	if p.Doses, err = doses(r.Colonies, r.Rule, r.card(), *r.Applicator, t.strength); err != nil {
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
		p.Use = Use{Volume: p.Volume, Left: left(float64(h.Volume), float64(p.Volume))}
		p.Lines = readyLines(p.Volume, h.Card)
		return nil
	case ReadyMix:
		thin, err := Thin(h.Stock, p.Volume, t.strength, *r.ThinSugar)
		if err != nil {
			return r.atAim(err)
		}
		p.Thinning, p.Made = &thin, thin.Result
		p.Use = Use{Amount: thin.Stock, Volume: thin.StockVolume, Left: left(float64(h.Volume), float64(thin.StockVolume))}
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
		if h.Count > 0 { // every one counts
			stays := h.Count - p.Use.Count
			p.Use.Left = &stays
		}
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
		p.Use.Left = left(float64(h.Grams), float64(p.Use.Amount))
	case Packet:
		p.Use.Count = float64(p.Use.Amount / h.Grams)
		p.Use.Left = left(h.Count, p.Use.Count)
	}
	p.Lines = powderLines(h, p.Use, p.Made, r.Balance)
	return nil
}

// enough is the share of what is used that may be missing: no balance shows it, and
// a label's "a litre" is no closer.
const enough = 0.005

// left is what stays of a stock, cleaned of dust; below 0 it is not enough. Nil when what
// is held was not said.
func left(held, used float64) *float64 {
	if held <= 0 {
		return nil
	}
	stays := chem.Clean(held - used)
	if -stays <= enough*used {
		stays = max(stays, 0)
	}
	return &stays
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
	p.SeamOAD = chem.Milligrams(float64(p.Strength) * float64(r.Rule.Seam()))
	p.CapOAD = p.Strength.In(r.Rule.Most())
	p.Place = Ladder(p.Strength)
	for i, d := range p.Doses { // whole tablets may have changed the strength
		p.Doses[i].SeamMilli = milligrams(d.PerSeam, p.Strength)
		for _, b := range d.Boxes {
			for g := range b.Gaps {
				b.Gaps[g].OAD = milligrams(b.Gaps[g].Given, p.Strength)
			}
		}
	}
	p.AtCap = int(float64(p.Volume)/float64(r.Rule.Most()) + 1e-9)
	p.FullSeams = float64(p.Volume) / float64(r.Rule.Seam())
	if p.Given > 0 {
		p.Leftover = p.Volume - p.Given
	} else {
		p.Leftover = 0
	}
	n := &p.Neutralise
	n.Leftover, n.LeftoverGas = mixing.Bicarbonate(p.Holds.Times(chem.Grams(max(p.Leftover, 0) / p.Volume)))
	n.Whole, n.WholeGas = mixing.Bicarbonate(p.Holds)
	if p.Made.Water > 0 {
		p.Clarity = &Clarity{
			Saturation: chem.Saturation(p.Made.OAD, p.Made.Water),
			Fridge:     chem.Dissolves(p.Made.OAD, p.Made.Water, *r.Fridge),
			Yard:       chem.Dissolves(p.Made.OAD, p.Made.Water, *r.Yard),
		}
	}
}

func cost(r Request, p Plan) *mixing.Cost {
	hold, sugar := r.Prices.Hold, r.Prices.Sugar
	if hold == 0 && sugar == 0 {
		return nil
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
	c := &mixing.Cost{Total: hold*units + sugar*float64(bought)/1000}
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
