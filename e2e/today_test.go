package e2e

import (
	"database/sql"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
	"keeler/e2e/stand"
)

// A keeper opens Keeler in the morning: what is late comes first, one thing is skipped for a
// reason, one is begun from there; a day later all of it has moved on.
func TestTodayThroughDays(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL, browser.Desk)
	p.says("h1", "Friday 4 December")
	p.says(`[data-followup="out"][data-state="late"]`, "Take the strips out", "K5, K6, K7", "2 days late")
	p.says(`[data-followup="visit"]`, "Ropewalk", "Suitable weather Fri 4 Dec")
	p.says("[data-week]", "Ropewalk Dribble · 6 hives", "nitrile gloves", "Mix first Ropewalk, midwinter dribble")
	p.says("header nav", "1 late", "25 hives", "jobs running")
	p.until(`document.querySelectorAll('[data-band-yard="Ropewalk"] [data-band-mark="visit"]').length === 1`)
	if n := p.count("h1"); n != 1 {
		t.Errorf("%d headings of the first rank", n)
	}
	p.click(`[data-followup="lot_ends"] [data-skip]`)
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-followup="lot_ends"] [data-path="reason"] input`), "a new bottle is here\r"))
	p.until(`document.querySelector('[data-followup="lot_ends"]') === null`)
	p.click("[data-demo-clock]")
	p.says("h1", "Saturday 5 December")
	p.says(`[data-followup="out"]`, "3 days late")
	p.says(`[data-followup="visit"][data-state="late"]`, "1 day late")
	p.until(`document.querySelector('[data-followup="lot_ends"]') === null`)
	p.click(`[data-followup="out"] [data-do]`)
	p.says("[data-colony-open]", "K5")
	p.do(chromedp.Evaluate[chromedp.Void]("history.back()"))
	p.says("h1", "Saturday 5 December")
	for _, day := range []string{"Sunday 6", "Monday 7", "Tuesday 8", "Wednesday 9", "Thursday 10", "Friday 11"} {
		p.click("[data-demo-clock]")
		p.says("h1", day+" December")
	}
	p.says(`[data-followup="out"]`, "9 days late")
	p.says(`[data-followup="visit"][data-state="late"]`, "7 days late")
	p.says("[data-week]", "Kiln Lane", "Count mites")
	p.neverNaN()
}

// An association lets its yards treat in one fortnight: a day that is none is told at its
// field, and then each yard says how far it is.
func TestTodayTogether(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL, browser.Phone)
	p.says("[data-not-mixed]", "Not mixed yet: mix first")
	p.click("[data-set-together]")
	p.day("from", "31feb2027")
	p.click("[data-together-yes]")
	p.says(`[data-path="from"]`, "There is no such day")
	p.day("from", "01dec2026")
	p.click("[data-together-yes]")
	p.says("[data-together]", "Everyone treats together, 1 Dec 2026 to 14 Dec 2026")
	p.says(`[data-together-yard="Ropewalk"]`, "0 of 8 done, 6 planned")
	p.click("[data-not-mixed] a")
	p.says("h1", "Ropewalk, midwinter dribble")
}

// A person in two operations goes on in the other by the menu, and back: each has its own day.
func TestPersonInTwoOperations(t *testing.T) {
	chromium(t)
	dsn, err := database.Database(t.Context(), t.Name())
	if err != nil {
		t.Fatal(err)
	}
	s, err := stand.On(t.Context(), dsn, true)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = s.Down() })
	codes.Store(t.Name(), s.Code)
	db, err := sql.Open("mysql", dsn)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = db.Close() }()
	p := entered(t, s.URL, browser.Phone)
	p.says("h1", "Friday 4 December")
	for _, statement := range []string{
		"INSERT INTO operations (id, name, created_at) VALUES (78, 'Upriver', NOW(6))",
		"INSERT INTO members (user_id, operation_id, role, joined_at) SELECT user_id, 78, 'helper', NOW(6) FROM members",
	} {
		if _, err := db.Exec(statement); err != nil {
			t.Fatal(err)
		}
	}
	p.do(chromedp.Reload())
	goes := func(to, says string) {
		t.Helper()
		p.click("[data-menu]")
		p.click(`[data-operation="` + to + `"]`)
		p.says("[data-menu]", to)
		p.says("main", says)
	}
	goes("Upriver", "No hives yet")
	goes("Marrow Quay", "Take the strips out")
}

// In a new operation Today says where to begin, and on a phone its foot leads on.
func TestTodayOfNobody(t *testing.T) {
	s := up(t, false)
	p := entered(t, s.URL, browser.Phone)
	p.says("main", "No hives yet")
	p.click(`nav a[href="/more"]`)
	p.says("main", "Register", "Stock", "Practice")
	p.click(`main a[href="/book"]`)
	p.click(`main a[href="/register"]`)
	p.until(`document.title === 'Register · Keeler'`)
}

// An address for the calendar is shown this once; when it was revoked it leads nowhere.
func TestCalendarAddress(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/calendar", browser.Desk)
	p.click("[data-make-feed]")
	p.says("[data-link]", s.URL+"/api/calendar/")
	reads := func() bool {
		t.Helper()
		is, err := look(p, chromedp.Evaluate[bool](`fetch(globalThis.feed ??= document.querySelector('[data-link]').innerText).then((r) => r.text()).then((t) => t.includes('SUMMARY:Kiln Lane: Take the strips out'))`, chromedp.EvalAwaitPromise))
		if err != nil {
			t.Fatal(err)
		}
		return is
	}
	if !reads() {
		t.Error("the strips are not in it")
	}
	p.click("[data-end-feed]")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-make-feed]")))
	if reads() {
		t.Error("revoked, it still reads")
	}
}

// A few letters lead to a hive, a yard, a job or a page; a field keeps its slash.
func TestSwitcher(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL, browser.Desk)
	p.says("h1", "Friday 4 December")
	goes := func(open browser.Action, typed, title, says string) {
		t.Helper()
		p.do(open, chromedp.WaitVisible(chromedp.CSS("[data-switcher] input")),
			chromedp.SendKeys(chromedp.CSS("[data-switcher] input"), typed))
		p.says("[data-target]", says)
		p.do(chromedp.KeyEvent(kb.Enter))
		p.until("document.title === " + `"` + title + ` · Keeler"`)
		p.says("h1", says)
	}
	ctrlK := chromedp.KeyEvent("k", chromedp.KeyModifiers(chromedp.ModifierCtrl))
	goes(chromedp.KeyEvent("/"), "r5", "Hive", "R5")
	goes(ctrlK, "saltm", "Yard", "Saltmarsh Hut")
	goes(ctrlK, "stock", "Stock", "Stock")
	goes(ctrlK, "ropewalk midw", "Job", "Ropewalk, midwinter dribble")
	p.do(chromedp.Navigate(s.URL+"/mix"), chromedp.WaitVisible(chromedp.CSS("main input")),
		chromedp.Focus(chromedp.CSS("main input")), chromedp.KeyEvent("/"))
	if n := p.count("[data-switcher]"); n != 0 {
		t.Error("a slash in a field opens the switcher")
	}
}
