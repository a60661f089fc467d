package e2e

import (
	"fmt"
	"net/http"
	"strings"
	"sync/atomic"
	"testing"

	"keeler/e2e/browser"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
)

// Two hundred hives in five yards, without a forecast: all of them are in the page, the keeper
// says what weather is expected, and by keys alone finds a hive, walks the grid, which is one
// stop of the Tab key, ticks, folds, and makes the job.
func TestDecideOverTwoHundredByKeys(t *testing.T) {
	s := up(t, false)
	s.Overcast()
	o := ownerOf(t, s)
	o.stands(5, 40)
	p := open(t, s.URL+"/decide", browser.Desk)
	p.signIn("Owner")
	p.until(`document.querySelectorAll('[data-row]').length === 200`)
	p.says("[data-expected]", "No forecast for", "Enter the weather you expect")
	p.click(`[data-decide-yard="Yard 1"] [data-tick-all]`)
	p.says("[data-why-none]", "None of these fits dribble on this day", "(40 hives)")
	p.fill("low_c", "9")
	p.fill("high_c", "4")
	if n := p.count(`[data-save-form="weather"]:disabled`); n != 1 {
		t.Error("a wind that nobody said is taken for calm")
	}
	p.fill("wind_ms", "2")
	p.fill("rain_mm", "0")
	p.click(`[data-save-form="weather"]`)
	p.says(`[data-path="high_c"]`, "9 to 50 °C")
	p.fill("low_c", "2")
	p.fill("high_c", "7")
	p.click(`[data-save-form="weather"]`)
	p.says("[data-expected]", "used until there is a forecast")
	p.says(`[data-decide-yard="Yard 1"]`, "5 to 7 °C", "8–16 h") // at 8 h half-way up

	keys := func(all ...string) {
		for _, key := range all {
			p.do(chromedp.KeyEvent(key))
		}
	}
	at := func(what string) {
		t.Helper()
		p.until(`(e => e && (e.closest('[data-row]')?.dataset.row ?? e.closest('[data-decide-yard]')?.dataset.decideYard ?? '') + ' ' +
			(e.type === 'checkbox' ? 'tick' : e.dataset.cell ?? Object.keys(e.dataset)[0] ?? ''))(document.activeElement) === '` + what + `'`)
	}
	p.do(chromedp.Focus(chromedp.CSS("[data-fold-all]")))
	keys(kb.Tab)
	at("Yard 1 tickAll") // the only stop of the grid is where one was last
	keys(kb.Home)
	at("Yard 1 fold")
	keys(kb.ArrowDown, kb.ArrowDown, kb.Home)
	at("H001 tick")
	keys(" ", kb.ArrowDown, " ", kb.ArrowRight, kb.Enter)
	at("H002 dribble")
	p.says(`[data-decide-yard="Yard 1"] [data-reasons]`, "seams")
	p.do(chromedp.KeyEvent(kb.End, chromedp.KeyModifiers(chromedp.ModifierCtrl)))
	p.until(`document.activeElement.closest('[data-decide-yard]').dataset.decideYard === 'Yard 5'`)
	keys(kb.ArrowUp, kb.Home)
	at("H200 tick")
	keys(" ")
	p.says("[data-docket]", "3 hives")
	keys(kb.Tab)
	p.until(`!document.activeElement.closest('[data-grid]')`)

	p.do(chromedp.Focus(chromedp.CSS("[data-find-hive]")), chromedp.KeyEvent("h20"))
	p.until(`document.querySelectorAll('[data-row]').length === 1`)
	p.says("[data-docket]", "2 of them are hidden at the moment")
	p.do(chromedp.Focus(chromedp.CSS("[data-fold-all]")), chromedp.KeyEvent(kb.Enter))
	p.until(`document.querySelectorAll('[data-row]').length === 0 && document.querySelectorAll('[data-decide-yard]').length === 5`)
	keys(kb.Enter)
	p.choose("A registered product, by its label")
	p.click("[data-make-job]")
	p.says("h1", "Yard 1, Yard 5, dribble")
}

// stands brings so many yards with so many hives each, numbered through.
func (o owner) stands(yards, hives int) {
	o.t.Helper()
	var file strings.Builder
	file.WriteString("yard,colony,boxes,latitude\n")
	for i := range yards * hives {
		fmt.Fprintf(&file, "Yard %d,H%03d,deep 10,57\n", i/hives+1, i+1)
	}
	response, err := o.http.Post(o.url+"/api/import/colonies?mode=all", "text/csv", strings.NewReader(file.String()))
	if err != nil || response.StatusCode != http.StatusOK {
		o.t.Fatal(response.Status, err)
	}
	_ = response.Body.Close()
}

// Forecasts of mites come in the background: what they make of a hive weighs with its other reasons as soon as it is there,
// on a page that is open already.
func TestForecastsComeIntoDecide(t *testing.T) {
	p := entered(t, up(t, true).URL+"/decide", browser.Desk)
	p.says(`[data-row="S8"]`, "with care", "count it first", "a count here would tell most")
	p.until(`!document.querySelector('[data-foreseeing]')`)
	p.click(`[data-row="S8"] [data-cell="dribble"]`)
	p.says("[data-reasons]", "Nobody can say yet whether it is over the threshold", "If there is time, count it first", "By the forecast of mites it may be over the threshold already")
	p.says(`[data-row="R3"]`, "treat", "in a job") // counted over, as all of its yard are treated: no forecast weighs
}

// Of more than 500 hives the first yards are shown first, and say so, and all of them after it; what
// goes over all is told of all alone.
func TestManyHivesComeInTwo(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	o.stands(3, 180)
	var gate atomic.Pointer[chan struct{}]
	gate.Store(new(make(chan struct{}))) // of the page that is looked at: one before may ask again
	url := between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
		if r.URL.Query().Get("first") == "false" {
			select {
			case <-*gate.Load():
			case <-t.Context().Done():
			}
		}
		onward.ServeHTTP(w, r)
	})
	p := open(t, url+"/yards", browser.Desk)
	p.signIn("Owner")
	p.says("h1", "Yards")
	for _, of := range []struct{ path, all string }{
		{"/decide", `document.querySelectorAll('[data-grid] > div').length === 3 && document.querySelector('[data-narrow]')?.innerText.includes('540')`},
		{"/check", `document.querySelector('main h2 ~ p a[href="/decide"]')`},
		{"/", `document.querySelector('[data-week]')`},
		{"/record", `document.querySelector('[data-record] .no-print button:not(:disabled)')`},
	} {
		whole := make(chan struct{})
		gate.Store(&whole)
		p.turn(of.path)
		p.says("[data-so-far]", "So far 1 of 3 yards")
		if n := p.count("[data-week], [data-narrow], [data-docket], [data-record] .no-print button:not(:disabled)"); n != 0 {
			t.Errorf("%s tells of all before they are there", of.path)
		}
		close(whole)
		p.until(of.all + ` && !document.querySelector('[data-so-far]')`)
	}
}
