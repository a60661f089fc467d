package dribble

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
)

// maxThinSugar is the most sugar in a solution, % by weight; beyond it sugar
// hardly dissolves.
const maxThinSugar = 65.0

// Stock is a bought solution, by what its label says.
type Stock struct {
	Value float64    `json:"value" doc:"Strength as quoted, in form and on basis; at least 5 g OAD per litre, at most what dissolves at 30 °C."`
	Form  chem.Form  `json:"form" enum:"g_per_l,percent_wv,percent_ww" doc:"g per litre, g per 100 mL, or g per 100 g."`
	Basis chem.Basis `json:"basis,omitempty" doc:"dihydrate or anhydrous. Never guessed: the two differ by a factor of 1.4."`
	Sugar chem.Share `json:"sugar_percent_ww,omitempty" doc:"Sugar in the whole weight, 0 to 65 %."`
}

// Thinning is how a stock becomes a weaker syrup.
type Thinning struct {
	Stock       chem.Grams       `json:"stock_g" doc:"g of the bought solution."`
	StockVolume chem.Millilitres `json:"stock_ml" doc:"mL of it at 20 °C."`
	Water       chem.Grams       `json:"water_g" doc:"g water to add."`
	Sugar       chem.Grams       `json:"sugar_g" doc:"g sugar to add."`
	Result      chem.Syrup       `json:"-"`
}

// composition solves for 100 g of the stock from its strength and sugar.
func (s Stock) composition() chem.Syrup {
	if s.Form == chem.PercentWeight {
		return per100(chem.ToDihydrate(s.Value, s.Basis), s.Sugar)
	}
	return blend(chem.Medium{}.ToPerLitre(s.Value, s.Form, s.Basis), s.Sugar)
}

// per100 is 100 g with so much OAD and that sugar share of the whole weight.
func per100(oad float64, sugar chem.Share) chem.Syrup {
	g := 100 * float64(sugar)
	return chem.Syrup{OAD: chem.Grams(oad), Sugar: chem.Grams(g), Water: chem.Grams(100 - oad - g)}
}

// blend is 100 g of the strength and sugar share of the whole weight.
func blend(strength chem.GramsPerLitre, sugar chem.Share) chem.Syrup {
	p := bisect(0, 100*(1-float64(sugar)), func(p float64) bool {
		return per100(p, sugar).Strength() < strength
	})
	return per100(p, sugar)
}

// bisect finds where below turns from true to false between low and high.
func bisect(low, high float64, below func(float64) bool) float64 {
	for range 60 {
		mid := (low + high) / 2
		if below(mid) {
			low = mid
		} else {
			high = mid
		}
	}
	return (low + high) / 2
}

// Thin lets a stock down with water and sugar to a volume (mL), a strength and
// a sugar share of the whole weight. Faults: hold.stock.* for a stock that
// cannot be, strength.value when the target is stronger than the stock, and
// sugar_percent_ww with the range that can be reached when water or sugar would
// have to be taken out.
func Thin(stock Stock, v chem.Millilitres, target chem.GramsPerLitre, sugar chem.Share) (Thinning, error) {
	var l fault.List
	stock.check("hold.stock", &l)
	l.Within("size.volume_ml", float64(v), MinVolume, MaxVolume, "mL")
	l.Within("sugar_percent_ww", float64(sugar)*100, 0, maxThinSugar, "% by weight")
	if len(l) > 0 {
		return Thinning{}, l
	}
	from := stock.composition()
	if !l.Within("strength.value", float64(target), MinStrength, math.MaxFloat64, "g/L") {
		l[0].High = float64(from.Strength())
		return Thinning{}, l
	}
	if target > from.Strength()*(1+1e-9) {
		l.AddRange("strength.value", fault.Upward, MinStrength, float64(from.Strength()), "g/L")
		return Thinning{}, l
	}

	to := blend(target, sugar)
	to = to.Scale(float64(v) / float64(to.Volume()))
	part := from.Scale(float64(to.OAD) / float64(from.OAD))
	t := Thinning{
		Stock:       part.Mass(),
		StockVolume: part.Volume(),
		Water:       to.Water - part.Water,
		Sugar:       to.Sugar - part.Sugar,
		Result:      to,
	}
	const dust = 1e-6
	if t.Water < -dust || t.Sugar < -dust {
		low, high := reach(part, to.Volume())
		l.AddRange("sugar_percent_ww", fault.SugarRange, low*100, min(high*100, maxThinSugar), "% by weight")
		return Thinning{}, l
	}
	t.Water, t.Sugar = max(t.Water, 0), max(t.Sugar, 0)
	return t, nil
}

// reach is the lowest and highest sugar share of the whole weight when part is
// filled up to the volume with water alone, or with sugar alone.
func reach(part chem.Syrup, v chem.Millilitres) (low, high float64) {
	water, sugar := part, part
	room := 2 * float64(v)
	water.Water += chem.Grams(bisect(0, room, func(add float64) bool {
		s := part
		s.Water += chem.Grams(add)
		return s.Volume() < v
	}))
	sugar.Sugar += chem.Grams(bisect(0, room, func(add float64) bool {
		s := part
		s.Sugar += chem.Grams(add)
		return s.Volume() < v
	}))
	return float64(water.Sugar / water.Mass()), float64(sugar.Sugar / sugar.Mass())
}

func (s Stock) check(path string, l *fault.List) {
	checkForm(path+".form", s.Form, l)
	checkBasis(path+".basis", s.Basis, l)
	l.Within(path+".sugar_percent_ww", float64(s.Sugar)*100, 0, maxThinSugar, "% by weight")
	if len(*l) > 0 {
		return
	}
	m := chem.Medium{Sugar: s.Sugar}
	top := chem.MaxStrength(s.Sugar, StockTemperature)
	low, high := m.FromPerLitre(MinStrength, s.Form, s.Basis), m.FromPerLitre(top, s.Form, s.Basis)
	l.Within(path+".value", s.Value, low, high, unitOf(s.Form))
}

// checkForm lets through only what a bottle's label can say.
func checkForm(field string, f chem.Form, l *fault.List) {
	switch f {
	case chem.PerLitre, chem.PercentVolume, chem.PercentWeight:
	case "":
		l.Add(field, fault.Missing)
	default:
		l.Add(field, fault.Unknown)
	}
}

func unitOf(f chem.Form) string {
	switch f {
	case chem.PercentVolume:
		return "% w/v"
	case chem.PercentWeight:
		return "% w/w"
	case chem.PerSeam:
		return "mg a seam"
	case chem.PerColonyAtCap:
		return "g a colony"
	}
	return "g/L"
}
