// Package perf measures Keeler's speed and size in one run, as ratios where a figure
// alone would tell about the machine only: see make bench.
package perf

import (
	"fmt"
	"testing"
)

// A figure is what was measured, and what it must keep to.
type figure struct {
	name, value, limit string
	kept               bool
}

// report makes a measurement once, and tells its figures, each against its limit.
func report(b *testing.B, measure func() ([]figure, error)) {
	b.ReportMetric(0, "ns/op") // the time of it all says nothing
	if b.N > 1 {
		return
	}
	figures, err := measure()
	if err != nil {
		b.Fatal(err)
	}
	for _, f := range figures {
		line := fmt.Sprintf("%-46s %16s   %s", f.name, f.value, f.limit)
		if f.kept {
			b.Log(line)
		} else {
			b.Error(line, "TOO SLOW OR BIG")
		}
	}
}

func BenchmarkThroughput(b *testing.B) { report(b, throughput) }
func BenchmarkFirstView(b *testing.B)  { report(b, firstView) }
func BenchmarkDeciding(b *testing.B)   { report(b, deciding) }
func BenchmarkImporting(b *testing.B)  { report(b, importing) }
func BenchmarkRelaying(b *testing.B)   { report(b, relaying) }
func BenchmarkRound(b *testing.B)      { report(b, roundAndRegister) }
