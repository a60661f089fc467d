// Command perf measures Keeler's speed and size in one run, as ratios where a
// figure alone would tell about the machine only.
package main

import (
	"fmt"
	"os"
)

// A figure is one line of the table: what was measured, and what it must keep to.
type figure struct {
	name, value, limit string
	kept               bool
}

func main() {
	figures := calculations()
	for _, measure := range []func() ([]figure, error){throughput, firstView, deciding, importing, relaying, roundAndRegister} {
		more, err := measure()
		if err != nil {
			fmt.Fprintln(os.Stderr, "bench:", err)
			os.Exit(1)
		}
		figures = append(figures, more...)
	}
	code := 0
	for _, f := range figures {
		mark := "ok"
		if !f.kept {
			mark, code = "TOO SLOW OR BIG", 1
		}
		fmt.Printf("%-46s %16s   %-12s %s\n", f.name, f.value, f.limit, mark)
	}
	os.Exit(code)
}
