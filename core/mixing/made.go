package mixing

import (
	"cmp"
	"math"

	"keeler/core/chem"
)

// Taken is a mass of an ingredient that is in, and how far it may be off.
type Taken struct {
	Part      int
	Mass, Off chem.Grams
}

// Stand says on which side of a band something lies.
type Stand string

const (
	Within Stand = "within"
	Below  Stand = "below"
	Above  Stand = "above"
)

// Tolerance is how far a strength, or a ratio of sugar to water, may stray from
// what was wanted before it is called another. Neighbouring protocols lie 15 % and
// more apart: within 5 % a batch is still nearest to its own by far.
const Tolerance = 0.05

// Likely turns the root of the squares of several limits (± a, anywhere between
// alike) into ± at 95 %: 1.96 standard deviations of a/√3 each.
const Likely = 1.96 / 1.7320508

// Span is a figure with its uncertainty at 95 %, and the band it should lie in.
type Span struct {
	Value float64 `json:"value"`
	Off   float64 `json:"off" doc:"It may be off by so much either way, at 95 %."`
	Low   float64 `json:"low" doc:"Of the band around what was wanted."`
	High  float64 `json:"high"`
	Stand Stand   `json:"stand" enum:"within,below,above"`
}

// What no balance shows, as limits either way: how pure an acid is whose strength nobody gave; how much
// of the water is steam, lime or drops that stay in the jug; and what the room's temperature makes of a
// volume, of a strength per litre.
const (
	impure    = 0.005
	waterLost = 0.01
	warmth    = 0.005
)

// Made is what a batch really is, from what was weighed.
type Made struct {
	Mixture  chem.Mixture
	Strength Span // in the measure of the work
	Volume   chem.Millilitres
	Ratio    *Span        // sugar to water; nil where there is no sugar
	Clear    chem.Celsius // of a syrup: colder, crystals can fall out
}

// Mix adds up what is taken.
func (w Work) Mix(taken []Taken) chem.Mixture {
	var m chem.Mixture
	for _, t := range taken {
		m = m.Plus(w.Parts[t.Part].Gram.Times(t.Mass))
	}
	return m
}

// Made tells what has come of what is taken.
//
// Source of the uncertainties: each weighing, each ingredient's own strength, the acid's purity,
// the water and the temperature are moved by as much as it may be off either way; what that does to the figure adds
// in quadrature, since none depends on another. Each is as likely anywhere in its
// range, so the sum of squares is by √3 too wide for a standard deviation; 1.96 of
// those hold 95 %.
func (w Work) Made(taken []Taken) Made {
	all := w.Mix(taken)
	m := Made{Mixture: all, Volume: w.Measure.Volume(all)}
	m.Strength = w.span(taken, all, w.Measure.Strength)
	if w.Measure == PerLitre {
		m.Strength.Off = math.Hypot(m.Strength.Off, Likely*warmth*m.Strength.Value)
	}
	if w.Measure == PerLitre {
		m.Clear = chem.Saturation(all.OAD, all.Water)
		if w.Aim.Sugar > 0 {
			ratio := w.span(taken, all, func(m chem.Mixture) float64 {
				if m.Water <= 0 {
					return 0
				}
				return float64(m.Sugar / m.Water)
			})
			m.Ratio = &ratio
		}
	}
	return m
}

func (w Work) span(taken []Taken, all chem.Mixture, figure func(chem.Mixture) float64) Span {
	s := Span{Value: figure(all)}
	wanted := figure(w.Aim)
	s.Low, s.High = wanted*(1-Tolerance), wanted*(1+Tolerance)
	sum := 0.0
	add := func(moved chem.Mixture) {
		d := figure(moved) - s.Value
		sum += d * d
	}
	for _, t := range taken {
		p := w.Parts[t.Part]
		add(all.Plus(p.Gram.Times(t.Off)))
		off := cmp.Or(p.Off, impure)
		acid := chem.Mixture{OAD: p.Gram.OAD, Formic: p.Gram.Formic}.Times(t.Mass * chem.Grams(off))
		acid.Water = -acid.Mass() // a stronger stock holds less water
		add(all.Plus(acid))
	}
	add(all.Plus(chem.Mixture{Water: -waterLost * all.Water}))
	s.Off = Likely * math.Sqrt(sum)
	switch {
	case s.Value < s.Low*(1-1e-9):
		s.Stand = Below
	case s.Value > s.High*(1+1e-9):
		s.Stand = Above
	default:
		s.Stand = Within
	}
	return s
}

// Right reports whether strength and ratio lie in their bands.
func (m Made) Right() bool {
	return m.Strength.Stand == Within && (m.Ratio == nil || m.Ratio.Stand == Within)
}

// Room is the smallest vessel that the batch goes into with its headroom.
func (w Work) Room(m Made) chem.Millilitres {
	return m.Volume * chem.Millilitres(1+w.Headroom)
}
