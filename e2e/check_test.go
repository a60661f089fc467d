package e2e

import (
	"fmt"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/google/uuid"

	"keeler/e2e/browser"
)

// asks calls the server from the page, as who is signed in there.
func (p page) asks(path string, body string) {
	p.t.Helper()
	_, err := look(p, chromedp.Evaluate[string](fmt.Sprintf(`(async () => {
		const r = await fetch(%q, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: %q })
		if (!r.ok) throw new Error(await r.text())
		return ''
	})()`, path, body), chromedp.EvalAwaitPromise))
	if err != nil {
		p.t.Fatal(err)
	}
}

// on moves the demo's clock, and opens a page then.
func (p page) on(days int, url string) {
	p.t.Helper()
	if days > 0 {
		p.asks("/api/demo/clock", fmt.Sprintf(`{"days":%d}`, days))
	}
	p.do(chromedp.Navigate(url))
}

const allSent = `document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`

// Strips that are two days late are the first thing that Check says. They are taken out of
// three hives on a phone, one of them with a strip missing; then nothing is late any more,
// and the count that tells whether they worked is dated from that day.
func TestStripsLateAreTakenOut(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/check", browser.Phone)
	late := `[data-followup="out"][data-state="late"]`
	p.says(late, "Take the strips out", "K5, K6, K7", "2 days late")
	p.click(late + " [data-do]")
	p.says("[data-colony-open]", "K5", "in for 58 days", "Never reuse it")
	p.do(chromedp.Click(chromedp.CSS(`[aria-label="Missing +"]`)))
	p.given()
	for _, hive := range []string{"K6", "K7"} {
		p.says("[data-colony-open]", hive)
		p.given()
	}
	p.says("[data-finished]", "Round done")
	p.until(allSent)
	p.do(chromedp.Navigate(s.URL + "/check"))
	p.says(`[data-followup="count"]`, "Kiln Lane", "Fri 11 Dec to Fri 25 Dec")
	if n := p.count(`[data-state="late"]`); n != 0 {
		t.Errorf("%d are late still", n)
	}
	p.do(chromedp.Navigate(s.URL + "/register"))
	p.says("[data-register]", "1 missing")
}

// Boards are read hive by hive without signal: what was typed waits on the phone, and is
// sent by itself. Of a full board a part is counted. Then Check says how the job stands.
func TestBoardsReadWithoutSignal(t *testing.T) {
	s := up(t, true)
	url, away := offline(t, s)
	p := entered(t, url+"/check", browser.Phone)
	p.click(`[data-followup="board_read"][data-state="due"] [data-do]`)
	p.says(`[data-board="S6"]`, "1 of 1", "clean board in since 27 Nov 2026")
	if days := p.value("days"); days != "7" {
		t.Errorf("it lay %s days", days)
	}
	away.Store(true)
	p.click("[data-full-board]")
	p.fill("mites", "30")
	p.fill("squares", "40")
	p.fill("counted", "50")
	p.says(`[data-path="counted"]`, "More than there are")
	p.fill("counted", "10")
	p.says("[data-scaled]", "about 120 on the whole board")
	p.click("[data-save-board]")
	p.says("[data-boards-done]", "All boards are read")
	p.until(`document.querySelector('[data-signal="offline"][data-waiting="1"]') !== null`)
	away.Store(false)
	p.until(allSent)
	p.do(chromedp.Navigate(url + "/check/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e9104"))
	p.says(`[data-line="board_read"][data-n="1"][data-state="done"]`, "2 of 2")
	// 120 mites in the seven days from 27 November are 17.1 a day in S6, and 270 in three in S4.
	p.until(`document.querySelector('[data-falls] svg').getAttribute('aria-label').includes('day 0: 53.6')`)
}

