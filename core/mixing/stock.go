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
	return w.uses(pieces, func(part int) (amount float64) {
		for _, st := range s.Stations {
			for _, g := range st.Added {
				switch {
				case st.Part != part:
				case w.Parts[part].Each > 0:
					amount += float64(g.Count)
				default:
					amount += float64(g.Mass)
				}
			}
		}
		return amount
	})
}

// Needs lists what a batch takes from the stock when it is made as planned.
func (w Work) Needs() []Use {
	pieces := 0
	if w.Soaks != nil {
		pieces = w.Soaks.Pieces
	}
	return w.uses(pieces, func(part int) (amount float64) {
		for _, step := range w.Parts[part].Steps {
			if l := w.line(step); w.Parts[part].Each > 0 {
				amount += float64(l.Count)
			} else {
				amount += float64(l.Mass)
			}
		}
		return amount
	})
}

// uses are the parts that come from lots, by their amounts, and what is not weighed: what is soaked, and a product that is
// used whole.
func (w Work) uses(pieces int, amount func(part int) float64) (out []Use) {
	for i, p := range w.Parts {
		if p.Lot != "" {
			out = append(out, Use{p.Lot, amount(i)})
		}
	}
	if w.Soaks != nil {
		out = append(out, Use{"carrier", float64(pieces)})
	}
	if w.Bought != nil {
		out = append(out, *w.Bought)
	}
	return out
}
