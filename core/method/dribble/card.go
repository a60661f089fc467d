package dribble

import (
	"slices"

	"keeler/core/chem"
	"keeler/core/fault"
)

// Card is what the keeper copied from the label of a ready-to-use product; it
// overrides the protocols. Its rows give mL by the size of the colony.
type Card struct {
	Name    string    `json:"name,omitempty" maxLength:"80" doc:"What the keeper calls it."`
	Actives []Active  `json:"actives,omitempty" maxItems:"4" doc:"The acids in it, as labelled."`
	Rows    []CardRow `json:"rows" maxItems:"12" doc:"The label's table: up to so many bees, so many mL; may be empty where rule.by_label doses by the seam."`
	Repeats int       `json:"repeats,omitempty" doc:"Further doses that the label asks for when there is brood, 0 to 10."`
}

// What a card holds at most; names in characters.
const MaxCardName, maxRows, maxActives = 80, 12, 4

// Acid is which acid a label names.
type Acid string

const (
	Oxalic    Acid = "oxalic"
	Formic    Acid = "formic"
	OtherAcid Acid = "other"
)

// Active is one acid in a product.
type Active struct {
	Acid     Acid       `json:"name" enum:"oxalic,formic,other" doc:"Which acid."`
	Strength float64    `json:"g_per_l" doc:"As labelled, g per litre, 0.1 to 700."`
	Basis    chem.Basis `json:"basis,omitempty" doc:"For oxalic: dihydrate or anhydrous."`
}

// CardRow is one line of the label's table: up to so many bees, so many mL.
// UpTo 0 stands for any larger colony and may only be the last.
type CardRow struct {
	UpTo   int              `json:"up_to_bees,omitempty" doc:"Colonies up to this many bees, 100 to 200000, rising; left out in the last row: any larger colony."`
	Volume chem.Millilitres `json:"dose_ml" doc:"mL for such a colony, 1 to 250."`
}

// strength is the product's oxalic acid in g OAD per litre; 0 when it has none.
func (c Card) strength() chem.GramsPerLitre {
	sum := 0.0
	for _, a := range c.Actives {
		if a.Acid == Oxalic {
			sum += chem.ToDihydrate(a.Strength, a.Basis)
		}
	}
	return chem.GramsPerLitre(sum)
}

// HoldsFormic reports whether a label names formic acid.
func (c Card) HoldsFormic() bool {
	return slices.ContainsFunc(c.Actives, func(a Active) bool { return a.Acid == Formic })
}

// Holds is the acid that is known to be in a volume of the product. What a label
// calls another acid is not counted.
func (c Card) Holds(v chem.Millilitres) chem.Mixture {
	m := chem.Mixture{OAD: c.strength().In(v)}
	for _, a := range c.Actives {
		if a.Acid == Formic {
			m.Formic += chem.GramsPerLitre(a.Strength).In(v)
		}
	}
	return m
}

// row finds the row for a number of bees. beyond says that the colony is larger
// than the table's last row, which is then taken.
func (c Card) row(bees int) (row int, beyond bool) {
	for i, r := range c.Rows {
		if bees <= r.UpTo || r.UpTo == 0 {
			return i, false
		}
	}
	return len(c.Rows) - 1, true
}

// check asks for a table, unless the label doses by the seam.
func (c Card) check(path string, bySeam bool, l *fault.List) {
	if len(c.Rows) == 0 && !bySeam {
		l.Add(path+".rows", fault.Missing)
	}
	l.Length(path+".name", c.Name, MaxCardName)
	if len(c.Rows) > maxRows {
		l.AddRange(path+".rows", fault.TooMany, 0, maxRows, "rows")
		return
	}
	if len(c.Actives) > maxActives {
		l.AddRange(path+".actives", fault.TooMany, 0, maxActives, "acids")
		return
	}
	l.Within(path+".repeats", float64(c.Repeats), 0, 10, "doses")
	for i, a := range c.Actives {
		field := fault.Index(path+".actives", i)
		l.Within(field+".g_per_l", a.Strength, 0.1, 700, "g/L")
		switch a.Acid {
		case Oxalic:
			checkBasis(field+".basis", a.Basis, l)
		case Formic, OtherAcid:
		default:
			l.Add(field+".name", fault.Unknown)
		}
	}
	before := 0
	for i, r := range c.Rows {
		field := fault.Index(path+".rows", i)
		l.Within(field+".dose_ml", float64(r.Volume), 1, float64(MostColony), "mL")
		last := i == len(c.Rows)-1
		if r.UpTo == 0 && last {
			continue
		}
		if l.Within(field+".up_to_bees", float64(r.UpTo), 100, 200000, "bees") && r.UpTo <= before {
			l.AddRange(field+".up_to_bees", fault.NotRising, float64(before+1), 200000, "bees")
		}
		before = r.UpTo
	}
}

// checkBasis refuses to guess: not knowing the basis is a factor of 1.4.
func checkBasis(field string, b chem.Basis, l *fault.List) {
	switch b {
	case chem.Dihydrate, chem.Anhydrous:
	case "":
		l.Add(field, fault.Missing)
	default:
		l.Add(field, fault.Unknown)
	}
}
