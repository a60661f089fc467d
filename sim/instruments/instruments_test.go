package instruments

import (
	"math"
	"strconv"
	"strings"
	"testing"
)

// after moves an instrument on and reads it.
func after(t *testing.T, i Instrument, seconds float64) (state string, value float64) {
	t.Helper()
	for range int(math.Round(seconds / Every.Seconds())) {
		i.Step(Every.Seconds())
	}
	f := strings.Fields(i.Line())
	if len(f) == 1 {
		return f[0], 0
	}
	value, err := strconv.ParseFloat(f[1], 64)
	if err != nil {
		t.Fatal(err)
	}
	return f[0], value
}

// A pour moves the reading, which then settles; a tare counts from there; a load
// over the capacity is no figure; and it drifts by less than a division in an hour.
func TestBalanceSettles(t *testing.T) {
	b := NewBalance(0.1, 500, 3)
	b.Told("POUR", 45)
	if state, v := after(t, b, 0.5); state != "U" || v < 5 || v > 45 {
		t.Errorf("while it is poured: %s %v", state, v)
	}
	if state, v := after(t, b, 3); state != "S" || math.Abs(v-45) > 0.1 {
		t.Errorf("settled: %s %v", state, v)
	}
	b.Told("TARE", 0)
	b.Told("POUR", -5)
	if state, v := after(t, b, 3); state != "S" || math.Abs(v+5) > 0.1 {
		t.Errorf("taken off: %s %v", state, v)
	}
	if _, v := after(t, b, 3600); math.Abs(v+5) > 0.15 {
		t.Errorf("an hour later: %v", v)
	}
	b.Told("POUR", 600)
	if state, _ := after(t, b, 3); state != "O" {
		t.Errorf("640 g on 500: %s", state)
	}
	b.Told("LIFT", 0)
	if state, v := after(t, b, 3); state != "S" || v != 0 && math.Abs(v) > 0.1 {
		t.Errorf("empty: %s %v", state, v)
	}
	if b.Told("POUR", math.NaN()) || b.Told("DANCE", 1) {
		t.Error("that cannot be done")
	}
}

func TestProbeWarmsAndCools(t *testing.T) {
	p := NewProbe(1)
	if _, v := after(t, p, 1); math.Abs(v-ambient) > 0.5 {
		t.Errorf("at first %v", v)
	}
	p.Told("HEAT", 80)
	if state, v := after(t, p, 5); state != "U" || v < 40 || v > 55 {
		t.Errorf("on the way: %s %v", state, v)
	}
	if state, v := after(t, p, 10); state != "S" || math.Abs(v-80) > 0.5 {
		t.Errorf("there: %s %v", state, v)
	}
	p.Told("HEAT", 0)
	if _, v := after(t, p, 10); v > 77 {
		t.Errorf("off the plate: %v", v)
	}
	if p.Told("HEAT", 900) || p.Told("POUR", 1) {
		t.Error("that cannot be done")
	}
}
