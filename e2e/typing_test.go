package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
)

// "8 colonies, 52 seams, what do I weigh?": 260 mL, a tenth and 10 mL more are
// 296 mL, 10.37 g acid and 177.8 g sugar, 6.3 oz. The acid stays in grams.
func TestTwoInputsAndUnits(t *testing.T) {
	p := open(t, up(t, false).URL, browser.Desk)
	p.fill("mean.seams", "52")
	p.fill("mean.colonies", "8")
	p.says("[data-docket]", "Weigh for 296 mL")
	p.says(`[data-line="Oxalic dihydrate"]`, "10.4 g")
	p.says(`[data-line="Sugar"]`, "178 g")

	p.otherUnits()
	p.says(`[data-line="Sugar"]`, "6.3 oz")
	p.says(`[data-line="Oxalic dihydrate"]`, "10.4 g")

	// Syringes and jugs are read in mL: what is liquid stands in mL everywhere.
	p.says("[data-docket]", "Weigh for 296 mL")
	p.choose("Volume")
	p.fill("size.volume_ml", "500")
	p.says("[data-docket]", "Weigh for 500 mL")
	p.otherUnits()
	if got := p.value("size.volume_ml"); got != "500" {
		t.Errorf("500 mL became %q", got)
	}
}

// Bad input is told at its field with what is possible, no old figure stays
// beside it, and nothing typed is lost by it or by a reload.
func TestBadInputAndReload(t *testing.T) {
	s := up(t, true)
	p := open(t, s.URL+"/mix", browser.Desk)
	p.says("[data-docket]", "Weigh for 265 mL")
	p.choose("Volume")
	for _, c := range []struct{ typed, told string }{
		{"-40", "Use 10 to 100,000 mL"},
		{"0", "Use 10 to 100,000 mL"},
		{"9e99", "Type a number"},
		{"a jug", "Type a number"},
		{"999999999", "Use 10 to 100,000 mL"},
	} {
		p.fill("size.volume_ml", c.typed)
		p.says(`[data-path="size.volume_ml"]`, c.told)
		p.says("[data-unfilled]", "Fix the marked field")
		p.neverNaN()
	}
	p.fill("size.volume_ml", "500")
	p.fill("name", "Before the frost")
	p.fill("size.volume_ml", "999999999")
	p.says("[data-unfilled]", "Use 10 to 100,000 mL")
	p.do(chromedp.Reload())
	p.says(`[data-path="size.volume_ml"]`, "Use 10 to 100,000 mL")
	if got := p.value("size.volume_ml"); got != "999999999" {
		t.Errorf("the reload lost what was typed: %q", got)
	}
	p.fill("size.volume_ml", "262")
	p.says(`[data-line="Oxalic dihydrate"]`, "9.2 g")
	if got := p.value("name"); got != "Before the frost" {
		t.Errorf("the batch's name was lost: %q", got)
	}

	p.choose("Packets")
	p.fill("hold.oad_percent", "0")
	p.says(`[data-path="hold.oad_percent"]`, "Use 1 to 100 %")
	p.choose("My own strength")
	p.fill("hold.oad_percent", "89")
	p.fill("strength.value", "300")
	p.says(`[data-path="strength.basis"]`, "does not guess")
	p.choose("Dihydrate")
	p.says(`[data-path="strength.value"]`, "More acid than will stay dissolved", "Use 5 to 80.5 g/L")
	p.neverNaN()
}

// A draft that cannot be read is told, never a blank page.
func TestBrokenDraft(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Desk)
	p.says("[data-docket]", "Weigh for 265 mL")
	p.do(chromedp.Evaluate[chromedp.Void](`window.addEventListener('beforeunload', () =>
		localStorage.setItem('keeler.mix.draft', '{"version":3,"units":"metric"}'))`), chromedp.Reload())
	p.says("body", "Something went wrong on this page")
	p.choose("Clear what was typed and start again")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-docket]")))
	p.says("[data-docket]", "Weigh for 265 mL")
}

// Of another shape than today's, or in a storage that is full, a draft is left aside.
func TestStorageThatKeepsNothing(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Desk)
	p.says("[data-docket]", "Weigh for 265 mL")
	p.do(chromedp.Evaluate[chromedp.Void](`window.addEventListener('beforeunload', () =>
		localStorage.setItem('keeler.mix.draft', '{"version":1}'))`), chromedp.Reload())
	p.says("[data-docket]", "Weigh for 265 mL")
	p.do(chromedp.Evaluate[chromedp.Void](`Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError') }`))
	p.choose("Volume")
	p.fill("size.volume_ml", "500")
	p.says("[data-docket]", "Weigh for 500 mL")
	p.otherUnits()
	p.says(`[data-line="Sugar"]`, "oz")
}

// With the server away nothing typed is lost, no figure is shown for what it
// did not work out, and both the figures and the saving come back with it.
func TestServerAway(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Phone)
	p.says("[data-docket]", "Weigh for 265 mL")
	if err := s.Hush(); err != nil {
		t.Fatal(err)
	}
	p.click("[data-save]")
	p.says("aside", "Not saved: Keeler cannot reach its server")
	p.click(gap("R4", 2))
	p.says("[data-unfilled]", "What you typed is still here")
	if err := s.Serve(); err != nil {
		t.Fatal(err)
	}
	// R4 has 4¼ seams now: 21 mL instead of 20; 232 × 1.1 + 10 = 265.2, so 266.
	p.says("[data-docket]", "Weigh for 266 mL")
	p.click("[data-save]")
	p.says("aside", "Saved: Ropewalk, 4 Dec 2026")
}

// The board by keyboard: a digit sets the gap, the arrows move on, several
// hives are added by typing their counts.
func TestBoardByKeyboard(t *testing.T) {
	p := open(t, up(t, false).URL, browser.Desk)
	p.do(chromedp.Focus(chromedp.CSS(gap("1", 0))), chromedp.KeyEvent(kb.ArrowRight), chromedp.KeyEvent("4"),
		chromedp.KeyEvent(kb.ArrowRight), chromedp.KeyEvent("2"), chromedp.KeyEvent(kb.ArrowUp))
	p.says(`[data-colony="1"]`, "9 mL · 1¾ seams") // 8.75 mL on marks of 1 mL

	p.do(chromedp.SendKeys(chromedp.CSS(`[data-add] input`), "6 5½ 7,25\r"))
	p.says(`[data-colony="3"]`, "27 mL · 5½ seams")
	p.says(`[data-colony="4"]`, "36 mL · 7¼ seams")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-add] input`), "6 lots\r"))
	p.says("[data-add]", "Entry 2 is not a seam count for this hive")
}
