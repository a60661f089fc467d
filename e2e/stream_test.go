package e2e

import (
	"context"
	"net/http"
	"strings"
	"sync/atomic"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/google/uuid"

	"keeler/e2e/browser"
	"keeler/wire"
)

// Eight tabs of one browser share one stream, so that none of them waits for a connection,
// and each is told of what happens in its own round.
func TestTabsShareOneStream(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(2, 100)
	var open, most atomic.Int32
	url := between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		if strings.HasPrefix(r.URL.Path, "/api/stream") {
			if n := open.Add(1); n > most.Load() {
				most.Store(n)
			}
			defer open.Add(-1)
		}
		onward.ServeHTTP(w, r)
	})
	round := url + "/rounds/" + job + "/" + roundDay
	first := openTab(t, chromium(t), chromedp.WithNewBrowserContext(), round)
	first.enter()
	first.says("[data-colony-open]", "H000")
	tabs := []page{first}
	for range 7 {
		p := openTab(t, chromium(t), chromedp.WithExistingBrowserContext(chromedp.FromContext(first.ctx).BrowserContextID), round)
		p.says("[data-colony-open]", "H000")
		tabs = append(tabs, p)
	}
	visit := read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay)
	o.post("/api/jobs/"+job+"/applications?day="+roundDay, wire.Applications{Applications: []wire.Application{
		{ID: uuid.NewString(), ColonyID: visit.Colonies[0].ID, Kind: "skipped", Reason: "light"},
	}})
	for _, p := range tabs {
		// No frames are drawn in a tab that lies behind another: it is asked by the clock.
		done := chromedp.Poll[bool](`document.body.innerText.includes('Too light')`,
			chromedp.WithPollingInterval(100*time.Millisecond), chromedp.WithPollingTimeout(patience))
		if _, err := look(p, done); err != nil {
			t.Fatalf("a tab is not told: %v", err)
		}
	}
	if n := most.Load(); n != 1 {
		t.Errorf("%d streams at once", n)
	}
}

// What others do meanwhile is on Today without being asked for.
func TestTodayIsTold(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	p := open(t, s.URL+"/", browser.Desk)
	p.enter()
	p.says("main", "No hives yet")
	o.stands(1, 2)
	p.says("main", "Count mites", "H001, H002")
	p.turn("/check")
	p.says("main", "Nothing to come back for")
	o.job(2, 100)
	p.says("[data-job]", "nothing given yet")
}

// openTab opens a phone's tab in a browser context.
func openTab(t *testing.T, in context.Context, of chromedp.ContextOption, url string) page {
	t.Helper()
	ctx, end := chromedp.NewContext(in, of)
	t.Cleanup(end)
	p := page{t, ctx}
	if err := chromedp.Do(ctx, browser.Phone); err != nil { // opens the tab, which must outlive any step's limit
		t.Fatal(err)
	}
	p.do(chromedp.Navigate(url))
	return p
}
