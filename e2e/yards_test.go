package e2e

import (
	"fmt"
	"net/http"
	"os"
	"path/filepath"
	"sync/atomic"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
)

const ropewalk = "/yards/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e1001"

// write types into a field that is found by its path or its label.
func (p page) write(selector, text string) {
	p.t.Helper()
	p.do(chromedp.WaitVisible(chromedp.CSS(selector)), chromedp.Focus(chromedp.CSS(selector)),
		chromedp.Evaluate[chromedp.Void](`document.execCommand('selectAll')`), chromedp.SendKeys(chromedp.CSS(selector), text))
}

// From a Keeler that nobody has used to a job on the bench: the owner, a yard, a
// hive, a look, a count, the decision, and the seams on the Mix screen.
//
// The board is 2, ¾ and ½ seams: 3¼ in all. 20 mites in a week are 2.86 a day,
// surely over the midwinter line of 1. No service tells the weather here, so every
// method says to look first.
func TestFromFirstStartToTheBench(t *testing.T) {
	s := up(t, false)
	s.Overcast() // a yard made by hand has another id each time, and so another weather
	p := open(t, s.URL+"/yards", browser.Desk)
	p.says("main", "Set up Keeler")
	p.do(chromedp.SendKeys(`//label[text()="Name of your operation"]/following-sibling::div/input`, "Slipway crew"),
		chromedp.SendKeys(chromedp.CSS(`input[autocomplete="username"]`), "Owner"),
		chromedp.SendKeys(chromedp.CSS(`input[autocomplete="new-password"]`), "short"))
	p.choose("Start")
	p.says("main", "Use at least 10 characters")
	p.write(`input[autocomplete="new-password"]`, "several plain words")
	p.choose("Start")
	p.says("main", "This code is wrong")
	p.write(`[data-path="code"] input`, s.Code)
	p.choose("Start")
	p.says("main", "No yards yet")
	p.says("header", "Owner", "Slipway crew")

	p.choose("Add a yard")
	p.choose("Save")
	p.says(`[data-path="name"]`, "Give it a name")
	p.write(`[data-path="name"] input`, "Slipway")
	p.write(`[data-path="latitude"] input`, "200")
	p.choose("Save")
	p.says("form", "Use -66 to 70 degrees")
	p.write(`[data-path="latitude"] input`, "57.5")
	p.choose("Save")
	p.click(`[data-yard="Slipway"] h2 a`)
	p.click("[data-add-colony]")
	p.write(`[data-path="name"] input`, "A1")
	p.click("[data-save-colony]")
	p.click("[data-look]")

	p.says("[data-inspection-sheet]", "A1", "0 seams")
	for _, n := range []int{3, 4} {
		p.do(chromedp.Focus(chromedp.CSS(fmt.Sprintf(`[data-inspection-sheet] [data-gap="%d"]`, n))), chromedp.KeyEvent("4"))
	}
	p.do(chromedp.KeyEvent(kb.ArrowRight), chromedp.KeyEvent("3"), chromedp.KeyEvent(kb.ArrowRight), chromedp.KeyEvent("2"))
	p.says("[data-inspection-sheet]", "3¼ seams")
	p.do(chromedp.KeyEvent("b"), chromedp.KeyEvent("s"), chromedp.KeyEvent("s"), chromedp.KeyEvent("u"))
	p.says(`[data-ask="brood"] [aria-pressed="true"]`, "none")
	p.says(`[data-ask="stores"] [aria-pressed="true"]`, "enough")
	p.do(chromedp.KeyEvent(kb.Enter))
	p.says("main", "All hives inspected")

	p.click("main .MuiButton-root ~ a, main h1 + a")
	p.says(`[data-stand="A1"]`, "3¼", "count")
	p.do(chromedp.Click(`//a[normalize-space()="Count mites"]`))
	p.write(`[data-count-row="A1"] input`, "20")
	p.click("[data-keep-counts]")
	p.says(`[data-count-row="A1"]`, "over", "2.86 a day")

	p.do(chromedp.Navigate(s.URL + "/decide"))
	p.says(`[data-row="A1"]`, "treat", "look first", "no forecast")
	p.click(`[data-row="A1"] input`)
	p.says("[data-docket]", "1 hive", "3¼ seams", "No suitable weather for one hive", "Which rule do you work under?")
	p.choose("A prescription or permit")
	p.click("[data-make-job]")
	p.says("[data-docket]", "Please fill this in")
	p.write(`[data-path="rule"] input`, "permit held")
	p.click("[data-make-job]")
	p.click("[data-mix]")
	p.says(`[data-colony="A1"]`, "3¼ seams")
	p.says("[data-docket]", "Prescription or permit: permit held")
	p.neverNaN()
}

