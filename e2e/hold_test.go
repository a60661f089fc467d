package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
)

// One packet into what its label says: 35 g of powder, 31.15 g of it acid, in
// half a litre are 62.3 g/L, beyond every recipe; 10 colonies at the cap.
func TestPacketAsItsLabel(t *testing.T) {
	p := open(t, up(t, false).URL, browser.Desk)
	p.choose("Packets")
	p.fill("hold.oad_percent", "89")
	p.choose("As its label")
	p.choose("Use all I have")
	p.says(`[data-path="hold.made_up_to_ml"]`, "Please fill this in. Use 10 to 100,000 mL")
	p.fill("hold.made_up_to_ml", "500")
	p.says("[data-docket]", "Weigh for 500 mL", "as the packet’s label", "6.23 % w/v", "4.45 % w/v",
		"strength of the packet’s own label", "312 mg", "crystals can form")
	p.says(`[data-line="Packet powder"]`, "35.0 g")
	p.says("main", "enough for 10 full-strength colonies", "0 packets left")
	p.neverNaN()
}

// 500 mL of the label litre want 17.52 g: 18 whole tablets, 36 g/L.
func TestTablets(t *testing.T) {
	p := open(t, up(t, false).URL, browser.Desk)
	p.choose("Tablets")
	p.choose("Volume")
	p.fill("size.volume_ml", "500")
	p.says(`[data-line="Tablets"]`, "18 tablets", "counted in")
	p.says("[data-docket]", "Whole tablets give 36 g/L instead of 35 g/L")
}

// 6 % w/v down to the label litre's 35.05 g/L: 0.5841 of the volume is stock.
func TestThinAReadyMix(t *testing.T) {
	p := open(t, up(t, false).URL, browser.Desk)
	p.choose("Ready-mix to thin")
	p.choose("Volume")
	p.fill("size.volume_ml", "1000")
	p.fill("hold.stock.value", "6")
	p.says(`[data-path="hold.stock.basis"]`, "does not guess")
	p.choose("Dihydrate")
	p.says(`[data-line="Ready-mix"]`, "584 mL", "poured in last")
	p.fill("hold.stock.value", "2")
	p.says(`[data-path="strength.protocol"]`, "cannot make it stronger")
}

// The label card overrides the protocol: R1's six seams are 13,200 bees.
func TestLabelCard(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Desk)
	p.choose("Ready to use")
	p.fill("hold.card.rows[0].up_to_bees", "9000")
	p.fill("hold.card.rows[0].dose_ml", "20")
	p.says("[data-docket]", "Measure out", "by the label card", "more than the last row of the label")
	p.choose("Add a row")
	p.fill("hold.card.rows[1].dose_ml", "42")
	p.says(`[data-colony="R1"]`, "42 mL · 6 seams")
	p.says(`[data-colony="R8"]`, "20 mL · 3¼ seams") // 7,150 bees
	p.says("[data-docket]", "The product’s label comes before anything here")
}

// Squeezes of a bulb that was weighed: ten give 49.9 g of water, 5.00 mL each.
func TestBulbByWeighing(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Desk)
	p.choose("Bulb")
	p.says("[data-docket]", "6 squeezes", "5.5 squeezes")
	p.do(chromedp.Click(`//summary[text()="Calibrate by weighing"]`))
	p.fill("grams", "99.8")
	p.choose("Use 10.00 mL")
	// Half squeezes of 5 mL now: R2's 27.5 mL take three.
	p.says("[data-docket]", "3 squeezes")
}

// A feeder at the wall leaves no seam behind it, and the bees drawn there go.
func TestFeederTakesAPlace(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Desk)
	p.says(`[data-colony="R5"]`, "46 mL · 9¼ seams")
	p.click(`[aria-label="More for R5"]`)
	p.do(chromedp.Click(`//li[text()="Frames, feeder, dummy"]`))
	p.click(`[aria-label="Place 10: comb"]`)
	p.choose("Done")
	p.says(`[data-colony="R5"]`, "42 mL · 8½ seams") // without the ¾ at the wall: 42.5 mL, and a tie goes down
	p.do(chromedp.WaitNotPresent(chromedp.CSS(gap("R5", 10) + `[role="slider"]`)))
}
