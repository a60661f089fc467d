package perf

import (
	"context"
	"database/sql"
	"fmt"
	"io"
	"io/fs"
	"net/http"
	"slices"
	"strings"
	"time"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"
	"github.com/google/uuid"

	"keeler/e2e/browser"
	"keeler/web"
	"keeler/wire"
)

const (
	mostCore     = 1_200_000 // bytes, gzipped
	tapRatio     = 2.0
	taps         = 200 // about what a round of forty hives takes
	slower       = 4
	fewLines     = 10_000
	manyLines    = 1_000_000
	firstPage    = 100 * time.Millisecond
	noMoreThan   = 2.0
	registerRuns = 30
)

// coreSize is the core as it travels to a phone: the file that was zipped as it was built.
func coreSize() ([]figure, error) {
	names, err := fs.Glob(web.Files(), "assets/*.wasm.gz")
	if err != nil || len(names) != 1 {
		return nil, fmt.Errorf("the core in the browser: %v %w", names, err)
	}
	zipped, err := fs.ReadFile(web.Files(), names[0])
	return []figure{{
		name: "the core as WebAssembly, gzipped", value: fmt.Sprintf("%.1f kB", float64(len(zipped))/1000),
		limit: "at most 1200 kB", kept: len(zipped) <= mostCore,
	}}, err
}

// tapping taps a gap and waits until what it changes is drawn; ms of each.
const tapping = `(async (n, gaps, changes) => {
	const took = []
	for (let i = 0; i < n; i++) {
		const gap = document.querySelectorAll(gaps)[2 + (i %% 6)]
		const changed = new Promise((r) => new MutationObserver((_, o) => { o.disconnect(); requestAnimationFrame(() => r()) })
			.observe(document.querySelector(changes), { attributes: true, characterData: true, childList: true, subtree: true }))
		const at = performance.now()
		gap.dispatchEvent(new MouseEvent('click', { bubbles: true }))
		await changed
		took.push(performance.now() - at)
	}
	return took
})(%d, %q, %q)`

// roundAndRegister measures a tap in the yard, and the register when it is long.
func roundAndRegister() ([]figure, error) {
	figures, err := coreSize()
	if err != nil {
		return nil, err
	}
	c, err := begin()
	if err != nil {
		return nil, err
	}
	defer func() { _ = c.Down() }()
	dose, redraw, err := c.tap(c.job)
	if err != nil {
		return nil, err
	}
	figures = append(figures, figure{
		name: "tap to new dose to a bare redraw, p95", value: fmt.Sprintf("%.2f (%s)", float64(dose)/float64(redraw), dose.Round(time.Millisecond/10)),
		limit: fmt.Sprint("at most ", tapRatio), kept: float64(dose) <= tapRatio*float64(redraw),
	})
	history, err := afterYears(c)
	if err != nil {
		return nil, err
	}
	figures = append(figures, history...)
	register, err := c.longRegister()
	return append(figures, register...), err
}

