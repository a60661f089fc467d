package e2e

import (
	"fmt"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
)

// keys presses one key after another.
func (p page) keys(all ...string) {
	p.t.Helper()
	for _, key := range all {
		p.do(chromedp.KeyEvent(key))
	}
}

// tabs presses a key, Tab where none is named, until what is focused is as wanted: a condition on e.
func (p page) tabs(wanted string, key ...string) {
	p.t.Helper()
	key = append(key, kb.Tab)
	for range 250 {
		there, err := look(p, chromedp.Evaluate[bool](`((e) => e !== null && Boolean(`+wanted+`))(document.activeElement)`))
		if err != nil {
			p.t.Fatal(err)
		}
		if there {
			return
		}
		p.keys(key[0])
	}
	p.t.Fatalf("%q never comes to what is %s\n%s", key[0], wanted, p.words())
}

// tabsTo comes to what a selector finds, once it is there.
func (p page) tabsTo(selector string) {
	p.t.Helper()
	p.do(shown(selector))
	p.tabs(fmt.Sprintf(`e.matches(%q)`, selector))
}

// goesTo finds a place by the switcher.
func (p page) goesTo(typed, listed, title string) {
	p.t.Helper()
	p.do(chromedp.KeyEvent("k", chromedp.KeyModifiers(chromedp.ModifierCtrl)), shown("[data-switcher] input"))
	p.keys(typed)
	p.says("[data-target]", listed)
	p.keys(kb.Enter)
	p.says("h1", title)
}

// The whole way from a count to the register is gone without a mouse: count, decide, make the
// job, mix, give, and read what was written.
func TestByKeyboardFromCountToRegister(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL, browser.Desk)
	p.says("h1", "Friday 4 December")

	p.goesTo("saltm", "Saltmarsh Hut", "Saltmarsh Hut")
	p.tabsTo(`main a[href$="/count"]`)
	p.keys(kb.Enter)
	p.tabsTo(`[data-count-row="S1"] input`)
	p.keys("9")
	p.tabsTo("[data-keep-counts]")
	p.keys(kb.Enter)
	p.says(`[data-count-row="S1"]`, "a day")

	p.goesTo("decide", "Decide", "What each hive needs")
	const yard = `[data-decide-yard="Saltmarsh Hut"]`
	p.do(shown(yard + " [data-tick-all]"))
	p.tabs(`e.closest('[data-decide-yard]')`) // all yards are one stop
	p.tabs(`e.closest('`+yard+`')`, kb.ArrowDown)
	p.tabs(`e.closest('[data-tick-all]') ?? e.matches('[data-tick-all]')`, kb.ArrowRight)
	p.keys(kb.Enter)
	p.says("[data-docket]", "hives", "Which rule do you work under?")
	p.tabs(`e.matches('[data-docket] button') && ['label', 'permit', 'own'].includes(e.value)`)
	p.tabs(`e.value === 'permit'`, kb.ArrowRight)
	p.keys(" ")
	p.tabsTo(`[data-path="rule"] input`)
	p.keys("permit held")
	p.tabsTo("[data-make-job]")
	p.keys(kb.Enter)
	p.tabsTo("[data-mix]")
	p.keys(kb.Enter)
	p.says("[data-docket]", "Weigh for")
	p.tabsTo("[data-save]")
	p.keys(kb.Enter)
	p.says("main", "Saved")

	p.goesTo("treat", "Treat", "Rounds")
	p.do(shown("[data-go-round]"))
	p.tabs(`e.matches('[data-go-round]') && e.closest('[data-outing]').innerText.includes('Saltmarsh Hut, dribble')`)
	p.keys(kb.Enter)
	p.do(shown("[data-ready]"))
	p.tabs(`e.matches('[data-jar] select')`)
	p.tabs(`e.selectedOptions[0].text.includes('not mixed at the bench')`, kb.ArrowUp)
	p.tabsTo("[data-by-hand]")
	p.keys(kb.Enter)
	p.do(shown("[data-given]:enabled"))
	hive, err := look(p, chromedp.Evaluate[string](`document.querySelector('[data-colony-open]').dataset.colonyOpen`))
	if err != nil {
		t.Fatal(err)
	}
	p.tabsTo("[data-given]")
	p.keys(kb.Enter)
	p.do(shown(`[data-signal="sent"][data-waiting="0"]`))

	p.goesTo("register", "Register", "Register")
	p.says(fmt.Sprintf("[data-line-of=%q]", hive), "Saltmarsh Hut", "permit held", "mg oxalic dihydrate")
}
