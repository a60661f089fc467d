package stock

// Candidate is a lot that an ingredient can be taken from. Opened counts up with each time that something
// is taken from any lot; 0: nothing was taken from this one yet.
type Candidate struct {
	ID     string
	Left   float64
	Past   bool // its last good day is over
	Opened uint64
}

// Choose picks the lot that an ingredient comes from where nobody says: the only one that is in stock and
// good, and of several the one that was opened last; empty where that tells of none.
func Choose(lots []Candidate) string {
	var best Candidate
	usable := 0
	for _, l := range lots {
		if l.Left <= 0 || l.Past {
			continue
		}
		usable++
		if usable == 1 || l.Opened > best.Opened {
			best = l
		}
	}
	if usable > 1 && best.Opened == 0 {
		return ""
	}
	return best.ID
}
