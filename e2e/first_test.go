package e2e

import (
	"fmt"
	"testing"

	"keeler/e2e/browser"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
)

// inputs is a page whose presses are counted: one for a click, a choice, a key, and one for a
// field, however long the word is that goes into it.
type inputs struct {
	page
	n *int
}

func (p inputs) press(selector string) { *p.n++; p.click(selector) }
func (p inputs) says2(words string)    { *p.n++; p.choose(words) }
func (p inputs) enters(path, text string) {
	*p.n++
	p.do(chromedp.WaitVisible(chromedp.CSS(fmt.Sprintf(`[data-path=%q] input`, path))))
	p.fill(path, text)
}

func (p inputs) keys(keys ...string) {
	for _, key := range keys {
		*p.n++
		p.do(chromedp.KeyEvent(key))
	}
}

// A new operation's first day, with six hives and nobody to tell the weather: from the first
// start to the first docket in 90 inputs at most, of which the look into the hives takes 40; then
// the round, and three weeks later the first thing to come back for, done from Today.
func TestFirstStartToFirstFollowup(t *testing.T) {
	s := up(t, false)
	s.Overcast()
	n := 0
	p := inputs{open(t, s.URL+"/yards", browser.Desk), &n}
	p.enters("code", s.Code)
	p.enters("operation", "Slipway crew")
	p.enters("login", "Owner")
	p.enters("password", "several plain words")
	p.says2("Start")
	p.says("main", "No yards yet")
	p.says2("Add a yard")
	p.enters("name", "Slipway")
	p.enters("latitude", "57.5")
	p.says2("Save")
	p.press(`[data-yard="Slipway"] h2 a`)
	p.press("[data-add-colony]")
	p.enters("name", "A1")
	p.enters("many", "6")
	p.says("[data-colony-form]", "They will be A1, A2, A3, A4, A5, A6.")
	p.press("[data-save-colony]")
	p.until(`document.querySelectorAll('[data-stand]').length === 6`)

	before := n
	p.press("[data-look]")
	for i := range 6 {
		p.says("[data-inspection-sheet]", fmt.Sprintf("A%d", i+1))
		p.until(`document.activeElement.closest('[data-path="typed"]') !== null`)
		p.keys("6", "b", "s", "s", "u", kb.Enter) // six seams, no sealed brood, stores enough, no supers
	}
	p.says("main", "All hives inspected")
	if looked := n - before; looked >= 40 {
		t.Errorf("the look into six hives takes %d inputs, under 40 are wanted", looked)
	}

	p.press(`header a[href="/decide"]`)
	p.enters("low_c", "1")
	p.enters("high_c", "7")
	p.enters("wind_ms", "2")
	p.enters("rain_mm", "0")
	p.press(`[data-save-form="weather"]`)
	p.says("[data-narrow]", "dribble fits 6") // two of them with care: nobody has counted yet
	p.press("[data-tick-all]")
	p.says("[data-docket]", "6 hives", "36 seams")
	p.says2("A prescription or permit")
	p.enters("rule", "permit held")
	p.press("[data-make-job]")
	p.press("[data-mix]")
	p.says("[data-docket]", "Prescription or permit: permit held", "Weigh for")
	t.Logf("%d inputs to the first docket", n)
	if n > 90 {
		t.Errorf("the first docket takes %d inputs, at most 90 are wanted", n)
	}
	p.press("[data-save]")
	p.says("main", "Saved")
	p.do(chromedp.Navigate(s.URL + "/treat"))
	p.press("[data-go-round]")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-colony-open]")), chromedp.WaitVisible(chromedp.CSS("[data-ready]")))
	p.byHand("No. 1 Slipway, dribble, 4 Dec 2026")
	for i := range 6 {
		p.says("[data-colony-open]", fmt.Sprintf("A%d", i+1), "30")
		p.given()
	}
	p.says("main", "Round done")

	s.Later(21)
	p.do(chromedp.Navigate(s.URL))
	p.says("h1", "Friday 25 December")
	p.click(`[data-followup="count"] [data-do]`)
	for i := range 6 {
		p.write(fmt.Sprintf(`[data-count-row="A%d"] input`, i+1), "2")
	}
	p.click("[data-keep-counts]")
	p.says(`[data-count-row="A6"]`, "a day")
	p.click(`header a[href="/"]`)
	p.says("h1", "Friday 25 December")
	p.until(`document.querySelector('[data-followup="count"]') === null`)
}
