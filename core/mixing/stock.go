package mixing

// Use is what comes from the stock, by the kind of lot and in the unit that its lots are
// counted in.
type Use struct {
	Lot    string
	Amount float64
}

// FromStock lists what comes from the stock, in the order of the ingredients: what went in,
// the pieces that were soaked, or a product whole.
func (s State) FromStock(w Work, pieces int) []Use {
	var out []Use
	for i, p := range w.Parts {
		if p.Lot == "" {
			continue
		}
		u := Use{Lot: p.Lot}
		for _, st := range s.Stations {
			for _, g := range st.Added {
				switch {
				case st.Part != i:
				case p.Each > 0:
					u.Amount += float64(g.Count)
				default:
					u.Amount += float64(g.Mass)
				}
			}
		}
		out = append(out, u)
	}
	return append(out, w.beside(pieces)...)
}

// Needs lists what a batch takes from the stock when it is made as planned, in the order of the ingredients.
func (w Work) Needs() []Use {
	var out []Use
	for _, p := range w.Parts {
		if p.Lot == "" {
			continue
		}
		u := Use{Lot: p.Lot}
		for _, step := range p.Steps {
			if l := w.line(step); p.Each > 0 {
				u.Amount += float64(l.Count)
			} else {
				u.Amount += float64(l.Mass)
			}
		}
		out = append(out, u)
	}
	pieces := 0
	if w.Soaks != nil {
		pieces = w.Soaks.Pieces
	}
	return append(out, w.beside(pieces)...)
}

// beside is what comes from the stock and is not weighed: what is soaked, and a product that is used whole.
func (w Work) beside(pieces int) (out []Use) {
	if w.Soaks != nil {
		out = append(out, Use{"carrier", float64(pieces)})
	}
	if w.Bought != nil {
		out = append(out, *w.Bought)
	}
	return out
}
