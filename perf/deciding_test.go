package perf

import (
	"bytes"
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"slices"
	"time"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"
	_ "github.com/go-sql-driver/mysql"

	"keeler/e2e/browser"
	"keeler/e2e/stand"
	"keeler/wire"
)

const (
	yardsMany, coloniesMany, countsMany = 20, 500, 20_000
)

// crew is a Keeler with an owner signed in.
type crew struct {
	*stand.Stand
	client *http.Client
}

func (c crew) send(path, kind string, body []byte) ([]byte, error) {
	response, err := c.client.Post(c.URL+path, kind, bytes.NewReader(body))
	if err != nil {
		return nil, err
	}
	defer func() { _ = response.Body.Close() }()
	out, err := io.ReadAll(response.Body)
	if err == nil && response.StatusCode >= http.StatusMultipleChoices {
		err = fmt.Errorf("%s: %s: %s", path, response.Status, out)
	}
	return out, err
}

// get reads an answer.
func (c crew) get(path string, into any) error {
	response, err := c.client.Get(c.URL + path)
	if err != nil {
		return err
	}
	defer func() { _ = response.Body.Close() }()
	return json.NewDecoder(response.Body).Decode(into)
}

// answered is how long an answer takes to its last byte.
func (c crew) answered(path string) (time.Duration, error) {
	begun := time.Now()
	response, err := c.client.Get(c.URL + path)
	if err != nil {
		return 0, err
	}
	_, err = io.Copy(io.Discard, response.Body)
	_ = response.Body.Close()
	if err == nil && response.StatusCode != http.StatusOK {
		err = fmt.Errorf("%s: %s", path, response.Status)
	}
	return time.Since(begun), err
}

func (c crew) post(path string, body any) error {
	raw, err := json.Marshal(body)
	if err != nil {
		return err
	}
	_, err = c.send(path, "application/json", raw)
	return err
}

// newClient keeps its cookies.
func newClient() *http.Client {
	cookies, _ := cookiejar.New(nil) // fails by its options alone
	return &http.Client{Jar: cookies}
}

func newCrew(instruments ...string) (crew, error) {
	s, err := stand.Measured(context.Background(), false, instruments...)
	if err != nil {
		return crew{}, err
	}
	c := crew{s, newClient()}
	return c, c.post("/api/claim", wire.Claim{Code: s.Code, Operation: "Bench", Login: "Owner", Password: "a long enough one"})
}

// table is a CSV of so many colonies in so many yards, every second a double.
func table(stem string, yards, colonies int) []byte {
	var out bytes.Buffer
	out.WriteString("yard,colony,boxes,latitude,for_honey,queen\n")
	for i := range colonies {
		boxes := "deep 10"
		if i%2 == 1 {
			boxes = "deep 10 + deep 10"
		}
		fmt.Fprintf(&out, "%s %d,C%d,%s,57.5,yes,laying\n", stem, i%yards, i, boxes)
	}
	return out.Bytes()
}

// deciding measures the matrix and windows of many colonies, at the server and in
// a browser four times slower than this machine.
func deciding() ([]figure, error) {
	c, err := newCrew()
	if err != nil {
		return nil, err
	}
	defer func() { _ = c.Down() }()
	if err := c.fill(yardsMany, coloniesMany); err != nil {
		return nil, err
	}
	var took []time.Duration
	for range 21 {
		one, err := c.answered("/api/decide?people=3")
		if err != nil {
			return nil, err
		}
		took = append(took, one)
	}
	first := took[0]
	slices.Sort(took)
	middle := took[len(took)/2]
	// Yards below the window keep their place, and are drawn when there is nothing else to do.
	whole := fmt.Sprintf(`document.querySelectorAll('[data-grid] div[style], [data-decide-yard]').length >= %d && document.querySelector('[data-decide-yard] [data-day]')`, yardsMany)
	drawn, err := c.drawn("/decide", "/api/decide?", whole)
	if err != nil {
		return nil, err
	}
	const most, mostDrawn = 150 * time.Millisecond, time.Second
	name := fmt.Sprintf("decide, %d colonies, %d counts", coloniesMany, countsMany)
	return []figure{
		{name + ", first", first.Round(time.Millisecond).String(), "under " + most.String(), first < most},
		{name + ", median", middle.Round(time.Millisecond).String(), "under " + most.String(), middle < most},
		{"the same drawn, processor at a quarter", drawn.Round(time.Millisecond).String(), "under " + mostDrawn.String(), drawn < mostDrawn},
	}, nil
}

