package outlook

import (
	"cmp"
	"slices"
)

// WorthTelling is by which share a count must narrow the band to be worth a word.
const WorthTelling = 0.05

const (
	aHiveIn    = 3   // of so many one is counted, where not all are
	alwaysOpen = 0.1 // how open it is even where the model is sure of itself: it may be wrong
)

// Prospect is what is ahead of a colony, and what counts of it would tell, the best first.
type Prospect struct {
	Crossing
	Telling []Telling
}

// worth is what a count would be worth: by how much it would narrow the band, and how open it is whether the colony comes to be
// over the threshold.
func (p Prospect) worth() float64 {
	if len(p.Telling) == 0 {
		return 0
	}
	return p.Telling[0].Narrows * (p.Chance*(1-p.Chance) + alwaysOpen)
}

// Sample are the places of the colonies of a yard whose counts are worth most: one of three, the one worth most first.
func Sample(of []Prospect) []int {
	var places []int
	for i, p := range of {
		if len(p.Telling) > 0 && p.Telling[0].Narrows >= WorthTelling {
			places = append(places, i)
		}
	}
	slices.SortStableFunc(places, func(a, b int) int { return cmp.Compare(of[b].worth(), of[a].worth()) })
	return places[:min(len(places), (len(of)+aHiveIn-1)/aHiveIn)]
}
