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
	"github.com/google/uuid"

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
	s, err := stand.Up(context.Background(), false, instruments...)
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
	if err := c.fill(); err != nil {
		return nil, err
	}
	var took []time.Duration
	for range 21 {
		begun := time.Now()
		response, err := c.client.Get(c.URL + "/api/decide?people=3")
		if err != nil {
			return nil, err
		}
		_, err = io.Copy(io.Discard, response.Body)
		_ = response.Body.Close()
		if err != nil || response.StatusCode != http.StatusOK {
			return nil, fmt.Errorf("decide: %s %w", response.Status, err)
		}
		took = append(took, time.Since(begun))
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

// fill writes the colonies, a look into each, and their counts over two years.
func (c crew) fill() error {
	if _, err := c.send("/api/import/colonies?mode=all", "text/csv", table("Yard", yardsMany, coloniesMany)); err != nil {
		return err
	}
	db, err := sql.Open("mysql", c.DB.DSN())
	if err != nil {
		return err
	}
	defer func() { _ = db.Close() }()
	rows, err := db.Query("SELECT id FROM colonies")
	if err != nil {
		return err
	}
	var looks wire.Inspections
	var ids []string
	for rows.Next() {
		var id string
		if err := rows.Scan(&id); err != nil {
			return err
		}
		ids = append(ids, id)
		seams := float64(4 + len(ids)%6)
		none := 0
		looks.Inspections = append(looks.Inspections, wire.Inspection{
			ID: uuid.NewString(), ColonyID: id, On: "2026-12-01", Seams: &seams, Brood: "none",
			Stores: []string{"enough", "light", "heavy"}[len(ids)%3], Supers: &none,
		})
	}
	if err := rows.Err(); err != nil {
		return err
	}
	if err := c.post("/api/inspections", looks); err != nil {
		return err
	}
	day := time.Date(2026, 12, 2, 0, 0, 0, 0, time.UTC)
	for n := range countsMany / coloniesMany {
		counts := make([]wire.MiteCount, len(ids))
		for i, id := range ids {
			counts[i] = wire.MiteCount{ID: uuid.NewString(), ColonyID: id, Kind: "wash", Mites: (i + n) % 20, Bees: 300, On: day.AddDate(0, 0, -18*n).Format(time.DateOnly)}
		}
		if err := c.post("/api/counts", wire.MiteCounts{Counts: counts}); err != nil {
			return err
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
