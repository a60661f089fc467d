package weather

import (
	"testing"
	"time"
)

func date(y int, m time.Month, d int) time.Time { return time.Date(y, m, d, 0, 0, 0, 0, time.UTC) }

// The same yard, day and seed give the same weather, whichever day is asked from.
func TestSameAgain(t *testing.T) {
	today := Forecast("ropewalk", 57.5, date(2026, 12, 4), 2)
	tomorrow := Forecast("ropewalk", 57.5, date(2026, 12, 5), 2)
	for i := range tomorrow[:9*24] {
		if tomorrow[i] != today[i+24] {
			t.Fatalf("%s: %+v, a day before %+v", tomorrow[i].Time, tomorrow[i], today[i+24])
		}
	}
	if Forecast("saltmarsh", 57.5, date(2026, 12, 4), 2)[12] == today[12] || Forecast("ropewalk", 57.5, date(2026, 12, 4), 3)[12] == today[12] {
		t.Error("another yard or seed has the same weather")
	}
}

// A year of many seeds stays within what such places have, and turns in the south.
func TestPlausible(t *testing.T) {
	for _, c := range []struct {
		latitude  float64
		month     time.Month
		low, high float64 // of the mean over seeds
	}{
		{57.5, 1, -2, 6}, {57.5, 7, 12, 20}, {45, 1, 1, 9}, {45, 7, 14, 24}, {-40, 1, 14, 24}, {-40, 7, 4, 12},
	} {
		sum, n := 0.0, 0.0
		for seed := range uint64(40) {
			for _, h := range Forecast("x", c.latitude, date(2026, c.month, 10), seed) {
				sum, n = sum+h.TempC, n+1
				if h.TempC < -25 || h.TempC > 42 || h.WindMS < 0 || h.GustMS < h.WindMS || h.RainMM < 0 || h.RainMM > 10 {
					t.Fatalf("%v: %+v", c, h)
				}
			}
		}
		if mean := sum / n; mean < c.low || mean > c.high {
			t.Errorf("%v°, month %d: %.1f °C on average, want %v to %v", c.latitude, c.month, mean, c.low, c.high)
		}
	}
}
