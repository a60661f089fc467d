package e2e

import (
	"testing"

	"keeler/e2e/browser"

	"github.com/chromedp/chromedp"
)

// Several hives come at once, one is closed on a day that is picked and found again, lists are
// searched and ordered, and a job that is over is archived and brought back.
func TestLists(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+ropewalk, browser.Desk)
	p.click("[data-add-colony]")
	p.fill("name", "R7")
	p.fill("many", "3")
	p.says("[data-colony-form]", "They will be R7, R8, R9.")
	p.click("[data-save-colony]")
	p.says(`[data-path="name"]`, "R7:", "already")
	p.fill("name", "R9")
	p.click("[data-save-colony]")
	p.until(`['R9', 'R10', 'R11'].every((n) => document.querySelector('[data-stand="' + n + '"]'))`)

	p.click(`[data-stand="R11"] a, a[data-stand="R11"]`)
	p.says("h1", "R11")
	p.click(`[data-step-of="end"]`)
	p.write(`[data-path="reason"] input`, "taken back apart")
	p.day("on", "05dec2026")
	p.choose("Close hive")
	p.says(`[data-path="on"]`, "is in the future")
	p.day("on", "01dec2026")
	p.choose("Close hive")
	p.says("main", "Closed on 1 Dec 2026")
	p.do(chromedp.Navigate(s.URL + ropewalk))
	p.click("[data-show-closed]")
	p.says("[data-closed]", "R11", "1 Dec 2026: taken back apart")
	p.click(`button[value="table"]`)
	p.pick("Show", "Over the threshold")
	p.until(`document.querySelectorAll('tbody tr').length === 2`)
	p.pick("Show", "All hives")
	p.pick("Sort by", "Most bees")
	p.says("tbody tr", "R5")

	p.do(chromedp.Navigate(s.URL + "/jobs"))
	p.says("[data-all-jobs]", "0 of 6 done")
	p.click(`[data-job="Ropewalk, August formic acid"] [data-put-away]`)
	p.until(`document.querySelector('[data-job="Ropewalk, August formic acid"]') === null`)
	p.pick("Show", "Archived")
	p.click(`[data-job="Ropewalk, August formic acid"] [data-put-away]`)
	p.until(`document.querySelectorAll('[data-job]').length === 0`)
	p.pick("Show", "Not archived")
	p.write("[data-sift] input", "saltmarsh strips")
	p.until(`document.querySelectorAll('[data-job]').length === 1`)
	p.says("[data-all-jobs]", "Saltmarsh Hut, spring strips", "10 of 10 done")

	p.do(chromedp.Navigate(s.URL + "/register"))
	p.write(`[data-path="find"] input`, "s6")
	p.until(`document.querySelector('[data-register]').innerText.includes('S6') && !document.querySelector('[data-register]').innerText.includes('K7')`)
	p.neverNaN()
}
