package e2e

import (
	"fmt"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
)

// standing is the hives of a yard in the order in which they are drawn.
func (p page) standing() string {
	p.t.Helper()
	names, err := look(p, chromedp.Evaluate[string](`[...document.querySelectorAll('[data-stand]')].map((s) => s.dataset.stand).join(' ')`))
	if err != nil {
		p.t.Fatal(err)
	}
	return names
}

// stands waits for an order.
func (p page) stands(order string) {
	p.t.Helper()
	js := fmt.Sprintf(`[...document.querySelectorAll('[data-stand]')].map((s) => s.dataset.stand).join(' ') === %q`, order)
	if err := p.comes(js); err != nil {
		p.t.Fatalf("the hives stand as %s, want %s: %v", p.standing(), order, err)
	}
}

// The stand line is put in another order by keyboard, and stays so.
func TestStandLineByKeyboard(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+ropewalk, browser.Desk)
	p.stands("R1 R2 R3 R4 R5 R6 R7 R8")
	for _, key := range []string{" ", kb.ArrowRight, " "} {
		p.do(chromedp.Focus(chromedp.CSS(`[data-stand="R1"] [data-grip]`)), chromedp.KeyEvent(key))
		p.do(chromedp.Evaluate[chromedp.Void](`new Promise((done) => requestAnimationFrame(() => setTimeout(done)))`, chromedp.EvalAwaitPromise))
	}
	p.stands("R2 R1 R3 R4 R5 R6 R7 R8")
	p.do(chromedp.Reload())
	p.stands("R2 R1 R3 R4 R5 R6 R7 R8")
}

// A threshold of one's own changes how the same counts stand, everywhere.
func TestThresholdsOfOnesOwn(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/thresholds", browser.Desk)
	p.says("main", "Midwinter", "usual: 1", "no agreed threshold")
	p.fill("thresholds[0].board", "900")
	p.choose("Save")
	p.says(`[data-path="thresholds[0].board"]`, "Use 0 to 500 a day")
	p.fill("thresholds[0].board", "4")
	p.do(chromedp.Focus(chromedp.CSS(`[data-season="thresholds[0].board"] [role="slider"]`)))
	p.keys(kb.ArrowUp)
	if got := p.value("thresholds[0].board"); got != "5" {
		t.Errorf("the handle one step up from 4 stands at %q", got)
	}
	p.choose("Save")
	p.says("main", "Saved.")
	p.do(chromedp.Navigate(s.URL + "/yards"))
	p.says(`[data-yard="Ropewalk"] [data-stand="R3"]`, "under", "2.43 a day", "nothing now")
	p.do(chromedp.Navigate(s.URL + "/decide"))
	p.says(`[data-decide-yard="Ropewalk"] [data-row="R3"]`, "under")
}

// On a phone the matrix is told by shape and word, and its days choose the day.
func TestDecideOnAPhone(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/decide", browser.Phone)
	const yard = `[data-decide-yard="Kiln Lane"] `
	p.says(yard+`[data-row="K2"] [data-cell="dribble"]`, "look first")
	p.click(yard + `[data-row="K2"] [data-cell="dribble"]`)
	p.says(yard+"[data-reasons]", "A broodless inspection counts for 3 days", "Look again")
	p.click(yard + `[data-method="pad"]`)
	p.says(yard, "Windows for formic acid", "too cold")
	wide, err := look(p, chromedp.Evaluate[bool](`document.documentElement.scrollWidth > innerWidth + 1`))
	if err != nil || wide {
		t.Errorf("the page is wider than the phone: %v %v", wide, err)
	}
	p.neverNaN()
}
