package strip

import (
	"math"

	"keeler/core/chem"
	"keeler/core/mixing"
)

// Waits of the pot, in seconds.
const (
	soak = 24 * 3600
	turn = 4 * 60 // sponges, 3 to 5 minutes on each side
)

// holding is how close to its temperature a pot is held, °C.
const holding chem.Celsius = 3

// Order is the order of work of a pot: what holds no acid first, then the gear.
var Order = mixing.Order{ID: "pot", Acts: []mixing.Act{
	{ID: "glycerol", Kind: mixing.WeighIt, Line: StepGlycerol, Clean: true},
	{ID: "water", Kind: mixing.WeighIt, Line: StepWater, Clean: true},
	{ID: "gear", Kind: mixing.Do, Gear: mixing.PotGear, Check: true},
	{ID: "heat_pot", Kind: mixing.Heat, Alarm: HighestHeat},
	{ID: "carried", Kind: mixing.WeighIt, Line: StepCarried},
	{ID: "acid", Kind: mixing.WeighIt, Line: StepAcid},
	{ID: "heat_clear", Kind: mixing.Heat, Alarm: HighestHeat, Check: true, Join: true},
	{ID: "pour", Kind: mixing.Do},
	{ID: "soak", Kind: mixing.Wait, Seconds: soak},
	{ID: "drain", Kind: mixing.Do, Gear: mixing.StripGear},
	{ID: "left", Kind: mixing.Left},
	{ID: "seal", Kind: mixing.Do, Check: true},
}}

// Keepings is the rule of keeping strips and liquor: 1 to 2 months, sealed.
var Keepings = []mixing.Keeping{{Store: "sealed", Days: 60}}

// Work is the plan as it is made. A sponge is turned once before it soaks.
func Work(r Request, p Plan) mixing.Work {
	oad := chem.Grams(chem.ToDihydrate(1, r.Basis))
	w := mixing.Work{
		Lines: p.Lines, Measure: mixing.PercentOAD, Aim: p.Liquor, Headroom: *r.Headroom,
		Dose: mixing.Dose{Name: "piece", Mass: r.Uptake}, Soaks: &mixing.Soaking{Carrier: string(r.Layout.Carrier), Pieces: p.Strips, Uptake: r.Uptake},
		Parts: []mixing.Part{
			{Name: "acid", Steps: []mixing.Step{StepAcid}, Gram: chem.Mixture{OAD: oad, Water: 1 - oad}, Dry: true, Lot: "acid"},
			{Name: "glycerol", Steps: []mixing.Step{StepGlycerol}, Lot: "glycerol",
				Gram: chem.Mixture{Glycerol: chem.Grams(r.Glycerol), Water: chem.Grams(1 - r.Glycerol)}},
			{Name: "water", Steps: []mixing.Step{StepWater}, Gram: chem.Mixture{Water: 1}},
			{Name: "carried", Steps: []mixing.Step{StepCarried}, Gram: p.Carried.Take(1)},
		},
	}
	acts := make([]mixing.Act, 0, len(Order.Acts)+1)
	for _, a := range Order.Acts {
		if a.Kind == mixing.Heat {
			a.Low, a.High = r.Heat-holding, min(r.Heat+holding, HighestHeat)
		}
		if a.ID == "soak" && r.Layout.Carrier == Sponge {
			acts = append(acts, mixing.Act{ID: "turn", Kind: mixing.Wait, Seconds: turn})
		}
		acts = append(acts, a)
	}
	w.Follow(acts)
	return w
}

// clings is the part of the liquor that stays on pot, jig and drips and so counts as
// taken up: Keeler's own estimate. It is the same in every pot, so it does not
// average away.
const clings = 0.01

// Uptake is what one piece took up, g, and its ± at 95 %.
//
// Source: the trade's own way, (liquor in − liquor left) ÷ pieces. inOff and leftOff
// are the limits of the weighings, in g.
func Uptake(in, inOff, left, leftOff chem.Grams, pieces int) (each, off chem.Grams) {
	if pieces <= 0 {
		return 0, 0
	}
	n := chem.Grams(pieces)
	weighed := mixing.Likely * math.Hypot(float64(inOff), float64(leftOff))
	return (in - left) / n, chem.Grams(math.Hypot(weighed, clings*float64(in))) / n
}

// Weighed is what the pieces of a run took up, g, and its ± at 95 %, once what is left of
// its liquor was weighed.
func Weighed(s mixing.State, pieces int) (each, off chem.Grams) {
	in, inOff, leftOff := chem.Grams(0), 0.0, 0.0
	for _, t := range s.Taken() {
		in += t.Mass
		inOff = math.Hypot(inOff, float64(t.Off))
	}
	for _, st := range s.Stations {
		if st.Kind == mixing.Left {
			for _, g := range st.Added {
				leftOff = math.Hypot(leftOff, float64(g.Off))
			}
		}
	}
	return Uptake(in, chem.Grams(inOff), s.LeftOver(), chem.Grams(leftOff), pieces)
}

// Seen is what the pieces of one pot took up, and its ± at 95 %.
type Seen struct{ Each, Off chem.Grams }

// Learnt is what pieces of one kind take up, from several pots.
type Learnt struct {
	Each   chem.Grams `json:"each_g" doc:"The mean."`
	Spread chem.Grams `json:"-"` // the standard deviation from pot to pot; 0 of a single one
	Off    chem.Grams `json:"off_g" doc:"± at 95 % of what the pieces of the next pot take up."`
	Pots   int        `json:"pots"`
}

// Learn takes the mean of what was seen; nothing of nothing. The ± is that of the
// next pot, not of the mean: more pots do not make strips more alike, and what every
// pot has in common stays.
func Learn(seen []Seen) Learnt {
	l := Learnt{Pots: len(seen)}
	if l.Pots == 0 {
		return l
	}
	for _, x := range seen {
		l.Each += x.Each / chem.Grams(l.Pots)
		l.Off += x.Off / chem.Grams(l.Pots)
	}
	if l.Pots > 1 {
		sum := 0.0
		for _, x := range seen {
			sum += float64((x.Each - l.Each) * (x.Each - l.Each))
		}
		l.Spread = chem.Grams(math.Sqrt(sum / float64(l.Pots-1)))
		l.Off = chem.Grams(math.Hypot(float64(l.Off), 1.96*float64(l.Spread)))
	}
	return l
}

// Strange reports whether a new figure is so far from what was learnt, or at first
// from what was planned with, that somebody should say yes to it: a quarter of
// it, or three times its spread where that is more.
func (l Learnt) Strange(each, planned chem.Grams) bool {
	from, room := planned, planned/4
	if l.Pots > 0 {
		from, room = l.Each, max(l.Each/4, 3*l.Spread)
	}
	return each <= 0 || math.Abs(float64(each-from)) > float64(room)
}
