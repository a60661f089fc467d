package e2e

import (
	"fmt"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/google/uuid"

	"keeler/core/method/dribble"
	"keeler/core/method/pad"
	"keeler/e2e/browser"
	"keeler/wire"
)

// inSight is true of what is whole on the screen, with nothing scrolled.
const inSight = `(() => {
	const e = document.querySelector(%q)
	if (!e || scrollY > 0) return false
	const r = e.getBoundingClientRect()
	return r.top >= 0 && r.height > 0 && r.bottom <= innerHeight && e.innerText.includes(%q)
})()`

// 70 g/L puts 350 mg into a full seam, which is hard on bees: it is said beside the jar and on the docket
// on a desk, and over the bar that a phone always shows; nothing is scrolled for it.
func TestWarningsStandWhereTheEyeIs(t *testing.T) {
	url := up(t, false).URL
	for _, c := range []struct {
		size   browser.Action
		folded bool
		places []string
	}{
		{browser.Desk, false, []string{"[data-heed]", "[data-docket] [data-heed-docket]"}},
		{browser.Phone, true, []string{"[data-heed-line]"}},
	} {
		p := open(t, url, c.size)
		p.hives("6")
		if c.folded {
			p.open("How strong")
		}
		p.choose("My own strength")
		p.fill("strength.value", "70")
		p.click(`[data-path="strength.basis"] button[value="dihydrate"]`)
		p.says("[data-heed]", "350 mg")
		p.do(chromedp.Evaluate[chromedp.Void](`scrollTo(0, 0)`))
		for _, place := range c.places {
			p.until(fmt.Sprintf(inSight, place, "can harm bees"))
		}
	}
}

// In the yard a jar that is stronger than the job means says so above the hive, and a
// dose that can harm beside its figure; both on the first screen of a phone.
func TestStrongJarIsSaidInTheYard(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(2, 100)
	o.post("/api/batches", wire.SaveBatch{ID: uuid.NewString(), Name: "Strong jar", Recipe: wire.Recipe{Dribble: &wire.DribbleRequest{Request: dribble.Request{
		Hold: wire.Hold{Kind: "crystals"}, Aim: wire.Aim{By: "value", Value: 70, Form: "g_per_l", Basis: "dihydrate"}, Size: wire.Size{By: "volume", Volume: 200},
	}}}})
	p := entered(t, s.URL+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.byHand("No. 2 Strong jar")
	p.until(fmt.Sprintf(inSight, "[data-too-strong]", "Stronger than this job planned"))
	p.until(fmt.Sprintf(inSight, "[data-warnings]", "70"))
	p.given()
	p.says("[data-colony-open]", "H001")
	p.says("[data-jar-left]", "195")
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	line := read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records[0]
	if !line.ByHand || !strings.Contains(strings.Join(line.Flags, " "), "too_strong") {
		t.Errorf("%+v", line)
	}
}

// Two taps on one place are one dose, by the page's own clock; the next hive stays
// open, and the last is taken back at once.
func TestTwoTapsAreOneDose(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(3, 100)
	p := entered(t, s.URL+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.byHand("No. 1 Big jar")
	p.do(chromedp.Evaluate[chromedp.Void](`(() => { const at = Date.now(); globalThis.clock = at; Date.now = () => globalThis.clock })()`))
	p.click("[data-given]")
	p.says("[data-colony-open]", "H001")
	p.do(chromedp.Evaluate[chromedp.Void](`globalThis.clock += 990`))
	p.click("[data-given]")
	p.says(`[data-just-done="H000"]`, "5 mL")
	p.says("[data-jar-left]", "95")
	p.until(`document.querySelectorAll('[data-state="done"]').length === 1`)
	p.do(chromedp.Evaluate[chromedp.Void](`globalThis.clock += 20`))
	p.click("[data-given]")
	p.says("[data-colony-open]", "H002")
	p.click("[data-undo-last]")
	p.says("[data-colony-open]", "H001", "Given")
	p.says("[data-jar-left]", "95")
}

// A second job for the same morning: the round stops at a hive that is in the other or
// has its dose, and gives only with a reason, which is kept. Dead in the round closes the
// colony, which then is in no matrix.
func TestOneMorningOneDose(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(3, 200)
	again := wire.SaveJob{ID: uuid.NewString(), Name: "Slipway again", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit held"}
	for _, c := range read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Colonies {
		again.Colonies = append(again.Colonies, wire.JobColony{ColonyID: c.ID, Day: roundDay, Override: "as agreed"})
	}
	o.post("/api/jobs", again)
	p := entered(t, s.URL+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.byHand("No. 1 Big jar")
	p.says(`[data-stop="H000"]`, "Slipway again")
	if n := p.count("[data-given]"); n != 0 {
		t.Error("it can be given at a stop")
	}
	p.do(chromedp.Navigate(s.URL + "/jobs/" + again.ID))
	p.click("[data-cancel]")
	p.click("[data-end-yes]")
	p.says("[data-job-state]", "Cancelled")

	p.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/" + roundDay))
	p.given()
	p.says("[data-colony-open]", "H001")
	p.says("[data-jar-left]", "195")
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	third := again
	third.ID, third.Name = uuid.NewString(), "Slipway once more"
	o.post("/api/jobs", third)
	p.do(chromedp.Navigate(s.URL + "/rounds/" + third.ID + "/" + roundDay))
	p.says(`[data-stop="H000"]`, "Dribbled", "4 Dec 2026")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-path="against"] input`), "half of it ran out"))
	p.click("[data-against-yes]")
	p.given()
	p.says("[data-colony-open]", "H001")
	p.says("[data-jar-left]", "190")
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	records := read[wire.Visit](o, "/api/jobs/"+third.ID+"/visit?day="+roundDay).Records
	if len(records) != 1 || records[0].Against != "half of it ran out" || !strings.Contains(strings.Join(records[0].Flags, " "), "again") {
		t.Errorf("%+v", records)
	}

	p.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/" + roundDay))
	p.click(`[data-hive="H002"]`)
	p.says(`[data-stop="H002"]`, "Slipway once more")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-path="against"] input`), "looked in"))
	p.click("[data-against-yes]")
	p.click("[data-other]")
	p.click(`[data-reason="dead"]`)
	p.do(chromedp.Evaluate[chromedp.Void](later))
	p.click("[data-dead-close]")
	p.says("[data-just-done]", "nothing given")
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	p.do(chromedp.Navigate(s.URL + "/decide"))
	p.says("[data-decide-yard]", "H000", "H001")
	if n := p.count(`[data-row="H002"]`); n != 0 {
		t.Error("a colony that was closed is in the matrix")
	}
}

