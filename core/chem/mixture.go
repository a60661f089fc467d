package chem

// Mixture is what a batch of any kind holds, by mass: the truth from which its
// strength is computed. A filler counts as sugar.
type Mixture struct{ OAD, Formic, Glycerol, Water, Sugar Grams }

// Mass is the sum of the parts.
func (m Mixture) Mass() Grams { return m.OAD + m.Formic + m.Glycerol + m.Water + m.Sugar }

// Plus adds the parts of n.
func (m Mixture) Plus(n Mixture) Mixture {
	return Mixture{m.OAD + n.OAD, m.Formic + n.Formic, m.Glycerol + n.Glycerol, m.Water + n.Water, m.Sugar + n.Sugar}
}

// Take is a mass of the mixture, with its parts in their proportion; nothing of
// an empty one.
func (m Mixture) Take(mass Grams) Mixture {
	all := m.Mass()
	if all <= 0 {
		return Mixture{}
	}
	return m.Times(mass / all)
}

// Share is a part's share of the whole by mass, 0 for an empty mixture.
func (m Mixture) Share(part Grams) Share {
	if all := m.Mass(); all > 0 {
		return Share(part / all)
	}
	return 0
}

// Mixture gives the syrup's parts.
func (s Syrup) Mixture() Mixture { return Mixture{OAD: s.OAD, Water: s.Water, Sugar: s.Sugar} }

// Times multiplies every part by n: a mixture told for one gram becomes n grams.
func (m Mixture) Times(n Grams) Mixture {
	return Mixture{m.OAD * n, m.Formic * n, m.Glycerol * n, m.Water * n, m.Sugar * n}
}
