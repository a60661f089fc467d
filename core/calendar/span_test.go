package calendar

import "testing"

// docs/sources.md: north of 50° 1 December to 10 January, 42° to 50° 10 December to 5
// January, elsewhere never; in the south six months later.
func TestDeepCluster(t *testing.T) {
	for _, c := range []struct {
		latitude   float64
		month, day int
		deep       bool
	}{
		{58, 12, 1, true}, {58, 11, 30, false}, {58, 1, 10, true}, {58, 1, 11, false}, {50, 12, 5, false},
		{46, 12, 10, true}, {46, 12, 9, false}, {46, 1, 5, true}, {46, 1, 6, false}, {41.9, 12, 20, false},
		{-52, 6, 1, true}, {-52, 7, 10, true}, {-52, 7, 11, false}, {-52, 12, 20, false}, {10, 12, 20, false},
	} {
		if got := DeepCluster(c.latitude).Holds(Of(2026, c.month, c.day)); got != c.deep {
			t.Errorf("%v° on %d/%d: %v", c.latitude, c.month, c.day, got)
		}
	}
	own, ok := ReadSpan("11-20", "02-01")
	if !ok || !own.Holds(Of(2026, 1, 31)) || own.Holds(Of(2026, 2, 2)) {
		t.Errorf("own: %+v %v", own, ok)
	}
	for _, bad := range [][2]string{{"13-01", "01-10"}, {"12-32", "01-10"}, {"12-01", ""}, {"02-30", "03-01"}, {"1-1", "2-2"}, {"ab-cd", "01-01"}} {
		if _, ok := ReadSpan(bad[0], bad[1]); ok {
			t.Errorf("%v is taken", bad)
		}
	}
}

// Under 25° there is no cold half-year to count from.
func TestNoSeasonNearTheEquator(t *testing.T) {
	for _, latitude := range []float64{0, 24.9, -24.9} {
		if d := Of(2026, 12, 4); Seasonal(latitude) || d.Cold(latitude) || d.HalfBegan(latitude) != d {
			t.Errorf("a season is assumed at %v°", latitude)
		}
	}
	if !Seasonal(25) || !Of(2026, 12, 4).Cold(25) || !Of(2026, 6, 4).Cold(-25) {
		t.Error("25° has its winter")
	}
}
