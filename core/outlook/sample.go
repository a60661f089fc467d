package outlook

import (
	"cmp"
	"slices"

	"keeler/core/calendar"
	"keeler/core/fit"
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
	Lead    fit.Lead
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

// Ahead are what the forecasts of the colonies of a yard, by a last day, say to who decides. needs are what they need by their
// counts: where one is over its threshold the whole yard is treated, and no further count decides that.
func Ahead(of []Prospect, needs []fit.Need, by calendar.Day) []fit.Ahead {
	out := make([]fit.Ahead, len(of))
	for i, p := range of {
		out[i] = fit.Ahead{
			Lead: p.Lead, Now: p.Now, Chance: p.Chance, By: by, From: p.From, To: p.To,
			Settled: needs[i] == fit.NeedTreat || needs[i] == fit.NeedYard,
		}
	}
	for _, i := range Sample(of) {
		best := of[i].Telling[0]
		out[i].Count, out[i].Narrows = best.Of, best.Narrows
	}
	return out
}
