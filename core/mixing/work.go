package mixing

import "keeler/core/chem"

// Kind says what is done in an act.
type Kind string

const (
	WeighIt Kind = "weigh" // a line of the plan, on the balance
	CountIt Kind = "count" // a line of the plan, in pieces
	Do      Kind = "do"    // done, and with Check seen to be so
	Heat    Kind = "heat"  // brought between Low and High
	Wait    Kind = "wait"  // left alone for so long
	Test    Kind = "test"  // may be left out; its answer is kept
	Left    Kind = "left"  // what is left over goes on the balance
)

// Act is one step of the work at the bench. A protocol's order of work is a list
// of them; Keeler shows one at a time.
type Act struct {
	ID      string       `json:"id"`
	Kind    Kind         `json:"kind" enum:"weigh,count,do,heat,wait,test,left"`
	Line    Step         `json:"-"` // what is weighed or counted
	Gear    []Gear       `json:"gear,omitempty" doc:"To be put on before."`
	Clean   bool         `json:"clean,omitempty" doc:"With clean hands, before anything that holds acid is out."`
	Check   bool         `json:"check,omitempty" doc:"Asks whether it is as it should be."`
	Seconds int          `json:"seconds,omitempty" doc:"Of waiting, or of stirring at most."`
	Low     chem.Celsius `json:"low_c,omitempty"`
	High    chem.Celsius `json:"high_c,omitempty"`
	Alarm   chem.Celsius `json:"alarm_c,omitempty" doc:"Never hotter; left out where heat does no harm."`
	Jug     bool         `json:"-"` // what is weighed here goes to the acid before the rest does
	Join    bool         `json:"-"` // what is added to mend comes just before this
}

// Order is one protocol's order of work.
type Order struct {
	ID   string
	Acts []Act
}

// Part is an ingredient, by what a gram of it holds.
type Part struct {
	Name  string
	Steps []Step // the lines that weigh it
	Gram  chem.Mixture
	Off   chem.Share // how far its acid may be off either way, as a share of the acid
	Each  chem.Grams // one piece of what is counted
	Dry   bool       // a powder: before it is wetted, what is too much comes off with a spoon
	Lot   string     // the kind of lot that it comes from; empty for water and for liquor carried over
}

// Measure is what a batch's strength is told in; each method has its own.
type Measure string

const (
	PerLitre      Measure = "g_per_l"        // g OAD per litre at 20 °C
	PercentOAD    Measure = "percent_oad"    // of the weight
	PercentFormic Measure = "percent_formic" // of the weight
	Unmeasured    Measure = ""               // a product: nothing is mixed
)

// Work is one batch as it is made: what is weighed in which order, of what, and
// what shall come of it.
type Work struct {
	Acts     []Act
	Lines    []Line
	Parts    []Part
	Aim      chem.Mixture // what all lines weighed to the gram make
	Measure  Measure
	Headroom chem.Share // to be left free in the vessel, over the batch
	Dose     Dose       // what a batch that is off its recipe is told by
	Soaks    *Soaking   // of a pot
	Bought   *Use       // a product that is used whole, as it was planned
}

// Dose is so much of a batch that a keeper can picture it: a volume or a mass.
type Dose struct {
	Name   string
	Volume chem.Millilitres
	Mass   chem.Grams
}

// Soaking is what a pot's liquor goes into.
type Soaking struct {
	Carrier string
	Pieces  int
	Uptake  chem.Grams // of one piece, as planned
}

// DoseMg is the acid in the dose of a mixture, mg.
func (w Work) DoseMg(m chem.Mixture) chem.Milligrams {
	acid := m.OAD + m.Formic
	if w.Dose.Mass > 0 {
		return chem.Milligrams(1000 * float64(w.Dose.Mass) * float64(m.Share(acid)))
	}
	return chem.Milligrams(1000 * float64(acid) * float64(w.Dose.Volume/w.Measure.Volume(m)))
}

// Follow makes the acts of an order that this work has something to weigh for.
func (w *Work) Follow(acts []Act) {
	w.Acts = nil
	for _, a := range acts {
		if (a.Kind == WeighIt || a.Kind == CountIt) && w.line(a.Line).Step == "" {
			continue
		}
		w.Acts = append(w.Acts, a)
	}
}

// Strength is how strong a mixture is, in the measure.
func (k Measure) Strength(m chem.Mixture) float64 {
	switch k {
	case PerLitre:
		return float64(syrupOf(m).Strength())
	case PercentOAD:
		return 100 * float64(m.Share(m.OAD))
	case PercentFormic:
		return 100 * float64(m.Share(m.Formic))
	}
	return 0
}

// Volume is the room of a mixture at 20 °C.
func (k Measure) Volume(m chem.Mixture) chem.Millilitres {
	switch k {
	case PerLitre:
		return syrupOf(m).Volume()
	case PercentOAD:
		return chem.LiquorVolume(m)
	case PercentFormic:
		return chem.FormicVolume(m.Mass(), m.Share(m.Formic))
	}
	return 0
}

func syrupOf(m chem.Mixture) chem.Syrup {
	return chem.Syrup{OAD: m.OAD, Water: m.Water, Sugar: m.Sugar}
}

// axes are the parts of a mixture that must stand in the wanted proportion.
// Glycerol's water counts with it: it comes out of the same bottle.
func (k Measure) axes(m chem.Mixture) []float64 {
	switch k {
	case PerLitre:
		return []float64{float64(m.OAD), float64(m.Water), float64(m.Sugar)}
	case PercentOAD:
		return []float64{float64(m.OAD), float64(m.Glycerol + m.Water)}
	case PercentFormic:
		return []float64{float64(m.Formic), float64(m.Water)}
	}
	return nil
}

// part finds the ingredient that a line weighs.
func (w Work) part(line Step) int {
	for i, p := range w.Parts {
		for _, s := range p.Steps {
			if s == line {
				return i
			}
		}
	}
	return -1
}

// line finds a line of the plan.
func (w Work) line(step Step) Line {
	for _, l := range w.Lines {
		if l.Step == step {
			return l
		}
	}
	return Line{}
}