// Enter through hives that nobody touched writes nothing of them; said to be as shown,
// it is.
func TestNothingLookedAtNothingWritten(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	o.job(2, 100)
	yard := read[wire.YardList](o, "/api/yards").Yards[0].ID
	inspections := func(i int) int {
		stand := read[wire.YardWhole](o, "/api/yards/"+yard).Stands[i]
		return len(read[wire.ColonyWhole](o, "/api/colonies/"+stand.ID).Inspections)
	}
	p := entered(t, s.URL+"/yards/"+yard+"/inspect", browser.Desk)
	p.says("[data-inspection-sheet]", "H000")
	p.do(chromedp.KeyEvent(kb.Enter))
	p.says("[data-inspection-sheet]", "H001")
	if n := inspections(0); n != 1 {
		t.Errorf("%d inspections of a hive that nobody touched, want the one from before", n)
	}
	p.do(chromedp.KeyEvent("a"), chromedp.KeyEvent(kb.Enter))
	p.says(`[data-look-list] li:nth-child(2)`, "saved")
	if n := inspections(1); n != 2 {
		t.Errorf("%d inspections of one said to be as shown, want 2", n)
	}
}

// 0.4 g of acid too many is dry on the pan: a spoon takes it off, and Next goes nowhere
// until something is done. Left as it is, the batch is finished only by who says so.
func TestTooMuchAcidIsNotWalkedPast(t *testing.T) {
	s := up(t, false)
	s.Dark()
	p := entered(t, s.URL+"/mix", browser.Phone)
	p.hives("6")
	p.toBench("")
	p.sixSeamsToTheAcid()
	p.types("acid", "1.9")
	p.says("[data-mend]", "in all")
	p.says("[data-surplus]", "0.4 g")
	p.do(chromedp.Evaluate[chromedp.Void](`dispatchEvent(new KeyboardEvent('keydown', { key: ' ' }))`))
	p.until(`document.querySelector('[data-bench="acid"]') !== null && document.querySelector('[data-mend]') !== null`)
	p.click("[data-mend-no]")
	p.presses()
	p.sixSeamsToTheEnd()
	p.says("[data-off-recipe]", "220 mg of acid instead of 175 mg")
	if n := p.count("[data-primary]:enabled"); n != 0 {
		t.Error("it can be finished unasked")
	}
	p.click("[data-as-is]")
	p.presses()
	p.says("[data-ended]", "43 mL")
}

