package fault

import (
	"math"
	"reflect"
	"testing"
)

// A figure on the edge is taken, one beyond it is refused with the range, and what is no
// figure is never taken.
func TestWithin(t *testing.T) {
	for value, want := range map[float64]Reason{1: "", 5: "", 3.2: "", 0.999: TooLow, -1: TooLow, 5.001: TooHigh, math.Inf(1): NotFinite, math.Inf(-1): NotFinite} {
		var l List
		if ok := l.Within("f", value, 1, 5, "g"); ok != (want == "") {
			t.Errorf("%v: taken %v", value, ok)
		}
		if want != "" && !reflect.DeepEqual(l, List{{"f", want, 1, 5, "g"}}) {
			t.Errorf("%v: %+v, want %s", value, l, want)
		}
	}
	var l List
	if l.Within("f", math.NaN(), 1, 5, "g") || l[0].Reason != NotFinite {
		t.Errorf("NaN: %+v", l)
	}
}

// 10 strips take up 400 g where 100 to 250 g can be: of strips that is 2.5 to 6.25.
func TestScaled(t *testing.T) {
	var l List
	if !l.Scaled("n", 5, 200, 100, 250, "strips") || len(l) != 0 {
		t.Errorf("in the range: %+v", l)
	}
	if l.Scaled("n", 10, 400, 100, 250, "strips") || !reflect.DeepEqual(l, List{{"n", TooHigh, 2.5, 6.25, "strips"}}) {
		t.Errorf("beyond it: %+v", l)
	}
	for _, value := range []float64{0, -4, math.NaN(), math.Inf(1)} {
		if l.Scaled("n", 10, value, 100, 250, "strips") {
			t.Errorf("%v is taken", value)
		}
	}
}

func TestLength(t *testing.T) {
	var l List
	l.Length("f", "häß", 3) // characters, not bytes
	if len(l) != 0 {
		t.Errorf("three of three: %+v", l)
	}
	if l.Length("f", "häße", 3); len(l) != 1 || l[0].Reason != TooLong || l[0].High != 3 {
		t.Errorf("four of three: %+v", l)
	}
}

// Only what was found within the entry gets its place, and a fault of the entry as a whole
// no dot.
func TestBeneath(t *testing.T) {
	l := List{{Field: "before"}, {Field: "boxes"}, {Field: ""}}
	l.Beneath(1, "colonies", 2)
	got := []string{l[0].Field, l[1].Field, l[2].Field}
	if want := []string{"before", "colonies[2].boxes", "colonies[2]"}; !reflect.DeepEqual(got, want) {
		t.Errorf("got %q, want %q", got, want)
	}
}

func TestErr(t *testing.T) {
	if err := (List)(nil).Err(); err != nil {
		t.Errorf("of nothing: %v", err)
	}
	l := List{{Field: "a", Reason: Missing}, {Field: "b", Reason: Unknown}}
	if err := l.Err(); err == nil || err.Error() != "a: missing; b: unknown" {
		t.Errorf("got %v", err)
	}
}
