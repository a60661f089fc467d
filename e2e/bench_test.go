package e2e

import (
	"bytes"
	"fmt"
	"image"
	_ "image/png"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/makiuchi-d/gozxing"
	"github.com/makiuchi-d/gozxing/qrcode"

	"keeler/e2e/browser"
)

// toBench keeps what is on the Mix screen and goes to the bench with it.
func (p page) toBench(vessel string) {
	p.t.Helper()
	p.click("[data-save]")
	p.click("[data-to-bench]")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-begin]")))
	if vessel != "" {
		p.fill("vessel_ml", vessel)
	}
	p.click("[data-begin-yes]")
}

// at waits for a step.
func (p page) at(step string) {
	p.t.Helper()
	p.do(chromedp.WaitVisible(chromedp.CSS(fmt.Sprintf("[data-step=%q]", step))))
}

// space is what a keeper in gloves presses.
func (p page) space() {
	p.t.Helper()
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-primary]:enabled")), chromedp.KeyEvent(" "))
}

// types takes a weight that was read off by eye.
func (p page) types(step, grams string) {
	p.t.Helper()
	p.at(step)
	p.fill("grams", grams+"\r")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-taken]")))
}

// until waits for something to come true of the page.
func (p page) until(js string) {
	p.t.Helper()
	if err := p.comes(js); err != nil {
		p.t.Fatalf("never %s: %v\n%s", js, err, p.words())
	}
}

// pours lets the simulated balance come to rest where a load is wanted, in its band
// or over it.
func (p page) pours(button, place string) {
	p.t.Helper()
	p.click(button)
	p.until(fmt.Sprintf(`document.querySelector('[data-state="stable"][data-place=%q]') !== null`, place))
}

// hives is a count typed in, so that there is something to mix.
func (p page) hives(seams string) {
	p.t.Helper()
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-add] input`), seams+"\r"))
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-save]")))
}

// The demo's eight hives, on the simulated balance: the water is hard, two spoons
// too many of acid go in, the batch is mended, a second browser takes over half-way
// and sees what the first did; it is finished, labelled and written off.
func TestAWholeMixOnTheBalance(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Desk)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-dose]")))
	p.toBench("400")
	p.at("sugar")
	p.says("[data-step]", "Clean hands", "weigh 159 g")
	p.pours("[data-pour]", "in")
	p.space()
	p.says("[data-so-far]", "✓ sugar")
	p.space()
	p.at("gear")
	p.says("[data-step]", "nitrile gloves", "goggles", "P2 mask")
	p.space()
	p.at("water_test")
	p.click("[data-second]")
	p.at("hot_water")
	p.says("[data-step]", "distilled")
	p.pours("[data-pour]", "in")
	p.space()
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-taken]")))
	p.space()
	p.at("heat_water")
	p.click(`[data-plate="65"]`)
	p.until(`document.querySelector('[data-place="in"]') !== null`)
	p.space()

	p.at("acid")
	p.says("[data-step]", "weigh 9.3 g", "± 0.1", "± 0.5 %")
	p.pours("[data-pour]", "in")
	p.pours("[data-spoon]", "over")
	p.says("[data-step]", "too much")
	p.space()
	p.says("[data-mend]", "would not come out", "water", "sugar", "It fits your vessel")
	p.click("[data-mend-yes]")
	p.until(`document.querySelector('[data-mend]') === null`)

	other := entered(t, s.URL+p.path(), browser.Desk)
	other.at("acid")
	other.says("[data-so-far]", "✓ sugar", "✓ acid")
	other.space()
	other.at("acid_clear")
	p.at("acid_clear") // the first sees what the second did
	other.click("[data-second]")
	p.says("[data-step]", "check again")
	other.space()
	other.at("add_sugar")
	other.space()
	other.at("rest_water")
	other.pours("[data-pour]", "in")
	other.space()
	other.do(chromedp.WaitVisible(chromedp.CSS("[data-taken]")))
	other.space()
	p.at("more_sugar_1")
	p.pours("[data-pour]", "in")
	p.space()
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-taken]")))
	p.space()
	p.at("all_clear")
	p.space()
	p.at("cool")
	p.space()
	p.until(`/^(59:|1:00:00)/.test(document.querySelector('[data-clock]').innerText)`)
	p.reload()
	p.until(`/^(59:|1:00:00)/.test(document.querySelector('[data-clock]')?.innerText ?? '')`)
	p.space()
	p.at("bottle")
	p.space()
	p.at("finish")
	p.says("[data-step]", "35.", "right")
	p.choose("In a locked fridge without food, marked, 7 days")
	p.click("[data-primary]")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-ended]")))
	p.says("[data-label]", "POISON", "Oxalic acid in sugar syrup", "USE BY 11 Dec 2026", "as dihydrate", "as anhydrous")
	p.neverNaN()

	p.do(chromedp.Click(`//a[text()="What is left of it"]`))
	p.says("[data-ledger]", "made", "use by 11 Dec 2026")
	p.choose("spilled")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-ledger] [data-path="amount"] input`), "20"))
	p.click(`[data-save-form="entry"]`)
	p.says("[data-ledger]", "Say why")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-ledger] [data-path="reason"] input`), "the funnel slipped\r"))
	p.says("[data-ledger]", "the funnel slipped", "−20")
}

