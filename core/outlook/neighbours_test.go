package outlook

import (
	"math"
	"math/rand/v2"
	"testing"

	"keeler/core/mites"
)

// Hives of one yard share what comes in. In yards where little comes in, and in yards where much does, five hives are washed each month
// and a sixth never: by its neighbours its mites in late autumn are told better than without them, on average, and its band
// is no wider.
func TestNeighbours(t *testing.T) {
	begins := Begins{Latitude: 50, Day: newYear + 150, Low: 20, High: 200}
	late := begins.Day + 160
	r := rand.New(rand.NewPCG(7, 7))
	alone, together, wide, narrow, yards := 0.0, 0.0, 0.0, 0.0, 0
	for _, came := range []float64{0.2, 15} {
		for range 12 {
			yards++
			made := func() Colony {
				p := Draw(r)
				p[InflowLate] = came * math.Exp(beside/2*r.NormFloat64())
				return NewColony(p, At(50), 0.5+0.5*r.Float64(), begins.Day, 20*math.Pow(10, r.Float64()))
			}
			var known []Drift
			for hive := range uint64(5) {
				truth, f := made(), NewFilter(begins, 150, hive)
				for f.Day < late {
					f.Step(nil, false)
					truth.Step(nil, false)
					if int(f.Day-begins.Day)%30 == 0 {
						wash := mites.Count{Kind: mites.Wash, Bees: 300, On: f.Day}
						mean, size := truth.expected(wash)
						wash.Mites = draw(r, mean, size)
						f.Count(wash)
					}
				}
				known = append(known, f.Drift())
			}
			truth := made()
			lives(&truth, late)
			for _, of := range [][]Drift{nil, known} {
				f := NewFilter(begins, 300, 9)
				f.Neighbours(of)
				f.Live(late, nil, nil)
				b := f.Mites()
				off, width := math.Abs(math.Log(b.Middle/truth.Mites())), math.Log(b.High/b.Low)
				if of == nil {
					alone, wide = alone+off, wide+width
				} else {
					together, narrow = together+off, narrow+width
				}
			}
		}
	}
	n := float64(yards)
	t.Logf("off by %.2f alone, %.2f with neighbours; bands %.2f and %.2f wide, as logarithms", alone/n, together/n, wide/n, narrow/n)
	if together >= alone || narrow >= wide {
		t.Errorf("with neighbours it is off by %.2f, and by %.2f without; the band is %.2f wide, and %.2f", together/n, alone/n, narrow/n, wide/n)
	}
	before := NewFilter(begins, 100, 1)
	after := NewFilter(begins, 100, 1)
	after.Neighbours([]Drift{before.Drift(), {0, 0}, {5, 10}}) // not counted, broken, and less known than before
	if before.Drift() != after.Drift() {
		t.Error("who knows nothing tells something")
	}
}
