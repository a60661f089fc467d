package perf

import (
	"database/sql"
	"errors"
	"fmt"
	"slices"
	"testing"
	"time"

	"keeler/core/fit"
	"keeler/core/method/pad"
	"keeler/core/mites"
	"keeler/core/reach"
)

func BenchmarkChecking(b *testing.B) { report(b, checking) }

// fiveYears is forty applications of each colony in five years, eight of them in the last
// year: two courses, of which one is going on.
const fiveYears = `INSERT INTO applications (operation_id, id, visit_day, colony_id, yard_id, kind, reason, method, product, amount, asked, unit, oad_mg, formic_mg,
	days_low, days_high, detail, rule_kind, rule_words, withdrawal_days, override_reason, open_s, flags, given_at, user_id, created_at)
	SELECT 1, UUID(), d.day, c.id, c.yard_id, 'other', '', ELT(1 + d.seq % 3, 'dribble', 'strip', 'vapour'), 'own mixture', 30, 30, 'ml', 0, 900, 0, 0,
	'{}', 'permit', '', 0, '', 60, '', d.day, 1, d.day FROM colonies c
	JOIN (SELECT seq, '2026-12-03' - INTERVAL seq * 45 DAY AS day FROM seq_1_to_40) d`

// laden is a crew with so many colonies that have years behind them.
func laden(yards, colonies int) (crew, error) {
	c, err := newCrew()
	if err != nil {
		return c, err
	}
	if err := errors.Join(c.fill(yards, colonies), c.exec(fiveYears)); err != nil {
		return c, errors.Join(err, c.Down())
	}
	return c, nil
}

// checking measures what follows for many colonies with years behind them, at the server and
// drawn, and the same of Today.
func checking() ([]figure, error) {
	c, err := laden(yardsMany, coloniesMany)
	if err != nil {
		return nil, err
	}
	defer func() { _ = c.Down() }()
	db, err := sql.Open("mysql", c.DB.DSN())
	if err != nil {
		return nil, err
	}
	defer func() { _ = db.Close() }()
	asked := func() (n int, err error) {
		var name string
		return n, db.QueryRow("SHOW GLOBAL STATUS LIKE 'Com_select'").Scan(&name, &n)
	}
	median := func(path string) (time.Duration, error) {
		var took []time.Duration
		for range 15 {
			one, err := c.answered(path)
			if err != nil {
				return 0, err
			}
			took = append(took, one)
		}
		slices.Sort(took)
		return took[len(took)/2], nil
	}
	middle, err := median("/api/check")
	if err != nil {
		return nil, err
	}
	before, err := asked()
	if err != nil {
		return nil, err
	}
	if _, err := c.answered("/api/check"); err != nil {
		return nil, err
	}
	after, err := asked()
	if err != nil {
		return nil, err
	}
	drawn, err := c.drawn("/check", "/api/check", `document.querySelector('[data-followup]')`)
	if err != nil {
		return nil, err
	}
	today, err := median("/api/today")
	if err != nil {
		return nil, err
	}
	todayDrawn, err := c.drawn("/", "/api/today", `document.querySelector('[data-followup]')`)
	if err != nil {
		return nil, err
	}
	const most, mostToday, mostAsked, mostDrawn = 100 * time.Millisecond, 150 * time.Millisecond, 25, time.Second
	return []figure{
		{fmt.Sprintf("check, %d colonies, 40 applications each, median", coloniesMany), middle.Round(time.Millisecond).String(), "under " + most.String(), middle < most},
		{"statements for it, the session's among them", fmt.Sprint(after - before), fmt.Sprintf("at most %d", mostAsked), after-before <= mostAsked},
		{"the same drawn, processor at a quarter", drawn.Round(time.Millisecond).String(), "under " + mostDrawn.String(), drawn < mostDrawn},
		{"today, the same colonies, median", today.Round(time.Millisecond).String(), "under " + mostToday.String(), today < mostToday},
		{"the same drawn, processor at a quarter", todayDrawn.Round(time.Millisecond).String(), "under " + mostDrawn.String(), todayDrawn < mostDrawn},
	}, nil
}

// BenchmarkJudging is the calculations of Check alone.
func BenchmarkJudging(b *testing.B) {
	pairs := make([]mites.Pair, coloniesMany)
	for i := range pairs {
		pairs[i] = mites.Pair{Before: mites.Sample{Mites: 10 + i%50, Over: 3}, After: mites.Sample{Mites: i % 7, Over: 7}}
	}
	each(b, "EfficacyOf500", 100*time.Millisecond, func() error {
		for _, p := range pairs {
			if _, ok := mites.Fewer([]mites.Pair{p}, nil); !ok {
				return fmt.Errorf("%+v tells nothing", p)
			}
		}
		if _, ok := mites.Fewer(pairs, pairs[:50]); !ok {
			return fmt.Errorf("all together tell nothing")
		}
		return nil
	})
	formic, _ := fit.Protocol("formic")
	strips, _ := fit.Protocol("strips")
	each(b, "Reach", time.Millisecond, func() error {
		_, err := reach.Of(fit.BroodMuch, true, reach.Planned(formic))
		return err
	})
	each(b, "ReachOfStrips", time.Millisecond, func() error {
		_, err := reach.Of(fit.BroodMuch, true, reach.Planned(strips))
		return err
	})
	hours := make([]float64, 14*24)
	for i := range hours {
		hours[i] = 12 + float64(i%24)/2
	}
	each(b, "EvaporationOf200", 5*time.Millisecond, func() error {
		for range 200 {
			if r := (pad.Evaporating{Device: pad.Bottle, Boxes: 1, Full: 245}).Run(hours); r.Day <= 0 {
				return fmt.Errorf("nothing evaporates: %+v", r)
			}
		}
		return nil
	})
}