// looked is a look into each colony, and counted its counts over two years.
const (
	looked = `INSERT INTO inspections (operation_id, id, colony_id, seen_on, quarters, seams, brood, eggs, larvae, stores, supers, queen, temper, note, user_id, created_at)
	SELECT 1, UUID(), id, '2026-12-01', 16 + 4 * (CAST(SUBSTR(name, 2) AS INT) % 6), NULL, 'none', NULL, NULL, ELT(1 + CAST(SUBSTR(name, 2) AS INT) % 3, 'enough', 'light', 'heavy'), 0, '', '', '', 1, '2026-12-01' FROM colonies`
	counted = `INSERT INTO mite_counts (operation_id, id, colony_id, kind, mites, days, bees, counted_on, note, user_id, created_at, void_reason)
	SELECT 1, UUID(), c.id, 'wash', (CAST(SUBSTR(c.name, 2) AS INT) + d.seq) % 20, 0, 300, d.day, '', 1, d.day, '' FROM colonies c
	JOIN (SELECT seq, '2026-12-02' - INTERVAL 18 * seq DAY AS day FROM seq_0_to_39) d`
)

// fill writes so many colonies, a look into each, and forty counts of each over two years.
func (c crew) fill(yards, colonies int) error {
	if _, err := c.send("/api/import/colonies?mode=all", "text/csv", table("Yard", yards, colonies)); err != nil {
		return err
	}
	return c.exec(looked, counted, "ANALYZE TABLE colonies, inspections, mite_counts")
}

// exec writes what takes too long by the API.
func (c crew) exec(statements ...string) error {
	db, err := sql.Open("mysql", c.DB.DSN())
	if err != nil {
		return err
	}
	defer func() { _ = db.Close() }()
	for _, s := range statements {
		if _, err := db.Exec(s); err != nil {
			return fmt.Errorf("%.60s: %w", s, err)
		}
	}
	return nil
}

// drawn is the time from the answer's last byte to the frame that shows it, in a browser
// four times slower than this machine: of the page behind a link, by what it asks for and
// what is there when it is whole.
func (c crew) drawn(link, asks, whole string) (time.Duration, error) {
	ctx, cancel := context.WithTimeout(context.Background(), time.Minute)
	defer cancel()
	ctx, end := browser.New(ctx)
	defer end()
	if err := chromedp.Do(ctx, browser.Desk, chromedp.Navigate(c.URL),
		chromedp.Evaluate[chromedp.Void](`fetch('/api/session', { method: 'POST', headers: { 'Content-Type': 'application/json' },
			body: JSON.stringify({ login: 'Owner', password: 'a long enough one' }) }).then(() => undefined)`, chromedp.EvalAwaitPromise),
		chromedp.Navigate(c.URL+"/thresholds"), chromedp.WaitVisible(chromedp.CSS("main form, main input")),
	); err != nil {
		return 0, err
	}
	if _, err := chromedp.Call(ctx, emulation.SetCPUThrottlingRate, emulation.SetCPUThrottlingRateParams{Rate: 4}); err != nil {
		return 0, err
	}
	ms, err := chromedp.Run(ctx, chromedp.Evaluate[float64](fmt.Sprintf(`new Promise((done) => {
		const answered = () => performance.getEntriesByType('resource').filter((e) => e.name.includes(%q)).at(-1)
		const whole = () => %s
		const look = () => whole() && answered()
			? requestAnimationFrame(() => setTimeout(() => done(performance.now() - answered().responseEnd)))
			: requestAnimationFrame(look)
		document.querySelector('a[href="%s"]').click()
		look()
	})`, asks, whole, link), chromedp.EvalAwaitPromise))
	return time.Duration(ms * float64(time.Millisecond)), err
}
