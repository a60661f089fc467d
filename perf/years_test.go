package perf

import (
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/google/uuid"

	"keeler/core/method/dribble"
	"keeler/wire"
)

const (
	dosesSent = 61  // by each in turn
	grown     = 1.3 // times that of a fresh round
)

// tenYears is what a keeper records of every hive in ten years: ten applications and
// twenty inspections a year, a count a month, four jobs, and ten batches with their ledgers.
var tenYears = []string{
	`INSERT INTO applications (operation_id, id, visit_day, colony_id, yard_id, kind, reason, method, product, amount, asked, unit, oad_mg, formic_mg,
		days_low, days_high, detail, rule_kind, rule_words, withdrawal_days, override_reason, open_s, flags, given_at, user_id, created_at)
		SELECT 1, UUID(), d.day, c.id, c.yard_id, IF(d.seq % 2, 'out', 'other'), '', 'pad', 'own mixture', 30, 30, 'ml', 0, 900, 10, 14,
		'{}', 'permit', '', 0, '', 60, '', d.day, 1, d.day FROM colonies c
		JOIN (SELECT seq, '2026-11-01' - INTERVAL seq * 36 DAY AS day FROM seq_1_to_100) d`,
	`INSERT INTO inspections (operation_id, id, colony_id, seen_on, quarters, seams, brood, eggs, larvae, stores, supers, queen, temper, note, user_id, created_at)
		SELECT 1, UUID(), c.id, d.day, 20, '[[0,1,1,1,1,1,0,0,0,0,0]]', 'none', 0, 0, 'enough', 0, 'laying', '', '', 1, d.day FROM colonies c
		JOIN (SELECT seq, '2026-11-01' - INTERVAL seq * 18 DAY AS day FROM seq_1_to_200) d`,
	`INSERT INTO mite_counts (operation_id, id, colony_id, kind, mites, days, bees, counted_on, note, user_id, created_at, void_reason)
		SELECT 1, UUID(), c.id, 'wash', 3, 0, 300, d.day, '', 1, d.day, '' FROM colonies c
		JOIN (SELECT seq, '2026-11-01' - INTERVAL seq * 30 DAY AS day FROM seq_1_to_120) d`,
	`INSERT INTO jobs (operation_id, id, name, method, protocol, rule_kind, rule_words, people, user_id, created_at, ended_how)
		SELECT 1, CONCAT('00000000-0000-4000-8001-', LPAD(seq, 12, '0')), 'Old', 'dribble', 'winter', 'own', 'permit', 1, 1, '2026-11-01' - INTERVAL seq * 90 DAY, '' FROM seq_1_to_40`,
	`INSERT INTO job_colonies (operation_id, job_id, position, colony_id, day, verdict, reasons, override_reason)
		SELECT 1, j.id, c.position, c.id, j.created_at, 'fits', '', '' FROM jobs j JOIN colonies c WHERE j.name = 'Old'`,
	`INSERT INTO batches (operation_id, id, number, name, method, state, unit, volume_ml, pieces, leftover, keeping, made_on, created_at, snapshot_version, inputs, answer, void_reason)
		SELECT 1, CONCAT('00000000-0000-4000-8002-', LPAD(seq, 12, '0')), 1000 + seq, 'Old', 'dribble', 'made', 'ml', 1000, 0, FALSE, 'room', '2026-01-01T08:00',
		'2026-11-01' - INTERVAL seq * 36 DAY, 2, '{}', '{}', '' FROM seq_1_to_100`,
	`INSERT INTO stock_entries (operation_id, id, batch_id, kind, amount, left_before, reason, cause, worked_at, user_id, created_at)
		SELECT 1, UUID(), b.id, 'used', -31.25, 1000 - 31.25 * (e.seq - 1), '', '', b.created_at, 1, b.created_at FROM batches b JOIN seq_1_to_32 e WHERE b.name = 'Old'`,
	"ANALYZE TABLE applications, inspections, mite_counts, jobs, job_colonies, batches, stock_entries",
}

// round is a round whose doses are timed.
type round struct {
	crew
	job, colony, batch string
}

// begin makes a round of forty hives with a jar to pour from.
func begin() (round, error) {
	c, err := newCrew()
	if err != nil {
		return round{}, err
	}
	r := round{crew: c, batch: uuid.NewString()}
	if err := r.prepare(); err != nil {
		return r, errors.Join(err, c.Down())
	}
	return r, nil
}

func (r *round) prepare() (err error) {
	if _, err := r.send("/api/import/colonies?mode=all", "text/csv", table("Round", 1, 40)); err != nil {
		return err
	}
	if r.job, r.colony, err = r.roundJob(); err != nil {
		return err
	}
	return r.post("/api/batches", wire.SaveBatch{ID: r.batch, Name: "Jar", Recipe: wire.Recipe{Dribble: &wire.DribbleRequest{Request: dribble.Request{
		Hold: wire.Hold{Kind: "crystals"}, Aim: wire.Aim{By: "protocol", Protocol: "label-litre"}, Size: wire.Size{By: "volume", Volume: 5000},
	}}}})
}

// afterYears holds a dose that is written after ten years of history against one in a
// Keeler that has none.
func afterYears(old round) ([]figure, error) {
	fresh, err := begin()
	if err != nil {
		return nil, err
	}
	defer func() { _ = fresh.Down() }()
	if err := old.exec(tenYears...); err != nil {
		return nil, err
	}
	took, err := doseTimes(fresh, old)
	if err != nil {
		return nil, err
	}
	ratio := float64(took[1]) / float64(took[0])
	return []figure{{
		name: "a dose written after 10 years to a fresh one", value: fmt.Sprintf("%.2f (%s)", ratio, took[1].Round(time.Millisecond/10)),
		limit: fmt.Sprint("at most ", grown), kept: ratio <= grown,
	}}, nil
}

// doseTimes are the medians of how long a dose takes to be written, with the round as it
// then stands. They take turns: what else the machine does meanwhile meets all of them.
func doseTimes(rounds ...round) ([]time.Duration, error) {
	took := make([][]time.Duration, len(rounds))
	for range dosesSent {
		for k, r := range rounds {
			begun := time.Now()
			err := r.post("/api/jobs/"+r.job+"/applications?day="+benchDay, wire.Applications{Applications: []wire.Application{{
				ID: uuid.NewString(), ColonyID: r.colony, Kind: "given", BatchID: r.batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: 1, Asked: 1,
			}}})
			if err != nil {
				return nil, err
			}
			took[k] = append(took[k], time.Since(begun))
		}
	}
	out := make([]time.Duration, len(rounds))
	for k, t := range took {
		slices.Sort(t)
		out[k] = t[len(t)/2]
	}
	return out, nil
}
