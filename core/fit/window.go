package fit

import "keeler/core/calendar"

// Hour is the weather of one hour: °C, m/s, m/s, mm.
type Hour struct {
	Day                         calendar.Day
	Hour                        int // 0 to 23
	TempC, WindMS, GustMS, Rain float64
}

// Cause is why a day has no window.
type Cause string

const (
	TooCold Cause = "too_cold"
	TooWarm Cause = "too_warm"
	Windy   Cause = "windy"
	Rainy   Cause = "rainy"
)

// Window is a time in which hives can be opened, in whole hours of its day.
type Window struct {
	Day   calendar.Day `json:"-"`
	From  int          `json:"from" doc:"Hour of the day, 0 to 24."`
	To    int          `json:"to" doc:"Hour of the day, 0 to 24."`
	MeanC float64      `json:"mean_c" doc:"°C."`
	Good  bool         `json:"good,omitempty" doc:"At the best temperature for more than half of it."`
}

// Minutes is how long it lasts.
func (w Window) Minutes() int { return (w.To - w.From) * 60 }

// Outlook is what a forecast says of one day under some conditions.
type Outlook struct {
	Known   bool
	Windows []Window
	Cause   Cause // of there being none: what stops most hours
	// LowC and HighC are the temperatures of the hours in question.
	LowC, HighC float64
	// HarmMaxC is the highest within Conditions.HarmDays; HarmKnown tells whether
	// the forecast reaches so far.
	HarmMaxC  float64
	HarmKnown bool
	// Of the days of a course: known, and of those too cold, and too warm after the
	// first that heat would harm.
	DaysKnown, Cold, Warm int
	// Of the first fortnight: known, and warm enough for bees to walk.
	WalkKnown, Walk int
	// NightC is the lowest of the night after.
	NightC     float64
	NightKnown bool
}

// Best is the longest good window, or else the longest.
func (o Outlook) Best() Window {
	best := o.Windows[0]
	for _, w := range o.Windows[1:] {
		if w.Good != best.Good && w.Good || w.Good == best.Good && w.Minutes() > best.Minutes() {
			best = w
		}
	}
	return best
}

// Harms reports whether the days that follow are hot enough to kill.
func (o Outlook) Harms(under Conditions) bool {
	return o.Known && under.HarmC > 0 && o.HarmMaxC > under.HarmC
}

// Forecast is the hours of a yard in order.
type Forecast []Hour

// At is the hour of a day; false where it is not known.
func (f Forecast) At(on calendar.Day, hour int) (Hour, bool) {
	for _, h := range f {
		if h.Day == on && h.Hour == hour {
			return h, true
		}
	}
	return Hour{}, false
}

// Tells reports whether anything is known of a day.
func (f Forecast) Tells(on calendar.Day) bool {
	_, hours := f.day(on)
	return hours > 0
}

// Range is the lowest and the highest of what is known of a day, °C.
func (f Forecast) Range(on calendar.Day) (lowC, highC float64) {
	highC, _ = f.day(on)
	lowC = highC
	for _, h := range f {
		if h.Day == on {
			lowC = min(lowC, h.TempC)
		}
	}
	return lowC, highC
}

// fewest is how many hours of a day must be known for its maximum to be.
const fewest = 12

// day is what the forecast says of one day: its maximum, and whether enough of it is
// known to say so.
func (f Forecast) day(on calendar.Day) (maxC float64, hours int) {
	for _, h := range f {
		if h.Day != on {
			continue
		}
		if hours == 0 || h.TempC > maxC {
			maxC = h.TempC
		}
		hours++
	}
	return maxC, hours
}

