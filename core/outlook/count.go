package outlook

import (
	"math"
	"slices"

	"keeler/core/calendar"
	"keeler/core/mites"
)

// Telling is a count that could be made, and by which share it would narrow what is open of the mites to come.
type Telling struct {
	Of      mites.Count // its kind, its bees or its days; On is the day it is taken or read
	Narrows float64     // 0 to 1
}

// For how many days counts are weighed against each other.
const (
	ThisWeek  = 7
	ThisMonth = 28
)

const (
	countEvery   = 7   // days
	lookedAt     = 60  // days ahead, for which the band is to be narrow
	sampleBees   = 300 // of a wash
	boardLies    = 7   // days
	boardIsWorth = 0.8 // of what a wash would tell: it opens no hive and kills no bee
)

// Counts are the counts that could be made within so many days, if nothing is done until then: of each kind the one that
// narrows the band most, a board first where it tells about as much. In the cold half-year no bees are taken for a wash.
func (f *Filter) Counts(latitude float64, given []Dose, within calendar.Day) []Telling {
	on := f.copy()
	var of []mites.Count
	var logs [][]float64 // of each, what each colony would have it be
	for day := f.Day; day <= f.Day+within; day += countEvery {
		on.Live(day, given, nil)
		if day-f.Day >= boardLies {
			of = append(of, mites.Count{Kind: mites.Board, Days: boardLies, On: day})
		}
		if !day.Cold(latitude) {
			of = append(of, mites.Count{Kind: mites.Wash, Bees: sampleBees, On: day})
		}
		for _, c := range of[len(logs):] {
			logs = append(logs, on.each(func(k *Colony) float64 { mean, _ := k.expected(c); return math.Log(mean) }))
		}
	}
	on.Live(f.Day+lookedAt, given, nil)
	target := on.each(func(k *Colony) float64 { return k.logMites() })
	best := map[mites.Kind]Telling{}
	for i, c := range of {
		if narrows := f.narrows(logs[i], target, c.Kind); narrows > best[c.Kind].Narrows {
			best[c.Kind] = Telling{c, narrows}
		}
	}
	var out []Telling
	for _, k := range []mites.Kind{mites.Board, mites.Wash} {
		if b, has := best[k]; has {
			out = append(out, b)
		}
	}
	if len(out) == 2 && out[0].Narrows < boardIsWorth*out[1].Narrows {
		slices.Reverse(out)
	}
	return out
}

// copy is the filter, to live on by itself.
func (f *Filter) copy() *Filter {
	on := *f
	on.all, on.drawer = slices.Clone(f.all), nil
	return &on
}

func (f *Filter) each(of func(*Colony) float64) []float64 {
	out := make([]float64, len(f.all))
	for i := range f.all {
		out[i] = of(&f.all[i])
	}
	return out
}

// narrows is by which share the spread of a target comes to be narrower by a count whose logarithms these are: by the
// correlation of the two, as for normal distributions, with the scatter of the count itself. Source: docs/sources.md, Year
// of a colony.
func (f *Filter) narrows(logs, target []float64, kind mites.Kind) float64 {
	var x, y, xx, yy, xy, noise float64
	for i, w := range f.weights {
		x += w * logs[i]
		y += w * target[i]
	}
	size := boardSize
	if kind == mites.Wash {
		size = washSize
	}
	for i, w := range f.weights {
		dx, dy := logs[i]-x, target[i]-y
		xx += w * dx * dx
		yy += w * dy * dy
		xy += w * dx * dy
		noise += w * math.Min(math.Exp(-logs[i]), mostNoise)
	}
	noise += 1 / (size * caution)
	if yy == 0 {
		return 0
	}
	return 1 - math.Sqrt(max(1-xy*xy/((xx+noise)*yy), 0))
}

// mostNoise is how far a count of hardly any mites scatters, as the square of a logarithm.
const mostNoise = 4
