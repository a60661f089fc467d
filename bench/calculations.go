package main

import (
	"fmt"
	"testing"
	"time"

	"keeler/demo"
	"keeler/wire"
)

// rows is the demo's yard as often as it takes for n colonies.
func rows(n int) wire.PlanRequest {
	plan := *demo.Welcome().Draft
	eight := plan.Colonies
	plan.Colonies = nil
	for i := range n {
		c := eight[i%len(eight)]
		c.Name = fmt.Sprint(c.Name, "-", i)
		plan.Colonies = append(plan.Colonies, c)
	}
	plan.Hold.Grams = 0
	return plan
}

func calculations() []figure {
	measure := func(name string, most time.Duration, work func() error) figure {
		result := testing.Benchmark(func(b *testing.B) {
			for b.Loop() {
				if err := work(); err != nil {
					b.Fatal(err)
				}
			}
		})
		f := figure{name: name, value: fmt.Sprintf("%d ns/op", result.NsPerOp()), kept: result.N > 0}
		if most > 0 {
			f.limit = "under " + most.String()
			f.kept = f.kept && result.NsPerOp() < most.Nanoseconds()
		}
		return f
	}
	plan := func(n int) func() error {
		request := rows(n)
		return func() error { _, err := wire.Plan(request); return err }
	}
	dose := wire.DoseRequest{Colonies: rows(8).Colonies, GPerL: 35}
	return []figure{
		measure("plan, 8 colonies", 0, plan(8)),
		measure("plan, 1,000 colonies", 5*time.Millisecond, plan(1000)),
		measure("dose, 8 colonies", 0, func() error { _, err := wire.Dose(dose); return err }),
	}
}
