package card_test

import (
	"testing"

	. "keeler/core/card"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
)

// A card's own figures stand in place of the protocol's; where its dose speaks of more
// than one visit that counts; and vapour harms from where the label's range ends.
func TestConditions(t *testing.T) {
	for _, c := range []struct {
		what          string
		m             method.Name
		k             Content
		dose          Course
		visits, apart int
		harm          float64
	}{
		{"given once", method.Dribble, Content{MinC: 2, MaxC: 12, Supers: "off"}, Course{}, 1, 0, 0},
		{"twice more", method.Dribble, Content{MinC: 2, MaxC: 12, Supers: "off", Repeats: 2, DaysApart: 7}, Course{Visits: 3}, 3, 7, 0},
		{"pads with a course of their own", method.Pad, Content{MinC: 10, MaxC: 26, Supers: "off", Repeats: 5, DaysApart: 3}, Course{Visits: 2, Apart: 9}, 2, 9, 26},
		{"acid whose dose says one visit", method.Pad, Content{MinC: 10, MaxC: 26, Supers: "off", Repeats: 3, DaysApart: 5}, Course{Visits: 1}, 4, 5, 26},
		{"strips", method.Strip, Content{MinC: 12, MaxC: 30, Supers: "label", DaysInLow: 40, DaysInHigh: 50, Withdrawal: new(14)}, Course{}, 1, 0, 0},
	} {
		got, err := c.k.Conditions("x", c.m, c.dose)
		if err != nil || got.ID != "card:x" || !got.Label || got.Method != c.m || got.MinC != c.k.MinC || got.BestHighC != c.k.MaxC || c.k.Withdrawal != nil && got.Withdrawal != *c.k.Withdrawal || got.DaysInHigh != c.k.DaysInHigh {
			t.Errorf("%s: %+v %v", c.what, got, err)
		}
		if got.Visits != c.visits || got.ApartLow != c.apart || got.HarmC != c.harm {
			t.Errorf("%s: %d visits %d days apart, harm above %v", c.what, got.Visits, got.ApartLow, got.HarmC)
		}
	}
	if _, err := (Content{MinC: 12, MaxC: 4, Supers: "off"}).Conditions("x", method.Dribble, Course{}); err == nil {
		t.Error("a range upside down is taken")
	}
	var l fault.List
	Content{Repeats: 21, DaysApart: 61, Withdrawal: new(366)}.Check(&l)
	if len(l) != 3 {
		t.Errorf("%v", l)
	}
	for _, m := range method.All {
		if blank := Begin(m); blank.MaxC != fit.Basic(m).MaxC || blank.DaysInHigh != fit.Basic(m).DaysInHigh {
			t.Errorf("%s begins with %+v", m, blank)
		}
	}
}
