package e2e

import (
	"fmt"
	"os"
	"regexp"
	"strings"
	"testing"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
)

// screens are an address of each route, and what is there when it is whole.
var screens = [][2]string{
	{"/", "[data-band]"},
	{"/mix", "[data-dose]"},
	{"/decide", "[data-tick-all]"},
	{"/jobs", "[data-job]"},
	{"/jobs/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e9101", "main h1"},
	{"/cards", "main h1"},
	{"/yards", "[data-stand]"},
	{ropewalk, "figure svg"},
	{ropewalk + "/inspect", "[data-keep-inspection]"},
	{ropewalk + "/count", "[data-path]"},
	{saltmarshHut + "/boards", "[data-board]"},
	{"/colonies/" + r3, "[data-year]"},
	{"/import", "main h1"},
	{"/thresholds", "[data-path]"},
	{"/people", "main h1"},
	{"/settings", "[data-path]"},
	{"/book", "main h1"},
	{"/calendar", "main h1"},
	{"/batches", "main h1"},
	{"/batches/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0004", "main h1"},
	{"/batches/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0004/label", "[data-label]"},
	{"/bench/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0004", "main h1"},
	{"/treat", "[data-go-round]"},
	{"/waiting", "main h1"},
	{"/check", "[data-job]"},
	{"/check/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e9101", "[data-falls]"},
	{"/compare", "main h1"},
	{"/compare/plan", "main svg"},
	{"/compare?by=groups&comparison=5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e9201", "[data-pairs]"},
	{"/register", "main h1"},
	{"/record", "[data-lines]"},
	{"/recall?batch=5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0004", "main h2"},
	{"/stock", "main h1"},
	{"/stock/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e000a", "[data-left]"},
	{"/more", "main h1"},
	{"/season", "[data-begin-season]"},
	{"/help", "main h1"},
	{"/practice", "main h1"},
	{"/reach", "main h1"},
	{"/join/nobody", "main h1"},
	{"/password/nobody", "main h1"},
	{"/nowhere", "main h1"},
}

// Nothing that axe-core finds stands on any screen, at the desk in daylight and at dusk; and each is called something.
func TestAccessibleAtTheDesk(t *testing.T) { accessible(t, browser.Desk) }

// Nor on a phone.
func TestAccessibleOnAPhone(t *testing.T) { accessible(t, browser.Phone) }

func accessible(t *testing.T, window browser.Action) {
	s := up(t, true)
	p := entered(t, s.URL, window)
	for _, screen := range screens {
		p.turn(screen[0])
		p.do(shown("main:not([data-left]) " + strings.TrimPrefix(screen[1], "main ")))
		p.held(screen[0])
		p.called(screen[0])
	}
}

// Nor on what opens over a page: menus, dialogs, sheets; nor on the paper of a round.
func TestAccessibleDialogs(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Desk)
	opens := func(where, selector string, steps ...browser.Action) {
		t.Helper()
		p.do(steps...)
		p.do(shown(selector))
		p.held(where)
		p.keys(kb.Escape)
		p.until(`document.querySelector('[role="dialog"], [role="menu"]') === null`)
	}
	p.do(shown("[data-dose]"))
	opens("operation menu", `[role="menu"]`, click("[data-menu]"))
	opens("keys", `[role="dialog"]`, chromedp.KeyEvent("?"))
	opens("switcher", "[data-switcher]", chromedp.KeyEvent("/"))
	opens("hive menu", `[role="menu"]`, click(`[aria-haspopup="menu"][aria-label="More for R1"]`))
	opens("frames", `[role="dialog"]`, click(`[aria-haspopup="menu"][aria-label="More for R1"]`), shown(`[role="menu"]`), click(`[role="menuitem"]`))
	p.goes(s.URL+"/treat", "[data-go-round]")
	p.click("[data-go-round]")
	p.do(shown("[data-given]"))
	p.called("a round")
	p.goes(s.URL+strings.TrimSuffix(p.path(), "/")+"/sheet", "[data-dose-table]")
	p.held("a round on paper")
	p.called("a round on paper")
}

