package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
)

// Formic acid is let down outdoors from a lot in stock: what cannot be is told at
// its field, the lot goes down by what was weighed, too much water is thrown away with
// its bicarbonate, and a lot is measured again with the reason.
func TestFormicFromTheShelf(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/stock", browser.Desk)
	p.says("main", "Formic acid", "litre bottle, 85 %", "use soon", "Oxalic acid", "lot no. A-2231")
	p.choose("Formic acid")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-path="name"] input`), "new bottle"))
	p.fill("amount", "plenty")
	p.says(`[data-path="amount"]`, "Type a number")
	p.fill("amount", "1000")
	p.day("expires_on", "31nov2027")
	p.click(`[data-save-form="lot"]`)
	p.says(`[data-path="expires_on"]`, "There is no such day")
	p.do(chromedp.Reload())
	if got := p.value("name"); got != "new bottle" {
		t.Errorf("a reload lost what was typed: %q", got)
	}
	p.day("expires_on", "31jan2028")
	p.click(`[data-save-form="lot"]`)
	p.do(chromedp.WaitVisible(chromedp.CSS(`[data-lot-name="new bottle"]`)))

	p.do(chromedp.Navigate(s.URL + "/mix"))
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-dose]")))
	p.click(`[data-choose="pad"]`)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-given]")))
	p.toBench("")
	p.at("cold_water")
	p.pick("Formic acid from", "new bottle")
	water := p.wantedAt("cold_water")
	p.types("cold_water", water)
	p.space()
	p.at("gear")
	p.says("[data-step]", "butyl or neoprene gloves", "full mask, acid-gas filter in date", "second person near")
	p.space()
	p.at("outdoors")
	p.says("[data-step]", "upwind")
	p.space()
	p.types("stock", p.wantedAt("stock"))
	p.says("[data-so-far]", "✓ water", "✓ stock")
	p.do(chromedp.Click(chromedp.CSS("[data-back]")))
	p.at("outdoors") // going back loses nothing
	p.says("[data-so-far]", "✓ stock")
	p.space()
	p.at("stock")
	p.space()
	p.at("close")
	p.space()
	p.at("finish")
	p.says("[data-step]", "60.", "% formic acid")
	p.click("[data-discard]")
	p.says("[data-discarding]", "bicarbonate", "portions of", "bicarbonate in it", "keep bees and children away from it")
	p.click("[data-discard-yes]")
	p.says("[data-ended]", "thrown away")
	p.says("[data-log]", "Weigh the cold water", "thrown away", "Demo keeper")

	p.do(chromedp.Navigate(s.URL + "/stock"))
	p.click(`[data-lot-name="new bottle"]`)
	p.says("main", "bought", "+1,000", "used", "then")
	p.choose("found")
	p.fill("amount", "880")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-path="reason"] input`), "weighed the bottle\r"))
	p.says("[data-left]", "880 g")
	p.neverNaN()
}

// What was given outside a job is recorded in a short form, is found by its filter, and
// stays typed while something in it cannot be.
func TestOtherTreatment(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/register", browser.Desk)
	p.says("[data-register]", "Kiln Lane", "3 pieces", "looked for eggs: seen")
	p.pick("Method", "vapour")
	p.says("[data-register]", "Nothing matches")
	p.pick("Method", "all methods")
	p.day("from", "31nov2026") // is not a day that can be gone by, and says so
	p.says(`[data-path="from"]`, "There is no such day")
	p.day("from", "01dec2026")
	p.says("[data-register]", "Nothing matches")
	p.day("from", "")
	p.click("[data-record-other]")
	p.do(chromedp.WaitVisible(chromedp.CSS(`[data-form="other"]`)))
	p.pickIn(`[data-form="other"]`, "Yard", "Kiln Lane")
	p.day("given_on", "01aug2027")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-path="product"] input`), "vaporised by a neighbour"))
	p.click(`[data-save-form="other"]`)
	p.says(`[data-path="given_on"]`, "is in the future")
	p.day("given_on", "30nov2026")
	p.fill("withdrawal_days", "2.5")
	p.says(`[data-path="withdrawal_days"]`, "whole number")
	p.fill("withdrawal_days", "7")
	p.click(`[data-save-form="other"]`)
	p.says("[data-register]", "recorded only", "vaporised by a neighbour", "honey after 7 days", "Kiln Lane")
	p.pick("Method", "vapour")
	p.choose("colony")
	p.until(`document.querySelectorAll('[data-line-of]').length === 7`)
	if n := p.count("[data-register] h2"); n != 7 {
		t.Errorf("%d heads for 7 colonies", n)
	}
	p.click("[data-amend]")
	p.click("[data-save-form=amend]")
	p.says("[data-register]", "nothing given", "undone; it said", "Changed on")
	p.do(chromedp.Navigate(s.URL + "/decide"))
	p.says("main", "Kiln Lane")
	p.neverNaN()
}
