package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
)

// In the yard every target can be hit with gloves, and what acts is in sight: a round, a
// look-in, a board count and a bench step on a phone.
func TestGloves(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Phone)
	p.goes(s.URL+ropewalk+"/inspect", "[data-keep-inspection]")
	p.fits("look-in", "[data-keep-inspection]", `[data-gap="5"]`)
	p.goes(s.URL+saltmarshHut+"/inspect", "[data-keep-inspection]")
	p.fits("look-in, two boxes", "[data-keep-inspection]")
	p.goes(s.URL+saltmarshHut+"/boards", "[data-board]")
	p.fits("boards", "[data-save-board]", `[data-path="mites"] input`)
	p.click("[data-full-board]")
	p.fits("a full board", "[data-save-board]", `[data-path="mites"] input`)
	p.goes(s.URL+"/treat", "[data-go-round]")
	p.fits("rounds", "[data-go-round]")
	p.click("[data-go-round]")
	p.do(shown("[data-given]"))
	p.fits("round", "[data-given]", "[data-other]")
	p.held("round")
	p.click("[data-other]")
	p.do(shown("[data-reason]"))
	p.fits("other", `[data-reason="dead"]`, `[data-reason]:last-child`)
	p.goes(s.URL+"/practice", "main h1")
	p.fits("practice")
	p.goes(s.URL+"/mix", "[data-dose]")
	p.do(onBench("dribble", "sugar")...)
	p.fits("bench", "[data-primary]")
	p.held("bench, a step")
}

// goes opens an address and waits for what is on it.
func (p page) goes(url, selector string) {
	p.t.Helper()
	p.do(chromedp.Navigate(url), shown(selector))
}

// whole waits for what comes late, such as the calendar of a day.
func (p page) whole() {
	p.t.Helper()
	p.until(`!document.querySelector('[aria-busy="true"]')`)
}

// fits fails where something to press is smaller than a gloved finger, type is smaller than
// reads at arm's length, or what acts is out of sight.
func (p page) fits(where string, acts ...string) {
	p.t.Helper()
	p.whole()
	p.do(chromedp.Evaluate[chromedp.Void](`scrollTo(0, 0)`))
	wrong, err := look(p, chromedp.Evaluate[[]string](`(() => {
		const seen = (e) => e.checkVisibility({ visibilityProperty: true }) && !e.closest('.skip')
		const name = (e) => e.tagName + ' ' + (e.getAttribute('aria-label') ?? e.textContent).trim().slice(0, 40) + ' ' + JSON.stringify(e.dataset) + ' ' + (e.closest('[data-path]')?.dataset.path ?? '')
		const targets = [...document.querySelectorAll('a[href], button, input, select, textarea, summary, [role="button"], [role="radio"], [role="checkbox"], [role="slider"], [data-gap]')]
		const small = targets.filter(seen).flatMap((e) => {
			const field = e.matches('button') ? null : e.closest('.MuiInputBase-root, .MuiPickersInputBase-root')
			const labelled = e.closest('label, [data-target]') ?? field ?? e
			const { width, height } = labelled.getBoundingClientRect()
			return width > 0 && (width < 55.5 || height < 55.5) ? [Math.round(width) + ' x ' + Math.round(height) + ': ' + name(e)] : []
		})
		const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
		const fine = new Set()
		while (walker.nextNode()) {
			const e = walker.currentNode.parentElement
			if (!walker.currentNode.data.trim() || !seen(e) || e.closest('script, style, .unseen')) continue
			const box = e.ownerSVGElement
			const scale = box ? box.getBoundingClientRect().width / (box.viewBox.baseVal?.width || box.getBoundingClientRect().width) : 1
			const px = parseFloat(getComputedStyle(e).fontSize) * scale
			if (px < 13.9) fine.add(px.toFixed(1) + ' px: ' + walker.currentNode.data.trim().slice(0, 30))
		}
		return [...small, ...fine]
	})()`))
	if err != nil {
		p.t.Fatal(err)
	}
	for _, w := range wrong {
		p.t.Errorf("%s: %s", where, w)
	}
	for _, act := range acts {
		inSight, err := look(p, chromedp.Evaluate[bool](`(() => {
			const e = document.querySelector(`+"`"+act+"`"+`)
			if (!e) return false
			const { left, top, width, height } = e.getBoundingClientRect()
			const hit = document.elementFromPoint(left + width / 2, top + height / 2)
			return hit !== null && (e.contains(hit) || hit.contains(e)) && top >= 0 && top + height <= innerHeight
		})()`))
		if err != nil || !inSight {
			p.t.Errorf("%s: %s is not in sight without scrolling (%v)", where, act, err)
		}
	}
}
