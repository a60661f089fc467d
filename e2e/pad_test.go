package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
)

// From opening the page to a kept dilution.
//
// One hive of ten combs gets 20 mL of 60 %; a twentieth more is 21 mL, 23.99 g; of
// 85 % that takes 16.94 g, 14.2 mL, and 7.06 g of water. Four visits take 56.7 mL of
// stock, one litre bottle.
func TestFormicToKeptBatch(t *testing.T) {
	s := up(t, false)
	p := entered(t, s.URL+"/mix", browser.Desk)
	p.click(`[data-choose="pad"]`)
	p.says(`[data-path="hold.percent"]`, "Please fill this in")
	p.fill("hold.percent", "85")
	p.says("[data-docket]", "Dilute to 21 mL", "60 % · sponge above", "butyl or neoprene gloves", "acid-gas filter", "second person")
	p.says(`[data-line="Water"]`, "7.1 g", "4 °C")
	p.says(`[data-line="Formic acid"]`, "16.9 g", "14 mL", "into the water, outdoors, upwind")
	p.says(`[data-colony="1"]`, "20 mL · 10 combs", "13.7 g acid")
	p.says("[data-docket]", "a tablespoon is 14.8, 15 or 20 mL", "4 visits, 5 days apart", "30 minutes", "Never pour water into acid")
	p.neverNaN()

	p.fill("working_percent", "90")
	p.says(`[data-path="working_percent"]`, "cannot make it stronger", "Use 5 to 85 %")
	p.fill("working_percent", "65")
	p.says("[data-docket]", "19.7 mL of that holds the same acid as 18 mL of 65 %")

	// 1.1834 at 30 °C is 85 %, and what is made of it 65 ± 0.9.
	p.choose("By density")
	p.fill("hold.reading.g_per_ml", "1.1834")
	p.says(`[data-path="hold.reading.temp_c"]`, "A density means nothing without its temperature")
	p.fill("hold.reading.temp_c", "30")
	p.says("[data-docket]", "65 ± 0.9 %", "85 ± 1.2 %")

	p.fill("name", "Sponges")
	p.click("[data-save]")
	p.says("aside", "Saved: Sponges")
	p.click("[data-saved]")
	p.says("[data-docket]", "65 ± 0.9 %")
	if n := p.pages(chromedp.PaperA4); n != 1 {
		t.Errorf("the docket takes %d pages", n)
	}
	p.choose("Mix again")
	p.choose("Replace it")
	p.says("[data-docket]", "Dilute to", "65 ± 0.9 %")
	if got := p.value("hold.reading.temp_c"); got != "30" {
		t.Errorf("the temperature came back as %q", got)
	}
}

// Ready pads are counted by the label card, never guessed.
func TestReadyPads(t *testing.T) {
	p := open(t, up(t, true).URL, browser.Phone)
	p.click(`[data-choose="pad"]`)
	p.says("[data-docket]", "Dilute to 160 mL") // 152 and a twentieth
	p.open("What you have")
	p.choose("Ready pads")
	p.says(`[data-path="hold.card.formic_g"]`, "Use 1 to 200 g")
	p.fill("hold.card.formic_g", "68")
	p.says("[data-docket]", "Count out 16 pads", "1,088 g", "butyl or neoprene gloves")
	p.says(`[data-colony="R1"]`, "2 pads · 10 combs")
	p.neverNaN()
}
