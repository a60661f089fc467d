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
	if w.Soaks != nil {
		out = append(out, Use{"carrier", float64(pieces)})
	}
	if w.Bought != nil {
		out = append(out, *w.Bought)
	}
	return out
}
