package wire

import "keeler/core/method"

// beginnings are the recipes to begin with, by method.
var beginnings = map[string]func(under string, colonies []Colony, name string, k CardContent) Recipe{
	string(method.Dribble): beginDribble, string(method.Strip): beginStrip, string(method.Pad): beginPad,
}

// RecipeOf is a recipe to begin with on the bench: that of the conditions it is given under, by their id, or the shipped
// defaults, or what a card says, for colonies as they were last seen.
func RecipeOf(of, under string, colonies []Colony, card *LabelCard) Recipe {
	begin, known := beginnings[of]
	if !known {
		return Recipe{}
	}
	if card == nil {
		return begin(under, colonies, "", CardContent{})
	}
	return begin(under, colonies, card.Name, card.Content)
}