// At 200 % a page at the desk is as wide as 640 px: nothing of it is cut off, and it scrolls
// one way only.
func TestZoomedToTwiceTheSize(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL, chromedp.EmulateViewport(640, 400, chromedp.EmulateScale(2)))
	for _, screen := range screens {
		p.turn(screen[0])
		p.do(shown("main:not([data-left]) " + strings.TrimPrefix(screen[1], "main ")))
		wide, err := look(p, chromedp.Evaluate[[]string](`document.documentElement.scrollWidth <= innerWidth ? [] : [...document.querySelectorAll('body *')]
			.filter((e) => e.getBoundingClientRect().right > innerWidth + 1 && !e.closest('svg') && getComputedStyle(e).position !== 'fixed').slice(-3).map((e) => e.outerHTML.slice(0, 120))`))
		if err != nil {
			t.Fatal(screen[0], err)
		}
		for _, w := range wide {
			t.Errorf("%s at 200 %%: %s", screen[0], w)
		}
	}
}

// called holds that a page has one heading of the first rank, and a title.
func (p page) called(where string) {
	p.t.Helper()
	if err := p.comes(`document.querySelectorAll('h1').length === 1 && document.title.endsWith(' · Keeler')`); err != nil {
		p.t.Errorf("%s has %d headings of the first rank: %v", where, p.count("h1"), err)
	}
}

// axe brings axe-core onto the page, once.
func (p page) axe() {
	p.t.Helper()
	if there, err := look(p, chromedp.Evaluate[bool](`globalThis.axe !== undefined`)); err != nil || there {
		return
	}
	axe, err := os.ReadFile("../web/node_modules/axe-core/axe.min.js")
	if err != nil {
		p.t.Fatal(err)
	}
	p.do(chromedp.Evaluate[chromedp.Void](string(axe) + "; undefined"))
}

// turn goes to another screen as a link would: no page starts anew. What stands there still is
// marked as left.
func (p page) turn(path string) {
	p.t.Helper()
	p.do(chromedp.Evaluate[chromedp.Void](fmt.Sprintf(`document.querySelector('main')?.setAttribute('data-left', '')
		history.pushState({}, '', %q); dispatchEvent(new PopStateEvent('popstate', { state: {} }))`, path)))
}

// held holds what stands on the page against axe-core, by day and at dusk.
func (p page) held(where string) {
	p.t.Helper()
	p.axe()
	p.whole()
	// At dusk nothing but the colours is another.
	for scheme, rules := range map[string]string{"light": "", "dark": ", runOnly: ['color-contrast']"} {
		if _, err := chromedp.Call(p.ctx, emulation.SetEmulatedMedia, emulation.SetEmulatedMediaParams{
			Features: []*emulation.MediaFeature{{Name: "prefers-color-scheme", Value: scheme}, {Name: "prefers-reduced-motion", Value: "reduce"}},
		}); err != nil {
			p.t.Fatal(err)
		}
		p.until(`document.documentElement.dataset.scheme === '` + scheme + `' && document.getAnimations().every((a) => a.playState !== 'running')`)
		found, err := look(p, chromedp.Evaluate[[]string](`axe.run(document, { resultTypes: ['violations']`+rules+` }).then(({ violations }) =>
			violations.filter((v) => v.impact !== 'minor').flatMap((v) => v.nodes.map((n) => v.impact + ' ' + v.id + ': ' + n.target.join(' ') + ' · ' + (n.any[0] ?? n.all[0] ?? n.none[0])?.message)))`, chromedp.EvalAwaitPromise))
		if err != nil {
			p.t.Fatal(where, err)
		}
		for _, f := range found {
			p.t.Errorf("%s, %s: %s", where, scheme, f)
		}
	}
}

// Every route is among them.
func TestScreensOfEveryRoute(t *testing.T) {
	routes, err := os.ReadFile("../web/src/routes.tsx")
	if err != nil {
		t.Fatal(err)
	}
	all := regexp.MustCompile(`page\('(/[^']*)'`).FindAllStringSubmatch(string(routes), -1)
	if len(all) < 35 {
		t.Fatalf("only %d routes", len(all))
	}
	for _, route := range all {
		shape := regexp.MustCompile("^" + regexp.MustCompile(`/:\w+(\??)`).ReplaceAllString(route[1], "(/[^/]+)$1") + "$")
		if strings.HasPrefix(route[1], "/rounds/") { // whose addresses have a day in them: TestGloves holds a round
			continue
		}
		found := false
		for _, screen := range screens {
			path, _, _ := strings.Cut(screen[0], "?")
			found = found || shape.MatchString(path)
		}
		if !found {
			t.Errorf("no screen of %s", route[1])
		}
	}
}
