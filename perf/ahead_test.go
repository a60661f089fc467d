package perf

import (
	"bytes"
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
	const hives = 8
	c, err := laden(1, hives)
	if err != nil {
		return nil, err
	}
	defer func() { _ = c.Down() }()
	var yards wire.YardList
	if err := c.get("/api/yards", &yards); err != nil {
		return nil, err
	}
	yard := "/api/yards/" + yards.Yards[0].ID
	var whole wire.YardWhole
	if err := c.get(yard, &whole); err != nil {
		return nil, err
	}
	for i, s := range whole.Stands {
		counts := wire.MiteCounts{}
		for month := range 10 {
			counts.Counts = append(counts.Counts, wire.MiteCount{
				ID: fmt.Sprintf("2d9a1c5e-3f52-4c7b-8a51-6f0e%04x%04x", i, month), ColonyID: s.ID, Kind: "wash", Mites: month, Bees: 300, On: fmt.Sprintf("2026-%02d-15", month+1),
			})
		}
		if err := c.post("/api/counts", counts); err != nil {
			return nil, err
		}
	}
	colony := "/api/colonies/" + whole.Stands[0].ID
	plan := wire.MitePlan{Steps: []wire.PlanStep{{Under: "winter", On: "2026-12-10"}, {Under: "strips", On: "2027-04-10"}, {Under: "strips", On: "2027-08-10"}}}
	what := wire.WhatIf{Plans: []wire.MitePlan{{Steps: []wire.PlanStep{}}, plan, plan}}
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
		what.Rough = rough
		raw, err := json.Marshal(what)
		if err != nil {
			return 0, err
		}
		return median(func() error { _, err := c.send(colony+"/what-if", "application/json", bytes.Clone(raw)); return err })
	}
	dragged, err := tried(true)
	if err != nil {
		return nil, err
	}
	let, err := tried(false)
	if err != nil {
		return nil, err
	}
	first, err := c.answered(yard + "/ahead")
	if err != nil {
		return nil, err
	}
	again, err := median(func() error { _, err := c.answered(yard + "/ahead"); return err })
	if err != nil {
		return nil, err
	}
	const quarter = 4 // of a processor
	const mostDragged, mostLet, mostFirst, mostAgain = 150 * time.Millisecond / quarter, time.Second / quarter, 15 * time.Second * hives / 500, 50 * time.Millisecond
	told := func(what string, took, most time.Duration) figure {
		return figure{what, took.Round(100 * time.Microsecond).String(), "under " + most.String(), took < most}
	}
	return []figure{
		told("two plans and none, while one is dragged", dragged, mostDragged),
		told("the same with all possible colonies", let, mostLet),
		told(fmt.Sprintf("a yard of %d hives that nobody foresaw yet, at the rate of 500 in 15 s", hives), first, mostFirst),
		told("the same once it is kept", again, mostAgain),
	}, nil
}
