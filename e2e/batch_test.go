package e2e

import (
	"fmt"
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
)

func gap(colony string, n int) string {
	return fmt.Sprintf(`[data-colony=%q] [data-gap="%d"]`, colony, n)
}

// From opening the page to finding the kept batch after the server was away.
//
// Six full seams are 30 mL; a tenth and 10 mL more make 43 mL. Of the label
// litre's 998.68 mL that is 43/998.68: 25.83 g sugar and water, 1.507 g acid;
// a third of the water is 8.6, the rest 17.2.
func TestFromFirstLookToKeptBatch(t *testing.T) {
	s := up(t, false)
	p := entered(t, s.URL+"/mix", browser.Desk)
	p.says("[data-unfilled]", "Your docket will be here", "Nothing to dose yet")
	if n := p.count("main .Mui-error, main .MuiAlert-colorError"); n != 0 {
		t.Errorf("a first visit opens with %d things in red", n)
	}

	p.fill("hold.grams", "64")
	for n := 3; n <= 8; n++ {
		for range 4 { // none, ¼, ½, ¾, full
			p.click(gap("1", n))
		}
	}
	p.says("[data-docket]", "Weigh for 43 mL", "label litre")
	p.says(`[data-line="Sugar"]`, "25.8 g", "± 0.3")
	p.says(`[data-line="Water, 65 °C"]`, "8.6 g")
	p.says(`[data-line="Oxalic dihydrate"]`, "1.5 g", "± 0.1")
	p.says(`[data-line="The sugar, then water"]`, "17.2 g")
	p.says("[data-docket]", "3.50 % w/v", "2.50 % w/v", "nitrile gloves", "A balance that reads 0.1 g")
	p.says(`[data-colony="1"]`, "30 mL · 6 seams")

	p.fill("name", "Slipway hive")
	p.click("[data-save]")
	p.says("aside", "Saved: Slipway hive")

	if err := s.Hush(); err != nil {
		t.Fatal(err)
	}
	if err := s.Serve(); err != nil {
		t.Fatal(err)
	}
	p.do(chromedp.Navigate(s.URL + "/batches"))
	p.says("main", "Slipway hive", "43 mL", "35.0 g/L")
	p.click("main li a")
	p.says("[data-docket]", "Weigh for 43 mL")
	p.says(`[data-line="Oxalic dihydrate"]`, "1.5 g")

	p.do(chromedp.SendKeys(chromedp.CSS("main textarea"), "Came out clear."))
	p.choose("Add remark")
	p.says("[data-remarks]", "Came out clear.")
	p.choose("Void batch")
	p.do(chromedp.SendKeys(`//label[text()="Why void it?"]/following-sibling::div/input`, "Knocked over."))
	p.choose("Void it")
	p.says("main", "Void: Knocked over.")
}

// A kept batch goes back onto the bench as it was.
func TestCopyIntoANewPlan(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/batches/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0002", browser.Desk)
	p.says("[data-docket]", "Weigh for 494 mL")
	p.choose("Mix again")
	p.choose("Replace it")
	p.says("[data-docket]", "Weigh for 494 mL")
	if got := p.value("mean.seams"); got != "88" {
		t.Errorf("the count came back as %q, want 88", got)
	}
	// Twice as much is sized by its volume: 2 × 494 mL.
	p.do(chromedp.Navigate(s.URL + "/batches/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0002"))
	p.choose("Mix again")
	p.choose("Twice")
	p.choose("Replace it")
	p.says("[data-docket]", "Weigh for 988 mL")
}
