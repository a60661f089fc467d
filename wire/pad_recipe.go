package wire

import (
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/method/pad"
	"keeler/core/mixing"
)

func (r *PadRequest) recipe() (method.Recipe, error) {
	in, err := r.core()
	return in.As(), err
}

func (r *PadRequest) answer(p method.Plan) RecipeAnswer {
	return RecipeAnswer{Pad: &PadAnswer{p.(pad.Worked).Plan}}
}

func (r *PadRequest) bare() Recipe { return Recipe{Pad: &PadRequest{Request: r.Request}} }

// beginPad is formic acid to begin with: the shipped defaults, or what a card says.
func beginPad(under string, colonies []Colony, name string, k CardContent) Recipe {
	weakest := pad.WeakestWorking
	r := PadRequest{Colonies: colonies, Request: pad.Request{
		Hold: PadHold{Kind: pad.Acid, Label: weakest}, Working: weakest, Aim: pad.Aim{Protocol: fit.PadRecipe(under)},
		Size: PadSize{By: pad.SizeVisit}, Balance: mixing.Balance{}.Settled(),
	}}
	switch {
	case k.Pad != nil:
		pads := *k.Pad
		pads.Name = name
		r.Hold, r.Aim = PadHold{Kind: pad.ReadyPads, Card: &pads}, pad.Aim{}
	case k.Amount != nil:
		r.Aim = *k.Amount
		r.Aim.Label = true
	}
	return Recipe{Pad: &r}
}
