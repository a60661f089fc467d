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
	return worked{r.of, p}, err
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

type worked struct {
	request Request
	plan    Plan
}

// As is a plan with its request as every method answers it.
func (p Plan) As(r Request) method.Plan { return worked{r, p} }

func (w worked) ready() bool { return w.request.Hold.Kind == ReadyPads }

func (w worked) Lines() []mixing.Line             { return w.plan.Lines }
func (w worked) Work(string) (mixing.Work, error) { return Work(w.request, w.plan), nil }

func (w worked) Holds() chem.Mixture {
	if w.ready() {
		return chem.Mixture{Formic: w.plan.VisitPure}
	}
	return w.plan.Made
}

func (w worked) Volume() chem.Millilitres {
	if w.ready() {
		return 0
	}
	return w.plan.Dilution.WorkingML
}

func (w worked) Pieces() int {
	if w.ready() {
		return w.plan.VisitPads
	}
	return 0
}

// Meant is the acid in one ready pad, or in a mL of working acid.
func (w worked) Meant() chem.Milligrams {
	if w.ready() {
		return chem.Milligrams(1000 * float64(w.request.Hold.Card.Pure))
	}
	return chem.Milligrams(1000 * w.plan.Potency)
}
