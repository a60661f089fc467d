package mixing

import "keeler/core/chem"

// Step names one line of a docket; each method lists its own.
type Step string

// Line is one thing to weigh, count or pour, in the order of the work.
type Line struct {
	Step   Step
	Mass   chem.Grams // exact; 0 for a product poured by volume
	Read   Target
	Volume chem.Millilitres // beside the mass of a liquid; 0 for what is no liquid
	Count  int              // tablets or pads
	Temp   chem.Celsius     // of what is poured; 0 when it does not matter
	Gear   []Gear           // to be put on before this line
	Acid   bool             // it holds acid
}

// Weighed is a line of what holds no acid, read on the balance.
func Weighed(step Step, mass chem.Grams, b Balance) Line {
	return Line{Step: step, Mass: mass, Read: b.Weigh(mass, false)}
}

// WeighedAcid is a line of what holds acid.
func WeighedAcid(step Step, mass chem.Grams, b Balance) Line {
	return Line{Step: step, Mass: mass, Read: b.Weigh(mass, true), Acid: true}
}
