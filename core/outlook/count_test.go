package outlook

import (
	"math"
	"testing"

	"keeler/core/calendar"
	"keeler/core/mites"
)

// What a count is said to narrow, it does: over colonies drawn from those that are possible, one is counted, and the band
// sixty days on is narrower by as much or more on average, give or take a third. Counted once, there is less to be learned from
// counting again.
func TestCounts(t *testing.T) {
	begins := Begins{Latitude: 50, Day: newYear + 120, Low: 5, High: 500}
	f := NewFilter(begins, 300, 7)
	said := f.Counts(50, nil, ThisMonth)
	if len(said) != 2 || said[0].Narrows <= 0.1 || said[0].Narrows >= 1 {
		t.Fatalf("%+v", said)
	}
	for _, s := range said {
		open, sum := spread(f, begins.Day), 0.0
		const times = 40
		for i := range times {
			g := NewFilter(begins, 300, 7)
			truth := g.all[(i*7)%len(g.all)]
			for g.Day < s.Of.On {
				g.Step(nil, false)
				truth.Step(nil, false)
			}
			c := s.Of
			mean, size := truth.expected(c)
			c.Mites = draw(g.r, mean, size)
			g.Count(c)
			sum += spread(g, begins.Day) / open
		}
		within(t, "what a "+string(s.Of.Kind)+" leaves open, to what was said", sum/times/(1-s.Narrows), 0.6, 1.34)
	}
	for i, s := range f.Counts(50, nil, ThisWeek) {
		if begun := s.Of.Began(); begun < f.Day || begun > f.Day+ThisWeek || s.Narrows > said[i].Narrows && s.Of.Kind == said[i].Of.Kind {
			t.Errorf("this week %+v, and this month %+v", s, said[i])
		}
	}
	f.Count(mites.Count{Kind: mites.Wash, Mites: 4, Bees: 300, On: f.Day})
	if again := f.Counts(50, nil, ThisMonth); again[0].Narrows >= said[0].Narrows {
		t.Errorf("counted, another would tell %.2f, of %.2f", again[0].Narrows, said[0].Narrows)
	}
	for _, s := range NewFilter(Begins{Latitude: 57, Day: calendar.Of(2026, 12, 4), Low: 5, High: 500}, 100, 1).Counts(57, nil, ThisMonth) {
		if s.Of.Kind != mites.Board {
			t.Error("bees are washed in December")
		}
	}
}

// spread is how wide the band is sixty days after a day, as a logarithm.
func spread(f *Filter, from calendar.Day) float64 {
	on := f.copy()
	on.Live(from+lookedAt, nil, nil)
	b := on.Mites()
	return math.Log(b.High / b.Low)
}
