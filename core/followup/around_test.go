package followup

import (
	"testing"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/treatment"
)

// A course of sheets on days 0 to 15: a count tells 7 to 35 days after the last works on,
// day 16, and so from day 23 to 51; never after something else was given, nor before what
// was given earlier came out.
func TestJobAround(t *testing.T) {
	other := func(m method.Name, given, out calendar.Day) treatment.Treatment {
		return treatment.Treatment{ID: "o", Job: "other", Method: m, Given: august + given, Out: august + out}
	}
	course := []treatment.Treatment{given(method.Pad, august), given(method.Pad, august+5), given(method.Pad, august+10), given(method.Pad, august+15)}
	formic, _ := fit.Protocol("formic")
	seen := []fit.Inspection{{On: august + 20, Brood: fit.BroodMuch}}
	for name, c := range map[string]struct {
		all         []treatment.Treatment
		seen        []fit.Inspection
		since, next calendar.Day
		sure        bool
	}{
		"alone":                             {course, nil, 0, 0, false},
		"strips out three days before":      {append([]treatment.Treatment{other(method.Strip, -50, -3)}, course...), nil, august - 3, 0, false},
		"strips in still":                   {append([]treatment.Treatment{other(method.Strip, -20, 30)}, course...), nil, august, 0, false},
		"a dribble soon after":              {append(course[:4:4], other(method.Dribble, 30, 30)), nil, 0, august + 30, true},
		"with brood":                        {append(course[:4:4], other(method.Dribble, 30, 30)), seen, 0, august + 30, false},
		"long after":                        {append(course[:4:4], other(method.Dribble, 60, 60)), nil, 0, august + 60, false},
		"strips soon after, then a dribble": {append(course[:4:4], other(method.Strip, 25, 0), other(method.Dribble, 30, 30)), nil, 0, august + 25, false},
	} {
		got, ok := Job(c.all, "j", c.seen, TermsOf(formic), north, august+40)
		if !ok || len(got.Doses) != 4 || got.Times.First != august || got.Times.Last != august+15 || got.Times.From != august+23 || got.Times.Until != august+51 {
			t.Errorf("%s: %+v", name, got)
		}
		if got.Times.Since != c.since || got.Times.Next != c.next || got.Sure != c.sure || c.sure && got.Second.First != c.next {
			t.Errorf("%s: since %d, next %d, sure %v", name, got.Times.Since-august, got.Times.Next-august, got.Sure)
		}
	}
	carried := given(method.Pad, august)
	carried.Carried = true
	if _, ok := Job([]treatment.Treatment{carried}, "j", nil, TermsOf(formic), north, august); ok {
		t.Error("what bees brought along is no dose of this colony")
	}
}

// What belongs to no job has one key in all hives that got it on a day: it is skipped for all.
func TestKeyOfWhatIsRecordedOnly(t *testing.T) {
	keys := map[string]bool{}
	for _, id := range []string{"a", "b"} {
		other := treatment.Treatment{ID: id, Method: method.Vapour, Product: "vapour", Given: december, Out: december}
		for _, f := range Of(Colony{Treatments: []treatment.Treatment{other}, Latitude: north}, nil, nil, december) {
			if f.Kind == BoardIn {
				keys[f.Key()] = true
			}
		}
	}
	if len(keys) != 1 || !keys["board_in.1.vapour.2026-12-04"] {
		t.Errorf("%v", keys)
	}
}
