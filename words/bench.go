package words

import "cmp"

// Ingredient names what goes into the vessel.
func Ingredient(code string) string { return cmp.Or(said.Ingredients[code], code) }

// Act tells what to do in a step at the bench, and how; one that is not in any order of
// work adds more of an ingredient, to mend the batch.
func Act(id string, counted bool, ingredient string) (title, hint string) {
	a, known := said.Acts[id]
	if !known && counted {
		a = said.Acts["more:count"]
	} else if !known {
		a = said.Acts["more"]
	}
	return fill(a.Title, func(string) string { return Ingredient(ingredient) }), a.Hint
}
