package season

import (
	"testing"

	"keeler/core/mites"
)

// A December day: frost till nine, five degrees till two, rain at eleven, then a
// wind. Two windows remain, 9 to 11 and 12 to 14; both at the best temperature.
func TestWindows(t *testing.T) {
	f := fine(december, 5)
	for h := range 24 {
		switch {
		case h < 9:
			f[h].TempC = -1
		case h == 11:
			f[h].Rain = 0.4
		case h >= 14:
			f[h].WindMS = 6
		}
	}
	under := Usual(Dribble, december, north)
	o := f.Look(december, under)
	if len(o.Windows) != 2 || o.Windows[0].From != 9 || o.Windows[0].To != 11 || o.Windows[1].From != 12 || o.Windows[1].To != 14 {
		t.Fatalf("got %+v", o.Windows)
	}
	if !o.Windows[0].Good || o.Windows[0].MeanC != 5 || o.Windows[0].Minutes() != 120 || o.LowC != -1 || o.HighC != 5 {
		t.Errorf("got %+v", o)
	}
	if o := f.Look(december+9, under); o.Known {
		t.Error("a day beyond the forecast is known")
	}
	for h := range 24 {
		f[h] = Hour{Day: december, Hour: h, TempC: 12}
	}
	f[12].Rain = 1
	if o := f.Look(december, under); len(o.Windows) != 0 || o.Cause != TooWarm {
		t.Errorf("got %+v", o)
	}
}

// Gusts alone stop work; 5 m/s and 8 m/s do not yet.
func TestWind(t *testing.T) {
	under := Usual(Dribble, december, north)
	for _, c := range []struct {
		wind, gust float64
		want       Cause
	}{{5, 8, ""}, {5.1, 6, Windy}, {3, 8.1, Windy}} {
		if got := (Hour{TempC: 5, WindMS: c.wind, GustMS: c.gust}).stops(under, 5); got != c.want {
			t.Errorf("%+v: got %q", c, got)
		}
	}
}

// Heat on the third day forbids what is begun today; on the fourth it does not.
func TestHeatOfFirstDays(t *testing.T) {
	under := Usual(Pad, august, north)
	f := fine(august, 24)
	f[3*24+14].TempC = 33
	if o := f.Look(august, under); o.HarmMaxC != 24 || !o.HarmKnown {
		t.Errorf("fourth day: %+v", o)
	}
	f[2*24+14].TempC = 30
	if o := f.Look(august, under); o.HarmMaxC != 30 {
		t.Errorf("third day: %+v", o)
	}
}

// Three people do a single in 30 s and a double in 50; 10 singles and 2 doubles
// are 400 s. An hour's window of one person holds 40 singles.
func TestSplit(t *testing.T) {
	if Pace(3, 1) != 30 || Pace(1, 1) != 90 || Pace(1, 2) != 150 || Pace(2, 1) != 60 || Pace(3, 2) != 50 {
		t.Error("the pace is wrong")
	}
	seconds := make([]float64, 100)
	for i := range seconds {
		seconds[i] = Pace(1, 1)
	}
	windows := []Window{{Day: 1, From: 9, To: 10}, {Day: 1, From: 12, To: 13}, {Day: 3, From: 9, To: 10}}
	shares, done := Split(seconds, windows)
	if len(shares) != 2 || done != 100 || shares[0] != (Share{1, 0, 80, 120}) || shares[1] != (Share{3, 80, 100, 30}) {
		t.Errorf("got %+v, %d", shares, done)
	}
	if _, done := Split(seconds, windows[:1]); done != 40 {
		t.Errorf("one hour holds %d", done)
	}
	if shares, done := Split(seconds, nil); len(shares) != 0 || done != 0 {
		t.Errorf("no window holds %d", done)
	}
}

// One colony over the line: all of its yard are treated. An old count holds nobody.
func TestNeeds(t *testing.T) {
	on := december
	got, over := Needs([]Counted{{mites.Over, on - 5}, {mites.Under, on - 5}, {Standing: mites.Uncounted}}, on)
	if over != 1 || got[0] != NeedTreat || got[1] != NeedYard || got[2] != NeedYard {
		t.Errorf("got %v, %d", got, over)
	}
	for _, c := range []struct {
		counted Counted
		want    Need
	}{
		{Counted{mites.Over, on - 43}, NeedStale}, {Counted{mites.Near, on}, NeedWatch},
		{Counted{mites.Under, on - 42}, NeedNone}, {Counted{mites.CannotTell, on}, NeedCount},
		{Counted{mites.NoLine, on}, NeedCount}, {Counted{}, NeedCount},
	} {
		if got, over := Needs([]Counted{c.counted}, on); got[0] != c.want || over != 0 {
			t.Errorf("%+v: got %v", c.counted, got)
		}
	}
}

// Whatever the weather, windows lie in order within the hours of the school, and
// a day without one has a cause.
func FuzzLook(f *testing.F) {
	f.Add(5.0, 3.0, 0.0, 9)
	f.Fuzz(func(t *testing.T, degrees, wind, rain float64, at int) {
		forecast := fine(december, 5)
		forecast[min(max(at, 0), 23)] = Hour{Day: december, Hour: min(max(at, 0), 23), TempC: degrees, WindMS: wind, Rain: rain}
		for _, s := range Schools {
			o := forecast.Look(december, s)
			end := s.FromHour
			for _, w := range o.Windows {
				if w.From < end || w.To <= w.From || w.To > s.ToHour {
					t.Errorf("%s: %+v", s.ID, o.Windows)
				}
				end = w.To
			}
			if o.Known && len(o.Windows) == 0 && o.Cause == "" {
				t.Errorf("%s: no window and no cause", s.ID)
			}
		}
	})
}
