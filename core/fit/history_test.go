package fit

import (
	"testing"

	"keeler/core/calendar"
	"keeler/core/method"
	"keeler/core/treatment"
)

// What was seen before the bees changed no longer counts; moves and what is seen after
// do. An inspection of the same day counts when it came after.
func TestRemember(t *testing.T) {
	six, no, yes := 24, false, true
	good := Inspection{On: june - 5, Quarters: &six, Brood: BroodNone, Eggs: &no, Larvae: &no, Stores: Enough, Supers: new(int)}
	for _, c := range []struct {
		what    string
		kind    string
		counts  bool // the inspection from before
		changed Change
	}{
		{"split", string(Divided), false, Divided}, {"swarmed", string(Swarmed), false, Swarmed},
		{"a box taken", string(Restacked), false, Restacked}, {"another queen", string(Requeened), false, Requeened},
		{"moved", "moved", true, ""}, {"queen caged", QueenCaged, true, ""},
	} {
		got := Colony{}.Remember([]Inspection{good}, []Event{{Kind: c.kind, On: june - 2}})
		if got.Brood.Seen != c.counts || got.Stores.Seen != c.counts || got.Quarters.Seen != c.counts || got.Changed.What != c.changed {
			t.Errorf("%s: %+v", c.what, got)
		}
		after := good
		after.On, after.Order = june-2, 7
		if got = (Colony{}).Remember([]Inspection{good, after}, []Event{{Kind: c.kind, On: june - 2, Order: 5}}); !got.Brood.Seen || got.Changed.Seen {
			t.Errorf("%s, looked at after it: %+v", c.what, got)
		}
	}
	other := Colony{Brood: At(BroodMuch, june-9), Sealed: june - 9}
	got := Colony{}.Remember([]Inspection{good}, []Event{{Kind: string(United), On: june - 2, Other: other}})
	if got.Brood != At(BroodMuch, june-9) || got.Changed.What != United || got.Sealed != june-9 {
		t.Errorf("united: %+v", got)
	}
	// A queen removed on day 0, a cell given on day 2; eggs on day 26 were laid on day 23 at
	// the earliest.
	got = Colony{}.Remember([]Inspection{{On: june, Eggs: &yes}}, []Event{{Kind: QueenRemoved, On: june - 26}, {Kind: CellGiven, On: june - 24}})
	if got.Break != (Break{june - 26, june - 3}) {
		t.Errorf("removed and a cell: %+v", got.Break)
	}
	got = Colony{}.Remember(nil, []Event{{Kind: QueenCaged, On: june - 30}, {Kind: QueenReleased, On: june - 6}})
	from, to, open, ok := got.Break.Window()
	if from != june-6 || to != june+2 || open || !ok {
		t.Errorf("caged for 24 days: %v to %v, %v %v", from, to, open, ok)
	}
}

// A job is open until 14 days past its last day, or past what was last given, and as
// long as something of it is in a hive.
func TestOpenJobs(t *testing.T) {
	for _, c := range []struct {
		last, given calendar.Day
		in          bool
		today       calendar.Day
		open        bool
	}{
		{june, 0, false, june + 14, true}, {june, 0, false, june + 15, false}, {june, june + 3, false, june + 17, true},
		{june, 0, true, june + 60, true}, {june, june + 3, false, june + 18, false},
	} {
		if got := Open(c.last, c.given, c.in, c.today); got != c.open {
			t.Errorf("%+v: %v", c, got)
		}
	}
}

// What a round stops at: the same acid within its rules, from any job; what is only to be
// minded stops nobody.
func TestStops(t *testing.T) {
	c := winter()
	c.Colony.Treatments = []treatment.Treatment{{Method: method.Dribble, Given: december, Out: december}}
	if s := Stops(c); len(s) != 1 || s[0].Code != "same_day" || s[0].On != december {
		t.Errorf("dribbled this morning: %+v", s)
	}
	c.Colony.Treatments[0].Given--
	if s := Stops(c); len(s) != 1 || s[0].Code != "dribbled_already" || s[0].On != december-1 {
		t.Errorf("dribbled yesterday: %+v", s)
	}
	c.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: december - 20}}
	if s := Stops(c); len(s) != 0 {
		t.Errorf("strips in are minded, not stopped at: %+v", s)
	}
	k := strips()
	k.Colony.Treatments = []treatment.Treatment{{Method: method.Strip, Given: august - 3}}
	if s := Stops(k); len(s) != 1 || s[0].Code != "same_still_in" {
		t.Errorf("strips in, for strips: %+v", s)
	}
}

// Ten days after the last a course begins again; nine days after it still goes on. What was
// topped up or replaced in between is no visit of it.
func TestVisitsOfACourse(t *testing.T) {
	formic, _ := Protocol("formic")
	dose := func(on calendar.Day, extra bool) treatment.Treatment {
		return treatment.Treatment{Method: method.Pad, Given: on, Out: on + 5, Extra: extra}
	}
	for _, c := range []struct {
		on   calendar.Day
		want int
	}{{29, 2}, {30, 0}} {
		n, _ := visits(Case{On: c.on, Under: formic, Colony: Colony{Treatments: []treatment.Treatment{dose(15, false), dose(17, true), dose(20, false)}}}, method.Pad)
		if n != c.want {
			t.Errorf("on day %d: %d visits, not %d", c.on, n, c.want)
		}
	}
}

// The brood of the time of the treatment counts, whatever was seen since.
func TestBroodOfThen(t *testing.T) {
	on := december
	seen := []Inspection{{On: on - 30, Brood: BroodMuch}, {On: on - 3, Brood: BroodLittle}, {On: on + 5, Brood: BroodNone}, {On: on + 100, Brood: BroodMuch}}
	if b, unseen := BroodBefore(seen, on, true, north); b != BroodLittle || unseen {
		t.Errorf("%s %v", b, unseen)
	}
	if s := SealedAbout(seen, on-BroodAround, on+BroodAround); s != on-3 {
		t.Errorf("sealed brood on %d", s-on)
	}
	for _, c := range []struct {
		on        calendar.Day
		broodless bool
		want      Brood
	}{{december, false, BroodNone}, {calendar.Of(2026, 8, 1), true, BroodNone}, {calendar.Of(2026, 8, 1), false, BroodMuch}} {
		if b, unseen := BroodBefore(nil, c.on, c.broodless, north); b != c.want || !unseen {
			t.Errorf("nobody looked: %s %v", b, unseen)
		}
	}
}
