package fit

import (
	"testing"

	"keeler/core/calendar"
	"keeler/core/method"
	"keeler/core/treatment"
)

// A year of one colony, as a keeper by docs/sources.md would judge it: what is
// looked at the day before, the weather of the season, and one thing amiss.
func TestYear(t *testing.T) {
	on := func(month, day int) calendar.Day { return calendar.Of(2026, month, day) }
	for _, c := range []struct {
		what     string
		on       calendar.Day
		latitude float64
		degrees  float64
		brood    Brood
		supers   int
		verdicts [3]Verdict // dribble, strips, formic acid
	}{
		{"midwinter, broodless", on(12, 4), 58, 5, BroodNone, 0, [3]Verdict{Fits, DoesNotFit, DoesNotFit}},
		{"midwinter, broodless, in the south", on(6, 4), -40, 5, BroodNone, 0, [3]Verdict{Fits, DoesNotFit, DoesNotFit}},
		{"midwinter, with brood", on(12, 4), 58, 5, BroodLittle, 0, [3]Verdict{DoesNotFit, DoesNotFit, DoesNotFit}},
		{"a warm winter day", on(12, 4), 58, 13, BroodNone, 0, [3]Verdict{DoesNotFit, Fits, WithCare}},
		{"spring, brood, no supers yet", on(4, 10), 58, 14, BroodMuch, 0, [3]Verdict{DoesNotFit, Fits, WithCare}},
		{"June, in flow", on(6, 10), 58, 20, BroodMuch, 2, [3]Verdict{MustNot, WithCare, MustNot}},
		{"June, a swarm", on(6, 10), 58, 18, BroodNone, 0, [3]Verdict{Fits, Fits, WithCare}},
		{"August, after harvest", on(8, 20), 58, 22, BroodMuch, 0, [3]Verdict{DoesNotFit, Fits, Fits}},
		{"August, a heat wave", on(8, 20), 58, 31, BroodMuch, 0, [3]Verdict{DoesNotFit, WithCare, MustNot}},
		{"August of the south is winter", on(8, 20), -40, 5, BroodNone, 0, [3]Verdict{Fits, DoesNotFit, DoesNotFit}},
	} {
		for i, m := range method.All {
			under := Usual(m, c.on, c.latitude)
			k := Case{On: c.on, Latitude: c.latitude, Under: under, Weather: fine(c.on, c.degrees).On(c.on, under), Colony: Colony{
				Name: "A", Boxes: 1, Quarters: At(24, c.on-1), Brood: At(c.brood, c.on-1), Eggs: At(false, c.on-1), Larvae: At(false, c.on-1), Stores: At(Enough, c.on-1),
				Supers: At(c.supers, c.on-1), Queen: At(Laying, c.on-1),
			}}
			if j := Judge(k); j.Verdict != c.verdicts[i] {
				t.Errorf("%s, %s: %s for %+v, want %s", c.what, m, VerdictNames[j.Verdict], j.Reasons, VerdictNames[c.verdicts[i]])
			}
		}
	}
}

// The three dribble protocols of the winter part at 0, 5 and 10 °C.
func TestWinterProtocols(t *testing.T) {
	for _, c := range []struct {
		protocol string
		degrees  float64
		fits     bool
	}{
		{"winter", 0, true}, {"winter", 10, true}, {"winter", 10.1, false}, {"winter", -0.1, false},
		{"winter-tight", 0, true}, {"winter-tight", 5, true}, {"winter-tight", 5.1, false},
		{"winter-loose", 4.9, false}, {"winter-loose", 5, true}, {"winter-loose", 10, true},
	} {
		under, ok := Protocol(c.protocol)
		if !ok {
			t.Fatalf("there is no protocol %s", c.protocol)
		}
		if o := fine(december, c.degrees).On(december, under); (len(o.Windows) > 0) != c.fits {
			t.Errorf("%s at %v °C: %+v", c.protocol, c.degrees, o.Windows)
		}
	}
}

