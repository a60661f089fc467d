package dribble

import (
	"slices"

	"keeler/core/chem"
	"keeler/core/method"
	"keeler/core/mixing"
)

// As is a request as every method answers it.
func (r Request) As() method.Recipe { return recipe{r} }

type recipe struct{ of Request }

func (r recipe) Method() method.Name        { return method.Dribble }
func (r recipe) Unit() string               { return method.Millilitres }
func (r recipe) GiveGear() []mixing.Gear    { return GiveGear(r.of.card()) }
func (r recipe) Keepings() []mixing.Keeping { return Keepings }

func (r recipe) Plan() (method.Plan, error) {
	p, err := New(r.of)
	return Worked{r.of, p}, err
}

func (r recipe) Plain() method.Recipe {
	plain := r.of
	plain.Colonies, plain.Mean, plain.Size = nil, nil, Size{By: SizeVolume, Volume: 1000}
	return recipe{plain}
}

func (r recipe) Colonies() int {
	if r.of.Mean != nil {
		return r.of.Mean.Colonies
	}
	return max(len(r.of.Colonies), r.of.Size.Colonies)
}

// Dosing is the rule's; of a label's own table none.
func (r recipe) Dosing() method.Dosing {
	if r.of.Hold.Card != nil {
		return method.Dosing{}
	}
	return method.Dosing{Seam: r.of.Rule.Seam(), Cap: r.of.Rule.Most()}
}

func (r recipe) Orders() []string {
	var out []string
	for _, o := range Orders {
		if slices.Contains(o.For, r.of.Hold.Kind) {
			out = append(out, o.ID)
		}
	}
	return out
}

// Worked is a plan with its request, as every method answers it.
type Worked struct {
	Request Request
	Plan    Plan
}

func (w Worked) Lines() []mixing.Line                   { return w.Plan.Lines }
func (w Worked) Holds() chem.Mixture                    { return w.Plan.Holds }
func (w Worked) Volume() chem.Millilitres               { return w.Plan.Volume }
func (w Worked) Pieces() int                            { return 0 }
func (w Worked) Work(order string) (mixing.Work, error) { return Work(w.Request, w.Plan, order) }

// Meant is by all acids of the syrup or product.
func (w Worked) Meant() chem.Milligrams {
	return chem.Milligrams(1000 * float64(w.Plan.Holds.OAD+w.Plan.Holds.Formic) / float64(w.Plan.Volume))
}
