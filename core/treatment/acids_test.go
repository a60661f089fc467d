package treatment

import (
	"slices"
	"testing"

	"keeler/core/calendar"
	"keeler/core/chem"
	"keeler/core/method"
)

// A product of two acids shares an acid with either; of what nobody knows nothing is said.
func TestAcidsOf(t *testing.T) {
	for _, c := range []struct {
		name        string
		method      method.Name
		oad, formic chem.Milligrams
		want        Acids
	}{
		{"a dribble", method.Dribble, 0, 0, Acids{Oxalic: true}},
		{"a dribble of two acids", method.Dribble, 500, 60, Acids{true, true}},
		{"strips", method.Strip, 14_000, 0, Acids{Oxalic: true}},
		{"vapour", method.Vapour, 0, 0, Acids{Oxalic: true}},
		{"a sheet", method.Pad, 0, 20_000, Acids{Formic: true}},
		{"something else", method.Other, 0, 0, Acids{}},
	} {
		if got := AcidsOf(c.method, c.oad, c.formic); got != c.want {
			t.Errorf("%s: %+v, want %+v", c.name, got, c.want)
		}
	}
}

// Two of one acid on one day are found, in whatever order and by whatever method; not on two
// days, of two acids, in two colonies.
func TestOnOneDay(t *testing.T) {
	oxalic, formic := Acids{Oxalic: true}, Acids{Formic: true}
	for name, c := range map[string]struct {
		doses []Dose
		want  []string
	}{
		"a dribble twice":   {[]Dose{{"a", "A", 10, oxalic}, {"b", "A", 10, oxalic}}, []string{"a", "b"}},
		"three times":       {[]Dose{{"a", "A", 10, oxalic}, {"b", "A", 10, oxalic}, {"c", "A", 10, oxalic}}, []string{"a", "b", "c"}},
		"on two days":       {[]Dose{{"a", "A", 10, oxalic}, {"b", "A", 11, oxalic}}, nil},
		"in two colonies":   {[]Dose{{"a", "A", 10, oxalic}, {"b", "B", 10, oxalic}}, nil},
		"of two acids":      {[]Dose{{"a", "A", 10, oxalic}, {"b", "A", 10, formic}}, nil},
		"both acids in one": {[]Dose{{"a", "A", 10, oxalic}, {"b", "A", 10, Acids{true, true}}, {"c", "A", 10, formic}}, []string{"a", "b", "c"}},
		"nobody knows what": {[]Dose{{"a", "A", 10, Acids{}}, {"b", "A", 10, Acids{}}}, nil},
	} {
		var got []string
		for id := range OnOneDay(c.doses) {
			got = append(got, id)
		}
		if slices.Sort(got); !slices.Equal(got, c.want) {
			t.Errorf("%s: %v, want %v", name, got, c.want)
		}
	}
}

// What bees brought along was given to others, and what was replaced is no dose.
func TestDoubled(t *testing.T) {
	all := []Treatment{
		{ID: "a", Method: method.Dribble, Given: 10}, {ID: "b", Method: method.Vapour, Given: 10},
		{ID: "c", Method: method.Strip, Given: 20}, {ID: "d", Method: method.Strip, Given: 20, Extra: true},
		{ID: "e", Method: method.Dribble, Given: 30}, {ID: "f", Method: method.Dribble, Given: 30, Carried: true},
	}
	if got := Doubled(all); got != 10 {
		t.Errorf("day %d", got)
	}
	if t2, given := (Acids{Oxalic: true}).GivenOn(all, 20); !given || t2.ID != "c" {
		t.Errorf("%+v %v", t2, given)
	}
	if _, given := (Acids{Formic: true}).GivenOn(all, 20); given {
		t.Error("no formic acid was given")
	}
}

// Of 40 g on day 1, 60 g on day 20 and 50 g on day 29, day 28 knows 40 + 60 = 100 g, and day 29, 28
// days after the first, 60 + 50 = 110; in two boxes half of it.
func TestFormicAdded(t *testing.T) {
	all := []Treatment{{Given: 1, Formic: 40_000}, {Given: 20, Formic: 60_000}, {Given: 29, Formic: 50_000}}
	for _, c := range []struct {
		on    calendar.Day
		boxes int
		want  chem.Grams
	}{{28, 1, 100}, {29, 1, 110}, {29, 2, 55}, {29, 0, 110}, {0, 1, 0}} {
		if got := FormicAdded(all, c.boxes, c.on); got != c.want {
			t.Errorf("on day %d, %d boxes: %v g, want %v", c.on, c.boxes, got, c.want)
		}
	}
}

// Strips end when they come out, a dribble on its day.
func TestEnded(t *testing.T) {
	strips := Treatment{Method: method.Strip, Given: 10, Out: 60}
	for on, want := range map[calendar.Day]bool{59: false, 60: true} {
		if ended, over := strips.Ended(on); over != want || over && ended != 60 {
			t.Errorf("on day %d: %d %v", on, ended, over)
		}
	}
	if _, over := (Treatment{Method: method.Strip, Given: 10}).Ended(100); over {
		t.Error("strips that are in have ended")
	}
}