// Formic acid is held against the day's maximum: 10 and 29 °C do, 9.9 and 29.1 do
// not, and above 29.5 it kills.
func TestFormicRange(t *testing.T) {
	under := Usual(method.Pad, august, north)
	for _, c := range []struct {
		degrees      float64
		window, harm bool
	}{{9.9, false, false}, {10, true, false}, {20, true, false}, {29, true, false}, {29.1, false, false}, {29.5, false, false}, {29.6, false, true}} {
		o := fine(august, c.degrees).On(august, under)
		if (len(o.Windows) > 0) != c.window || o.Harms(under) != c.harm {
			t.Errorf("%v °C: %d windows, harms %v", c.degrees, len(o.Windows), o.Harms(under))
		}
	}
	// A cool morning does not help on a hot day.
	f := fine(august, 24)
	f[15].TempC = 30
	if o := f.On(august, under); len(o.Windows) != 0 || !o.Harms(under) {
		t.Errorf("one hot hour: %+v", o)
	}
}

// Of two windows the good one is best, and of two good ones the longer.
func TestBestWindow(t *testing.T) {
	fair, short, long := Window{From: 8, To: 16}, Window{From: 9, To: 10, Good: true}, Window{From: 11, To: 14, Good: true}
	if got := (Outlook{Windows: []Window{fair, short}}).Best(); got != short {
		t.Errorf("got %+v", got)
	}
	if got := (Outlook{Windows: []Window{short, long, fair}}).Best(); got != long {
		t.Errorf("got %+v", got)
	}
}

// Strips and pads still in the hive are found whichever was noted first; what is
// out on the day itself is out.
func TestStillIn(t *testing.T) {
	for what, c := range map[string]struct {
		given treatment.Treatment
		in    bool
	}{
		"today":               {treatment.Treatment{Given: august}, true},
		"tomorrow":            {treatment.Treatment{Given: august + 1}, false},
		"out tomorrow":        {treatment.Treatment{Given: august - 9, Out: august + 1}, true},
		"out today":           {treatment.Treatment{Given: august - 9, Out: august}, false},
		"what does not stay":  {treatment.Treatment{Given: august, Out: august}, false},
		"in since last month": {treatment.Treatment{Given: august - 40}, true},
	} {
		if got := c.given.In(august); got != c.in {
			t.Errorf("%s: %v", what, got)
		}
	}
	k := strips()
	k.Colony.Treatments = []treatment.Treatment{{Method: method.Pad, Given: august - 2}, {Method: method.Strip, Given: august - 5}}
	if j := Judge(k); j.Reasons[0].Code != "same_still_in" || j.Reasons[0].On != august-5 {
		t.Errorf("got %+v", j.Reasons)
	}
}

// Whatever is known of a colony, the verdict is the weightiest reason's, the
// reasons fall in weight, and nothing that must not be is called a fit.
func FuzzJudge(f *testing.F) {
	f.Add(uint8(1), uint8(0), uint8(3), int16(3), uint8(0), float64(5))
	f.Fuzz(func(t *testing.T, seen, brood, stores uint8, age int16, supers uint8, degrees float64) {
		on := december
		if seen&64 != 0 {
			on = june
		}
		was := on - calendar.Day(max(0, age))
		k := Colony{Name: "A"}
		if seen&1 != 0 {
			k.Brood = At([]Brood{BroodNone, BroodLittle, BroodMuch}[brood%3], was)
		}
		if seen&2 != 0 {
			k.Stores = At([]Stores{Light, Enough, Heavy}[stores%3], was)
		}
		if seen&4 != 0 {
			k.Supers = At(int(supers%4), was)
		}
		if seen&8 != 0 {
			k.Quarters = At(int(stores), was)
		}
		for _, m := range method.All {
			under := Usual(m, on, north)
			j := Judge(Case{Colony: k, On: on, Latitude: north, Under: under, Weather: fine(on, degrees).On(on, under)})
			worst := Fits
			for i, r := range j.Reasons {
				worst = max(worst, r.Verdict)
				if i > 0 && r.Verdict > j.Reasons[i-1].Verdict && !j.Reasons[i-1].first {
					t.Errorf("%s: reasons rise: %+v", m, j.Reasons)
				}
			}
			if worst != j.Verdict {
				t.Errorf("%s: %v, but the reasons say %v", m, j.Verdict, worst)
			}
			harvest := k.Supers.Seen && k.Supers.What > 0 && on-was <= supersFresh
			if harvest && m != method.Strip && j.Verdict != MustNot {
				t.Errorf("%s with supers on: %v", m, j.Verdict)
			}
			if m == method.Dribble && !k.Brood.Seen && j.Verdict < LookFirst {
				t.Errorf("a dribble on brood nobody looked for: %v", j.Verdict)
			}
		}
	})
}
