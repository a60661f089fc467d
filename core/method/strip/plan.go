package strip

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/mixing"
	"keeler/core/note"
)

// Bundles is how many strips go into each slot of the jig: Fuller slots hold one
// more than the others.
type Bundles struct {
	Soaks  int `json:"soaks" doc:"One after another."`
	Fuller int `json:"fuller,omitempty" doc:"Slots, over all soaks, that hold one more than the others."`
	More   int `json:"more,omitempty" doc:"Strips in a fuller slot."`
	Slots  int `json:"slots" doc:"The other slots in use."`
	Less   int `json:"less" doc:"Strips in one of them."`
}

// Plan is one pot: what to weigh, how many pieces it does, and where they go.
type Plan struct {
	Pot
	Strength   chem.Share        `json:"-"` // OAD in the liquor by mass
	Below      string            `json:"below,omitempty" doc:"The protocol at or next below in strength."`
	Above      string            `json:"above,omitempty" doc:"The protocol next above."`
	Colonies   []ColonyStrips    `json:"colonies"`
	Need       int               `json:"need" doc:"Pieces that the colonies, or else the count, ask for; 0 when nobody was asked."`
	Strips     int               `json:"strips" doc:"Pieces to be soaked."`
	Served     int               `json:"served" doc:"Colonies that they do; 0 when it cannot be said."`
	PieceOAD   chem.Grams        `json:"strip_oad_g" doc:"g OAD in one piece."`
	Leftover   chem.Grams        `json:"leftover_g" doc:"Liquor expected to be left, g."`
	LeftVolume chem.Millilitres  `json:"leftover_ml" doc:"The same, mL."`
	Vessel     chem.Millilitres  `json:"vessel_ml" doc:"Pot size with headroom, among the sizes that are sold."`
	Heat       chem.Celsius      `json:"warm_to_c" doc:"°C."`
	Hottest    chem.Celsius      `json:"highest_c" doc:"Never above it, °C."`
	Dip        chem.Celsius      `json:"dip_c" doc:"By how many °C the pot cools when the acid goes in: an estimate."`
	Bundles    Bundles           `json:"bundles,omitzero" doc:"Only with a jig."`
	Number     Number            `json:"number" doc:"The rule for the number that was used."`
	Lines      []mixing.Line     `json:"lines" doc:"In the order of the work."`
	GiveGear   []mixing.Gear     `json:"give_gear" doc:"To be worn in the yard."`
	Neutralise mixing.Neutralise `json:"neutralise"`
	Cost       *mixing.Cost      `json:"cost,omitempty" doc:"Only where prices are given."`
	PieceCost  float64           `json:"cost_of_strip,omitempty" doc:"Cost of one soaked piece."`
	Notes      []note.Note       `json:"notes"`
}

// New works out a plan of a request that is Settled. Its error is a fault.List that names
// each field that cannot be and the range that could.
func New(r Request) (Plan, error) {
	l := r.check()
	if len(l) > 0 {
		return Plan{}, l
	}
	recipe := r.recipe()
	made := recipe.Made(r.Glycerol)
	p := Plan{Colonies: r.placed(&l), GiveGear: mixing.StripGear, Heat: r.Heat, Hottest: HighestHeat, Number: *r.Number}
	for _, c := range p.Colonies {
		p.Need += len(c.Placement.Spots)
	}
	switch r.Size.By {
	case SizeCount:
		p.Need = int(math.Ceil(float64(r.Size.Colonies)*r.Size.Each - 1e-9))
	case SizeColonies:
		if p.Need == 0 && len(l) == 0 {
			l.Add("colonies", fault.Missing)
		}
	}
	if len(l) > 0 {
		return Plan{}, l
	}
	p.Strips = p.Need
	if r.Size.By == SizeStrips {
		p.Strips = r.Size.Strips
	}
	var err error
	if p.Pot, err = r.pot(Strength(made), made, p.Strips); err != nil {
		return Plan{}, err
	}
	p.Lines = r.lines(p.Pot)
	if err = r.Balance.Readable(p.Lines, StepAcid); err != nil {
		return Plan{}, err
	}
	p.read(r)
	if err = r.refuse(p.Colonies, p.PieceOAD); err != nil {
		return Plan{}, err
	}
	p.Notes = notes(r, p)
	return p, nil
}

// Lay is where pieces go that are soaked already, each with so much OAD (g; 0 when
// it is not known), without a pot. Of a request that is Settled it takes the colonies, what
// was placed by hand, the layout and the number; faults name their fields.
func Lay(r Request, piece chem.Grams) ([]ColonyStrips, []note.Note, error) {
	var l fault.List
	hive.CheckAll(r.Colonies, &l)
	r.Layout.check(&l)
	r.Number.check(&l)
	l.Within("piece_oad_g", float64(piece), 0, float64(r.Layout.Carrier.bounds().mostBox), "g")
	if len(l) > 0 {
		return nil, nil, l
	}
	colonies := r.placed(&l)
	if len(l) > 0 {
		return nil, nil, l
	}
	for i := range colonies {
		colonies[i].hang(r.Colonies[i], piece)
	}
	if piece > 0 {
		if err := r.refuse(colonies, piece); err != nil {
			return nil, nil, err
		}
	}
	return colonies, colonyNotes(r, colonies), nil
}