// On gives the outlook of a day. A day of which an hour in question is missing
// is not known.
func (f Forecast) On(on calendar.Day, under Conditions) Outlook {
	var o Outlook
	var hours []Hour
	for _, h := range f {
		if h.Day == on && h.Hour >= under.FromHour && h.Hour < under.ToHour {
			hours = append(hours, h)
		}
	}
	o.Known = len(hours) == under.ToHour-under.FromHour
	if !o.Known {
		return Outlook{}
	}
	o.LowC, o.HighC = hours[0].TempC, hours[0].TempC
	for _, h := range hours {
		o.LowC, o.HighC = min(o.LowC, h.TempC), max(o.HighC, h.TempC)
	}
	f.ahead(on, under, &o)
	dayMax, _ := f.day(on)
	o.gather(hours, under, dayMax)
	return o
}

// walkC is above which day's maximum bees walk on strips, °C, over which days.
const walkC, walkDays = 10, 14

// ahead reads the days that follow.
func (f Forecast) ahead(on calendar.Day, under Conditions, o *Outlook) {
	harmKnown, any := 0, false
	course := under.courseDays()
	for i := range max(walkDays, course, under.HarmDays) {
		maxC, hours := f.day(on + calendar.Day(i))
		if i < max(1, under.HarmDays) && hours > 0 && (!any || maxC > o.HarmMaxC) {
			o.HarmMaxC, any = maxC, true // heat that is known is known, however few the hours
		}
		if hours < fewest {
			continue
		}
		if i < under.HarmDays {
			harmKnown++
		}
		if i < walkDays {
			o.WalkKnown++
			if maxC > walkC {
				o.Walk++
			}
		}
		if i < course {
			o.DaysKnown++
			switch {
			case maxC < under.MinC:
				o.Cold++
			case maxC > under.MaxC && i >= under.HarmDays:
				o.Warm++
			}
		}
	}
	o.HarmKnown = harmKnown >= under.HarmDays
	o.night(f, on)
}

// night reads the night after a day, from six in the evening to nine in the morning.
func (o *Outlook) night(f Forecast, on calendar.Day) {
	const from, to = 18, 9
	hours := 0
	for _, h := range f {
		if h.Day == on && h.Hour >= from || h.Day == on+1 && h.Hour < to {
			if hours == 0 || h.TempC < o.NightC {
				o.NightC = h.TempC
			}
			hours++
		}
	}
	o.NightKnown = hours >= 24-from+to-1 // one less in the night in which clocks go forward
}

// gather joins the hours that will do into windows.
func (o *Outlook) gather(hours []Hour, under Conditions, dayMax float64) {
	stopped := map[Cause]int{}
	var open []Hour
	close := func() {
		if len(open) > 0 {
			o.Windows = append(o.Windows, window(open, under, dayMax))
		}
		open = nil
	}
	for _, h := range hours {
		if cause := h.stops(under, dayMax); cause != "" {
			stopped[cause]++
			close()
			continue
		}
		open = append(open, h)
	}
	close()
	if len(o.Windows) > 0 {
		return
	}
	for _, c := range []Cause{TooCold, TooWarm, Windy, Rainy} {
		if stopped[c] > stopped[o.Cause] {
			o.Cause = c
		}
	}
}

// stops says what keeps an hour from being worked in.
func (h Hour) stops(under Conditions, dayMax float64) Cause {
	t := h.TempC
	if under.ByDay {
		t = dayMax
	}
	switch {
	case t < under.MinC:
		return TooCold
	case t > under.MaxC:
		return TooWarm
	case h.WindMS > MaxWindMS || h.GustMS > MaxGustMS:
		return Windy
	case h.Rain > MaxRainMM:
		return Rainy
	}
	return ""
}

func window(hours []Hour, under Conditions, dayMax float64) Window {
	w := Window{Day: hours[0].Day, From: hours[0].Hour, To: hours[len(hours)-1].Hour + 1}
	good := 0
	for _, h := range hours {
		w.MeanC += h.TempC / float64(len(hours))
		t := h.TempC
		if under.ByDay {
			t = dayMax
		}
		if t >= under.BestLowC && t <= under.BestHighC {
			good++
		}
	}
	if under.ByDay {
		w.MeanC = dayMax
	}
	w.Good = 2*good > len(hours)
	return w
}
