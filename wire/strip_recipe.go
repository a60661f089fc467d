package wire

import (
	"keeler/core/method"
	"keeler/core/method/strip"
	"keeler/core/mixing"
)

func (r *StripRequest) recipe() (method.Recipe, error) {
	in, err := r.core()
	return in.As(), err
}

func (r *StripRequest) answer(p method.Plan) RecipeAnswer {
	of := p.(strip.Worked).Plan
	return RecipeAnswer{Strip: &StripAnswer{of, liquor(of.Liquor)}}
}

func (r *StripRequest) bare() Recipe { return Recipe{Strip: &StripRequest{Request: r.Request}} }

// beginStrip is a pot to begin with: the shipped defaults, or what a card says.
func beginStrip(_ string, colonies []Colony, _ string, k CardContent) Recipe {
	r := StripRequest{Request: strip.Request{
		Aim: strip.Aim{Protocol: strip.DefaultProtocol}, Uptake: strip.UsualUptake, Size: StripSize{By: strip.SizeColonies},
		Number: k.Strip, Balance: mixing.Balance{}.Settled(),
	}}
	for _, c := range colonies {
		r.Colonies = append(r.Colonies, StripColony{Colony: c})
	}
	return Recipe{Strip: &r}
}
