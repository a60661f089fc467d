package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
)

// Each method keeps what was typed for it while another is used and after a
// reload; the hives are the same for all.
func TestMethodsKeepTheirFigures(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Desk)
	p.says("[data-docket]", "Weigh for 265 mL")
	p.fill("hold.grams", "90")
	p.click(`[data-choose="strip"]`)
	p.says("[data-docket]", "Make solution for 19 strips")
	p.fill("uptake_g", "18")
	p.says("[data-docket]", "6.23 g") // 18 × 0.34602
	p.click(`[data-choose="pad"]`)
	p.says("[data-docket]", "Dilute to 160 mL")
	p.fill("working_percent", "62")
	p.says("[data-docket]", "62 %")
	p.do(chromedp.Reload())
	p.says("[data-docket]", "62 %")
	p.click(`[data-choose="strip"]`)
	p.says("[data-docket]", "6.23 g")
	p.click(`[data-choose="dribble"]`)
	p.says("[data-docket]", "Weigh for 265 mL")
	if got := p.value("hold.grams"); got != "90" {
		t.Errorf("the acid in hand came back as %q", got)
	}
	p.click(gap("R4", 2)) // a quarter more bees are seen by every method
	p.says(`[data-colony="R4"]`, "4¼ seams")
	p.click(`[data-choose="strip"]`)
	p.says(`[data-colony="R4"]`, "2 strips · 4¼ seams")
}

// From what is in hand to strips, and from strips by a count, without any board.
func TestPotTheOtherWayRound(t *testing.T) {
	p := open(t, up(t, false).URL, browser.Desk)
	p.click(`[data-choose="strip"]`)
	p.open("Tray, jig, pot")
	p.fill("stays_ml", "0")
	// 500 g acid are the whole recipe: 1445 g, 72 strips of 20 g and 5 g over.
	p.click(`button[value="acid"]`)
	p.fill("size.acid_g", "500")
	p.says("[data-docket]", "Make solution for 72 strips")
	p.says(`[data-line="Glycerol"]`, "945 g", "750 mL")
	p.says("[data-docket]", "5 g left over needs 2.31 g of bicarbonate")
	// A pot of 1075 mL is the same; so is once the recipe.
	p.click(`button[value="volume"]`)
	p.fill("size.volume_ml", "1075")
	p.says(`[data-line="Oxalic dihydrate"]`, "500 g")
	p.click(`button[value="times"]`)
	p.fill("size.times", "2")
	p.says("[data-docket]", "Make solution for 144 strips")
	// In loads: 1,000 g on a balance that carries 400 g are three of 333.
	p.open("Balance, prices and more")
	p.fill("balance_capacity_g", "400")
	p.says(`[data-line="Oxalic dihydrate"]`, "in 3 loads of 333 g")
	p.click(`button[value="count"]`)
	p.fill("size.colonies", "12")
	p.fill("size.each", "3")
	p.says("[data-docket]", "Make solution for 36 strips")
	p.says("main", "enough for 12 colonies", "Counted only")
	// In the kitchen's units the glycerol is in pounds, the acid stays in grams, and
	// the pot is warmed to 158 °F: 36 × 20 g × 0.65398 are 471 g, 16.6 oz.
	p.otherUnits()
	p.says(`[data-line="Glycerol"]`, "1 lb 0.6 oz", "471 g")
	p.says(`[data-line="Oxalic dihydrate"]`, "249.1 g", "158 °F")
	if got := p.value("warm_to_c"); got != "158" {
		t.Errorf("70 °C became %q °F", got)
	}
	p.neverNaN()
}

// By keyboard: brood is marked on the combs, and strips go beside it.
func TestBroodByKeyboard(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Desk)
	p.click(`[data-choose="strip"]`)
	p.says(`[data-colony="R5"]`, "4 strips")
	p.click(`[aria-label="Tapping marks"] button[value="brood"]`)
	p.do(chromedp.Focus(chromedp.CSS(`[data-colony="R5"] [data-comb="0"]`)))
	for range 4 {
		p.do(chromedp.KeyEvent(kb.ArrowRight))
	}
	p.do(chromedp.KeyEvent(" "), chromedp.KeyEvent(kb.ArrowRight), chromedp.KeyEvent(" "))
	// Combs 5 and 6 hold brood: gaps 5, 6 and 7 are beside it, and two strips fit.
	p.says(`[data-colony="R5"]`, "2 strips of 4", "no more gaps two frames apart")
	p.says("[data-docket]", "R5: up to 4 wanted, 2 placed")
	p.neverNaN()
}

// Sponges are never counted without having been weighed.
func TestSponges(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Desk)
	p.click(`[data-choose="strip"]`)
	p.says("[data-docket]", "Make solution for 19 strips")
	p.click(`button[value="sponge"]`)
	p.says(`[data-path="uptake_g"]`, "Weigh one dry and one soaked", "Use 0.5 to 500 g")
	p.fill("uptake_g", "60")
	p.says("[data-docket]", "Make solution for 16 sponges", "turn them after 3 to 5 minutes")
	p.says(`[data-colony="R1"]`, "2 sponges")
	p.neverNaN()
}

// A course for all visits, cut from sheets, by a rule copied from a label.
//
// 12 colonies of 10 combs get 25 mL of 60 %: 300 mL a visit, 5 visits and a twentieth
// over are 1,575 mL, 1,062 mL of 85 %: three bottles of half a litre. On sheets that
// take 10 mL and measure 10 by 20 cm: three each, or 500 cm².
func TestCourseOfPads(t *testing.T) {
	p := open(t, up(t, false).URL, browser.Desk)
	p.click(`[data-choose="pad"]`)
	p.fill("hold.percent", "85")
	p.click(`button[value="own"]`)
	p.click(`[data-path="amount.per"] button[value="colony"]`)
	p.says(`[data-path="amount.ml"]`, "Use 0.1 to 145 mL")
	p.fill("amount.ml", "25")
	p.fill("amount.visits", "5")
	p.fill("amount.days_apart", "5")
	p.click(`button[value="counted"]`)
	p.says(`[data-path="mean.colonies"]`, "Use ")
	p.fill("mean.colonies", "12")
	p.open("Sheet or sponge")
	p.fill("sheet.takes_ml", "10")
	p.fill("sheet.width_cm", "10")
	p.fill("sheet.length_cm", "20")
	p.open("Balance, prices and more")
	p.fill("bottle_ml", "500")
	p.click(`button[value="course"]`)
	p.says("[data-docket]", "Dilute to 1,575 mL", "each of 12", "5 visits, 5 days apart: 20 days in all")
	p.says("[data-docket]", "stock in 500 mL bottles 3", "sheets for a visit 36")
	p.says("main", "5 visits over 20 days", "3 bottles of 500 mL")
	p.fill("amount.days_apart", "12")
	p.says("[data-docket]", "12 days apart: the standard is 4 to 7 days")
	p.neverNaN()
}
