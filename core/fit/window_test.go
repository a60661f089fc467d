package fit

import (
	"testing"

	"keeler/core/calendar"
	"keeler/core/method"
	"keeler/core/mites"
	"keeler/core/treatment"
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
	under := Usual(method.Dribble, december, north)
	o := f.On(december, under)
	if len(o.Windows) != 2 || o.Windows[0].From != 9 || o.Windows[0].To != 11 || o.Windows[1].From != 12 || o.Windows[1].To != 14 {
		t.Fatalf("got %+v", o.Windows)
	}
	if !o.Windows[0].Good || o.Windows[0].MeanC != 5 || o.Windows[0].Minutes() != 120 || o.LowC != -1 || o.HighC != 5 {
		t.Errorf("got %+v", o)
	}
	if o := f.On(december+9, under); o.Known {
		t.Error("a day beyond the forecast is known")
	}
	for h := range 24 {
		f[h] = Hour{Day: december, Hour: h, TempC: 12}
	}
	f[12].Rain = 1
	if o := f.On(december, under); len(o.Windows) != 0 || o.Cause != TooWarm {
		t.Errorf("got %+v", o)
	}
}

// Gusts alone stop work; 5 m/s and 8 m/s do not yet.
func TestWind(t *testing.T) {
	under := Usual(method.Dribble, december, north)
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
	under := Usual(method.Pad, august, north)
	f := fine(august, 24)
	f[3*24+14].TempC = 33
	if o := f.On(august, under); o.HarmMaxC != 24 || !o.HarmKnown {
		t.Errorf("fourth day: %+v", o)
	}
	f[2*24+14].TempC = 30
	if o := f.On(august, under); o.HarmMaxC != 30 {
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

// One colony over the threshold: all of its yard are treated.
func TestNeeds(t *testing.T) {
	on := december
	got, over := Needs([]Counted{{Standing: mites.Over, On: on - 5}, {Standing: mites.Under, On: on - 5}, {Standing: mites.Uncounted}}, on)
	if over != 1 || got[0] != NeedTreat || got[1] != NeedYard || got[2] != NeedYard {
		t.Errorf("got %v, %d", got, over)
	}
}

// What falls on a board while a treatment kills tells nothing of the mites that are left:
// until a fortnight after a dribble, or after what was in came out. A wash does.
func TestFallOfATreatmentIsNoNeed(t *testing.T) {
	dribbled := &Colony{Treatments: []treatment.Treatment{{Method: method.Dribble, Given: december - 20, Out: december - 20}}}
	strips := &Colony{Treatments: []treatment.Treatment{{Method: method.Strip, Given: december - 50}}}
	for _, c := range []struct {
		what    string
		counted Counted
		want    Need
	}{
		{"three days after a dribble", Counted{Standing: mites.Over, On: december - 17, Board: december - 20, Colony: dribbled}, NeedRecount},
		{"from the day before it", Counted{Standing: mites.Over, On: december - 17, Board: december - 21, Colony: dribbled}, NeedRecount},
		{"from 15 days after it", Counted{Standing: mites.Over, On: december - 1, Board: december - 5, Colony: dribbled}, NeedTreat},
		{"a wash three days after", Counted{Standing: mites.Over, On: december - 17, Colony: dribbled}, NeedTreat},
		{"strips are in", Counted{Standing: mites.Over, On: december - 1, Board: december - 8, Colony: strips}, NeedRecount},
	} {
		if got := c.counted.need(december); got != c.want {
			t.Errorf("%s: %s", c.what, got)
		}
	}
}

// A count of 1 per 100 (2.4 at most) against 3: without brood it holds all winter; with
// brood it has doubled after 30 days, and its upper end reaches 3 after 30 × log2(3/2.4) =
// 9.7 days. An estimate of 2 against 3 reaches it after 17.5. What is over stays over
// until something is given.
func TestCountsAgeByGrowth(t *testing.T) {
	broodless := &Colony{}
	brooding := &Colony{Sealed: december - 30}
	treated := &Colony{Treatments: []treatment.Treatment{{Method: method.Dribble, Given: december - 3, Out: december - 3}}}
	summer := calendar.Of(2026, 7, 20)
	for _, c := range []struct {
		what    string
		counted Counted
		on      calendar.Day
		want    Need
	}{
		{"60 days in the cluster", Counted{Standing: mites.Under, On: december - 60, Value: 1, High: 2.4, Threshold: 3, Colony: broodless, Latitude: north}, december, NeedNone},
		{"15 days in the cluster, with brood", Counted{Standing: mites.Under, On: december - 15, Value: 1, High: 2.4, Threshold: 3, Colony: brooding, Latitude: north}, december, NeedRecount},
		{"9 days of summer", Counted{Standing: mites.Under, On: summer - 9, Value: 1, High: 2.4, Threshold: 3, Colony: broodless, Latitude: north}, summer, NeedNone},
		{"10 days of summer", Counted{Standing: mites.Under, On: summer - 10, Value: 1, High: 2.4, Threshold: 3, Colony: broodless, Latitude: north}, summer, NeedRecount},
		{"a swarm without brood", Counted{Standing: mites.Under, On: summer - 9, Value: 1, High: 2.9, Threshold: 3, Colony: &Colony{Brood: At(BroodNone, summer-9)}, Latitude: north}, summer, NeedNone},
		{"near, 17 days", Counted{Standing: mites.Near, On: summer - 17, Value: 2, High: 4, Threshold: 3, Colony: broodless, Latitude: north}, summer, NeedWatch},
		{"near, 18 days", Counted{Standing: mites.Near, On: summer - 18, Value: 2, High: 4, Threshold: 3, Colony: broodless, Latitude: north}, summer, NeedRecount},
		{"over, long ago", Counted{Standing: mites.Over, On: summer - 80, Value: 4, High: 7, Threshold: 3, Colony: broodless, Latitude: north}, summer, NeedTreat},
		{"over, and treated since", Counted{Standing: mites.Over, On: december - 10, Value: 4, High: 7, Threshold: 3, Colony: treated, Latitude: north}, december, NeedRecount},
		{"cannot tell", Counted{Standing: mites.CannotTell, On: summer, Value: 1, High: 4, Threshold: 3, Colony: broodless, Latitude: north}, summer, NeedCount},
		{"no line", Counted{Standing: mites.NoThreshold, On: summer, Value: 1, High: 4, Threshold: 0, Colony: broodless, Latitude: north}, summer, NeedCount},
		{"nothing", Counted{}, summer, NeedCount},
	} {
		if got, _ := Needs([]Counted{c.counted}, c.on); got[0] != c.want {
			t.Errorf("%s: %s, want %s", c.what, got[0], c.want)
		}
	}
}

// Whatever the weather, windows lie in order within the hours of the protocol, and
// a day without one has a cause.
func FuzzLook(f *testing.F) {
	f.Add(5.0, 3.0, 0.0, 9)
	f.Fuzz(func(t *testing.T, degrees, wind, rain float64, at int) {
		forecast := fine(december, 5)
		forecast[min(max(at, 0), 23)] = Hour{Day: december, Hour: min(max(at, 0), 23), TempC: degrees, WindMS: wind, Rain: rain}
		for _, s := range Protocols {
			o := forecast.On(december, s)
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