func (p page) path() string {
	p.t.Helper()
	path, err := look(p, chromedp.Evaluate[string](`location.pathname`))
	if err != nil {
		p.t.Fatal(err)
	}
	return path
}

// Without any balance all is typed: what cannot be is said at its field, a slip of
// ten times is asked about, and what was typed outlives a server that is away.
//
// Six full seams are 30 mL; with a tenth and 10 mL they are 43 mL of the label
// litre: 25.8 g sugar, 8.6 and 17.2 g water, 1.51 g acid.
func TestAMixTypedByHand(t *testing.T) {
	s := up(t, false)
	s.Dark()
	p := entered(t, s.URL+"/mix", browser.Phone)
	p.hives("6")
	p.toBench("")
	p.sixSeamsToTheAcid()
	p.fill("grams", "much\r")
	p.says(`[data-path="grams"]`, "Type a number")
	p.fill("grams", "15.1\r")
	p.says("[data-trouble]", "say yes")
	p.choose("No, that was a slip")

	if err := s.Hush(); err != nil {
		t.Fatal(err)
	}
	p.fill("grams", "1.5\r")
	p.says("[data-unsent]", "stays here")
	if err := s.Serve(); err != nil {
		t.Fatal(err)
	}
	p.choose("Send again")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-taken]")))
	p.says("[data-so-far]", "1.5 g")
	p.presses()
	p.sixSeamsToTheEnd()
	p.click("[data-primary]")
	p.says("[data-ended]", "± ", "43 mL")
}

// sixSeamsToTheAcid types what a batch for six full seams takes until then.
func (p page) sixSeamsToTheAcid() {
	p.t.Helper()
	p.at("sugar")
	p.says("[data-typing]", "No reading from the balance")
	p.types("sugar", "25.8")
	p.space()
	p.at("gear")
	p.space()
	p.at("water_test")
	p.click("[data-third]")
	p.types("hot_water", "8.6")
	p.space()
	p.at("heat_water")
	p.fill("temp_c", "66\r")
	p.at("acid")
}

// sixSeamsToTheEnd goes on from there until it asks whether it is done.
func (p page) sixSeamsToTheEnd() {
	p.t.Helper()
	for _, step := range []string{"acid_clear", "add_sugar"} {
		p.at(step)
		p.presses()
	}
	p.types("rest_water", "17.2")
	p.presses()
	p.at("all_clear")
	p.presses()
	p.at("cool")
	p.click("[data-third]")
	p.at("bottle")
	p.presses()
	p.at("finish")
	p.choose("At room temperature, a day")
}

// presses presses the large button itself: on a phone there is no space bar.
func (p page) presses() {
	p.t.Helper()
	p.click("[data-primary]:enabled")
}

// A pot that starts with what the last one left, warmed with the simulated
// thermometer: at 80 °C the alarm goes off. What the strips took up is told, and
// the rest is a batch again.
func TestAPotWithCarriedLiquor(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Desk)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-dose]")))
	p.click(`[data-choose="strip"]`)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-strips]")))
	p.says("[data-learnt]", "Your pots: 21")
	p.open("Left from an earlier pot")
	p.pick("From", "Ropewalk, spring pot, left over · 118 g left, past its use-by date")
	p.says("[data-docket]", "118")
	p.toBench("")
	p.types("glycerol", p.wanted())
	p.space()
	p.at("gear")
	p.says("[data-step]", "acid-gas + P3 filters", "thermometer in the pot")
	p.space()
	p.at("heat_pot")
	p.click(`[data-plate="80"]`)
	p.says("[data-alarm]", "OFF THE HEAT", "Never above 77 °C")
	p.click("[data-plate-off]")
	p.until(`document.querySelector('[data-alarm]') === null`)
	p.fill("temp_c", "70")
	p.says("[data-primary]", "70 °C: go on")
	p.presses()
	p.types("carried", p.wantedAt("carried"))
	p.space()
	p.types("acid", p.wantedAt("acid"))
	p.space()
	p.at("heat_clear")
	p.fill("temp_c", "70")
	p.says("[data-primary]", "70 °C: go on")
	p.presses()
	p.at("pour")
	p.space()
	p.at("soak")
	p.space()
	p.until(`/^(24:00:00|23:59)/.test(document.querySelector('[data-clock]').innerText)`)
	p.do(chromedp.Click(chromedp.CSS("[data-demo-clock]"))) // the next day
	p.says("[data-step]", "Time is up.")
	p.space()
	p.at("drain")
	p.space()
	p.at("left")
	p.fill("grams", "155\r")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-taken]")))
	p.space()
	p.at("seal")
	p.space()
	p.says("[data-uptake]", "each took up 20.")
	p.click("[data-primary]")
	p.says("main", "USE BY") // the label, above the links
	p.do(chromedp.Click(`//a[text()="What is left of the pot"]`))
	p.says("main", "left over", "Soaking solution left from a pot")
	p.says("[data-left]", "155 g")
}

