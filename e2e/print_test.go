package e2e

import (
	"fmt"
	"regexp"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
)

var sheet = regexp.MustCompile(`/Type\s*/Page\b`)

// pages prints and counts the sheets.
func (p page) pages(paper chromedp.PaperSize) int {
	p.t.Helper()
	pdf, err := look(p, chromedp.PrintToPDF(chromedp.PDFPaper(paper), chromedp.PDFPreferCSSPageSize()))
	if err != nil {
		p.t.Fatal(err)
	}
	return len(sheet.FindAll(pdf, -1))
}

// The docket of up to 20 colonies goes on one page; a longer one continues.
func TestDocketPrintsOnOnePage(t *testing.T) {
	p := open(t, up(t, false).URL, browser.Desk)
	add := func(n int) {
		p.do(chromedp.SendKeys(chromedp.CSS(`[data-add] input`), strings.Repeat("11 ", n)+"\r"))
	}
	p.do(chromedp.WaitVisible(chromedp.CSS(gap("1", 4))), chromedp.Focus(chromedp.CSS(gap("1", 4))), chromedp.KeyEvent("4"))
	add(19)
	p.says("[data-docket]", "20 11", fmt.Sprint(19*11+1)) // every one capped, so that the warnings print too
	for name, paper := range map[string]chromedp.PaperSize{"A4": chromedp.PaperA4, "Letter": chromedp.PaperLetter} {
		if n := p.pages(paper); n != 1 {
			t.Errorf("20 colonies take %d pages of %s, want 1", n, name)
		}
	}
	for method, title := range map[string]string{"strip": "Make solution for", "pad": "Dilute to"} {
		p.click(fmt.Sprintf(`[data-choose=%q]`, method))
		if method == "pad" {
			p.fill("hold.percent", "85")
		}
		p.says("[data-docket]", title, "20")
		if n := p.pages(chromedp.PaperA4); n != 1 {
			t.Errorf("20 colonies by %s take %d pages, want 1", method, n)
		}
	}
	p.click(`[data-choose="dribble"]`)
	p.says("[data-docket]", "Weigh for")
	add(40)
	p.says("[data-docket]", "60 11")
	if n := p.pages(chromedp.PaperA4); n < 2 || n > 3 {
		t.Errorf("60 colonies take %d pages of A4", n)
	}
}
