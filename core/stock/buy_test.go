package stock

import (
	"math"
	"slices"
	"testing"
)

// What a plan needs against what is there: a lot that has ended by the day does not count, one that ends soon goes first,
// nothing is taken twice, and less than nothing is nothing.
func TestWants(t *testing.T) {
	needs := []Need{{"acid", 40, 200}, {"acid", 30, 100}, {"glycerol", 500, 200}, {"formic", 0.0, 300}}
	for _, c := range []struct {
		name string
		lots []Lot
		want []Want
	}{
		{"nothing is there", nil, []Want{{"acid", 70, 0, 0}, {"glycerol", 500, 0, 0}, {"formic", 0, 0, 0}}},
		{"enough of acid, and none of it priced", []Lot{{Ingredient: "acid", Left: 100, Unit: "g"}},
			[]Want{{"acid", 70, 70, 0}, {"glycerol", 500, 0, 0}, {"formic", 0, 0, 0}}},
		// 30 of the 50 that end on day 150 go on day 100, the other 20 are past on day 200: 25 of the rest are all there is.
		// By hand: 70 g at 20 for a kilogram are 1.40, at the newest price.
		{"one that ends", []Lot{{"acid", 25, 0, 20, "g"}, {"acid", 50, 150, 12, "g"}},
			[]Want{{"acid", 70, 55, 1.4}, {"glycerol", 500, 0, 0}, {"formic", 0, 0, 0}}},
		{"on its last day it is good", []Lot{{"acid", 70, 200, 0, "g"}}, []Want{{"acid", 70, 70, 0}, {"glycerol", 500, 0, 0}, {"formic", 0, 0, 0}}},
		{"to be reconciled", []Lot{{"acid", -5, 0, 0, "g"}, {"glycerol", 600, 0, 10, "g"}},
			[]Want{{"acid", 70, 0, 0}, {"glycerol", 500, 500, 5}, {"formic", 0, 0, 0}}},
	} {
		got := Wants(needs, c.lots)
		if !slices.EqualFunc(got, c.want, func(a, b Want) bool {
			return a.Ingredient == b.Ingredient && a.Amount == b.Amount && a.There == b.There && math.Abs(a.Cost-b.Cost) < 1e-9
		}) {
			t.Errorf("%s: %+v, want %+v", c.name, got, c.want)
		}
	}
	if buy := (Want{Amount: 70, There: 55}).Buy(); buy != 15 {
		t.Errorf("to buy: %g", buy)
	}
	if pieces := Wants([]Need{{"carrier", 12, 1}}, []Lot{{"carrier", 20, 0, 0.5, "pieces"}}); pieces[0].Cost != 6 { // 12 at 0.50
		t.Errorf("12 strips cost %g", pieces[0].Cost)
	}
}
