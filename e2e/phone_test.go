package e2e

import (
	"fmt"
	"testing"

	"keeler/e2e/browser"

	"github.com/chromedp/chromedp"
)

// The whole way is gone on a phone alone: count, decide, make the job, mix, give, and read
// what was written.
func TestByPhoneFromCountToRegister(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL, browser.Phone)
	p.says("h1", "Friday 4 December")
	p.click(`nav[class*="foot"] a[href="/yards"]`)
	for _, yard := range []string{"Kiln Lane", "Ropewalk", "Saltmarsh Hut"} { // nothing moves any more
		p.do(shown(`[data-yard="` + yard + `"] [data-stand]`))
	}
	p.click(`[data-yard="Saltmarsh Hut"] a`)
	p.says("h1", "Saltmarsh Hut")
	p.click(`main a[href$="/count"]`)
	p.write(`[data-count-row="S1"] input`, "9")
	p.click("[data-keep-counts]")
	p.says(`[data-count-row="S1"]`, "a day")
	p.click(`main a[href^="/yards/"]`)

	p.click(`nav[class*="foot"] a[href="/more"]`)
	p.click(`main a[href="/decide"]`)
	p.click(`[data-decide-yard="Saltmarsh Hut"] [data-tick-all]`)
	p.says("[data-docket]", "hives", "Which rule do you work under?")
	p.click(`[data-docket] button[value="permit"]`)
	p.write(`[data-path="rule"] input`, "permit held")
	p.click("[data-make-job]")
	p.click("[data-mix]")
	p.says("[data-docket]", "Weigh for")
	p.click("[data-save]")
	p.says("main", "Saved")

	p.click(`nav[class*="foot"] a[href="/treat"]`)
	p.do(shown("[data-go-round]"))
	p.do(chromedp.Evaluate[chromedp.Void](`[...document.querySelectorAll('[data-outing]')].find((e) => e.innerText.includes('Saltmarsh Hut, dribble')).querySelector('[data-go-round]').click()`))
	p.do(shown("[data-ready]"))
	p.until(`(() => {
		const list = document.querySelector('[data-jar] select')
		const option = [...(list?.options ?? [])].find((o) => o.text.includes('not mixed at the bench'))
		if (!option) return false
		Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(list, option.value)
		list.dispatchEvent(new Event('change', { bubbles: true }))
		return true
	})()`)
	p.click("[data-by-hand]")
	p.do(shown("[data-given]:enabled"))
	hive, err := look(p, chromedp.Evaluate[string](`document.querySelector('[data-colony-open]').dataset.colonyOpen`))
	if err != nil {
		t.Fatal(err)
	}
	p.click("[data-given]")
	p.do(shown(`[data-signal="sent"][data-waiting="0"]`))

	p.goes(s.URL+"/more", "main h1")
	p.click(`main a[href="/register"]`)
	p.says(fmt.Sprintf("[data-line-of=%q]", hive), "Saltmarsh Hut", "permit held", "mg oxalic dihydrate")
}

// Who has never seen Keeler reads the guide, follows its link and has a docket, with no yard,
// no job and no account.
func TestFromHelpToTheFirstDocket(t *testing.T) {
	s := up(t, false)
	p := open(t, s.URL+"/help", browser.Phone)
	p.says("main", "2 full seams, ½ and ¼: 2¾ seams", "do not induce vomiting")
	p.click(`main a[href="/mix"]`)
	p.says("[data-unfilled]", "Your docket will be here")
	p.write(`[aria-label="Add several hives by typing their seams"]`, "6 5½")
	p.choose("Add")
	p.says("[data-docket]", "Weigh for", "nitrile gloves")
	p.says(`[data-line="Oxalic dihydrate"]`, "g")
}
