package mixing

import (
	"testing"

	"keeler/core/calendar"
	"keeler/core/chem"
)

// A pot of 300 g with 80 g carried over, of which 42.5 come back in two loads: what is
// left is weighed on the balance that carries most, and can be weighed again.
func TestWhatAPotLeaves(t *testing.T) {
	w := Work{
		Measure: PercentOAD, Aim: chem.Mixture{OAD: 104, Glycerol: 196},
		Parts: []Part{
			{Name: "acid", Steps: []Step{"acid"}, Gram: chem.Mixture{OAD: 1}},
			{Name: "glycerol", Steps: []Step{"glycerol"}, Gram: chem.Mixture{Glycerol: 1}},
			{Name: "carried", Steps: []Step{"carried"}, Gram: chem.Mixture{OAD: 0.346, Glycerol: 0.654}},
		},
		Lines: []Line{{Step: "acid", Mass: 76}, {Step: "glycerol", Mass: 144}, {Step: "carried", Mass: 80}},
	}
	w.Follow([]Act{
		{ID: "glycerol", Kind: WeighIt, Line: "glycerol"}, {ID: "heat", Kind: Heat, Low: 67, High: 73, Alarm: 77},
		{ID: "carried", Kind: WeighIt, Line: "carried"}, {ID: "acid", Kind: WeighIt, Line: "acid"}, {ID: "left", Kind: Left},
	})
	scales := Scales{Balances: []Balance{{Division: 0.1, Capacity: 500}, {Division: 1, Capacity: 5000}, {Division: 0.01, Capacity: 200}}}
	events := []Event{took("glycerol", 144, 0.05), {Kind: Measured, Act: "heat", Temp: 71}, took("carried", 80, 0.05), took("acid", 76, 0.05)}
	s := w.Fold(events, scales)
	if s.Rested() || s.LeftOver() != 0 || !near(float64(s.Carried(w)), 80, 1e-9) {
		t.Errorf("before it is weighed: %v left, %v carried", s.LeftOver(), s.Carried(w))
	}
	if temp, ok := s.Warmth(); !ok || temp != 71 {
		t.Errorf("it was read at %v", temp)
	}
	if st := s.Stations[4]; st.Balance != 1 || st.Done {
		t.Errorf("what is left goes on balance %d", st.Balance)
	}
	events = append(events, took("left", 40, 0.5), took("left", 2.5, 0.5))
	if s = w.Fold(events, scales); !s.Rested() || !near(float64(s.LeftOver()), 42.5, 1e-9) || !near(float64(s.SoFar.Mixture.Mass()), 300, 1e-9) {
		t.Errorf("weighed: %v left of %v", s.LeftOver(), s.SoFar.Mixture.Mass())
	}
	events = append(events, Event{Kind: Removed, Act: "left", Load: 0}, Event{Kind: Measured, Act: "heat", Temp: 68})
	if s = w.Fold(events, scales); !near(float64(s.LeftOver()), 2.5, 1e-9) {
		t.Errorf("the first load taken back: %v left", s.LeftOver())
	}
	if temp, _ := s.Warmth(); temp != 68 {
		t.Errorf("the newest reading counts: %v", temp)
	}
	if none := w.Fold(nil, scales); none.Rested() || none.Carried(w) != 0 {
		t.Error("nothing is in an empty pot")
	}
}

// A day at room temperature is good on the day it was made and the next one.
func TestUseBy(t *testing.T) {
	made := calendar.Of(2026, 12, 31)
	for days, want := range map[int]calendar.Day{1: calendar.Of(2027, 1, 1), 7: calendar.Of(2027, 1, 7), 60: calendar.Of(2027, 3, 1)} {
		if got := (Keeping{Days: days}).UseBy(made); got != want {
			t.Errorf("%d days: %v", days, got)
		}
	}
}
