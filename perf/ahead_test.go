package perf

import (
	"encoding/json"
	"fmt"
	"slices"
	"testing"
	"time"

	"keeler/wire"
)

// BenchmarkAhead is how long a keeper waits for the year ahead: on a hive's page with a year of counts, while a treatment is
// dragged, once it was let go, and for a yard.
func BenchmarkAhead(b *testing.B) { report(b, foreseeing) }

func foreseeing() ([]figure, error) {
	const yardsOf, hives = 5, 8
	c, err := laden(yardsOf, yardsOf*hives)
	if err != nil {
		return nil, err
	}
	defer func() { _ = c.Down() }()
	var yards wire.YardList
	if err := c.get("/api/yards", &yards); err != nil {
		return nil, err
	}
	var whole wire.YardWhole
	if err := c.get("/api/yards/"+yards.Yards[0].ID, &whole); err != nil {
		return nil, err
	}
	colony := "/api/colonies/" + whole.Stands[0].ID
	// plan is dribble and strips, the last of them put off by so many days.
	plan := func(off int) wire.MitePlan {
		last := time.Date(2027, 8, 1+off, 0, 0, 0, 0, time.UTC).Format(time.DateOnly)
		return wire.MitePlan{Steps: []wire.PlanStep{{Under: "winter", On: "2026-12-10"}, {Under: "strips", On: "2027-04-10"}, {Under: "strips", On: last}}}
	}
	median := func(ask func() error) (time.Duration, error) {
		var took []time.Duration
		for range 15 {
			begun := time.Now()
			if err := ask(); err != nil {
				return 0, err
			}
			took = append(took, time.Since(begun))
		}
		slices.Sort(took)
		return took[len(took)/2], nil
	}
	tried := func(rough bool) (time.Duration, error) {
		off := 0
		return median(func() error {
			off++
			raw, err := json.Marshal(wire.WhatIf{Rough: rough, Plans: []wire.MitePlan{{Steps: []wire.PlanStep{}}, plan(0), plan(off)}})
			if err == nil {
				_, err = c.send(colony+"/what-if", "application/json", raw)
			}
			return err
		})
	}
	dragged, err := tried(true)
	if err != nil {
		return nil, err
	}
	let, err := tried(false)
	if err != nil {
		return nil, err
	}
	at := 0
	var firsts []time.Duration
	for _, y := range yards.Yards {
		one, err := c.answered("/api/yards/" + y.ID + "/ahead")
		if err != nil {
			return nil, err
		}
		firsts = append(firsts, one)
	}
	slices.Sort(firsts)
	first := firsts[len(firsts)/2]
	again, err := median(func() error {
		at++
		_, err := c.answered("/api/yards/" + yards.Yards[at%yardsOf].ID + "/ahead")
		return err
	})
	if err != nil {
		return nil, err
	}
	year, err := median(func() error { return yearOf500() })
	if err != nil {
		return nil, err
	}
	// 150 ms on a quarter of a processor are 37.5 ms, and 1 s are 250; 500 hives in 15 s are 30 ms each. A year of 500 takes
	// about 21 ms of its 30 on the same: what is over by the host alone is not.
	const mostDragged, mostLet, mostFirst, mostAgain = 37.5 / 21, 250.0 / 21, 30.0 / 21, 50 * time.Millisecond
	ratio := func(what string, took time.Duration, most float64) figure {
		by := float64(took) / float64(year)
		return figure{what, fmt.Sprintf("%.2f (%s)", by, took.Round(100*time.Microsecond)), fmt.Sprintf("at most %.2f", most), by <= most}
	}
	told := func(what string, took, most time.Duration) figure {
		return figure{what, took.Round(100 * time.Microsecond).String(), "under " + most.String(), took < most}
	}
	return []figure{
		ratio("the plan of three that is dragged, to a year of 500 possible colonies", dragged, mostDragged),
		ratio("the same with all possible colonies", let, mostLet),
		ratio("a hive of a yard that nobody foresaw yet, with all processors", first/hives, mostFirst),
		told("a yard of them once it is kept", again, mostAgain),
	}, nil
}
