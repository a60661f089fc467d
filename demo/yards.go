package demo

import (
	"context"
	"errors"
	"fmt"
	"time"

	"keeler/app"
	"keeler/store"
	"keeler/wire"
)

// stand is a colony of the scenario.
type stand struct {
	name, hive string
	nuc, honey bool
	queen      string
	quarters   [][]int // seams as last seen, by box
	brood      string
	stores     string
	autumn     int // mites in a wash of 300 bees in September
	board      int // mites in a week in late November
	looked     time.Time
}

type place struct {
	id, name, words string
	stands          []stand
}

func date(year int, month time.Month, day int) time.Time {
	return time.Date(year, month, day, 9, 0, 0, 0, time.UTC)
}

var (
	yesterday    = date(2026, time.December, 3)
	lastMonth    = date(2026, time.November, 8)
	firstOfMonth = date(2026, time.December, 1)
)

// Latitude is where Marrow Quay lies.
const latitude = 57.5

func places() []place {
	ropewalk := place{"5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e1001", yard, "Behind the old rope works, facing the harbour", nil}
	for i, s := range []stand{
		{stores: "enough", brood: "none", autumn: 5, board: 3},
		{stores: "enough", brood: "none", autumn: 3, board: 2},
		{stores: "heavy", brood: "none", autumn: 11, board: 17},
		{stores: "light", brood: "none", autumn: 2, board: 1},
		{stores: "heavy", brood: "none", autumn: 7, board: 9},
		{stores: "enough", brood: "little", autumn: 4, board: 6},
		{stores: "enough", brood: "none", autumn: 2, board: 0},
		{stores: "enough", brood: "none", autumn: 1, board: 1, nuc: true},
	} {
		s.name, s.honey, s.queen, s.looked = standing[i], !s.nuc, "laying", yesterday
		s.quarters = [][]int{seams[s.name]}
		s.hive = fmt.Sprintf("deep %d", len(seams[s.name])-1)
		ropewalk.stands = append(ropewalk.stands, s)
	}
	saltmarsh := place{"5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e1002", "Saltmarsh Hut", "Dyke road, the shelter belt east of the hut", nil}
	low := []int{0, 0, 1, 3, 4, 4, 3, 2, 0, 0, 0}
	high := []int{0, 1, 3, 4, 4, 4, 4, 2, 1, 0, 0}
	for i := range 10 {
		s := stand{
			name: fmt.Sprint("S", i+1), hive: "deep 10 + deep 10", honey: true, queen: "laying", quarters: [][]int{low, high},
			brood: "none", stores: "enough", autumn: []int{2, 4, 6, 3, 1, 5, 2, 9, 3, 4}[i], board: []int{1, 2, 5, 0, 1, 3, 0, 4, 2, 1}[i],
			looked: firstOfMonth,
		}
		if i%3 == 2 { // brood and a half
			s.hive, s.quarters = "deep 10 + shallow 10", [][]int{high, low}
		}
		if i == 6 {
			s.looked, s.stores = lastMonth, ""
		}
		saltmarsh.stands = append(saltmarsh.stands, s)
	}
	kiln := place{"5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e1003", "Kiln Lane", "The walled garden by the lime kiln", nil}
	for i := range 7 {
		s := stand{
			name: fmt.Sprint("K", i+1), hive: "deep 6", nuc: true, queen: "laying", quarters: [][]int{{0, 2, 4, 4, 3, 1, 0}},
			brood: "none", stores: "enough", autumn: []int{0, 1, 0, 2, 3, 1, 2}[i], board: -1, looked: yesterday,
		}
		if i > 3 {
			s.nuc, s.honey, s.hive, s.quarters = false, true, "deep 8 + medium 8", [][]int{{0, 1, 3, 4, 4, 3, 1, 0, 0}, {0, 0, 2, 3, 3, 2, 0, 0, 0}}
		}
		switch i {
		case 1:
			s.queen, s.looked = "young", lastMonth
		case 3:
			s.brood, s.looked = "", firstOfMonth
		case 5:
			s.hive = "deep cccccccf + medium 8"
		}
		kiln.stands = append(kiln.stands, s)
	}
	return []place{ropewalk, saltmarsh, kiln}
}

