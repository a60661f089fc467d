package wire

import (
	"keeler/core/chem"
	"keeler/core/method"
	"keeler/core/method/dribble"
	"keeler/core/method/strip"
)

// Does is what an ingredient still makes by the usual recipe.
type Does struct {
	Hives  int `json:"hives,omitempty" doc:"That so much acid makes syrup for, each at the cap."`
	Strips int `json:"strips,omitempty" doc:"That so much glycerol soaks, or that there are."`
}

// boughtGlycerol is its strength by weight where no label is asked.
const boughtGlycerol chem.Share = 0.995

// DoesOf is what so much of an ingredient, in the unit of its lots, still makes.
func DoesOf(ingredient string, left float64) *Does {
	var out Does
	switch ingredient {
	case "acid":
		r := RecipeOf(string(method.Dribble), "", nil, nil)
		r.Dribble.Hold.Grams, r.Dribble.Size = chem.Grams(left), Size{By: dribble.SizeHand}
		if w, err := r.Work(); err == nil {
			out.Hives = w.Answer.Dribble.AtCap
		}
	case "glycerol":
		r := RecipeOf(string(method.Strip), "", nil, nil)
		r.Strip.Size = StripSize{By: strip.SizeGlycerol, Glycerol: chem.Millilitres(left / float64(chem.GlycerolDensity(boughtGlycerol)))}
		if w, err := r.Work(); err == nil {
			out.Strips = w.Answer.Strip.Strips
		}
	case "carrier":
		out.Strips = int(left)
	}
	if out == (Does{}) {
		return nil
	}
	return &out
}
