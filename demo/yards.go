package demo

import (
	"context"
	"errors"
	"fmt"
	"math"
	"time"

	"keeler/app"
	"keeler/store"
	"keeler/wire"
)

func date(year int, month time.Month, day int) time.Time {
	return time.Date(year, month, day, 9, 0, 0, 0, time.UTC)
}

// latitude is where Marrow Quay lies.
const latitude = 57.5

var yesterday = date(2026, time.December, 3)

// seedYards writes the yards with a year of history, once.
func seedYards(ctx context.Context, on func(time.Time) app.Desk, jobs func() error) error {
	begun := on(date(2025, time.April, 2))
	fresh := false
	for _, p := range told.Yards {
		degrees := latitude
		_, err := begun.Yard(ctx, p.ID)
		if err == nil {
			continue
		}
		if !errors.Is(err, store.ErrNotFound) {
			return err
		}
		if _, err := begun.AddYard(ctx, wire.SaveYard{ID: p.ID, Name: p.Name, Place: p.Place, Latitude: &degrees}); err != nil {
			return err
		}
		for _, s := range p.Colonies {
			if err := s.stand(ctx, begun, p); err != nil {
				return fmt.Errorf("%s: %w", s.Name, err)
			}
		}
		fresh = true
	}
	if fresh {
		for _, c := range told.Cards {
			if _, err := begun.AddCard(ctx, c); err != nil {
				return fmt.Errorf("%s: %w", c.Name, err)
			}
		}
		if err := jobs(); err != nil {
			return err
		}
		for _, p := range told.Yards {
			for _, s := range p.Colonies {
				if err := s.keep(ctx, on, p); err != nil {
					return fmt.Errorf("%s: %w", s.Name, err)
				}
			}
		}
	}
	_, err := on(Now).SaveJob(ctx, told.Job)
	return err
}

// part makes the id of something of a colony out of the colony's.
func (s stand) part(what string) string { return s.ID[:9] + what + s.ID[13:] }

func (s stand) stand(ctx context.Context, d app.Desk, p place) error {
	boxes, err := wire.ParseHive(s.Hive)
	if err != nil {
		return err
	}
	_, err = d.AddColony(ctx, wire.SaveColony{
		ID: s.ID, YardID: p.ID, Name: s.Name, Nuc: s.Nuc, ForHoney: s.Honey, Queen: s.Queen, Boxes: boxes,
	})
	return err
}

func (s stand) keep(ctx context.Context, on func(time.Time) app.Desk, p place) error {
	if _, err := on(yesterday).Count(ctx, wire.MiteCounts{Counts: s.counts()}); err != nil {
		return err
	}
	for _, t := range p.Given {
		t.ID = s.part(t.ID)
		if _, err := on(yesterday).Treat(ctx, s.ID, t); err != nil {
			return err
		}
	}
	if _, err := on(yesterday).Inspect(ctx, wire.Inspections{Inspections: s.through()}); err != nil {
		return err
	}
	supers, seen := 0, false
	_, err := on(s.Looked).Inspect(ctx, wire.Inspections{Inspections: []wire.Inspection{{
		ID: s.part("1001"), ColonyID: s.ID, Board: s.board(), Brood: s.Brood, Eggs: &seen, Stores: s.Stores, Supers: &supers, Queen: s.Queen,
	}}})
	return err
}

// through are the inspections of the year before the last one: as bees and brood come and go.
func (s stand) through() []wire.Inspection {
	quarters := 0
	for _, box := range s.Quarters {
		for _, q := range box {
			quarters += q
		}
	}
	out := []wire.Inspection{}
	for _, then := range []struct {
		part, on, brood string
		share           float64 // of the bees there are in December
	}{
		{"1002", "2026-03-21", "little", 0.8}, {"1003", "2026-05-02", "much", 1.1}, {"1004", "2026-06-20", "much", 1.6},
		{"1005", "2026-08-08", "much", 1.7}, {"1006", "2026-09-25", "little", 1.25},
	} {
		seams := math.Round(float64(quarters)*then.share) / 4
		out = append(out, wire.Inspection{ID: s.part(then.part), ColonyID: s.ID, On: then.on, Brood: then.brood, Seams: &seams})
	}
	return out
}

func (s stand) counts() []wire.MiteCount {
	wash := func(id string, mites int, on string) wire.MiteCount {
		return wire.MiteCount{ID: s.part(id), ColonyID: s.ID, Kind: "wash", Mites: mites, Bees: 300, On: on}
	}
	counts := []wire.MiteCount{
		wash("2001", s.Spring, "2026-04-28"), wash("2002", s.August, "2026-08-10"), wash("2003", s.Autumn, "2026-09-26"),
	}
	if s.Board != nil {
		counts = append(counts, wire.MiteCount{ID: s.part("2004"), ColonyID: s.ID, Kind: "board", Mites: *s.Board, Days: 7, On: "2026-12-02"})
	}
	return counts
}