// The comparison with hives that were left untreated: the share with its interval, the hive
// that did not do well with what the records show, and which mites could be met.
func TestJobChecked(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/check", browser.Desk)
	p.click(`[data-job="Ropewalk, midwinter dribble 2025"]`)
	p.says("[data-job-check]", "R4, R6 left untreated as controls")
	// By rates: 9.07 a day before in six hives, 1.25 after; 2.71 and 2.8 in the two: 1 − 0.1378 ÷ 1.0316.
	p.says("[data-result]", "87", "95 %: 0 to", "against 2 left untreated", "It points that way, no more")
	p.says(`[data-colony="R2"]`, "Sealed brood was seen on 9 Dec 2025")
	p.says(`[data-colony="R7"]`, "Only 4 mites before")
	p.says("[data-reach]", "100 of 100 mites could be reached")
	p.says("[data-docket]", "Come back", "Count before the first supers")
	if n := p.pages(chromedp.PaperA4); n != 1 {
		t.Errorf("it takes %d pages of A4", n)
	}
	p.do(chromedp.Navigate(s.URL + "/check/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e9105"))
	p.says("[data-spent]", "40 came out")
	if n := p.pages(chromedp.PaperA4); n != 1 {
		t.Errorf("that of ten hives takes %d pages of A4", n)
	}
}

// A formic course of four visits with a missed one. The second is a round of its own, five
// days after the first; the third is skipped over, late on day 14, and on day 15 the course
// begins again. Skipped with a reason it is asked for no more.
func TestFormicCourseWithAMissedVisit(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Phone)
	job := uuid.NewString()
	p.asks("/api/jobs", fmt.Sprintf(`{"id":%q,"name":"Trial course","method":"pad","under":"formic","rule_kind":"own","rule":"permit","people":1,
		"colonies":[{"colony_id":"5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e3001","day":"2026-12-04","override":"as a trial"}]}`, job))
	round := func() {
		t.Helper()
		p.says("[data-colony-open]", "S1")
		p.given()
		p.says("[data-finished]", "Round done")
		p.until(allSent)
	}
	p.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/2026-12-04"))
	round()
	check := s.URL + "/check"
	mine := `[data-followup="visit"][data-yard="Saltmarsh Hut"]`
	p.on(5, check)
	p.says(mine, "Give dose 2 of 4", "S1")
	p.click(mine + " [data-do]")
	p.says("[data-swap]", "Take out the old pads first, in for 5 days")
	round()
	p.on(9, check)
	p.says(mine+`[data-state="late"]`, "Give dose 3 of 4", "2 days late")
	p.on(1, check)
	p.says(mine, "Start the course again")
	p.click(mine + " [data-skip]")
	p.fill("reason", "the bees are too few")
	p.click("[data-skip-yes]")
	p.until(fmt.Sprintf(`document.querySelector(%q) === null`, mine))
	p.do(chromedp.Navigate(s.URL + "/check/" + job))
	p.says(`[data-line="visit"][data-state="skipped"]`, "the bees are too few")
	p.click("[data-unskip]")
	p.until(`document.querySelector('[data-line="visit"][data-state="late"]') !== null`)
}

// The days of visits are moved by keys, and the drawing follows: four sheets meet more than
// one, and one dribble without brood meets all.
func TestReachByKeys(t *testing.T) {
	s := up(t, false)
	p := open(t, s.URL+"/reach", browser.Desk)
	p.says("[data-reach]", "of 100 mites could be reached")
	p.choose("Dribble or vapour")
	for range 3 {
		p.do(chromedp.Focus(chromedp.CSS(`[data-visit]:last-of-type`)), chromedp.SendKeys(chromedp.CSS(`[data-visit]:last-of-type`), "\u007f"))
	}
	p.until(`document.querySelectorAll('[data-visit]').length === 1`)
	p.says("[data-reach]", "36 of 100 mites could be reached")
	p.choose("None")
	p.says("[data-reach]", "100 of 100 mites could be reached")
}