// The demo opens with one click; its matrix tells why, in place, and what would
// change it; ticks become a job only with a reason for what does not fit.
func TestDecide(t *testing.T) {
	s := up(t, true)
	p := open(t, s.URL+"/decide", browser.Desk)
	p.says("main", "Enter the demo", "Made-up yards")
	p.click("[data-demo]")
	const yard = `[data-decide-yard="Ropewalk"] `
	p.says(yard, "2 are over the threshold: treat the whole yard")
	p.says(yard+`[data-row="R3"]`, "over", "treat", "with care", "in a job")
	p.says(yard+`[data-row="R4"]`, "with the yard", "does not fit")
	p.click(yard + `[data-row="R4"] [data-cell="dribble"]`)
	p.says(yard+"[data-reasons]", "It is light: hungry bees would drink the syrup", "seen the day before", "Feed it first")
	p.click(yard + `[data-row="R4"] [data-cell="strip"]`)
	p.says(yard+"[data-reasons]", "Too cold")
	p.click(yard + `[data-day="2026-12-08"]`)
	p.says(yard+`[data-row="R1"] [data-cell="dribble"]`, "does not fit") // it rains
	p.click(yard + `[data-day="2026-12-05"]`)
	p.says(yard+`[data-row="R1"] [data-cell="dribble"]`, "with care", "in a job")
	// The six of them are in the job that is ready, which holds them back until it is cancelled.
	p.click(yard + "[data-tick-all]")
	p.says(yard+"[data-why-none]", "None of these fits dribble on this day", "in a job (6 hives)")
	p.click(yard + `[data-row="R1"] input`)
	p.says("[data-docket]", "1 hive", "R1. These do not fit, or are in another open job")
	p.click(yard + `[data-row="R1"] input`)
	p.click(`[data-jobs] li a`)
	p.click("[data-cancel]")
	p.says("[role=alertdialog]", "Cancel this job?")
	p.click("[data-end-yes]")
	p.says("[data-job-state]", "Cancelled")
	p.do(chromedp.Navigate(s.URL + "/decide"))
	p.says(yard+`[data-row="R1"] [data-cell="dribble"]`, "fits")
	p.click(yard + "[data-tick-all]")
	p.says("[data-docket]", "6 hives", "Sat, 5 Dec 2026")
	p.click(yard + `[data-row="R4"] input`)
	p.says("[data-docket]", "7 hives", "R4. These do not fit")
	p.choose("A registered product, by its label")
	p.click("[data-make-job]")
	p.says("[data-docket]", "Say why you treat it anyway")
	p.write(`[data-path="override"] input`, "Fed on Thursday")
	p.do(chromedp.Reload())
	p.says("[data-docket]", "7 hives") // what was chosen outlives a reload
	p.click("[data-make-job]")
	p.says("[data-docket]", "Treated anyway because: Fed on Thursday", "A registered product, by its label")
	p.click("[data-mix]")
	// 37½ seams and R4's 4, at 5 mL.
	p.says("main", "7 hives from above")
	p.neverNaN()
}

// Two people change one hive: the later one is told and shown both.
func TestTwoAtOneHive(t *testing.T) {
	s := up(t, true)
	const hive = "/colonies/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e2001"
	first, second := open(t, s.URL+"/mix", browser.Desk), open(t, s.URL+"/mix", browser.Desk)
	for _, p := range []page{first, second} {
		p.enter()
		p.do(chromedp.Navigate(s.URL + hive))
		p.click("[data-edit]")
		p.says("[data-colony-form]", "Makes honey for people")
	}
	first.write(`[data-path="name"] input`, "R1 east")
	first.click("[data-save-colony]")
	first.says("h1", "R1 east")
	second.write(`[data-path="name"] input`, "R1 west")
	second.click("[data-save-colony]")
	second.says("[data-both]", "nothing was overwritten", "R1 east", "R1 west")
	second.choose("Save mine")
	second.says("h1", "R1 west")
}

// A look that could not be sent stays, over a reload, and goes when the signal is back.
func TestLookWithoutSignal(t *testing.T) {
	s := up(t, true)
	var away atomic.Bool
	url := between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		if away.Load() && r.URL.Path == "/api/inspections" {
			http.Error(w, "", http.StatusBadGateway)
			return
		}
		onward.ServeHTTP(w, r)
	})
	p := entered(t, url+ropewalk+"/inspect", browser.Phone)
	p.says("[data-inspection-sheet]", "R1")
	away.Store(true)
	p.click(`[data-ask="brood"] button[value="much"]`)
	p.click("[data-keep-inspection]")
	p.says("[data-said]", "Keeler cannot reach its server. What you typed is still here")
	p.says("[data-inspection-sheet]", "R2")
	p.do(chromedp.Reload())
	p.says(`[data-ask="brood"] [aria-pressed="true"]`, "a lot")
	away.Store(false)
	p.click("[data-keep-inspection]")
	p.says("[data-inspection-sheet]", "R2")
	p.do(chromedp.Navigate(url + ropewalk))
	p.do(chromedp.Click(`//button[normalize-space()="Table"]`))
	p.says("tbody tr", "R1", "a lot")
}

// A table of colonies: looked at, its faults named, and stored only on a word.
func TestImport(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/import", browser.Desk)
	file := filepath.Join(t.TempDir(), "hives.csv")
	choose := func(text string) {
		if err := os.WriteFile(file, []byte(text), 0o600); err != nil {
			t.Fatal(err)
		}
		p.do(chromedp.SetUploadFiles(chromedp.CSS("input[type=file]"), []string{file}))
	}
	choose("\x89PNG\r\n\x00\x00")
	p.says("[data-said]", "This is not a text file")
	choose("yard;colony;boxes\nRopewalk;R9;deep 10\nRopewalk;R1;deep 10\n")
	p.says("[data-preview]", "1 row is fine, 1 needs attention. Nothing saved yet.")
	p.says("main", "This name is already taken")
	choose("yard;colony;boxes\nRopewalk;R9;deep 10\n")
	p.click("[data-store]")
	p.says("[data-stored]", "1 hive imported")
	p.choose("Mite counts")
	choose("yard,colony,on,kind,mites,days\nRopewalk,R9,2026-11-30,board,21,3\nRopewalk,R99,2026-11-30,board,2,3\n")
	p.says("[data-preview]", "1 row is fine, 1 needs attention")
	p.says("[data-preview-rows]", "R9", "21")
	p.choose("Import the 1 without problems")
	p.says("[data-stored]", "1 record imported")
	p.do(chromedp.Navigate(s.URL + ropewalk))
	p.says(`[data-stand="R9"]`, "R9", "7.00 a day")
}
