package strip

import (
	"keeler/core/chem"
	"keeler/core/method"
	"keeler/core/mixing"
)

// As is a request as every method answers it.
func (r Request) As() method.Recipe { return recipe{r} }

type recipe struct{ of Request }

func (r recipe) Method() method.Name        { return method.Strip }
func (r recipe) Unit() string               { return method.Pieces }
func (r recipe) Colonies() int              { return max(len(r.of.Colonies), r.of.Size.Colonies) }
func (r recipe) Dosing() method.Dosing      { return method.Dosing{} }
func (r recipe) GiveGear() []mixing.Gear    { return mixing.StripGear }
func (r recipe) Orders() []string           { return []string{Order.ID} }
func (r recipe) Keepings() []mixing.Keeping { return Keepings }

func (r recipe) Plan() (method.Plan, error) {
	p, err := New(r.of)
	return worked{r.of, p}, err
}

func (r recipe) Plain() method.Recipe {
	plain := r.of
	plain.Colonies, plain.Placed, plain.Carried, plain.Size = nil, nil, Carried{}, Size{By: SizeStrips, Strips: 100}
	return recipe{plain}
}

type worked struct {
	request Request
	plan    Plan
}

// As is a plan with its request as every method answers it.
func (p Plan) As(r Request) method.Plan { return worked{r, p} }

func (w worked) Lines() []mixing.Line             { return w.plan.Lines }
func (w worked) Holds() chem.Mixture              { return w.plan.Liquor }
func (w worked) Volume() chem.Millilitres         { return w.plan.Pot.Volume }
func (w worked) Pieces() int                      { return w.plan.Strips }
func (w worked) Work(string) (mixing.Work, error) { return Work(w.request, w.plan), nil }

// Meant is the acid in one piece.
func (w worked) Meant() chem.Milligrams { return chem.Milligrams(1000 * float64(w.plan.PieceOAD)) }
