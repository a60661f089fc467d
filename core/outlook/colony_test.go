package outlook

import (
	"fmt"
	"math"
	"math/rand/v2"
	"testing"

	"keeler/core/calendar"
)

// middling are the middle values.
func middling() (p Params) {
	for i, s := range spans {
		p[i] = s.middle
	}
	return p
}

// lives brings a colony to the end of a day.
func lives(c *Colony, to calendar.Day, given ...Dose) {
	for c.Day < to {
		c.Step(given, false)
	}
}

func within(t *testing.T, what string, got, low, high float64) {
	t.Helper()
	if !(got >= low && got <= high) {
		t.Errorf("%s: %.4g, want %g to %g", what, got, low, high)
	}
}

// The check figures of docs/sources.md, Year of a colony: middle values at 50° north, and the same half a
// year later in the south.
func TestYear(t *testing.T) {
	for _, place := range []struct {
		latitude float64
		january  calendar.Day
	}{{50, calendar.Of(2026, 1, 1)}, {-50, calendar.Of(2026, 7, 2)}} {
		c := NewColony(middling(), At(place.latitude), 1, place.january, 50)
		within(t, "mites to begin with", c.Mites(), 49.9, 50.1)
		within(t, "bees on 1 January", c.Bees(), 8_000, 15_000)
		lives(&c, place.january+90)
		april := c.Mites()
		under := 0.0
		for day := range calendar.Day(30) { // June is from day 151
			lives(&c, place.january+151+day)
			under += c.UnderCaps() / c.Mites() / 30
		}
		within(t, "under caps in June", under, 0.45, 0.67)
		for day := range calendar.Day(31) {
			lives(&c, place.january+181+day)
			within(t, "bees in July", c.Bees(), 38_000, 48_000)
		}
		within(t, "days in which mites double, April to July", 121/math.Log2(c.Mites()/april), 28, 36)
		lives(&c, place.january+242)
		within(t, "mites at the end of August", c.Mites(), 1_200, 3_500)
		if c.Sealed() == 0 {
			t.Error("no brood at the end of August")
		}
		lives(&c, place.january+365)
		within(t, "sealed cells at Christmas", c.Sealed(), 0, 0)
	}
}

// A winter is lived through wherever it is longer: bees in spring, and in summer.
func TestLongWinters(t *testing.T) {
	for _, latitude := range []float64{42, 50, 54, 57.5, 61, 65} {
		january := calendar.Of(2026, 1, 1)
		c := NewColony(middling(), At(latitude), 1, january, 50)
		fewest, most := c.Bees(), 0.0
		for day := range calendar.Day(240) {
			lives(&c, january+day)
			fewest, most = min(fewest, c.Bees()), max(most, c.Bees())
		}
		within(t, fmt.Sprintf("at %g°, the fewest bees in spring", latitude), fewest, 3_000, 12_000)
		within(t, fmt.Sprintf("at %g°, the most in summer", latitude), most, 35_000, 50_000)
	}
}

// What treatments kill, against the untreated twin. Source: docs/sources.md, Year of a colony.
func TestTreatments(t *testing.T) {
	august, december := calendar.Of(2026, 8, 1), calendar.Of(2026, 12, 10)
	for _, c := range []struct {
		what      string
		dose      Dose
		after     calendar.Day
		low, high float64
	}{
		{"strips in August", Dose{Strips, august, august + 56, 1}, 60, 0.85, 0.97},
		{"a formic course of 14 days", Dose{Formic, august, august + 14, 1}, 14, 0.80, 0.92},
		{"a dribble in December", Dose{Dribble, december, december, 1}, 1, 0.90, 0.93},
		// Of mites on bees alone, 92 % of 48 % or so, and those under caps come out again.
		{"a dribble in August", Dose{Dribble, august, august, 1}, 14, 0.2, 0.5},
		{"a dribble in December, half of it", Dose{Dribble, december, december, 0.5}, 1, 0.70, 0.73}, // 1 - 0.08^0.5 = 0.717
		{"strips that were taken out at once", Dose{Strips, august, august, 1}, 60, 0, 0},
	} {
		twin := NewColony(middling(), At(50), 1, calendar.Of(2026, 1, 1), 50)
		lives(&twin, c.dose.From-1)
		treated := twin
		lives(&twin, c.dose.From+c.after)
		lives(&treated, c.dose.From+c.after, c.dose)
		within(t, c.what, 1-treated.Mites()/twin.Mites(), c.low, c.high)
	}
}

