package wire

import (
	"keeler/core/method"
	"keeler/core/method/dribble"
	"keeler/core/mixing"
)

func (r *DribbleRequest) recipe() (method.Recipe, error) {
	in, err := r.core()
	return in.As(), err
}

func (r *DribbleRequest) answer(p method.Plan) RecipeAnswer {
	a := dribbleAnswer(p.(dribble.Worked).Plan)
	return RecipeAnswer{Dribble: &a}
}

func (r *DribbleRequest) bare() Recipe { return Recipe{Dribble: &DribbleRequest{Request: r.Request}} }

// beginDribble is a syrup to begin with: the shipped defaults, or what a card says.
func beginDribble(_ string, colonies []Colony, name string, k CardContent) Recipe {
	r := DribbleRequest{Colonies: colonies, Request: dribble.Request{
		Hold: Hold{Kind: dribble.Crystals, Share: 1}, Aim: Aim{By: dribble.ByProtocol, Protocol: dribble.DefaultProtocol},
		Size: Size{By: dribble.SizeSeams}, Applicator: new(dribble.UsualApplicator), Balance: mixing.Balance{}.Settled(),
	}}
	if k.Dribble != nil {
		label := *k.Dribble
		label.Name = name
		r.Hold, r.Aim = Hold{Kind: dribble.ReadyToUse, Card: &label}, Aim{}
	}
	if k.Rule != nil {
		r.Rule = *k.Rule
		r.Rule.Label = true
	}
	return Recipe{Dribble: &r}
}
