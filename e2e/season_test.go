package e2e

import (
	"fmt"
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
)

// A season of practice from the first look to the verdict: by its number, in a frame that stands around every page, with the
// real screens; what is given works on what is hidden, and at the end the truth is laid over it. The real yards are as they were.
func TestPracticeSeason(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	o.stands(1, 2)
	p := open(t, s.URL+"/season", browser.Desk)
	p.signIn("Owner")
	p.says("main", "nothing of it touches your records")
	p.click(`[aria-label="How hard"] [value="3"]`)
	p.fill("seed", "4821")
	p.click("[data-begin]")
	p.says("[data-practice]", "Practice season 4821: nothing here is real.", "1 May")
	p.says("main", "Practice yard")
	p.click(`a[href^="/colonies/"]`)
	p.says("[data-glimpse]", "seams of bees", "No board is in.")
	p.click("[data-note-look]")
	p.says("[data-note-look]", "Written down")
	p.says("main", "today")
	p.click("[data-put-board]")
	p.click("[data-note-wash]")
	p.says("[data-glimpse]", "in 300 bees. It is written down.")
	p.says("[data-ahead]", "Forecast from 1 count and 1 inspection")
	p.onwards(7)
	p.says("[data-on-board]", "on the board in 7 days")
	p.click("[data-note-board]")
	p.says("[data-ahead]", "Forecast from 2 counts and 1 inspection")
	// In the run of the real screen the same is told.
	colony := s.URL + p.path()
	p.click(`a[href^="/yards/"]`)
	p.click(`a[href$="/inspect"]`)
	p.says("[data-you-see]", "seams of bees")
	for range 4 {
		p.onwards(28)
	}
	p.goes(colony, "[data-ahead]")
	p.turn("/season")
	p.choose("Show what is true")
	p.choose("Yes, show it")
	p.says("[data-verdict]", "So far")
	p.says(`[data-verdict-of="P1"]`, "while winter bees were raised", "It took:", "bees washed", "What would have done better:")
	p.choose("Throw this season away")
	p.choose("Yes, throw it away")
	p.until(`document.querySelector('[data-practice]') === null`)
	p.turn("/yards")
	p.says("main", "2 hives")
	if n := p.count("[data-glimpse], [data-you-see]"); n != 0 {
		t.Error("a real hive shows what is hidden")
	}
}

// onwards brings the clock of practice forward, and waits until it stands there.
func (p page) onwards(days int) {
	p.t.Helper()
	day, err := look(p, chromedp.Evaluate[string](`document.querySelector('[data-practice-day]').dataset.practiceDay`))
	if err != nil {
		p.t.Fatal(err)
	}
	p.click(fmt.Sprintf(`[data-onwards="%d"]`, days))
	p.until(fmt.Sprintf(`document.querySelector('[data-practice-day]').dataset.practiceDay > %q && !document.querySelector('[data-onwards]').disabled`, day))
}
