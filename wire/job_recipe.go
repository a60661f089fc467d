package wire

// RecipeOf is a recipe to begin with on the bench: the shipped defaults, or what a
// card says, for colonies as they were last seen.
func RecipeOf(method string, colonies []Colony, card *LabelCard) Recipe {
	var k CardContent
	name := ""
	if card != nil {
		k, name = card.Content, card.Name
	}
	switch method {
	case Strip:
		r := StripRequest{
			Recipe: StripRecipe{Protocol: "two-to-three"}, UptakeG: 20, Size: StripSize{By: "colonies"},
			Number: k.Strip, BalanceG: usualBalance,
		}
		for _, c := range colonies {
			r.Colonies = append(r.Colonies, StripColony{Colony: c})
		}
		return Recipe{Strip: &r}
	case Pad:
		r := PadRequest{
			Hold: PadHold{Kind: "acid", Percent: 60}, WorkingPercent: 60, Amount: PadAmount{Protocol: "sponge-above"},
			Size: PadSize{By: "visit"}, BalanceG: usualBalance, Colonies: colonies,
		}
		if k.Pad != nil {
			pads := *k.Pad
			pads.Name = name
			r.Hold, r.Amount = PadHold{Kind: "ready_pads", Card: &pads}, PadAmount{}
		} else if k.Amount != nil {
			r.Amount = *k.Amount
			r.Amount.ByLabel = true
		}
		return Recipe{Pad: &r}
	}
	r := DribbleRequest{
		Hold: Hold{Kind: "crystals", OADPercent: 100}, Strength: Aim{By: "protocol", Protocol: "label-litre"},
		Size: Size{By: "seams"}, Applicator: &Applicator{Device: "syringe", SizeML: 60}, BalanceG: usualBalance, Colonies: colonies,
	}
	if k.Dribble != nil {
		label := *k.Dribble
		label.Name = name
		r.Hold, r.Strength = Hold{Kind: "ready_to_use", Card: &label}, Aim{}
	}
	if k.Rule != nil {
		r.Rule = *k.Rule
		r.Rule.ByLabel = true
	}
	return Recipe{Dribble: &r}
}

// usualBalance is what a kitchen balance reads, g.
const usualBalance = 0.1

// RuleWords says in a line which rule a job is worked under.
func RuleWords(kind, words string) string {
	prefix := map[string]string{"label": "By the product's label", "permit": "Prescription or permit", "own": "Own mixture, where allowed"}[kind]
	if words == "" {
		return prefix
	}
	return prefix + ": " + words
}