// Three kinds of strip: hives are dealt to them by chance, each group goes on to its job,
// and those of the spring are told apart as far as so few can be.
func TestComparisonOfThreeKinds(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/compare/plan", browser.Desk)
	p.says("[data-enough]", "hives in each group can tell 95 from 80 %")
	p.fill("second", "95")
	p.says(`[data-path="second"]`, "93 %")
	p.fill("second", "40")
	p.says("[data-enough]", "tell 95 from 40 %")
	p.pick("Yard", "Saltmarsh Hut")
	p.click(`[data-hive="S10"]`)
	p.fill("groups", "3")
	for i, name := range []string{"Card", "Felt", "Card"} {
		p.fill(fmt.Sprintf("groups[%d].name", i), name)
	}
	p.says("[data-docket]", "9 hives: 3 in each group")
	p.click("[data-save-comparison]")
	p.says(`[data-path="groups[2].name"]`, "already")
	p.fill("groups[2].name", "Sponge")
	p.do(chromedp.Reload()) // what was typed stays
	p.click("[data-save-comparison]")
	for _, group := range []string{"Card", "Felt", "Sponge"} {
		p.says(fmt.Sprintf("[data-group=%q]", group), "nothing given yet")
	}
	p.says("main", "Assigned at random among hives of similar strength on 4 Dec 2026")
	p.click(`[data-group="Felt"] a`)
	p.says("[data-docket]", "3 hives")
	p.until(`[...document.querySelectorAll('[data-docket] input')].some((i) => i.value === 'Saltmarsh Hut, comparison: Felt')`)

	p.do(chromedp.Navigate(s.URL + "/compare"))
	p.do(chromedp.Click(`//a[normalize-space()="Saltmarsh Hut, three kinds of strip"]`))
	p.says(`[data-group="Long strips"]`, "4 hives: S3, S4, S8, S10", "93 %", "It worked · few hives")
	p.says(`[data-pair="Long strips Sponges"]`, "more than chance")
	p.says(`[data-pair="Short strips Sponges"]`, "could be chance")
	p.neverNaN()
}

// By keyboard: down to the second thing that is due, s, a reason, Enter; it is asked for no
// more. Up again, and Enter begins the first.
func TestCheckByKeys(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/check", browser.Desk)
	p.says(`[data-followup="visit"]`, "Suitable weather Fri 4 Dec")
	press := func(keys ...string) {
		t.Helper()
		for _, k := range keys {
			p.do(chromedp.KeyEvent(k))
		}
	}
	press(kb.ArrowDown, kb.ArrowDown, kb.ArrowDown, "s")
	p.do(chromedp.WaitVisible(chromedp.CSS(`[data-followup="board_read"] [data-path="reason"]`)))
	press("no mesh floor", kb.Enter)
	p.until(`document.querySelector('[data-followup="board_read"][data-n="1"], [data-followup="board_read"][data-state="due"]') === null`)
	press(kb.ArrowUp, kb.ArrowUp, kb.ArrowUp, kb.Enter)
	p.says("[data-colony-open]", "K5")
}

// Strips are placed, moved with their gaps told, and taken out eight days late, all begun from
// Check; then they are to be disposed of.
func TestStripsPlacedMovedAndTakenOutLate(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Phone)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-dose]")))
	job := uuid.NewString()
	p.asks("/api/jobs", fmt.Sprintf(`{"id":%q,"name":"Trial strips","method":"strip","under":"strips","rule_kind":"own","rule":"permit","people":1,
		"colonies":[{"colony_id":%q,"day":"2026-12-04","override":"as a trial"}]}`, job, r3))
	p.asks("/api/batches", `{"id":"7d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d01","name":"Trial pot","recipe":{"strip":{"recipe":{"protocol":"two-to-three"},"uptake_g":20,"stays_ml":60,"size":{"by":"strips","strips":8}}}}`)
	p.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/2026-12-04"))
	p.says("[data-colony-open]", "R3")
	p.byHand("No. 14 Trial pot")
	p.given()
	p.until(allSent)
	p.on(24, s.URL+"/check")
	p.click(`[data-followup="move"][data-yard="Ropewalk"] [data-do]`)
	p.says("[data-gaps]", "since 4 Dec 2026")
	p.given()
	p.until(allSent)
	p.on(40, s.URL+"/check")
	late := `[data-followup="out"][data-yard="Ropewalk"][data-state="late"]`
	p.says(late, "Take the strips out", "R3", "8 days late")
	p.click(late + " [data-do]")
	p.says("[data-gaps]", "since 28 Dec 2026")
	p.says("[data-colony-open]", "in for 64 days")
	p.given()
	p.until(allSent)
	p.do(chromedp.Navigate(s.URL + "/check/" + job))
	p.says("[data-spent]", "still to be disposed of", "Never reuse them")
	p.fill("note", "household waste")
	p.click("[data-form=spent] [data-save-form]")
	p.says("[data-spent]", "0 left: all disposed of")
	p.says(`[data-line="move"][data-state="done"]`, "Move the strips")
}