// wanted is the figure of the load on the screen, in grams.
func (p page) wanted() string { return p.wantedAt("glycerol") }

func (p page) wantedAt(step string) string {
	p.t.Helper()
	p.at(step)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-target]")))
	grams, err := look(p, chromedp.Evaluate[string](`/([\d.,]+) g/.exec(document.querySelector('[data-target]').innerText)[1].replace(',', '')`))
	if err != nil {
		p.t.Fatal(err)
	}
	return grams
}

// A label is one small page; several go on one of A4, a portion each; and its QR
// code leads to the batch.
func TestLabelPrintsAndItsCodeLeadsToTheBatch(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Desk)
	const batch = "/batches/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0004"
	p.do(chromedp.Navigate(s.URL + batch))
	for vessel, amount := range map[string]string{"tin box": "20", "bag": "24"} {
		p.do(chromedp.WaitVisible(chromedp.CSS("[data-portions]")))
		p.do(chromedp.SendKeys(chromedp.CSS(`[data-portions] [data-path="vessel"] input`), vessel))
		p.do(chromedp.SendKeys(chromedp.CSS(`[data-portions] [data-path="amount"] input`), amount+"\r"))
		p.do(chromedp.WaitVisible(chromedp.CSS(fmt.Sprintf("[data-portion=%q]", vessel))))
	}
	p.do(chromedp.Navigate(s.URL + "/batches/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0002/label"))
	p.says("[data-label]", "POISON", "No. 2", "3.50 % w/v", "2.50 % w/v", "USE BY 13 Dec 2025", "permit held")
	if n := p.pages(chromedp.PaperA4); n != 1 {
		t.Errorf("a label takes %d pages", n)
	}
	if got, want := p.code(), s.URL+"/batches/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0002"; got != want {
		t.Errorf("the code leads to %q, want %q", got, want)
	}
	p.do(chromedp.Navigate(s.URL + batch + "/label"))
	p.says("main", "tin box", "bag", "6.99 g dihydrate in each")
	if n := p.pages(chromedp.PaperA4); n != 2 {
		t.Errorf("two portions take %d small sheets", n)
	}
	p.choose("A4, eight to a sheet")
	p.do(chromedp.WaitVisible(chromedp.CSS(`[data-paper="a4"]`)))
	p.do(chromedp.Focus(chromedp.CSS("main input")), chromedp.Evaluate[chromedp.Void](`document.execCommand('selectAll')`), chromedp.SendKeys(chromedp.CSS("main input"), "4"))
	p.until(`document.querySelectorAll('[data-label]').length === 8`)
	if n := p.pages(chromedp.PaperA4); n != 1 {
		t.Errorf("eight labels take %d pages of A4", n)
	}
}

// code reads the QR code of the first label off a picture of it, in black and white
// as it is printed.
func (p page) code() string {
	p.t.Helper()
	shot, err := look(p, chromedp.Screenshot(chromedp.CSS("[data-label]")))
	if err != nil {
		p.t.Fatal(err)
	}
	picture, _, err := image.Decode(bytes.NewReader(shot))
	if err != nil {
		p.t.Fatal(err)
	}
	bits, err := gozxing.NewBinaryBitmapFromImage(picture)
	if err != nil {
		p.t.Fatal(err)
	}
	found, err := qrcode.NewQRCodeReader().Decode(bits, map[gozxing.DecodeHintType]any{gozxing.DecodeHintType_TRY_HARDER: true})
	if err != nil {
		p.t.Fatal(err)
	}
	return found.GetText()
}
