package mixing

import "keeler/core/chem"

// Step names one line of a docket; each method lists its own.
type Step string

// Line is one thing to weigh, count or pour, in the order of the work.
type Line struct {
	Step       Step       `json:"step" doc:"Dribble: sugar, hot_water, acid, rest_water, all_water, tablets, water, stock or warm_bottle. Strip: glycerol, carried or acid. Pad: cold_water, stock or pads."`
	Ingredient string     `json:"ingredient" doc:"sugar, water, glycerol, oxalic_acid_dihydrate, oxalic_acid_anhydrous, packet_powder, tablets, ready_mix, ready_to_use, carried_liquor, formic_acid or ready_pads."`
	Mass       chem.Grams `json:"grams,omitempty" doc:"Exact mass, g; left out for a product poured by volume."`
	Target
	Volume chem.Millilitres `json:"volume_ml,omitempty" doc:"Of a liquid, mL at 20 °C."`
	Count  int              `json:"count,omitempty" doc:"Whole tablets or pads."`
	Temp   chem.Celsius     `json:"temp_c,omitempty" doc:"Temperature of what is poured, or of what it goes into, °C."`
	Gear   []Gear           `json:"gear,omitempty" doc:"To be put on before this line."`
	Acid   bool             `json:"-"` // it holds acid
}

// Weighed is a line of what holds no acid, read on the balance.
func Weighed(step Step, ingredient string, mass chem.Grams, b Balance) Line {
	return Line{Step: step, Ingredient: ingredient, Mass: mass, Target: b.Weigh(mass, false)}
}

// WeighedAcid is a line of what holds acid.
func WeighedAcid(step Step, ingredient string, mass chem.Grams, b Balance) Line {
	return Line{Step: step, Ingredient: ingredient, Mass: mass, Target: b.Weigh(mass, true), Acid: true}
}
