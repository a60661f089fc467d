package perf

import (
	"fmt"
	"testing"
	"time"
	"unsafe"

	"keeler/core/calendar"
	"keeler/core/mites"
	"keeler/core/outlook"
)

// atAQuarter is the 150 ms that a plan may take on a processor four times slower.
const atAQuarter = 150 * time.Millisecond / 4

const many = 500

var begins = outlook.Begins{Latitude: 50, Day: calendar.Of(2026, 1, 1), Low: 5, High: 500}

func yearOf500() error {
	f := outlook.NewFilter(begins, many, 1)
	for week := range 52 {
		f.Live(f.Day+7, nil, nil)
		if week%7 == 6 {
			f.Count(mites.Count{Kind: mites.Wash, Mites: 3, Bees: 300, On: f.Day})
		}
		if f.Rate().High <= 0 {
			return fmt.Errorf("no band in week %d", week)
		}
	}
	return nil
}

// BenchmarkOutlook is a year of one colony with seven counts and a band a week, followed by many possible ones.
func BenchmarkOutlook(b *testing.B) {
	const most = 30 * time.Millisecond
	each(b, "AYearOf500", most, yearOf500)
	f, april := outlook.NewFilter(begins, 100, 1), begins.Day+100
	plan := [][]outlook.Dose{{{Way: outlook.Strips, From: april, To: april + 50, Strength: 1}}}
	h := outlook.Horizon{To: begins.Day + 400, Every: 5, Threshold: func(calendar.Day) float64 { return 3 }}
	each(b, "APlanOf100", atAQuarter, func() error { // while it is dragged
		if told := f.WhatIf(plan, h); len(told[0].Points) != 81 {
			return fmt.Errorf("%d points", len(told[0].Points))
		}
		return nil
	})
	if kB := many * unsafe.Sizeof(outlook.Colony{}) / 1000; kB >= 1000 {
		b.Errorf("a colony takes %d kB", kB)
	}
}