func (r Request) placed(l *fault.List) []ColonyStrips {
	out := make([]ColonyStrips, len(r.Colonies))
	for i := range r.Colonies {
		out[i] = r.place(i, l)
	}
	return out
}

func (r Request) recipe() Recipe {
	if r.Aim.Protocol == "" {
		return r.Aim.Recipe
	}
	protocol, _ := Find(r.Aim.Protocol)
	return protocol.Recipe
}

func (r Request) place(i int, l *fault.List) ColonyStrips {
	c := r.Colonies[i]
	out := ColonyStrips{Name: c.Name, Frames: float64(c.Quarters()) / 4, Wanted: r.Number.Wanted(c)}
	if i < len(r.Placed) && r.Placed[i] != nil {
		out.ByHand = true
		before := len(*l)
		out.Placement = Put(c, r.Placed[i], r.Layout, l)
		l.Beneath(before, "colonies", i)
		return out
	}
	how := r.Layout
	if r.Number.By == PerBees {
		how.Most = chem.Or(r.Number.Most, 0)
	}
	out.Placement = Place(c, out.Wanted, how)
	return out
}

// byStrips reports whether the pieces settle the pot, and not the pot the pieces.
func (s Size) byStrips() bool {
	return s.By == SizeColonies || s.By == SizeCount || s.By == SizeStrips
}

// read fills what follows from the pot.
func (p *Plan) read(r Request) {
	p.Strength = Strength(p.Liquor)
	p.Below, p.Above = Standing(p.Strength, r.Glycerol)
	p.PieceOAD = r.Uptake * chem.Grams(p.Strength)
	density := float64(p.Liquor.Mass()) / float64(p.Volume)
	if !r.Size.byStrips() {
		spare := float64(p.Liquor.Mass()) - float64(r.Stays)*density
		p.Strips = max(0, int(math.Floor(spare/float64(r.Uptake)+1e-9)))
	}
	p.Leftover = p.Liquor.Mass() - chem.Grams(p.Strips)*r.Uptake
	p.LeftVolume = chem.Millilitres(float64(p.Leftover) / density)
	for i := range p.Colonies {
		p.Colonies[i].hang(r.Colonies[i], p.PieceOAD)
	}
	p.Served = p.served(r)
	p.Vessel = vessel(chem.Millilitres(float64(p.Volume) * (1 + float64(*r.Headroom))))
	p.Dip = chem.Dip(p.Acid, p.Liquor.Mass()-p.Acid)
	p.Bundles = r.Jig.bundle(p.Strips)
	n := &p.Neutralise
	n.Leftover, n.LeftoverGas = chem.Bicarbonate(p.Leftover * chem.Grams(p.Strength))
	n.Whole, n.WholeGas = chem.Bicarbonate(p.Liquor.OAD)
	p.price(r)
}

// served is how many colonies the pieces do, by the mean of those on the boards
// or by the count.
func (p *Plan) served(r Request) int {
	each := 0.0
	if r.Size.By == SizeCount {
		return r.Size.Colonies
	}
	with := 0
	for _, c := range p.Colonies {
		if n := len(c.Placement.Spots); n > 0 {
			with++
			each += float64(n)
		}
	}
	if with == 0 {
		return 0
	}
	if r.Size.By == SizeColonies {
		return with
	}
	return int(float64(p.Strips)/(each/float64(with)) + 1e-9)
}

func (p *Plan) price(r Request) {
	if r.Prices == (Prices{}) {
		return
	}
	p.Cost = &mixing.Cost{
		Total: r.Prices.AcidKg*float64(r.powder(p.Acid))/1000 + r.Prices.GlycerolL*float64(p.Pour)/1000 + r.Prices.Strip*float64(p.Strips),
	}
	if p.Strips > 0 {
		p.PieceCost = p.Cost.Total / float64(p.Strips)
	}
	if p.Served > 0 {
		p.Cost.PerColony = p.Cost.Total / float64(p.Served)
	}
}

// vessels are the pots that kitchens have, in mL.
var vessels = []chem.Millilitres{250, 500, 1000, 1500, 2000, 3000, 4000, 5000, 6000, 8000, 10000, 12000, 15000, 20000, 30000, 50000, 75000, 100000, 150000, 250000}

func vessel(v chem.Millilitres) chem.Millilitres {
	for _, size := range vessels {
		if size >= v {
			return size
		}
	}
	return v
}

// bundle spreads the strips evenly over the slots of as many soaks as it takes.
func (j Jig) bundle(strips int) Bundles {
	if j.Slots == 0 || strips == 0 {
		return Bundles{}
	}
	b := Bundles{Soaks: 1}
	if j.Most > 0 {
		b.Soaks = (strips + j.Slots*j.Most - 1) / (j.Slots * j.Most)
	}
	slots := min(b.Soaks*j.Slots, strips)
	b.Less = strips / slots
	b.Fuller = strips % slots
	b.Slots = slots - b.Fuller
	b.More = b.Less + 1
	if b.Fuller == 0 {
		b.More = 0
	}
	return b
}