// roundJob makes a job of all colonies for the day, each seen with bees; it tells the first.
func (c crew) roundJob() (id, first string, err error) {
	db, err := sql.Open("mysql", c.DB.DSN())
	if err != nil {
		return "", "", err
	}
	defer func() { _ = db.Close() }()
	rows, err := db.Query("SELECT id FROM colonies ORDER BY position")
	if err != nil {
		return "", "", err
	}
	defer func() { _ = rows.Close() }()
	job := wire.SaveJob{ID: uuid.NewString(), Name: "Round", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit", People: 1}
	for rows.Next() {
		var id string
		if err := rows.Scan(&id); err != nil {
			return "", "", err
		}
		job.Colonies = append(job.Colonies, wire.JobColony{ColonyID: id, Day: benchDay, Override: "bench"})
	}
	return job.ID, job.Colonies[0].ColonyID, c.post("/api/jobs", job)
}

const benchDay = "2026-12-04"

// tap is the p95 of a tap's dose on the round, and of the same board drawn anew without
// one, where hives are looked into.
func (c crew) tap(job string) (dose, redraw time.Duration, err error) {
	limited, cancel := context.WithTimeout(context.Background(), 2*time.Minute)
	defer cancel()
	ctx, end := browser.New(limited)
	defer end()
	err = chromedp.Do(ctx, browser.Phone, chromedp.Navigate(c.URL+"/yards"), chromedp.Evaluate[chromedp.Void](signIn, chromedp.EvalAwaitPromise))
	if err != nil {
		return 0, 0, err
	}
	if _, err := chromedp.Call(ctx, emulation.SetCPUThrottlingRate, emulation.SetCPUThrottlingRateParams{Rate: slower}); err != nil {
		return 0, 0, err
	}
	var yards wire.YardList
	if err := c.get("/api/yards", &yards); err != nil {
		return 0, 0, err
	}
	for _, page := range []struct {
		path, ready, gaps, changes string
		p95                        *time.Duration
	}{
		{"/yards/" + yards.Yards[0].ID + "/inspect", "[data-inspection-sheet] [data-gap]", "[data-inspection-sheet] [data-gap]", "[data-inspection-sheet]", &redraw},
		{"/rounds/" + job + "/" + benchDay, "[data-ready]", "[data-colony-open] [data-gap]", "[data-dose]", &dose},
	} {
		if err := chromedp.Do(ctx, chromedp.Navigate(c.URL+page.path), chromedp.WaitVisible(chromedp.CSS(page.ready))); err != nil {
			return 0, 0, err
		}
		ms, err := chromedp.Run(ctx, chromedp.Evaluate[[]float64](fmt.Sprintf(tapping, taps, page.gaps, page.changes), chromedp.EvalAwaitPromise))
		if err != nil {
			return 0, 0, err
		}
		slices.Sort(ms)
		*page.p95 = time.Duration(ms[len(ms)*95/100] * float64(time.Millisecond))
	}
	return dose, redraw, nil
}

const signIn = `fetch('/api/session', {
	method: 'POST', headers: { 'Content-Type': 'application/json' },
	body: JSON.stringify({ login: 'Owner', password: 'a long enough one' }),
})`

// longRegister holds the first page of a register of a million lines against that of
// ten thousand.
func (c crew) longRegister() ([]figure, error) {
	db, err := sql.Open("mysql", c.DB.DSN())
	if err != nil {
		return nil, err
	}
	defer func() { _ = db.Close() }()
	db.SetMaxOpenConns(1) // what is set for filling holds for all of it
	short, err := c.registerOf(db, fewLines)
	if err != nil {
		return nil, err
	}
	long, err := c.registerOf(db, manyLines)
	if err != nil {
		return nil, err
	}
	ratio := float64(long) / float64(short)
	return []figure{
		{name: "register of 1,000,000, first page", value: long.Round(time.Millisecond / 10).String(), limit: "under " + firstPage.String(), kept: long < firstPage},
		{name: "register of 1,000,000 to one of 10,000", value: fmt.Sprintf("%.2f", ratio), limit: "at most 2", kept: ratio <= noMoreThan},
	}, nil
}

// registerOf fills the register up to so many lines and gives the median of its first
// page, over plain and filtered ones.
func (c crew) registerOf(db *sql.DB, lines int) (time.Duration, error) {
	fill := `INSERT INTO applications (operation_id, id, visit_day, colony_id, yard_id, kind, reason, method, product, amount, asked, unit, oad_mg, formic_mg,
		days_low, days_high, detail, rule_kind, rule_words, withdrawal_days, override_reason, open_s, flags, given_at, user_id, created_at)
		SELECT 1, CONCAT('00000000-0000-4000-8000-', LPAD(s.seq + %[2]d, 12, '0')), '2026-12-04', c.id, c.yard_id, 'given', '', IF(s.seq %% 3, 'dribble', 'pad'), 'own mixture', 30, 30, 'ml', 1050, 0,
		0, 0, '{}', 'permit', '', 0, '', 60, '', '2020-01-01' + INTERVAL (s.seq + %[2]d) MINUTE, 1, NOW(6)
		FROM seq_1_to_%[1]d s JOIN (SELECT id, yard_id, ROW_NUMBER() OVER () - 1 AS n FROM colonies) c ON c.n = s.seq %% %[3]d`
	var hives int
	if err := db.QueryRow("SELECT COUNT(*) FROM colonies").Scan(&hives); err != nil {
		return 0, err
	}
	var there int
	if err := db.QueryRow("SELECT COUNT(*) FROM applications").Scan(&there); err != nil {
		return 0, err
	}
	for _, statement := range []string{ // indexes are built at the end, which is many times as fast
		"SET foreign_key_checks = 0, unique_checks = 0",
		"ALTER TABLE applications DROP KEY newest, DROP KEY by_colony, DROP KEY by_yard, DROP KEY by_batch",
		fmt.Sprintf(fill, lines-there, there, hives),
		`ALTER TABLE applications ADD KEY newest (operation_id, superseded, given_at, seq), ADD KEY by_colony (operation_id, superseded, colony_id, given_at, seq),
			ADD KEY by_yard (operation_id, superseded, yard_id, given_at, seq), ADD KEY by_batch (operation_id, superseded, batch_id, given_at, seq)`,
		"ANALYZE TABLE applications",
	} {
		if _, err := db.Exec(statement); err != nil {
			return 0, fmt.Errorf("%.40s: %w", statement, err)
		}
	}
	var took []time.Duration
	for range registerRuns {
		for _, query := range []string{"", "?group=colony", "?order=oldest", "?method=pad"} {
			begun := time.Now()
			response, err := c.client.Get(c.URL + "/api/register" + query)
			if err != nil {
				return 0, err
			}
			raw, err := io.ReadAll(response.Body)
			_ = response.Body.Close()
			if err != nil || response.StatusCode != http.StatusOK || strings.Count(string(raw), `"given_at"`) != 50 {
				return 0, fmt.Errorf("register%s: %s %.200s %w", query, response.Status, raw, err)
			}
			took = append(took, time.Since(begun))
		}
	}
	slices.Sort(took)
	return took[len(took)/2], nil
}
