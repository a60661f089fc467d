package fit

import (
	"math"
	"testing"

	"keeler/core/method"
)

// From −2 to 6 °C the mean is 2 and the swing 4: at 14 h 6, at 8 h and 20 h 2, at 2 h −2, at
// 10 h 2 + 4 cos 60° = 4. A winter dribble from 0 °C on has all its hours, 8 to 16; with 6 m/s
// of wind none.
func TestExpectedDay(t *testing.T) {
	e := Expected{LowC: -2, HighC: 6, WindMS: 3}
	f := e.Hours(december)
	for hour, want := range map[int]float64{2: -2, 8: 2, 10: 4, 14: 6, 20: 2} {
		if got, _ := f.At(december, hour); math.Abs(got.TempC-want) > 1e-9 || got.WindMS != 3 {
			t.Errorf("at %d h: got %+v, want %g °C", hour, got, want)
		}
	}
	under := Usual(method.Dribble, december, north)
	if o := f.On(december, under); len(o.Windows) != 1 || o.Windows[0].From != 8 || o.Windows[0].To != 16 {
		t.Errorf("got %+v", o)
	}
	for _, c := range []struct {
		e    Expected
		want Cause
	}{{Expected{-2, 6, 6, 0}, Windy}, {Expected{-2, 6, 3, 0.5}, Rainy}, {Expected{-9, -3, 0, 0}, TooCold}} {
		if o := c.e.Hours(december).On(december, under); len(o.Windows) != 0 || o.Cause != c.want {
			t.Errorf("%+v: got %+v", c.e, o)
		}
	}
}

func TestExpectedDayThatCannotBe(t *testing.T) {
	for _, e := range []Expected{{5, 4, 0, 0}, {-41, 0, 0, 0}, {0, 51, 0, 0}, {0, 5, -1, 0}, {0, 5, 41, 0}, {0, 5, 0, -1}, {0, math.NaN(), 0, 0}} {
		if e.Check() == nil {
			t.Errorf("%+v is taken", e)
		}
	}
	if err := (Expected{5, 5, 0, 0}).Check(); err != nil {
		t.Error(err)
	}
}
