package agenda

import (
	"slices"
	"testing"

	"keeler/core/calendar"
	"keeler/core/fit"
)

func TestCallsOfAHive(t *testing.T) {
	june, december := calendar.Of(2026, 6, 10), calendar.Of(2026, 12, 4)
	counted := fit.Counted{On: calendar.Of(2026, 5, 20)}
	for name, c := range map[string]struct {
		hive  Hive
		today calendar.Day
		want  []Kind
	}{
		"all is well":               {Hive{Need: fit.NeedNone, Count: counted, Seen: june - 30, Latitude: 55}, june, nil},
		"over the threshold":        {Hive{Need: fit.NeedTreat, Count: counted, Seen: june, Latitude: 55}, june, []Kind{Treat}},
		"over, but in a job":        {Hive{Need: fit.NeedTreat, Count: counted, Seen: june, InJob: true, Latitude: 55}, june, nil},
		"its yard is over":          {Hive{Need: fit.NeedYard, Count: counted, Seen: june, Latitude: 55}, june, nil},
		"never counted":             {Hive{Need: fit.NeedCount, Seen: june, Latitude: 55}, june, []Kind{CountFirst}},
		"too few to tell":           {Hive{Need: fit.NeedCount, Count: counted, Seen: june, Latitude: 55}, june, []Kind{CountMore}},
		"counted long ago":          {Hive{Need: fit.NeedRecount, Count: counted, Seen: june, Latitude: 55}, june, []Kind{CountAgain}},
		"unseen for 31 days":        {Hive{Need: fit.NeedNone, Count: counted, Seen: june - 31, Latitude: 55}, june, []Kind{LookIn}},
		"never seen, new":           {Hive{Need: fit.NeedNone, Count: counted, Began: june - 30, Latitude: 55}, june, nil},
		"never seen, there a while": {Hive{Need: fit.NeedNone, Count: counted, Began: june - 31, Latitude: 55}, june, []Kind{LookIn}},
		"unseen in the cluster":     {Hive{Need: fit.NeedNone, Count: counted, Seen: december - 90, Latitude: 55}, december, nil},
		"unseen, in the south":      {Hive{Need: fit.NeedNone, Count: counted, Seen: december - 90, Latitude: -40}, december, []Kind{LookIn}},
		"dosed twice, in a job":     {Hive{Doubled: june - 1, Count: counted, Seen: june, InJob: true, Latitude: 55}, june, []Kind{DoubleDose}},
		"from a batch found wrong":  {Hive{Doubted: june - 1, Count: counted, Seen: june, Latitude: 55}, june, []Kind{BatchWrong}},
		"two things":                {Hive{Need: fit.NeedTreat, Count: counted, Seen: june - 40, Latitude: 55}, june, []Kind{Treat, LookIn}},
	} {
		if got := c.hive.Calls(c.today); !slices.Equal(got, c.want) {
			t.Errorf("%s: %v, not %v", name, got, c.want)
		}
	}
}

func TestShelf(t *testing.T) {
	today := calendar.Of(2026, 6, 10)
	for name, c := range map[string]struct {
		got  func() (Kind, bool)
		want Kind
	}{
		"a fresh batch":            {func() (Kind, bool) { return Batch(100, today+2, today) }, ""},
		"its last day is tomorrow": {func() (Kind, bool) { return Batch(100, today+1, today) }, UseUp},
		"is today":                 {func() (Kind, bool) { return Batch(100, today, today) }, UseUp},
		"was yesterday":            {func() (Kind, bool) { return Batch(100, today-1, today) }, ThrowOut},
		"but nothing is left":      {func() (Kind, bool) { return Batch(0, today-1, today) }, ""},
		"but drops are left":       {func() (Kind, bool) { return Batch(0.9, today-1, today) }, ""},
		"overdrawn":                {func() (Kind, bool) { return Batch(-5, today-1, today) }, ""},
		"it keeps":                 {func() (Kind, bool) { return Batch(100, 0, today) }, ""},
		"a lot, in 31 days":        {func() (Kind, bool) { return Lot(500, today+31, today) }, ""},
		"in 30":                    {func() (Kind, bool) { return Lot(500, today+30, today) }, LotEnds},
		"on its last day":          {func() (Kind, bool) { return Lot(500, today, today) }, LotEnds},
		"past it":                  {func() (Kind, bool) { return Lot(500, today-1, today) }, LotOver},
		"used up":                  {func() (Kind, bool) { return Lot(0, today-1, today) }, ""},
		"without a date":           {func() (Kind, bool) { return Lot(500, 0, today) }, ""},
	} {
		if got, calls := c.got(); got != c.want || calls != (c.want != "") {
			t.Errorf("%s: %q %t, not %q", name, got, calls, c.want)
		}
	}
}
