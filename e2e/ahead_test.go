package e2e

import (
	"fmt"
	"testing"

	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
)

// A colony's year ahead: one sentence leads, with what it rests on; suggested plans are laid side by side, moved by key and
// by drag, and answer; what speaks against a dribble on brood is said at it; a reload keeps the plans; and one becomes jobs of the
// whole yard.
func TestPlanBecomesJobs(t *testing.T) {
	s := up(t, true)
	colony := s.URL + "/colonies/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e2002"
	p := entered(t, colony, browser.Desk)
	p.says("[data-ahead]", "This hive may be over the threshold already", "Forecast from 9 counts and 9 inspections", "A forecast is no count", "would make the band about")
	p.click("[data-plan-year]")
	p.click("[data-offer]")
	p.click(`[data-offer-of="Twice a year"] button`)
	p.until(`document.querySelector('[data-plan="Plan A"] [data-visits="4"]') !== null`)
	p.says(`[data-plan="Plan A"]`, "out 19 Sep 2027")
	p.click("[data-add-plan]")
	p.pick("Add a treatment to Plan B", "Dribble, in season")
	p.until(`document.querySelector('[data-plan="Plan B"] [data-visits="1"]') !== null`)
	dribble := `[aria-label="Dribble, in season, Plan B"]`
	p.do(chromedp.Focus(chromedp.CSS(dribble)))
	p.keys(kb.PageUp, kb.PageUp, kb.PageUp)                                                                     // three weeks
	p.until(fmt.Sprintf(`document.querySelector(%q).getAttribute('aria-valuetext') === '8 Jan 2027'`, dribble)) // 18 December and three weeks
	// Dragged on by 160 of 365 days, it comes into the brood.
	p.drags(dribble, 160.0/365)
	p.says(`[data-plan="Plan B"] [data-against]`, "of 100 mites are under cappings then")
	p.reload()
	p.says(`[data-plan="Plan B"] [data-against]`, "of 100 mites are under cappings then")
	p.click(`[data-plan="Plan A"] [data-make-jobs]`)
	p.says("[data-plan-jobs]", "all 8 hives of the yard", "R2 only")
	p.says("[data-takes]", "What it takes for 8 hives", "Oxalic acid", "Glycerol")
	p.choose("Own mixture, where that is allowed")
	p.fill("rule", "permit held, own colonies")
	p.click("[data-make-them]")
	p.says("[data-plan-jobs]", "it does not fit on that day: R", "Why do it all the same?", "the reason stays in the record.")
	p.fill("override", "planned ahead, to be looked at again")
	p.click("[data-make-them]")
	p.says("[data-jobs-made]", "2 jobs are made")
	p.click("[data-jobs-made] a")
	p.says("main", "Ropewalk, dribble", "Ropewalk, strips")
}

// drags takes something along the axis of a drawing's year, by so much of its width.
func (p page) drags(selector string, by float64) {
	p.t.Helper()
	type place struct{ X, Y, Wide float64 }
	from, err := look(p, chromedp.Evaluate[place](fmt.Sprintf(`(() => { const of = document.querySelector(%q); of.scrollIntoView({block: 'center'}); const b = of.getBoundingClientRect(), s = of.ownerSVGElement.getBoundingClientRect();
		return {X: b.x + 12, Y: b.y + b.height / 2, Wide: s.width * 1030 / 1180} })()`, selector)))
	if err != nil {
		p.t.Fatal(err)
	}
	p.do(chromedp.MouseEvent(input.DispatchMouseEventTypeMousePressed, from.X, from.Y, chromedp.ButtonLeft, chromedp.ClickCount(1)))
	for part := range 8 {
		x := from.X + by*from.Wide*float64(part+1)/8
		p.do(chromedp.MouseEvent(input.DispatchMouseEventTypeMouseMoved, x, from.Y, chromedp.ButtonLeft))
	}
	p.do(chromedp.MouseEvent(input.DispatchMouseEventTypeMouseReleased, from.X+by*from.Wide, from.Y, chromedp.ButtonLeft, chromedp.ClickCount(1)))
}