// seedYards writes the yards with a year of history, once.
func seedYards(ctx context.Context, on func(time.Time) app.Desk) error {
	for p, pl := range places() {
		begun := on(date(2025, time.April, 2))
		degrees := latitude
		_, err := begun.Yard(ctx, pl.id)
		if err == nil {
			continue
		}
		if !errors.Is(err, store.ErrNotFound) {
			return err
		}
		if _, err := begun.AddYard(ctx, wire.SaveYard{ID: pl.id, Name: pl.name, Place: pl.words, Latitude: &degrees}); err != nil {
			return err
		}
		for i, s := range pl.stands {
			if err := s.keep(ctx, on, pl.id, fmt.Sprintf("5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e%d%03d", 2+p, i+1), p); err != nil {
				return fmt.Errorf("%s: %w", s.name, err)
			}
		}
	}
	return seedJob(ctx, on(Now))
}

// part makes the id of something of a colony out of the colony's.
func part(colony, what string) string { return colony[:9] + what + colony[13:] }

func (s stand) keep(ctx context.Context, on func(time.Time) app.Desk, yardID, id string, yard int) error {
	boxes, err := wire.ParseHive(s.hive)
	if err != nil {
		return err
	}
	_, err = on(date(2025, time.April, 2)).AddColony(ctx, wire.SaveColony{
		ID: id, YardID: yardID, Name: s.name, Nuc: s.nuc, ForHoney: s.honey, Queen: s.queen, Boxes: boxes,
	})
	if err != nil {
		return err
	}
	if err := s.count(ctx, on, id); err != nil {
		return err
	}
	if err := s.treated(ctx, on, id, yard); err != nil {
		return err
	}
	board := make([][]float64, len(s.quarters))
	for i, box := range s.quarters {
		for _, q := range box {
			board[i] = append(board[i], float64(q)/4)
		}
	}
	supers, seen := 0, false
	_, err = on(s.looked).Inspect(ctx, wire.Inspections{Inspections: []wire.Inspection{{
		ID: part(id, "1001"), ColonyID: id, Board: board, Brood: s.brood, Eggs: &seen, Stores: s.stores, Supers: &supers, Queen: s.queen,
	}}})
	return err
}

func (s stand) count(ctx context.Context, on func(time.Time) app.Desk, id string) error {
	counts := []wire.MiteCount{
		{ID: part(id, "2001"), ColonyID: id, Kind: "wash", Mites: s.autumn/2 + 1, Bees: 300, On: "2026-04-28"},
		{ID: part(id, "2002"), ColonyID: id, Kind: "wash", Mites: 2*s.autumn + 4, Bees: 300, On: "2026-08-10"},
		{ID: part(id, "2003"), ColonyID: id, Kind: "wash", Mites: s.autumn, Bees: 300, On: "2026-09-26"},
	}
	if s.board >= 0 {
		counts = append(counts, wire.MiteCount{ID: part(id, "2004"), ColonyID: id, Kind: "board", Mites: s.board, Days: 7, On: "2026-12-02"})
	}
	_, err := on(yesterday).Count(ctx, wire.MiteCounts{Counts: counts})
	return err
}

// treated is the year behind: a dribble last winter, strips in spring compared
// between two yards, formic acid in August.
func (s stand) treated(ctx context.Context, on func(time.Time) app.Desk, id string, yard int) error {
	given := []wire.Treatment{{ID: part(id, "3001"), Method: "dribble", What: "Label litre", GivenOn: "2025-12-12"}}
	switch yard {
	case 0:
		given = append(given,
			wire.Treatment{ID: part(id, "3002"), Method: "strip", What: "Spring pot, 3 strips", GivenOn: "2026-04-12", OutOn: "2026-05-30"},
			wire.Treatment{ID: part(id, "3003"), Method: "pad", What: "60 %, sponge from above", GivenOn: "2026-08-14", OutOn: "2026-08-29"})
	case 1:
		given = append(given, wire.Treatment{ID: part(id, "3002"), Method: "strip", What: "Spring pot, 4 strips", GivenOn: "2026-04-04", OutOn: "2026-05-23"})
	default:
		given = given[:0]
	}
	for _, t := range given {
		if _, err := on(yesterday).Treat(ctx, id, t); err != nil {
			return err
		}
	}
	return nil
}

// seedJob is the dribble that is ready to mix.
func seedJob(ctx context.Context, d app.Desk) error {
	job := wire.SaveJob{
		ID: "5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e9001", Name: "Ropewalk, midwinter dribble", Method: "dribble",
		RuleKind: "permit", Rule: permit, People: 3,
	}
	for i, c := range standing {
		if c == "R4" || c == "R6" { // light, and one with brood
			continue
		}
		job.Colonies = append(job.Colonies, wire.JobColony{ColonyID: fmt.Sprintf("5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e2%03d", i+1), Day: "2026-12-04"})
	}
	_, err := d.SaveJob(ctx, job)
	return err
}
