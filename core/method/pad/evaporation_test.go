package pad

import (
	"math"
	"math/rand/v2"
	"testing"

	"keeler/core/chem"
)

func hours(n int, celsius float64) []float64 {
	out := make([]float64, n)
	for i := range out {
		out[i] = celsius
	}
	return out
}

// By hand. At a mean of 18 °C a bottle over one box stands in the middle of 15 to 20 g: 17.5
// g a day. p(23) is 10^(2.00121 − 515/(296.15 − 139.408)) = 10^−1.28444 = 0.05195 bar; at 10
// °C outside it is 15 above the brood, 10^(2.00121 − 515/148.742) = 10^−1.46116 = 0.03458:
// two thirds of it, 11.65 g. On the floor at 18 °C: 21, 10^−1.32676 = 0.04712, 15.87 g.
func TestEvaporationByHand(t *testing.T) {
	bottle := Evaporating{Device: Bottle, Boxes: 1, Full: 245}
	for name, c := range map[string]struct {
		e       Evaporating
		outside float64
		day     float64
	}{
		"in the middle of its band": {bottle, 18, 17.5},
		"two boxes":                 {Evaporating{Device: Bottle, Boxes: 2, Full: 300}, 18, 22.5},
		"cool":                      {bottle, 10, 11.65},
		"on the floor":              {Evaporating{Device: Bottle, Boxes: 1, Below: true, Full: 245}, 18, 15.87},
		"half the wick":             {Evaporating{Device: Bottle, Boxes: 1, Area: 40, Usual: 80, Full: 245}, 18, 8.75},
		"learnt to be faster":       {Evaporating{Device: Bottle, Boxes: 1, Factor: 1.2, Full: 245}, 18, 21},
	} {
		got := c.e.Run(hours(24, c.outside))
		if math.Abs(float64(got.Day)-c.day) > 0.02 {
			t.Errorf("%s: %.3f g a day, not %.2f", name, got.Day, c.day)
		}
	}
	// 245 g at 17.5 a day last 14 days: less than 3 in 100 are left in hour 326.
	if got := bottle.Run(hours(400, 18)); got.Empty != 325 {
		t.Errorf("empty in hour %d", got.Empty)
	}
	// A sheet slows down as it empties: 70 g at 17.5 a day, after a day 70 × (1 − 1/96)^24.
	sheet := Evaporating{Device: Soaked, Boxes: 1, Full: 70}
	if got := sheet.Run(hours(24, 18)); math.Abs(float64(got.Left[23])-70*math.Pow(1-17.5/24/70, 24)) > 1e-6 {
		t.Errorf("%v g left", got.Left[23])
	}
}

// A hole in the forecast is bridged by the same hour of the day before, and on the first day
// by the hour before it.
func TestEvaporationBridgesHoles(t *testing.T) {
	bottle := Evaporating{Device: Bottle, Boxes: 1, Full: 245}
	whole, holes := hours(48, 14), hours(48, 14)
	for i := 10; i < 20; i++ {
		holes[i] = math.NaN()
	}
	if a, b := bottle.Run(whole), bottle.Run(holes); a.Left[47] != b.Left[47] {
		t.Errorf("%v, with holes %v", a.Left[47], b.Left[47])
	}
	// Beyond the last known hour each day goes on like the one before, not like its last hour.
	days, known := make([]float64, 72), make([]float64, 72)
	for i := range days {
		days[i] = 8 + float64(i%24)/2
		if known[i] = days[i]; i >= 24 {
			known[i] = math.NaN()
		}
	}
	if a, b := bottle.Run(days), bottle.Run(known); math.Abs(float64(a.Left[71]-b.Left[71])) > 1e-9 {
		t.Errorf("%v, after the forecast ends %v", a.Left[71], b.Left[71])
	}
	if got := bottle.Run(nil); got.Empty != -1 || got.Day != 0 {
		t.Errorf("no forecast: %+v", got)
	}
}

// What was made with a factor is found again, by weighings that are off by a gram or two.
func TestEvaporationLearns(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 1))
	outside := make([]float64, 24*12)
	for i := range outside {
		outside[i] = 16 + 6*math.Sin(float64(i)*2*math.Pi/24)
	}
	for _, device := range []Device{Bottle, Soaked} {
		truth := Evaporating{Device: device, Boxes: 1, Full: 245, Factor: 1.3}
		run := truth.Run(outside)
		var weighed []Weighing
		for day := 1; day <= 8; day++ {
			weighed = append(weighed, Weighing{24 * day, run.Left[24*day-1] + chem.Grams(r.NormFloat64())})
		}
		ruled := truth
		ruled.Factor = 0
		factor, off, ok := ruled.Learn(outside, weighed)
		if !ok || math.Abs(factor-1.3) > 0.03 || off <= 0 || off > 0.03 {
			t.Errorf("%s: %.3f ± %.3f", device, factor, off)
		}
	}
	if _, _, ok := (Evaporating{Full: 245}).Learn(outside, []Weighing{{0, 200}, {30, 0}, {9999, 20}}); ok {
		t.Error("learnt from nothing")
	}
}

