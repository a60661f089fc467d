package e2e

import (
	"bytes"
	"encoding/json"
	"fmt"
	"net/http"
	"net/http/httptest"
	"strings"
	"sync/atomic"
	"testing"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/serviceworker"
	"github.com/chromedp/chromedp"
	"github.com/google/uuid"

	"keeler/e2e/browser"
	"keeler/e2e/stand"
	"keeler/wire"
)

const secret = "a long enough one"

// member joins the owner's operation in a role.
func (o owner) member(login, role string) {
	o.t.Helper()
	var link wire.Invitation
	if err := json.Unmarshal(o.post("/api/invitations", wire.Invite{Role: role}), &link); err != nil {
		o.t.Fatal(err)
	}
	guest := owner{o.t, o.url, http.DefaultClient}
	guest.post("/api/join", wire.Join{Token: link.Token, Login: login, Password: secret})
}

// signIn types a name and its password where they are asked for.
func (p page) signIn(login string) {
	p.t.Helper()
	p.do(chromedp.SendKeys(chromedp.CSS(`input[autocomplete="username"]`), login),
		chromedp.SendKeys(chromedp.CSS(`input[autocomplete="current-password"]`), secret+"\r"))
	p.until(fmt.Sprintf(`document.querySelector('[data-who]')?.innerText === %q`, login))
}

// signOut leaves in the interface, lines waiting or not.
func (p page) signOut(url string, waiting bool) {
	p.t.Helper()
	p.do(chromedp.Navigate(url + "/people"))
	if waiting {
		p.choose("Sign out")
		p.says("main", "One line of a round waits on this phone and has not been sent. It stays here")
		p.choose("Sign out anyway")
	} else {
		p.click("[data-sign-out]")
	}
	p.until(`document.querySelector('[data-who]')?.innerText === 'Sign in'`)
}

// offline lets a page reach the server or not: it is a proxy that answers for it.
func offline(t *testing.T, s *stand.Stand) (url string, away *atomic.Bool) {
	t.Helper()
	away = new(atomic.Bool)
	return between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		if away.Load() {
			http.Error(w, "no server", http.StatusBadGateway)
			return
		}
		onward.ServeHTTP(w, r)
	}), away
}

// What one person did on a phone is sent in that name alone: not by whoever signs in after,
// and not from a page that was left open.
func TestWaitingLineBelongsToItsPerson(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(3, 100)
	o.member("Anna", "helper")
	url, away := offline(t, s)
	round := "/rounds/" + job + "/" + roundDay
	p := open(t, url+round, browser.Phone)
	p.signIn("Anna")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-ready]")))
	p.byHand("No. 1 Big jar")
	away.Store(true)
	p.given()
	p.says("[data-signal]", "No signal", "1 waiting")
	// The owner signs in on her phone while her page is open.
	away.Store(false)
	p.do(chromedp.Evaluate[chromedp.Void](`fetch('/api/session', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ login: 'Owner', password: 'a long enough one' }) })`, chromedp.EvalAwaitPromise))
	p.until(`document.querySelector('[data-who]')?.innerText === 'Owner'`)
	p.do(chromedp.Navigate(url + "/yards"))
	p.says("[data-queue]", "1 of somebody else’s waits here")
	records := func() []wire.Application { return read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records }
	if r := records(); len(r) > 1 || len(r) == 1 && r[0].By != "Anna" {
		t.Fatalf("it was sent as %+v", r)
	}
	p.do(chromedp.Navigate(url + round))
	p.says("[data-signal]", "All sent")
	p.given() // the owner's own goes through beside it
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	p.signOut(url, false)
	p.do(chromedp.Navigate(url + "/yards"))
	p.signIn("Anna")
	p.until(`document.querySelector('[data-queue]') === null`)
	by := map[string]int{}
	for _, r := range records() {
		by[r.By]++
	}
	if by["Anna"] != 1 || by["Owner"] != 1 {
		t.Errorf("the register has %v", by)
	}
}

// A line that the server refuses, for whatever reason, is set aside with its reason; those
// after it go through.
func TestRefusedLineBlocksNobody(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(4, 100)
	var statuses atomic.Int32
	url := between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		refusals := []int{http.StatusForbidden, http.StatusNotFound, http.StatusConflict}
		if n := int(statuses.Add(1)) - 1; strings.HasSuffix(r.URL.Path, "/applications") && n < len(refusals) {
			w.Header().Set("Content-Type", "application/problem+json")
			w.WriteHeader(refusals[n])
			_, _ = fmt.Fprintf(w, `{"status":%d,"detail":"Refused for a test: %d."}`, refusals[n], refusals[n])
			return
		} else if !strings.HasSuffix(r.URL.Path, "/applications") {
			statuses.Add(-1)
		}
		onward.ServeHTTP(w, r)
	})
	p := entered(t, url+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.byHand("No. 1 Big jar")
	for _, status := range []int{403, 404, 409} {
		p.given()
		p.says("[data-refused]", fmt.Sprintf("Refused for a test: %d.", status))
	}
	p.given()
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	if n := len(read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records); n != 1 {
		t.Errorf("%d lines went through, want the last", n)
	}
	p.do(chromedp.Navigate(url + "/waiting"))
	p.says("main", "Slipway H000", "Refused for a test: 403.", "I have written it down: remove it")
}