// What a dribble in December killed is on the board within three weeks, most of it in one, with the one in 400 a day of
// those that live. Source: docs/sources.md, Year of a colony.
func TestFall(t *testing.T) {
	c := NewColony(middling(), At(50), 1, calendar.Of(2026, 12, 9), 1000)
	on := c.Day
	lives(&c, on+21, Dose{Dribble, on, on, 1})
	within(t, "killed", c.Killed, 900, 925) // 92 % of some 1,000
	within(t, "on the board in a week", c.Fallen(on, on+7)/c.Killed, 0.90, 0.93)
	within(t, "in three", c.Fallen(on, on+21)-c.Killed, 0, 10) // 80 mites that live × 21 ÷ 400 = 4
}

// Anywhere, whatever the colony and the year: no mite is made or lost but by the rules, nothing is below nothing,
// no treatment leaves more mites, and one that kills more leaves fewer.
func TestNoMiteIsLost(t *testing.T) {
	r := rand.New(rand.NewPCG(13, 1))
	for range 200 {
		p := Draw(r)
		latitude, start, mites := r.Float64()*180-90, calendar.Day(18_000+r.IntN(1000)), math.Exp(r.Float64()*8)
		strength := 0.1 + r.Float64()
		given := make([]Dose, 1+r.IntN(3))
		for i := range given {
			from := start + calendar.Day(r.IntN(300))
			given[i] = Dose{Way(r.IntN(4)), from, from + calendar.Day(r.IntN(70)), 0.2 + r.Float64()}
		}
		more := append([]Dose{}, given...)
		more[0].Strength *= 1.5
		idle := start + calendar.Day(r.IntN(300))
		c := NewColony(p, At(latitude), strength, start, mites)
		untreated, stronger := c, c
		for c.Day < start+400 {
			without := c.Day > idle && c.Day < idle+30
			c.Step(given, without)
			untreated.Step(nil, without)
			stronger.Step(more, without)
			if sum := mites + c.Came + c.Born - c.Died - c.Killed; math.Abs(sum-c.Mites()) > 1e-3*(1+sum) || c.OnBees < 0 || c.Bees() < -1 || c.Sealed() < 0 {
				t.Fatalf("%v at %.0f°: %.3f mites by the balance, %.3f there, %.3f on bees; %.0f bees, %.0f cells", c.Day, latitude, sum, c.Mites(), c.OnBees, c.Bees(), c.Sealed())
			}
		}
		if c.Mites() > untreated.Mites()*(1+1e-5) || stronger.Mites() > c.Mites()*(1+1e-5) {
			t.Errorf("%.1f mites untreated, %.1f treated, %.1f treated with more", untreated.Mites(), c.Mites(), stronger.Mites())
		}
	}
}

// A queen that does not lay leaves no sealed brood after 21 days, 24 with drones, and all mites on bees.
func TestBroodBreak(t *testing.T) {
	c := NewColony(middling(), At(50), 1, calendar.Of(2026, 7, 1), 500)
	for range 25 {
		c.Step(nil, true)
	}
	within(t, "sealed cells", c.Sealed(), 0, 0)
	within(t, "mites on bees", c.OnBees/c.Mites(), 1, 1)
}

// Where laying never ends there is brood on every day; poleward the year is shorter, to the last.
func TestLatitudes(t *testing.T) {
	for _, c := range []struct {
		latitude float64
		days     int // with sealed brood: 12 more than those of laying, less the first and last eggs
	}{{0, 365}, {29, 365}, {50, 289}, {59, 247}, {75, 172}, {90, 172}, {-50, 289}} {
		colony := NewColony(middling(), At(c.latitude), 1, calendar.Of(2025, 1, 1), 10)
		n := 0
		for range 365 {
			colony.Step(nil, false)
			if colony.Sealed() > 5 {
				n++
			}
		}
		if math.Abs(float64(n-c.days)) > 12 {
			t.Errorf("at %g° there is brood on %d days, want about %d", c.latitude, n, c.days)
		}
	}
}

func BenchmarkYear(b *testing.B) {
	p, place := middling(), At(50)
	for b.Loop() {
		c := NewColony(p, place, 1, calendar.Of(2026, 1, 1), 50)
		lives(&c, c.Day+365)
	}
}