// A label with the longest of all its words, and each of them a third longer as in a
// wordier language, goes into its frame on both papers and on a phone; the first aid
// never under 7 points.
func TestLabelHoldsItsText(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	long := func(n int) string { return strings.Repeat("Ropewalk winter ", n/16+1)[:n-1] + "." }
	yard, lat := uuid.NewString(), 57.0
	o.post("/api/yards", wire.SaveYard{ID: yard, Name: long(60), Latitude: &lat})
	p := entered(t, s.URL+"/yards", browser.Desk)
	const measured = `(() => {
		const label = document.querySelector('[data-label]'), frame = label.getBoundingClientRect()
		const outside = [...label.querySelectorAll('p, h2, strong, b, span')].filter((e) => {
			const r = e.getBoundingClientRect()
			return r.right > frame.right || r.bottom > frame.bottom || r.left < frame.left || r.top < frame.top
		})
		const pt = parseFloat(getComputedStyle(label.querySelector('[data-first-aid]')).fontSize) * 72 / 96
		return outside.length + ' outside, first aid ' + (pt >= 6.99) + ', page ' + (document.documentElement.scrollWidth <= innerWidth)
	})()`
	const wordier = `(() => {
		const walk = document.createTreeWalker(document.querySelector('[data-label]'), NodeFilter.SHOW_TEXT)
		for (let n = walk.nextNode(); n; n = walk.nextNode()) if (n.data.length > 8) n.data += ' ' + n.data.slice(0, Math.ceil(n.data.length / 3))
	})()`
	for name, recipe := range map[string]wire.Recipe{
		"syrup": {Dribble: &wire.DribbleRequest{Request: dribble.Request{
			Hold: wire.Hold{Kind: "crystals"}, Aim: wire.Aim{By: "protocol", Protocol: "half-litre-packet"}, Size: wire.Size{By: "volume", Volume: 9000},
		}}},
		"acid": {Pad: &wire.PadRequest{Request: pad.Request{
			Hold: wire.PadHold{Kind: "acid", Label: 0.85}, Working: 0.6, Aim: pad.Aim{Protocol: "sponge-above"}, Size: wire.PadSize{By: "working", Working: 5000},
		}}},
	} {
		id := uuid.NewString()
		o.post("/api/batches", wire.SaveBatch{ID: id, Name: long(120), Rule: long(260), Recipe: recipe})
		o.post("/api/batches/"+id+"/portions", wire.Portion{ID: uuid.NewString(), Vessel: long(60), Amount: 900, YardID: yard})
		p.do(browser.Desk, chromedp.Navigate(s.URL+"/batches/"+id+"/label"))
		holds := func(what string) {
			t.Helper()
			p.until(`document.querySelector('[data-label]') !== null`)
			if got, err := look(p, chromedp.Evaluate[string](measured)); err != nil || got != "0 outside, first aid true, page true" {
				t.Errorf("%s, %s: %s %v", name, what, got, err)
			}
		}
		p.says("[data-label]", "POISON", "Ropewalk winter")
		p.choose("One label a sheet, 100 × 70 mm")
		p.do(chromedp.WaitVisible(chromedp.CSS(`[data-paper="small"]`)))
		holds("as it is")
		p.do(chromedp.Evaluate[chromedp.Void](wordier))
		holds("a third longer")
		p.choose("A4, eight to a sheet")
		p.do(chromedp.WaitVisible(chromedp.CSS(`[data-paper="a4"]`)))
		holds("of eight on A4")
		p.do(browser.Phone)
		holds("on a phone")
	}
}