// Boards are printed, read with a pencil, and typed in down a column; Check has them then.
func TestBoardsTypedInFromPaper(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/check", browser.Desk)
	p.click(`[data-followup="board_read"][data-state="due"] [data-do]`)
	p.says("table", "S6", "27 Nov 2026") // the sheet
	p.do(chromedp.Click(`//a[normalize-space()="Type them in from paper"]`))
	p.fill("days", "7")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-count-row="S6"] input`), "23"))
	p.click("[data-keep-counts]")
	p.says("main", "Saved")
	p.do(chromedp.Navigate(s.URL + "/check/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e9104"))
	p.says(`[data-line="board_read"][data-n="1"][data-state="done"]`, "2 of 2")
}

// A bottle is weighed on the day that it is hung, and read off the day after: the dose of that
// day is no weighing.
func TestBottleWeighedOnItsDay(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Phone)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-dose]")))
	job := uuid.NewString()
	p.asks("/api/jobs", fmt.Sprintf(`{"id":%q,"name":"Bottles","method":"pad","under":"formic-bottle","rule_kind":"own","rule":"permit","people":1,
		"colonies":[{"colony_id":%q,"day":"2026-12-04","override":"as a trial"}]}`, job, r3))
	p.asks("/api/jobs/"+job+"/applications?day=2026-12-04", fmt.Sprintf(`{"applications":[{"id":%q,"colony_id":%q,"kind":"given","amount":200,"asked":200}]}`, uuid.NewString(), r3))
	p.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/2026-12-04/weigh"))
	p.says("[data-weighed-last]", "The first weighing")
	p.fill("amount", "310")
	p.fill("area_cm2", "60")
	p.given()
	p.until(allSent)
	p.on(1, s.URL+"/rounds/"+job+"/2026-12-05/weigh")
	p.says("[data-weighed-last]", "310 g on 4 Dec 2026")
	p.click(`[data-colony-open] button[value="read"]`)
	p.fill("amount", "185")
	p.given()
	p.until(allSent)
	p.do(chromedp.Navigate(s.URL + "/check/" + job))
	// 15 mL of 60 % are 17.1 g in a day.
	p.says(`[data-pace="in_band"]`, "g a day, aim for 15 to 20", "Right rate")
}

// A job of hives in two yards is gone out to yard by yard.
func TestRoundOfOneYard(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Desk)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-dose]")))
	p.asks("/api/jobs", fmt.Sprintf(`{"id":%q,"name":"Two yards","method":"dribble","under":"winter","rule_kind":"own","rule":"permit","people":1,
		"colonies":[{"colony_id":%q,"day":"2026-12-04","override":"a trial"},{"colony_id":"5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e4005","day":"2026-12-04","override":"a trial"}]}`, uuid.NewString(), r3))
	p.do(chromedp.Navigate(s.URL + "/check"))
	p.click(`[data-followup="visit"][data-yard="Kiln Lane"] [data-do]`)
	p.says("[data-colony-open]", "K5", "Kiln Lane · 1 of 1")
}

// Vapour that is recorded only asks for a board, which goes in from the hive's own page.
func TestBoardAfterVapour(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Desk)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-dose]")))
	p.asks("/api/register", fmt.Sprintf(`{"colonies":[{"id":%q,"colony_id":%q}],"method":"vapour","product":"vaporised","given_on":"2026-12-04"}`, uuid.NewString(), r3))
	p.do(chromedp.Navigate(s.URL + "/check"))
	board := `[data-followup="board_in"][data-state="due"]`
	p.says(board, "Put clean boards in", "Ropewalk · R3")
	p.click(board + " [data-do]")
	p.click("[data-put-board]")
	p.says("main", "clean board in since 4 Dec 2026")
	p.do(chromedp.Navigate(s.URL + "/check"))
	p.says("main", "Read the boards")
	if n := p.count(board); n != 0 {
		t.Errorf("%d boards are to go in still", n)
	}
}