// oneWaits is an owner's phone that has no signal, with one dose of a round waiting on it.
func oneWaits(t *testing.T) (o owner, p page, job, url string, away *atomic.Bool) {
	t.Helper()
	s := up(t, false)
	o = ownerOf(t, s)
	job, _, _ = o.job(3, 100)
	url, away = offline(t, s)
	p = open(t, url+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.enter()
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-ready]")))
	p.byHand("No. 1 Big jar")
	away.Store(true)
	p.given()
	p.says("[data-signal]", "1 waiting")
	return o, p, job, url, away
}

// What waits is in sight on every page, sent from whichever is open, warned of at signing
// out, and can be had as a file.
func TestQueueOnEveryPage(t *testing.T) {
	o, p, job, url, away := oneWaits(t)
	p.do(chromedp.Navigate(url + "/"))
	p.says("[data-queue]", "1 waiting on this phone", "no signal")
	p.click("[data-queue]")
	p.says(`[data-waits="Slipway H000"]`, "not sent yet", "5 mL")
	p.do(chromedp.Evaluate[chromedp.Void](`(() => {
		globalThis.saved = new Promise((done) => {
			const make = URL.createObjectURL
			URL.createObjectURL = (blob) => (blob.text().then(done), make(blob))
		})
	})()`))
	p.click("[data-save-waiting]")
	file, err := look(p, chromedp.Evaluate[string](`saved`, chromedp.EvalAwaitPromise))
	var told struct {
		Format string
		Lines  []struct{ Job, Day string }
	}
	if err != nil || json.Unmarshal([]byte(file), &told) != nil || told.Format != "keeler-waiting" || len(told.Lines) != 1 || told.Lines[0].Job != job {
		t.Errorf("the file: %s %v", file, err)
	}
	p.do(chromedp.Navigate(url + "/people"))
	p.says("[data-queue]", "1 waiting on this phone")
	away.Store(false)
	p.until(`document.querySelector('[data-queue]') === null`)
	if n := len(read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records); n != 1 {
		t.Errorf("%d lines were sent", n)
	}
}

// Signed out, a phone shows and keeps nothing of an operation, but for what waits: of that
// it warns.
func TestNothingStaysAfterSigningOut(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(3, 100)
	var refuse atomic.Bool
	url := between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		if refuse.Load() && strings.HasSuffix(r.URL.Path, "/applications") {
			http.Error(w, "", http.StatusBadGateway)
			return
		}
		onward.ServeHTTP(w, r)
	})
	round := url + "/rounds/" + job + "/" + roundDay
	p := entered(t, round, browser.Phone)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-ready]")))
	p.byHand("No. 1 Big jar")
	refuse.Store(true)
	p.given()
	p.says("[data-signal]", "1 waiting")
	p.signOut(url, true)
	kept, err := look(p, chromedp.Evaluate[string](`(async () => {
		const cached = (await caches.has('keeler.round')) ? (await (await caches.open('keeler.round')).keys()).map((r) => r.url).filter((u) => !u.endsWith('/api/start')) : []
		return JSON.stringify([...cached, ...Object.keys(localStorage).filter((k) => k.startsWith('keeler.') && k !== 'keeler.units' && !k.startsWith('keeler.mix.'))])
	})()`, chromedp.EvalAwaitPromise))
	if err != nil || kept != "[]" {
		t.Errorf("after signing out there is %s, %v", kept, err)
	}
	p.do(chromedp.Navigate(round))
	p.says("main", "Sign in")
	if bytes.Contains([]byte(p.words()), []byte("Big jar")) {
		t.Error("the round is shown to nobody")
	}
	p.do(chromedp.Navigate(url + "/yards"))
	refuse.Store(false)
	p.signIn("Owner")
	p.until(`document.querySelector('[data-queue]') === null`)
	if n := len(read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records); n != 1 {
		t.Errorf("%d lines were sent", n)
	}
}

