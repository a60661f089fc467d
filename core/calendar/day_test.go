package calendar

import (
	"slices"
	"testing"
	"time"
)

// The civil calendar against the standard library's, over four centuries.
func TestThereAndBack(t *testing.T) {
	first := time.Date(1899, 12, 25, 0, 0, 0, 0, time.UTC)
	for i := range 400 * 366 {
		at := first.AddDate(0, 0, i)
		d := Of(at.Year(), int(at.Month()), at.Day())
		if want := int(at.Unix() / 86400); int(d) != want && at.Unix() >= 0 {
			t.Fatalf("%v: got %d, want %d", at, d, want)
		}
		if y, m, day := d.Date(); y != at.Year() || m != int(at.Month()) || day != at.Day() {
			t.Fatalf("%v came back as %d-%d-%d", at, y, m, day)
		}
	}
}

// The south has its winter when the north has its summer.
func TestSeasons(t *testing.T) {
	for _, c := range []struct {
		month        int
		north, south Season
		cold         bool // in the north
	}{
		{1, Winter, LateSummer, true}, {2, Winter, LateSummer, true}, {3, Spring, LateSummer, true},
		{4, Spring, Autumn, false}, {5, Spring, Autumn, false}, {6, EarlySummer, Winter, false},
		{7, LateSummer, Winter, false}, {8, LateSummer, Winter, false}, {9, LateSummer, Spring, false},
		{10, Autumn, Spring, true}, {11, Autumn, Spring, true}, {12, Winter, EarlySummer, true},
	} {
		d := Of(2026, c.month, 15)
		if d.Season(55) != c.north || d.Season(-40) != c.south || d.Cold(55) != c.cold || d.Cold(-40) == c.cold {
			t.Errorf("month %d: %v %v %v", c.month, d.Season(55), d.Season(-40), d.Cold(55))
		}
	}
}

func TestMonthsOfASeason(t *testing.T) {
	for _, c := range []struct {
		s            Season
		north, south []int
	}{
		{Winter, []int{12, 1, 2}, []int{6, 7, 8}}, {Spring, []int{3, 4, 5}, []int{9, 10, 11}}, {EarlySummer, []int{6}, []int{12}},
		{LateSummer, []int{7, 8, 9}, []int{1, 2, 3}}, {Autumn, []int{10, 11}, []int{4, 5}},
	} {
		if north, south := c.s.Months(57), c.s.Months(-40); !slices.Equal(north, c.north) || !slices.Equal(south, c.south) {
			t.Errorf("%s: %v in the north, %v in the south", Names[c.s], north, south)
		}
	}
}

func TestHalfBegan(t *testing.T) {
	for _, c := range []struct {
		day, want Day
		latitude  float64
	}{
		{Of(2026, 12, 4), Of(2026, 10, 1), 58},
		{Of(2027, 2, 28), Of(2026, 10, 1), 58},
		{Of(2027, 4, 1), Of(2027, 4, 1), 58},
		{Of(2026, 12, 4), Of(2026, 10, 1), -40}, // the warm half of the south
		{Of(2026, 7, 4), Of(2026, 4, 1), -40},
	} {
		if got := c.day.HalfBegan(c.latitude); got != c.want {
			t.Errorf("%d at %v: got %d, want %d", c.day, c.latitude, got, c.want)
		}
	}
}
