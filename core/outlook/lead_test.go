package outlook

import (
	"slices"
	"testing"

	"keeler/core/calendar"
	"keeler/core/fit"
	"keeler/core/mites"
)

// What leads: first that nobody counted, then what a fresh count says, then the model.
func TestLead(t *testing.T) {
	today := calendar.Of(2026, 12, 4)
	over := Crossing{From: today, To: today, Now: 0.9, Chance: 1}
	for _, c := range []struct {
		of     Crossing
		counts int
		stood  mites.Standing
		want   fit.Lead
	}{
		{over, 0, "", fit.Uncounted},
		{over, 3, mites.Over, fit.CountedOver},
		{over, 3, mites.Under, fit.CountedUnder},
		{over, 3, "", fit.OverNow},
		{Crossing{From: today, To: today + 20, Now: 0.5, Chance: 1}, 3, "", fit.PerhapsNow},
		{Crossing{From: today, To: today + 20, Now: 0.79, Chance: 1}, 3, "", fit.PerhapsNow},
		{Crossing{From: today + 5, To: today + 20, Now: 0.05, Chance: 1}, 3, mites.Under, fit.OverBetween},
		{Crossing{From: today + 5, Chance: 0.4}, 3, "", fit.PerhapsLater},
		{Crossing{Chance: 0.05}, 3, "", fit.NotBefore},
		{Crossing{Chance: 0.05}, 3, mites.Over, fit.CountedOver},
	} {
		if got := c.of.Lead(today, c.counts, c.stood); got != c.want {
			t.Errorf("%+v after %d counts that stand %q: %s, want %s", c.of, c.counts, c.stood, got, c.want)
		}
	}
}

// One hive of three is to be counted: those whose counts narrow most and whose fate is most open, and none whose count tells
// next to nothing.
func TestSample(t *testing.T) {
	hive := func(chance, narrows float64) Prospect {
		return Prospect{Crossing: Crossing{Chance: chance}, Telling: []Telling{{Narrows: narrows}}}
	}
	yard := []Prospect{hive(0.5, 0.04), hive(0.99, 0.3), {}, hive(0.5, 0.2), hive(0.5, 0.3), hive(0, 0.5), hive(0.1, 0.1)}
	// By hand: 0.3 × 0.35 = 0.105; 0.2 × 0.35 = 0.07; 0.5 × 0.1 = 0.05; 0.3 × 0.11 = 0.033; three of seven.
	if got := Sample(yard); !slices.Equal(got, []int{4, 3, 5}) {
		t.Errorf("to be counted are %v", got)
	}
	if got := Sample(yard[:3]); !slices.Equal(got, []int{1}) {
		t.Errorf("of three %v", got)
	}
	if got := Sample(nil); len(got) != 0 {
		t.Errorf("of none %v", got)
	}
}

// Who decides is told what leads, and in one hive of three which count would tell most; where one is over, the yard is settled.
func TestSaidToWhoDecides(t *testing.T) {
	board := mites.Count{Kind: mites.Board, Days: 7, On: 20}
	open := Prospect{Crossing{From: 10, Now: 0.4, Chance: 0.6}, fit.PerhapsNow, []Telling{{board, 0.3}}}
	sure := Prospect{Crossing{Chance: 0.02}, fit.NotBefore, []Telling{{board, 0.1}}}
	got := Ahead([]Prospect{sure, open}, []fit.Need{fit.NeedNone, fit.NeedWatch}, 210)
	want := []fit.Ahead{
		{Lead: fit.NotBefore, Chance: 0.02, By: 210},
		{Lead: fit.PerhapsNow, Now: 0.4, Chance: 0.6, From: 10, By: 210, Count: board, Narrows: 0.3},
	}
	if !slices.Equal(got, want) {
		t.Errorf("got %+v", got)
	}
	for _, a := range Ahead([]Prospect{sure, open}, []fit.Need{fit.NeedTreat, fit.NeedYard}, 210) {
		if !a.Settled {
			t.Errorf("of a yard that is treated: %+v", a)
		}
	}
}

func TestIntoWinter(t *testing.T) {
	for _, c := range []struct {
		from     calendar.Day
		latitude float64
		want     calendar.Day
	}{
		{calendar.Of(2026, 10, 31), 50, calendar.Of(2026, 11, 1)},
		{calendar.Of(2026, 11, 1), 50, calendar.Of(2026, 11, 1)},
		{calendar.Of(2026, 11, 2), 50, calendar.Of(2027, 11, 1)},
		{calendar.Of(2026, 11, 2), -37, calendar.Of(2027, 5, 1)},
	} {
		if got := IntoWinter(c.from, c.latitude); got != c.want {
			t.Errorf("from %s at %g: %s, want %s", c.from, c.latitude, got, c.want)
		}
	}
}

// Dribbled on brood, it is said how many mites the syrup does not meet; in the broodless cluster nothing is.
func TestUnderCaps(t *testing.T) {
	points := []Point{{Day: 10, Capped: 0.02}, {Day: 15, Capped: 0.099}, {Day: 20, Capped: 0.55}}
	for _, c := range []struct {
		on    calendar.Day
		share float64
		many  bool
	}{{8, 0.02, false}, {15, 0.099, false}, {16, 0.55, true}, {21, 0, false}} {
		if share, many := UnderCaps(points, c.on); share != c.share || many != c.many {
			t.Errorf("on day %d: %g %v", c.on, share, many)
		}
	}
}

// A colony that raised its winter bees among more mites than it bears is dead from midwinter on, and one that was treated in
// time lives.
func TestLivesThroughWinter(t *testing.T) {
	august, laying := calendar.Of(2026, 8, 1), func(calendar.Day) bool { return false }
	for _, c := range []struct {
		mites float64
		given []Dose
		dead  bool
	}{
		{100, nil, false},
		{2000, nil, true},
		{2000, []Dose{{Strips, august, august + 56, 1}}, false},
	} {
		of := NewColony(middling(), At(50), 1, august-1, c.mites)
		days := 0
		most, dead := of.Live(calendar.Of(2027, 3, 1), 50, c.given, laying, func() { days++ })
		if dead != c.dead || dead != (most >= Unborne) {
			t.Errorf("from %g mites: dead %v, with %.0f at most", c.mites, dead, most)
		}
		if dead && (of.Day < calendar.Of(2026, 12, 1) || of.Day > calendar.Of(2027, 2, 15)) {
			t.Errorf("it dies on %s", of.Day)
		}
		if !dead && days != int(of.Day-august+1) {
			t.Errorf("it is told of %d days", days)
		}
	}
}
