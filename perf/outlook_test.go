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

// BenchmarkOutlook is a year of one colony with seven counts, followed by many possible ones.
func BenchmarkOutlook(b *testing.B) {
	const many, most = 500, 30 * time.Millisecond
	begins := outlook.Begins{Latitude: 50, Day: calendar.Of(2026, 1, 1), Low: 5, High: 500}
	each(b, "AYearOf500", most, func() error {
		f := outlook.NewFilter(begins, many, 1)
		for n := range 365 {
			f.Step(nil, false)
			if n%50 == 49 {
				f.Count(mites.Count{Kind: mites.Wash, Mites: 3, Bees: 300, On: f.Day})
			}
			if n%7 == 0 && f.Rate().High <= 0 {
				return fmt.Errorf("no band on day %d", n)
			}
		}
		return nil
	})
	if kB := many * unsafe.Sizeof(outlook.Colony{}) / 1000; kB >= 1000 {
		b.Errorf("a colony takes %d kB", kB)
	}
}
