package wire

import (
	"errors"
	"testing"

	"keeler/core/fault"
)

// 5 mites in 100 bees, washes of 300: 95 % against half is told by a few hives each. What
// no plan can be made of is told at its field.
func TestPower(t *testing.T) {
	in := PowerRequest{Kind: "wash", Over: 300, Rate: 5, First: 95, Second: 50, Spread: "usual", Groups: 2}
	got, err := Power(in)
	if err != nil || got.Enough < 3 || got.Enough > 8 || got.Wanted != 0.8 {
		t.Errorf("%+v %v", got, err)
	}
	for field, change := range map[string]func(*PowerRequest){
		"over": func(r *PowerRequest) { r.Over = 20 }, "rate": func(r *PowerRequest) { r.Rate = 0 }, "groups": func(r *PowerRequest) { r.Groups = 1 },
		"first": func(r *PowerRequest) { r.First = 100 }, "second": func(r *PowerRequest) { r.Second = 94 },
	} {
		bad := in
		change(&bad)
		_, err := Power(bad)
		var l fault.List
		if !errors.As(err, &l) || len(l) != 1 || l[0].Field != field {
			t.Errorf("%s: %v", field, err)
		}
	}
}
