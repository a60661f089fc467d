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
	if s := Stops(c); len(s) != 1 || s[0].Code != "dribbled_already" || s[0].On != december {
		t.Errorf("dribbled this morning: %+v", s)
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
