package pad

import (
	"keeler/core/chem"
	"keeler/core/method"
	"keeler/core/mixing"
)

// As is a request as every method answers it.
func (r Request) As() method.Recipe { return recipe{r} }

type recipe struct{ of Request }

func (r recipe) ready() bool { return r.of.Hold.Kind == ReadyPads }

func (r recipe) Method() method.Name        { return method.Pad }
func (r recipe) Dosing() method.Dosing      { return method.Dosing{} }
func (r recipe) GiveGear() []mixing.Gear    { return mixing.FormicGear }
func (r recipe) Keepings() []mixing.Keeping { return Keepings }

func (r recipe) Plan() (method.Plan, error) {
	p, err := New(r.of)
	return Worked{r.of, p}, err
}

func (r recipe) Plain() method.Recipe {
	plain := r.of
	plain.Colonies, plain.Mean, plain.Size = nil, nil, Size{By: SizeWorking, Working: 1000}
	if r.ready() {
		plain.Mean = &Mean{Colonies: 1, Combs: fullCombs, Boxes: 1}
	}
	return recipe{plain}
}

func (r recipe) Unit() string {
	if r.ready() {
		return method.Pieces
	}
	return method.Millilitres
}

func (r recipe) Colonies() int {
	if r.of.Mean != nil {
		return r.of.Mean.Colonies
	}
	return len(r.of.Colonies)
}

func (r recipe) Orders() []string {
	if r.ready() {
		return []string{Counting.ID}
	}
	return []string{Diluting.ID}
}

// Worked is a plan with its request, as every method answers it.
type Worked struct {
	Request Request
	Plan    Plan
}

func (w Worked) ready() bool { return w.Request.Hold.Kind == ReadyPads }

func (w Worked) Lines() []mixing.Line             { return w.Plan.Lines }
func (w Worked) Work(string) (mixing.Work, error) { return Work(w.Request, w.Plan), nil }

func (w Worked) Holds() chem.Mixture {
	if w.ready() {
		return chem.Mixture{Formic: w.Plan.VisitPure}
	}
	return w.Plan.Made
}

func (w Worked) Volume() chem.Millilitres {
	if w.ready() {
		return 0
	}
	return w.Plan.Dilution.WorkingML
}

func (w Worked) Pieces() int {
	if w.ready() {
		return w.Plan.VisitPads
	}
	return 0
}

// Meant is the acid in one ready pad, or in a mL of working acid.
func (w Worked) Meant() chem.Milligrams {
	if w.ready() {
		return chem.Milligrams(1000 * float64(w.Request.Hold.Card.Pure))
	}
	return chem.Milligrams(1000 * w.Plan.Potency)
}
