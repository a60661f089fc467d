package e2e

import (
	"bytes"
	"encoding/json"
	"io"
	"math"
	"net/http"
	"net/http/httptest"
	"net/http/httputil"
	"net/url"
	"path/filepath"
	"strings"
	"sync/atomic"
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
	"keeler/store"
	"keeler/store/backup"
	"keeler/wire"
)

// between puts a handler between the page and the server.
func between(t *testing.T, server string, handle func(w http.ResponseWriter, r *http.Request, onward http.Handler)) string {
	t.Helper()
	target, err := url.Parse(server)
	if err != nil {
		t.Fatal(err)
	}
	onward := httputil.NewSingleHostReverseProxy(target)
	middle := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) { handle(w, r, onward) }))
	t.Cleanup(middle.Close)
	return middle.URL
}

// An answer that comes late is not shown over a newer one: the plan for 500 mL is
// held back until the one for 250 mL has been given.
func TestLatestInputWins(t *testing.T) {
	newer := make(chan struct{})
	var late atomic.Bool
	p := open(t, between(t, up(t, false).URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		raw, err := io.ReadAll(r.Body)
		if err != nil {
			return
		}
		r.Body = io.NopCloser(bytes.NewReader(raw))
		var plan wire.DribbleRequest
		_ = json.Unmarshal(raw, &plan)
		if r.URL.Path == "/api/dribble/plan" && plan.Size.Volume == 500 {
			late.Store(true)
			select {
			case <-newer:
			case <-r.Context().Done(): // the page has let go of it
			}
		}
		onward.ServeHTTP(w, r)
		if plan.Size.Volume == 250 {
			close(newer)
		}
	}), browser.Desk)
	p.choose("Volume")
	p.fill("size.volume_ml", "500")
	p.fill("size.volume_ml", "250")
	p.says("[data-docket]", "Weigh for 250 mL")
	<-newer
	p.says("[data-docket]", "Weigh for 250 mL")
	if !late.Load() {
		t.Error("the older plan was never asked for")
	}
}

// The batch was kept but its answer got lost: pressing again counts once.
func TestAnswerLostOnTheWay(t *testing.T) {
	s := up(t, true)
	var lost atomic.Int32
	p := open(t, between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		if r.Method == http.MethodPost && r.URL.Path == "/api/batches" && lost.Add(1) == 1 {
			onward.ServeHTTP(httptest.NewRecorder(), r) // it arrives, and no word of it comes back
			http.Error(w, "", http.StatusBadGateway)
			return
		}
		onward.ServeHTTP(w, r)
	})+"/mix", browser.Phone)
	p.enter()
	p.says("[data-docket]", "Weigh for 265 mL")
	p.click("[data-save]")
	p.says("aside", "Not saved: Keeler cannot reach its server")
	p.click("[data-save]")
	p.says("aside", "Saved: Ropewalk, 4 Dec 2026")

	p.do(chromedp.Navigate(s.URL + "/batches")) // one host, so one cookie
	p.says("main", "Ropewalk, 4 Dec 2026")
	kept := strings.Count(p.words(), "Ropewalk, 4 Dec 2026")
	if kept != 1 {
		t.Errorf("kept %d times, want once", kept)
	}
}

// The whole database is lost under a running round, and restored from the backup of a moment
// before: the phone goes on, and sends what it has not sent. Nothing counts twice.
func TestDatabaseLostUnderARound(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, batch, _ := o.job(3, 100)
	p := entered(t, s.URL+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.do(shown("[data-ready]"))
	p.byHand("No. 1 Big jar")
	p.given()
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)

	file := filepath.Join(t.TempDir(), "keeler.zip")
	about, err := backup.Write(t.Context(), s.DSN, store.Newest(), file)
	if err != nil {
		t.Fatal(err)
	}
	if err := s.Hush(); err != nil {
		t.Fatal(err)
	}
	if _, err := database.Database(t.Context(), t.Name()); err != nil { // empties it
		t.Fatal(err)
	}
	p.given()
	p.says("[data-signal]", "No signal", "1 waiting")
	if back, err := backup.Restore(t.Context(), s.DSN, file, store.Newest()); err != nil || back != about {
		t.Fatalf("%+v %v", back, err)
	}
	if err := s.Serve(); err != nil {
		t.Fatal(err)
	}
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	if records := read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records; len(records) != 2 {
		t.Errorf("%d doses are recorded, want the one of before and the one that waited: %+v", len(records), records)
	}
	if l := read[wire.Ledger](o, "/api/batches/"+batch+"/entries"); math.Abs(l.Left-85) > 0.1 {
		t.Errorf("%v mL left of 100, after doses of 5 and 10", l.Left)
	}
}
