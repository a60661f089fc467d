package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
)

// From opening the page to a kept pot, and a second pot that takes up what the
// first one left.
//
// Eight full seams are 3.2 strips by bees: 3, at 20 g; 120 mL of 1445/1075 g/mL
// must stand in the tray: 161.3 g. 221.3 g at 34.602 % are 76.6 g acid and 144.7 g
// glycerol, each read to the tenth below 100 g.
func TestStripsToKeptPots(t *testing.T) {
	s := up(t, false)
	p := entered(t, s.URL+"/mix", browser.Desk)
	p.click(`[data-choose="strip"]`)
	p.says("[data-unfilled]", "Nothing to dose yet")
	p.click(gap("1", 2))
	for range 8 { // each set to full and on to the next
		p.do(chromedp.KeyEvent("4"), chromedp.KeyEvent(kb.ArrowRight))
	}
	p.says(`[data-colony="1"]`, "3 strips · 8 seams", "20.8 g acid")
	p.says("[data-docket]", "Make solution for 3 strips", "two to three", "acid-gas + P3 filters")
	p.says(`[data-line="Glycerol"]`, "145 g", "115 mL")
	p.says(`[data-line="Oxalic dihydrate"]`, "76.6 g", "70 °C")
	p.says("[data-docket]", "6.92 g", "161 g", "cools the pot by about 20 °C", "Many places forbid")
	p.neverNaN()

	// Corrected by hand: one more between those in the fourth and the sixth gap.
	p.click(`[aria-label="Tapping marks"] button[value="strip"]`)
	if n := p.count(`[data-colony="1"] [aria-checked="true"]`); n != 3 {
		t.Errorf("%d strips can be tapped, want 3", n)
	}
	p.click(gap("1", 4))
	p.says(`[data-colony="1"]`, "4 strips")
	p.says("[data-docket]", "Make solution for 4 strips", "less than two frames between")
	p.click("[data-again]")
	p.says("[data-docket]", "Make solution for 3 strips")

	p.fill("name", "First pot")
	p.click("[data-save]")
	p.says("aside", "Saved: First pot")

	// The second takes 100 g of the first: 100 × 0.34602 of its acid is there already.
	p.open("Left from an earlier pot")
	p.pick("From", "First pot")
	p.fill("carried.grams", "100")
	if got := p.value("carried.oad_percent"); got != "34.6" {
		t.Errorf("the first pot's strength came as %q", got)
	}
	p.says(`[data-line="Left-over solution"]`, "100 g")
	p.says(`[data-line="Oxalic dihydrate"]`, "42.0 g")
	p.fill("carried.grams", "400")
	p.says(`[data-path="carried.grams"]`, "Too much for this pot", "Use 0 to 221 g")
	p.fill("carried.grams", "100")
	p.fill("name", "Second pot")
	p.click("[data-save]")
	p.says("aside", "Saved: Second pot")
	p.click("[data-saved]")
	p.says("main", "Its left-over solution came from First pot")
	p.says("[data-docket]", "Make solution for 3 strips")
	if n := p.pages(chromedp.PaperA4); n != 1 {
		t.Errorf("the docket of a pot takes %d pages", n)
	}
	p.do(chromedp.Navigate(s.URL + "/batches"))
	p.says("main", "First pot", "strips", "34.6 % by weight")
}

// A ratio upside down, weak glycerol and no strips are answered at their fields.
func TestStripsRefused(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Phone)
	p.click(`[data-choose="strip"]`)
	p.says("[data-docket]", "Make solution for 19 strips")
	p.open("Recipe, acid to glycerol")
	p.choose("My own")
	p.fill("recipe.oad_g", "1500")
	p.says(`[data-path="recipe.oad_g"]`, "More acid than any standard recipe", "Use 94.5 to 1039 g")
	p.fill("recipe.oad_g", "500")
	p.fill("glycerol_percent", "80")
	p.says(`[data-path="glycerol_percent"]`, "Use 86 to 99.5 %")
	p.fill("glycerol_percent", "86")
	p.open("Work out from")
	p.click(`button[value="strips"]`)
	p.fill("size.strips", "0")
	p.says(`[data-path="size.strips"]`, "Use 1 to 20,000 strips")
	p.do(chromedp.Reload())
	p.says(`[data-path="size.strips"]`, "Use 1 to 20,000 strips")
	p.neverNaN()
}
