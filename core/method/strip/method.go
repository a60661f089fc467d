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
	return Worked{r.of, p}, err
}

func (r recipe) Plain() method.Recipe {
	plain := r.of
	plain.Colonies, plain.Placed, plain.Carried, plain.Size = nil, nil, Carried{}, Size{By: SizeStrips, Strips: 100}
	return recipe{plain}
}

// Worked is a plan with its request, as every method answers it.
type Worked struct {
	Request Request
	Plan    Plan
}

func (w Worked) Lines() []mixing.Line             { return w.Plan.Lines }
func (w Worked) Holds() chem.Mixture              { return w.Plan.Liquor }
func (w Worked) Volume() chem.Millilitres         { return w.Plan.Pot.Volume }
func (w Worked) Pieces() int                      { return w.Plan.Strips }
func (w Worked) Work(string) (mixing.Work, error) { return Work(w.Request, w.Plan), nil }

// Meant is the acid in one piece.
func (w Worked) Meant() chem.Milligrams { return chem.Milligrams(1000 * float64(w.Plan.PieceOAD)) }
