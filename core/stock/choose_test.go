package stock

import "testing"

func TestChoose(t *testing.T) {
	for name, c := range map[string]struct {
		lots []Candidate
		want string
	}{
		"none":                          {nil, ""},
		"one":                           {[]Candidate{{ID: "a", Left: 500}}, "a"},
		"one, and one that is empty":    {[]Candidate{{ID: "a", Left: 500}, {ID: "b"}}, "a"},
		"one, and one past its day":     {[]Candidate{{ID: "a", Left: 500, Past: true, Opened: 9}, {ID: "b", Left: 1}}, "b"},
		"only one past its day":         {[]Candidate{{ID: "a", Left: 500, Past: true}}, ""},
		"two, one opened last":          {[]Candidate{{ID: "a", Left: 500, Opened: 3}, {ID: "b", Left: 500, Opened: 7}}, "b"},
		"two that nobody has opened":    {[]Candidate{{ID: "a", Left: 500}, {ID: "b", Left: 500}}, ""},
		"two, one of them opened":       {[]Candidate{{ID: "a", Left: 500, Opened: 3}, {ID: "b", Left: 500}}, "a"},
		"overdrawn ones are not chosen": {[]Candidate{{ID: "a", Left: -20, Opened: 3}}, ""},
	} {
		if got := Choose(c.lots); got != c.want {
			t.Errorf("%s: %q, want %q", name, got, c.want)
		}
	}
}