// "Ready without signal" holds: with a proxy that answers 502 for the server, or after the
// browser threw something out, or after an upgrade, the round goes on with page and core.
func TestReadyIsTrue(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(3, 100)
	var away, upgraded, told atomic.Bool
	url := between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		switch {
		case away.Load():
			http.Error(w, "no server", http.StatusBadGateway)
		case upgraded.Load() && r.URL.Path == "/sw.js":
			w.Header().Set("Content-Type", "text/javascript")
			answer := recorded(onward, r)
			_, _ = w.Write(append(answer.Body.Bytes(), "\n// another version"...))
		case told.Load() && strings.HasPrefix(r.URL.Path, "/api/"):
			answer := recorded(onward, r)
			for name, values := range answer.Header() {
				w.Header()[name] = values
			}
			w.Header().Set("Keeler-Page", "index-another.js")
			w.WriteHeader(answer.Code)
			_, _ = w.Write(answer.Body.Bytes())
		default:
			onward.ServeHTTP(w, r)
		}
	})
	round := url + "/rounds/" + job + "/" + roundDay
	p := entered(t, round, browser.Phone)
	ready := func() {
		t.Helper()
		p.do(chromedp.WaitVisible(chromedp.CSS("[data-ready]")))
	}
	alone := func(gap int, dose string) {
		t.Helper()
		away.Store(true)
		p.do(chromedp.Reload())
		p.says("[data-colony-open]", "H000")
		for range 4 { // a seam more, which the core doses
			p.click(fmt.Sprintf(`[data-colony-open] [data-gap="%d"]`, gap))
		}
		p.says("[data-dose]", dose)
		away.Store(false)
	}
	ready()
	alone(7, "10")
	// Something of the page or core was thrown out for want of room: it is fetched again
	// before the phone is said to be ready.
	p.do(chromedp.Evaluate[chromedp.Void](`(async () => {
		for (const name of await caches.keys()) {
			const cache = await caches.open(name)
			for (const r of await cache.keys()) if (/wasm|\/visit/.test(r.url)) await cache.delete(r)
		}
	})()`, chromedp.EvalAwaitPromise), chromedp.Reload())
	ready()
	alone(8, "15")
	upgraded.Store(true)
	told.Store(true)
	p.do(chromedp.Reload())
	p.says("[data-updated]", "Keeler was updated")
	told.Store(false)
	p.click("[data-updated] button")
	p.until(`document.querySelector('[data-updated]') === null && document.querySelector('[data-ready]') !== null`)
	alone(9, "20")
}

// Where the browser wakes the worker, what waits is sent with no page open.
func TestBackgroundSyncSendsWithoutAPage(t *testing.T) {
	o, p, job, url, away := oneWaits(t)
	var worker serviceworker.RegistrationID
	told := chromedp.Events(p.ctx, serviceworker.WorkerRegistrationUpdated)
	if _, err := chromedp.Call(p.ctx, serviceworker.Enable, cdp.Empty{}); err != nil {
		t.Fatal(err)
	}
	for e, err := range told {
		if err != nil {
			t.Fatal(err)
		}
		for _, r := range e.Registrations {
			if strings.HasPrefix(r.ScopeURL, url) {
				worker = r.RegistrationID
			}
		}
		if worker != "" {
			break
		}
	}
	p.do(chromedp.Navigate("about:blank"))
	away.Store(false)
	_, err := chromedp.Call(p.ctx, serviceworker.DispatchSyncEvent, serviceworker.DispatchSyncEventParams{Origin: url + "/", RegistrationID: worker, Tag: "keeler.outbox", LastChance: true})
	if err != nil {
		t.Fatal(err)
	}
	heard := o.heard(job)
	for len(read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records) == 0 && t.Context().Err() == nil {
		<-heard // at first, and whenever something happens
	}
	if n := len(read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records); n != 1 {
		t.Errorf("%d lines were sent", n)
	}
}

// recorded is what a handler answers to a request.
func recorded(h http.Handler, r *http.Request) *httptest.ResponseRecorder {
	r.Header.Del("Accept-Encoding")
	answer := httptest.NewRecorder()
	h.ServeHTTP(answer, r)
	return answer
}

// An answer about the round that was given before a dose was written, and comes after it, does
// not hide the dose: nobody gives it twice for that.
func TestOlderAnswerHidesNoDose(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(3, 100)
	var held atomic.Bool
	asked, release, end := make(chan struct{}, 1), make(chan struct{}), make(chan struct{})
	defer close(end)
	url := between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		if !strings.HasSuffix(r.URL.Path, "/visit") || !held.Load() {
			onward.ServeHTTP(w, r)
			return
		}
		answer := recorded(onward, r)
		select {
		case asked <- struct{}{}:
			<-release
		default: // what is asked later never comes
			<-end
			return
		}
		for name, values := range answer.Header() {
			w.Header()[name] = values
		}
		_, _ = w.Write(answer.Body.Bytes())
	})
	p := entered(t, url+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.byHand("No. 1 Big jar")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-ready]")))
	held.Store(true)
	hives := read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Colonies
	o.post("/api/jobs/"+job+"/applications?day="+roundDay, wire.Applications{Applications: []wire.Application{{ID: uuid.NewString(), ColonyID: hives[2].ID, Kind: "skipped", Reason: "dead"}}})
	<-asked // another phone's line was heard of, and the round is asked for
	came, err := look(p, chromedp.Evaluate[int](visitsRead))
	if err != nil {
		t.Fatal(err)
	}
	p.given()
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	p.says(`[data-just-done="H000"]`, "5 mL")
	close(release)
	p.until(fmt.Sprintf(`%s > %d`, visitsRead, came))
	p.do(chromedp.Evaluate[chromedp.Void](`new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done())))`, chromedp.EvalAwaitPromise))
	if n := p.count(`[data-state="done"]`); n != 1 {
		t.Errorf("%d hives have their dose", n)
	}
}

// visitsRead is how many answers about the round have come.
const visitsRead = `performance.getEntriesByType('resource').filter((e) => e.name.includes('/visit?') && e.responseEnd > 0).length`