func TestPace(t *testing.T) {
	bottle := Evaporating{Device: Bottle, Boxes: 1, Area: 60}
	for day, want := range map[chem.Grams]struct {
		pace Pace
		area float64
	}{17: {InBand, 0}, 15: {InBand, 0}, 20: {InBand, 0}, 10: {Slow, 105}, 25: {Fast, 42}, 35: {TooFast, 30}} {
		if pace, area := bottle.Stands(day); pace != want.pace || math.Abs(area-want.area) > 1e-9 {
			t.Errorf("%v g: %s, %v cm²", day, pace, area)
		}
	}
}

// By hand: a bottle of 228.5 g hung at 500 g, 465 g two days after, 435 g three days after,
// at 18 °C: 30 g a day between the last two, 20 in the middle of the rule's 17.5; wick of 40
// cm² is to be 40 × 17.5 ÷ 30. By least squares (35² + 52.5 × 65) ÷ (35² + 52.5²) = 1.165 times
// the rule, 20.38 g a day; 163.5 g are left after three days, and 3 % of the whole after 7.68 more.
func TestWatched(t *testing.T) {
	e := Evaporating{Device: Bottle, Boxes: 1, Area: 40, Full: 228.5}
	gross := []Weighing{{0, 500}, {48, 465}, {72, 435}}
	got, ok := e.Watch(gross, true, hours(40*24, 18))
	if !ok || got.Day != 30 || got.Pace != Fast || math.Abs(got.Area-23.333) > 1e-3 || got.Low != 15 || got.High != 20 || got.Rose {
		t.Errorf("%+v", got)
	}
	if math.Abs(got.Factor-1.1648) > 1e-3 || got.Empty != 72+184 {
		t.Errorf("%+v", got)
	}
	// A sheet of 70 g that lost half of it goes on at half its rate: of the 35 g left 2.1 g
	// are left when the rate has taken ln(35 ÷ 2.1) = 2.81 times 70 g ÷ 17.5 a day, 11.3 days.
	sheet := Evaporating{Device: Soaked, Boxes: 1, Full: 70}
	day := 24 * 70 / 17.5 * math.Ln2 // to lose half, in hours
	if got, ok = sheet.Watch([]Weighing{{0, 100}, {int(day + 0.5), 65}}, true, hours(60*24, 18)); !ok || math.Abs(float64(got.Empty)-day-270) > 4 {
		t.Errorf("a sheet: %+v", got)
	}
	// Not weighed when it was hung, or topped up since: nobody knows how much is left.
	if got, ok = e.Watch(gross, false, hours(40*24, 18)); !ok || got.Day != 30 || got.Factor != 0 || got.Empty >= 0 {
		t.Errorf("%+v", got)
	}
	if got, _ = e.Watch([]Weighing{{0, 400}, {24, 410}}, true, nil); !got.Rose {
		t.Errorf("%+v", got)
	}
	for _, few := range [][]Weighing{nil, {{0, 500}}, {{0, 500}, {0, 490}}} {
		if got, ok := e.Watch(few, true, nil); ok {
			t.Errorf("%v: %+v", few, got)
		}
	}
}

// Two hives with devices of one kind, each weighed once after a day at 18 °C, where the rule
// says 17.5 g: 21 and 28 g. Together (21 + 28) ÷ (2 · 17.5) = 1.4 times the rule, its error √((3.5² +
// 3.5²) ÷ 1 ÷ (2 · 17.5²)) = 0.2. A third hive goes by that as long as nothing is known of it.
func TestLearnsByKind(t *testing.T) {
	e := Evaporating{Device: Bottle, Boxes: 1, Full: 228.5}
	var kind Learning
	kind.Add(e, hours(24, 18), []Weighing{{24, 228.5 - 21}})
	kind.Add(e, hours(24, 18), []Weighing{{24, 228.5 - 28}})
	factor, off, ok := kind.Factor()
	if !ok || math.Abs(factor-1.4) > 1e-9 || math.Abs(off-0.2) > 1e-9 || kind.Weighings() != 2 {
		t.Errorf("%v ± %v of %d", factor, off, kind.Weighings())
	}
	kind.Add(e, make([]float64, 3), []Weighing{{24, 200}}) // beyond the hours
	unknown := hours(24, math.NaN())
	kind.Add(e, unknown, []Weighing{{24, 100}}) // nobody knows how warm it was
	if kind.Weighings() != 2 {
		t.Errorf("%d weighings", kind.Weighings())
	}
	e.Factor = factor
	if got := e.Expected(hours(48, 18)); math.Abs(float64(got)-24.5) > 1e-9 {
		t.Errorf("%v g a day to come", got)
	}
	// Full still when it is weighed again a day after: its own is not learnt, the kind's holds.
	// 24.5 g a day: 97 % of 228.5 g are gone after 217 hours.
	w, ok := e.Watch([]Weighing{{0, 500}, {24, 500}}, true, hours(20*24, 18))
	if !ok || w.Factor != 0 || w.Empty != 24+217 || len(w.Ahead) != 218 || w.Net[0].Left != 228.5 || math.Abs(float64(w.Ahead[23])-204) > 1e-6 {
		t.Errorf("%+v", w)
	}
}
